// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/parameters.h"

#include <cmath>

namespace yf::driver {

Result<Parameters> parametersOf(const ParameterOrder& order) {
    FitOrder fit{.impedance = order.take.impedance,
                 .dcr = order.dcr,
                 .dcrU = order.dcrU,
                 .kind = order.kind};
    YF_TRY(found, fitImpedance(fit));
    Parameters p{.fit = found, .u = found.u};
    const ImpedanceModel& m = found.model;
    const double lead = order.jig.leadU / m.Re;
    // Gain mismatch acts as |1 + Z/Rs|: at Re it scales, at the peak it tilts the Q.
    const double atRe = 1.0 + m.Re / order.jig.sense;
    const double peak = m.Re * (1.0 + m.Qms / m.Qes);
    const double atPeak = 1.0 + peak / order.jig.sense;
    const double scale = std::hypot(order.jig.senseU, order.jig.gainU * atRe);
    const double tilt = order.jig.gainU * (atPeak - atRe);
    // A converter's clock is good to some 30 millionths (common practice).
    constexpr double clock = 3e-5;
    p.u.fs = std::hypot(found.u.fs, clock);
    p.u.Re = std::hypot(found.u.Re, std::hypot(scale, lead));
    p.u.Qes = std::hypot(found.u.Qes, std::hypot(lead, tilt));
    p.u.Qms = std::hypot(found.u.Qms, std::hypot(0.5 * tilt, lead * m.Qes / m.Qms));
    const double share = m.Qms / (m.Qms + m.Qes);
    // Qts hangs on the flanks, which a tilt moves by a third of what it does to the top.
    constexpr double flanks = 0.3;
    p.u.Qts = std::hypot(found.u.Qts, share * std::hypot(lead, flanks * tilt));
    return p;
}

} // namespace yf::driver
