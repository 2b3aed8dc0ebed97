// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/circuit/ladder_edit.h"
#include "core/tune/tuner.h"

#include <Eigen/Cholesky>

#include <algorithm>
#include <cmath>
#include <set>

namespace yf::tune {

namespace {

/// The best points of a lattice in a metric, by branch and bound from the last coordinate.
class Lattice {
public:
    Lattice(const Slope& slope,
            const std::vector<double>& x,
            const std::vector<std::vector<double>>& values)
        : x_(x), values_(values), n_(static_cast<Eigen::Index>(x.size())) {
        Eigen::MatrixXd A = Eigen::Map<const Eigen::MatrixXd>(slope.A.data(), n_, n_);
        constexpr double small = 1e-9;
        A.diagonal().array() += small * (1.0 + A.diagonal().maxCoeff());
        root_ = A.llt().matrixU();
        chosen_.resize(x.size());
        off_ = Eigen::VectorXd::Zero(n_);
    }

    /// Logarithms of the best points, best first.
    std::vector<std::vector<double>> best() {
        search(n_ - 1, 0.0);
        std::vector<std::vector<double>> points;
        for (const auto& [distance, point] : best_) {
            points.push_back(point);
        }
        return points;
    }

private:
    static constexpr std::size_t kept = 30;

    // NOLINTNEXTLINE(misc-no-recursion): one level for each part
    void search(Eigen::Index i, double before) {
        if (best_.size() == kept && before >= best_.rbegin()->first) {
            return;
        }
        if (i < 0) {
            best_.emplace(before, chosen_);
            if (best_.size() > kept) {
                best_.erase(std::prev(best_.end()));
            }
            return;
        }
        const auto at = static_cast<std::size_t>(i);
        std::vector<std::pair<double, double>> ways; // distance, logarithm
        for (const double value : values_[at]) {
            off_(i) = std::log(value) - x_[at];
            const double along = root_.row(i).tail(n_ - i).dot(off_.tail(n_ - i));
            ways.emplace_back(along * along, std::log(value));
        }
        std::ranges::sort(ways);
        for (const auto& [distance, logarithm] : ways) {
            off_(i) = logarithm - x_[at];
            chosen_[at] = logarithm;
            search(i - 1, before + distance);
        }
    }

    const std::vector<double>& x_;
    const std::vector<std::vector<double>>& values_;
    Eigen::Index n_;
    Eigen::MatrixXd root_;
    Eigen::VectorXd off_;
    std::vector<double> chosen_;
    std::set<std::pair<double, std::vector<double>>> best_;
};

/// How many free parts there are of a kind.
std::size_t
freeOf(const Problem& problem, const network::Circuit& circuit, network::PartKind kind) {
    const auto parts = network::parts(circuit);
    std::size_t count = 0;
    for (std::size_t p = 0; p < parts.size(); ++p) {
        count += problem.free[p] && parts[p].kind == kind ? 1 : 0;
    }
    return count;
}

/// One part after the other: the one that matters most to its two nearest values, the rest anew.
Found fixedInTurn(Problem problem,
                  network::Circuit circuit,
                  network::EndValues values,
                  const GoOn& goOn) {
    problem.starts = 1;
    while (std::ranges::find(problem.free, true) != problem.free.end()) {
        Objective objective(circuit, problem.loads, problem.factors, problem.free, problem.goal);
        Slope slope;
        static_cast<void>(objective.slope(objective.start(), slope));
        const std::size_t n = objective.unknowns();
        std::size_t most = 0;
        for (std::size_t i = 1; i < n; ++i) {
            most = slope.A[i * n + i] > slope.A[most * n + most] ? i : most;
        }
        const std::size_t part = objective.free()[most];
        const network::Part old = network::parts(circuit)[part];
        const bool shortOf =
            network::runsShort(values, old.kind, freeOf(problem, circuit, old.kind));
        problem.free[part] = false;
        std::optional<Found> best;
        for (const network::Part& there : network::nearestParts(values, old, 2, shortOf)) {
            Problem rest = problem;
            rest.circuit = *network::withPart(circuit, there);
            const bool any = std::ranges::find(rest.free, true) != rest.free.end();
            const Found found = any ? tuneValues(rest, goOn) : judged(rest, rest.circuit);
            if (!best || isBetter(found, *best)) {
                best = found;
            }
        }
        circuit = best->circuit;
        values = network::without(values, network::parts(circuit)[part]);
    }
    return judged(problem, circuit);
}

} // namespace

Found purchasable(const Problem& problem,
                  const Found& found,
                  const network::EndValues& values,
                  const GoOn& goOn) {
    Problem some = problem;
    const auto before = network::parts(problem.circuit);
    const auto after = network::parts(found.circuit);
    for (std::size_t p = 0; p < after.size(); ++p) {
        some.free[p] = problem.free[p] && after[p].value != before[p].value;
    }
    if (std::ranges::find(some.free, true) == some.free.end()) {
        return found;
    }
    some.circuit = found.circuit;
    some.knobs.clear(); // they need not be bought
    Found best = snapped(some, values, goOn);
    best.stop = best.allowed || !found.allowed ? found.stop : Stop::floorUnreachable;
    return best;
}

Found snapped(const Problem& optimum, const network::EndValues& ends, const GoOn& goOn) {
    const auto after = network::parts(optimum.circuit);
    Objective objective(
        optimum.circuit, optimum.loads, optimum.factors, optimum.free, optimum.goal);
    Slope slope;
    static_cast<void>(objective.slope(objective.start(), slope));
    std::vector<std::vector<network::Part>> candidates; // of each free part
    std::vector<std::vector<double>> values;
    for (const std::size_t p : objective.free()) {
        constexpr std::size_t three = 3;
        const bool shortOf = network::runsShort(
            ends, after[p].kind, freeOf(optimum, optimum.circuit, after[p].kind));
        candidates.push_back(network::nearestParts(ends, after[p], three, shortOf));
        auto& row = values.emplace_back();
        std::ranges::transform(candidates.back(), std::back_inserter(row), &network::Part::value);
    }
    std::optional<Found> best;
    std::vector<std::pair<double, std::vector<double>>> tried;
    for (const auto& point : Lattice(slope, objective.start(), values).best()) {
        tried.emplace_back(objective.value(point).cost, point);
    }
    std::ranges::sort(tried);
    for (const auto& [cost, point] : tried) {
        network::Circuit circuit = optimum.circuit;
        std::vector<network::Part> taken;
        for (std::size_t i = 0; i < point.size(); ++i) {
            // The very part, not a number that went through a logarithm.
            taken.push_back(*std::ranges::min_element(
                candidates[i], {}, [&, x = point[i]](const network::Part& part) {
                    return std::abs(std::log(part.value) - x);
                }));
            circuit = *network::withPart(circuit, taken.back());
        }
        if (!network::hasAll(ends, taken)) {
            continue;
        }
        const Found one = judged(optimum, circuit);
        if (!best || isBetter(one, *best)) {
            best = one;
        }
        if (one.allowed) {
            break; // the rest costs more
        }
    }
    const Found inTurn = fixedInTurn(optimum, optimum.circuit, ends, goOn);
    if (!best || isBetter(inTurn, *best)) {
        best = inTurn;
    }
    return *best;
}

} // namespace yf::tune
