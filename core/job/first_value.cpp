// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/first_value.h"

#include "core/job/evaluate.h"
#include "core/network/e_series.h"

#include <algorithm>
#include <cmath>

namespace yf::job {

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

const std::vector<curve::Complex>& watched(const CabinetResult& result, std::size_t way) {
    return result.sum.empty() ? result.ways.at(way).drive : result.sum;
}

double largestChange(const CabinetResult& before, const CabinetResult& after, std::size_t way) {
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

Result<double> firstValue(const Job& job,
                          const std::string& cabinet,
                          const network::SlotPlace& place,
                          network::PartKind kind) {
    const Cabinet* found = findCabinet(job, cabinet);
    if (found == nullptr) {
        return Error{"cabinet", "'" + cabinet + "' is not in this job", ""};
    }
    Job alone{.title = job.title, .drivers = job.drivers, .takes = job.takes, .cabinets = {*found}};
    const Assembly assembly = assemble(alone);
    const CabinetResult before = evaluate(alone, assembly).cabinets.front();
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
        alone.cabinets.front().circuit = std::move(circuit);
        const Evaluation after = evaluate(alone, assembly);
        if (largestChange(before, after.cabinets.front(), place.way) >= noticed) {
            return value;
        }
    }
    return values.back();
}

} // namespace yf::job
