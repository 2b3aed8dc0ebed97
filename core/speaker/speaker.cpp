// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/speaker.h"

#include "core/curve/interpolate.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <set>

namespace yf::speaker {

namespace {

constexpr double pi = std::numbers::pi;

Error missing(std::string key, const char* allowed) {
    return {std::move(key), "missing", allowed};
}

std::string driverPath(const std::string& path, std::size_t i) {
    return text::join(text::join(path, "drivers"), i);
}

Result<std::vector<Complex>> curveOn(const measure::CurveKeys& keys, const Axis& axis) {
    return curve::interpolate(measure::toCurve(keys), axis);
}

/// Beyond a curve's data: refused, naming its range.
Error outside(std::string key, const measure::CurveKeys& keys) {
    return {std::move(key),
            "does not hold all frequencies asked for",
            say(YF_WORDS("core", "must cover them; it has %1 to %2"),
                text::printEngineering(keys.frequencies.front(), "Hz"),
                text::printEngineering(keys.frequencies.back(), "Hz"))};
}

/// Sides of one plane over the axis' curve of the same set.
Result<std::vector<MeasuredDirectivity::Side>> sidesOf(const std::vector<PolarKeys>& polars,
                                                       const Axis& axis,
                                                       bool horizontal,
                                                       const std::string& path) {
    std::vector<MeasuredDirectivity::Side> sides;
    const auto angleOf = [&](const PolarKeys& p) { return horizontal ? p.horizontal : p.vertical; };
    const auto onAxis = std::ranges::find_if(polars, [&](const PolarKeys& p) {
        return p.horizontal.value_or(p.vertical.value_or(1.0)) == 0.0;
    });
    if (onAxis == polars.end()) {
        return Error{text::join(path, "polars"), "no curve at 0 degrees", "must hold the axis"};
    }
    YF_TRY(ahead, curveOn(onAxis->curve, axis));
    for (std::size_t i = 0; i < polars.size(); ++i) {
        const bool same = polars.begin() + static_cast<std::ptrdiff_t>(i) == onAxis;
        const auto angle = same ? std::optional(0.0) : angleOf(polars[i]);
        if (!angle) {
            continue;
        }
        const auto values = curveOn(polars[i].curve, axis);
        if (!values) {
            return outside(text::join(text::join(path, "polars"), i), polars[i].curve);
        }
        MeasuredDirectivity::Side side{.angle = *angle, .level = {}, .phase = {}};
        double last = 0.0;
        for (std::size_t k = 0; k < axis.size(); ++k) {
            const Complex ratio = (*values)[k] / ahead[k];
            side.level.push_back(std::log(std::max(std::abs(ratio), 1e-12)));
            last += std::remainder(std::arg(ratio) - last, 2.0 * pi);
            side.phase.push_back(polars[i].curve.hasPhase() && onAxis->curve.hasPhase() ? last
                                                                                        : 0.0);
        }
        sides.push_back(std::move(side));
    }
    std::ranges::sort(sides, {}, &MeasuredDirectivity::Side::angle);
    const bool only = sides.size() == 1;
    return only ? std::vector<MeasuredDirectivity::Side>{} : sides;
}

DirectivityKind kindOf(const SpeakerDriver& d) {
    return d.directivity.value_or(d.Sd ? DirectivityKind::piston : DirectivityKind::omni);
}

Result<Directivity>
directivityOf(const SpeakerDriver& d, const Axis& axis, const std::string& path) {
    switch (kindOf(d)) {
    case DirectivityKind::piston:
        return Directivity{Piston{std::sqrt(*d.Sd / pi)}};
    case DirectivityKind::strip:
        return Directivity{Strip{*d.strip}};
    case DirectivityKind::omni:
        return Directivity{Omni{}};
    case DirectivityKind::measured:
        break;
    }
    auto measured = std::make_shared<MeasuredDirectivity>();
    YF_TRY(horizontal, sidesOf(d.polars, axis, true, path));
    YF_TRY(vertical, sidesOf(d.polars, axis, false, path));
    if (horizontal.empty() && vertical.empty()) {
        return Error{text::join(path, "polars"), "one curve", "must hold 0 degrees and another"};
    }
    measured->horizontal = std::move(horizontal);
    measured->vertical = std::move(vertical);
    return Directivity{std::shared_ptr<const MeasuredDirectivity>(std::move(measured))};
}

/// Filters, polarity, gain and delay: all but the driver's own curve.
void applyChain(std::vector<Complex>& H, const SpeakerDriver& d, const Axis& axis) {
    for (std::size_t k = 0; k < axis.size(); ++k) {
        H[k] *= static_cast<double>(d.polarity) * quantity::gain(d.gain) *
                std::polar(1.0, -2.0 * pi * axis[k] * d.delay);
    }
    for (const IdealFilter& f : d.filters) {
        const auto D = network::prototype({.alignment = f.kind == FilterKind::linkwitzRiley
                                                            ? network::Alignment::linkwitzRiley
                                                            : network::Alignment::butterworth,
                                           .order = f.order});
        for (std::size_t k = 0; k < axis.size(); ++k) {
            H[k] *= network::filterAt(D, axis[k] / f.fx, f.side == FilterSide::high);
        }
    }
}

Result<std::vector<Complex>>
chainOf(const SpeakerDriver& d, const Axis& axis, const std::string& path) {
    std::vector<Complex> H(axis.size());
    if (d.response) {
        auto response = curveOn(*d.response, axis);
        if (!response) {
            return outside(text::join(path, "response"), *d.response);
        }
        for (std::size_t k = 0; k < H.size(); ++k) {
            H[k] = quantity::referencePressure * (*response)[k];
        }
    } else {
        std::ranges::fill(H, quantity::referencePressure * quantity::gain(*d.sensitivity));
    }
    if (d.transfer) {
        auto transfer = curveOn(*d.transfer, axis);
        if (!transfer) {
            return outside(text::join(path, "transfer"), *d.transfer);
        }
        for (std::size_t k = 0; k < H.size(); ++k) {
            H[k] *= (*transfer)[k];
        }
    }
    applyChain(H, d, axis);
    return H;
}

double wrapped(double angle) {
    return std::remainder(angle, 2.0 * pi);
}

} // namespace

std::optional<Error> check(const IdealFilter& f) {
    return f.kind == FilterKind::linkwitzRiley && f.order % 2 == 1
               ? std::optional(
                     Error{"order", text::given(std::to_string(f.order)), "must be even for lr"})
               : std::nullopt;
}

std::optional<Error> check(const PolarKeys& keys) {
    if (keys.horizontal.has_value() == keys.vertical.has_value()) {
        return Error{keys.horizontal ? "vertical_deg" : "horizontal_deg",
                     keys.horizontal ? "given beside horizontal_deg" : "missing, and vertical_deg",
                     "must be exactly one of both"};
    }
    return check(keys.curve);
}

std::optional<Error> check(const SpeakerDriver& d) {
    if (d.response.has_value() == d.sensitivity.has_value()) {
        return d.response
                   ? std::optional(Error{
                         "sensitivity_db", "given beside response", "must be exactly one of both"})
                   : missing("response", "must be given, or sensitivity_db");
    }
    if (d.response && !d.response->hasPhase()) {
        return missing("response.phases_deg", "curves that are added need phases");
    }
    if (d.transfer && !d.transfer->hasPhase()) {
        return missing("transfer.phases_deg", "curves that are multiplied need phases");
    }
    if (d.polarity != 1 && d.polarity != -1) {
        return Error{"polarity", text::given(std::to_string(d.polarity)), "must be 1 or -1"};
    }
    if (d.timing == Timing::common && !d.takenAt) {
        return missing("taken_at", "common timing needs the microphone's place");
    }
    if (d.timing == Timing::own && d.takenAt) {
        return Error{"taken_at", "given", "belongs to common timing"};
    }
    const DirectivityKind kind = kindOf(d);
    if (kind == DirectivityKind::piston && !d.Sd) {
        return missing("Sd_m2", "a piston needs its area");
    }
    if ((kind == DirectivityKind::strip) != d.strip.has_value()) {
        return d.strip ? std::optional(Error{"strip_m", "given", "belongs to directivity strip"})
                       : missing("strip_m", "a strip needs its length");
    }
    if ((kind == DirectivityKind::measured) == d.polars.empty()) {
        return d.polars.empty()
                   ? missing("polars", "directivity measured needs them")
                   : std::optional(Error{"polars", "given", "belong to directivity measured"});
    }
    return std::nullopt;
}

std::optional<Error> check(const Speaker& s) {
    constexpr std::size_t most = 12;
    if (s.drivers.empty() || s.drivers.size() > most) {
        return Error{
            "drivers", text::given(std::to_string(s.drivers.size())), "must be 1 to 12 drivers"};
    }
    std::set<std::string> names;
    for (std::size_t i = 0; i < s.drivers.size(); ++i) {
        const std::string path = text::join("drivers", i);
        if (!names.insert(s.drivers[i].name).second) {
            return Error{text::join(path, "name"),
                         say(YF_WORDS("core", "'%1' given twice"), s.drivers[i].name),
                         "a name may stand once"};
        }
        if (s.drivers[i].timing != s.drivers.front().timing) {
            return Error{text::join(path, "timing"),
                         "another than the first driver's",
                         "one speaker has one timing: own curves beside common ones need a delay "
                         "that was found"};
        }
    }
    return std::nullopt;
}

std::optional<Error> check(const SumRequest& r) {
    return r.baffle && !r.speaker.panel
               ? std::optional(
                     missing("speaker.panel", "include_baffle needs width_m and height_m of it"))
               : std::nullopt;
}

curve::Range heldBy(const Speaker& speaker) {
    curve::Range held{0.1, 200000.0};
    const auto narrow = [&held](const measure::CurveKeys& keys) {
        held.from = std::max(held.from, keys.frequencies.front());
        held.to = std::min(held.to, keys.frequencies.back());
    };
    for (const SpeakerDriver& d : speaker.drivers) {
        if (d.response) {
            narrow(*d.response);
        }
        if (d.transfer) {
            narrow(*d.transfer);
        }
        for (const PolarKeys& p : d.polars) {
            narrow(p.curve);
        }
    }
    return held;
}

Result<Radiators> radiatorsOf(const Speaker& speaker, const Axis& axis, const std::string& path) {
    Radiators all{
        .axis = axis, .listening = {.x = speaker.listening.x, .y = speaker.listening.y}, .of = {}};
    all.listening.distance = speaker.listening.distance.value_or(all.listening.distance);
    for (std::size_t i = 0; i < speaker.drivers.size(); ++i) {
        const SpeakerDriver& d = speaker.drivers[i];
        const std::string at = driverPath(path, i);
        YF_TRY(pressure, chainOf(d, axis, at));
        YF_TRY(directivity, directivityOf(d, axis, at));
        Radiator one{.name = d.name,
                     .place = {d.x, d.y, d.z},
                     .axis = {d.axisHorizontal, d.axisVertical},
                     .directivity = std::move(directivity),
                     .pressure = std::move(pressure),
                     .takenAt = {}};
        if (d.timing == Timing::common) {
            one.takenAt = d.takenAt->point;
        }
        all.of.push_back(std::move(one));
    }
    return all;
}

Result<SumAnswer> sum(const SumRequest& r) {
    const curve::Range held = heldBy(r.speaker);
    const Axis axis =
        r.frequencies ? *r.frequencies : curve::within(curve::designAxis(), held.from, held.to);
    if (axis.empty()) {
        return Error{"frequencies_hz", "none", "the drivers' curves must share a range"};
    }
    if (auto error = measure::checkRising(axis, "frequencies_hz")) {
        return *error;
    }
    YF_TRY(radiators, radiatorsOf(r.speaker, axis, "speaker"));
    Listening listening = radiators.listening;
    listening.distance = r.distance.value_or(r.speaker.listening.distance.value_or(1.0));
    const double D = listening.distance;
    const Point P = ear(listening, {r.horizontal, r.vertical});
    constexpr double leastDistance = 0.01;
    if (!(nearest(radiators, P) >= leastDistance)) {
        return Error{"distance_m",
                     say(YF_WORDS("core", "the ear would be %1 m from a driver"),
                         text::printNumber(nearest(radiators, P))),
                     "must be 10 mm or more from each"};
    }
    auto each = pressuresAt(radiators, P, D);
    if (r.baffle) {
        const PanelKeys& panel = *r.speaker.panel;
        for (std::size_t i = 0; i < each.size(); ++i) {
            const SpeakerDriver& d = r.speaker.drivers[i];
            if (std::abs(d.x) >= 0.5 * panel.width || std::abs(d.y) >= 0.5 * panel.height) {
                return Error{driverPath("speaker", i),
                             "outside the panel",
                             "must sit on it for include_baffle"};
            }
            const auto H = diffractionOf(
                {panel.width, panel.height, panel.edge, panel.edgeSize}, {d.x, d.y, 0.0}, P, axis);
            for (std::size_t k = 0; k < H.size(); ++k) {
                each[i][k] *= H[k];
            }
        }
    }
    SumAnswer answer{.frequencies = axis, .removed = D / quantity::soundSpeed};
    std::vector<Complex> all(axis.size());
    for (std::size_t i = 0; i < each.size(); ++i) {
        DriverAt one{.name = radiators.of[i].name};
        one.path = length(P - radiators.of[i].place);
        one.delay = one.path / quantity::soundSpeed;
        for (std::size_t k = 0; k < axis.size(); ++k) {
            all[k] += each[i][k];
            one.levels.push_back(
                quantity::decibels(std::abs(each[i][k]) / quantity::referencePressure));
            one.phases.push_back(wrapped(std::arg(each[i][k])));
        }
        answer.drivers.push_back(std::move(one));
    }
    for (const Complex& p : all) {
        constexpr double silence = 1e-30; // −500 dB re 20 µPa: a null is a figure too
        answer.levels.push_back(
            quantity::decibels(std::max(std::abs(p), silence) / quantity::referencePressure));
        answer.phases.push_back(std::arg(p));
    }
    return answer;
}

} // namespace yf::speaker
