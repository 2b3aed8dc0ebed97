// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/check_stage.h"

#include "app/check/check_card.h"
#include "app/check/check_list.h"
#include "app/check/check_words.h"
#include "app/check/diagnosis_view.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"
#include "core/text/number.h"

#include <QGridLayout>
#include <QLabel>
#include <QScrollArea>
#include <QToolButton>

#include <algorithm>

namespace yf::app {

namespace {

using job::Condition;

QLabel* line(QWidget* parent, const QString& name, double points, QFont::Weight weight) {
    auto* label = new QLabel(parent);
    label->setObjectName(name);
    label->setTextFormat(Qt::PlainText);
    label->setWordWrap(true);
    QFont font = parent->font();
    font.setPointSizeF(points);
    font.setWeight(weight);
    label->setFont(font);
    return label;
}

void paint(QLabel* label, const QColor& colour) {
    QPalette p = label->palette();
    p.setColor(QPalette::WindowText, colour);
    label->setPalette(p);
}

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
    name_ = line(this, QStringLiteral("check_driver"), 10.0, QFont::Normal);
    verdict_ = line(this, QStringLiteral("check_verdict"), 15.0, QFont::DemiBold);
    meaning_ = line(this, QStringLiteral("check_meaning"), 10.0, QFont::Normal);
    bar_ = line(this, QStringLiteral("check_barred"), 10.0, QFont::DemiBold);
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
            Q_EMIT edited(job::concludeDriver(sight_.driver, which));
            Q_EMIT gestureEnded();
        });
        head->addWidget(button);
        conditions_.push_back(button);
    };
    condition(Condition::notChecked, tr("not checked"), QStringLiteral("found_not_checked"));
    condition(Condition::sound, tr("sound"), QStringLiteral("found_sound"));
    condition(Condition::suspect, tr("suspect"), QStringLiteral("found_suspect"));
    condition(Condition::dead, tr("dead"), QStringLiteral("found_dead"));

    auto* left = new QVBoxLayout;
    left->setSpacing(4);
    left->addWidget(verdict_);
    left->addWidget(meaning_);
    left->addWidget(bar_);
    left->addSpacing(6);
    left->addWidget(diagnosis_);
    left->addSpacing(6);
    left->addWidget(list_, 1);
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(12, 6, 8, 6);
    grid->setHorizontalSpacing(14);
    grid->addLayout(head, 0, 0, 1, 2);
    grid->addLayout(left, 1, 0);
    grid->addWidget(cardArea_, 1, 1);
    grid->setColumnStretch(0, 11);
    grid->setColumnStretch(1, 10);
    grid->setRowStretch(1, 1);

    connect(list_, &CheckList::wanted, this, [this](const QString& check) {
        chosen_ = check.toStdString();
        open(chosen_);
    });
    connect(card_, &CheckCard::entered, this, [this](const job::BenchReading& reading) {
        Q_EMIT edited(job::addReading(reading));
        Q_EMIT gestureEnded();
        // What is best now is asked anew.
        chosen_.clear();
    });
    connect(card_, &CheckCard::asideWanted, this, [this](const QString& reading, bool aside) {
        Q_EMIT edited(job::setReadingAside(reading.toStdString(), aside));
        Q_EMIT gestureEnded();
    });
    connect(card_, &CheckCard::nominalGiven, this, [this](double ohms) {
        Q_EMIT edited(job::changeNominal(sight_.driver, ohms));
        Q_EMIT gestureEnded();
    });
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
    const job::DriverBench* bench =
        sight.present->evaluation.findBench(sight.cabinet, sight.driver);
    for (qsizetype i = 0; i < conditions_.size(); ++i) {
        conditions_[i]->setEnabled(driver != nullptr);
        conditions_[i]->setChecked(driver != nullptr &&
                                   driver->condition == static_cast<Condition>(i));
    }
    name_->setText(driver == nullptr
                       ? tr("No driver chosen: click one on the Front. Checks are made one driver "
                            "at a time.")
                       : describe(job, sight));
    showVerdict(bench);
    diagnosis_->setVisible(bench != nullptr);
    cardArea_->setVisible(bench != nullptr);
    list_->setVisible(bench != nullptr);
    if (bench == nullptr) {
        return;
    }
    diagnosis_->display(*bench);
    list_->display(*bench);
    const std::string next = !bench->offers.empty()     ? bench->offers.front().check
                             : !bench->evidence.empty() ? bench->evidence.back().evidence.check
                                                        : std::string{};
    open(chosen_.empty() ? next : chosen_);
}

void CheckStage::showVerdict(const job::DriverBench* bench) {
    const Theme& t = theme();
    for (QLabel* label : {verdict_, meaning_, bar_}) {
        label->setVisible(bench != nullptr);
    }
    if (bench == nullptr) {
        return;
    }
    const bench::Diagnosis& d = bench->diagnosis;
    verdict_->setText(verdictSaid(d, !bench->evidence.empty()));
    meaning_->setText(
        d.done ? spoken(bench::consequenceInWords(d.top))
        : bench->offers.empty()
            ? tr("No check is left that would tell more; what remains possible is shown below.")
            : tr("Best next: %1.").arg(spoken(bench::checkInWords(bench->offers.front().check))));
    paint(meaning_, t.ink);
    const bool barred = !d.barred.empty();
    bar_->setText(tr("■ No amplifier on this speaker yet: turns may be shorted."));
    bar_->setVisible(barred);
    paint(bar_, t.stop);
}

void CheckStage::open(const std::string& check) {
    list_->setOpen(words(check));
    card_->display(sight_, check);
}

void CheckStage::reveal(const QString& figure) {
    if (figure.startsWith(QStringLiteral("check:"))) {
        chosen_ = figure.mid(6).toStdString();
        open(chosen_);
    }
    list_->setFocus();
}

} // namespace yf::app
