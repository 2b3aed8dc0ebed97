// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/timing.h"

#include "core/base/median.h"
#include "core/curve/minimum_phase.h"
#include "core/signal/spectrum.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::measure {

namespace {

using curve::Complex;
using signal::RepeatSpectra;
using signal::Spectrum;
using signal::Sweep;

constexpr double twoPi = 2.0 * std::numbers::pi;

/// Σ Z(f+δ)·Z*(f) over a band.
Complex turning(const Spectrum& Z, std::size_t first, std::size_t last, std::size_t delta) {
    Complex sum{};
    for (std::size_t k = first; k <= last && k + delta < Z.size(); ++k) {
        sum += Z[k + delta] * std::conj(Z[k]);
    }
    return sum;
}

/// The spectrum with a delay taken out, only inside the sweep's band.
Spectrum still(const Spectrum& Z, const RepeatSpectra& of, double delay) {
    Spectrum result(Z.size());
    for (std::size_t k = 0; k < Z.size(); ++k) {
        result[k] = Z[k] * std::polar(1.0, twoPi * of.frequency(k) * delay);
    }
    return result;
}

std::vector<Arrival> arrivals(const Spectrum& Z,
                              const RepeatSpectra& of,
                              const Sweep& sweep,
                              const curve::Range& within) {
    const double bin = of.rate / static_cast<double>(of.length);
    const double side = std::exp2(1.0 / 12.0);
    std::vector<Arrival> found;
    for (double f = within.from * side; f * side <= within.to; f *= side) {
        const std::size_t first = of.bin(f / side);
        const std::size_t last = of.bin(f * side);
        constexpr double coarse = 8.0; // Hz: unambiguous to ±60 ms
        const auto small = static_cast<std::size_t>(std::max(1.0, std::round(coarse / bin)));
        const double rough =
            -std::arg(turning(Z, first, last, small)) / (twoPi * static_cast<double>(small) * bin);
        const auto large =
            std::max(small, static_cast<std::size_t>(static_cast<double>(last - first) / 4.0));
        const double fine = static_cast<double>(large) * bin;
        const Complex sum = turning(Z, first, last, large) * std::polar(1.0, twoPi * fine * rough);
        found.push_back({f, sweep.timeOf(f), rough - std::arg(sum) / (twoPi * fine)});
    }
    return found;
}

struct Line {
    double start{};
    double slope{};
    double cost{};
    double u{}; ///< standard uncertainty of the slope
};

double deviation(const std::vector<double>& values, double level) {
    double sum = 0.0;
    for (const double v : values) {
        sum += std::abs(v - level);
    }
    return sum;
}

/// Theil (1950) and Sen (1968): the median of all slopes.
Line lineThrough(const std::vector<Arrival>& points) {
    std::vector<double> slopes;
    for (std::size_t i = 0; i < points.size(); ++i) {
        for (std::size_t j = i + 1; j < points.size(); ++j) {
            slopes.push_back((points[j].delay - points[i].delay) /
                             (points[j].time - points[i].time));
        }
    }
    Line line{.slope = median(slopes)};
    std::vector<double> rest;
    for (const Arrival& p : points) {
        rest.push_back(p.delay - line.slope * p.time);
    }
    line.start = median(rest);
    line.cost = deviation(rest, line.start);
    double middle = 0.0;
    for (const Arrival& p : points) {
        middle += p.time / static_cast<double>(points.size());
    }
    double spread = 0.0;
    for (const Arrival& p : points) {
        spread += (p.time - middle) * (p.time - middle);
    }
    // Mean deviation to standard deviation of a normal one; bands a twelfth apart share half.
    constexpr double normal = 1.2533;
    constexpr double shared = std::numbers::sqrt2;
    line.u = normal * shared * line.cost / static_cast<double>(points.size()) / std::sqrt(spread);
    return line;
}

struct Break {
    std::size_t at{}; ///< first point of the later level
    double step{};    ///< s
    double cost{1e300};
};

constexpr std::size_t leastOnOneSide = 3;

std::vector<double> delaysOf(const std::vector<Arrival>& points, std::size_t from, std::size_t to) {
    std::vector<double> values;
    for (std::size_t i = from; i < to; ++i) {
        values.push_back(points[i].delay);
    }
    return values;
}

/// Two levels; the band that straddles the break counts for neither.
Break breakIn(const std::vector<Arrival>& points) {
    Break best;
    for (std::size_t at = leastOnOneSide; at + leastOnOneSide <= points.size(); ++at) {
        const auto before = delaysOf(points, 0, at);
        const auto after = delaysOf(points, at, points.size());
        const double a = median(before);
        const double b = median(after);
        const double cost = deviation(before, a) + deviation(after, b);
        if (cost < best.cost) {
            best = {at, b - a, cost};
        }
    }
    return best;
}

/// A lost buffer steps at once; a high-pass in the converter bends over an octave.
bool isSudden(const std::vector<Arrival>& points, const Break& found) {
    constexpr std::size_t beside = 4;
    const std::size_t from = found.at > beside ? found.at - beside : 0;
    const std::size_t to = std::min(found.at + beside, points.size());
    const double local =
        median(delaysOf(points, found.at, to)) - median(delaysOf(points, from, found.at));
    constexpr double mostOfIt = 0.6;
    return local / found.step >= mostOfIt;
}

std::optional<Dropout> dropoutIn(const std::vector<Arrival>& points, const Sweep& sweep) {
    if (points.size() < 2 * leastOnOneSide) {
        return std::nullopt;
    }
    const Line line = lineThrough(points);
    const Break found = breakIn(points);
    constexpr double better = 0.6;
    constexpr double leastSamples = 2.0;
    if (found.cost >= better * line.cost || std::abs(found.step) * sweep.rate < leastSamples ||
        !isSudden(points, found)) {
        return std::nullopt;
    }
    return Dropout{static_cast<int>(std::lround(-found.step * sweep.rate)),
                   0.5 * (points[found.at - 1].time + points[found.at].time)};
}

/// The measured channel's own stretch and its delay's minimum-phase share.
struct Own {
    curve::Range stretch;
    std::vector<double> f;
    std::vector<double> groupDelay; ///< s

