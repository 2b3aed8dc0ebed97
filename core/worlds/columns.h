// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/worlds/draws.h"
#include "core/worlds/truth.h"

#include <complex>
#include <string>
#include <vector>

/// What the columns of foreign tables hold, and how people call them.
namespace worlds {

using Complex = std::complex<double>;

/// What a column holds.
enum class Kind {
    frequency,
    decibel,
    degrees,
    unwrapped,
    radians,
    ohm,
    kiloohm,
    milliohm,
    decibelOhm,
    resistance,
    reactance,
    kiloResistance,
    kiloReactance,
    pascal,
    millipascal,
    millivolt,
    ratio,
    realPascal,
    imaginaryPascal,
    realRatio,
    imaginaryRatio,
    coherence,
    noise,
    distortion,
    groupDelay,
    index,
    flag
};

struct Column {
    Kind kind{};
    int curve{};
};

struct Content {
    const char* name;
    std::vector<Column> columns; ///< without the frequency
    int curves{1};
    bool blocks{};
    bool plain{}; ///< would be known without any words
};

[[nodiscard]] const std::vector<Content>& contents();

/// How frequencies are written.
enum class Scale { hertz, kilohertz, angular, logarithm };

struct Spelling {
    std::vector<const char*> names;
    std::vector<const char*> units;
};

/// Names and units that people write over a column (common practice).
[[nodiscard]] Spelling spellingOf(Kind kind, Scale scale);

[[nodiscard]] bool isOhms(Kind kind);
[[nodiscard]] bool isPhase(Kind kind);

[[nodiscard]] double scaled(double hertz, Scale scale);
[[nodiscard]] double hertzOf(double printed, Scale scale);

/// What stands in a column for a pressure or an impedance.
[[nodiscard]] double
valueOf(Kind kind, Complex h, double unwrappedPhase, double hertz, Draws& draws);

/// Digits behind the point.
[[nodiscard]] int digitsOf(Kind kind);

/// Puts what was printed into the last row of the truth.
void tell(TrueCurve& curve, Kind kind, double printed);

} // namespace worlds
