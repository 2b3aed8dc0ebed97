// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/directions.h"

#include "core/curve/interpolate.h"
#include "core/evaluation/usable_band.h"
#include "core/quantity/air.h"
#include "core/take/polar.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::evaluation {

namespace {

using curve::Complex;

speaker::Point placeOf(const job::Mount& mount) {
    return {mount.x, mount.y, mount.z};
}

speaker::Point takenPlaceOf(const job::Mount& mount) {
    return mount.taken ? speaker::Point{mount.taken->x, mount.taken->y, mount.taken->z}
                       : placeOf(mount);
}

/// Sides of a set of takes in one plane: levels over the axis' own, on the axis asked for; the last
/// value is held beyond the data.
std::vector<speaker::MeasuredDirectivity::Side>
sidesOf(const measure::PolarRequest& set, quantity::Plane plane, const curve::Axis& axis) {
    const auto ahead = std::ranges::find(set.curves, 0.0, &measure::PolarCurve::angle);
    std::vector<speaker::MeasuredDirectivity::Side> sides;
    for (const measure::PolarCurve& curve : set.curves) {
        if (curve.plane != plane && curve.angle != 0.0) {
            continue;
        }
        speaker::MeasuredDirectivity::Side side{.angle = curve.angle * quantity::degree,
                                                .level = {},
                                                .phase = std::vector<double>(axis.size())};
        for (const double f : axis) {
            const auto above = std::ranges::lower_bound(set.frequencies, f);
            const auto last = static_cast<std::ptrdiff_t>(set.frequencies.size()) - 1;
            const auto k = static_cast<std::size_t>(
                std::clamp<std::ptrdiff_t>(above - set.frequencies.begin(), 0, last));
            side.level.push_back((curve.levels[k] - ahead->levels[k]) / quantity::decibelsPerNeper);
        }
        sides.push_back(std::move(side));
    }
    std::ranges::sort(sides, {}, &speaker::MeasuredDirectivity::Side::angle);
    return sides.size() > 1 ? sides : std::vector<speaker::MeasuredDirectivity::Side>{};
}

} // namespace

double axisOf(const job::Job& job, const job::Cabinet& cabinet) {
    if (cabinet.seat.axis) {
        return *cabinet.seat.axis;
    }
    const job::Mount* highest = nullptr;
    job::Band band{};
    for (const job::Mount& mount : cabinet.mounts) {
        const job::Driver* driver = job::findDriver(job, mount.driver);
        if (driver != nullptr && (highest == nullptr || driver->band > band)) {
            highest = &mount;
            band = driver->band;
        }
    }
    // Where it was measured from does not move with the saw.
    return highest == nullptr ? 0.0 : takenPlaceOf(*highest).y;
}

speaker::Point microphoneOf(const job::Job& job, const job::Cabinet& cabinet, double distance) {
    return {0.0, axisOf(job, cabinet), distance};
}

DriverDirectivity
directivityOf(const job::Job& job, const std::string& driver, const curve::Axis& axis) {
    const auto set = take::polarSetOf(job, {}, driver, measure::Fill::none);
    if (set) {
        auto measured = std::make_shared<speaker::MeasuredDirectivity>();
        measured->horizontal = sidesOf(set->request, quantity::Plane::horizontal, axis);
        measured->vertical = sidesOf(set->request, quantity::Plane::vertical, axis);
        if (!measured->horizontal.empty() || !measured->vertical.empty()) {
            return {std::shared_ptr<const speaker::MeasuredDirectivity>(std::move(measured)),
                    true,
                    false};
        }
    }
    const job::Driver* found = job::findDriver(job, driver);
    if (found == nullptr) {
        return {speaker::Omni{}, false, true};
    }
    const ConeArea area = coneArea(*found);
    return {speaker::Piston{std::sqrt(area.Sd / std::numbers::pi)}, false, area.guessed};
}

double takeDistance(const job::Job& job, const std::string& driver) {
    const job::Driver* found = job::findDriver(job, driver);
    const job::Take* take =
        found == nullptr ? nullptr : job::takeInUse(job, *found, job::TakeKind::response);
    return take == nullptr ? 1.0 : take->distance;
}

