// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/bench.h"

#include "core/bench/sweep.h"
#include "core/bench/words.h"
#include "core/curve/interpolate.h"
#include "core/job/evaluate.h"
#include "core/text/words.h"

#include <algorithm>

namespace yf::job {

namespace {

constexpr std::string_view aboutCabinet[] = {"protector",
                                             "cable_contacts",
                                             "swap_lr",
                                             "pair_polarity",
                                             "rotate_pots",
                                             "knock",
                                             "leak_check"};

const DriverReading* curveReading(const Assembly& assembly, const std::string& driver) {
    const auto found = assembly.readings.find(driver);
    return found == assembly.readings.end() ? nullptr : &found->second;
}

bool isFaulty(const Driver& driver) {
    return driver.condition == Condition::suspect || driver.condition == Condition::dead;
}

/// The latest reading of a check that shows a number of the kind wanted.
template <class Has>
const BenchReading* latest(const Job& job,
                           const std::string& cabinet,
                           const std::string& driver,
                           std::string_view check,
                           Has has) {
    const auto all = readingsOf(job, cabinet, driver, check);
    const auto found =
        std::find_if(all.rbegin(), all.rend(), [&](const BenchReading* r) { return has(*r); });
    return found == all.rend() ? nullptr : *found;
}

bool hasOhms(const BenchReading& r) {
    return !r.ohms.empty();
}

std::optional<double> netOhms(const BenchReading& r) {
    bench::DcrRequest request;
    request.readings = r.ohms;
    request.leads = r.leads;
    request.nominal = 8.0; // the value does not depend on it
    const auto judged = bench::dcr(request);
    return judged ? judged->dcr : std::nullopt;
}

/// DC resistance of the twin: its reading, else the low end of its measured impedance.
std::optional<double> twinOhms(const Job& job,
                               const Assembly& assembly,
                               const std::string& cabinet,
                               const std::string& driver) {
    const Driver* twin = twinOf(job, cabinet, driver);
    if (twin == nullptr || isFaulty(*twin)) {
        return std::nullopt;
    }
    const Cabinet* here = findCabinet(job, cabinet);
    const BenchReading* reading = latest(job, here->twin, twin->id, "dcr", hasOhms);
    if (reading != nullptr && reading->place == bench::Place::driver) {
        return netOhms(*reading);
    }
    const DriverReading* curve = curveReading(assembly, twin->id);
    return curve == nullptr ? std::nullopt : std::optional(curve->Re);
}

/// What two impedance curves say of the first: a single level, so friction is not looked for.
std::optional<std::string>
sweepFromCurves(const Assembly& assembly, const Driver& driver, const Driver* twin) {
    const DriverReading* own = curveReading(assembly, driver.id);
    if (own == nullptr || twin == nullptr || isFaulty(*twin)) {
        return std::nullopt;
    }
    const DriverReading* other = curveReading(assembly, twin->id);
    if (other == nullptr || !other->resonance || !own->resonance) {
        return std::nullopt;
    }
    const bench::ImpedancePeak peak{own->resonance->Zpeak, own->resonance->fs};
    return bench::sweepOutcome({peak, peak}, {other->resonance->Zpeak, other->resonance->fs});
}

/// What the protectors before a driver say once each has been read: a bridge hides what is behind
/// it, and one of another driver is none of this one's.
std::optional<std::string> fromProtectors(const Cabinet& cabinet, const Driver& driver) {
    const auto isBefore = [&](const Protector& p) {
        return p.driver.empty() || p.driver == driver.id || p.driver == driver.alike;
    };
    const auto stands = [&](ProtectorState state) {
        return std::ranges::any_of(cabinet.protectors, [&](const Protector& p) {
            return p.state == state && isBefore(p);
        });
    };
    if (stands(ProtectorState::open)) {
        return "open";
    }
    if (std::ranges::none_of(cabinet.protectors, isBefore) || stands(ProtectorState::notChecked) ||
        stands(ProtectorState::bridged)) {
        return std::nullopt;
    }
    return "continuous";
}

std::string newId(const Job& job) {
    std::size_t number = job.readings.size() + 1;
    const auto taken = [&](const std::string& id) {
        return std::ranges::find(job.readings, id, &BenchReading::id) != job.readings.end();
    };
    while (taken("reading-" + std::to_string(number))) {
        ++number;
    }
    return "reading-" + std::to_string(number);
}

/// The latest of each check, then ordered by when it was made.
std::vector<const BenchReading*>
latestOfEach(const Job& job, const std::string& cabinet, const std::string& driver) {
    std::vector<const BenchReading*> all;
    for (const BenchReading& r : job.readings) {
        // A battery at the terminals tells of the network as well as of the driver.
        const bool through = r.check == "battery_pop" && r.place == bench::Place::cabinet;
        const bool counts = !r.setAside && !r.outcome.empty() && !through && r.cabinet == cabinet &&
                            r.driver == (isAboutCabinet(r.check) ? "" : driver);
        if (!counts) {
            continue;
        }
        std::erase_if(all, [&](const BenchReading* old) { return old->check == r.check; });
        all.push_back(&r);
    }
    return all;
}

} // namespace

bool isAboutCabinet(std::string_view check) {
    return std::ranges::find(aboutCabinet, check) != std::end(aboutCabinet);
}

const Driver* twinOf(const Job& job, const std::string& cabinet, const std::string& driver) {
    const Cabinet* here = findCabinet(job, cabinet);
    const Cabinet* there = here == nullptr ? nullptr : findCabinet(job, here->twin);
    if (there == nullptr) {
        return nullptr;
    }
    const auto mount = std::ranges::find(here->mounts, driver, &Mount::driver);
    const auto place = static_cast<std::size_t>(mount - here->mounts.begin());
    return place < there->mounts.size() ? findDriver(job, there->mounts[place].driver) : nullptr;
}

std::vector<const BenchReading*> readingsOf(const Job& job,
                                            const std::string& cabinet,
                                            const std::string& driver,
                                            std::string_view check) {
    std::vector<const BenchReading*> all;
    for (const BenchReading& r : job.readings) {
        if (!r.setAside && r.check == check && r.cabinet == cabinet &&
            r.driver == (isAboutCabinet(check) ? "" : driver)) {
            all.push_back(&r);
        }
    }
    return all;
}

bench::DcrRequest
dcrRequestFor(const Job& job, const Assembly& assembly, const BenchReading& reading) {
    bench::DcrRequest request;
    request.readings = reading.ohms;
    request.leads = reading.leads;
    request.resolution = reading.resolution;
    request.place = reading.place;
    if (const Driver* driver = findDriver(job, reading.driver)) {
        request.nominal = driver->nominal.value_or(0.0);
    }
    if (reading.place == bench::Place::driver) {
        request.twin = twinOhms(job, assembly, reading.cabinet, reading.driver);
    }
    return request;
}

bench::LcrRequest
lcrRequestFor(const Job& job, const Assembly& assembly, const BenchReading& reading) {
    bench::LcrRequest request;
    request.frequency = reading.frequency.value_or(1000.0);
    request.r = reading.r;
    request.l = reading.l.value_or(0.0);
    request.mode = reading.mode;
    request.leads = reading.leads;
    if (const Driver* driver = findDriver(job, reading.driver)) {
        request.nominal = driver->nominal;
    }
    const DriverReading* own = curveReading(assembly, reading.driver);
    if (own != nullptr && own->resonance) {
        request.model.fs = own->resonance->fs;
    }
    const Driver* twin = twinOf(job, reading.cabinet, reading.driver);
    if (twin == nullptr || isFaulty(*twin)) {
        return request;
    }
    const Cabinet* here = findCabinet(job, reading.cabinet);
    const BenchReading* known =
        latest(job, here->twin, twin->id, "lcr", [&](const BenchReading& r) {
            return r.r && r.l && r.frequency == reading.frequency && r.mode == reading.mode;
        });
    if (known != nullptr) {
        request.twinR = *known->r - known->leads + reading.leads;
        request.twinL = known->l;
        return request;
    }
    // Its measured impedance serves as well, however the meter shows its pair.
    const Take* take = takeInUse(job, *twin, TakeKind::impedance);
    if (take != nullptr && take->curve->phase() != curve::Phase::none) {
        if (const auto Z = curve::interpolate(*take->curve, {request.frequency})) {
            request.measured = Z->front();
        }
    }
    return request;
}

Result<BenchReading> withOutcome(const Job& job, const Assembly& assembly, BenchReading reading) {
    if (reading.check == "dcr" && !reading.ohms.empty()) {
        const bench::DcrRequest request = dcrRequestFor(job, assembly, reading);
        if (request.nominal <= 0.0) {
            return Error{"nominal_ohm",
                         "not given for this driver",
                         "enter what is printed on it: the reading is judged by it"};
        }
        YF_TRY(judged, bench::dcr(request));
        reading.outcome = bench::dcrOutcome(judged.kind);
    } else if (reading.check == "lcr" && reading.frequency) {
        YF_TRY(judged, bench::lcr(lcrRequestFor(job, assembly, reading)));
        reading.outcome = bench::lcrOutcome(judged.kind).value_or("");
    }
    return reading;
}

DriverBench benchOf(const Job& job,
                    const Assembly& assembly,
                    const std::string& cabinet,
                    const std::string& driver,
                    const bench::EvidenceTable& table) {
    DriverBench out{.cabinet = cabinet, .driver = driver};
    const Driver* subject = findDriver(job, driver);
    if (subject == nullptr || findCabinet(job, cabinet) == nullptr) {
        return out;
    }
    const Driver* twin = twinOf(job, cabinet, driver);
    out.twin = twin == nullptr ? std::string() : twin->id;
    for (const BenchReading* r : latestOfEach(job, cabinet, driver)) {
        out.evidence.push_back({{r->check, r->outcome}, r->id});
    }
    const bool swept = std::ranges::any_of(
        out.evidence, [](const BenchEvidence& e) { return e.evidence.check == "impedance_sweep"; });
    if (!swept) {
        if (const auto outcome = sweepFromCurves(assembly, *subject, twin)) {
            out.evidence.push_back({{"impedance_sweep", *outcome}, ""});
        }
    }
    const Cabinet* here = findCabinet(job, cabinet);
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
    if (const BenchReading* r = latest(job, cabinet, driver, "dcr", hasOhms)) {
        const bench::DcrRequest request = dcrRequestFor(job, assembly, *r);
        if (request.nominal > 0.0) {
            if (const auto judged = bench::dcr(request)) {
                out.dcr = *judged;
            }
        }
    }
    if (const BenchReading* r = latest(job, cabinet, driver, "lcr", [](const BenchReading& x) {
            return x.frequency.has_value();
        })) {
        if (const auto judged = bench::lcr(lcrRequestFor(job, assembly, *r))) {
            out.lcr = *judged;
        }
    }
    return out;
}

Edit addReading(BenchReading reading) {
    const std::string name =
        bench::checkInWords(reading.check) +
        (reading.outcome.empty() ? std::string()
                                 : ": " + bench::outcomeInWords(reading.check, reading.outcome));
    return {name, [reading = std::move(reading)](const Job& job) -> Result<Job> {
                Job changed = job;
                BenchReading joined = reading;
                joined.id = newId(job);
                if (isAboutCabinet(joined.check)) {
                    joined.driver.clear();
                }
                // The sides of a system are no cabinet.
                const bool sides = joined.check == "pair_polarity" && joined.cabinet.empty();
                if (!sides && findCabinet(job, joined.cabinet) == nullptr) {
                    return Error{"cabinet", "'" + joined.cabinet + "' given", "is not in the job"};
                }
                if (!joined.driver.empty() && findDriver(job, joined.driver) == nullptr) {
                    return Error{"driver", "'" + joined.driver + "' given", "is not in the job"};
                }
                changed.readings.push_back(std::move(joined));
                return changed;
            }};
}

Edit setReadingAside(const std::string& id, bool aside) {
    return {aside ? YF_WORDS("core", "Set a reading aside")
                  : YF_WORDS("core", "Count a reading again"),
            [id, aside](const Job& job) -> Result<Job> {
                Job changed = job;
                const auto found = std::ranges::find(changed.readings, id, &BenchReading::id);
                if (found == changed.readings.end()) {
                    return Error{"reading", "'" + id + "' given", "is not in the job"};
                }
                found->setAside = aside;
                return changed;
            }};
}

Edit changeNominal(const std::string& driver, double nominal) {
    return {YF_WORDS("core", "Change the impedance printed on a driver"),
            [driver, nominal](const Job& job) -> Result<Job> {
                constexpr double least = 0.5;
                constexpr double most = 600.0;
                if (!(nominal >= least && nominal <= most)) {
                    return Error{"nominal_ohm", "not a rating", "must be 0.5 to 600 ohms"};
                }
                Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{"driver", "'" + driver + "' given", "is not in the job"};
                }
                found->nominal = nominal;
                return changed;
            }};
}

Edit decide(const std::string& driver, bench::Remedy remedy) {
    return {YF_WORDS("core", "Decide what to do about a driver"),
            [driver, remedy](const Job& job) -> Result<Job> {
                Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{"driver", "'" + driver + "' given", "is not in the job"};
                }
                found->decision = remedy;
                return changed;
            }};
}

Edit concludeDriver(const std::string& driver, Condition condition) {
    constexpr std::string_view names[] = {YF_WORDS("core", "Find a driver not checked"),
                                          YF_WORDS("core", "Find a driver sound"),
                                          YF_WORDS("core", "Find a driver suspect"),
                                          YF_WORDS("core", "Find a driver dead")};
    return {std::string(names[static_cast<std::size_t>(condition)]),
            [driver, condition](const Job& job) -> Result<Job> {
                Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{"driver", "'" + driver + "' given", "is not in the job"};
                }
                found->condition = condition;
                return changed;
            }};
}

} // namespace yf::job