    [[nodiscard]] double at(double frequency) const {
        const auto above = std::lower_bound(f.begin() + 1, f.end() - 1, frequency);
        const auto i = static_cast<std::size_t>(above - f.begin()) - 1;
        const double t = std::log(frequency / f[i]) / std::log(f[i + 1] / f[i]);
        return groupDelay[i] + t * (groupDelay[i + 1] - groupDelay[i]);
    }
};

std::optional<Own> ownDelay(const Spectrum& Z, const RepeatSpectra& of, const Sweep& sweep) {
    const curve::Axis axis = curve::within(curve::designAxis(), sweep.fullFrom(), sweep.fullTo());
    if (axis.size() < 16) {
        return std::nullopt;
    }
    std::vector<Complex> size;
    for (const double f : axis) {
        const double side = std::exp2(1.0 / 24.0);
        double power = 0.0;
        const std::size_t first = of.bin(f / side);
        const std::size_t last = of.bin(f * side);
        for (std::size_t k = first; k <= last; ++k) {
            power += std::norm(Z[k]);
        }
        size.emplace_back(std::sqrt(power / static_cast<double>(last - first + 1)));
    }
    if (std::ranges::any_of(size, [](const Complex& v) { return std::abs(v) == 0.0; })) {
        return std::nullopt;
    }
    const curve::Curve levels(axis, size, curve::Phase::none);
    constexpr double within = 12.0; // dB
    constexpr double forPhase = 30.0;
    const auto phase =
        curve::minimumPhase(levels.trustedWithin(signal::loudStretch(levels, forPhase)));
    Own own{.stretch = signal::loudStretch(levels, within), .f = axis};
    for (std::size_t k = 0; k < axis.size(); ++k) {
        const std::size_t a = k > 0 ? k - 1 : 0;
        const std::size_t b = std::min(k + 1, axis.size() - 1);
        own.groupDelay.push_back(-(phase[b] - phase[a]) / (twoPi * (axis[b] - axis[a])));
    }
    return own;
}

/// Shift of one repeat against another, s: slope of the cross-spectrum's phase.
double shiftBetween(const Spectrum& first,
                    const Spectrum& last,
                    const RepeatSpectra& of,
                    const Sweep& sweep) {
    Spectrum cross(first.size());
    for (std::size_t k = 0; k < cross.size(); ++k) {
        cross[k] = last[k] * std::conj(first[k]) * sweep.bandWindow(of.frequency(k));
    }
    const std::vector<double> c = signal::transformBack(cross, of.length);
    const auto top = static_cast<std::ptrdiff_t>(std::ranges::max_element(c) - c.begin());
    const auto length = static_cast<std::ptrdiff_t>(of.length);
    double shift = static_cast<double>(top > length / 2 ? top - length : top) / of.rate;
    // The rest from the phase: Σ w·φ·ω / Σ w·ω², twice.
    for (int round = 0; round < 3; ++round) {
        double above = 0.0;
        double below = 0.0;
        for (std::size_t k = 1; k < cross.size(); ++k) {
            const double w = std::abs(cross[k]);
            const double omega = twoPi * of.frequency(k);
            const double phase = std::arg(cross[k] * std::polar(1.0, omega * shift));
            above += w * omega * phase;
            below += w * omega * omega;
        }
        shift -= above / below;
    }
    return shift;
}

/// Z = measured·conj(against)/|against|², 0 outside the band.
Spectrum ratio(const Spectrum& measured,
               const Spectrum& against,
               const RepeatSpectra& of,
               const Sweep& sweep) {
    return signal::linearResponse(measured, against, of, sweep);
}

} // namespace

