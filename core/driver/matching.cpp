// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/matching.h"

#include "core/base/expect.h"

#include <algorithm>
#include <cmath>
#include <cstdint>
#include <deque>
#include <limits>

namespace yf::driver {

namespace {

using Weight = std::int64_t;

/// Maximum-weight matching by growing alternating trees; nodes 1…n are things, above n blossoms
/// (odd circuits shrunk to one node), 0 means nobody.
class Blossoms {
public:
    explicit Blossoms(const std::vector<std::vector<Weight>>& weights)
        : n_(static_cast<int>(weights.size())), size_(2 * n_ + 1), nodes_(n_),
          edges_(at(size_), std::vector<Edge>(at(size_))), duals_(at(size_)), match_(at(size_)),
          slack_(at(size_)), root_(at(size_)), parent_(at(size_)), seen_(at(size_)),
          state_(at(size_), State::free), from_(at(size_), std::vector<int>(at(n_ + 1))),
          rings_(at(size_)) {
        Weight highest{};
        for (int u = 1; u <= n_; ++u) {
            root_[at(u)] = u;
            from_[at(u)][at(u)] = u;
            for (int v = 1; v <= n_; ++v) {
                const Weight w = u == v ? 0 : weights[at(u - 1)][at(v - 1)];
                edge(u, v) = {u, v, w};
                highest = std::max(highest, w);
            }
        }
        std::fill_n(duals_.begin() + 1, n_, highest);
    }

    /// Partner of each thing, counted from 0; −1: alone.
    [[nodiscard]] std::vector<int> run() {
        while (grow()) {
        }
        std::vector<int> partners;
        for (int u = 1; u <= n_; ++u) {
            partners.push_back(match_[at(u)] - 1);
        }
        return partners;
    }

private:
    enum class State { free, outer, inner };

    struct Edge {
        int u{};
        int v{};
        Weight weight{};
    };

    static std::size_t at(int i) { return static_cast<std::size_t>(i); }

    Edge& edge(int u, int v) { return edges_[at(u)][at(v)]; }

    /// How far an edge is from being tight (times two).
    Weight excess(const Edge& e) const {
        return duals_[at(e.u)] + duals_[at(e.v)] - 2 * edges_[at(e.u)][at(e.v)].weight;
    }

    void noteSlack(int u, int x) {
        int& best = slack_[at(x)];
        if (best == 0 || excess(edge(u, x)) < excess(edge(best, x))) {
            best = u;
        }
    }

    void findSlack(int x) {
        slack_[at(x)] = 0;
        for (int u = 1; u <= n_; ++u) {
            if (edge(u, x).weight > 0 && root_[at(u)] != x &&
                state_[at(root_[at(u)])] == State::outer) {
                noteSlack(u, x);
            }
        }
    }

    void enqueue(int x) {
        if (x <= n_) {
            queue_.push_back(x);
            return;
        }
        for (const int inside : rings_[at(x)]) {
            enqueue(inside);
        }
    }

    void setRoot(int x, int root) {
        root_[at(x)] = root;
        if (x > n_) {
            for (const int inside : rings_[at(x)]) {
                setRoot(inside, root);
            }
        }
    }

    /// Even number of steps round the ring from its base to `x`, turning the ring if need be.
    std::size_t stepsTo(int blossom, int x) {
        auto& ring = rings_[at(blossom)];
        auto place = std::ranges::find(ring, x);
        auto steps = static_cast<std::size_t>(place - ring.begin());
        if (steps % 2 == 1) {
            std::reverse(ring.begin() + 1, ring.end());
            steps = ring.size() - steps;
        }
        return steps;
    }

    void setMatch(int u, int v) {
        match_[at(u)] = edge(u, v).v;
        if (u <= n_) {
            return;
        }
        const Edge e = edge(u, v);
        const int entry = from_[at(u)][at(e.u)];
        const std::size_t steps = stepsTo(u, entry);
        auto& ring = rings_[at(u)];
        for (std::size_t i = 0; i < steps; ++i) {
            setMatch(ring[i], ring[i ^ 1U]);
        }
        setMatch(entry, v);
        std::rotate(ring.begin(), ring.begin() + static_cast<std::ptrdiff_t>(steps), ring.end());
    }

    void augment(int u, int v) {
        for (;;) {
            const int next = root_[at(match_[at(u)])];
            setMatch(u, v);
            if (next == 0) {
                return;
            }
            setMatch(next, root_[at(parent_[at(next)])]);
            u = root_[at(parent_[at(next)])];
            v = next;
        }
    }

