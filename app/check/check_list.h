// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/bench.h"

#include <QListWidget>

namespace yf::app {

/// All checks: first what is worth doing next with what it tells for its time, then what was done
/// and showed, then what must wait, then what would tell little.
class CheckList final : public QListWidget {
    Q_OBJECT

public:
    explicit CheckList(QWidget* parent = nullptr);

    void display(const bench::EvidenceTable& table, const evaluation::DriverBench& bench);

    /// All checks in the order of the table, without advice; what was done stands with its outcome.
    void displayPlain(const evaluation::DriverBench& bench);

    /// Marks the check whose card is open.
    void setOpen(const QString& check);

    /// Whether it is one of the checks listed.
    [[nodiscard]] bool has(const QString& check) const;

Q_SIGNALS:
    void wanted(const QString& check);

private:
    void caption(const QString& text);
    void row(const std::string& check, const QString& told, double gain);

    QString open_;
};

} // namespace yf::app
