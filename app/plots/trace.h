// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/theme/theme.h"
#include "core/job/job.h"

#include <QString>
#include <QVector>

#include <optional>

namespace yf::app {

/// One curve of a plot, ready to be drawn: frequencies in Hz and what the plot's kind shows.
struct Trace {
    QString id;
    QString label;
    Stroke stroke;
    QVector<double> frequencies;
    QVector<double> values;
    QVector<bool> trusted; ///< one for each value, or empty: everywhere
    bool read{true};       ///< has a reading at the crosshair

    bool operator==(const Trace&) const = default;
};

/// Where the answer should run: from…to Hz, low…high in the plot's unit.
struct Corridor {
    double from{};
    double to{};
    double low{};
    double high{};
};

/// A point with a name, such as the least impedance.
struct Mark {
    double frequency{};
    double value{};
    QString text;
};

/// A stretch of the axis that is shaded, with a word at its foot: what a gate lets through, where
/// a part acts.
struct Shade {
    double from{};
    double to{};
    QString text;
};

/// Between what and what a curve may lie: filled in its colour, thinned.
struct Veil {
    QString trace; ///< hidden along with it
    QColor colour;
    QVector<double> frequencies;
    QVector<double> low;
    QVector<double> high;
};

/// All that one plot shows.
struct Picture {
    QVector<Trace> traces; ///< drawn in this order
    QVector<Veil> veils;   ///< under them
    std::optional<Corridor> corridor;
    QString corridorTrace; ///< the trace that should run in the corridor: thicker outside it
    std::optional<Mark> mark;
    QVector<Shade> shades;
    std::optional<job::HouseScale> scale; ///< sealed in the job; absent: the built-in one
    QString empty;                        ///< said in the middle when there is nothing to draw
    QString foot; ///< how the curves were made: gate, smoothing, drive, distance, date
};

} // namespace yf::app
