// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/align.h"

#include "core/curve/interpolate.h"
#include "core/edit/circuit.h"
#include "core/edit/front.h"
#include "core/edit/lane.h"
#include "core/evaluation/cabinet_result.h"
#include "core/evaluation/level_way.h"
#include "core/evaluation/neighbours.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/quantity/air.h"
#include "core/signal/delay.h"
#include "core/speaker/three_takes.h"
#include "core/study/order_way.h"
#include "core/take/make.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::study {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

double decibels(double x) {
    return quantity::decibels(std::max(x, 1e-15));
}

std::string driverNameOf(const job::Job& job, const std::string& id) {
    const job::Driver* driver = job::findDriver(job, id);
    return driver == nullptr ? id : driver->name;
}

} // namespace

std::optional<DialState> dialAt(const evaluation::CabinetResult& result, double frequency) {
    if (result.axis.empty() || result.sum.empty() || frequency < result.axis.front() ||
        frequency > result.axis.back()) {
        return std::nullopt;
    }
    const std::size_t k = evaluation::nearestPoint(result.axis, frequency);
    DialState state{.frequency = result.axis[k], .hands = {}, .sum = result.sum[k]};
    for (std::size_t w = 0; w < result.ways.size(); ++w) {
        state.hands.push_back({w, result.ways[w].name, result.ways[w].pressure[k]});
    }
    return state;
}

namespace {

/// A cabinet made ready to be tried with other circuits and places, on every third point.
class Bench {
public:
    Bench(const job::Job& job, const job::Cabinet& cabinet, const evaluation::Assembly& assembly)
        : job_(job), cabinet_(cabinet) {
        const auto index = static_cast<std::size_t>(
            std::ranges::find(job.cabinets, cabinet.id, &job::Cabinet::id) - job.cabinets.begin());
        curves_ = assembly.cabinets[index].get();
        if (!curves_->hasResponses || !curves_->hasImpedances) {
            return;
        }
        network::Loads thin;
        const network::Loads& all = curves_->loads->loads();
        constexpr std::size_t stride = 3;
        for (std::size_t k = 0; k < all.axis.size(); k += stride) {
            thin.axis.push_back(all.axis[k]);
        }
        for (const network::Load& load : all.drivers) {
            network::Load one = load;
            one.impedance.clear();
            one.pressure->clear();
            for (std::size_t k = 0; k < all.axis.size(); k += stride) {
                one.impedance.push_back(load.impedance[k]);
                one.pressure->push_back((*load.pressure)[k]);
            }
            thin.drivers.push_back(std::move(one));
        }
        loads_.emplace(std::move(thin));
        for (const network::DriverEnd& end : network::driverEnds(cabinet.circuit)) {
            directivities_.push_back(
                evaluation::directivityOf(job, end.driver, loads_->loads().axis).directivity);
        }
    }

    [[nodiscard]] bool ready() const { return loads_.has_value(); }

    /// dB rms about the mean over the target's range: of the window, and of the axis.
    struct Flatness {
        double window{};
        double axis{};
    };

