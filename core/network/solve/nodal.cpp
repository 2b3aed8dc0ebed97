// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/solve/nodal.h"

#include "core/network/circuit/graph.h"
#include "core/network/circuit/spanning_tree.h"
#include "core/network/solve/elimination.h"
#include "core/network/solve/grid.h"

#include <Eigen/Dense>

#include <algorithm>
#include <cmath>
#include <memory>
#include <numeric>

namespace yf::network {

namespace {

/// A pivot below this share of the largest entry is not trusted without pivoting.
constexpr double leastPivot = 1e-10;

/// Frequencies of a block whose solution is not to be trusted.
using Weak = std::array<bool, blockSize>;

/// Blocks that are written before they are read: a vector would fill them with zeros first.
class Blocks {
public:
    explicit Blocks(std::size_t size)
        : blocks_(std::make_unique_for_overwrite<Block[]>(size)), size_(size) {}

    [[nodiscard]] std::size_t size() const { return size_; }

    [[nodiscard]] Block& operator[](std::size_t i) { return blocks_[i]; }

    [[nodiscard]] const Block& operator[](std::size_t i) const { return blocks_[i]; }

private:
    std::unique_ptr<Block[]> blocks_;
    std::size_t size_;
};

/// One block of frequencies of A·U = b.
class System {
public:
    explicit System(const Pattern& pattern)
        : n_(pattern.size()), slot_(n_ * n_, 0), entries_(0), rhs_(n_), sourceRow_(n_),
          inverses_(n_) {
        std::size_t count = 0;
        rowsBelow_.resize(n_);
        for (std::size_t j = 0; j < n_; ++j) {
            for (std::size_t i = j; i < n_; ++i) {
                if (pattern.has(i, j)) {
                    slot_[i * n_ + j] = count++;
                    if (i > j) {
                        rowsBelow_[j].push_back(i);
                    }
                }
            }
        }
        entries_ = Blocks(count);
        fresh_.assign(count + 2 * n_, char{1});
    }

    /// Nothing is in the system; what is written first is written over.
    void clear() {
        std::ranges::fill(fresh_, char{1});
        freshSource_ = true;
    }

    /// A += y·(q·pᵀ + p·qᵀ)/2 for voltages q and p; q = p for an ordinary branch.
    void stamp(const Sum& q, const Sum& p, const Block& y) {
        for (const Term& a : q) {
            for (const Term& b : p) {
                accumulate(a.index, b.index, y, a.sign * b.sign);
            }
        }
    }

    /// A constant entry of a constraint row.
    struct Constant {
        std::size_t i{};
        std::size_t j{};
        double value{};
    };

    void put(const Constant& entry) {
        const auto [i, j, value] = entry;
        Block constant;
        fill(constant, value);
        accumulate(i, j, constant, 1.0);
        if (i != j) {
            accumulate(j, i, constant, 1.0);
        }
    }

    /// Solves; afterwards U(i) are the unknowns. True where a pivot was too small to be trusted:
    /// stamp these anew and call solveDensely.
    [[nodiscard]] Weak solve() {
        zeroFreshEntries();
        RealBlock largest{};
        RealBlock least{};
        least.fill(1e300);
        for (std::size_t i = 0; i < entries_.size(); ++i) {
            raiseToSquare(largest, entries_[i]);
        }
        for (std::size_t k = 0; k < n_; ++k) {
            const Block& pivot = entries_[slot_[k * n_ + k]];
            lowerToSquare(least, pivot);
            reciprocal(inverses_[k], pivot);
            const auto& below = rowsBelow_[k];
            // Column k keeps the entries of A; L = A·D⁻¹ is formed where it is used.
            for (std::size_t row = 0; row < below.size(); ++row) {
                Block factor;
                setProduct(factor, entries_[slot_[below[row] * n_ + k]], inverses_[k]);
                for (std::size_t column = 0; column <= row; ++column) {
                    subtractProduct(entries_[slot_[below[row] * n_ + below[column]]],
                                    factor,
                                    entries_[slot_[below[column] * n_ + k]]);
                }
                // Few branches touch the source: most right sides are nothing for a while.
                if (rhsFresh(k) == 0) {
                    eliminate(below[row], factor, k);
                }
            }
        }
        for (std::size_t k = n_; k-- > 0;) {
            if (rhsFresh(k) != 0) {
                fill(rhs_[k], 0.0);
                rhsFresh(k) = 0;
            }
            for (const std::size_t i : rowsBelow_[k]) {
                subtractProduct(rhs_[k], entries_[slot_[i * n_ + k]], rhs_[i]);
            }
            multiply(rhs_[k], inverses_[k]);
        }
        Weak weak{};
        for (std::size_t f = 0; f < blockSize; ++f) {
            weak[f] = !(least[f] > leastPivot * leastPivot * largest[f]);
        }
        return weak;
    }

