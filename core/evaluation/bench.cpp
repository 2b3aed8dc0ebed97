// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/bench.h"

#include "core/base/words.h"
#include "core/bench/sweep.h"
#include "core/bench/words.h"
#include "core/curve/interpolate.h"
#include "core/evaluation/driver_bench.h"
#include "core/evaluation/result.h"
#include "core/job/lookup.h"

#include <algorithm>

namespace yf::evaluation {

namespace {

const DriverReading* curveReading(const Readings& readings, const std::string& driver) {
    const auto found = readings.find(driver);
    return found == readings.end() ? nullptr : &found->second;
}

bool isFaulty(const job::Driver& driver) {
    return driver.condition == job::Condition::suspect || driver.condition == job::Condition::dead;
}

/// The latest reading of a check that shows a number of the kind wanted.
template <class Has>
const job::BenchReading* latest(const job::Job& job,
                                const std::string& cabinet,
                                const std::string& driver,
                                std::string_view check,
                                Has has) {
    const auto all = job::readingsOf(job, cabinet, driver, check);
    const auto found =
        std::find_if(all.rbegin(), all.rend(), [&](const job::BenchReading* r) { return has(*r); });
    return found == all.rend() ? nullptr : *found;
}

bool hasOhms(const job::BenchReading& r) {
    return !r.ohms.empty();
}

std::optional<double> netOhms(const job::BenchReading& r) {
    bench::DcrRequest request;
    request.readings = r.ohms;
    request.leads = r.leads;
    request.nominal = 8.0; // the value does not depend on it
    const auto judged = bench::dcr(request);
    return judged ? judged->dcr : std::nullopt;
}

/// DC resistance of the twin: its reading, else the low end of its measured impedance.
std::optional<double> twinOhms(const job::Job& job,
                               const Readings& readings,
                               const std::string& cabinet,
                               const std::string& driver) {
    const job::Driver* twin = job::twinOf(job, cabinet, driver);
    if (twin == nullptr || isFaulty(*twin)) {
        return std::nullopt;
    }
    const job::Cabinet* here = job::findCabinet(job, cabinet);
    const job::BenchReading* reading = latest(job, here->twin, twin->id, "dcr", hasOhms);
    if (reading != nullptr && reading->place == bench::Place::driver) {
        return netOhms(*reading);
    }
    const DriverReading* curve = curveReading(readings, twin->id);
    return curve == nullptr ? std::nullopt : std::optional(curve->Re);
}

/// What two impedance curves say of the first: a single level, so friction is not looked for.
std::optional<std::string>
sweepFromCurves(const Readings& readings, const job::Driver& driver, const job::Driver* twin) {
    const DriverReading* own = curveReading(readings, driver.id);
    if (own == nullptr || twin == nullptr || isFaulty(*twin)) {
        return std::nullopt;
    }
    const DriverReading* other = curveReading(readings, twin->id);
    if (other == nullptr || !other->resonance || !own->resonance) {
        return std::nullopt;
    }
    const bench::ImpedancePeak peak{own->resonance->Zpeak, own->resonance->fs};
    return bench::sweepOutcome({peak, peak}, {other->resonance->Zpeak, other->resonance->fs});
}

/// What the protectors before a driver say once each has been read: a bridge hides what is behind
/// it, and one of another driver is none of this one's.
std::optional<std::string> fromProtectors(const job::Cabinet& cabinet, const job::Driver& driver) {
    const auto isBefore = [&](const job::Protector& p) {
        return p.driver.empty() || p.driver == driver.id || p.driver == driver.alike;
    };
    const auto stands = [&](job::ProtectorState state) {
        return std::ranges::any_of(cabinet.protectors, [&](const job::Protector& p) {
            return p.state == state && isBefore(p);
        });
    };
    if (stands(job::ProtectorState::open)) {
        return "open";
    }
    if (std::ranges::none_of(cabinet.protectors, isBefore) ||
        stands(job::ProtectorState::notChecked) || stands(job::ProtectorState::bridged)) {
        return std::nullopt;
    }
    return "continuous";
}

/// The latest of each check, then ordered by when it was made.
std::vector<const job::BenchReading*>
latestOfEach(const job::Job& job, const std::string& cabinet, const std::string& driver) {
    std::vector<const job::BenchReading*> all;
    for (const job::BenchReading& r : job.readings) {
        // A battery at the terminals tells of the network as well as of the driver.
        const bool through = r.check == "battery_pop" && r.place == bench::Place::cabinet;
        const bool counts = !r.setAside && !r.outcome.empty() && !through && r.cabinet == cabinet &&
                            r.driver == (job::isAboutCabinet(r.check) ? "" : driver);
        if (!counts) {
            continue;
        }
        std::erase_if(all, [&](const job::BenchReading* old) { return old->check == r.check; });
        all.push_back(&r);
    }
    return all;
}

} // namespace

bench::DcrRequest
dcrRequestFor(const job::Job& job, const Readings& readings, const job::BenchReading& reading) {
    bench::DcrRequest request;
    request.readings = reading.ohms;
    request.leads = reading.leads;
    request.resolution = reading.resolution;
    request.place = reading.place;
    if (const job::Driver* driver = job::findDriver(job, reading.driver)) {
        request.nominal = driver->nominal.value_or(0.0);
    }
    if (reading.place == bench::Place::driver) {
        request.twin = twinOhms(job, readings, reading.cabinet, reading.driver);
    }
    return request;
}

bench::LcrRequest
lcrRequestFor(const job::Job& job, const Readings& readings, const job::BenchReading& reading) {
    bench::LcrRequest request;
    request.frequency = reading.frequency.value_or(1000.0);
    request.r = reading.r;
    request.l = reading.l.value_or(0.0);
    request.mode = reading.mode;
    request.leads = reading.leads;
    if (const job::Driver* driver = job::findDriver(job, reading.driver)) {
        request.nominal = driver->nominal;
    }
    const DriverReading* own = curveReading(readings, reading.driver);
    if (own != nullptr && own->resonance) {
        request.model.fs = own->resonance->fs;
    }
    const job::Driver* twin = job::twinOf(job, reading.cabinet, reading.driver);
    if (twin == nullptr || isFaulty(*twin)) {
        return request;
    }
    const job::Cabinet* here = job::findCabinet(job, reading.cabinet);
    const job::BenchReading* known =
        latest(job, here->twin, twin->id, "lcr", [&](const job::BenchReading& r) {
            return r.r && r.l && r.frequency == reading.frequency && r.mode == reading.mode;
        });
    if (known != nullptr) {
        request.twinR = *known->r - known->leads + reading.leads;
        request.twinL = known->l;
        return request;
    }
    // Its measured impedance serves as well, however the meter shows its pair.
    const job::Take* take = job::takeInUse(job, *twin, job::TakeKind::impedance);
    if (take != nullptr && take->curve->phase() != curve::Phase::none) {
        if (const auto Z = curve::interpolate(*take->curve, {request.frequency})) {
            request.measured = Z->front();
        }
    }
    return request;
}

Result<job::BenchReading>
withOutcome(const job::Job& job, const Readings& readings, job::BenchReading reading) {
    if (reading.check == "dcr" && !reading.ohms.empty()) {
        const bench::DcrRequest request = dcrRequestFor(job, readings, reading);
        if (request.nominal <= 0.0) {
            return Error{
                "nominal_ohm",
                YF_WORDS("core", "not given for this driver"),
                YF_WORDS("core", "enter what is printed on it: the reading is judged by it")};
        }
        YF_TRY(judged, bench::dcr(request));
        reading.outcome = bench::dcrOutcome(judged.kind);
    } else if (reading.check == "lcr" && reading.frequency) {
        YF_TRY(judged, bench::lcr(lcrRequestFor(job, readings, reading)));
        reading.outcome = bench::lcrOutcome(judged.kind).value_or("");
    }
    return reading;
}

DriverBench benchOf(const job::Job& job,
                    const Readings& readings,
                    const std::string& cabinet,
                    const std::string& driver,
                    const bench::EvidenceTable& table) {
    DriverBench out{.cabinet = cabinet, .driver = driver};
    const job::Driver* subject = job::findDriver(job, driver);
    if (subject == nullptr || job::findCabinet(job, cabinet) == nullptr) {
        return out;
    }
    const job::Driver* twin = job::twinOf(job, cabinet, driver);
    out.twin = twin == nullptr ? std::string() : twin->id;
    for (const job::BenchReading* r : latestOfEach(job, cabinet, driver)) {
        out.evidence.push_back({{r->check, r->outcome}, r->id});
    }
    const bool swept = std::ranges::any_of(
        out.evidence, [](const BenchEvidence& e) { return e.evidence.check == "impedance_sweep"; });
    if (!swept) {
        if (const auto outcome = sweepFromCurves(readings, *subject, twin)) {
            out.evidence.push_back({{"impedance_sweep", *outcome}, ""});
        }
    }
    const job::Cabinet* here = job::findCabinet(job, cabinet);
    if (const auto outcome = fromProtectors(*here, *subject)) {
        std::erase_if(out.evidence,
                      [](const BenchEvidence& e) { return e.evidence.check == "protector"; });
        out.evidence.push_back({{"protector", *outcome}, ""});
    }
    bench::Belief belief(table);
    std::erase_if(out.evidence, [&](const BenchEvidence& e) {
        // A person's table may not know a check or outcome that the job holds.
        return !belief.add(e.evidence).ok();
    });
    out.diagnosis = belief.diagnosis();
    bench::Circumstances circumstances;
    if (here->noProtectors) {
        circumstances.notFitted.emplace_back("protector");
    }
    if (here->noControls) {
        circumstances.notFitted.emplace_back("rotate_pots");
    }
    for (const bench::Offer& offer : bench::offers(belief, circumstances)) {
        out.offers.push_back(
            {table.checks[offer.check].key, offer.gain, offer.minutes, offer.rate});
    }
    if (const job::BenchReading* r = latest(job, cabinet, driver, "dcr", hasOhms)) {
        const bench::DcrRequest request = dcrRequestFor(job, readings, *r);
        if (request.nominal > 0.0) {
            if (const auto judged = bench::dcr(request)) {
                out.dcr = *judged;
            }
        }
    }
    if (const job::BenchReading* r =
            latest(job, cabinet, driver, "lcr", [](const job::BenchReading& x) {
                return x.frequency.has_value();
            })) {
        if (const auto judged = bench::lcr(lcrRequestFor(job, readings, *r))) {
            out.lcr = *judged;
        }
    }
    return out;
}

} // namespace yf::evaluation
