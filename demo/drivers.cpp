// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/drivers.h"

#include "core/box/motion.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/quantity/literals.h"
#include "core/quantity/quantities.h"
#include "core/signal/spectrum.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <cstdint>
#include <numbers>

namespace yf::demo {

namespace {

using namespace yf::literals;
using curve::Complex;

constexpr double twoPi = 2.0 * std::numbers::pi;

/// Normal deviates that are alike on every machine: SplitMix64 and Box-Muller. The standard
/// library's distributions may differ between versions, and the tables are kept byte for byte.
class Noise {
public:
    explicit Noise(unsigned seed) : state_(seed) {}

    double next() {
        const double u = uniform();
        const double v = uniform();
        return std::sqrt(-2.0 * std::log(u)) * std::cos(twoPi * v);
    }

private:
    double uniform() {
        state_ += 0x9E3779B97F4A7C15ULL;
        std::uint64_t z = state_;
        z = (z ^ (z >> 30U)) * 0xBF58476D1CE4E5B9ULL;
        z = (z ^ (z >> 27U)) * 0x94D049BB133111EBULL;
        z ^= z >> 31U;
        constexpr double scale = 1.0 / 9007199254740992.0;
        return (static_cast<double>(z >> 11U) + 0.5) * scale;
    }

    std::uint64_t state_;
};

/// 40 points an octave from 10 Hz to 24 kHz, written with the two decimals of the table.
curve::Axis tableAxis() {
    curve::Axis axis;
    for (int k = 0;; ++k) {
        const double f = 10.0 * std::pow(2.0, k / 40.0);
        if (f > 24000.0) {
            break;
        }
        axis.push_back(std::round(f * 100.0) / 100.0);
    }
    axis.push_back(24000.0);
    return axis;
}

std::string number(double value, int decimals, bool decimalComma) {
    std::string text = text::printFixed(value, decimals);
    if (decimalComma) {
        if (const auto point = text.find('.'); point != std::string::npos) {
            text[point] = ',';
        }
    }
    return text;
}

} // namespace

InventedDriver campion165() {
    return {.name = "Campion 165",
            .impedance = {.Re = 5.7,
                          .fs = 58.0,
                          .Qms = 3.6,
                          .Qes = 0.78,
                          .inductance = driver::InductanceModel::lr2,
                          .Le = 0.22_mH,
                          .L2 = 0.55_mH,
                          .R2 = 3.4},
            .level = 88.2,
            .lowCorner = 58.0,
            .lowQ = 0.68,
            .highCorner = 5200.0,
            .highOrder = 3,
            .step = 4.0,
            .stepCentre = 420.0,
            .peaks = {{980.0, 4.0, -1.6}, {3900.0, 6.0, 4.2}, {5600.0, 7.0, 5.0}},
            .echoes = {{410.0_us, 0.045}, {1350.0_us, 0.03}},
            .delay = 62.0_us,
            .noiseFloor = 34.0,
            .seed = 165,
            .Mms = 0.0145};
}

InventedDriver teasel26() {
    return {.name = "Teasel 26",
            .impedance = {.Re = 5.1,
                          .fs = 840.0,
                          .Qms = 2.2,
                          .Qes = 1.35,
                          .inductance = driver::InductanceModel::lr2,
                          .Le = 0.018_mH,
                          .L2 = 0.04_mH,
                          .R2 = 1.6},
            .level = 91.6,
            .lowCorner = 840.0,
            .lowQ = 0.84,
            .highCorner = 23000.0,
            .highOrder = 2,
            .step = 0.0,
            .stepCentre = 420.0,
            .peaks = {{2700.0, 2.5, -1.4}, {8800.0, 3.0, 1.3}},
            .echoes = {{300.0_us, 0.06}, {1180.0_us, 0.025}},
            .delay = 4.0_us,
            .noiseFloor = 32.0,
            .seed = 26,
            .Mms = 0.0004};
}

InventedDriver brome210() {
    return {.name = "Brome 210",
            .impedance = {.Re = 6.1,
                          .fs = 41.0,
                          .Qms = 4.2,
                          .Qes = 0.62,
                          .inductance = driver::InductanceModel::lr2,
                          .Le = 0.35_mH,
                          .L2 = 0.8_mH,
                          .R2 = 3.9},
            .level = 91.0,
            .lowCorner = 41.0,
            .lowQ = 0.62,
            .highCorner = 2900.0,
            .highOrder = 2,
            .step = 3.5,
            .stepCentre = 340.0,
            .peaks = {{1700.0, 4.0, 2.4}, {2600.0, 6.0, 3.8}},
            .echoes = {{820.0_us, 0.04}},
            .delay = 96.0_us,
            .noiseFloor = 34.0,
            .seed = 210,
            .Mms = 0.0295};
}

InventedDriver sorrel130() {
    return {.name = "Sorrel 130",
            .impedance = {.Re = 6.4,
                          .fs = 135.0,
                          .Qms = 3.4,
                          .Qes = 0.75,
                          .inductance = driver::InductanceModel::lr2,
                          .Le = 0.12_mH,
                          .L2 = 0.26_mH,
                          .R2 = 2.6},
            .level = 90.4,
            .lowCorner = 135.0,
            .lowQ = 0.66,
            .highCorner = 7800.0,
            .highOrder = 2,
            .step = 1.5,
            .stepCentre = 420.0,
            .peaks = {{5200.0, 5.0, 2.2}, {7400.0, 6.0, 2.8}},
            .echoes = {{520.0_us, 0.04}},
            .delay = 38.0_us,
            .noiseFloor = 33.0,
            .seed = 130,
            .Mms = 0.0078};
}

sim::Specimen specimenOf(const InventedDriver& d) {
    // fs, Qms and Qes with one mass: Cms = 1/(ω²Mms), Rms = ωMms/Qms, Bl² = ωMms·Re/Qes.
    const double w = twoPi * d.impedance.fs;
    sim::Specimen s;
    s.motor = {.Re = d.impedance.Re,
               .Bl = std::sqrt(w * d.Mms * d.impedance.Re / d.impedance.Qes),
               .Mms = d.Mms,
               .Cms = 1.0 / (w * w * d.Mms),
               .Rms = w * d.Mms / d.impedance.Qms,
               .coil = d.impedance};
    if (d.shortedTurns > 0.0) {
        s.fault = "shorted_turns";
        s.severity = d.shortedTurns;
    }
    return s;
}

std::vector<Complex> response(const InventedDriver& d, const curve::Axis& axis) {
    std::vector<Complex> result;
    for (const double f : axis) {
        const Complex low{0.0, f / d.lowCorner};
        Complex H = low * low / (low * low + low / d.lowQ + 1.0);
        // Butterworth of that order, from its poles.
        for (int k = 1; k <= d.highOrder; ++k) {
            const Complex pole = std::polar(
                1.0, std::numbers::pi * (2.0 * k + d.highOrder - 1.0) / (2.0 * d.highOrder));
            H *= -pole / (Complex{0.0, f / d.highCorner} - pole);
        }
        if (d.step > 0.0) {
            const double g = quantity::gain(d.step);
            const Complex s{0.0, f / d.stepCentre};
            H *= (1.0 + s * std::sqrt(g)) / (1.0 + s / std::sqrt(g)) / g;
        }
        for (const Peak& peak : d.peaks) {
            const Complex s{0.0, f / peak.f0};
            const double g = quantity::gain(peak.height);
            H *= (s * s + s * g / peak.q + 1.0) / (s * s + s / peak.q + 1.0);
        }
        Complex echoes{1.0};
        for (const Echo& echo : d.echoes) {
            echoes += std::polar(echo.share, -twoPi * f * echo.delay);
        }
        H *= echoes * std::polar(1.0, -twoPi * f * d.delay);
        result.push_back(H * quantity::referencePressure * quantity::gain(d.level));
    }
    return result;
}

std::string responseTable(const InventedDriver& d, bool decimalComma) {
    const curve::Axis axis = tableAxis();
    const auto clean = response(d, axis);
    Noise noise(d.seed);
    const double floor = quantity::referencePressure * quantity::gain(d.noiseFloor);
    std::string table = "# " + d.name +
                        " in its cabinet, 1 m on the listening axis, 2.83 V, common time zero at "
                        "the front's plane\n" +
                        "# invented driver, computed; seed " + std::to_string(d.seed) + "\n";
    table +=
        decimalComma ? "Frequenz Hz;Pegel dB;Phase Grad\n" : "frequency_hz,level_db,phase_deg\n";
    const char* separator = decimalComma ? ";" : ",";
    for (std::size_t k = 0; k < axis.size(); ++k) {
        const Complex p = clean[k] + Complex{noise.next(), noise.next()} * floor;
        const double level = quantity::decibels(std::abs(p) / quantity::referencePressure);
        table += number(axis[k], 2, decimalComma) + separator + number(level, 2, decimalComma) +
                 separator + number(std::arg(p) / quantity::degree, 1, decimalComma) + "\n";
    }
    return table;
}

std::string impedanceTable(const InventedDriver& d, bool decimalComma) {
    const curve::Axis axis = tableAxis();
    auto clean = driver::impedance(d.impedance, axis);
    if (d.shortedTurns > 0.0) {
        constexpr double drive = 0.3; // V; no matter without friction
        const sim::Specimen s = specimenOf(d);
        std::ranges::transform(axis, clean.begin(), [&](double f) {
            return *sim::impedance(s, bench::Place::driver, f, drive);
        });
    }
    Noise noise(d.seed + 1);
    std::string table = "# " + d.name + " in its cabinet, impedance by a two-channel jig\n";
    table += decimalComma ? "Frequenz Hz;Impedanz Ohm;Phase Grad\n"
                          : "frequency_hz impedance_ohm phase_deg\n";
    const char* separator = decimalComma ? ";" : " ";
    constexpr double spread = 0.002; // 0.2 % of a good jig
    for (std::size_t k = 0; k < axis.size(); ++k) {
        const Complex Z = clean[k] * (1.0 + spread * Complex{noise.next(), noise.next()});
        table += number(axis[k], 2, decimalComma) + separator +
                 number(std::abs(Z), 3, decimalComma) + separator +
                 number(std::arg(Z) / quantity::degree, 2, decimalComma) + "\n";
    }
    return table;
}

box::Driver boxDriverOf(const InventedDriver& d, double Sd) {
    const double w = 2.0 * std::numbers::pi * d.impedance.fs;
    const double c = quantity::soundSpeed;
    box::Driver out{.Re = d.impedance.Re,
                    .fs = d.impedance.fs,
                    .Qms = d.impedance.Qms,
                    .Qes = d.impedance.Qes,
                    .Vas = quantity::airDensity * c * c * Sd * Sd / (w * w * d.Mms),
                    .Sd = Sd,
                    .Le = d.impedance.Le.value_or(0.0)};
    out.coil = box::Coil::lr2;
    out.L2 = d.impedance.L2;
    out.R2 = d.impedance.R2;
    return out;
}

curve::Curve impedanceInBox(const box::Driver& driver, const box::Box& box, unsigned seed) {
    const curve::Axis axis = curve::within(curve::designAxis(), 10.0, 2000.0);
    const box::System system = box::systemOf(driver, box, {});
    Noise noise(seed);
    std::vector<Complex> Z;
    constexpr double spread = 0.003;
    for (const double f : axis) {
        Z.push_back(box::motionAt(system, f).Z *
                    (1.0 + spread * Complex{noise.next(), noise.next()}));
    }
    return {axis, std::move(Z), curve::Phase::common};
}

std::vector<double> impulseInRoom(const InventedDriver& driver) {
    constexpr double rate = 48000.0;
    constexpr std::size_t length = 16384;
    constexpr std::size_t kept = 9600;
    constexpr double flight = 2.9e-3; // s
    curve::Axis axis;
    for (std::size_t k = 0; k <= length / 2; ++k) {
        axis.push_back(std::max(1.0, static_cast<double>(k) * rate / length));
    }
    auto H = response(driver, axis);
    for (std::size_t k = 0; k < H.size(); ++k) {
        // The converter's own low-pass, so that nothing folds back.
        const double edge = axis[k] > 20000.0 ? std::exp((20000.0 - axis[k]) / 500.0) : 1.0;
        H[k] *= std::polar(edge, -twoPi * axis[k] * flight);
    }
    H.front() = 0.0;
    H.back() = H.back().real();
    const auto direct = signal::transformBack(H, length);
    std::vector<double> heard = direct;

    struct Wall {
        std::size_t after;
        double share;
    };

    for (const Wall& wall : {Wall{200, 0.45}, Wall{390, 0.3}}) {
        for (std::size_t n = wall.after; n < length; ++n) {
            heard[n] += wall.share * direct[n - wall.after];
        }
    }
    heard.resize(kept);
    return heard;
}

} // namespace yf::demo
