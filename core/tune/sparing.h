// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/price.h"
#include "core/tune/tuner.h"

namespace yf::tune {

/// How parts are saved.
struct Sparing {
    enum class By { count, price } by{};
    double mayCost{0.1}; ///< dB rms, that the error may grow by in all
    network::Prices prices;

    bool operator==(const Sparing&) const = default;
};

/// One thing left out.
struct Spared {
    std::vector<std::string> ids; ///< a part, or all that stand in one slot
    double error{};               ///< dB rms, of what is left, tuned
    double saved{};               ///< money, against the step before
};

/// A network with parts left out.
struct Thinned {
    Problem problem; ///< the one given without those parts, values as they came
    Found found;     ///< tuned; of the problem's parts
    std::vector<Spared> steps;
    double error{}; ///< dB rms, before any was left out
};

/// From a tuned network one part after the other is left out (or all of one slot at once), the
/// rest tuned anew each time, as long as floor and limits hold and the error grows by no more than
/// `mayCost` in all: by count the one that costs least for each part, by price the one that saves
/// most money. Fixed parts stay, so does the last free one, and no driver that a capacitor keeps
/// from direct current is given it. Greedy: a front, not a proof that fewer would not do.
[[nodiscard]] Thinned
leaveOut(const Problem& problem, const Found& tuned, const Sparing& sparing, const GoOn& goOn);

} // namespace yf::tune
