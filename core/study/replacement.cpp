// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/replacement.h"

#include "core/base/words.h"
#include "core/evaluation/evaluate.h"
#include "core/evaluation/neighbours.h"
#include "core/job/lookup.h"
#include "core/quantity/level.h"

#include <algorithm>
#include <cmath>

namespace yf::study {

namespace {

/// Two octaves in which a driver of that band works and neither rolls off nor breaks up.
curve::Range workingRange(job::Band band) {
    switch (job::roleOf(band)) {
    case quantity::DriverRole::woofer:
        return {150.0, 600.0};
    case quantity::DriverRole::midrange:
        return {500.0, 2000.0};
    case quantity::DriverRole::tweeter:
        return {3000.0, 12000.0};
    }
    return {};
}

std::optional<double> levelOf(const job::Take& take, curve::Range range) {
    const curve::Curve& p = *take.curve;
    double sum = 0.0;
    int count = 0;
    for (std::size_t k = 0; k < p.size(); ++k) {
        const double f = p.frequencies()[k];
        if (range.holds(f) && p.trusted().holds(f)) {
            sum += std::norm(p.values()[k]);
            ++count;
        }
    }
    if (count == 0) {
        return std::nullopt;
    }
    // Stated for 1 m; the take may have been made elsewhere.
    return quantity::decibels(std::sqrt(sum / count) / quantity::referencePressure * take.distance);
}

/// The lowest crossover that the driver takes part in.
std::optional<double> crossoverOf(const job::Job& job,
                                  const evaluation::Evaluation& evaluation,
                                  const std::string& cabinet,
                                  const std::string& driver) {
    const evaluation::CabinetResult* result = evaluation.find(cabinet);
    if (result == nullptr) {
        return std::nullopt;
    }
    std::optional<double> lowest;
    for (const evaluation::Neighbourhood& n : evaluation::neighbourhoods(job, *result)) {
        const bool ours =
            result->ways[n.lower].driver == driver || result->ways[n.upper].driver == driver;
        if (ours && n.met) {
            lowest = std::min(lowest.value_or(n.met->fx), n.met->fx);
        }
    }
    return lowest;
}

} // namespace

OldDriver oldDriver(const job::Job& job,
                    const evaluation::Assembly& assembly,
                    const evaluation::Evaluation& evaluation,
                    const std::string& cabinet,
                    const std::string& driver) {
    OldDriver old;
    const job::Driver* found = job::findDriver(job, driver);
    if (found == nullptr) {
        return old;
    }
    old.part = found->sheet;
    old.part.id = found->name;
    old.role = job::roleOf(found->band);
    old.fx = crossoverOf(job, evaluation, cabinet, driver);
    if (!old.part.outer) {
        old.part.outer = found->diameter;
    }
    const auto isFaulty = [](const job::Driver& d) {
        return d.condition == job::Condition::suspect || d.condition == job::Condition::dead;
    };
    const job::Driver* twin = job::twinOf(job, cabinet, driver);
    const bool byTwin = isFaulty(*found) && twin != nullptr && !isFaulty(*twin);
    const job::Driver& curves = byTwin ? *twin : *found;
    const FigureSource measured = byTwin ? FigureSource::twin : FigureSource::measured;
    if (old.part.sensitivity) {
        old.sensitivity = FigureSource::dataSheet;
    } else if (const job::Take* take = job::takeInUse(job, curves, job::TakeKind::response)) {
        old.part.sensitivity = levelOf(*take, workingRange(found->band));
        old.sensitivity = old.part.sensitivity ? measured : FigureSource::none;
    }
    const bool sheet =
        old.part.model.Re && old.part.model.fs && old.part.model.Qms && old.part.model.Qes;
    if (sheet) {
        old.model = FigureSource::dataSheet;
        return old;
    }
    old.part.model = {};
    const job::Take* take = job::takeInUse(job, curves, job::TakeKind::impedance);
    const auto reading = assembly.readings.find(curves.id);
    if (take != nullptr && reading != assembly.readings.end() && reading->second.resonance) {
        if (const auto q =
                driver::qFactors(*take->curve, reading->second.Re, *reading->second.resonance)) {
            old.part.model.Re = reading->second.Re;
            old.part.model.fs = reading->second.resonance->fs;
            old.part.model.Qms = q->Qms;
            old.part.model.Qes = q->Qes;
            old.model = measured;
        }
    }
    return old;
}

Result<std::vector<Replacement>>
findReplacements(const OldDriver& old, const job::Place& place, const driver::Library& library) {
    driver::MatchRequest request;
    request.old = old.part;
    request.role = old.role;
    request.hole = place.hole;
    request.room = place.room;
    request.Vb = place.Vb;
    request.fb = place.fb;
    request.fx = old.fx;
    std::vector<driver::LibraryEntry> entries;
    std::ranges::copy_if(library.drivers,
                         std::back_inserter(entries),
                         [&](const driver::LibraryEntry& e) { return e.role == old.role; });
    for (const driver::LibraryEntry& entry : entries) {
        request.candidates.push_back(entry.part);
    }
    YF_TRY(matched, driver::match(request));
    std::vector<Replacement> all;
    for (std::size_t i = 0; i < entries.size(); ++i) {
        all.push_back({entries[i], matched.candidates[i]});
    }
    std::ranges::stable_sort(all, [](const Replacement& a, const Replacement& b) {
        return a.judged.fits != b.judged.fits ? a.judged.fits : a.judged.score > b.judged.score;
    });
    return all;
}

driver::LibraryEntry asEntry(const job::Job& job, const OldDriver& old) {
    driver::LibraryEntry entry{.part = old.part, .role = old.role};
    const auto found = std::ranges::find(job.drivers, old.part.id, &job::Driver::name);
    if (found != job.drivers.end()) {
        entry.nominal = found->nominal;
    }
    entry.note = "from " + job.title;
    return entry;
}

} // namespace yf::study
