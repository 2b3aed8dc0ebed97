// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/polarity.h"

#include "core/base/words.h"
#include "core/edit/polarity.h"
#include "core/evaluation/bench.h"
#include "core/job/lookup.h"
#include "core/network/circuit/circuit.h"
#include "core/speaker/crossover.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::evaluation {

namespace {

edit::Direction directionOf(const std::string& outcome) {
    return outcome == "moves_out"  ? edit::Direction::out
           : outcome == "moves_in" ? edit::Direction::in
                                   : edit::Direction::notSeen;
}

/// The latest of its kind; set aside ones do not count.
const job::BenchReading* latest(const job::Job& job,
                                std::string_view check,
                                const std::string& cabinet,
                                const std::string& driver,
                                std::optional<bench::Place> place) {
    const job::BenchReading* found = nullptr;
    for (const job::BenchReading& r : job.readings) {
        if (!r.setAside && r.check == check && r.cabinet == cabinet && r.driver == driver &&
            (!place || r.place == *place)) {
            found = &r;
        }
    }
    return found;
}

edit::Direction battery(const job::Job& job,
                        const std::string& cabinet,
                        const std::string& driver,
                        bench::Place place) {
    const job::BenchReading* r = latest(job, "battery_pop", cabinet, driver, place);
    return r == nullptr ? edit::Direction::notTried : directionOf(r->outcome);
}

edit::Bass bassOf(const job::Job& job, const std::string& cabinet) {
    const job::BenchReading* r = latest(job, "pair_polarity", cabinet, "", std::nullopt);
    return r == nullptr                           ? edit::Bass::notTried
           : r->outcome == "fuller_when_reversed" ? edit::Bass::fullerReversed
                                                  : edit::Bass::fullerAsItIs;
}

bool isKnown(edit::Direction d) {
    return d == edit::Direction::out || d == edit::Direction::in;
}

edit::Direction turned(edit::Direction d, int polarity) {
    if (!isKnown(d) || polarity > 0) {
        return d;
    }
    return d == edit::Direction::out ? edit::Direction::in : edit::Direction::out;
}

std::string word(edit::Direction d) {
    return d == edit::Direction::out ? YF_WORDS("core", "outwards") : YF_WORDS("core", "inwards");
}

const DriverPolarity* find(const PolarityRound& round, const std::string& driver) {
    const auto found = std::ranges::find(round.drivers, driver, &DriverPolarity::driver);
    return found == round.drivers.end() ? nullptr : &*found;
}

/// Which way a cabinet's lowest driver goes at the terminals, by whatever was tried.
edit::Direction
lowest(const job::Job& job, const PolarityRound& round, const job::Cabinet& cabinet) {
    const auto own = std::ranges::find(round.cabinets, cabinet.id, &CabinetPolarity::cabinet);
    if (own != round.cabinets.end() && isKnown(own->atTerminals)) {
        return own->atTerminals;
    }
    const job::Mount* low = nullptr;
    for (const job::Mount& mount : cabinet.mounts) {
        if (low == nullptr ||
            job::findDriver(job, mount.driver)->band < job::findDriver(job, low->driver)->band) {
            low = &mount;
        }
    }
    const DriverPolarity* driver = low == nullptr ? nullptr : find(round, low->driver);
    if (driver == nullptr) {
        return edit::Direction::notTried;
    }
    return isKnown(driver->throughNetwork) ? driver->throughNetwork
                                           : turned(driver->onLugs, driver->drawn);
}

void compareWithNetwork(const job::Job& job, PolarityRound& round) {
    for (const DriverPolarity& d : round.drivers) {
        if (!isKnown(d.onLugs) || !isKnown(d.throughNetwork) ||
            turned(d.onLugs, d.drawn) == d.throughNetwork) {
            continue;
        }
        const std::string name = job::findDriver(job, d.driver)->name;
        round.faults.push_back(
            {d.cabinet,
             d.driver,
             d.drawn > 0 ? say(YF_WORDS("core",
                                        "%1 moves %2 on its lugs and %3 through the network, which "
                                        "is drawn without reversing it."),
                               name,
                               word(d.onLugs),
                               word(d.throughNetwork))
                         : say(YF_WORDS("core",
                                        "%1 moves %2 on its lugs and %3 through the network, which "
                                        "is drawn with it reversed."),
                               name,
                               word(d.onLugs),
                               word(d.throughNetwork)),
             say(YF_WORDS("core", "Swap the two leads at %1, or draw the network as it is wired."),
                 name)});
    }
}

/// What takes and battery say of a pair of twins together.
void compareTwinTakes(const job::Job& job,
                      const DriverPolarity& d,
                      const DriverPolarity& other,
                      PolarityRound& round) {
    if (!d.byTakes || !d.byTakes->found || d.driver > other.driver) {
        return; // each pair once
    }
    const bool alike = d.byTakes->found->sign > 0;
    const bool tried = isKnown(d.onLugs) && isKnown(other.onLugs);
    if (tried ? alike == (d.onLugs == other.onLugs) : alike) {
        return; // they agree: what the battery found is told by itself
    }
    const std::string name = job::findDriver(job, d.driver)->name;
    const std::string here = job::findCabinet(job, d.cabinet)->name;
    const std::string there = job::findCabinet(job, other.cabinet)->name;
    if (tried) {
        round.faults.push_back({d.cabinet,
                                d.driver,
                                alike
                                    ? say(YF_WORDS("core",
                                                   "Of %1 in %2 and in %3 the takes say that they "
                                                   "are alike, the battery that they are not."),
                                          name,
                                          here,
                                          there)
                                    : say(YF_WORDS("core",
                                                   "Of %1 in %2 and in %3 the battery says that "
                                                   "they are alike, the takes that they are not."),
                                          name,
                                          here,
                                          there),
                                YF_WORDS("core",
                                         "A reading was mistaken, or leads were swapped between "
                                         "the two: repeat the battery on both.")});
        return;
    }
    round.faults.push_back(
        {d.cabinet,
         d.driver,
         say(YF_WORDS("core", "%1 in %2 and in %3 are opposite ways round, by their takes."),
             name,
             here,
             there),
         YF_WORDS("core",
                  "Put the battery on the lugs of both: swap the leads of the one that moves "
                  "inwards.")});
}

void compareTwins(const job::Job& job, PolarityRound& round) {
    for (const DriverPolarity& d : round.drivers) {
        const job::Driver* twin = job::twinOf(job, d.cabinet, d.driver);
        const DriverPolarity* other = twin == nullptr ? nullptr : find(round, twin->id);
        if (other == nullptr) {
            continue;
        }
        compareTwinTakes(job, d, *other, round);
        // Each pair once: from the side that moves inwards.
        const bool lugs = d.onLugs == edit::Direction::in && other->onLugs == edit::Direction::out;
        const bool through =
            !lugs && d.throughNetwork == edit::Direction::in &&
            other->throughNetwork == edit::Direction::out &&
            !(d.onLugs == edit::Direction::out && other->onLugs == edit::Direction::in);
        if (!lugs && !through) {
            continue;
        }
        const std::string name = job::findDriver(job, d.driver)->name;
        const std::string here = job::findCabinet(job, d.cabinet)->name;
        const std::string there = job::findCabinet(job, other->cabinet)->name;
        round.faults.push_back(
            {d.cabinet,
             d.driver,
             lugs ? say(YF_WORDS("core",
                                 "%1 moves inwards in %2 and outwards in %3, on their own lugs."),
                        name,
                        here,
                        there)
                  : say(YF_WORDS(
                            "core",
                            "%1 moves inwards in %2 and outwards in %3, through their networks."),
                        name,
                        here,
                        there),
             lugs ? say(YF_WORDS("core",
                                 "Swap the two leads at %1 in %2; its terminals are marked the "
                                 "other way, or its coil is wound so."),
                        name,
                        here)
                  : say(YF_WORDS("core", "Swap the two leads at %1 in %2."), name, here)});
    }
}

/// What takes say of a pair, beside the battery and the bass.
void comparePairTakes(const job::Cabinet& left,
                      const job::Cabinet& right,
                      const PairPolarity& pair,
                      std::optional<bool> byBattery,
                      PolarityRound& round) {
    if (!pair.byTakes.found) {
        return;
    }
    const speaker::RelativePolarity& takes = *pair.byTakes.found;

    const bool alike = takes.sign > 0;
    if (byBattery && *byBattery != alike) {
        round.faults.push_back({left.id,
                                "",
                                alike ? say(YF_WORDS("core",
                                                     "Of %1 and %2 the takes say that they are "
                                                     "alike, the battery that they are not."),
                                            left.name,
                                            right.name)
                                      : say(YF_WORDS("core",
                                                     "Of %1 and %2 the battery says that they are "
                                                     "alike, the takes that they are not."),
                                            left.name,
                                            right.name),
                                YF_WORDS("core",
                                         "A reading was mistaken, or a cable was turned over "
                                         "between the two: repeat both.")});
    } else if (!alike && !byBattery) {
        round.faults.push_back(
            {left.id,
             "",
             say(YF_WORDS("core", "%1 and %2 are opposite ways round as a whole, by their takes."),
                 left.name,
                 right.name),
             YF_WORDS("core",
                      "Put the battery on the terminals of both: swap the leads of the one whose "
                      "woofer moves inwards. If both move outwards, the cable is turned over.")});
    }
    if (takes.runs.size() > 1) {
        const std::string from = text::printEngineering(takes.runs[1].from, "Hz", 2);
        round.faults.push_back(
            {left.id,
             "",
             alike ? say(YF_WORDS("core",
                                  "%1 and %2 are alike below %3 and opposite ways round above it, "
                                  "by their takes."),
                         left.name,
                         right.name,
                         from)
                   : say(YF_WORDS(
                             "core",
                             "%1 and %2 are opposite below %3 and alike above it, by their takes."),
                         left.name,
                         right.name,
                         from),
             YF_WORDS("core",
                      "One driver of one of them is the wrong way round, or their networks differ: "
                      "Align says which, where it has the sum.")});
    }
}

/// Cabinets of one side that play into each other, and the signs all the way round.
void compareStacks(const job::Job& job, PolarityRound& round) {
    for (const StackByTakes& stack : round.stacks) {
        if (!stack.flipGain || *stack.flipGain < speaker::flipThreshold) {
            continue;
        }
        const std::string lower = job::findCabinet(job, stack.lower)->name;
        const std::string upper = job::findCabinet(job, stack.upper)->name;
        round.faults.push_back(
            {stack.upper,
             "",
             say(YF_WORDS("core",
                          "%1 and %2 work against each other about %3: one of them reversed adds "
                          "%4 dB there."),
                 lower,
                 upper,
                 text::printEngineering(*stack.fx, "Hz", 2),
                 text::printFixed(*stack.flipGain, 1)),
             say(YF_WORDS("core",
                          "Swap the two leads of %1, and of its twin if that side says the same."),
                 upper)});
    }
    for (std::size_t i = 0; i + 1 < round.stacks.size(); i += 2) {
        int sign = 1;
        bool all = true;
        for (const StackByTakes* side : {&round.stacks[i], &round.stacks[i + 1]}) {
            const double gain = side->flipGain.value_or(0.0);
            all = all && std::abs(gain) >= speaker::flipThreshold;
            sign *= gain > 0.0 ? -1 : 1;
        }
        for (const PairPolarity& pair : round.pairs) {
            const StackByTakes& left = round.stacks[i];
            if (pair.left == left.lower || pair.left == left.upper) {
                all = all && pair.byTakes.found.has_value();
                sign *= pair.byTakes.found ? pair.byTakes.found->sign : 1;
            }
        }
        if (all && sign < 0) {
            round.faults.push_back(
                {"",
                 "",
                 YF_WORDS("core",
                          "The takes of the four corners contradict each other: an odd number of "
                          "them is reversed on the way round."),
                 YF_WORDS("core",
                          "A take is of another cabinet than it says, or leads were swapped "
                          "between takes: repeat the four without touching a cable.")});
        }
    }
}

void comparePairs(const job::Job& job, PolarityRound& round) {
    for (const PairPolarity& pair : round.pairs) {
        const job::Cabinet& left = *job::findCabinet(job, pair.left);
        const job::Cabinet& right = *job::findCabinet(job, pair.right);
        const edit::Direction l = lowest(job, round, left);
        const edit::Direction r = lowest(job, round, right);
        const bool known = isKnown(l) && isKnown(r);
        comparePairTakes(left, right, pair, known ? std::optional(l == r) : std::nullopt, round);
        if (pair.bass == edit::Bass::fullerReversed) {
            const bool agree = known && l == r;
            const job::Cabinet& odd = l == edit::Direction::in ? left : right;
            round.faults.push_back(
                {odd.id,
                 "",
                 say(YF_WORDS("core", "The pair %1 and %2 has fuller bass with one side reversed."),
                     left.name,
                     right.name),
                 !known  ? say(YF_WORDS("core",
                                       "Swap the two leads at the terminals of %1, then try the "
                                        "battery there."),
                              odd.name)
                 : agree ? std::string(YF_WORDS("core",
                                                "Both cabinets move the same way: swap the cable's "
                                                "two leads at one side of the amplifier."))
                         : say(YF_WORDS(
                                   "core",
                                   "Swap the two leads inside %1, at its terminals or its woofer."),
                               odd.name)});
        } else if (known && l != r) {
            const job::Cabinet& odd = l == edit::Direction::in ? left : right;
            round.faults.push_back(
                {odd.id,
                 "",
                 say(YF_WORDS("core", "The battery moves %1 %2 and %3 %4."),
                     left.name,
                     word(l),
                     right.name,
                     word(r)),
                 pair.bass == edit::Bass::fullerAsItIs
                     ? std::string(
                           YF_WORDS("core",
                                    "The bass says that they are alike: one of the two was read "
                                    "wrongly, or the cable turns one side over. Repeat both."))
                     : say(YF_WORDS("core", "Swap the two leads at the terminals of %1."),
                           odd.name)});
        }
    }
    if (round.sides == edit::Bass::fullerReversed) {
        round.faults.push_back(
            {"",
             "",
             YF_WORDS("core", "The two sides have fuller bass with one of them reversed."),
             YF_WORDS("core",
                      "Where the pairs of each side agree, swap the cable of one whole side at the "
                      "amplifier.")});
    }
}

/// Twins, pairs, and the two stacks of each two pairs: left, then right.
void putTakes(const job::Job& job, PolarityRound& round) {
    for (DriverPolarity& d : round.drivers) {
        if (const job::Driver* twin = job::twinOf(job, d.cabinet, d.driver)) {
            d.byTakes = alikeByTakes(job, *job::findDriver(job, d.driver), *twin);
        }
    }
    for (PairPolarity& pair : round.pairs) {
        pair.byTakes = alikeByTakes(
            job, *job::findCabinet(job, pair.left), *job::findCabinet(job, pair.right));
    }
    for (std::size_t p = 0; p < round.pairs.size(); ++p) {
        for (std::size_t q = p + 1; q < round.pairs.size(); ++q) {
            const PairPolarity& a = round.pairs[p];
            const PairPolarity& b = round.pairs[q];
            round.stacks.push_back(
                stackByTakes(job, *job::findCabinet(job, a.left), *job::findCabinet(job, b.left)));
            round.stacks.push_back(stackByTakes(
                job, *job::findCabinet(job, a.right), *job::findCabinet(job, b.right)));
        }
    }
}

} // namespace

