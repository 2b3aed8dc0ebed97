// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/main_window.h"

#include "app/front/front_view.h"
#include "app/line/line_bar.h"
#include "app/route.h"
#include "app/stages.h"
#include "app/start_page.h"
#include "app/theme/theme.h"
#include "app/widgets/ask.h"
#include "app/widgets/notice.h"
#include "app/widgets/words.h"
#include "core/job/import_take.h"
#include "core/report/line.h"
#include "core/text/sentence.h"
#include "demo/projection_room.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDate>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenuBar>
#include <QSettings>
#include <QStackedWidget>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int leftWidth = 212;

QString jobFilter() {
    return MainWindow::tr("Jobs (*.yfjob);;All files (*)");
}

QWidget* hairline(QWidget* parent) {
    auto* line = new QWidget(parent);
    line->setFixedHeight(1);
    line->setAutoFillBackground(true);
    line->setBackgroundRole(QPalette::Mid);
    return line;
}

} // namespace

MainWindow::MainWindow(Ask& ask, QWidget* parent) : QMainWindow(parent), ask_(ask) {
    setObjectName(QStringLiteral("main_window"));
    resize(1280, 800);
    setMinimumSize(1024, 700);
    build();
    buildMenus();
    connect(&evaluator_, &Evaluator::ready, this, &MainWindow::showResult);
    updateTitle();
}

MainWindow::~MainWindow() {
    keepDemoIfChanged();
    // Widgets die after the members of this class; a tile that loses the focus on the way still
    // tells its stage, and that must not reach a document that is gone.
    for (Stage* stage : stages_) {
        stage->disconnect(this);
    }
}

void MainWindow::build() {
    auto* middle = new QWidget(this);
    setCentralWidget(middle);
    where_ = new QLabel(middle);
    where_->setObjectName(QStringLiteral("where"));
    where_->setTextFormat(Qt::PlainText);
    QFont bold = font();
    bold.setPointSizeF(11.0);
    bold.setWeight(QFont::DemiBold);
    where_->setFont(bold);
    front_ = new FrontView(middle);
    notice_ = new Notice(middle);
    line_ = new LineBar(middle);
    pages_ = new QStackedWidget(middle);
    startPage_ = new StartPage(middle);
    pages_->addWidget(startPage_);
    stages_ = makeStages(middle);
    for (Stage* stage : stages_) {
        pages_->addWidget(stage);
        connectStage(stage);
    }
    route_ = new Route(stages_, middle);

    left_ = new QWidget(middle);
    left_->setFixedWidth(leftWidth);
    auto* leftColumn = new QVBoxLayout(left_);
    leftColumn->setContentsMargins(8, 4, 4, 8);
    leftColumn->addWidget(front_, 1);
    leftColumn->addWidget(hairline(left_));
    leftColumn->addWidget(route_);
    auto* head = new QHBoxLayout;
    head->setContentsMargins(12, 4, 12, 4);
    head->addWidget(where_, 1);
    for (QToolButton** button : {&undoButton_, &redoButton_}) {
        *button = new QToolButton(middle);
        head->addWidget(*button);
    }
    auto* body = new QHBoxLayout;
    body->setSpacing(0);
    body->addWidget(left_);
    body->addWidget(pages_, 1);
    auto* column = new QVBoxLayout(middle);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addLayout(head);
    column->addWidget(hairline(middle));
    column->addWidget(notice_);
    column->addLayout(body, 1);
    column->addWidget(hairline(middle));
    column->addWidget(line_);

    connect(front_, &FrontView::chosen, this, [this](const QString& driver) {
        chooseDriver(driver);
        // Who clicks a driver wants to see its curves, unless a stage that shows all of them is up.
        showStage(stages_.front());
    });
    connect(front_, &FrontView::tablesGiven, this, &MainWindow::importTables);
    connect(route_, &Route::chosen, this, &MainWindow::showStage);
    connect(line_, &LineBar::asked, this, &MainWindow::follow);
    connect(startPage_, &StartPage::demoWanted, this, &MainWindow::openDemo);
    connect(startPage_, &StartPage::newWanted, this, &MainWindow::askNew);
    connect(startPage_, &StartPage::openWanted, this, &MainWindow::askOpen);
    left_->setVisible(false);
    line_->setVisible(false);
}

QAction* MainWindow::addAction(QMenu* menu,
                               const QString& text,
                               const QString& name,
                               const QKeySequence& keys,
                               void (MainWindow::*slot)()) {
    auto* action = new QAction(text, this);
    action->setObjectName(name);
    action->setShortcut(keys);
    connect(action, &QAction::triggered, this, slot);
    menu->addAction(action);
    return action;
}

