// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/usable_band.h"

#include "core/base/median.h"
#include "core/curve/interpolate.h"
#include "core/curve/smooth.h"
#include "core/measure/inputs.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::driver {

namespace {

using text::printNumber;

constexpr double pi = std::numbers::pi;

double level(curve::Complex v) {
    constexpr double least = 1e-15;
    return 20.0 * std::log10(std::max(std::abs(v), least));
}

double referenceLevel(const curve::Curve& response, curve::Range band) {
    std::vector<double> levels;
    for (std::size_t i = 0; i < response.size(); ++i) {
        if (band.holds(response.frequencies()[i])) {
            levels.push_back(level(response.values()[i]));
        }
    }
    return levels.empty() ? 0.0 : median(std::move(levels));
}

std::string hz(double f) {
    return text::printEngineering(f, "Hz");
}

} // namespace

std::vector<Breakup> findBreakups(const curve::Curve& response, curve::Range reference) {
    curve::Axis axis;
    const double step = std::pow(10.0, 0.3 / 24.0);
    for (double f = response.extent().from; f <= response.extent().to; f *= step) {
        axis.push_back(f);
    }
    if (axis.size() < 24) {
        return {};
    }
    std::vector<double> L;
    const auto values = curve::interpolate(response, axis);
    for (const auto& v : values.value()) {
        L.push_back(level(v));
    }
    const double base = referenceLevel(response, reference);
    const auto n = static_cast<std::ptrdiff_t>(axis.size());
    std::vector<Breakup> found;
    for (std::ptrdiff_t i = 1; i + 1 < n; ++i) {
        const auto at = [&](std::ptrdiff_t k) { return L[static_cast<std::size_t>(k)]; };
        if (!(at(i) > at(i - 1) && at(i) >= at(i + 1))) {
            continue;
        }
        constexpr std::ptrdiff_t halfOctave = 12;
        const auto first = std::max<std::ptrdiff_t>(0, i - halfOctave);
        const auto last = std::min(n - 1, i + halfOctave);
        const double ground = median(std::vector<double>(L.begin() + first, L.begin() + last + 1));
        constexpr double stands = 3.0;
        if (at(i) - ground < stands) {
            continue;
        }
        std::ptrdiff_t left = i;
        std::ptrdiff_t right = i;
        while (left > 0 && at(left) > at(i) - stands) {
            --left;
        }
        while (right + 1 < n && at(right) > at(i) - stands) {
            ++right;
        }
        // Narrower than half an octave, both flanks seen.
        if (right - left >= halfOctave || at(left) > at(i) - stands || at(right) > at(i) - stands) {
            continue;
        }
        const auto cross = [&](std::ptrdiff_t inside, std::ptrdiff_t outside) {
            const double t = (at(inside) - (at(i) - stands)) / (at(inside) - at(outside));
            return axis[static_cast<std::size_t>(inside)] *
                   std::pow(axis[static_cast<std::size_t>(outside)] /
                                axis[static_cast<std::size_t>(inside)],
                            t);
        };
        const double width = cross(right - 1, right) - cross(left + 1, left);
        const double f = axis[static_cast<std::size_t>(i)];
        if (f > reference.to || f < reference.from) {
            found.push_back({f, at(i) - base, f / width});
        }
    }
    return found;
}

std::optional<Error> check(const UsableBandRequest& r) {
    if (r.frequencies.size() != r.levels.size()) {
        return Error{"levels_db",
                     say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                         std::to_string(r.levels.size()),
                         std::to_string(r.frequencies.size())),
                     ""};
    }
    if (r.frequencies.size() == 1) {
        return Error{"frequencies_hz", "1 given", "must be 2 or more, or none"};
    }
    if (auto error = measure::checkRising(r.frequencies, "frequencies_hz")) {
        return error;
    }
    if (!r.referenceBand.empty()) {
        if (r.referenceBand.size() != 2 || !(r.referenceBand[0] < r.referenceBand[1])) {
            return Error{
                "reference_band_hz", "not two rising frequencies", "must be lower and upper end"};
        }
        if (!r.frequencies.empty() && (r.referenceBand[0] > r.frequencies.back() ||
                                       r.referenceBand[1] < r.frequencies.front())) {
            return Error{"reference_band_hz",
                         say(YF_WORDS("core", "%1 to %2"),
                             printNumber(r.referenceBand[0]),
                             printNumber(r.referenceBand[1])),
                         say(YF_WORDS("core", "must meet the data, %1 to %2"),
                             printNumber(r.frequencies.front()),
                             printNumber(r.frequencies.back()))};
        }
    }
    return std::nullopt;
}

