// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/lookup.h"

#include <algorithm>

namespace yf::job {

namespace {

constexpr std::string_view aboutCabinet[] = {"protector",
                                             "cable_contacts",
                                             "swap_lr",
                                             "pair_polarity",
                                             "rotate_pots",
                                             "knock",
                                             "leak_check"};

} // namespace

TakeAbout aboutOf(const Job& job, const Take& take) {
    TakeAbout about{take.recorded.cabinet, take.recorded.driver};
    if (about.cabinet.empty() && about.driver.empty()) {
        for (const Driver& driver : job.drivers) {
            if (driver.responseTake == take.id || driver.impedanceTake == take.id) {
                about.driver = driver.id;
            }
        }
    }
    for (const Cabinet& cabinet : job.cabinets) {
        if (about.cabinet.empty() && !about.driver.empty() &&
            std::ranges::find(cabinet.mounts, about.driver, &Mount::driver) !=
                cabinet.mounts.end()) {
            about.cabinet = cabinet.id;
        }
    }
    return about;
}

void leaveOut(Job& job, const std::string& take) {
    std::erase_if(job.takes, [&](const Take& one) { return one.id == take; });
    for (Driver& driver : job.drivers) {
        for (std::string* used : {&driver.impedanceTake, &driver.responseTake}) {
            if (*used == take) {
                used->clear();
            }
        }
    }
    std::erase_if(job.dismissals, [&](const Dismissal& one) { return one.take == take; });
}

const Take* wholeTake(const Job& job, const Cabinet& cabinet) {
    const Take* whole = nullptr;
    for (const Take& take : job.takes) {
        const Recorded& r = take.recorded;
        const TakeAbout about = aboutOf(job, take);
        if (take.kind == TakeKind::response && about.driver.empty() &&
            about.cabinet == cabinet.id && r.place == MicPlace::farField && r.angle == 0.0 &&
            r.also.empty()) {
            whole = &take;
        }
    }
    return whole;
}

bool isAboutCabinet(std::string_view check) {
    return std::ranges::find(aboutCabinet, check) != std::end(aboutCabinet);
}

const Driver* twinOf(const Job& job, const std::string& cabinet, const std::string& driver) {
    const Cabinet* here = findCabinet(job, cabinet);
    const Cabinet* there = here == nullptr ? nullptr : findCabinet(job, here->twin);
    if (there == nullptr) {
        return nullptr;
    }
    const auto mount = std::ranges::find(here->mounts, driver, &Mount::driver);
    const auto place = static_cast<std::size_t>(mount - here->mounts.begin());
    return place < there->mounts.size() ? findDriver(job, there->mounts[place].driver) : nullptr;
}

std::vector<const BenchReading*> readingsOf(const Job& job,
                                            const std::string& cabinet,
                                            const std::string& driver,
                                            std::string_view check) {
    std::vector<const BenchReading*> all;
    for (const BenchReading& r : job.readings) {
        if (!r.setAside && r.check == check && r.cabinet == cabinet &&
            r.driver == (isAboutCabinet(check) ? "" : driver)) {
            all.push_back(&r);
        }
    }
    return all;
}

} // namespace yf::job
