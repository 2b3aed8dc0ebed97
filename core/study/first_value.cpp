// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/first_value.h"

#include "core/evaluation/assemble.h"
#include "core/evaluation/cabinet_result.h"
#include "core/network/parts/e_series.h"

#include <algorithm>
#include <cmath>

namespace yf::study {

namespace {

constexpr double noticed = 0.1; // dB
constexpr curve::Range audible{20.0, 20000.0};

/// A wire is a small R, a small L or a large C; an open circuit the other way round.
std::vector<double> fromNeutral(network::PartKind kind, bool inLine) {
    const network::ValueRange usual = network::usualValues(kind);
    std::vector<double> values;
    double value = network::nearestValue(usual.lowest, network::ESeries::E6);
    while (value <= usual.highest) {
        values.push_back(value);
        value = network::stepValue(value, network::ESeries::E6, 1);
    }
    if (inLine == (kind == network::PartKind::capacitor)) {
        std::ranges::reverse(values);
    }
    return values;
}

const std::vector<curve::Complex>& watched(const evaluation::CabinetResult& result,
                                           std::size_t way) {
    return result.sum.empty() ? result.ways.at(way).drive : result.sum;
}

double largestChange(const evaluation::CabinetResult& before,
                     const evaluation::CabinetResult& after,
                     std::size_t way) {
    const auto& a = watched(before, way);
    const auto& b = watched(after, way);
    double largest = 0.0;
    for (std::size_t k = 0; k < a.size(); ++k) {
        if (audible.holds(before.axis[k])) {
            largest =
                std::max(largest, std::abs(quantity::decibels(std::abs(b[k]) / std::abs(a[k]))));
        }
    }
    return largest;
}

} // namespace

Result<double> firstValue(const job::Job& job,
                          const evaluation::Assembly& assembly,
                          const std::string& cabinet,
                          const network::SlotPlace& place,
                          network::PartKind kind) {
    const job::Cabinet* found = job::findCabinet(job, cabinet);
    if (found == nullptr) {
        return Error{"cabinet", say(YF_WORDS("core", "'%1' is not in this job"), cabinet), ""};
    }
    evaluation::CabinetInputs in{
        .cabinet = cabinet,
        .circuit = found->circuit,
        .target = found->target,
        .assembled = assembly.cabinets[static_cast<std::size_t>(found - job.cabinets.data())]};
    const evaluation::CabinetResult before = evaluation::evaluateCabinet(in);
    const std::vector<double> values = fromNeutral(kind, place.inLine);
    network::Part part;
    part.kind = kind;
    part.value = values[values.size() / 2];
    YF_TRY(tried, network::withInserted(found->circuit, place, part));
    if (before.impedance.empty()) {
        return part.value;
    }
    for (const double value : values) {
        part.id = tried.id;
        part.value = value;
        YF_TRY(circuit, network::withPart(tried.circuit, part));
        in.circuit = std::move(circuit);
        if (largestChange(before, evaluation::evaluateCabinet(in), place.way) >= noticed) {
            return value;
        }
    }
    return values.back();
}

Result<edit::Edit> insertNewPart(const job::Job& job,
                                 const evaluation::Assembly& assembly,
                                 const std::string& cabinet,
                                 const network::SlotPlace& place,
                                 network::PartKind kind) {
    YF_TRY(value, firstValue(job, assembly, cabinet, place, kind));
    network::Part part;
    part.kind = kind;
    part.value = value;
    static constexpr std::string_view names[] = {
        YF_WORDS("core", "resistor"), YF_WORDS("core", "coil"), YF_WORDS("core", "capacitor")};
    edit::Edit edit = edit::insertPart(cabinet, place, part);
    const std::string_view name = names[static_cast<std::size_t>(kind)];
    edit.name = place.inLine ? say(YF_WORDS("core", "Insert a %1 in the line"), name)
                             : say(YF_WORDS("core", "Insert a %1 across the way"), name);
    return edit;
}

} // namespace yf::study
