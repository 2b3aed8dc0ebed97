// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/judge/what_if.h"

#include "core/network/judge/load.h"

#include <algorithm>

namespace yf::network {

namespace {

void heat(Loads& loads, double share) {
    for (Load& load : loads.drivers) {
        const double more = share * load.dcResistance;
        for (std::size_t k = 0; k < load.impedance.size(); ++k) {
            const Complex cold = load.impedance[k];
            load.impedance[k] = cold + more;
            if (load.pressure) {
                (*load.pressure)[k] *= cold / (cold + more);
            }
        }
    }
}

void silence(Load& load) {
    if (load.pressure) {
        std::ranges::fill(*load.pressure, Complex{});
    }
}

} // namespace

Result<WhatIfCurves> whatIf(const Circuit& circuit, const Loads& loads, const WhatIf& state) {
    Circuit other = circuit;
    Loads changed = loads;
    const bool aboutOne =
        state.kind == WhatIf::Kind::driverOpen || state.kind == WhatIf::Kind::driverShorted;
    if (aboutOne && !loads.find(state.driver)) {
        return Error{
            "driver", say(YF_WORDS("core", "'%1' is not in the network"), state.driver), ""};
    }
    switch (state.kind) {
    case WhatIf::Kind::hotCoils:
        heat(changed, state.amount);
        break;
    case WhatIf::Kind::sourceResistance:
        other.source.resistance = state.amount;
        break;
    case WhatIf::Kind::driverOpen:
        changed = withoutDriver(std::move(changed), state.driver);
        silence(changed.drivers[*loads.find(state.driver)]);
        break;
    case WhatIf::Kind::driverShorted: {
        constexpr double touching = 0.01; // Ω, of wires that touch
        Load& load = changed.drivers[*loads.find(state.driver)];
        std::ranges::fill(load.impedance, Complex(touching));
        silence(load);
        break;
    }
    }
    const PreparedLoads prepared(std::move(changed));
    YF_TRY(solution, solve(other, prepared));
    WhatIfCurves curves{.axis = loads.axis, .sum = {}, .impedance = std::move(solution.impedances)};
    const bool heard = std::ranges::all_of(
        loads.drivers, [](const Load& load) { return load.pressure.has_value(); });
    if (heard) {
        YF_TRY(p, pressures(other, prepared.loads(), solution));
        curves.sum = std::move(p.sum);
    }
    return curves;
}

} // namespace yf::network
