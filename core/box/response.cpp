// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/response.h"

#include "core/measure/inputs.h"
#include "core/text/value.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::box {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;
constexpr double toPeak = std::numbers::sqrt2;

/// The outlet whose air moves most: a parallel sixth-order box has two.
Complex outletFlow(const Flow& flow) {
    return std::abs(flow.to[0]) > std::abs(flow.to[1]) ? flow.to[0] : flow.to[1];
}

bool hasOutlet(const Chambers& c) {
    return c.outward[0].there || c.outward[1].there;
}

/// The smallest multiple of the drive that a limit allows.
struct Headroom {
    double times{1e300};
    Limiter by{};

    void limit(double allowed, double reached, Limiter limiter) {
        if (allowed > 0.0 && reached > 0.0 && allowed / reached < times) {
            times = allowed / reached;
            by = limiter;
        }
    }
};

} // namespace

std::string_view limiterName(Limiter limiter) {
    static constexpr std::array<std::string_view, 4> names{
        "displacement", "power", "port-speed", "pr-displacement"};
    return names.at(static_cast<std::size_t>(limiter));
}

Outlet outletOf(const Box& box) {
    Outlet outlet;
    if (const auto* v = std::get_if<Vented>(&box)) {
        outlet.portArea = v->portArea.value_or(0.0);
    } else if (const auto* four = std::get_if<BandPass4>(&box)) {
        outlet.portArea = four->portArea.value_or(0.0);
    } else if (const auto* six = std::get_if<BandPass6>(&box)) {
        outlet.portArea = six->portArea.value_or(0.0);
    } else if (const auto* pr = std::get_if<PassiveRadiator>(&box)) {
        outlet.radiatorArea = pr->count * pr->Sp;
        outlet.radiatorXmax = pr->Xmax.value_or(0.0);
    }
    return outlet;
}

Response response(const ResponseOrder& order, const curve::Axis& axis) {
    const System& s = order.system;
    const bool outlet = hasOutlet(s.chambers);
    const Motor& m = s.motor;
    const double limitVolts = m.power ? std::sqrt(*m.power * m.Re) : 0.0;
    const bool limited =
        m.Xmax || m.power || order.outlet.portArea > 0.0 || order.outlet.radiatorXmax > 0.0;
    Response r{.frequencies = axis};
    for (const double f : axis) {
        const Motion motion = motionAt(s, f);
        const double w = twoPi * f;
        r.pressure.push_back(motion.p);
        r.travel.push_back(travel(motion, f));
        r.impedance.push_back(motion.Z);
        r.groupDelay.push_back(groupDelay(s, f));
        Headroom room;
        room.limit(m.Xmax.value_or(0.0), r.travel.back(), Limiter::displacement);
        room.limit(limitVolts, s.source.voltage, Limiter::power);
        if (outlet) {
            const Complex through = outletFlow(motion.flow);
            r.portToCone.push_back(through);
            const double flow = toPeak * std::abs(through * motion.Su);
            if (order.outlet.portArea > 0.0) {
                r.portSpeed.push_back(flow / order.outlet.portArea);
                room.limit(order.portSpeedLimit, r.portSpeed.back(), Limiter::portSpeed);
            }
            if (order.outlet.radiatorArea > 0.0) {
                r.radiatorTravel.push_back(flow / (order.outlet.radiatorArea * w));
                room.limit(order.outlet.radiatorXmax, r.radiatorTravel.back(), Limiter::radiator);
            }
        }
        if (limited) {
            r.maxLevel.push_back(
                quantity::decibels(std::abs(motion.p) * room.times / quantity::referencePressure));
            r.limiters.push_back(room.by);
        }
    }
    return r;
}

std::optional<Error> check(const CurveRequest& r) {
    if (auto error = check(r.driver)) {
        return error;
    }
    return measure::checkRising(r.frequencies, "frequencies_hz");
}

Result<CurveAnswer> curveVerb(const CurveRequest& r) {
    YF_TRY(box, boxOf(r.box));
    return CurveAnswer{response({.system = systemOf(r.driver, box, r.source),
                                 .outlet = outletOf(box),
                                 .portSpeedLimit = r.portSpeedLimit},
                                r.frequencies.empty() ? curve::designAxis() : r.frequencies)};
}

text::Value CurveAnswer::write() const {
    const Response& r = response;
    const auto parts = [](const std::vector<Complex>& values, bool imaginary) {
        std::vector<double> out;
        out.reserve(values.size());
        for (const Complex& v : values) {
            out.push_back(imaginary ? v.imag() : v.real());
        }
        return out;
    };
    std::vector<double> levels;
    std::vector<double> phases;
    for (const Complex& p : r.pressure) {
        levels.push_back(quantity::decibels(std::abs(p) / quantity::referencePressure));
        phases.push_back(std::arg(p) / quantity::degree);
    }
    text::Value::Object out{{"frequencies_hz", r.frequencies},
                            {"levels_db", levels},
                            {"phases_deg", phases},
                            {"displacements_peak_m", r.travel},
                            {"impedances_ohm_re", parts(r.impedance, false)},
                            {"impedances_ohm_im", parts(r.impedance, true)},
                            {"group_delays_s", r.groupDelay}};
    if (!r.portSpeed.empty()) {
        out.push_back({"port_speeds_peak_m_per_s", r.portSpeed});
    }
    if (!r.portToCone.empty()) {
        out.push_back({"port_to_cone_re", parts(r.portToCone, false)});
        out.push_back({"port_to_cone_im", parts(r.portToCone, true)});
    }
    if (!r.radiatorTravel.empty()) {
        out.push_back({"pr_displacements_peak_m", r.radiatorTravel});
    }
    if (!r.maxLevel.empty()) {
        out.push_back({"max_levels_db", r.maxLevel});
        text::Value::List names;
        for (const Limiter l : r.limiters) {
            names.emplace_back(limiterName(l));
        }
        out.push_back({"limiters", std::move(names)});
    }
    return out;
}

} // namespace yf::box
