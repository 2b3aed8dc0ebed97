// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/new_job.h"

#include "core/job/fresh_id.h"
#include "core/quantity/literals.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>

namespace yf::edit {

namespace {

using namespace literals;

constexpr double gapBetween = 2.5_cm; // of wood between two drivers, and to the edge
constexpr std::size_t mostWays = 5;

double roundedUp(double length) {
    constexpr double step = 1.0_cm;
    return std::ceil(length / step - 1e-9) * step;
}

std::vector<std::string> driverIds(const job::Job& job) {
    std::vector<std::string> ids;
    std::ranges::transform(job.drivers, std::back_inserter(ids), &job::Driver::id);
    return ids;
}

/// From the lowest way up, as networks list them; mounts from the bottom up.
void addCabinet(job::Job& job, const NewJob& wanted, const std::string& name) {
    job::Cabinet cabinet{
        .id = job::freshId(name, {job.cabinets.empty() ? "" : job.cabinets.front().id}),
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
        const job::Driver driver{.id = job::freshId(way.driver, driverIds(job)),
                                 .name = way.driver,
                                 .band = way.band,
                                 .diameter = way.diameter};
        cabinet.mounts.push_back({driver.id, 0.0, y + way.diameter / 2.0});
        y += way.diameter + gapBetween;
        lanes.sections.push_back({.name = std::string(job::bandName(way.band)),
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
        return {{YF_WORDS("core", "Full range"), job::Band::mid, 13.0_cm}};
    case 3:
        return {{YF_WORDS("core", "Woofer"), job::Band::low, 22.0_cm},
                {YF_WORDS("core", "Midrange"), job::Band::mid, 13.0_cm},
                {YF_WORDS("core", "Tweeter"), job::Band::high, 10.0_cm}};
    case 4:
        return {{YF_WORDS("core", "Subwoofer"), job::Band::sub, 26.0_cm},
                {YF_WORDS("core", "Woofer"), job::Band::low, 17.0_cm},
                {YF_WORDS("core", "Midrange"), job::Band::mid, 13.0_cm},
                {YF_WORDS("core", "Tweeter"), job::Band::high, 10.0_cm}};
    default:
        return {{YF_WORDS("core", "Woofer"), job::Band::low, 17.0_cm},
                {YF_WORDS("core", "Tweeter"), job::Band::high, 10.0_cm}};
    }
}

Result<job::Job> newJob(const NewJob& wanted) {
    if (wanted.title.empty()) {
        return Error{"title",
                     YF_WORDS("core", "nothing is written"),
                     YF_WORDS("core", "must have at least one letter")};
    }
    if (wanted.ways.empty() || wanted.ways.size() > mostWays) {
        return Error{"ways",
                     text::given(std::to_string(wanted.ways.size())),
                     YF_WORDS("core", "must be 1 to 5")};
    }
    for (const NewWay& way : wanted.ways) {
        if (way.driver.empty()) {
            return Error{std::string(job::bandName(way.band)),
                         YF_WORDS("core", "the driver has no name"),
                         YF_WORDS("core", "write one; any will do")};
        }
    }
    job::Job job{.title = wanted.title};
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

} // namespace yf::edit
