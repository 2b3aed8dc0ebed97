// SPDX-License-Identifier: GPL-3.0-or-later
// Readings at the bench, and what they say about a driver.
#include "core/base/words.h"
#include "core/findings/known_facts.h"
#include "core/findings/rules/tables.h"

namespace yf::findings::table {

using namespace fact;

namespace {

const Rule rules[] = {
    {"bench.open",
     fault,
     YF_WORDS("core", "The coil is open"),
     bench::Re_ohm > 1000,
     YF_WORDS("core",
              "No direct current flows: the coil, a lead-in wire or a joint is interrupted."),
     YF_WORDS("core", "Follow the wire with the probe from lug to coil before giving the coil up."),
     M,
     ohms,
     Leads::check},
    {"bench.short",
     stop,
     YF_WORDS("core", "The coil is shorted"),
     bench::Re_ohm < 0.4 * bench::nominal_ohm,
     YF_WORDS("core",
              "A coil of this rating is never that low; an amplifier may be destroyed by it."),
     YF_WORDS("core", "Leave it disconnected; take the lead resistance off and read once more."),
     R,
     ohms,
     Leads::check},
    {"bench.re_nominal",
     caution,
     YF_WORDS("core", "DC resistance does not fit the label"),
     abs(bench::Re_ohm / bench::nominal_ohm - 0.78) > 0.17,
     YF_WORDS("core", "DC resistance usually lies between 0.61 and 0.95 of the nominal impedance."),
     YF_WORDS("core", "Make sure that this driver is the one its label names."),
     R,
     none,
     Leads::check},
    {"bench.re_drift",
     caution,
     YF_WORDS("core", "DC resistance has changed"),
     abs(bench::Re_ohm / bench::Re_expected_ohm - 1) > 0.08,
     YF_WORDS("core",
              "Warm copper alone would have to be 20 K warmer or colder to explain it "
              "(0.39 % per kelvin)."),
     YF_WORDS("core", "Think of a rewound coil, a foreign part or shorted turns."),
     M,
     shareLessOne,
     Leads::check},
    {"bench.shorted_turns",
     fault,
     YF_WORDS("core", "Turns of the coil are shorted"),
     bench::Qms / bench::Qms_expected < 0.5 && bench::Le_h / bench::Le_expected_h < 0.8,
     YF_WORDS("core",
              "A closed turn brakes the cone and screens the coil: Qms and Le drop together, "
              "the DC resistance hardly."),
     YF_WORDS("core", "Set it beside its twin; recone or replace it."),
     P,
     none,
     Leads::check},
    {"bench.shorted_likely",
     stop,
     YF_WORDS("core", "Turns are shorted, the checks say"),
     bench::p_shorted_turns >= 0.9,
     YF_WORDS("core",
              "Together the checks leave hardly anything else; the evidence table is judgement, "
              "not statistics."),
     YF_WORDS("core",
              "Connect no amplifier; set it beside its twin once more, then recone or replace it."),
     R,
     none,
     Leads::check},
    {"bench.rub",
     caution,
     YF_WORDS("core", "Something rubs or rattles"),
     bench::high_harmonics_db > -50,
     YF_WORDS("core",
              "Harmonics 10 to 20 of a tone at resonance are made by rubbing, by something loose "
              "or by a leak; the ear hears them."),
     YF_WORDS("core", "Turn the driver by 180°, centre it anew, look for grit and loose lead-ins."),
     R,
     decibels,
     Leads::check},
    {"bench.suspension",
     caution,
     YF_WORDS("core", "The suspension has changed"),
     abs(log2(bench::fs_hz / bench::fs_expected_hz)) > 0.3,
     YF_WORDS("core",
              "Resonance 23 % too high or 19 % too low: the suspension has hardened, gone soft or "
              "is not the right one."),
     YF_WORDS("core", "Let it work for ten minutes near resonance, rest, then measure once more."),
     R,
     octaves,
     Leads::check},
    {"bench.no_peak",
     fault,
     YF_WORDS("core", "No resonance to be seen"),
     bench::Zpeak_ohm / bench::Re_ohm < 1.3,
     YF_WORDS("core",
              "The impedance shows no resonance: the cone is stuck or off centre, or the magnet "
              "has gone (planar and ribbon drivers excepted)."),
     YF_WORDS("core", "Press the cone in evenly; listen and feel."),
     R,
     none,
     Leads::check},
    {"bench.battery_stroke",
     caution,
     YF_WORDS("core", "The battery moves the cone too far"),
     bench::battery_v* bench::Bl_t_m* bench::Cms_m_per_n / bench::Re_ohm > 0.5 * bench::Xmax_m,
     YF_WORDS("core", "This battery would push the cone beyond half of its Xmax (Bl·V·Cms/Re)."),
     YF_WORDS("core", "Take a 1.5 V cell, or put a resistor in series."),
     M,
     none,
     Leads::check},
    {"bench.battery_power",
     stop,
     YF_WORDS("core", "The battery may burn the coil"),
     pow(bench::battery_v, 2) / bench::Re_ohm > 0.5 * bench::rated_w,
     YF_WORDS("core", "A coil at rest under direct current is not cooled."),
     YF_WORDS("core", "Take a 1.5 V cell for less than a second; for a tweeter through 47 Ω."),
     R,
     none,
     Leads::check},
};

} // namespace

std::span<const Rule> benchRules() {
    return rules;
}

} // namespace yf::findings::table
