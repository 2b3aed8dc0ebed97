// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/main_menu.h"

#include "app/desk/recent.h"
#include "app/findings/findings_panel.h"
#include "app/frame/files.h"
#include "app/frame/main_window.h"
#include "app/frame/settings.h"
#include "app/frame/start_page.h"
#include "app/front/front_view.h"
#include "app/help/help_pane.h"
#include "app/history/log_strip.h"
#include "app/history/snapshot_bar.h"
#include "app/plots/plot.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/edit/front.h"

#include <QActionGroup>
#include <QApplication>
#include <QLabel>
#include <QMenuBar>
#include <QRandomGenerator>
#include <QToolButton>

#include <tuple>

namespace yf::app {

MainMenu::MainMenu(MainWindow& window) : QObject(&window), window_(window) {
    fillJob();
    fillEdit();
    fillView();
    fillPicture();
    fillHelp();
    update();
}

template <class F>
QAction* MainMenu::add(QMenu* menu, const Entry& entry, F&& run) {
    auto* action = new QAction(entry.text, &window_);
    action->setObjectName(QStringLiteral("action_") + entry.name);
    action->setShortcut(entry.keys);
    connect(action, &QAction::triggered, this, std::forward<F>(run));
    menu->addAction(action);
    all_.push_back(action);
    return action;
}

void MainMenu::fillJob() {
    QMenu* job = window_.menuBar()->addMenu(tr("&Job"));
    add(job, {tr("&New job …"), QStringLiteral("new"), QKeySequence::New}, [this] {
        window_.showStart();
        window_.parts_.startPage->focusNewJob();
    });
    add(job, {tr("&Open …"), QStringLiteral("open"), QKeySequence::Open}, [this] {
        window_.files_->askOpen();
    });
    recent_ = job->addMenu(tr("Open a&gain"));
    connect(recent_, &QMenu::aboutToShow, this, &MainMenu::fillRecent);
    add(job, {tr("Open the &demo"), QStringLiteral("demo"), {}}, [this] { window_.openDemo(); });
    add(job, {tr("&Practise"), QStringLiteral("practise"), {}}, [this] {
        window_.practise(QRandomGenerator::global()->bounded(1, 1'000'000), 1);
    });
    add(job, {tr("&Start page"), QStringLiteral("start"), {}}, [this] { window_.showStart(); });
    job->addSeparator();
    needJob_ << add(job,
                    {tr("&Import measurements …"),
                     QStringLiteral("import"),
                     QKeySequence(Qt::CTRL | Qt::Key_I)},
                    [this] { window_.files_->askMeasurements(); });
    needJob_ << add(job,
                    {tr("Save a &copy …"), QStringLiteral("copy"), QKeySequence::SaveAs},
                    [this] { window_.files_->askCopy(); });
    place_ = add(job, {tr("Give the changes a &file …"), QStringLiteral("place"), {}}, [this] {
        window_.files_->askPlace();
    });
    job->addSeparator();
    add(job, {tr("&Quit"), QStringLiteral("quit"), QKeySequence::Quit}, [this] {
        window_.close();
    });
}

void MainMenu::fillRecent() {
    recent_->clear();
    for (const RecentJob& job : recentJobs()) {
        QAction* action = recent_->addAction(job.title);
        action->setToolTip(job.path);
        connect(
            action, &QAction::triggered, this, [this, path = job.path] { window_.openJob(path); });
    }
    if (recent_->isEmpty()) {
        recent_->addAction(tr("no job yet"))->setEnabled(false);
    }
}

void MainMenu::fillEdit() {
    QMenu* edit = window_.menuBar()->addMenu(tr("&Edit"));
    undo_ = add(edit, {tr("&Undo"), QStringLiteral("undo"), QKeySequence::Undo}, [this] {
        window_.desk_.document()->undo();
    });
    redo_ = add(edit, {tr("&Redo"), QStringLiteral("redo"), QKeySequence::Redo}, [this] {
        window_.desk_.document()->redo();
    });
    // Buttons of their own: one that took the action's ever new name would have the whole window
    // laid out anew with each change.
    for (const auto& [button, action, text] :
         {std::tuple{window_.parts_.undoButton, undo_, tr("Undo")},
          std::tuple{window_.parts_.redoButton, redo_, tr("Redo")}}) {
        button->setText(text);
        connect(button, &QToolButton::clicked, action, &QAction::trigger);
    }
    edit->addSeparator();
    editFront_ = add(
        edit,
        {tr("Edit the &front"), QStringLiteral("edit_front"), QKeySequence(Qt::CTRL | Qt::Key_E)},
        [this] { window_.setFrontEditing(editFront_->isChecked()); });
    editFront_->setCheckable(true);
    window_.parts_.editFront->setDefaultAction(editFront_);
    auto* units = new QActionGroup(this);
    metric_ = add(edit, {tr("Lengths in &metres"), QStringLiteral("metric"), {}}, [this] {
        window_.desk_.apply(edit::changeUnits(job::LengthUnits::metric));
    });
    inch_ = add(edit, {tr("Lengths in &inches"), QStringLiteral("inch"), {}}, [this] {
        window_.desk_.apply(edit::changeUnits(job::LengthUnits::inch));
    });
    for (QAction* action : {metric_, inch_}) {
        action->setCheckable(true);
        units->addAction(action);
    }
    add(edit,
        {tr("E&vidence table: write it out, read it again"), QStringLiteral("evidence"), {}},
        [this] { window_.files_->editEvidence(); });
    edit->addSeparator();
    needJob_ << editFront_ << metric_ << inch_
             << add(edit,
                    {tr("Name the present &state …"),
                     QStringLiteral("snapshot"),
                     QKeySequence(Qt::CTRL | Qt::Key_B)},
                    [this] { window_.parts_.snapshots->askForName(); })
             << add(edit,
                    {tr("What is &different since the snapshot"),
                     QStringLiteral("differences"),
                     QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_B)},
                    [this] { window_.showDifferences(); })
             << add(edit, {tr("A &note for the log"), QStringLiteral("note"), {}}, [this] {
                    window_.parts_.log->askForNote();
                    window_.displayRecord();
                });
}

