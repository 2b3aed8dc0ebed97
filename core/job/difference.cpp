// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/difference.h"

#include "core/base/words.h"
#include "core/bench/words.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/network/parts/part_words.h"

#include <algorithm>
#include <cmath>

namespace yf::job {

namespace {

using Sentences = std::vector<Words>;

std::string millimetres(double length) {
    return text::printFixed(length * 1000.0, 0) + std::string(text::thinSpace) + "mm";
}

Words ohms(const std::optional<double>& value) {
    return value ? Words(text::printEngineering(*value, "Ω"))
                 : Words(YF_WORDS("core", "not given"));
}

std::string partText(const network::Part& part) {
    return valueText(part.kind, part.value);
}

void differParts(const network::Circuit& before, const network::Circuit& after, Sentences& said) {
    for (const network::Part& old : network::parts(before)) {
        const auto now = network::findPart(after, old.id);
        if (!now) {
            said.push_back(say(YF_WORDS("core", "%1 (%2) taken out"), old.id, partText(old)));
        } else if (now->value != old.value) {
            said.push_back(old.id + " " + partText(old) + " → " + partText(*now));
        } else if (network::lossResistance(*now) != network::lossResistance(old)) {
            said.push_back(say(YF_WORDS("core", "%1 loss %2 → %3"),
                               old.id,
                               ohms(network::lossResistance(old)),
                               ohms(network::lossResistance(*now))));
        } else if (*now != old) {
            said.push_back(say(YF_WORDS("core", "%1 noted differently"), old.id));
        }
    }
    for (const network::Part& part : network::parts(after)) {
        if (!network::findPart(before, part.id)) {
            said.push_back(say(YF_WORDS("core", "%1 (%2) put in"), part.id, partText(part)));
        }
    }
}

/// Parts alike but joined otherwise, or other controls and transformers.
bool sameShape(const network::Circuit& before, const network::Circuit& after) {
    network::Circuit leveled = after;
    for (const network::Part& part : network::parts(before)) {
        auto with = network::withPart(leveled, part);
        if (!with) {
            return true; // told part by part
        }
        leveled = std::move(*with);
    }
    const auto ends = network::driverEnds(before);
    const auto endsNow = network::driverEnds(after);
    for (std::size_t w = 0; w < ends.size() && w < endsNow.size(); ++w) {
        if (auto with = network::withPolarity(leveled, w, ends[w].polarity)) {
            leveled = std::move(*with);
        }
    }
    leveled.source = before.source;
    return leveled == before || network::parts(before).size() != network::parts(after).size();
}

std::string nameOf(const Job& job, const std::string& driver) {
    const Driver* found = findDriver(job, driver);
    return found == nullptr ? driver : found->name;
}

void differNetworks(const Job& beforeJob,
                    const Cabinet& before,
                    const Cabinet& after,
                    Sentences& said) {
    differParts(before.circuit, after.circuit, said);
    const auto now = network::driverEnds(after.circuit);
    for (const network::DriverEnd& old : network::driverEnds(before.circuit)) {
        const auto end = std::ranges::find(now, old.driver, &network::DriverEnd::driver);
        if (end != now.end() && end->polarity != old.polarity) {
            const std::string name = nameOf(beforeJob, old.driver);
            said.push_back(end->polarity < 0 ? say(YF_WORDS("core", "%1 reversed"), name)
                                             : say(YF_WORDS("core", "%1 as marked again"), name));
        }
    }
    if (!sameShape(before.circuit, after.circuit)) {
        said.emplace_back(YF_WORDS("core", "network joined differently"));
    }
    if (before.circuit.source != after.circuit.source) {
        said.emplace_back(YF_WORDS("core", "drive or source resistance changed"));
    }
}

struct Jobs {
    const Job& before;
    const Job& after;
};

void differCabinet(const Jobs& jobs, const Cabinet& before, const Cabinet& after, Sentences& said) {
    if (before.name != after.name) {
        said.push_back(say(YF_WORDS("core", "named %1"), after.name));
    }
    if (before.width != after.width || before.height != after.height) {
        said.push_back(say(YF_WORDS("core", "front %1 × %2 → %3 × %4"),
                           millimetres(before.width),
                           millimetres(before.height),
                           millimetres(after.width),
                           millimetres(after.height)));
    }
    if (before.depth != after.depth || before.mirrored != after.mirrored ||
        before.twin != after.twin) {
        said.emplace_back(YF_WORDS("core", "outline noted differently"));
    }
    if (before.nominal != after.nominal) {
        said.push_back(say(YF_WORDS("core", "nominal impedance %1 → %2"),
                           ohms(before.nominal),
                           ohms(after.nominal)));
    }
    for (const Mount& old : before.mounts) {
        const auto now = std::ranges::find(after.mounts, old.driver, &Mount::driver);
        const std::string name = nameOf(jobs.before, old.driver);
        if (now == after.mounts.end()) {
            said.push_back(say(YF_WORDS("core", "%1 taken off the front"), name));
        } else if (now->x != old.x || now->y != old.y) {
            said.push_back(say(YF_WORDS("core", "%1 moved by %2"),
                               name,
                               millimetres(std::hypot(now->x - old.x, now->y - old.y))));
        }
    }
    for (const Mount& mount : after.mounts) {
        if (std::ranges::find(before.mounts, mount.driver, &Mount::driver) == before.mounts.end()) {
            said.push_back(say(YF_WORDS("core", "%1 added"), nameOf(jobs.after, mount.driver)));
        }
    }
    differNetworks(jobs.before, before, after, said);
    if (before.target != after.target) {
        said.emplace_back(YF_WORDS("core", "another corridor"));
    }
}

void differDrivers(const Job& before, const Job& after, Sentences& said) {
    for (const Driver& old : before.drivers) {
        const Driver* now = findDriver(after, old.id);
        if (now == nullptr || *now == old) {
            continue;
        }
        if (now->name != old.name) {
            said.push_back(say(YF_WORDS("core", "%1 named %2"), old.name, now->name));
        }
        if (now->responseTake != old.responseTake) {
            said.push_back(say(YF_WORDS("core", "%1: another response"), now->name));
        }
        if (now->impedanceTake != old.impedanceTake) {
            said.push_back(say(YF_WORDS("core", "%1: another impedance"), now->name));
        }
        Driver rest = *now;
        rest.name = old.name;
        rest.responseTake = old.responseTake;
        rest.impedanceTake = old.impedanceTake;
        if (rest != old) {
            said.push_back(
                say(YF_WORDS("core", "%1: size, band, condition or nominal impedance changed"),
                    now->name));
        }
    }
}

} // namespace

Sentences differences(const Job& before, const Job& after) {
    Sentences said;
    if (before.title != after.title) {
        said.push_back(say(YF_WORDS("core", "renamed to %1"), after.title));
    }
    const bool several = std::max(before.cabinets.size(), after.cabinets.size()) > 1;
    for (const Cabinet& old : before.cabinets) {
        const Cabinet* now = findCabinet(after, old.id);
        if (now == nullptr) {
            said.push_back(say(YF_WORDS("core", "cabinet %1 taken away"), old.name));
            continue;
        }
        Sentences own;
        differCabinet({before, after}, old, *now, own);
        for (Words& sentence : own) {
            said.push_back(several ? say(YF_WORDS("core", "%1: %2"), now->name, sentence)
                                   : std::move(sentence));
        }
    }
    for (const Cabinet& cabinet : after.cabinets) {
        if (findCabinet(before, cabinet.id) == nullptr) {
            said.push_back(say(YF_WORDS("core", "cabinet %1 added"), cabinet.name));
        }
    }
    differDrivers(before, after, said);
    for (const Take& take : after.takes) {
        const Take* old = findTake(before, take.id);
        if (old == nullptr) {
            said.push_back(say(YF_WORDS("core", "take %1 added"), take.name));
        } else if (!(*old == take)) {
            said.push_back(
                say(YF_WORDS("core", "take %1 noted or trusted differently"), take.name));
        }
    }
    for (const Take& take : before.takes) {
        if (findTake(after, take.id) == nullptr) {
            said.push_back(say(YF_WORDS("core", "take %1 gone"), take.name));
        }
    }
    for (const BenchReading& reading : after.readings) {
        if (std::ranges::find(before.readings, reading.id, &BenchReading::id) ==
            before.readings.end()) {
            const Driver* driver = findDriver(after, reading.driver);
            const Words outcome = bench::outcomeInWords(reading.check, reading.outcome);
            said.push_back(driver == nullptr
                               ? outcome
                               : say(YF_WORDS("core", "%1: %2"), driver->name, outcome));
        }
    }
    if (before.complaint != after.complaint || before.aim != after.aim) {
        said.emplace_back(YF_WORDS("core", "complaint or aim changed"));
    }
    if (before.photos != after.photos) {
        said.emplace_back(YF_WORDS("core", "pictures added, removed or described"));
    }
    if (before.scales != after.scales || before.units != after.units) {
        said.emplace_back(YF_WORDS("core", "house scales or units changed"));
    }
    if (before.limits != after.limits || before.dismissals != after.dismissals) {
        said.emplace_back(YF_WORDS("core", "findings judged differently"));
    }
    return said;
}

} // namespace yf::job
