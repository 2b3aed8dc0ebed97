// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/solve/branches.h"

#include "core/network/circuit/graph.h"
#include "core/network/solve/sweep.h"

#include <Eigen/LU>

#include <map>
#include <numbers>

namespace yf::network {

namespace {

Complex entry(const Block& block, std::size_t k) {
    return {block.re[k], block.im[k]};
}

Branches ofTree(const Circuit& circuit, const PreparedLoads& loads) {
    Sweep sweep(circuit, loads);
    const Grid& grid = loads.grid();
    const std::size_t n = sweep.parts().size();
    Branches all{.currents = {n, std::vector<Complex>(grid.points)},
                 .voltages = {n, std::vector<Complex>(grid.points)}};
    std::vector<Block> I;
    std::vector<Block> U;
    for (std::size_t block = 0; block < grid.blocks(); ++block) {
        sweep.run(block);
        sweep.branches(I, U);
        for (std::size_t p = 0; p < n; ++p) {
            store(all.currents[p], I[p], block);
            store(all.voltages[p], U[p], block);
        }
    }
    return all;
}

/// Nodal equations of a graph at one frequency after the other.
class Dense {
public:
    Dense(const Circuit& circuit, const PreparedLoads& loads)
        : circuit_(circuit), loads_(loads), graph_(flatten(circuit)),
          unknowns_(graph_.nodes.size() - 1) {
        std::size_t index = 0;
        for (const Part& part : parts(circuit)) {
            indexOf_[part.id] = index++;
        }
        for (const Coupling& c : circuit.couplings) {
            for (const std::string& id : {c.first, c.second}) {
                coilUnknown_.try_emplace(id, unknowns_ + coilUnknown_.size());
            }
        }
        firstTransformer_ = unknowns_ + coilUnknown_.size();
        sourceUnknown_ = firstTransformer_ + graph_.transformers.size();
        size_ = sourceUnknown_ + (circuit.source.resistance > 0.0 ? 0U : 1U);
    }

    Branches solve() {
        const Grid& grid = loads_.grid();
        const std::size_t n = indexOf_.size();
        Branches all{.currents = {n, std::vector<Complex>(grid.points)},
                     .voltages = {n, std::vector<Complex>(grid.points)}};
        std::vector<Block> I(n);
        std::vector<Block> U(n);
        for (std::size_t block = 0; block < grid.blocks(); ++block) {
            prepare(block);
            std::vector<Block> across(graph_.parts.size());
            std::vector<Block> through(graph_.parts.size());
            for (std::size_t k = 0; k < blockSize; ++k) {
                const Eigen::VectorXcd x = at(block, k);
                for (std::size_t b = 0; b < graph_.parts.size(); ++b) {
                    const auto& branch = graph_.parts[b];
                    const Complex u = potential(x, branch.from) - potential(x, branch.to);
                    const auto coil = coilUnknown_.find(branch.coilId);
                    const Complex i = coil != coilUnknown_.end()
                                          ? x(static_cast<Eigen::Index>(coil->second))
                                          : u / entry(impedances_[b], k);
                    across[b].re[k] = u.real();
                    across[b].im[k] = u.imag();
                    through[b].re[k] = i.real();
                    through[b].im[k] = i.imag();
                }
            }
            for (std::size_t b = 0; b < graph_.parts.size(); ++b) {
                const OnePort& port = graph_.parts[b].port;
                std::vector<std::size_t> indices;
                forEachPart(port, [&](const Part& part) {
                    const auto found = indexOf_.find(part.id);
                    indices.push_back(found == indexOf_.end() ? Sweep::none : found->second);
                });
                std::vector<Block> i(indices.size());
                std::vector<Block> u(indices.size());
                Distribution to{grid, block, i, u, 0};
                distribute(to, port, across[b], through[b]);
                for (std::size_t j = 0; j < indices.size(); ++j) {
                    if (indices[j] != Sweep::none) {
                        store(all.currents[indices[j]], i[j], block);
                        store(all.voltages[indices[j]], u[j], block);
                    }
                }
            }
        }
        return all;
    }

private:
    void prepare(std::size_t block) {
        impedances_.resize(graph_.parts.size());
        for (std::size_t b = 0; b < graph_.parts.size(); ++b) {
            impedance(impedances_[b], graph_.parts[b].port, loads_.grid(), block);
        }
    }

    static Complex potential(const Eigen::VectorXcd& x, std::size_t node) {
        return node == returnNode ? Complex{} : x(static_cast<Eigen::Index>(node - 1));
    }

    /// Adds to the equation of a node; the return has none.
    void put(std::size_t node, std::size_t column, Complex value) {
        if (node != returnNode) {
            matrix_(static_cast<Eigen::Index>(node - 1), static_cast<Eigen::Index>(column)) +=
                value;
        }
    }