    [[nodiscard]] std::optional<Flatness> flatness(const job::Cabinet& changed) const {
        const auto solution = network::solve(changed.circuit, *loads_);
        if (!solution) {
            return std::nullopt;
        }
        const auto pressures = network::pressures(changed.circuit, loads_->loads(), *solution);
        if (!pressures) {
            return std::nullopt;
        }
        const auto ends = network::driverEnds(changed.circuit);
        speaker::Radiators all{.axis = loads_->loads().axis,
                               .listening = {.y = evaluation::axisOf(job_, cabinet_),
                                             .distance = cabinet_.seat.distance},
                               .of = {}};
        for (std::size_t q = 0; q < ends.size(); ++q) {
            speaker::Radiator one{.name = ends[q].driver,
                                  .place = {},
                                  .axis = {},
                                  .directivity = directivities_[q],
                                  .pressure = pressures->ways[q],
                                  .takenAt = {}};
            const auto was = mountOf(cabinet_, ends[q].driver);
            const auto now = mountOf(changed, ends[q].driver);
            const job::Driver* driver = job::findDriver(job_, ends[q].driver);
            const job::Take* take = job::takeInUse(job_, *driver, job::TakeKind::response);
            one.takenAt =
                evaluation::microphoneOf(job_, cabinet_, take == nullptr ? 1.0 : take->distance);
            if (now) {
                one.place = {now->x, now->y, now->z};
                if (was && !(*was == *now)) {
                    carry(one, *was, *now);
                }
            }
            all.of.push_back(std::move(one));
        }
        const double aside = cabinet_.seat.aside;
        std::vector<speaker::Direction> where{{aside, 0.0}};
        for (const double side : {1.0, -1.0}) {
            where.push_back({aside, side * 10.0 * quantity::degree});
            for (const double angle : {10.0, 20.0, 30.0}) {
                where.push_back({aside + side * angle * quantity::degree, 0.0});
            }
        }
        const auto sums = speaker::sums(all, where, cabinet_.seat.distance);
        std::vector<double> window(all.axis.size());
        for (const auto& row : sums) {
            for (std::size_t k = 0; k < row.size(); ++k) {
                window[k] += std::norm(row[k]) / static_cast<double>(sums.size());
            }
        }
        std::vector<double> ahead;
        for (const Complex& p : sums.front()) {
            ahead.push_back(std::norm(p));
        }
        return Flatness{rms(all.axis, window), rms(all.axis, ahead)};
    }

    [[nodiscard]] double leastImpedance(const network::Circuit& circuit) const {
        const auto least = network::leastImpedance(circuit, curves_->impedances, *curves_->audible);
        return least ? least->ohms : 0.0;
    }

private:
    static std::optional<job::Mount> mountOf(const job::Cabinet& cabinet,
                                             const std::string& driver) {
        const auto found = std::ranges::find(cabinet.mounts, driver, &job::Mount::driver);
        return found == cabinet.mounts.end() ? std::nullopt : std::optional(*found);
    }

    /// The curve, which is of where the driver was, from where it would be.
    void carry(speaker::Radiator& one, const job::Mount& was, const job::Mount& now) const {
        job::Mount step = now;
        step.taken = job::Spot{was.x, was.y, was.z};
        const auto factor = evaluation::moved(job_, cabinet_, step, loads_->loads().axis);
        for (std::size_t k = 0; factor && k < one.pressure.size(); ++k) {
            one.pressure[k] *= (*factor)[k];
        }
    }

    [[nodiscard]] double rms(const curve::Axis& axis, const std::vector<double>& squares) const {
        double sum = 0.0;
        double all = 0.0;
        double count = 0.0;
        for (std::size_t k = 0; k < axis.size(); ++k) {
            if (axis[k] >= cabinet_.target.from && axis[k] <= cabinet_.target.to) {
                const double level = 0.5 * decibels(squares[k]);
                sum += level;
                all += level * level;
                count += 1.0;
            }
        }
        return count > 0.0 ? std::sqrt(std::max(0.0, all / count - sum * sum / count / count))
                           : 0.0;
    }

