// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/grid.h"
#include "core/network/solve/solve.h"

#include <memory>

/// One section tree solved again and again with other values: what the tuner, the finder, the
/// tolerances and the reach of a part are made of. Inner form, in blocks of frequencies, as grid.h.
namespace yf::network {

/// The columns and rows of all sections over one block of frequencies, and from them every drive,
/// every part's voltage and current, and the exact derivative of both drive and input admittance
/// after every part, with no further solution.
///
///     column (v, i) from the driver, row (a, b) from the source, before slot k:
///     ∂T/∂Z_k = −T²·a·i_k      ∂T/∂Y_k = −T²·b·v_k
///     ∂Y_in/∂Z_k = −(i_k·T)²   ∂Y_in/∂Y_k = +(v_k·T)²
///
/// and upwards through joins by the same two rules, an end's admittance being a shunt there.
/// Source: Director and Rohrer 1969 (adjoint network), chain matrices; docs/theory/network.md.
class Sweep {
public:
    static constexpr std::size_t none = static_cast<std::size_t>(-1);

    /// `circuit` is a tree without couplings whose drivers `loads` all know (solve() tells), and
    /// `loads` outlives this.
    Sweep(const Circuit& circuit, const PreparedLoads& loads);

    [[nodiscard]] std::size_t ends() const { return loadOfEnd_.size(); }

    [[nodiscard]] const std::vector<Part>& parts() const { return parts_; }

    [[nodiscard]] const Grid& grid() const { return grid_; }

    /// Another value for a part; its losses follow as withValue says.
    void setValue(std::size_t part, double value);

    /// Any change that keeps the kind: a loss, a value with its losses held.
    void setPart(std::size_t part, const Part& changed);

    /// What stands before an amplifier of its own, at the frequencies of the grid. The circuit must
    /// have own amplifiers.
    void setLine(std::size_t amplifier, const std::vector<Complex>& H);

    /// Columns, drives and input admittance of one block.
    void run(std::size_t block);

    /// Voltage across an end over the EMF, polarity included.
    [[nodiscard]] const Block& drive(std::size_t end) const { return drives_[end]; }

    /// One, or one for each way.
    [[nodiscard]] std::size_t amplifiers() const {
        return ownAmplifiers_ ? nodes_.front().children.size() : 1;
    }

    /// What hangs behind an amplifier's resistance.
    [[nodiscard]] const Block& admittance(std::size_t amplifier = 0) const {
        return nodes_[topOf(amplifier)].Y;
    }

    /// The amplifier that a part hangs on.
    [[nodiscard]] std::size_t amplifierOf(std::size_t part) const;

    /// After run(): current through each part and voltage across it, over the EMF.
    void branches(std::vector<Block>& currents, std::vector<Block>& voltages);

    /// After run(): derivatives after ln(value) of each part for which `wanted` is set (all if
    /// empty). Losses follow the value where `lossesFollow`, as withValue says.
    void differentiate(const std::vector<bool>& wanted, bool lossesFollow);

    /// d ln(drive)/d ln(value); null where the part does not reach the end at all.
    [[nodiscard]] const Block* drivesLog(std::size_t part, std::size_t end) const;

    /// dY_in/d ln(value), of the part's own amplifier.
    [[nodiscard]] const Block& admittanceLog(std::size_t part) const { return dY_[part]; }

private:
    enum class Pass { series, shunt, transformer };

    struct Op {
        Pass pass{};
        OnePort port;
        double ratio{1.0};
        std::size_t firstPart{none}; ///< of the parts within, in writing order
        std::size_t partCount{};
    };

    struct Node {
        std::size_t parent{none};
        std::size_t depth{};
        std::vector<Op> ops;
        std::vector<std::size_t> children;
        Joining join{};
        std::size_t firstEnd{};
        std::size_t lastEnd{}; ///< one past
        DriverEnd end;         ///< of a leaf
        // Over the present block:
        std::vector<Block> carried; ///< i at a series slot, v at a shunt
        std::vector<Block> row;     ///< a at a series slot, b at a shunt
        Block T;
        Block Y;
        Block Z;     ///< 1/Y where the parent joins in series
        Block share; ///< likewise Z·Y_join
        Block rowEnd;
        Block Vin;
        Block sourceShare; ///< V_in over the EMF, of a node right behind an amplifier

        [[nodiscard]] bool leaf() const { return children.empty(); }
    };

    [[nodiscard]] std::size_t topOf(std::size_t amplifier) const {
        return ownAmplifiers_ ? nodes_.front().children[amplifier] : 0;
    }

    void setLines(const Circuit& circuit, const Axis& axis);
    void feed(std::size_t top);
    std::size_t build(const Section& section, std::size_t parent);
    [[nodiscard]] std::vector<Op> opsOf(const Section& section, std::size_t node);
    Op counted(Pass pass, const OnePort& port, std::pair<std::size_t, std::size_t> place);
    void pass(const Op& op, Block& v, Block& i, Block& kept, double ratio);
    void columns(Node& node);
    void join(const Node& node, Block& Y);
    void descend(Node& node);
    void rows(Node& node);
    void climb(std::size_t part, std::size_t node);

    static Op plain(Pass pass, OnePort port);

    const Grid& grid_;
    double sourceR_{};
    bool ownAmplifiers_{};
    std::vector<std::vector<Block>> lines_; ///< [amplifier][block]; empty: none
    std::vector<std::size_t> loadOfEnd_;
    std::vector<Part> parts_;
    std::vector<std::pair<std::size_t, std::size_t>> placeOf_; ///< part → node, op
    std::vector<Node> nodes_;                                  ///< parents before children
    std::size_t block_{};
    std::vector<Block> drives_;
    std::vector<Block> dY_;
    std::size_t endsBuilt_{};
    /// [part][level up the chain of sections]: the sum of all that reaches the ends below.
    std::vector<std::vector<Block>> dLog_;
    std::vector<std::size_t> reaching_; ///< levels of a part that are not nought, from its own up
};

/// Where the parts of a one-port put what flows through them.
struct Distribution {
    const Grid& grid;
    std::size_t block{};
    std::vector<Block>& currents;
    std::vector<Block>& voltages;
    std::size_t next{}; ///< place of the next part
};

/// Voltage and current of a one-port handed down to its parts, in writing order.
void distribute(Distribution& to, const OnePort& port, const Block& v, const Block& i);

} // namespace yf::network
