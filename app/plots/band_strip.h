// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/usable_band.h"

#include <QRectF>
#include <QString>
#include <QVector>

class QPainter;

namespace yf::app {

/// From where to where a driver works well, with the reasons in words.
struct BandBar {
    std::string driver;
    QString name;
    job::Band way{};
    evaluation::DriverBand band;
    QString words;
};

/// The bands of a cabinet's drivers, found anew only where what they rest on has changed.
class BandBars {
public:
    /// True where they are others than before.
    bool update(const job::Job& job, const job::Cabinet& cabinet);

    /// One for each driver that enough is known of, from the lowest up.
    [[nodiscard]] const QVector<BandBar>& bars() const { return bars_; }

    /// Where neighbours both work well, one for each pair; nothing where they leave nothing.
    [[nodiscard]] std::vector<std::optional<evaluation::JoinBand>> joins() const;

private:
    QVector<BandBar> bars_;
    std::vector<const void*> from_; ///< curves, shared between states of a job
    std::size_t sheets_{};
};

/// What a driver's limits come from, in a sentence: "from 1.2 kHz, by its resonance; …".
[[nodiscard]] QString bandWords(const evaluation::DriverBand& band);

/// Height that so many bars need.
[[nodiscard]] double bandStripHeight(qsizetype bars);

/// The bars over a ruler from 20 Hz to 20 kHz; the chosen driver's is framed.
void paintBandStrip(QPainter& painter,
                    const QVector<BandBar>& bars,
                    const QRectF& room,
                    const std::string& chosen);

} // namespace yf::app
