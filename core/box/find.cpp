// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/find.h"

#include "core/box/closed.h"
#include "core/box/summary.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::box {

namespace {

struct Candidate {
    FindKind kind{};
    double V{};
    double fb{};
    Qualities q;
};

/// A sealed box by the same qualities.
Qualities closedQualities(const MapOrder& order, double V) {
    const Closed box{.Vb = V, .gain = order.gain};
    const ClosedSystem s = closedSystem(order.motor, box, order.source);
    Qualities q{.f3 = s.f3, .peak = s.peak.value_or(0.0)};
    const System system{.motor = order.motor,
                        .source = order.source,
                        .chambers = chambersOf(box, order.motor, order.source),
                        .withInductance = false};
    constexpr int points = 60;
    for (int i = 0; i < points; ++i) {
        const double f = 10.0 * std::pow(100.0, i / (points - 1.0));
        q.groupDelay = std::max(q.groupDelay, groupDelay(system, f));
    }
    q.level = leastLevel(system, s.f3).value_or(0.0);
    return q;
}

/// Collects boxes: counts what fails, keeps the best that does not.
class Search {
public:
    Search(const FindRequest& request, const Wishes& wishes) : request_(request), wishes_(wishes) {}

    void look(const Candidate& c, bool counted) {
        const Wish failed = failedWish(c.q, wishes_);
        if (counted) {
            ++tried_;
            for (std::size_t i = 0; i < failures_.size(); ++i) {
                failures_[i] += fails(c.q, static_cast<Wish>(i + 1)) ? 1 : 0;
            }
            feasible_ += failed == Wish::none ? 1 : 0;
            all_.push_back(c.q);
        }
        if (failed == Wish::none && (!best_ || better(c, *best_))) {
            best_ = c;
        }
    }

    [[nodiscard]] const std::optional<Candidate>& best() const { return best_; }

    [[nodiscard]] double share() const {
        return tried_ > 0 ? static_cast<double>(feasible_) / static_cast<double>(tried_) : 0.0;
    }

    /// The wish that excludes most boxes, and what would be in reach where the others hold.
    [[nodiscard]] std::pair<Wish, double> blocking() const {
        const auto* const most = std::ranges::max_element(failures_);
        const auto wish = static_cast<Wish>(most - failures_.begin() + 1);
        Wishes others = wishes_;
        drop(others, wish);
        double reach = wish == Wish::level ? -1e300 : 1e300;
        for (const bool strict : {true, false}) {
            for (const Qualities& q : all_) {
                if (strict && failedWish(q, others) != Wish::none) {
                    continue;
                }
                const double value = of(q, wish);
                reach = wish == Wish::level ? std::max(reach, value) : std::min(reach, value);
            }
            if (std::abs(reach) < 1e299) {
                break;
            }
        }
        return {wish, reach};
    }

private:
    [[nodiscard]] bool fails(const Qualities& q, Wish wish) const {
        Wishes only;
        switch (wish) {
        case Wish::f3:
            only.f3Max = wishes_.f3Max;
            break;
        case Wish::peak:
            only.peakMax = wishes_.peakMax;
            break;
        case Wish::groupDelay:
            only.groupDelayMax = wishes_.groupDelayMax;
            break;
        case Wish::level:
            only.levelMin = wishes_.levelMin;
            break;
        case Wish::speed:
        case Wish::none:
            break;
        }
        return failedWish(q, only) != Wish::none;
    }

    static void drop(Wishes& w, Wish wish) {
        switch (wish) {
        case Wish::f3:
            w.f3Max.reset();
            break;
        case Wish::peak:
            w.peakMax.reset();
            break;
        case Wish::groupDelay:
            w.groupDelayMax.reset();
            break;
        case Wish::level:
            w.levelMin.reset();
            break;
        case Wish::speed:
        case Wish::none:
            break;
        }
    }

    static double of(const Qualities& q, Wish wish) {
        switch (wish) {
        case Wish::f3:
            return q.f3;
        case Wish::peak:
            return q.peak;
        case Wish::groupDelay:
            return q.groupDelay;
        case Wish::level:
            return q.level;
        case Wish::speed:
        case Wish::none:
            break;
        }
        return 0.0;
    }

    [[nodiscard]] bool better(const Candidate& a, const Candidate& b) const {
        if (request_.objective == Objective::volume) {
            return a.V < b.V || (a.V == b.V && a.q.f3 < b.q.f3);
        }
        return a.q.f3 < b.q.f3 || (a.q.f3 == b.q.f3 && a.V < b.V);
    }