std::vector<Complex> carryOf(const DriverDirectivity& driver,
                             const job::Mount& mount,
                             const speaker::Point& microphone,
                             const curve::Axis& axis) {
    const speaker::Point before = takenPlaceOf(mount);
    const speaker::Point now = placeOf(mount);
    const double r0 = length(microphone - before);
    const double r1 = length(microphone - now);
    const auto k = speaker::waveNumbers(axis);
    const auto& D = driver.directivity;
    const auto D0 = speaker::directivityAt(D, speaker::sightOf(before, {}, microphone), k);
    const auto D1 = speaker::directivityAt(D, speaker::sightOf(now, {}, microphone), k);
    std::vector<Complex> carry;
    for (std::size_t i = 0; i < k.size(); ++i) {
        constexpr double least = 0.1; // nothing is carried on from a null
        const Complex from = std::abs(D0[i]) >= least ? D0[i] : std::polar(least, std::arg(D0[i]));
        carry.push_back(D1[i] / from * std::polar(r0 / r1, -k[i] * (r1 - r0)));
    }
    return carry;
}

std::optional<std::vector<Complex>> moved(const job::Job& job,
                                          const job::Cabinet& cabinet,
                                          const job::Mount& mount,
                                          const curve::Axis& axis) {
    if (!mount.taken) {
        return std::nullopt;
    }
    return carryOf(directivityOf(job, mount.driver, axis),
                   mount,
                   microphoneOf(job, cabinet, takeDistance(job, mount.driver)),
                   axis);
}

std::optional<Directions> directionsOf(const job::Job& job,
                                       const job::Cabinet& cabinet,
                                       const CabinetResult& result,
                                       std::size_t stride) {
    if (result.sum.empty() || result.ways.empty()) {
        return std::nullopt;
    }
    Directions all;
    for (std::size_t k = 0; k < result.axis.size(); k += stride) {
        all.points.push_back(k);
        all.radiators.axis.push_back(result.axis[k]);
    }
    all.radiators.listening = {.y = axisOf(job, cabinet), .distance = cabinet.seat.distance};
    for (const WayResult& way : result.ways) {
        // All mounts of that driver's way: one that stands for several sits in their middle.
        speaker::Point place;
        double count = 0.0;
        for (const job::Mount& mount : cabinet.mounts) {
            const job::Driver* driver = job::findDriver(job, mount.driver);
            const bool here =
                mount.driver == way.driver || (driver != nullptr && driver->alike == way.driver);
            if (here) {
                place.x += mount.x;
                place.y += mount.y;
                place.z += mount.z;
                count += 1.0;
            }
        }
        if (count > 0.0) {
            place = {place.x / count, place.y / count, place.z / count};
        }
        const DriverDirectivity D = directivityOf(job, way.driver, all.radiators.axis);
        speaker::Radiator one{.name = way.driver,
                              .place = place,
                              .axis = {},
                              .directivity = D.directivity,
                              .pressure = {},
                              .takenAt = microphoneOf(job, cabinet, takeDistance(job, way.driver))};
        for (const std::size_t k : all.points) {
            one.pressure.push_back(way.pressure[k]);
        }
        all.measured.push_back(D.measured);
        all.areaGuessed = all.areaGuessed || D.areaGuessed;
        all.radiators.of.push_back(std::move(one));
    }
    return all;
}

std::vector<std::vector<Complex>> carriedTo(const job::Job& job,
                                            const job::Cabinet& cabinet,
                                            const curve::Axis& axis,
                                            const speaker::Direction& direction) {
    speaker::Radiators all{
        .axis = axis,
        .listening = {.y = axisOf(job, cabinet), .distance = cabinet.seat.distance},
        .of = {}};
    for (const network::DriverEnd& end : network::driverEnds(cabinet.circuit)) {
        const auto mount = std::ranges::find(cabinet.mounts, end.driver, &job::Mount::driver);
        all.of.push_back(
            {.name = end.driver,
             .place = mount == cabinet.mounts.end() ? speaker::Point{} : placeOf(*mount),
             .axis = {},
             .directivity = directivityOf(job, end.driver, axis).directivity,
             .pressure = std::vector<Complex>(axis.size(), 1.0),
             .takenAt = microphoneOf(job, cabinet, takeDistance(job, end.driver))});
    }
    return speaker::pressuresAt(all, speaker::ear(all.listening, direction), cabinet.seat.distance);
}