Answer answerOf(const Spectrum& measured, const RepeatSpectra& of, const Sweep& sweep) {
    const auto h = signal::transformBack(ratio(measured, of.sweep, of, sweep), of.length);
    const auto top = static_cast<std::ptrdiff_t>(
        std::ranges::max_element(h, {}, [](double v) { return std::abs(v); }) - h.begin());
    const auto length = static_cast<std::ptrdiff_t>(of.length);
    double power = 0.0;
    for (const double v : h) {
        power += v * v;
    }
    const double size = std::sqrt(power / static_cast<double>(h.size()));
    return {static_cast<double>(top > length / 2 ? top - length : top) / of.rate,
            size > 0.0 ? std::abs(h[static_cast<std::size_t>(top)]) / size : 0.0};
}

TimingFound timing(const RepeatSpectra& spectra, const Sweep& sweep) {
    const bool referenced = !spectra.reference.empty();
    const auto& heard = referenced ? spectra.reference : spectra.measured;
    const std::size_t repeats = heard.size();
    constexpr double lowest = 20.0; // Hz: below it a converter's own high-pass delays
    TimingFound found{.latency = answerOf(heard.front(), spectra, sweep).delay};
    curve::Range band{std::max(sweep.fullFrom(), lowest), sweep.fullTo()};
    const Spectrum first =
        still(ratio(heard.front(), spectra.sweep, spectra, sweep), spectra, found.latency);
    std::optional<Own> own;
    if (!referenced) {
        own = ownDelay(first, spectra, sweep);
        if (!own) {
            return found;
        }
        band = {std::max(own->stretch.from, band.from), std::min(own->stretch.to, band.to)};
    }
    std::vector<Arrival> points = arrivals(first, spectra, sweep, band);
    if (own) {
        for (Arrival& p : points) {
            p.delay -= own->at(p.f);
        }
    }
    const auto place = [&](Dropout dropout, std::size_t repeat) {
        dropout.time += static_cast<double>(sweep.startOf(static_cast<int>(repeat))) / sweep.rate +
                        found.latency;
        return dropout;
    };
    // Without reference the device's own delay is only nearly known: a single repeat's step must
    // be a large one.
    constexpr int leastUnreferenced = 24;
    if (const auto dropout = dropoutIn(points, sweep);
        dropout && (referenced || std::abs(dropout->samples) >= leastUnreferenced)) {
        found.dropout = place(*dropout, 0);
        return found;
    }
    for (std::size_t r = 1; r < repeats; ++r) {
        const double shift = shiftBetween(heard.front(), heard[r], spectra, sweep);
        const Spectrum against =
            still(ratio(heard[r], heard.front(), spectra, sweep), spectra, shift);
        if (const auto dropout = dropoutIn(arrivals(against, spectra, sweep, band), sweep)) {
            found.dropout = place(*dropout, r);
            return found;
        }
    }
    const Line line = points.size() >= 2 * leastOnOneSide ? lineThrough(points) : Line{};
    const double worth = 0.5 / (sweep.rate * sweep.duration);
    if (repeats >= 2) {
        const double apart = static_cast<double>(sweep.period()) / sweep.rate;
        std::vector<double> shifts{0.0};
        for (std::size_t r = 1; r < repeats; ++r) {
            shifts.push_back(shiftBetween(heard.front(), heard[r], spectra, sweep));
        }
        const double drift = shifts.back() / (apart * static_cast<double>(repeats - 1));
        // Between two repeats samples may be lost as well; a clock would also have turned within
        // the sweeps.
        constexpr double leastSamples = 2.0;
        for (std::size_t r = 1; r < repeats; ++r) {
            const double step = shifts[r] - shifts[r - 1];
            const double byClock = (referenced ? line.slope : drift) * apart;
            if (std::abs(step - byClock) * sweep.rate >= leastSamples &&
                (referenced || repeats > 2)) {
                found.dropout =
                    Dropout{static_cast<int>(std::lround(-step * sweep.rate)),
                            static_cast<double>(sweep.startOf(static_cast<int>(r))) / sweep.rate};
                return found;
            }
        }
        if (std::abs(drift) > mostDrift && repeats == 2 && !referenced) {
            // One step says no more than that something is missing.
            found.dropout = Dropout{static_cast<int>(std::lround(-shifts.back() * sweep.rate)),
                                    static_cast<double>(sweep.startOf(1)) / sweep.rate};
            return found;
        }
        found.drift = std::abs(drift) > worth ? drift : 0.0;
        return found;
    }
    constexpr double significant = 4.0;
    const bool told = referenced && std::abs(line.slope) > std::max(worth, significant * line.u);
    found.drift = told ? line.slope : 0.0;
    return found;
}

} // namespace yf::measure
