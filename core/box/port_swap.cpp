// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/port_swap.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>

namespace yf::box {

double swappedLength(const Swap& s) {
    const double wanted =
        effectiveLength(s.old, s.oldLength) * s.made.totalArea() / s.old.totalArea();
    double length = overallLength(s.made, wanted);
    if (!s.Vb) {
        return length;
    }
    // The volume changes by what goes out and what comes in; a tube's length moves it little, so
    // a few rounds settle to a hundredth of a millimetre.
    const double out = s.old.count * displacement(s.old, s.oldLength, s.wall);
    constexpr int rounds = 20;
    for (int i = 0; i < rounds; ++i) {
        const double in = s.made.count * displacement(s.made, std::max(length, 0.0), s.wall);
        length = overallLength(s.made, wanted * *s.Vb / (*s.Vb + out - in));
    }
    return length;
}

double workshopLength(const Swap& s) {
    constexpr double bothEnds = 0.732;
    const double k = s.made.totalArea() / s.old.totalArea();
    return std::max((s.oldLength + bothEnds * s.old.diameter) * k - bothEnds * s.made.diameter,
                    0.0);
}

double simpleLength(const Swap& s) {
    return s.oldLength * s.made.totalArea() / s.old.totalArea();
}

Result<SwapAnswer> portSwap(const SwapRequest& r) {
    const Port old{.diameter = r.oldDiameter, .count = r.oldCount};
    const Port made{.diameter = r.newDiameter,
                    .count = r.newCount,
                    .flareInner = r.newFlareInner,
                    .flareOuter = r.newFlareOuter};
    const Swap swap{.old = old, .oldLength = r.oldLength, .made = made, .Vb = r.Vb, .wall = r.wall};
    SwapAnswer a{.length = swappedLength(swap),
                 .workshop = workshopLength(swap),
                 .simple = simpleLength(swap),
                 .areaRatio = made.totalArea() / old.totalArea()};
    const double shortest = r.newFlareInner + r.newFlareOuter;
    if (a.length <= shortest) {
        return Error{
            "new_diameter_m",
            text::given(text::printNumber(r.newDiameter)),
            YF_WORDS("core",
                     "no length of it keeps the tuning: choose a wider one, more of them, or less "
                     "flare")};
    }
    if (r.Vb) {
        a.fb = tuningOf(old, *r.Vb, effectiveLength(old, r.oldLength), {});
    }
    return a;
}

} // namespace yf::box
