// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/edit/polarity.h"
#include "core/evaluation/take_polarity.h"

/// The polarity round: every driver on its lugs and through the network, each cabinet at its
/// terminals, the pair, the sides of a larger system; what does not fit together, and which leads
/// to swap.

namespace yf::evaluation {

/// One driver of the round.
struct DriverPolarity {
    std::string cabinet;
    std::string driver;
    int drawn{1}; ///< of the network: −1 where it is drawn reversed
    edit::Direction onLugs{};
    edit::Direction throughNetwork{};
    std::optional<AlikeByTakes> byTakes; ///< re its twin; absent: it has none
};

/// One cabinet at its terminals: which way its lowest driver goes.
struct CabinetPolarity {
    std::string cabinet;
    edit::Direction atTerminals{};
};

struct PairPolarity {
    std::string left;
    std::string right;
    edit::Bass bass{};
    AlikeByTakes byTakes;
};

/// Something that does not fit, and what to do about it; a sentence each.
struct PolarityFault {
    std::string cabinet;
    std::string driver; ///< empty: about cabinets
    Words says;
    Words remedy;

    bool operator==(const PolarityFault&) const = default;
};

struct PolarityRound {
    std::vector<DriverPolarity> drivers;
    std::vector<CabinetPolarity> cabinets;
    std::vector<PairPolarity> pairs;
    edit::Bass sides{};               ///< of a system of several cabinets a side
    std::vector<StackByTakes> stacks; ///< of such a system, each side's cabinets two by two
    std::vector<PolarityFault> faults;
    bool complete{}; ///< every driver was tried on its lugs
};

/// From the battery's readings (on the lugs, at the terminals), the comparisons of bass, and takes.
///
/// Expected: direction through the network = direction on the lugs × drawn polarity; twins alike;
/// a pair whose bass is fuller with one side reversed has one side wired against the other. A
/// driver that moves inwards on its lugs is only a fault where its twin moves outwards: some makers
/// mark the other way (common practice). Takes of twins and of pairs tell their polarity against
/// each other (speaker::relativePolarity), takes of a side's cabinets whether these add up; where
/// two kinds of evidence contradict each other, that is said and nothing else. Round the four
/// corners of a system of two cabinets a side the signs must multiply to +1.
[[nodiscard]] PolarityRound polarityRound(const job::Job& job);

} // namespace yf::evaluation
