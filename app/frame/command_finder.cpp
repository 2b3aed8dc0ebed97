// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/command_finder.h"

#include "app/frame/fuzzy.h"

#include <QApplication>
#include <QKeyEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int finderWidth = 560;
constexpr int finderHeight = 380;
constexpr qsizetype mostShown = 60;

} // namespace

CommandFinder::CommandFinder(QWidget* window) : QWidget(window) {
    setObjectName(QStringLiteral("finder"));
    setProperty("card", true);
    setAttribute(Qt::WA_StyledBackground);
    setVisible(false);
    letters_ = new QLineEdit(this);
    letters_->setObjectName(QStringLiteral("finder_letters"));
    letters_->setPlaceholderText(tr("A few letters of a command, driver, take or finding"));
    letters_->setAccessibleName(tr("Find a command, driver, take or finding"));
    letters_->installEventFilter(this);
    list_ = new QListWidget(this);
    list_->setObjectName(QStringLiteral("finder_list"));
    list_->setAccessibleName(tr("What was found"));
    list_->setFocusPolicy(Qt::NoFocus);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(10, 10, 10, 10);
    column->addWidget(letters_);
    column->addWidget(list_);
    connect(letters_, &QLineEdit::textChanged, this, &CommandFinder::find);
    connect(letters_, &QLineEdit::returnPressed, this, &CommandFinder::runCurrent);
    connect(list_, &QListWidget::itemClicked, this, &CommandFinder::runCurrent);
}

void CommandFinder::open(QVector<Command> commands) {
    commands_ = std::move(commands);
    focusBefore_ = QApplication::focusWidget();
    const QSize size(std::min(finderWidth, window()->width() - 40), finderHeight);
    setGeometry((window()->width() - size.width()) / 2, 60, size.width(), size.height());
    letters_->clear();
    find({});
    show();
    raise();
    letters_->setFocus();
}

void CommandFinder::find(const QString& letters) {
    struct Hit {
        int command{};
        int fit{};
    };

    QVector<Hit> hits;
    for (int i = 0; i < commands_.size(); ++i) {
        const auto own = fit(letters, commands_[i].text);
        if (own) {
            hits.push_back({i, *own});
        }
    }
    // Of equal fits the shorter text is the nearer one.
    std::ranges::stable_sort(hits, [&](const Hit& a, const Hit& b) {
        return a.fit != b.fit ? a.fit > b.fit
                              : !letters.isEmpty() && commands_[a.command].text.size() <
                                                          commands_[b.command].text.size();
    });
    hits.resize(std::min(hits.size(), mostShown));
    shown_.clear();
    list_->clear();
    for (const Hit& hit : hits) {
        const Command& command = commands_[hit.command];
        shown_.push_back(hit.command);
        list_->addItem(command.text + QStringLiteral("   –   ") + command.kind +
                       (command.keys.isEmpty() ? QString{} : QStringLiteral("   ") + command.keys));
    }
    list_->setCurrentRow(shown_.isEmpty() ? -1 : 0);
}

QStringList CommandFinder::found() const {
    QStringList texts;
    for (const int index : shown_) {
        texts << commands_[index].text;
    }
    return texts;
}

void CommandFinder::runCurrent() {
    const int row = list_->currentRow();
    if (row < 0) {
        return;
    }
    const auto run = commands_[shown_[row]].run;
    shut();
    run();
}

void CommandFinder::shut() {
    hide();
    if (focusBefore_ != nullptr && focusBefore_->isVisible()) {
        focusBefore_->setFocus();
    }
}

bool CommandFinder::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::FocusOut && isVisible()) {
        hide();
    }
    if (event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        const int row = list_->currentRow();
        switch (key) {
        case Qt::Key_Escape:
            shut();
            return true;
        case Qt::Key_Up:
            list_->setCurrentRow(std::max(0, row - 1));
            return true;
        case Qt::Key_Down:
            list_->setCurrentRow(std::min(list_->count() - 1, row + 1));
            return true;
        default:
            break;
        }
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace yf::app