void MainMenu::fillView() {
    QMenu* view = window_.menuBar()->addMenu(tr("&View"));
    for (Stage* stage : window_.parts_.stages) {
        needJob_ << add(view,
                        {stage->title(),
                         QStringLiteral("stage_") + stage->id(),
                         QKeySequence(Qt::CTRL | static_cast<Qt::Key>(Qt::Key_0 + stage->place()))},
                        [this, stage] { window_.showStage(stage); });
    }
    view->addSeparator();
    findings_ = add(view,
                    {tr("&Findings"), QStringLiteral("findings"), QKeySequence(Qt::Key_F8)},
                    [this] { window_.setFindingsShown(findings_->isChecked()); });
    findings_->setCheckable(true);
    log_ = add(view, {tr("&Log"), QStringLiteral("log"), QKeySequence(Qt::Key_F7)}, [this] {
        window_.parts_.log->setVisible(log_->isChecked());
        window_.displayRecord();
    });
    log_->setCheckable(true);
    needJob_ << findings_ << log_;
    view->addSeparator();
    fillThemes(view);
}

void MainMenu::fillThemes(QMenu* view) {
    const QString titles[] = {tr("&Linen (light)"),
                              tr("&Graphite (dark)"),
                              tr("&Paper (high contrast, light)"),
                              tr("&Night (high contrast, dark)")};
    themes_ = new QActionGroup(this);
    for (const ThemeName name : themeNames) {
        QAction* action =
            add(view,
                {titles[static_cast<std::size_t>(name)], QStringLiteral("theme_") + idOf(name), {}},
                [this, name] {
                    applyTheme(*qApp, name);
                    settings::setTheme(name);
                    window_.retheme();
                });
        action->setCheckable(true);
        action->setChecked(name == themeName());
        themes_->addAction(action);
    }
    QAction* dark =
        add(view,
            {tr("Light and dark"), QStringLiteral("dark"), QKeySequence(Qt::CTRL | Qt::Key_D)},
            [this] {
                const bool light =
                    themeName() == ThemeName::linen || themeName() == ThemeName::paper;
                const bool plain =
                    themeName() == ThemeName::linen || themeName() == ThemeName::graphite;
                const ThemeName next = light ? (plain ? ThemeName::graphite : ThemeName::night)
                                             : (plain ? ThemeName::linen : ThemeName::paper);
                themes_->actions()[static_cast<qsizetype>(next)]->trigger();
            });
    dark->setToolTip(tr("The other of the pair"));
    view->addSeparator();
    const auto restarts = [this](const QString& what) {
        window_.parts_.notice->tell(Gravity::note,
                                    tr("%1 from the next start of the program on.").arg(what));
    };
    QMenu* scale = view->addMenu(tr("&Size of everything"));
    auto* scales = new QActionGroup(this);
    for (const int percent : {100, 125, 150, 175, 200}) {
        QAction* action =
            add(scale,
                {QStringLiteral("%1 %").arg(percent), QStringLiteral("scale_%1").arg(percent), {}},
                [percent, restarts] {
                    settings::setScale(percent);
                    restarts(tr("%1 % size").arg(percent));
                });
        action->setCheckable(true);
        action->setChecked(settings::scale() == percent);
        scales->addAction(action);
    }
    QMenu* language = view->addMenu(tr("&Language"));
    auto* languages = new QActionGroup(this);
    for (const auto& [id, text] : {std::pair{QString{}, tr("as the system has it")},
                                   std::pair{QStringLiteral("en"), QStringLiteral("English")},
                                   std::pair{QStringLiteral("de"), QStringLiteral("Deutsch")}}) {
        QAction* action = add(language,
                              {text, QStringLiteral("language_") + id, {}},
                              [id = id, text = text, restarts] {
                                  settings::setLanguage(id);
                                  restarts(text);
                              });
        action->setCheckable(true);
        action->setChecked(settings::language() == id);
        languages->addAction(action);
    }
}

