// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/find.h"

#include "core/evaluation/crossing_band.h"
#include "core/find/start.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>

namespace yf::study {

namespace {

/// Ways without parts that stand side by side behind the amplifier and what stands before all of
/// them, or what is in the way of that.
Result<std::vector<network::Section>> waysOf(const network::Circuit& circuit) {
    const network::Section* top = circuit.tree();
    const auto* ways = top == nullptr ? nullptr : std::get_if<network::Ways>(&top->end);
    if (ways == nullptr || ways->sections.size() < 2) {
        return Error{"network",
                     YF_WORDS("core", "its ways do not stand side by side"),
                     YF_WORDS("core", "the search is for two and more ways")};
    }
    std::vector<network::Section> all;
    for (const network::Section& section : ways->sections) {
        const auto* end = std::get_if<network::DriverEnd>(&section.end);
        if (end == nullptr) {
            return Error{"network",
                         YF_WORDS("core", "a way branches into several drivers"),
                         YF_WORDS("core", "the search is for one kind of driver on each way")};
        }
        network::Section& way =
            all.emplace_back(network::Section{.name = section.name, .ladder = {}, .end = *end});
        std::get<network::DriverEnd>(way.end).polarity = 1;
    }
    return all;
}

} // namespace

Result<find::Plan> findPlan(const job::Job& job,
                            const job::Cabinet& cabinet,
                            const evaluation::Assembly& assembly,
                            const FindWish& wish) {
    YF_TRY(sections, waysOf(cabinet.circuit));
    // The target and what is known of the drivers are those of tuning; the parts are not.
    job::Cabinet bare = cabinet;
    bare.circuit.body = network::Section{.ladder = cabinet.circuit.tree()->ladder,
                                         .end = network::Ways{.sections = std::move(sections)}};
    const auto ends = network::driverEnds(bare.circuit);
    bare.circuit.couplings.clear();
    YF_TRY(problem, goalProblem(job, bare, assembly, wish.floor));
    find::Plan plan{.base = std::move(problem),
                    .extras = {find::Extra::zobel, find::Extra::trap, find::Extra::pad},
                    .seriesToo = true,
                    .maxParts = wish.maxParts,
                    .series = wish.series,
                    .prices = job.prices};
    plan.orders.resize(static_cast<std::size_t>(wish.highestOrder));
    std::iota(plan.orders.begin(), plan.orders.end(), 1);
    for (std::size_t q = 0; q + 1 < ends.size(); ++q) {
        YF_TRY(band,
               evaluation::crossingBand(
                   job, assembly, plan.base.loads.loads(), ends[q].driver, ends[q + 1].driver));
        plan.crossings.push_back(band);
    }
    find::keepLevel(plan.base, plan.crossings);
    if (wish.aside) {
        putAsides(job, bare, plan.base);
    }
    return plan;
}

job::FoundNetwork presentNetwork(const find::Plan& plan, const network::Circuit& circuit) {
    tune::Problem problem = plan.base;
    const auto parts = network::parts(circuit);
    problem.free.assign(parts.size(), true);
    const tune::Found found = tune::judged(problem, circuit);
    return {.circuit = circuit,
            .ways = {},
            .parts = static_cast<int>(parts.size()),
            .price = plan.prices.of(parts),
            .rms = found.standing.rms(),
            .most = found.standing.most,
            .impedance = found.impedance.ohms};
}

job::FoundNetwork keptNetwork(const find::Point& point) {
    job::FoundNetwork kept{.circuit = point.found.circuit,
                           .ways = {},
                           .parts = point.parts,
                           .price = point.price,
                           .rms = point.found.standing.rms(),
                           .most = point.found.standing.most,
                           .impedance = point.found.impedance.ohms};
    for (const find::Shape& shape : point.shapes) {
        kept.ways.push_back({shape});
    }
    return kept;
}

std::vector<ShapeChange> shapeChanges(const job::FoundNetwork& from, const job::FoundNetwork& to) {
    using What = ShapeChange::What;
    std::vector<ShapeChange> all;
    for (std::size_t q = 0; q < std::min(from.ways.size(), to.ways.size()); ++q) {
        const find::Shape& a = from.ways[q].shape;
        const find::Shape& b = to.ways[q].shape;
        const auto note = [&](What what, int before, int after) {
            if (before != after) {
                all.push_back({what, q, after});
            }
        };
        if (q == 0) {
            note(What::series, a.series ? 1 : 0, b.series ? 1 : 0);
        }
        note(What::highPass, a.highPass, b.highPass);
        note(What::lowPass, a.lowPass, b.lowPass);
        note(What::trap, a.trap ? 1 : 0, b.trap ? 1 : 0);
        note(What::pad, a.pad ? 1 : 0, b.pad ? 1 : 0);
        note(What::zobel, a.zobel ? 1 : 0, b.zobel ? 1 : 0);
        if (a.highPass == b.highPass && a.lowPass == b.lowPass) {
            note(What::sequence, static_cast<int>(a.topology), static_cast<int>(b.topology));
        }
    }
    return all;
}

std::vector<std::size_t> flattest(const std::vector<job::FoundNetwork>& networks, bool price) {
    std::vector<std::size_t> ranked(networks.size());
    std::iota(ranked.begin(), ranked.end(), 0);
    const auto cost = [&](std::size_t i) {
        return price ? networks[i].price : static_cast<double>(networks[i].parts);
    };
    std::ranges::stable_sort(ranked, [&](std::size_t a, std::size_t b) {
        return std::make_pair(cost(a), networks[a].rms) < std::make_pair(cost(b), networks[b].rms);
    });
    std::vector<std::size_t> best;
    double least = std::numeric_limits<double>::infinity();
    for (const std::size_t i : ranked) {
        if (networks[i].rms < least) {
            least = networks[i].rms;
            best.push_back(i);
        }
    }
    return best;
}

} // namespace yf::study
