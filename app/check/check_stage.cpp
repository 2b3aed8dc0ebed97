// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/check_stage.h"

#include "app/check/check_card.h"
#include "app/check/check_list.h"
#include "app/check/check_words.h"
#include "app/check/diagnosis_view.h"
#include "app/check/polarity_view.h"
#include "app/check/replacement_view.h"
#include "app/theme/theme.h"
#include "app/widgets/elided_label.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"
#include "core/edit/bench.h"
#include "core/job/lookup.h"
#include "core/text/number.h"

#include <QEvent>
#include <QGridLayout>
#include <QLabel>
#include <QScrollArea>
#include <QStackedWidget>
#include <QToolButton>

#include <algorithm>

namespace yf::app {

namespace {

using job::Condition;

/// What is shown of a driver beside its name: band, rating, twin.
QString describe(const job::Job& job, const Sight& sight) {
    QStringList said{driverSaid(job, sight.cabinet, sight.driver)};
    const job::Driver* driver = job::findDriver(job, sight.driver);
    said << (driver->nominal ? figures(text::printEngineering(*driver->nominal, "Ω"))
                             : CheckStage::tr("no printed impedance"));
    const job::Cabinet* cabinet = job::findCabinet(job, sight.cabinet);
    if (const job::Driver* twin = job::twinOf(job, sight.cabinet, sight.driver)) {
        said << CheckStage::tr("twin: %1").arg(driverSaid(job, cabinet->twin, twin->id));
    }
    return said.join(QStringLiteral("  ·  "));
}

} // namespace

CheckStage::CheckStage(QWidget* parent) : Stage(parent) {
    setObjectName(QStringLiteral("stage_check"));
    name_ = new ElidedLabel(this);
    name_->setObjectName(QStringLiteral("check_driver"));
    verdict_ = wrappedLabel(this, QStringLiteral("check_verdict"), 15.0, QFont::DemiBold);
    meaning_ = wrappedLabel(this, QStringLiteral("check_meaning"), 10.0, QFont::Normal);
    bar_ = wrappedLabel(this, QStringLiteral("check_barred"), 10.0, QFont::DemiBold);
    diagnosis_ = new DiagnosisView(this);
    card_ = new CheckCard(this);
    cardArea_ = new QScrollArea(this);
    cardArea_->setObjectName(QStringLiteral("check_card_area"));
    cardArea_->setWidgetResizable(true);
    cardArea_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    cardArea_->setFocusPolicy(Qt::NoFocus);
    cardArea_->setWidget(card_);
    list_ = new CheckList(this);

    auto* head = new QHBoxLayout;
    const auto tab = [&](const QString& text, const QString& name, int page) {
        auto* button = new QToolButton(this);
        button->setText(text);
        button->setObjectName(name);
        button->setCheckable(true);
        button->setChecked(page == 0);
        button->setProperty("chip", true);
        connect(button, &QToolButton::clicked, this, [this, page] { showPage(page); });
        head->addWidget(button);
        tabs_.push_back(button);
    };
    tab(tr("Find the fault"), QStringLiteral("check_one"), 0);
    tab(tr("Polarity"), QStringLiteral("check_polarity"), 1);
    tab(tr("Replace"), QStringLiteral("check_replace"), 2);
    head->addSpacing(8);
    head->addWidget(name_, 1);
    auto* found = new QLabel(tr("Found:"), this);
    head->addWidget(found);
    head->setSpacing(6);
    const auto condition = [&](Condition which, const QString& text, const QString& name) {
        auto* button = new QToolButton(this);
        button->setText(text);
        button->setObjectName(name);
        button->setCheckable(true);
        button->setProperty("chip", true);
        button->setToolTip(tr("Write down what was found of this driver; the Front shows it."));
        connect(button, &QToolButton::clicked, this, [this, which] {
            Q_EMIT edited(edit::concludeDriver(sight_.driver, which));
            Q_EMIT gestureEnded();
        });
        head->addWidget(button);
        conditions_.push_back(button);
    };
    condition(Condition::notChecked, tr("not checked"), QStringLiteral("found_not_checked"));
    condition(Condition::sound, tr("sound"), QStringLiteral("found_sound"));
    condition(Condition::suspect, tr("suspect"), QStringLiteral("found_suspect"));
    condition(Condition::dead, tr("dead"), QStringLiteral("found_dead"));

    decision_ = new QWidget(this);
    decision_->setObjectName(QStringLiteral("check_decision"));
    auto* chips = new QWidget(decision_);
    auto* flow = new FlowLayout(chips);
    flow->setContentsMargins(0, 0, 0, 0);
    flow->setSpacing(5);
    for (std::size_t i = 0; i < bench::remedyNames.size(); ++i) {
        auto* chip = new QToolButton(chips);
        chip->setText(spoken(bench::remedyInWords(static_cast<bench::Remedy>(i))));
        chip->setObjectName(QStringLiteral("remedy_") + words(bench::remedyNames.at(i)));
        chip->setCheckable(true);
        chip->setProperty("chip", true);
        chip->installEventFilter(this);
        connect(chip, &QToolButton::clicked, this, [this, i] {
            Q_EMIT edited(edit::decide(sight_.driver, static_cast<bench::Remedy>(i)));
            Q_EMIT gestureEnded();
        });
        flow->addWidget(chip);
        remedies_.push_back(chip);
    }
    unmatched_ = wrappedLabel(decision_, QStringLiteral("check_unmatched"), 10.0, QFont::Normal);
    auto* decisionColumn = new QVBoxLayout(decision_);
    decisionColumn->setContentsMargins(0, 0, 0, 0);
    decisionColumn->setSpacing(3);
    decisionColumn->addWidget(chips);
    decisionColumn->addWidget(unmatched_);

    auto* one = new QWidget(this);
    auto* left = new QVBoxLayout;
    left->setSpacing(4);
    left->addWidget(verdict_);
    left->addWidget(meaning_);
    left->addWidget(bar_);
    left->addSpacing(2);
    left->addWidget(decision_);
    left->addSpacing(4);
    left->addWidget(diagnosis_);
    left->addSpacing(6);
    left->addWidget(list_, 1);
    auto* row = new QHBoxLayout(one);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(14);
    row->addLayout(left, 11);
    row->addWidget(cardArea_, 10);
    polarity_ = new PolarityView(this);
    pages_ = new QStackedWidget(this);
    pages_->addWidget(one);
    pages_->addWidget(polarity_);
    replacement_ = new ReplacementView(this);
    pages_->addWidget(replacement_);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(12, 6, 8, 6);
    column->addLayout(head);
    column->addWidget(pages_, 1);

    const auto apply = [this](const edit::Edit& edit) {
        Q_EMIT edited(edit);
        Q_EMIT gestureEnded();
    };
    connect(polarity_, &PolarityView::edited, this, apply);
    connect(replacement_, &ReplacementView::edited, this, apply);
    connect(list_, &CheckList::wanted, this, [this](const QString& check) {
        chosen_ = check.toStdString();
        open(chosen_);
    });
    connect(card_, &CheckCard::entered, this, [this](const job::BenchReading& reading) {
        Q_EMIT edited(edit::addReading(reading));
        Q_EMIT gestureEnded();
        // What is best now is asked anew.
        chosen_.clear();
    });
    connect(card_, &CheckCard::asideWanted, this, [this](const QString& reading, bool aside) {
        Q_EMIT edited(edit::setReadingAside(reading.toStdString(), aside));
        Q_EMIT gestureEnded();
    });
    connect(card_, &CheckCard::nominalGiven, this, [this](double ohms) {
        Q_EMIT edited(edit::changeNominal(sight_.driver, ohms));
        Q_EMIT gestureEnded();
    });
}

void CheckStage::showPage(int page) {
    pages_->setCurrentIndex(page);
    for (int i = 0; i < tabs_.size(); ++i) {
        tabs_[i]->setChecked(i == page);
    }
    if (sight_.present) {
        display(sight_);
    }
}

bool CheckStage::eventFilter(QObject* watched, QEvent* event) {
    const auto at = remedies_.indexOf(static_cast<QToolButton*>(watched));
    if (at >= 0 && sight_.present) {
        // What a remedy would leave unmatched, before it is chosen.
        if (event->type() == QEvent::Enter || event->type() == QEvent::FocusIn) {
            unmatched_->setText(spoken(bench::unmatchedInWords(static_cast<bench::Remedy>(at))));
        } else if (event->type() == QEvent::Leave || event->type() == QEvent::FocusOut) {
            showDecision(sight_.present->evaluation.findBench(sight_.cabinet, sight_.driver));
        }
    }
    return Stage::eventFilter(watched, event);
}

void CheckStage::showDecision(const evaluation::DriverBench* bench) {
    const job::Driver* driver = job::findDriver(sight_.present->job, sight_.driver);
    const bool settled = bench != nullptr && driver != nullptr &&
                         (bench->diagnosis.done || driver->decision != bench::Remedy::undecided);
    decision_->setVisible(settled);
    if (!settled) {
        return;
    }
    const std::vector<bench::Remedy> fitting = bench::remediesFor(bench->diagnosis.top);
    for (qsizetype i = 0; i < remedies_.size(); ++i) {
        const auto remedy = static_cast<bench::Remedy>(i);
        const bool fits = std::ranges::find(fitting, remedy) != fitting.end();
        const bool chosen = driver->decision == remedy;
        remedies_[i]->setVisible(fits || chosen ||
                                 (i == 0 && driver->decision != bench::Remedy::undecided));
        remedies_[i]->setChecked(chosen);
    }
    unmatched_->setText(driver->decision == bench::Remedy::undecided
                            ? tr("What to do? Each says what it leaves unmatched.")
                            : spoken(bench::unmatchedInWords(driver->decision)));
    tint(unmatched_, theme().quietInk);
}

QString CheckStage::state(const Sight& sight) const {
    const job::Job& job = sight.present->job;
    int sound = 0;
    int bad = 0;
    int all = 0;
    for (const job::Cabinet& cabinet : job.cabinets) {
        for (const job::Mount& mount : cabinet.mounts) {
            const Condition c = job::findDriver(job, mount.driver)->condition;
            ++all;
            sound += c == Condition::sound ? 1 : 0;
            bad += c == Condition::suspect || c == Condition::dead ? 1 : 0;
        }
    }
    const QString said = tr("%1 of %2 sound").arg(sound).arg(all);
    return bad == 0 ? said : said + QStringLiteral(" !");
}

void CheckStage::display(const Sight& sight) {
    const bool other = sight.driver != sight_.driver || sight.cabinet != sight_.cabinet;
    sight_ = sight;
    if (other) {
        chosen_.clear();
    }
    const job::Job& job = sight.present->job;
    const job::Driver* driver = job::findDriver(job, sight.driver);
    const evaluation::DriverBench* bench =
        sight.present->evaluation.findBench(sight.cabinet, sight.driver);
    for (qsizetype i = 0; i < conditions_.size(); ++i) {
        conditions_[i]->setEnabled(driver != nullptr);
        conditions_[i]->setChecked(driver != nullptr &&
                                   driver->condition == static_cast<Condition>(i));
    }
    name_->say(driver == nullptr
                   ? tr("No driver chosen: click one on the Front. Checks are made one driver "
                        "at a time.")
                   : describe(job, sight));
    if (pages_->currentIndex() == 1) {
        polarity_->display(sight);
    } else if (pages_->currentIndex() == 2) {
        replacement_->display(sight);
    }
    showVerdict(bench);
    showDecision(bench);
    diagnosis_->setVisible(bench != nullptr);
    cardArea_->setVisible(bench != nullptr);
    list_->setVisible(bench != nullptr);
    if (bench == nullptr) {
        return;
    }
    diagnosis_->display(*bench);
    list_->display(*sight.present->evaluation.table, *bench);
    const std::string next = !bench->offers.empty()     ? bench->offers.front().check
                             : !bench->evidence.empty() ? bench->evidence.back().evidence.check
                                                        : std::string{};
    open(chosen_.empty() ? next : chosen_);
}

void CheckStage::showVerdict(const evaluation::DriverBench* bench) {
    const Theme& t = theme();
    for (QLabel* label : {verdict_, meaning_, bar_}) {
        label->setVisible(bench != nullptr);
    }
    if (bench == nullptr) {
        return;
    }
    const bench::Diagnosis& d = bench->diagnosis;
    const job::Driver* driver = job::findDriver(sight_.present->job, bench->driver);
    // The checks ask what is wrong with a speaker that was complained of; who has found a driver
    // sound has answered that, unless they are sure of a fault.
    const bool sound = driver->condition == Condition::sound && !d.done;
    verdict_->setText(sound ? tr("Found sound") : verdictSaid(d, !bench->evidence.empty()));
    meaning_->setText(
        sound    ? tr("If something is wrong with the speaker after all, these are the chances:")
        : d.done ? spoken(bench::consequenceInWords(d.top))
        : bench->offers.empty()
            ? tr("No check is left that would tell more; what remains possible is shown below.")
            : tr("Best next: %1.").arg(spoken(bench::checkInWords(bench->offers.front().check))));
    tint(meaning_, t.ink);
    const bool barred = !d.barred.empty();
    bar_->setText(tr("■ No amplifier on this speaker yet: turns may be shorted."));
    bar_->setVisible(barred);
    tint(bar_, t.stop);
}

void CheckStage::open(const std::string& check) {
    list_->setOpen(words(check));
    card_->display(sight_, check);
}

bool CheckStage::go(const Place& place) {
    if (place.page == QLatin1String("polarity")) {
        showPage(1);
        return true;
    }
    if (place.page == QLatin1String("replace")) {
        showPage(2);
        return true;
    }
    if (!place.page.isEmpty() && !list_->has(place.page)) {
        return false;
    }
    showPage(0);
    if (!place.page.isEmpty()) {
        chosen_ = place.page.toStdString();
        open(chosen_);
        if (!place.subjects.isEmpty()) {
            card_->useStandIn(); // for pictures
        }
    }
    list_->setFocus();
    return true;
}

} // namespace yf::app
