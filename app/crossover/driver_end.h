// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QAbstractButton>

namespace yf::app {

/// The driver at the end of a lane. Pressing it reverses the driver: the studs swap, and the + stud
/// hangs on the return.
class DriverEndButton final : public QAbstractButton {
    Q_OBJECT

public:
    DriverEndButton(network::DriverEnd end, QWidget* parent);

    /// `hot` and `back`: y of the rails in this widget.
    void display(const network::DriverEnd& end, const job::Driver& driver, int hot, int back);

    [[nodiscard]] int polarity() const { return end_.polarity; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    network::DriverEnd end_;
    QString name_;
    job::Band band_{};
    int hot_{};
    int back_{};
};

} // namespace yf::app
