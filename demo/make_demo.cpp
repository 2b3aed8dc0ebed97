// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/store/store.h"
#include "core/text/sentence.h"
#include "demo/lantern_hall.h"

#include <cstdio>

/// Writes the demo job into a new file, for tests and for looking at it from the command line.
int main(int argc, char** argv) {
    if (argc != 2) {
        std::fputs("usage: make_demo FILE\n", stderr);
        return 2;
    }
    const auto record = yf::demo::lanternHall(yf::demo::hallTables());
    if (!record) {
        std::fprintf(stderr, "%s\n", yf::text::sentence(record.error()).c_str());
        return 1;
    }
    const auto store = yf::job::store::Store::create(argv[1], *record);
    if (!store) {
        std::fprintf(stderr, "%s\n", yf::text::sentence(store.error()).c_str());
        return 1;
    }
    return 0;
}
