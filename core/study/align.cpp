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

namespace yf::study {

namespace {

using curve::Complex;

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

template <class T>
std::vector<T> everyThird(const std::vector<T>& all) {
    std::vector<T> some;
    for (std::size_t k = 0; k < all.size(); k += 3) {
        some.push_back(all[k]);
    }
    return some;
}

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
        thin.axis = everyThird(all.axis);
        thin.drivers = all.drivers;
        for (network::Load& load : thin.drivers) {
            load.impedance = everyThird(load.impedance);
            load.pressure = everyThird(*load.pressure);
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

} // namespace yf::study
