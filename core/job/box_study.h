// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/advise.h"
#include "core/box/align.h"
#include "core/box/driver_check.h"
#include "core/box/map.h"
#include "core/driver/library.h"
#include "core/job/box_state.h"

/// Questions about a job's box that take longer than a frame, or are asked on purpose.
namespace yf::job {

/// The map round a box: a quarter to four times its volume, 0.4 to 2 fs; for ported boxes and
/// closed ones alike (what a port would do).
[[nodiscard]] box::MapOrder mapOrder(const BoxResult& result);

[[nodiscard]] box::Wishes wishesOf(const Enclosure& enclosure);

/// A named shape on the map.
struct NamedBox {
    std::string name;
    double Vb{};
    double fb{};
};

[[nodiscard]] std::vector<NamedBox> namedBoxes(const BoxResult& result);

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
    std::string fsToFc; ///< a sentence: what a closed box does to the resonance
};

/// Both schools and the computed responses of what they name: the present box, closed and ported by
/// their flattest shapes, a passive radiator like the port, infinite and open baffle where Q
/// allows.
[[nodiscard]] BoxChoice
boxChoice(const Cabinet& cabinet, const Enclosure& enclosure, const BoxResult& result);

/// A driver of the library in this very box.
struct InThisBox {
    driver::LibraryEntry entry;
    box::Suitability suits;
    std::optional<box::Retuned> retuned;
    std::optional<double> lengthForRetuned; ///< m, of the port
    std::vector<double> levels;             ///< dB on the axis of the answer
    std::vector<std::string> sentences;     ///< what differs, what to change and what it brings
};

struct ReplacementStudy {
    curve::Axis axis;
    std::vector<double> old;           ///< levels of the driver that is there
    std::vector<InThisBox> candidates; ///< best first
};

/// Old and new in this box: wishes are what the old one gives (f3, sensitivity, Re, level).
[[nodiscard]] ReplacementStudy replacementsInBox(const Job& job,
                                                 const Cabinet& cabinet,
                                                 const Enclosure& enclosure,
                                                 const BoxResult& result,
                                                 const driver::Library& library);

/// Every impedance of a driver, those made in a box last: a table from elsewhere does not say how
/// it was made.
[[nodiscard]] std::vector<const Take*> impedanceTakes(const Job& job, const std::string& driver);

/// Impedance takes of a driver that were made in a box.
[[nodiscard]] std::vector<const Take*> boxTakes(const Job& job, const std::string& driver);

/// A take made in a box, read with nothing known beside it.
[[nodiscard]] Result<box::ReadBack> readTake(const Take& take);

/// A box read back from a take, with what the job knows of it. A take that does not say how the
/// driver stood is read as the kind of the enclosure.
[[nodiscard]] Result<box::ReadBack>
readBackOf(const Enclosure& enclosure, const BoxResult& result, const Take& take);

/// Braces spread evenly, as many as the allowance of volume permits and the panels need.
struct BraceAdvice {
    std::vector<double> at;     ///< m above the clear floor
    double share{};             ///< of the gross volume
    box::PanelResonance before; ///< of the largest panel as it stands
    box::PanelResonance after;  ///< the same, so braced
};

[[nodiscard]] std::optional<BraceAdvice> braceAdvice(const Enclosure& enclosure,
                                                     const BoxResult& result);

} // namespace yf::job
