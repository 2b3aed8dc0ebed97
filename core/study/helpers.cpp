// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/helpers.h"

#include "core/edit/circuit.h"
#include "core/evaluation/level_way.h"
#include "core/network/design/pad.h"
#include "core/network/design/shelf.h"
#include "core/network/design/trap.h"
#include "core/network/design/zobel.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace yf::study {

namespace {

using network::OnePort;
using network::Part;
using network::PartKind;

Part bare(PartKind kind, double value) {
    Part part;
    part.id = std::string(1, network::letter(kind));
    part.kind = kind;
    part.value = value;
    return part;
}

OnePort joined(network::Joining joining, const std::vector<Part>& parts) {
    network::Composite composite;
    composite.joining = joining;
    for (const Part& part : parts) {
        composite.ports.emplace_back(part);
    }
    return composite;
}

network::Slot inLine(OnePort port) {
    network::SeriesSlot slot;
    slot.port = std::move(port);
    return slot;
}

network::Slot across(OnePort port) {
    network::ShuntSlot slot;
    slot.port = std::move(port);
    return slot;
}

bool isUsual(PartKind kind, double value) {
    const network::ValueRange usual = network::usualValues(kind);
    return value >= usual.lowest && value <= usual.highest;
}

/// All that is known of the way in question.
struct Known {
    const curve::Axis& axis;
    const evaluation::CabinetResult& result;
    const network::Load& load;
    std::size_t way{};
    double ratio{1.0};
    std::optional<double> marked;

    [[nodiscard]] double modulus(std::size_t k) const {
        return ratio * std::abs(load.impedance[k]);
    }

