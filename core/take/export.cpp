// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/take/export.h"

#include "core/job/lookup.h"
#include "core/measure/table/touchstone.h"
#include "core/quantity/level.h"
#include "core/signal/wav.h"
#include "core/take/make.h"
#include "core/text/fields.h"
#include "core/text/number.h"

#include <cctype>
#include <cmath>

namespace yf::take {

namespace {

using text::Value;

bool hasPhase(const job::Take& take) {
    return take.curve->phase() != curve::Phase::none;
}

/// dB re 20 µPa, or ohms.
double shown(const job::Take& take, const curve::Complex& value) {
    return take.kind == job::TakeKind::impedance
               ? std::abs(value)
               : quantity::decibels(std::abs(value) / quantity::referencePressure);
}

std::string table(const job::Take& take) {
    constexpr int digits = 8;
    const curve::Range trusted = take.curve->trusted();
    std::string text = "# " + take.name + (take.date.empty() ? "" : ", " + take.date) + "\n";
    text += "# trusted from " + text::printNumber(trusted.from) + " to " +
            text::printNumber(trusted.to) + " Hz\n";
    text += take.kind == job::TakeKind::impedance ? "frequency_Hz\timpedance_ohm"
                                                  : "frequency_Hz\tlevel_dB";
    text += hasPhase(take) ? "\tphase_deg\n" : "\n";
    for (std::size_t k = 0; k < take.curve->size(); ++k) {
        const curve::Complex v = take.curve->values()[k];
        text += text::printNumber(take.curve->frequencies()[k]) + "\t" +
                text::printSignificant(shown(take, v), digits);
        text += hasPhase(take)
                    ? "\t" + text::printSignificant(std::arg(v) / quantity::degree, digits) + "\n"
                    : "\n";
    }
    return text;
}

std::string json(const job::Take& take) {
    std::vector<double> values;
    std::vector<double> phases;
    for (const curve::Complex& v : take.curve->values()) {
        values.push_back(shown(take, v));
        phases.push_back(std::arg(v) / quantity::degree);
    }
    Value::Object object{
        {"take", text::write(take)},
        {"frequencies_hz", take.curve->frequencies()},
        {take.kind == job::TakeKind::impedance ? "impedances_ohm" : "levels_db", values}};
    if (hasPhase(take)) {
        object.push_back({"phases_deg", phases});
    }
    object.push_back({"trusted_from_hz", take.curve->trusted().from});
    object.push_back({"trusted_to_hz", take.curve->trusted().to});
    return text::writeJson(object) + "\n";
}

Error cannot(const job::Take& take, const std::string& what, const std::string& allowed) {
    return {"take", "'" + take.name + "' " + what, allowed};
}

Result<TakeFile> sound(const job::Take& take, TakeFormat format) {
    if (!take.recording) {
        return cannot(take,
                      YF_WORDS("core", "holds no samples"),
                      YF_WORDS("core", "only a take recorded here does"));
    }
    const signal::Recording& recording = *take.recording;
    if (format == TakeFormat::recording) {
        std::vector<std::vector<double>> channels{recording.measured};
        if (!recording.reference.empty()) {
            channels.push_back(recording.reference);
        }
        return TakeFile{signal::writeWav(channels, recording.rate, signal::SampleFormat::float32),
                        "wav"};
    }
    YF_TRY(made, remakeTake(take));
    if (!made.impulse) {
        return cannot(take,
                      YF_WORDS("core", "is an impedance"),
                      YF_WORDS("core", "only a response has an impulse"));
    }
    return TakeFile{
        signal::writeWav(made.impulse->samples,
                         made.impulse->rate,
                         "time zero " + text::printNumber(made.impulse->timeZero) + " s"),
        "wav"};
}

} // namespace

Result<TakeFile> exportTake(const job::Take& take, TakeFormat format) {
    YF_EXPECT(take.curve != nullptr);
    switch (format) {
    case TakeFormat::table:
        return TakeFile{table(take), "txt"};
    case TakeFormat::json:
        return TakeFile{json(take), "json"};
    case TakeFormat::touchstone:
        if (take.kind != job::TakeKind::impedance) {
            return cannot(take,
                          YF_WORDS("core", "is a response"),
                          YF_WORDS("core", "Touchstone holds impedances"));
        }
        if (!hasPhase(take)) {
            return cannot(take,
                          YF_WORDS("core", "has no phase"),
                          YF_WORDS("core", "use the minimum phase first"));
        }
        return TakeFile{measure::writeTouchstone(*take.curve), "s1p"};
    case TakeFormat::impulse:
    case TakeFormat::recording:
        return sound(take, format);
    }
    return cannot(take, "", "");
}

std::string fileStem(const job::Job& job, const job::Take& take) {
    const job::TakeAbout about = job::aboutOf(job, take);
    const job::Recorded& r = take.recorded;
    std::string stem = about.driver.empty() ? about.cabinet : about.driver;
    stem += take.kind == job::TakeKind::impedance ? "-impedance"
            : r.place == job::MicPlace::nearCone  ? "-near-cone"
            : r.place == job::MicPlace::nearPort  ? "-near-port"
            : r.angle != 0.0 || r.samples.empty() ? ""
                                                  : "-axis";
    if (r.angle != 0.0) {
        stem += (r.plane == quantity::Plane::horizontal ? "_hor_" : "_ver_") +
                text::printNumber(r.angle);
    }
    std::string clean;
    for (const char c : stem) {
        const bool plain = std::isalnum(static_cast<unsigned char>(c)) != 0 || c == '_' || c == '.';
        clean += plain ? c : '-';
    }
    return clean + "-" + take.id;
}

} // namespace yf::take
