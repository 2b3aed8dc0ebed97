// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <optional>
#include <string>

namespace yf::bench {

/// The motional peak of an impedance curve.
struct ImpedancePeak {
    double ohms{};
    double frequency{};
};

/// Two impedance sweeps of one driver, twenty decibels apart; nothing where it is open.
struct SweepPair {
    std::optional<ImpedancePeak> small;
    std::optional<ImpedancePeak> large;
};

/// Outcome of the check `impedance_sweep` against the twin or the data: open; level_dependent where
/// the peak grows by more than 15 % with the level (a rub: it shrinks where all is well);
/// peak_collapsed below three quarters of the reference; peak_shifted by more than 10 %;
/// as_expected. The limits leave room for the spread of production (common practice).
[[nodiscard]] std::string sweepOutcome(const SweepPair& seen, const ImpedancePeak& reference);

} // namespace yf::bench
