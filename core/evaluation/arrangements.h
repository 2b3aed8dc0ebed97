// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/intake.h"

namespace yf::evaluation {

/// An arrangement and the load that it would be.
struct ArrangementChoice {
    edit::Arrangement arrangement;
    std::optional<double> nominal; ///< Ω, from what is printed
    std::optional<double> least;   ///< Ω, from the measured impedance, 20 Hz to 20 kHz
    std::optional<double> leastAt; ///< Hz
    bool safe{};                   ///< for an amplifier rated for `amplifierLeast`
};

/// Most amplifiers are rated down to this load (common practice).
inline constexpr double amplifierLeast = 4.0;

/// One to four units of a driver in every way of wiring them alike. Safe: least modulus at least
/// 80 % of `amplifierLeast` (IEC 60268-5 rates so); without a measurement the nominal impedance
/// decides.
[[nodiscard]] std::vector<ArrangementChoice> arrangements(const job::Job& job,
                                                          const std::string& driver);

} // namespace yf::evaluation