    /// Takes the unknowns of the weak frequencies from `stamped`, the same system not yet solved,
    /// by a dense solution with full pivoting.
    void solveDensely(System& stamped, const Weak& weak) {
        stamped.zeroFreshEntries();
        for (std::size_t i = 0; i < n_; ++i) {
            if (stamped.rhsFresh(i) != 0) {
                fill(stamped.rhs_[i], 0.0);
            }
        }
        for (std::size_t f = 0; f < blockSize; ++f) {
            if (weak[f]) {
                solveDensely(stamped.entries_, stamped.rhs_, f);
            }
        }
    }

    [[nodiscard]] const Block& U(std::size_t i) const { return rhs_[i]; }

    /// Current from the source for 1 V.
    void sourceCurrent(Block& out) const {
        out = sourceSelf_;
        for (std::size_t i = 0; i < n_; ++i) {
            if (fresh_[entries_.size() + n_ + i] == 0) {
                addProduct(out, sourceRow_[i], rhs_[i]);
            }
        }
    }

private:
    void accumulate(std::size_t i, std::size_t j, const Block& y, double sign) {
        if (i == known && j == known) {
            addOrSet(sourceSelf_, freshSource_, y, sign);
        } else if (j == known) {
            addOrSet(rhs_[i], fresh_[entries_.size() + i], y, -sign);
        } else if (i == known) {
            addOrSet(sourceRow_[j], fresh_[entries_.size() + n_ + j], y, sign);
        } else if (i >= j) {
            const std::size_t slot = slot_[i * n_ + j];
            addOrSet(entries_[slot], fresh_[slot], y, sign);
        }
    }

    template <class Flag>
    static void addOrSet(Block& sum, Flag& fresh, const Block& y, double sign) {
        if (fresh) {
            setScaled(sum, y, sign);
            fresh = Flag{};
        } else {
            addScaled(sum, y, sign);
        }
    }

    /// rhs_i −= L_ik·rhs_k
    void eliminate(std::size_t i, const Block& L, std::size_t k) {
        if (rhsFresh(i) != 0) {
            setNegatedProduct(rhs_[i], L, rhs_[k]);
            rhsFresh(i) = 0;
        } else {
            subtractProduct(rhs_[i], L, rhs_[k]);
        }
    }

    [[nodiscard]] char& rhsFresh(std::size_t i) { return fresh_[entries_.size() + i]; }

    /// Entries that only fill-in will reach, and the source's own if nothing hangs on it.
    void zeroFreshEntries() {
        for (std::size_t i = 0; i < entries_.size(); ++i) {
            if (fresh_[i] != 0) {
                fill(entries_[i], 0.0);
                fresh_[i] = 0;
            }
        }
        if (freshSource_) {
            fill(sourceSelf_, 0.0);
            freshSource_ = false;
        }
    }

