// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/table/meaning.h"

#include <string>
#include <vector>

namespace yf::measure {

/// What a column's name says of it.
struct Heading {
    /// Meanings that it allows; empty: it says nothing.
    std::vector<Meaning> allowed;
    /// It names what is measured and not only a unit.
    bool named{};
    /// A unit stands in it: one meaning is left, or a real and an imaginary part of one unit.
    bool unit{};
    /// What tells curves of one file apart: the name without words and units that are understood.
    std::string label;
};

/// Reads a name with its unit in any of the ways that tables write it: "Freq. (Hz)", "SPL [dB]",
/// "f/Hz", "Re(Z)/Ohm", "Phase, deg", "|Z| in kΩ", "Schalldruckpegel dB re 20 µPa"; a name alone,
/// or a unit alone. English and German names (common practice). A unit behind a number is a value
/// ("at 1 kHz", "2.83 V") and says nothing.
[[nodiscard]] Heading readHeading(const std::string& name);

/// Whether lines of free text speak of ohms or impedance, or of levels and responses; nothing if of
/// neither or both.
[[nodiscard]] std::optional<ColumnOf> subjectOf(const std::vector<std::string>& lines);

} // namespace yf::measure
