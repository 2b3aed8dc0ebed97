// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/box_state.h"

#include "core/network/ladder_edit.h"
#include "core/text/words.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::job {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

double diameterOf(const Job& job, const std::string& driver) {
    const Driver* d = findDriver(job, driver);
    return d == nullptr ? 0.2 : d->diameter;
}

std::vector<PortIn> portsOf(const Enclosure& e, bool rear) {
    std::vector<PortIn> ports;
    std::ranges::copy_if(
        e.ports, std::back_inserter(ports), [&](const PortIn& p) { return p.ofRear == rear; });
    return ports;
}

/// Σ n·S over the narrowest place, weighed so that a speed of it is the fastest tube's.
double speedArea(const std::vector<PortIn>& ports) {
    // The flow divides as 1/M, so a port of effective length L carries S/L of it and its speed
    // goes as 1/L: the shortest is the fastest.
    double conductance = 0.0;
    double shortest = 1e300;
    for (const PortIn& p : ports) {
        const double L = box::effectiveLength(p.port, p.length);
        conductance += p.port.totalArea() / L;
        shortest = std::min(shortest, L);
    }
    return ports.empty() ? 0.0 : conductance * shortest;
}

std::vector<PanelState> panelsOf(const Enclosure& e, const box::Inside& inside) {
    const box::Material* m = box::findMaterial(e.material);
    if (m == nullptr || e.shape == box::Shape::cylinder) {
        return {};
    }
    // Braces divide the height; the largest free field decides.
    std::vector<double> at = e.braces;
    at.push_back(0.0);
    at.push_back(inside.height);
    std::ranges::sort(at);
    double tallest = 0.0;
    for (std::size_t i = 1; i < at.size(); ++i) {
        tallest = std::max(tallest, at[i] - at[i - 1]);
    }
    box::Panel field{.E = m->E, .rho = m->rho, .thickness = e.panel};
    const auto state = [&](const char* name, double width, double height) {
        field.a = width;
        field.b = height;
        return PanelState{name, width, height, box::panelResonance(field)};
    };
    std::vector<PanelState> panels{state("side", inside.depth, tallest),
                                   state("back", inside.width, tallest),
                                   state("top", inside.width, inside.depth)};
    field.thickness = e.frontPanel();
    panels.insert(panels.begin() + 2, state("front", inside.width, tallest));
    return panels;
}

std::vector<ModeState>
modesOf(const Cabinet& cabinet, const Enclosure& e, const box::Inside& inside) {
    if (e.shape != box::Shape::rectangular) {
        return {};
    }
    const auto mount = std::ranges::find(cabinet.mounts, e.driver, &Mount::driver);
    const double y = driverHeight(cabinet, e);
    const double x = mount == cabinet.mounts.end() ? 0.0 : mount->x;
    std::vector<ModeState> states;
    constexpr std::size_t shown = 6;
    for (const box::AirMode& mode :
         box::airModes(inside.height, {inside.width, inside.depth}, shown)) {
        ModeState s{.mode = mode};
        s.atDriver = mode.pressureAt({y / inside.height, 0.5 + x / inside.width, 0.0});
        for (const PortIn& p : e.ports) {
            const double in = std::min(1.0, p.length / inside.depth);
            s.atPort = std::max(
                s.atPort,
                mode.pressureAt(
                    {p.height / inside.height, 0.5, p.side == PortWall::front ? in : 1.0 - in}));
        }
        states.push_back(s);
    }
    return states;
}

curve::Axis axisOf(double perOctave) {
    curve::Axis axis;
    constexpr double from = 10.0;
    constexpr double to = 1000.0;
    const int n = static_cast<int>(std::lround(std::log2(to / from) * perOctave));
    for (int i = 0; i <= n; ++i) {
        axis.push_back(from * std::pow(to / from, static_cast<double>(i) / n));
    }
    return axis;
}

