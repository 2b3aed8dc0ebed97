// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <optional>
#include <string_view>
#include <vector>

namespace yf::bench {

/// Readings as a person writes them off a meter.
struct WrittenOhms {
    std::vector<std::optional<double>> ohms; ///< absent: over range, the circuit is open
    double resolution{}; ///< Ω, finest last digit among them; 0 without numbers
};

/// "6.1 6.2 OL", "6,1; 6,2", "6R1", "0.47k 470", "open". Blanks, semicolons, and commas followed
/// by a blank part readings; a decimal comma stays inside its number. Over range: OL, 0L, O.L,
/// 0.L, over, open, inf, ∞. The last digit written is taken as the meter's resolution.
/// Errors on `readings`, naming the word that was not understood; nothing written at all.
[[nodiscard]] Result<WrittenOhms> readOhms(std::string_view text);

} // namespace yf::bench
