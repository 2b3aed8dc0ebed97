// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/record.h"

#include <QWidget>

class QLineEdit;
class QListWidget;

namespace yf::app {

/// What was done, dated, the newest at the end; and a field for a note by hand.
class LogStrip final : public QWidget {
    Q_OBJECT

public:
    explicit LogStrip(QWidget* parent = nullptr);

    void display(const std::vector<job::LogEntry>& log);
    void askForNote();

Q_SIGNALS:
    void noteWritten(const QString& note);

private:
    QListWidget* list_{};
    QLineEdit* note_{};
};

/// "14 Mar 10:32 · undone: Change C1 to 6.8 µF"
[[nodiscard]] QString logText(const job::LogEntry& entry);

} // namespace yf::app
