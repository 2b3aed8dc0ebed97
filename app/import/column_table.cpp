// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/import/column_table.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"

#include <QAbstractItemView>
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int tableHeight = 196;
constexpr int narrowest = 120;

QString sureness(measure::Certainty certainty) {
    switch (certainty) {
    case measure::Certainty::sure:
        return QStringLiteral("✓");
    case measure::Certainty::likely:
        return QStringLiteral("▲");
    case measure::Certainty::open:
        return QStringLiteral("?");
    }
    return {};
}

QString basisWords(const measure::ColumnReading& column) {
    const QString basis = column.basis == measure::Basis::hand ? ColumnTable::tr("chosen by you")
                          : column.basis == measure::Basis::name
                              ? ColumnTable::tr("by its name")
                              : ColumnTable::tr("by its numbers");
    const QString sure = column.certainty == measure::Certainty::sure ? ColumnTable::tr("sure")
                         : column.certainty == measure::Certainty::likely
                             ? ColumnTable::tr("likely")
                             : ColumnTable::tr("open");
    return ColumnTable::tr("Read %1; %2.").arg(basis, sure);
}

QString said(measure::Meaning meaning) {
    return spoken(Words(measure::infoOf(meaning).said));
}

/// Of an answer only what tells it from the others.
QString difference(const measure::TableAnswer& answer,
                   const std::vector<measure::TableAnswer>& all) {
    QStringList parts;
    for (std::size_t c = 0; c < answer.meanings.size(); ++c) {
        const bool differs = std::ranges::any_of(all, [&](const measure::TableAnswer& other) {
            return other.meanings[c] != answer.meanings[c];
        });
        const auto meaning = measure::meaningNamed(answer.meanings[c]);
        if (differs && meaning) {
            parts << ColumnTable::tr("column %1: %2").arg(c + 1).arg(said(*meaning));
        }
    }
    return parts.join(QStringLiteral(" · "));
}

} // namespace

ColumnTable::ColumnTable(QWidget* parent) : QWidget(parent) {
    question_ = new QLabel(this);
    question_->setObjectName(QStringLiteral("import_question"));
    question_->setWordWrap(true);
    answers_ = new QWidget(this);
    new QVBoxLayout(answers_);
    answers_->layout()->setContentsMargins(0, 0, 0, 0);
    answers_->layout()->setSpacing(4);
    table_ = new QScrollArea(this);
    table_->setObjectName(QStringLiteral("import_preview"));
    table_->setAccessibleName(tr("First rows of the file"));
    table_->setFocusPolicy(Qt::NoFocus); // Tab goes from column to column
    table_->setWidgetResizable(true);
    table_->setFixedHeight(tableHeight);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    column->addWidget(question_);
    column->addWidget(answers_);
    column->addWidget(table_);
}

void ColumnTable::display(const measure::TablePreview& preview,
                          const std::vector<std::string>& meanings) {
    chosen_.clear();
    for (std::size_t c = 0; c < preview.columns.size(); ++c) {
        chosen_ << (c < meanings.size() ? words(meanings[c]) : QStringLiteral("auto"));
    }
    showAnswers(preview);
    showColumns(preview, meanings);
}

void ColumnTable::showAnswers(const measure::TablePreview& preview) {
    qDeleteAll(answers_->findChildren<QPushButton*>());
    const bool asks = preview.answers.size() > 1;
    question_->setVisible(asks || preview.unread);
    answers_->setVisible(asks);
    question_->setText(
        preview.unread
            ? tr("No column was found that can be frequencies with values beside it. Say in the "
                 "row above the numbers what the columns are.")
            : tr("This table can be read in %1 ways. Which is it?").arg(preview.answers.size()));
    if (!asks) {
        return;
    }
    for (std::size_t k = 0; k < preview.answers.size(); ++k) {
        auto* button = new QPushButton(difference(preview.answers[k], preview.answers), answers_);
        button->setObjectName(QStringLiteral("import_answer_%1").arg(k));
        button->setToolTip(spoken(preview.answers[k].said));
        QStringList meanings;
        for (const std::string& word : preview.answers[k].meanings) {
            meanings << words(word);
        }
        connect(button, &QPushButton::clicked, this, [this, meanings] { Q_EMIT meant(meanings); });
        answers_->layout()->addWidget(button);
    }
}

void ColumnTable::showColumns(const measure::TablePreview& preview,
                              const std::vector<std::string>& meanings) {
    // Made anew: a table has a handful of columns, and another one as many as it likes.
    auto* sheet = new QWidget;
    auto* grid = new QGridLayout(sheet);
    grid->setContentsMargins(4, 4, 4, 4);
    grid->setHorizontalSpacing(6);
    grid->setVerticalSpacing(2);
    for (std::size_t c = 0; c < preview.columns.size(); ++c) {
        const int at = static_cast<int>(c);
        const measure::ColumnReading& column = preview.columns[c];
        const QString own = words(column.name);
        auto* head = new QLabel(own.isEmpty() ? QString::number(at + 1)
                                              : QStringLiteral("%1: %2").arg(at + 1).arg(own),
                                sheet);
        head->setObjectName(QStringLiteral("import_head_%1").arg(at + 1));
        head->setTextFormat(Qt::PlainText);
        auto* box = meaningBox(column, c < meanings.size() ? words(meanings[c]) : QString(), at);
        head->setBuddy(box);
        QStringList cells;
        for (const auto& row : preview.rows) {
            cells << (c < row.size() ? words(row[c]) : QString());
        }
        auto* rows = new QLabel(cells.join(u'\n'), sheet);
        rows->setObjectName(QStringLiteral("import_cells_%1").arg(at + 1));
        rows->setTextFormat(Qt::PlainText);
        rows->setFont(figureFont(9.0));
        grid->addWidget(head, 0, at);
        grid->addWidget(box, 1, at);
        grid->addWidget(rows, 2, at, Qt::AlignTop);
        grid->setColumnMinimumWidth(at, narrowest);
        grid->setColumnStretch(at, 1);
    }
    grid->setRowStretch(2, 1);
    table_->setWidget(sheet);
}

QComboBox*
ColumnTable::meaningBox(const measure::ColumnReading& column, const QString& chosen, int at) {
    auto* box = new QComboBox;
    box->setObjectName(QStringLiteral("import_meaning_%1").arg(at + 1));
    box->setAccessibleName(tr("What column %1 holds").arg(at + 1));
    box->setToolTip(basisWords(column));
    // As wide as its column; the list is as wide as its longest entry.
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    constexpr int letters = 8;
    box->setMinimumContentsLength(letters);
    box->addItem(QStringLiteral("%1 %2").arg(sureness(column.certainty), said(column.meaning)),
                 QStringLiteral("auto"));
    for (const measure::MeaningInfo& info : measure::meanings()) {
        box->addItem(spoken(Words(info.said)), words(std::string(info.word)));
    }
    box->setCurrentIndex(std::max(0, box->findData(chosen)));
    box->view()->setMinimumWidth(box->view()->sizeHintForColumn(0) + 24);
    connect(box, &QComboBox::activated, this, [this, box, at] {
        chosen_[at] = box->currentData().toString();
        Q_EMIT meant(chosen_);
    });
    return box;
}

} // namespace yf::app
