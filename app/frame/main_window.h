// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/desk/desk.h"
#include "app/frame/command_finder.h"
#include "app/frame/window_parts.h"
#include "app/plots/plot.h"
#include "core/findings/judge.h"

#include <QMainWindow>
#include <QPointer>

namespace yf::app {

class Ask;
class Commands;
class Files;
class MainMenu;

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

    void connectParts();
    void connectStage(Stage* stage);
    void connectDesk();
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
    [[nodiscard]] QVector<Command> commands();
    [[nodiscard]] Plot* plotInFocus() const;
    void retheme();

    Desk desk_;
    WindowParts parts_;
    Files* files_{};
    Stage* stage_{};
    Commands* menu_{}; ///< null until it is fitted
    mutable QPointer<QWidget> lastPlot_;
    bool findingsWanted_{true};
};

} // namespace yf::app
