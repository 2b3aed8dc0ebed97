// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <optional>
#include <string>
#include <string_view>

/// Numbers as people write and read them.
namespace yf::text {

/// The shortest decimal text that reads back as the same double: "0.1", "4.7e-06".
[[nodiscard]] std::string printNumber(double value);

/// A plain number with a decimal point, the whole text or nothing; never by locale.
/// "nan", "inf", "+5" and hexadecimal are no numbers here.
[[nodiscard]] std::optional<double> parseNumber(std::string_view text);

/// What a field expects: the unit's letters decide which spellings are understood.
enum class Unit {
    none,
    ohm,
    henry,
    farad,
    hertz,
    volt,
    watt,
    metre,
    cubicMetre,
    decibel,
    degree,
    second,
    percent
};

/// Text as people type it, to SI: "6u8", "6.8 uF", "6,8 µF", "0.35mH", "3R3", "2k2", "12\"",
/// "31 cm", "1.2 cu ft", "-3 dB". Decimal comma and point mean the same; a number with both, or
/// with either twice, is refused instead of guessed (thousands separators are not read), and so
/// is a letter after the prefix that is not this field's unit.
///
/// bare: SI value of one unit where only a number stands (1e-6 for a capacitor: µF).
/// Prefixes p n u µ m k M G; case matters (m milli, M mega). Percent gives 0.05 for "5 %".
/// Fails with a subject of "value" and words for a person.
[[nodiscard]] Result<double> parseQuantity(std::string_view text, Unit unit, double bare = 1.0);

/// "6.8 µF", "3.31 Ω", "2.5 kHz": engineering prefix, thin space, `digits` significant digits,
/// trailing zeros off. `unit` as shown ("F", "Ω", "Hz").
[[nodiscard]] std::string printEngineering(double value, std::string_view unit, int digits = 3);

/// So many significant digits, no exponent, trailing zeros off: "0.35", "12.5".
[[nodiscard]] std::string printSignificant(double value, int digits);

/// A number with so many decimals and no exponent: "86.4", "-0.0" never.
[[nodiscard]] std::string printFixed(double value, int decimals);

/// U+202F, the narrow no-break space before a unit.
inline constexpr std::string_view thinSpace = "\u202F";

} // namespace yf::text
