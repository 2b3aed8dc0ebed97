// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/table/grid.h"
#include "core/measure/table/meaning.h"

#include <optional>
#include <vector>

namespace yf::measure {

/// What a decision about a column rests on.
enum class Basis { hand, name, numbers };

/// What is known beforehand. A meaning for each column, where somebody chose one.
struct ReadingWishes {
    std::vector<std::optional<Meaning>> meanings;
    std::optional<ColumnOf> of; ///< impedance, or pressure for levels
    std::optional<Meaning> frequencyUnit;
    std::optional<Meaning> phaseUnit;
    std::optional<std::size_t> valueColumn;
    std::optional<std::size_t> phaseColumn;
    bool noPhase{};
};

} // namespace yf::measure
