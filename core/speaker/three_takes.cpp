// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/three_takes.h"

#include "core/quantity/level.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::speaker {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;
constexpr double overlap = 12.0; ///< dB
constexpr double fromTop = 20.0; ///< dB

double power(double x) {
    return 10.0 * std::log10(std::max(x, 1e-300));
}

/// A single outlier (a notch that noise fills) does not rule.
double huber(double e) {
    const double a = std::abs(e);
    return a < 1.0 ? e * e : 2.0 * a - 1.0;
}

/// What the scan goes over again and again: the points of the band, apart.
class Model {
public:
    Model(const ThreeTakes& takes, const curve::Range& band) : takes_(takes) {
        for (std::size_t k = 0; k < takes.axis.size(); ++k) {
            const double f = takes.axis[k];
            if (!band.holds(f)) {
                continue;
            }
            const double A2 = std::norm(takes.first[k]);
            const double B2 = std::norm(takes.second[k]);
            const double u = 2.0 * std::sqrt(A2 * B2) / (A2 + B2);
            const std::size_t before = k == 0 ? 0 : k - 1;
            const std::size_t after = std::min(k + 1, takes.axis.size() - 1);
            const double width = 0.5 * std::log2(takes.axis[after] / takes.axis[before]);
            Row row{.omega = 2.0 * pi * f,
                    .both = A2 + B2,
                    .cross = 2.0 * takes.first[k] * std::conj(takes.second[k]),
                    .sum = takes.sum[k],
                    .weight = width * u * u};
            row.reversed = takes.reversed.empty() ? 0.0 : takes.reversed[k];
            rows_.push_back(row);
            weights_ += row.weight;
        }
    }

    [[nodiscard]] std::size_t points() const { return rows_.size(); }

    /// C².
    [[nodiscard]] double cost(int polarity, double delay) const {
        double sum = 0.0;
        for (const Row& row : rows_) {
            const double cross = polarity * crossAt(row, delay);
            double e = huber(power(row.both + cross) - row.sum);
            if (!takes_.reversed.empty()) {
                e = 0.5 * (e + huber(power(row.both - cross) - row.reversed));
            }
            sum += row.weight * e;
        }
        return sum / weights_;
    }

    /// Σ wJ²/Σw, J in dB per second.
    [[nodiscard]] double slopeSquares(int polarity, double delay) const {
        double sum = 0.0;
        for (const Row& row : rows_) {
            const double h = 1e-3 / row.omega;
            const auto level = [&](double at, double side) {
                return power(row.both + side * polarity * crossAt(row, at));
            };
            double J = (level(delay + h, 1.0) - level(delay - h, 1.0)) / (2.0 * h);
            double squares = J * J;
            if (!takes_.reversed.empty()) {
                J = (level(delay + h, -1.0) - level(delay - h, -1.0)) / (2.0 * h);
                squares += J * J; // two readings of the same delay
            }
            sum += row.weight * squares;
        }
        return sum / weights_;
    }

private:
    struct Row {
        double omega{};
        double both{};
        Complex cross; ///< 2·H1·conj(H2)
        double sum{};
        double reversed{};
        double weight{};
    };

    /// Re(2·H1·conj(H2·e^(−jωτ))).
    static double crossAt(const Row& row, double delay) {
        const double turn = row.omega * delay;
        return row.cross.real() * std::cos(turn) - row.cross.imag() * std::sin(turn);
    }

    const ThreeTakes& takes_;
    std::vector<Row> rows_;
    double weights_{};
};

/// Least of a function between two ends by golden section: it has one minimum there.
template <class F>
double least(F&& f, double a, double b) {
    const double golden = 0.5 * (std::sqrt(5.0) - 1.0);
    double c = b - golden * (b - a);
    double d = a + golden * (b - a);
    double fc = f(c);
    double fd = f(d);
    constexpr int steps = 60;
    for (int i = 0; i < steps; ++i) {
        if (fc < fd) {
            b = d;
            d = c;
            fd = fc;
            c = b - golden * (b - a);
            fc = f(c);
        } else {
            a = c;
            c = d;
            fc = fd;
            d = a + golden * (b - a);
            fd = f(d);
        }
    }
    return 0.5 * (a + b);
}

/// The stretch around where the levels meet in which they overlap.
std::optional<curve::Range> overlapOf(const ThreeTakes& takes) {
    double top = 0.0;
    for (std::size_t k = 0; k < takes.axis.size(); ++k) {
        top = std::max({top, std::norm(takes.first[k]), std::norm(takes.second[k])});
    }
    const double share = std::pow(10.0, overlap / 10.0);
    const double least = top * std::pow(10.0, -fromTop / 10.0);
    curve::Range best{0.0, 0.0};
    double widest = 0.0;
    double from = 0.0; // 0: outside
    for (std::size_t k = 0; k <= takes.axis.size(); ++k) {
        bool inside = false;
        if (k < takes.axis.size()) {
            const double A2 = std::norm(takes.first[k]);
            const double B2 = std::norm(takes.second[k]);
            inside = A2 <= share * B2 && B2 <= share * A2 && std::max(A2, B2) >= least &&
                     (!takes.band || takes.band->holds(takes.axis[k]));
        }
        if (inside && from == 0.0) {
            from = takes.axis[k];
        } else if (!inside && from > 0.0) {
            const double width = std::log2(takes.axis[k - 1] / from);
            if (width > widest) {
                widest = width;
                best = {from, takes.axis[k - 1]};
            }
            from = 0.0;
        }
    }
    constexpr double leastWidth = 1.0 / 3.0;
    return widest >= leastWidth ? std::optional(best) : std::nullopt;
}

