// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/smooth.h"

#include "core/base/expect.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <span>

namespace yf::curve {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;
constexpr double leastModulus = 1e-300;

/// Integrals of piecewise straight data between any two places, from sums of 1, 2, 4 … segments:
/// only additions of like-signed neighbours, so nothing cancels. Places are asked for in rising
/// order, more or less: each search begins where the last one ended.
template <class T>
class Integral {
public:
    Integral(std::span<const double> u, std::vector<T> v) : u_(u), v_(std::move(v)) {
        std::vector<T> level;
        level.reserve(u_.size());
        for (std::size_t i = 0; i + 1 < u_.size(); ++i) {
            level.push_back(0.5 * (v_[i] + v_[i + 1]) * (u_[i + 1] - u_[i]));
        }
        while (!level.empty()) {
            sums_.push_back(level);
            std::vector<T> next;
            next.reserve(level.size() / 2);
            for (std::size_t i = 0; i + 1 < level.size(); i += 2) {
                next.push_back(level[i] + level[i + 1]);
            }
            level = std::move(next);
        }
    }

    [[nodiscard]] T at(double place) {
        from_ = segmentOf(place, from_);
        return within(place, from_);
    }

    [[nodiscard]] T mean(double from, double to) {
        if (!(to > from)) {
            return at(from);
        }
        const std::size_t first = from_ = segmentOf(from, from_);
        const std::size_t last = to_ = segmentOf(to, to_);
        const T atFrom = within(from, first);
        const T atTo = within(to, last);
        if (first == last) {
            return 0.5 * (atFrom + atTo);
        }
        T sum = 0.5 * (atFrom + v_[first + 1]) * (u_[first + 1] - from);
        sum += whole(first + 1, last);
        sum += 0.5 * (v_[last] + atTo) * (to - u_[last]);
        return sum / (to - from);
    }

private:
    [[nodiscard]] T within(double place, std::size_t i) const {
        const double t = (place - u_[i]) / (u_[i + 1] - u_[i]);
        return v_[i] + t * (v_[i + 1] - v_[i]);
    }

    /// The last segment that begins at or before a place.
    [[nodiscard]] std::size_t segmentOf(double place, std::size_t near) const {
        while (near > 0 && u_[near] > place) {
            --near;
        }
        while (near + 2 < u_.size() && u_[near + 1] <= place) {
            ++near;
        }
        return near;
    }

    /// Segments [begin, end).
    [[nodiscard]] T whole(std::size_t begin, std::size_t end) const {
        T sum{};
        for (std::size_t level = 0; begin < end; ++level, begin /= 2, end /= 2) {
            if (begin % 2 == 1) {
                sum += sums_[level][begin++];
            }
            if (end % 2 == 1) {
                sum += sums_[level][--end];
            }
        }
        return sum;
    }

    std::span<const double> u_;
    std::vector<T> v_;
    std::vector<std::vector<T>> sums_;
    std::size_t from_{};
    std::size_t to_{};
};

/// Logarithms of a curve's frequencies and of those asked for, taken once.
struct Places {
    std::vector<double> data;
    std::vector<double> at;
};

std::vector<double> logarithms(const Axis& f) {
    std::vector<double> u;
    u.reserve(f.size());
    for (const double v : f) {
        u.push_back(std::log(v));
    }
    return u;
}

template <class T>
std::vector<T> means(const Places& places, std::vector<T> v, double fraction) {
    Integral<T> integral(places.data, std::move(v));
    const double low = places.data.front();
    const double high = places.data.back();
    const double half = std::log(halfBandRatio(fraction));
    std::vector<T> result;
    result.reserve(places.at.size());
    for (const double u : places.at) {
        const double reach = std::max(0.0, std::min({half, u - low, high - u}));
        result.push_back(integral.mean(u - reach, u + reach));
    }
    return result;
}

/// Direction of the data at a frequency: unwrapped between neighbours, with the delay out.
std::vector<double>
anglesAt(const Curve& curve, double delay, const Places& places, const Axis& at) {
    const auto& f = curve.frequencies();
    std::vector<double> angle;
    angle.reserve(f.size());
    for (std::size_t i = 0; i < f.size(); ++i) {
        const double wrapped = std::arg(curve.values()[i]) + twoPi * f[i] * delay;
        const double before = i == 0 ? wrapped : angle[i - 1];
        angle.push_back(before + std::remainder(wrapped - before, twoPi));
    }
    Integral<double> line(places.data, std::move(angle));
    std::vector<double> result;
    result.reserve(at.size());
    for (std::size_t i = 0; i < at.size(); ++i) {
        result.push_back(line.at(places.at[i]) - twoPi * at[i] * delay);
    }
    return result;
}

} // namespace

double halfBandRatio(double fraction) {
    return std::pow(10.0, 0.3 / (2.0 * fraction));
}

Axis midBands(int fraction, double from, double to) {
    const bool even = fraction % 2 == 0;
    const double step = even ? 0.3 / (2.0 * fraction) : 0.3 / fraction;
    Axis bands;
    for (int k = -100 * fraction; k <= 100 * fraction; ++k) {
        const double f = 1000.0 * std::pow(10.0, step * (even ? 2 * k + 1 : k));
        if (f >= from && f <= to) {
            bands.push_back(f);
        }
    }
    return bands;
}

std::vector<Complex>
smoothedAt(const Curve& curve, double fraction, Smoothing mode, double delay, const Axis& at) {
    YF_EXPECT(fraction > 0.0);
    const auto& f = curve.frequencies();
    Places places{.data = logarithms(f)};
    places.at = &at == &f ? places.data : logarithms(at);
    std::vector<Complex> result;
    result.reserve(at.size());
    if (mode == Smoothing::complex) {
        std::vector<Complex> still;
        still.reserve(f.size());
        for (std::size_t i = 0; i < f.size(); ++i) {
            still.push_back(curve.values()[i] * std::polar(1.0, twoPi * f[i] * delay));
        }
        const auto mean = means(places, std::move(still), fraction);
        for (std::size_t i = 0; i < at.size(); ++i) {
            result.push_back(mean[i] * std::polar(1.0, -twoPi * at[i] * delay));
        }
        return result;
    }
    std::vector<double> v;
    v.reserve(f.size());
    for (const Complex& value : curve.values()) {
        v.push_back(mode == Smoothing::power ? std::norm(value)
                                             : std::log(std::max(std::abs(value), leastModulus)));
    }
    const auto mean = means(places, std::move(v), fraction);
    const auto angle = curve.phase() == Phase::none ? std::vector<double>(at.size(), 0.0)
                                                    : anglesAt(curve, delay, places, at);
    for (std::size_t i = 0; i < at.size(); ++i) {
        const double size = mode == Smoothing::power ? std::sqrt(mean[i]) : std::exp(mean[i]);
        result.push_back(std::polar(size, angle[i]));
    }
    return result;
}

Curve smoothed(const Curve& curve, double fraction, Smoothing mode, double delay) {
    return {curve.frequencies(),
            smoothedAt(curve, fraction, mode, delay, curve.frequencies()),
            curve.phase(),
            curve.trusted()};
}

} // namespace yf::curve
