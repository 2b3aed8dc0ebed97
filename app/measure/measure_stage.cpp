// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/measure_stage.h"

#include "app/measure/angles_page.h"
#include "app/measure/curves_page.h"
#include "app/measure/decay_page.h"
#include "app/measure/hand_page.h"
#include "app/measure/merge_page.h"
#include "app/measure/parameters_page.h"
#include "app/measure/record_page.h"
#include "app/measure/take_list.h"
#include "app/measure/take_works.h"
#include "app/measure/time_page.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/dropped_files.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/edit/measurement.h"
#include "core/text/sentence.h"

#include <QDragEnterEvent>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QStackedWidget>
#include <QToolButton>

#include <algorithm>
#include <iterator>

namespace yf::app {

namespace {

enum Page {
    curvesPage,
    recordPage,
    timePage,
    decayPage,
    mergePage,
    anglesPage,
    parametersPage,
    handPage
};

const char* const pageIds[] = {
    "curves", "record", "time", "decay", "merge", "angles", "parameters", "hand"};

} // namespace

MeasureStage::MeasureStage(QWidget* parent) : Stage(parent) {
    setObjectName(QStringLiteral("stage_measure"));
    setAcceptDrops(true);
    works_ = new TakeWorks(this);
    name_ = wrappedLabel(this, QStringLiteral("measure_driver"), 14.0, QFont::DemiBold);
    name_->setWordWrap(false);
    open_ = new QPushButton(tr("Open files …"), this);
    open_->setObjectName(QStringLiteral("measure_open"));
    connect(
        open_, &QPushButton::clicked, this, [this] { Q_EMIT tablesWanted(words(sight_.driver)); });
    takes_ = new TakeList(this);
    takes_->setFixedWidth(190);
    curves_ = new CurvesPage(this);
    record_ = new RecordPage(this);
    time_ = new TimePage(works_, this);
    decay_ = new DecayPage(works_, this);
    merge_ = new MergePage(this);
    angles_ = new AnglesPage(this);
    parameters_ = new ParametersPage(works_, this);
    hand_ = new HandPage(this);
    pages_ = new QStackedWidget(this);
    for (QWidget* page : {static_cast<QWidget*>(curves_),
                          static_cast<QWidget*>(record_),
                          static_cast<QWidget*>(time_),
                          static_cast<QWidget*>(decay_),
                          static_cast<QWidget*>(merge_),
                          static_cast<QWidget*>(angles_),
                          static_cast<QWidget*>(parameters_),
                          static_cast<QWidget*>(hand_)}) {
        pages_->addWidget(page);
    }
    auto* head = new QWidget(this);
    auto* chips = new FlowLayout(head);
    chips->setContentsMargins(0, 0, 0, 0);
    chips->setSpacing(4);
    const QString titles[] = {tr("Curves"),
                              tr("Record"),
                              tr("Time and gate"),
                              tr("Decay"),
                              tr("Near and far"),
                              tr("Angles"),
                              tr("Parameters"),
                              tr("By hand")};
    for (int page = 0; page < pages_->count(); ++page) {
        auto* tab = chip(
            head, QStringLiteral("measure_tab_%1").arg(QLatin1String(pageIds[page])), titles[page]);
        connect(tab, &QToolButton::clicked, this, [this, page] { showPage(page); });
        chips->addWidget(tab);
        tabs_ << tab;
    }
    auto* left = new QVBoxLayout;
    left->setSpacing(4);
    left->addWidget(name_);
    left->addWidget(takes_, 1);
    left->addWidget(open_);
    auto* body = new QHBoxLayout;
    body->setSpacing(8);
    body->addLayout(left);
    body->addWidget(pages_, 1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(8, 4, 8, 4);
    column->setSpacing(4);
    column->addWidget(head);
    column->addLayout(body, 1);
    connect(takes_, &TakeList::chosenChanged, this, &MeasureStage::showTakes);
    connect(takes_, &TakeList::tickedChanged, this, &MeasureStage::showTakes);
    connect(takes_,
            &TakeList::described,
            this,
            [this](const QString& take, const QString& note, const QString& condition) {
                Q_EMIT edited(edit::describeTake(
                    take.toStdString(), note.toStdString(), condition.toStdString()));
            });
    connect(takes_, &TakeList::useWanted, this, [this](const QString& take) {
        Q_EMIT edited(edit::useTake(sight_.driver, take.toStdString()));
    });
    connect(takes_, &TakeList::exportWanted, this, &MeasureStage::exportTake);
    connect(merge_, &MergePage::edited, this, &MeasureStage::edited);
    connect(hand_, &HandPage::edited, this, &MeasureStage::edited);
    connect(angles_, &AnglesPage::tablesWanted, this, &MeasureStage::tablesWanted);
    connect(curves_, &CurvesPage::edited, this, &MeasureStage::edited);
    connect(curves_, &CurvesPage::editWanted, this, &MeasureStage::editWanted);
    connect(record_, &RecordPage::edited, this, &MeasureStage::edited);
    connect(record_, &RecordPage::fileWanted, this, &MeasureStage::fileWanted);
    connect(works_, &TakeWorks::made, this, &MeasureStage::showTakes);
    connect(works_, &TakeWorks::gated, this, [this](const job::Take& take) {
        Q_EMIT edited(edit::replaceTake(take));
    });
    showPage(curvesPage);
}

bool MeasureStage::working() const {
    return works_->busy();
}

QString MeasureStage::state(const Sight& sight) const {
    const auto count = sight.present->job.takes.size();
    return count == 0 ? tr("nothing yet") : count == 1 ? tr("1 take") : tr("%1 takes").arg(count);
}

void MeasureStage::display(const Sight& sight) {
    sight_ = sight;
    const job::Job& job = sight.shown().job;
    const job::Driver* driver = job::findDriver(job, sight.driver);
    open_->setEnabled(driver != nullptr);
    name_->setText(driver == nullptr ? tr("No driver chosen") : words(driver->name));
    takes_->display(job, sight.cabinet, sight.driver);
    record_->display(sight);
    showTakes();
}

void MeasureStage::showTakes() {
    if (!sight_.present) {
        return;
    }
    const job::Job& job = sight_.shown().job;
    const job::Take* chosen = job::findTake(job, takes_->chosen());
    std::vector<const job::Take*> over;
    for (const std::string& id : takes_->ticked()) {
        if (const job::Take* take = job::findTake(job, id)) {
            over.push_back(take);
        }
    }
    // What is not looked at is made when it is.
    switch (pages_->currentIndex()) {
    case curvesPage:
        curves_->display(sight_, chosen, over);
        break;
    case timePage:
        time_->display(sight_, chosen);
        break;
    case decayPage:
        decay_->display(sight_, chosen);
        break;
    case mergePage:
        merge_->display(sight_);
        break;
    case anglesPage:
        angles_->display(sight_);
        break;
    case parametersPage:
        parameters_->display(sight_, chosen);
        break;
    case handPage:
        hand_->display(sight_);
        break;
    default:
        break;
    }
}

void MeasureStage::exportTake(const QString& id, take::TakeFormat format) {
    const job::Job& job = sight_.shown().job;
    const job::Take* take = job::findTake(job, id.toStdString());
    if (take == nullptr) {
        return;
    }
    const auto file = take::exportTake(*take, format);
    if (!file) {
        takes_->tell(QStringLiteral("■ ") + spoken(text::sentence(file.error())));
        return;
    }
    Q_EMIT fileOffered(tr("Save the take"),
                       words(take::fileStem(job, *take) + "." + file->ending),
                       QByteArray(file->bytes.data(), static_cast<qsizetype>(file->bytes.size())));
}

void MeasureStage::showPage(int page) {
    pages_->setCurrentIndex(page);
    for (int i = 0; i < tabs_.size(); ++i) {
        tabs_[i]->setChecked(i == page);
    }
    showTakes();
}

bool MeasureStage::go(const Place& place) {
    if (place.page == QLatin1String("next")) { // a response to record, alone or with another driver
        showPage(recordPage);
        record_->want(place.subject());
        return true;
    }
    const auto* const page =
        std::ranges::find(pageIds, place.page, [](const char* id) { return QLatin1String(id); });
    const bool sweep = place.page == QLatin1String("sweep");
    const bool calibrations = place.page == QLatin1String("calibrations");
    if (!place.page.isEmpty() && page == std::end(pageIds) && !sweep && !calibrations) {
        return false;
    }
    // A measurement is chosen first; "+" before it ticks it.
    for (const QString& take : place.subjects) {
        take.startsWith(u'+') ? takes_->tick(take.mid(1).toStdString())
                              : takes_->choose(take.toStdString());
    }
    if (sweep || calibrations) {
        showPage(recordPage);
        sweep ? record_->begin() : record_->showCalibrations(true);
        return true;
    }
    if (page != std::end(pageIds)) {
        const int index = static_cast<int>(page - std::begin(pageIds));
        showPage(index);
        tabs_[index]->setFocus();
        return true;
    }
    showPage(curvesPage);
    curves_->response()->setFocus();
    return true;
}

void MeasureStage::dragEnterEvent(QDragEnterEvent* event) {
    if (!droppedFiles(event->mimeData()).isEmpty() && !sight_.driver.empty()) {
        event->acceptProposedAction();
    }
}

void MeasureStage::dropEvent(QDropEvent* event) {
    event->acceptProposedAction();
    Q_EMIT tablesGiven(words(sight_.driver), droppedFiles(event->mimeData()));
}

} // namespace yf::app
