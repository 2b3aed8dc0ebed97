// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/radiate.h"

#include "core/quantity/air.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::speaker {

namespace {

/// What a curve taken elsewhere is divided by before it is carried on.
Complex carriedFrom(const Complex& D) {
    constexpr double least = 0.1; // −20 dB
    const double modulus = std::abs(D);
    return modulus >= least ? D : modulus > 0.0 ? D * (least / modulus) : Complex{least};
}

/// What a radiator brings to a point, without its own curve; made once, asked for many points.
class Carrier {
public:
    Carrier(const Radiators& all, const Radiator& one, std::span<const double> k)
        : one_(one), k_(k) {
        if (!one.takenAt) {
            return;
        }
        r0_ = length(*one.takenAt - one.place);
        back_ = length(*one.takenAt - all.listening.origin());
        D0_ = directivityAt(one.directivity, sightOf(one.place, one.axis, *one.takenAt), k);
        for (Complex& D : D0_) {
            const Complex from = carriedFrom(D);
            clamped_.push_back(from != D);
            D = from;
        }
    }

    void addTo(std::vector<Complex>& sum, const Point& point, double removed) const {
        const double r = length(point - one_.place);
        const auto D = directivityAt(one_.directivity, sightOf(one_.place, one_.axis, point), k_);
        const bool common = one_.takenAt.has_value();
        const double path = common ? back_ + r - r0_ - removed : r - removed;
        const double level = common ? r0_ / r : 1.0 / r;
        for (std::size_t i = 0; i < sum.size(); ++i) {
            const double turn = -k_[i] * path;
            const Complex late{level * std::cos(turn), level * std::sin(turn)};
            const Complex to = !common       ? D[i]
                               : clamped_[i] ? carriedFrom(D[i]) / D0_[i]
                                             : D[i] / D0_[i];
            sum[i] += one_.pressure[i] * to * late;
        }
    }

private:
    const Radiator& one_;
    std::span<const double> k_;
    double r0_{};
    double back_{};
    std::vector<Complex> D0_;
    std::vector<bool> clamped_; ///< then the other end is held above −20 dB too: P0 stays as it is
};

} // namespace

std::vector<double> waveNumbers(const Axis& axis) {
    std::vector<double> k;
    k.reserve(axis.size());
    for (const double f : axis) {
        k.push_back(2.0 * std::numbers::pi * f / quantity::soundSpeed);
    }
    return k;
}

std::vector<std::vector<Complex>>
pressuresAt(const Radiators& radiators, const Point& point, double removed) {
    const auto k = waveNumbers(radiators.axis);
    std::vector<std::vector<Complex>> all;
    for (const Radiator& one : radiators.of) {
        all.emplace_back(k.size());
        Carrier(radiators, one, k).addTo(all.back(), point, removed);
    }
    return all;
}

std::vector<Complex> sumAt(const Radiators& radiators, const Point& point, double removed) {
    const auto k = waveNumbers(radiators.axis);
    std::vector<Complex> sum(k.size());
    for (const Radiator& one : radiators.of) {
        Carrier(radiators, one, k).addTo(sum, point, removed);
    }
    return sum;
}

std::vector<std::vector<Complex>>
sums(const Radiators& radiators, std::span<const Direction> directions, double distance) {
    const auto k = waveNumbers(radiators.axis);
    Listening at = radiators.listening;
    at.distance = distance;
    std::vector<std::vector<Complex>> all(directions.size(), std::vector<Complex>(k.size()));
    for (const Radiator& one : radiators.of) {
        const Carrier carrier(radiators, one, k);
        for (std::size_t d = 0; d < directions.size(); ++d) {
            carrier.addTo(all[d], ear(at, directions[d]), distance);
        }
    }
    return all;
}

double nearest(const Radiators& radiators, const Point& point) {
    double least = 1e9;
    for (const Radiator& one : radiators.of) {
        least = std::min(least, length(point - one.place));
    }
    return least;
}

} // namespace yf::speaker
