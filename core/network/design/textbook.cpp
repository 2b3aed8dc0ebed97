// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/design/textbook.h"

#include "core/network/solve/solve.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::network {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

Part bare(PartKind kind, double value) {
    Part part;
    part.id = std::string(1, letter(kind));
    part.kind = kind;
    part.value = value;
    return part;
}

Slot inLine(PartKind kind, double value) {
    return SeriesSlot{bare(kind, value)};
}

Slot toReturn(PartKind kind, double value) {
    return ShuntSlot{bare(kind, value)};
}

Section way(std::string name, std::vector<Slot> ladder, int polarity) {
    Section section;
    section.ladder = std::move(ladder);
    section.end = DriverEnd{.driver = name, .polarity = polarity};
    section.name = std::move(name);
    return section;
}

PrototypeRequest prototypeOf(const TextbookRequest& r) {
    PrototypeRequest p{.alignment = r.alignment, .order = r.order.value_or(2), .ripple = r.ripple};
    if (r.levelAtFx) {
        p.levelAtFx = *r.levelAtFx;
    }
    return p;
}

/// Duals of the parallel parts, way by way.
std::vector<Slot> seriesNetworkLow(const std::vector<double>& g, double fx, double R) {
    const double omega = twoPi * fx;
    std::vector<Slot> ladder;
    for (std::size_t k = 0; k < g.size(); ++k) {
        ladder.push_back(k % 2 == 0 ? toReturn(PartKind::capacitor, g[k] / (R * omega))
                                    : inLine(PartKind::coil, g[k] * R / omega));
    }
    return ladder;
}

std::vector<Slot> seriesNetworkHigh(const std::vector<double>& g, double fx, double R) {
    const double omega = twoPi * fx;
    std::vector<Slot> ladder;
    for (std::size_t k = 0; k < g.size(); ++k) {
        ladder.push_back(k % 2 == 0 ? toReturn(PartKind::coil, R / (g[k] * omega))
                                    : inLine(PartKind::capacitor, 1.0 / (g[k] * R * omega)));
    }
    return ladder;
}

std::vector<Slot> bandPass(const TextbookRequest& r, double R) {
    const Polynomial D = prototype(prototypeOf(r));
    const double centre = std::sqrt(*r.fxLow * *r.fxHigh);
    const auto low = static_cast<long double>(*r.fxLow / centre);
    const auto high = static_cast<long double>(*r.fxHigh / centre);
    const std::size_t N = D.size() - 1;
    Polynomial lowPass(N + 1);
    Polynomial highPass(N + 1);
    for (std::size_t i = 0; i <= N; ++i) {
        lowPass[i] = D[i] / std::pow(high, static_cast<long double>(i));
        // s^N·D(ωL/s), so that the high-pass is s^N over it.
        highPass[N - i] = D[i] * std::pow(low, static_cast<long double>(i));
    }
    std::vector<Slot> ladder;
    const double omega = twoPi * centre;
    for (const LadderElement& e :
         bandPassLadder(multiply(lowPass, highPass), static_cast<int>(N), r.bandTopology)) {
        const PartKind kind = e.coil ? PartKind::coil : PartKind::capacitor;
        const double value = e.coil ? e.value * R / omega : e.value / (R * omega);
        ladder.push_back(e.inLine ? inLine(kind, value) : toReturn(kind, value));
    }
    return ladder;
}

/// Names and loads of the ways, low to high.
struct WayLoad {
    std::string name;
    double load{};
};

/// Gives every bare letter its number, in writing order.
Result<Network> numbered(Section top, Source source, const std::vector<WayLoad>& loads) {
    Circuit circuit;
    circuit.source = source;
    circuit.body = std::move(top);
    Network network{.circuit = std::move(circuit), .drivers = {}};
    for (const WayLoad& load : loads) {
        NamedDriver driver{.name = load.name,
                           .impedance = ResistorLoad{load.load},
                           .response = {},
                           .role = quantity::DriverRole::woofer};
        driver.role = load.name == "high"  ? quantity::DriverRole::tweeter
                      : load.name == "mid" ? quantity::DriverRole::midrange
                                           : quantity::DriverRole::woofer;
        network.drivers.push_back(std::move(driver));
    }
    return Network::read(network.write(), "network");
}

