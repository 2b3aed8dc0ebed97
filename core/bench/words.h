// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <string>
#include <string_view>

/// The bench's keys in words for people. Keys that a person added to the table are shown as they
/// stand, with spaces for underscores.
namespace yf::bench {

/// "shorted turns"
[[nodiscard]] std::string faultInWords(std::string_view fault);

/// "DC resistance"
[[nodiscard]] std::string checkInWords(std::string_view check);

/// "DC resistance low"
[[nodiscard]] std::string outcomeInWords(std::string_view check, std::string_view outcome);

/// One or two lines that are shown where the step is done.
[[nodiscard]] std::string cautionInWords(std::string_view caution);

/// What a check is for, in a sentence.
[[nodiscard]] std::string purposeInWords(std::string_view check);

/// How it is done: a few steps, one to a line.
[[nodiscard]] std::string stepsInWords(std::string_view check);

/// What mistakes people at this check.
[[nodiscard]] std::string pitfallInWords(std::string_view check);

/// What a fault means for the amplifier and for the owner.
[[nodiscard]] std::string consequenceInWords(std::string_view fault);

} // namespace yf::bench
