// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/sound_bench.h"

#include "core/curve/interpolate.h"
#include "core/evaluation/usable_band.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::sim {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;
using Transfer = std::function<Complex(double)>;

/// A measured curve carried on beyond its ends: second-order slopes below and above.
Transfer carriedOn(const curve::Curve& curve, double lowOrder, double highOrder) {
    auto line = std::make_shared<curve::Interpolant>(curve);
    const curve::Range holds = curve.extent();
    return [line, holds, lowOrder, highOrder](double f) {
        const double inside = std::clamp(f, holds.from, holds.to);
        Complex v = line->at({inside})->front();
        if (f < holds.from) {
            // (jf/f0)^n keeps the phase of a high-pass.
            v *= std::pow(f / holds.from, lowOrder);
        } else if (f > holds.to) {
            v *= std::pow(f / holds.to, -highOrder);
        }
        return v;
    };
}

struct Plain {
    double fs, Q, top, level, Re, Le;
};

/// A driver of no particular make for each band.
Plain plainOf(job::Band band) {
    constexpr std::array<Plain, 5> plain{{{28.0, 0.5, 400.0, 88.0, 5.5, 1.2e-3},
                                          {42.0, 0.6, 3500.0, 89.0, 5.8, 0.7e-3},
                                          {140.0, 0.7, 7000.0, 90.0, 5.6, 0.3e-3},
                                          {900.0, 0.8, 22000.0, 91.0, 5.2, 0.04e-3},
                                          {2500.0, 0.8, 35000.0, 92.0, 5.0, 0.02e-3}}};
    return plain.at(static_cast<std::size_t>(band));
}

Transfer responseOf(const job::Job& job, const job::Driver& driver) {
    if (const job::Take* take = job::takeInUse(job, driver, job::TakeKind::response);
        take != nullptr && take->curve->phase() != curve::Phase::none) {
        const double perVolt = 1.0 / take->drive;
        const double toOneMetre = take->distance;
        // What stands in the take is its own distance: back to the front's plane.
        const double flight =
            take->recorded.samples.empty() ? 0.0 : take->distance / quantity::soundSpeed;
        return [own = carriedOn(*take->curve, 2.0, 2.0), perVolt, toOneMetre, flight](double f) {
            return own(f) * perVolt * toOneMetre * std::polar(1.0, 2.0 * pi * f * flight);
        };
    }
    const Plain p = plainOf(driver.band);
    const double gain =
        quantity::referencePressure * quantity::gain(p.level) / quantity::referenceVoltage;
    return [p, gain](double f) {
        const Filter high{FilterKind::highPass, p.fs, p.Q};
        const Filter low{FilterKind::lowPass, p.top, 0.7};
        return gain * high.at(f) * low.at(f);
    };
}

Transfer impedanceOf(const job::Job& job, const job::Driver& driver) {
    if (const job::Take* take = job::takeInUse(job, driver, job::TakeKind::impedance);
        take != nullptr && take->curve->phase() != curve::Phase::none) {
        return carriedOn(*take->curve, 0.0, -0.6);
    }
    const Plain p = plainOf(driver.band);
    return [model = driver::ImpedanceModel{
                .Re = p.Re, .fs = p.fs, .Qms = 4.0, .Qes = p.Q * 1.2, .Le = p.Le}](double f) {
        return driver::impedance(model, {f}).front();
    };
}

/// 2·J1(x)/x: a rigid piston off its axis.
double piston(double x) {
    return std::abs(x) < 1e-6 ? 1.0 : 2.0 * std::cyl_bessel_j(1.0, std::abs(x)) / std::abs(x);
}

Complex directivity(double radius, double degrees, double f) {
    const double k = 2.0 * pi * f / quantity::soundSpeed;
    const double theta = std::abs(degrees) * pi / 180.0;
    const double off = std::min(theta, 0.5 * pi);
    double d = piston(k * radius * std::sin(off));
    if (theta > 0.5 * pi) {
        // Behind the cabinet only what bends round it arrives.
        d *= 1.0 / (1.0 + k * 0.15 * (1.0 - std::cos(theta - 0.5 * pi)) * 4.0);
    }
    return d;
}

/// Volume velocity of the port re that of the cone, −1/(1 − (f/fb)² + j(f/fb)/QL) for a lossy box.
Complex portShare(double f, double fb) {
    const double h = f / fb;
    constexpr double QL = 7.0;
    return -1.0 / Complex{1.0 - h * h, h / QL};
}

} // namespace

