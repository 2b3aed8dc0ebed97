// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/main_window.h"

#include "app/desk/recent.h"
#include "app/findings/findings_panel.h"
#include "app/frame/commands.h"
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
#include "app/widgets/ask.h"
#include "app/widgets/dropped_files.h"
#include "app/widgets/words.h"
#include "core/edit/front.h"
#include "core/edit/intake.h"
#include "core/edit/measurement.h"
#include "core/findings/words.h"
#include "core/job/store/earlier.h"
#include "core/measure/decode.h"
#include "core/report/line.h"
#include "core/take/import.h"
#include "core/text/sentence.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDate>
#include <QDragEnterEvent>
#include <QElapsedTimer>
#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QRandomGenerator>
#include <QSaveFile>
#include <QSettings>
#include <QStackedWidget>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int leftWidth = 212;

/// Below this width of the window the findings would leave the stage too little room; they wait
/// behind their key.
constexpr int widthForFindings = 1180;

QString measurementFilter() {
    return MainWindow::tr("Tables, impulse responses, impedances (*.txt *.csv *.dat *.wav *.s1p "
                          "*.json);;All files (*)");
}

QString jobFilter() {
    return MainWindow::tr("Jobs (*.yfjob);;All files (*)");
}

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
    connect(front_, &FrontView::tablesGiven, this, &MainWindow::importTables);
    connect(chips_, &CabinetChips::chosen, this, [this](const std::string& cabinet) {
        desk_.chooseCabinet(cabinet);
    });
    for (Plot* plot : findChildren<Plot*>()) {
        connect(plot, &Plot::saveWanted, this, [this, plot](PictureFormat format) {
            savePicture(*plot, format);
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
    connect(line_, &LineBar::asked, this, &MainWindow::follow);
    connect(line_, &LineBar::placeWanted, this, &MainWindow::askPlace);
    connect(startPage_, &StartPage::demoWanted, &desk_, &Desk::openDemo);
    connect(startPage_, &StartPage::newWanted, this, &MainWindow::askNew);
    connect(startPage_, &StartPage::practiceWanted, this, [this] {
        practise(QRandomGenerator::global()->bounded(1, 1'000'000), 1);
    });
    connect(practice_, &PracticePage::left, this, &MainWindow::leavePractice);
    connect(startPage_, &StartPage::openWanted, this, &MainWindow::askOpen);
    connect(startPage_, &StartPage::recentWanted, &desk_, &Desk::openJob);
    connect(startPage_, &StartPage::earlierWanted, this, &MainWindow::bringBack);
    connect(import_, &ImportSheet::left, this, &MainWindow::leaveImport);
    connect(import_,
            &ImportSheet::taken,
            this,
            [this](const QVector<std::pair<QString, job::Take>>& takes) {
                for (const auto& [driver, take] : takes) {
                    desk_.apply(edit::addTake(driver.toStdString(), take));
                    desk_.chooseDriver(driver);
                }
                leaveImport();
                notice_->tell(Gravity::good,
                              takes.size() == 1 ? tr("One take joined the job.")
                                                : tr("%1 takes joined the job.").arg(takes.size()));
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
    connect(stage, &Stage::tablesGiven, this, &MainWindow::importTables);
    connect(stage, &Stage::tablesWanted, this, &MainWindow::askTables);
    connect(stage, &Stage::picturesGiven, this, &MainWindow::addPictures);
    connect(stage, &Stage::picturesWanted, this, &MainWindow::askPictures);
    connect(stage, &Stage::fileWanted, this, &MainWindow::askFile);
    connect(stage, &Stage::fileOffered, this, &MainWindow::saveOffered);
    connect(
        stage, &Stage::snapshotWanted, this, [this](const QString& name, const edit::Edit& edit) {
            tell(desk_.document()->takeSnapshotOf(name.toStdString(), edit));
        });
    connect(stage, &Stage::driverWanted, &desk_, &Desk::chooseDriver);
    connect(stage, &Stage::stageWanted, this, [this](const QString& id, const QString& figure) {
        chooseStage(id);
        stage_->reveal(figure);
    });
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
    if (!desk_.lookedAt().isEmpty()) {
        where += tr("   –   a look at: %1").arg(spoken(desk_.lookedAt().toStdString()));
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
    if (!desk_.lookedAt().isEmpty()) {
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

void MainWindow::chooseStage(const QString& id) {
    const auto found =
        std::ranges::find_if(stages_, [&](const Stage* stage) { return stage->id() == id; });
    if (found != stages_.end()) {
        showStage(*found);
    }
}

void MainWindow::follow(const QString& figure) {
    chooseStage(QStringLiteral("network"));
    stage_->reveal(figure);
}

namespace {

QString stageOf(findings::Leads leads) {
    switch (leads) {
    case findings::Leads::intake:
        return QStringLiteral("intake");
    case findings::Leads::check:
    case findings::Leads::polarity:
        return QStringLiteral("check");
    case findings::Leads::measurement:
        return QStringLiteral("measure");
    case findings::Leads::box:
        return QStringLiteral("box");
    case findings::Leads::align:
        return QStringLiteral("align");
    case findings::Leads::load:
    case findings::Leads::response:
        break;
    }
    return QStringLiteral("network");
}

} // namespace

void MainWindow::showFinding(const findings::Finding& finding) {
    const findings::Subject& subject = finding.subject;
    const findings::Rule& rule = findings::rules()[finding.rule];
    if (!subject.cabinet.empty()) {
        desk_.chooseCabinet(subject.cabinet);
    }
    if (!subject.driver.empty()) {
        desk_.chooseDriver(words(subject.driver));
    }
    chooseStage(stageOf(rule.leads));
    // The crossover that it is about, if it is about one.
    std::optional<double> fx;
    for (const findings::Scope& scope : desk_.sight().present->findings.facts) {
        const auto fact = scope.facts.find("align.fx_hz");
        if (scope.subject == subject && fact != scope.facts.end()) {
            fx = std::get<double>(fact->second);
        }
    }
    if (rule.leads == findings::Leads::polarity) {
        stage_->reveal(QStringLiteral("check:polarity"));
    } else if (!subject.part.empty()) {
        stage_->reveal(QStringLiteral("part:") + words(subject.part));
    } else if (fx) {
        stage_->reveal(QStringLiteral("frequency:%1").arg(*fx));
    } else if (rule.leads == findings::Leads::load) {
        stage_->reveal(QStringLiteral("impedance"));
    } else {
        stage_->reveal(QStringLiteral("response"));
    }
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
        desk_.look(snapshot->job, QStringLiteral("◐ ") + words(snapshot->name));
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
    notice_->offer(Gravity::stop, why, tr("Save to …"), [this] { askPlace(); });
    displaySaved();
}

void MainWindow::importTables(const QString& driver, const QStringList& files) {
    if (desk_.document() == nullptr || files.isEmpty()) {
        return;
    }
    const job::Driver* found = desk_.driverNamed(driver);
    if (found == nullptr) {
        notice_->tell(Gravity::stop, tr("There is no driver '%1' in this job.").arg(driver));
        return;
    }
    // A set of angles is looked at first: a place misread would be a wrong curve, not a missing
    // one.
    std::vector<std::string> names;
    for (const QString& path : files) {
        names.push_back(QFileInfo(path).fileName().toStdString());
    }
    if (!take::likelyAngles(names).empty()) {
        previewFiles(driver, files);
        return;
    }
    const std::string id = found->id;
    const QString name = words(found->name);
    QStringList told;
    Gravity gravity = Gravity::good;
    for (const QString& path : files) {
        const QString base = QFileInfo(path).fileName();
        QFile file(path);
        if (!file.open(QIODevice::ReadOnly)) {
            gravity = Gravity::stop;
            told << QStringLiteral("%1: %2").arg(base, file.errorString());
            continue;
        }
        // One byte more than is allowed is enough for the importer to refuse by size.
        const QByteArray bytes = file.read(static_cast<qint64>(measure::largestTable) + 1);
        const auto imported = take::importTake(
            take::TableFile{bytes.toStdString(),
                            base.toStdString(),
                            QDate::currentDate().toString(Qt::ISODate).toStdString()});
        if (!imported) {
            gravity = Gravity::stop;
            told << spoken(text::sentence(imported.error())) + QStringLiteral(". ") +
                        tr("Nothing was changed.");
            continue;
        }
        if (imported->doubtful && gravity == Gravity::good) {
            gravity = Gravity::mind;
        }
        told << tr("%1 for %2: %3").arg(base, name, spoken(imported->told));
        desk_.apply(edit::addTake(id, imported->take));
    }
    desk_.chooseDriver(words(id));
    notice_->offer(gravity, told.join(u'\n'), tr("Look and correct …"), [this, driver, files] {
        previewFiles(driver, files);
    });
}

void MainWindow::previewFiles(const QString& driver, const QStringList& files) {
    if (desk_.document() == nullptr || !desk_.sight().present || files.isEmpty()) {
        notice_->tell(Gravity::note,
                      tr("Open a job or make a new one first; then drop the files."));
        return;
    }
    const job::Driver* found = driver.isEmpty() ? nullptr : desk_.driverNamed(driver);
    notice_->clear();
    import_->open(desk_.sight(), files, found == nullptr ? QString{} : words(found->id));
    pages_->setCurrentWidget(import_);
    route_->setCurrent(nullptr);
    findings_->setVisible(false);
}

void MainWindow::leaveImport() {
    showStage(stage_);
}

void MainWindow::askMeasurements() {
    previewFiles({}, ask_.filesToOpen(this, tr("Measurements"), measurementFilter()));
}

void MainWindow::editEvidence() {
    const QString file = ownEvidenceFile();
    const bool isNew = !QFile::exists(file);
    const Done written = writeOwnEvidence();
    if (!written) {
        tell(written);
        return;
    }
    const auto used = ownTables();
    desk_.setTables(used ? *used : evaluation::Tables::shipped());
    desk_.evaluateAgain();
    if (!used) {
        notice_->tell(Gravity::stop,
                      spoken(text::sentence(used.error())) + QStringLiteral(". ") +
                          tr("The shipped table is in force meanwhile."));
    } else {
        notice_->tell(Gravity::good,
                      isNew ? tr("The evidence table is in %1: edit its likelihoods there, then "
                                 "choose this again to have it read. Without that file the shipped "
                                 "table is used.")
                                  .arg(file)
                            : tr("The evidence table was read from %1 and is in force.").arg(file));
    }
}

void MainWindow::askPictures() {
    addPictures(
        ask_.filesToOpen(this, tr("Pictures of the speaker"), tr("Pictures (*.png *.jpg *.jpeg)")));
}

void MainWindow::addPictures(const QStringList& files) {
    for (const QString& path : files) {
        QFile file(path);
        if (!file.open(QIODevice::ReadOnly)) {
            notice_->tell(Gravity::stop, QStringLiteral("%1: %2").arg(path, file.errorString()));
            continue;
        }
        // One byte more than is allowed is enough to be refused by size.
        const QByteArray bytes = file.read(static_cast<qint64>(edit::largestPhoto) + 1);
        desk_.apply(edit::addPhoto(QFileInfo(path).fileName().toStdString(), bytes.toStdString()));
    }
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (!droppedFiles(event->mimeData()).isEmpty()) {
        event->acceptProposedAction();
    }
}

void MainWindow::dropEvent(QDropEvent* event) {
    event->acceptProposedAction();
    const QStringList files = droppedFiles(event->mimeData());
    if (files.size() == 1 && files.front().endsWith(QStringLiteral(".yfjob"))) {
        desk_.openJob(files.front());
    } else {
        previewFiles({}, files);
    }
}

void MainWindow::askTables(const QString& driver) {
    importTables(driver, ask_.filesToOpen(this, tr("Open tables"), measurementFilter()));
}

void MainWindow::askFile(const QString& title, const QString& filter, const FileTaker& take) {
    const QStringList files = ask_.filesToOpen(this, title, filter);
    if (!files.isEmpty()) {
        take(files.front());
    }
}

void MainWindow::saveOffered(const QString& title, const QString& name, const QByteArray& bytes) {
    const QString path =
        ask_.fileToWrite(this, title, name, QStringLiteral("*.") + QFileInfo(name).suffix());
    if (path.isEmpty()) {
        return;
    }
    QSaveFile file(path);
    if (file.open(QIODevice::WriteOnly) && file.write(bytes) == bytes.size() && file.commit()) {
        notice_->tell(Gravity::good, tr("Written to %1.").arg(path));
    } else {
        notice_->tell(Gravity::stop,
                      tr("%1 could not be written: %2").arg(path, file.errorString()));
    }
}

void MainWindow::savePicture(Plot& plot, PictureFormat format) {
    static const QString endings[] = {
        QStringLiteral("png"), QStringLiteral("svg"), QStringLiteral("pdf"), QStringLiteral("csv")};
    const QString& ending = endings[static_cast<std::size_t>(format)];
    const QString path = ask_.fileToWrite(
        this, tr("Save the picture"), plot.title() + u'.' + ending, QStringLiteral("*.") + ending);
    if (path.isEmpty()) {
        return;
    }
    if (plot.save(path, format)) {
        notice_->tell(Gravity::good,
                      tr("%1 is in %2, at the house scale.").arg(plot.title(), path));
    } else {
        notice_->tell(Gravity::stop,
                      tr("%1 could not be written; choose a place that may be written.").arg(path));
    }
}

void MainWindow::askOpen() {
    const QStringList files = ask_.filesToOpen(this, tr("Open a job"), jobFilter());
    if (!files.isEmpty()) {
        desk_.openJob(files.front());
    }
}

void MainWindow::askNew(const edit::NewJob& wanted) {
    if (const auto job = edit::newJob(wanted); !job) {
        notice_->tell(Gravity::stop, spoken(text::sentence(job.error())));
        return;
    }
    const QString path = ask_.fileToWrite(
        this, tr("New job"), words(wanted.title) + QStringLiteral(".yfjob"), jobFilter());
    if (!path.isEmpty()) {
        desk_.createJob(wanted, path);
    }
}

void MainWindow::askCopy() {
    const QString path =
        ask_.fileToWrite(this,
                         tr("Save a copy"),
                         words(desk_.document()->job().title) + QStringLiteral(" copy.yfjob"),
                         jobFilter());
    if (path.isEmpty()) {
        return;
    }
    const auto copied = desk_.document()->copyTo(QFile::encodeName(path).toStdString());
    if (copied) {
        notice_->tell(Gravity::good,
                      tr("A copy is in %1. Work goes on in the job that was open.").arg(path));
    }
    tell(copied);
}

void MainWindow::askPlace() {
    const QString path =
        ask_.fileToWrite(this,
                         tr("A file for this job"),
                         words(desk_.document()->job().title) + QStringLiteral(".yfjob"),
                         jobFilter());
    if (!path.isEmpty()) {
        desk_.saveTo(path);
    }
}

void MainWindow::bringBack(const EarlierChoice& choice) {
    const QFileInfo info(choice.path);
    QString at = choice.at;
    at.replace(u':', u'.');
    const QString path = ask_.fileToWrite(
        this,
        tr("The state of %1 as a file of its own").arg(choice.at),
        QStringLiteral("%1/%2 (%3).yfjob").arg(info.absolutePath(), info.completeBaseName(), at),
        jobFilter());
    if (path.isEmpty()) {
        return;
    }
    const auto brought = job::store::bringBack({choice.file.toStdString(), {}},
                                               QFile::encodeName(path).toStdString());
    if (!brought) {
        tell(brought);
        return;
    }
    if (desk_.openJob(path)) {
        notice_->tell(Gravity::good,
                      tr("This is the state of %1, in a file of its own. The job itself was left "
                         "as it is.")
                          .arg(choice.at));
    }
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

void MainWindow::reveal(const QString& part) {
    if (part == QLatin1String("front-editor")) {
        setFrontEditing(true);
    } else if (part == QLatin1String("log")) {
        log_->setVisible(true);
        displayRecord();
    } else if (part == QLatin1String("help")) {
        showHelp();
    } else if (part == QLatin1String("finder")) {
        findCommand();
    } else if (part == QLatin1String("differences")) {
        showDifferences();
    } else if (part == QLatin1String("start")) {
        showStart();
    } else if (part.startsWith(QLatin1String("finding:"))) {
        findings_->unfold(part.mid(8));
    } else if (part.startsWith(QLatin1String("practise:"))) {
        const QStringList order = part.split(u':');
        practise(order.value(1).toULongLong(), std::clamp(order.value(2).toInt(), 1, 3));
        if (order.size() > 3) {
            practice_->replay(order[3].split(u'+'), order.value(4));
        }
    } else if (part.startsWith(QLatin1String("check:"))) {
        stage_->reveal(part);
    } else if (part.startsWith(QLatin1String("measure:")) ||
               part.startsWith(QLatin1String("box:")) || part.startsWith(QLatin1String("align:")) ||
               part.startsWith(QLatin1String("network:"))) {
        stage_->reveal(part.mid(part.indexOf(u':') + 1));
    } else if (part.startsWith(QLatin1String("drag:"))) {
        // A driver in the hand, the button still down: "drag:DRIVER:RIGHT:UP" in mm.
        const QStringList order = part.split(u':');
        const auto from = front_->placeOf(order.value(1).toStdString());
        if (from) {
            const double pixels = front_->pixelsForMetre() / 1e3;
            const QPointF to = *from + QPointF(order.value(2).toDouble() * pixels,
                                               -order.value(3).toDouble() * pixels);
            const auto send = [&](QEvent::Type type, const QPointF& at, Qt::MouseButton button) {
                QMouseEvent event(
                    type, at, front_->mapToGlobal(at), button, Qt::LeftButton, Qt::NoModifier);
                QApplication::sendEvent(front_, &event);
            };
            send(QEvent::MouseButtonPress, *from, Qt::LeftButton);
            send(QEvent::MouseMove, to, Qt::NoButton);
        }
    } else if (part.startsWith(QLatin1String("wait:"))) {
        QElapsedTimer waited;
        waited.start();
        while (waited.elapsed() < part.mid(5).toInt()) {
            QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents, 20);
        }
    } else if (part == QLatin1String("snapshot")) {
        holdSnapshot();
    }
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
