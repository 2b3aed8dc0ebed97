// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/judge/load.h"

#include "core/network/circuit/graph.h"
#include "core/network/solve/solve.h"

#include <Eigen/Dense>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <numeric>
#include <span>

namespace yf::network {

namespace {

constexpr double open = std::numeric_limits<double>::infinity();

/// At which end of the frequency axis a resistance is asked for.
enum class Limit { dc, highFrequency };

double inParallel(double a, double b) {
    if (a == 0.0 || b == 0.0) {
        return 0.0;
    }
    return a == open ? b : b == open ? a : a * b / (a + b);
}

double limitResistance(const Part& part, Limit limit) {
    switch (part.kind) {
    case PartKind::resistor:
        return part.value;
    case PartKind::coil:
        if (limit == Limit::dc) {
            return part.dcr;
        }
        return part.rp ? part.dcr + *part.rp : open;
    case PartKind::capacitor:
        if (limit == Limit::highFrequency) {
            return lossResistance(part);
        }
        return part.leak ? lossResistance(part) + *part.leak : open;
    }
    return open;
}

double limitResistance(const OnePort& port, Limit limit) {
    if (const Part* part = port.part()) {
        return limitResistance(*part, limit);
    }
    const Composite& composite = *port.composite();
    const bool series = composite.joining == Joining::series;
    double R = series ? 0.0 : open;
    for (const OnePort& inner : composite.ports) {
        const double one = limitResistance(inner, limit);
        R = series ? R + one : inParallel(R, one);
    }
    return R;
}

double limitResistance(const DriverEnd& end, const Loads& loads, Limit limit) {
    const Load& load = loads.drivers[loads.find(end.driver).value()];
    if (limit == Limit::highFrequency && load.openAtHighFrequency) {
        return open;
    }
    return load.dcResistance * end.ratio();
}

double limitResistance(const Section& section, const Loads& loads, Limit limit);

double passSlot(const Slot& slot, double behind, Limit limit) {
    return std::visit(
        [&](const auto& s) -> double {
            using T = std::decay_t<decltype(s)>;
            if constexpr (std::is_same_v<T, SeriesSlot>) {
                return behind + limitResistance(s.port, limit);
            } else if constexpr (std::is_same_v<T, ShuntSlot>) {
                return inParallel(behind, limitResistance(s.port, limit));
            } else if constexpr (std::is_same_v<T, TransformerSlot>) {
                // At 0 Hz the magnetising coil is a wire; without one the ratio holds.
                const bool shorted = limit == Limit::dc && s.magnetizing;
                return s.dcr + (shorted ? 0.0 : behind / (s.ratio * s.ratio));
            } else {
                const ControlResistances R = resistances(s);
                return R.inLine + (R.toReturn ? inParallel(behind, *R.toReturn) : behind);
            }
        },
        slot);
}

double limitResistance(const Section& section, const Loads& loads, Limit limit) {
    double R = open;
    if (const auto* end = std::get_if<DriverEnd>(&section.end)) {
        R = limitResistance(*end, loads, limit);
    } else {
        const Ways& ways = std::get<Ways>(section.end);
        R = ways.join == Joining::series ? 0.0 : open;
        for (const Section& child : ways.sections) {
            const double one = limitResistance(child, loads, limit);
            R = ways.join == Joining::series ? R + one : inParallel(R, one);
        }
    }
    for (auto slot = section.ladder.rbegin(); slot != section.ladder.rend(); ++slot) {
        R = passSlot(*slot, R, limit);
    }
    return R;
}

std::size_t rootOf(std::vector<std::size_t>& group, std::size_t node) {
    while (group[node] != node) {
        node = group[node];
    }
    return node;
}

struct Resistor {
    std::size_t from{};
    std::size_t to{};
    double R{};
};

/// Terminal resistance of a net of resistors: zero ohms merge nodes, the rest is solved.
double netResistance(const std::vector<Resistor>& resistors, std::size_t nodes) {
    std::vector<std::size_t> group(nodes);
    std::iota(group.begin(), group.end(), std::size_t{0});
    std::vector<std::size_t> connected = group;
    for (const Resistor& r : resistors) {
        if (r.R == 0.0) {
            group[rootOf(group, r.from)] = rootOf(group, r.to);
        }
        if (r.R != open) {
            connected[rootOf(connected, r.from)] = rootOf(connected, r.to);
        }
    }
    if (rootOf(connected, inNode) != rootOf(connected, returnNode)) {
        return open;
    }
    if (rootOf(group, inNode) == rootOf(group, returnNode)) {
        return 0.0;
    }
    const auto n = static_cast<Eigen::Index>(nodes);
    Eigen::MatrixXd G = Eigen::MatrixXd::Zero(n, n);
    for (const Resistor& r : resistors) {
        if (r.R > 0.0 && r.R != open) {
            const auto a = static_cast<Eigen::Index>(rootOf(group, r.from));
            const auto b = static_cast<Eigen::Index>(rootOf(group, r.to));
            G(a, a) += 1.0 / r.R;
            G(b, b) += 1.0 / r.R;
            G(a, b) -= 1.0 / r.R;
            G(b, a) -= 1.0 / r.R;
        }
    }
    const auto ground = static_cast<Eigen::Index>(rootOf(group, returnNode));
    const auto in = static_cast<Eigen::Index>(rootOf(group, inNode));
    // Nodes that nothing reaches, and those merged away, must not make the matrix singular.
    for (Eigen::Index i = 0; i < n; ++i) {
        const bool idle = G(i, i) == 0.0 || rootOf(connected, static_cast<std::size_t>(i)) !=
                                                rootOf(connected, returnNode);
        if (i == ground || idle) {
            G.row(i).setZero();
            G.col(i).setZero();
            G(i, i) = 1.0;
        }
    }
    Eigen::VectorXd current = Eigen::VectorXd::Zero(n);
    current(in) = 1.0;
    return G.fullPivLu().solve(current)(in);
}

double terminals(const Circuit& circuit, const Loads& loads, Limit limit) {
    if (const Section* tree = circuit.tree()) {
        return limitResistance(*tree, loads, limit);
    }
    const Graph graph = flatten(circuit);
    std::vector<Resistor> resistors;
    for (const auto& part : graph.parts) {
        resistors.push_back({part.from, part.to, limitResistance(part.port, limit)});
    }
    for (const auto& driver : graph.drivers) {
        resistors.push_back({driver.from, driver.to, limitResistance(driver.end, loads, limit)});
    }
    return netResistance(resistors, graph.nodes.size());
}

bool conducts(const Slot& slot) {
    return std::visit(
        [](const auto& s) {
            using T = std::decay_t<decltype(s)>;
            if constexpr (std::is_same_v<T, SeriesSlot>) {
                return limitResistance(s.port, Limit::dc) != open;
            } else if constexpr (std::is_same_v<T, TransformerSlot>) {
                return !s.magnetizing;
            } else {
                return true;
            }
        },
        slot);
}

/// Whether direct current finds any way through a section, drivers taken as conducting.
bool passesCurrent(const Section& section) {
    bool through = true;
    if (const auto* ways = std::get_if<Ways>(&section.end)) {
        const auto passes = [](const Section& child) { return passesCurrent(child); };
        through = ways->join == Joining::series ? std::ranges::all_of(ways->sections, passes)
                                                : std::ranges::any_of(ways->sections, passes);
    }
    for (auto slot = section.ladder.rbegin(); slot != section.ladder.rend(); ++slot) {
        if (const auto* shunt = std::get_if<ShuntSlot>(&*slot)) {
            through = through || limitResistance(shunt->port, Limit::dc) != open;
        } else {
            through = through && conducts(*slot);
        }
    }
    return through;
}

void collectPaths(const Section& section, bool reached, std::vector<bool>& paths) {
    reached = reached &&
              std::ranges::all_of(section.ladder, [](const Slot& slot) { return conducts(slot); });
    if (std::holds_alternative<DriverEnd>(section.end)) {
        paths.push_back(reached);
        return;
    }
    const Ways& ways = std::get<Ways>(section.end);
    for (std::size_t k = 0; k < ways.sections.size(); ++k) {
        bool closed = true;
        for (std::size_t other = 0; other < ways.sections.size(); ++other) {
            const bool sibling = other != k && ways.join == Joining::series;
            closed = closed && (!sibling || passesCurrent(ways.sections[other]));
        }
        collectPaths(ways.sections[k], reached && closed, paths);
    }
}

bool netPath(const Graph& graph, std::size_t driver) {
    std::vector<std::size_t> group(graph.nodes.size());
    std::iota(group.begin(), group.end(), std::size_t{0});
    for (const auto& part : graph.parts) {
        if (limitResistance(part.port, Limit::dc) != open) {
            group[rootOf(group, part.from)] = rootOf(group, part.to);
        }
    }
    for (std::size_t other = 0; other < graph.drivers.size(); ++other) {
        if (other != driver) {
            group[rootOf(group, graph.drivers[other].from)] =
                rootOf(group, graph.drivers[other].to);
        }
    }
    const auto together = [&](std::size_t a, std::size_t b) {
        return rootOf(group, a) == rootOf(group, b);
    };
    const auto& d = graph.drivers[driver];
    return (together(d.from, inNode) && together(d.to, returnNode)) ||
           (together(d.to, inNode) && together(d.from, returnNode));
}

std::vector<Complex> impedancesOn(const Circuit& circuit, const Loads& loads) {
    const auto solution = solve(circuit, PreparedLoads(loads));
    YF_EXPECT(solution.ok());
    return solution->impedances;
}

/// A stretch of frequencies with a minimum somewhere inside, and the least value seen in it.
struct Valley {
    double from{};
    double to{};
    Lowest lowest{};
};

/// So many frequencies strictly between the ends, even in ln f.
void addBetween(Axis& axis, const Valley& valley, std::size_t count) {
    const double step = std::log(valley.to / valley.from) / static_cast<double>(count + 1);
    for (std::size_t i = 1; i <= count; ++i) {
        axis.push_back(valley.from * std::exp(static_cast<double>(i) * step));
    }
}

/// The point of least value, with its neighbours as the new stretch.
Valley
lowestOf(const Valley& valley, std::span<const double> axis, std::span<const double> values) {
    const auto k = static_cast<std::size_t>(std::ranges::min_element(values) - values.begin());
    return {k == 0 ? valley.from : axis[k - 1],
            k + 1 == axis.size() ? valley.to : axis[k + 1],
            {values[k], axis[k]}};
}

/// Least value of a positive function of the complex impedance: first on the axis, then between its
/// points wherever these leave room for something lower. A solution of a block of points costs
/// little more than one of a single point, so valleys are looked into by whole combs of points.
template <class Measure>
Result<Lowest> leastOf(const Circuit& circuit,
                       const LoadsOn& loadsOn,
                       const Axis& axis,
                       const std::vector<Complex>& Z,
                       Measure&& measure,
                       const std::function<void(Loads&)>& change = {}) {
    const auto valuesOn = [&](const Axis& points) -> Result<std::vector<double>> {
        YF_TRY(loads, loadsOn(points));
        if (change) {
            change(loads);
        }
        std::vector<double> values;
        for (const Complex& z : impedancesOn(circuit, loads)) {
            values.push_back(measure(z));
        }
        return values;
    };
    std::vector<double> values;
    std::ranges::transform(Z, std::back_inserter(values), measure);
    const auto least = static_cast<std::size_t>(std::ranges::min_element(values) - values.begin());
    Lowest lowest{values[least], axis[least]};

    // What a valley may hide between its points: a sharp dip goes on falling as steeply as its
    // sides do, and no deeper.
    constexpr double steepness = 1.5;
    constexpr double roundness = 0.01;
    constexpr std::size_t comb = 14;
    std::vector<Valley> valleys;
    Axis combs;
    for (std::size_t k = 1; k + 1 < axis.size(); ++k) {
        if (values[k] > values[k - 1] || values[k] > values[k + 1]) {
            continue;
        }
        const double side = std::max(values[k - 1], values[k + 1]) - values[k];
        if (values[k] * (1.0 - roundness) - steepness * side < lowest.ohms) {
            valleys.push_back({axis[k - 1], axis[k + 1], {values[k], axis[k]}});
            addBetween(combs, valleys.back(), comb);
        }
    }
    if (valleys.empty()) {
        return lowest;
    }
    YF_TRY(combed, valuesOn(combs));
    for (std::size_t i = 0; i < valleys.size(); ++i) {
        valleys[i] = lowestOf(valleys[i],
                              std::span(combs).subspan(i * comb, comb),
                              std::span(combed).subspan(i * comb, comb));
        lowest = valleys[i].lowest.ohms < lowest.ohms ? valleys[i].lowest : lowest;
    }

    // What is left to fall between points 1/360 octave apart is little: a dip that narrow has
    // already shown as the lowest of all.
    constexpr double couldStillFall = 0.98;
    constexpr std::size_t fineComb = 62;
    constexpr int closer = 5; // each time 1/32 of the stretch: 1e-9 of a frequency in the end
    std::ranges::sort(valleys, {}, [](const Valley& valley) { return valley.lowest.ohms; });
    for (Valley valley : valleys) {
        for (int i = 0; i < closer && valley.lowest.ohms * couldStillFall < lowest.ohms; ++i) {
            Axis points;
            addBetween(points, valley, fineComb);
            YF_TRY(fine, valuesOn(points));
            valley = lowestOf(valley, points, fine);
            lowest = valley.lowest.ohms < lowest.ohms ? valley.lowest : lowest;
        }
    }
    return lowest;
}

double modulus(const Complex& Z) {
    return std::abs(Z);
}

constexpr double hardLoad = 2.0;     ///< Ω, rule of thumb for a class-B amplifier
constexpr double shortCircuit = 1.0; ///< Ω
constexpr double nearShort = 2.0;    ///< Ω
constexpr double trebleFs = 500.0;   ///< Hz: a driver resonating above this takes no direct current

} // namespace

Result<Lowest>
leastImpedance(const Circuit& circuit, const LoadsOn& loadsOn, const PreparedLoads& onAxis) {
    YF_TRY(solution, solve(circuit, onAxis));
    return leastOf(circuit, loadsOn, onAxis.loads().axis, solution.impedances, modulus);
}

Result<Lowest> leastEpdr(const Circuit& circuit, const PreparedLoads& onAxis) {
    YF_TRY(solution, solve(circuit, onAxis));
    std::vector<double> stress;
    std::ranges::transform(solution.impedances, std::back_inserter(stress), epdr);
    const auto least = static_cast<std::size_t>(std::ranges::min_element(stress) - stress.begin());
    return Lowest{stress[least], onAxis.loads().axis[least]};
}

Loads withoutDriver(Loads loads, const std::string& driver) {
    constexpr double nothing = 1e15; // Ω, an open pair of wires
    const auto index = loads.find(driver);
    YF_EXPECT(index.has_value());
    std::ranges::fill(loads.drivers[*index].impedance, Complex{nothing});
    return loads;
}

Result<Lowest> leastImpedanceWithout(const Circuit& circuit,
                                     const LoadsOn& loadsOn,
                                     const PreparedLoads& onAxis,
                                     const std::string& driver) {
    YF_TRY(solution, solve(circuit, onAxis));
    return leastOf(
        circuit, loadsOn, onAxis.loads().axis, solution.impedances, modulus, [&](Loads& loads) {
            loads = withoutDriver(std::move(loads), driver);
        });
}

namespace {

/// The hardest of all amplifiers' terminals.
double hardest(const Circuit& circuit, const Loads& loads, Limit limit) {
    double least = open;
    for (const Circuit& one : amplifiers(circuit)) {
        least = std::min(least, terminals(one, loads, limit));
    }
    return least;
}

} // namespace

std::optional<double> dcTerminals(const Circuit& circuit, const Loads& loads) {
    const double R = hardest(circuit, loads, Limit::dc);
    return R == open ? std::nullopt : std::optional(R);
}

std::vector<bool> dcPaths(const Circuit& circuit) {
    std::vector<bool> paths;
    if (const Section* tree = circuit.tree()) {
        collectPaths(*tree, true, paths);
        return paths;
    }
    const Graph graph = flatten(circuit);
    for (std::size_t driver = 0; driver < graph.drivers.size(); ++driver) {
        paths.push_back(netPath(graph, driver));
    }
    return paths;
}

bool givesDirectCurrent(const Circuit& before, const Circuit& after) {
    const auto kept = dcPaths(before);
    const auto now = dcPaths(after);
    for (std::size_t end = 0; end < std::min(kept.size(), now.size()); ++end) {
        if (now[end] && !kept[end]) {
            return true;
        }
    }
    return false;
}

Result<AmplifierLoad>
amplifierLoad(const Circuit& circuit, const LoadsOn& loadsOn, const Axis& axis, double minimum) {
    YF_TRY(loads, loadsOn(axis));
    YF_TRY(solution, solve(circuit, PreparedLoads(loads)));
    AmplifierLoad load;
    load.driverNames = solution.driverNames;
    YF_TRY(impedance, leastOf(circuit, loadsOn, axis, solution.impedances, modulus));
    load.impedance = impedance;
    YF_TRY(stress, leastOf(circuit, loadsOn, axis, solution.impedances, epdr));
    load.epdr = stress;
    const auto angles = curve::angles(solution.impedances);
    load.phaseMin = *std::ranges::min_element(angles);
    load.phaseMax = *std::ranges::max_element(angles);
    load.dcr = dcTerminals(circuit, loads);
    load.dcPaths = dcPaths(circuit);
    const auto ends = driverEnds(circuit);
    std::vector<std::string> removed;
    for (const DriverEnd& end : ends) {
        YF_TRY(least,
               leastImpedanceWithout(
                   circuit, loadsOn, PreparedLoads(withoutDriver(loads, end.driver)), end.driver));
        load.unloadedMinimums.push_back(least.ohms);
        if (least.ohms < nearShort) {
            removed.push_back("near-short-if-removed:" + end.driver);
        }
    }
    if (load.impedance.ohms < minimum) {
        load.warnings.emplace_back("z-below-limit");
    }
    if (load.epdr.ohms < hardLoad) {
        load.warnings.emplace_back("epdr-below-2-ohm");
    }
    for (std::size_t k = 0; k < ends.size(); ++k) {
        const Load& driver = loads.drivers[loads.find(ends[k].driver).value()];
        if (load.dcPaths[k] &&
            (driver.role == quantity::DriverRole::tweeter || driver.fs >= trebleFs)) {
            load.warnings.push_back("dc-reaches:" + ends[k].driver);
        }
    }
    if (load.dcr && *load.dcr < shortCircuit) {
        load.warnings.emplace_back("short-at-dc");
    }
    if (hardest(circuit, loads, Limit::highFrequency) < shortCircuit) {
        load.warnings.emplace_back("short-at-hf");
    }
    load.warnings.insert(load.warnings.end(), removed.begin(), removed.end());
    return load;
}

Result<AmplifierLoad> loadOf(const LoadRequest& request) {
    constexpr double ratedShare = 0.8;   // IEC 60268-5, from memory
    constexpr double usualMinimum = 3.2; // 80 % of 4 Ω
    const double ofRating = request.rated ? ratedShare * *request.rated : 0.0;
    const double given = request.minimum.value_or(request.rated ? 0.0 : usualMinimum);
    const double minimum = std::max(given, ofRating);
    const LoadsOn on = loadSource(request.network);
    return amplifierLoad(request.network.circuit, on, audibleAxis({0.0, 1e12}), minimum);
}

text::Value AmplifierLoad::write() const {
    using text::Value;
    Value::List paths;
    for (const bool path : dcPaths) {
        paths.emplace_back(path);
    }
    return Value::Object{{"impedance_min_ohm", impedance.ohms},
                         {"impedance_min_hz", impedance.frequency},
                         {"epdr_min_ohm", epdr.ohms},
                         {"epdr_min_hz", epdr.frequency},
                         {"phase_min_deg", phaseMin / quantity::degree},
                         {"phase_max_deg", phaseMax / quantity::degree},
                         {"dcr_ohm", dcr ? Value{*dcr} : Value{}},
                         {"driver_names", driverNames},
                         {"dc_paths", std::move(paths)},
                         {"unloaded_mins_ohm", unloadedMinimums},
                         {"warnings", warnings}};
}

} // namespace yf::network
