// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/smooth.h"
#include "core/signal/decay.h"

#include <Eigen/Dense>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <span>

namespace yf::signal {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

/// One octave of an impulse response around `centre`, shifted to 0 Hz and decimated.
struct Octave {
    std::vector<Complex> samples;
    double rate{};
    double noise{}; ///< rms near the end
};

/// Windowed-sinc low-pass of the shifted signal, read every few samples from `from` on.
Octave octaveOf(const Impulse& impulse, double centre, double from, double to) {
    const double bandwidth = centre * (std::numbers::sqrt2 - 1.0 / std::numbers::sqrt2);
    const auto step =
        std::max<std::ptrdiff_t>(1, static_cast<std::ptrdiff_t>(impulse.rate / (2.0 * bandwidth)));
    const double cutoff = 0.6 * bandwidth; // Hz, either side
    const auto half = static_cast<std::ptrdiff_t>(std::ceil(2.0 * impulse.rate / bandwidth));
    std::vector<double> filter;
    double sum = 0.0;
    for (std::ptrdiff_t m = -half; m <= half; ++m) {
        const double x = 2.0 * cutoff * static_cast<double>(m) / impulse.rate;
        const double w =
            0.5 + 0.5 * std::cos(pi * static_cast<double>(m) / static_cast<double>(half + 1));
        filter.push_back(w * (m == 0 ? 1.0 : std::sin(pi * x) / (pi * x)));
        sum += filter.back();
    }
    Octave octave{.rate = impulse.rate / static_cast<double>(step)};
    const auto count = static_cast<std::ptrdiff_t>(impulse.samples.size());
    const double filterHalf = static_cast<double>(half) / impulse.rate;
    const auto first = static_cast<std::ptrdiff_t>((from + filterHalf) * impulse.rate);
    const auto last = std::min(count - 1, static_cast<std::ptrdiff_t>(to * impulse.rate));
    for (std::ptrdiff_t at = first; at <= last; at += step) {
        Complex v{};
        for (std::ptrdiff_t m = -half; m <= half; ++m) {
            const std::ptrdiff_t n = at + m;
            if (n >= 0 && n <= last) {
                v += filter[static_cast<std::size_t>(m + half)] *
                     std::polar(impulse.samples[static_cast<std::size_t>(n)],
                                -2.0 * pi * centre * static_cast<double>(n) / impulse.rate);
            }
        }
        octave.samples.push_back(v / sum);
    }
    return octave;
}

struct Pole {
    double f{};
    double Q{};
    double amplitude{};
};

/// Damped exponentials of a decimated octave by the matrix pencil.
std::vector<Pole> poles(std::span<const Complex> x, double rate, double centre, double noise) {
    const auto N = static_cast<Eigen::Index>(x.size());
    const Eigen::Index L = N / 2;
    if (N < 8) {
        return {};
    }
    Eigen::MatrixXcd Y(N - L, L + 1);
    for (Eigen::Index r = 0; r < N - L; ++r) {
        for (Eigen::Index c = 0; c <= L; ++c) {
            Y(r, c) = x[static_cast<std::size_t>(r + c)];
        }
    }
    const Eigen::JacobiSVD<Eigen::MatrixXcd> svd(Y, Eigen::ComputeThinV);
    const auto& s = svd.singularValues();
    constexpr double relative = 1e-3;
    constexpr Eigen::Index most = 12;
    const double floor =
        std::max(relative * s(0), 3.0 * noise * std::sqrt(static_cast<double>(std::max(N - L, L))));
    Eigen::Index order = 0;
    while (order < std::min<Eigen::Index>(most, s.size()) && s(order) > floor) {
        ++order;
    }
    if (order == 0 || order > L) {
        return {};
    }
    const Eigen::MatrixXcd V = svd.matrixV().leftCols(order);
    const Eigen::MatrixXcd V1 = V.topRows(L).conjugate();
    const Eigen::MatrixXcd V2 = V.bottomRows(L).conjugate();
    const Eigen::MatrixXcd A = V1.colPivHouseholderQr().solve(V2);
    const Eigen::VectorXcd z = Eigen::ComplexEigenSolver<Eigen::MatrixXcd>(A, false).eigenvalues();
    // Growing ones are noise, and their columns would bury all others.
    std::vector<Complex> falling;
    for (Eigen::Index c = 0; c < order; ++c) {
        if (std::abs(z(c)) < 1.0 && std::abs(z(c)) > 0.0) {
            falling.push_back(z(c));
        }
    }
    if (falling.empty()) {
        return {};
    }
    Eigen::MatrixXcd Z(N, static_cast<Eigen::Index>(falling.size()));
    for (Eigen::Index c = 0; c < Z.cols(); ++c) {
        Complex power = 1.0;
        for (Eigen::Index r = 0; r < N; ++r) {
            Z(r, c) = power;
            power *= falling[static_cast<std::size_t>(c)];
        }
    }
    Eigen::VectorXcd data(N);
    for (Eigen::Index r = 0; r < N; ++r) {
        data(r) = x[static_cast<std::size_t>(r)];
    }
    const Eigen::VectorXcd residues = Z.colPivHouseholderQr().solve(data);
    std::vector<Pole> found;
    for (Eigen::Index c = 0; c < Z.cols(); ++c) {
        const Complex pole = falling[static_cast<std::size_t>(c)];
        const double decay = -std::log(std::abs(pole)) * rate;
        const double f = centre + std::arg(pole) * rate / (2.0 * pi);
        if (f > 0.0) {
            found.push_back({f, pi * f / decay, std::abs(residues(c))});
        }
    }
    return found;
}

double rmsOf(std::span<const Complex> x) {
    double sum = 0.0;
    for (const Complex& v : x) {
        sum += std::norm(v);
    }
    return x.empty() ? 0.0 : std::sqrt(sum / static_cast<double>(x.size()));
}

const Pole* same(const std::vector<Pole>& poles, const Pole& wanted) {
    constexpr double inF = 0.01;
    constexpr double inQ = 0.2;
    for (const Pole& p : poles) {
        if (std::abs(p.f / wanted.f - 1.0) < inF && std::abs(p.Q / wanted.Q - 1.0) < inQ) {
            return &p;
        }
    }
    return nullptr;
}

} // namespace