    const job::Job& job_;
    const job::Cabinet& cabinet_;
    const evaluation::AssembledCabinet* curves_{};
    std::optional<network::PreparedLoads> loads_;
    std::vector<speaker::Directivity> directivities_;
};

struct Candidate {
    edit::Edit edit;
    Effort effort{};
};

/// What there is to try.
std::vector<Candidate> candidatesFor(const job::Job& job,
                                     const job::Cabinet& cabinet,
                                     const evaluation::CabinetResult* result) {
    std::vector<Candidate> all;
    const auto ends = network::driverEnds(cabinet.circuit);
    for (std::size_t q = 0; q < ends.size(); ++q) {
        all.push_back(
            {edit::reverseDriver(cabinet.id, q, driverNameOf(job, ends[q].driver)), Effort::free});
    }
    for (const network::Part& part : network::parts(cabinet.circuit)) {
        if (part.fixed) {
            continue;
        }
        for (const int steps : {-2, -1, 1, 2}) {
            const double value = network::stepValue(part.value, network::ESeries::E12, steps);
            edit::Edit edit = edit::changePart(cabinet.id, network::withValue(part, value));
            all.push_back({std::move(edit), Effort::part});
        }
        edit::Edit without = edit::removePart(cabinet.id, part.id);
        all.push_back({std::move(without), Effort::part});
    }
    for (std::size_t q = 0; q < ends.size(); ++q) {
        if (const auto line = network::lineOf(cabinet.circuit, q)) {
            for (const double change : {-3.0, -1.5, 1.5, 3.0}) {
                network::Line other = *line;
                other.gain += change;
                all.push_back({edit::changeLine(cabinet.id, q, other, network::gainWords(other)),
                               Effort::free});
            }
        }
    }
    for (std::size_t q = 0; result != nullptr && q < ends.size(); ++q) {
        for (const double quieter : {-3.0, -1.5, 1.5, 3.0}) {
            auto edit = evaluation::levelWay(job, cabinet, *result, q, quieter);
            if (edit && !network::lineOf(cabinet.circuit, q)) {
                all.push_back({std::move(*edit), Effort::part});
            }
        }
    }
    const auto pairs = result == nullptr ? std::vector<evaluation::Neighbourhood>{}
                                         : evaluation::neighbourhoods(job, *result);
    for (const evaluation::Neighbourhood& n : pairs) {
        for (const double factor : {0.5, 1.0}) {
            for (const auto& [way, side] : {std::pair{n.lower, speaker::FilterSide::low},
                                            std::pair{n.upper, speaker::FilterSide::high}}) {
                auto edit =
                    n.met ? steeperWay(job, cabinet, way, side, n.met->fx, factor) : std::nullopt;
                if (edit) {
                    all.push_back({std::move(*edit), Effort::part});
                }
            }
        }
    }
    for (const job::Mount& mount : cabinet.mounts) {
        const std::string name = driverNameOf(job, mount.driver);
        for (const double up : {-0.02, 0.02}) {
            job::Mount to = mount;
            to.y += up;
            edit::Edit edit = edit::shiftDriver(cabinet.id, to, {});
            edit.name = up > 0.0 ? say(YF_WORDS("core", "%1 20 mm up"), name)
                                 : say(YF_WORDS("core", "%1 20 mm down"), name);
            all.push_back({std::move(edit), Effort::wood});
        }
        for (const double out : {-0.005, 0.005}) {
            job::Mount to = mount;
            to.z += out;
            edit::Edit edit = edit::shiftDriver(cabinet.id, to, {});
            edit.name = out > 0.0 ? say(YF_WORDS("core", "%1 5 mm out"), name)
                                  : say(YF_WORDS("core", "%1 5 mm in"), name);
            all.push_back({std::move(edit), Effort::wood});
        }
        if (std::abs(mount.x) > 0.005) {
            job::Mount to = mount;
            to.x = -mount.x;
            edit::Edit edit = edit::shiftDriver(cabinet.id, to, {});
            edit.name = say(YF_WORDS("core", "%1 to the other side"), name);
            all.push_back({std::move(edit), Effort::wood});
        }
    }
    return all;
}

/// Ways, load and sum of a cabinet of the job.
evaluation::CabinetResult
resultOf(const job::Job& job, const job::Cabinet& cabinet, const evaluation::Assembly& assembly) {
    const auto index = static_cast<std::size_t>(
        std::ranges::find(job.cabinets, cabinet.id, &job::Cabinet::id) - job.cabinets.begin());
    return evaluation::evaluateCabinet({.cabinet = cabinet.id,
                                        .circuit = cabinet.circuit,
                                        .target = cabinet.target,
                                        .assembled = assembly.cabinets[index]});
}

std::optional<double>
leastNull(const job::Job& job, const job::Cabinet& cabinet, const evaluation::Assembly& assembly) {
    std::optional<double> least;
    for (const evaluation::Neighbourhood& n :
         evaluation::neighbourhoods(job, resultOf(job, cabinet, assembly))) {
        if (n.met && n.met->nullDepth) {
            least = std::min(least.value_or(1e9), *n.met->nullDepth);
        }
    }
    return least;
}

} // namespace

