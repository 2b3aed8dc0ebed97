// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/interpolate.h"
#include "core/job/edit.h"
#include "core/network/pad.h"
#include "core/network/textbook.h"
#include "core/network/zobel.h"

#include <algorithm>
#include <cmath>

namespace yf::job {

namespace {

using network::Circuit;
using network::Section;
using network::Slot;

/// A Zobel is fitted from one octave below fx to two above: where the coil upsets the slope.
constexpr double flattenFrom = 0.5;
constexpr double flattenTo = 4.0;

/// A pad of less than this is not worth two resistors.
constexpr double leastPad = 0.5;

struct Pair {
    const Driver* low{};
    const Driver* high{};
};

Result<Pair> pairOf(const Job& job, const Cabinet& cabinet) {
    const auto ends = network::driverEnds(cabinet.circuit);
    if (ends.size() != 2) {
        return Error{"network",
                     std::to_string(ends.size()) + " ways",
                     "a start from the book is for two ways; change this network part by part"};
    }
    return Pair{findDriver(job, ends[0].driver), findDriver(job, ends[1].driver)};
}

Result<const curve::Curve*> impedanceOf(const Job& job, const Driver& driver) {
    const Take* take = takeInUse(job, driver, TakeKind::impedance);
    if (take == nullptr) {
        return Error{driver.name, "no impedance yet", "import its impedance first"};
    }
    return take->curve.get();
}

Result<double> modulusAt(const Job& job, const Driver& driver, double fx) {
    YF_TRY(curve, impedanceOf(job, driver));
    auto Z = curve::interpolate(*curve, {fx});
    if (!Z) {
        return Error{driver.name, "impedance: " + Z.error().given, Z.error().allowed};
    }
    return std::abs(Z->front());
}

struct FlattenedLoad {
    double load{};
    std::optional<network::OnePort> shunt;
};

/// A driver that is flat already, or rises on the wrong side, drives the fit to an absurd value:
/// then two parts would buy nothing.
bool worthwhile(const network::Zobel& zobel) {
    const auto inside = [](double value, network::PartKind kind) {
        const network::ValueRange usual = network::usualValues(kind);
        return value >= usual.lowest && value <= usual.highest;
    };
    return inside(zobel.R, network::PartKind::resistor) &&
           inside(*zobel.C, network::PartKind::capacitor);
}

/// |Z| at fx, or the resistance that the driver shows with a Zobel across it.
Result<FlattenedLoad> loadOf(const Job& job, const Driver& driver, const Start& start) {
    YF_TRY(modulus, modulusAt(job, driver, start.fx));
    if (!start.flattenImpedance) {
        return FlattenedLoad{modulus, std::nullopt};
    }
    YF_TRY(curve, impedanceOf(job, driver));
    const curve::Range extent = curve->extent();
    const curve::Axis axis = curve::within(curve::designAxis(),
                                           std::max(flattenFrom * start.fx, extent.from),
                                           std::min(flattenTo * start.fx, extent.to));
    YF_TRY(Z, curve::interpolate(*curve, axis));
    const double target = std::abs(
        *std::ranges::min_element(Z, {}, [](const curve::Complex& z) { return std::abs(z); }));
    const network::Zobel zobel = network::fitZobel(axis, Z, target);
    if (!worthwhile(zobel)) {
        return FlattenedLoad{modulus, std::nullopt};
    }
    return FlattenedLoad{target, zobel.shunt()};
}

/// Mean level over the octave on a driver's own side of fx.
Result<double> levelBeside(const Job& job, const Driver& driver, double from, double to) {
    const Take* take = takeInUse(job, driver, TakeKind::response);
    if (take == nullptr) {
        return Error{driver.name, "no response yet", "a level pad needs both responses"};
    }
    const curve::Range extent = take->curve->extent();
    const curve::Axis axis =
        curve::within(curve::designAxis(), std::max(from, extent.from), std::min(to, extent.to));
    if (axis.empty()) {
        return Error{driver.name,
                     "response: no data from " + text::printEngineering(from, "Hz") + " to " +
                         text::printEngineering(to, "Hz"),
                     "a level pad needs them"};
    }
    YF_TRY(p, curve::interpolate(*take->curve, axis));
    double sum = 0.0;
    for (const double level : curve::levels(p, quantity::referencePressure)) {
        sum += level;
    }
    return sum / static_cast<double>(axis.size());
}

/// The pad's resistors in front of the driver, behind the filter.
Result<std::vector<Slot>> padSlots(double attenuation, double load) {
    network::PadRequest request;
    request.attenuation = attenuation;
    request.load = load;
    request.voltage = quantity::referenceVoltage;
    YF_TRY(pad, network::pad(request));
    network::Part series;
    series.value = pad.series;
    network::Part shunt;
    shunt.value = *pad.shunt;
    return std::vector<Slot>{network::SeriesSlot{series}, network::ShuntSlot{shunt}};
}

void nameBare(network::OnePort& port) {
    if (network::Part* part = port.part()) {
        if (part->id.empty()) {
            part->id = std::string(1, network::letter(part->kind));
        }
        return;
    }
    for (network::OnePort& inner : port.composite()->ports) {
        nameBare(inner);
    }
}

Section
waySection(const std::string& name, const Driver& driver, std::vector<Slot> ladder, int polarity) {
    for (Slot& slot : ladder) {
        if (auto* series = std::get_if<network::SeriesSlot>(&slot)) {
            nameBare(series->port);
        } else if (auto* shunt = std::get_if<network::ShuntSlot>(&slot)) {
            nameBare(shunt->port);
        }
    }
    Section section;
    section.name = name;
    section.ladder = std::move(ladder);
    section.end = network::DriverEnd{.driver = driver.id, .polarity = polarity};
    return section;
}

} // namespace

Result<Circuit> startedNetwork(const Job& job, const Cabinet& cabinet, const Start& start) {
    if (start.alignment == network::Alignment::linkwitzRiley && start.order % 2 != 0) {
        return Error{
            "order", std::to_string(start.order) + " given", "must be even for Linkwitz-Riley"};
    }
    YF_TRY(pair, pairOf(job, cabinet));
    YF_TRY(low, loadOf(job, *pair.low, start));
    YF_TRY(high, loadOf(job, *pair.high, start));
    network::TextbookRequest request{.kind = network::TextbookKind::twoWay,
                                     .alignment = start.alignment,
                                     .order = start.order,
                                     .fx = start.fx};
    request.lowLoad = low.load;
    request.highLoad = high.load;
    YF_TRY(book, network::textbook(request));
    const auto& ways = std::get<network::Ways>(book.network.circuit.tree()->end).sections;
    std::vector<std::vector<Slot>> ladders{ways[0].ladder, ways[1].ladder};
    // Each way numbers its parts anew below.
    if (start.padLevels) {
        YF_TRY(lowLevel, levelBeside(job, *pair.low, start.fx / 2.0, start.fx));
        YF_TRY(highLevel, levelBeside(job, *pair.high, start.fx, 2.0 * start.fx));
        const double surplus = highLevel - lowLevel;
        if (std::abs(surplus) >= leastPad) {
            const std::size_t louder = surplus > 0.0 ? 1 : 0;
            YF_TRY(slots, padSlots(std::abs(surplus), louder == 1 ? high.load : low.load));
            ladders[louder].insert(ladders[louder].end(), slots.begin(), slots.end());
        }
    }
    if (low.shunt) {
        ladders[0].emplace_back(network::ShuntSlot{*low.shunt});
    }
    if (high.shunt) {
        ladders[1].emplace_back(network::ShuntSlot{*high.shunt});
    }
    Section top;
    top.end =
        network::Ways{.sections = {waySection("low", *pair.low, ladders[0], book.polarities[0]),
                                   waySection("high", *pair.high, ladders[1], book.polarities[1])}};
    Circuit circuit{.source = cabinet.circuit.source, .body = std::move(top)};
    // Reading the notation numbers the bare letters.
    return Circuit::read(circuit.write(), "network");
}

Edit startNetwork(const std::string& cabinet, const Start& start) {
    static constexpr std::string_view names[] = {
        "Butterworth", "Linkwitz-Riley", "Bessel", "Chebyshev"};
    return {"Start " + std::string(network::orderName(start.order)) + "-order " +
                std::string(names[static_cast<std::size_t>(start.alignment)]) + " at " +
                text::printEngineering(start.fx, "Hz"),
            [cabinet, start](const Job& job) -> Result<Job> {
                Job changed = job;
                const auto found = std::ranges::find(changed.cabinets, cabinet, &Cabinet::id);
                if (found == changed.cabinets.end()) {
                    return Error{"cabinet", "'" + cabinet + "' is not in this job", ""};
                }
                YF_TRY(circuit, startedNetwork(job, *found, start));
                found->circuit = std::move(circuit);
                return changed;
            },
            {}};
}

} // namespace yf::job
