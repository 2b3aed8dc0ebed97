// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/judge/tolerance.h"

#include "core/network/circuit/ladder_edit.h"
#include "core/network/solve/sweep.h"

#include <algorithm>
#include <cmath>
#include <numeric>
#include <random>

namespace yf::network {

namespace {

bool isTree(const Circuit& circuit) {
    return circuit.tree() != nullptr && circuit.couplings.empty();
}

/// 20 lg|S| in dB for d ln S.
constexpr double perNeper = 20.0 / std::numbers::ln10;

SumSlopes ofTree(const Circuit& circuit,
                 const PreparedLoads& loads,
                 const std::vector<std::vector<Complex>>& factors,
                 bool lossesFollow) {
    Sweep sweep(circuit, loads);
    const std::size_t points = loads.grid().points;
    SumSlopes result;
    for (const Part& part : sweep.parts()) {
        result.partIds.push_back(part.id);
    }
    result.slopes.assign(sweep.parts().size(), std::vector<double>(points));
    for (std::size_t block = 0; block < loads.grid().blocks(); ++block) {
        sweep.run(block);
        sweep.differentiate({}, lossesFollow);
        const std::size_t first = block * blockSize;
        const std::size_t count = std::min(blockSize, points - first);
        for (std::size_t k = 0; k < count; ++k) {
            Complex S;
            std::vector<Complex> ways;
            for (std::size_t end = 0; end < sweep.ends(); ++end) {
                const Block& drive = sweep.drive(end);
                ways.push_back(Complex{drive.re[k], drive.im[k]} * factors[end][first + k]);
                S += ways.back();
            }
            for (std::size_t p = 0; p < sweep.parts().size(); ++p) {
                Complex dS;
                for (std::size_t end = 0; end < sweep.ends(); ++end) {
                    if (const Block* log = sweep.drivesLog(p, end)) {
                        dS += ways[end] * Complex{log->re[k], log->im[k]};
                    }
                }
                result.slopes[p][first + k] = perNeper * std::real(dS / S);
            }
        }
    }
    return result;
}

/// Level of the sum, dB, of a circuit that is known to have one.
std::vector<double> levels(const Circuit& circuit, const PreparedLoads& loads) {
    const auto solution = solve(circuit, loads);
    const auto P = pressures(circuit, loads.loads(), *solution);
    std::vector<double> result;
    for (const Complex& S : P->sum) {
        result.push_back(quantity::decibels(std::abs(S)));
    }
    return result;
}

Part moved(const Part& part, double factor, bool lossesFollow) {
    Part changed = withValue(part, part.value * factor);
    if (!lossesFollow) {
        changed.dcr = part.dcr;
        changed.esr = part.esr;
    }
    return changed;
}

SumSlopes byDifferences(const Circuit& circuit, const PreparedLoads& loads, bool lossesFollow) {
    SumSlopes result;
    for (const Part& part : parts(circuit)) {
        constexpr double h = 1e-4;
        const auto up = levels(*withPart(circuit, moved(part, std::exp(h), lossesFollow)), loads);
        const auto down =
            levels(*withPart(circuit, moved(part, std::exp(-h), lossesFollow)), loads);
        result.partIds.push_back(part.id);
        auto& row = result.slopes.emplace_back();
        for (std::size_t k = 0; k < up.size(); ++k) {
            row.push_back((up[k] - down[k]) / (2.0 * h));
        }
    }
    return result;
}

/// Levels of the sum of one draw after the other.
class Drawn {
public:
    Drawn(const Circuit& circuit,
          const PreparedLoads& loads,
          const std::vector<std::vector<Complex>>& factors)
        : circuit_(circuit), loads_(loads), factors_(factors), parts_(parts(circuit)) {
        if (isTree(circuit)) {
            sweep_.emplace(circuit, loads);
        }
    }