namespace {

/// The angles that all sets of takes reach in a plane. A driver that was taken in the other plane
/// alone is believed to be alike all round.
std::optional<std::pair<double, double>> takenRange(const Directions& directions,
                                                    quantity::Plane plane) {
    std::optional<std::pair<double, double>> range;
    for (const speaker::Radiator& one : directions.radiators.of) {
        const auto* set =
            std::get_if<std::shared_ptr<const speaker::MeasuredDirectivity>>(&one.directivity);
        if (set == nullptr) {
            continue;
        }
        const auto& own =
            plane == quantity::Plane::horizontal ? (*set)->horizontal : (*set)->vertical;
        const auto& other =
            plane == quantity::Plane::horizontal ? (*set)->vertical : (*set)->horizontal;
        const auto& sides = own.empty() ? other : own;
        double from = sides.front().angle;
        double to = sides.back().angle;
        if (own.empty()) { // as far to either side as on the wider one
            to = std::max(-from, to);
            from = -to;
        }
        range = range ? std::pair{std::max(range->first, from), std::min(range->second, to)}
                      : std::pair{from, to};
    }
    return range;
}

} // namespace

AngleMap mapOf(const Directions& directions,
               const job::Seat& seat,
               quantity::Plane plane,
               int step,
               int widest) {
    AngleMap map{.plane = plane,
                 .angles = {},
                 .axis = directions.radiators.axis,
                 .levels = {},
                 .taken = takenRange(directions, plane)};
    std::vector<speaker::Direction> where;
    for (int degrees = -widest; degrees <= widest; degrees += step) {
        map.angles.push_back(degrees * quantity::degree);
        where.push_back(speaker::inPlane(plane, map.angles.back()));
    }
    for (const auto& row : speaker::sums(directions.radiators, where, seat.distance)) {
        map.levels.push_back(curve::levels(row, quantity::referencePressure));
    }
    return map;
}

double elevationOf(const job::Job& job, const job::Cabinet& cabinet, double ear) {
    const double axisHeight = cabinet.seat.stand + 0.5 * cabinet.height + axisOf(job, cabinet);
    return std::atan2(ear - axisHeight, cabinet.seat.distance);
}

std::vector<Complex>
floorBounce(const job::Job& job, const job::Cabinet& cabinet, const curve::Axis& axis) {
    constexpr double hard = 0.9; // rule of thumb
    const double source = cabinet.seat.stand + 0.5 * cabinet.height + axisOf(job, cabinet);
    const double ear = cabinet.seat.sitting;
    const double D = cabinet.seat.distance;
    const double direct = std::hypot(D, source - ear);
    const double reflected = std::hypot(D, source + ear);
    std::vector<Complex> H;
    for (const double k : speaker::waveNumbers(axis)) {
        H.push_back(1.0 + std::polar(hard * direct / reflected, -k * (reflected - direct)));
    }
    return H;
}

std::vector<std::vector<Complex>> frontEffect(const job::Cabinet& cabinet,
                                              const Directions& directions,
                                              const speaker::Point& listener) {
    static constexpr speaker::Edge edges[] = {
        speaker::Edge::sharp, speaker::Edge::round, speaker::Edge::chamfer};
    const speaker::Front front{cabinet.width,
                               cabinet.height,
                               edges[static_cast<std::size_t>(cabinet.edge)],
                               cabinet.edgeSize};
    std::vector<std::vector<Complex>> all;
    for (const speaker::Radiator& one : directions.radiators.of) {
        const bool on =
            std::abs(one.place.x) < 0.5 * front.width && std::abs(one.place.y) < 0.5 * front.height;
        const auto* piston = std::get_if<speaker::Piston>(&one.directivity);
        const double room = std::min(0.5 * front.width - std::abs(one.place.x),
                                     0.5 * front.height - std::abs(one.place.y));
        const double radius = piston == nullptr ? 0.0 : std::min(piston->radius, 0.9 * room);
        all.push_back(
            on ? speaker::diffractionOf(
                     front, {one.place.x, one.place.y, radius}, listener, directions.radiators.axis)
               : std::vector<Complex>(directions.radiators.axis.size(), 1.0));
    }
    return all;
}

} // namespace yf::evaluation
