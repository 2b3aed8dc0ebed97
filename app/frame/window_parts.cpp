// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/window_parts.h"

#include "app/findings/findings_panel.h"
#include "app/frame/command_finder.h"
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
#include "app/widgets/notice.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QMainWindow>
#include <QStackedWidget>
#include <QToolButton>
#include <QVBoxLayout>

#include <initializer_list>

namespace yf::app {

namespace {

constexpr int leftWidth = 212;

QWidget* hairline(QWidget* parent, Qt::Orientation orientation = Qt::Horizontal) {
    auto* line = new QWidget(parent);
    orientation == Qt::Horizontal ? line->setFixedHeight(1) : line->setFixedWidth(1);
    line->setAutoFillBackground(true);
    line->setBackgroundRole(QPalette::Mid);
    return line;
}

} // namespace

WindowParts::WindowParts(QMainWindow& window) {
    auto* middle = new QWidget(&window);
    window.setCentralWidget(middle);
    auto* column = new QVBoxLayout(middle);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    buildHead(column, middle);
    notice = new Notice(middle);
    differences = new DifferencesStrip(middle);
    column->addWidget(notice);
    column->addWidget(differences);

    left = new QWidget(middle);
    left->setFixedWidth(leftWidth);
    left->setProperty("help", QStringLiteral("front"));
    front = new FrontView(left);
    chips = new CabinetChips(left);
    editFront = new QToolButton(left);
    frontEditor = new FrontEditor(middle);
    frontEditor->setProperty("help", QStringLiteral("front"));
    frontEditor->setVisible(false);
    pages = new QStackedWidget(middle);
    startPage = new StartPage(middle);
    pages->addWidget(startPage);
    stages = makeStages(middle);
    for (Stage* stage : stages) {
        stage->setProperty("help", stage->id());
        pages->addWidget(stage);
    }
    importSheet = new ImportSheet(middle);
    pages->addWidget(importSheet);
    practice = new PracticePage(middle);
    pages->addWidget(practice);
    route = new Route(stages, left);
    findings = new FindingsPanel(middle);
    findings->setProperty("help", QStringLiteral("findings"));
    help = new HelpPane(middle);
    log = new LogStrip(middle);
    log->setProperty("help", QStringLiteral("log"));
    line = new LineBar(middle);
    line->setProperty("help", QStringLiteral("line"));

    auto* leftColumn = new QVBoxLayout(left);
    leftColumn->setContentsMargins(8, 4, 4, 8);
    leftColumn->addWidget(front, 1);
    leftColumn->addWidget(chips);
    leftColumn->addWidget(editFront, 0, Qt::AlignLeft);
    leftColumn->addWidget(hairline(left));
    leftColumn->addWidget(route);
    auto* body = new QHBoxLayout;
    body->setSpacing(0);
    body->addWidget(left);
    body->addWidget(frontEditor);
    body->addWidget(pages, 1);
    body->addWidget(findings);
    body->addWidget(help);
    column->addLayout(body, 1);
    column->addWidget(log);
    column->addWidget(hairline(middle));
    column->addWidget(line);
    finder = new CommandFinder(&window);
    holdSpace = new HoldSpace(&window);
    for (QWidget* part : std::initializer_list<QWidget*>{left, line, findings, snapshots}) {
        part->setVisible(false);
    }
}

void WindowParts::buildHead(QBoxLayout* column, QWidget* middle) {
    where = new QLabel(middle);
    where->setObjectName(QStringLiteral("where"));
    where->setTextFormat(Qt::PlainText);
    QFont bold = middle->font();
    bold.setPointSizeF(11.0);
    bold.setWeight(QFont::DemiBold);
    where->setFont(bold);
    auto* head = new QHBoxLayout;
    head->setContentsMargins(12, 4, 12, 4);
    head->addWidget(where, 1);
    for (QToolButton** button : {&undoButton, &redoButton, &findButton}) {
        *button = new QToolButton(middle);
        (*button)->setFocusPolicy(Qt::TabFocus);
        head->addWidget(*button);
    }
    snapshots = new SnapshotBar(middle);
    snapshots->setProperty("help", QStringLiteral("snapshots"));
    head->addWidget(snapshots);
    column->addLayout(head);
    column->addWidget(hairline(middle));
}

} // namespace yf::app
