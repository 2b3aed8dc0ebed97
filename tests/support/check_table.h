// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <gtest/gtest.h>

#include <complex>
#include <string>

namespace yf::test {

/// One line of a check table: where, what, and how well it is known.
struct Row {
    double at;
    double expected;
    double tolerance;
};

template <std::size_t N, class F>
void checkTable(const Row (&table)[N], F&& computed) {
    for (const Row& row : table) {
        EXPECT_NEAR(computed(row.at), row.expected, row.tolerance) << "at " << row.at;
    }
}

/// |a − b| relative to |b|.
inline double relativeError(std::complex<double> a, std::complex<double> b) {
    return std::abs(a - b) / std::abs(b);
}

} // namespace yf::test
