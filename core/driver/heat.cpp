// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/heat.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>

namespace yf::driver {

namespace {

constexpr double colderThanCold = 0.9;

double alphaOf(Wire wire) {
    switch (wire) {
    case Wire::copper:
        return 0.00393;
    case Wire::aluminium:
        return 0.00403;
    case Wire::copperCladAluminium:
        return 0.0040;
    }
    return 0.00393;
}

} // namespace

Result<Heat> heat(const HeatRequest& r) {
    const double alpha20 = alphaOf(r.wire);
    const double atCold = 1.0 + alpha20 * (r.coldTemperature - 20.0);
    const bool byVoltage = r.voltage || r.thermalResistance;
    if (byVoltage == r.Rhot.has_value()) {
        return Error{"Re_hot_ohm",
                     byVoltage ? "given beside a voltage" : "missing",
                     "give Re_hot_ohm, or voltage_v and thermal_resistance_k_per_w"};
    }
    Heat out;
    if (r.Rhot) {
        if (*r.Rhot < colderThanCold * r.Rcold) {
            return Error{"Re_hot_ohm",
                         text::given(text::printNumber(*r.Rhot)),
                         say(YF_WORDS("core", "must be at least 0.9 of Re_cold_ohm, %1"),
                             text::printSignificant(colderThanCold * r.Rcold, 4))};
        }
        out.Rhot = *r.Rhot;
        out.temperature = 20.0 + (out.Rhot / r.Rcold * atCold - 1.0) / alpha20;
        out.rise = out.temperature - r.coldTemperature;
    } else {
        if (!r.voltage || !r.thermalResistance) {
            return Error{r.voltage ? "thermal_resistance_k_per_w" : "voltage_v",
                         "missing",
                         "both are needed for a temperature"};
        }
        const double alpha = alpha20 / atCold;
        const double P0 = *r.voltage * *r.voltage / r.Rcold;
        out.rise = (std::sqrt(1.0 + 4.0 * alpha * *r.thermalResistance * P0) - 1.0) / (2.0 * alpha);
        out.temperature = r.coldTemperature + out.rise;
        out.Rhot = r.Rcold * (1.0 + alpha * out.rise);
        out.power = *r.voltage * *r.voltage / out.Rhot;
    }
    out.compression = 20.0 * std::log10(out.Rhot / r.Rcold);
    if (r.Qms && r.Qes) {
        const double Qes = *r.Qes * out.Rhot / r.Rcold;
        out.Qts = *r.Qms * Qes / (*r.Qms + Qes);
    }
    return out;
}

} // namespace yf::driver