Result<SoundBench> soundBench(const job::Job& job, const BenchView& view) {
    SoundBench bench;
    const job::Driver* driver = job::findDriver(job, view.driver);
    const job::Cabinet* cabinet = job::findCabinet(job, view.cabinet);
    if (!view.driver.empty() && driver == nullptr) {
        return Error{"driver", say(YF_WORDS("core", "'%1' is not in the job"), view.driver), ""};
    }
    bench.room = {.distance = view.distance,
                  .speakerHeight = 1.2,
                  .ceilingHeight = 2.9,
                  .sideWall = 1.9,
                  .frontWall = 1.6,
                  .backWall = 2.5};
    bench.chain = {.reflection = 0.7,
                   .noise = -88.0,
                   .latency = 0.032,
                   .secondHarmonic = 2e-3,
                   .thirdHarmonic = 1e-3};
    if (driver == nullptr) {
        if (cabinet == nullptr) {
            return Error{
                "cabinet", say(YF_WORDS("core", "'%1' is not in the job"), view.cabinet), ""};
        }
        const evaluation::Evaluation evaluation = evaluation::evaluate(job);
        const evaluation::CabinetResult* result = evaluation.find(cabinet->id);
        if (result == nullptr || result->impedance.size() < 2 || result->sum.size() < 2) {
            return Error{
                "cabinet",
                say(YF_WORDS("core", "'%1' has no drivers with curves yet"), cabinet->name),
                "measure its drivers first, one by one"};
        }
        const double perVolt = 1.0 / cabinet->circuit.source.voltage;
        const auto whole =
            carriedOn(curve::Curve(result->axis, result->sum, curve::Phase::common), 2.0, 2.0);
        bench.impedance = carriedOn(
            curve::Curve(result->axis, result->impedance, curve::Phase::common), 0.0, 0.0);
        bench.pressure = [=](double f) { return whole(f) * perVolt; };
        return turned(bench, *cabinet, view.angle);
    }
    const auto axis = responseOf(job, *driver);
    bench.impedance = impedanceOf(job, *driver);
    const double a = std::sqrt(evaluation::coneArea(*driver).Sd / pi);
    if (view.place == job::MicPlace::farField) {
        bench.pressure = [=](double f) { return axis(f) * directivity(a, view.angle, f); };
        if (!view.also.empty()) {
            BenchView other = view;
            other.driver = view.also;
            other.also.clear();
            YF_TRY(second, soundBench(job, other));
            bench.pressure = [one = bench.pressure, two = second.pressure](double f) {
                return one(f) + two(f);
            };
        }
        return bench;
    }
    // Close to the source there is no room to speak of.
    bench.chain.reflection = 0.02;
    const double z = view.distance;
    const double near = 2.0 / a * (std::hypot(1.0, z / a) - z / a);
    if (view.place == job::MicPlace::nearCone) {
        bench.pressure = [=](double f) {
            // Above ka = 1 the near field falls away from the far one.
            const double ka = 2.0 * pi * f * a / quantity::soundSpeed;
            return axis(f) * near * z / (1.0 + 0.18 * ka * ka);
        };
        return bench;
    }
    if (!driver->place.fb) {
        return Error{"place",
                     say(YF_WORDS("core", "'%1' sits in no vented box"), driver->name),
                     "enter the tuning of its box, or measure its cone"};
    }
    const double fb = *driver->place.fb;
    bench.pressure = [=](double f) {
        constexpr double portRadius = 0.03;
        return axis(f) * (2.0 / portRadius) * portShare(f, fb) * z;
    };
    return bench;
}

SoundBench turned(const SoundBench& onAxis, const job::Cabinet& cabinet, double degrees) {
    SoundBench bench = onAxis;
    // All ways taken together, a cabinet beams like a piston of about a sixth of its width.
    const double radius = 0.175 * cabinet.width;
    bench.pressure = [axis = onAxis.pressure, radius, degrees](double f) {
        return axis(f) * directivity(radius, degrees, f);
    };
    return bench;
}

Heard hearResponse(const SoundBench& bench, const std::vector<double>& play, double rate) {
    const double gain = bench.fullScaleVoltage / bench.fullScalePressure;
    std::vector<Way> ways;
    for (const signal::Path& path : signal::pathsOf(bench.room)) {
        ways.push_back({(ways.empty() ? 1.0 : bench.chain.reflection) / path.length,
                        path.length / quantity::soundSpeed});
    }
    return hear(
        play, rate, [&](double f) { return bench.pressure(f) * gain; }, ways, bench.chain);
}

namespace {

/// No room, no loudspeaker: wires only.
Chain wires(const SoundBench& bench) {
    Chain electric = bench.chain;
    electric.tail.reset();
    electric.tailLevel.reset();
    electric.noise -= 6.0;
    electric.secondHarmonic = electric.thirdHarmonic = 1e-5;
    return electric;
}

} // namespace

Heard hearLoop(const SoundBench& bench, const std::vector<double>& play, double rate) {
    return hear(
        play, rate, [](double) { return Complex{1.0}; }, {Way{}}, wires(bench));
}

Heard hearInClips(const SoundBench& bench,
                  double ohms,
                  const std::vector<double>& play,
                  double rate) {
    SoundBench other = bench;
    other.impedance = [ohms](double) { return Complex{ohms}; };
    return hearJig(other, play, rate);
}

Heard hearCalibrator(const SoundBench& bench, double level, std::size_t samples, double rate) {
    constexpr double tone = 1000.0; // Hz
    const double peak = std::numbers::sqrt2 * quantity::referencePressure * quantity::gain(level) /
                        bench.fullScalePressure;
    std::vector<double> sound(samples);
    for (std::size_t n = 0; n < samples; ++n) {
        sound[n] = peak * std::sin(2.0 * std::numbers::pi * tone * static_cast<double>(n) / rate);
    }
    Heard heard = hearLoop(bench, sound, rate);
    std::ranges::fill(heard.reference, 0.0);
    return heard;
}

Heard hearJig(const SoundBench& bench, const std::vector<double>& play, double rate) {
    return hear(
        play,
        rate,
        [&](double f) {
            const Complex Z = bench.impedance(f) + bench.lead;
            return Z / (Z + bench.sense);
        },
        {Way{}},
        wires(bench));
}

} // namespace yf::sim
