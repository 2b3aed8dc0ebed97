// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/table/meaning.h"

#include <span>
#include <vector>

/// What the numbers of a column say of its meaning. Scores are like logarithms of odds: two units
/// between two readings and the better one is taken. The weights are rules of thumb, graded by
/// `measure import-trial` on tables that know nothing of them.
namespace yf::measure {

/// A column that can't hold a meaning at all.
inline constexpr double impossible = -1e6;

/// What there is to know of a column's numbers; NaN are left out.
struct ColumnShape {
    std::size_t count{};
    double least{};
    double most{};
    double median{};
    bool rising{};      ///< strictly, in the order of the file
    bool falling{};     ///< strictly
    bool marks{};       ///< the same few numbers again and again: tells rows apart
    bool counts{};      ///< 0, 1, 2 … or 1, 2, 3 …, in any order
    bool evenly{};      ///< sorted, its steps are alike
    bool evenRatios{};  ///< sorted, its ratios are alike
    double step{};      ///< where it is even: the mean step
    double roughness{}; ///< median step over the whole span
    int turns{};        ///< steps of about 360, within ±180.5
    int radianTurns{};  ///< steps of about 2π, within ±π
};

[[nodiscard]] ColumnShape shapeOf(std::span<const double> numbers);

/// How well a column's numbers go with a meaning that is no frequency.
[[nodiscard]] double contentScore(Meaning meaning, const ColumnShape& shape);

/// How well a column's numbers go with being the frequencies of a table, whatever their unit.
[[nodiscard]] double axisScore(const ColumnShape& shape);

/// How well frequencies go with a unit. Round ends speak for one: 125.66 to 125664 is 20 Hz to
/// 20 kHz in rad/s.
[[nodiscard]] double unitScore(Meaning unit, const ColumnShape& shape);

/// How well a phase goes with the sizes beside it: of what phases vary by, the share that their
/// minimum phase explains,
///     1 − (1 − c)/(1 − c0),   c = mean of cos(φ − φ_min + 2πfτ),   c0 the same with φ_min = 0,
/// each at its best flight time τ and either polarity (an impedance has neither), and with what a
/// limited band hides of a minimum phase, as fmin/f and f/fmax. 1 for the minimum
/// phase itself, about 0 for numbers that have nothing to do with each other or are far too small.
/// Nothing below 16 points or where there is nothing to explain (c0 above 0.995); some 120 points
/// are looked at, evenly over the logarithm of the frequency.
/// frequencies: any order and linear unit; sizes: ln|H|; phases: radians. NaN are left out.
[[nodiscard]] std::optional<double> phaseAgreement(std::span<const double> frequencies,
                                                   std::span<const double> sizes,
                                                   std::span<const double> phases,
                                                   bool impedance);

} // namespace yf::measure