Axis around(double from, double to, const std::vector<double>& always) {
    constexpr double perDecade = 160.0;
    Axis axis;
    const auto last = static_cast<int>(std::floor(perDecade * std::log10(to / from) + 1e-9));
    for (int k = 0; k <= last; ++k) {
        axis.push_back(from * std::pow(10.0, k / perDecade));
    }
    axis.insert(axis.end(), always.begin(), always.end());
    std::ranges::sort(axis);
    const auto same = [](double a, double b) { return std::abs(a - b) < 1e-12 * b; };
    axis.erase(std::unique(axis.begin(), axis.end(), same), axis.end());
    return axis;
}

std::size_t indexOf(const Axis& axis, double f) {
    const auto nearest = std::ranges::min_element(
        axis, {}, [&](double other) { return std::abs(std::log(other / f)); });
    return static_cast<std::size_t>(nearest - axis.begin());
}

Section& waySection(Network& network, std::size_t index) {
    return std::get<Ways>(network.circuit.tree()->end).sections[index];
}

struct SumFigures {
    double atFx{};
    double max{};
    double min{};
};

SumFigures sumFigures(const std::vector<std::vector<Complex>>& drives,
                      const std::vector<int>& signs,
                      std::size_t atFx) {
    SumFigures figures{0.0, -1e9, 1e9};
    for (std::size_t k = 0; k < drives.front().size(); ++k) {
        Complex S{};
        for (std::size_t q = 0; q < drives.size(); ++q) {
            S += static_cast<double>(signs[q]) * drives[q][k];
        }
        // A perfect null has no level; 1e-16 of the source is what rounding leaves of it.
        const double level = quantity::decibels(std::max(std::abs(S), 1e-16));
        figures.max = std::max(figures.max, level);
        figures.min = std::min(figures.min, level);
        if (k == atFx) {
            figures.atFx = level;
        }
    }
    return figures;
}

std::vector<int> polaritiesByRule(int order, std::size_t ways) {
    std::vector<int> signs{1};
    while (signs.size() < ways) {
        signs.push_back(reversedByRule(order) ? -signs.back() : signs.back());
    }
    return signs;
}

/// Polarity with the smaller largest deviation; within a hundredth of a decibel the rule decides.
std::vector<int> polaritiesByTrial(const std::vector<std::vector<Complex>>& drives, int order) {
    const std::size_t ways = drives.size();
    const std::vector<int> rule = polaritiesByRule(order, ways);
    const auto deviation = [&](const std::vector<int>& signs) {
        const SumFigures f = sumFigures(drives, signs, 0);
        return std::max(std::abs(f.max), std::abs(f.min));
    };
    std::vector<int> best = rule;
    double least = deviation(rule);
    constexpr double tie = 0.01;
    for (unsigned pattern = 0; pattern < (1U << (ways - 1)); ++pattern) {
        std::vector<int> signs{1};
        for (std::size_t w = 1; w < ways; ++w) {
            signs.push_back((pattern >> (w - 1)) & 1U ? -1 : 1);
        }
        if (deviation(signs) < least - tie) {
            least = deviation(signs);
            best = signs;
        }
    }
    return best;
}

struct Plan {
    Section top;
    std::vector<WayLoad> loads;
    double from{}; ///< lowest crossover
    double to{};   ///< highest crossover
};

Result<std::vector<double>> outerValues(const TextbookRequest& r, double load) {
    const Polynomial D = prototype(prototypeOf(r));
    const bool single = r.kind == TextbookKind::lowPass || r.kind == TextbookKind::highPass;
    // Several ways share the source, and what they take together decides its effect: their parts
    // are those of an ideal source, and the figures include the real one.
    if (single && r.source > 0.0) {
        return ladderValues(D, r.source / load);
    }
    return ladderValues(D);
}

Section joined(std::vector<Section> sections, Joining join) {
    Section top;
    top.end = Ways{.join = join, .sections = std::move(sections)};
    return top;
}

