// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/design/pad.h"

#include "core/quantity/level.h"

#include <cmath>

namespace yf::network {

namespace {

/// Attenuation, load seen and powers of given resistors.
Pad judged(double series, std::optional<double> shunt, double load, double voltage) {
    Pad pad{.series = series, .shunt = shunt};
    const double behind = shunt ? *shunt * load / (*shunt + load) : load;
    pad.seen = series + behind;
    const double current = voltage / pad.seen;
    const double atLoad = current * behind;
    pad.attenuation = quantity::decibels(voltage / atLoad);
    pad.seriesPower = current * current * series;
    pad.shuntPower = shunt ? atLoad * atLoad / *shunt : 0.0;
    pad.loadPower = atLoad * atLoad / load;
    return pad;
}

} // namespace

std::optional<Error> check(const PadRequest& r) {
    const auto need = [](const char* key) { return Error{key, "missing", "this kind needs it"}; };
    if (!r.load) {
        return need("load_ohm");
    }
    if (r.kind == PadKind::measured) {
        if (r.attenuation) {
            return Error{"attenuation_db", "given", "is the answer for kind measured"};
        }
        return !r.series  ? std::optional(need("series_ohm"))
               : !r.shunt ? std::optional(need("shunt_ohm"))
                          : std::nullopt;
    }
    if (r.series || r.shunt) {
        return Error{r.series ? "series_ohm" : "shunt_ohm", "given", "is the answer for this kind"};
    }
    return r.attenuation ? std::nullopt : std::optional(need("attenuation_db"));
}

Result<Pad> pad(const PadRequest& r) {
    const double load = *r.load;
    if (r.kind == PadKind::measured) {
        return judged(*r.series, *r.shunt, load, r.voltage);
    }
    const double k = quantity::gain(-*r.attenuation);
    const bool constant = r.kind == PadKind::lPad;
    const double series = constant ? load * (1.0 - k) : load * (1.0 / k - 1.0);
    const std::optional<double> shunt =
        constant ? std::optional(load * k / (1.0 - k)) : std::nullopt;
    Pad pad = judged(series, shunt, load, r.voltage);
    if (r.eSeries) {
        pad.seriesSnapped = nearestValue(series, *r.eSeries);
        if (shunt) {
            pad.shuntSnapped = nearestValue(*shunt, *r.eSeries);
        }
    }
    return pad;
}

text::Value Pad::write() const {
    using text::Value;
    Value::Object object{{"series_ohm", series}};
    if (shunt) {
        object.push_back({"shunt_ohm", *shunt});
    }
    object.push_back({"attenuation_db", attenuation});
    object.push_back({"seen_ohm", seen});
    object.push_back({"series_w", seriesPower});
    object.push_back({"shunt_w", shuntPower});
    object.push_back({"load_w", loadPower});
    if (seriesSnapped) {
        object.push_back({"series_snapped_ohm", *seriesSnapped});
    }
    if (shuntSnapped) {
        object.push_back({"shunt_snapped_ohm", *shuntSnapped});
    }
    return object;
}

} // namespace yf::network
