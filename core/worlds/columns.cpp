// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/worlds/columns.h"

#include <cmath>
#include <numbers>

namespace worlds {

namespace {

constexpr double pi = std::numbers::pi;
constexpr double turn = 2.0 * std::numbers::pi;

} // namespace

const std::vector<Content>& contents() {
    using enum Kind;
    static const std::vector<Content> list = {
        {"level", {{decibel}}, 1, false, true},
        {"level, degrees", {{decibel}, {degrees}}, 1, false, true},
        {"level, radians", {{decibel}, {radians}}, 1, false, true},
        {"level, unwrapped degrees", {{decibel}, {unwrapped}}},
        {"pascals, degrees", {{pascal}, {degrees}}},
        {"millipascals, degrees", {{millipascal}, {degrees}}},
        {"millivolts, degrees", {{millivolt}, {degrees}}},
        {"ratio, radians", {{ratio}, {radians}}},
        {"real, imaginary pascals", {{realPascal}, {imaginaryPascal}}},
        {"real, imaginary ratio", {{realRatio}, {imaginaryRatio}}},
        {"ohms", {{ohm}}, 1, false, true},
        {"ohms, degrees", {{ohm}, {degrees}}, 1, false, true},
        {"ohms, radians", {{ohm}, {radians}}, 1, false, true},
        {"kiloohms, degrees", {{kiloohm}, {degrees}}},
        {"milliohms, degrees", {{milliohm}, {degrees}}},
        {"R, X", {{resistance}, {reactance}}},
        {"|Z|, R, X", {{ohm}, {resistance}, {reactance}}},
        {"R, X in kiloohms", {{kiloResistance}, {kiloReactance}}},
        {"dB of ohms, degrees", {{decibelOhm}, {degrees}}},
        {"level, degrees, coherence", {{decibel}, {degrees}, {coherence}}},
        {"coherence, level", {{coherence}, {decibel}}},
        {"level, noise", {{decibel}, {noise}}}, // of units alone: two levels
        {"level, degrees, distortion", {{decibel}, {degrees}, {distortion}}},
        {"level, degrees, delay", {{decibel}, {degrees}, {groupDelay}}},
        {"level, flag", {{decibel}, {flag}}},
        {"two levels", {{decibel, 0}, {decibel, 1}}, 2},
        {"three levels", {{decibel, 0}, {decibel, 1}, {decibel, 2}}, 3},
        {"two levels with degrees", {{decibel, 0}, {degrees, 0}, {decibel, 1}, {degrees, 1}}, 2},
        {"two impedances", {{ohm, 0}, {ohm, 1}}, 2},
        {"blocks of level, degrees", {{decibel}, {degrees}}, 2, true},
        {"blocks of ohms, degrees", {{ohm}, {degrees}}, 3, true},
        {"level, ohms, degrees", {{decibel, 0}, {ohm, 1}, {degrees, 1}}, 2},
    };
    return list;
}

Spelling spellingOf(Kind kind, Scale scale) {
    using enum Kind;
    switch (kind) {
    case frequency:
        switch (scale) {
        case Scale::hertz:
            return {{"Frequency", "Freq", "f", "Frequenz", "frequency", "FREQ"}, {"Hz", "hz"}};
        case Scale::kilohertz:
            return {{"Frequency", "Freq", "f", "Frequenz"}, {"kHz", "khz"}};
        case Scale::angular:
            return {{"omega", "Angular frequency", "w"}, {"rad/s", "1/s"}};
        case Scale::logarithm:
            return {{"log10(f)", "lg f", "log frequency"}, {"log Hz", "dec"}};
        }
        break;
    case decibel:
        return {{"SPL", "Level", "Pegel", "Magnitude", "Amplitude", "Response", "Left", "mag"},
                {"dB", "dB SPL", "dBSPL", "dB re 20 uPa"}};
    case degrees:
    case unwrapped:
        return {{"Phase", "phase", "Phi", "Angle", "Winkel"}, {"deg", "°", "degrees", "Grad"}};
    case radians:
        return {{"Phase", "phase", "phi", "Angle"}, {"rad", "radians", "Rad", "radian"}};
    case ohm:
        return {{"Impedance", "|Z|", "Z", "Impedanz", "Magnitude", "Zmag"},
                {"Ohm", "Ohms", "ohm", "\xCE\xA9"}};
    case kiloohm:
        return {{"Impedance", "|Z|", "Impedanz"}, {"kOhm", "k\xCE\xA9"}};
    case milliohm:
        return {{"Impedance", "|Z|", "Impedanz"}, {"mOhm", "m\xCE\xA9", "milliohm"}};
    case decibelOhm:
        return {{"Impedance", "|Z|"}, {"dBOhm", "dB re 1 Ohm", "dB\xCE\xA9"}};
    case resistance:
        return {{"R", "Re(Z)", "Real", "Resistance", "Rs", "Realteil"}, {"Ohm", "ohm"}};
    case reactance:
        return {{"X", "Im(Z)", "Imag", "Reactance", "Xs", "Imagin\xC3\xA4rteil"}, {"Ohm", "ohm"}};
    case kiloResistance:
        return {{"R", "Re(Z)", "Resistance"}, {"kOhm"}};
    case kiloReactance:
        return {{"X", "Im(Z)", "Reactance"}, {"kOhm"}};
    case pascal:
        return {{"Pressure", "p", "Schalldruck", "Sound pressure"}, {"Pa"}};
    case millipascal:
        return {{"Pressure", "p", "Schalldruck"}, {"mPa"}};
    case millivolt:
        return {{"Voltage", "U", "Spannung", "Output"}, {"mV"}};
    case ratio:
        return {{"Ratio", "|H|", "Gain", "Transfer function"}, {"V/V", "linear"}};
    case realPascal:
        return {{"Re", "Real", "Re(p)"}, {"Pa"}};
    case imaginaryPascal:
        return {{"Im", "Imag", "Im(p)"}, {"Pa"}};
    case realRatio:
        return {{"Re(H)", "Real", "re"}, {"V/V", "linear"}};
    case imaginaryRatio:
        return {{"Im(H)", "Imaginary", "im"}, {"V/V", "linear"}};
    case coherence:
        return {{"Coherence", "Coh", "Kohaerenz", "gamma2"}, {"", "1"}};
    case noise:
        return {{"Noise", "Noise floor", "Rauschen"}, {"dB", "dB SPL"}};
    case distortion:
        return {{"THD", "Distortion", "Klirr"}, {"%", "dB"}};
    case groupDelay:
        return {{"Group delay", "GD", "Laufzeit", "Delay"}, {"ms", "s"}};
    case index:
        return {{"No", "Index", "#", "Point", "Nr"}, {"", ""}};
    case flag:
        return {{"Status", "Flag", "Note"}, {"", ""}};
    }
    return {};
}

double scaled(double f, Scale scale) {
    switch (scale) {
    case Scale::hertz:
        return f;
    case Scale::kilohertz:
        return f / 1000.0;
    case Scale::angular:
        return turn * f;
    case Scale::logarithm:
        return std::log10(f);
    }
    return f;
}

double hertzOf(double printed, Scale scale) {
    switch (scale) {
    case Scale::hertz:
        return printed;
    case Scale::kilohertz:
        return printed * 1000.0;
    case Scale::angular:
        return printed / turn;
    case Scale::logarithm:
        return std::pow(10.0, printed);
    }
    return printed;
}

bool isOhms(Kind kind) {
    using enum Kind;
    return kind == ohm || kind == kiloohm || kind == milliohm || kind == decibelOhm ||
           kind == resistance || kind == reactance || kind == kiloResistance ||
           kind == kiloReactance;
}

double valueOf(Kind kind, Complex h, double unwrappedPhase, double f, Draws& draws) {
    using enum Kind;
    constexpr double degree = 180.0 / pi;
    switch (kind) {
    case decibel:
        return 20.0 * std::log10(std::abs(h) / 20e-6);
    case degrees:
        return std::arg(h) * degree;
    case unwrapped:
        return unwrappedPhase * degree;
    case radians:
        return std::arg(h);
    case ohm:
    case pascal:
        return std::abs(h);
    case kiloohm:
        return std::abs(h) / 1000.0;
    case milliohm:
    case millipascal:
        return std::abs(h) * 1000.0;
    case decibelOhm:
        return 20.0 * std::log10(std::abs(h));
    case resistance:
    case realPascal:
        return h.real();
    case reactance:
    case imaginaryPascal:
        return h.imag();
    case kiloResistance:
        return h.real() / 1000.0;
    case kiloReactance:
        return h.imag() / 1000.0;
    case millivolt:
        return std::abs(h) * 12.5;
    case ratio:
        return std::abs(h) * 0.8;
    case realRatio:
        return h.real() * 0.8;
    case imaginaryRatio:
        return h.imag() * 0.8;
    case coherence:
        return 1.0 - 0.08 * draws.share() * draws.share();
    case noise:
        return 34.0 - 4.0 * std::log10(f) + draws.scatter();
    case distortion:
        return 0.4 + 30.0 / f + 0.05 * draws.share();
    case groupDelay:
        return 1.2 + 60.0 / f;
    default:
        return 0.0;
    }
}

int digitsOf(Kind kind) {
    using enum Kind;
    switch (kind) {
    case kiloohm:
    case kiloResistance:
    case kiloReactance:
    case pascal:
    case realPascal:
    case imaginaryPascal:
    case ratio:
    case realRatio:
    case imaginaryRatio:
        return 7;
    case radians:
    case ohm:
    case decibelOhm:
    case coherence:
    case millipascal:
    case millivolt:
    case resistance:
    case reactance:
        return 4;
    default:
        return 3;
    }
}

bool isPhase(Kind kind) {
    return kind == Kind::degrees || kind == Kind::unwrapped || kind == Kind::radians;
}

void tell(TrueCurve& curve, Kind kind, double printed) {
    using enum Kind;
    constexpr double degree = 180.0 / pi;
    const auto join = [&](double real, double imaginary, bool ohms) {
        const Complex h(real, imaginary);
        curve.values.back() = ohms ? std::abs(h) : 20.0 * std::log10(std::abs(h) / 20e-6);
        curve.degrees.back() = std::arg(h) * degree;
    };
    switch (kind) {
    case decibel:
        curve.values.back() = printed;
        break;
    case degrees:
    case unwrapped:
        curve.degrees.back() = printed;
        break;
    case radians:
        curve.degrees.back() = printed * degree;
        break;
    case ohm:
        curve.values.back() = printed;
        break;
    case kiloohm:
        curve.values.back() = printed * 1000.0;
        break;
    case milliohm:
        curve.values.back() = printed / 1000.0;
        break;
    case decibelOhm:
        curve.values.back() = std::pow(10.0, printed / 20.0);
        break;
    case pascal:
        curve.values.back() = 20.0 * std::log10(printed / 20e-6);
        break;
    case millipascal:
        curve.values.back() = 20.0 * std::log10(printed / 20e-3);
        break;
    case millivolt:
    case ratio:
        curve.values.back() = 20.0 * std::log10(printed);
        break;
    case resistance:
    case kiloResistance:
    case realPascal:
    case realRatio:
        curve.degrees.back() = printed; // until the other part comes
        break;
    case reactance:
        join(curve.degrees.back(), printed, true);
        break;
    case kiloReactance:
        join(curve.degrees.back() * 1000.0, printed * 1000.0, true);
        break;
    case imaginaryPascal:
    case imaginaryRatio:
        join(curve.degrees.back(), printed, false);
        break;
    default:
        break;
    }
}

} // namespace worlds