void MainMenu::fillPicture() {
    QMenu* picture = window_.menuBar()->addMenu(tr("&Picture"));
    const auto plot = [this](auto&& act) {
        return [this, act] {
            if (Plot* found = window_.plotInFocus()) {
                act(*found);
            }
        };
    };
    const auto save = [this, plot](PictureFormat format) {
        return plot([this, format](Plot& p) { window_.files_->savePicture(p, format); });
    };
    needJob_ << add(picture,
                    {tr("&Copy"),
                     QStringLiteral("picture_copy"),
                     QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_C)},
                    plot([](Plot& p) { p.copy(); }))
             << add(picture,
                    {tr("Save as P&NG …"), QStringLiteral("picture_png"), {}},
                    save(PictureFormat::png))
             << add(picture,
                    {tr("Save as &SVG …"), QStringLiteral("picture_svg"), {}},
                    save(PictureFormat::svg))
             << add(picture,
                    {tr("Save as P&DF …"), QStringLiteral("picture_pdf"), {}},
                    save(PictureFormat::pdf))
             << add(picture,
                    {tr("Save the &figures as CSV …"), QStringLiteral("picture_csv"), {}},
                    save(PictureFormat::csv));
    picture->addSeparator();
    needJob_ << add(picture,
                    {tr("&House scale"), QStringLiteral("picture_house"), {}},
                    plot([](Plot& p) { p.toHouseScale(); }))
             << add(picture,
                    {tr("Sea&l this scale as the house scale"), QStringLiteral("picture_seal"), {}},
                    plot([this](Plot& p) { window_.desk_.apply(edit::sealScale(p.scale())); }))
             << add(picture,
                    {tr("&Built-in house scale"), QStringLiteral("picture_unseal"), {}},
                    plot([this](Plot& p) { window_.desk_.apply(edit::unsealScale(p.kind())); }));
    picture->addSeparator();
    needJob_ << add(picture,
                    {tr("&Pin a reading here"), QStringLiteral("picture_pin"), {}},
                    plot([](Plot& p) { p.pinReading(); }))
             << add(picture,
                    {tr("Take the pinned &readings away"), QStringLiteral("picture_unpin"), {}},
                    plot([](Plot& p) { p.clearPins(); }))
             << add(picture,
                    {tr("Show all c&urves"), QStringLiteral("picture_all"), {}},
                    plot([](Plot& p) { p.showAll(); }));
}