RemedyList remediesFor(const job::Job& job,
                       const job::Cabinet& cabinet,
                       const evaluation::Assembly& assembly) {
    RemedyList list;
    const Bench bench(job, cabinet, assembly);
    const auto before = bench.ready() ? bench.flatness(cabinet) : std::nullopt;
    if (!before) {
        return list;
    }
    list.window = before->window;
    list.axis = before->axis;
    const evaluation::CabinetResult result = resultOf(job, cabinet, assembly);
    for (Candidate& candidate : candidatesFor(job, cabinet, &result)) {
        const auto changed = candidate.edit.apply(job);
        if (!changed) {
            continue;
        }
        const job::Cabinet* other = job::findCabinet(*changed, cabinet.id);
        if (network::givesDirectCurrent(cabinet.circuit, other->circuit)) {
            continue;
        }
        ++list.tried;
        const auto after = bench.flatness(*other);
        constexpr double worthAWord = 0.1; // dB
        constexpr double bearable = 0.1;
        if (after && before->window - after->window >= worthAWord &&
            after->axis <= before->axis + bearable) {
            if (candidate.edit.nameAfter) {
                const Words name = candidate.edit.nameAfter(*changed);
                candidate.edit.name = candidate.effort == Effort::wood ? candidate.edit.name : name;
            }
            list.remedies.push_back({.edit = std::move(candidate.edit),
                                     .effort = candidate.effort,
                                     .window = before->window - after->window,
                                     .axis = before->axis - after->axis});
        }
    }
    std::ranges::stable_sort(list.remedies, std::ranges::greater{}, &Remedy::window);
    constexpr std::size_t most = 12;
    if (list.remedies.size() > most) {
        list.remedies.erase(list.remedies.begin() + most, list.remedies.end());
    }
    const double now = bench.leastImpedance(cabinet.circuit);
    for (Remedy& remedy : list.remedies) {
        const auto changed = remedy.edit.apply(job);
        const job::Cabinet& other = *job::findCabinet(*changed, cabinet.id);
        remedy.impedance = bench.leastImpedance(other.circuit);
        if (remedy.effort != Effort::wood) {
            remedy.nullDepth = leastNull(*changed, other, assembly);
        }
    }
    constexpr double floor = 3.2; // Ω: 80 % of 4
    std::erase_if(list.remedies,
                  [&](const Remedy& r) { return r.impedance < floor && r.impedance < now - 1e-3; });
    return list;
}

std::vector<std::optional<double>> windowErrors(const job::Job& job,
                                                const job::Cabinet& cabinet,
                                                const evaluation::Assembly& assembly,
                                                const std::vector<network::Circuit>& circuits) {
    std::vector<std::optional<double>> all(circuits.size());
    const Bench bench(job, cabinet, assembly);
    for (std::size_t i = 0; bench.ready() && i < circuits.size(); ++i) {
        job::Cabinet other = cabinet;
        other.circuit = circuits[i];
        if (const auto flatness = bench.flatness(other)) {
            all[i] = flatness->window;
        }
    }
    return all;
}