PolarityRound polarityRound(const job::Job& job) {
    PolarityRound round;
    round.complete = true;
    for (const job::Cabinet& cabinet : job.cabinets) {
        const auto ends = network::driverEnds(cabinet.circuit);
        for (const job::Mount& mount : cabinet.mounts) {
            const job::Driver& driver = *job::findDriver(job, mount.driver);
            const std::string& way = driver.alike.empty() ? driver.id : driver.alike;
            const auto end = std::ranges::find(ends, way, &network::DriverEnd::driver);
            round.drivers.push_back({cabinet.id,
                                     driver.id,
                                     end == ends.end() ? 1 : end->polarity,
                                     battery(job, cabinet.id, driver.id, bench::Place::driver),
                                     battery(job, cabinet.id, driver.id, bench::Place::cabinet)});
            round.complete =
                round.complete && round.drivers.back().onLugs != edit::Direction::notTried;
        }
        round.cabinets.push_back({cabinet.id, battery(job, cabinet.id, "", bench::Place::cabinet)});
    }
    for (std::size_t i = 0; i < job.cabinets.size(); ++i) {
        for (std::size_t k = i + 1; k < job.cabinets.size(); ++k) {
            if (job.cabinets[i].twin == job.cabinets[k].id) {
                round.pairs.push_back(
                    {job.cabinets[i].id, job.cabinets[k].id, bassOf(job, job.cabinets[i].id)});
            }
        }
    }
    round.sides = bassOf(job, "");
    putTakes(job, round);
    compareStacks(job, round);
    compareWithNetwork(job, round);
    compareTwins(job, round);
    comparePairs(job, round);
    return round;
}

} // namespace yf::evaluation