Result<Plan> plan(const TextbookRequest& r) {
    const double low = r.lowLoad.value_or(r.load);
    const double mid = r.midLoad.value_or(r.load);
    const double high = r.highLoad.value_or(r.load);
    Plan plan;
    plan.from = r.fx ? *r.fx : *r.fxLow;
    plan.to = r.fx ? *r.fx : *r.fxHigh;
    switch (r.kind) {
    case TextbookKind::lowPass: {
        YF_TRY(g, outerValues(r, r.load));
        plan.top = way("low", lowPassLadder(g, *r.fx, r.load), 1);
        plan.loads = {{"low", r.load}};
        break;
    }
    case TextbookKind::highPass: {
        YF_TRY(g, outerValues(r, r.load));
        plan.top = way("high", highPassLadder(g, *r.fx, r.load), 1);
        plan.loads = {{"high", r.load}};
        break;
    }
    case TextbookKind::bandPass:
        plan.top = way("mid", bandPass(r, r.load), 1);
        plan.loads = {{"mid", r.load}};
        break;
    case TextbookKind::twoWay: {
        YF_TRY(g, outerValues(r, low));
        plan.top = joined({way("low", lowPassLadder(g, *r.fx, low), 1),
                           way("high", highPassLadder(g, *r.fx, high), 1)},
                          Joining::parallel);
        plan.loads = {{"low", low}, {"high", high}};
        break;
    }
    case TextbookKind::threeWay: {
        YF_TRY(g, outerValues(r, low));
        plan.top = joined({way("low", lowPassLadder(g, *r.fxLow, low), 1),
                           way("mid", bandPass(r, mid), 1),
                           way("high", highPassLadder(g, *r.fxHigh, high), 1)},
                          Joining::parallel);
        plan.loads = {{"low", low}, {"mid", mid}, {"high", high}};
        break;
    }
    case TextbookKind::filler: {
        const double omega = twoPi * *r.fx;
        const double Q = r.fillerQ;
        plan.top = joined({way("low",
                               {inLine(PartKind::coil, low / (Q * omega)),
                                toReturn(PartKind::capacitor, Q / (low * omega))},
                               1),
                           way("mid",
                               {inLine(PartKind::coil, Q * mid / omega),
                                inLine(PartKind::capacitor, 1.0 / (Q * mid * omega))},
                               1),
                           way("high",
                               {inLine(PartKind::capacitor, Q / (high * omega)),
                                toReturn(PartKind::coil, high / (Q * omega))},
                               1)},
                          Joining::parallel);
        plan.loads = {{"low", low}, {"mid", mid}, {"high", high}};
        break;
    }
    case TextbookKind::series: {
        YF_TRY(g, outerValues(r, low));
        plan.top = joined({way("low", seriesNetworkLow(g, *r.fx, low), 1),
                           way("high", seriesNetworkHigh(g, *r.fx, high), 1)},
                          Joining::series);
        plan.loads = {{"low", low}, {"high", high}};
        break;
    }
    }
    return plan;
}

std::vector<int> advisedPolarities(const TextbookRequest& r,
                                   const std::vector<std::vector<Complex>>& drives) {
    if (r.kind == TextbookKind::filler || drives.size() == 1) {
        return std::vector<int>(drives.size(), 1);
    }
    const bool known =
        r.alignment == Alignment::butterworth || r.alignment == Alignment::linkwitzRiley;
    return known ? polaritiesByRule(*r.order, drives.size()) : polaritiesByTrial(drives, *r.order);
}

/// Level of the first way at fx and one octave on, re its pass band.
void slopeFigures(const TextbookRequest& r,
                  const Axis& axis,
                  const std::vector<Complex>& drive,
                  Textbook& book) {
    const auto level = [&](double f) { return quantity::decibels(drive[indexOf(axis, f)]); };
    switch (r.kind) {
    case TextbookKind::highPass: {
        const double pass = quantity::decibels(r.load / (r.load + r.source));
        book.levelAtFx = level(*r.fx) - pass;
        book.octavePast = level(*r.fx / 2.0) - pass;
        break;
    }
    case TextbookKind::bandPass: {
        const double centre = level(std::sqrt(*r.fxLow * *r.fxHigh));
        // The product of the two ideal slopes, from the denominators themselves.
        const Polynomial D = prototype(prototypeOf(r));
        const auto slope = [&](double x) { return std::abs(filterAt(D, x, false)); };
        const double ratio = std::sqrt(*r.fxHigh / *r.fxLow);
        const double K = centre - quantity::decibels(slope(1.0 / ratio) * slope(1.0 / ratio));
        book.bandGain = K;
        book.levelAtFx = level(*r.fxHigh) - K;
        book.octavePast = level(2.0 * *r.fxHigh) - K;
        break;
    }
    default: {
        const double fx = r.fx ? *r.fx : *r.fxLow;
        const double pass = r.kind == TextbookKind::lowPass
                                ? quantity::decibels(r.load / (r.load + r.source))
                                : 0.0;
        book.levelAtFx = level(fx) - pass;
        book.octavePast = level(2.0 * fx) - pass;
        break;
    }
    }
}

