// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/map.h"

#include <Eigen/Core>

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::box {

namespace {

constexpr int points = 96;
constexpr double lowest = 10.0;
constexpr double highest = 2500.0;
constexpr double twoPi = 2.0 * std::numbers::pi;
/// Rows are worked on whole: the processor takes two or more of their values at a time.
using Row = Eigen::Array<double, points, 1>;

/// What is the same for all boxes of a driver.
class Grid {
public:
    explicit Grid(const MapOrder& order) : order_(order) {
        const Motor& m = order.motor;
        const Source& s = order.source;
        for (int k = 0; k < points; ++k) {
            f_[k] = lowest * std::pow(highest / lowest, k / (points - 1.0));
        }
        x_ = f_ / m.fs;
        x2_ = x_.square();
        x8_ = x2_.square().square();
        perX8_ = x8_.inverse();
        total_ = m.QtsWith(s.resistance);
        still_ = m.Bl * s.voltage * m.C / (m.Re + s.resistance);
        reference_ = quantity::decibels(asymptote(m, s) / quantity::referencePressure);
        const double volts = m.power ? std::sqrt(*m.power * m.Re) / s.voltage : 0.0;
        power2_ = m.power ? volts * volts : 1e300;
        travel2_ = m.Xmax ? 0.5 * *m.Xmax * *m.Xmax : 0.0;
        delayTo_ = static_cast<int>((f_ <= 1000.0).count());
        levelTo_ = static_cast<int>((f_ <= 200.0).count());
        speedFrom_ = static_cast<int>((f_ < 20.0).count());
    }

    /// |D|² and what hangs on it, one pass without a branch.
    [[nodiscard]] Qualities judge(double V, double fb) const {
        const double h = fb / order_.motor.fs;
        const double alpha = order_.motor.Vas / (order_.gain * V);
        const double QL = order_.QL;
        const double c3 = h / QL + 1.0 / total_;
        const double c2 = h * h + h / (total_ * QL) + 1.0 + alpha;
        const double c1 = h * h / total_ + h / QL;
        const double c0 = h * h;
        const double hh = 1.0 / (h * h);
        const double loss = 1.0 / (h * h * QL * QL);
        const Row re = (x2_ - c2) * x2_ + c0;
        const Row im = x_ * (c1 - c3 * x2_);
        const Row over = (re.square() + im.square()).inverse();
        const Row power = x8_ * over;
        const Row delay = (re * (c1 - 3.0 * c3 * x2_) - im * (x_ * (4.0 * x2_ - 2.0 * c2))) * over;
        // |X|² over |G|²: in it the denominator is no more.
        const Row travel = ((1.0 - x2_ * hh).square() + x2_ * loss) * perX8_;
        return summed(power, delay, travel, over, still_ * still_ * c0 * c0);
    }

private:
    // NOLINTNEXTLINE(bugprone-easily-swappable-parameters): four rows of one grid
    [[nodiscard]] Qualities summed(const Row& power,
                                   const Row& delay,
                                   const Row& travel,
                                   const Row& inverse,
                                   double rms2) const {
        Qualities q;
        // The greatest first, its place after: only the former is found two values at a time.
        const double most = power.maxCoeff();
        const auto top = most > 1.0 ? std::ranges::find(power, most) - power.begin() : 0;
        if (top > 0 && top + 1 < points) {
            // Between the grid's points: the top of the parabola through three of them.
            const double l = power[top - 1];
            const double m = power[top];
            const double r = power[top + 1];
            q.peak = 10.0 * std::log10(m + (r - l) * (r - l) / (8.0 * (2.0 * m - l - r)));
        }
        // The last point below half the power: whole blocks above it are passed over.
        constexpr int block = 8;
        int k = points - 1;
        while (k >= block && power.segment<block>(k - block + 1).minCoeff() >= 0.5) {
            k -= block;
        }
        while (k > 0 && power[k] >= 0.5) {
            --k;
        }
        // The crossing lies between k and k+1, straight in dB over ln f.
        if (power[k] < 0.5 && k + 1 < points) {
            const double below = std::log(power[k] / 0.5);
            const double above = std::log(power[k + 1] / 0.5);
            q.f3 = f_[k] * std::exp(-step_ * below / (above - below));
        }
        q.groupDelay = delay.head(delayTo_).maxCoeff() / (twoPi * order_.motor.fs);
        q.level = reference_ + leastAllowed(power, travel, rms2, std::min(k + 1, levelTo_));
        if (order_.portArea > 0.0) {
            const int n = points - speedFrom_;
            const double fastest = (x2_.tail(n) * inverse.tail(n)).maxCoeff();
            const double flow =
                order_.motor.S * twoPi * order_.motor.fs * std::sqrt(rms2 * fastest);
            q.speed = std::numbers::sqrt2 * flow / order_.portArea;
        }
        return q;
    }

    /// dB re the level far up that travel and power leave from point `from` to 200 Hz; −reference
    /// where nothing is known to limit. `travel` is |X|² over |G|².
    [[nodiscard]] double
    leastAllowed(const Row& power, const Row& travel, double rms2, int from) const {
        const int n = levelTo_ - from;
        if (n <= 0 || (travel2_ == 0.0 && power2_ > 1e299)) {
            return -reference_;
        }
        const auto p = power.segment(from, n);
        double least = power2_ < 1e299 ? power2_ * p.minCoeff() : 1e300;
        if (travel2_ > 0.0) {
            least = std::min(least, travel2_ / (rms2 * travel.segment(from, n).maxCoeff()));
        }
        return 10.0 * std::log10(least);
    }

    const MapOrder& order_;
    Row f_;
    double step_{std::log(highest / lowest) / (points - 1.0)}; ///< of ln f
    Row x_;
    Row x2_;
    Row x8_;
    Row perX8_;
    double total_{};
    double still_{};     ///< m rms, the cone's travel under a direct voltage
    double reference_{}; ///< dB
    double power2_{};
    double travel2_{};
    int delayTo_{};
    int levelTo_{};
    int speedFrom_{};
};

std::vector<double> values(const Span& span) {
    std::vector<double> v;
    v.reserve(static_cast<std::size_t>(span.count));
    for (int i = 0; i < span.count; ++i) {
        v.push_back(span.at(i));
    }
    return v;
}

} // namespace

double Span::at(int i) const {
    return count < 2 ? from : from * std::pow(to / from, static_cast<double>(i) / (count - 1));
}

BoxMap boxMap(const MapOrder& order) {
    const Grid grid(order);
    BoxMap map{.volumes = values(order.volumes), .tunings = values(order.tunings)};
    map.boxes.reserve(map.volumes.size() * map.tunings.size());
    for (const double V : map.volumes) {
        for (const double fb : map.tunings) {
            map.boxes.push_back(grid.judge(V, fb));
        }
    }
    return map;
}

Qualities qualitiesOf(const MapOrder& order, double V, double fb) {
    return Grid(order).judge(V, fb);
}

Wish failedWish(const Qualities& q, const Wishes& w) {
    if (w.f3Max && !(q.f3 <= *w.f3Max)) {
        return Wish::f3;
    }
    if (w.peakMax && !(q.peak <= *w.peakMax)) {
        return Wish::peak;
    }
    if (w.groupDelayMax && !(q.groupDelay <= *w.groupDelayMax)) {
        return Wish::groupDelay;
    }
    if (w.levelMin && !(q.level >= *w.levelMin)) {
        return Wish::level;
    }
    if (w.speedMax && !(q.speed <= *w.speedMax)) {
        return Wish::speed;
    }
    return Wish::none;
}

MapVerdict verdictOf(const BoxMap& map, const Wishes& wishes) {
    std::array<std::size_t, wishCount> counts{};
    for (const Qualities& q : map.boxes) {
        ++counts.at(static_cast<std::size_t>(failedWish(q, wishes)));
    }
    MapVerdict verdict{.granted =
                           static_cast<double>(counts[0]) / static_cast<double>(map.boxes.size())};
    if (counts[0] == 0) {
        verdict.mostFailed = static_cast<Wish>(std::ranges::max_element(counts) - counts.begin());
    }
    return verdict;
}

std::vector<FrontBox> frontOf(const BoxMap& map, const Wishes& wishes) {
    std::vector<FrontBox> front;
    const auto beaten = [&](const Qualities& q) {
        return std::ranges::any_of(front, [&](const FrontBox& b) {
            return b.q.f3 <= q.f3 && b.q.groupDelay <= q.groupDelay;
        });
    };
    for (std::size_t v = 0; v < map.volumes.size(); ++v) {
        // Of one volume by rising f3: what comes later can only be beaten by what came before.
        std::vector<std::size_t> order;
        for (std::size_t t = 0; t < map.tunings.size(); ++t) {
            if (failedWish(map.at(v, t), wishes) == Wish::none) {
                order.push_back(t);
            }
        }
        std::ranges::sort(order, {}, [&](std::size_t t) { return map.at(v, t).f3; });
        for (const std::size_t t : order) {
            if (!beaten(map.at(v, t))) {
                front.push_back({map.volumes[v], map.tunings[t], map.at(v, t)});
            }
        }
    }
    return front;
}

std::vector<FrontBox> lowestOf(const BoxMap& map, const Wishes& wishes) {
    std::vector<FrontBox> line;
    for (std::size_t v = 0; v < map.volumes.size(); ++v) {
        std::optional<FrontBox> best;
        for (std::size_t t = 0; t < map.tunings.size(); ++t) {
            const Qualities& q = map.at(v, t);
            if (failedWish(q, wishes) == Wish::none && (!best || q.f3 < best->q.f3)) {
                best = FrontBox{map.volumes[v], map.tunings[t], q};
            }
        }
        if (best && (line.empty() || best->q.f3 < line.back().q.f3)) {
            line.push_back(*best);
        }
    }
    return line;
}

} // namespace yf::box
