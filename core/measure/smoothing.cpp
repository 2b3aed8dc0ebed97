// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/smoothing.h"

namespace yf::measure {

std::optional<Error> check(const SmoothRequest& request) {
    if (request.mode == curve::Smoothing::complex && !request.curve.hasPhase()) {
        return Error{"phases_deg", "missing", "mode complex needs them"};
    }
    return check(request.curve);
}

Result<Smoothed> smooth(const SmoothRequest& request) {
    const curve::Curve curve = toCurve(request.curve);
    const double ratio = curve::halfBandRatio(request.fraction);
    curve::Axis at = curve.frequencies();
    if (request.grid == OutputGrid::bands) {
        // An edge that is a rounding away from the data's end is inside.
        constexpr double rounding = 1e-9;
        at = curve::midBands(request.fraction,
                             curve.extent().from * ratio * (1.0 - rounding),
                             curve.extent().to / ratio * (1.0 + rounding));
        if (at.size() < 2) {
            return Error{"output_grid", "no two whole bands lie in the data", "must be input"};
        }
    }
    const curve::Curve result(
        at,
        curve::smoothedAt(curve, request.fraction, request.mode, request.delayRemoved, at),
        curve.phase());
    return Smoothed{toKeys(result), ratio};
}

} // namespace yf::measure
