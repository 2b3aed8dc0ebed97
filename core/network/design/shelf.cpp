// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/design/shelf.h"

#include "core/quantity/level.h"

#include <cmath>
#include <numbers>

namespace yf::network {

std::optional<Error> check(const ShelfRequest& r) {
    if (r.width && r.centre) {
        return Error{"width_m", "given beside centre_hz", "give one of them"};
    }
    if (!r.width && !r.centre) {
        return Error{"width_m", "missing", "give width_m or centre_hz"};
    }
    return std::nullopt;
}

Result<Shelf> shelf(const ShelfRequest& r) {
    const double g = quantity::gain(r.step);
    const double centre = r.centre ? *r.centre : stepTimesWidth / *r.width;
    const double R = r.load * (g - 1.0);
    return Shelf{.R = R,
                 .L = R / (2.0 * std::numbers::pi * centre * std::sqrt(g)),
                 .centre = centre,
                 .pole = centre / std::sqrt(g),
                 .zero = centre * std::sqrt(g)};
}

} // namespace yf::network
