// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <array>
#include <string>
#include <string_view>
#include <vector>

namespace yf::bench {

/// What can be done about a driver or a speaker once its fault is known.
enum class Remedy { undecided, leave, clean, repair, recone, replaceOne, replaceSet };

inline constexpr std::array<std::string_view, 7> remedyNames{
    "undecided", "leave", "clean", "repair", "recone", "replace-one", "replace-set"};

/// The remedies that answer a fault, the gentlest first. `leave` is missing where an amplifier must
/// not meet the driver again (shorted turns, rub, open coil) and is the only one where the speaker
/// is not at fault. Common practice.
[[nodiscard]] std::vector<Remedy> remediesFor(std::string_view fault);

/// "repair it"
[[nodiscard]] std::string remedyInWords(Remedy remedy);

/// What it leaves unmatched, in a sentence.
[[nodiscard]] std::string unmatchedInWords(Remedy remedy);

} // namespace yf::bench
