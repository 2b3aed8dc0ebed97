// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/nearest.h"

#include <algorithm>
#include <cctype>
#include <limits>
#include <vector>

namespace yf::text {

namespace {

bool sameLetter(char a, char b) {
    return std::tolower(static_cast<unsigned char>(a)) ==
           std::tolower(static_cast<unsigned char>(b));
}

double distance(std::string_view a, std::string_view b) {
    const std::size_t columns = b.size() + 1;
    std::vector<double> cost((a.size() + 1) * columns);
    const auto at = [&](std::size_t i, std::size_t j) -> double& { return cost[i * columns + j]; };
    for (std::size_t i = 0; i <= a.size(); ++i) {
        at(i, 0) = static_cast<double>(i);
    }
    for (std::size_t j = 0; j <= b.size(); ++j) {
        at(0, j) = static_cast<double>(j);
    }
    for (std::size_t i = 1; i <= a.size(); ++i) {
        for (std::size_t j = 1; j <= b.size(); ++j) {
            const double change = a[i - 1] == b[j - 1]             ? 0.0
                                  : sameLetter(a[i - 1], b[j - 1]) ? 0.5
                                                                   : 1.0;
            double best =
                std::min({at(i - 1, j) + 1.0, at(i, j - 1) + 1.0, at(i - 1, j - 1) + change});
            if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1]) {
                best = std::min(best, at(i - 2, j - 2) + 1.0);
            }
            at(i, j) = best;
        }
    }
    return at(a.size(), b.size());
}

} // namespace

std::string nearest(std::string_view given, std::span<const std::string> known) {
    // A key may be as long as its file; beyond this nothing is "near" any more.
    const std::string_view compared = given.substr(0, 80);
    std::string best;
    double least = std::numeric_limits<double>::infinity();
    for (const std::string& candidate : known) {
        const double d = distance(compared, candidate);
        if (d < least) {
            least = d;
            best = candidate;
        }
    }
    return best;
}

} // namespace yf::text
