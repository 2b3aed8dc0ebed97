// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/box.h"
#include "core/evaluation/box_driver.h"
#include "core/job/store/store.h"
#include "core/text/sentence.h"
#include "demo/lantern_hall.h"
#include "demo/projection_room.h"
#include "demo/recorded.h"

#include <cstdio>
#include <cstring>

namespace {

yf::Result<yf::job::Record> briefly() {
    YF_TRY(history, yf::demo::projectionRoom(yf::demo::tables()));
    yf::job::Record record{std::move(history)};
    YF_TRY(recorded, yf::edit::apply(record, yf::demo::recordOneShort(), "2026-03-14T10:00:00"));
    static_cast<void>(recorded);
    YF_TRY(
        boxed,
        yf::edit::apply(record,
                        yf::edit::beginBox("projection",
                                           "campion",
                                           yf::box::Kind::vented,
                                           yf::evaluation::boxParameters(record.job(), "campion")),
                        "2026-03-14T10:01:00"));
    static_cast<void>(boxed);
    return record;
}

} // namespace

/// Writes the demo job into a new file, for tests and for looking at it from the command line; with
/// "short" the projection room alone and one short take.
int main(int argc, char** argv) {
    const bool brief = argc == 3 && std::strcmp(argv[2], "short") == 0;
    if (argc != 2 && !brief) {
        std::fputs("usage: make_demo FILE [short]\n", stderr);
        return 2;
    }
    const auto record = brief ? briefly() : yf::demo::lanternHall(yf::demo::hallTables());
    if (!record) {
        std::fprintf(stderr, "%s\n", yf::text::sentence(record.error()).english().c_str());
        return 1;
    }
    const auto store = yf::job::store::Store::create(argv[1], *record);
    if (!store) {
        std::fprintf(stderr, "%s\n", yf::text::sentence(store.error()).english().c_str());
        return 1;
    }
    return 0;
}
