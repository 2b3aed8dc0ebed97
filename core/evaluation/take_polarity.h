// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"
#include "core/speaker/relative_polarity.h"

/// Which of several drivers and cabinets is the wrong way round, from their takes.
namespace yf::evaluation {

/// Two that should sound alike, by a take of each.
struct AlikeByTakes {
    std::optional<speaker::RelativePolarity> found;
    Words missing; ///< what takes it needs; empty where `found` is there
};

/// Twin drivers, by the responses in use.
[[nodiscard]] AlikeByTakes
alikeByTakes(const job::Job& job, const job::Driver& one, const job::Driver& other);

/// The cabinets of a pair, by the last take of each as a whole.
[[nodiscard]] AlikeByTakes
alikeByTakes(const job::Job& job, const job::Cabinet& one, const job::Cabinet& other);

/// Two cabinets of one side that play one above the other (top and bass), by a take of each as a
/// whole with one time reference from one place.
struct StackByTakes {
    std::string lower; ///< cabinet
    std::string upper;
    std::optional<double> fx;       ///< Hz, where they hand over
    std::optional<double> flipGain; ///< dB that reversing one brings to the octave about it
    Words missing;                  ///< what it needs; empty where the two are there
};

[[nodiscard]] StackByTakes
stackByTakes(const job::Job& job, const job::Cabinet& one, const job::Cabinet& other);

} // namespace yf::evaluation
