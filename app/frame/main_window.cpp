// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/main_window.h"

#include "app/findings/findings_panel.h"
#include "app/frame/commands.h"
#include "app/frame/files.h"
#include "app/frame/job_commands.h"
#include "app/frame/own_files.h"
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
#include "app/plots/plot.h"
#include "app/practice/practice_page.h"
#include "app/theme/theme.h"
#include "app/widgets/dropped_files.h"
#include "app/widgets/words.h"
#include "core/edit/front.h"
#include "core/findings/rules.h"
#include "core/report/line.h"
#include "core/text/sentence.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QFile>
#include <QLabel>
#include <QStackedWidget>
#include <QToolButton>

#include <algorithm>

namespace yf::app {

namespace {

/// Below this width of the window the findings would leave the stage too little room; they wait
/// behind their key.
constexpr int widthForFindings = 1180;

} // namespace

MainWindow::MainWindow(Ask& ask, QWidget* parent)
    : QMainWindow(parent), parts_(*this),
      files_(new Files(ask, desk_, *parts_.notice, *parts_.importSheet, this)) {
    setObjectName(QStringLiteral("main_window"));
    resize(1280, 800);
    setMinimumSize(1024, 700);
    setAcceptDrops(true);
    connectParts();
    connectDesk();
    updateTitle();
    parts_.startPage->focusDemo();
    if (const auto own = ownTables(); own) {
        desk_.setTables(*own);
    } else {
        parts_.notice->tell(Gravity::stop,
                            spoken(text::sentence(own.error())) + QStringLiteral(". ") +
                                tr("The shipped table is in force meanwhile."));
    }
}

void MainWindow::setCommands(Commands* commands) {
    menu_ = commands;
    menu_->update();
}

MainWindow::~MainWindow() {
    // Widgets die after the members of this class; a tile that loses the focus on the way still
    // tells its stage, and that must not reach a document that is gone.
    for (QObject* part : findChildren<QObject*>()) {
        part->disconnect(this);
    }
    desk_.disconnect(this);
}

void MainWindow::openedJob() {
    parts_.notice->clear();
    parts_.differences->setVisible(false);
    setFrontEditing(false);
    for (QWidget* part :
         std::initializer_list<QWidget*>{parts_.left, parts_.line, parts_.snapshots}) {
        part->setVisible(true);
    }
    setFindingsShown(findingsWanted_);
    stage_ == nullptr ? chooseStage(firstPlace().stage) : showStage(stage_);
    displayRecord();
    updateTitle();
    parts_.front->setFocus();
}

void MainWindow::displayAll() {
    const Sight& sight = desk_.sight();
    if (desk_.document() == nullptr || !sight.present) {
        return;
    }
    parts_.front->display(sight.shown().job, sight.cabinet, sight.driver);
    parts_.chips->display(sight.shown().job, sight.cabinet);
    if (parts_.frontEditor->isVisible()) {
        parts_.frontEditor->display(sight);
    }
    parts_.route->display(sight);
    if (stage_ != nullptr) {
        stage_->display(sight);
    }
    parts_.findings->display(sight);
    if (const evaluation::CabinetResult* result = sight.shownResult()) {
        parts_.line->display(report::line(*result));
    }
    updateTitle();
    displaySaved();
    Q_EMIT displayed();
}

void MainWindow::displayRecord() {
    if (desk_.document() == nullptr) {
        return;
    }
    const job::Record& record = desk_.document()->record();
    parts_.snapshots->display(record);
    parts_.holdSpace->setWanted(parts_.snapshots->chosen(record) != nullptr);
    if (parts_.log->isVisible()) {
        parts_.log->display(record.log);
    }
    if (parts_.differences->isVisible()) {
        showDifferences();
    }
    if (menu_ != nullptr) {
        menu_->update();
    }
}

void MainWindow::displaySaved() {
    const Document* document = desk_.document();
    if (document == nullptr) {
        return;
    }
    if (document->hold() != Hold::none) {
        parts_.line->setInMemory(document->everChanged());
    } else if (const QString why = desk_.writingFails(); !why.isEmpty()) {
        parts_.line->setNotSaved(why);
    } else {
        // "saved" speaks of what is on the screen: the picture must have caught up as well.
        parts_.line->setSaving(document->settled() && desk_.evaluated());
    }
}

void MainWindow::updateTitle() {
    if (menu_ != nullptr) {
        menu_->update();
    }
    if (desk_.document() == nullptr) {
        setWindowTitle(QStringLiteral("Yellowfront"));
        parts_.where->setText({});
        return;
    }
    const job::Job& job = desk_.document()->job();
    const job::Cabinet* cabinet = job::findCabinet(job, desk_.sight().cabinet);
    const QString title = words(job.title);
    QString where =
        cabinet == nullptr ? title : title + QStringLiteral("  ▸  ") + words(cabinet->name);
    if (!desk_.lookedAt().empty()) {
        where += tr("   –   a look at: %1").arg(spoken(desk_.lookedAt()));
    }
    parts_.where->setText(where);
    parts_.where->setToolTip(QFile::decodeName(desk_.document()->path().c_str()));
    setWindowTitle(title + QStringLiteral(" – Yellowfront"));
}

bool MainWindow::settled() const {
    return desk_.settled() && parts_.findings->settled() &&
           (stage_ == nullptr || !stage_->working());
}

void MainWindow::showStage(Stage* stage) {
    stage_ = stage;
    if (desk_.document() == nullptr) {
        return;
    }
    if (!desk_.lookedAt().empty()) {
        desk_.endLook();
    }
    if (parts_.pages->currentWidget() == parts_.practice) {
        parts_.practice->rest();
        for (QWidget* part :
             std::initializer_list<QWidget*>{parts_.left, parts_.line, parts_.snapshots}) {
            part->setVisible(true);
        }
    }
    parts_.pages->setCurrentWidget(stage);
    parts_.front->setSawing(stage->movesDrivers());
    parts_.route->setCurrent(stage);
    setFindingsShown(findingsWanted_);
    displayAll();
}

void MainWindow::practise(quint64 seed, int level) {
    parts_.notice->clear();
    setFrontEditing(false);
    parts_.practice->begin(seed, static_cast<sim::PracticeLevel>(level - 1));
    parts_.pages->setCurrentWidget(parts_.practice);
    parts_.route->setCurrent(nullptr);
    // The open job, if any, has nothing to do with it.
    for (QWidget* part : std::initializer_list<QWidget*>{
             parts_.left, parts_.line, parts_.snapshots, parts_.findings}) {
        part->setVisible(false);
    }
}

void MainWindow::leavePractice() {
    parts_.practice->rest();
    const bool open = desk_.document() != nullptr;
    for (QWidget* part :
         std::initializer_list<QWidget*>{parts_.left, parts_.line, parts_.snapshots}) {
        part->setVisible(open);
    }
    if (open) {
        showStage(stage_);
    } else {
        showStart();
    }
}

void MainWindow::showStart() {
    parts_.startPage->refresh();
    parts_.pages->setCurrentWidget(parts_.startPage);
    parts_.route->setCurrent(nullptr);
}

void MainWindow::importTables(const QString& driver, const QStringList& files) {
    files_->importTables(driver, files);
}

void MainWindow::previewImport(const QStringList& files) {
    files_->previewFiles({}, files);
}

void MainWindow::chooseStage(const QString& id) {
    const auto found =
        std::ranges::find_if(parts_.stages, [&](const Stage* stage) { return stage->id() == id; });
    if (found != parts_.stages.end()) {
        showStage(*found);
    }
}

bool MainWindow::go(const Place& place) {
    if (!place.stage.isEmpty()) {
        chooseStage(place.stage);
    }
    return stage_ != nullptr && stage_->go(place);
}

void MainWindow::showFinding(const findings::Finding& finding) {
    const findings::Subject& subject = finding.subject;
    if (!subject.cabinet.empty()) {
        desk_.chooseCabinet(subject.cabinet);
    }
    if (!subject.driver.empty()) {
        desk_.chooseDriver(words(subject.driver));
    }
    go(findingPlace(finding, desk_.sight().present->findings.facts));
}

void MainWindow::setFrontEditing(bool editing) {
    parts_.front->setEditing(editing);
    parts_.frontEditor->setVisible(editing);
    setFindingsShown(findingsWanted_);
    displayAll();
}

void MainWindow::setFindingsShown(bool shown) {
    findingsWanted_ = shown;
    const bool room = width() >= widthForFindings && !parts_.help->isVisible() &&
                      !parts_.frontEditor->isVisibleTo(this);
    parts_.findings->setVisible(shown && room && desk_.document() != nullptr);
    if (menu_ != nullptr) {
        menu_->update();
    }
}

void MainWindow::resizeEvent(QResizeEvent* event) {
    QMainWindow::resizeEvent(event);
    const bool wasRoom = event->oldSize().width() >= widthForFindings;
    const bool isRoom = event->size().width() >= widthForFindings;
    if (menu_ != nullptr && wasRoom != isRoom) {
        setFindingsShown(findingsWanted_);
    }
}

void MainWindow::showHelp() {
    QWidget* focus = QApplication::focusWidget();
    const bool start = parts_.pages->currentWidget() == parts_.startPage;
    parts_.help->open(focus == nullptr || focus->window() != this
                          ? (start ? QStringLiteral("start") : QStringLiteral("index"))
                          : HelpPane::pageFor(focus));
    parts_.findings->setVisible(false);
}

void MainWindow::showDifferences() {
    const job::Record& record = desk_.document()->record();
    const job::Snapshot* snapshot = parts_.snapshots->chosen(record);
    parts_.differences->setVisible(snapshot != nullptr);
    if (snapshot != nullptr) {
        parts_.differences->display(*snapshot, record.job());
    } else {
        parts_.notice->tell(Gravity::note,
                            tr("No snapshot yet: name the present state at the top."));
    }
}

void MainWindow::holdSnapshot() {
    if (const job::Snapshot* snapshot = parts_.snapshots->chosen(desk_.document()->record())) {
        desk_.look(snapshot->job, Words("◐ " + snapshot->name));
    }
}

void MainWindow::restoreSnapshot() {
    if (const job::Snapshot* snapshot = parts_.snapshots->chosen(desk_.document()->record())) {
        desk_.apply(edit::restoreSnapshot(*snapshot));
    }
}

void MainWindow::writeNote(const QString& note) {
    if (desk_.document() != nullptr) {
        tell(desk_.document()->addNote(note.toStdString()));
    }
}

void MainWindow::tell(const Done& done) {
    if (!done) {
        parts_.notice->tell(Gravity::stop, spoken(text::sentence(done.error())));
    }
}

void MainWindow::offerPlace(const QString& why) {
    parts_.notice->offer(Gravity::stop, why, tr("Save to …"), [this] { files_->askPlace(); });
    displaySaved();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (!droppedFiles(event->mimeData()).isEmpty()) {
        event->acceptProposedAction();
    }
}

void MainWindow::dropEvent(QDropEvent* event) {
    event->acceptProposedAction();
    files_->dropped(droppedFiles(event->mimeData()));
}

Plot* MainWindow::plotInFocus() const {
    QWidget* page = parts_.pages->currentWidget();
    if (lastPlot_ && page->isAncestorOf(lastPlot_)) {
        return qobject_cast<Plot*>(lastPlot_);
    }
    return page->findChild<Plot*>();
}

void MainWindow::findCommand() {
    parts_.finder->open(commands());
}

QVector<Command> MainWindow::commands() {
    QVector<Command> all = menu_->commands();
    if (desk_.document() == nullptr || !desk_.sight().present) {
        return all;
    }
    const JobActions actions{
        .chooseCabinet = [this](const std::string& cabinet) { desk_.chooseCabinet(cabinet); },
        .lookAtDriver =
            [this](const std::string& driver) {
                chooseDriver(words(driver));
                go(driverPlace());
            },
        .showFinding =
            [this](const findings::Finding& finding) {
                setFindingsShown(true);
                parts_.findings->unfold(words(findings::rules()[finding.rule].id));
                showFinding(finding);
            }};
    return all + jobCommands(*desk_.sight().present, actions);
}

void MainWindow::retheme() {
    // Strokes are part of what a picture shows.
    displayAll();
}

void MainWindow::keyPressEvent(QKeyEvent* event) {
    // Single letters reach the window only where nobody is writing.
    if (event->key() == Qt::Key_L && event->modifiers() == Qt::NoModifier &&
        desk_.document() != nullptr) {
        parts_.log->askForNote();
        displayRecord();
        return;
    }
    QMainWindow::keyPressEvent(event);
}

void MainWindow::closeEvent(QCloseEvent* event) {
    event->setAccepted(desk_.mayLeave());
}

} // namespace yf::app
