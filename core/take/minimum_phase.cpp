// SPDX-License-Identifier: GPL-3.0-or-later

#include "core/take/minimum_phase.h"

#include "core/curve/minimum_phase.h"

namespace yf::take {

Result<edit::Edit>
useMinimumPhase(const job::Job& job, const std::string& driver, job::TakeKind kind) {
    const std::string what = kind == job::TakeKind::response ? YF_WORDS("core", "response")
                                                             : YF_WORDS("core", "impedance");
    const job::Driver* found = job::findDriver(job, driver);
    const job::Take* take = found == nullptr ? nullptr : job::takeInUse(job, *found, kind);
    if (take == nullptr) {
        return Error{"driver",
                     say(YF_WORDS("core", "'%1' has no %2"), driver, what),
                     YF_WORDS("core", "import one first")};
    }
    job::Take computed = *take;
    computed.name += " (minimum phase)";
    computed.note = YF_WORDS("core", "Phase computed from the levels; it holds no flight time.");
    computed.curve = std::make_shared<const curve::Curve>(curve::withMinimumPhase(*take->curve));
    edit::Edit edit = edit::addTake(driver, std::move(computed));
    edit.name = say(YF_WORDS("core", "Use minimum phase for the %1 of %2"), what, driver);
    return edit;
}

} // namespace yf::take
