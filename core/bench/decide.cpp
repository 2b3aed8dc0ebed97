// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/decide.h"

#include "core/bench/evidence.h"

#include <algorithm>
#include <numeric>

namespace yf::bench {

namespace {

constexpr double matched = 1.0; // dB

struct Given {
    std::string key;
    Path path;
};

std::vector<Given> given(const DecideRequest& r) {
    std::vector<Given> all;
    const auto add = [&](const char* key, const std::optional<Path>& path) {
        if (path) {
            all.push_back({key, *path});
        }
    };
    add("leave", r.leave);
    add("repair", r.repair);
    add("replace_driver", r.replaceDriver);
    add("replace_and_redesign", r.replaceAndRedesign);
    add("new_cabinet", r.newCabinet);
    return all;
}

bool isAllowed(const std::string& path, const std::string& fault) {
    if (fault == "amplifier_fault") {
        return false;
    }
    const bool mayNotStay =
        fault == "shorted_turns" || fault == "rubbing_coil" || fault == "open_coil";
    return path != "leave" || !mayNotStay;
}

} // namespace

Result<Decision> decide(const DecideRequest& r) {
    const EvidenceTable& table = shippedTable();
    if (!r.fault.empty() && !table.fault(r.fault)) {
        return unknown("fault", "fault", r.fault, table.faults);
    }
    const std::vector<Given> paths = given(r);
    if (paths.empty()) {
        return Error{"repair",
                     "no path given",
                     "give at least one of leave, repair, replace_driver, replace_and_redesign, "
                     "new_cabinet"};
    }
    Decision out;
    for (const Given& g : paths) {
        out.paths.push_back(g.key);
        out.direct.push_back(g.path.parts + g.path.hours * r.rate);
    }
    for (std::size_t i = 0; i < paths.size(); ++i) {
        std::optional<double> fallback;
        for (std::size_t k = 0; k < paths.size(); ++k) {
            if (k != i && paths[k].key != "leave") {
                fallback = std::min(fallback.value_or(out.direct[k]), out.direct[k]);
            }
        }
        out.total.push_back(out.direct[i] + (1.0 - paths[i].path.success) * fallback.value_or(0.0) +
                            std::max(0.0, paths[i].path.mismatch - matched) * r.penalty);
    }
    std::vector<std::size_t> order(paths.size());
    std::iota(order.begin(), order.end(), 0U);
    std::ranges::stable_sort(order, {}, [&](std::size_t i) { return out.total[i]; });
    for (const std::size_t i : order) {
        if (isAllowed(paths[i].key, r.fault)) {
            out.ranking.push_back(paths[i].key);
        }
    }
    for (const Given& g : paths) {
        if (!isAllowed(g.key, r.fault)) {
            out.notAllowed.push_back(g.key);
        }
    }
    if (!out.ranking.empty()) {
        out.recommended = out.ranking.front();
    }
    return out;
}

} // namespace yf::bench
