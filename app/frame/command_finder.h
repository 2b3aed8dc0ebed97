// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>
#include <QVector>
#include <QWidget>

#include <functional>

class QLineEdit;
class QListWidget;

namespace yf::app {

/// Something that can be found and done: a command, a driver to look at, a take, a finding.
struct Command {
    QString text;
    QString kind; ///< "command", "driver" …, shown beside it
    QString keys;
    std::function<void()> run;
};

/// Ctrl+K: a few letters find any command, driver, take or finding; Enter does it.
class CommandFinder final : public QWidget {
    Q_OBJECT

public:
    explicit CommandFinder(QWidget* window);

    /// Opens over the window with what there is to find now.
    void open(QVector<Command> commands);

    /// Texts of what is found, best first.
    [[nodiscard]] QStringList found() const;

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void find(const QString& letters);
    void runCurrent();
    void shut();

    QVector<Command> commands_;
    QVector<int> shown_;
    QLineEdit* letters_{};
    QListWidget* list_{};
    QWidget* focusBefore_{};
};

} // namespace yf::app
