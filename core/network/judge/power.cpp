// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/judge/power.h"

#include "core/network/solve/branches.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>
#include <numbers>

namespace yf::network {

namespace {

struct Weighted {
    Axis axis;
    std::vector<double> weights; ///< of each point, their sum 1
};

Weighted weighted(const PowerRequest& r) {
    if (r.spectrum == Spectrum::sine) {
        return {{*r.f}, {1.0}};
    }
    constexpr double perDecade = 100.0;
    const int steps =
        std::max(2, static_cast<int>(std::ceil(perDecade * std::log10(r.to / r.from))));
    Weighted w;
    double sum = 0.0;
    for (int i = 0; i <= steps; ++i) {
        const double f = i == steps ? r.to : r.from * std::pow(r.to / r.from, i / double(steps));
        const double density = r.spectrum == Spectrum::pink ? 1.0 : programmeWeight(f);
        w.axis.push_back(f);
        w.weights.push_back((i == 0 || i == steps ? 0.5 : 1.0) * density);
        sum += w.weights.back();
    }
    for (double& weight : w.weights) {
        weight /= sum;
    }
    return w;
}

} // namespace

double programmeWeight(double f) {
    const auto corner = [f](double at) { return f * f + at * at; };
    const double high = std::pow(f, 6.0) / (corner(14.5) * corner(27.4) * corner(41.8));
    const auto low = [f](double at) { return 1.0 / (1.0 + f * f / (at * at)); };
    return high * low(3370.0) * low(16000.0);
}

std::optional<Error> check(const PowerRequest& r) {
    if (r.spectrum == Spectrum::sine) {
        return r.f ? std::nullopt : std::optional(Error{"f_hz", "missing", "a sine needs it"});
    }
    if (r.f) {
        return Error{"f_hz", "given", "belongs to spectrum sine"};
    }
    if (r.from >= r.to) {
        return Error{"to_hz",
                     text::given(text::printNumber(r.to)),
                     say(YF_WORDS("core", "must be above from_hz, %1"), text::printNumber(r.from))};
    }
    return std::nullopt;
}

Result<Powers> powers(const Circuit& circuit, const LoadsOn& loadsOn, const PowerRequest& request) {
    const Weighted w = weighted(request);
    YF_TRY(made, loadsOn(w.axis));
    const PreparedLoads loads(std::move(made));
    YF_TRY(solution, solve(circuit, loads));
    YF_TRY(all, branches(circuit, loads));
    const double square = request.voltage * request.voltage;
    const auto mean = [&](auto&& of) {
        double sum = 0.0;
        for (std::size_t k = 0; k < w.axis.size(); ++k) {
            sum += w.weights[k] * of(k);
        }
        return square * sum;
    };
    const double crest = request.spectrum == Spectrum::sine ? std::numbers::sqrt2 : noiseCrest;
    Powers result;
    const auto list = parts(circuit);
    for (std::size_t p = 0; p < list.size(); ++p) {
        const auto& I = all.currents[p];
        const auto& U = all.voltages[p];
        result.partIds.push_back(list[p].id);
        result.parts.push_back(
            std::max(0.0, mean([&](std::size_t k) { return std::real(U[k] * std::conj(I[k])); })));
        result.peaks.push_back(crest *
                               std::sqrt(mean([&](std::size_t k) { return std::norm(U[k]); })));
    }
    const auto ends = driverEnds(circuit);
    for (std::size_t q = 0; q < ends.size(); ++q) {
        const Load& load = loads.loads().drivers[loads.loads().find(ends[q].driver).value()];
        result.driverNames.push_back(ends[q].driver);
        result.drivers.push_back(mean([&](std::size_t k) {
            return std::norm(solution.drives[q][k]) *
                   std::real(1.0 / (load.impedance[k] * ends[q].ratio()));
        }));
    }
    result.source = mean([&](std::size_t k) {
        const Complex Z = solution.impedances[k];
        return std::real(Z) / std::norm(Z + circuit.source.resistance);
    });
    return result;
}

Result<Powers> powerOf(const PowerRequest& request) {
    return powers(request.network.circuit, loadSource(request.network), request);
}

} // namespace yf::network