    std::vector<double> with(const std::vector<double>& change) {
        if (!sweep_) {
            Circuit drawn = circuit_;
            for (std::size_t p = 0; p < parts_.size(); ++p) {
                drawn = *withPart(drawn, moved(parts_[p], change[p], false));
            }
            return levels(drawn, loads_);
        }
        for (std::size_t p = 0; p < parts_.size(); ++p) {
            sweep_->setPart(p, moved(parts_[p], change[p], false));
        }
        const std::size_t points = loads_.grid().points;
        std::vector<double> result(points);
        for (std::size_t block = 0; block < loads_.grid().blocks(); ++block) {
            sweep_->run(block);
            const std::size_t first = block * blockSize;
            for (std::size_t k = 0; k < std::min(blockSize, points - first); ++k) {
                Complex S;
                for (std::size_t end = 0; end < sweep_->ends(); ++end) {
                    const Block& drive = sweep_->drive(end);
                    S += Complex{drive.re[k], drive.im[k]} * factors_[end][first + k];
                }
                result[first + k] = 10.0 * std::log10(std::norm(S));
            }
        }
        return result;
    }

private:
    const Circuit& circuit_;
    const PreparedLoads& loads_;
    const std::vector<std::vector<Complex>>& factors_;
    std::vector<Part> parts_;
    std::optional<Sweep> sweep_;
};

void draw(ToleranceAnswer& answer,
          const Circuit& circuit,
          const PreparedLoads& loads,
          const std::vector<std::vector<Complex>>& factors,
          const ToleranceRequest& request) {
    Drawn drawn(circuit, loads, factors);
    const std::vector<Part> list = parts(circuit);
    std::vector<double> change(list.size(), 1.0);
    const std::vector<double> nominal = drawn.with(change);
    // The engine's numbers are the same everywhere; a library's uniform distribution is not.
    std::mt19937_64 engine(static_cast<std::uint64_t>(request.seed));
    const auto uniform = [&engine] { return static_cast<double>(engine() >> 11U) * 0x1.0p-53; };
    std::vector<std::vector<double>> off(nominal.size());
    int good = 0;
    for (int run = 0; run < request.runs; ++run) {
        for (std::size_t p = 0; p < list.size(); ++p) {
            change[p] = 1.0 + request.allowed.of(list[p]) * (2.0 * uniform() - 1.0);
        }
        const std::vector<double> level = drawn.with(change);
        double worst = 0.0;
        for (std::size_t k = 0; k < level.size(); ++k) {
            off[k].push_back(std::abs(level[k] - nominal[k]));
            worst = std::max(worst, off[k].back());
        }
        good += worst <= request.limit ? 1 : 0;
    }
    answer.yield = static_cast<double>(good) / request.runs;
    answer.spreads.emplace();
    for (std::vector<double>& values : off) {
        constexpr double share = 0.95;
        const auto at = static_cast<std::ptrdiff_t>(
            std::ceil(share * static_cast<double>(values.size())) - 1.0);
        std::ranges::nth_element(values, values.begin() + at);
        answer.spreads->push_back(values[static_cast<std::size_t>(at)]);
    }
}

} // namespace

double Tolerances::of(const Part& part) const {
    if (part.tolerance) {
        return *part.tolerance;
    }
    switch (part.kind) {
    case PartKind::resistor:
        return resistor;
    case PartKind::coil:
        return coil;
    case PartKind::capacitor:
        return capacitor;
    }
    return 0.0;
}

Result<SumSlopes> sumSlopes(const Circuit& circuit, const PreparedLoads& loads, bool lossesFollow) {
    YF_TRY(solution, solve(circuit, loads));
    static_cast<void>(solution);
    YF_TRY(factors, pressureFactors(circuit, loads.loads()));
    return isTree(circuit) ? ofTree(circuit, loads, factors, lossesFollow)
                           : byDifferences(circuit, loads, lossesFollow);
}

std::optional<Reach>
reachOf(const SumSlopes& slopes, std::size_t part, const Axis& axis, const curve::Range& range) {
    std::optional<Reach> most;
    for (std::size_t k = 0; k < axis.size(); ++k) {
        constexpr double tenPercent = 0.1;
        const double level = tenPercent * slopes.slopes[part][k];
        if (axis[k] >= range.from && axis[k] <= range.to &&
            (!most || std::abs(level) > std::abs(most->level))) {
            most = Reach{level, axis[k]};
        }
    }
    return most;
}

std::optional<Error> check(const ToleranceRequest& request) {
    return checkFrequencies(request.frequencies);
}

Result<ToleranceAnswer>
tolerance(const Circuit& circuit, const PreparedLoads& loads, const ToleranceRequest& request) {
    YF_TRY(slopes, sumSlopes(circuit, loads, false));
    YF_TRY(factors, pressureFactors(circuit, loads.loads()));
    const std::vector<Part> list = parts(circuit);
    ToleranceAnswer answer{.partIds = slopes.partIds};
    const std::size_t points = loads.loads().axis.size();
    answer.worstCases.assign(points, 0.0);
    std::vector<double> most(list.size());
    for (std::size_t p = 0; p < list.size(); ++p) {
        auto& row = answer.sensitivities.emplace_back();
        const double allowed = request.allowed.of(list[p]);
        for (std::size_t k = 0; k < points; ++k) {
            constexpr double onePercent = 0.01;
            row.push_back(onePercent * slopes.slopes[p][k]);
            const double atLimit = std::abs(slopes.slopes[p][k]) * allowed;
            answer.worstCases[k] += atLimit;
            most[p] = std::max(most[p], atLimit);
        }
    }
    answer.causes.resize(list.size());
    std::iota(answer.causes.begin(), answer.causes.end(), std::size_t{0});
    std::ranges::stable_sort(answer.causes, std::greater{}, [&](std::size_t p) { return most[p]; });
    if (request.runs > 0) {
        draw(answer, circuit, loads, factors, request);
    }
    return answer;
}

Result<ToleranceAnswer> toleranceOf(const ToleranceRequest& request) {
    const Axis axis = request.frequencies ? *request.frequencies : coveredAxis(request.network);
    YF_TRY(made, loadsOn(request.network, axis));
    return tolerance(request.network.circuit, PreparedLoads(std::move(made)), request);
}

text::Value ToleranceAnswer::write() const {
    using text::Value;
    const auto listOf = [](const std::vector<double>& values) {
        Value::List list;
        for (const double value : values) {
            list.emplace_back(value);
        }
        return list;
    };
    Value::List ids;
    for (const std::string& id : partIds) {
        ids.emplace_back(id);
    }
    Value::List rows;
    for (const auto& row : sensitivities) {
        rows.emplace_back(listOf(row));
    }
    Value::Object object{
        {"part_ids", ids}, {"sensitivities_db", rows}, {"worst_cases_db", listOf(worstCases)}};
    if (yield) {
        object.push_back({"yield_pct", 100.0 * *yield});
        object.push_back({"spreads95_db", listOf(*spreads)});
    }
    return object;
}

} // namespace yf::network
