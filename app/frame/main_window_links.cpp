// SPDX-License-Identifier: GPL-3.0-or-later
// What in the window leads to what.
#include "app/findings/findings_panel.h"
#include "app/frame/files.h"
#include "app/frame/main_window.h"
#include "app/frame/route.h"
#include "app/frame/stages.h"
#include "app/frame/start_page.h"
#include "app/front/cabinet_chips.h"
#include "app/front/front_editor.h"
#include "app/front/front_view.h"
#include "app/help/help_pane.h"
#include "app/history/hold_space.h"
#include "app/history/log_strip.h"
#include "app/history/snapshot_bar.h"
#include "app/import/import_sheet.h"
#include "app/line/line_bar.h"
#include "app/practice/practice_page.h"
#include "app/stage/stage.h"
#include "core/edit/front.h"

#include <QApplication>
#include <QRandomGenerator>
#include <QStackedWidget>

namespace yf::app {

void MainWindow::connectParts() {
    for (Stage* stage : parts_.stages) {
        connectStage(stage);
    }
    connect(parts_.front, &FrontView::chosen, this, [this](const QString& driver) {
        chooseDriver(driver);
        // Who clicks a driver wants to see it, unless its place is being edited.
        if (!parts_.front->editing() && !stage_->followsDriver()) {
            go(driverPlace());
        }
    });
    connect(parts_.front, &FrontView::tablesGiven, files_, &Files::importTables);
    connect(parts_.chips, &CabinetChips::chosen, this, [this](const std::string& cabinet) {
        desk_.chooseCabinet(cabinet);
    });
    for (Plot* plot : findChildren<Plot*>()) {
        connect(plot, &Plot::saveWanted, this, [this, plot](PictureFormat format) {
            files_->savePicture(*plot, format);
        });
        connect(plot, &Plot::sealWanted, this, [this, plot] {
            desk_.apply(edit::sealScale(plot->scale()));
        });
    }
    const auto apply = [this](const edit::Edit& edit) { desk_.apply(edit); };
    const auto endGesture = [this] {
        if (desk_.document() != nullptr) {
            desk_.document()->endGesture();
        }
    };
    connect(parts_.front, &FrontView::edited, this, apply);
    connect(parts_.front, &FrontView::gestureEnded, this, endGesture);
    connect(parts_.frontEditor, &FrontEditor::edited, this, apply);
    connect(parts_.frontEditor, &FrontEditor::gestureEnded, this, endGesture);
    connect(parts_.frontEditor, &FrontEditor::finished, this, [this] { setFrontEditing(false); });
    connect(parts_.route, &Route::chosen, this, &MainWindow::showStage);
    connect(parts_.findings, &FindingsPanel::edited, this, apply);
    connect(parts_.findings, &FindingsPanel::previewed, this, [this](const edit::Edit& edit) {
        desk_.preview(edit);
    });
    connect(parts_.findings, &FindingsPanel::previewEnded, &desk_, &Desk::endLook);
    connect(parts_.findings, &FindingsPanel::showWanted, this, &MainWindow::showFinding);
    connect(parts_.line, &LineBar::asked, this, [this](const QString& figure) {
        go(figurePlace(figure));
    });
    connect(parts_.line, &LineBar::placeWanted, files_, &Files::askPlace);
    connect(parts_.startPage, &StartPage::demoWanted, &desk_, &Desk::openDemo);
    connect(parts_.startPage, &StartPage::newWanted, files_, &Files::askNew);
    connect(parts_.startPage, &StartPage::practiceWanted, this, [this] {
        practise(QRandomGenerator::global()->bounded(1, 1'000'000), 1);
    });
    connect(parts_.practice, &PracticePage::left, this, &MainWindow::leavePractice);
    connect(parts_.startPage, &StartPage::openWanted, files_, &Files::askOpen);
    connect(parts_.startPage, &StartPage::recentWanted, &desk_, &Desk::openJob);
    connect(parts_.startPage, &StartPage::earlierWanted, files_, &Files::bringBack);
    connect(files_, &Files::importLeft, this, [this] { showStage(stage_); });
    connect(files_, &Files::importShown, this, [this] {
        parts_.pages->setCurrentWidget(parts_.importSheet);
        parts_.route->setCurrent(nullptr);
        parts_.findings->setVisible(false);
    });
    connect(parts_.snapshots, &SnapshotBar::nameGiven, this, [this](const QString& name) {
        tell(desk_.document()->takeSnapshot(name.toStdString()));
    });
    connect(parts_.snapshots, &SnapshotBar::differencesWanted, this, &MainWindow::showDifferences);
    connect(parts_.snapshots, &SnapshotBar::restoreWanted, this, &MainWindow::restoreSnapshot);
    connect(parts_.snapshots, &SnapshotBar::chosenChanged, this, &MainWindow::displayRecord);
    connect(parts_.snapshots, &SnapshotBar::forgetWanted, this, [this] {
        if (const job::Snapshot* snapshot = parts_.snapshots->chosen(desk_.document()->record())) {
            tell(desk_.document()->dropSnapshot(snapshot->name));
        }
    });
    connect(parts_.holdSpace, &HoldSpace::held, this, &MainWindow::holdSnapshot);
    connect(parts_.holdSpace, &HoldSpace::letGo, &desk_, &Desk::endLook);
    connect(parts_.log, &LogStrip::noteWritten, this, &MainWindow::writeNote);
    connect(parts_.help, &HelpPane::shut, this, [this] { setFindingsShown(findingsWanted_); });
    connect(qApp, &QApplication::focusChanged, this, [this](QWidget* /*old*/, QWidget* now) {
        for (QWidget* w = now; w != nullptr; w = w->parentWidget()) {
            if (qobject_cast<Plot*>(w) != nullptr) {
                lastPlot_ = w;
            }
        }
    });
}

void MainWindow::connectStage(Stage* stage) {
    connect(stage, &Stage::edited, this, [this](const edit::Edit& edit) { desk_.apply(edit); });
    connect(
        stage, &Stage::editWanted, this, [this](const EditMaker& make) { desk_.applyMade(make); });
    connect(stage, &Stage::previewWanted, this, [this](const EditMaker& make) {
        desk_.previewMade(make);
    });
    connect(stage, &Stage::gestureEnded, this, [this] {
        if (desk_.document() != nullptr) {
            desk_.document()->endGesture();
        }
    });
    connect(stage, &Stage::previewed, this, [this](const edit::Edit& edit) {
        parts_.notice->clear();
        desk_.preview(edit);
    });
    connect(stage, &Stage::previewEnded, &desk_, &Desk::endLook);
    connect(stage, &Stage::tablesGiven, files_, &Files::importTables);
    connect(stage, &Stage::tablesWanted, files_, &Files::askTables);
    connect(stage, &Stage::picturesGiven, files_, &Files::addPictures);
    connect(stage, &Stage::picturesWanted, files_, &Files::askPictures);
    connect(stage, &Stage::fileWanted, files_, &Files::askFile);
    connect(stage, &Stage::fileOffered, files_, &Files::saveOffered);
    connect(
        stage, &Stage::snapshotWanted, this, [this](const QString& name, const edit::Edit& edit) {
            tell(desk_.document()->takeSnapshotOf(name.toStdString(), edit));
        });
    connect(stage, &Stage::driverWanted, &desk_, &Desk::chooseDriver);
    connect(stage, &Stage::placeWanted, this, &MainWindow::go);
}

void MainWindow::connectDesk() {
    connect(&desk_, &Desk::opened, this, &MainWindow::openedJob);
    connect(&desk_, &Desk::sightChanged, this, &MainWindow::displayAll);
    connect(&desk_, &Desk::savedChanged, this, [this] {
        updateTitle();
        displaySaved();
    });
    connect(&desk_, &Desk::recorded, this, &MainWindow::displayRecord);
    connect(&desk_, &Desk::told, parts_.notice, &Notice::tell);
    connect(&desk_, &Desk::offered, parts_.notice, &Notice::offer);
    connect(&desk_, &Desk::placeWanted, this, &MainWindow::offerPlace);
}

} // namespace yf::app