void MainWindow::buildMenus() {
    QMenu* job = menuBar()->addMenu(tr("&Job"));
    addAction(job,
              tr("&New two-way …"),
              QStringLiteral("action_new"),
              QKeySequence::New,
              &MainWindow::askNew);
    addAction(job,
              tr("&Open …"),
              QStringLiteral("action_open"),
              QKeySequence::Open,
              &MainWindow::askOpen);
    addAction(job, tr("Open the &demo"), QStringLiteral("action_demo"), {}, &MainWindow::askDemo);
    copy_ = addAction(job,
                      tr("Save a &copy …"),
                      QStringLiteral("action_copy"),
                      QKeySequence::SaveAs,
                      &MainWindow::askCopy);
    job->addSeparator();
    QAction* quit = job->addAction(tr("&Quit"));
    quit->setShortcut(QKeySequence::Quit);
    connect(quit, &QAction::triggered, this, &QWidget::close);

    QMenu* edit = menuBar()->addMenu(tr("&Edit"));
    undo_ = addAction(
        edit, tr("&Undo"), QStringLiteral("action_undo"), QKeySequence::Undo, &MainWindow::undo);
    redo_ = addAction(
        edit, tr("&Redo"), QStringLiteral("action_redo"), QKeySequence::Redo, &MainWindow::redo);

    undoButton_->setDefaultAction(undo_);
    redoButton_->setDefaultAction(redo_);

    QMenu* view = menuBar()->addMenu(tr("&View"));
    for (Stage* stage : stages_) {
        QAction* action = view->addAction(stage->title());
        action->setObjectName(QStringLiteral("action_stage_") + stage->id());
        action->setShortcut(
            QKeySequence(Qt::CTRL | static_cast<Qt::Key>(Qt::Key_0 + stage->place())));
        connect(action, &QAction::triggered, this, [this, stage] { showStage(stage); });
    }
    view->addSeparator();
    dark_ = addAction(view,
                      tr("&Graphite (dark)"),
                      QStringLiteral("action_dark"),
                      QKeySequence(Qt::CTRL | Qt::Key_D),
                      &MainWindow::switchTheme);
    dark_->setCheckable(true);
    dark_->setChecked(themeName() == ThemeName::graphite);
}

void MainWindow::connectStage(Stage* stage) {
    connect(stage, &Stage::edited, this, [this](const job::Edit& edit) {
        if (document_) {
            previewing_ = false;
            document_->apply(edit);
        }
    });
    connect(stage, &Stage::gestureEnded, this, [this] {
        if (document_) {
            document_->endGesture();
        }
    });
    connect(stage, &Stage::previewed, this, &MainWindow::preview);
    connect(stage, &Stage::previewEnded, this, &MainWindow::endPreview);
    connect(stage, &Stage::tablesGiven, this, &MainWindow::importTables);
    connect(stage, &Stage::tablesWanted, this, [this](const QString& driver) {
        importTables(
            driver,
            ask_.filesToOpen(this,
                             tr("Open tables"),
                             tr("Text tables (*.txt *.csv *.frd *.zma *.dat);;All files (*)")));
    });
}

bool MainWindow::openJob(const QString& path) {
    if (!mayLeave()) {
        return false;
    }
    auto document = Document::open(QFile::encodeName(path).toStdString());
    if (!document) {
        notice_->tell(Gravity::stop, words(text::sentence(document.error())));
        return false;
    }
    take(std::move(*document));
    if (document_->readOnly()) {
        notice_->tell(Gravity::mind,
                      tr("%1 is open for reading only: a newer version made it, or the file may "
                         "not be written. Save a copy to go on.")
                          .arg(path));
    }
    return true;
}

bool MainWindow::newJob(const QString& path) {
    if (!mayLeave()) {
        return false;
    }
    const job::History history(job::newTwoWay(QFileInfo(path).completeBaseName().toStdString()));
    auto document = Document::create(QFile::encodeName(path).toStdString(), history);
    if (!document) {
        notice_->tell(Gravity::stop, words(text::sentence(document.error())));
        return false;
    }
    take(std::move(*document));
    notice_->tell(Gravity::note,
                  tr("Drop a response table and an impedance table on each driver of the Front. "
                     "Every change is saved in %1.")
                      .arg(path));
    return true;
}

bool MainWindow::mayLeave() {
    if (!document_) {
        return true;
    }
    document_->waitUntilSaved();
    if (document_->allWritten() || warned_) {
        warned_ = false;
        return true;
    }
    warned_ = true;
    notice_->tell(
        Gravity::stop,
        tr("The last changes could not be written to %1. Save a copy somewhere else; or do it once "
           "more to leave them behind.")
            .arg(QFile::decodeName(document_->path().c_str())));
    return false;
}

void MainWindow::keepDemoIfChanged() {
    // An untouched demo leaves nothing behind; a changed one stays where its path says.
    if (demoFolder_ && document_) {
        demoFolder_->setAutoRemove(!document_->everChanged());
    }
}