std::vector<DelaySolution> minima(const Model& model, const ThreeTakes& takes, double fMax) {
    const double step = 1.0 / (20.0 * fMax);
    const auto count =
        static_cast<std::size_t>(std::ceil((takes.latest - takes.earliest) / step)) + 1;
    std::vector<DelaySolution> found;
    for (const int polarity : {1, -1}) {
        const auto at = [&](std::size_t i) {
            return std::min(takes.earliest + static_cast<double>(i) * step, takes.latest);
        };
        std::vector<double> costs(count);
        for (std::size_t i = 0; i < count; ++i) {
            costs[i] = model.cost(polarity, at(i));
        }
        for (std::size_t i = 0; i < count; ++i) {
            const bool lowest =
                (i == 0 || costs[i] <= costs[i - 1]) && (i + 1 == count || costs[i] < costs[i + 1]);
            if (!lowest) {
                continue;
            }
            const double tau = least([&](double t) { return model.cost(polarity, t); },
                                     at(i == 0 ? 0 : i - 1),
                                     at(std::min(i + 1, count - 1)));
            found.push_back({polarity, tau, std::sqrt(model.cost(polarity, tau))});
        }
    }
    std::ranges::sort(found, {}, &DelaySolution::residual);
    return found;
}

/// Mean of sum less the louder of both outside the band: there the sum has no choice.
double levelErrorOf(const ThreeTakes& takes, const curve::Range& band, const DelaySolution& best) {
    double sum = 0.0;
    double count = 0.0;
    for (std::size_t k = 0; k < takes.axis.size(); ++k) {
        const double A2 = std::norm(takes.first[k]);
        const double B2 = std::norm(takes.second[k]);
        constexpr double far = 100.0; // 20 dB: the other moves it by less than 1 dB
        if (band.holds(takes.axis[k]) || std::max(A2, B2) < far * std::min(A2, B2)) {
            continue;
        }
        const Complex late =
            std::polar(static_cast<double>(best.polarity), -2.0 * pi * takes.axis[k] * best.delay);
        sum += takes.sum[k] - power(std::norm(takes.first[k] + takes.second[k] * late));
        count += 1.0;
    }
    return count > 0.0 ? sum / count : 0.0;
}

double triangleOf(const ThreeTakes& takes, const curve::Range& band) {
    double worst = 0.0;
    for (std::size_t k = 0; k < takes.axis.size(); ++k) {
        if (!band.holds(takes.axis[k])) {
            continue;
        }
        const double A = std::abs(takes.first[k]);
        const double B = std::abs(takes.second[k]);
        worst = std::max(worst, takes.sum[k] - quantity::decibels(A + B));
        worst = std::max(worst, quantity::decibels(std::abs(A - B)) - takes.sum[k]);
    }
    return worst;
}

} // namespace

double apart(std::span<const Complex> first, std::span<const Complex> second) {
    double least = 1e9;
    for (std::size_t k = 0; k < first.size(); ++k) {
        const double between =
            std::abs(power(std::norm(first[k])) - power(std::norm(second[k]))) - overlap;
        least = std::min(least, between);
    }
    return std::max(0.0, least);
}

std::optional<DelayFound> delayFrom(const ThreeTakes& takes) {
    const auto band = overlapOf(takes);
    if (!band) {
        return std::nullopt;
    }
    const Model model(takes, *band);
    constexpr std::size_t leastPoints = 4;
    if (model.points() < leastPoints) {
        return std::nullopt;
    }
    auto all = minima(model, takes, band->to);
    DelayFound found{.best = all.front(), .band = *band};
    const double octaves = std::log2(band->to / band->from);
    const double n = std::max(1.0, 12.0 * octaves);
    const double s = std::max(found.best.residual, takes.levelSigma);
    const double slopes = model.slopeSquares(found.best.polarity, found.best.delay);
    found.sigma = s / std::sqrt(n * std::max(slopes, 1e-30));
    const double nearlyAsGood = std::max(2.0 * found.best.residual, 0.4);
    for (std::size_t i = 1; i < all.size(); ++i) {
        const bool other = all[i].polarity != found.best.polarity ||
                           std::abs(all[i].delay - found.best.delay) > 3.0 * found.sigma;
        constexpr std::size_t most = 5;
        if (other && found.alternatives.size() < most) {
            found.alternatives.push_back(all[i]);
            found.ambiguous = found.ambiguous || all[i].residual < nearlyAsGood;
        }
    }
    found.levelError = levelErrorOf(takes, *band, found.best);
    found.triangleViolation = triangleOf(takes, *band);
    return found;
}

} // namespace yf::speaker
