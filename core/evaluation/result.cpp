// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/result.h"

#include <algorithm>

namespace yf::evaluation {

const BoxResult* CabinetResult::box(const std::string& driver) const {
    const auto found = std::ranges::find(boxes, driver, &BoxResult::driver);
    return found == boxes.end() ? nullptr : &*found;
}

std::shared_ptr<const CabinetResult> unowned(const CabinetResult& result) {
    return {std::shared_ptr<void>(), &result};
}

const Neighbourhood* CabinetResult::between(std::size_t lower, std::size_t upper) const {
    const auto found = std::ranges::find_if(
        neighbours, [&](const Neighbourhood& n) { return n.lower == lower && n.upper == upper; });
    return found == neighbours.end() ? nullptr : &*found;
}

const DriverBench* Evaluation::findBench(const std::string& cabinet,
                                         const std::string& driver) const {
    const auto found = std::ranges::find_if(
        *bench, [&](const DriverBench& b) { return b.cabinet == cabinet && b.driver == driver; });
    return found == bench->end() ? nullptr : &*found;
}

const CabinetResult* Evaluation::find(const std::string& cabinet) const {
    const auto found = std::ranges::find(cabinets, cabinet, &CabinetResult::cabinet);
    return found == cabinets.end() ? nullptr : &*found;
}

bool Evaluation::operator==(const Evaluation& other) const {
    const bool sameBench = bench == other.bench || (bench && other.bench && *bench == *other.bench);
    return cabinets == other.cabinets && sameBench && table == other.table;
}

} // namespace yf::evaluation
