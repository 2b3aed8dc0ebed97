// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/find/shape.h"

#include "core/network/parts/price.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::find {

namespace {

using network::PartKind;

constexpr double twoPi = 2.0 * std::numbers::pi;

bool isAllowed(const std::vector<Extra>& extras, Extra extra) {
    return std::ranges::find(extras, extra) != extras.end();
}

std::vector<double> prototypeLadder(int order) {
    const auto alignment =
        order % 2 == 0 ? network::Alignment::linkwitzRiley : network::Alignment::butterworth;
    return network::ladderValues(network::prototype({.alignment = alignment, .order = order}));
}

Role at(Role first, int k) {
    return static_cast<Role>(static_cast<int>(first) + k);
}

/// Order below one in the list, 0 where there is none.
int lower(int order, const std::vector<int>& orders) {
    int best = 0;
    for (const int o : orders) {
        best = o < order ? std::max(best, o) : best;
    }
    return best;
}

Shape canonical(Shape shape) {
    // One part after the other in the line: either sequence is the same network.
    if ((shape.highPass <= 1 && shape.lowPass <= 1) || shape.highPass == 0 || shape.lowPass == 0) {
        shape.topology = network::BandTopology::highPassFirst;
    }
    return shape;
}

network::Part partOf(Role role, double value, double wire) {
    switch (kindOf(role)) {
    case PartKind::resistor:
        return {.id = "R", .kind = PartKind::resistor, .value = value};
    case PartKind::coil:
        return network::usualCoil(value, wire);
    case PartKind::capacitor:
        break;
    }
    return network::usualCapacitor(value);
}

/// Numbers parts by kind, past those that are taken.
class Numbering {
public:
    explicit Numbering(const std::vector<network::Part>& taken) {
        for (const network::Part& part : taken) {
            taken_.push_back(part.id);
        }
    }

    /// IDs of all parts of a one-port.
    void number(network::OnePort& port) {
        if (network::Part* part = port.part()) {
            do {
                part->id = network::letter(part->kind) +
                           std::to_string(++count_[static_cast<std::size_t>(part->kind)]);
            } while (std::ranges::find(taken_, part->id) != taken_.end());
            return;
        }
        for (network::OnePort& inner : port.composite()->ports) {
            number(inner);
        }
    }

private:
    std::vector<std::string> taken_;
    std::array<int, 3> count_{};
};

/// Filters with every choice of what may stand beside them.
std::vector<Shape>
withExtras(const std::vector<Shape>& filters, Rank rank, const std::vector<Extra>& extras) {
    const bool zobel = rank != Rank::highest && isAllowed(extras, Extra::zobel);
    const bool pad = rank != Rank::lowest && isAllowed(extras, Extra::pad);
    const bool trap = isAllowed(extras, Extra::trap);
    std::vector<Shape> all;
    for (const Shape& filter : filters) {
        for (int bits = 0; bits < 8; ++bits) {
            Shape shape = filter;
            shape.zobel = (bits & 1) != 0;
            shape.pad = (bits & 2) != 0;
            shape.trap = (bits & 4) != 0;
            if ((!shape.zobel || zobel) && (!shape.pad || pad) && (!shape.trap || trap)) {
                all.push_back(shape);
            }
        }
    }
    return all;
}

} // namespace

int Shape::parts() const {
    constexpr int ofTrap = 3;
    return highPass + lowPass + (trap ? ofTrap : 0) + (pad ? 2 : 0) + (zobel ? 2 : 0);
}

std::vector<Shape>
shapes(Rank rank, const std::vector<int>& orders, const std::vector<Extra>& extras) {
    std::vector<Shape> filters;
    for (const int order : orders) {
        if (rank != Rank::middle) {
            filters.push_back(rank == Rank::lowest ? Shape{.lowPass = order}
                                                   : Shape{.highPass = order});
            continue;
        }
        for (const int other : orders) {
            for (const auto topology :
                 {network::BandTopology::highPassFirst, network::BandTopology::lowPassFirst}) {
                const Shape shape{.highPass = order, .lowPass = other, .topology = topology};
                if (canonical(shape) == shape) {
                    filters.push_back(shape);
                }
            }
        }
    }
    return withExtras(filters, rank, extras);
}