    const FindRequest& request_;
    const Wishes& wishes_;
    std::optional<Candidate> best_;
    std::size_t tried_{};
    std::size_t feasible_{};
    std::array<std::size_t, 4> failures_{};
    std::vector<Qualities> all_;
};

const char* keyOf(Wish wish) {
    static constexpr std::array<const char*, 6> keys{
        "", "f3_max_hz", "peak_max_db", "group_delay_max_s", "level_min_db", ""};
    return keys.at(static_cast<std::size_t>(wish));
}

void sweepVented(MapOrder order, Search& search) {
    const auto take = [&search](const MapOrder& o, bool counted) {
        const BoxMap map = boxMap(o);
        for (std::size_t v = 0; v < map.volumes.size(); ++v) {
            for (std::size_t t = 0; t < map.tunings.size(); ++t) {
                search.look({FindKind::vented, map.volumes[v], map.tunings[t], map.at(v, t)},
                            counted);
            }
        }
    };
    take(order, true);
    const Span volumes = order.volumes;
    const Span tunings = order.tunings;
    double width = 1.0;
    for (int zoom = 0; zoom < 3 && search.best() && search.best()->kind == FindKind::vented;
         ++zoom) {
        width /= 8.0;
        const auto around = [&](const Span& whole, double at) {
            const double reach = std::pow(whole.to / whole.from, 0.5 * width);
            return Span{std::max(whole.from, at / reach), std::min(whole.to, at * reach), 40};
        };
        order.volumes = around(volumes, search.best()->V);
        order.tunings = around(tunings, search.best()->fb);
        take(order, false);
    }
}

void sweepClosed(const MapOrder& order, Search& search) {
    for (int i = 0; i < order.volumes.count; ++i) {
        const double V = order.volumes.at(i);
        search.look({FindKind::closed, V, 0.0, closedQualities(order, V)}, true);
    }
}

} // namespace

std::optional<Error> check(const FindRequest& r) {
    if (auto error = check(r.driver)) {
        return error;
    }
    if (r.kinds.empty()) {
        return Error{"kinds", "an empty list given", "must name closed, vented, or both"};
    }
    for (std::size_t i = 0; i < r.kinds.size(); ++i) {
        if (r.kinds[i] != "closed" && r.kinds[i] != "vented") {
            return Error{"kinds[" + std::to_string(i) + "]",
                         text::givenWord(r.kinds[i]),
                         "must be one of closed, vented"};
        }
    }
    if (r.VbMin && !(*r.VbMin < r.VbMax)) {
        return Error{
            "Vb_min_l",
            text::given(text::printNumber(1e3 * *r.VbMin)),
            say(YF_WORDS("core", "must be below Vb_max_l, %1"), text::printNumber(1e3 * r.VbMax))};
    }
    if (r.levelMin && !r.driver.Xmax && !r.driver.power) {
        return Error{"level_min_db", "given", "needs Xmax_m or power_w"};
    }
    return std::nullopt;
}

Result<Found> find(const FindRequest& r) {
    const MapOrder order{.motor = motorOf(r.driver, r.source),
                         .source = r.source,
                         .volumes = {r.VbMin.value_or(0.1 * r.VbMax), r.VbMax, 100},
                         .tunings = {0.4 * r.driver.fs, 2.0 * r.driver.fs, 100},
                         .QL = r.QL};
    const Wishes wishes{.f3Max = r.f3Max,
                        .peakMax = r.peakMax,
                        .groupDelayMax = r.groupDelayMax,
                        .levelMin = r.levelMin};
    Search search(r, wishes);
    if (std::ranges::find(r.kinds, "closed") != r.kinds.end()) {
        sweepClosed(order, search);
    }
    if (std::ranges::find(r.kinds, "vented") != r.kinds.end()) {
        sweepVented(order, search);
    }
    Found found{.feasible = search.share()};
    if (std::ranges::find(r.kinds, "vented") != r.kinds.end()) {
        // A coarser grid: a front of a few dozen teaches, one of a thousand does not.
        MapOrder coarse = order;
        constexpr int steps = 16;
        coarse.volumes.count = coarse.tunings.count = steps;
        for (const FrontBox& b : frontOf(boxMap(coarse), wishes)) {
            found.front.push_back({b.Vb, b.fb, b.q.f3, b.q.groupDelay});
        }
    }
    if (!search.best()) {
        const auto [wish, reach] = search.blocking();
        found.blocking = keyOf(wish);
        found.reachable = reach;
        return found;
    }
    const Candidate& best = *search.best();
    found.kind = best.kind == FindKind::closed ? "closed" : "vented";
    found.Vb = best.V;
    Box box = Closed{.Vb = best.V};
    if (best.kind == FindKind::vented) {
        found.fb = best.fb;
        box = Vented{.Vb = best.V, .fb = best.fb, .QL = r.QL};
    }
    found.f3 = highestCrossing(systemOf(r.driver, box, r.source), quantity::halfPower);
    return found;
}

} // namespace yf::box
