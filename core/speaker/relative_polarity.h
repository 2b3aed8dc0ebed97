// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"

#include <optional>
#include <vector>

namespace yf::speaker {

/// Over so many octaves the one adds to the other, or is against it.
struct SignRun {
    double from{}; ///< Hz
    double to{};
    int sign{1};      ///< +1: alike
    double surety{1}; ///< 0 … 1, |Re Σ Z·e^(jωτ)|/n over it
};

struct RelativePolarity {
    int sign{};     ///< of the lowest run: +1 alike, −1 one of the two is reversed
    double delay{}; ///< s, b after a
    double surety{};
    double knownTo{};          ///< Hz, end of the octaves that say something
    std::vector<SignRun> runs; ///< rising, neighbours differ; more than one: not all of it is
                               ///< reversed
};

/// Whether two things of one kind (twin drivers, the two cabinets of a pair) sound the same way
/// round, from a take of each. No common clock and no absolute polarity is needed: what both share
/// cancels in
///
///     Z(f) = b·a*/|b·a|
///
/// and of twins that leaves ±e^(−jωτ). τ is what makes Σ over octave bands of |Σ Re Z·e^(jωτ)|
/// greatest, scanned over ±`reach` in steps of a tenth of the shortest period; the sign of each
/// octave follows. Octaves in which either is more than 20 dB down from its top, or whose surety is
/// under one half, say nothing; nor do those whose sign is another one with a delay that does
/// nearly as well (within 0.1): a reversed tweeter and a little delay can look alike.
///
/// Nothing where phase was not measured, where fewer than two octaves say anything, where surety is
/// under 0.7, or where the lowest octave's sign depends on the delay: then it is not known.
///
/// Source: linear phase of a delay; the rest is ours. docs/theory/align.md.
[[nodiscard]] std::optional<RelativePolarity>
relativePolarity(const curve::Curve& a, const curve::Curve& b, double reach = 3e-3);

} // namespace yf::speaker
