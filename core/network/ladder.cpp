// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/ladder.h"

#include "core/network/grid.h"

namespace yf::network {

namespace {

/// The running voltage and current of one section, over one block, for 1 V across its end.
struct Column {
    Block v;
    Block i;
};

/// One block of frequencies on its way through the tree.
class BlockSolver {
public:
    BlockSolver(const Grid& grid, const std::vector<std::size_t>& loadOfEnd, std::size_t block)
        : grid_(grid), loadOfEnd_(loadOfEnd), block_(block), drives_(loadOfEnd.size()) {}

    /// Admittance of the section; the drives of the ends below it are left relative to its input.
    void section(const Section& section, Block& Yin) {
        const std::size_t first = nextEnd_;
        Column column;
        fill(column.v, 1.0);
        if (const auto* end = std::get_if<DriverEnd>(&section.end)) {
            endAdmittance(column.i, *end, grid_.admittances[loadOfEnd_[nextEnd_]][block_]);
            fill(drives_[nextEnd_], static_cast<double>(end->polarity));
            ++nextEnd_;
        } else {
            ways(std::get<Ways>(section.end), column.i);
        }
        if (section.ladder.empty()) {
            Yin = column.i;
            return;
        }
        for (auto slot = section.ladder.rbegin(); slot != section.ladder.rend(); ++slot) {
            std::visit([&](const auto& s) { pass(s, column); }, *slot);
        }
        Block T;
        reciprocal(T, column.v);
        Yin = column.i;
        multiply(Yin, T);
        for (std::size_t end = first; end < nextEnd_; ++end) {
            multiply(drives_[end], T);
        }
    }

    [[nodiscard]] std::vector<Block>& drives() { return drives_; }

private:
    void ways(const Ways& ways, Block& Yin) {
        if (ways.join == Joining::parallel) {
            Block Y;
            fill(Yin, 0.0);
            for (const Section& child : ways.sections) {
                section(child, Y);
                add(Yin, Y);
            }
            return;
        }
        Block Zin;
        fill(Zin, 0.0);
        std::vector<Block> Z(ways.sections.size());
        std::vector<std::size_t> firstEnds;
        Block Y;
        for (std::size_t k = 0; k < ways.sections.size(); ++k) {
            firstEnds.push_back(nextEnd_);
            section(ways.sections[k], Y);
            invert(Z[k], Y);
            add(Zin, Z[k]);
        }
        firstEnds.push_back(nextEnd_);
        invert(Yin, Zin);
        for (std::size_t k = 0; k < Z.size(); ++k) {
            multiply(Z[k], Yin);
            for (std::size_t end = firstEnds[k]; end < firstEnds[k + 1]; ++end) {
                multiply(drives_[end], Z[k]);
            }
        }
    }

    void pass(const SeriesSlot& slot, Column& column) {
        Block Z;
        impedance(Z, slot.port, grid_, block_);
        addProduct(column.v, Z, column.i);
    }

    void pass(const ShuntSlot& slot, Column& column) {
        Block Z;
        Block Y;
        impedance(Z, slot.port, grid_, block_);
        invert(Y, Z);
        addProduct(column.i, Y, column.v);
    }

    void resistanceInLine(double R, Column& column) {
        Block Z;
        fill(Z, R);
        addProduct(column.v, Z, column.i);
    }

    void pass(const TransformerSlot& slot, Column& column) {
        scale(column.v, 1.0 / slot.ratio);
        scale(column.i, slot.ratio);
        if (slot.magnetizing) {
            Part coil;
            coil.kind = PartKind::coil;
            coil.value = *slot.magnetizing;
            pass(ShuntSlot{coil}, column);
        }
        resistanceInLine(slot.dcr, column);
    }

    void pass(const ControlSlot& slot, Column& column) {
        const ControlResistances R = resistances(slot);
        if (R.toReturn) {
            Part track;
            track.value = *R.toReturn;
            pass(ShuntSlot{track}, column);
        }
        resistanceInLine(R.inLine, column);
    }

    const Grid& grid_;
    const std::vector<std::size_t>& loadOfEnd_;
    std::size_t block_;
    std::size_t nextEnd_{};
    std::vector<Block> drives_;
};

} // namespace

Solution solveTree(const Circuit& circuit, const PreparedLoads& loads, const std::vector<std::size_t>& loadOfEnd) {
    const Grid& grid = loads.grid();
    const double Rs = circuit.source.resistance;
    std::vector<std::vector<Block>> drives(loadOfEnd.size(), std::vector<Block>(grid.blocks()));
    std::vector<Block> Zin(grid.blocks());
    for (std::size_t block = 0; block < grid.blocks(); ++block) {
        BlockSolver solver(grid, loadOfEnd, block);
        Block Yin;
        solver.section(*circuit.tree(), Yin);
        invert(Zin[block], Yin);
        if (Rs > 0.0) {
            Block divider;
            fill(divider, 1.0);
            scale(Yin, Rs);
            add(divider, Yin);
            Block share;
            reciprocal(share, divider);
            for (Block& drive : solver.drives()) {
                multiply(drive, share);
            }
        }
        for (std::size_t end = 0; end < loadOfEnd.size(); ++end) {
            drives[end][block] = solver.drives()[end];
        }
    }
    Solution solution;
    for (const auto& drive : drives) {
        solution.drives.push_back(gather(drive, grid.points));
    }
    solution.impedances = gather(Zin, grid.points);
    return solution;
}

} // namespace yf::network
