// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/take/import.h"

#include "core/measure/response.h"
#include "core/signal/wav.h"
#include "core/text/fields.h"

#include <algorithm>
#include <cctype>

namespace yf::take {

namespace {

Error named(const std::string& file, Error error) {
    // "text: line 7 …" is about this file; a key of a correction keeps its name.
    if (error.subject == "text" || error.subject.empty()) {
        error.subject = file;
    } else if (error.subject != file) {
        error.subject = file + ", " + error.subject;
    }
    return error;
}

std::string lettersOf(const std::string& text) {
    std::string plain;
    for (const char c : text) {
        if (std::isalnum(static_cast<unsigned char>(c)) != 0) {
            plain += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        }
    }
    return plain;
}

std::string endingOf(const std::string& name) {
    const std::size_t dot = name.rfind('.');
    return dot == std::string::npos ? std::string() : name.substr(dot + 1);
}

/// What exportTake noted beside the lists.
Done restore(const std::string& bytes, job::Take& take) {
    YF_TRY(value, text::parseJson(bytes));
    if (const text::Value* known = value.find("take")) {
        YF_TRY(noted, text::read<job::Take>(*known, "take"));
        noted.id.clear();
        noted.curveKey.clear();
        noted.recorded.samples.clear();
        const curve::Curve& c = *take.curve;
        const text::Value* from = value.find("trusted_from_hz");
        const text::Value* to = value.find("trusted_to_hz");
        noted.curve = take.curve;
        if (from != nullptr && to != nullptr && from->number() != nullptr &&
            to->number() != nullptr) {
            noted.curve = std::make_shared<const curve::Curve>(
                c.trustedWithin({*from->number(), *to->number()}));
        }
        noted.kind = take.kind;
        noted.understood = take.understood;
        take = std::move(noted);
    }
    return done();
}

measure::ImportRequest requestOf(const ImportOrder& order) {
    measure::ImportRequest request = order.table;
    request.text = order.file.bytes;
    request.textFile.reset();
    if (request.form == measure::FormChoice::automatic &&
        lettersOf(endingOf(order.file.name)) == "s1p") {
        request.form = measure::FormChoice::touchstone;
    }
    return request;
}

Result<ImportedTake> takeOf(const measure::ImportedTable& table, const ImportOrder& order) {
    ImportedTake imported;
    imported.take.kind =
        table.quantity == "impedance" ? job::TakeKind::impedance : job::TakeKind::response;
    imported.take.understood = measure::understood(table);
    curve::Curve curve = measure::toCurve(table);
    if (!order.commonTime && curve.phase() == curve::Phase::common) {
        curve = curve::Curve(curve.frequencies(), curve.values(), curve::Phase::own);
    }
    imported.take.curve = std::make_shared<const curve::Curve>(std::move(curve));
    if (table.form == "json") {
        if (auto noted = restore(order.file.bytes, imported.take); !noted) {
            return named(order.file.name, noted.error());
        }
    }
    imported.told = imported.take.understood;
    imported.curve = table.curves > 1 ? table.name : "";
    imported.doubtful = measure::isDoubtful(table) || !table.hasPhase;
    if (!table.hasPhase) {
        imported.told = Words::row({imported.told,
                                    YF_WORDS("core",
                                             "Without phase it can be looked at, but not summed or "
                                             "loaded until you use the minimum phase.")},
                                   " ");
    }
    return imported;
}

Result<ImportedTake> readTable(const ImportOrder& order) {
    auto table = measure::importTable(requestOf(order));
    if (!table) {
        return named(order.file.name, table.error());
    }
    return takeOf(*table, order);
}

Result<ImportedTake> readImpulse(const ImportOrder& order) {
    YF_TRY(sound, signal::readWav(order.file.bytes, order.file.name));
    const int channels = static_cast<int>(sound.channels.size());
    if (order.sound.channel < 1 || order.sound.channel > channels) {
        return Error{
            order.file.name,
            say(YF_WORDS("core", "channel %1 asked for"), std::to_string(order.sound.channel)),
            say(YF_WORDS("core", "it has %1"), std::to_string(channels))};
    }
    ImpulseFound found;
    found.channels = channels;
    found.impulse = {std::move(sound.channels[static_cast<std::size_t>(order.sound.channel - 1)]),
                     sound.rate,
                     order.sound.timeZero.value_or(sound.timeZero.value_or(0.0))};
    if (std::ranges::all_of(found.impulse.samples, [](double v) { return v == 0.0; })) {
        return Error{order.file.name,
                     YF_WORDS("core", "holds only zeros"),
                     YF_WORDS("core", "must hold an impulse response")};
    }
    const double scale = quantity::referencePressure * quantity::gain(order.sound.fullScale);
    for (double& sample : found.impulse.samples) {
        sample *= scale;
    }
    const measure::ImpulseReading read =
        measure::readImpulse(found.impulse, {.right = order.sound.right});
    found.arrival = read.arrival;
    found.reflection = read.reflection;
    found.gate = read.gate;
    const double valid = found.gate.lowestValid();
    const curve::Axis& design = curve::designAxis();
    const curve::Axis axis =
        measure::gatedAxis(found.gate, sound.rate, {design.front(), design.back()});
    if (!(read.rest > 0.0) || axis.size() < 3) {
        return Error{order.file.name,
                     YF_WORDS("core", "the gate leaves no frequency to look at"),
                     YF_WORDS("core", "the response must be longer after its arrival")};
    }
    ImportedTake imported;
    imported.take.kind = job::TakeKind::response;
    imported.take.gate = found.gate.right;
    imported.take.curve = std::make_shared<const curve::Curve>(
        axis,
        signal::gatedResponse(found.impulse, found.arrival, found.gate, axis),
        order.commonTime ? curve::Phase::common : curve::Phase::own,
        curve::Range{std::min(valid, axis.back()), axis.back()});
    imported.take.understood =
        say(YF_WORDS("core", "%1, %2: impulse response, arrival %3, gate %4, valid from %5."),
            sound.format,
            text::printEngineering(sound.rate, "Hz"),
            text::printEngineering(found.arrival, "s"),
            text::printEngineering(found.gate.right, "s"),
            text::printEngineering(valid, "Hz"));
    imported.told = Words::row(
        {imported.take.understood,
         found.reflection
             ? say(YF_WORDS("core",
                            "First reflection %1 after the arrival; the gate ends before it."),
                   text::printEngineering(found.reflection->after, "s"))
             : Words(YF_WORDS("core", "No reflection was found; the gate is the whole.")),
         say(YF_WORDS("core", "A sample of 1 was taken for %1 dB."),
             text::printSignificant(order.sound.fullScale, 4))},
        " ");
    // What a sample of 1 means stands in no sound file.
    imported.doubtful = true;
    imported.impulse = std::move(found);
    return imported;
}

} // namespace

namespace {

/// What is known of the file and not of its text.
void fill(ImportedTake& imported, const ImportOrder& order) {
    imported.take.name = order.file.name;
    if (!imported.curve.empty()) {
        imported.take.name += " \u00b7 " + imported.curve;
    }
    if (imported.take.kind == job::TakeKind::response) {
        imported.take.recorded.place = order.place;
        imported.take.recorded.plane = order.plane;
        imported.take.recorded.angle = order.angle;
    }
    imported.take.date = order.file.date;
    imported.take.distance = order.distance;
    imported.take.drive = order.drive;
    if (order.trustedFrom) {
        const curve::Range now = imported.take.curve->trusted();
        imported.take.curve = std::make_shared<const curve::Curve>(
            imported.take.curve->trustedWithin({*order.trustedFrom, now.to}));
    }
}

} // namespace

Result<ImportedTake> importTake(const ImportOrder& order) {
    auto imported = signal::looksLikeWav(order.file.bytes) ? readImpulse(order) : readTable(order);
    if (imported) {
        fill(*imported, order);
    }
    return imported;
}

Result<std::vector<ImportedTake>> importTakes(const ImportOrder& order) {
    std::vector<ImportedTake> takes;
    if (signal::looksLikeWav(order.file.bytes)) {
        YF_TRY(imported, importTake(order));
        takes.push_back(std::move(imported));
        return takes;
    }
    auto tables = measure::importCurves(requestOf(order));
    if (!tables) {
        return named(order.file.name, tables.error());
    }
    for (const measure::ImportedTable& table : *tables) {
        YF_TRY(imported, takeOf(table, order));
        fill(imported, order);
        takes.push_back(std::move(imported));
    }
    return takes;
}

bool asks(const std::string& bytes) {
    if (signal::looksLikeWav(bytes)) {
        return false;
    }
    const auto preview = measure::previewTable({.text = bytes});
    return preview.ok() && (preview->unread || preview->answers.size() > 1);
}

Result<ImportedTake> importTake(const TableFile& file) {
    return importTake(ImportOrder{.file = file});
}

std::vector<measure::PolarFile> likelyAngles(const std::vector<std::string>& fileNames) {
    auto files = measure::readPolarNames(fileNames);
    const bool any = std::ranges::any_of(
        files, [](const measure::PolarFile& file) { return file.plane && file.angle; });
    return any ? files : std::vector<measure::PolarFile>();
}

std::string
likelyDriver(const job::Job& job, const std::string& cabinet, const std::string& fileName) {
    const std::string name = lettersOf(fileName);
    const job::Cabinet* chosen = job::findCabinet(job, cabinet);
    std::string best;
    std::size_t most = 0;
    for (const job::Driver& driver : job.drivers) {
        for (const std::string& word : {driver.id, driver.name}) {
            const std::string letters = lettersOf(word);
            const bool here = chosen != nullptr &&
                              std::ranges::find(chosen->mounts, driver.id, &job::Mount::driver) !=
                                  chosen->mounts.end();
            // The longest word that fits; of equals the one on the desk.
            const std::size_t weight = 2 * letters.size() + (here ? 1 : 0);
            if (!letters.empty() && name.find(letters) != std::string::npos && weight > most) {
                most = weight;
                best = driver.id;
            }
        }
    }
    return best;
}

} // namespace yf::take
