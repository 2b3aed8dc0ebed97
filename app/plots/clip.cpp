// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/clip.h"

#include <QPointF>

#include <algorithm>
#include <cmath>
#include <limits>
#include <optional>
#include <utility>

namespace yf::app {

namespace {

constexpr double nothing = std::numeric_limits<double>::quiet_NaN();

/// The part of a segment inside, by Liang and Barsky 1984.
std::optional<std::pair<QPointF, QPointF>>
inside(const QPointF& a, const QPointF& b, const QRectF& r) {
    const QPointF d = b - a;
    double first = 0.0;
    double last = 1.0;
    const double p[] = {-d.x(), d.x(), -d.y(), d.y()};
    const double q[] = {a.x() - r.left(), r.right() - a.x(), a.y() - r.top(), r.bottom() - a.y()};
    for (int edge = 0; edge < 4; ++edge) {
        if (p[edge] == 0.0) {
            if (q[edge] < 0.0) {
                return std::nullopt;
            }
            continue;
        }
        const double t = q[edge] / p[edge];
        if (p[edge] < 0.0) {
            first = std::max(first, t);
        } else {
            last = std::min(last, t);
        }
    }
    if (first > last) {
        return std::nullopt;
    }
    return std::pair{a + first * d, a + last * d};
}

} // namespace

void clipToRectangle(QVector<double>& x, QVector<double>& y, const QRectF& rectangle) {
    QVector<double> outX;
    QVector<double> outY;
    const auto put = [&](const QPointF& p) {
        if (outX.isEmpty() || outX.back() != p.x() || outY.back() != p.y()) {
            outX << p.x();
            outY << p.y();
        }
    };
    for (qsizetype k = 1; k < x.size(); ++k) {
        const bool whole = std::isfinite(y[k - 1]) && std::isfinite(y[k]);
        const auto piece =
            whole ? inside({x[k - 1], y[k - 1]}, {x[k], y[k]}, rectangle) : std::nullopt;
        const bool goesOn = piece && !outY.isEmpty() && std::isfinite(outY.back()) &&
                            outX.back() == piece->first.x() && outY.back() == piece->first.y();
        if ((!piece || !goesOn) && !outY.isEmpty() && std::isfinite(outY.back())) {
            outX << x[k - 1];
            outY << nothing;
        }
        if (piece) {
            put(piece->first);
            put(piece->second);
        }
    }
    x = outX;
    y = outY;
}

} // namespace yf::app