std::vector<Shape>
seriesShapes(Rank rank, const std::vector<int>& orders, const std::vector<Extra>& extras) {
    std::vector<Shape> filters;
    for (const int order : orders) {
        constexpr int highest = 2;
        if (order <= highest && rank != Rank::middle) {
            filters.push_back(rank == Rank::lowest ? Shape{.lowPass = order, .series = true}
                                                   : Shape{.highPass = order, .series = true});
        }
    }
    return withExtras(filters, rank, extras);
}

std::vector<Shape> simpler(const Shape& shape, const std::vector<int>& orders) {
    std::vector<Shape> all;
    const auto with = [&](auto&& change) {
        Shape less = shape;
        change(less);
        all.push_back(canonical(less));
    };
    if (const int order = lower(shape.highPass, orders); order > 0) {
        with([&](Shape& less) { less.highPass = order; });
    }
    if (const int order = lower(shape.lowPass, orders); order > 0) {
        with([&](Shape& less) { less.lowPass = order; });
    }
    if (shape.trap) {
        with([](Shape& less) { less.trap = false; });
    }
    if (shape.pad) {
        with([](Shape& less) { less.pad = false; });
    }
    if (shape.zobel) {
        with([](Shape& less) { less.zobel = false; });
    }
    return all;
}

std::vector<Role> rolesOf(const Shape& shape) {
    std::vector<Role> all;
    const auto filter = [&](Role first, int order) {
        for (int k = 0; k < order; ++k) {
            // In series what stands across the way comes first.
            all.push_back(at(first, shape.series ? 1 - k : k));
        }
    };
    if (shape.topology == network::BandTopology::highPassFirst) {
        filter(Role::highPass1, shape.highPass);
        filter(Role::lowPass1, shape.lowPass);
    } else {
        filter(Role::lowPass1, shape.lowPass);
        filter(Role::highPass1, shape.highPass);
    }
    if (shape.trap) {
        all.insert(all.end(), {Role::trapR, Role::trapL, Role::trapC});
    }
    if (shape.pad) {
        all.insert(all.end(), {Role::padSeries, Role::padShunt});
    }
    if (shape.zobel) {
        all.insert(all.end(), {Role::zobelR, Role::zobelC});
    }
    return all;
}

PartKind kindOf(Role role) {
    switch (role) {
    case Role::highPass2:
    case Role::highPass4:
    case Role::lowPass1:
    case Role::lowPass3:
    case Role::trapL:
        return PartKind::coil;
    case Role::highPass1:
    case Role::highPass3:
    case Role::lowPass2:
    case Role::lowPass4:
    case Role::trapC:
    case Role::zobelC:
        return PartKind::capacitor;
    case Role::trapR:
    case Role::padSeries:
    case Role::padShunt:
    case Role::zobelR:
        return PartKind::resistor;
    }
    return PartKind::resistor;
}

Values neutral() {
    constexpr double hugeC = 300e-6;
    constexpr double hugeL = 15e-3;
    constexpr double tinyC = 0.3e-6;
    constexpr double tinyL = 20e-6;
    constexpr double tinyR = 0.2;
    constexpr double hugeR = 100.0;
    constexpr double zobelR = 8.0;
    return {hugeC,
            hugeL,
            hugeC,
            hugeL,
            tinyL,
            tinyC,
            tinyL,
            tinyC,
            tinyR,
            tinyL,
            tinyC,
            tinyR,
            hugeR,
            zobelR,
            tinyC};
}