    int commonBase(int u, int v) {
        ++mark_;
        while (u != 0 || v != 0) {
            if (u != 0) {
                if (seen_[at(u)] == mark_) {
                    return u;
                }
                seen_[at(u)] = mark_;
                u = root_[at(match_[at(u)])];
                if (u != 0) {
                    u = root_[at(parent_[at(u)])];
                }
            }
            std::swap(u, v);
        }
        return 0;
    }

    void climb(int from, int base, std::vector<int>& ring) {
        for (int x = from; x != base;) {
            ring.push_back(x);
            const int y = root_[at(match_[at(x)])];
            ring.push_back(y);
            enqueue(y);
            x = root_[at(parent_[at(y)])];
        }
    }

    void shrink(int u, int base, int v) {
        int b = n_ + 1;
        while (b <= nodes_ && root_[at(b)] != 0) {
            ++b;
        }
        nodes_ = std::max(nodes_, b);
        duals_[at(b)] = 0;
        state_[at(b)] = State::outer;
        match_[at(b)] = match_[at(base)];
        auto& ring = rings_[at(b)];
        ring.assign(1, base);
        climb(u, base, ring);
        std::reverse(ring.begin() + 1, ring.end());
        climb(v, base, ring);
        setRoot(b, b);
        for (int x = 1; x <= nodes_; ++x) {
            edge(b, x).weight = edge(x, b).weight = 0;
        }
        std::ranges::fill(from_[at(b)], 0);
        for (const int inside : ring) {
            for (int x = 1; x <= nodes_; ++x) {
                if (edge(b, x).weight == 0 || excess(edge(inside, x)) < excess(edge(b, x))) {
                    edge(b, x) = edge(inside, x);
                    edge(x, b) = edge(x, inside);
                }
            }
            for (int x = 1; x <= n_; ++x) {
                if (from_[at(inside)][at(x)] != 0) {
                    from_[at(b)][at(x)] = inside;
                }
            }
        }
        findSlack(b);
    }

    void unfold(int b) {
        const auto ring = rings_[at(b)];
        for (const int inside : ring) {
            setRoot(inside, inside);
        }
        const int entry = from_[at(b)][at(edge(b, parent_[at(b)]).u)];
        const std::size_t steps = stepsTo(b, entry);
        const auto& turned = rings_[at(b)];
        for (std::size_t i = 0; i < steps; i += 2) {
            const int inner = turned[i];
            const int outer = turned[i + 1];
            parent_[at(inner)] = edge(outer, inner).u;
            state_[at(inner)] = State::inner;
            state_[at(outer)] = State::outer;
            slack_[at(inner)] = 0;
            findSlack(outer);
            enqueue(outer);
        }
        state_[at(entry)] = State::inner;
        parent_[at(entry)] = parent_[at(b)];
        for (std::size_t i = steps + 1; i < turned.size(); ++i) {
            state_[at(turned[i])] = State::free;
            findSlack(turned[i]);
        }
        root_[at(b)] = 0;
    }

    /// A tight edge: grows the tree, shrinks a circuit, or ends at an augmenting path (true).
    bool take(const Edge& e) {
        const int u = root_[at(e.u)];
        const int v = root_[at(e.v)];
        if (state_[at(v)] == State::free) {
            parent_[at(v)] = e.u;
            state_[at(v)] = State::inner;
            const int beyond = root_[at(match_[at(v)])];
            slack_[at(v)] = slack_[at(beyond)] = 0;
            state_[at(beyond)] = State::outer;
            enqueue(beyond);
        } else if (state_[at(v)] == State::outer) {
            const int base = commonBase(u, v);
            if (base == 0) {
                augment(u, v);
                augment(v, u);
                return true;
            }
            shrink(u, base, v);
        }
        return false;
    }

    bool spread() {
        while (!queue_.empty()) {
            const int u = queue_.front();
            queue_.pop_front();
            if (state_[at(root_[at(u)])] == State::inner) {
                continue;
            }
            for (int v = 1; v <= n_; ++v) {
                if (edge(u, v).weight <= 0 || root_[at(u)] == root_[at(v)]) {
                    continue;
                }
                if (excess(edge(u, v)) > 0) {
                    noteSlack(u, root_[at(v)]);
                } else if (take(edge(u, v))) {
                    return true;
                }
            }
        }
        return false;
    }

