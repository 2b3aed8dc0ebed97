// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/nodal.h"

#include "core/network/graph.h"
#include "core/network/grid.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <map>
#include <numeric>

namespace yf::network {

namespace {

/// A voltage as a sum of tree-branch voltages: index of the unknown and its sign. The source is
/// the index `known`.
struct Term {
    std::size_t index{};
    double sign{};
};

using Sum = std::vector<Term>;

constexpr std::size_t known = static_cast<std::size_t>(-1);

/// A pivot below this share of the largest entry is not trusted without pivoting.
constexpr double leastPivot = 1e-10;

struct TreeEdge {
    std::size_t from{};
    std::size_t to{};
    std::size_t index{};
};

/// Spanning tree by Kruskal's rule, in order of preference: source, drivers, parts to the return,
/// other parts.
class SpanningTree {
public:
    explicit SpanningTree(const Graph& graph) : group_(graph.nodes.size()), edges_(graph.nodes.size()) {
        std::iota(group_.begin(), group_.end(), std::size_t{0});
        offer(inNode, returnNode, known);
        for (const auto& driver : graph.drivers) {
            offerUnknown(driver.from, driver.to);
        }
        for (const bool toReturn : {true, false}) {
            for (const auto& part : graph.parts) {
                if ((part.from == returnNode || part.to == returnNode) == toReturn) {
                    offerUnknown(part.from, part.to);
                }
            }
        }
        for (const auto& t : graph.transformers) {
            offerUnknown(t.secondary, t.common);
        }
        findPotentials();
    }

    [[nodiscard]] std::size_t unknowns() const { return unknowns_; }

    /// V(from) − V(to); equal terms of both potentials cancel.
    [[nodiscard]] Sum voltage(std::size_t from, std::size_t to) const {
        std::map<std::size_t, double> terms;
        for (const Term& t : potentials_[from]) {
            terms[t.index] += t.sign;
        }
        for (const Term& t : potentials_[to]) {
            terms[t.index] -= t.sign;
        }
        Sum sum;
        for (const auto& [index, sign] : terms) {
            if (sign != 0.0) {
                sum.push_back({index, sign});
            }
        }
        return sum;
    }

private:
    std::size_t root(std::size_t node) {
        while (group_[node] != node) {
            node = group_[node];
        }
        return node;
    }

    bool offer(std::size_t from, std::size_t to, std::size_t index) {
        const std::size_t a = root(from);
        const std::size_t b = root(to);
        if (a == b) {
            return false;
        }
        group_[b] = a;
        edges_[from].push_back({from, to, index});
        edges_[to].push_back({from, to, index});
        return true;
    }

    void offerUnknown(std::size_t from, std::size_t to) {
        if (offer(from, to, unknowns_)) {
            ++unknowns_;
        }
    }

    void findPotentials() {
        potentials_.assign(edges_.size(), {});
        std::vector<bool> seen(edges_.size());
        std::vector<std::size_t> open{returnNode};
        seen[returnNode] = true;
        while (!open.empty()) {
            const std::size_t node = open.back();
            open.pop_back();
            for (const TreeEdge& edge : edges_[node]) {
                const std::size_t other = edge.from == node ? edge.to : edge.from;
                if (!seen[other]) {
                    seen[other] = true;
                    potentials_[other] = potentials_[node];
                    potentials_[other].push_back({edge.index, edge.from == other ? 1.0 : -1.0});
                    open.push_back(other);
                }
            }
        }
    }

    std::vector<std::size_t> group_;
    std::vector<std::vector<TreeEdge>> edges_;
    std::vector<Sum> potentials_;
    std::size_t unknowns_{};
};

/// Lower triangle of a sparse symmetric matrix of blocks, with fill-in already in its pattern.
class Pattern {
public:
    explicit Pattern(std::size_t n) : n_(n), present_(n * n, false) {
        for (std::size_t i = 0; i < n; ++i) {
            present_[i * n + i] = true;
        }
    }

    void connect(std::size_t i, std::size_t j) {
        present_[i * n_ + j] = true;
        present_[j * n_ + i] = true;
    }

