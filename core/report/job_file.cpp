// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/report/job_file.h"

#include "core/evaluation/assemble.h"
#include "core/job/store/store.h"
#include "core/report/line.h"
#include "core/text/csv.h"
#include "core/text/given.h"

#include <algorithm>

namespace yf::report {

namespace {

using text::Value;

Value showTake(const job::Take& take) {
    return Value::Object{{"id", take.id},
                         {"kind", take.kind == job::TakeKind::response ? "response" : "impedance"},
                         {"name", take.name},
                         {"understood", take.understood},
                         {"points", static_cast<int>(take.curve->size())},
                         {"from_hz", take.curve->extent().from},
                         {"to_hz", take.curve->extent().to},
                         {"trusted_from_hz", take.curve->trusted().from},
                         {"trusted_to_hz", take.curve->trusted().to}};
}

Value showFigures(const evaluation::CabinetResult& result) {
    Value::List figures;
    for (const Figure& figure : line(result)) {
        figures.emplace_back(
            Value::Object{{"id", figure.id}, {"text", figure.text}, {"explains", figure.explains}});
    }
    return figures;
}

Value showCabinet(const job::Cabinet& cabinet, const evaluation::CabinetResult& result) {
    const auto maybe = [](const auto& value, auto&& part) {
        return value ? Value{part(*value)} : Value{};
    };
    Value::List ways;
    for (const evaluation::WayResult& way : result.ways) {
        ways.emplace_back(
            Value::Object{{"name", way.name}, {"driver", way.driver}, {"polarity", way.polarity}});
    }
    using Corridor = evaluation::CorridorResult;
    return Value::Object{
        {"id", cabinet.id},
        {"name", cabinet.name},
        {"ways", std::move(ways)},
        {"sensitivity_db", maybe(result.sensitivity, [](double v) { return v; })},
        {"impedance_min_ohm",
         maybe(result.leastImpedance, [](const network::Lowest& l) { return l.ohms; })},
        {"impedance_min_hz",
         maybe(result.leastImpedance, [](const network::Lowest& l) { return l.frequency; })},
        {"deviation_db", maybe(result.corridor, [](const Corridor& c) { return c.deviation; })},
        {"deviation_worst_hz", maybe(result.corridor, [](const Corridor& c) { return c.worstAt; })},
        {"level_db", maybe(result.corridor, [](const Corridor& c) { return c.level; })},
        {"parts", static_cast<int>(result.parts)},
        {"price", result.price},
        {"missing", result.missing},
        {"line", showFigures(result)}};
}

std::string csvNumber(double value) {
    return text::printNumber(value);
}

void partRows(const network::Section& section, std::string& table) {
    const auto row = [&](const network::Part& part) {
        static constexpr std::string_view units[] = {"ohm", "H", "F"};
        table += text::csvCell(part.id) + "," + text::csvCell(section.name) + "," +
                 network::letter(part.kind) + "," + csvNumber(part.value) + "," +
                 std::string(units[static_cast<std::size_t>(part.kind)]) + "," +
                 csvNumber(network::lossResistance(part)) + "," +
                 (part.tolerance ? csvNumber(100.0 * *part.tolerance) : "") + "," +
                 (part.price ? csvNumber(*part.price) : "") + "\n";
    };
    for (const network::Slot& slot : section.ladder) {
        if (const auto* series = std::get_if<network::SeriesSlot>(&slot)) {
            network::forEachPart(series->port, row);
        } else if (const auto* shunt = std::get_if<network::ShuntSlot>(&slot)) {
            network::forEachPart(shunt->port, row);
        }
    }
    if (const auto* ways = std::get_if<network::Ways>(&section.end)) {
        for (const network::Section& child : ways->sections) {
            partRows(child, table);
        }
    }
}

std::string partsTable(const job::Cabinet& cabinet) {
    std::string table = "id,way,kind,value,unit,loss_ohm,tolerance_pct,price\n";
    if (const network::Section* tree = cabinet.circuit.tree()) {
        partRows(*tree, table);
    }
    return table;
}

Result<std::string> responseTable(const job::Job& job, const job::Cabinet& cabinet) {
    const auto evaluation = evaluation::evaluate(job);
    const evaluation::CabinetResult& result = *evaluation.find(cabinet.id);
    if (result.sum.empty() || result.impedance.empty()) {
        return Error{
            "job_file", result.missing.empty() ? "has no sum" : result.missing.front(), ""};
    }
    std::string table = "frequencies_hz,levels_db,phases_deg,impedances_ohm,impedance_phases_deg\n";
    const auto degrees = [](const curve::Complex& v) { return std::arg(v) / quantity::degree; };
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        table +=
            csvNumber(result.axis[k]) + "," +
            csvNumber(quantity::decibels(std::abs(result.sum[k]) / quantity::referencePressure)) +
            "," + csvNumber(degrees(result.sum[k])) + "," +
            csvNumber(std::abs(result.impedance[k])) + "," +
            csvNumber(degrees(result.impedance[k])) + "\n";
    }
    return table;
}

Value wholeDocument(const job::Job& job) {
    Value document = text::write(job);
    Value::Object curves;
    for (const job::Take& take : job.takes) {
        std::vector<double> re;
        std::vector<double> im;
        for (const curve::Complex& v : take.curve->values()) {
            re.push_back(v.real());
            im.push_back(v.imag());
        }
        const std::string stem =
            take.kind == job::TakeKind::impedance ? "impedances_ohm" : "pressures_pa";
        const auto taken = [&](const text::Member& member) { return member.key == take.curveKey; };
        if (std::ranges::none_of(curves, taken)) {
            curves.push_back({take.curveKey,
                              Value::Object{{"frequencies_hz", take.curve->frequencies()},
                                            {stem + "_re", re},
                                            {stem + "_im", im},
                                            {"trusted_from_hz", take.curve->trusted().from},
                                            {"trusted_to_hz", take.curve->trusted().to}}});
        }
    }
    std::get<Value::Object>(document.data).push_back({"curves", std::move(curves)});
    return document;
}

} // namespace

