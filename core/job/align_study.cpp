// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/align_study.h"

#include "core/curve/interpolate.h"
#include "core/job/circuit_edit.h"
#include "core/job/front_edit.h"
#include "core/job/lane_edit.h"
#include "core/job/level_way.h"
#include "core/job/make_take.h"
#include "core/job/order_way.h"
#include "core/network/ladder_edit.h"
#include "core/quantity/air.h"
#include "core/signal/delay.h"
#include "core/speaker/three_takes.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::job {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

double decibels(double x) {
    return quantity::decibels(std::max(x, 1e-15));
}

std::string driverNameOf(const Job& job, const std::string& id) {
    const Driver* driver = findDriver(job, id);
    return driver == nullptr ? id : driver->name;
}

/// Ways in order of their drivers' bands.
std::vector<std::size_t> fromBelow(const Job& job, const CabinetResult& result) {
    std::vector<std::size_t> order;
    for (std::size_t w = 0; w < result.ways.size(); ++w) {
        if (findDriver(job, result.ways[w].driver) != nullptr && !result.ways[w].pressure.empty()) {
            order.push_back(w);
        }
    }
    std::ranges::stable_sort(
        order, {}, [&](std::size_t w) { return findDriver(job, result.ways[w].driver)->band; });
    return order;
}

std::size_t nearestPoint(const curve::Axis& axis, double f) {
    const auto above = std::ranges::lower_bound(axis, f) - axis.begin();
    const auto k = std::min(static_cast<std::size_t>(above), axis.size() - 1);
    return k > 0 && f / axis[k - 1] < axis[k] / f ? k - 1 : k;
}

/// Slope of a phase difference against ω about a point, by unwrapped neighbours.
double groupDelayAt(const curve::Axis& axis, const std::vector<double>& difference, std::size_t k) {
    constexpr std::size_t reach = 4; // a sixth of an octave
    const std::size_t from = k > reach ? k - reach : 0;
    const std::size_t to = std::min(k + reach, axis.size() - 1);
    double turned = 0.0;
    for (std::size_t i = from + 1; i <= to; ++i) {
        turned += std::remainder(difference[i] - difference[i - 1], 2.0 * pi);
    }
    return to > from ? -turned / (2.0 * pi * (axis[to] - axis[from])) : 0.0;
}

} // namespace

std::vector<Neighbourhood> neighbourhoods(const Job& job, const CabinetResult& result) {
    std::vector<Neighbourhood> all;
    const auto order = fromBelow(job, result);
    for (std::size_t i = 1; i < order.size(); ++i) {
        const WayResult& lower = result.ways[order[i - 1]];
        const WayResult& upper = result.ways[order[i]];
        if (findDriver(job, lower.driver)->band == findDriver(job, upper.driver)->band) {
            continue;
        }
        Neighbourhood n{.lower = order[i - 1], .upper = order[i]};
        n.met = speaker::crossover({result.axis, lower.pressure, upper.pressure});
        for (std::size_t k = 0; k < result.axis.size(); ++k) {
            const Complex a = lower.pressure[k];
            const Complex b = upper.pressure[k];
            n.difference.push_back(std::arg(b * std::conj(a)));
            constexpr double within = 10.0; // of the powers: 10 dB
            n.overlap.push_back(std::norm(a) <= within * std::norm(b) &&
                                std::norm(b) <= within * std::norm(a));
        }
        if (n.met) {
            const std::size_t k = nearestPoint(result.axis, n.met->fx);
            const Complex a = lower.pressure[k];
            const Complex b = upper.pressure[k];
            n.levelDifference = decibels(std::abs(b)) - decibels(std::abs(a));
            n.loss = decibels(std::abs(a) + std::abs(b)) - decibels(std::abs(a + b));
            n.groupDelay = groupDelayAt(result.axis, n.difference, k);
            if (n.met->nullDepth && *n.met->nullDepth > 0.0) {
                n.bounds = speaker::boundsOf(*n.met->nullDepth);
            }
        }
        all.push_back(std::move(n));
    }
    return all;
}