    [[nodiscard]] std::size_t indexOf(double f) const {
        const auto next = std::ranges::lower_bound(axis, f);
        return std::min(static_cast<std::size_t>(next - axis.begin()), axis.size() - 1);
    }
};

std::optional<Helper> padFor(const Known& known) {
    const evaluation::OwnBand own = evaluation::ownBand(known.result, known.way);
    if (!std::isfinite(own.level)) {
        return std::nullopt;
    }
    double least = own.level;
    for (std::size_t q = 0; q < known.result.ways.size(); ++q) {
        const double level = evaluation::ownBand(known.result, q).level;
        least = std::isfinite(level) ? std::min(least, level) : least;
    }
    constexpr double worthIt = 0.5;
    const double surplus = own.level - least;
    if (surplus < worthIt) {
        return std::nullopt;
    }
    network::PadRequest request;
    request.attenuation = surplus;
    request.load = known.modulus(known.indexOf(own.middle));
    request.voltage = quantity::referenceVoltage;
    const auto pad = network::pad(request);
    if (!pad) {
        return std::nullopt;
    }
    Helper helper{.kind = Helper::Kind::pad, .atDriver = true, .dB = surplus};
    helper.slots = {inLine(bare(PartKind::resistor, pad->series)),
                    across(bare(PartKind::resistor, *pad->shunt))};
    return helper;
}

std::optional<Helper> flattenFor(const Known& known, const evaluation::DriverReading& reading) {
    const double fs = reading.resonance ? reading.resonance->fs : known.axis.front();
    std::size_t first = known.axis.size();
    for (std::size_t k = 0; k < known.axis.size(); ++k) {
        if (known.axis[k] > fs &&
            (first == known.axis.size() || known.modulus(k) < known.modulus(first))) {
            first = k;
        }
    }
    constexpr std::size_t enough = 8;
    if (first + enough > known.axis.size()) {
        return std::nullopt;
    }
    const curve::Axis axis(known.axis.begin() + static_cast<std::ptrdiff_t>(first),
                           known.axis.end());
    std::vector<curve::Complex> Z;
    for (std::size_t k = first; k < known.axis.size(); ++k) {
        Z.push_back(known.ratio * known.load.impedance[k]);
    }
    const network::Zobel zobel = network::fitZobel(axis, Z, std::abs(Z.front()));
    if (!zobel.C || !isUsual(PartKind::resistor, zobel.R) ||
        !isUsual(PartKind::capacitor, *zobel.C)) {
        return std::nullopt;
    }
    Helper helper{.kind = Helper::Kind::flatten, .atDriver = true, .frequency = known.axis[first]};
    helper.slots = {across(zobel.shunt())};
    return helper;
}

std::optional<Helper> resonanceFor(const Known& known, const evaluation::DriverReading& reading) {
    if (!reading.resonance) {
        return std::nullopt;
    }
    const curve::Curve impedance(known.axis, known.load.impedance, curve::Phase::own);
    const auto losses = driver::qFactors(impedance, reading.Re, *reading.resonance);
    if (!losses) {
        return std::nullopt;
    }
    network::TrapRequest request{.kind = network::TrapKind::resonance};
    request.Re = known.ratio * reading.Re;
    request.fs = reading.resonance->fs;
    request.Qms = losses->Qms;
    request.Qes = losses->Qes;
    const auto trap = network::trap(request);
    if (!trap || !isUsual(PartKind::coil, trap->L) || !isUsual(PartKind::capacitor, trap->C)) {
        return std::nullopt;
    }
    Helper helper{
        .kind = Helper::Kind::resonance, .atDriver = true, .frequency = reading.resonance->fs};
    helper.slots = {across(joined(network::Joining::series,
                                  {bare(PartKind::resistor, trap->R),
                                   bare(PartKind::coil, trap->L),
                                   bare(PartKind::capacitor, trap->C)}))};
    return helper;
}

/// A peak of a response near a place: where, how high over the line between its feet, half-heights.
struct Peak {
    double f0{};
    double height{};
    double low{};
    double high{};
};

std::optional<Peak> peakNear(const Known& known, double marked) {
    const auto& p = *known.load.pressure;
    const auto level = [&](std::size_t k) { return quantity::decibels(std::abs(p[k])); };
    const double third = std::exp2(1.0 / 3.0);
    std::size_t top = known.indexOf(marked);
    for (std::size_t k = known.indexOf(marked / third); k <= known.indexOf(marked * third); ++k) {
        top = level(k) > level(top) ? k : top;
    }
    const double f0 = known.axis[top];
    const std::size_t left = known.indexOf(f0 / 2.0);
    const std::size_t right = known.indexOf(f0 * 2.0);
    const auto line = [&](std::size_t k) {
        const double share = std::log(known.axis[k] / known.axis[left]) /
                             std::log(known.axis[right] / known.axis[left]);
        return level(left) + share * (level(right) - level(left));
    };
    const double height = level(top) - line(top);
    constexpr double worthIt = 1.0;
    if (left == top || right == top || height < worthIt) {
        return std::nullopt;
    }
    const auto over = [&](std::size_t k) { return level(k) - line(k) > height / 2.0; };
    std::size_t a = top;
    while (a > left && over(a)) {
        --a;
    }
    std::size_t b = top;
    while (b < right && over(b)) {
        ++b;
    }
    return Peak{f0, height, known.axis[a], known.axis[b]};
}

std::optional<Helper> peakFor(const Known& known) {
    if (!known.marked || !known.load.pressure) {
        return std::nullopt;
    }
    const auto peak = peakNear(known, *known.marked);
    if (!peak) {
        return std::nullopt;
    }
    network::TrapRequest request{.kind = network::TrapKind::series};
    request.f0 = peak->f0;
    request.height = peak->height;
    request.low = peak->low;
    request.high = peak->high;
    request.load = known.modulus(known.indexOf(peak->f0));
    const auto trap = network::trap(request);
    if (!trap) {
        return std::nullopt;
    }
    Helper helper{.kind = Helper::Kind::peak, .dB = peak->height, .frequency = peak->f0};
    helper.slots = {inLine(joined(network::Joining::parallel,
                                  {bare(PartKind::resistor, trap->R),
                                   bare(PartKind::coil, trap->L),
                                   bare(PartKind::capacitor, trap->C)}))};
    return helper;
}

std::optional<Helper> stepFor(const Known& known, const job::Cabinet& cabinet) {
    if (known.way != 0) {
        return std::nullopt;
    }
    constexpr double height = 4.0; // near a wall; 6 in free space (rule of thumb)
    network::ShelfRequest request{.step = height};
    request.width = cabinet.width;
    request.load = known.modulus(known.indexOf(network::stepTimesWidth / cabinet.width));
    const auto shelf = network::shelf(request);
    if (!shelf) {
        return std::nullopt;
    }
    Helper helper{.kind = Helper::Kind::step, .dB = height, .frequency = shelf->centre};
    helper.slots = {
        inLine(joined(network::Joining::parallel,
                      {bare(PartKind::resistor, shelf->R), bare(PartKind::coil, shelf->L)}))};
    return helper;
}

} // namespace

