// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/words.h"

#include "core/base/words.h"

#include <algorithm>
#include <span>

namespace yf::bench {

namespace {

struct Entry {
    std::string_view key;
    std::string_view words;
};

constexpr Entry faults[] = {
    {"healthy", YF_WORDS("bench", "nothing wrong with the speaker")},
    {"open_coil", YF_WORDS("bench", "open voice coil")},
    {"broken_lead_in", YF_WORDS("bench", "broken lead-in wire")},
    {"shorted_turns", YF_WORDS("bench", "shorted turns")},
    {"rubbing_coil", YF_WORDS("bench", "rubbing voice coil")},
    {"torn_surround", YF_WORDS("bench", "torn surround")},
    {"loose_former", YF_WORDS("bench", "loose coil former or joint")},
    {"protector_open", YF_WORDS("bench", "protector open")},
    {"capacitor_open", YF_WORDS("bench", "capacitor open")},
    {"capacitor_drifted", YF_WORDS("bench", "capacitor off its value")},
    {"resistor_burnt", YF_WORDS("bench", "resistor burnt")},
    {"dirty_contact", YF_WORDS("bench", "dirty contact or level control")},
    {"reversed_polarity", YF_WORDS("bench", "wired the wrong way round")},
    {"wiring_open", YF_WORDS("bench", "open wire or terminal")},
    {"amplifier_fault", YF_WORDS("bench", "amplifier, source or their cable")},
    {"cabinet_leak_buzz", YF_WORDS("bench", "cabinet leaks or buzzes")},
    {"wrong_driver", YF_WORDS("bench", "not the driver that belongs there")},
};

constexpr Entry consequences[] = {
    {"healthy", YF_WORDS("bench", "Look outside the speaker: source, room, or habits.")},
    {"open_coil",
     YF_WORDS(
         "bench",
         "The driver is silent and harmless; recone it or replace it, and find what killed it.")},
    {"broken_lead_in",
     YF_WORDS("bench",
              "The coil may be sound: a new lead-in mends it. Until then it cuts in and out.")},
    {"shorted_turns",
     YF_WORDS("bench", "It can overload and destroy an amplifier: do not connect it again.")},
    {"rubbing_coil",
     YF_WORDS("bench", "It gets worse with every hour and ends as an open coil or shorted turns.")},
    {"torn_surround",
     YF_WORDS("bench", "Bass is lost and the coil may leave its centre; a new surround mends it.")},
    {"loose_former", YF_WORDS("bench", "It buzzes and ends in a rub: glue the joint or recone.")},
    {"protector_open",
     YF_WORDS("bench",
              "The driver behind may be sound. Find the cause, then fit the rated part: never a "
              "bridge.")},
    {"capacitor_open",
     YF_WORDS("bench", "The driver behind it gets nothing; a new capacitor mends it.")},
    {"capacitor_drifted",
     YF_WORDS("bench",
              "The crossover has moved; measure the other side too before changing one alone.")},
    {"resistor_burnt",
     YF_WORDS("bench",
              "It burnt for a reason: check the driver behind it before fitting a new one.")},
    {"dirty_contact",
     YF_WORDS("bench", "Clean it, or replace the control by fixed resistors at its setting.")},
    {"reversed_polarity", YF_WORDS("bench", "Swap the two leads: the hole in the sum fills.")},
    {"wiring_open", YF_WORDS("bench", "Solder or crimp it anew; the drivers may be sound.")},
    {"amplifier_fault",
     YF_WORDS("bench", "Leave the speaker alone; mains-powered parts go to qualified service.")},
    {"cabinet_leak_buzz", YF_WORDS("bench", "Seal or brace the place; the drivers may be sound.")},
    {"wrong_driver",
     YF_WORDS("bench", "The two sides will not match; find one that fits, or replace the pair.")},
};

constexpr Entry checks[] = {
    {"symptom", YF_WORDS("bench", "What the owner hears")},
    {"look_smell", YF_WORDS("bench", "Look and smell")},
    {"push", YF_WORDS("bench", "Even push")},
    {"rotate_pots", YF_WORDS("bench", "Level controls")},
    {"knock", YF_WORDS("bench", "Knock on the cabinet")},
    {"leak_check", YF_WORDS("bench", "Leak")},
    {"protector", YF_WORDS("bench", "Protectors")},
    {"cable_contacts", YF_WORDS("bench", "Cable and terminals")},
    {"swap_lr", YF_WORDS("bench", "Swap left and right")},
    {"pair_polarity", YF_WORDS("bench", "Polarity of the pair")},
    {"tone_sweep", YF_WORDS("bench", "Slow sine by ear")},
    {"near_level", YF_WORDS("bench", "Level close to the cone")},
    {"dcr", YF_WORDS("bench", "DC resistance")},
    {"lcr", YF_WORDS("bench", "LCR reading")},
    {"battery_pop", YF_WORDS("bench", "Battery pop")},
    {"impedance_sweep", YF_WORDS("bench", "Impedance sweep")},
    {"capacitor_test", YF_WORDS("bench", "Capacitor")},
    {"resistor_test", YF_WORDS("bench", "Resistor")},
};

/// "check outcome" → what was seen.
constexpr Entry outcomes[] = {
    {"symptom silent", YF_WORDS("bench", "the owner says: silent")},
    {"symptom quiet_or_dull", YF_WORDS("bench", "the owner says: quiet or dull")},
    {"symptom distorted", YF_WORDS("bench", "the owner says: distorted")},
    {"symptom buzz", YF_WORDS("bench", "the owner says: it buzzes")},
    {"symptom thin_bass", YF_WORDS("bench", "the owner says: thin bass")},
    {"symptom intermittent", YF_WORDS("bench", "the owner says: comes and goes")},
    {"symptom no_complaint", YF_WORDS("bench", "the owner has no complaint")},
    {"look_smell burnt_smell", YF_WORDS("bench", "it smells burnt")},
    {"look_smell torn", YF_WORDS("bench", "surround or cone torn")},
    {"look_smell visible_break", YF_WORDS("bench", "a break can be seen")},
    {"look_smell nothing", YF_WORDS("bench", "nothing to be seen or smelt")},
    {"push scrape", YF_WORDS("bench", "an even push scrapes")},
    {"push click_or_flop", YF_WORDS("bench", "a push clicks or flops")},
    {"push stuck", YF_WORDS("bench", "the cone is stuck")},
    {"push smooth", YF_WORDS("bench", "an even push is smooth")},
    {"rotate_pots scratchy_or_dropout",
     YF_WORDS("bench", "a level control scratches or drops out")},
    {"rotate_pots smooth", YF_WORDS("bench", "level controls turn without noise")},
    {"knock buzz", YF_WORDS("bench", "a knock makes the cabinet buzz")},
    {"knock dead", YF_WORDS("bench", "a knock sounds dead")},
    {"leak_check leaky", YF_WORDS("bench", "the pushed cone snaps back: it leaks")},
    {"leak_check tight", YF_WORDS("bench", "the pushed cone creeps back: tight")},
    {"protector open", YF_WORDS("bench", "a protector is open")},
    {"protector continuous", YF_WORDS("bench", "protectors have continuity")},
    {"cable_contacts open_or_noisy", YF_WORDS("bench", "cable or terminal open or noisy")},
    {"cable_contacts good", YF_WORDS("bench", "cable and terminals are good")},
    {"swap_lr stays_with_channel",
     YF_WORDS("bench", "after the swap the fault stays with the amplifier's channel")},
    {"swap_lr goes_away", YF_WORDS("bench", "after the swap the fault is gone")},
    {"swap_lr follows_speaker", YF_WORDS("bench", "after the swap the fault follows the speaker")},
    {"pair_polarity fuller_when_reversed",
     YF_WORDS("bench", "the pair has fuller bass with one side reversed")},
    {"pair_polarity fuller_as_is", YF_WORDS("bench", "the pair has fuller bass as it is wired")},
    {"tone_sweep scrape", YF_WORDS("bench", "a slow sine scrapes")},
    {"tone_sweep rattle", YF_WORDS("bench", "a slow sine rattles")},
    {"tone_sweep silent", YF_WORDS("bench", "a slow sine is not heard")},
    {"tone_sweep clean", YF_WORDS("bench", "a slow sine is clean")},
    {"near_level none", YF_WORDS("bench", "no level close to the cone")},
    {"near_level lower", YF_WORDS("bench", "level close to the cone below its twin's")},
    {"near_level shape_differs", YF_WORDS("bench", "response close to the cone unlike its twin's")},
    {"near_level same", YF_WORDS("bench", "level close to the cone like its twin's")},
    {"dcr open", YF_WORDS("bench", "DC resistance open")},
    {"dcr low", YF_WORDS("bench", "DC resistance low")},
    {"dcr high", YF_WORDS("bench", "DC resistance high")},
    {"dcr drifting", YF_WORDS("bench", "DC resistance does not settle")},
    {"dcr normal", YF_WORDS("bench", "DC resistance normal")},
    {"lcr open", YF_WORDS("bench", "LCR reading open")},
    {"lcr low_r_low_l", YF_WORDS("bench", "resistance and inductance both low")},
    {"lcr other_mismatch", YF_WORDS("bench", "LCR reading off in another way")},
    {"lcr match", YF_WORDS("bench", "LCR reading as expected")},
    {"battery_pop silent", YF_WORDS("bench", "no sound from the battery")},
    {"battery_pop crackle", YF_WORDS("bench", "the battery makes it crackle")},
    {"battery_pop moves_in", YF_WORDS("bench", "the battery moves it inwards")},
    {"battery_pop moves_out", YF_WORDS("bench", "the battery moves it outwards")},
    {"impedance_sweep open", YF_WORDS("bench", "impedance sweep open")},
    {"impedance_sweep peak_collapsed", YF_WORDS("bench", "the resonance peak has collapsed")},
    {"impedance_sweep level_dependent", YF_WORDS("bench", "the resonance peak grows with level")},
    {"impedance_sweep peak_shifted", YF_WORDS("bench", "the resonance has moved")},
    {"impedance_sweep as_expected", YF_WORDS("bench", "impedance sweep as expected")},
    {"capacitor_test open", YF_WORDS("bench", "a capacitor is open")},
    {"capacitor_test off_value", YF_WORDS("bench", "a capacitor is off its value")},
    {"capacitor_test in_tolerance", YF_WORDS("bench", "capacitors are within tolerance")},
    {"resistor_test open_or_off", YF_WORDS("bench", "a resistor is open or off its value")},
    {"resistor_test in_tolerance", YF_WORDS("bench", "resistors are within tolerance")},
};

constexpr Entry cautions[] = {
    {"disconnect", YF_WORDS("bench", "Amplifier off and disconnected before wires are touched.")},
    {"discharge",
     YF_WORDS("bench",
              "A capacitor may hold a charge: discharge it through 100 Ω, do not short it.")},
    {"one_wire_off", YF_WORDS("bench", "One wire off the driver, or the network is read with it.")},
    {"dabs", YF_WORDS("bench", "Dabs of less than half a second, 1.5 V.")},
    {"tweeter_once", YF_WORDS("bench", "A tweeter: one dab of 1.5 V, and listen. Never 9 V.")},
    {"push_evenly",
     YF_WORDS("bench", "Fingers spread evenly; never on a dome tweeter. Strong magnets pinch.")},
    {"push_gently", YF_WORDS("bench", "Push gently, never on a dome.")},
    {"jumper_for_test",
     YF_WORDS("bench",
              "A bridge is for this test only, current-limited; the rated part goes back.")},
    {"coil_known_good",
     YF_WORDS("bench",
              "Only when the coil is known to be good: shorted turns destroy amplifiers.")},
    {"low_level", YF_WORDS("bench", "Start low.")},
    {"ears", YF_WORDS("bench", "Start low and ramp; ear protection above 85 dB.")},
    {"high_pass", YF_WORDS("bench", "A tweeter is swept from twice its resonance upwards.")},
    {"fumes",
     YF_WORDS("bench", "Solder fumes, and lead in old solder: fresh air, and wash your hands.")},
    {"hot_part", YF_WORDS("bench", "The part may be hot.")},
};

constexpr Entry purposes[] = {
    {"symptom", YF_WORDS("bench", "The complaint alone halves the list.")},
    {"look_smell", YF_WORDS("bench", "Finds tears, breaks and burnt coils without a tool.")},
    {"push", YF_WORDS("bench", "Finds a coil that rubs, and a cone that is loose or stuck.")},
    {"rotate_pots", YF_WORDS("bench", "Finds dirty or corroded level controls.")},
    {"knock", YF_WORDS("bench", "Finds loose panels.")},
    {"leak_check", YF_WORDS("bench", "Finds leaks of a closed box.")},
    {"protector", YF_WORDS("bench", "A blown protector looks like a dead driver.")},
    {"cable_contacts", YF_WORDS("bench", "Finds what is open or oxidised outside the driver.")},
    {"swap_lr", YF_WORDS("bench", "Tells the speaker from the amplifier, source and cable.")},
    {"pair_polarity", YF_WORDS("bench", "Finds one side wired against the other.")},
    {"tone_sweep", YF_WORDS("bench", "Finds rubs and rattles at the frequency where they sound.")},
    {"near_level", YF_WORDS("bench", "Compares two drivers without the room.")},
    {"dcr", YF_WORDS("bench", "Finds an open coil, and many shorted ones.")},
    {"lcr", YF_WORDS("bench", "Finds shorted turns that hide in the tolerance of DC resistance.")},
    {"battery_pop", YF_WORDS("bench", "Tells alive from dead, and the polarity.")},
    {"impedance_sweep",
     YF_WORDS("bench", "The strongest single check of a coil and its suspension.")},
    {"capacitor_test", YF_WORDS("bench", "Finds capacitors that drifted or opened.")},
    {"resistor_test", YF_WORDS("bench", "Finds burnt resistors.")},
};

constexpr Entry steps[] = {
    {"symptom", YF_WORDS("bench", "Ask the owner, and listen if it is safe to.")},
    {"look_smell",
     YF_WORDS("bench",
              "Light along the cone: surround, spider, dust cap, glue joints.\nLead-ins where they "
              "leave the cone and at the lugs.\nSmell at the vent or the dust cap.")},
    {"push",
     YF_WORDS("bench",
              "Speaker disconnected, quiet room.\nThree or four finger tips spread evenly around "
              "the dust cap; push slowly, let it return.\nAgain, turned by a quarter. It counts "
              "if it comes twice with an even push.")},
    {"rotate_pots", YF_WORDS("bench", "Turn each control end to end with quiet music.")},
    {"knock", YF_WORDS("bench", "Knock on every panel, the grille and the terminal plate.")},
    {"leak_check",
     YF_WORDS("bench",
              "Push the woofer of a closed box in, hold three seconds, let go.\nIt creeps "
              "back: tight. It snaps back: leak.")},
    {"protector",
     YF_WORDS("bench",
              "Meter on ohms across each breaker, fuse and lamp.\nFuse and breaker read "
              "about 0, a lamp a few ohms.")},
    {"cable_contacts",
     YF_WORDS("bench",
              "Beeper across each wire, and wiggle it.\nLook for corroded push terminals "
              "and loose plugs.")},
    {"swap_lr",
     YF_WORDS("bench",
              "Amplifier off. Swap the two speakers at the amplifier, change nothing "
              "else.\nPlay quietly: where is the fault now?")},
    {"pair_polarity",
     YF_WORDS("bench",
              "Both sides play the same mono bass, face to face.\nReverse one side's "
              "leads: fuller or thinner?")},
    {"tone_sweep",
     YF_WORDS("bench",
              "20 Hz upwards at 1 W or less, ramped.\nA hand on panels, grille and cable: "
              "if a touch stops it, it is the cabinet.")},
    {"near_level",
     YF_WORDS("bench",
              "Microphone 5 mm before the cone, the same drive for both.\nCompare with "
              "the twin: the same within 1 dB?")},
    {"dcr",
     YF_WORDS("bench",
              "Lowest range. Tips together: that reading is the leads.\nOn the driver's "
              "own lugs, cone still; wait until it settles.\nRepeat it, moving the "
              "lead-ins a little.")},
    {"lcr",
     YF_WORDS("bench",
              "Free air, the same position for both of a pair.\nThe meter's frequency "
              "where the driver works; note whether it shows series values.")},
    {"battery_pop",
     YF_WORDS("bench", "Plus to plus, a short dab.\nWatch the cone, listen for a clean pop.")},
    {"impedance_sweep",
     YF_WORDS("bench",
              "Sweep at a small level, then twenty decibels higher.\nCompare peak and "
              "place with the twin or the data.")},
    {"capacitor_test",
     YF_WORDS("bench",
              "One leg lifted.\nValue and series resistance at 1 kHz, against the print.")},
    {"resistor_test",
     YF_WORDS("bench", "One leg free if it is discoloured.\nOhms against the print.")},
};

constexpr Entry pitfalls[] = {
    {"look_smell",
     YF_WORDS("bench",
              "A new foam surround looks sound and may be glued off its centre; a smell stays for "
              "years after a repair.")},
    {"push", YF_WORDS("bench", "Pressing on one side tilts the coil and makes a good cone rub.")},
    {"dcr",
     YF_WORDS("bench",
              "Through a network a series capacitor reads open. Good ohms do not exclude shorted "
              "turns.")},
    {"lcr",
     YF_WORDS("bench",
              "Series and parallel display give different numbers for the same coil; near "
              "resonance the reading is mostly the cone.")},
    {"battery_pop",
     YF_WORDS(
         "bench",
         "Some makers mark the terminals the other way; a midrange may be reversed on purpose.")},
    {"protector", YF_WORDS("bench", "A blown protector has a cause: measure the driver next.")},
    {"swap_lr", YF_WORDS("bench", "Change one thing at a time.")},
    {"leak_check", YF_WORDS("bench", "A porous dust cap or surround leaks as well.")},
    {"capacitor_test",
     YF_WORDS("bench", "In circuit, the driver in parallel falsifies the reading.")},
    {"impedance_sweep",
     YF_WORDS("bench", "A driver flat on the bench has its vent shut, and reads wrong.")},
};

std::string asItStands(std::string_view key) {
    std::string words(key);
    std::ranges::replace(words, '_', ' ');
    return words;
}

const Entry* find(std::span<const Entry> table, std::string_view key) {
    const auto found = std::ranges::find(table, key, &Entry::key);
    return found == table.end() ? nullptr : &*found;
}

std::string inWords(std::span<const Entry> table, std::string_view key) {
    const Entry* entry = find(table, key);
    return entry == nullptr ? asItStands(key) : std::string(entry->words);
}

std::string orNothing(std::span<const Entry> table, std::string_view key) {
    const Entry* entry = find(table, key);
    return entry == nullptr ? std::string() : std::string(entry->words);
}

} // namespace

std::string faultInWords(std::string_view fault) {
    return inWords(faults, fault);
}

std::string checkInWords(std::string_view check) {
    return inWords(checks, check);
}

std::string outcomeInWords(std::string_view check, std::string_view outcome) {
    const std::string key = std::string(check) + " " + std::string(outcome);
    const Entry* entry = find(outcomes, key);
    return entry == nullptr ? asItStands(key) : std::string(entry->words);
}

std::string cautionInWords(std::string_view caution) {
    return inWords(cautions, caution);
}

std::string purposeInWords(std::string_view check) {
    return orNothing(purposes, check);
}

std::string stepsInWords(std::string_view check) {
    return orNothing(steps, check);
}

std::string pitfallInWords(std::string_view check) {
    return orNothing(pitfalls, check);
}

std::string consequenceInWords(std::string_view fault) {
    return orNothing(consequences, fault);
}

} // namespace yf::bench
