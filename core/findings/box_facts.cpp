// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/box_facts.h"

#include <algorithm>
#include <cmath>

namespace yf::findings {

namespace {

void put(Facts& facts, const char* name, Fact fact) {
    const double* figure = std::get_if<double>(&fact);
    if (figure == nullptr || std::isfinite(*figure)) {
        facts.insert_or_assign(name, fact);
    }
}

/// The two inside dimensions whose ratio, an octave taken off where it is nearer to two, is
/// nearest to one.
double nearestRatio(const box::Inside& in) {
    double nearest = 1e9;
    for (const auto& [a, b] : {std::pair{in.height, in.width},
                               std::pair{in.height, in.depth},
                               std::pair{in.width, in.depth}}) {
        for (const double ratio : {a / b, 0.5 * a / b, 2.0 * a / b}) {
            if (std::abs(std::log2(ratio)) < std::abs(std::log2(nearest))) {
                nearest = ratio;
            }
        }
    }
    return nearest;
}

void putPort(Facts& facts, const job::Enclosure& e, const evaluation::BoxResult& r) {
    const job::PortIn& port = e.ports.front();
    if (!port.bent) {
        put(facts, "port.length_m", port.length);
        put(facts,
            "port.diameter_m",
            port.port.shape == box::PortShape::round ? port.port.diameter : port.port.height);
        put(facts, "box.inner_depth_m", r.volumes.inside.depth);
    }
    put(facts, "port.effective_length_m", box::effectiveLength(port.port, port.length));
    if (r.fastest) {
        put(facts, "port.speed_m_per_s", *r.fastest);
    }
    if (r.fb) {
        double furthest = 0.0;
        constexpr double lowest = 20.0;
        for (std::size_t i = 0; i < r.response.frequencies.size(); ++i) {
            const double f = r.response.frequencies[i];
            if (f >= lowest && f < *r.fb) {
                furthest = std::max(furthest, r.response.travel[i]);
            }
        }
        put(facts, "port.excursion_below_fb_m", furthest);
    }
}

/// What a take made in the box tells.
void putRead(Facts& facts, const BoxView& view, const box::ReadBack& seen) {
    const job::Enclosure& e = view.enclosure;
    const evaluation::BoxResult* r = view.result;
    if (seen.portActs) {
        put(facts, "box.port_acts", *seen.portActs);
    } else {
        put(facts, "box.leak_suspected", seen.leakSuspected);
    }
    if (seen.QL) {
        put(facts, "box.QL", seen.QL->value);
    }
    // A take of the box as it was says nothing against one that is being planned of another
    // kind.
    const bool sameKind = e.kind == box::Kind::vented || e.kind == box::Kind::passiveRadiator;
    const auto meant = !sameKind      ? std::nullopt
                       : e.designfb   ? e.designfb
                       : r != nullptr ? r->fb
                                      : std::nullopt;
    if (seen.fb && meant) {
        put(facts, "box.fb_hz", seen.fb->value);
        put(facts, "box.fb_design_hz", *meant);
    }
}

} // namespace

Facts boxFacts(const BoxView& view) {
    const job::Enclosure& e = view.enclosure;
    const evaluation::BoxResult* r = view.result;
    Facts facts;
    if (const auto read = view.assembly.boxReads.find(e.driver);
        read != view.assembly.boxReads.end()) {
        putRead(facts, view, **read->second);
    }
    if (r == nullptr || !r->problem.empty()) {
        return facts;
    }
    put(facts, "driver.Qts", r->Qts);
    put(facts, "driver.fs_hz", r->known.driver.fs);
    put(facts, "driver.Qes", r->known.driver.Qes);
    if (r->known.driver.Xmax) {
        put(facts, "driver.Xmax_m", *r->known.driver.Xmax);
    }
    if (r->Qtc) {
        put(facts, "box.Qtc", *r->Qtc);
    }
    if (e.designVb) {
        put(facts, "box.Vb_l", 1e3 * r->volumes.net);
        put(facts, "box.Vb_design_l", 1e3 * *e.designVb);
    }
    const box::Inside& in = r->volumes.inside;
    if (!(in.gross > 0.0)) {
        return facts;
    }
    if (view.fx) {
        put(facts, "align.fx_hz", *view.fx);
    }
    put(facts, "box.inner_longest_m", std::max({in.height, in.width, in.depth}));
    put(facts, "box.bracing_pct", 100.0 * r->volumes.less.bracing / in.gross);
    if (e.shape == box::Shape::rectangular) {
        put(facts, "box.inner_ratio", nearestRatio(in));
    }
    if (!e.ports.empty()) {
        putPort(facts, e, *r);
        put(facts, "port.behind_driver", job::portBehindDriver(view.job, view.cabinet, e));
    }
    return facts;
}

} // namespace yf::findings
