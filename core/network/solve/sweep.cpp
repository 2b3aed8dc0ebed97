// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/solve/sweep.h"

#include <algorithm>
#include <numbers>

namespace yf::network {

namespace {

OnePort resistorPort(double R) {
    Part part;
    part.value = R;
    return part;
}

void collect(OnePort& port, std::vector<Part*>& parts) {
    if (Part* part = port.part()) {
        parts.push_back(part);
        return;
    }
    for (OnePort& inner : port.composite()->ports) {
        collect(inner, parts);
    }
}

/// dZ/d ln(value) of a lone part.
void partDerivative(
    Block& out, const Part& part, bool follow, const Grid& grid, std::size_t block) {
    const RealBlock& omega = grid.omega[block];
    const double dcr = follow ? coilExponent * part.dcr : 0.0;
    const double esr = lossResistance(part) - (follow ? 0.0 : part.esr);
    switch (part.kind) {
    case PartKind::resistor:
        fill(out, part.value);
        return;
    case PartKind::coil:
        for (std::size_t k = 0; k < blockSize; ++k) {
            const double x = part.value * omega[k];
            if (!part.rp) {
                out.re[k] = dcr;
                out.im[k] = x;
                continue;
            }
            const double R = *part.rp;
            const double share = R / (R * R + x * x);
            out.re[k] = dcr + 2.0 * R * share * share * x * x;
            out.im[k] = share * share * x * (R * R - x * x);
        }
        return;
    case PartKind::capacitor:
        for (std::size_t k = 0; k < blockSize; ++k) {
            const double B = part.value * omega[k];
            if (!part.leak) {
                out.re[k] = -esr;
                out.im[k] = grid.inverseOmega[block][k] / part.value;
                continue;
            }
            const double G = 1.0 / *part.leak;
            const double share = 1.0 / (G * G + B * B);
            out.re[k] = -esr - 2.0 * G * share * share * B * B;
            out.im[k] = share * share * B * (B * B - G * G);
        }
        return;
    }
}

/// The same of a part that is r + j·x0·basis.
PartSlope partSlope(const Part& part, const Reactance& z, bool follow) {
    PartSlope slope{.r = z.r, .x0 = z.x0, .basis = z.basis};
    switch (part.kind) {
    case PartKind::resistor:
        slope.dr = z.r;
        break;
    case PartKind::coil:
        slope.dr = follow ? coilExponent * part.dcr : 0.0;
        slope.dx0 = z.x0;
        break;
    case PartKind::capacitor:
        slope.dr = (follow ? 0.0 : part.esr) - lossResistance(part);
        slope.dx0 = -z.x0;
        break;
    }
    return slope;
}

/// What one-port derivatives need.
struct Within {
    bool follow{};
    const Grid& grid;
    std::size_t block{};
};

/// Z of a one-port and its derivative after the `target`-th part within.
// NOLINTNEXTLINE(misc-no-recursion): composites nest
void portDerivative(
    Block& Z, Block& dZ, const OnePort& port, std::size_t target, const Within& within) {
    impedance(Z, port, within.grid, within.block);
    if (const Part* part = port.part()) {
        partDerivative(dZ, *part, within.follow, within.grid, within.block);
        return;
    }
    const Composite& composite = *port.composite();
    for (const OnePort& inner : composite.ports) {
        std::size_t count = 0;
        forEachPart(inner, [&count](const Part&) { ++count; });
        if (target >= count) {
            target -= count;
            continue;
        }
        Block Zj;
        portDerivative(Zj, dZ, inner, target, within);
        if (composite.joining == Joining::parallel && composite.ports.size() > 1) {
            Block share;
            invert(share, Zj);
            multiply(share, Z);
            multiply(dZ, share);
            multiply(dZ, share);
        }
        return;
    }
}

} // namespace

// NOLINTNEXTLINE(misc-no-recursion): composites nest
void distribute(Distribution& to, const OnePort& port, const Block& v, const Block& i) {
    if (port.part() != nullptr) {
        to.currents[to.next] = i;
        to.voltages[to.next] = v;
        ++to.next;
        return;
    }
    const Composite& composite = *port.composite();
    const bool series = composite.joining == Joining::series;
    for (const OnePort& inner : composite.ports) {
        Block x;
        if (series) {
            impedance(x, inner, to.grid, to.block);
            multiply(x, i);
        } else {
            admittance(x, inner, to.grid, to.block);
            multiply(x, v);
        }
        distribute(to, inner, series ? x : v, series ? i : x);
    }
}

Sweep::Sweep(const Circuit& circuit, const PreparedLoads& loads)
    : grid_(loads.grid()), sourceR_(circuit.source.resistance),
      ownAmplifiers_(network::ownAmplifiers(circuit)) {
    for (const DriverEnd& end : driverEnds(circuit)) {
        loadOfEnd_.push_back(loads.loads().find(end.driver).value());
    }
    build(*circuit.tree(), none);
    setLines(circuit, loads.loads().axis);
    drives_.resize(ends());
    for (Node& node : nodes_) {
        node.carried.resize(node.ops.size());
        node.row.resize(node.ops.size());
    }
    dY_.resize(parts_.size());
    dLog_.resize(parts_.size());
    reaching_.resize(parts_.size());
    for (std::size_t p = 0; p < parts_.size(); ++p) {
        dLog_[p].resize(nodes_[placeOf_[p].first].depth + 1);
    }
}

void Sweep::setLines(const Circuit& circuit, const Axis& axis) {
    const auto H = lineTransfers(circuit, axis);
    for (std::size_t a = 0; !H.empty() && a < amplifiers(); ++a) {
        lines_.emplace_back(grid_.blocks());
        setLine(a, H[nodes_[topOf(a)].firstEnd]);
    }
}

void Sweep::setLine(std::size_t amplifier, const std::vector<Complex>& H) {
    auto& blocks = lines_[amplifier];
    for (std::size_t i = 0; i < blocks.size() * blockSize; ++i) {
        const Complex h = H[std::min(i, H.size() - 1)];
        blocks[i / blockSize].re[i % blockSize] = h.real();
        blocks[i / blockSize].im[i % blockSize] = h.imag();
    }
}

std::size_t Sweep::amplifierOf(std::size_t part) const {
    if (!ownAmplifiers_) {
        return 0;
    }
    std::size_t n = placeOf_[part].first;
    while (nodes_[n].parent != 0) {
        n = nodes_[n].parent;
    }
    const auto& tops = nodes_.front().children;
    return static_cast<std::size_t>(std::ranges::find(tops, n) - tops.begin());
}

Sweep::Op Sweep::plain(Pass pass, OnePort port) {
    Op op;
    op.pass = pass;
    op.port = std::move(port);
    return op;
}

/// A slot whose parts are counted.
Sweep::Op
Sweep::counted(Pass pass, const OnePort& port, std::pair<std::size_t, std::size_t> place) {
    Op op = plain(pass, port);
    op.firstPart = parts_.size();
    forEachPart(port, [&](const Part& part) {
        parts_.push_back(part);
        placeOf_.push_back(place);
        ++op.partCount;
    });
    return op;
}

std::vector<Sweep::Op> Sweep::opsOf(const Section& section, std::size_t node) {
    std::vector<Op> ops;

    struct Append {
        Sweep& sweep;
        std::vector<Op>& ops;
        std::size_t node;

        void operator()(const SeriesSlot& slot) {
            ops.push_back(sweep.counted(Pass::series, slot.port, {node, ops.size()}));
        }

        void operator()(const ShuntSlot& slot) {
            ops.push_back(sweep.counted(Pass::shunt, slot.port, {node, ops.size()}));
        }

        void operator()(const TransformerSlot& slot) {
            if (slot.dcr > 0.0) {
                ops.push_back(plain(Pass::series, resistorPort(slot.dcr)));
            }
            if (slot.magnetizing) {
                Part coil;
                coil.kind = PartKind::coil;
                coil.value = *slot.magnetizing;
                ops.push_back(plain(Pass::shunt, coil));
            }
            ops.emplace_back();
            ops.back().pass = Pass::transformer;
            ops.back().ratio = slot.ratio;
        }

        void operator()(const ControlSlot& slot) {
            const ControlResistances R = resistances(slot);
            ops.push_back(plain(Pass::series, resistorPort(R.inLine)));
            if (R.toReturn) {
                ops.push_back(plain(Pass::shunt, resistorPort(*R.toReturn)));
            }
        }
    };

    Append append{*this, ops, node};
    for (const Slot& slot : section.ladder) {
        std::visit(append, slot);
    }
    return ops;
}

// NOLINTNEXTLINE(misc-no-recursion): sections nest
std::size_t Sweep::build(const Section& section, std::size_t parent) {
    const std::size_t index = nodes_.size();
    nodes_.emplace_back();
    nodes_[index].parent = parent;
    nodes_[index].depth = parent == none ? 0 : nodes_[parent].depth + 1;
    nodes_[index].ops = opsOf(section, index);
    nodes_[index].firstEnd = endsBuilt_;
    if (const auto* end = std::get_if<DriverEnd>(&section.end)) {
        nodes_[index].end = *end;
        ++endsBuilt_;
    } else {
        const auto& ways = std::get<Ways>(section.end);
        nodes_[index].join = ways.join;
        for (const Section& child : ways.sections) {
            const std::size_t c = build(child, index);
            nodes_[index].children.push_back(c);
        }
    }
    nodes_[index].lastEnd = endsBuilt_;
    return index;
}

void Sweep::setPart(std::size_t part, const Part& changed) {
    parts_[part] = changed;
    const auto [n, o] = placeOf_[part];
    Op& op = nodes_[n].ops[o];
    std::vector<Part*> within;
    collect(op.port, within);
    *within[part - op.firstPart] = changed;
}

void Sweep::setValue(std::size_t part, double value) {
    setPart(part, withValue(parts_[part], value));
}

void Sweep::join(const Node& node, Block& Y) {
    if (node.join == Joining::parallel) {
        Y = nodes_[node.children.front()].Y;
        for (std::size_t c = 1; c < node.children.size(); ++c) {
            add(Y, nodes_[node.children[c]].Y);
        }
        return;
    }
    Block Z;
    fill(Z, 0.0);
    for (const std::size_t c : node.children) {
        invert(nodes_[c].Z, nodes_[c].Y);
        add(Z, nodes_[c].Z);
    }
    invert(Y, Z);
    for (const std::size_t c : node.children) {
        setProduct(nodes_[c].share, nodes_[c].Z, Y);
    }
}

/// One slot on the way: (v, i) of the column from its end, or (b, a) of the row from its input,
/// which go alike but for a transformer's ratio. `kept` is what the slopes need later.
void Sweep::pass(const Op& op, Block& v, Block& i, Block& kept, double ratio) {
    switch (op.pass) {
    case Pass::series:
        kept = i;
        addSeries(v, op.port, i, grid_, block_);
        break;
    case Pass::shunt:
        kept = v;
        addShunt(i, op.port, v, grid_, block_);
        break;
    case Pass::transformer:
        scale(v, 1.0 / ratio);
        scale(i, ratio);
        break;
    }
}

void Sweep::columns(Node& node) {
    Block v;
    Block i;
    fill(v, 1.0);
    if (node.leaf()) {
        endAdmittance(i, node.end, grid_.admittances[loadOfEnd_[node.firstEnd]][block_]);
    } else {
        join(node, i);
    }
    if (node.ops.empty()) {
        fill(node.T, 1.0);
        node.Y = i;
        return;
    }
    for (std::size_t k = node.ops.size(); k-- > 0;) {
        pass(node.ops[k], v, i, node.carried[k], node.ops[k].ratio);
    }
    reciprocal(node.T, v);
    setProduct(node.Y, i, node.T);
}

/// Voltages from the source down.
void Sweep::descend(Node& node) {
    Block end = node.Vin;
    if (!node.ops.empty()) {
        multiply(end, node.T);
    }
    if (node.leaf()) {
        setScaled(drives_[node.firstEnd], end, node.end.polarity);
        return;
    }
    if (ownAmplifiers_ && &node == &nodes_.front()) {
        return; // its ways are fed by their own
    }
    for (const std::size_t c : node.children) {
        nodes_[c].Vin = end;
        if (node.join == Joining::series) {
            multiply(nodes_[c].Vin, nodes_[c].share);
        }
    }
}

/// What an amplifier gives: EMF, line before it, its resistance in the way.
void Sweep::feed(std::size_t amplifier) {
    Node& top = nodes_[topOf(amplifier)];
    if (sourceR_ > 0.0) {
        Block divider;
        fill(divider, 1.0);
        addScaled(divider, top.Y, sourceR_);
        reciprocal(top.sourceShare, divider);
    } else {
        fill(top.sourceShare, 1.0);
    }
    top.Vin = top.sourceShare;
    if (!lines_.empty()) {
        multiply(top.Vin, lines_[amplifier][block_]);
    }
}

void Sweep::run(std::size_t block) {
    block_ = block;
    for (std::size_t n = nodes_.size(); n-- > 0;) {
        columns(nodes_[n]);
    }
    for (std::size_t a = 0; a < amplifiers(); ++a) {
        feed(a);
    }
    for (Node& node : nodes_) {
        descend(node);
    }
}

void Sweep::branches(std::vector<Block>& currents, std::vector<Block>& voltages) {
    currents.resize(parts_.size());
    voltages.resize(parts_.size());

    for (const Node& node : nodes_) {
        Block scaleTo;
        setProduct(scaleTo, node.Vin, node.T);
        for (std::size_t k = 0; k < node.ops.size(); ++k) {
            const Op& op = node.ops[k];
            if (op.firstPart == none) {
                continue;
            }
            Block carried;
            setProduct(carried, node.carried[k], scaleTo);
            Block other;
            if (op.pass == Pass::series) {
                impedance(other, op.port, grid_, block_);
            } else {
                network::admittance(other, op.port, grid_, block_);
            }
            multiply(other, carried);
            const bool series = op.pass == Pass::series;
            Distribution to{grid_, block_, currents, voltages, op.firstPart};
            distribute(to, op.port, series ? other : carried, series ? carried : other);
        }
    }
}

/// Rows from a section's input to its end.
void Sweep::rows(Node& node) {
    Block a;
    Block b;
    fill(a, 1.0);
    fill(b, 0.0);
    for (std::size_t k = 0; k < node.ops.size(); ++k) {
        pass(node.ops[k], b, a, node.row[k], 1.0 / node.ops[k].ratio);
    }
    node.rowEnd = b;
}

/// Hands a section's change of admittance, dY_[part], to what stands above it.
void Sweep::climb(std::size_t part, std::size_t start) {
    std::vector<Block>& levels = dLog_[part];
    Block& dY = dY_[part];
    std::size_t reach = 1;
    std::size_t level = 0;
    std::size_t n = start;
    const auto behindAmplifier = [&] {
        const std::size_t parent = nodes_[n].parent;
        return parent == none || (ownAmplifiers_ && parent == 0);
    };
    for (; !behindAmplifier(); n = nodes_[n].parent) {
        const Node& node = nodes_[n];
        const Node& above = nodes_[node.parent];
        Block& next = levels[++level];
        const bool series = above.join == Joining::series;
        if (!series && above.ops.empty()) {
            continue; // nothing but the source can tell
        }
        for (std::size_t j = reach; j <= level; ++j) {
            fill(levels[j], 0.0);
        }
        reach = level + 1;
        if (series) {
            // d ln of the share: the others' goes with the common current, its own also with Z.
            Block own;
            setProduct(own, node.Z, dY);
            subtract(levels[level - 1], own);
            addProduct(next, own, node.share);
            multiply(dY, node.share);
            multiply(dY, node.share);
        }
        if (!above.ops.empty()) {
            Block x;
            setProduct(x, above.T, above.rowEnd);
            addScaledProduct(next, x, dY, -1.0);
            multiply(dY, above.T);
            multiply(dY, above.T);
        }
    }
    if (sourceR_ > 0.0) {
        const Block& share = nodes_[n].sourceShare;
        if (reach == 1 && level == 1) {
            // Ways right behind the source: what most networks are.
            setAndAddScaledProduct(levels[1], levels[0], share, dY, -sourceR_);
            reaching_[part] = 2;
            return;
        }
        if (reach <= level) {
            for (std::size_t j = reach; j < level; ++j) {
                fill(levels[j], 0.0);
            }
            setScaledProduct(levels[level], share, dY, -sourceR_);
            reach = level + 1;
        } else {
            addScaledProduct(levels[level], share, dY, -sourceR_);
        }
    }
    for (std::size_t j = reach - 1; j-- > 0;) {
        add(levels[j], levels[j + 1]);
    }
    reaching_[part] = reach;
}

void Sweep::differentiate(const std::vector<bool>& wanted, bool lossesFollow) {
    for (Node& node : nodes_) {
        rows(node);
    }
    const Within within{lossesFollow, grid_, block_};
    for (std::size_t p = 0; p < parts_.size(); ++p) {
        if (!wanted.empty() && !wanted[p]) {
            continue;
        }
        const auto [n, o] = placeOf_[p];
        const Node& node = nodes_[n];
        const Op& op = node.ops[o];
        const SlotSlope slope{node.carried[o], node.T, node.row[o], dLog_[p].front(), dY_[p]};
        const auto lone =
            op.port.part() == nullptr ? std::nullopt : reactance(*op.port.part(), grid_, block_);
        if (lone) {
            const PartSlope part = partSlope(*op.port.part(), *lone, lossesFollow);
            op.pass == Pass::series ? setSeriesSlope(slope, part) : setShuntSlope(slope, part);
        } else {
            Block Z;
            Block dX;
            portDerivative(Z, dX, op.port, p - op.firstPart, within);
            if (op.pass == Pass::shunt) {
                Block Y;
                invert(Y, Z);
                multiply(dX, Y);
                multiply(dX, Y);
                scale(dX, -1.0);
            }
            Block u;
            setProduct(u, node.carried[o], node.T);
            multiply(dX, u);
            setNegatedProduct(slope.own, dX, node.row[o]);
            setScaledProduct(slope.dY, dX, u, op.pass == Pass::series ? -1.0 : 1.0);
        }
        climb(p, n);
    }
}

const Block* Sweep::drivesLog(std::size_t part, std::size_t end) const {
    std::size_t n = placeOf_[part].first;
    std::size_t level = 0;
    while (end < nodes_[n].firstEnd || end >= nodes_[n].lastEnd) {
        n = nodes_[n].parent;
        ++level;
    }
    return level < reaching_[part] ? &dLog_[part][level] : nullptr;
}

} // namespace yf::network
