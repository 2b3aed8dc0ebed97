// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/box_stage.h"

#include "app/box/box_page.h"
#include "app/box/choose_page.h"
#include "app/box/map_page.h"
#include "app/box/read_page.h"
#include "app/box/replace_page.h"
#include "app/box/wood_page.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/edit/box.h"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QSignalBlocker>
#include <QStackedWidget>
#include <QToolButton>
#include <QVBoxLayout>

namespace yf::app {

namespace {

enum Page { boxPage, choosePage, mapPage, woodPage, readPage, replacePage, emptyPage };

const char* const pageIds[] = {"section", "choose", "map", "wood", "read", "replace"};

} // namespace

BoxStage::BoxStage(QWidget* parent) : Stage(parent) {
    setObjectName(QStringLiteral("stage_box"));
    kind_ = narrowCombo(this, QStringLiteral("box_kind"), tr("Kind of box"), 12);
    kind_->addItems(allKindWords());
    kind_->addItem(tr("none"));
    kind_->setMaximumWidth(170);
    box_ = new BoxPage(this);
    choose_ = new ChoosePage(this);
    map_ = new MapPage(this);
    wood_ = new WoodPage(this);
    read_ = new ReadPage(this);
    replace_ = new ReplacePage(this);
    pages_ = new QStackedWidget(this);
    for (QWidget* page : {static_cast<QWidget*>(box_),
                          static_cast<QWidget*>(choose_),
                          static_cast<QWidget*>(map_),
                          static_cast<QWidget*>(wood_),
                          static_cast<QWidget*>(read_),
                          static_cast<QWidget*>(replace_)}) {
        pages_->addWidget(page);
    }
    buildEmpty();
    auto* head = new QWidget(this);
    auto* chips = new FlowLayout(head);
    chips->setContentsMargins(0, 0, 0, 0);
    chips->setSpacing(4);
    const QString titles[] = {
        tr("Section"), tr("Choose"), tr("Map"), tr("Wood"), tr("Read back"), tr("Another driver")};
    for (int page = 0; page < emptyPage; ++page) {
        auto* tab = chip(
            head, QStringLiteral("box_tab_%1").arg(QLatin1String(pageIds[page])), titles[page]);
        connect(tab, &QToolButton::clicked, this, [this, page] { showPage(page); });
        chips->addWidget(tab);
        tabs_ << tab;
    }
    auto* top = new QHBoxLayout;
    top->setSpacing(8);
    top->addWidget(kind_);
    top->addWidget(head, 1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(8, 4, 8, 4);
    column->setSpacing(4);
    column->addLayout(top);
    column->addWidget(pages_, 1);
    connect(kind_, &QComboBox::currentIndexChanged, this, [this](int index) {
        const job::Enclosure* e = enclosure(sight_);
        if (e == nullptr) {
            return;
        }
        if (index < static_cast<int>(allKindWords().size())) {
            beginBox(e->driver, static_cast<box::Kind>(index));
        } else {
            Q_EMIT edited(edit::removeBox(sight_.cabinet, e->driver));
        }
    });
    connect(box_, &BoxPage::edited, this, &Stage::edited);
    connect(box_, &BoxPage::gestureEnded, this, &Stage::gestureEnded);
    connect(choose_, &ChoosePage::edited, this, &Stage::edited);
    connect(map_, &MapPage::edited, this, &Stage::edited);
    connect(map_, &MapPage::gestureEnded, this, &Stage::gestureEnded);
    connect(wood_, &WoodPage::edited, this, &Stage::edited);
    connect(wood_, &WoodPage::fileOffered, this, &Stage::fileOffered);
    connect(read_, &ReadPage::edited, this, &Stage::edited);
    connect(read_, &ReadPage::tablesWanted, this, &Stage::tablesWanted);
    showPage(boxPage);
}

void BoxStage::beginBox(const std::string& driver, box::Kind kind) {
    Q_EMIT editWanted([cabinet = sight_.cabinet, driver, kind](const Evaluated& present) {
        return Result(
            edit::beginBox(cabinet, driver, kind, evaluation::boxParameters(present.job, driver)));
    });
}

void BoxStage::buildEmpty() {
    empty_ = new QWidget(this);
    auto* column = new QVBoxLayout(empty_);
    emptyText_ = wrappedLabel(empty_, QStringLiteral("box_empty"), 11.0, QFont::Normal);
    column->addStretch(1);
    column->addWidget(emptyText_);
    auto* row = new QHBoxLayout;
    row->addStretch(1);
    for (const box::Kind kind : box::usualKinds) {
        auto* begin = new QPushButton(kindWords(kind), empty_);
        begin->setObjectName(QStringLiteral("box_begin_%1").arg(static_cast<int>(kind)));
        connect(
            begin, &QPushButton::clicked, this, [this, kind] { beginBox(sight_.driver, kind); });
        row->addWidget(begin);
    }
    row->addStretch(1);
    column->addLayout(row);
    column->addStretch(2);
    pages_->addWidget(empty_);
}

bool BoxStage::working() const {
    return map_->busy();
}

const job::Enclosure* BoxStage::enclosure(const Sight& sight) const {
    const job::Cabinet* cabinet = sight.shownCabinet();
    return cabinet == nullptr ? nullptr
                              : job::findEnclosure(sight.shown().job, *cabinet, sight.driver);
}

QString BoxStage::state(const Sight& sight) const {
    const evaluation::CabinetResult* result = sight.present->evaluation.find(sight.cabinet);
    if (result == nullptr || result->boxes.empty()) {
        return tr("nothing yet");
    }
    const evaluation::BoxResult& box = result->boxes.front();
    return box.fb   ? tr("fb %1").arg(hertz(*box.fb))
           : box.fc ? tr("fc %1").arg(hertz(*box.fc))
                    : tr("1 box");
}

void BoxStage::display(const Sight& sight) {
    sight_ = sight;
    const job::Cabinet* cabinet = sight.shownCabinet();
    setEnabled(cabinet != nullptr);
    if (cabinet == nullptr) {
        return;
    }
    const job::Driver* driver = job::findDriver(sight.shown().job, sight.driver);
    const job::Enclosure* e = enclosure(sight);
    const evaluation::CabinetResult* result = sight.shownResult();
    const bool there = e != nullptr && result != nullptr && result->box(e->driver) != nullptr;
    kind_->setVisible(there);
    for (QToolButton* tab : tabs_) {
        tab->setEnabled(there);
    }
    if (!there) {
        emptyText_->setText(
            driver == nullptr
                ? tr("Choose a driver on the front.")
                : tr("%1 has no box yet. Give it one: the cabinet's size makes its volume, or, "
                     "where its depth is not known, a depth is proposed that suits the driver.")
                      .arg(words(driver->name)));
        for (QPushButton* b : empty_->findChildren<QPushButton*>()) {
            b->setEnabled(driver != nullptr);
        }
        pages_->setCurrentIndex(emptyPage);
        return;
    }
    const QSignalBlocker quiet(kind_);
    kind_->setCurrentIndex(static_cast<int>(e->kind));
    pages_->setCurrentIndex(page_);
    showBox();
}

void BoxStage::showBox() {
    const job::Enclosure* e = sight_.present ? enclosure(sight_) : nullptr;
    if (e == nullptr) {
        return;
    }
    const BoxSight box{sight_, *sight_.shownCabinet(), *e, *sight_.shownResult()->box(e->driver)};
    // What is not looked at is made when it is.
    switch (page_) {
    case boxPage:
        box_->display(box);
        break;
    case choosePage:
        choose_->display(box);
        break;
    case mapPage:
        map_->display(box);
        break;
    case woodPage:
        wood_->display(box);
        break;
    case readPage:
        read_->display(box);
        break;
    case replacePage:
        replace_->display(box);
        break;
    default:
        break;
    }
}

void BoxStage::showPage(int page) {
    page_ = page;
    for (int i = 0; i < tabs_.size(); ++i) {
        tabs_[i]->setChecked(i == page);
    }
    if (pages_->currentIndex() != emptyPage || !sight_.present) {
        pages_->setCurrentIndex(page);
    }
    showBox();
}

bool BoxStage::go(const Place& place) {
    if (place.page == QLatin1String("curve")) {
        showPage(boxPage);
        box_->showCurve(static_cast<BoxCurve>(place.subject().toInt()));
        return true;
    }
    if (place.page == QLatin1String("kind")) {
        kind_->setCurrentIndex(place.subject().toInt());
        return true;
    }
    for (int page = 0; page < emptyPage; ++page) {
        if (place.page == QLatin1String(pageIds[page])) {
            showPage(page);
            tabs_[page]->setFocus();
            return true;
        }
    }
    if (!place.page.isEmpty()) {
        return false;
    }
    showPage(boxPage);
    return true;
}

} // namespace yf::app
