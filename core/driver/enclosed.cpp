// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/enclosed.h"

#include "core/driver/rating.h"
#include "core/measure/inputs.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::driver {

namespace {

using curve::Complex;

constexpr double lossless = 1e9;

std::vector<Complex> enclosedImpedance(const ImpedanceRequest& r, const curve::Axis& axis) {
    const ImpedanceModel& m = r.model;
    const bool vented = r.kind == Enclosure::vented;
    const double QL = r.QL.value_or(vented ? 7.0 : lossless);
    const double alpha = r.kind == Enclosure::free ? 0.0 : r.alpha ? *r.alpha : *r.Vas / *r.Vb;
    const double h = vented ? *r.fb / m.fs : 1.0;
    std::vector<Complex> Z;
    for (const double f : axis) {
        const Complex x{0.0, f / m.fs};
        // The suspension stiffens with frequency and loses at low ones.
        const Complex creep = 1.0 - r.creep * std::log10(x);
        const Complex zm = 1.0 / m.Qms + x + 1.0 / (x * creep);
        Complex zBox{};
        if (alpha > 0.0) {
            Complex below = 1.0 / (1.0 / x + 1.0 / (h * r.QA)) + h / QL;
            if (vented) {
                below += 1.0 / (x / (h * h) + 1.0 / (h * r.QP));
            }
            zBox = alpha / below;
        }
        Z.push_back(r.lead + m.Re + coilImpedance(m, f) + (m.Re / m.Qes) / (zm + zBox));
    }
    return Z;
}

} // namespace

std::optional<Error> check(const ImpedanceRequest& r) {
    if (auto error = check(r.model)) {
        return error;
    }
    if (auto error = measure::checkRising(r.frequencies, "frequencies_hz")) {
        return error;
    }
    if (r.kind == Enclosure::free) {
        return std::nullopt;
    }
    if (!r.alpha && !(r.Vas && r.Vb)) {
        return Error{r.Vas  ? "Vb_l"
                     : r.Vb ? "Vas_l"
                            : "alpha",
                     "missing",
                     "a box needs alpha, or Vas_l and Vb_l"};
    }
    if (r.kind == Enclosure::vented && !r.fb) {
        return Error{"fb_hz", "missing", "a vented box needs its tuning"};
    }
    return std::nullopt;
}

Result<ImpedanceAnswer> impedanceVerb(const ImpedanceRequest& request) {
    ImpedanceAnswer a{.frequencies =
                          request.frequencies.empty() ? curve::designAxis() : request.frequencies};
    for (const Complex& Z : enclosedImpedance(request, a.frequencies)) {
        a.re.push_back(Z.real());
        a.im.push_back(Z.imag());
        a.moduli.push_back(std::abs(Z));
        a.phases.push_back(std::arg(Z));
    }
    // Minimum, rating and stress are those of 20 Hz to 20 kHz, whatever was asked for.
    const curve::Axis audible = curve::within(curve::designAxis(), 20.0, 20000.0);
    const auto Z = enclosedImpedance(request, audible);
    a.least = 1e300;
    a.epdrLeast = 1e300;
    for (std::size_t i = 0; i < Z.size(); ++i) {
        const double size = std::abs(Z[i]);
        if (size < a.least) {
            a.least = size;
            a.leastAt = audible[i];
        }
        a.epdrLeast = std::min(a.epdrLeast, epdr(Z[i]));
    }
    a.nominal = ratedImpedance(a.least);
    // Peaks on the design grid, refined between its points.
    const auto whole = enclosedImpedance(request, curve::designAxis());
    for (std::size_t i = 1; i + 1 < whole.size(); ++i) {
        const double l = std::abs(whole[i - 1]);
        const double c = std::abs(whole[i]);
        const double r = std::abs(whole[i + 1]);
        if (c > l && c >= r) {
            const double t = 0.5 * (l - r) / (l - 2.0 * c + r);
            const double step = std::log(curve::designAxis()[i + 1] / curve::designAxis()[i]);
            a.peaksAt.push_back(curve::designAxis()[i] * std::exp(t * step));
            a.peaks.push_back(c - 0.25 * (l - r) * t);
        }
    }
    return a;
}

} // namespace yf::driver