Result<job::Record> loadJobFile(const std::string& file, std::vector<std::string>* leftOut) {
    auto store = job::store::Store::openForReading(file);
    if (!store) {
        return Error{"job_file", text::sentence(store.error()), ""};
    }
    auto record = store->load(leftOut);
    if (!record) {
        return Error{"job_file", text::sentence(record.error()), ""};
    }
    return record;
}

Result<Shown> show(const ShowRequest& request) {
    std::vector<std::string> leftOut;
    YF_TRY(record, loadJobFile(request.file, &leftOut));
    const job::History& history = record.history;
    Shown shown{.job = history.job(),
                .evaluation = evaluation::evaluate(history.job()),
                .position = history.position(),
                .leftOut = std::move(leftOut)};
    for (const job::Step& step : history.steps()) {
        shown.steps.push_back(step.name.english());
    }
    return shown;
}

Value Shown::write() const {
    Value::List drivers;
    for (const job::Driver& driver : job.drivers) {
        Value::List takes;
        for (const job::TakeKind kind : {job::TakeKind::response, job::TakeKind::impedance}) {
            if (const job::Take* take = job::takeInUse(job, driver, kind)) {
                takes.push_back(showTake(*take));
            }
        }
        drivers.emplace_back(Value::Object{{"id", driver.id},
                                           {"name", driver.name},
                                           {"band", job::bandName(driver.band)},
                                           {"takes_in_use", std::move(takes)}});
    }
    Value::List cabinets;
    for (const job::Cabinet& cabinet : job.cabinets) {
        cabinets.push_back(showCabinet(cabinet, *evaluation.find(cabinet.id)));
    }
    return Value::Object{{"title", job.title},
                         {"drivers", std::move(drivers)},
                         {"takes", static_cast<int>(job.takes.size())},
                         {"cabinets", std::move(cabinets)},
                         {"steps", steps},
                         {"position", static_cast<int>(position)},
                         {"left_out", leftOut}};
}

Result<Exported> exportJob(const ExportRequest& request) {
    YF_TRY(record, loadJobFile(request.file));
    const job::History& history = record.history;
    const job::Job& job = history.job();
    if (request.format == ExportFormat::document) {
        return Exported{request.format, wholeDocument(job)};
    }
    if (job.cabinets.empty()) {
        return Error{"job_file", "holds no cabinet", ""};
    }
    const job::Cabinet* cabinet =
        request.cabinet ? job::findCabinet(job, *request.cabinet) : &job.cabinets.front();
    if (cabinet == nullptr) {
        std::vector<std::string> names;
        std::ranges::transform(job.cabinets, std::back_inserter(names), &job::Cabinet::id);
        return Error{
            "cabinet",
            text::givenWord(*request.cabinet),
            say(YF_WORDS("core", "the nearest one is %1"), text::nearest(*request.cabinet, names))};
    }
    switch (request.format) {
    case ExportFormat::network: {
        auto network = evaluation::networkOf(job, *cabinet);
        if (!network) {
            return network.error();
        }
        return Exported{request.format, network->write()};
    }
    case ExportFormat::csvParts:
        return Exported{request.format, partsTable(*cabinet)};
    case ExportFormat::csvResponse: {
        YF_TRY(table, responseTable(job, *cabinet));
        return Exported{request.format, table};
    }
    case ExportFormat::document:
        break;
    }
    return Exported{request.format, wholeDocument(job)};
}

Value Exported::write() const {
    static constexpr std::string_view keys[] = {"network", "document", "text", "text"};
    return Value::Object{{std::string(keys[static_cast<std::size_t>(format)]), content}};
}

} // namespace yf::report
