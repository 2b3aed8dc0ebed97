// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QList>
#include <QVector>

#include <functional>

namespace yf::app {

/// From the curve's own units to pixels, and how wide the pen is.
struct DashScale {
    std::function<double(double)> x;
    std::function<double(double)> y;
    double penWidth{1.0};
};

/// Cuts a curve into dashes: NaN stands between them. `pattern` holds dash, gap, … in pen widths,
/// as QPen does; dashes are measured along the line in pixels and go on over its points. Gaps that
/// the curve has (NaN) stay and start the pattern anew.
void cutIntoDashes(QVector<double>& keys,
                   QVector<double>& values,
                   const QList<qreal>& pattern,
                   const DashScale& scale);

} // namespace yf::app
