// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/directions.h"
#include "core/speaker/crossover.h"
#include "core/speaker/null_test.h"
#include "core/speaker/wiring.h"

/// Whether a cabinet's drivers pull together, and what would help.

namespace yf::study {

/// One way as a hand of the dial.
struct Hand {
    std::size_t way{};
    std::string name;
    curve::Complex pressure;
};

/// All ways at one frequency, and their sum; nothing outside the data.
struct DialState {
    double frequency{};
    std::vector<Hand> hands;
    curve::Complex sum;
};

[[nodiscard]] std::optional<DialState> dialAt(const evaluation::CabinetResult& result,
                                              double frequency);

/// What a change costs to try.
enum class Effort { free, part, wood };

/// One change by itself, and what it would bring, computed by the whole sum.
struct Remedy {
    edit::Edit edit;
    Effort effort{};
    double window{};                 ///< dB, by which the window gets flatter (rms about its mean)
    double axis{};                   ///< dB, likewise on the axis
    double impedance{};              ///< Ω, least |Z| with it
    std::optional<double> nullDepth; ///< dB, least of all crossovers
};

struct RemedyList {
    double window{}; ///< dB rms, of the listening window as it is, over the target's range
    double axis{};
    std::vector<Remedy> remedies; ///< those that help the window and harm neither axis (0.1 dB) nor
                                  ///< the amplifier (least |Z| under 3.2 Ω), best first
    int tried{};
};

/// Every way turned over; every part one and two steps of E12 up and down, and left out (an order
/// less); one order more on either side of each crossover (steeperWay); every way's level 1.5 and
/// 3 dB up and down (levelWay); every driver 20 mm up or down, and out or in by
/// 5 mm; one off the middle to the other side. Nothing that gives a driver the direct current which
/// a capacitor kept from it. All by the same sum over nine directions.
[[nodiscard]] RemedyList
remediesFor(const job::Job& job, const job::Cabinet& cabinet, const evaluation::Assembly& assembly);

/// The listening window of the cabinet with other networks, by the same sum: dB rms about its mean
/// over the target's range. Nothing where curves are missing or a network cannot be solved.
[[nodiscard]] std::vector<std::optional<double>>
windowErrors(const job::Job& job,
             const job::Cabinet& cabinet,
             const evaluation::Assembly& assembly,
             const std::vector<network::Circuit>& circuits);

} // namespace yf::study
