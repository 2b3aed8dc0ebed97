// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/replacement.h"

#include "core/job/evaluate.h"
#include "core/quantity/level.h"
#include "core/text/words.h"

#include <algorithm>
#include <cmath>

namespace yf::job {

namespace {

driver::DriverRole roleOf(Band band) {
    return band == Band::sub || band == Band::low ? driver::DriverRole::woofer
           : band == Band::mid                    ? driver::DriverRole::midrange
                                                  : driver::DriverRole::tweeter;
}

/// Two octaves in which a driver of that band works and neither rolls off nor breaks up.
curve::Range workingRange(Band band) {
    switch (roleOf(band)) {
    case driver::DriverRole::woofer:
        return {150.0, 600.0};
    case driver::DriverRole::midrange:
        return {500.0, 2000.0};
    case driver::DriverRole::tweeter:
        return {3000.0, 12000.0};
    }
    return {};
}

std::optional<double> levelOf(const Take& take, curve::Range range) {
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
std::optional<double>
crossoverOf(const Evaluation& evaluation, const std::string& cabinet, const std::string& driver) {
    std::optional<double> lowest;
    for (const speaker::Scope& scope : evaluation.facts) {
        const auto fx = scope.facts.find("align.fx_hz");
        const bool ours = scope.subject.cabinet == cabinet &&
                          (scope.subject.driver == driver || scope.subject.other == driver);
        if (ours && fx != scope.facts.end()) {
            const double f = std::get<double>(fx->second);
            lowest = lowest ? std::min(*lowest, f) : f;
        }
    }
    return lowest;
}

} // namespace

OldDriver oldDriver(const Job& job,
                    const Assembly& assembly,
                    const Evaluation& evaluation,
                    const std::string& cabinet,
                    const std::string& driver) {
    OldDriver old;
    const Driver* found = findDriver(job, driver);
    if (found == nullptr) {
        return old;
    }
    old.part = found->sheet;
    old.part.id = found->name;
    old.role = roleOf(found->band);
    old.fx = crossoverOf(evaluation, cabinet, driver);
    if (!old.part.outer) {
        old.part.outer = found->diameter;
    }
    const auto isFaulty = [](const Driver& d) {
        return d.condition == Condition::suspect || d.condition == Condition::dead;
    };
    const Driver* twin = twinOf(job, cabinet, driver);
    const bool byTwin = isFaulty(*found) && twin != nullptr && !isFaulty(*twin);
    const Driver& curves = byTwin ? *twin : *found;
    const FigureSource measured = byTwin ? FigureSource::twin : FigureSource::measured;
    if (old.part.sensitivity) {
        old.sensitivity = FigureSource::dataSheet;
    } else if (const Take* take = takeInUse(job, curves, TakeKind::response)) {
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
    const Take* take = takeInUse(job, curves, TakeKind::impedance);
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

Result<std::vector<Finding>>
findReplacements(const OldDriver& old, const Place& place, const driver::Library& library) {
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
    std::vector<Finding> all;
    for (std::size_t i = 0; i < entries.size(); ++i) {
        all.push_back({entries[i], matched.candidates[i]});
    }
    std::ranges::stable_sort(all, [](const Finding& a, const Finding& b) {
        return a.judged.fits != b.judged.fits ? a.judged.fits : a.judged.score > b.judged.score;
    });
    return all;
}

Edit changeSheet(const std::string& driver, driver::Part sheet, Place place) {
    return {YF_WORDS("core", "Change the data sheet of a driver"),
            [driver, sheet = std::move(sheet), place](const Job& job) -> Result<Job> {
                Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{"driver", "'" + driver + "' given", "is not in the job"};
                }
                found->sheet = sheet;
                found->place = place;
                return changed;
            },
            {},
            {}};
}

driver::LibraryEntry asEntry(const Job& job, const OldDriver& old) {
    driver::LibraryEntry entry{.part = old.part, .role = old.role};
    const auto found = std::ranges::find(job.drivers, old.part.id, &Driver::name);
    if (found != job.drivers.end()) {
        entry.nominal = found->nominal;
    }
    entry.note = "from " + job.title;
    return entry;
}

} // namespace yf::job
