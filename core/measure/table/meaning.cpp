// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/meaning.h"

#include "core/quantity/level.h"

#include <algorithm>
#include <iterator>
#include <numbers>

namespace yf::measure {

namespace {

using enum Meaning;
using Role = ColumnRole;
using Of = ColumnOf;

constexpr double degree = std::numbers::pi / 180.0;
constexpr double perTurn = 0.5 / std::numbers::pi;

constexpr MeaningInfo list[] = {
    {unused, "unused", Role::unused, Of::none, 1.0, false, YF_WORDS("core", "not used")},
    {coherence, "coherence", Role::unused, Of::none, 1.0, false, YF_WORDS("core", "coherence")},
    {noise, "noise", Role::unused, Of::none, 1.0, false, YF_WORDS("core", "noise")},
    {distortion, "distortion", Role::unused, Of::none, 1.0, false, YF_WORDS("core", "distortion")},
    {delay, "delay", Role::unused, Of::none, 1.0, false, YF_WORDS("core", "delay")},
    {index, "index", Role::unused, Of::none, 1.0, false, YF_WORDS("core", "row number")},
    {words, "words", Role::unused, Of::none, 1.0, false, YF_WORDS("core", "words")},
    {hertz, "hz", Role::frequency, Of::none, 1.0, false, YF_WORDS("core", "frequency in Hz")},
    {kilohertz, "khz", Role::frequency, Of::none, 1e3, false, YF_WORDS("core", "frequency in kHz")},
    {angular,
     "rad_per_s",
     Role::frequency,
     Of::none,
     perTurn,
     false,
     YF_WORDS("core", "frequency in rad/s")},
    {logHertz,
     "log10_hz",
     Role::frequency,
     Of::none,
     1.0,
     true,
     YF_WORDS("core", "logarithm of the frequency")},
    {decibel, "db", Role::value, Of::pressure, 1.0, true, YF_WORDS("core", "level in dB")},
    {pascal, "pa", Role::value, Of::pressure, 1.0, false, YF_WORDS("core", "pressure in Pa")},
    {millipascal,
     "mpa",
     Role::value,
     Of::pressure,
     1e-3,
     false,
     YF_WORDS("core", "pressure in mPa")},
    {volt, "v", Role::value, Of::relative, 1.0, false, YF_WORDS("core", "volts")},
    {millivolt, "mv", Role::value, Of::relative, 1e-3, false, YF_WORDS("core", "millivolts")},
    {ratio, "ratio", Role::value, Of::relative, 1.0, false, YF_WORDS("core", "ratio")},
    {ohm, "ohm", Role::value, Of::impedance, 1.0, false, YF_WORDS("core", "ohms")},
    {milliohm, "mohm", Role::value, Of::impedance, 1e-3, false, YF_WORDS("core", "milliohms")},
    {kiloohm, "kohm", Role::value, Of::impedance, 1e3, false, YF_WORDS("core", "kiloohms")},
    {decibelOhm, "db_ohm", Role::value, Of::impedance, 1.0, true, YF_WORDS("core", "dB of ohms")},
    {degrees, "deg", Role::phase, Of::none, degree, false, YF_WORDS("core", "phase in degrees")},
    {radians, "rad", Role::phase, Of::none, 1.0, false, YF_WORDS("core", "phase in radians")},
    {realOhm,
     "re_ohm",
     Role::real,
     Of::impedance,
     1.0,
     false,
     YF_WORDS("core", "resistance in ohms")},
    {imaginaryOhm,
     "im_ohm",
     Role::imaginary,
     Of::impedance,
     1.0,
     false,
     YF_WORDS("core", "reactance in ohms")},
    {realMilliohm,
     "re_mohm",
     Role::real,
     Of::impedance,
     1e-3,
     false,
     YF_WORDS("core", "resistance in milliohms")},
    {imaginaryMilliohm,
     "im_mohm",
     Role::imaginary,
     Of::impedance,
     1e-3,
     false,
     YF_WORDS("core", "reactance in milliohms")},
    {realKiloohm,
     "re_kohm",
     Role::real,
     Of::impedance,
     1e3,
     false,
     YF_WORDS("core", "resistance in kiloohms")},
    {imaginaryKiloohm,
     "im_kohm",
     Role::imaginary,
     Of::impedance,
     1e3,
     false,
     YF_WORDS("core", "reactance in kiloohms")},
    {realPascal,
     "re_pa",
     Role::real,
     Of::pressure,
     1.0,
     false,
     YF_WORDS("core", "real part in Pa")},
    {imaginaryPascal,
     "im_pa",
     Role::imaginary,
     Of::pressure,
     1.0,
     false,
     YF_WORDS("core", "imaginary part in Pa")},
    {realMillipascal,
     "re_mpa",
     Role::real,
     Of::pressure,
     1e-3,
     false,
     YF_WORDS("core", "real part in mPa")},
    {imaginaryMillipascal,
     "im_mpa",
     Role::imaginary,
     Of::pressure,
     1e-3,
     false,
     YF_WORDS("core", "imaginary part in mPa")},
    {realRatio,
     "re_ratio",
     Role::real,
     Of::relative,
     1.0,
     false,
     YF_WORDS("core", "real part of a ratio")},
    {imaginaryRatio,
     "im_ratio",
     Role::imaginary,
     Of::relative,
     1.0,
     false,
     YF_WORDS("core", "imaginary part of a ratio")},
};

static_assert(list[static_cast<std::size_t>(imaginaryRatio)].meaning == imaginaryRatio,
              "the list stands in the order of the enumeration");

} // namespace

std::span<const MeaningInfo> meanings() {
    return list;
}

const MeaningInfo& infoOf(Meaning meaning) {
    return list[static_cast<std::size_t>(meaning)];
}

std::optional<Meaning> meaningNamed(std::string_view word) {
    const auto* found = std::ranges::find(list, word, &MeaningInfo::word);
    return found == std::end(list) ? std::nullopt : std::optional(found->meaning);
}

} // namespace yf::measure
