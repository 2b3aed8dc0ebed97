// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/take/export.h"
#include "core/take/make.h"

#include <QWidget>

class QAction;
class QLabel;
class QLineEdit;
class QListWidget;
class QListWidgetItem;
class QPushButton;

namespace yf::app {

/// The takes of a driver or of a whole cabinet, each with how it was made; ticked ones are laid
/// over the one chosen.
class TakeList final : public QWidget {
    Q_OBJECT

public:
    explicit TakeList(QWidget* parent = nullptr);

    /// Takes about the driver, and about its cabinet as a whole.
    void display(const job::Job& job, const std::string& cabinet, const std::string& driver);

    /// Id of the one chosen; empty: none.
    [[nodiscard]] std::string chosen() const;

    /// Ids of those ticked, in the order of the list.
    [[nodiscard]] std::vector<std::string> ticked() const;

    void choose(const std::string& take);
    void tick(const std::string& take);

    /// A word about the take chosen, until another one is.
    void tell(const QString& text);

Q_SIGNALS:
    void chosenChanged();
    void tickedChanged();
    void described(const QString& take, const QString& note, const QString& condition);
    void useWanted(const QString& take);
    void exportWanted(const QString& take, yf::take::TakeFormat format);

private:
    void showDetails();
    [[nodiscard]] const job::Take* chosenTake() const;

    job::Job job_;
    std::string driver_;
    QListWidget* list_{};
    QLabel* details_{};
    QLineEdit* note_{};
    QLineEdit* condition_{};
    QPushButton* use_{};
    QPushButton* save_{};
    QVector<QAction*> formats_;
    bool filling_{};
};

/// Where a take was made and under what conditions, in a few lines.
[[nodiscard]] QString howMade(const job::Take& take);

} // namespace yf::app
