// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/solve/ladder.h"

#include "core/network/solve/grid.h"

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
    BlockSolver(const Grid& grid, const std::vector<std::size_t>& loadOfEnd)
        : grid_(grid), loadOfEnd_(loadOfEnd), drives_(loadOfEnd.size()) {}

    void begin(std::size_t block) {
        block_ = block;
        nextEnd_ = 0;
    }

    /// Admittance of the section; the drives of the ends below it are left relative to its input.
    void section(const Section& section, Block& Yin) {
        const std::size_t first = nextEnd_;
        Column column;
        fill(column.v, 1.0);
        if (const auto* end = std::get_if<DriverEnd>(&section.end)) {
            endAdmittance(column.i, *end, grid_.admittances[loadOfEnd_[nextEnd_]][block_]);
            ++nextEnd_;
        } else {
            ways(std::get<Ways>(section.end), column.i);
        }
        const auto* leaf = std::get_if<DriverEnd>(&section.end);
        if (section.ladder.empty()) {
            Yin = column.i;
            if (leaf != nullptr) {
                fill(drives_[first], static_cast<double>(leaf->polarity));
            }
            return;
        }
        for (auto slot = section.ladder.rbegin(); slot != section.ladder.rend(); ++slot) {
            std::visit([&](const auto& s) { pass(s, column); }, *slot);
        }
        Block T;
        reciprocal(T, column.v);
        Yin = column.i;
        multiply(Yin, T);
        if (leaf != nullptr) {
            drives_[first] = T;
            if (leaf->polarity < 0) {
                scale(drives_[first], -1.0);
            }
            return;
        }
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
        addSeries(column.v, slot.port, column.i, grid_, block_);
    }

    void pass(const ShuntSlot& slot, Column& column) {
        addShunt(column.i, slot.port, column.v, grid_, block_);
    }

    void resistanceInLine(double R, Column& column) { addScaled(column.v, column.i, R); }

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
    std::size_t block_{};
    std::size_t nextEnd_{};
    std::vector<Block> drives_;
};

} // namespace

Solution solveTree(const Circuit& circuit,
                   const PreparedLoads& loads,
                   const std::vector<std::size_t>& loadOfEnd) {
    const Grid& grid = loads.grid();
    const double Rs = circuit.source.resistance;
    Solution solution;
    solution.drives.assign(loadOfEnd.size(), std::vector<Complex>(grid.points));
    solution.impedances.resize(grid.points);
    BlockSolver solver(grid, loadOfEnd);
    for (std::size_t block = 0; block < grid.blocks(); ++block) {
        solver.begin(block);
        Block Yin;
        solver.section(*circuit.tree(), Yin);
        Block Zin;
        invert(Zin, Yin);
        store(solution.impedances, Zin, block);
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
            store(solution.drives[end], solver.drives()[end], block);
        }
    }
    return solution;
}

} // namespace yf::network
