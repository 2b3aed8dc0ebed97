// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/advise.h"
#include "core/box/align.h"
#include "core/box/driver_check.h"
#include "core/box/map.h"
#include "core/driver/library.h"
#include "core/evaluation/box_state.h"

/// Questions about a job's box that take longer than a frame, or are asked on purpose.

namespace yf::study {

/// The map round a box: a quarter to four times its volume, 0.4 to 2 fs; for ported boxes and
/// closed ones alike (what a port would do).
[[nodiscard]] box::MapOrder mapOrder(const evaluation::BoxResult& result);

[[nodiscard]] box::Wishes wishesOf(const job::Enclosure& enclosure);

/// A named shape on the map.
struct NamedBox {
    std::string name;
    double Vb{};
    double fb{};
};

[[nodiscard]] std::vector<NamedBox> namedBoxes(const evaluation::BoxResult& result);

/// A kind of box worth looking at for a driver, with its response.
struct BoxCandidate {
    box::Kind kind{};
    std::string name; ///< "QB3", "Qtc 0.71"
    double Vb{};      ///< m³; 0 without walls
    std::optional<double> fb;
    box::Summary summary;
    std::vector<double> levels;     ///< dB re 20 µPa on `axis`
    std::optional<double> maxLevel; ///< dB: least that travel and power allow from f3 to 200 Hz
};

struct BoxChoice {
    box::Advised advice;
    curve::Axis axis;
    std::vector<BoxCandidate> candidates;
    Words fsToFc; ///< a sentence: what a closed box does to the resonance
};

/// Both schools and the computed responses of what they name: the present box, closed and ported by
/// their flattest shapes, a passive radiator like the port, infinite and open baffle where Q
/// allows.
[[nodiscard]] BoxChoice boxChoice(const job::Cabinet& cabinet,
                                  const job::Enclosure& enclosure,
                                  const evaluation::BoxResult& result);

/// A driver of the library in this very box.
struct InThisBox {
    driver::LibraryEntry entry;
    box::Suitability suits;
    std::optional<box::Retuned> retuned;
    std::optional<double> lengthForRetuned; ///< m, of the port
    std::vector<double> levels;             ///< dB on the axis of the answer
    std::vector<Words> sentences;           ///< what differs, what to change and what it brings
};

struct ReplacementStudy {
    curve::Axis axis;
    std::vector<double> old;           ///< levels of the driver that is there
    std::vector<InThisBox> candidates; ///< best first
};

/// Old and new in this box: wishes are what the old one gives (f3, sensitivity, Re, level).
[[nodiscard]] ReplacementStudy replacementsInBox(const job::Job& job,
                                                 const job::Cabinet& cabinet,
                                                 const job::Enclosure& enclosure,
                                                 const evaluation::BoxResult& result,
                                                 const driver::Library& library);

/// A box read back from a take, with what the job knows of it. A take that does not say how the
/// driver stood is read as the kind of the enclosure.
[[nodiscard]] Result<box::ReadBack> readBackOf(const job::Enclosure& enclosure,
                                               const evaluation::BoxResult& result,
                                               const job::Take& take);

/// Braces spread evenly, as many as the allowance of volume permits and the panels need.
struct BraceAdvice {
    std::vector<double> at;     ///< m above the clear floor
    double share{};             ///< of the gross volume
    box::PanelResonance before; ///< of the largest panel as it stands
    box::PanelResonance after;  ///< the same, so braced
};

[[nodiscard]] std::optional<BraceAdvice> braceAdvice(const job::Enclosure& enclosure,
                                                     const evaluation::BoxResult& result);

} // namespace yf::study
