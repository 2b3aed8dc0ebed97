// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/start.h"

#include "core/curve/interpolate.h"
#include "core/edit/network.h"
#include "core/network/design/pad.h"
#include "core/network/design/textbook.h"
#include "core/network/design/zobel.h"
#include "core/network/parts/e_series.h"
#include "core/text/given.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::study {

namespace {

using network::Circuit;
using network::Section;
using network::Slot;

/// A Zobel is fitted from one octave below fx to two above: where the coil upsets the slope.
constexpr double flattenFrom = 0.5;
constexpr double flattenTo = 4.0;

/// A pad of less than this is not worth two resistors.
constexpr double leastPad = 0.5;

/// Of plans that are for a certain number of ways.
std::optional<std::size_t> waysOf(Plan plan) {
    switch (plan) {
    case Plan::series:
        return 2;
    case Plan::halfWay:
    case Plan::filler:
        return 3;
    case Plan::parallel:
    case Plan::lineLevel:
        break;
    }
    return std::nullopt;
}

std::string_view planName(Plan plan) {
    static constexpr std::string_view names[] = {YF_WORDS("core", "a parallel network"),
                                                 YF_WORDS("core", "a series network"),
                                                 YF_WORDS("core", "an amplifier for each way"),
                                                 "a two-and-a-half-way",
                                                 YF_WORDS("core", "a network with a filler")};
    return names[static_cast<std::size_t>(plan)];
}

/// The drivers of a network's ways, low to high; each on its own way.
Result<std::vector<network::DriverEnd>> endsOf(const job::Cabinet& cabinet, const Start& start) {
    const auto ends = network::driverEnds(cabinet.circuit);
    if (ends.size() < 2) {
        return Error{"network",
                     YF_WORDS("core", "one way"),
                     YF_WORDS("core", "a start from the book is for two ways and more")};
    }
    if (const auto wanted = waysOf(start.plan); wanted && *wanted != ends.size()) {
        return Error{
            "plan",
            say(YF_WORDS("core", "%1 ways"), std::to_string(ends.size())),
            *wanted == 2
                ? say(YF_WORDS("core", "%1 from the book has two"), planName(start.plan))
                : say(YF_WORDS("core", "%1 from the book has three"), planName(start.plan))};
    }
    const std::size_t crossovers = start.plan == Plan::filler ? 1 : ends.size() - 1;
    if (start.upper.size() + 1 != crossovers) {
        return Error{
            "upper",
            say(YF_WORDS("core", "%1 crossovers given"), std::to_string(start.upper.size() + 1)),
            say(YF_WORDS("core", "must be one for each pair of neighbours, %1"),
                std::to_string(crossovers))};
    }
    double below = start.fx;
    for (const double fx : start.upper) {
        if (fx <= below) {
            return Error{"upper",
                         text::given(text::printEngineering(fx, "Hz")),
                         say(YF_WORDS("core", "must be above the crossover below it, %1"),
                             text::printEngineering(below, "Hz"))};
        }
        below = fx;
    }
    return ends;
}

/// Where a way works between its crossovers; absent at the ends.
struct Between {
    std::optional<double> low;
    std::optional<double> high;

