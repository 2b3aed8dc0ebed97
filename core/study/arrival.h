// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/cabinet_result.h"
#include "core/job/job.h"

#include <optional>
#include <string>
#include <vector>

/// When neighbours arrive, by every way that the takes allow, and where the listener should be.

namespace yf::study {

/// Arrival of the upper of two neighbours after the lower, by one method.
struct Arrival {
    enum class Method { common, threeTakes, geometry } method{};
    std::optional<double> delay; ///< s; absent: not known this way
    double u{};                  ///< s, standard uncertainty
    bool ambiguous{};
    Words missing; ///< what take it needs, in words
};

/// A take that would settle it: one driver alone, or two together.
struct TakeWanted {
    std::string driver;
    std::string also; ///< empty: alone

    bool operator==(const TakeWanted&) const = default;
};

struct ArrivalStudy {
    std::size_t lower{};
    std::size_t upper{};
    double fx{};
    std::vector<Arrival> ways; ///< one for each method
    Words advice;              ///< which take to repeat, or why they differ; empty: they agree
    std::optional<TakeWanted> wanted; ///< by the advice, or as a second witness
};

/// By the common reference: delay in excess of each one's minimum phase. By three takes: each alone
/// and both together (a take that says `also`). By depth: a cone's joint lies a fifth of its
/// diameter behind the front, a dome's effective centre 2 mm before it (rules of thumb, ±10 mm).
[[nodiscard]] std::vector<ArrivalStudy>
arrivals(const job::Job& job, const job::Cabinet& cabinet, const evaluation::CabinetResult& result);

/// Which side the listener should be on for a driver off the middle: both layouts of a mirrored
/// pair, by the direct sound at the listening angle and what goes to the side wall.
struct SideAdvice {
    double inside{};     ///< dB rms from flat over fx/2 … 2fx, tweeters towards the middle
    double outside{};    ///< dB rms, tweeters outside
    double wallInside{}; ///< dB, level sent to the first side wall re the direct
    double wallOutside{};
    bool preferInside{};
};

[[nodiscard]] std::optional<SideAdvice> sideAdvice(const job::Job& job,
                                                   const job::Cabinet& cabinet,
                                                   const evaluation::CabinetResult& result);

} // namespace yf::study
