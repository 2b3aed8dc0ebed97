// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QWidget>

class QToolButton;

namespace yf::app {

class FlowLayout;

/// The cabinets of a job as a row of chips; the one that is looked at is pressed in. A mirrored
/// one says so by a mark.
class CabinetChips final : public QWidget {
    Q_OBJECT

public:
    explicit CabinetChips(QWidget* parent = nullptr);

    void display(const job::Job& job, const std::string& chosen);

    /// The height is set when chips or width change. Were it asked for by the layout, every figure
    /// of the line would have the whole window measured anew.
    [[nodiscard]] bool hasHeightForWidth() const override { return false; }

Q_SIGNALS:
    void chosen(const std::string& cabinet);

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    void fitHeight();

    FlowLayout* row_{};
    QVector<QToolButton*> chips_;
};

} // namespace yf::app
