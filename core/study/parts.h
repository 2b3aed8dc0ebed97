// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/evaluate.h"
#include "core/network/exchange/export.h"
#include "core/network/parts/e_series.h"

/// A network as things on a bench: what each part costs, bears and does to the sum when it is off.

namespace yf::study {

/// An air coil that has this inductance and this wire's resistance.
struct CoilMade {
    double wire{};     ///< m, bare
    double diameter{}; ///< m, outside
    double copper{};   ///< kg
};

/// Brooks shape, insulation 7 %: the resistance goes with d^−1.6. Nothing for a coil without a
/// resistance, or one that no round wire from 0.2 to 4 mm gives.
[[nodiscard]] std::optional<CoilMade> coilMadeFor(const network::Part& part);

struct StudiedPart {
    network::ListedPart listed;
    double atWorst{}; ///< dB, what its tolerance can do to the sum within the target's range
    std::optional<CoilMade> coil;
    std::optional<network::PairOfValues> pair; ///< where its value is 1 % or more off the series
};

struct PartsStudy {
    std::vector<StudiedPart> parts;
    double price{};
    double worst{};                  ///< dB, all parts at their limits, to first order
    std::vector<double> band;        ///< dB, the same at each point of the cabinet's axis
    std::optional<double> yield;     ///< share of draws that stay within the target's tolerance of
                                     ///< the nominal curve
    std::vector<std::string> causes; ///< up to three IDs that do most of it
    std::optional<Words> heard;      ///< why sum and tolerances are missing
};

/// At an EMF of programme; `runs` networks drawn (none: no yield). Fails where there is no
/// impedance to load the network with.
[[nodiscard]] Result<PartsStudy> partsStudy(const job::Job& job,
                                            const job::Cabinet& cabinet,
                                            const evaluation::Assembly& assembly,
                                            double voltage,
                                            network::ESeries series,
                                            int runs);

} // namespace yf::study