Result<UsableBand> usableBand(const UsableBandRequest& r) {
    const double a = std::sqrt(r.Sd / pi);
    UsableBand b{.ka1 = quantity::soundSpeed / (2.0 * pi * a)};
    constexpr double pistonHalf = 2.212; // 2·J1(x)/x = 0.5
    b.directivity = pistonHalf * quantity::soundSpeed / (2.0 * pi * a * std::sin(r.offAxis));
    if (r.role != quantity::DriverRole::woofer) {
        constexpr std::array times{4.0, 3.0, 2.5, 2.0};
        b.resonance = times.at(static_cast<std::size_t>(std::clamp(r.lowOrder, 1, 4) - 1)) * r.fs;
        b.low = b.resonance;
        b.lowReason = "resonance";
        if (r.Xmax) {
            const double p = quantity::referencePressure * quantity::gain(r.level);
            const double fX = std::sqrt(std::numbers::sqrt2 * 2.0 * pi * p /
                                        (quantity::airDensity * r.Sd * *r.Xmax)) /
                              (2.0 * pi);
            b.excursion = r.lowOrder >= 2 ? fX : std::max(fX, fX * fX / r.fs);
            if (*b.excursion > *b.low) {
                b.low = b.excursion;
                b.lowReason = "excursion";
            }
        }
    }
    b.high = b.directivity;
    b.highReason = "directivity";
    if (!r.frequencies.empty()) {
        std::vector<curve::Complex> values;
        for (const double v : r.levels) {
            values.emplace_back(quantity::gain(v));
        }
        const curve::Curve response(r.frequencies, std::move(values), curve::Phase::none);
        curve::Range reference{3.0 * r.fs, std::max(6.0 * r.fs, b.ka1)};
        if (!r.referenceBand.empty()) {
            reference = {r.referenceBand[0], r.referenceBand[1]};
        }
        if (curve::within(r.frequencies, reference.from, reference.to).empty()) {
            reference = response.extent();
            b.notes.emplace_back(YF_WORDS(
                "core", "The data do not hold the reference band: their whole range was taken."));
        }
        const double base = referenceLevel(response, reference);
        b.breakups = findBreakups(response, reference);
        std::erase_if(b.breakups, [&](const Breakup& p) { return p.f < reference.from; });
        for (const Breakup& p : b.breakups) {
            constexpr double down = 20.0;
            const double over = std::pow(10.0, (p.height + down) / 10.0) - 1.0;
            if (over <= 0.0) {
                continue;
            }
            const double limit = p.f / std::pow(over, 1.0 / (2.0 * r.highOrder));
            b.breakup = std::min(b.breakup.value_or(limit), limit);
        }
        const auto smooth = curve::smoothed(response, 3.0, curve::Smoothing::power);
        constexpr double fall = 6.0;
        for (std::size_t i = smooth.size(); i-- > 0;) {
            if (level(smooth.values()[i]) > base - fall) {
                if (i + 1 < smooth.size()) {
                    b.response = smooth.frequencies()[i];
                }
                break;
            }
        }
        if (b.breakup && *b.breakup < b.high) {
            b.high = *b.breakup;
            b.highReason = "breakup";
        }
        if (b.response && *b.response < b.high) {
            b.high = *b.response;
            b.highReason = "response";
        }
        for (const Breakup& p : b.breakups) {
            if (b.high > 0.5 * p.f && b.high < p.f) {
                b.notes.push_back(
                    say(YF_WORDS("core", "Distortion at half of %1 still excites the peak there."),
                        hz(p.f)));
            }
        }
    } else {
        b.notes.emplace_back(YF_WORDS(
            "core", "Without a measured response, breakup and its own fall are not known."));
    }
    if (b.low && *b.low >= b.high) {
        b.notes.push_back(say(YF_WORDS("core",
                                       "No band is left between %1 and %2: steeper slopes, another "
                                       "place, or another driver."),
                              hz(*b.low),
                              hz(b.high)));
    }
    return b;
}

} // namespace yf::driver
