// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/desk/desk.h"
#include "app/frame/command_finder.h"
#include "app/plots/plot.h"
#include "core/findings/judge.h"

#include <QMainWindow>
#include <QPointer>

class QAction;
class QBoxLayout;
class QLabel;
class QMenu;
class QStackedWidget;
class QToolButton;

namespace yf::app {

class Ask;
class CabinetChips;
class DifferencesStrip;
class Files;
class FindingsPanel;
class FrontEditor;
class FrontView;
class HelpPane;
class HoldSpace;
class ImportSheet;
class LineBar;
class LogStrip;
class Commands;
class MainMenu;
class Notice;
class PracticePage;
class Route;
class SnapshotBar;
class StartPage;

/// The frame: Front and route at the left, one stage, findings at the right, the line at the
/// bottom. It shows what lies on the Desk and asks the Desk for what a person wants.
class MainWindow final : public QMainWindow {
    Q_OBJECT

public:
    explicit MainWindow(Ask& ask, QWidget* parent = nullptr);
    ~MainWindow() override;

    /// Its menu; see fitMenu.
    void setCommands(Commands* commands);

    bool openJob(const QString& path) { return desk_.openJob(path); }

    bool openDemo() { return desk_.openDemo(); }

    /// Text tables for a driver (its id or its name); see Files.
    void importTables(const QString& driver, const QStringList& files);

    void chooseStage(const QString& id);

    void chooseDriver(const QString& driver) { desk_.chooseDriver(driver); }

    void chooseCabinet(const QString& cabinet) { desk_.chooseCabinet(cabinet.toStdString()); }

    /// True when the picture shows the present state and the file holds it.
    [[nodiscard]] bool settled() const;

    [[nodiscard]] const Document* document() const { return desk_.document(); }

    [[nodiscard]] const Evaluated* present() const { return desk_.sight().present.get(); }

    /// A simulated speaker with a hidden fault; level 1 to 3. No job is touched.
    void practise(quint64 seed, int level);

    /// Files for a look before they are taken.
    void previewImport(const QStringList& files);

    /// False: there is no such place.
    bool go(const Place& place);

Q_SIGNALS:
    /// All views have been given this evaluation.
    void displayed();

protected:
    void closeEvent(QCloseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    friend class MainMenu;
    friend class Showing;
    class MainMenu;

    void build();
    void buildHead(QBoxLayout* column, QWidget* middle);
    void connectParts();
    void connectStage(Stage* stage);
    void connectDesk();
    [[nodiscard]] Stage* firstStage() const;
    void openedJob();
    void displayAll();
    void displayRecord();
    void displaySaved();
    void updateTitle();
    void showStage(Stage* stage);
    void showStart();
    void leavePractice();
    void showFinding(const findings::Finding& finding);
    void setFrontEditing(bool editing);
    void setFindingsShown(bool shown);
    void showHelp();
    void showDifferences();
    void holdSnapshot();
    void restoreSnapshot();
    void writeNote(const QString& note);
    void tell(const Done& done);
    void offerPlace(const QString& why);
    void findCommand();
    [[nodiscard]] QVector<Command> commands() const;
    [[nodiscard]] Plot* plotInFocus() const;
    void retheme();

    Ask& ask_;
    Desk desk_;
    QWidget* left_{}; ///< Front and route
    FrontView* front_{};
    FrontEditor* frontEditor_{};
    CabinetChips* chips_{};
    Route* route_{};
    FindingsPanel* findings_{};
    HelpPane* help_{};
    LogStrip* log_{};
    LineBar* line_{};
    Notice* notice_{};
    DifferencesStrip* differences_{};
    SnapshotBar* snapshots_{};
    HoldSpace* holdSpace_{};
    CommandFinder* finder_{};
    QLabel* where_{};
    QToolButton* findButton_{};
    QToolButton* undoButton_{};
    QToolButton* redoButton_{};
    QToolButton* editFront_{};
    QStackedWidget* pages_{};
    StartPage* startPage_{};
    PracticePage* practice_{};
    ImportSheet* import_{};
    Files* files_{};
    QVector<Stage*> stages_;
    Stage* stage_{};
    Commands* menu_{}; ///< null until it is fitted
    mutable QPointer<QWidget> lastPlot_;
    bool findingsWanted_{true};
};

} // namespace yf::app
