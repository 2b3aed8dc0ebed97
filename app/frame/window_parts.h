// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QVector>

class QBoxLayout;
class QLabel;
class QMainWindow;
class QStackedWidget;
class QToolButton;
class QWidget;

namespace yf::app {

class CabinetChips;
class CommandFinder;
class DifferencesStrip;
class FindingsPanel;
class FrontEditor;
class FrontView;
class HelpPane;
class HoldSpace;
class ImportSheet;
class LineBar;
class LogStrip;
class Notice;
class PracticePage;
class Route;
class SnapshotBar;
class Stage;
class StartPage;

/// What stands in the window, and where: Front and route at the left, one page, findings and help
/// at the right, the line at the bottom. Qt's parents own all of it.
struct WindowParts {
    /// Fills the window; what needs an open job is hidden.
    explicit WindowParts(QMainWindow& window);

    QWidget* left{}; ///< Front and route
    FrontView* front{};
    FrontEditor* frontEditor{};
    CabinetChips* chips{};
    Route* route{};
    FindingsPanel* findings{};
    HelpPane* help{};
    LogStrip* log{};
    LineBar* line{};
    Notice* notice{};
    DifferencesStrip* differences{};
    SnapshotBar* snapshots{};
    HoldSpace* holdSpace{};
    CommandFinder* finder{};
    QLabel* where{}; ///< which job, which cabinet
    QToolButton* findButton{};
    QToolButton* undoButton{};
    QToolButton* redoButton{};
    QToolButton* editFront{};
    QStackedWidget* pages{};
    StartPage* startPage{};
    PracticePage* practice{};
    ImportSheet* importSheet{};
    QVector<Stage*> stages; ///< in the order of the route

private:
    void buildHead(QBoxLayout* column, QWidget* middle);
};

} // namespace yf::app
