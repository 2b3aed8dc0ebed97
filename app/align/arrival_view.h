// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/study/arrival.h"

#include <QWidget>

namespace yf::app {

/// When the upper of two neighbours arrives after the lower: one mark for each method with the
/// interval in which it lies (95 %), on one scale of microseconds.
class ArrivalView final : public QWidget {
    Q_OBJECT

public:
    explicit ArrivalView(QWidget* parent = nullptr);

    void display(const std::vector<study::ArrivalStudy>& studies, const QStringList& names);

    [[nodiscard]] QSize sizeHint() const override { return {360, 220}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    std::vector<study::ArrivalStudy> studies_;
    QStringList names_;
};

} // namespace yf::app
