// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/spread.h"

#include "core/box/summary.h"

#include <algorithm>
#include <cmath>
#include <random>

namespace yf::box {

namespace {

/// Normal numbers that are the same everywhere: the standard library's own are not.
class Normal {
public:
    double operator()() {
        // Box and Muller.
        const double u = (static_cast<double>(engine_() >> 11U) + 0.5) * 0x1p-53;
        const double v = (static_cast<double>(engine_() >> 11U) + 0.5) * 0x1p-53;
        return std::sqrt(-2.0 * std::log(u)) * std::cos(2.0 * std::numbers::pi * v);
    }

    double factor(double share) { return std::exp(share * (*this)()); }

private:
    std::mt19937_64 engine_{20260101}; // NOLINT(cert-msc51-cpp): the same each time is meant
};

Box changedBox(const Box& box, const BoxChange& by) {
    return std::visit([&](const auto& b) { return Box{changed(b, by)}; }, box);
}

/// The fifth and the ninety-fifth of a hundred.
std::pair<double, double> ends(std::vector<double>& values) {
    const auto at = [&](double share) {
        const auto k = static_cast<std::ptrdiff_t>(
            std::lround(share * static_cast<double>(values.size() - 1)));
        std::ranges::nth_element(values, values.begin() + k);
        return values[static_cast<std::size_t>(k)];
    };
    const double low = at(0.05);
    return {low, at(0.95)};
}

Band bandOf(std::vector<std::vector<double>>& samples) {
    Band band;
    for (auto& values : samples) {
        const auto [low, high] = ends(values);
        band.low.push_back(low);
        band.high.push_back(high);
    }
    return band;
}

} // namespace

Doubt betweenSpecimens() {
    return {.compliance = 0.15, .mass = 0.04, .forceFactor = 0.04, .Re = 0.03};
}

Driver changed(const Driver& d, const Change& c) {
    Driver out = d;
    // fs = 1/(2π√(MC)), Qms = √(M/C)/R, Qes = √(M/C)·Re/Bl², Vas = ρc²Sd²C.
    out.fs = d.fs / std::sqrt(c.mass * c.compliance);
    const double impedance = std::sqrt(c.mass / c.compliance);
    out.Qms = d.Qms * impedance / c.damping;
    out.Qes = d.Qes * impedance * c.Re / (c.forceFactor * c.forceFactor);
    out.Vas = d.Vas * c.compliance * c.Vas;
    out.Re = d.Re * c.Re;
    return out;
}

Bands spread(const SpreadOrder& order, const curve::Axis& axis) {
    Normal normal;
    const std::size_t n = axis.size();
    std::vector<std::vector<double>> levels(n);
    std::vector<std::vector<double>> travels(n);
    std::vector<std::vector<double>> ohms(n);
    std::vector<std::vector<double>> f3(1);
    const Doubt& u = order.doubt;
    for (int k = 0; k < order.draws; ++k) {
        const Driver d = changed(order.driver,
                                 {.compliance = normal.factor(u.compliance),
                                  .mass = normal.factor(u.mass),
                                  .forceFactor = normal.factor(u.forceFactor),
                                  .Re = normal.factor(u.Re),
                                  .damping = normal.factor(u.Qms),
                                  .Vas = normal.factor(u.Vas)});
        const BoxChange change{.volume = normal.factor(u.volume),
                               .tuning = normal.factor(u.tuning),
                               .loss = normal.factor(u.loss)};
        const System system = systemOf(d, changedBox(order.box, change), order.source);
        for (std::size_t i = 0; i < n; ++i) {
            const Motion m = motionAt(system, axis[i]);
            levels[i].push_back(quantity::decibels(std::abs(m.p) / quantity::referencePressure));
            travels[i].push_back(travel(m, axis[i]));
            ohms[i].push_back(std::abs(m.Z));
        }
        if (const auto crossing = roughCrossing(system, quantity::halfPower)) {
            f3[0].push_back(*crossing);
        }
    }
    return {.level = bandOf(levels),
            .travel = bandOf(travels),
            .impedance = bandOf(ohms),
            .f3 = f3[0].empty() ? Band{} : bandOf(f3)};
}

} // namespace yf::box
