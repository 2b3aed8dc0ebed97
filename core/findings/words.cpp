// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/words.h"

#include "core/edit/intake.h"
#include "core/edit/network.h"
#include "core/evaluation/level_way.h"
#include "core/findings/judge.h"
#include "core/findings/rules.h"
#include "core/speaker/crossover.h"

#include <algorithm>
#include <cmath>

namespace yf::findings {

namespace {

/// A figure as its unit is written.
Words sizeText(const FigureUnit& unit, double value) {
    if (!std::isfinite(value)) {
        return YF_WORDS("core", "beyond all bounds");
    }
    const auto withUnit = [&](std::string figure) {
        return Words::row({std::move(figure), unit.name},
                          unit.name == "°" ? std::string_view{} : text::thinSpace);
    };
    switch (unit.style) {
    case FigureUnit::Style::share:
        return withUnit(text::printSignificant(100.0 * value, 2));
    case FigureUnit::Style::twoDigits:
        return withUnit(text::printSignificant(value, 2));
    case FigureUnit::Style::engineering:
        return text::printEngineering(value, unit.name);
    case FigureUnit::Style::plain:
        break;
    }
    return withUnit(text::printSignificant(value, 3));
}

std::string driverName(const job::Job& job, const std::string& id) {
    const job::Driver* driver = job::findDriver(job, id);
    return driver == nullptr ? std::string{} : driver->name;
}

/// Crossovers of a cabinet that want one driver turned, with some way's polarity changed.
std::size_t wrongCrossovers(const job::Job& job,
                            const evaluation::CabinetResult& result,
                            std::optional<std::size_t> turned) {
    std::vector<std::size_t> order(result.ways.size());
    for (std::size_t w = 0; w < order.size(); ++w) {
        order[w] = w;
    }
    std::ranges::stable_sort(order, {}, [&](std::size_t w) {
        return job::findDriver(job, result.ways[w].driver)->band;
    });
    std::size_t wrong = 0;
    for (std::size_t i = 1; i < order.size(); ++i) {
        auto upper = result.ways[order[i]].pressure;
        if ((turned == order[i]) != (turned == order[i - 1])) {
            for (curve::Complex& p : upper) {
                p = -p;
            }
        }
        const auto x = speaker::crossover({result.axis, result.ways[order[i - 1]].pressure, upper});
        wrong += x && x->flipGain >= speaker::flipThreshold ? 1U : 0U;
    }
    return wrong;
}

std::optional<edit::Edit> turnTheWrongOne(const job::Job& job,
                                          const evaluation::Evaluation& evaluation,
                                          const Finding& finding) {
    const evaluation::CabinetResult* result = evaluation.find(finding.subject.cabinet);
    if (result == nullptr) {
        return std::nullopt;
    }
    std::optional<std::size_t> best;
    std::size_t fewest = wrongCrossovers(job, *result, std::nullopt);
    // The upper driver first: of two that would do, it is the easier one to reach.
    for (const std::string& driver : {finding.subject.driver, finding.subject.other}) {
        const auto way = std::ranges::find(result->ways, driver, &evaluation::WayResult::driver);
        const auto index = static_cast<std::size_t>(way - result->ways.begin());
        if (way == result->ways.end()) {
            continue;
        }
        if (const std::size_t left = wrongCrossovers(job, *result, index); left < fewest) {
            fewest = left;
            best = index;
        }
    }
    if (!best) {
        return std::nullopt;
    }
    return edit::reverseDriver(
        finding.subject.cabinet, *best, driverName(job, result->ways[*best].driver));
}

std::optional<edit::Edit> renewCapacitor(const job::Job& job, const Finding& finding) {
    const job::Cabinet* cabinet = job::findCabinet(job, finding.subject.cabinet);
    const auto part = cabinet == nullptr
                          ? std::nullopt
                          : network::findPart(cabinet->circuit, finding.subject.part);
    if (!part || !part->printed) {
        return std::nullopt;
    }
    network::Part renewed = network::withValue(*part, *part->printed);
    // A new film capacitor: what the old one lost in series is gone (rule of thumb, 50 mΩ).
    constexpr double newLoss = 0.05;
    renewed.esr = std::min(part->esr, newLoss);
    return edit::changePart(cabinet->id, renewed);
}

/// The driver above the crossover brought to the level below it, or the one below if that is
/// easier.
std::optional<edit::Edit>
levelThem(const job::Job& job, const evaluation::Evaluation& evaluation, const Finding& finding) {
    const job::Cabinet* cabinet = job::findCabinet(job, finding.subject.cabinet);
    const evaluation::CabinetResult* result = evaluation.find(finding.subject.cabinet);
    if (cabinet == nullptr || result == nullptr || !finding.figure) {
        return std::nullopt;
    }
    const auto level = [&](const std::string& driver, double quieter) -> std::optional<edit::Edit> {
        const auto way = std::ranges::find(result->ways, driver, &evaluation::WayResult::driver);
        return way == result->ways.end()
                   ? std::nullopt
                   : evaluation::levelWay(job,
                                          *cabinet,
                                          *result,
                                          static_cast<std::size_t>(way - result->ways.begin()),
                                          quieter);
    };
    auto edit = level(finding.subject.driver, *finding.figure);
    return edit ? edit : level(finding.subject.other, -*finding.figure);
}

} // namespace

Words figureText(const Finding& finding) {
    if (!finding.figure || !finding.threshold) {
        return {};
    }
    const FigureUnit& unit = rules()[finding.rule].unit;
    return say(YF_WORDS("core", "%1, limit %2"),
               sizeText(unit, *finding.figure),
               sizeText(unit, *finding.threshold));
}

std::string factText(const Facts::Entry& fact) {
    const std::string name(fact.kind->name);
    if (const bool* flag = std::get_if<bool>(&fact.value)) {
        return name + (*flag ? ": yes" : ": no");
    }
    return name + " " +
           sizeText(static_cast<const Figure*>(fact.kind)->unit, std::get<double>(fact.value))
               .english();
}

namespace {

/// "breaker of Teasel 26", "level control tweeter level"; of the network just its name, C3.
Words partName(const job::Job& job, const job::Cabinet* cabinet, const std::string& part) {
    if (cabinet == nullptr) {
        return part;
    }
    const auto protector = std::ranges::find(cabinet->protectors, part, &job::Protector::id);
    if (protector != cabinet->protectors.end()) {
        const std::string driver = driverName(job, protector->driver);
        const Words name = job::protectorName(protector->kind);
        return driver.empty() ? name : say(YF_WORDS("core", "%1 of %2"), name, driver);
    }
    const auto old = std::ranges::find(cabinet->oldParts, part, &job::OldPart::id);
    if (old != cabinet->oldParts.end()) {
        return old->name.empty() ? Words(job::oldPartName(old->kind)) : Words(old->name);
    }
    return part;
}

} // namespace

Words subjectText(const job::Job& job, const Subject& subject) {
    const job::Cabinet* cabinet = job::findCabinet(job, subject.cabinet);
    const std::string text = cabinet == nullptr ? std::string{} : cabinet->name;
    if (const job::Cabinet* other = job::findCabinet(job, subject.other)) {
        return say(YF_WORDS("core", "%1 and %2"), text, other->name);
    }
    if (!subject.part.empty()) {
        return Words::row({text, partName(job, cabinet, subject.part)}, " · ");
    }
    const std::string name = driverName(job, subject.driver);
    if (name.empty()) {
        return text;
    }
    const std::string other = driverName(job, subject.other);
    return Words::row({text,
                       other.empty() || other == name
                           ? Words(name)
                           : say(YF_WORDS("core", "%1 and %2"), name, other)},
                      " · ");
}

std::optional<edit::Edit>
remedy(const job::Job& job, const evaluation::Evaluation& evaluation, const Finding& finding) {
    const std::string_view id = rules()[finding.rule].id;
    if (id == "align.reversed") {
        return turnTheWrongOne(job, evaluation, finding);
    }
    if (id == "align.wiring") {
        return edit::drawAsWired(finding.subject.cabinet, {finding.subject.driver});
    }
    if (id == "align.level") {
        return levelThem(job, evaluation, finding);
    }
    if (id == "net.cap_value") {
        return renewCapacitor(job, finding);
    }
    return std::nullopt;
}

} // namespace yf::findings
