// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/bench.h"

#include "core/base/words.h"
#include "core/bench/words.h"
#include "core/edit/apply.h"
#include "core/job/lookup.h"
#include "core/text/given.h"

#include <algorithm>

namespace yf::edit {

namespace {

std::string newId(const job::Job& job) {
    std::size_t number = job.readings.size() + 1;
    const auto taken = [&](const std::string& id) {
        return std::ranges::find(job.readings, id, &job::BenchReading::id) != job.readings.end();
    };
    while (taken("reading-" + std::to_string(number))) {
        ++number;
    }
    return "reading-" + std::to_string(number);
}

} // namespace

Edit addReading(job::BenchReading reading) {
    const std::string check = bench::checkInWords(reading.check);
    const Words name = reading.outcome.empty()
                           ? Words(check)
                           : say(YF_WORDS("core", "%1: %2"),
                                 check,
                                 bench::outcomeInWords(reading.check, reading.outcome));
    return {name, [reading = std::move(reading)](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                job::BenchReading joined = reading;
                joined.id = newId(job);
                if (job::isAboutCabinet(joined.check)) {
                    joined.driver.clear();
                }
                // The sides of a system are no cabinet.
                const bool sides = joined.check == "pair_polarity" && joined.cabinet.empty();
                if (!sides && job::findCabinet(job, joined.cabinet) == nullptr) {
                    return Error{"cabinet",
                                 text::givenWord(joined.cabinet),
                                 YF_WORDS("core", "is not in the job")};
                }
                if (!joined.driver.empty() && job::findDriver(job, joined.driver) == nullptr) {
                    return Error{"driver",
                                 text::givenWord(joined.driver),
                                 YF_WORDS("core", "is not in the job")};
                }
                changed.readings.push_back(std::move(joined));
                return changed;
            }};
}

Edit setReadingAside(const std::string& id, bool aside) {
    return {
        aside ? YF_WORDS("core", "Set a reading aside") : YF_WORDS("core", "Count a reading again"),
        [id, aside](const job::Job& job) -> Result<job::Job> {
            job::Job changed = job;
            const auto found = std::ranges::find(changed.readings, id, &job::BenchReading::id);
            if (found == changed.readings.end()) {
                return Error{"reading", text::givenWord(id), YF_WORDS("core", "is not in the job")};
            }
            found->setAside = aside;
            return changed;
        }};
}

Edit changeNominal(const std::string& driver, double nominal) {
    return {YF_WORDS("core", "Change the impedance printed on a driver"),
            [driver, nominal](const job::Job& job) -> Result<job::Job> {
                constexpr double least = 0.5;
                constexpr double most = 600.0;
                if (!(nominal >= least && nominal <= most)) {
                    return Error{"nominal_ohm",
                                 YF_WORDS("core", "not a rating"),
                                 YF_WORDS("core", "must be 0.5 to 600 ohms")};
                }
                job::Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &job::Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{
                        "driver", text::givenWord(driver), YF_WORDS("core", "is not in the job")};
                }
                found->nominal = nominal;
                return changed;
            }};
}

Edit decide(const std::string& driver, bench::Remedy remedy) {
    return {YF_WORDS("core", "Decide what to do about a driver"),
            [driver, remedy](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &job::Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{
                        "driver", text::givenWord(driver), YF_WORDS("core", "is not in the job")};
                }
                found->decision = remedy;
                return changed;
            }};
}

Edit concludeDriver(const std::string& driver, job::Condition condition) {
    constexpr std::string_view names[] = {YF_WORDS("core", "Find a driver not checked"),
                                          YF_WORDS("core", "Find a driver sound"),
                                          YF_WORDS("core", "Find a driver suspect"),
                                          YF_WORDS("core", "Find a driver dead")};
    return {std::string(names[static_cast<std::size_t>(condition)]),
            [driver, condition](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &job::Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{
                        "driver", text::givenWord(driver), YF_WORDS("core", "is not in the job")};
                }
                found->condition = condition;
                return changed;
            }};
}

} // namespace yf::edit
