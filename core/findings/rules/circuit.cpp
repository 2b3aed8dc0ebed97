// SPDX-License-Identifier: GPL-3.0-or-later
// The network: its load, its parts' ratings and markings.
#include "core/base/words.h"
#include "core/findings/known_facts.h"
#include "core/findings/rules/tables.h"

namespace yf::findings::table {

using namespace fact;

namespace {

const Rule rules[] = {
    {"net.zmin",
     fault,
     YF_WORDS("core", "Impedance below what is printed"),
     net::Zmin_ohm < 0.8 * net::nominal_ohm,
     YF_WORDS("core",
              "The impedance may not fall below 80 % of what is printed on the speaker "
              "(IEC 60268-5, from memory)."),
     YF_WORDS("core", "Raise the minimum, or print a lower nominal impedance."),
     S,
     ohms,
     Leads::load},
    {"net.epdr",
     caution,
     YF_WORDS("core", "A hard load for the amplifier"),
     net::epdr_min_ohm < 2,
     YF_WORDS("core",
              "With its phase angle the load heats the output devices like a resistor of so few "
              "ohms."),
     YF_WORDS("core", "Find the reactive part that turns the phase there."),
     P,
     ohms,
     Leads::load},
    {"net.cap_value",
     fault,
     YF_WORDS("core", "A capacitor has drifted"),
     abs(net::C_f / net::C_nominal_f - 1) > 0.1,
     YF_WORDS("core",
              "The capacitor is more than 10 % away from what is printed on it: the crossover "
              "has moved."),
     YF_WORDS("core", "Renew it in both cabinets by equal measured values."),
     R,
     shareLessOne,
     Leads::load},
    {"net.cap_esr",
     caution,
     YF_WORDS("core", "A capacitor is drying out"),
     net::cap_esr_ohm > 0.5,
     YF_WORDS("core",
              "An electrolytic that dries out gains series resistance and dulls the treble."),
     YF_WORDS("core", "Renew it; to keep the sound, add its old loss as a resistor."),
     R,
     ohms,
     Leads::load},
    {"net.coil_loss",
     hint,
     YF_WORDS("core", "A coil takes its share"),
     net::coil_dcr_ohm / driver::Re_ohm > 0.1,
     YF_WORDS("core",
              "The coil's wire takes more than 0.83 dB and raises the box Q in proportion."),
     YF_WORDS("core",
              "Compute the box with Re and this resistance together; or take thicker wire."),
     M,
     none,
     Leads::load},
    {"net.saturation",
     fault,
     YF_WORDS("core", "A core saturates"),
     net::coil_peak_a > net::coil_saturation_a,
     YF_WORDS("core", "On peaks the core saturates and the coil is no more than its wire."),
     YF_WORDS("core", "Take an air coil or a larger core."),
     M,
     amperes,
     Leads::load},
    {"net.cap_voltage",
     caution,
     YF_WORDS("core", "Capacitor near its voltage rating"),
     net::cap_peak_v > 0.7 * net::cap_rated_v,
     YF_WORDS("core",
              "Near a resonance a capacitor sees more voltage than the speaker's terminals."),
     YF_WORDS("core", "Take a higher voltage rating."),
     R,
     volts,
     Leads::load},
    {"net.resistor",
     caution,
     YF_WORDS("core", "A resistor runs hot"),
     net::resistor_w > 0.5 * net::resistor_rated_w,
     YF_WORDS("core", "At half its rating a resistor shut up in a cabinet is hot already."),
     YF_WORDS("core", "Take twice the rating and mount it in free air."),
     R,
     watts,
     Leads::load},
    {"net.unloaded",
     stop,
     YF_WORDS("core", "A short circuit without this driver"),
     net::Zmin_unloaded_ohm < 2,
     YF_WORDS("core",
              "With that driver taken off, a coil and a capacitor in series short the amplifier "
              "at their resonance."),
     YF_WORDS("core", "Never play it with this driver unplugged."),
     M,
     ohms,
     Leads::load},
    {"net.spread",
     caution,
     YF_WORDS("core", "Parts spread too far for a pair"),
     net::spread_db > 1,
     YF_WORDS("core",
              "The tolerance of the parts alone can make the pair differ by more than 1 dB."),
     YF_WORDS("core", "Measure the parts and match them between the cabinets."),
     R,
     decibels,
     Leads::load},
};

} // namespace

std::span<const Rule> circuitRules() {
    return rules;
}

} // namespace yf::findings::table
