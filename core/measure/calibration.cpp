// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/calibration.h"

#include "core/measure/table/import.h"
#include "core/quantity/level.h"
#include "core/signal/spectrum.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::measure {

using curve::Complex;

Complex MicrophoneTable::at(double f) const {
    const auto& axis = deviation.frequencies();
    const auto& v = deviation.values();
    if (f <= axis.front()) {
        return v.front();
    }
    if (f >= axis.back()) {
        return v.back();
    }
    const auto above = std::ranges::upper_bound(axis, f);
    const auto i = static_cast<std::size_t>(above - axis.begin());
    const double t = std::log(f / axis[i - 1]) / std::log(axis[i] / axis[i - 1]);
    const double level = (1.0 - t) * std::log(std::abs(v[i - 1])) + t * std::log(std::abs(v[i]));
    const double turn = std::arg(v[i] * std::conj(v[i - 1]));
    return std::polar(std::exp(level), std::arg(v[i - 1]) + t * turn);
}

namespace {

/// The levels alone where only what the further columns are is open: files of microphones have
/// columns without names as a rule. Nothing where the levels are open too.
std::optional<ImportedTable> levelsAlone(const ImportRequest& request) {
    const auto preview = previewTable(request);
    if (!preview || (preview->answers.size() < 2 && preview->curves.size() < 2)) {
        return std::nullopt;
    }
    std::string meanings;
    bool any = false;
    for (const ColumnReading& column : preview->columns) {
        const bool level = column.meaning == Meaning::decibel && !any;
        const bool frequency = infoOf(column.meaning).role == ColumnRole::frequency;
        if (any && column.meaning == Meaning::decibel && column.basis == Basis::name) {
            return std::nullopt; // two deviations by name: which one is for a person to say
        }
        any = any || level;
        meanings += (meanings.empty() ? "" : ",") +
                    std::string(level || frequency ? infoOf(column.meaning).word : "unused");
    }
    ImportRequest again = request;
    again.meanings = meanings;
    auto table = any ? importTable(again) : Result<ImportedTable>(Error{});
    return table ? std::optional(std::move(*table)) : std::nullopt;
}

} // namespace

Result<MicrophoneTable> readMicrophone(const std::string& text, const std::string& key) {
    const ImportRequest request{.text = text, .quantity = QuantityChoice::level};
    auto table = importTable(request);
    bool phaseOpen = false;
    if (!table) {
        if (auto alone = levelsAlone(request)) {
            table = std::move(*alone);
            phaseOpen = table->columns > 2;
        }
    }
    if (!table) {
        Error error = table.error();
        error.given = error.subject == "text"
                          ? error.given
                          : say(YF_WORDS("core", "%1: %2"), error.subject, error.given);
        error.subject = key;
        return error;
    }
    std::vector<Complex> values;
    for (std::size_t i = 0; i < table->levels->size(); ++i) {
        values.push_back(std::polar(quantity::gain((*table->levels)[i]),
                                    table->phases ? (*table->phases)[i] : 0.0));
    }
    constexpr double widest = 15.0; // dB
    const auto [least, most] = std::ranges::minmax(*table->levels);
    return MicrophoneTable{curve::Curve(table->frequencies,
                                        std::move(values),
                                        table->phases ? curve::Phase::own : curve::Phase::none),
                           most - least > widest,
                           phaseOpen};
}

Result<CalibratorFound> calibrate(const std::vector<double>& recording, double rate, double level) {
    constexpr double shortest = 0.5; // s
    const double length = static_cast<double>(recording.size()) / rate;
    if (length < shortest) {
        return Error{YF_WORDS("core", "calibrator"),
                     say(YF_WORDS("core", "%1 s recorded"), text::printFixed(length, 2)),
                     YF_WORDS("core", "must be 0.5 s or more")};
    }
    const std::size_t padded = signal::goodLength(recording.size());
    auto spectrum = signal::transform(recording, padded);
    const double bin = rate / static_cast<double>(padded);
    double whole = 0.0;
    std::size_t top = 0;
    constexpr double lowest = 200.0;
    constexpr double highest = 2500.0;
    for (std::size_t k = 1; k < spectrum.size(); ++k) {
        whole += std::norm(spectrum[k]);
        const double f = static_cast<double>(k) * bin;
        if (f > lowest && f < highest &&
            (top == 0 || std::norm(spectrum[k]) > std::norm(spectrum[top]))) {
            top = k;
        }
    }
    const double f0 = static_cast<double>(top) * bin;
    constexpr double side = 0.1;
    double inside = 0.0;
    for (std::size_t k = 0; k < spectrum.size(); ++k) {
        if (std::abs(static_cast<double>(k) * bin - f0) <= side * f0) {
            inside += std::norm(spectrum[k]);
        } else {
            spectrum[k] = {};
        }
    }
    if (!(inside > 0.0)) {
        return Error{YF_WORDS("core", "calibrator"),
                     YF_WORDS("core", "nothing was heard"),
                     YF_WORDS("core", "must be a steady tone")};
    }
    auto tone = signal::transformBack(spectrum, padded);
    tone.resize(recording.size());
    const double over = 10.0 * std::log10(inside / std::max(whole - inside, 1e-15 * whole));
    constexpr double leastOver = 30.0;
    if (over < leastOver) {
        return Error{YF_WORDS("core", "calibrator"),
                     say(YF_WORDS("core", "the tone is only %1 dB above the rest"),
                         text::printFixed(over, 0)),
                     YF_WORDS("core", "must be 30 dB or more above it")};
    }
    // Tenths of a second, without the band-pass' own ends.
    const auto block = static_cast<std::size_t>(0.1 * rate);
    std::vector<double> sizes;
    double sum = 0.0;
    std::size_t count = 0;
    for (std::size_t n = block; n + 2 * block <= tone.size(); n += block) {
        double energy = 0.0;
        for (std::size_t i = n; i < n + block; ++i) {
            energy += tone[i] * tone[i];
        }
        sizes.push_back(std::sqrt(energy / static_cast<double>(block)));
        sum += energy;
        count += block;
    }
    const auto [least, most] = std::ranges::minmax(sizes);
    const double steadiness = 20.0 * std::log10(most / least);
    constexpr double steady = 0.1;
    if (!(steadiness <= steady)) {
        return Error{
            YF_WORDS("core", "calibrator"),
            say(YF_WORDS("core", "the tone changed by %1 dB"), text::printFixed(steadiness, 2)),
            YF_WORDS("core", "must be steady within 0.1 dB: seat the microphone again")};
    }
    const double rms = std::sqrt(sum / static_cast<double>(count));
    return CalibratorFound{.fullScale = quantity::referencePressure * quantity::gain(level) / rms,
                           .frequency = f0,
                           .steadiness = steadiness,
                           .overRest = over};
}

} // namespace yf::measure
