// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/relative_polarity.h"

#include "core/curve/interpolate.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::speaker {

using curve::Complex;

namespace {

constexpr int perOctave = 16;

/// Points of one octave that say something.
struct Band {
    double from{};
    double to{};
    std::vector<double> omega;
    std::vector<Complex> Z;
};

bool isMeasured(const curve::Curve& c) {
    return c.phase() == curve::Phase::own || c.phase() == curve::Phase::common;
}

std::vector<Band> bandsOf(const curve::Curve& a, const curve::Curve& b) {
    const double from = std::max(a.trusted().from, b.trusted().from);
    const double to = std::min(a.trusted().to, b.trusted().to);
    curve::Axis axis;
    for (int n = 0;; ++n) {
        const double f = from * std::exp2(static_cast<double>(n) / perOctave);
        if (!(f <= to)) {
            break;
        }
        axis.push_back(f);
    }
    if (axis.size() < perOctave) {
        return {};
    }
    const auto A = curve::interpolate(a, axis);
    const auto B = curve::interpolate(b, axis);
    if (!A || !B) {
        return {};
    }
    const auto top = [](const std::vector<Complex>& values) {
        double most = 0.0;
        for (const Complex& v : values) {
            most = std::max(most, std::abs(v));
        }
        return most;
    };
    constexpr double audible = 0.1; // of the top: −20 dB
    const double leastA = audible * top(*A);
    const double leastB = audible * top(*B);
    std::vector<Band> bands;
    for (std::size_t k = 0; k < axis.size(); ++k) {
        if (k % perOctave == 0) {
            bands.push_back({axis[k], axis[std::min(k + perOctave, axis.size()) - 1], {}, {}});
        }
        const double a2 = std::abs((*A)[k]);
        const double b2 = std::abs((*B)[k]);
        if (a2 >= leastA && b2 >= leastB) {
            bands.back().omega.push_back(2.0 * std::numbers::pi * axis[k]);
            bands.back().Z.push_back((*B)[k] * std::conj((*A)[k]) / (a2 * b2));
        }
    }
    std::erase_if(bands, [](const Band& band) { return band.Z.size() < perOctave / 2; });
    return bands;
}

/// Mean of Re Z·e^(jωτ) over a band: the sign and how sure it is.
double meanReal(const Band& band, double tau) {
    double sum = 0.0;
    for (std::size_t k = 0; k < band.Z.size(); ++k) {
        sum += std::real(band.Z[k] * std::polar(1.0, band.omega[k] * tau));
    }
    return sum / static_cast<double>(band.Z.size());
}

/// One delay and what all bands make of it.
struct Tried {
    double tau{};
    double score{};
    std::vector<int> signs; ///< of each band; 0: it says nothing
};

constexpr double saysSomething = 0.5;

int signOf(double s) {
    return std::abs(s) < saysSomething ? 0 : s > 0.0 ? 1 : -1;
}

/// All delays from −reach on: each point turns by the same angle from one to the next, so that no
/// sine is needed for it.
std::vector<Tried> scanned(const std::vector<Band>& bands, double reach, double step) {
    const int steps = static_cast<int>(std::ceil(reach / step));
    std::vector<Tried> all(static_cast<std::size_t>(2 * steps + 1));
    for (std::size_t i = 0; i < all.size(); ++i) {
        all[i].tau = (static_cast<double>(i) - steps) * step;
    }
    for (const Band& band : bands) {
        std::vector<Complex> now;
        std::vector<Complex> turn;
        for (std::size_t k = 0; k < band.Z.size(); ++k) {
            now.push_back(band.Z[k] * std::polar(1.0, -band.omega[k] * steps * step));
            turn.push_back(std::polar(1.0, band.omega[k] * step));
        }
        for (Tried& t : all) {
            double s = 0.0;
            for (std::size_t k = 0; k < now.size(); ++k) {
                s += now[k].real();
                // Written out: the operator looks for infinities first.
                now[k] = {now[k].real() * turn[k].real() - now[k].imag() * turn[k].imag(),
                          now[k].real() * turn[k].imag() + now[k].imag() * turn[k].real()};
            }
            s /= static_cast<double>(now.size());
            t.score += std::abs(s) / static_cast<double>(bands.size());
            t.signs.push_back(signOf(s));
        }
    }
    return all;
}

/// The bands in runs of one sign; those without are left out.
std::vector<SignRun>
runsOf(const std::vector<Band>& bands, const std::vector<int>& signs, double tau) {
    std::vector<SignRun> runs;
    int members = 0;
    for (std::size_t b = 0; b < bands.size(); ++b) {
        if (signs[b] == 0) {
            continue;
        }
        const double surety = std::abs(meanReal(bands[b], tau));
        if (runs.empty() || runs.back().sign != signs[b]) {
            runs.push_back({bands[b].from, bands[b].to, signs[b], surety});
            members = 1;
            continue;
        }
        SignRun& run = runs.back();
        run.to = bands[b].to;
        run.surety = (run.surety * members + surety) / (members + 1);
        ++members;
    }
    return runs;
}

} // namespace

std::optional<RelativePolarity>
relativePolarity(const curve::Curve& a, const curve::Curve& b, double reach) {
    if (!isMeasured(a) || !isMeasured(b)) {
        return std::nullopt;
    }
    const std::vector<Band> bands = bandsOf(a, b);
    constexpr std::size_t leastBands = 2;
    if (bands.size() < leastBands) {
        return std::nullopt;
    }
    const double shortest = 1.0 / bands.back().to;
    const std::vector<Tried> all = scanned(bands, reach, shortest / 10.0);
    const Tried best = *std::ranges::max_element(all, {}, &Tried::score);
    std::vector<int> signs = best.signs;
    constexpr double nearly = 0.1;
    for (const Tried& t : all) {
        for (std::size_t i = 0; i < signs.size() && t.score >= best.score - nearly; ++i) {
            signs[i] = t.signs[i] == -best.signs[i] ? 0 : signs[i];
        }
    }
    RelativePolarity found{
        .delay = best.tau, .surety = best.score, .runs = runsOf(bands, signs, best.tau)};
    constexpr double sure = 0.7;
    const auto first = std::ranges::find_if(best.signs, [](int sign) { return sign != 0; });
    const bool lowestKnown = first != best.signs.end() &&
                             signs[static_cast<std::size_t>(first - best.signs.begin())] != 0;
    const auto saying =
        static_cast<std::size_t>(std::ranges::count_if(signs, [](int s) { return s != 0; }));
    if (found.surety < sure || !lowestKnown || saying < leastBands) {
        return std::nullopt;
    }
    found.sign = found.runs.front().sign;
    found.knownTo = found.runs.back().to;
    return found;
}

} // namespace yf::speaker