bool MainWindow::openDemo() {
    if (!mayLeave()) {
        return false;
    }
    const auto history = demo::projectionRoom(demo::tables());
    if (!history) {
        notice_->tell(Gravity::stop, words(text::sentence(history.error())));
        return false;
    }
    auto folder = std::make_unique<QTemporaryDir>(QDir::tempPath() +
                                                  QStringLiteral("/yellowfront-demo-XXXXXX"));
    const QString path = folder->filePath(QStringLiteral("Lantern Hall projection room.yfjob"));
    auto document = Document::create(QFile::encodeName(path).toStdString(), *history);
    if (!document) {
        notice_->tell(Gravity::stop, words(text::sentence(document.error())));
        return false;
    }
    take(std::move(*document));
    demoFolder_ = std::move(folder);
    return true;
}

void MainWindow::take(std::unique_ptr<Document> document) {
    keepDemoIfChanged();
    document_ = std::move(document);
    demoFolder_.reset();
    connect(document_.get(), &Document::changed, this, &MainWindow::submit);
    connect(document_.get(), &Document::refused, this, [this](const QString& why) {
        notice_->tell(Gravity::stop, why);
        displayAll();
    });
    connect(document_.get(), &Document::saved, this, [this] {
        writingFails_ = false;
        updateSaved();
    });
    connect(document_.get(), &Document::notSaved, this, [this](const QString& why) {
        writingFails_ = true;
        line_->setNotSaved(why);
    });
    writingFails_ = false;
    notice_->clear();
    sight_ = {};
    previewing_ = false;
    const job::Job& job = document_->job();
    sight_.cabinet = job.cabinets.empty() ? std::string{} : job.cabinets.front().id;
    sight_.driver = job.drivers.empty() ? std::string{} : job.drivers.front().id;
    showStage(stage_ == nullptr ? stages_.back() : stage_);
    submit();
    firstRevision_ = evaluator_.submitted();
}

void MainWindow::submit() {
    evaluator_.submit(document_->job(), Purpose::present);
    updateTitle();
    updateSaved();
}

void MainWindow::preview(const job::Edit& edit) {
    if (!document_) {
        return;
    }
    const auto job = edit.apply(document_->job());
    if (!job) {
        notice_->tell(Gravity::stop, words(text::sentence(job.error())));
        endPreview();
        return;
    }
    notice_->clear();
    previewing_ = true;
    previewName_ = edit.name;
    updateTitle();
    previewRevision_ = evaluator_.submit(*job, Purpose::preview);
}

void MainWindow::endPreview() {
    previewing_ = false;
    sight_.preview.reset();
    updateTitle();
    displayAll();
}

void MainWindow::showResult(const std::shared_ptr<const Evaluated>& result) {
    if (result->evaluation.revision < firstRevision_) {
        return;
    }
    if (result->purpose == Purpose::present) {
        sight_.present = result;
        // A change of the present ends a preview that was made for the state before.
        if (!previewing_) {
            sight_.preview.reset();
        }
    } else if (previewing_ && result->evaluation.revision == previewRevision_) {
        sight_.preview = result;
    }
    displayAll();
}

void MainWindow::displayAll() {
    if (!document_ || !sight_.present) {
        return;
    }
    front_->display(sight_.shown().job, sight_.cabinet, sight_.driver);
    route_->display(sight_);
    if (stage_ != nullptr) {
        stage_->display(sight_);
    }
    if (const job::CabinetResult* result = sight_.shownResult()) {
        line_->display(report::line(*result));
    }
    updateSaved();
    Q_EMIT displayed();
}

void MainWindow::showStage(Stage* stage) {
    stage_ = stage;
    if (!document_) {
        return;
    }
    if (previewing_) {
        endPreview();
    }
    left_->setVisible(true);
    line_->setVisible(true);
    pages_->setCurrentWidget(stage);
    route_->setCurrent(stage);
    displayAll();
}

void MainWindow::chooseStage(const QString& id) {
    const auto found =
        std::ranges::find_if(stages_, [&](const Stage* stage) { return stage->id() == id; });
    if (found != stages_.end()) {
        showStage(*found);
    }
}

const job::Driver* MainWindow::driverNamed(const QString& driver) const {
    const std::string name = driver.toStdString();
    const auto& drivers = document_->job().drivers;
    const auto found = std::ranges::find_if(
        drivers, [&](const job::Driver& d) { return d.id == name || d.name == name; });
    return found == drivers.end() ? nullptr : &*found;
}

void MainWindow::chooseDriver(const QString& driver) {
    if (const job::Driver* found = document_ ? driverNamed(driver) : nullptr) {
        sight_.driver = found->id;
        displayAll();
    }
}

