// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/trace.h"
#include "core/curve/curve.h"
#include "core/job/job.h"

namespace yf::app {

[[nodiscard]] const Stroke& strokeOf(job::Band band);

/// A trace of levels re 20 µPa, of phases in degrees, or of moduli in ohms.
enum class Shown { level, phase, modulus };

struct TraceName {
    QString id;
    QString label;
};

[[nodiscard]] Trace traceOf(const TraceName& name,
                            const Stroke& stroke,
                            const curve::Axis& axis,
                            std::span<const curve::Complex> values,
                            Shown shown);

/// A measured curve with what may be believed of it. Levels and moduli of a curve without phase
/// are drawn; a trace of its phase is empty.
[[nodiscard]] Trace
traceOf(const TraceName& name, const Stroke& stroke, const curve::Curve& curve, Shown shown);

} // namespace yf::app
