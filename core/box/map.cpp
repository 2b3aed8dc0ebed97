// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/map.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::box {

namespace {

constexpr std::size_t points = 96;
constexpr double lowest = 10.0;
constexpr double highest = 2500.0;
constexpr double twoPi = 2.0 * std::numbers::pi;
using Row = std::array<double, points>;

/// What is the same for all boxes of a driver.
class Grid {
public:
    explicit Grid(const MapOrder& order) : order_(order) {
        const Motor& m = order.motor;
        const Source& s = order.source;
        for (std::size_t k = 0; k < points; ++k) {
            f_[k] = lowest * std::pow(highest / lowest, static_cast<double>(k) / (points - 1.0));
            x_[k] = f_[k] / m.fs;
            x2_[k] = x_[k] * x_[k];
            x8_[k] = x2_[k] * x2_[k] * x2_[k] * x2_[k];
        }
        Qt_ = m.QtsWith(s.resistance);
        still_ = m.Bl * s.voltage * m.C / (m.Re + s.resistance);
        reference_ = quantity::decibels(asymptote(m, s) / quantity::referencePressure);
        const double volts = m.power ? std::sqrt(*m.power * m.Re) / s.voltage : 0.0;
        power2_ = m.power ? volts * volts : 1e300;
        travel2_ = m.Xmax ? 0.5 * *m.Xmax * *m.Xmax : 0.0;
        delayTo_ = static_cast<std::size_t>(std::ranges::upper_bound(f_, 1000.0) - f_.begin());
        levelTo_ = static_cast<std::size_t>(std::ranges::upper_bound(f_, 200.0) - f_.begin());
        speedFrom_ = static_cast<std::size_t>(std::ranges::lower_bound(f_, 20.0) - f_.begin());
    }

    /// |D|² and what hangs on it, one pass without a branch.
    [[nodiscard]] Qualities judge(double V, double fb) const {
        const double h = fb / order_.motor.fs;
        const double alpha = order_.motor.Vas / (order_.gain * V);
        const double QL = order_.QL;
        const double c3 = h / QL + 1.0 / Qt_;
        const double c2 = h * h + h / (Qt_ * QL) + 1.0 + alpha;
        const double c1 = h * h / Qt_ + h / QL;
        const double c0 = h * h;
        const double hh = 1.0 / (h * h);
        const double loss = 1.0 / (h * h * QL * QL);
        Row power;
        Row delay;
        Row travel;
        Row inverse;
        for (std::size_t k = 0; k < points; ++k) {
            const double x = x_[k];
            const double x2 = x2_[k];
            const double re = (x2 - c2) * x2 + c0;
            const double im = x * (c1 - c3 * x2);
            const double dre = x * (4.0 * x2 - 2.0 * c2);
            const double dim = c1 - 3.0 * c3 * x2;
            const double over = 1.0 / (re * re + im * im);
            const double near = 1.0 - x2 * hh;
            inverse[k] = over;
            power[k] = x8_[k] * over;
            delay[k] = (re * dim - im * dre) * over;
            travel[k] = (near * near + x2 * loss) * over;
        }
        return summed(power, delay, travel, inverse, still_ * still_ * c0 * c0);
    }

private:
    // NOLINTNEXTLINE(bugprone-easily-swappable-parameters): four rows of one grid
    [[nodiscard]] Qualities summed(const Row& power,
                                   const Row& delay,
                                   const Row& travel,
                                   const Row& inverse,
                                   double rms2) const {
        Qualities q;
        const auto top = static_cast<std::size_t>(std::ranges::max_element(power) - power.begin());
        if (power[top] > 1.0 && top > 0 && top + 1 < points) {
            // Between the grid's points: the top of the parabola through three of them, in dB.
            const double l = 10.0 * std::log10(power[top - 1]);
            const double m = 10.0 * std::log10(power[top]);
            const double r = 10.0 * std::log10(power[top + 1]);
            q.peak = m + (r - l) * (r - l) / (8.0 * (2.0 * m - l - r));
        }
        std::size_t k = points - 1;
        while (k > 0 && power[k] >= 0.5) {
            --k;
        }
        // The crossing lies between k and k+1, straight in dB over ln f.
        if (power[k] < 0.5 && k + 1 < points) {
            const double below = std::log(power[k] / 0.5);
            const double above = std::log(power[k + 1] / 0.5);
            q.f3 = f_[k] * std::pow(f_[k + 1] / f_[k], -below / (above - below));
        }
        double longest = delay[0];
        for (std::size_t i = 1; i < delayTo_; ++i) {
            longest = std::max(longest, delay[i]);
        }
        q.groupDelay = longest / (twoPi * order_.motor.fs);
        double least = 1e300;
        for (std::size_t i = std::min(k + 1, levelTo_); i < levelTo_; ++i) {
            const double byTravel = travel2_ > 0.0 ? travel2_ / (travel[i] * rms2) : 1e300;
            least = std::min(least, power[i] * std::min(byTravel, power2_));
        }
        q.level = least < 1e299 ? reference_ + 10.0 * std::log10(least) : 0.0;
        if (order_.portArea > 0.0) {
            double fastest = 0.0;
            for (std::size_t i = speedFrom_; i < points; ++i) {
                fastest = std::max(fastest, x2_[i] * inverse[i]);
            }
            const double flow =
                order_.motor.S * twoPi * order_.motor.fs * std::sqrt(rms2 * fastest);
            q.speed = std::numbers::sqrt2 * flow / order_.portArea;
        }
        return q;
    }

    const MapOrder& order_;
    Row f_{};
    Row x_{};
    Row x2_{};
    Row x8_{};
    double Qt_{};
    double still_{};     ///< m rms, the cone's travel under a direct voltage
    double reference_{}; ///< dB
    double power2_{};
    double travel2_{};
    std::size_t delayTo_{};
    std::size_t levelTo_{};
    std::size_t speedFrom_{};
};

std::vector<double> values(const Span& span) {
    std::vector<double> v;
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

} // namespace yf::box