void MainMenu::fillHelp() {
    QMenu* help = window_.menuBar()->addMenu(tr("&Help"));
    add(help,
        {tr("&About what has the focus"), QStringLiteral("help"), QKeySequence::HelpContents},
        [this] { window_.showHelp(); });
    add(help, {tr("All pages of the &guide"), QStringLiteral("guide"), {}}, [this] {
        window_.parts_.help->open(QStringLiteral("index"));
        window_.parts_.findings->setVisible(false);
    });
    add(help, {tr("&Keys"), QStringLiteral("keys"), {}}, [this] {
        window_.parts_.help->open(QStringLiteral("keys"));
        window_.parts_.findings->setVisible(false);
    });
    QAction* find = add(help,
                        {tr("&Find a command, driver, take or finding"),
                         QStringLiteral("find"),
                         QKeySequence(Qt::CTRL | Qt::Key_K)},
                        [this] { window_.findCommand(); });
    window_.parts_.findButton->setDefaultAction(find);
    window_.parts_.findButton->setText(tr("⌕ Find"));
    window_.parts_.findButton->setAccessibleName(find->text().remove(u'&'));
}

void MainMenu::update() {
    const Document* document = window_.desk_.document();
    for (QAction* action : needJob_) {
        action->setEnabled(document != nullptr);
    }
    place_->setEnabled(document != nullptr &&
                       (document->hold() != Hold::none || !window_.desk_.writingFails().isEmpty()));
    const bool canUndo = document != nullptr && document->history().canUndo();
    const bool canRedo = document != nullptr && document->history().canRedo();
    const auto name = [](QAction* action, const QString& text) {
        if (action->text() != text) {
            action->setText(text);
        }
    };
    undo_->setEnabled(canUndo);
    redo_->setEnabled(canRedo);
    name(undo_,
         canUndo ? tr("&Undo: %1").arg(spoken(document->history().undoName())) : tr("&Undo"));
    name(redo_,
         canRedo ? tr("&Redo: %1").arg(spoken(document->history().redoName())) : tr("&Redo"));
    for (const auto& [button, action] : {std::pair{window_.parts_.undoButton, undo_},
                                         std::pair{window_.parts_.redoButton, redo_}}) {
        button->setEnabled(action->isEnabled());
        button->setToolTip(action->text().remove(u'&'));
    }
    editFront_->setChecked(window_.parts_.front->editing());
    findings_->setChecked(window_.findingsWanted_ && document != nullptr);
    log_->setChecked(window_.parts_.log->isVisible());
    const bool inches = document != nullptr && document->job().units == job::LengthUnits::inch;
    metric_->setChecked(!inches);
    inch_->setChecked(inches);
}

QVector<Command> MainMenu::commands() const {
    QVector<Command> commands;
    for (QAction* action : all_) {
        if (action->isEnabled() && action->objectName() != QStringLiteral("action_find")) {
            QString text = action->text();
            commands.push_back({text.remove(u'&').remove(QStringLiteral(" …")),
                                tr("command"),
                                action->shortcut().toString(QKeySequence::NativeText),
                                [action] { action->trigger(); }});
        }
    }
    return commands;
}

void fitMenu(MainWindow& window) {
    window.setCommands(new MainMenu(window)); // the window is its parent
}

} // namespace yf::app
