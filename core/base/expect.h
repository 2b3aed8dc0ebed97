// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cstdio>
#include <cstdlib>

namespace yf {

[[noreturn]] inline void stopBecause(const char* condition, const char* file, int line) {
    std::fprintf(stderr, "%s:%d: expected %s\n", file, line, condition);
    std::abort();
}

} // namespace yf

/// States what a programmer must have ensured. On in every build: a wrong number shown is worse
/// than a stop, and every change is already saved.
#define YF_EXPECT(condition)                                                                       \
    do {                                                                                           \
        if (!(condition)) {                                                                        \
            ::yf::stopBecause(#condition, __FILE__, __LINE__);                                     \
        }                                                                                          \
    } while (false)