Error useless(const char* key, const char* kind) {
    return {key, "given", say(YF_WORDS("core", "has no use for %1"), kind)};
}

std::optional<Error> checkFrequencies(const TextbookRequest& r) {
    const bool pair = r.kind == TextbookKind::bandPass || r.kind == TextbookKind::threeWay;
    const auto need = [](const char* key, const char* what) { return Error{key, "missing", what}; };
    if (pair) {
        if (!r.fxLow) {
            return need("fx_low_hz", "must be 1 to 100000");
        }
        if (!r.fxHigh) {
            return need("fx_high_hz", "must be 1 to 100000");
        }
        if (r.fx) {
            return useless("fx_hz", "a kind with two crossover frequencies");
        }
        if (!(*r.fxHigh > *r.fxLow)) {
            return Error{
                "fx_high_hz",
                text::given(text::printNumber(*r.fxHigh)),
                say(YF_WORDS("core", "must be above fx_low_hz %1"), text::printNumber(*r.fxLow))};
        }
        return std::nullopt;
    }
    if (!r.fx) {
        return need("fx_hz", "must be 1 to 100000");
    }
    if (r.fxLow || r.fxHigh) {
        return useless(r.fxLow ? "fx_low_hz" : "fx_high_hz", "a kind with one crossover frequency");
    }
    return std::nullopt;
}

} // namespace

std::string_view orderName(int order) {
    static constexpr std::string_view names[] = {YF_WORDS("core", "first"),
                                                 YF_WORDS("core", "second"),
                                                 YF_WORDS("core", "third"),
                                                 YF_WORDS("core", "fourth"),
                                                 "fifth",
                                                 "sixth",
                                                 "seventh",
                                                 "eighth"};
    YF_EXPECT(order >= 1 && order <= 8);
    return names[order - 1];
}

bool reversedByRule(int order) {
    return order % 4 == 2 || order % 4 == 3;
}

std::vector<Slot> lowPassLadder(const std::vector<double>& g, double fx, double load) {
    const double omega = twoPi * fx;
    std::vector<Slot> ladder;
    for (std::size_t k = 0; k < g.size(); ++k) {
        ladder.push_back(k % 2 == 0 ? inLine(PartKind::coil, g[k] * load / omega)
                                    : toReturn(PartKind::capacitor, g[k] / (load * omega)));
    }
    return ladder;
}

std::vector<Slot> highPassLadder(const std::vector<double>& g, double fx, double load) {
    const double omega = twoPi * fx;
    std::vector<Slot> ladder;
    for (std::size_t k = 0; k < g.size(); ++k) {
        ladder.push_back(k % 2 == 0 ? inLine(PartKind::capacitor, 1.0 / (g[k] * load * omega))
                                    : toReturn(PartKind::coil, load / (g[k] * omega)));
    }
    return ladder;
}