    void solveDensely(const Blocks& matrix, const Blocks& right, std::size_t f) {
        const auto n = static_cast<Eigen::Index>(n_);
        Eigen::MatrixXcd A = Eigen::MatrixXcd::Zero(n, n);
        Eigen::VectorXcd b(n);
        const auto value = [&](const Block& block) { return Complex{block.re[f], block.im[f]}; };
        for (std::size_t j = 0; j < n_; ++j) {
            b(static_cast<Eigen::Index>(j)) = value(right[j]);
            A(static_cast<Eigen::Index>(j), static_cast<Eigen::Index>(j)) =
                value(matrix[slot_[j * n_ + j]]);
            for (const std::size_t i : rowsBelow_[j]) {
                const Complex entry = value(matrix[slot_[i * n_ + j]]);
                A(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(j)) = entry;
                A(static_cast<Eigen::Index>(j), static_cast<Eigen::Index>(i)) = entry;
            }
        }
        const Eigen::VectorXcd U = A.fullPivLu().solve(b);
        for (std::size_t i = 0; i < n_; ++i) {
            rhs_[i].re[f] = U(static_cast<Eigen::Index>(i)).real();
            rhs_[i].im[f] = U(static_cast<Eigen::Index>(i)).imag();
        }
    }

    Block sourceSelf_{}; // first: it is the one that wants to lie on a cache line
    std::size_t n_;
    std::vector<std::size_t> slot_;
    std::vector<std::vector<std::size_t>> rowsBelow_;
    Blocks entries_;
    Blocks rhs_;
    Blocks sourceRow_;
    Blocks inverses_;
    std::vector<char> fresh_; ///< of entries, right sides, source row: nothing written yet
    bool freshSource_{true};
};

/// Coils that see each other, as branches of the graph.
struct CoupledGroup {
    std::vector<std::size_t> branches;
    Eigen::MatrixXd mutual; ///< M between them, H; 0 on the diagonal
};

std::vector<CoupledGroup> coupledGroups(const Circuit& circuit, const Graph& graph) {
    const auto branchOf = [&](const std::string& id) {
        const auto found = std::ranges::find(graph.parts, id, &Graph::PartBranch::coilId);
        YF_EXPECT(found != graph.parts.end());
        return static_cast<std::size_t>(found - graph.parts.begin());
    };
    // One group for all: the inverse of a block-diagonal matrix is block-diagonal anyway.
    CoupledGroup group;
    const auto indexOf = [&](std::size_t branch) {
        const auto found = std::ranges::find(group.branches, branch);
        if (found == group.branches.end()) {
            group.branches.push_back(branch);
            return group.branches.size() - 1;
        }
        return static_cast<std::size_t>(found - group.branches.begin());
    };

    struct Mutual {
        std::size_t a;
        std::size_t b;
        double M;
    };

    std::vector<Mutual> mutuals;
    for (const Coupling& coupling : circuit.couplings) {
        const std::size_t first = branchOf(coupling.first);
        const std::size_t second = branchOf(coupling.second);
        const double M = coupling.k * std::sqrt(graph.parts[first].port.part()->value *
                                                graph.parts[second].port.part()->value);
        mutuals.push_back({indexOf(first), indexOf(second), M});
    }
    if (group.branches.empty()) {
        return {};
    }
    const auto n = static_cast<Eigen::Index>(group.branches.size());
    group.mutual = Eigen::MatrixXd::Zero(n, n);
    for (const Mutual& m : mutuals) {
        group.mutual(static_cast<Eigen::Index>(m.a), static_cast<Eigen::Index>(m.b)) = m.M;
        group.mutual(static_cast<Eigen::Index>(m.b), static_cast<Eigen::Index>(m.a)) = m.M;
    }
    return {group};
}

/// The circuit made ready: voltages of all branches as sums of unknowns in elimination order.
struct Prepared {
    Graph graph;
    std::vector<Sum> partVoltages;
    std::vector<Sum> driverVoltages;
    std::vector<Sum> transformerVoltages; ///< secondary less n times primary
    std::vector<CoupledGroup> coupled;
    std::vector<bool> isCoupled;
    std::size_t firstConstraint{};
};

void connectAll(Pattern& pattern, const Sum& q, const Sum& p) {
    for (const Term& a : q) {
        for (const Term& b : p) {
            if (a.index != known && b.index != known) {
                pattern.connect(a.index, b.index);
            }
        }
    }
}

void renumber(Sum& sum, const std::vector<std::size_t>& place) {
    for (Term& term : sum) {
        if (term.index != known) {
            term.index = place[term.index];
        }
    }
}

class NodalSolver {
public:
    explicit NodalSolver(const Circuit& circuit) : pattern_(0) {
        p_.graph = flatten(circuit);
        const SpanningTree tree(p_.graph);
        for (const auto& part : p_.graph.parts) {
            p_.partVoltages.push_back(tree.voltage(part.from, part.to));
        }
        for (const auto& driver : p_.graph.drivers) {
            p_.driverVoltages.push_back(tree.voltage(driver.from, driver.to));
        }
        for (const auto& t : p_.graph.transformers) {
            Sum sum = tree.voltage(t.secondary, t.common);
            for (Term term : tree.voltage(t.primary, t.common)) {
                term.sign *= -t.ratio;
                sum.push_back(term);
            }
            p_.transformerVoltages.push_back(std::move(sum));
        }
        p_.coupled = coupledGroups(circuit, p_.graph);
        p_.isCoupled.assign(p_.graph.parts.size(), false);
        for (const CoupledGroup& group : p_.coupled) {
            for (const std::size_t branch : group.branches) {
                p_.isCoupled[branch] = true;
            }
        }
        p_.firstConstraint = tree.unknowns();
        order();
    }

