// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/new_job.h"

#include "core/quantity/literals.h"

#include <algorithm>
#include <cmath>

namespace yf::job {

namespace {

using namespace literals;

constexpr double gapBetween = 2.5_cm; // of wood between two drivers, and to the edge
constexpr std::size_t mostWays = 5;

double roundedUp(double length) {
    constexpr double step = 1.0_cm;
    return std::ceil(length / step - 1e-9) * step;
}

std::vector<std::string> driverIds(const Job& job) {
    std::vector<std::string> ids;
    std::ranges::transform(job.drivers, std::back_inserter(ids), &Driver::id);
    return ids;
}

/// From the lowest way up, as networks list them; mounts from the bottom up.
void addCabinet(Job& job, const NewJob& wanted, const std::string& name) {
    Cabinet cabinet{.id = freshId(name, {job.cabinets.empty() ? "" : job.cabinets.front().id}),
                    .name = name};
    std::vector<NewWay> ways = wanted.ways;
    std::ranges::stable_sort(ways, {}, &NewWay::band);
    double high = gapBetween;
    double wide = 0.0;
    for (const NewWay& way : ways) {
        high += way.diameter + gapBetween;
        wide = std::max(wide, way.diameter);
    }
    cabinet.width = roundedUp(wide + 1.5 * gapBetween);
    cabinet.height = roundedUp(high);
    double y = -cabinet.height / 2.0 + gapBetween;
    network::Ways lanes;
    for (const NewWay& way : ways) {
        const Driver driver{.id = freshId(way.driver, driverIds(job)),
                            .name = way.driver,
                            .band = way.band,
                            .diameter = way.diameter};
        cabinet.mounts.push_back({driver.id, 0.0, y + way.diameter / 2.0});
        y += way.diameter + gapBetween;
        lanes.sections.push_back({.name = std::string(bandName(way.band)),
                                  .end = network::DriverEnd{.driver = driver.id}});
        job.drivers.push_back(driver);
    }
    cabinet.circuit.body = network::Section{.end = lanes};
    job.cabinets.push_back(std::move(cabinet));
}

} // namespace

std::vector<NewWay> customaryWays(int count) {
    switch (count) {
    case 1:
        return {{"Full range", Band::mid, 13.0_cm}};
    case 3:
        return {{"Woofer", Band::low, 22.0_cm},
                {"Midrange", Band::mid, 13.0_cm},
                {"Tweeter", Band::high, 10.0_cm}};
    case 4:
        return {{"Subwoofer", Band::sub, 26.0_cm},
                {"Woofer", Band::low, 17.0_cm},
                {"Midrange", Band::mid, 13.0_cm},
                {"Tweeter", Band::high, 10.0_cm}};
    default:
        return {{"Woofer", Band::low, 17.0_cm}, {"Tweeter", Band::high, 10.0_cm}};
    }
}

std::string freshId(const std::string& name, const std::vector<std::string>& taken) {
    std::string stem;
    for (const char c : name) {
        const bool capital = c >= 'A' && c <= 'Z';
        if ((c >= 'a' && c <= 'z') || (c >= '0' && c <= '9') || capital) {
            stem += capital ? static_cast<char>(c - 'A' + 'a') : c;
        } else if (!stem.empty() && stem.back() != '-') {
            stem += '-';
        }
    }
    while (!stem.empty() && stem.back() == '-') {
        stem.pop_back();
    }
    stem = stem.empty() ? "x" : stem;
    std::string id = stem;
    for (int number = 2; std::ranges::find(taken, id) != taken.end(); ++number) {
        id = stem + "-" + std::to_string(number);
    }
    return id;
}

Result<Job> newJob(const NewJob& wanted) {
    if (wanted.title.empty()) {
        return Error{"title", "nothing is written", "must have at least one letter"};
    }
    if (wanted.ways.empty() || wanted.ways.size() > mostWays) {
        return Error{"ways", std::to_string(wanted.ways.size()) + " given", "must be 1 to 5"};
    }
    for (const NewWay& way : wanted.ways) {
        if (way.driver.empty()) {
            return Error{std::string(bandName(way.band)),
                         "the driver has no name",
                         "write one; any will do"};
        }
    }
    Job job{.title = wanted.title};
    const std::string cabinet = wanted.cabinet.empty() ? "Cabinet" : wanted.cabinet;
    if (!wanted.pair) {
        addCabinet(job, wanted, cabinet);
        return job;
    }
    addCabinet(job, wanted, cabinet + " left");
    addCabinet(job, wanted, cabinet + " right");
    job.cabinets[0].twin = job.cabinets[1].id;
    job.cabinets[1].twin = job.cabinets[0].id;
    job.cabinets[1].mirrored = true;
    return job;
}

} // namespace yf::job
