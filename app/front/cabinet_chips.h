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

Q_SIGNALS:
    void chosen(const std::string& cabinet);

private:
    FlowLayout* row_{};
    QVector<QToolButton*> chips_;
};

} // namespace yf::app
