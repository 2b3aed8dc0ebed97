// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/practice.h"

#include "core/bench/next_check.h"
#include "core/edit/bench.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/text/given.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::sim {

namespace {

constexpr std::array<std::string_view, 6> plainFaults{"open_coil",
                                                      "shorted_turns",
                                                      "rubbing_coil",
                                                      "torn_surround",
                                                      "protector_open",
                                                      "reversed_polarity"};

struct Made {
    const char* name;
    job::Band band;
    double diameter;
};

/// Invented, in the order of stock().
constexpr std::array<Made, 3> made{Made{"Yarrow 165", job::Band::low, 0.165},
                                   Made{"Mullein 250", job::Band::low, 0.25},
                                   Made{"Betony 130", job::Band::mid, 0.132}};

Hidden hide(PracticeLevel level, Random& random) {
    for (;;) {
        Hidden hidden = drawFault(random);
        if (level != PracticeLevel::first) {
            return hidden;
        }
        if (std::ranges::find(plainFaults, hidden.fault) != plainFaults.end()) {
            const SeverityRange range = severityRange(hidden.fault);
            hidden.severity = std::max(hidden.severity, (range.low + range.high) / 2.0);
            return hidden;
        }
    }
}

job::Job jobOf(const Made& driver, double nominal, bool twin) {
    job::Job job;
    job.title = "Practise";
    for (const char* id : {practiceSpeaker, practiceTwin}) {
        const bool isTwin = id == practiceTwin;
        if (isTwin && !twin) {
            break;
        }
        job.drivers.push_back(
            {.id = id,
             .name = driver.name,
             .band = driver.band,
             .condition = isTwin ? job::Condition::sound : job::Condition::notChecked,
             .diameter = driver.diameter,
             .nominal = nominal});
        job::Cabinet cabinet{.id = id,
                             .name = isTwin ? "Its twin" : "The speaker",
                             .width = 0.32,
                             .height = 0.5,
                             .twin = !twin    ? ""
                                     : isTwin ? practiceSpeaker
                                              : practiceTwin,
                             .mounts = {{id, 0.0, 0.0}}};
        cabinet.circuit.body = network::Section{.end = network::DriverEnd{.driver = id}};
        job.cabinets.push_back(std::move(cabinet));
    }
    return job;
}

bool wantsFigures(const std::string& check) {
    return check == "dcr" || check == "lcr";
}

double probabilityOf(const bench::Belief& belief, const std::string& fault) {
    return belief.probabilities()[*belief.table().fault(fault)];
}

/// The latest outcome of each check, first ones first.
void join(std::vector<bench::Evidence>& all, const bench::Evidence& e) {
    std::erase_if(all, [&](const bench::Evidence& old) { return old.check == e.check; });
    all.push_back(e);
}

bench::Belief believe(const std::vector<bench::Evidence>& evidence) {
    auto belief = bench::beliefFrom(bench::shippedTable(), evidence);
    YF_EXPECT(belief.ok()); // outcomes come from the table
    return std::move(*belief);
}

} // namespace

Practice::Practice(std::uint64_t seed, PracticeLevel level)
    : level_(level), random_(seed), hidden_(hide(level, random_)) {
    const auto kind =
        static_cast<std::size_t>(random_.uniform() * static_cast<double>(stock().size()));
    const Stock& stocked = stock()[kind];
    Specimen specimen;
    specimen.motor = stocked.motor;
    specimen.path = stocked.path;
    specimen.fault = hidden_.fault;
    specimen.severity = hidden_.severity;
    session_ = std::make_unique<BenchSession>(specimen, stocked.nominal, Random(random_.bits()));
    untouched_ = std::make_unique<BenchSession>(*session_);
    job_ = jobOf(made.at(kind), stocked.nominal, hasTwin());
    symptom_ = session_->outcome("symptom");
    job::BenchReading said;
    said.check = "symptom";
    said.outcome = symptom_;
    said.cabinet = practiceSpeaker;
    said.driver = practiceSpeaker;
    job_ = *edit::addReading(said).apply(job_);
}

Specimen Practice::underTheTips(bool twin) {
    if (twin) {
        return session_->twin();
    }
    Specimen now = session_->specimen();
    constexpr double shut = 0.4;
    if (now.fault == "broken_lead_in" && random_.uniform() < shut) {
        now.fault = "healthy";
    }
    return now;
}

std::vector<bench::Evidence> Practice::evidence() const {
    std::vector<bench::Evidence> all{{"symptom", symptom_}};
    for (const PracticeStep& step : steps_) {
        if (!step.onTwin && !step.outcome.empty()) {
            join(all, {step.check, step.outcome});
        }
    }
    return all;
}

