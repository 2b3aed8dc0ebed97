// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/intake/item_list.h"

#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/edit/intake.h"

#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QToolButton>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int kinds = 4;
constexpr int partKinds = 10;

QComboBox* combo(QWidget* row, const QString& name, const QString& says, const QStringList& items) {
    auto* box = new QComboBox(row);
    box->setObjectName(name);
    box->setAccessibleName(says);
    box->addItems(items);
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    box->setMinimumContentsLength(4);
    return box;
}

void choose(QComboBox* box, int index) {
    if (box->currentIndex() != index) {
        box->setCurrentIndex(index);
    }
}

std::vector<std::string> idsOf(const auto& list) {
    std::vector<std::string> ids;
    for (const auto& item : list) {
        ids.push_back(item.id);
    }
    return ids;
}

} // namespace

ItemList::ItemList(const QString& name,
                   const QString& heading,
                   const QString& none,
                   QWidget* parent)
    : QWidget(parent) {
    setObjectName(name);
    auto* title = new QLabel(heading, this);
    QFont bold = font();
    bold.setWeight(QFont::DemiBold);
    title->setFont(bold);
    none_ = new QCheckBox(none, this);
    none_->setObjectName(name + QStringLiteral("_none"));
    auto* add = new QPushButton(tr("Add"), this);
    add->setObjectName(name + QStringLiteral("_add"));
    add->setAccessibleName(tr("Add to %1").arg(heading));
    auto* head = new QHBoxLayout;
    head->addWidget(title);
    head->addStretch(1);
    head->addWidget(none_);
    head->addWidget(add);
    rows_ = new QVBoxLayout;
    rows_->setSpacing(3);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(3);
    column->addLayout(head);
    column->addLayout(rows_);
    connect(add, &QPushButton::clicked, this, &ItemList::added);
    connect(none_, &QCheckBox::clicked, this, &ItemList::noneFitted);
}

bool ItemList::standsFor(const std::vector<std::string>& ids) const {
    return ids == ids_;
}

void ItemList::clearRows() {
    while (QLayoutItem* item = rows_->takeAt(0)) {
        item->widget()->hide();
        item->widget()->deleteLater(); // one of its fields may be the one that speaks
        delete item;
    }
    ids_.clear();
}

QWidget* ItemList::addRow(const std::string& id) {
    auto* row = new QWidget(this);
    row->setObjectName(base() + u'_' + words(id));
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(4);
    auto* remove = new QToolButton(row);
    remove->setText(QStringLiteral("✕"));
    remove->setObjectName(row->objectName() + QStringLiteral("_remove"));
    remove->setAccessibleName(tr("Remove %1").arg(words(id)));
    remove->setToolTip(tr("Remove it from the list; can be undone"));
    connect(
        remove, &QToolButton::clicked, this, [this, id = words(id)] { Q_EMIT removeWanted(id); });
    line->addWidget(remove);
    rows_->addWidget(row);
    ids_.push_back(id);
    return row;
}

void ItemList::setNone(bool none, bool empty) {
    none_->setChecked(none);
    none_->setVisible(empty);
}

ProtectorList::ProtectorList(QWidget* parent)
    : ItemList(QStringLiteral("protectors"), tr("Protectors"), tr("none fitted"), parent) {}

void ProtectorList::display(const job::Job& job, const job::Cabinet& cabinet) {
    std::vector<std::string> drivers{std::string{}};
    for (const job::Mount& mount : cabinet.mounts) {
        drivers.push_back(mount.driver);
    }
    shown_ = cabinet.protectors;
    setNone(cabinet.noProtectors, cabinet.protectors.empty());
    if (!standsFor(idsOf(shown_)) || drivers != drivers_) {
        clearRows();
        drivers_ = drivers;
        QStringList names{tr("whole cabinet")};
        for (std::size_t i = 1; i < drivers.size(); ++i) {
            names << words(job::findDriver(job, drivers[i])->name);
        }
        QStringList kindNames;
        for (int i = 0; i < kinds; ++i) {
            kindNames << spoken(job::protectorName(static_cast<job::ProtectorKind>(i)));
        }
        for (const job::Protector& p : shown_) {
            QWidget* row = addRow(p.id);
            auto* line = static_cast<QHBoxLayout*>(row->layout());
            const QString name = row->objectName();
            auto* kind = combo(
                row, name + QStringLiteral("_kind"), tr("Kind of %1").arg(words(p.id)), kindNames);
            auto* of = combo(row,
                             name + QStringLiteral("_driver"),
                             tr("What %1 protects").arg(words(p.id)),
                             names);
            auto* rating = new QuantityField(
                quantity::Quantity{"I", "rating_a", 1.0, "A", 0.01, 100.0, "printed rating"},
                text::Unit::none,
                row);
            rating->setObjectName(name + QStringLiteral("_rating"));
            rating->setMayBeEmpty(true);
            rating->setPlaceholderText(tr("rating, A"));
            rating->setFixedWidth(82);
            auto* state = combo(row,
                                name + QStringLiteral("_state"),
                                tr("What the meter says of %1").arg(words(p.id)),
                                {tr("not checked"), tr("continuity"), tr("open"), tr("bridged")});
            line->insertWidget(0, kind, 2);
            line->insertWidget(1, of, 3);
            line->insertWidget(2, rating);
            line->insertWidget(3, state, 3);
            const auto tell = [this, id = p.id, kind, of, rating, state] {
                const auto it = std::ranges::find(shown_, id, &job::Protector::id);
                if (it == shown_.end()) {
                    return;
                }
                job::Protector now = *it;
                now.kind = static_cast<job::ProtectorKind>(kind->currentIndex());
                now.driver = drivers_[static_cast<std::size_t>(of->currentIndex())];
                now.rating = rating->optionalValue();
                now.state = static_cast<job::ProtectorState>(state->currentIndex());
                if (now != *it) {
                    Q_EMIT changed(now);
                }
            };
            for (QComboBox* box : {kind, of, state}) {
                connect(box, &QComboBox::activated, this, tell);
            }
            connect(rating, &QuantityField::valueChanged, this, tell);
        }
    }
    for (const job::Protector& p : shown_) {
        renew(p);
    }
}

