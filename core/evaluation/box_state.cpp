// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/box_state.h"

#include "core/base/words.h"
#include "core/job/box_geometry.h"
#include "core/network/circuit/ladder_edit.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::evaluation {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

std::vector<PanelState> panelsOf(const job::Enclosure& e, const box::Inside& inside) {
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
modesOf(const job::Cabinet& cabinet, const job::Enclosure& e, const box::Inside& inside) {
    if (e.shape != box::Shape::rectangular) {
        return {};
    }
    const auto mount = std::ranges::find(cabinet.mounts, e.driver, &job::Mount::driver);
    const double y = job::driverHeight(cabinet, e);
    const double x = mount == cabinet.mounts.end() ? 0.0 : mount->x;
    std::vector<ModeState> states;
    constexpr std::size_t shown = 6;
    for (const box::AirMode& mode :
         box::airModes(inside.height, {inside.width, inside.depth}, shown)) {
        ModeState s{.mode = mode};
        s.atDriver = mode.pressureAt({y / inside.height, 0.5 + x / inside.width, 0.0});
        for (const job::PortIn& p : e.ports) {
            const double in = std::min(1.0, p.length / inside.depth);
            s.atPort = std::max(s.atPort,
                                mode.pressureAt({p.height / inside.height,
                                                 0.5,
                                                 p.side == job::PortWall::front ? in : 1.0 - in}));
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
void putAssumptions(BoxResult& r, const BoxInputs& in) {
    const job::Enclosure& e = in.enclosure;
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
        r.assumed.emplace_back(
            in.sweptInBox
                ? YF_WORDS("core",
                           "QL 7 is a usual loss, not this box's: a take made in it knows, "
                           "read it back.")
                : YF_WORDS("core",
                           "QL 7 is a usual loss, not this box's: sweep the driver in it to "
                           "know."));
    }
    if (e.fill != job::Fill::none) {
        r.assumed.emplace_back(
            YF_WORDS("core", "What the filling does to volume and loss are usual figures."));
    }
    const bool wide = std::ranges::any_of(e.ports, [&](const job::PortIn& p) {
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

void putFigures(BoxResult& r, const job::Enclosure& e) {
    const box::Driver& d = r.known.driver;
    const box::Motor motor = box::motorOf(d, r.source);
    r.Qts = motor.QtsWith(r.source.resistance);
    const double gain = box::isTuned(e.kind) && e.kind != box::Kind::bandPass4
                            ? std::min(job::gainOf(e.fill), 1.05)
                            : job::gainOf(e.fill);
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

double seriesResistance(const job::Cabinet& cabinet, const std::string& driver) {
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

BoxInputs boxInputs(const job::Job& job,
                    const job::Cabinet& cabinet,
                    const job::Enclosure& e,
                    std::shared_ptr<const Result<BoxDriver>> known) {
    BoxInputs in{.enclosure = e,
                 .front = {.width = cabinet.width,
                           .height = cabinet.height,
                           .depth = cabinet.depth,
                           .mounts = cabinet.mounts},
                 .driverDiameter = job::diameterOf(job, e.driver),
                 .seriesResistance = seriesResistance(cabinet, e.driver),
                 .known = std::move(known)};
    in.sweptInBox = std::ranges::any_of(job.takes, [&](const job::Take& take) {
        return take.kind == job::TakeKind::impedance && take.recorded.driver == e.driver &&
               take.recorded.mounting != job::Mounting::free;
    });
    return in;
}

BoxResult boxResult(const BoxInputs& in) {
    const job::Enclosure& e = in.enclosure;
    const Result<BoxDriver>& known = *in.known;
    BoxResult r{.driver = e.driver};
    const bool wooden = box::hasWalls(e.kind);
    if (wooden) {
        auto volumes = job::volumesOf(in.driverDiameter, in.front, e);
        if (!volumes) {
            r.problem = text::sentence(volumes.error());
            return r;
        }
        r.volumes = *volumes;
        r.panels = panelsOf(e, r.volumes.inside);
        r.modes = modesOf(in.front, e, r.volumes.inside);
    }
    if (!known) {
        r.problem = known.error().given;
        return r;
    }
    r.known = *known;
    r.source = {.resistance = in.seriesResistance, .voltage = e.voltage};
    r.box = job::boxOf(in.front, e, wooden ? r.volumes.net : 1.0);
    putFigures(r, e);
    putAssumptions(r, in);
    putResponse(r);
    for (const job::PortIn& p : e.ports) {
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

} // namespace yf::evaluation