/// What of the wood is taken for usual, and how much the bands must widen for it.
void putAssumptions(BoxResult& r, const Job& job, const Enclosure& e) {
    box::Doubt& doubt = r.known.doubt;
    if (!box::hasWalls(e.kind)) {
        return;
    }
    constexpr double sawing = 0.02; // of the volume, by saw, glue and what nobody listed
    doubt.volume = sawing;
    if (!e.driverVolume) {
        // ±50 % as limits that nearly all lie within: half of it is the standard deviation.
        constexpr double share = 0.25;
        doubt.volume = std::hypot(sawing, share * r.volumes.less.driver / r.volumes.net);
        r.assumed.emplace_back(YF_WORDS(
            "core", "Basket and magnet take a usual volume for the driver's size, ±50 %."));
    }
    if (box::isTuned(e.kind) && !e.QL) {
        doubt.loss = box::lossDoubt;
        const bool swept = std::ranges::any_of(job.takes, [&](const Take& take) {
            return take.kind == TakeKind::impedance && take.recorded.driver == e.driver &&
                   take.recorded.mounting != Mounting::free;
        });
        r.assumed.emplace_back(
            swept ? YF_WORDS("core",
                             "QL 7 is a usual loss, not this box's: a take made in it knows, "
                             "read it back.")
                  : YF_WORDS("core",
                             "QL 7 is a usual loss, not this box's: sweep the driver in it to "
                             "know."));
    }
    if (e.fill != Fill::none) {
        r.assumed.emplace_back(
            YF_WORDS("core", "What the filling does to volume and loss are usual figures."));
    }
    const bool wide = std::ranges::any_of(e.ports, [&](const PortIn& p) {
        constexpr double nearly = 0.95;
        return p.port.shape == box::PortShape::slot &&
               p.port.width >= nearly * r.volumes.inside.width;
    });
    if (wide) {
        doubt.tuning = 0.04; // ±8 % as limits
        r.assumed.emplace_back(
            YF_WORDS("core",
                     "A slot as wide as the box has walls beside its mouth: its tuning is off by "
                     "up to 8 %. Sweep it."));
    }
}

void putFigures(BoxResult& r, const Enclosure& e) {
    const box::Driver& d = r.known.driver;
    const box::Motor motor = box::motorOf(d, r.source);
    r.Qts = motor.QtsWith(r.source.resistance);
    const double gain = box::isTuned(e.kind) && e.kind != box::Kind::bandPass4
                            ? std::min(gainOf(e.fill), 1.05)
                            : gainOf(e.fill);
    r.alpha = motor.Vas / (gain * r.volumes.net);
    if (const auto* closed = std::get_if<box::Closed>(&r.box)) {
        const box::ClosedSystem s = box::closedSystem(motor, *closed, r.source);
        r.fc = s.fc;
        r.Qtc = s.Qtc;
    } else if (const auto* v = std::get_if<box::Vented>(&r.box)) {
        r.fb = v->fb;
    } else if (const auto* pr = std::get_if<box::PassiveRadiator>(&r.box)) {
        r.fb = box::tuning(*pr, r.source);
    } else if (const auto* four = std::get_if<box::BandPass4>(&r.box)) {
        r.fb = four->fbFront;
    } else if (const auto* six = std::get_if<box::BandPass6>(&r.box)) {
        r.fb = six->fbFront;
    }
    const double mode = r.modes.empty() ? 1e9 : 0.5 * r.modes.front().mode.f;
    r.validTo = std::min(box::upperLimit(d, r.source), mode);
}

void putResponse(BoxResult& r) {
    const box::System system = box::systemOf(r.known.driver, r.box, r.source);
    r.summary = box::summarise(system);
    const box::Outlet outlet = box::outletOf(r.box);
    r.response = box::response({.system = system, .outlet = outlet}, axisOf(40.0));
    if (!r.response.portSpeed.empty()) {
        r.fastest = 0.0;
        for (std::size_t i = 0; i < r.response.frequencies.size(); ++i) {
            constexpr double heard = 20.0;
            if (r.response.frequencies[i] >= heard) {
                r.fastest = std::max(*r.fastest, r.response.portSpeed[i]);
            }
        }
    }
    r.bandAxis = axisOf(6.0);
    constexpr int draws = 40;
    r.bands = box::spread({.driver = r.known.driver,
                           .box = r.box,
                           .source = r.source,
                           .doubt = r.known.doubt,
                           .draws = draws},
                          r.bandAxis);
}

} // namespace

double gainOf(Fill fill) {
    static constexpr std::array<double, 4> gains{1.0, 1.05, 1.15, 1.25};
    return gains.at(static_cast<std::size_t>(fill));
}

double absorptionOf(Fill fill) {
    static constexpr std::array<double, 4> losses{100.0, 30.0, 10.0, 4.0};
    return losses.at(static_cast<std::size_t>(fill));
}

Result<box::Shell> shellOf(const Cabinet& cabinet, const Enclosure& e) {
    if (!cabinet.depth) {
        return Error{"depth", "not known", "the cabinet's depth must be given"};
    }
    box::Shell shell{.shape = e.shape,
                     .height = cabinet.height,
                     .width = cabinet.width,
                     .depth = *cabinet.depth,
                     .depthTop = e.depthTop > 0.0 ? e.depthTop : *cabinet.depth,
                     .diameter = cabinet.width,
                     .panel = e.panel,
                     .front = e.frontPanel(),
                     .dead = e.dead};
    if (e.sealedOff && e.dead > 0.0) {
        // The small chamber: what the large one leaves.
        shell.height = e.dead + 2.0 * e.panel;
        shell.dead = 0.0;
    }
    return shell;
}

