// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/evaluate.h"

/// Correction circuits for a lane, computed from the curves in sight.
namespace yf::study {

struct Helper {
    enum class Kind {
        pad,       ///< the way brought down to the quietest one
        flatten,   ///< R–C across the driver against its coil
        resonance, ///< R, L, C across the driver against its resonance
        peak,      ///< R, L, C in the line against a peak of the response
        step       ///< R ∥ L in the line against the front's step
    } kind{};
    std::vector<network::Slot> slots; ///< parts with bare letters
    bool atDriver{};                  ///< belongs right before the driver
    double dB{};                      ///< pad: attenuation; peak and step: height
    double frequency{};               ///< Hz; flatten: from where on
    std::string driver;               ///< id
};

/// Those that make sense for a way.
///
///     pad        the way's mean level where it is the loudest, over the least of those of all
///     ways,
///                0.5 dB and more; into |Z| in the middle of that band
///     flatten    fitted to the measured |Z| from its least value above resonance to 20 kHz
///     resonance  from fs, Qms and Qes as measured
///     peak       the highest point of the driver's response within a third of an octave of
///                `marked`, over the level between its feet an octave to each side; 1 dB and more
///     step       4 dB about 115 m/s over the front's width, for the lowest way (rule of thumb)
///
/// Empty where curves are missing, or the cabinet's network is no ladder.
[[nodiscard]] std::vector<Helper> helpersFor(const job::Job& job,
                                             const job::Cabinet& cabinet,
                                             const evaluation::Assembly& assembly,
                                             const evaluation::Evaluation& evaluation,
                                             std::size_t way,
                                             std::optional<double> marked);

/// Puts it into the way: at its place, or right before the driver.
[[nodiscard]] edit::Edit
addHelper(const std::string& cabinet, const network::SlotPlace& place, const Helper& helper);

} // namespace yf::study
