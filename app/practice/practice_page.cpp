// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/practice/practice_page.h"

#include "app/check/check_card.h"
#include "app/check/check_list.h"
#include "app/check/check_words.h"
#include "app/check/diagnosis_view.h"
#include "app/practice/practice_result.h"
#include "app/theme/theme.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/text/sentence.h"

#include <QComboBox>
#include <QDateTime>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QRandomGenerator>
#include <QScrollArea>
#include <QStackedWidget>
#include <QToolButton>

namespace yf::app {

namespace {

using sim::PracticeLevel;

constexpr std::uint64_t seeds = 1'000'000;

} // namespace

PracticePage::PracticePage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("practice_page"));
    setProperty("help", QStringLiteral("practise"));
    build();
    constexpr int twitch = 700; // ms
    tips_.setInterval(twitch);
    connect(&tips_, &QTimer::timeout, this, [this] {
        card_->setUnderTheTips(practice_->underTheTips(onTwin_));
    });
}

PracticePage::~PracticePage() = default;

void PracticePage::build() {
    auto* title = new QLabel(tr("Practise"), this);
    QFont big = font();
    big.setPointSizeF(14.0);
    big.setWeight(QFont::DemiBold);
    title->setFont(big);
    auto* head = new QHBoxLayout;
    head->setSpacing(6);
    head->addWidget(title);
    head->addSpacing(12);
    const auto level = [&](const QString& text, const QString& tip, PracticeLevel which) {
        auto* chip = new QToolButton(this);
        chip->setText(text);
        chip->setToolTip(tip);
        chip->setObjectName(QStringLiteral("practice_level_%1").arg(static_cast<int>(which) + 1));
        chip->setCheckable(true);
        chip->setProperty("chip", true);
        connect(chip, &QToolButton::clicked, this, [this, which] { begin(seed_, which); });
        head->addWidget(chip);
        levels_.push_back(chip);
    };
    level(tr("1  plain faults, with advice"),
          tr("Six faults, well advanced; the diagnosis is shown as it grows."),
          PracticeLevel::first);
    level(tr("2  all faults"),
          tr("Every fault as often as it comes in, and no advice."),
          PracticeLevel::second);
    level(tr("3  no twin"), tr("The same, without a twin to compare with."), PracticeLevel::third);
    head->addStretch(1);
    auto* numberName = new QLabel(tr("Speaker no."), this);
    seedField_ = new QLineEdit(this);
    seedField_->setObjectName(QStringLiteral("practice_seed"));
    seedField_->setAccessibleName(tr("Number of the speaker"));
    seedField_->setToolTip(tr("The same number and level are the same speaker, on every machine."));
    seedField_->setFixedWidth(86);
    seedField_->setFont(figureFont(10.0));
    numberName->setBuddy(seedField_);
    connect(seedField_, &QLineEdit::returnPressed, this, [this] {
        bool ok = false;
        const quint64 seed = seedField_->text().trimmed().toULongLong(&ok);
        if (!ok) {
            tell(tr("'%1' is no number of a speaker: digits only.").arg(seedField_->text()));
            return;
        }
        begin(seed, practice_->level());
    });
    auto* another = new QPushButton(tr("Another speaker"), this);
    another->setObjectName(QStringLiteral("practice_another"));
    connect(another, &QPushButton::clicked, this, [this] {
        begin(QRandomGenerator::global()->generate64() % seeds + 1, practice_->level());
    });
    auto* leave = new QPushButton(tr("Back"), this);
    leave->setObjectName(QStringLiteral("practice_back"));
    connect(leave, &QPushButton::clicked, this, &PracticePage::left);
    head->addWidget(numberName);
    head->addWidget(seedField_);
    head->addWidget(another);
    head->addWidget(leave);

    auto* running = new QWidget(this);
    complaint_ = new QLabel(running);
    complaint_->setObjectName(QStringLiteral("practice_complaint"));
    complaint_->setFont(big);
    clock_ = new QLabel(running);
    clock_->setObjectName(QStringLiteral("practice_clock"));
    clock_->setFont(figureFont(24.0));
    told_ = wrappedLabel(running, QStringLiteral("practice_told"));
    const auto subject = [&](const QString& text, const QString& name, bool twin) {
        auto* chip = new QToolButton(running);
        chip->setText(text);
        chip->setObjectName(name);
        chip->setCheckable(true);
        chip->setProperty("chip", true);
        connect(chip, &QToolButton::clicked, this, [this, twin] { chooseSubject(twin); });
        return chip;
    };
    speaker_ = subject(tr("The speaker"), QStringLiteral("practice_speaker"), false);
    twin_ = subject(tr("Its sound twin"), QStringLiteral("practice_twin"), true);
    diagnosis_ = new DiagnosisView(running);
    diagnosis_->setObjectName(QStringLiteral("practice_diagnosis"));
    list_ = new CheckList(running);
    list_->setObjectName(QStringLiteral("practice_list"));
    card_ = new CheckCard(running);
    card_->setObjectName(QStringLiteral("practice_card"));
    card_->setPractice();
    auto* area = new QScrollArea(running);
    area->setWidgetResizable(true);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    area->setFocusPolicy(Qt::NoFocus);
    area->setWidget(card_);
    verdict_ = new QComboBox(running);
    verdict_->setObjectName(QStringLiteral("practice_verdict_box"));
    verdict_->setAccessibleName(tr("Your verdict"));
    verdict_->addItem(tr("Your verdict …"));
    for (const std::string& fault : bench::shippedTable().faults) {
        verdict_->addItem(spoken(bench::faultInWords(fault)), words(fault));
    }
    say_ = new QPushButton(tr("That is it"), running);
    say_->setObjectName(QStringLiteral("practice_say"));
    say_->setProperty("main", true);
    connect(
        verdict_, &QComboBox::activated, this, [this](int index) { say_->setEnabled(index > 0); });
    connect(say_, &QPushButton::clicked, this, &PracticePage::finish);

    auto* subjects = new QHBoxLayout;
    subjects->setSpacing(6);
    subjects->addWidget(speaker_);
    subjects->addWidget(twin_);
    subjects->addStretch(1);
    auto* top = new QHBoxLayout;
    auto* words = new QVBoxLayout;
    words->setSpacing(6);
    words->addWidget(complaint_);
    words->addLayout(subjects);
    words->addWidget(told_);
    top->addLayout(words, 1);
    top->addWidget(clock_, 0, Qt::AlignTop);
    auto* verdictRow = new QHBoxLayout;
    verdictRow->addWidget(verdict_, 1);
    verdictRow->addWidget(say_);
    auto* leftColumn = new QVBoxLayout;
    leftColumn->addWidget(diagnosis_);
    leftColumn->addWidget(list_, 1);
    leftColumn->addLayout(verdictRow);
    auto* grid = new QGridLayout(running);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(16);
    grid->addLayout(top, 0, 0, 1, 2);
    grid->addLayout(leftColumn, 1, 0);
    grid->addWidget(area, 1, 1);
    grid->setColumnStretch(0, 1);
    grid->setColumnStretch(1, 1);
    grid->setRowStretch(1, 1);

    result_ = new PracticeResultView(this);
    pages_ = new QStackedWidget(this);
    pages_->addWidget(running);
    pages_->addWidget(result_);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(24, 10, 24, 12);
    column->setSpacing(8);
    column->addLayout(head);
    column->addWidget(pages_, 1);

    connect(list_, &CheckList::wanted, this, &PracticePage::open);
    connect(card_, &CheckCard::makeWanted, this, [this] {
        const auto made = practice_->make(check_, card_->cautionsHeeded());
        tell(made ? QString{} : spoken(text::sentence(made.error())));
        display();
    });
    connect(card_, &CheckCard::entered, this, [this](const job::BenchReading& reading) {
        const auto entered = practice_->enter(reading, card_->cautionsHeeded());
        tell(entered ? QString{} : spoken(text::sentence(entered.error())));
        display();
    });
}