    /// `drives` has room for every driver.
    void driverDrives(const Grid& grid,
                      const std::vector<std::size_t>& loadOfEnd,
                      std::size_t block,
                      Block& Yin,
                      std::vector<Block>& drives,
                      System& system) const {
        stampAll(grid, loadOfEnd, block, system);
        const Weak weak = system.solve();
        if (std::ranges::find(weak, true) != weak.end()) {
            System again(pattern_);
            stampAll(grid, loadOfEnd, block, again);
            system.solveDensely(again, weak);
        }
        system.sourceCurrent(Yin);
        for (std::size_t i = 0; i < drives.size(); ++i) {
            voltageOf(drives[i], p_.driverVoltages[i], system);
            if (p_.graph.drivers[i].end.polarity < 0) {
                scale(drives[i], -1.0);
            }
        }
    }

    [[nodiscard]] const Pattern& pattern() const { return pattern_; }

private:
    void stampAll(const Grid& grid,
                  const std::vector<std::size_t>& loadOfEnd,
                  std::size_t block,
                  System& system) const {
        system.clear();
        Block y;
        for (std::size_t i = 0; i < p_.graph.parts.size(); ++i) {
            if (!p_.isCoupled[i]) {
                admittance(y, p_.graph.parts[i].port, grid, block);
                system.stamp(p_.partVoltages[i], p_.partVoltages[i], y);
            }
        }
        for (std::size_t i = 0; i < p_.graph.drivers.size(); ++i) {
            endAdmittance(y, p_.graph.drivers[i].end, grid.admittances[loadOfEnd[i]][block]);
            system.stamp(p_.driverVoltages[i], p_.driverVoltages[i], y);
        }
        for (std::size_t i = 0; i < p_.transformerVoltages.size(); ++i) {
            stampTransformer(system, i);
        }
        for (const CoupledGroup& group : p_.coupled) {
            stampCoupled(system, group, grid, block);
        }
    }

    void order() {
        const std::size_t n = p_.firstConstraint + p_.transformerVoltages.size();
        Pattern pattern(n);
        for (const Sum& q : p_.partVoltages) {
            connectAll(pattern, q, q);
        }
        for (const Sum& q : p_.driverVoltages) {
            connectAll(pattern, q, q);
        }
        for (const CoupledGroup& group : p_.coupled) {
            for (const std::size_t a : group.branches) {
                for (const std::size_t b : group.branches) {
                    connectAll(pattern, p_.partVoltages[a], p_.partVoltages[b]);
                }
            }
        }
        for (std::size_t t = 0; t < p_.transformerVoltages.size(); ++t) {
            connectAll(pattern, p_.transformerVoltages[t], {{p_.firstConstraint + t, 1.0}});
        }
        const auto place = pattern.minimumDegree(p_.firstConstraint);
        pattern_ = pattern.reordered(place);
        for (auto* list : {&p_.partVoltages, &p_.driverVoltages, &p_.transformerVoltages}) {
            for (Sum& sum : *list) {
                renumber(sum, place);
            }
        }
        for (std::size_t t = 0; t < p_.transformerVoltages.size(); ++t) {
            constraintPlace_.push_back(place[p_.firstConstraint + t]);
        }
    }

