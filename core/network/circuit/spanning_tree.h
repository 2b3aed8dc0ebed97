// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/graph.h"

#include <algorithm>
#include <cstddef>
#include <numeric>
#include <vector>

/// The nodal solver's unknowns: voltages of the branches of a spanning tree that contains the
/// drivers, so that no drive is the difference of two node voltages. Nothing outside core/network
/// includes this.
namespace yf::network {

/// A voltage as a sum of tree-branch voltages: index of the unknown and its sign. The source is
/// the index `known`.
struct Term {
    std::size_t index{};
    double sign{};
};

using Sum = std::vector<Term>;

inline constexpr std::size_t known = static_cast<std::size_t>(-1);

struct TreeEdge {
    std::size_t from{};
    std::size_t to{};
    std::size_t index{};
};

/// Spanning tree by Kruskal's rule, in order of preference: source, drivers, parts to the return,
/// other parts.
class SpanningTree {
public:
    explicit SpanningTree(const Graph& graph)
        : group_(graph.nodes.size()), edges_(graph.nodes.size()) {
        std::iota(group_.begin(), group_.end(), std::size_t{0});
        offer({inNode, returnNode, known});
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
        Sum sum = potentials_[from];
        for (const Term& t : potentials_[to]) {
            const auto same = std::ranges::find(sum, t.index, &Term::index);
            if (same == sum.end()) {
                sum.push_back({t.index, -t.sign});
            } else {
                same->sign -= t.sign;
            }
        }
        std::erase_if(sum, [](const Term& t) { return t.sign == 0.0; });
        return sum;
    }

private:
    std::size_t root(std::size_t node) {
        while (group_[node] != node) {
            node = group_[node];
        }
        return node;
    }

    bool offer(const TreeEdge& edge) {
        const std::size_t a = root(edge.from);
        const std::size_t b = root(edge.to);
        if (a == b) {
            return false;
        }
        group_[b] = a;
        edges_[edge.from].push_back(edge);
        edges_[edge.to].push_back(edge);
        return true;
    }

    void offerUnknown(std::size_t from, std::size_t to) {
        if (offer({from, to, unknowns_})) {
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

} // namespace yf::network
