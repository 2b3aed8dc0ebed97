// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/lookup.h"
#include "core/job/store/read.h"

#include "core/job/store/schema.h"
#include "core/job/store/sqlite.h"
#include "core/text/fields.h"
#include "core/text/sentence.h"

#include <algorithm>
#include <cmath>

namespace yf::job::store {

namespace {

Result<curve::Curve> readCurve(sqlite3* database, const std::string& path, const std::string& key) {
    Statement statement(database,
                        "SELECT phase, trusted_from, trusted_to, frequencies, real_parts, "
                        "imaginary_parts FROM curve WHERE key = ?");
    statement.bind(1, key);
    if (!statement.step()) {
        return Error{path,
                     say(YF_WORDS("core", "curve %1 is missing"), key),
                     YF_WORDS("core", "the file is damaged")};
    }
    const auto* phase = std::ranges::find(phaseNames, statement.text(0));
    const auto frequencies = statement.numbers(3);
    const auto re = statement.numbers(4);
    const auto im = statement.numbers(5);
    const bool rising =
        std::ranges::adjacent_find(frequencies, std::greater_equal{}) == frequencies.end();
    const bool shaped =
        frequencies.size() >= 2 && frequencies.size() == re.size() && re.size() == im.size();
    // No import lets more in (measure/table/limits.h); older versions of the program did.
    constexpr double beyondMeasure = 1e7;
    const auto within = [](double v) { return std::abs(v) <= beyondMeasure; };
    const curve::Range trusted{statement.number(1), statement.number(2)};
    const Error damaged{path,
                        say(YF_WORDS("core", "curve %1 is not as it should be"), key),
                        YF_WORDS("core", "the file is damaged")};
    if (phase == std::end(phaseNames) || !shaped || !rising || !(frequencies.front() > 0.0) ||
        !std::ranges::all_of(frequencies, within) || !std::ranges::all_of(re, within) ||
        !std::ranges::all_of(im, within) || std::isnan(trusted.from) || std::isnan(trusted.to)) {
        return damaged;
    }
    std::vector<curve::Complex> values;
    for (std::size_t i = 0; i < re.size(); ++i) {
        values.emplace_back(re[i], im[i]);
    }
    curve::Curve curve(frequencies,
                       std::move(values),
                       static_cast<curve::Phase>(phase - std::begin(phaseNames)),
                       trusted);
    if (curveKey(curve) != key) {
        return damaged;
    }
    return curve;
}

std::vector<double> fromFloats(const std::string& bytes) {
    std::vector<double> samples(bytes.size() / sizeof(float));
    for (std::size_t n = 0; n < samples.size(); ++n) {
        float v{};
        std::memcpy(&v, bytes.data() + n * sizeof v, sizeof v);
        samples[n] = static_cast<double>(v);
    }
    return samples;
}

Result<signal::Recording>
readRecording(sqlite3* database, const std::string& path, const std::string& key) {
    Statement statement(database, "SELECT rate, measured, reference FROM recording WHERE key = ?");
    statement.bind(1, key);
    if (!statement.step()) {
        return Error{path,
                     say(YF_WORDS("core", "recording %1 is missing"), key),
                     YF_WORDS("core", "the file is damaged")};
    }
    signal::Recording recording{
        statement.number(0), fromFloats(statement.bytes(1)), fromFloats(statement.bytes(2))};
    const auto finite = [](double v) { return std::isfinite(v); };
    if (!(recording.rate > 0.0) || !std::ranges::all_of(recording.measured, finite) ||
        !std::ranges::all_of(recording.reference, finite)) {
        return Error{path,
                     say(YF_WORDS("core", "recording %1 is not as it should be"), key),
                     YF_WORDS("core", "the file is damaged")};
    }
    return recording;
}

Result<std::string> readPhoto(sqlite3* database, const std::string& path, const std::string& key) {
    Statement statement(database, "SELECT bytes FROM photo WHERE key = ?");
    statement.bind(1, key);
    if (!statement.step()) {
        return Error{path,
                     say(YF_WORDS("core", "picture %1 is missing"), key),
                     YF_WORDS("core", "the file is damaged")};
    }
    return statement.bytes(0);
}

void note(Shared& shared, const std::string& name) {
    if (std::ranges::find(shared.leftOut, name) == shared.leftOut.end()) {
        shared.leftOut.push_back(name);
    }
}

} // namespace

Result<Job>
readJob(sqlite3* database, const std::string& path, const std::string& document, Shared& shared) {
    YF_TRY(value, text::parseJson(document));
    auto job = text::read<Job>(value, "");
    if (!job) {
        return Error{path,
                     say(YF_WORDS("core", "holds a job that cannot be read: %1"),
                         text::sentence(job.error())),
                     ""};
    }
    std::vector<std::string> damaged;
    for (Take& take : job->takes) {
        auto& held = shared.curves[take.curveKey];
        if (!held) {
            auto curve = readCurve(database, path, take.curveKey);
            if (!curve) {
                note(shared, take.name);
                damaged.push_back(take.id);
                continue;
            }
            held = std::make_shared<const curve::Curve>(std::move(*curve));
        }
        take.curve = held;
        if (const std::string& samples = take.recorded.samples; !samples.empty()) {
            auto& recording = shared.recordings[samples];
            if (!recording) {
                auto read = readRecording(database, path, samples);
                if (!read) {
                    note(shared, take.name);
                    take.recorded.samples.clear();
                    continue;
                }
                recording = std::make_shared<const signal::Recording>(std::move(*read));
            }
            take.recording = recording;
        }
    }
    for (const std::string& id : damaged) {
        leaveOut(*job, id);
    }
    for (Photo& photo : job->photos) {
        auto& held = shared.photos[photo.key];
        if (!held) {
            YF_TRY(bytes, readPhoto(database, path, photo.key));
            held = std::make_shared<const std::string>(std::move(bytes));
        }
        photo.bytes = held;
    }
    return std::move(*job);
}

} // namespace yf::job::store
