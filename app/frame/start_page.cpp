// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/start_page.h"

#include "app/desk/recent.h"
#include "app/frame/front_sketch.h"
#include "app/frame/new_job_form.h"
#include "app/widgets/words.h"
#include "core/job/store/earlier.h"

#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QScrollArea>
#include <QToolButton>
#include <QVBoxLayout>

namespace yf::app {

namespace {

QLabel* heading(const QString& text, double points, QWidget* parent) {
    auto* label = new QLabel(text, parent);
    QFont font = label->font();
    font.setPointSizeF(points);
    font.setWeight(QFont::DemiBold);
    label->setFont(font);
    return label;
}

} // namespace

StartPage::StartPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("start_page"));
    setProperty("help", QStringLiteral("start"));
    auto* told =
        new QLabel(tr("The demo is a cinema's pair of three-way speakers as they came in, faults "
                      "and all, and a small two-way: look at what was found, try what to do."),
                   this);
    told->setWordWrap(true);
    const auto button = [&](const QString& text, const QString& name, void (StartPage::*signal)()) {
        auto* made = new QPushButton(text, this);
        made->setObjectName(name);
        connect(made, &QPushButton::clicked, this, signal);
        return made;
    };
    demo_ = button(tr("Open the demo"), QStringLiteral("start_demo"), &StartPage::demoWanted);
    demo_->setProperty("main", true);
    QPushButton* open =
        button(tr("Open a job …"), QStringLiteral("start_open"), &StartPage::openWanted);
    QPushButton* practise =
        button(tr("Practise"), QStringLiteral("start_practise"), &StartPage::practiceWanted);
    practise->setToolTip(tr("A simulated speaker with a hidden fault: find it."));
    form_ = new NewJobForm(this);
    connect(form_, &NewJobForm::made, this, [this] { Q_EMIT newWanted(form_->wanted()); });
    auto* ways = new QVBoxLayout;
    ways->setSpacing(10);
    ways->addWidget(heading(QStringLiteral("Yellowfront"), 18.0, this));
    ways->addWidget(told);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(demo_);
    buttons->addWidget(open);
    buttons->addWidget(practise);
    buttons->addStretch(1);
    ways->addLayout(buttons);
    ways->addSpacing(16);
    ways->addWidget(heading(tr("New job"), 12.0, this));
    ways->addWidget(form_);
    ways->addStretch(1);

    recent_ = new QWidget(this);
    recentColumn_ = new QVBoxLayout(recent_);
    recentColumn_->setContentsMargins(0, 0, 8, 0);
    auto* scroll = new QScrollArea(this);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(recent_);
    auto* right = new QVBoxLayout;
    right->addWidget(heading(tr("Jobs that were open"), 12.0, this));
    right->addWidget(scroll, 1);

    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(48, 36, 48, 24);
    row->setSpacing(48);
    row->addLayout(ways, 1);
    row->addLayout(right, 1);
    refresh();
}

void StartPage::refresh() {
    while (QLayoutItem* item = recentColumn_->takeAt(0)) {
        if (QWidget* widget = item->widget()) {
            widget->hide();
            widget->deleteLater();
        }
        delete item;
    }
    const auto jobs = recentJobs();
    int number = 0;
    for (const RecentJob& job : jobs) {
        addRecent(job, number++);
    }
    if (jobs.isEmpty()) {
        auto* none = new QLabel(tr("None yet. A job is one file; every change is saved in it at "
                                   "once, and its earlier states are kept aside."),
                                recent_);
        none->setObjectName(QStringLiteral("recent_none"));
        none->setWordWrap(true);
        none->setAlignment(Qt::AlignTop);
        recentColumn_->addWidget(none);
    }
    recentColumn_->addStretch(1);
}

void StartPage::addRecent(const RecentJob& job, int number) {
    auto* row = new QWidget(recent_);
    auto* sketch = new FrontSketch(row);
    sketch->setFixedSize(52, 64);
    sketch->display(job.front);
    auto* open = new QPushButton(job.title, row);
    open->setObjectName(QStringLiteral("recent_%1").arg(number));
    open->setAccessibleName(tr("Open %1").arg(job.title));
    open->setToolTip(job.path);
    connect(
        open, &QPushButton::clicked, this, [this, path = job.path] { Q_EMIT recentWanted(path); });
    auto* where = new QLabel(QFileInfo(job.path).fileName(), row);
    auto* earlier = new QToolButton(row);
    earlier->setText(tr("Earlier states"));
    earlier->setObjectName(QStringLiteral("recent_earlier_%1").arg(number));
    earlier->setAccessibleName(tr("Earlier states of %1").arg(job.title));
    earlier->setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(earlier);
    const auto states = job::store::earlierStates(earlierStatesFolder(job.path).toStdString());
    for (const job::store::EarlierState& state : states) {
        // "2026-03-14T10-32-05" as people read it.
        QString at = words(state.at);
        at.replace(13, 1, u':').replace(16, 1, u':').replace(u'T', u' ');
        QAction* action = menu->addAction(at);
        connect(action,
                &QAction::triggered,
                this,
                [this, choice = EarlierChoice{words(state.file), at, job.path}] {
                    Q_EMIT earlierWanted(choice);
                });
    }
    earlier->setMenu(menu);
    earlier->setEnabled(!states.empty());
    auto* text = new QVBoxLayout;
    text->addWidget(open, 0, Qt::AlignLeft);
    text->addWidget(where);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(sketch);
    line->addLayout(text, 1);
    line->addWidget(earlier);
    recentColumn_->addWidget(row);
}

void StartPage::focusDemo() {
    demo_->setFocus();
}

void StartPage::focusNewJob() {
    form_->focusFirst();
}

} // namespace yf::app
