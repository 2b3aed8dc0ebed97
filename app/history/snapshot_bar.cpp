// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/history/snapshot_bar.h"

#include "app/widgets/words.h"
#include "core/job/difference.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QToolButton>
#include <QVBoxLayout>
#include <QWidgetAction>

namespace yf::app {

SnapshotBar::SnapshotBar(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("snapshot_bar"));
    button_ = new QToolButton(this);
    button_->setObjectName(QStringLiteral("snapshot_button"));
    button_->setPopupMode(QToolButton::InstantPopup);
    menu_ = new QMenu(this);
    menu_->setObjectName(QStringLiteral("snapshot_menu"));
    menu_->setToolTipsVisible(true);
    button_->setMenu(menu_);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(button_);
}

const job::Snapshot* SnapshotBar::chosen(const job::Record& record) const {
    return record.findSnapshot(chosen_.toStdString());
}

void SnapshotBar::askForName() {
    QMetaObject::invokeMethod(
        name_, [this] { name_->setFocus(); }, Qt::QueuedConnection);
    button_->showMenu();
}

void SnapshotBar::display(const job::Record& record) {
    QStringList names;
    for (const job::Snapshot& snapshot : record.snapshots) {
        names << words(snapshot.name);
    }
    const bool fresh = name_ == nullptr || names != names_;
    if (names.size() > names_.size() && !names_.isEmpty()) {
        chosen_ = names.back(); // the one just taken
    }
    if (!names.contains(chosen_)) {
        chosen_ = names.isEmpty() ? QString{} : names.front();
    }
    if (fresh) {
        names_ = names;
        // Later: the menu may be the one that asked for this.
        QMetaObject::invokeMethod(
            this, [this, record] { fillMenu(record); }, Qt::QueuedConnection);
    }
    const QString text = QStringLiteral("◐ ") + (chosen_.isEmpty() ? tr("Snapshot") : chosen_);
    if (button_->text() != text) {
        button_->setText(text);
        button_->setAccessibleName(chosen_.isEmpty() ? tr("Snapshots, none yet")
                                                     : tr("Snapshot chosen: %1").arg(chosen_));
        button_->setToolTip(chosen_.isEmpty()
                                ? tr("Name the present state to compare with it later.")
                                : tr("Hold Space to see it in place of the present."));
    }
}

void SnapshotBar::fillMenu(const job::Record& record) {
    menu_->clear();
    auto* action = new QWidgetAction(menu_);
    auto* holder = new QWidget(menu_);
    name_ = new QLineEdit(holder);
    name_->setObjectName(QStringLiteral("snapshot_name"));
    name_->setPlaceholderText(tr("Name the present state, Enter"));
    name_->setAccessibleName(tr("Name for the present state"));
    name_->setMinimumWidth(230);
    auto* row = new QHBoxLayout(holder);
    row->setContentsMargins(8, 6, 8, 6);
    row->addWidget(name_);
    connect(name_, &QLineEdit::returnPressed, this, [this] {
        const QString name = name_->text().trimmed();
        name_->clear();
        menu_->hide();
        Q_EMIT nameGiven(name);
    });
    action->setDefaultWidget(holder);
    menu_->addAction(action);
    if (record.snapshots.empty()) {
        return;
    }
    menu_->addSeparator();
    for (const job::Snapshot& snapshot : record.snapshots) {
        const QString name = words(snapshot.name);
        QAction* choose = menu_->addAction(name);
        choose->setObjectName(QStringLiteral("snapshot_choose_") + name);
        choose->setCheckable(true);
        choose->setChecked(name == chosen_);
        choose->setToolTip(words(snapshot.at).replace(u'T', u' '));
        connect(choose, &QAction::triggered, this, [this, name] {
            chosen_ = name;
            for (QAction* other : menu_->actions()) {
                if (other->isCheckable()) {
                    other->setChecked(other->text() == name);
                }
            }
            Q_EMIT chosenChanged();
        });
    }
    menu_->addSeparator();
    const auto verb =
        [this](const QString& text, const QString& name, void (SnapshotBar::*signal)()) {
            QAction* made = menu_->addAction(text);
            made->setObjectName(name);
            connect(made, &QAction::triggered, this, signal);
        };
    verb(tr("What is different"),
         QStringLiteral("snapshot_differences"),
         &SnapshotBar::differencesWanted);
    verb(tr("Restore it (can be undone)"),
         QStringLiteral("snapshot_restore"),
         &SnapshotBar::restoreWanted);
    verb(tr("Forget it"), QStringLiteral("snapshot_forget"), &SnapshotBar::forgetWanted);
}

DifferencesStrip::DifferencesStrip(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("differences"));
    setVisible(false);
    head_ = new QLabel(this);
    QFont bold = font();
    bold.setWeight(QFont::DemiBold);
    head_->setFont(bold);
    list_ = new QLabel(this);
    list_->setObjectName(QStringLiteral("differences_list"));
    list_->setTextFormat(Qt::PlainText);
    list_->setWordWrap(true);
    list_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    auto* close = new QToolButton(this);
    close->setText(tr("Close"));
    close->setObjectName(QStringLiteral("differences_close"));
    close->setAccessibleName(tr("Close the list of differences"));
    connect(close, &QToolButton::clicked, this, &QWidget::hide);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(12, 3, 8, 3);
    row->addWidget(head_, 0, Qt::AlignTop);
    row->addWidget(list_, 1, Qt::AlignTop);
    row->addWidget(close, 0, Qt::AlignTop);
}

void DifferencesStrip::display(const job::Snapshot& snapshot, const job::Job& present) {
    const auto all = job::differences(snapshot.job, present);
    QStringList said;
    for (const Words& sentence : all) {
        said << spoken(sentence);
    }
    head_->setText(tr("Since %1:").arg(words(snapshot.name)));
    list_->setText(said.isEmpty() ? tr("nothing is different")
                                  : said.join(QStringLiteral("  ·  ")));
}

QString DifferencesStrip::text() const {
    return list_->text();
}

} // namespace yf::app
