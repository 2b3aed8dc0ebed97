// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/measurement.h"

#include "core/edit/apply.h"
#include "core/job/fresh_id.h"
#include "core/job/record.h"

#include <algorithm>

namespace yf::edit {

namespace {

Error unknown(const char* what, const std::string& id) {
    return {what, say(YF_WORDS("core", "'%1' is not in this job"), id), ""};
}

Result<job::Job> withTake(const job::Job& job, const std::string& driver, job::Take take) {
    job::Job changed = job;
    const auto found = std::ranges::find(changed.drivers, driver, &job::Driver::id);
    if (found == changed.drivers.end()) {
        return unknown("driver", driver);
    }
    take.id = freshTakeId(job);
    take.curveKey = job::curveKey(*take.curve);
    job::Recorded& r = take.recorded;
    if (r != job::Recorded{}) {
        // It came from another job, or from an angle: here it is about this driver.
        r.cabinet.clear();
        r.driver = driver;
    }
    // A network is worked out from what a driver does on its axis.
    const bool aside = r.place != job::MicPlace::farField || r.angle != 0.0 || !r.also.empty();
    if (!aside) {
        (take.kind == job::TakeKind::response ? found->responseTake : found->impedanceTake) =
            take.id;
    }
    changed.takes.push_back(std::move(take));
    return changed;
}

Error unknownTake(const std::string& id) {
    return {"take",
            say(YF_WORDS("core", "'%1' is not in the job"), id),
            YF_WORDS("core", "choose one of its list")};
}

Result<job::Job> withChanged(const job::Job& job,
                             const std::string& id,
                             const std::function<Done(job::Job&, job::Take&)>& change) {
    job::Job changed = job;
    const auto found = std::ranges::find(changed.takes, id, &job::Take::id);
    if (found == changed.takes.end()) {
        return unknownTake(id);
    }
    YF_TRY(all, change(changed, *found));
    static_cast<void>(all);
    return changed;
}

} // namespace

Edit addTake(const std::string& driver, job::Take take) {
    YF_EXPECT(take.curve != nullptr);
    Words name = take.kind == job::TakeKind::response
                     ? say(YF_WORDS("core", "Import response %1"), take.name)
                     : say(YF_WORDS("core", "Import impedance %1"), take.name);
    return {std::move(name),
            [driver, take = std::move(take)](const job::Job& job) {
                return withTake(job, driver, take);
            },
            {}};
}

Edit trustTake(const std::string& take, curve::Range range) {
    return {say(YF_WORDS("core", "Trust %1 from %2 to %3"),
                take,
                text::printEngineering(range.from, "Hz"),
                text::printEngineering(range.to, "Hz")),
            [take, range](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                const auto found = std::ranges::find(changed.takes, take, &job::Take::id);
                if (found == changed.takes.end()) {
                    return unknown("take", take);
                }
                found->curve =
                    std::make_shared<const curve::Curve>(found->curve->trustedWithin(range));
                found->curveKey = job::curveKey(*found->curve);
                return changed;
            },
            {}};
}

Edit addRecordedTake(job::Take take) {
    YF_EXPECT(take.curve != nullptr);
    Words name = say(YF_WORDS("core", "Record %1"), take.name);
    return {std::move(name),
            [take = std::move(take)](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                job::Take joined = take;
                joined.id = freshTakeId(job);
                joined.curveKey = job::curveKey(*joined.curve);
                const job::Recorded& r = joined.recorded;
                if (const job::Cabinet* cabinet = job::findCabinet(job, r.cabinet);
                    r.driver.empty() && cabinet != nullptr) {
                    joined.recorded.network = job::networkKey(cabinet->circuit);
                }
                const auto driver = std::ranges::find(changed.drivers, r.driver, &job::Driver::id);
                if (!r.driver.empty() && driver == changed.drivers.end()) {
                    return Error{
                        "driver", say(YF_WORDS("core", "'%1' is not in the job"), r.driver), ""};
                }
                const bool onAxis =
                    r.place == job::MicPlace::farField && r.angle == 0.0 && r.also.empty();
                if (!r.driver.empty() && !r.keptAnyway) {
                    if (joined.kind == job::TakeKind::impedance) {
                        driver->impedanceTake = joined.id;
                    } else if (onAxis) {
                        driver->responseTake = joined.id;
                    }
                }
                changed.takes.push_back(std::move(joined));
                return changed;
            },
            {}};
}

Edit replaceTake(job::Take take) {
    Words name =
        say(YF_WORDS("core", "Gate to %1"), text::printEngineering(take.gate.value_or(0.0), "s"));
    return {std::move(name),
            [take = std::move(take)](const job::Job& job) {
                return withChanged(job, take.id, [&](job::Job& /*job*/, job::Take& old) -> Done {
                    job::Take again = take;
                    // What was written meanwhile stays.
                    again.note = old.note;
                    again.recorded.condition = old.recorded.condition;
                    again.curveKey = job::curveKey(*again.curve);
                    old = std::move(again);
                    return done();
                });
            },
            {}};
}

Edit describeTake(const std::string& id, const std::string& note, const std::string& condition) {
    return {YF_WORDS("core", "Describe a take"),
            [=](const job::Job& job) {
                return withChanged(job, id, [&](job::Job& /*job*/, job::Take& take) -> Done {
                    take.note = note;
                    take.recorded.condition = condition;
                    return done();
                });
            },
            "describe-" + id};
}

Edit useTake(const std::string& driver, const std::string& id) {
    return {YF_WORDS("core", "Use another take"),
            [=](const job::Job& job) {
                return withChanged(job, id, [&](job::Job& changed, job::Take& take) -> Done {
                    const auto found = std::ranges::find(changed.drivers, driver, &job::Driver::id);
                    if (found == changed.drivers.end()) {
                        return Error{
                            "driver", say(YF_WORDS("core", "'%1' is not in the job"), driver), ""};
                    }
                    (take.kind == job::TakeKind::response ? found->responseTake
                                                          : found->impedanceTake) = id;
                    return done();
                });
            },
            {}};
}

} // namespace yf::edit
