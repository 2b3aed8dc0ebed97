// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/remedies.h"

#include "core/base/words.h"

#include <utility>

namespace yf::bench {

std::vector<Remedy> remediesFor(std::string_view fault) {
    using enum Remedy;
    static const std::vector<std::pair<std::string_view, std::vector<Remedy>>> table{
        {"healthy", {leave}},
        {"open_coil", {recone, replaceOne, replaceSet}},
        {"broken_lead_in", {repair, recone, replaceOne, replaceSet}},
        {"shorted_turns", {recone, replaceOne, replaceSet}},
        {"rubbing_coil", {repair, recone, replaceOne, replaceSet}},
        {"torn_surround", {leave, repair, recone, replaceOne, replaceSet}},
        {"loose_former", {leave, repair, recone, replaceOne, replaceSet}},
        {"protector_open", {repair}},
        {"capacitor_open", {repair}},
        {"capacitor_drifted", {leave, repair}},
        {"resistor_burnt", {repair}},
        {"dirty_contact", {clean, repair}},
        {"reversed_polarity", {repair}},
        {"wiring_open", {repair}},
        {"amplifier_fault", {leave}},
        {"cabinet_leak_buzz", {leave, repair}},
        {"wrong_driver", {leave, replaceOne, replaceSet}}};
    for (const auto& [key, remedies] : table) {
        if (key == fault) {
            return remedies;
        }
    }
    // A fault of somebody's own table.
    return {leave, clean, repair, recone, replaceOne, replaceSet};
}

std::string remedyInWords(Remedy remedy) {
    switch (remedy) {
    case Remedy::undecided:
        return YF_WORDS("bench", "undecided");
    case Remedy::leave:
        return YF_WORDS("bench", "leave it");
    case Remedy::clean:
        return YF_WORDS("bench", "clean it");
    case Remedy::repair:
        return YF_WORDS("bench", "repair it");
    case Remedy::recone:
        return YF_WORDS("bench", "recone it");
    case Remedy::replaceOne:
        return YF_WORDS("bench", "replace this one");
    case Remedy::replaceSet:
        return YF_WORDS("bench", "replace the set");
    }
    return {};
}

std::string unmatchedInWords(Remedy remedy) {
    switch (remedy) {
    case Remedy::undecided:
        return YF_WORDS("bench", "Nothing is decided yet.");
    case Remedy::leave:
        return YF_WORDS("bench", "Stays as it is, fault and all; say so to the owner.");
    case Remedy::clean:
        return YF_WORDS("bench",
                        "Nothing is left unmatched; what was dirty once gets dirty again.");
    case Remedy::repair:
        return YF_WORDS("bench",
                        "Cone and coil stay; a new surround or part may shift resonance and level "
                        "a little: compare with the twin.");
    case Remedy::recone:
        return YF_WORDS("bench",
                        "Moving mass and resonance differ from the twin's: measure both, expect up "
                        "to a decibel.");
    case Remedy::replaceOne:
        return YF_WORDS("bench",
                        "Age, sensitivity and radiation differ from the twin's; the network was "
                        "made for the old one.");
    case Remedy::replaceSet:
        return YF_WORDS("bench",
                        "Nothing is left unmatched between the sides; most parts, and the network "
                        "is tuned anew.");
    }
    return {};
}

} // namespace yf::bench
