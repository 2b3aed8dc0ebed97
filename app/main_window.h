// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/document/document.h"
#include "app/evaluation/evaluator.h"
#include "app/stage.h"

#include <QMainWindow>
#include <QTemporaryDir>

#include <memory>

class QAction;
class QLabel;
class QStackedWidget;
class QToolButton;

namespace yf::app {

class Ask;
class FrontView;
class LineBar;
class Notice;
class Route;
class StartPage;

/// The frame: Front and route at the left, one stage, the line at the bottom. It owns the open
/// document, what is looked at, undo, and the way from an edit to a picture.
class MainWindow final : public QMainWindow {
    Q_OBJECT

public:
    explicit MainWindow(Ask& ask, QWidget* parent = nullptr);
    ~MainWindow() override;

    /// Opens a job file; on failure says why and keeps what was open.
    bool openJob(const QString& path);

    /// The demo in a new file of its own, in the system's folder for passing things.
    bool openDemo();

    /// A new two-way in a new file.
    bool newJob(const QString& path);

    /// Text tables for a driver (its id or its name), each one an edit; tells what was understood
    /// of each and what was refused.
    void importTables(const QString& driver, const QStringList& files);

    void chooseStage(const QString& id);
    void chooseDriver(const QString& driver);

    /// True when the picture shows the present state and the file holds it.
    [[nodiscard]] bool settled() const;

    [[nodiscard]] const Document* document() const { return document_.get(); }

    [[nodiscard]] const Evaluated* present() const { return sight_.present.get(); }

Q_SIGNALS:
    /// All views have been given this evaluation.
    void displayed();

protected:
    void closeEvent(QCloseEvent* event) override;

private:
    void build();
    void buildMenus();
    QAction* addAction(class QMenu* menu,
                       const QString& text,
                       const QString& name,
                       const QKeySequence& keys,
                       void (MainWindow::*slot)());
    void connectStage(Stage* stage);
    void take(std::unique_ptr<Document> document);
    void submit();
    void preview(const job::Edit& edit);
    void endPreview();
    void showResult(const std::shared_ptr<const Evaluated>& result);
    void displayAll();
    void showStage(Stage* stage);
    void updateTitle();
    void updateSaved();
    void follow(const QString& figure);
    void askOpen();
    void askNew();
    void askCopy();
    void askDemo();
    void undo();
    void redo();
    void switchTheme();
    /// False, and says so, while changes wait that the file does not hold; the second time in a row
    /// they may be left behind.
    [[nodiscard]] bool mayLeave();
    void keepDemoIfChanged();
    [[nodiscard]] const job::Driver* driverNamed(const QString& driver) const;

    Ask& ask_;
    std::unique_ptr<QTemporaryDir> demoFolder_;
    std::unique_ptr<Document> document_;
    Evaluator evaluator_;
    Sight sight_;
    bool previewing_{};
    std::string previewName_;
    std::uint64_t previewRevision_{};
    std::uint64_t firstRevision_{}; ///< of the open job; what comes before belongs to another
    bool warned_{};
    bool writingFails_{};
    QWidget* left_{}; ///< Front and route
    FrontView* front_{};
    Route* route_{};
    LineBar* line_{};
    Notice* notice_{};
    QLabel* where_{};
    QStackedWidget* pages_{};
    StartPage* startPage_{};
    QVector<Stage*> stages_;
    Stage* stage_{};
    QToolButton* undoButton_{};
    QToolButton* redoButton_{};
    QAction* undo_{};
    QAction* redo_{};
    QAction* copy_{};
    QAction* dark_{};
};

} // namespace yf::app
