// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/battery.h"

namespace yf::bench {

namespace {

constexpr double seen = 0.3e-3;   // m
constexpr double blockFrom = 6.0; // V

} // namespace

double cellResistance(double voltage) {
    return voltage >= blockFrom ? 1.7 : 0.2;
}

Result<BatteryEffect> battery(const BatteryRequest& r) {
    BatteryEffect out;
    out.current = r.voltage / (r.Re + r.cellResistance.value_or(cellResistance(r.voltage)));
    out.power = out.current * out.current * r.Re;
    out.displacement = r.Bl * r.Cms * out.current;
    out.visible = out.displacement >= seen;
    if ((r.role && batteryBurns(*r.role, r.voltage)) || (r.Xmax && out.displacement > *r.Xmax)) {
        out.verdict = BatteryVerdict::tooMuch;
    } else {
        out.verdict = out.visible ? BatteryVerdict::ok : BatteryVerdict::listenOnly;
    }
    return out;
}

} // namespace yf::bench
