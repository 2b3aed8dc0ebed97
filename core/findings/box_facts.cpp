// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/box_facts.h"

#include "core/findings/known_facts.h"

#include <algorithm>
#include <cmath>

namespace yf::findings {

namespace {

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
        facts.put(fact::port::length_m, port.length);
        facts.put(fact::port::diameter_m,
                  port.port.shape == box::PortShape::round ? port.port.diameter : port.port.height);
        facts.put(fact::box::inner_depth_m, r.volumes.inside.depth);
    }
    facts.put(fact::port::effective_length_m, box::effectiveLength(port.port, port.length));
    if (r.fastest) {
        facts.put(fact::port::speed_m_per_s, *r.fastest);
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
        facts.put(fact::port::excursion_below_fb_m, furthest);
    }
}

/// What a take made in the box tells.
void putRead(Facts& facts, const BoxView& view, const box::ReadBack& seen) {
    const job::Enclosure& e = view.enclosure;
    const evaluation::BoxResult* r = view.result;
    if (seen.portActs) {
        facts.put(fact::box::port_acts, *seen.portActs);
    } else {
        facts.put(fact::box::leak_suspected, seen.leakSuspected);
    }
    if (seen.QL) {
        facts.put(fact::box::QL, seen.QL->value);
    }
    // A take of the box as it was says nothing against one that is being planned of another
    // kind.
    const bool sameKind = e.kind == box::Kind::vented || e.kind == box::Kind::passiveRadiator;
    const auto meant = !sameKind      ? std::nullopt
                       : e.designfb   ? e.designfb
                       : r != nullptr ? r->fb
                                      : std::nullopt;
    if (seen.fb && meant) {
        facts.put(fact::box::fb_hz, seen.fb->value);
        facts.put(fact::box::fb_design_hz, *meant);
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
    facts.put(fact::driver::Qts, r->Qts);
    facts.put(fact::driver::fs_hz, r->known.driver.fs);
    facts.put(fact::driver::Qes, r->known.driver.Qes);
    if (r->known.driver.Xmax) {
        facts.put(fact::driver::Xmax_m, *r->known.driver.Xmax);
    }
    if (r->Qtc) {
        facts.put(fact::box::Qtc, *r->Qtc);
    }
    if (e.designVb) {
        facts.put(fact::box::Vb_l, 1e3 * r->volumes.net);
        facts.put(fact::box::Vb_design_l, 1e3 * *e.designVb);
    }
    const box::Inside& in = r->volumes.inside;
    if (!(in.gross > 0.0)) {
        return facts;
    }
    if (view.fx) {
        facts.put(fact::align::fx_hz, *view.fx);
    }
    facts.put(fact::box::inner_longest_m, std::max({in.height, in.width, in.depth}));
    facts.put(fact::box::bracing_pct, 100.0 * r->volumes.less.bracing / in.gross);
    if (e.shape == box::Shape::rectangular) {
        facts.put(fact::box::inner_ratio, nearestRatio(in));
    }
    if (!e.ports.empty()) {
        putPort(facts, e, *r);
        facts.put(fact::port::behind_driver, job::portBehindDriver(view.job, view.cabinet, e));
    }
    return facts;
}

} // namespace yf::findings
