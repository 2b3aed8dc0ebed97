// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/parts.h"

#include "core/evaluation/assemble.h"
#include "core/network/judge/tolerance.h"
#include "core/network/parts/coil.h"

#include <algorithm>
#include <cmath>

namespace yf::study {

namespace {

constexpr double insulation = 1.07;

/// The loads at the points within a range.
network::Loads within(const network::Loads& loads, const curve::Range& range) {
    network::Loads some;
    some.drivers = loads.drivers;
    for (network::Load& load : some.drivers) {
        load.impedance.clear();
        if (load.pressure) {
            load.pressure->clear();
        }
    }
    for (std::size_t k = 0; k < loads.axis.size(); ++k) {
        if (!range.holds(loads.axis[k])) {
            continue;
        }
        some.axis.push_back(loads.axis[k]);
        for (std::size_t d = 0; d < loads.drivers.size(); ++d) {
            some.drivers[d].impedance.push_back(loads.drivers[d].impedance[k]);
            if (loads.drivers[d].pressure) {
                some.drivers[d].pressure->push_back((*loads.drivers[d].pressure)[k]);
            }
        }
    }
    return some;
}

void addTolerances(PartsStudy& study,
                   const job::Cabinet& cabinet,
                   const evaluation::AssembledCabinet& made,
                   int runs) {
    if (!made.hasResponses) {
        study.heard =
            made.missing.empty() ? YF_WORDS("core", "responses are missing") : made.missing.front();
        return;
    }
    const network::Loads loads =
        within(made.loads->loads(), {cabinet.target.from, cabinet.target.to});
    if (loads.axis.empty()) {
        return;
    }
    const network::ToleranceRequest wanted{.runs = runs, .limit = cabinet.target.tolerance};
    const auto inBand = network::tolerance(cabinet.circuit, network::PreparedLoads(loads), wanted);
    const auto everywhere = network::tolerance(cabinet.circuit, *made.loads, {});
    if (!inBand || !everywhere) {
        study.heard = YF_WORDS("core", "the network has no sum");
        return;
    }
    study.band = everywhere->worstCases;
    study.yield = inBand->yield;
    for (const double dB : inBand->worstCases) {
        study.worst = std::max(study.worst, dB);
    }
    constexpr std::size_t few = 3;
    for (std::size_t i = 0; i < std::min(few, inBand->causes.size()); ++i) {
        study.causes.push_back(inBand->partIds[inBand->causes[i]]);
    }
    for (std::size_t p = 0; p < study.parts.size(); ++p) {
        constexpr double perCent = 100.0;
        const double allowed = wanted.allowed.of(study.parts[p].listed.part) * perCent;
        for (const double dB : inBand->sensitivities[p]) {
            study.parts[p].atWorst = std::max(study.parts[p].atWorst, std::abs(dB) * allowed);
        }
    }
}

} // namespace

std::optional<CoilMade> coilMadeFor(const network::Part& part) {
    if (part.kind != network::PartKind::coil || part.dcr <= 0.0) {
        return std::nullopt;
    }
    constexpr double millimetre = 1e-3;
    const auto made =
        network::coil({.L = part.value, .wire = millimetre, .insulated = insulation * millimetre});
    if (!made) {
        return std::nullopt;
    }
    constexpr double exponent = 1.6; // d_o/d² · d_o^−0.6
    const double wire = millimetre * std::pow(made->dcr / part.dcr, 1.0 / exponent);
    constexpr double thinnest = 0.2e-3;
    constexpr double thickest = 4e-3;
    if (wire < thinnest || wire > thickest) {
        return std::nullopt;
    }
    const auto coil =
        network::coil({.L = part.value, .wire = wire, .insulated = insulation * wire});
    return coil ? std::optional(CoilMade{wire, coil->outerDiameter, coil->copper}) : std::nullopt;
}

Result<PartsStudy> partsStudy(const job::Job& job,
                              const job::Cabinet& cabinet,
                              const evaluation::Assembly& assembly,
                              double voltage,
                              network::ESeries series,
                              int runs) {
    YF_TRY(made, evaluation::curvesOf(job, cabinet, assembly));
    YF_TRY(list, network::partsList(cabinet.circuit, made->impedances, voltage, job.prices));
    PartsStudy study;
    for (network::ListedPart& listed : list) {
        StudiedPart part{.listed = std::move(listed)};
        const network::Part& p = part.listed.part;
        part.coil = coilMadeFor(p);
        constexpr double off = 0.01;
        if (std::abs(network::nearestValue(p.value, series) / p.value - 1.0) >= off) {
            part.pair = network::nearestPair(p.value, p.kind, series);
        }
        study.price += part.listed.price;
        study.parts.push_back(std::move(part));
    }
    addTolerances(study, cabinet, *made, runs);
    return study;
}

} // namespace yf::study