void MainWindow::importTables(const QString& driver, const QStringList& files) {
    if (!document_ || files.isEmpty()) {
        return;
    }
    const job::Driver* found = driverNamed(driver);
    if (found == nullptr) {
        notice_->tell(Gravity::stop, tr("There is no driver '%1' in this job.").arg(driver));
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
            told << tr("%1: %2").arg(base, file.errorString());
            continue;
        }
        // One byte more than is allowed is enough for the importer to refuse by size.
        const QByteArray bytes = file.read(static_cast<qint64>(measure::largestTable) + 1);
        const auto imported =
            job::importTake({bytes.toStdString(),
                             base.toStdString(),
                             QDate::currentDate().toString(Qt::ISODate).toStdString()});
        if (!imported) {
            gravity = Gravity::stop;
            told << words(text::sentence(imported.error())) + QStringLiteral(". ") +
                        tr("Nothing was changed.");
            continue;
        }
        if (imported->doubtful && gravity == Gravity::good) {
            gravity = Gravity::mind;
        }
        told << tr("%1 for %2: %3").arg(base, name, words(imported->told));
        document_->apply(job::addTake(id, imported->take));
    }
    sight_.driver = id;
    notice_->tell(gravity, told.join(u'\n'));
    displayAll();
}

bool MainWindow::settled() const {
    return document_ != nullptr && sight_.present != nullptr && !evaluator_.busy() &&
           document_->settled();
}

void MainWindow::updateSaved() {
    if (document_ && !writingFails_) {
        // "saved" speaks of what is on the screen: the picture must have caught up as well.
        line_->setSaving(document_->settled() && !evaluator_.busy());
    }
}

void MainWindow::updateTitle() {
    const job::History* history = document_ ? &document_->history() : nullptr;
    const bool may = history != nullptr && !document_->readOnly();
    undo_->setEnabled(may && history->canUndo());
    undo_->setText(undo_->isEnabled() ? tr("&Undo: %1").arg(words(history->undoName()))
                                      : tr("&Undo"));
    redo_->setEnabled(may && history->canRedo());
    redo_->setText(redo_->isEnabled() ? tr("&Redo: %1").arg(words(history->redoName()))
                                      : tr("&Redo"));
    copy_->setEnabled(history != nullptr);
    if (history == nullptr) {
        setWindowTitle(QStringLiteral("Yellowfront"));
        where_->setText(QStringLiteral("Yellowfront"));
        return;
    }
    const job::Cabinet* cabinet = job::findCabinet(history->job(), sight_.cabinet);
    const QString title = words(history->job().title);
    QString where =
        cabinet == nullptr ? title : title + QStringLiteral("  ▸  ") + words(cabinet->name);
    if (previewing_) {
        where += tr("   –   a look at: %1").arg(words(previewName_));
    }
    where_->setText(where);
    where_->setToolTip(QFile::decodeName(document_->path().c_str()));
    setWindowTitle(title + QStringLiteral(" – Yellowfront"));
}

void MainWindow::follow(const QString& figure) {
    chooseStage(QStringLiteral("network"));
    stage_->reveal(figure);
}

void MainWindow::askOpen() {
    const QStringList files = ask_.filesToOpen(this, tr("Open a job"), jobFilter());
    if (!files.isEmpty()) {
        openJob(files.front());
    }
}

void MainWindow::askNew() {
    QString path = ask_.fileToWrite(this, tr("New two-way"), tr("New two-way.yfjob"), jobFilter());
    if (!path.isEmpty()) {
        newJob(path);
    }
}

void MainWindow::askDemo() {
    openDemo();
}

void MainWindow::askCopy() {
    const QString path =
        ask_.fileToWrite(this,
                         tr("Save a copy"),
                         words(document_->job().title) + QStringLiteral(" copy.yfjob"),
                         jobFilter());
    if (path.isEmpty()) {
        return;
    }
    const auto copied = document_->copyTo(QFile::encodeName(path).toStdString());
    if (copied) {
        notice_->tell(Gravity::good,
                      tr("A copy is in %1. Work goes on in the job that was open.").arg(path));
    } else {
        notice_->tell(Gravity::stop, words(text::sentence(copied.error())));
    }
}

void MainWindow::undo() {
    if (document_) {
        document_->undo();
    }
}

void MainWindow::redo() {
    if (document_) {
        document_->redo();
    }
}

void MainWindow::switchTheme() {
    const ThemeName name = themeName() == ThemeName::linen ? ThemeName::graphite : ThemeName::linen;
    applyTheme(*qApp, name);
    dark_->setChecked(name == ThemeName::graphite);
    QSettings().setValue(QStringLiteral("theme"), static_cast<int>(name));
    // Strokes are part of what a picture shows.
    displayAll();
}

void MainWindow::closeEvent(QCloseEvent* event) {
    event->setAccepted(mayLeave());
}

} // namespace yf::app
