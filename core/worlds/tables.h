// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/worlds/truth.h"

#include <cstdint>
#include <string>
#include <vector>

/// Truths that share no code and no model with what they judge: nothing here includes anything of
/// the project but this folder, and only trials and tests include it (tools/check_layers.py).
namespace worlds {

/// A table as somebody's program or hand wrote it, and what it means.
struct ForeignTable {
    std::string bytes;
    std::string content;
    std::string header;
    std::string form; ///< delimiter, decimal, encoding, order, defect
    std::vector<TrueCurve> curves;
    bool readable{}; ///< a careful person who sees only these bytes would know
};

/// How many contents and header styles there are; their product is the list of kinds.
[[nodiscard]] int contentCount();
[[nodiscard]] int headerCount();

/// The table of one content and header style; delimiter, decimals, encoding, order of columns, unit
/// of the frequencies, defect and the curves themselves are drawn.
///
/// Curves: a loudspeaker as chains of resonances with flight time, either polarity, a reflection
/// and scatter; an impedance with a semi-inductance of any exponent, creep, box and break-up bumps.
[[nodiscard]] ForeignTable foreignTable(int content, int header, std::uint64_t seed);

} // namespace worlds