std::optional<DialState> dialAt(const CabinetResult& result, double frequency) {
    if (result.axis.empty() || result.sum.empty() || frequency < result.axis.front() ||
        frequency > result.axis.back()) {
        return std::nullopt;
    }
    const std::size_t k = nearestPoint(result.axis, frequency);
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
    Bench(const Job& job, const Cabinet& cabinet, const Assembly& assembly)
        : job_(job), cabinet_(cabinet) {
        const auto index = static_cast<std::size_t>(
            std::ranges::find(job.cabinets, cabinet.id, &Cabinet::id) - job.cabinets.begin());
        curves_ = &assembly.cabinets[index];
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
                directivityOf(job, end.driver, loads_->loads().axis).directivity);
        }
    }

    [[nodiscard]] bool ready() const { return loads_.has_value(); }

    /// dB rms about the mean over the target's range: of the window, and of the axis.
    struct Flatness {
        double window{};
        double axis{};
    };

    [[nodiscard]] std::optional<Flatness> flatness(const Cabinet& changed) const {
        const auto solution = network::solve(changed.circuit, *loads_);
        if (!solution) {
            return std::nullopt;
        }
        const auto pressures = network::pressures(changed.circuit, loads_->loads(), *solution);
        if (!pressures) {
            return std::nullopt;
        }
        const auto ends = network::driverEnds(changed.circuit);
        speaker::Radiators all{
            .axis = loads_->loads().axis,
            .listening = {.y = axisOf(job_, cabinet_), .distance = cabinet_.seat.distance},
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
            const Driver* driver = findDriver(job_, ends[q].driver);
            const Take* take = takeInUse(job_, *driver, TakeKind::response);
            one.takenAt = microphoneOf(job_, cabinet_, take == nullptr ? 1.0 : take->distance);
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
    static std::optional<Mount> mountOf(const Cabinet& cabinet, const std::string& driver) {
        const auto found = std::ranges::find(cabinet.mounts, driver, &Mount::driver);
        return found == cabinet.mounts.end() ? std::nullopt : std::optional(*found);
    }

    /// The curve, which is of where the driver was, from where it would be.
    void carry(speaker::Radiator& one, const Mount& was, const Mount& now) const {
        Mount step = now;
        step.taken = Spot{was.x, was.y, was.z};
        const auto factor = moved(job_, cabinet_, step, loads_->loads().axis);
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

    const Job& job_;
    const Cabinet& cabinet_;
    const AssembledCabinet* curves_{};
    std::optional<network::PreparedLoads> loads_;
    std::vector<speaker::Directivity> directivities_;
};

struct Candidate {
    Edit edit;
    Effort effort{};
};

/// What there is to try.
std::vector<Candidate>
candidatesFor(const Job& job, const Cabinet& cabinet, const CabinetResult* result) {
    std::vector<Candidate> all;
    const auto ends = network::driverEnds(cabinet.circuit);
    for (std::size_t q = 0; q < ends.size(); ++q) {
        all.push_back(
            {reverseDriver(cabinet.id, q, driverNameOf(job, ends[q].driver)), Effort::free});
    }
    for (const network::Part& part : network::parts(cabinet.circuit)) {
        if (part.fixed) {
            continue;
        }
        for (const int steps : {-2, -1, 1, 2}) {
            const double value = network::stepValue(part.value, network::ESeries::E12, steps);
            Edit edit = changePart(cabinet.id, network::withValue(part, value));
            all.push_back({std::move(edit), Effort::part});
        }
        Edit without = removePart(cabinet.id, part.id);
        all.push_back({std::move(without), Effort::part});
    }
    for (std::size_t q = 0; q < ends.size(); ++q) {
        if (const auto line = network::lineOf(cabinet.circuit, q)) {
            for (const double change : {-3.0, -1.5, 1.5, 3.0}) {
                network::Line other = *line;
                other.gain += change;
                all.push_back(
                    {changeLine(cabinet.id, q, other, network::gainWords(other)), Effort::free});
            }
        }
    }
    for (std::size_t q = 0; result != nullptr && q < ends.size(); ++q) {
        for (const double quieter : {-3.0, -1.5, 1.5, 3.0}) {
            auto edit = levelWay(job, cabinet, *result, q, quieter);
            if (edit && !network::lineOf(cabinet.circuit, q)) {
                all.push_back({std::move(*edit), Effort::part});
            }
        }
    }
    const auto pairs =
        result == nullptr ? std::vector<Neighbourhood>{} : neighbourhoods(job, *result);
    for (const Neighbourhood& n : pairs) {
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
    for (const Mount& mount : cabinet.mounts) {
        for (const double up : {-0.02, 0.02}) {
            Mount to = mount;
            to.y += up;
            Edit edit = shiftDriver(cabinet.id, to, {});
            edit.name = driverNameOf(job, mount.driver) + (up > 0.0 ? " 20 mm up" : " 20 mm down");
            all.push_back({std::move(edit), Effort::wood});
        }
        for (const double out : {-0.005, 0.005}) {
            Mount to = mount;
            to.z += out;
            Edit edit = shiftDriver(cabinet.id, to, {});
            edit.name = driverNameOf(job, mount.driver) + (out > 0.0 ? " 5 mm out" : " 5 mm in");
            all.push_back({std::move(edit), Effort::wood});
        }
        if (std::abs(mount.x) > 0.005) {
            Mount to = mount;
            to.x = -mount.x;
            Edit edit = shiftDriver(cabinet.id, to, {});
            edit.name = driverNameOf(job, mount.driver) + " to the other side";
            all.push_back({std::move(edit), Effort::wood});
        }
    }
    return all;
}

std::optional<double> leastNull(const Job& job, const Cabinet& cabinet, const Assembly& assembly) {
    const Evaluation evaluation = evaluate(job, assembly);
    const CabinetResult* result = evaluation.find(cabinet.id);
    std::optional<double> least;
    for (const Neighbourhood& n : neighbourhoods(job, *result)) {
        if (n.met && n.met->nullDepth) {
            least = std::min(least.value_or(1e9), *n.met->nullDepth);
        }
    }
    return least;
}

} // namespace

RemedyList remediesFor(const Job& job, const Cabinet& cabinet, const Assembly& assembly) {
    RemedyList list;
    const Bench bench(job, cabinet, assembly);
    const auto before = bench.ready() ? bench.flatness(cabinet) : std::nullopt;
    if (!before) {
        return list;
    }
    list.window = before->window;
    list.axis = before->axis;
    const Evaluation evaluation = evaluate(job, assembly);
    for (Candidate& candidate : candidatesFor(job, cabinet, evaluation.find(cabinet.id))) {
        const auto changed = candidate.edit.apply(job);
        if (!changed) {
            continue;
        }
        const Cabinet* other = findCabinet(*changed, cabinet.id);
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
                const std::string name = candidate.edit.nameAfter(*changed);
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
        const Cabinet& other = *findCabinet(*changed, cabinet.id);
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

std::vector<std::optional<double>> windowErrors(const Job& job,
                                                const Cabinet& cabinet,
                                                const Assembly& assembly,
                                                const std::vector<network::Circuit>& circuits) {
    std::vector<std::optional<double>> all(circuits.size());
    const Bench bench(job, cabinet, assembly);
    for (std::size_t i = 0; bench.ready() && i < circuits.size(); ++i) {
        Cabinet other = cabinet;
        other.circuit = circuits[i];
        if (const auto flatness = bench.flatness(other)) {
            all[i] = flatness->window;
        }
    }
    return all;
}

const Take* wholeTake(const Job& job, const Cabinet& cabinet) {
    const Take* whole = nullptr;
    for (const Take& take : job.takes) {
        const Recorded& r = take.recorded;
        const TakeAbout about = aboutOf(job, take);
        if (take.kind == TakeKind::response && about.driver.empty() &&
            about.cabinet == cabinet.id && r.place == MicPlace::farField && r.angle == 0.0 &&
            r.also.empty()) {
            whole = &take;
        }
    }
    return whole;
}

std::optional<WiringTold>
wiringTold(const Job& job, const Cabinet& cabinet, const CabinetResult& result) {
    if (result.sum.empty() || result.ways.size() < 2) {
        return std::nullopt;
    }
    const Take* whole = wholeTake(job, cabinet);
    if (whole == nullptr) {
        return std::nullopt;
    }
    const curve::Range trusted = whole->curve->trusted();
    const curve::Axis axis = curve::within(result.axis, trusted.from, trusted.to);
    const auto taken = curve::interpolate(*whole->curve, axis);
    constexpr std::size_t leastPoints = 24; // half an octave
    if (!taken || axis.size() < leastPoints) {
        return std::nullopt;
    }
    const auto first = static_cast<std::size_t>(
        std::ranges::lower_bound(result.axis, axis.front()) - result.axis.begin());
    std::vector<std::vector<Complex>> ways;
    const auto order = fromBelow(job, result);
    for (const std::size_t w : order) {
        const auto& p = result.ways[w].pressure;
        ways.emplace_back(p.begin() + static_cast<std::ptrdiff_t>(first),
                          p.begin() + static_cast<std::ptrdiff_t>(first + axis.size()));
    }
    const auto levels = curve::levels(*taken, 1.0);
    const auto found = speaker::wiringOf({axis, ways, levels, trusted});
    if (!found) {
        return std::nullopt;
    }
    WiringTold told{.found = *found, .take = whole->id, .reversed = {}};
    told.networkKnown = !whole->recorded.network.empty();
    told.ofThisNetwork = whole->recorded.network == networkKey(cabinet.circuit);
    for (std::size_t i = 0; i < order.size(); ++i) {
        if (found->best.reversed[i]) {
            told.reversed.push_back(result.ways[order[i]].driver);
        }
    }
    return told;
}

Edit drawAsWired(const std::string& cabinet, const std::vector<std::string>& drivers) {
    return circuitEdit(cabinet,
                       "Draw the wiring as it is",
                       [drivers](const network::Circuit& drawn) -> Result<network::Circuit> {
                           network::Circuit circuit = drawn;
                           const auto ends = network::driverEnds(circuit);
                           for (std::size_t q = 0; q < ends.size(); ++q) {
                               if (std::ranges::find(drivers, ends[q].driver) != drivers.end()) {
                                   YF_TRY(turned,
                                          network::withPolarity(circuit, q, -ends[q].polarity));
                                   circuit = std::move(turned);
                               }
                           }
                           return circuit;
                       });
}

namespace {

Arrival byCommonReference(const Job& job, const Driver& lower, const Driver& upper, double fx) {
    Arrival arrival{.method = Arrival::Method::common};
    const Take* a = takeInUse(job, lower, TakeKind::response);
    const Take* b = takeInUse(job, upper, TakeKind::response);
    if (a == nullptr || b == nullptr || a->curve->phase() != curve::Phase::common ||
        b->curve->phase() != curve::Phase::common) {
        arrival.missing = "responses of both with one time reference";
        return arrival;
    }
    // Each about the crossover, on its own side of it: an octave and a half.
    constexpr double reach = 5e-3;
    const auto first = signal::excessDelay(*a->curve, 0.0, reach, curve::Range{fx / 4.0, fx * 1.4});
    const auto second =
        signal::excessDelay(*b->curve, 0.0, reach, curve::Range{fx / 1.4, fx * 4.0});
    if (!first || !second) {
        arrival.missing = "responses that reach an octave beyond the crossover";
        return arrival;
    }
    arrival.delay = second->delay - first->delay;
    arrival.u = std::hypot(first->u, second->u);
    return arrival;
}

Arrival byThreeTakes(const Job& job, const Driver& lower, const Driver& upper) {
    Arrival arrival{.method = Arrival::Method::threeTakes};
    const Take* both = nullptr;
    for (const Take& take : job.takes) {
        const Recorded& r = take.recorded;
        const bool pair = (r.driver == lower.id && r.also == upper.id) ||
                          (r.driver == upper.id && r.also == lower.id);
        if (take.kind == TakeKind::response && pair && r.angle == 0.0) {
            both = &take;
        }
    }
    const Take* a = takeInUse(job, lower, TakeKind::response);
    const Take* b = takeInUse(job, upper, TakeKind::response);
    if (both == nullptr || a == nullptr || b == nullptr) {
        arrival.missing = "a take of " + lower.name + " and " + upper.name + " together";
        return arrival;
    }
    const auto clip = [](const Take& t) { return t.curve->trusted(); };
    const double from = std::max({clip(*a).from, clip(*b).from, clip(*both).from});
    const double to = std::min({clip(*a).to, clip(*b).to, clip(*both).to});
    const curve::Axis axis = curve::within(curve::designAxis(), from, to);
    constexpr std::size_t leastPoints = 24;
    if (axis.size() < leastPoints) {
        arrival.missing = "three takes that share half an octave";
        return arrival;
    }
    const auto own = [&](const Take& t) {
        const curve::Curve minimum = curve::withMinimumPhase(*t.curve);
        return *curve::interpolate(minimum, axis);
    };
    const auto first = own(*a);
    const auto second = own(*b);
    const auto sum = curve::levels(*curve::interpolate(*both->curve, axis), 1.0);
    const auto found =
        speaker::delayFrom({.axis = axis, .first = first, .second = second, .sum = sum});
    if (!found) {
        arrival.missing = "drivers that overlap";
        return arrival;
    }
    arrival.delay = found->best.delay;
    arrival.u = found->sigma;
    arrival.ambiguous = found->ambiguous;
    return arrival;
}

/// Where a driver's centre lies before the front, by its kind: a rule of thumb.
double depthOf(const Driver& driver) {
    constexpr double ofCone = -0.2;  // of its diameter
    constexpr double ofDome = 0.002; // m
    return driver.band >= Band::high ? ofDome : ofCone * driver.diameter;
}

Arrival byDepth(const Driver& lower, const Driver& upper) {
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
        return {"Two delays explain the sum: repeat the three takes without the network, or with "
                "the microphone raised by a known height.",
                true};
    }
    if (common.delay && three.delay) {
        const double apart = std::abs(*common.delay - *three.delay);
        if (apart > 2.0 * std::hypot(common.u, three.u)) {
            return {"Common reference and three takes differ by more than both allow: something "
                    "moved between them, or a level changed; repeat the take of both together.",
                    true};
        }
    }
    const Arrival& best = three.delay && (!common.delay || three.u < common.u) ? three : common;
    if (!best.delay) {
        return {"Only the drivers' depth is known, good to 10 mm: take both with one time "
                "reference, or each alone and both together.",
                true};
    }
    if (degrees(best.u) > tooMuch) {
        return {"The delay is not known to 15 degrees at the crossover: take one of them turned "
                "over as well, or widen the overlap.",
                true};
    }
    return {};
}

} // namespace

std::vector<ArrivalStudy>
arrivals(const Job& job, const Cabinet& /*cabinet*/, const CabinetResult& result) {
    std::vector<ArrivalStudy> all;
    for (const Neighbourhood& n : neighbourhoods(job, result)) {
        const Driver* lower = findDriver(job, result.ways[n.lower].driver);
        const Driver* upper = findDriver(job, result.ways[n.upper].driver);
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
            const auto has = [&](const Driver& driver) {
                return takeInUse(job, driver, TakeKind::response) != nullptr;
            };
            study.wanted = !has(*lower)   ? TakeWanted{lower->id, {}}
                           : !has(*upper) ? TakeWanted{upper->id, {}}
                                          : TakeWanted{lower->id, upper->id};
        }
        all.push_back(std::move(study));
    }
    return all;
}

std::optional<SideAdvice>
sideAdvice(const Job& job, const Cabinet& cabinet, const CabinetResult& result) {
    const bool aside =
        std::ranges::any_of(cabinet.mounts, [](const Mount& m) { return std::abs(m.x) > 0.005; });
    const auto pairs = neighbourhoods(job, result);
    constexpr std::size_t stride = 3;
    auto directions = directionsOf(job, cabinet, result, stride);
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
    const auto order = fromBelow(job, result);
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

} // namespace yf::job
