// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <algorithm>
#include <cstdint>
#include <list>
#include <memory>
#include <utility>

namespace yf::evaluation {

/// How often results were taken from a memo, and how often they had to be computed.
struct Reuse {
    std::uint64_t taken{};
    std::uint64_t computed{};
};

/// Results kept beside the very arguments that they were computed from, the newest few.
///
/// What is computed gets `In` and nothing else, so a result that is found under an equal `In` is
/// the one that would be computed: there is no other condition to get wrong. A large payload stands
/// in `In` as a shared pointer to something that never changes and is compared by its place in
/// memory; while an entry is kept, that place is not given to anything else.
template <class In, class Out>
class Memo {
public:
    explicit Memo(std::size_t capacity) : capacity_(capacity) {}

    /// The result for `in`; null where it is not kept.
    [[nodiscard]] std::shared_ptr<const Out> find(const In& in) {
        for (auto entry = entries_.begin(); entry != entries_.end(); ++entry) {
            if (entry->first == in) {
                entries_.splice(entries_.begin(), entries_, entry);
                ++reuse_.taken;
                return entries_.front().second;
            }
        }
        return nullptr;
    }

    std::shared_ptr<const Out> keep(In in, Out out) {
        ++reuse_.computed;
        entries_.emplace_front(std::move(in), std::make_shared<const Out>(std::move(out)));
        if (entries_.size() > capacity_) {
            entries_.pop_back();
        }
        return entries_.front().second;
    }

    /// The kept result, else compute(in), which is kept.
    template <class F>
    [[nodiscard]] std::shared_ptr<const Out> of(In in, F&& compute) {
        if (auto kept = find(in)) {
            return kept;
        }
        Out out = compute(std::as_const(in));
        return keep(std::move(in), std::move(out));
    }

    /// Never fewer than before: what is kept stays.
    void makeRoom(std::size_t capacity) { capacity_ = std::max(capacity_, capacity); }

    [[nodiscard]] const Reuse& reuse() const { return reuse_; }

private:
    std::size_t capacity_;
    std::list<std::pair<In, std::shared_ptr<const Out>>> entries_;
    Reuse reuse_;
};

} // namespace yf::evaluation