    void stampTransformer(System& system, std::size_t t) const {
        for (const Term& term : p_.transformerVoltages[t]) {
            if (term.index == known) {
                Block constant;
                fill(constant, term.sign);
                system.stamp({{constraintPlace_[t], 1.0}}, {{known, 1.0}}, constant);
                system.stamp({{known, 1.0}}, {{constraintPlace_[t], 1.0}}, constant);
            } else {
                system.put({term.index, constraintPlace_[t], term.sign});
            }
        }
    }

    void stampCoupled(System& system,
                      const CoupledGroup& group,
                      const Grid& grid,
                      std::size_t block) const {
        const std::size_t m = group.branches.size();
        std::vector<Block> Z(m);
        for (std::size_t i = 0; i < m; ++i) {
            impedance(Z[i], p_.graph.parts[group.branches[i]].port, grid, block);
        }
        std::vector<Block> Y(m * m);
        const auto n = static_cast<Eigen::Index>(m);
        for (std::size_t f = 0; f < blockSize; ++f) {
            Eigen::MatrixXcd matrix = Complex{0.0, grid.omega[block][f]} * group.mutual;
            for (std::size_t i = 0; i < m; ++i) {
                matrix(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(i)) = {Z[i].re[f],
                                                                                      Z[i].im[f]};
            }
            const Eigen::MatrixXcd inverse = matrix.partialPivLu().inverse();
            for (Eigen::Index i = 0; i < n; ++i) {
                for (Eigen::Index j = 0; j < n; ++j) {
                    Block& y = Y[static_cast<std::size_t>(i * n + j)];
                    y.re[f] = inverse(i, j).real();
                    y.im[f] = inverse(i, j).imag();
                }
            }
        }
        for (std::size_t i = 0; i < m; ++i) {
            for (std::size_t j = 0; j < m; ++j) {
                system.stamp(p_.partVoltages[group.branches[i]],
                             p_.partVoltages[group.branches[j]],
                             Y[i * m + j]);
            }
        }
    }

    static void voltageOf(Block& out, const Sum& sum, const System& system) {
        bool first = true;
        for (const Term& term : sum) {
            Block one;
            if (term.index == known) {
                fill(one, 1.0);
            }
            const Block& U = term.index == known ? one : system.U(term.index);
            if (first) {
                setScaled(out, U, term.sign);
            } else {
                addScaled(out, U, term.sign);
            }
            first = false;
        }
    }

    Prepared p_;
    Pattern pattern_;
    std::vector<std::size_t> constraintPlace_;
};

} // namespace

Solution solveNodal(const Circuit& circuit,
                    const PreparedLoads& loads,
                    const std::vector<std::size_t>& loadOfEnd) {
    const Grid& grid = loads.grid();
    const NodalSolver solver(circuit);
    System system(solver.pattern());
    Solution solution;
    solution.drives.assign(loadOfEnd.size(), std::vector<Complex>(grid.points));
    solution.impedances.resize(grid.points);
    std::vector<Block> ends(loadOfEnd.size());
    for (std::size_t block = 0; block < grid.blocks(); ++block) {
        Block Yin;
        solver.driverDrives(grid, loadOfEnd, block, Yin, ends, system);
        Block Zin;
        invert(Zin, Yin);
        store(solution.impedances, Zin, block);
        Block divider;
        fill(divider, 1.0);
        scale(Yin, circuit.source.resistance);
        add(divider, Yin);
        Block share;
        reciprocal(share, divider);
        for (std::size_t end = 0; end < ends.size(); ++end) {
            multiply(ends[end], share);
            store(solution.drives[end], ends[end], block);
        }
    }
    return solution;
}

} // namespace yf::network