namespace {

Arrival byCommonReference(const job::Job& job,
                          const job::Driver& lower,
                          const job::Driver& upper,
                          double fx) {
    Arrival arrival{.method = Arrival::Method::common};
    const job::Take* a = job::takeInUse(job, lower, job::TakeKind::response);
    const job::Take* b = job::takeInUse(job, upper, job::TakeKind::response);
    if (a == nullptr || b == nullptr || a->curve->phase() != curve::Phase::common ||
        b->curve->phase() != curve::Phase::common) {
        arrival.missing = YF_WORDS("core", "responses of both with one time reference");
        return arrival;
    }
    // Each about the crossover, on its own side of it: an octave and a half.
    constexpr double reach = 5e-3;
    const auto first = signal::excessDelay(*a->curve, 0.0, reach, curve::Range{fx / 4.0, fx * 1.4});
    const auto second =
        signal::excessDelay(*b->curve, 0.0, reach, curve::Range{fx / 1.4, fx * 4.0});
    if (!first || !second) {
        arrival.missing = YF_WORDS("core", "responses that reach an octave beyond the crossover");
        return arrival;
    }
    arrival.delay = second->delay - first->delay;
    arrival.u = std::hypot(first->u, second->u);
    return arrival;
}

Arrival byThreeTakes(const job::Job& job, const job::Driver& lower, const job::Driver& upper) {
    Arrival arrival{.method = Arrival::Method::threeTakes};
    const job::Take* both = nullptr;
    for (const job::Take& take : job.takes) {
        const job::Recorded& r = take.recorded;
        const bool pair = (r.driver == lower.id && r.also == upper.id) ||
                          (r.driver == upper.id && r.also == lower.id);
        if (take.kind == job::TakeKind::response && pair && r.angle == 0.0) {
            both = &take;
        }
    }
    const job::Take* a = job::takeInUse(job, lower, job::TakeKind::response);
    const job::Take* b = job::takeInUse(job, upper, job::TakeKind::response);
    if (both == nullptr || a == nullptr || b == nullptr) {
        arrival.missing =
            say(YF_WORDS("core", "a take of %1 and %2 together"), lower.name, upper.name);
        return arrival;
    }
    const auto clip = [](const job::Take& t) { return t.curve->trusted(); };
    const double from = std::max({clip(*a).from, clip(*b).from, clip(*both).from});
    const double to = std::min({clip(*a).to, clip(*b).to, clip(*both).to});
    const curve::Axis axis = curve::within(curve::designAxis(), from, to);
    constexpr std::size_t leastPoints = 24;
    if (axis.size() < leastPoints) {
        arrival.missing = YF_WORDS("core", "three takes that share half an octave");
        return arrival;
    }
    const auto own = [&](const job::Take& t) {
        const curve::Curve minimum = curve::withMinimumPhase(*t.curve);
        return *curve::interpolate(minimum, axis);
    };
    const auto first = own(*a);
    const auto second = own(*b);
    const auto sum = curve::levels(*curve::interpolate(*both->curve, axis), 1.0);
    const auto found =
        speaker::delayFrom({.axis = axis, .first = first, .second = second, .sum = sum});
    if (!found) {
        arrival.missing = YF_WORDS("core", "drivers that overlap");
        return arrival;
    }
    arrival.delay = found->best.delay;
    arrival.u = found->sigma;
    arrival.ambiguous = found->ambiguous;
    return arrival;
}

/// Where a driver's centre lies before the front, by its kind: a rule of thumb.
double depthOf(const job::Driver& driver) {
    constexpr double ofCone = -0.2;  // of its diameter
    constexpr double ofDome = 0.002; // m
    return driver.band >= job::Band::high ? ofDome : ofCone * driver.diameter;
}

Arrival byDepth(const job::Driver& lower, const job::Driver& upper) {
    constexpr double unsure = 0.010; // m
    return {.method = Arrival::Method::geometry,
            .delay = (depthOf(lower) - depthOf(upper)) / quantity::soundSpeed,
            .u = unsure / quantity::soundSpeed};
}

/// What the methods' answers ask for.
struct Advice {
    std::string words;
    bool together{}; ///< a take of both would settle it
};

Advice adviceOf(const std::vector<Arrival>& ways, double fx) {
    const Arrival& common = ways[0];
    const Arrival& three = ways[1];
    constexpr double tooMuch = 15.0; // degrees
    const auto degrees = [&](double seconds) { return 360.0 * fx * seconds; };
    if (three.ambiguous) {
        return {YF_WORDS("core",
                         "Two delays explain the sum: repeat the three takes without the network, "
                         "or with the microphone raised by a known height."),
                true};
    }
    if (common.delay && three.delay) {
        const double apart = std::abs(*common.delay - *three.delay);
        if (apart > 2.0 * std::hypot(common.u, three.u)) {
            return {
                YF_WORDS(
                    "core",
                    "Common reference and three takes differ by more than both allow: something "
                    "moved between them, or a level changed; repeat the take of both together."),
                true};
        }
    }
    const Arrival& best = three.delay && (!common.delay || three.u < common.u) ? three : common;
    if (!best.delay) {
        return {YF_WORDS("core",
                         "Only the drivers' depth is known, good to 10 mm: take both with one time "
                         "reference, or each alone and both together."),
                true};
    }
    if (degrees(best.u) > tooMuch) {
        return {YF_WORDS("core",
                         "The delay is not known to 15 degrees at the crossover: take one of them "
                         "turned over as well, or widen the overlap."),
                true};
    }
    return {};
}

} // namespace

