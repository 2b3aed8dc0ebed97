// SPDX-License-Identifier: GPL-3.0-or-later
#include "devices/stand_in_meter.h"

#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <numbers>

namespace yf::devices {

namespace {

constexpr double testDrive = 0.3; // V rms, of the LCR meter
constexpr const char* overload = "+9.90000000E+37";

std::string scientific(double value, int decimals) {
    char text[48];
    std::snprintf(text, sizeof text, "%+.*E", decimals, value);
    return text;
}

std::string plain(double value, int decimals) {
    return text::printFixed(value, decimals);
}

} // namespace

StandInMeter::StandInMeter(MeterKind kind, sim::Specimen specimen, std::uint64_t seed)
    : kind_(kind), specimen_(std::move(specimen)), random_(seed) {
    meter_ = kind == MeterKind::ohms
                 ? sim::Meter{0.01, 1.0 + 0.003 * random_.normal(), 0.001, 0.3}
                 : sim::Meter{0.01, 1.0 + 0.002 * random_.normal(), 0.001, 0.08};
}

std::optional<double> StandInMeter::ohms() {
    if (mischief == Mischief::overload) {
        return std::nullopt;
    }
    const std::optional<double> truth =
        together_ ? std::optional(0.0) : sim::dcr(specimen_, bench::Place::driver);
    const auto shown = sim::read(meter_, truth, random_);
    return shown ? std::optional(std::max(0.0, *shown)) : std::nullopt;
}

StandInMeter::Pair StandInMeter::pair() {
    if (mischief == Mischief::overload) {
        return {};
    }
    std::optional<sim::Complex> Z = sim::Complex{};
    if (!together_) {
        Z = sim::impedance(specimen_, bench::Place::driver, frequency_, testDrive);
    }
    if (!Z) {
        return {};
    }
    const double noise = 1.0 + meter_.noise * random_.normal();
    return {sim::read(meter_, Z->real(), random_),
            Z->imag() / (2.0 * std::numbers::pi * frequency_) * meter_.gain * noise};
}

std::string StandInMeter::answer(std::string_view line) {
    const auto is = [&](std::string_view command) { return line == command; };
    if (mischief == Mischief::silence) {
        return {};
    }
    if (mischief == Mischief::garbage && (is("READ?") || is("FETC?"))) {
        return "\x01\x7f#!gr\x02p";
    }
    if (is("*IDN?")) {
        return kind_ == MeterKind::ohms ? "Yellowfront,stand-in multimeter,0,1"
                                        : "Yellowfront,stand-in LCR meter,0,1";
    }
    if (is("SYST:ERR?")) {
        return nextError();
    }
    if (is("SIM:TIPS TOGETHER") || is("SIM:TIPS DRIVER")) {
        together_ = line.ends_with("TOGETHER");
        return {};
    }
    const auto said = kind_ == MeterKind::ohms ? answerOhms(line) : answerPair(line);
    if (!said) {
        errors_.emplace_back("-113,\"Undefined header\"");
    }
    return said.value_or(std::string{});
}

std::string StandInMeter::nextError() {
    if (errors_.empty()) {
        return "0,\"No error\"";
    }
    std::string first = errors_.front();
    errors_.pop_front();
    return first;
}

std::optional<std::string> StandInMeter::answerOhms(std::string_view line) {
    const bool wrong = mischief == Mischief::wrongUnit;
    if (line == "CONF:RES") {
        return "";
    }
    if (line == "FUNC?") {
        return wrong ? "\"VOLT\"" : "\"RES\"";
    }
    if (line != "READ?") {
        return std::nullopt;
    }
    if (wrong) {
        return "+1.20E-02 V";
    }
    const auto shown = ohms();
    return shown ? scientific(*shown, *shown >= 10.0 ? 3 : 2) : overload;
}

std::optional<std::string> StandInMeter::answerPair(std::string_view line) {
    if (line == "FUNC:IMP?") {
        return mischief == Mischief::wrongUnit ? "CPD" : "LSRS";
    }
    if (line == "FREQ?") {
        return scientific(frequency_, 3);
    }
    if (line.starts_with("FREQ ")) {
        const auto wanted = text::parseNumber(line.substr(5));
        if (wanted && *wanted >= 100.0 && *wanted <= 1e5) {
            frequency_ = *wanted;
        } else {
            errors_.emplace_back("-222,\"Data out of range\"");
        }
        return "";
    }
    if (line != "FETC?") {
        return std::nullopt;
    }
    const Pair shown = pair();
    return shown.r ? scientific(shown.l, 3) + "," + scientific(*shown.r, 3) + ",+0"
                   : std::string(overload) + "," + overload + ",+1";
}

std::string StandInMeter::streamed() {
    if (mischief == Mischief::garbage) {
        return "\x02\x03~~";
    }
    if (mischief == Mischief::wrongUnit) {
        return "R 0.012 V";
    }
    if (kind_ == MeterKind::ohms) {
        const auto shown = ohms();
        return "R " + (shown ? plain(*shown, 2) : std::string("OL")) + " ohm";
    }
    const Pair shown = pair();
    return "LCR " + plain(frequency_, 0) + " Hz " + (shown.r ? plain(*shown.r, 2) : "OL") +
           " ohm " + (shown.r ? plain(shown.l, 7) : "0") + " H series";
}

} // namespace yf::devices