double portDisplacement(const PortIn& p) {
    const double inside = std::max(0.0, p.length - p.wall);
    return p.port.count * box::displacement(p.port, inside, p.wall);
}

std::optional<double> tunedBy(const std::vector<PortIn>& ports, double V) {
    double conductance = 0.0;
    for (const PortIn& p : ports) {
        conductance += p.port.totalArea() / box::effectiveLength(p.port, p.length);
    }
    return conductance > 0.0
               ? std::optional(quantity::soundSpeed / twoPi * std::sqrt(conductance / V))
               : std::nullopt;
}

Result<BoxVolumes> volumesOf(const Job& job, const Cabinet& cabinet, const Enclosure& e) {
    YF_TRY(shell, shellOf(cabinet, e));
    YF_TRY(inside, box::insideOf(shell));
    BoxVolumes v{.inside = inside};
    v.less.driver = e.driverVolume.value_or(box::usualDriverVolume(diameterOf(job, e.driver)));
    v.less.crossover = e.crossoverVolume;
    for (const PortIn& p : e.ports) {
        v.less.port += portDisplacement(p);
    }
    v.less.bracing = static_cast<double>(e.braces.size()) * inside.width * inside.depth *
                     e.braceThickness * e.braceShare;
    v.net = inside.gross - v.less.sum();
    constexpr double least = 1e-5; // m³
    if (!(v.net > least)) {
        return Error{"volume",
                     "driver, port, braces and network take all of the inside",
                     "must leave something"};
    }
    return v;
}

double meanRim(const Cabinet& cabinet, const std::string& driver) {
    const auto mount = std::ranges::find(cabinet.mounts, driver, &Mount::driver);
    const double x = mount == cabinet.mounts.end() ? 0.0 : mount->x;
    const double y = mount == cabinet.mounts.end() ? 0.0 : mount->y;
    constexpr int directions = 360;
    double sum = 0.0;
    for (int i = 0; i < directions; ++i) {
        const double a = twoPi * i / directions;
        const double c = std::cos(a);
        const double s = std::sin(a);
        const double toSide =
            c == 0.0 ? 1e9 : (0.5 * cabinet.width - (c > 0 ? x : -x)) / std::abs(c);
        const double toEnd =
            s == 0.0 ? 1e9 : (0.5 * cabinet.height - (s > 0 ? y : -y)) / std::abs(s);
        sum += std::min(toSide, toEnd);
    }
    return sum / directions;
}

box::Box boxOf(const Cabinet& cabinet, const Enclosure& e, double net) {
    const double gain = gainOf(e.fill);
    const double QA = absorptionOf(e.fill);
    const double QL = e.QL.value_or(box::isTuned(e.kind) ? box::usualQL : box::lossless);
    // Fill in a ported chamber lines its walls: more would stand in the air's way.
    const double ported = std::min(gain, gainOf(Fill::lined));
    const auto area = [](const std::vector<PortIn>& ports) {
        const double a = speedArea(ports);
        return a > 0.0 ? std::optional(a) : std::nullopt;
    };
    constexpr double noTuning = 20.0; // Hz, until there is a port
    switch (e.kind) {
    case box::Kind::infiniteBaffle:
        return box::InfiniteBaffle{};
    case box::Kind::openBaffle:
        return box::OpenBaffle{.path = meanRim(cabinet, e.driver) + cabinet.depth.value_or(0.0)};
    case box::Kind::closed:
        return box::Closed{.Vb = net, .gain = gain, .QA = QA, .QL = QL};
    case box::Kind::vented:
        return box::Vented{.Vb = net,
                           .fb = tunedBy(e.ports, ported * net).value_or(noTuning),
                           .gain = ported,
                           .QL = QL,
                           .QA = QA,
                           .portArea = area(e.ports)};
    case box::Kind::passiveRadiator:
        return box::PassiveRadiator{.Vb = net,
                                    .gain = ported,
                                    .QL = QL,
                                    .QA = QA,
                                    .Sp = e.radiator.Sd,
                                    .fp = e.radiator.fs,
                                    .Vap = e.radiator.Vas,
                                    .Qmp = e.radiator.Qms,
                                    .count = e.radiator.count,
                                    .addedMass = e.radiator.addedMass,
                                    .Xmax = e.radiator.Xmax};
    case box::Kind::bandPass4: {
        const double Vf = e.frontShare * net;
        return box::BandPass4{.Vr = net - Vf,
                              .Vf = Vf,
                              .fbFront = tunedBy(e.ports, Vf).value_or(noTuning),
                              .gain = gain,
                              .QA = QA,
                              .QL = QL,
                              .portArea = area(e.ports)};
    }
    case box::Kind::bandPass6Parallel:
    case box::Kind::bandPass6Series: {
        const double Vf = e.frontShare * net;
        const auto front = portsOf(e, false);
        return box::BandPass6{.chaining = e.kind == box::Kind::bandPass6Series
                                              ? box::Chaining::series
                                              : box::Chaining::parallel,
                              .Vr = net - Vf,
                              .Vf = Vf,
                              .fbRear = tunedBy(portsOf(e, true), net - Vf).value_or(noTuning),
                              .fbFront = tunedBy(front, Vf).value_or(2.0 * noTuning),
                              .QL = QL,
                              .portArea = area(front)};
    }
    }
    return box::InfiniteBaffle{};
}

