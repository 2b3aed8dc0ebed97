// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/take/box.h"

#include <algorithm>

namespace yf::take {

box::ReadKind readKindOf(job::Mounting mounting) {
    return mounting == job::Mounting::closedBox ? box::ReadKind::closed : box::ReadKind::vented;
}

std::vector<const job::Take*> impedanceTakes(const job::Job& job, const std::string& driver) {
    std::vector<const job::Take*> takes;
    const job::Driver* d = job::findDriver(job, driver);
    for (const job::Take& take : job.takes) {
        if (take.kind == job::TakeKind::impedance && take.recorded.also.empty() &&
            (take.recorded.driver == driver || (d != nullptr && take.id == d->impedanceTake))) {
            takes.push_back(&take);
        }
    }
    std::stable_partition(takes.begin(), takes.end(), [](const job::Take* t) {
        return t->recorded.mounting == job::Mounting::free;
    });
    return takes;
}

std::vector<const job::Take*> boxTakes(const job::Job& job, const std::string& driver) {
    std::vector<const job::Take*> takes;
    for (const job::Take& take : job.takes) {
        if (take.kind == job::TakeKind::impedance && take.recorded.driver == driver &&
            take.recorded.mounting != job::Mounting::free) {
            takes.push_back(&take);
        }
    }
    return takes;
}

Result<box::ReadBack> readTake(const job::Take& take) {
    return box::readBack({.impedance = *take.curve, .kind = readKindOf(take.recorded.mounting)});
}

} // namespace yf::take
