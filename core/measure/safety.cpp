// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/safety.h"

#include "core/quantity/level.h"

namespace yf::measure {

PlayAdvice beforePlay(const PlayWish& wish) {
    constexpr double mostAtOnce = 12.0; // dB
    constexpr double loud = -12.0;      // dB
    constexpr double shareOfRating = 0.1;
    PlayAdvice advice{.beyondHighest = wish.level > wish.highest,
                      .softFirst = !wish.before && wish.level > firstPlayLevel,
                      .raise = wish.before && wish.level > *wish.before + mostAtOnce,
                      .countdown = wish.near || wish.level > loud};
    const double Re = wish.Re.value_or(usualRe);
    if (wish.fullScaleVoltage && wish.role && Re > 0.0) {
        const double peak = *wish.fullScaleVoltage * quantity::gain(wish.level);
        advice.power = 0.5 * peak * peak / Re;
        advice.muchPower = *advice.power > shareOfRating * usualRating(*wish.role);
    }
    return advice;
}

} // namespace yf::measure
