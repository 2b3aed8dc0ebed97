// SPDX-License-Identifier: GPL-3.0-or-later
// A driver's parameters and curves.
#include "core/base/words.h"
#include "core/findings/known_facts.h"
#include "core/findings/rules/tables.h"

namespace yf::findings::table {

using namespace fact;

namespace {

const Rule rules[] = {
    {"driver.fit",
     caution,
     YF_WORDS("core", "The model does not fit"),
     driver::fit_rms_pct > 5,
     YF_WORDS("core",
              "The model runs beside the measured curve, so its parameters are not the driver's."),
     YF_WORDS("core", "Measure at lower drive; take the model with a lossy inductance."),
     R,
     percent,
     Leads::response},
    {"driver.added_mass",
     caution,
     YF_WORDS("core", "The test mass does not suit"),
     abs(driver::mass_shift_pct - 35) > 15,
     YF_WORDS("core",
              "A shift of fs below 20 % blows up the error of Vas; above 50 % the suspension is "
              "no longer linear."),
     YF_WORDS("core", "Take a test mass of about Mms."),
     P,
     percent,
     Leads::response},
    {"driver.eta0",
     caution,
     YF_WORDS("core", "Parameters contradict the level"),
     abs(driver::sensitivity_db - driver::sensitivity_from_parameters_db) > 2,
     YF_WORDS("core",
              "The level measured and the level that the parameters give do not belong together."),
     YF_WORDS("core", "Go over Sd, Vas, the microphone's level, and half or full space."),
     R,
     decibels,
     Leads::response},
    {"driver.breakup",
     caution,
     YF_WORDS("core", "Break-up is still to be heard"),
     driver::breakup_hz<2.5 * align::fx_hz && driver::breakup_after_filter_db> - 20,
     YF_WORDS("core",
              "The cone's break-up is less than 20 dB down behind the filter and can be heard."),
     YF_WORDS("core", "Cross over lower or steeper, or put a notch on it."),
     R,
     hertz,
     Leads::response},
    {"driver.tweeter_low",
     caution,
     YF_WORDS("core", "Crossed over near the tweeter's resonance"),
     align::fx_hz < 2 * driver::tweeter_fs_hz,
     YF_WORDS("core",
              "Within an octave of its resonance a tweeter adds phase, travel and distortion of "
              "its own."),
     YF_WORDS("core", "Cross over higher, or at fourth order with a trap for the resonance."),
     R,
     hertz,
     Leads::response},
    {"driver.schools",
     hint,
     YF_WORDS("core", "Closed or vented: the rules disagree"),
     driver::Qts > 0.5 && driver::fs_hz / driver::Qes > 100,
     YF_WORDS("core", "Qts speaks for a closed box, fs/Qes for a vented one."),
     YF_WORDS("core", "Compute both; compare cone travel and f3."),
     R,
     none,
     Leads::box},
};

} // namespace

std::span<const Rule> driverRules() {
    return rules;
}

} // namespace yf::findings::table