    [[nodiscard]] bool isRoot(int x) const { return root_[at(x)] == x; }

    /// Moves the dual variables until another edge is tight; false when that gains nothing.
    bool relax() {
        Weight step = std::numeric_limits<Weight>::max();
        for (int b = n_ + 1; b <= nodes_; ++b) {
            if (isRoot(b) && state_[at(b)] == State::inner) {
                step = std::min(step, duals_[at(b)] / 2);
            }
        }
        for (int x = 1; x <= nodes_; ++x) {
            if (isRoot(x) && slack_[at(x)] != 0 && state_[at(x)] != State::inner) {
                const Weight left = excess(edge(slack_[at(x)], x));
                step = std::min(step, state_[at(x)] == State::free ? left : left / 2);
            }
        }
        for (int u = 1; u <= n_; ++u) {
            const State state = state_[at(root_[at(u)])];
            if (state == State::outer) {
                if (duals_[at(u)] <= step) {
                    return false;
                }
                duals_[at(u)] -= step;
            } else if (state == State::inner) {
                duals_[at(u)] += step;
            }
        }
        for (int b = n_ + 1; b <= nodes_; ++b) {
            if (isRoot(b) && state_[at(b)] != State::free) {
                duals_[at(b)] += state_[at(b)] == State::outer ? 2 * step : -2 * step;
            }
        }
        return true;
    }

    bool takeTight() {
        for (int x = 1; x <= nodes_; ++x) {
            if (isRoot(x) && slack_[at(x)] != 0 && root_[at(slack_[at(x)])] != x &&
                excess(edge(slack_[at(x)], x)) == 0 && take(edge(slack_[at(x)], x))) {
                return true;
            }
        }
        for (int b = n_ + 1; b <= nodes_; ++b) {
            if (isRoot(b) && state_[at(b)] == State::inner && duals_[at(b)] == 0) {
                unfold(b);
            }
        }
        return false;
    }

    /// One more pair, or false when none can be gained.
    bool grow() {
        std::ranges::fill(state_, State::free);
        std::ranges::fill(slack_, 0);
        queue_.clear();
        for (int x = 1; x <= nodes_; ++x) {
            if (isRoot(x) && match_[at(x)] == 0) {
                parent_[at(x)] = 0;
                state_[at(x)] = State::outer;
                enqueue(x);
            }
        }
        if (queue_.empty()) {
            return false;
        }
        for (;;) {
            if (spread()) {
                return true;
            }
            if (!relax()) {
                return false;
            }
            queue_.clear();
            if (takeTight()) {
                return true;
            }
        }
    }

    int n_;
    int size_;
    int nodes_;
    std::vector<std::vector<Edge>> edges_;
    std::vector<Weight> duals_;
    std::vector<int> match_;
    std::vector<int> slack_;
    std::vector<int> root_;
    std::vector<int> parent_;
    std::vector<int> seen_;
    std::vector<State> state_;
    std::vector<std::vector<int>> from_;
    std::vector<std::vector<int>> rings_;
    std::deque<int> queue_;
    int mark_{};
};

constexpr double steps = 1099511627776.0; // 2^40

} // namespace

std::optional<std::vector<std::size_t>> cheapestPairing(const Costs& costs) {
    const std::size_t n = costs.size();
    YF_EXPECT(n % 2 == 0);
    double highest{};
    for (const auto& row : costs) {
        for (const auto& cost : row) {
            highest = std::max(highest, cost.value_or(0.0));
        }
    }
    const double scale = highest > 0.0 ? steps / highest : 0.0;
    // Every pair is worth more than all costs together, so that the heaviest matching is complete.
    const auto base = static_cast<Weight>(steps * static_cast<double>(n));
    std::vector<std::vector<Weight>> weights(n, std::vector<Weight>(n));
    for (std::size_t i = 0; i < n; ++i) {
        for (std::size_t j = 0; j < n; ++j) {
            if (i != j && costs[i][j]) {
                // Even, so that halves stay whole.
                weights[i][j] = 2 * (base - std::llround(*costs[i][j] * scale));
            }
        }
    }
    std::vector<std::size_t> partners;
    for (const int partner : Blossoms(weights).run()) {
        if (partner < 0) {
            return std::nullopt;
        }
        partners.push_back(static_cast<std::size_t>(partner));
    }
    return partners;
}

} // namespace yf::driver
