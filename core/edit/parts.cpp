// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/parts.h"

#include "core/edit/circuit.h"
#include "core/network/parts/part_words.h"

#include <algorithm>
#include <cmath>

namespace yf::edit {

namespace {

using network::Circuit;

Error unknown(const char* what, const std::string& id) {
    return {what, say(YF_WORDS("core", "'%1' is not in this job"), id), ""};
}

} // namespace

Edit changeTitle(std::string title) {
    return {say(YF_WORDS("core", "Rename the job to %1"), title),
            [title](const job::Job& job) -> Result<job::Job> {
                if (title.empty()) {
                    return Error{"title",
                                 YF_WORDS("core", "nothing is written"),
                                 YF_WORDS("core", "must have at least one letter")};
                }
                job::Job changed = job;
                changed.title = title;
                return changed;
            },
            {}};
}

Edit changePart(const std::string& cabinet, const network::Part& part, std::string mergeKey) {
    return {say(YF_WORDS("core", "Change %1 to %2"), part.id, valueText(part.kind, part.value)),
            [cabinet, part](const job::Job& job) {
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
            std::function<Result<network::Part>(const job::Job&, const network::Part&)> next) {
    const auto partOf = [cabinet, id](const job::Job& job) {
        const job::Cabinet* found = job::findCabinet(job, cabinet);
        return found == nullptr ? std::nullopt : network::findPart(found->circuit, id);
    };
    Edit edit;
    edit.name = say(YF_WORDS("core", "Change %1"), id);
    edit.mergeKey = std::move(mergeKey);
    edit.apply =
        [cabinet, id, partOf, next = std::move(next)](const job::Job& job) -> Result<job::Job> {
        const auto part = partOf(job);
        if (!part) {
            return unknown("part", id);
        }
        YF_TRY(changed, next(job, *part));
        return withCircuit(
            job, cabinet, [&](const Circuit& c) { return network::withPart(c, changed); });
    };
    edit.nameAfter = [id, partOf](const job::Job& job) {
        const auto part = partOf(job);
        return part ? say(YF_WORDS("core", "Change %1 to %2"),
                          id,
                          valueText(part->kind, part->value))
                    : say(YF_WORDS("core", "Change %1"), id);
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
        [id, series, steps](const job::Job&, const network::Part& part) -> Result<network::Part> {
            const network::ValueRange usual = network::usualValues(part.kind);
            const double value = network::stepValue(part.value, series, steps);
            if (steps > 0 ? value > usual.highest : value < usual.lowest) {
                return Error{id,
                             YF_WORDS("core", "stands at the end of its usual values"),
                             say(YF_WORDS("core", "a value beyond %1 has to be typed"),
                                 valueText(part.kind, part.value))};
            }
            return network::withValue(part, value);
        });
}

Edit stepPartInStock(const std::string& cabinet,
                     const std::string& id,
                     int steps,
                     std::string mergeKey) {
    return stepTo(
        cabinet,
        id,
        std::move(mergeKey),
        [id, steps](const job::Job& job, const network::Part& part) -> Result<network::Part> {
            const auto next = network::stepOwned(job.stock, part, steps);
            if (!next) {
                return Error{id,
                             steps > 0
                                 ? YF_WORDS("core", "no greater one of its kind is in the drawer")
                                 : YF_WORDS("core", "no smaller one of its kind is in the drawer"),
                             YF_WORDS("core", "own parts are listed at Parts")};
            }
            return *next;
        });
}

Edit insertPart(const std::string& cabinet,
                const network::SlotPlace& place,
                const network::Part& part) {
    return {
        place.inLine
            ? say(YF_WORDS("core", "Insert %1 in the line"), valueText(part.kind, part.value))
            : say(YF_WORDS("core", "Insert %1 across the way"), valueText(part.kind, part.value)),
        [cabinet, place, part](const job::Job& job) {
            return withCircuit(job, cabinet, [&](const Circuit& c) -> Result<Circuit> {
                YF_TRY(inserted, network::withInserted(c, place, part));
                return std::move(inserted.circuit);
            });
        },
        {}};
}

Edit removePart(const std::string& cabinet, const std::string& id) {
    return {say(YF_WORDS("core", "Take out %1"), id),
            [cabinet, id](const job::Job& job) {
                return withCircuit(
                    job, cabinet, [&](const Circuit& c) { return network::withoutPart(c, id); });
            },
            {}};
}

Edit bypassPart(const std::string& cabinet, const std::string& id) {
    return {say(YF_WORDS("core", "Without %1"), id),
            [cabinet, id](const job::Job& job) {
                return withCircuit(
                    job, cabinet, [&](const Circuit& c) { return network::withoutSlotOf(c, id); });
            },
            {}};
}

Edit reverseDriver(const std::string& cabinet, std::size_t way, const std::string& driverName) {
    return {say(YF_WORDS("core", "Reverse %1"), driverName),
            [cabinet, way](const job::Job& job) {
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

Edit changeTarget(const std::string& cabinet, const job::Target& target) {
    return {YF_WORDS("core", "Change the corridor"),
            [cabinet, target](const job::Job& job) -> Result<job::Job> {
                if (auto error = check(target)) {
                    return *error;
                }
                job::Job changed = job;
                const auto found = std::ranges::find(changed.cabinets, cabinet, &job::Cabinet::id);
                if (found == changed.cabinets.end()) {
                    return unknown("cabinet", cabinet);
                }
                found->target = target;
                return changed;
            },
            {}};
}

} // namespace yf::edit
