// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/jig_take.h"

#include "core/signal/spectrum.h"

#include <algorithm>
#include <cmath>

namespace yf::driver {

using curve::Complex;

Ratios ratiosOf(const measure::Examined& e, const signal::Sweep& sweep, const curve::Axis& axis) {
    Ratios r{.frequencies = axis};
    const double silence = static_cast<double>(sweep.after) / sweep.rate;
    const double right = std::clamp(silence, 0.01, 1.0);
    // The band's lower edge rings before time zero as well.
    const double left = std::clamp(4.0 / sweep.start, 0.02, 0.6);
    const signal::Impulse impulse =
        signal::impulseOf(e.response, e.spectra.length, sweep.rate, left, right);
    const signal::Gate window{.left = left, .right = right, .taper = 0.1};
    constexpr double exactTo = 500.0; // Hz
    const auto exact =
        signal::gatedResponse(impulse, 0.0, window, curve::within(axis, 0.0, exactTo));
    const double side = std::pow(10.0, 0.3 / (2.0 * 96.0));
    for (const double f : axis) {
        const std::size_t first = e.spectra.bin(f / side);
        const std::size_t last = e.spectra.bin(f * side);
        Complex cross{};
        double power = 0.0;
        double noise = 0.0;
        for (std::size_t k = first; k <= last; ++k) {
            cross += e.measured[k] * std::conj(e.against[k]);
            power += std::norm(e.against[k]);
            noise += e.noise.empty() ? 0.0 : e.noise[k];
        }
        const auto bins = static_cast<double>(last - first + 1);
        // Independent bins: the padding only interpolates.
        const double own = std::max(1.0,
                                    bins * static_cast<double>(sweep.samples + sweep.after) /
                                        static_cast<double>(e.spectra.length));
        if (f <= exactTo) {
            r.ratio.push_back(exact[r.ratio.size()]);
            // Gating lets through its share of the noise.
            const double gated =
                right * sweep.rate / static_cast<double>(sweep.samples + sweep.after);
            r.noise.push_back(power > 0.0 ? std::sqrt(noise / power * std::min(1.0, gated)) : 0.0);
        } else {
            r.ratio.push_back(power > 0.0 ? cross / power : Complex{});
            r.noise.push_back(power > 0.0 ? std::sqrt(noise / power / own) : 0.0);
        }
    }
    return r;
}

Result<JigTake>
impedanceOf(const Ratios& ratios, const Jig& jig, const std::optional<StandardTakes>& standards) {
    curve::Axis f;
    std::vector<Complex> Z;
    std::vector<double> u;
    std::vector<double> scatter;
    std::vector<double> beyond;
    for (std::size_t i = 0; i < ratios.frequencies.size(); ++i) {
        Jig here = jig;
        here.noise = std::max(ratios.noise[i], 1e-7);
        std::optional<Standards> three;
        if (standards) {
            three = Standards{standards->open.ratio.at(i),
                              standards->shorted.ratio.at(i),
                              standards->load.ratio.at(i),
                              standards->loadOhms};
        }
        const JigReading reading = read(here, ratios.ratio[i], three);
        if (!reading.Z || !reading.u || !std::isfinite(std::abs(*reading.Z))) {
            beyond.push_back(ratios.frequencies[i]);
            continue;
        }
        f.push_back(ratios.frequencies[i]);
        Z.push_back(*reading.Z);
        u.push_back(*reading.u);
        const double back = std::norm(1.0 + *reading.Z / jig.sense);
        const double forth = std::norm(1.0 + jig.sense / *reading.Z);
        scatter.push_back(here.noise * std::sqrt(back * (1.0 + forth)));
    }
    if (f.size() < 2) {
        return Error{
            "jig",
            YF_WORDS("core", "nothing that could be read as an impedance"),
            YF_WORDS("core",
                     "is the driver connected, and the sense resistor near its impedance?")};
    }
    return JigTake{curve::Curve(std::move(f), std::move(Z), curve::Phase::common),
                   std::move(u),
                   std::move(scatter),
                   std::move(beyond)};
}

} // namespace yf::driver
