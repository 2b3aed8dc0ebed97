// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/fit_start.h"

#include "core/base/median.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>

namespace yf::driver {

namespace {

using curve::Complex;
using Vector = std::vector<double>;

constexpr double pi = std::numbers::pi;

/// Crossing of a level on one flank, ln f; nothing where it is not reached.
std::optional<double> flank(const Points& points,
                            const std::vector<double>& level,
                            std::size_t top,
                            double wanted,
                            bool left) {
    std::size_t k = top;
    while (left ? k > 0 : k + 1 < level.size()) {
        const std::size_t next = left ? k - 1 : k + 1;
        if (level[next] <= wanted && level[k] > wanted) {
            const double t = (level[k] - wanted) / (level[k] - level[next]);
            return std::log(points.f[k]) + t * (std::log(points.f[next]) - std::log(points.f[k]));
        }
        if (level[next] > level[top] + 1e-9) {
            break;
        }
        k = next;
    }
    return std::nullopt;
}

} // namespace

std::vector<double> smoothLevel(const Points& points) {
    const std::size_t n = points.f.size();
    const double side = std::exp2(1.0 / 16.0);
    const auto around = [&](std::size_t i, const std::vector<double>& v, bool mid) {
        std::vector<double> part;
        for (std::size_t k = i; k-- > 0 && points.f[k] >= points.f[i] / side;) {
            part.push_back(v[k]);
        }
        for (std::size_t k = i; k < n && points.f[k] <= points.f[i] * side; ++k) {
            part.push_back(v[k]);
        }
        if (mid) {
            return median(part);
        }
        double sum = 0.0;
        for (const double x : part) {
            sum += x;
        }
        return sum / static_cast<double>(part.size());
    };
    std::vector<double> level;
    for (const Complex& z : points.Z) {
        level.push_back(std::log(std::abs(z)));
    }
    std::vector<double> first;
    for (std::size_t i = 0; i < n; ++i) {
        first.push_back(around(i, level, true));
    }
    std::vector<double> second;
    for (std::size_t i = 0; i < n; ++i) {
        second.push_back(around(i, first, false));
    }
    return second;
}

std::vector<Peak> peaksOf(const std::vector<double>& level) {
    std::vector<Peak> peaks;
    for (std::size_t i = 1; i + 1 < level.size(); ++i) {
        if (!(level[i] > level[i - 1] && level[i] >= level[i + 1])) {
            continue;
        }
        double left = level[i];
        for (std::size_t k = i; k-- > 0 && level[k] <= level[i];) {
            left = std::min(left, level[k]);
        }
        double right = level[i];
        for (std::size_t k = i + 1; k < level.size() && level[k] <= level[i]; ++k) {
            right = std::min(right, level[k]);
        }
        peaks.push_back({i, level[i] - std::max(left, right)});
    }
    std::ranges::sort(peaks, std::greater<>(), &Peak::prominence);
    return peaks;
}

Start startFrom(const Points& points, const std::vector<double>& level, const Peak& peak) {
    const double top = level[peak.at];
    double low = top;
    for (const double v : level) {
        low = std::min(low, v);
    }
    Start s{.fs = points.f[peak.at]};
    s.Re = std::min(points.dcr.value_or(std::exp(low)), std::exp(top) / 1.01);
    const double r0 = std::exp(top) / s.Re;
    // √(Re·Zmax); where one flank does not fall that far, a level half way up is tried.
    double wanted = 0.5 * (std::log(s.Re) + top);
    auto left = flank(points, level, peak.at, wanted, true);
    auto right = flank(points, level, peak.at, wanted, false);
    if (!left && !right) {
        wanted = top - 0.3 * (top - std::log(s.Re));
        left = flank(points, level, peak.at, wanted, true);
        right = flank(points, level, peak.at, wanted, false);
    }
    s.upperFlank = right.has_value();
    const double middle = std::log(s.fs);
    const double f1 = std::exp(left ? *left : right ? 2.0 * middle - *right : middle - 0.3);
    const double f2 = std::exp(right ? *right : left ? 2.0 * middle - *left : middle + 0.3);
    const double r1 = std::exp(wanted) / s.Re;
    s.Qms = s.fs / (f2 - f1) *
            std::sqrt(std::max((r0 * r0 - r1 * r1) / std::max(r1 * r1 - 1.0, 1e-3), 1e-2));
    s.Qms = std::clamp(s.Qms, 0.2, 50.0);
    s.Qes = std::clamp(s.Qms / std::max(r0 - 1.0, 0.05), 0.05, 50.0);
    return s;
}

Vector coilStart(const Points& points, double Re, InductanceModel coil) {
    const double f = points.f.back();
    const double w = 2.0 * pi * f;
    const double size = std::sqrt(std::max(std::norm(points.Z.back()) - Re * Re, 1e-4 * Re * Re));
    switch (coil) {
    case InductanceModel::none:
        return {};
    case InductanceModel::ideal:
        return {std::log(size / w)};
    case InductanceModel::leach:
        return {std::log(size / std::pow(w, 0.7)), 0.7};
    case InductanceModel::lr2:
        return {std::log(0.5 * size / w), std::log(2.0 * size / w), std::log(size)};
    case InductanceModel::semi:
        return {std::log(0.2 * size / w), std::log(3.0 * size / w), std::log(size / std::sqrt(w))};
    case InductanceModel::semiRing:
        return {std::log(0.2 * size / w),
                std::log(3.0 * size / w),
                std::log(size / std::sqrt(w)),
                std::log(3.0 * size)};
    }
    return {};
}

Vector vectorOf(const Start& s, const Vector& coil) {
    Vector p{std::log(s.Re), std::log(s.fs), std::log(s.Qms), std::log(s.Qes)};
    p.insert(p.end(), coil.begin(), coil.end());
    return p;
}

} // namespace yf::driver
