// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/trace.h"

#include <QWidget>

namespace yf::app {

/// The way of the signal from the source to the driver: what is ruled out, where the fault lies,
/// what is still possible.
class TracePicture final : public QWidget {
    Q_OBJECT

public:
    explicit TracePicture(QWidget* parent = nullptr);

    void display(const bench::Trace& trace);

    [[nodiscard]] QSize minimumSizeHint() const override { return {300, 66}; }

    [[nodiscard]] QSize sizeHint() const override { return minimumSizeHint(); }

    /// "cable" in the window's language.
    [[nodiscard]] static QString segmentSaid(bench::Segment segment);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    bench::Trace trace_;
};

} // namespace yf::app
