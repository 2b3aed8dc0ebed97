// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/words.h"

#include <optional>
#include <span>
#include <string_view>

namespace yf::measure {

/// What a column of a table is to a curve.
enum class ColumnRole { unused, frequency, value, phase, real, imaginary };

/// Of what a column is a part.
enum class ColumnOf { none, impedance, pressure, relative };

/// What a column holds, with its unit.
enum class Meaning {
    unused,
    coherence,
    noise,
    distortion,
    delay,
    index,
    words,
    hertz,
    kilohertz,
    angular,
    logHertz,
    decibel,
    pascal,
    millipascal,
    volt,
    millivolt,
    ratio,
    ohm,
    milliohm,
    kiloohm,
    decibelOhm,
    degrees,
    radians,
    realOhm,
    imaginaryOhm,
    realMilliohm,
    imaginaryMilliohm,
    realKiloohm,
    imaginaryKiloohm,
    realPascal,
    imaginaryPascal,
    realMillipascal,
    imaginaryMillipascal,
    realRatio,
    imaginaryRatio
};

/// One line of the list of meanings.
struct MeaningInfo {
    Meaning meaning{};
    std::string_view word; ///< as requests name it
    ColumnRole role{};
    ColumnOf of{};
    double scale{1.0};     ///< to hertz, pascals, ohms, radians or 1, where linear
    bool logarithmic{};    ///< decibels, or log10 of hertz
    std::string_view said; ///< for a person
};

/// All of them, in the order of the enumeration.
[[nodiscard]] std::span<const MeaningInfo> meanings();

[[nodiscard]] const MeaningInfo& infoOf(Meaning meaning);

[[nodiscard]] std::optional<Meaning> meaningNamed(std::string_view word);

} // namespace yf::measure
