// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/inputs.h"

#include "core/job/lookup.h"

#include <algorithm>

namespace yf::evaluation {

namespace {

CurvePtr curveInUse(const job::Job& job, const job::Driver& driver, job::TakeKind kind) {
    const job::Take* take = job::takeInUse(job, driver, kind);
    return take == nullptr ? nullptr : take->curve;
}

/// A measurement with no more than its curve and how the driver was held.
job::Take bare(const job::Take& take) {
    job::Take t{.id = take.id, .kind = take.kind, .curve = take.curve};
    t.recorded.driver = take.recorded.driver;
    t.recorded.also = take.recorded.also;
    t.recorded.mounting = take.recorded.mounting;
    return t;
}

} // namespace

std::vector<DriverCurves> driverCurves(const job::Job& job, const job::Cabinet& cabinet) {
    std::vector<DriverCurves> all;
    for (const network::DriverEnd& end : network::driverEnds(cabinet.circuit)) {
        const job::Driver* driver = job::findDriver(job, end.driver);
        if (driver != nullptr &&
            std::ranges::find(all, driver->id, &DriverCurves::id) == all.end()) {
            all.push_back({.id = driver->id,
                           .name = driver->name,
                           .band = driver->band,
                           .impedance = curveInUse(job, *driver, job::TakeKind::impedance),
                           .response = curveInUse(job, *driver, job::TakeKind::response)});
        }
    }
    return all;
}

job::Job directivityView(const job::Job& job, const std::string& driver) {
    job::Job view;
    if (const job::Driver* found = job::findDriver(job, driver)) {
        job::Driver d{.id = found->id, .band = found->band, .diameter = found->diameter};
        d.sheet.Sd = found->sheet.Sd;
        view.drivers.push_back(std::move(d));
    }
    for (const job::Take& take : job.takes) {
        const job::Recorded& r = take.recorded;
        if (take.kind != job::TakeKind::response || r.place != job::MicPlace::farField ||
            !r.also.empty() || job::aboutOf(job, take).driver != driver) {
            continue;
        }
        job::Take t{.id = take.id, .kind = take.kind, .curve = take.curve};
        t.recorded.driver = driver;
        t.recorded.place = r.place;
        t.recorded.angle = r.angle;
        t.recorded.plane = r.plane;
        view.takes.push_back(std::move(t));
    }
    return view;
}

BoxDriverInputs boxDriverInputs(const job::Job& job, const std::string& driver) {
    BoxDriverInputs in{.view = {}, .driver = driver};
    const job::Driver* found = job::findDriver(job, driver);
    if (found == nullptr) {
        return in;
    }
    in.view.drivers.push_back({.id = found->id,
                               .name = found->name,
                               .band = found->band,
                               .diameter = found->diameter,
                               .impedanceTake = found->impedanceTake,
                               .sheet = found->sheet});
    for (const job::Take& take : job.takes) {
        if (take.kind == job::TakeKind::impedance &&
            (take.recorded.driver == driver || take.id == found->impedanceTake)) {
            in.view.takes.push_back(bare(take));
        }
    }
    return in;
}

BenchInputs benchInputs(const job::Job& job, const Readings& readings, const Tables& tables) {
    BenchInputs in{.view = {}, .readings = readings, .table = tables.evidence};
    for (const job::Driver& driver : job.drivers) {
        in.view.drivers.push_back({.id = driver.id,
                                   .condition = driver.condition,
                                   .nominal = driver.nominal,
                                   .impedanceTake = driver.impedanceTake,
                                   .alike = driver.alike});
        if (const job::Take* take = job::takeInUse(job, driver, job::TakeKind::impedance)) {
            in.view.takes.push_back(bare(*take));
        }
    }
    for (const job::Cabinet& cabinet : job.cabinets) {
        job::Cabinet front{.id = cabinet.id, .twin = cabinet.twin};
        for (const job::Mount& mount : cabinet.mounts) {
            front.mounts.push_back({.driver = mount.driver});
        }
        front.protectors = cabinet.protectors;
        front.noProtectors = cabinet.noProtectors;
        front.noControls = cabinet.noControls;
        in.view.cabinets.push_back(std::move(front));
    }
    in.view.readings = job.readings;
    return in;
}

} // namespace yf::evaluation