std::vector<ModeFound> ringingModes(const Impulse& impulse, double gate, double minimumQ) {
    const double arrivalTime = onsetTime(impulse);
    const double begin = arrivalTime + impulse.timeZero;
    const double end = std::min(begin + gate, impulse.duration());
    const Gate window{.right = std::min(gate, impulse.duration() - begin)};
    const curve::Axis axis = curve::within(curve::designAxis(),
                                           std::max(20.0, window.lowestValid()),
                                           std::min(20000.0, 0.45 * impulse.rate));
    if (axis.size() < 16) {
        return {};
    }
    const curve::Curve response(
        axis, gatedResponse(impulse, arrivalTime, window, axis), curve::Phase::own);
    const curve::Curve smooth = curve::smoothed(response, 3.0, curve::Smoothing::power);
    std::vector<ModeFound> modes;
    constexpr double halfMs = 0.5e-3;
    for (double centre = axis.front() * std::numbers::sqrt2; centre < axis.back() / 1.2;
         centre *= std::numbers::sqrt2) {
        constexpr double mostPeriods = 40.0;
        const double from = begin + halfMs;
        const double bandwidth = centre * (std::numbers::sqrt2 - 1.0 / std::numbers::sqrt2);
        const double filterHalf = 2.0 / bandwidth;
        Octave octave = octaveOf(
            impulse, centre, from, std::min(end, from + 2.0 * filterHalf + mostPeriods / centre));
        // The last tenth of a long record is noise; of a short one it is still signal.
        const Octave tail = octaveOf(impulse,
                                     centre,
                                     std::max(from, 0.9 * impulse.duration() - filterHalf),
                                     impulse.duration());
        const double noise = end < 0.8 * impulse.duration() ? rmsOf(tail.samples) : 0.0;
        while (octave.samples.size() > 8 && std::abs(octave.samples.back()) < 3.0 * noise) {
            octave.samples.pop_back();
        }
        const std::span<const Complex> all(octave.samples);
        const auto period =
            static_cast<std::size_t>(std::max(1.0, std::round(octave.rate / centre)));
        constexpr std::size_t starts = 3;
        if (all.size() < (starts - 1) * period + 10) {
            continue;
        }
        std::vector<std::vector<Pole>> each;
        for (std::size_t s = 0; s < starts; ++s) {
            each.push_back(poles(all.subspan(s * period), octave.rate, centre, noise));
        }
        const double side = std::pow(2.0, 0.25);
        for (const Pole& p : each.front()) {
            if (p.f < centre / side || p.f >= centre * side || p.Q < minimumQ ||
                same(each[1], p) == nullptr || same(each[2], p) == nullptr) {
                continue;
            }
            // The mode's own peak: residue at the arrival over its decay rate.
            const double rate = pi * p.f / p.Q;
            const double late = halfMs + filterHalf;
            const double peak = p.amplitude * std::exp(rate * late) / rate * impulse.rate;
            const auto above = std::ranges::lower_bound(axis, p.f);
            const auto k = static_cast<std::size_t>(std::min<std::ptrdiff_t>(
                above - axis.begin(), static_cast<std::ptrdiff_t>(axis.size()) - 1));
            const double level = 20.0 * std::log10(peak / std::abs(smooth.values()[k]));
            constexpr double lowest = -35.0;
            constexpr double highest = 12.0;
            if (level > lowest && level < highest) {
                modes.push_back({p.f, p.Q, level});
            }
        }
    }
    std::ranges::sort(modes, {}, &ModeFound::f);
    // Seen in two neighbouring octaves: once.
    std::vector<ModeFound> single;
    for (const ModeFound& m : modes) {
        if (single.empty() || m.f / single.back().f > 1.01) {
            single.push_back(m);
        }
    }
    return single;
}

std::vector<ModeFound> loudestModes(const Impulse& impulse, double gate, std::size_t most) {
    auto modes = ringingModes(impulse, gate, ringingQ);
    if (modes.size() > most) {
        std::ranges::sort(modes, std::greater<>(), &ModeFound::level);
        modes.resize(most);
        std::ranges::sort(modes, {}, &ModeFound::f);
    }
    return modes;
}

} // namespace yf::signal