    void admit(std::size_t from, std::size_t to, Complex Y) {
        for (const auto& [row, column, sign] : {std::tuple{from, from, 1.0},
                                                std::tuple{to, to, 1.0},
                                                std::tuple{from, to, -1.0},
                                                std::tuple{to, from, -1.0}}) {
            if (column != returnNode) {
                put(row, column - 1, sign * Y);
            }
        }
    }

    /// A current unknown from one node to another, and a voltage between them in its equation.
    // NOLINTNEXTLINE(bugprone-easily-swappable-parameters): the current's name, then its way
    void unknownCurrent(std::size_t unknown, std::size_t from, std::size_t to) {
        const auto row = static_cast<Eigen::Index>(unknown);
        put(from, unknown, 1.0);
        put(to, unknown, -1.0);
        if (from != returnNode) {
            matrix_(row, static_cast<Eigen::Index>(from - 1)) += 1.0;
        }
        if (to != returnNode) {
            matrix_(row, static_cast<Eigen::Index>(to - 1)) -= 1.0;
        }
    }

    Eigen::VectorXcd at(std::size_t block, std::size_t k) {
        const auto n = static_cast<Eigen::Index>(size_);
        matrix_ = Eigen::MatrixXcd::Zero(n, n);
        Eigen::VectorXcd rhs = Eigen::VectorXcd::Zero(n);
        const double omega = loads_.grid().omega[block][k];
        std::map<std::string, double> inductance;
        for (std::size_t b = 0; b < graph_.parts.size(); ++b) {
            const auto& branch = graph_.parts[b];
            const auto coil = coilUnknown_.find(branch.coilId);
            if (coil == coilUnknown_.end()) {
                admit(branch.from, branch.to, 1.0 / entry(impedances_[b], k));
                continue;
            }
            unknownCurrent(coil->second, branch.from, branch.to);
            const auto row = static_cast<Eigen::Index>(coil->second);
            matrix_(row, row) -= entry(impedances_[b], k);
            inductance[branch.coilId] = branch.port.part()->value;
        }
        for (const Coupling& c : circuit_.couplings) {
            const Complex M{
                0.0, omega * c.k * std::sqrt(inductance.at(c.first) * inductance.at(c.second))};
            const auto a = static_cast<Eigen::Index>(coilUnknown_.at(c.first));
            const auto b = static_cast<Eigen::Index>(coilUnknown_.at(c.second));
            matrix_(a, b) -= M;
            matrix_(b, a) -= M;
        }
        for (const auto& driver : graph_.drivers) {
            const std::size_t load = loads_.loads().find(driver.end.driver).value();
            admit(driver.from,
                  driver.to,
                  entry(loads_.grid().admittances[load][block], k) / driver.end.ratio());
        }
        for (std::size_t t = 0; t < graph_.transformers.size(); ++t) {
            putTransformer(graph_.transformers[t], firstTransformer_ + t);
        }
        if (circuit_.source.resistance > 0.0) {
            admit(inNode, returnNode, 1.0 / circuit_.source.resistance);
            rhs(static_cast<Eigen::Index>(inNode - 1)) = 1.0 / circuit_.source.resistance;
        } else {
            unknownCurrent(sourceUnknown_, inNode, returnNode);
            rhs(static_cast<Eigen::Index>(sourceUnknown_)) = 1.0;
        }
        return matrix_.partialPivLu().solve(rhs);
    }

    /// V₂ = n·V₁ over `common`; what leaves the secondary draws n times as much at the primary.
    void putTransformer(const Graph::IdealTransformer& t, std::size_t unknown) {
        put(t.secondary, unknown, -1.0);
        put(t.primary, unknown, t.ratio);
        put(t.common, unknown, 1.0 - t.ratio);
        const auto row = static_cast<Eigen::Index>(unknown);
        const auto voltage = [&](std::size_t node, double factor) {
            if (node != returnNode) {
                matrix_(row, static_cast<Eigen::Index>(node - 1)) += factor;
            }
        };
        voltage(t.secondary, -1.0);
        voltage(t.primary, t.ratio);
        voltage(t.common, 1.0 - t.ratio);
    }

    const Circuit& circuit_;
    const PreparedLoads& loads_;
    Graph graph_;
    std::size_t unknowns_;
    std::map<std::string, std::size_t> indexOf_;
    std::map<std::string, std::size_t> coilUnknown_;
    std::size_t firstTransformer_{};
    std::size_t sourceUnknown_{};
    std::size_t size_{};
    std::vector<Block> impedances_;
    Eigen::MatrixXcd matrix_;
};

} // namespace

Result<Branches> branches(const Circuit& circuit, const PreparedLoads& loads) {
    YF_TRY(solution, solve(circuit, loads)); // refuses what cannot be solved
    static_cast<void>(solution);
    if (circuit.tree() != nullptr && circuit.couplings.empty()) {
        return ofTree(circuit, loads);
    }
    return Dense(circuit, loads).solve();
}

} // namespace yf::network
