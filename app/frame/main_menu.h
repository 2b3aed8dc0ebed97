// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/frame/commands.h"

#include <QObject>

class QAction;
class QActionGroup;
class QKeySequence;
class QMenu;

namespace yf::app {

class MainWindow;

/// The menu bar: everything that can be done, with its key. The buttons of the frame are the same
/// actions, and so is what the finder finds.
class MainMenu final : public QObject, public Commands {
    Q_OBJECT

public:
    explicit MainMenu(MainWindow& window);

    /// Names and states after a change.
    void update() override;

    [[nodiscard]] QVector<Command> commands() const override;

private:
    struct Entry {
        QString text;
        QString name; ///< object name without "action_"
        QKeySequence keys;
    };

    template <class F>
    QAction* add(QMenu* menu, const Entry& entry, F&& run);

    void fillJob();
    void fillEdit();
    void fillView();
    void fillThemes(QMenu* view);
    void fillPicture();
    void fillHelp();
    void fillRecent();
    void showShortcuts();

    MainWindow& window_;
    QVector<QAction*> all_;
    QVector<QAction*> needJob_; ///< only with a job on the desk
    QMenu* recent_{};
    QAction* undo_{};
    QAction* redo_{};
    QAction* place_{};
    QAction* editFront_{};
    QAction* findings_{};
    QAction* log_{};
    QAction* metric_{};
    QAction* inch_{};
    QActionGroup* themes_{};
};

/// A window gets its menu bar, once, by whoever makes it.
void fitMenu(MainWindow& window);

} // namespace yf::app