    /// New place of each unknown: fewest neighbours first; the first `free` unknowns only, since
    /// a constraint has no pivot of its own until its nodes are gone.
    [[nodiscard]] std::vector<std::size_t> minimumDegree(std::size_t free) const {
        std::vector<bool> matrix = present_;
        std::vector<bool> gone(n_, false);
        std::vector<std::size_t> place(n_);
        for (std::size_t step = 0; step < n_; ++step) {
            const bool constraintsOnly = step >= free;
            std::size_t best = n_;
            std::size_t fewest = n_ + 1;
            for (std::size_t i = constraintsOnly ? free : 0; i < (constraintsOnly ? n_ : free); ++i) {
                if (!gone[i]) {
                    std::size_t degree = 0;
                    for (std::size_t j = 0; j < n_; ++j) {
                        degree += !gone[j] && matrix[i * n_ + j] ? 1U : 0U;
                    }
                    if (degree < fewest) {
                        fewest = degree;
                        best = i;
                    }
                }
            }
            gone[best] = true;
            place[best] = step;
            for (std::size_t i = 0; i < n_; ++i) {
                for (std::size_t j = 0; j < n_; ++j) {
                    if (!gone[i] && !gone[j] && matrix[i * n_ + best] && matrix[best * n_ + j]) {
                        matrix[i * n_ + j] = true;
                    }
                }
            }
        }
        return place;
    }

    [[nodiscard]] Pattern reordered(const std::vector<std::size_t>& place) const {
        Pattern result(n_);
        for (std::size_t i = 0; i < n_; ++i) {
            for (std::size_t j = 0; j < n_; ++j) {
                if (present_[i * n_ + j]) {
                    result.connect(place[i], place[j]);
                }
            }
        }
        for (std::size_t k = 0; k < n_; ++k) {
            for (std::size_t i = k + 1; i < n_; ++i) {
                for (std::size_t j = k + 1; j <= i; ++j) {
                    if (result.has(i, k) && result.has(j, k)) {
                        result.connect(i, j);
                    }
                }
            }
        }
        return result;
    }

    [[nodiscard]] bool has(std::size_t i, std::size_t j) const { return present_[i * n_ + j]; }

    [[nodiscard]] std::size_t size() const { return n_; }

private:
    std::size_t n_;
    std::vector<bool> present_;
};

/// One block of frequencies of A·U = b.
class System {
public:
    explicit System(const Pattern& pattern)
        : n_(pattern.size()), slot_(n_ * n_, 0), rhs_(n_), sourceRow_(n_) {
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
        entries_.resize(count);
    }

