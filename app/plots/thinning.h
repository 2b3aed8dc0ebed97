// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/dashes.h"

namespace yf::app {

/// Leaves out points that nobody could see: the straight line between two that stay passes every
/// one between them within `tolerance` pixels, measured straight up. Ends stay, and of the
/// gaps (NaN) one between two pieces. Keys rise. A measured curve has a point for each pixel and
/// more, and the raster engine is paid by the point.
void thinOut(QVector<double>& keys,
             QVector<double>& values,
             const DashScale& scale,
             double tolerance = 0.1);

} // namespace yf::app
