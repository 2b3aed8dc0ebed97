// SPDX-License-Identifier: GPL-3.0-or-later
// Recordings and what may be believed of them.
#include "core/base/words.h"
#include "core/findings/known_facts.h"
#include "core/findings/rules/tables.h"

namespace yf::findings::table {

using namespace fact;

namespace {

const Rule rules[] = {
    {"meas.snr",
     caution,
     YF_WORDS("core", "Noise too near the signal"),
     meas::snr_db < 20,
     YF_WORDS("core", "Noise 20 dB below the signal shifts a level by up to 0.92 dB already."),
     YF_WORDS("core", "Average more repeats, drive it harder, or go nearer."),
     M,
     decibels,
     Leads::measurement},
    {"meas.clipped",
     stop,
     YF_WORDS("core", "The recording is clipped"),
     meas::clipped_samples > 0,
     YF_WORDS("core",
              "The recording is cut off at full scale; no linear quantity can be had from it."),
     YF_WORDS("core", "Turn the input gain down and record again."),
     P,
     none,
     Leads::measurement},
    {"meas.gate_low",
     caution,
     YF_WORDS("core", "Shown lower than the gate allows"),
     meas::lowest_hz < 1 / meas::gate_s,
     YF_WORDS("core", "Below one over the gate's length the curve knows nothing of its own."),
     YF_WORDS("core", "End the curve there; a near-field take can go on below."),
     P,
     hertz,
     Leads::measurement},
    {"meas.gate_fx",
     caution,
     YF_WORDS("core", "The gate is short for this crossover"),
     align::fx_hz < 3 / meas::gate_s,
     YF_WORDS("core",
              "The crossover lies less than three resolution steps up, so the phase there is "
              "not reliable."),
     YF_WORDS("core", "Win a longer gate: more height, fewer walls, outdoors."),
     R,
     hertz,
     Leads::response},
    {"meas.distance",
     caution,
     YF_WORDS("core", "Measured from too near"),
     meas::distance_m < 3 * box::largest_m,
     YF_WORDS("core",
              "So near, drivers and edges do not yet add up as they will at the seat: three times "
              "the largest dimension is wanted."),
     YF_WORDS("core", "Measure from further away, or enter where the microphone really stood."),
     R,
     metres,
     Leads::measurement},
    {"meas.repeat",
     caution,
     YF_WORDS("core", "Repeats do not agree"),
     meas::repeat_db > 0.5,
     YF_WORDS("core",
              "Two runs with nothing touched in between differ, so later differences would "
              "prove nothing."),
     YF_WORDS("core", "Look for a slipping microphone, a coil warming up, noise."),
     R,
     decibels,
     Leads::measurement},
    {"meas.timing",
     caution,
     YF_WORDS("core", "No common time zero"),
     meas::timing_common == false && meas::phase_used == true,
     YF_WORDS("core",
              "The phase between drivers is only known if their takes share one clock and one "
              "time zero."),
     YF_WORDS("core",
              "Record with a loop-back reference, or find the delay from three takes: each alone "
              "and both together."),
     P,
     none,
     Leads::response},
    {"meas.triangle",
     fault,
     YF_WORDS("core", "The sum contradicts its parts"),
     meas::triangle_violation_db > 0.5,
     YF_WORDS("core",
              "No sum can be louder than its parts in step, nor quieter than their difference."),
     YF_WORDS("core", "A level or a place changed in between: take all three again."),
     M,
     decibels,
     Leads::response},
    {"meas.loop_polarity",
     caution,
     YF_WORDS("core", "Polarity of the chain unknown"),
     meas::loopback_polarity_known == false,
     YF_WORDS("core",
              "If the microphone or the amplifier inverts, every absolute polarity is wrong."),
     YF_WORDS("core", "Measure one driver whose direction a battery has shown."),
     P,
     none,
     Leads::response},
};

} // namespace

std::span<const Rule> recordingRules() {
    return rules;
}

} // namespace yf::findings::table