    /// Where the book's resistance is read.
    [[nodiscard]] double about() const {
        return low && high ? std::sqrt(*low * *high) : low.value_or(high.value_or(0.0));
    }
};

Between betweenOf(const Start& start, std::size_t way) {
    if (start.plan == Plan::filler) {
        return {way > 0 ? std::optional(start.fx) : std::nullopt,
                way < 2 ? std::optional(start.fx) : std::nullopt};
    }
    const auto fx = [&](std::size_t pair) { return pair == 0 ? start.fx : start.upper[pair - 1]; };
    Between between;
    // Both woofers of a two-and-a-half-way begin at the bottom.
    const std::size_t lowest = start.plan == Plan::halfWay ? 1 : 0;
    if (way > lowest) {
        between.low = fx(way - 1);
    }
    if (way <= start.upper.size()) {
        between.high = fx(way);
    }
    return between;
}

Result<const curve::Curve*> impedanceOf(const job::Job& job, const job::Driver& driver) {
    const job::Take* take = job::takeInUse(job, driver, job::TakeKind::impedance);
    if (take == nullptr) {
        return Error{driver.name,
                     YF_WORDS("core", "no impedance yet"),
                     YF_WORDS("core", "import its impedance first")};
    }
    return take->curve.get();
}

Result<double> modulusAt(const job::Job& job, const job::Driver& driver, double fx) {
    YF_TRY(curve, impedanceOf(job, driver));
    auto Z = curve::interpolate(*curve, {fx});
    if (!Z) {
        return Error{driver.name,
                     say(YF_WORDS("core", "impedance: %1"), Z.error().given),
                     Z.error().allowed};
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
Result<FlattenedLoad>
loadOf(const job::Job& job, const job::Driver& driver, const Start& start, const Between& between) {
    YF_TRY(modulus, modulusAt(job, driver, between.about()));
    if (!start.flattenImpedance) {
        return FlattenedLoad{modulus, std::nullopt};
    }
    YF_TRY(curve, impedanceOf(job, driver));
    const curve::Range extent = curve->extent();
    const curve::Axis axis =
        curve::within(curve::designAxis(),
                      std::max(flattenFrom * between.about(), extent.from),
                      std::min(flattenTo * between.high.value_or(between.about()), extent.to));
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
Result<double> levelBeside(const job::Job& job, const job::Driver& driver, double from, double to) {
    const job::Take* take = job::takeInUse(job, driver, job::TakeKind::response);
    if (take == nullptr) {
        return Error{driver.name,
                     YF_WORDS("core", "no response yet"),
                     YF_WORDS("core", "a level pad needs both responses")};
    }
    const curve::Range extent = take->curve->extent();
    const curve::Axis axis =
        curve::within(curve::designAxis(), std::max(from, extent.from), std::min(to, extent.to));
    if (axis.empty()) {
        return Error{driver.name,
                     say(YF_WORDS("core", "response: no data from %1 to %2"),
                         text::printEngineering(from, "Hz"),
                         text::printEngineering(to, "Hz")),
                     YF_WORDS("core", "a level pad needs them")};
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

Section waySection(const std::string& name,
                   const network::DriverEnd& end,
                   std::vector<Slot> ladder,
                   int polarity) {
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
    network::DriverEnd own = end;
    own.polarity = polarity;
    section.end = own;
    return section;
}

/// The filters' parts get the first numbers of their kinds, from the lowest way up; what flattens
/// and pads comes after them.
void numberFilter(std::vector<Slot>& ladder, std::array<int, 3>& count) {
    for (Slot& slot : ladder) {
        auto* series = std::get_if<network::SeriesSlot>(&slot);
        network::OnePort& port =
            series != nullptr ? series->port : std::get<network::ShuntSlot>(slot).port;
        network::Part& part = *port.part();
        part.id = network::letter(part.kind) +
                  std::to_string(++count[static_cast<std::size_t>(part.kind)]);
    }
}

/// One way out of the book, and the gain that a band-pass has, dB.
struct BookWay {
    std::vector<Slot> ladder;
    double gain{};
};

Result<BookWay> bookWay(const Start& start, const Between& between, double load) {
    network::TextbookRequest request{.kind = between.low && between.high
                                                 ? network::TextbookKind::bandPass
                                             : between.low ? network::TextbookKind::highPass
                                                           : network::TextbookKind::lowPass,
                                     .alignment = start.alignment,
                                     .order = start.order};
    if (between.low && between.high) {
        request.fxLow = between.low;
        request.fxHigh = between.high;
    } else {
        request.fx = between.about();
    }
    request.load = load;
    YF_TRY(book, network::textbook(request));
    const Section& top = *book.network.circuit.tree();
    const auto* ways = std::get_if<network::Ways>(&top.end);
    return BookWay{ways == nullptr ? top.ladder : ways->sections.front().ladder,
                   book.bandGain.value_or(0.0)};
}

/// One way of a book's network that is whole only with all its ways.
Result<std::vector<Slot>> wayOfWhole(const network::TextbookRequest& request, std::size_t way) {
    if (const auto error = network::check(request)) {
        return *error;
    }
    YF_TRY(book, network::textbook(request));
    return std::get<network::Ways>(book.network.circuit.tree()->end).sections[way].ladder;
}

/// The capacitor that a treble driver keeps on an amplifier of its own: the amplifier's direct
/// current and its thumps stay away from it (rule of thumb: two octaves below fx).
std::vector<Slot> protection(const job::Driver& driver, const Between& between, double load) {
    const bool treble = driver.band == job::Band::high || driver.band == job::Band::top;
    if (!treble || !between.low) {
        return {};
    }
    constexpr double octavesBelow = 4.0; // two of them
    network::Part C;
    C.kind = network::PartKind::capacitor;
    C.value = network::nearestValue(octavesBelow / (2.0 * std::numbers::pi * *between.low * load),
                                    network::ESeries::E12);
    return {network::SeriesSlot{C}};
}

/// What stands before the amplifier of a way.
///
/// With Linkwitz-Riley slopes as a tree of pairs, so that the whole is an all-pass: a way takes the
/// high-pass of every crossover below it, the low-pass of its own and the all-pass that those above
/// make of everything below them.
network::Line lineOf(const Start& start, std::size_t way, std::size_t ways) {
    using network::BiquadKind;
    network::Line line;
    const auto fx = [&](std::size_t pair) { return pair == 0 ? start.fx : start.upper[pair - 1]; };
    const auto add = [&](BiquadKind kind, network::Alignment alignment, int order, double f) {
        line.filters.push_back({.kind = kind, .alignment = alignment, .order = order, .f0 = f});
    };
    const bool tree = start.alignment == network::Alignment::linkwitzRiley;
    for (std::size_t pair = 0; pair < way; ++pair) {
        if (tree || pair + 1 == way) {
            add(BiquadKind::highPass, start.alignment, start.order, fx(pair));
        }
    }
    if (way + 1 < ways) {
        add(BiquadKind::lowPass, start.alignment, start.order, fx(way));
    }
    for (std::size_t pair = way + 1; tree && pair + 1 < ways; ++pair) {
        add(BiquadKind::allPass, network::Alignment::butterworth, start.order / 2, fx(pair));
    }
    return line;
}

/// The slots of a way before pads, for its load.
Result<BookWay> wayFor(const Start& start,
                       const job::Driver& driver,
                       const Between& between,
                       std::size_t way,
                       double load) {
    switch (start.plan) {
    case Plan::series: {
        network::TextbookRequest request{.kind = network::TextbookKind::series,
                                         .alignment = start.alignment,
                                         .order = start.order,
                                         .fx = start.fx};
        request.load = load;
        YF_TRY(ladder, wayOfWhole(request, way));
        return BookWay{std::move(ladder), 0.0};
    }
    case Plan::filler: {
        network::TextbookRequest request{.kind = network::TextbookKind::filler, .fx = start.fx};
        request.load = load;
        YF_TRY(ladder, wayOfWhole(request, way));
        return BookWay{std::move(ladder), 0.0};
    }
    case Plan::lineLevel:
        return BookWay{protection(driver, between, load), 0.0};
    case Plan::halfWay:
        if (way == 0) {
            Start first = start;
            first.alignment = network::Alignment::butterworth;
            first.order = 1;
            return bookWay(first, between, load);
        }
        break;
    case Plan::parallel:
        break;
    }
    return bookWay(start, between, load);
}

/// Whether the book turns the upper one of two neighbours over.
Result<bool> turnsOver(const Start& start) {
    YF_TRY(book,
           network::textbook({.kind = network::TextbookKind::twoWay,
                              .alignment = start.alignment,
                              .order = start.order,
                              .fx = start.fx}));
    return book.polarities[0] != book.polarities[1];
}

std::string wayName(std::size_t way, std::size_t ways) {
    if (way == 0) {
        return "low";
    }
    if (way + 1 == ways) {
        return "high";
    }
    constexpr std::size_t three = 3;
    return ways == three ? "mid" : "mid " + std::to_string(way);
}

/// A way's mean level where it is to work, dB.
Result<double> levelOf(const job::Job& job, const job::Driver& driver, const Between& between) {
    const bool filler = between.low && between.high && *between.low == *between.high;
    const double half = std::numbers::sqrt2; // of an octave, each way about the gap it fills
    const double from = filler ? *between.low / half : between.low.value_or(between.about() / 2.0);
    const double to = filler ? *between.high * half : between.high.value_or(2.0 * between.about());
    return levelBeside(job, driver, from, to);
}

} // namespace

Result<Circuit>
startedNetwork(const job::Job& job, const job::Cabinet& cabinet, const Start& start) {
    if (start.alignment == network::Alignment::linkwitzRiley && start.order % 2 != 0) {
        return Error{"order",
                     text::given(std::to_string(start.order)),
                     YF_WORDS("core", "must be even for Linkwitz-Riley")};
    }
    YF_TRY(ends, endsOf(cabinet, start));
    const bool lineLevel = start.plan == Plan::lineLevel;
    bool turned = false;
    if (start.plan != Plan::filler) {
        YF_TRY(byRule, turnsOver(start));
        turned = byRule;
    }
    std::vector<FlattenedLoad> loads;
    std::vector<BookWay> ways;
    std::vector<double> levels;
    for (std::size_t q = 0; q < ends.size(); ++q) {
        const job::Driver& driver = *job::findDriver(job, ends[q].driver);
        const Between between = betweenOf(start, q);
        YF_TRY(load, loadOf(job, driver, start, between));
        load.load *= ends[q].ratio();
        YF_TRY(way, wayFor(start, driver, between, q, load.load));
        if (start.padLevels) {
            YF_TRY(level, levelOf(job, driver, between));
            levels.push_back(level + way.gain);
        }
        if (lineLevel) {
            load.shunt.reset(); // an amplifier of its own does not mind
        }
        loads.push_back(std::move(load));
        ways.push_back(std::move(way));
    }
    Section top;
    network::Ways sections;
    sections.join =
        start.plan == Plan::series ? network::Joining::series : network::Joining::parallel;
    if (start.plan == Plan::halfWay && start.padLevels) {
        levels[0] = levels[1]; // the helper is not there where the two others meet
    }
    std::array<int, 3> count{};
    for (BookWay& way : ways) {
        numberFilter(way.ladder, count);
    }
    int polarity = 1;
    for (std::size_t q = 0; q < ends.size(); ++q) {
        std::vector<Slot> ladder = ways[q].ladder;
        const double surplus =
            start.padLevels ? levels[q] - *std::ranges::min_element(levels) : 0.0;
        if (surplus >= leastPad && !lineLevel) {
            YF_TRY(slots, padSlots(surplus, loads[q].load));
            ladder.insert(ladder.end(), slots.begin(), slots.end());
        }
        if (loads[q].shunt) {
            ladder.emplace_back(network::ShuntSlot{*loads[q].shunt});
        }
        const bool atTop = start.plan == Plan::halfWay ? q == 2 : q > 0;
        polarity = atTop && turned ? -polarity : polarity;
        sections.sections.push_back(
            waySection(wayName(q, ends.size()), ends[q], std::move(ladder), polarity));
        if (lineLevel) {
            network::Line line = lineOf(start, q, ends.size());
            line.gain = -surplus;
            sections.sections.back().line = std::move(line);
        }
    }
    top.end = std::move(sections);
    Circuit circuit{.source = cabinet.circuit.source, .body = std::move(top)};
    // Reading the notation numbers the bare letters.
    return Circuit::read(circuit.write(), "network");
}

Result<std::vector<double>>
bookLoads(const job::Job& job, const job::Cabinet& cabinet, const Start& start) {
    YF_TRY(ends, endsOf(cabinet, start));
    std::vector<double> loads;
    for (std::size_t q = 0; q < ends.size(); ++q) {
        YF_TRY(load,
               modulusAt(job, *job::findDriver(job, ends[q].driver), betweenOf(start, q).about()));
        loads.push_back(load * ends[q].ratio());
    }
    return loads;
}

std::vector<double> customaryCrossovers(int ways) {
    static const std::vector<double> customary[] = {
        {2500.0}, {400.0, 3000.0}, {120.0, 600.0, 3500.0}, {80.0, 300.0, 1200.0, 5000.0}};
    constexpr int most = static_cast<int>(std::size(customary)) + 1;
    return customary[static_cast<std::size_t>(std::clamp(ways, 2, most) - 2)];
}

Result<edit::Edit>
startNetwork(const job::Job& job, const std::string& cabinet, const Start& start) {
    const job::Cabinet* found = job::findCabinet(job, cabinet);
    if (found == nullptr) {
        return Error{"cabinet", say(YF_WORDS("core", "'%1' is not in this job"), cabinet), ""};
    }
    YF_TRY(circuit, startedNetwork(job, *found, start));
    static constexpr std::string_view names[] = {
        "Butterworth", "Linkwitz-Riley", "Bessel", "Chebyshev"};
    Words at = text::printEngineering(start.fx, "Hz");
    for (const double fx : start.upper) {
        if (start.plan != Plan::filler) {
            at = say(YF_WORDS("core", "%1 and %2"), at, text::printEngineering(fx, "Hz"));
        }
    }
    edit::Edit edit = edit::takeNetwork(cabinet, circuit);
    const std::string_view alignment = names[static_cast<std::size_t>(start.alignment)];
    edit.name = start.plan == Plan::parallel ? say(YF_WORDS("core", "Start %1-order %2 at %3"),
                                                   network::orderName(start.order),
                                                   alignment,
                                                   at)
                                             : say(YF_WORDS("core", "Start %1-order %2 at %3, %4"),
                                                   network::orderName(start.order),
                                                   alignment,
                                                   at,
                                                   planName(start.plan));
    return edit;
}

} // namespace yf::study
