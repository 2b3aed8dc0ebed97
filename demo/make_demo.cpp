// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/store/store.h"
#include "core/text/sentence.h"
#include "demo/projection_room.h"

#include <cstdio>

/// Writes the demo job into a new file, for tests and for looking at it from the command line.
int main(int argc, char** argv) {
    if (argc != 2) {
        std::fputs("usage: make_demo FILE\n", stderr);
        return 2;
    }
    const auto history = yf::demo::projectionRoom(yf::demo::tables());
    if (!history) {
        std::fprintf(stderr, "%s\n", yf::text::sentence(history.error()).c_str());
        return 1;
    }
    const auto store = yf::job::store::Store::create(argv[1], *history);
    if (!store) {
        std::fprintf(stderr, "%s\n", yf::text::sentence(store.error()).c_str());
        return 1;
    }
    return 0;
}