std::vector<Helper> helpersFor(const job::Job& job,
                               const job::Cabinet& cabinet,
                               const evaluation::Assembly& assembly,
                               const evaluation::Evaluation& evaluation,
                               std::size_t way,
                               std::optional<double> marked) {
    const auto found = std::ranges::find(job.cabinets, cabinet.id, &job::Cabinet::id);
    const auto index = static_cast<std::size_t>(found - job.cabinets.begin());
    const auto ends = network::driverEnds(cabinet.circuit);
    if (index >= assembly.cabinets.size() || way >= ends.size() ||
        network::waySection(cabinet.circuit, way) == nullptr) {
        return {};
    }
    const evaluation::AssembledCabinet& curves = *assembly.cabinets[index];
    const auto reading = assembly.readings.find(ends[way].driver);
    if (!curves.loads || !curves.hasImpedances || reading == assembly.readings.end()) {
        return {};
    }
    const network::Loads& loads = curves.loads->loads();

    const evaluation::CabinetResult* result = evaluation.find(cabinet.id);
    if (result == nullptr || result->ways.size() != ends.size()) {
        return {};
    }
    const Known known{.axis = loads.axis,
                      .result = *result,
                      .load = loads.drivers[*loads.find(ends[way].driver)],
                      .way = way,
                      .ratio = ends[way].ratio(),
                      .marked = marked};
    std::vector<Helper> all;
    const auto add = [&](std::optional<Helper> helper) {
        if (helper) {
            helper->driver = ends[way].driver;
            all.push_back(std::move(*helper));
        }
    };
    if (curves.hasResponses) {
        add(padFor(known));
    }
    add(flattenFor(known, reading->second));
    add(resonanceFor(known, reading->second));
    add(peakFor(known));
    add(stepFor(known, cabinet));
    return all;
}

edit::Edit
addHelper(const std::string& cabinet, const network::SlotPlace& place, const Helper& helper) {
    static constexpr std::string_view names[] = {
        YF_WORDS("core", "Insert a level pad"),
        YF_WORDS("core", "Insert R and C across the driver"),
        YF_WORDS("core", "Insert a trap at the resonance"),
        YF_WORDS("core", "Insert a trap for a peak"),
        YF_WORDS("core", "Insert a shelf for the front's step")};
    return edit::circuitEdit(
        cabinet,
        Words(names[static_cast<std::size_t>(helper.kind)]),
        [place, helper](const network::Circuit& drawn) -> Result<network::Circuit> {
            network::Circuit circuit = drawn;
            const network::Section* way = network::waySection(circuit, place.way);
            if (way == nullptr) {
                return Error{
                    "network",
                    say(YF_WORDS("core", "it has no way %1"), std::to_string(place.way + 1)),
                    ""};
            }
            network::SlotPlace at = place;
            at.slot = helper.atDriver ? way->ladder.size() : place.slot;
            for (const network::Slot& slot : helper.slots) {
                const auto* series = std::get_if<network::SeriesSlot>(&slot);
                at.inLine = series != nullptr;
                YF_TRY(longer,
                       network::withSlot(circuit,
                                         at,
                                         series != nullptr
                                             ? series->port
                                             : std::get<network::ShuntSlot>(slot).port));
                circuit = std::move(longer);
                ++at.slot;
            }
            return circuit;
        });
}

} // namespace yf::study
