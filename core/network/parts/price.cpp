// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/parts/price.h"

#include "core/network/parts/coil.h"

#include <numbers>

namespace yf::network {

double Prices::of(const Part& part) const {
    if (part.price) {
        return *part.price;
    }
    constexpr double perMilli = 1e3;
    constexpr double perMicro = 1e6;
    switch (part.kind) {
    case PartKind::resistor:
        return resistor;
    case PartKind::coil:
        return coil + coilPerMillihenry * perMilli * part.value;
    case PartKind::capacitor:
        break;
    }
    return isElectrolytic(part) ? electrolytic + electrolyticPerMicrofarad * perMicro * part.value
                                : film + filmPerMicrofarad * perMicro * part.value;
}

double Prices::of(const std::vector<Part>& parts) const {
    double sum = 0.0;
    for (const Part& part : parts) {
        sum += of(part);
    }
    return sum;
}

bool isElectrolytic(const Part& part) {
    constexpr double atFrequency = 1000.0;
    constexpr double lossy = 0.01;
    return part.kind == PartKind::capacitor &&
           lossResistance(part) * 2.0 * std::numbers::pi * atFrequency * part.value >= lossy;
}

Part usualCapacitor(double farad) {
    constexpr double filmUpTo = 33e-6;
    constexpr double film = 0.001;
    constexpr double electrolytic = 0.03;
    return Part{.id = "C",
                .kind = PartKind::capacitor,
                .value = farad,
                .df = farad > filmUpTo ? electrolytic : film};
}

Part usualCoil(double henry, double wire) {
    constexpr double insulation = 1.07;
    const auto made = coil({.L = henry, .wire = wire, .insulated = insulation * wire});
    return Part{.id = "L", .kind = PartKind::coil, .value = henry, .dcr = made ? made->dcr : 0.0};
}

} // namespace yf::network