double seriesResistance(const Cabinet& cabinet, const std::string& driver) {
    double R = cabinet.circuit.source.resistance;
    const auto ends = network::driverEnds(cabinet.circuit);
    for (std::size_t way = 0; way < ends.size(); ++way) {
        const network::Section* section = network::waySection(cabinet.circuit, way);
        if (ends[way].driver != driver || section == nullptr) {
            continue;
        }
        for (const network::Slot& slot : section->ladder) {
            const auto* inLine = std::get_if<network::SeriesSlot>(&slot);
            const network::Part* part = inLine != nullptr ? inLine->port.part() : nullptr;
            if (part == nullptr) {
                continue;
            }
            if (part->kind == network::PartKind::coil) {
                R += part->dcr;
            } else if (part->kind == network::PartKind::resistor) {
                R += part->value;
            }
        }
        break;
    }
    return R;
}

BoxResult boxResult(const Job& job,
                    const Cabinet& cabinet,
                    const Enclosure& e,
                    const Result<BoxDriver>& known) {
    BoxResult r{.driver = e.driver};
    const bool wooden = box::hasWalls(e.kind);
    if (wooden) {
        auto volumes = volumesOf(job, cabinet, e);
        if (!volumes) {
            r.problem = text::sentence(volumes.error());
            return r;
        }
        r.volumes = *volumes;
        r.panels = panelsOf(e, r.volumes.inside);
        r.modes = modesOf(cabinet, e, r.volumes.inside);
    }
    if (!known) {
        r.problem = known.error().given;
        return r;
    }
    r.known = *known;
    r.source = {.resistance = seriesResistance(cabinet, e.driver), .voltage = e.voltage};
    r.box = boxOf(cabinet, e, wooden ? r.volumes.net : 1.0);
    putFigures(r, e);
    putAssumptions(r, job, e);
    putResponse(r);
    for (const PortIn& p : e.ports) {
        const double f = quantity::soundSpeed / (2.0 * box::effectiveLength(p.port, p.length));
        r.pipe = std::min(r.pipe.value_or(f), f);
    }
    return r;
}

double powerIn(const BoxResult& r, double voltage) {
    return voltage * voltage / box::motorOf(r.known.driver, {}).Re;
}

double voltageFor(const BoxResult& r, double power) {
    return std::sqrt(power * box::motorOf(r.known.driver, {}).Re);
}

std::vector<double> evenBraces(double height, int count) {
    std::vector<double> at;
    for (int i = 1; i <= count; ++i) {
        at.push_back(height * i / (count + 1));
    }
    return at;
}

double driverHeight(const Cabinet& cabinet, const Enclosure& e) {
    const auto mount = std::ranges::find(cabinet.mounts, e.driver, &Mount::driver);
    const double above = mount == cabinet.mounts.end() ? 0.0 : mount->y;
    const double floor = e.sealedOff ? cabinet.height - e.panel - e.dead : e.panel;
    return above + 0.5 * cabinet.height - floor;
}

bool portBehindDriver(const Job& job, const Cabinet& cabinet, const Enclosure& e) {
    const double reach = 0.4 * diameterOf(job, e.driver);
    const double y = driverHeight(cabinet, e);
    return std::ranges::any_of(e.ports, [&](const PortIn& p) {
        return p.side == PortWall::back && !p.bent && std::abs(p.height - y) < reach;
    });
}

const Enclosure* findEnclosure(const Job& job, const Cabinet& cabinet, const std::string& driver) {
    const Driver* d = findDriver(job, driver);
    const std::string& alike = d != nullptr && !d->alike.empty() ? d->alike : driver;
    const auto found = std::ranges::find_if(
        cabinet.boxes, [&](const Enclosure& e) { return e.driver == driver || e.driver == alike; });
    return found == cabinet.boxes.end() ? nullptr : &*found;
}

} // namespace yf::job