std::optional<Error> check(const TextbookRequest& r) {
    if (r.kind != TextbookKind::filler && !r.order) {
        return Error{"order", "missing", "must be a whole number, 1 to 8"};
    }
    if (r.kind == TextbookKind::filler && r.order) {
        return useless("order", "a filler network");
    }
    if (auto error = checkFrequencies(r)) {
        return error;
    }
    if (r.alignment == Alignment::linkwitzRiley && r.order && *r.order % 2 != 0) {
        return Error{
            "order", text::given(std::to_string(*r.order)), "must be even for linkwitz-riley"};
    }
    if (r.kind == TextbookKind::series && r.alignment != Alignment::butterworth) {
        return Error{
            "alignment",
            "another than butterworth given",
            "must be butterworth for a series network: only then do the driver voltages follow it"};
    }
    constexpr double halfOf = -6.0205999132796239;
    if (r.alignment == Alignment::linkwitzRiley && r.levelAtFx &&
        std::abs(*r.levelAtFx - halfOf) > 0.03) {
        return Error{"fx_level_db",
                     text::given(text::printNumber(*r.levelAtFx)),
                     "is always -6.02 for linkwitz-riley"};
    }
    const double leastLoad = std::min({r.load,
                                       r.lowLoad.value_or(r.load),
                                       r.midLoad.value_or(r.load),
                                       r.highLoad.value_or(r.load)});
    if (!(r.source < leastLoad)) {
        return Error{
            "source_ohm",
            text::given(text::printNumber(r.source)),
            say(YF_WORDS("core", "must be below the load %1"), text::printNumber(leastLoad))};
    }
    return std::nullopt;
}

Result<Textbook> textbook(const TextbookRequest& r) {
    YF_TRY(made, plan(r));
    YF_TRY(network,
           numbered(made.top,
                    Source{.voltage = quantity::referenceVoltage, .resistance = r.source},
                    made.loads));
    Textbook book{.network = std::move(network)};
    const double centre = std::sqrt(made.from * made.to);
    const Axis axis =
        around(made.from / 100.0,
               100.0 * made.to,
               {made.from, made.to, centre, made.from / 2.0, 2.0 * made.from, 2.0 * made.to});
    YF_TRY(loads, loadsOn(book.network, axis));
    YF_TRY(solution, solve(book.network.circuit, PreparedLoads(loads)));
    book.polarities = advisedPolarities(r, solution.drives);
    if (book.polarities.size() > 1) {
        for (std::size_t w = 0; w < book.polarities.size(); ++w) {
            std::get<DriverEnd>(waySection(book.network, w).end).polarity = book.polarities[w];
        }
        const SumFigures figures =
            sumFigures(solution.drives, book.polarities, indexOf(axis, made.from));
        book.sumAtFx = figures.atFx;
        book.sumMax = figures.max;
        book.sumMin = figures.min;
    }
    slopeFigures(r, axis, solution.drives.front(), book);
    if (r.kind == TextbookKind::threeWay) {
        TextbookRequest middle = r;
        middle.kind = TextbookKind::bandPass;
        middle.load = r.midLoad.value_or(r.load);
        middle.source = 0.0;
        YF_TRY(band, textbook(middle));
        book.bandGain = band.bandGain;
    }
    const auto [least, most] = std::ranges::minmax_element(
        solution.impedances, {}, [](const Complex& Z) { return std::abs(Z); });
    book.impedanceMin = std::abs(*least);
    book.impedanceMax = std::abs(*most);
    book.values = parts(book.network.circuit);
    std::ranges::transform(book.values, std::back_inserter(book.partIds), &Part::id);
    return book;
}

text::Value Textbook::write() const {
    using text::Value;
    static constexpr std::string_view suffixes[] = {"_ohm", "_h", "_f"};
    Value::Object valueObject;
    for (const Part& part : values) {
        valueObject.push_back(
            {part.id + std::string(suffixes[static_cast<std::size_t>(part.kind)]), part.value});
    }
    Value::List signs;
    for (const int sign : polarities) {
        signs.emplace_back(sign);
    }
    const auto maybe = [](const std::optional<double>& number) {
        return number ? Value{*number} : Value{};
    };
    return Value::Object{{"network", network.write()},
                         {"part_ids", partIds},
                         {"values", std::move(valueObject)},
                         {"polarities", std::move(signs)},
                         {"level_at_fx_db", maybe(levelAtFx)},
                         {"octave_past_db", maybe(octavePast)},
                         {"sum_at_fx_db", maybe(sumAtFx)},
                         {"sum_max_db", maybe(sumMax)},
                         {"sum_min_db", maybe(sumMin)},
                         {"impedance_min_ohm", impedanceMin},
                         {"impedance_max_ohm", impedanceMax},
                         {"band_gain_db", maybe(bandGain)}};
}

} // namespace yf::network