void Practice::note(const std::string& check, const std::string& outcome, bool twin, bool heeded) {
    const auto before = evidence();
    const bench::Belief belief = believe(before);
    const bench::EvidenceTable& table = bench::shippedTable();
    const std::size_t at = *table.check(check);
    const bool opened = std::ranges::any_of(steps_, [&](const PracticeStep& step) {
        return table.checks[*table.check(step.check)].opensBox;
    });
    PracticeStep step{.check = check,
                      .outcome = outcome,
                      .minutes = bench::minutesOf(table, at, {}, opened),
                      .onTwin = twin,
                      .barred = belief.isBarred(at),
                      .cautionsIgnored = !heeded && !table.checks[at].cautions.empty()};
    if (!twin && !outcome.empty()) {
        auto after = before;
        join(after, {check, outcome});
        step.told = std::log2(probabilityOf(believe(after), hidden_.fault) /
                              probabilityOf(belief, hidden_.fault));
    }
    steps_.push_back(std::move(step));
}

Result<std::string> Practice::make(const std::string& check, bool cautionsHeeded) {
    if (!bench::shippedTable().check(check)) {
        return Error{"check", text::givenWord(check), "is not in the table"};
    }
    if (wantsFigures(check)) {
        return Error{"check",
                     say(YF_WORDS("core", "'%1' wants figures"), check),
                     "read the meter and enter them"};
    }
    job::BenchReading reading;
    reading.check = check;
    reading.outcome = session_->outcome(check);
    reading.cabinet = practiceSpeaker;
    reading.driver = practiceSpeaker;
    YF_TRY(changed, edit::addReading(reading).apply(job_));
    note(check, reading.outcome, false, cautionsHeeded);
    job_ = std::move(changed);
    return reading.outcome;
}

Done Practice::enter(job::BenchReading reading, bool cautionsHeeded) {
    const evaluation::Assembly assembly = evaluation::assemble(job_);
    YF_TRY(judged, evaluation::withOutcome(job_, assembly.readings, std::move(reading)));
    YF_TRY(changed, edit::addReading(judged).apply(job_));
    note(judged.check, judged.outcome, judged.driver == practiceTwin, cautionsHeeded);
    job_ = std::move(changed);
    return done();
}

double Practice::minutes() const {
    double sum = 0.0;
    for (const PracticeStep& step : steps_) {
        sum += step.minutes;
    }
    return sum;
}

evaluation::DriverBench Practice::bench() const {
    return evaluation::benchOf(job_,
                               evaluation::assemble(job_).readings,
                               practiceSpeaker,
                               practiceSpeaker,
                               bench::shippedTable());
}

std::vector<RouteStep> Practice::advisedRoute() const {
    const bench::EvidenceTable& table = bench::shippedTable();
    BenchSession session = *untouched_;
    bench::Belief belief = believe({{"symptom", symptom_}});
    std::vector<RouteStep> route;
    const auto seen = evidence();
    for (std::size_t i = 0; i < table.checks.size(); ++i) {
        const auto offered = bench::offers(belief, {});
        if (offered.empty()) {
            break;
        }
        const std::string check = table.checks[offered.front().check].key;
        const auto known = std::ranges::find(seen, check, &bench::Evidence::check);
        RouteStep step{check,
                       known != seen.end() ? known->outcome : session.outcome(check),
                       offered.front().minutes};
        const auto added = belief.add({step.check, step.outcome});
        YF_EXPECT(added.ok());
        route.push_back(std::move(step));
    }
    return route;
}

PracticeResult Practice::finish(const std::string& verdict) const {
    PracticeResult result{.fault = hidden_.fault,
                          .severity = hidden_.severity,
                          .verdict = verdict,
                          .steps = steps_,
                          .route = advisedRoute()};
    for (const RouteStep& step : result.route) {
        result.routeMinutes += step.minutes;
    }
    GradeRequest request{.fault = hidden_.fault, .verdict = verdict};
    for (const PracticeStep& step : steps_) {
        request.barredDone += step.barred ? 1 : 0;
        request.cautionsIgnored += step.cautionsIgnored ? 1 : 0;
        if (std::ranges::find(request.checks, step.check) == request.checks.end()) {
            request.checks.push_back(step.check);
        }
    }
    request.reference = result.routeMinutes;
    if (const auto graded = grade(request)) {
        result.grade = *graded;
        // Repeats and the twin take time that the list of checks does not show.
        const double used = minutes();
        if (result.grade.verdict >= 60.0 && used > result.grade.used && used > 0.0) {
            constexpr double most = 25.0;
            const double points = most * std::min(1.0, request.reference / used);
            const bool capped =
                result.grade.score < result.grade.verdict + result.grade.time + result.grade.safety;
            result.grade.score -= capped ? 0.0 : result.grade.time - points;
            result.grade.time = points;
        }
        result.grade.used = used;
    }
    return result;
}

} // namespace yf::sim
