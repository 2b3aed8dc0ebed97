// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/qcustomplot.h"

namespace yf::app {

/// A smooth line of `width` pixels (1 to 6), drawn as lines of one pixel side by side.
///
/// Qt's raster engine has a fast way for antialiased lines of one pixel and none for wider ones:
/// these it strokes, fills and blends as shapes, five to ten times slower, and a notch of the wheel
/// redraws a dozen curves. Lines less than half a pixel apart leave no seam between them. For
/// opaque pens only: where two of them overlap a translucent one would be darker.
void drawFineLine(QPainter& painter, const QPointF* points, qsizetype count, double width);

/// A curve drawn so wherever the result is the same: on a screen of single pixels. On others, in
/// files of vectors and with other pens it is drawn by Qt.
class FineGraph final : public QCPGraph {
public:
    using QCPGraph::QCPGraph;

protected:
    void drawLinePlot(QCPPainter* painter, const QVector<QPointF>& lines) const override;
};

} // namespace yf::app