void PracticePage::begin(std::uint64_t seed, PracticeLevel level) {
    seed_ = seed;
    practice_ = std::make_unique<sim::Practice>(seed, level);
    onTwin_ = false;
    check_ = level == PracticeLevel::first && !practice_->bench().offers.empty()
                 ? practice_->bench().offers.front().check
                 : "look_smell";
    seedField_->setText(QString::number(seed));
    for (int i = 0; i < levels_.size(); ++i) {
        levels_[i]->setChecked(i == static_cast<int>(level));
    }
    verdict_->setCurrentIndex(0);
    say_->setEnabled(false);
    tell({});
    pages_->setCurrentIndex(0);
    const auto& symptom = practice_->job().readings.front();
    complaint_->setText(capital(spoken(bench::outcomeInWords("symptom", symptom.outcome))));
    card_->setUnderTheTips(practice_->underTheTips(false));
    card_->startMeters();
    tips_.start();
    display();
}

void PracticePage::replay(const QStringList& checks, const QString& verdict) {
    for (const QString& check : checks) {
        static_cast<void>(practice_->make(check.toStdString(), true).ok());
    }
    display();
    if (const int at = verdict_->findData(verdict); at > 0) {
        verdict_->setCurrentIndex(at);
        finish();
    }
}

void PracticePage::rest() {
    tips_.stop();
    card_->stopMeters();
}

void PracticePage::tell(const QString& trouble) {
    told_->setText(trouble);
    told_->setVisible(!trouble.isEmpty());
    tint(told_, theme().stop);
}

void PracticePage::chooseSubject(bool twin) {
    onTwin_ = twin;
    card_->setUnderTheTips(practice_->underTheTips(onTwin_));
    display();
}

void PracticePage::open(const QString& check) {
    check_ = check.toStdString();
    display();
}

void PracticePage::display() {
    const bool figured = check_ == "dcr" || check_ == "lcr";
    if (!figured) {
        onTwin_ = false; // only meters are put to the twin
    }
    speaker_->setChecked(!onTwin_);
    twin_->setChecked(onTwin_);
    twin_->setVisible(practice_->hasTwin());
    twin_->setEnabled(figured);
    auto state = std::make_shared<Evaluated>();
    state->job = practice_->job();
    state->assembly =
        std::make_shared<const evaluation::Assembly>(evaluation::assemble(state->job));
    state->evaluation =
        evaluation::evaluate(state->job, *state->assembly, evaluation::Tables::shipped());
    sight_.present = state;
    sight_.cabinet = onTwin_ ? sim::practiceTwin : sim::practiceSpeaker;
    sight_.driver = sight_.cabinet;
    const evaluation::DriverBench bench = practice_->bench();
    const bool advised = practice_->level() == PracticeLevel::first;
    diagnosis_->setVisible(advised);
    if (advised) {
        diagnosis_->display(bench);
        list_->display(*state->evaluation.table, bench);
    } else {
        list_->displayPlain(bench);
    }
    list_->setOpen(words(check_));
    card_->display(sight_, check_);
    clock_->setText(tr("%1 min").arg(practice_->minutes()));
}

void PracticePage::finish() {
    const QString verdict = verdict_->currentData().toString();
    if (verdict.isEmpty()) {
        return;
    }
    rest();
    result_->display(practice_->finish(verdict.toStdString()));
    pages_->setCurrentIndex(1);
}

} // namespace yf::app
