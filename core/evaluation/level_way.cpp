// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/level_way.h"

#include "core/curve/interpolate.h"
#include "core/edit/circuit.h"
#include "core/edit/lane.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/network/circuit/line_edit.h"
#include "core/network/design/pad.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace yf::evaluation {

namespace {

using network::Part;
using network::PartKind;
using network::Section;

/// Two resistors one after the other, as they stand in the ladder.
struct Standing {
    Part series;
    Part shunt;
};

const Part* resistorOf(const network::OnePort& port) {
    const Part* part = port.part();
    return part != nullptr && part->kind == PartKind::resistor ? part : nullptr;
}

std::optional<Standing> padIn(const Section& section) {
    // The last one: it is nearest to the driver, whose load is reckoned with.
    for (std::size_t i = section.ladder.size(); i-- > 1;) {
        const auto* series = std::get_if<network::SeriesSlot>(&section.ladder[i - 1]);
        const auto* shunt = std::get_if<network::ShuntSlot>(&section.ladder[i]);
        const Part* first = series == nullptr ? nullptr : resistorOf(series->port);
        const Part* second = shunt == nullptr ? nullptr : resistorOf(shunt->port);
        if (first != nullptr && second != nullptr) {
            return Standing{*first, *second};
        }
    }
    return std::nullopt;
}

std::optional<double> loadOf(const job::Job& job,
                             const network::DriverEnd& end,
                             const CabinetResult& result,
                             std::size_t way) {
    const job::Driver* driver = job::findDriver(job, end.driver);
    const job::Take* take =
        driver == nullptr ? nullptr : job::takeInUse(job, *driver, job::TakeKind::impedance);
    const OwnBand own = ownBand(result, way);
    if (take == nullptr || !std::isfinite(own.level)) {
        return std::nullopt;
    }
    const auto z = curve::interpolate(*take->curve, {own.middle});
    return z ? std::optional(end.ratio() * std::abs(z->front())) : std::nullopt;
}

/// The pad out of E12 nearest to what is wanted: of the neighbours of both exact values those that
/// are the truest in level, and of alike ones in the load that the filter sees.
std::optional<Standing> padOf(double attenuation, double load) {
    network::PadRequest request{.attenuation = attenuation, .load = load};
    request.voltage = quantity::referenceVoltage;
    request.eSeries = network::ESeries::E12;
    const auto pad = network::pad(request);
    if (!pad || !pad->seriesSnapped || !pad->shuntSnapped) {
        return std::nullopt;
    }
    Standing best;
    double least = std::numeric_limits<double>::infinity();
    for (const int i : {-1, 0, 1}) {
        for (const int j : {-1, 0, 1}) {
            const double series = network::stepValue(*pad->seriesSnapped, network::ESeries::E12, i);
            const double shunt = network::stepValue(*pad->shuntSnapped, network::ESeries::E12, j);
            const double below = load * shunt / (load + shunt);
            const double level = quantity::decibels((series + below) / below) - attenuation;
            const double seen = quantity::decibels((series + below) / load);
            constexpr double ofLoad = 0.1; // one decibel of load for a tenth of level
            const double miss = std::abs(level) + ofLoad * std::abs(seen);
            if (miss < least) {
                least = miss;
                best.series.value = series;
                best.shunt.value = shunt;
            }
        }
    }
    for (Part* part : {&best.series, &best.shunt}) {
        part->id = "R";
        part->kind = PartKind::resistor;
    }
    return best;
}

std::string words(double dB) {
    return text::printFixed(dB, 1) + std::string(text::thinSpace) + "dB";
}

} // namespace

OwnBand ownBand(const CabinetResult& result, std::size_t way) {
    double sum = 0.0;
    double logs = 0.0;
    int points = 0;
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        const double own = std::abs(result.ways[way].pressure[k]);
        const bool loudest = std::ranges::all_of(result.ways, [&](const WayResult& other) {
            return std::abs(other.pressure[k]) <= own;
        });
        if (loudest && result.corridor && result.corridor->judged.holds(result.axis[k])) {
            sum += quantity::decibels(own / quantity::referencePressure);
            logs += std::log(result.axis[k]);
            ++points;
        }
    }
    return points == 0 ? OwnBand{} : OwnBand{sum / points, std::exp(logs / points)};
}

std::optional<edit::Edit> levelWay(const job::Job& job,
                                   const job::Cabinet& cabinet,
                                   const CabinetResult& result,
                                   std::size_t way,
                                   double quieter) {
    const auto ends = network::driverEnds(cabinet.circuit);
    if (way >= ends.size() || result.ways.size() != ends.size()) {
        return std::nullopt;
    }
    const job::Driver* driver = job::findDriver(job, ends[way].driver);
    if (driver == nullptr) {
        return std::nullopt;
    }
    if (auto line = network::lineOf(cabinet.circuit, way)) {
        line->gain -= quieter;
        return edit::changeLine(cabinet.id, way, *line, network::gainWords(*line));
    }
    const Section* section = network::waySection(cabinet.circuit, way);
    const auto load = section == nullptr ? std::nullopt : loadOf(job, ends[way], result, way);
    if (!load) {
        return std::nullopt;
    }
    constexpr double least = 0.3; // dB: below it there is no pad worth two resistors
    if (const auto standing = padIn(*section)) {
        const double below = *load * standing->shunt.value / (*load + standing->shunt.value);
        const double now = quantity::decibels((standing->series.value + below) / below);
        const auto made = padOf(now + quieter, *load);
        if (standing->series.fixed || standing->shunt.fixed || now + quieter < least || !made) {
            return std::nullopt;
        }
        const Part series = network::withValue(standing->series, made->series.value);
        const Part shunt = network::withValue(standing->shunt, made->shunt.value);
        return edit::circuitEdit(
            cabinet.id,
            say(YF_WORDS("core", "Change the pad of %1 to %2"), driver->name, words(now + quieter)),
            [series, shunt](const network::Circuit& circuit) -> Result<network::Circuit> {
                YF_TRY(half, network::withPart(circuit, series));
                return network::withPart(half, shunt);
            });
    }
    const auto made =
        quieter < least || driver->band < job::Band::mid ? std::nullopt : padOf(quieter, *load);
    if (!made) {
        return std::nullopt;
    }
    const network::SlotPlace place{way, section->ladder.size(), true};
    return edit::circuitEdit(
        cabinet.id,
        say(YF_WORDS("core", "Insert a pad of %1 before %2"), words(quieter), driver->name),
        [place, made = *made](const network::Circuit& circuit) -> Result<network::Circuit> {
            YF_TRY(half, network::withSlot(circuit, place, made.series));
            return network::withSlot(half, {place.way, place.slot + 1, false}, made.shunt);
        });
}

} // namespace yf::evaluation
