// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/history/log_strip.h"

#include "app/widgets/words.h"

#include <QDateTime>
#include <QLineEdit>
#include <QListWidget>
#include <QLocale>
#include <QVBoxLayout>

namespace yf::app {

QString logText(const job::LogEntry& entry) {
    using Kind = job::LogEntry::Kind;
    const QDateTime at = QDateTime::fromString(words(entry.at), Qt::ISODate);
    const QString when =
        at.isValid() ? QLocale().toString(at, QStringLiteral("yyyy-MM-dd HH:mm")) : words(entry.at);
    QString what;
    switch (entry.kind) {
    case Kind::changed:
        what = spoken(entry.text);
        break;
    case Kind::undone:
        what = LogStrip::tr("undone: %1").arg(spoken(entry.text));
        break;
    case Kind::redone:
        what = LogStrip::tr("done again: %1").arg(spoken(entry.text));
        break;
    case Kind::note:
        what = QStringLiteral("✎ ") + words(entry.text.english());
        break;
    case Kind::snapshot:
        what = QStringLiteral("◐ ") + spoken(entry.text);
        break;
    }
    return when + QStringLiteral("  ") + what;
}

LogStrip::LogStrip(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("log"));
    list_ = new QListWidget(this);
    list_->setObjectName(QStringLiteral("log_list"));
    list_->setAccessibleName(tr("What was done"));
    list_->setSelectionMode(QAbstractItemView::SingleSelection);
    note_ = new QLineEdit(this);
    note_->setObjectName(QStringLiteral("log_note"));
    note_->setPlaceholderText(tr("A note, Enter"));
    note_->setAccessibleName(tr("A note for the log"));
    connect(note_, &QLineEdit::returnPressed, this, [this] {
        const QString written = note_->text().trimmed();
        note_->clear();
        Q_EMIT noteWritten(written);
    });
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(12, 4, 12, 4);
    column->setSpacing(4);
    column->addWidget(list_);
    column->addWidget(note_);
    constexpr int stripHeight = 132;
    setFixedHeight(stripHeight);
    setVisible(false);
}

void LogStrip::display(const std::vector<job::LogEntry>& log) {
    const auto count = static_cast<int>(log.size());
    while (list_->count() > count) {
        delete list_->takeItem(list_->count() - 1);
    }
    for (int i = 0; i < count; ++i) {
        const QString text = logText(log[static_cast<std::size_t>(i)]);
        if (i >= list_->count()) {
            list_->addItem(text);
        } else if (list_->item(i)->text() != text) {
            list_->item(i)->setText(text);
        }
    }
    list_->scrollToBottom();
}

void LogStrip::askForNote() {
    setVisible(true);
    note_->setFocus();
}

} // namespace yf::app
