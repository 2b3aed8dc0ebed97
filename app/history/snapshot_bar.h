// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/record.h"

#include <QWidget>

class QLabel;
class QLineEdit;
class QMenu;
class QToolButton;

namespace yf::app {

/// At the top: the snapshot that Space shows while it is held. Its menu names the present state,
/// chooses another snapshot, lists what is different, restores, forgets.
class SnapshotBar final : public QWidget {
    Q_OBJECT

public:
    explicit SnapshotBar(QWidget* parent = nullptr);

    void display(const job::Record& record);

    /// The one chosen, or nothing.
    [[nodiscard]] const job::Snapshot* chosen(const job::Record& record) const;

    /// Opens the menu with the field for a name in focus.
    void askForName();

Q_SIGNALS:
    void nameGiven(const QString& name);
    void differencesWanted();
    void restoreWanted();
    void forgetWanted();
    void chosenChanged();

private:
    void fillMenu(const job::Record& record);

    QString chosen_;
    QStringList names_;
    QToolButton* button_{};
    QMenu* menu_{};
    QLineEdit* name_{};
};

/// What is different between a snapshot and the present, one line each; shut by its button.
class DifferencesStrip final : public QWidget {
    Q_OBJECT

public:
    explicit DifferencesStrip(QWidget* parent = nullptr);

    void display(const job::Snapshot& snapshot, const job::Job& present);

    [[nodiscard]] QString text() const;

private:
    QLabel* head_{};
    QLabel* list_{};
};

} // namespace yf::app
