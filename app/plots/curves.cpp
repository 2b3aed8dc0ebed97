// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/curves.h"

#include "core/quantity/level.h"
#include "core/quantity/quantities.h"

namespace yf::app {

namespace {

std::vector<double> valuesOf(std::span<const curve::Complex> values, Shown shown) {
    if (shown == Shown::level) {
        return curve::levels(values, quantity::referencePressure);
    }
    std::vector<double> result;
    result.reserve(values.size());
    for (const curve::Complex& v : values) {
        result.push_back(shown == Shown::phase ? std::arg(v) / quantity::degree : std::abs(v));
    }
    return result;
}

} // namespace

const Stroke& strokeOf(job::Band band) {
    return theme().ways[static_cast<std::size_t>(band)];
}

Trace traceOf(const TraceName& name,
              const Stroke& stroke,
              const curve::Axis& axis,
              std::span<const curve::Complex> values,
              Shown shown) {
    const std::vector<double> drawn = valuesOf(values, shown);
    return {.id = name.id,
            .label = name.label,
            .stroke = stroke,
            .frequencies = QVector<double>(axis.begin(), axis.end()),
            .values = QVector<double>(drawn.begin(), drawn.end())};
}

Trace traceOf(const TraceName& name, const Stroke& stroke, const curve::Curve& curve, Shown shown) {
    if (shown == Shown::phase && curve.phase() == curve::Phase::none) {
        return {.id = name.id, .label = name.label, .stroke = stroke, .read = false};
    }
    Trace trace = traceOf(name, stroke, curve.frequencies(), curve.values(), shown);
    for (const double f : curve.frequencies()) {
        trace.trusted.push_back(curve.trusted().holds(f));
    }
    return trace;
}

} // namespace yf::app
