// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/main_window.h"

#include "app/findings/findings_panel.h"
#include "app/frame/commands.h"
#include "app/frame/files.h"
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
#include "core/findings/known_facts.h"
#include "core/findings/words.h"
#include "core/report/line.h"
#include "core/text/sentence.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QFile>
#include <QHBoxLayout>
#include <QLabel>
#include <QRandomGenerator>
#include <QStackedWidget>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>
#include <map>

namespace yf::app {

namespace {

constexpr int leftWidth = 212;

/// Below this width of the window the findings would leave the stage too little room; they wait
/// behind their key.
constexpr int widthForFindings = 1180;

QWidget* hairline(QWidget* parent, Qt::Orientation orientation = Qt::Horizontal) {
    auto* line = new QWidget(parent);
    orientation == Qt::Horizontal ? line->setFixedHeight(1) : line->setFixedWidth(1);
    line->setAutoFillBackground(true);
    line->setBackgroundRole(QPalette::Mid);
    return line;
}

} // namespace

MainWindow::MainWindow(Ask& ask, QWidget* parent) : QMainWindow(parent), ask_(ask) {
    setObjectName(QStringLiteral("main_window"));
    resize(1280, 800);
    setMinimumSize(1024, 700);
    setAcceptDrops(true);
    build();
    connectParts();
    connectDesk();
    updateTitle();
    startPage_->focusDemo();
    if (const auto own = ownTables(); own) {
        desk_.setTables(*own);
    } else {
        notice_->tell(Gravity::stop,
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

void MainWindow::buildHead(QBoxLayout* column, QWidget* middle) {
    where_ = new QLabel(middle);
    where_->setObjectName(QStringLiteral("where"));
    where_->setTextFormat(Qt::PlainText);
    QFont bold = font();
    bold.setPointSizeF(11.0);
    bold.setWeight(QFont::DemiBold);
    where_->setFont(bold);
    auto* head = new QHBoxLayout;
    head->setContentsMargins(12, 4, 12, 4);
    head->addWidget(where_, 1);
    for (QToolButton** button : {&undoButton_, &redoButton_, &findButton_}) {
        *button = new QToolButton(middle);
        (*button)->setFocusPolicy(Qt::TabFocus);
        head->addWidget(*button);
    }
    snapshots_ = new SnapshotBar(middle);
    snapshots_->setProperty("help", QStringLiteral("snapshots"));
    head->addWidget(snapshots_);
    column->addLayout(head);
    column->addWidget(hairline(middle));
}

void MainWindow::build() {
    auto* middle = new QWidget(this);
    setCentralWidget(middle);
    auto* column = new QVBoxLayout(middle);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    buildHead(column, middle);
    notice_ = new Notice(middle);
    differences_ = new DifferencesStrip(middle);
    column->addWidget(notice_);
    column->addWidget(differences_);

    left_ = new QWidget(middle);
    left_->setFixedWidth(leftWidth);
    left_->setProperty("help", QStringLiteral("front"));
    front_ = new FrontView(left_);
    chips_ = new CabinetChips(left_);
    editFront_ = new QToolButton(left_);
    frontEditor_ = new FrontEditor(middle);
    frontEditor_->setProperty("help", QStringLiteral("front"));
    frontEditor_->setVisible(false);
    pages_ = new QStackedWidget(middle);
    startPage_ = new StartPage(middle);
    pages_->addWidget(startPage_);
    stages_ = makeStages(middle);
    for (Stage* stage : stages_) {
        stage->setProperty("help", stage->id());
        pages_->addWidget(stage);
    }
    import_ = new ImportSheet(middle);
    pages_->addWidget(import_);
    files_ = new Files(ask_, desk_, *notice_, *import_, this);
    practice_ = new PracticePage(middle);
    pages_->addWidget(practice_);
    route_ = new Route(stages_, left_);
    findings_ = new FindingsPanel(middle);
    findings_->setProperty("help", QStringLiteral("findings"));
    help_ = new HelpPane(middle);
    log_ = new LogStrip(middle);
    log_->setProperty("help", QStringLiteral("log"));
    line_ = new LineBar(middle);
    line_->setProperty("help", QStringLiteral("line"));

    auto* leftColumn = new QVBoxLayout(left_);
    leftColumn->setContentsMargins(8, 4, 4, 8);
    leftColumn->addWidget(front_, 1);
    leftColumn->addWidget(chips_);
    leftColumn->addWidget(editFront_, 0, Qt::AlignLeft);
    leftColumn->addWidget(hairline(left_));
    leftColumn->addWidget(route_);
    auto* body = new QHBoxLayout;
    body->setSpacing(0);
    body->addWidget(left_);
    body->addWidget(frontEditor_);
    body->addWidget(pages_, 1);
    body->addWidget(findings_);
    body->addWidget(help_);
    column->addLayout(body, 1);
    column->addWidget(log_);
    column->addWidget(hairline(middle));
    column->addWidget(line_);
    finder_ = new CommandFinder(this);
    holdSpace_ = new HoldSpace(this);
    for (QWidget* part : std::initializer_list<QWidget*>{left_, line_, findings_, snapshots_}) {
        part->setVisible(false);
    }
}

void MainWindow::connectParts() {
    for (Stage* stage : stages_) {
        connectStage(stage);
    }
    connect(front_, &FrontView::chosen, this, [this](const QString& driver) {
        chooseDriver(driver);
        // Who clicks a driver wants to see it, unless its place is being edited.
        if (!front_->editing() && !stage_->followsDriver()) {
            chooseStage(QStringLiteral("measure"));
        }
    });
    connect(front_, &FrontView::tablesGiven, files_, &Files::importTables);
    connect(chips_, &CabinetChips::chosen, this, [this](const std::string& cabinet) {
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
    connect(front_, &FrontView::edited, this, apply);
    connect(front_, &FrontView::gestureEnded, this, endGesture);
    connect(frontEditor_, &FrontEditor::edited, this, apply);
    connect(frontEditor_, &FrontEditor::gestureEnded, this, endGesture);
    connect(frontEditor_, &FrontEditor::finished, this, [this] { setFrontEditing(false); });
    connect(route_, &Route::chosen, this, &MainWindow::showStage);
    connect(findings_, &FindingsPanel::edited, this, apply);
    connect(findings_, &FindingsPanel::previewed, this, [this](const edit::Edit& edit) {
        desk_.preview(edit);
    });
    connect(findings_, &FindingsPanel::previewEnded, &desk_, &Desk::endLook);
    connect(findings_, &FindingsPanel::showWanted, this, &MainWindow::showFinding);
    connect(line_, &LineBar::asked, this, [this](const QString& figure) {
        go({.stage = QStringLiteral("network"), .page = figure});
    });
    connect(line_, &LineBar::placeWanted, files_, &Files::askPlace);
    connect(startPage_, &StartPage::demoWanted, &desk_, &Desk::openDemo);
    connect(startPage_, &StartPage::newWanted, files_, &Files::askNew);
    connect(startPage_, &StartPage::practiceWanted, this, [this] {
        practise(QRandomGenerator::global()->bounded(1, 1'000'000), 1);
    });
    connect(practice_, &PracticePage::left, this, &MainWindow::leavePractice);
    connect(startPage_, &StartPage::openWanted, files_, &Files::askOpen);
    connect(startPage_, &StartPage::recentWanted, &desk_, &Desk::openJob);
    connect(startPage_, &StartPage::earlierWanted, files_, &Files::bringBack);
    connect(files_, &Files::importLeft, this, [this] { showStage(stage_); });
    connect(files_, &Files::importShown, this, [this] {
        pages_->setCurrentWidget(import_);
        route_->setCurrent(nullptr);
        findings_->setVisible(false);
    });
    connect(snapshots_, &SnapshotBar::nameGiven, this, [this](const QString& name) {
        tell(desk_.document()->takeSnapshot(name.toStdString()));
    });
    connect(snapshots_, &SnapshotBar::differencesWanted, this, &MainWindow::showDifferences);
    connect(snapshots_, &SnapshotBar::restoreWanted, this, &MainWindow::restoreSnapshot);
    connect(snapshots_, &SnapshotBar::chosenChanged, this, &MainWindow::displayRecord);
    connect(snapshots_, &SnapshotBar::forgetWanted, this, [this] {
        if (const job::Snapshot* snapshot = snapshots_->chosen(desk_.document()->record())) {
            tell(desk_.document()->dropSnapshot(snapshot->name));
        }
    });
    connect(holdSpace_, &HoldSpace::held, this, &MainWindow::holdSnapshot);
    connect(holdSpace_, &HoldSpace::letGo, &desk_, &Desk::endLook);
    connect(log_, &LogStrip::noteWritten, this, &MainWindow::writeNote);
    connect(help_, &HelpPane::shut, this, [this] { setFindingsShown(findingsWanted_); });
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
        notice_->clear();
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
    connect(&desk_, &Desk::told, notice_, &Notice::tell);
    connect(&desk_, &Desk::placeWanted, this, &MainWindow::offerPlace);
}

/// Where a job opens: the whole speaker at a glance.
Stage* MainWindow::firstStage() const {
    const auto network = std::ranges::find_if(
        stages_, [](const Stage* stage) { return stage->id() == QStringLiteral("network"); });
    return network == stages_.end() ? stages_.back() : *network;
}

void MainWindow::openedJob() {
    notice_->clear();
    differences_->setVisible(false);
    setFrontEditing(false);
    for (QWidget* part : std::initializer_list<QWidget*>{left_, line_, snapshots_}) {
        part->setVisible(true);
    }
    setFindingsShown(findingsWanted_);
    showStage(stage_ == nullptr ? firstStage() : stage_);
    displayRecord();
    updateTitle();
    front_->setFocus();
}

void MainWindow::displayAll() {
    const Sight& sight = desk_.sight();
    if (desk_.document() == nullptr || !sight.present) {
        return;
    }
    front_->display(sight.shown().job, sight.cabinet, sight.driver);
    chips_->display(sight.shown().job, sight.cabinet);
    if (frontEditor_->isVisible()) {
        frontEditor_->display(sight);
    }
    route_->display(sight);
    if (stage_ != nullptr) {
        stage_->display(sight);
    }
    findings_->display(sight);
    if (const evaluation::CabinetResult* result = sight.shownResult()) {
        line_->display(report::line(*result));
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
    snapshots_->display(record);
    holdSpace_->setWanted(snapshots_->chosen(record) != nullptr);
    if (log_->isVisible()) {
        log_->display(record.log);
    }
    if (differences_->isVisible()) {
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
        line_->setInMemory(document->everChanged());
    } else if (const QString why = desk_.writingFails(); !why.isEmpty()) {
        line_->setNotSaved(why);
    } else {
        // "saved" speaks of what is on the screen: the picture must have caught up as well.
        line_->setSaving(document->settled() && desk_.evaluated());
    }
}

void MainWindow::updateTitle() {
    if (menu_ != nullptr) {
        menu_->update();
    }
    if (desk_.document() == nullptr) {
        setWindowTitle(QStringLiteral("Yellowfront"));
        where_->setText({});
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
    where_->setText(where);
    where_->setToolTip(QFile::decodeName(desk_.document()->path().c_str()));
    setWindowTitle(title + QStringLiteral(" – Yellowfront"));
}

bool MainWindow::settled() const {
    return desk_.settled() && findings_->settled() && (stage_ == nullptr || !stage_->working());
}

void MainWindow::showStage(Stage* stage) {
    stage_ = stage;
    if (desk_.document() == nullptr) {
        return;
    }
    if (!desk_.lookedAt().empty()) {
        desk_.endLook();
    }
    if (pages_->currentWidget() == practice_) {
        practice_->rest();
        for (QWidget* part : std::initializer_list<QWidget*>{left_, line_, snapshots_}) {
            part->setVisible(true);
        }
    }
    pages_->setCurrentWidget(stage);
    front_->setSawing(stage->id() == QStringLiteral("align"));
    route_->setCurrent(stage);
    setFindingsShown(findingsWanted_);
    displayAll();
}

void MainWindow::practise(quint64 seed, int level) {
    notice_->clear();
    setFrontEditing(false);
    practice_->begin(seed, static_cast<sim::PracticeLevel>(level - 1));
    pages_->setCurrentWidget(practice_);
    route_->setCurrent(nullptr);
    // The open job, if any, has nothing to do with it.
    for (QWidget* part : std::initializer_list<QWidget*>{left_, line_, snapshots_, findings_}) {
        part->setVisible(false);
    }
}

void MainWindow::leavePractice() {
    practice_->rest();
    const bool open = desk_.document() != nullptr;
    for (QWidget* part : std::initializer_list<QWidget*>{left_, line_, snapshots_}) {
        part->setVisible(open);
    }
    if (open) {
        showStage(stage_);
    } else {
        showStart();
    }
}

void MainWindow::showStart() {
    startPage_->refresh();
    pages_->setCurrentWidget(startPage_);
    route_->setCurrent(nullptr);
}

void MainWindow::importTables(const QString& driver, const QStringList& files) {
    files_->importTables(driver, files);
}

void MainWindow::previewImport(const QStringList& files) {
    files_->previewFiles({}, files);
}

void MainWindow::chooseStage(const QString& id) {
    const auto found =
        std::ranges::find_if(stages_, [&](const Stage* stage) { return stage->id() == id; });
    if (found != stages_.end()) {
        showStage(*found);
    }
}

bool MainWindow::go(const Place& place) {
    if (!place.stage.isEmpty()) {
        chooseStage(place.stage);
    }
    return stage_ != nullptr && stage_->go(place);
}

namespace {

/// Where the eye is led to see what a rule found.
Place placeOf(const findings::Finding& finding, const std::vector<findings::Scope>& scopes) {
    using findings::Leads;
    static const std::map<Leads, std::pair<const char*, const char*>> leads{
        {Leads::intake, {"intake", ""}},
        {Leads::check, {"check", ""}},
        {Leads::polarity, {"check", "polarity"}},
        {Leads::measurement, {"measure", ""}},
        {Leads::box, {"box", ""}},
        {Leads::load, {"network", "impedance"}},
        {Leads::response, {"network", ""}},
        {Leads::align, {"align", ""}}};
    const auto& [stage, page] = leads.at(findings::rules()[finding.rule].leads);
    Place place{.stage = QLatin1String(stage), .page = QLatin1String(page)};
    if (place.page == QLatin1String("polarity")) {
        return place;
    }
    if (!finding.subject.part.empty()) {
        place.page.clear();
        place.subjects << words(finding.subject.part);
        return place;
    }
    // The crossover that it is about, if it is about one.
    for (const findings::Scope& scope : scopes) {
        if (const auto fx = scope.facts[findings::fact::align::fx_hz];
            fx && scope.subject == finding.subject) {
            place.frequency = fx;
        }
    }
    return place;
}

} // namespace

void MainWindow::showFinding(const findings::Finding& finding) {
    const findings::Subject& subject = finding.subject;
    if (!subject.cabinet.empty()) {
        desk_.chooseCabinet(subject.cabinet);
    }
    if (!subject.driver.empty()) {
        desk_.chooseDriver(words(subject.driver));
    }
    go(placeOf(finding, desk_.sight().present->findings.facts));
}

void MainWindow::setFrontEditing(bool editing) {
    front_->setEditing(editing);
    frontEditor_->setVisible(editing);
    setFindingsShown(findingsWanted_);
    displayAll();
}

void MainWindow::setFindingsShown(bool shown) {
    findingsWanted_ = shown;
    const bool room =
        width() >= widthForFindings && !help_->isVisible() && !frontEditor_->isVisibleTo(this);
    findings_->setVisible(shown && room && desk_.document() != nullptr);
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
    const bool start = pages_->currentWidget() == startPage_;
    help_->open(focus == nullptr || focus->window() != this
                    ? (start ? QStringLiteral("start") : QStringLiteral("index"))
                    : HelpPane::pageFor(focus));
    findings_->setVisible(false);
}

void MainWindow::showDifferences() {
    const job::Record& record = desk_.document()->record();
    const job::Snapshot* snapshot = snapshots_->chosen(record);
    differences_->setVisible(snapshot != nullptr);
    if (snapshot != nullptr) {
        differences_->display(*snapshot, record.job());
    } else {
        notice_->tell(Gravity::note, tr("No snapshot yet: name the present state at the top."));
    }
}

void MainWindow::holdSnapshot() {
    if (const job::Snapshot* snapshot = snapshots_->chosen(desk_.document()->record())) {
        desk_.look(snapshot->job, Words("◐ " + snapshot->name));
    }
}

void MainWindow::restoreSnapshot() {
    if (const job::Snapshot* snapshot = snapshots_->chosen(desk_.document()->record())) {
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
        notice_->tell(Gravity::stop, spoken(text::sentence(done.error())));
    }
}

void MainWindow::offerPlace(const QString& why) {
    notice_->offer(Gravity::stop, why, tr("Save to …"), [this] { files_->askPlace(); });
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
    QWidget* page = pages_->currentWidget();
    if (lastPlot_ && page->isAncestorOf(lastPlot_)) {
        return qobject_cast<Plot*>(lastPlot_);
    }
    return page->findChild<Plot*>();
}

void MainWindow::findCommand() {
    finder_->open(commands());
}

QVector<Command> MainWindow::commands() const {
    QVector<Command> all = menu_->commands();
    if (desk_.document() == nullptr || !desk_.sight().present) {
        return all;
    }
    auto* self = const_cast<MainWindow*>(this);
    const job::Job& job = desk_.document()->job();
    for (const job::Cabinet& cabinet : job.cabinets) {
        all.push_back({words(cabinet.name), tr("cabinet"), {}, [self, id = cabinet.id] {
                           self->desk_.chooseCabinet(id);
                       }});
        for (const job::Mount& mount : cabinet.mounts) {
            const QString text = words(job::findDriver(job, mount.driver)->name) +
                                 QStringLiteral(" · ") + words(cabinet.name);
            all.push_back({text, tr("driver"), {}, [self, id = mount.driver] {
                               self->chooseDriver(words(id));
                               self->chooseStage(QStringLiteral("measure"));
                           }});
        }
    }
    for (const job::Driver& driver : job.drivers) {
        for (const job::TakeKind kind : {job::TakeKind::response, job::TakeKind::impedance}) {
            if (const job::Take* take = job::takeInUse(job, driver, kind)) {
                all.push_back({words(take->name), tr("take"), {}, [self, id = driver.id] {
                                   self->chooseDriver(words(id));
                                   self->chooseStage(QStringLiteral("measure"));
                               }});
            }
        }
    }
    std::string last;
    for (const findings::Finding& finding : desk_.sight().present->findings.judgement.findings) {
        const findings::Rule& rule = findings::rules()[finding.rule];
        all.push_back({spoken(rule.what) + QStringLiteral(" · ") +
                           spoken(findings::subjectText(job, finding.subject)),
                       tr("finding"),
                       {},
                       [self, finding, id = words(rule.id)] {
                           self->setFindingsShown(true);
                           self->findings_->unfold(id);
                           self->showFinding(finding);
                       }});
    }
    return all;
}

void MainWindow::retheme() {
    // Strokes are part of what a picture shows.
    displayAll();
}

void MainWindow::keyPressEvent(QKeyEvent* event) {
    // Single letters reach the window only where nobody is writing.
    if (event->key() == Qt::Key_L && event->modifiers() == Qt::NoModifier &&
        desk_.document() != nullptr) {
        log_->askForNote();
        displayRecord();
        return;
    }
    QMainWindow::keyPressEvent(event);
}

void MainWindow::closeEvent(QCloseEvent* event) {
    event->setAccepted(desk_.mayLeave());
}

} // namespace yf::app
