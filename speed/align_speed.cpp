// SPDX-License-Identifier: GPL-3.0-or-later
// A driver dragged on the front: a front's edges beside the same integral frequency by frequency, a
// map of angles beside a bare loop over the formulas, and the whole step beside two frames of a
// screen.
#include "core/edit/front.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/quantity/air.h"
#include "core/study/align.h"
#include "demo/lantern_hall.h"
#include "speed/least.h"

#include <benchmark/benchmark.h>

#include <cmath>
#include <cstdio>
#include <numbers>

namespace yf::speed {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;
constexpr double c = quantity::soundSpeed;

const curve::Axis& audible() {
    static const curve::Axis axis = curve::within(curve::designAxis(), 20.0, 20000.0);
    return axis;
}

void binned() {
    benchmark::DoNotOptimize(
        speaker::diffractionOf({0.25, 0.9}, {0.0, 0.2}, {0.0, 0.2, 2.5}, audible()));
}

/// One source point, four edges, an exponential for each segment and frequency.
void frequencyByFrequency() {
    const double half[2] = {0.125, 0.45};
    const double source[2] = {0.0, 0.2};
    const speaker::Point P{0.0, 0.2, 2.5};
    const double d0 = 2.5;
    Complex all;
    for (const double f : audible()) {
        const double k = 2.0 * pi * f / c;
        Complex E;
        for (const int across : {0, 1}) {
            for (const double side : {1.0, -1.0}) {
                const double rS = half[across] - side * source[across];
                const double out = side * (across == 0 ? P.x : P.y) - half[across];
                const double rP = std::hypot(out, P.z);
                const double theta = std::atan2(P.z, -out);
                const double zP = across == 0 ? P.y : P.x;
                const double zS = source[1 - across];
                const double long_ = half[1 - across];
                const auto count = static_cast<int>(2.0 * long_ / (c / 20000.0 / 8.0));
                const double dz = 2.0 * long_ / count;
                for (int i = 0; i < count; ++i) {
                    const double z = -long_ + (i + 0.5) * dz;
                    const double m = std::hypot(rS, z - zS);
                    const double l = std::hypot(rP, z - zP);
                    const double eta =
                        std::acosh(std::max(1.0, (m * l + (z - zS) * (z - zP)) / (rS * rP)));
                    double beta = 0.0;
                    for (const double sign : {1.0, -1.0}) {
                        const double a = 2.0 / 3.0 * (pi + sign * theta);
                        beta += 2.0 * std::sin(a) / (std::cosh(2.0 / 3.0 * eta) - std::cos(a));
                    }
                    E += beta / (m * l) * std::polar(dz, -k * (m + l - d0));
                }
            }
        }
        all += E;
    }
    benchmark::DoNotOptimize(all);
}

struct Hall {
    job::Job job = demo::lanternHall(demo::hallTables())->job();
    evaluation::Assembly assembly = evaluation::assemble(job);
    evaluation::Evaluation evaluation = evaluation::evaluate(job, assembly);

    [[nodiscard]] const job::Cabinet& left() const { return *job::findCabinet(job, "left"); }
};

const Hall& hall() {
    static const Hall one;
    return one;
}

void map() {
    const auto all =
        evaluation::directionsOf(hall().job, hall().left(), *hall().evaluation.find("left"), 1);
    benchmark::DoNotOptimize(
        evaluation::mapOf(*all, hall().left().seat, quantity::Plane::vertical, 3, 90));
}

/// The same sum by the formulas as they stand: a Bessel function and an exponential each.
void bareMap() {
    const auto all =
        evaluation::directionsOf(hall().job, hall().left(), *hall().evaluation.find("left"), 1);
    double sum = 0.0;
    for (int degrees = -90; degrees <= 90; degrees += 3) {
        const double a = degrees * pi / 180.0;
        const double D = hall().left().seat.distance;
        for (std::size_t i = 0; i < all->radiators.axis.size(); ++i) {
            const double k = 2.0 * pi * all->radiators.axis[i] / c;
            Complex p;
            for (const speaker::Radiator& one : all->radiators.of) {
                const double radius = std::get<speaker::Piston>(one.directivity).radius;
                const speaker::Point to{-one.place.x,
                                        all->radiators.listening.y + D * std::sin(a) - one.place.y,
                                        D * std::cos(a) - one.place.z};
                const double r = speaker::length(to);
                const double x = k * radius * std::sqrt(std::max(0.0, 1.0 - to.z * to.z / r / r));
                const double J = x < 1e-6 ? 1.0 : 2.0 * std::cyl_bessel_j(1.0, x) / x;
                p += one.pressure[i] * J * std::polar(1.0 / r, -k * (r - D));
            }
            sum += std::abs(p);
        }
    }
    benchmark::DoNotOptimize(sum);
}

/// From the hand to everything that Align shows.
void dragStep() {
    static int count = 0;
    const job::Mount& here =
        *std::ranges::find(hall().left().mounts, std::string("left-teasel"), &job::Mount::driver);
    job::Mount to = here;
    to.y += 1e-3 * (1 + count++ % 30);
    const auto moved = edit::shiftDriver("left", to, "drag").apply(hall().job);
    static evaluation::Memory memory;
    const auto assembly = evaluation::assemble(*moved, memory);
    const auto evaluation =
        evaluation::evaluate(*moved, assembly, evaluation::Tables::shipped(), memory);
    const job::Cabinet& cabinet = *job::findCabinet(*moved, "left");
    const auto all = evaluation::directionsOf(*moved, cabinet, *evaluation.find("left"), 6);
    benchmark::DoNotOptimize(
        evaluation::mapOf(*all, cabinet.seat, quantity::Plane::vertical, 3, 90));
    benchmark::DoNotOptimize(
        evaluation::frontEffect(cabinet, *all, speaker::ear(all->radiators.listening, {})));
}

} // namespace

} // namespace yf::speed

int main() {
    using namespace yf::speed;
    constexpr int runs = 20;
    const double ours = least(runs, binned);
    const double plain = least(2, frequencyByFrequency);
    std::printf("a front's edges, one point, 480 frequencies: %.2f ms by delays, %.0f ms frequency "
                "by frequency: %.0f times faster\n",
                1e3 * ours,
                1e3 * plain,
                plain / ours);
    const double mapped = least(runs, map);
    const double bare = least(4, bareMap);
    std::printf("a map of 61 angles, three drivers: %.1f ms, by the bare formulas %.1f ms: %.1f "
                "times faster\n",
                1e3 * mapped,
                1e3 * bare,
                bare / mapped);
    const double step = least(runs, dragStep);
    constexpr double frames = 2.0 / 60.0;
    std::printf("a driver dragged: sum, map and edges %.1f ms, %.2f of two frames at 60 Hz\n",
                1e3 * step,
                step / frames);
    return 0;
}