Values textbookValues(const Shape& shape, const Start& start) {
    Values values = neutral();
    const auto set = [&](Role role, double value) {
        const auto usual = network::usualValues(kindOf(role));
        values[static_cast<std::size_t>(role)] = std::clamp(value, usual.lowest, usual.highest);
    };
    const auto low = shape.lowPass > 0 ? prototypeLadder(shape.lowPass) : std::vector<double>{};
    for (std::size_t k = 0; k < low.size(); ++k) {
        const double omega = twoPi * start.fxHigh;
        set(at(Role::lowPass1, static_cast<int>(k)),
            k % 2 == 0 ? low[k] * start.load / omega : low[k] / (start.load * omega));
    }
    const auto high = shape.highPass > 0 ? prototypeLadder(shape.highPass) : std::vector<double>{};
    for (std::size_t k = 0; k < high.size(); ++k) {
        const double omega = twoPi * start.fxLow;
        set(at(Role::highPass1, static_cast<int>(k)),
            k % 2 == 0 ? 1.0 / (high[k] * start.load * omega) : start.load / (high[k] * omega));
    }
    if (shape.series) {
        // Of first order L = R/ω and 1/(ωR), of second Butterworth's L/√2 and C·√2, alike for both.
        const double root = shape.lowPass + shape.highPass == 2 ? std::numbers::sqrt2 : 1.0;
        const double fx = shape.lowPass > 0 ? start.fxHigh : start.fxLow;
        const double C = root / (twoPi * fx * start.load);
        const double L = start.load / (twoPi * fx * root);
        set(shape.lowPass > 0 ? Role::lowPass2 : Role::highPass1, C);
        set(shape.lowPass > 0 ? Role::lowPass1 : Role::highPass2, L);
    }
    // A shallow trap where the driver needs it most, wide enough to be moved by a slope.
    constexpr double share = 0.3;
    const double R = share * start.load;
    set(Role::trapR, R);
    set(Role::trapL, R / (twoPi * start.trapAt));
    set(Role::trapC, 1.0 / (twoPi * start.trapAt * R));
    constexpr double slight = 0.5;
    set(Role::zobelR, start.Re);
    set(Role::zobelC, slight / (twoPi * start.fxHigh * start.Re));
    return values;
}

network::Section
section(const Shape& shape, const Values& values, const network::DriverEnd& end, double wire) {
    network::Section section{.end = end};
    const auto made = [&](Role role) {
        return partOf(role, values[static_cast<std::size_t>(role)], wire);
    };
    for (const Role role : rolesOf(shape)) {
        switch (role) {
        case Role::highPass1:
        case Role::highPass3:
        case Role::lowPass1:
        case Role::lowPass3:
        case Role::padSeries:
            section.ladder.emplace_back(network::SeriesSlot{made(role)});
            break;
        case Role::highPass2:
        case Role::highPass4:
        case Role::lowPass2:
        case Role::lowPass4:
        case Role::padShunt:
            section.ladder.emplace_back(network::ShuntSlot{made(role)});
            break;
        case Role::trapR:
            section.ladder.emplace_back(network::SeriesSlot{network::Composite{
                network::Joining::parallel, {made(role), made(Role::trapL), made(Role::trapC)}}});
            break;
        case Role::zobelR:
            section.ladder.emplace_back(network::ShuntSlot{
                network::Composite{network::Joining::series, {made(role), made(Role::zobelC)}}});
            break;
        case Role::trapL:
        case Role::trapC:
        case Role::zobelC:
            break; // with the first of their kind
        }
    }
    return section;
}

network::Circuit assembled(const network::Source& source,
                           std::vector<network::Section> ways,
                           network::Joining join,
                           std::vector<network::Slot> common) {
    network::Circuit circuit{.source = source};
    circuit.body = network::Section{.ladder = common, .end = network::Ways{}};
    Numbering numbering(network::parts(circuit));
    for (network::Section& way : ways) {
        for (network::Slot& slot : way.ladder) {
            if (auto* series = std::get_if<network::SeriesSlot>(&slot)) {
                numbering.number(series->port);
            } else if (auto* shunt = std::get_if<network::ShuntSlot>(&slot)) {
                numbering.number(shunt->port);
            }
        }
    }
    if (ways.size() == 1) {
        circuit.body = std::move(ways.front());
    } else {
        circuit.body =
            network::Section{.ladder = std::move(common),
                             .end = network::Ways{.join = join, .sections = std::move(ways)}};
    }
    return circuit;
}

} // namespace yf::find
