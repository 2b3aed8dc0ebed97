// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QRectF>
#include <QVector>

namespace yf::app {

/// A polyline cut to a rectangle: points outside go, where it crosses an edge a point is put on
/// the edge, NaN stands between the pieces. Vector formats do not keep the plot's clipping.
/// Gaps that the line has (NaN) stay.
void clipToRectangle(QVector<double>& x, QVector<double>& y, const QRectF& rectangle);

} // namespace yf::app