std::vector<ArrivalStudy> arrivals(const job::Job& job,
                                   const job::Cabinet& /*cabinet*/,
                                   const evaluation::CabinetResult& result) {
    std::vector<ArrivalStudy> all;
    for (const evaluation::Neighbourhood& n : evaluation::neighbourhoods(job, result)) {
        const job::Driver* lower = job::findDriver(job, result.ways[n.lower].driver);
        const job::Driver* upper = job::findDriver(job, result.ways[n.upper].driver);
        if (!n.met) {
            continue;
        }
        ArrivalStudy study{.lower = n.lower, .upper = n.upper, .fx = n.met->fx};
        study.ways = {byCommonReference(job, *lower, *upper, study.fx),
                      byThreeTakes(job, *lower, *upper),
                      byDepth(*lower, *upper)};
        const Advice advice = adviceOf(study.ways, study.fx);
        study.advice = advice.words;
        if (advice.together || !study.ways[1].delay) {
            // What is missing first: one alone, then the other, then both.
            const auto has = [&](const job::Driver& driver) {
                return job::takeInUse(job, driver, job::TakeKind::response) != nullptr;
            };
            study.wanted = !has(*lower)   ? TakeWanted{lower->id, {}}
                           : !has(*upper) ? TakeWanted{upper->id, {}}
                                          : TakeWanted{lower->id, upper->id};
        }
        all.push_back(std::move(study));
    }
    return all;
}

std::optional<SideAdvice> sideAdvice(const job::Job& job,
                                     const job::Cabinet& cabinet,
                                     const evaluation::CabinetResult& result) {
    const bool aside = std::ranges::any_of(
        cabinet.mounts, [](const job::Mount& m) { return std::abs(m.x) > 0.005; });
    const auto pairs = evaluation::neighbourhoods(job, result);
    constexpr std::size_t stride = 3;
    auto directions = evaluation::directionsOf(job, cabinet, result, stride);
    if (!aside || pairs.empty() || !pairs.back().met || !directions) {
        return std::nullopt;
    }
    const double fx = pairs.back().met->fx;
    const auto& axis = directions->radiators.axis;
    constexpr double usualAngle = 20.0; // degrees, of a speaker that is not turned to the seat
    constexpr double wallAngle = 55.0;
    const double listen =
        cabinet.seat.aside != 0.0 ? std::abs(cabinet.seat.aside) : usualAngle * quantity::degree;
    // The highest driver's side: inside means that it lies towards the listener.
    const auto order = evaluation::waysFromBelow(job, result);
    const double side = directions->radiators.of[order.back()].place.x >= 0.0 ? 1.0 : -1.0;
    const auto at = [&](double angle) {
        const speaker::Direction where{angle, 0.0};
        return speaker::sums(directions->radiators, std::span(&where, 1), cabinet.seat.distance)[0];
    };

    struct Heard {
        double rms{};
        double mean{};
    };

    const auto judge = [&](const std::vector<Complex>& p) {
        double sum = 0.0;
        double squares = 0.0;
        double count = 0.0;
        for (std::size_t k = 0; k < axis.size(); ++k) {
            if (axis[k] >= fx / 2.0 && axis[k] <= 2.0 * fx) {
                const double level = decibels(std::abs(p[k]));
                sum += level;
                squares += level * level;
                count += 1.0;
            }
        }
        const double mean = sum / count;
        return Heard{std::sqrt(std::max(0.0, squares / count - mean * mean)), mean};
    };
    const double wall = wallAngle * quantity::degree;
    const Heard inside = judge(at(side * listen));
    const Heard outside = judge(at(-side * listen));
    SideAdvice advice{.inside = inside.rms,
                      .outside = outside.rms,
                      .wallInside = judge(at(-side * wall)).mean - inside.mean,
                      .wallOutside = judge(at(side * wall)).mean - outside.mean};
    constexpr double alike = 0.2; // dB
    advice.preferInside = std::abs(inside.rms - outside.rms) > alike
                              ? inside.rms < outside.rms
                              : advice.wallInside <= advice.wallOutside;
    return advice;
}

} // namespace yf::study
