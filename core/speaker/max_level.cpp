// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/max_level.h"

#include "core/curve/interpolate.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/text/fields.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace yf::speaker {

namespace {

constexpr double pi = std::numbers::pi;

Result<std::vector<double>> gainsOn(const measure::CurveKeys& keys, const Axis& axis) {
    measure::CurveKeys bare = keys;
    bare.phases.reset();
    YF_TRY(values, curve::interpolate(measure::toCurve(bare), axis));
    std::vector<double> gains;
    for (const Complex& v : values) {
        gains.push_back(std::abs(v));
    }
    return gains;
}

/// A way at each frequency, per volt at the speaker.
struct WayOn {
    std::vector<double> level;  ///< Pa for 2.83 V
    std::vector<double> T;      ///< driver's volts
    std::vector<double> travel; ///< m peak
};

Result<WayOn> wayOn(const PowerWay& way, const Axis& axis, quantity::Space space) {
    WayOn on;
    YF_TRY(response, gainsOn(way.response, axis));
    on.T.assign(axis.size(), 1.0);
    if (way.transfer) {
        YF_TRY(transfer, gainsOn(*way.transfer, axis));
        on.T = std::move(transfer);
    }
    for (std::size_t k = 0; k < axis.size(); ++k) {
        on.level.push_back(quantity::referencePressure * response[k] * on.T[k]);
    }
    if (way.excursion) {
        std::vector<Complex> peaks(way.excursion->peaks.begin(), way.excursion->peaks.end());
        YF_TRY(travel,
               curve::interpolate(
                   curve::Curve(way.excursion->frequencies, peaks, curve::Phase::none), axis));
        for (const Complex& x : travel) {
            on.travel.push_back(std::abs(x) / quantity::referenceVoltage);
        }
        return on;
    }
    const double solid = space == quantity::Space::half ? 2.0 * pi : 4.0 * pi;
    for (std::size_t k = 0; k < axis.size(); ++k) {
        const double omega = 2.0 * pi * axis[k];
        on.travel.push_back(std::numbers::sqrt2 * on.level[k] / quantity::referenceVoltage * solid /
                            (quantity::airDensity * omega * omega * way.Sd));
    }
    return on;
}

/// Mean over ln f by the trapezium rule.
template <class F>
double pinkMean(const Axis& axis, F&& value) {
    double sum = 0.0;
    double width = 0.0;
    for (std::size_t k = 1; k < axis.size(); ++k) {
        const double w = std::log(axis[k] / axis[k - 1]);
        sum += 0.5 * w * (value(k - 1) + value(k));
        width += w;
    }
    return sum / width;
}

curve::Range heldBy(const PowerRequest& r) {
    curve::Range held{r.band.front(), r.band.back()};
    const auto narrow = [&](const std::vector<double>& f) {
        held.from = std::max(held.from, f.front());
        held.to = std::min(held.to, f.back());
    };
    for (const PowerWay& way : r.ways) {
        narrow(way.response.frequencies);
        if (way.transfer) {
            narrow(way.transfer->frequencies);
        }
        if (way.excursion) {
            narrow(way.excursion->frequencies);
        }
    }
    if (r.sum) {
        narrow(r.sum->frequencies);
    }
    return held;
}

} // namespace

std::optional<Error> check(const ExcursionKeys& keys) {
    if (keys.frequencies.size() != keys.peaks.size() || keys.frequencies.size() < 2) {
        return Error{
            "peak_m", "not one for each frequency", "lists must be of one length, 2 or more"};
    }
    return measure::checkRising(keys.frequencies, "frequencies_hz");
}

std::optional<Error> check(const PowerRequest& r) {
    if (r.ways.empty()) {
        return Error{"ways", "none given", "must be one or more"};
    }
    if (r.band.size() != 2 || !(r.band[0] < r.band[1])) {
        return Error{"band_hz", "does not rise", "must be two frequencies, the lower first"};
    }
    return std::nullopt;
}