void ProtectorList::renew(const job::Protector& p) {
    const QString name = base() + u'_' + words(p.id);
    choose(findChild<QComboBox*>(name + QStringLiteral("_kind")), static_cast<int>(p.kind));
    const auto of = std::ranges::find(drivers_, p.driver) - drivers_.begin();
    choose(findChild<QComboBox*>(name + QStringLiteral("_driver")), static_cast<int>(of));
    choose(findChild<QComboBox*>(name + QStringLiteral("_state")), static_cast<int>(p.state));
    findChild<QuantityField*>(name + QStringLiteral("_rating"))->offer(p.rating);
}

OldPartList::OldPartList(QWidget* parent)
    : ItemList(QStringLiteral("old_parts"),
               tr("Terminals, wire, controls, parts"),
               tr("no level control"),
               parent) {}

void OldPartList::display(const job::Cabinet& cabinet) {
    shown_ = cabinet.oldParts;
    const bool control = std::ranges::any_of(
        shown_, [](const job::OldPart& p) { return p.kind == job::OldPartKind::levelControl; });
    setNone(cabinet.noControls, !control);
    if (!standsFor(idsOf(shown_))) {
        clearRows();
        QStringList kindNames;
        for (int i = 0; i < partKinds; ++i) {
            kindNames << spoken(job::oldPartName(static_cast<job::OldPartKind>(i)));
        }
        for (const job::OldPart& p : shown_) {
            QWidget* row = addRow(p.id);
            auto* line = static_cast<QHBoxLayout*>(row->layout());
            const QString name = row->objectName();
            const auto field = [&](const char* end, const QString& says, const QString& hint) {
                auto* edit = new QLineEdit(row);
                edit->setObjectName(name + QLatin1String(end));
                edit->setAccessibleName(says);
                edit->setPlaceholderText(hint);
                edit->setMinimumWidth(60);
                return edit;
            };
            auto* kind = combo(
                row, name + QStringLiteral("_kind"), tr("Kind of %1").arg(words(p.id)), kindNames);
            auto* mark =
                field("_name", tr("Marking or place of %1").arg(words(p.id)), tr("marking, place"));
            auto* condition = combo(row,
                                    name + QStringLiteral("_condition"),
                                    tr("Condition of %1").arg(words(p.id)),
                                    {tr("not checked"), tr("good"), tr("doubtful"), tr("bad")});
            auto* note = field("_note", tr("Remark about %1").arg(words(p.id)), tr("remark"));
            line->insertWidget(0, kind, 3);
            line->insertWidget(1, mark, 3);
            line->insertWidget(2, condition, 2);
            line->insertWidget(3, note, 3);
            const auto tell = [this, id = p.id, kind, mark, condition, note] {
                const auto it = std::ranges::find(shown_, id, &job::OldPart::id);
                if (it == shown_.end()) {
                    return;
                }
                const job::OldPart now{
                    .id = id,
                    .kind = static_cast<job::OldPartKind>(kind->currentIndex()),
                    .name = mark->text().trimmed().toStdString(),
                    .condition = static_cast<job::OldPartCondition>(condition->currentIndex()),
                    .note = note->text().trimmed().toStdString()};
                if (now != *it) {
                    Q_EMIT changed(now);
                }
            };
            connect(kind, &QComboBox::activated, this, tell);
            connect(condition, &QComboBox::activated, this, tell);
            connect(mark, &QLineEdit::editingFinished, this, tell);
            connect(note, &QLineEdit::editingFinished, this, tell);
        }
    }
    for (const job::OldPart& p : shown_) {
        const QString name = base() + u'_' + words(p.id);
        choose(findChild<QComboBox*>(name + QStringLiteral("_kind")), static_cast<int>(p.kind));
        choose(findChild<QComboBox*>(name + QStringLiteral("_condition")),
               static_cast<int>(p.condition));
        for (const auto& [end, text] : {std::pair{"_name", p.name}, std::pair{"_note", p.note}}) {
            auto* edit = findChild<QLineEdit*>(name + QLatin1String(end));
            if (!edit->hasFocus() && edit->text() != words(text)) {
                edit->setText(words(text));
                edit->setCursorPosition(0);
                edit->setToolTip(words(text));
            }
        }
    }
}

} // namespace yf::app
