// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/box_geometry.h"

#include "core/text/given.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::job {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

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

double gainIn(const Enclosure& e) {
    return std::min(gainOf(e.fill), gainOf(Fill::lined));
}

/// The chamber that the first port opens, as a share of the net volume.
double shareOfFirstPort(const Enclosure& e) {
    if (e.kind == box::Kind::vented || e.ports.empty()) {
        return 1.0;
    }
    return e.ports.front().ofRear ? 1.0 - e.frontShare : e.frontShare;
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
        return Error{"depth",
                     YF_WORDS("core", "not known"),
                     YF_WORDS("core", "the cabinet's depth must be given")};
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
    return volumesOf(diameterOf(job, e.driver), cabinet, e);
}

Result<BoxVolumes> volumesOf(double driverDiameter, const Cabinet& cabinet, const Enclosure& e) {
    YF_TRY(shell, shellOf(cabinet, e));
    YF_TRY(inside, box::insideOf(shell));
    BoxVolumes v{.inside = inside};
    v.less.driver = e.driverVolume.value_or(box::usualDriverVolume(driverDiameter));
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
                     YF_WORDS("core", "driver, port, braces and network take all of the inside"),
                     YF_WORDS("core", "must leave something")};
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

Result<double>
lengthFor(const Job& job, const Cabinet& cabinet, const Enclosure& enclosure, double fb) {
    Enclosure e = enclosure;
    if (e.ports.empty()) {
        return Error{"port", YF_WORDS("core", "there is none"), ""};
    }
    PortIn& port = e.ports.front();
    const box::Source air;
    // What the tube displaces changes the volume that it tunes: a few rounds settle.
    constexpr int rounds = 25;
    for (int i = 0; i < rounds; ++i) {
        YF_TRY(v, volumesOf(job, cabinet, e));
        const double V =
            v.net * (e.kind == box::Kind::vented ? gainIn(e) : 1.0) * shareOfFirstPort(e);
        // Other ports of the same chamber carry their share.
        std::vector<PortIn> others(e.ports.begin() + 1, e.ports.end());
        std::erase_if(others, [&](const PortIn& p) { return p.ofRear != port.ofRear; });
        const double w = 2.0 * std::numbers::pi * fb / air.c;
        double conductance = w * w * V;
        for (const PortIn& p : others) {
            conductance -= p.port.totalArea() / box::effectiveLength(p.port, p.length);
        }
        if (!(conductance > 0.0)) {
            return Error{"fb", YF_WORDS("core", "the other ports alone tune higher"), ""};
        }
        port.length = box::overallLength(port.port, port.port.totalArea() / conductance);
        const double least = port.port.flareInner + port.port.flareOuter;
        if (port.length < least) {
            const double limit = air.c / (2.0 * std::numbers::pi) *
                                 std::sqrt(port.port.totalArea() / box::endLength(port.port) / V);
            return Error{
                "fb",
                text::given(text::printEngineering(fb, "Hz")),
                say(YF_WORDS("core",
                             "must be below %1, what this opening gives with no tube at all"),
                    text::printEngineering(limit, "Hz"))};
        }
        constexpr double longest = 10.0;
        port.length = std::min(port.length, longest);
    }
    return port.length;
}

Result<double> swappedLength(const Job& job,
                             const Cabinet& cabinet,
                             const Enclosure& enclosure,
                             const PortIn& made) {
    YF_TRY(v, volumesOf(job, cabinet, enclosure));
    static_cast<void>(v);
    const auto fb = tunedBy(enclosure.ports, v.net);
    if (!fb) {
        return Error{"port", YF_WORDS("core", "there is none to swap"), ""};
    }
    Enclosure e = enclosure;
    e.ports = {made};
    // The volume's gain cancels: the tuning is told for the bare air on both sides.
    e.fill = Fill::none;
    return lengthFor(job, cabinet, e, *fb);
}

double diameterOf(const Job& job, const std::string& driver) {
    const Driver* d = findDriver(job, driver);
    return d == nullptr ? 0.2 : d->diameter;
}

} // namespace yf::job