    void clear() {
        for (Block& entry : entries_) {
            fill(entry, 0.0);
        }
        for (std::size_t i = 0; i < n_; ++i) {
            fill(rhs_[i], 0.0);
            fill(sourceRow_[i], 0.0);
        }
        fill(sourceSelf_, 0.0);
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
    void put(std::size_t i, std::size_t j, double value) {
        Block constant;
        fill(constant, value);
        accumulate(i, j, constant, 1.0);
        if (i != j) {
            accumulate(j, i, constant, 1.0);
        }
    }

    /// Solves; afterwards U(i) are the unknowns. Frequencies whose pivot is too small are redone.
    void solve() {
        const std::vector<Block> matrix = entries_;
        const std::vector<Block> right = rhs_;
        std::array<double, blockSize> largest{};
        std::array<double, blockSize> least{};
        least.fill(1e300);
        const auto square = [](const Block& b, std::size_t k) { return b.re[k] * b.re[k] + b.im[k] * b.im[k]; };
        for (const Block& entry : matrix) {
            for (std::size_t k = 0; k < blockSize; ++k) {
                largest[k] = std::max(largest[k], square(entry, k));
            }
        }
        Block pivotInverse;
        Block factor;
        std::vector<Block> inverses(n_);
        for (std::size_t k = 0; k < n_; ++k) {
            const Block& pivot = entries_[slot_[k * n_ + k]];
            for (std::size_t f = 0; f < blockSize; ++f) {
                least[f] = std::min(least[f], square(pivot, f));
            }
            reciprocal(pivotInverse, pivot);
            inverses[k] = pivotInverse;
            const auto& below = rowsBelow_[k];
            for (std::size_t row = below.size(); row-- > 0;) {
                // The last row first: entries of column k are still those of A when they are used.
                Block& Aik = entries_[slot_[below[row] * n_ + k]];
                factor = Aik;
                multiply(factor, pivotInverse);
                for (std::size_t column = 0; column <= row; ++column) {
                    subtractProduct(entries_[slot_[below[row] * n_ + below[column]]],
                                    factor,
                                    entries_[slot_[below[column] * n_ + k]]);
                }
                Aik = factor;
            }
            for (const std::size_t i : below) {
                subtractProduct(rhs_[i], entries_[slot_[i * n_ + k]], rhs_[k]);
            }
        }
        for (std::size_t k = n_; k-- > 0;) {
            multiply(rhs_[k], inverses[k]);
            for (const std::size_t i : rowsBelow_[k]) {
                subtractProduct(rhs_[k], entries_[slot_[i * n_ + k]], rhs_[i]);
            }
        }
        for (std::size_t f = 0; f < blockSize; ++f) {
            if (!(least[f] > leastPivot * leastPivot * largest[f])) {
                solveDensely(matrix, right, f);
            }
        }
    }

    [[nodiscard]] const Block& U(std::size_t i) const { return rhs_[i]; }

    /// Current from the source for 1 V.
    void sourceCurrent(Block& out) const {
        out = sourceSelf_;
        for (std::size_t i = 0; i < n_; ++i) {
            addProduct(out, sourceRow_[i], rhs_[i]);
        }
    }

private:
    void accumulate(std::size_t i, std::size_t j, const Block& y, double sign) {
        Block signedY = y;
        if (sign < 0.0) {
            scale(signedY, -1.0);
        }
        if (i == known && j == known) {
            add(sourceSelf_, signedY);
        } else if (j == known) {
            subtract(rhs_[i], signedY);
        } else if (i == known) {
            add(sourceRow_[j], signedY);
        } else if (i >= j) {
            add(entries_[slot_[i * n_ + j]], signedY);
        }
    }

    void solveDensely(const std::vector<Block>& matrix, const std::vector<Block>& right, std::size_t f) {
        const auto n = static_cast<Eigen::Index>(n_);
        Eigen::MatrixXcd A = Eigen::MatrixXcd::Zero(n, n);
        Eigen::VectorXcd b(n);
        const auto value = [&](const Block& block) { return Complex{block.re[f], block.im[f]}; };
        for (std::size_t j = 0; j < n_; ++j) {
            b(static_cast<Eigen::Index>(j)) = value(right[j]);
            A(static_cast<Eigen::Index>(j), static_cast<Eigen::Index>(j)) = value(matrix[slot_[j * n_ + j]]);
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

    std::size_t n_;
    std::vector<std::size_t> slot_;
    std::vector<std::vector<std::size_t>> rowsBelow_;
    std::vector<Block> entries_;
    std::vector<Block> rhs_;
    std::vector<Block> sourceRow_;
    Block sourceSelf_{};
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
        const double M =
            coupling.k * std::sqrt(graph.parts[first].port.part()->value * graph.parts[second].port.part()->value);
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

    [[nodiscard]] std::vector<Block> driverDrives(const Grid& grid,
                                                  const std::vector<std::size_t>& loadOfEnd,
                                                  std::size_t block,
                                                  Block& Yin,
                                                  System& system) const {
        system.clear();
        Block Z;
        Block y;
        for (std::size_t i = 0; i < p_.graph.parts.size(); ++i) {
            if (!p_.isCoupled[i]) {
                impedance(Z, p_.graph.parts[i].port, grid, block);
                invert(y, Z);
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
        system.solve();
        system.sourceCurrent(Yin);
        std::vector<Block> drives(p_.graph.drivers.size());
        for (std::size_t i = 0; i < drives.size(); ++i) {
            voltageOf(drives[i], p_.driverVoltages[i], system);
            scale(drives[i], static_cast<double>(p_.graph.drivers[i].end.polarity));
        }
        return drives;
    }

    [[nodiscard]] const Pattern& pattern() const { return pattern_; }

private:
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
                system.put(term.index, constraintPlace_[t], term.sign);
            }
        }
    }

    void stampCoupled(System& system, const CoupledGroup& group, const Grid& grid, std::size_t block) const {
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
                matrix(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(i)) = {Z[i].re[f], Z[i].im[f]};
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
                system.stamp(
                    p_.partVoltages[group.branches[i]], p_.partVoltages[group.branches[j]], Y[i * m + j]);
            }
        }
    }

    static void voltageOf(Block& out, const Sum& sum, const System& system) {
        fill(out, 0.0);
        for (const Term& term : sum) {
            Block part;
            if (term.index == known) {
                fill(part, 1.0);
            } else {
                part = system.U(term.index);
            }
            scale(part, term.sign);
            add(out, part);
        }
    }

    Prepared p_;
    Pattern pattern_;
    std::vector<std::size_t> constraintPlace_;
};

} // namespace

Solution solveNodal(const Circuit& circuit, const PreparedLoads& loads, const std::vector<std::size_t>& loadOfEnd) {
    const Grid& grid = loads.grid();
    const NodalSolver solver(circuit);
    System system(solver.pattern());
    std::vector<std::vector<Block>> drives(loadOfEnd.size(), std::vector<Block>(grid.blocks()));
    std::vector<Block> Zin(grid.blocks());
    for (std::size_t block = 0; block < grid.blocks(); ++block) {
        Block Yin;
        auto ends = solver.driverDrives(grid, loadOfEnd, block, Yin, system);
        invert(Zin[block], Yin);
        Block divider;
        fill(divider, 1.0);
        scale(Yin, circuit.source.resistance);
        add(divider, Yin);
        Block share;
        reciprocal(share, divider);
        for (std::size_t end = 0; end < ends.size(); ++end) {
            multiply(ends[end], share);
            drives[end][block] = ends[end];
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