Result<PowerAnswer> power(const PowerRequest& r) {
    const curve::Range held = heldBy(r);
    const Axis axis = curve::within(curve::designAxis(), held.from, held.to);
    constexpr std::size_t leastPoints = 3;
    if (axis.size() < leastPoints) {
        return Error{"ways", "share no range within band_hz", "curves must overlap there"};
    }
    std::vector<WayOn> ways;
    for (const PowerWay& way : r.ways) {
        YF_TRY(on, wayOn(way, axis, r.space));
        ways.push_back(std::move(on));
    }
    std::vector<double> squares(axis.size()); // Pa² for 2.83 V
    if (r.sum) {
        YF_TRY(sum, gainsOn(*r.sum, axis));
        for (std::size_t k = 0; k < axis.size(); ++k) {
            squares[k] = std::pow(quantity::referencePressure * sum[k], 2);
        }
    } else {
        for (const WayOn& way : ways) {
            for (std::size_t k = 0; k < axis.size(); ++k) {
                squares[k] += way.level[k] * way.level[k];
            }
        }
    }
    constexpr double twoSpeakers = 3.010299956639812;
    const double added = (r.pair ? twoSpeakers : 0.0) - quantity::decibels(r.distance);
    const auto levelOf = [&](double square, double volts) {
        return 10.0 * std::log10(square) - 20.0 * std::log10(quantity::referencePressure) +
               quantity::decibels(volts / quantity::referenceVoltage) + added;
    };
    const double kappa = std::pow(10.0, r.crest / 20.0);
    PowerAnswer answer{.frequencies = axis};
    answer.speakerVolts = std::numeric_limits<double>::infinity();
    for (std::size_t i = 0; i < ways.size(); ++i) {
        const double thermal =
            std::sqrt(r.ways[i].rated * r.ways[i].ratedOhms /
                      pinkMean(axis, [&](std::size_t k) { return ways[i].T[k] * ways[i].T[k]; }));
        const double travel =
            r.ways[i].Xmax / (kappa * std::sqrt(pinkMean(axis, [&](std::size_t k) {
                                  return 0.5 * ways[i].travel[k] * ways[i].travel[k];
                              })));
        for (const auto& [volts, cause] : {std::pair{thermal, "thermal"}, {travel, "excursion"}}) {
            if (volts < answer.speakerVolts) {
                answer.speakerVolts = volts;
                answer.limitingWay = r.ways[i].name;
                answer.limitingCause = cause;
            }
        }
    }
    const double amplifier = std::sqrt(2.0 * r.amplifier * r.amplifierOhms) / kappa;
    answer.programmeVolts = answer.speakerVolts;
    if (amplifier < answer.speakerVolts) {
        answer.programmeVolts = amplifier;
        answer.limitingWay = "amplifier";
        answer.limitingCause = "amplifier";
    }
    const double mean = pinkMean(axis, [&](std::size_t k) { return squares[k]; });
    answer.programmeLevel = levelOf(mean, answer.programmeVolts);
    for (std::size_t k = 0; k < axis.size(); ++k) {
        double volts = std::sqrt(r.amplifier * r.amplifierOhms);
        for (std::size_t i = 0; i < ways.size(); ++i) {
            volts = std::min({volts,
                              r.ways[i].Xmax / ways[i].travel[k],
                              std::sqrt(r.ways[i].rated * r.ways[i].ratedOhms) / ways[i].T[k]});
        }
        answer.sineLevels.push_back(levelOf(squares[k], volts));
    }
    if (r.target) {
        const double volts = quantity::referenceVoltage *
                             quantity::gain(*r.target - levelOf(mean, quantity::referenceVoltage));
        answer.neededWatts = volts * kappa * volts * kappa / (2.0 * r.amplifierOhms);
        answer.reachable = volts <= answer.speakerVolts;
    }
    return answer;
}

text::Value PowerAnswer::write() const {
    using text::Value;
    const auto list = [](const std::vector<double>& values) {
        Value::List out;
        for (const double v : values) {
            out.emplace_back(v);
        }
        return out;
    };
    Value::Object object{{"programme_max_v", programmeVolts},
                         {"programme_max_level_db", programmeLevel},
                         {"limiting_way", limitingWay},
                         {"limiting_cause", limitingCause},
                         {"speaker_max_v", speakerVolts},
                         {"frequencies_hz", list(frequencies)},
                         {"sine_max_level_db", list(sineLevels)}};
    if (neededWatts) {
        object.push_back({"amplifier_needed_w", *neededWatts});
        object.push_back({"reachable", *reachable});
    }
    return object;
}

} // namespace yf::speaker
