// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/tune/objective.h"

#include <functional>

namespace yf::tune {

/// Limits of x = ln(value).
struct Box {
    std::vector<double> low;
    std::vector<double> high;
};

enum class Stop { settled, iterations, cancelled, floorUnreachable };

[[nodiscard]] const char* stopName(Stop stop);

struct Descent {
    std::vector<double> x;
    Standing standing;
    Stop stop{};
};

/// Asked after every step with the best so far; false ends the search.
using GoOn = std::function<bool(const std::vector<double>& x, const Standing& standing)>;

/// Levenberg–Marquardt on the normal equations with diagonal scaling, boxed: components at a bound
/// that the gradient pushes outward are frozen for the step, a step is at most a factor e. Settled
/// when the cost falls by less than 1e-4 of itself twice running, or after eight refusals.
/// Source: Marquardt 1963; docs/theory/tune.md.
[[nodiscard]] Descent
descend(Objective& objective, std::vector<double> x, const Box& box, const GoOn& goOn);

} // namespace yf::tune
