// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/edit.h"

#include "core/curve/minimum_phase.h"
#include "core/job/circuit_edit.h"
#include "core/job/first_value.h"
#include "core/job/take_id.h"

#include <algorithm>
#include <cmath>

namespace yf::job {

namespace {

using network::Circuit;

Error unknown(const char* what, const std::string& id) {
    return {what, "'" + id + "' is not in this job", ""};
}

Result<Job> withTake(const Job& job, const std::string& driver, Take take) {
    Job changed = job;
    const auto found = std::ranges::find(changed.drivers, driver, &Driver::id);
    if (found == changed.drivers.end()) {
        return unknown("driver", driver);
    }
    take.id = freshTakeId(job);
    take.curveKey = curveKey(*take.curve);
    Recorded& r = take.recorded;
    if (r != Recorded{}) {
        // It came from another job, or from an angle: here it is about this driver.
        r.cabinet.clear();
        r.driver = driver;
    }
    // A network is worked out from what a driver does on its axis.
    const bool aside = r.place != MicPlace::farField || r.angle != 0.0 || !r.also.empty();
    if (!aside) {
        (take.kind == TakeKind::response ? found->responseTake : found->impedanceTake) = take.id;
    }
    changed.takes.push_back(std::move(take));
    return changed;
}

std::string_view kindName(TakeKind kind) {
    return kind == TakeKind::response ? "response" : "impedance";
}

} // namespace

std::string valueText(network::PartKind kind, double value, int digits) {
    static constexpr std::string_view units[] = {"Ω", "H", "F"};
    const auto index = static_cast<std::size_t>(kind);
    // The trade writes 0.35 mH and 0.47 µF where pure engineering style would say 350 µH, 470 nF.
    const double shown = value / network::customaryUnit(kind);
    constexpr double least = 0.01;
    constexpr double most = 1000.0;
    if (kind != network::PartKind::resistor && shown >= least && shown < most) {
        static constexpr std::string_view customary[] = {"Ω", "mH", "µF"};
        return text::printSignificant(shown, digits) + std::string(text::thinSpace) +
               std::string(customary[index]);
    }
    return text::printEngineering(value, units[index], digits);
}

std::optional<std::string> questionAbout(const network::Part& part) {
    const network::ValueRange usual = network::usualValues(part.kind);
    if (part.value >= usual.lowest && part.value <= usual.highest) {
        return std::nullopt;
    }
    return part.id + ": " + valueText(part.kind, part.value) +
           " is far outside what networks use (" + valueText(part.kind, usual.lowest) + " to " +
           valueText(part.kind, usual.highest) + ").";
}

Edit changeTitle(std::string title) {
    return {"Rename the job to " + title,
            [title](const Job& job) -> Result<Job> {
                if (title.empty()) {
                    return Error{"title", "nothing is written", "must have at least one letter"};
                }
                Job changed = job;
                changed.title = title;
                return changed;
            },
            {}};
}

Edit addTake(const std::string& driver, Take take) {
    YF_EXPECT(take.curve != nullptr);
    std::string name = "Import " + std::string(kindName(take.kind)) + " " + take.name;
    return {
        std::move(name),
        [driver, take = std::move(take)](const Job& job) { return withTake(job, driver, take); },
        {}};
}

Edit trustTake(const std::string& take, curve::Range range) {
    return {"Trust " + take + " from " + text::printEngineering(range.from, "Hz") + " to " +
                text::printEngineering(range.to, "Hz"),
            [take, range](const Job& job) -> Result<Job> {
                Job changed = job;
                const auto found = std::ranges::find(changed.takes, take, &Take::id);
                if (found == changed.takes.end()) {
                    return unknown("take", take);
                }
                found->curve =
                    std::make_shared<const curve::Curve>(found->curve->trustedWithin(range));
                found->curveKey = curveKey(*found->curve);
                return changed;
            },
            {}};
}

Edit useMinimumPhase(const std::string& driver, TakeKind kind) {
    return {"Use minimum phase for the " + std::string(kindName(kind)) + " of " + driver,
            [driver, kind](const Job& job) -> Result<Job> {
                const Driver* found = findDriver(job, driver);
                const Take* take = found == nullptr ? nullptr : takeInUse(job, *found, kind);
                if (take == nullptr) {
                    return Error{"driver",
                                 "'" + driver + "' has no " + std::string(kindName(kind)),
                                 "import one first"};
                }
                Take computed = *take;
                computed.name += " (minimum phase)";
                computed.note = "Phase computed from the levels; it holds no flight time.";
                computed.curve =
                    std::make_shared<const curve::Curve>(curve::withMinimumPhase(*take->curve));
                return withTake(job, driver, std::move(computed));
            },
            {}};
}

Edit changePart(const std::string& cabinet, const network::Part& part, std::string mergeKey) {
    return {"Change " + part.id + " to " + valueText(part.kind, part.value),
            [cabinet, part](const Job& job) {
                return withCircuit(
                    job, cabinet, [&](const Circuit& c) { return network::withPart(c, part); });
            },
            std::move(mergeKey)};
}

namespace {

/// A part that becomes another by a step; named after what comes out.
Edit stepTo(const std::string& cabinet,
            const std::string& id,
            std::string mergeKey,
            std::function<Result<network::Part>(const Job&, const network::Part&)> next) {
    const auto partOf = [cabinet, id](const Job& job) {
        const Cabinet* found = findCabinet(job, cabinet);
        return found == nullptr ? std::nullopt : network::findPart(found->circuit, id);
    };
    Edit edit;
    edit.name = "Change " + id;
    edit.mergeKey = std::move(mergeKey);
    edit.apply = [cabinet, id, partOf, next = std::move(next)](const Job& job) -> Result<Job> {
        const auto part = partOf(job);
        if (!part) {
            return unknown("part", id);
        }
        YF_TRY(changed, next(job, *part));
        return withCircuit(
            job, cabinet, [&](const Circuit& c) { return network::withPart(c, changed); });
    };
    edit.nameAfter = [id, partOf](const Job& job) {
        const auto part = partOf(job);
        return part ? "Change " + id + " to " + valueText(part->kind, part->value) : "Change " + id;
    };
    return edit;
}

} // namespace

Edit stepPart(const std::string& cabinet,
              const std::string& id,
              network::ESeries series,
              int steps,
              std::string mergeKey) {
    return stepTo(
        cabinet,
        id,
        std::move(mergeKey),
        [id, series, steps](const Job&, const network::Part& part) -> Result<network::Part> {
            const network::ValueRange usual = network::usualValues(part.kind);
            const double value = network::stepValue(part.value, series, steps);
            if (steps > 0 ? value > usual.highest : value < usual.lowest) {
                return Error{id,
                             "stands at the end of its usual values",
                             "a value beyond " + valueText(part.kind, part.value) +
                                 " has to be typed"};
            }
            return network::withValue(part, value);
        });
}

Edit stepPartInStock(const std::string& cabinet,
                     const std::string& id,
                     int steps,
                     std::string mergeKey) {
    return stepTo(cabinet,
                  id,
                  std::move(mergeKey),
                  [id, steps](const Job& job, const network::Part& part) -> Result<network::Part> {
                      const auto next = network::stepOwned(job.stock, part, steps);
                      if (!next) {
                          return Error{id,
                                       "no " + std::string(steps > 0 ? "greater" : "smaller") +
                                           " one of its kind is in the drawer",
                                       "own parts are listed at Parts"};
                      }
                      return *next;
                  });
}

Edit insertNewPart(const std::string& cabinet,
                   const network::SlotPlace& place,
                   network::PartKind kind) {
    static constexpr std::string_view names[] = {"resistor", "coil", "capacitor"};
    return {"Insert a " + std::string(names[static_cast<std::size_t>(kind)]) +
                (place.inLine ? " in the line" : " across the way"),
            [cabinet, place, kind](const Job& job) -> Result<Job> {
                YF_TRY(value, firstValue(job, cabinet, place, kind));
                network::Part part;
                part.kind = kind;
                part.value = value;
                return insertPart(cabinet, place, part).apply(job);
            },
            {}};
}

Edit insertPart(const std::string& cabinet,
                const network::SlotPlace& place,
                const network::Part& part) {
    return {"Insert " + valueText(part.kind, part.value) +
                (place.inLine ? " in the line" : " across the way"),
            [cabinet, place, part](const Job& job) {
                return withCircuit(job, cabinet, [&](const Circuit& c) -> Result<Circuit> {
                    YF_TRY(inserted, network::withInserted(c, place, part));
                    return std::move(inserted.circuit);
                });
            },
            {}};
}

Edit removePart(const std::string& cabinet, const std::string& id) {
    return {"Take out " + id,
            [cabinet, id](const Job& job) {
                return withCircuit(
                    job, cabinet, [&](const Circuit& c) { return network::withoutPart(c, id); });
            },
            {}};
}

Edit bypassPart(const std::string& cabinet, const std::string& id) {
    return {"Without " + id,
            [cabinet, id](const Job& job) {
                return withCircuit(
                    job, cabinet, [&](const Circuit& c) { return network::withoutSlotOf(c, id); });
            },
            {}};
}

Edit reverseDriver(const std::string& cabinet, std::size_t way, const std::string& driverName) {
    return {"Reverse " + driverName,
            [cabinet, way](const Job& job) {
                return withCircuit(job, cabinet, [&](const Circuit& c) -> Result<Circuit> {
                    const network::Section* section = network::waySection(c, way);
                    const auto* end = section == nullptr
                                          ? nullptr
                                          : std::get_if<network::DriverEnd>(&section->end);
                    return network::withPolarity(c, way, end == nullptr ? 1 : -end->polarity);
                });
            },
            {}};
}

Edit changeTarget(const std::string& cabinet, const Target& target) {
    return {"Change the corridor",
            [cabinet, target](const Job& job) -> Result<Job> {
                if (auto error = check(target)) {
                    return *error;
                }
                Job changed = job;
                const auto found = std::ranges::find(changed.cabinets, cabinet, &Cabinet::id);
                if (found == changed.cabinets.end()) {
                    return unknown("cabinet", cabinet);
                }
                found->target = target;
                return changed;
            },
            {}};
}

} // namespace yf::job
