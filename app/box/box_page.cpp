// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/box_page.h"

#include "app/box/box_fields.h"
#include "app/box/cutaway.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/labels.h"
#include "app/widgets/notice.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/edit/box.h"

#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QSignalBlocker>
#include <QStackedWidget>
#include <QToolButton>

namespace yf::app {

BoxPage::BoxPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("box_page"));
    cutaway_ = new Cutaway(this);
    response_ = new Plot(PlotKind::level, QStringLiteral("box_response"), tr("Response"), this);
    curves_ =
        narrowCombo(this, QStringLiteral("box_curve"), tr("What the second picture shows"), 14);
    curves_->addItems({tr("cone's travel"),
                       tr("air in the port"),
                       tr("group delay"),
                       tr("impedance"),
                       tr("loudest possible")});
    sentence_ = stillLabel(this, QStringLiteral("box_sentence"));
    volumes_ = stillLabel(this, QStringLiteral("box_volumes"));
    summary_ = stillLabel(this, QStringLiteral("box_summary"));
    doubt_ = wrappedLabel(this, QStringLiteral("box_doubt"));
    notice_ = new Notice(this);
    notice_->setObjectName(QStringLiteral("box_notice"));
    buildMotion();
    fields_ = new BoxFields(this);
    connect(fields_, &BoxFields::edited, this, &BoxPage::edited);
    connect(fields_, &BoxFields::gestureEnded, this, &BoxPage::gestureEnded);
    connect(fields_, &BoxFields::problemChanged, this, [this](const QString& problem) {
        problem.isEmpty() ? notice_->clear() : notice_->tell(Gravity::mind, problem);
    });

    auto* motion = new QHBoxLayout;
    motion->addWidget(play_);
    motion->addWidget(slow_);
    motion->addStretch(1);
    auto* left = new QVBoxLayout;
    left->setSpacing(4);
    left->addWidget(cutaway_, 1);
    left->addLayout(motion);
    left->addWidget(sentence_->parentWidget());
    auto* right = new QVBoxLayout;
    right->setSpacing(4);
    right->addWidget(summary_->parentWidget());
    right->addWidget(response_, 3);
    auto* which = new QHBoxLayout;
    which->addWidget(curves_);
    which->addWidget(volumes_->parentWidget(), 1);
    right->addLayout(which);
    pile_ = new QStackedWidget(this);
    for (int i = 0; i < curves_->count(); ++i) {
        auto* plot = new Plot(kindOf(static_cast<BoxCurve>(i)),
                              QStringLiteral("box_second_%1").arg(i),
                              curves_->itemText(i),
                              this);
        seconds_.push_back(plot);
        pile_->addWidget(plot);
        connect(plot, &Plot::crosshairMoved, this, &BoxPage::follow);
    }
    right->addWidget(pile_, 3);
    right->addWidget(fields_);
    right->addWidget(doubt_);
    right->addWidget(notice_);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(8);
    both->addLayout(left, 2);
    both->addLayout(right, 5);
    linkCrosshairs(QVector<Plot*>{response_} + seconds_);
    connect(response_, &Plot::crosshairMoved, this, &BoxPage::follow);
    connect(curves_, &QComboBox::currentIndexChanged, this, [this](int index) {
        showCurve(static_cast<BoxCurve>(index));
    });
    connect(cutaway_, &Cutaway::enclosureDragged, this, [this](const job::Enclosure& e) {
        Q_EMIT edited(
            edit::changeBox(cabinet_, e, YF_WORDS("core", "Drag in the section"), "box-drag"));
    });
    connect(cutaway_, &Cutaway::depthDragged, this, [this](double depth) {
        Q_EMIT edited(edit::sizeCabinet(cabinet_, {.depth = depth}, "box-depth"));
    });
    connect(cutaway_, &Cutaway::released, this, &BoxPage::gestureEnded);
}

void BoxPage::buildMotion() {
    play_ = new QToolButton(this);
    play_->setObjectName(QStringLiteral("box_play"));
    play_->setCheckable(true);
    play_->setMinimumHeight(28);
    slow_ = new QCheckBox(tr("slower"), this);
    slow_->setObjectName(QStringLiteral("box_slow"));
    const auto name = [this](bool playing) {
        play_->setText(playing ? tr("Pause") : tr("Play"));
        play_->setAccessibleName(playing ? tr("Pause cone and air") : tr("Let cone and air move"));
        const QSignalBlocker quiet(play_);
        play_->setChecked(playing);
    };
    name(cutaway_->playing());
    connect(play_, &QToolButton::toggled, cutaway_, &Cutaway::setPlaying);
    connect(cutaway_, &Cutaway::playingChanged, this, name);
    connect(slow_, &QCheckBox::toggled, cutaway_, &Cutaway::setSlow);
}

void BoxPage::showCurve(BoxCurve curve) {
    curve_ = curve;
    const QSignalBlocker quiet(curves_);
    curves_->setCurrentIndex(static_cast<int>(curve));
    pile_->setCurrentIndex(static_cast<int>(curve));
    if (const evaluation::BoxResult* box = result()) {
        const Sight sight{.present = evaluated_};
        const job::Cabinet& cabinet = *job::findCabinet(evaluated_->job, cabinet_);
        seconds_[pile_->currentIndex()]->display(
            boxCurve({sight, cabinet, enclosure_, *box}, curve_));
    }
}

const evaluation::BoxResult* BoxPage::result() const {
    const evaluation::CabinetResult* result =
        evaluated_ ? evaluated_->evaluation.find(cabinet_) : nullptr;
    const evaluation::BoxResult* box = result == nullptr ? nullptr : result->box(enclosure_.driver);
    return box != nullptr && box->problem.empty() ? box : nullptr;
}

void BoxPage::follow(double f) {
    frequency_ = f;
    cutaway_->setFrequency(f);
    if (const evaluation::BoxResult* box = result()) {
        sentence_->setText(QStringLiteral("%1: %2").arg(hertz(f), motionWords(*box, f)));
    }
}

void BoxPage::display(const BoxSight& b) {
    const bool first = enclosure_.driver != b.enclosure.driver || cabinet_ != b.cabinet.id;
    cabinet_ = b.cabinet.id;
    enclosure_ = b.enclosure;
    evaluated_ = b.sight.preview ? b.sight.preview : b.sight.present;
    const evaluation::BoxResult& r = b.result;
    Cutaway::Shown shown{.section = sectionOf(evaluated_->job, b.cabinet, b.enclosure),
                         .enclosure = b.enclosure,
                         .depth = b.cabinet.depth.value_or(0.0)};
    if (!r.problem.empty()) {
        cutaway_->display(shown);
        summary_->setText(QStringLiteral("▲ ") + spoken(r.problem));
        Picture none;
        none.empty = spoken(r.problem);
        response_->display(none);
        seconds_[pile_->currentIndex()]->display(none);
        return;
    }
    shown.system =
        std::make_shared<const box::System>(box::systemOf(r.known.driver, r.box, r.source));
    const box::Outlet outlet = box::outletOf(r.box);
    shown.portArea = outlet.portArea + outlet.radiatorArea;
    cutaway_->display(shown);
    summary_->setText(summaryWords(r));
    volumes_->setText(r.volumes.net > 0.0 ? volumeWords(r.volumes) : QString{});
    QStringList guessed;
    for (const auto* sentences : {&r.known.guessed, &r.assumed}) {
        for (const Words& sentence : *sentences) {
            guessed << QStringLiteral("○ ") + spoken(sentence);
        }
    }
    doubt_->setText(guessed.join(QLatin1Char('\n')));
    doubt_->setVisible(!guessed.isEmpty());
    response_->display(boxResponse(b));
    seconds_[pile_->currentIndex()]->display(boxCurve(b, curve_));
    fields_->display(b, first);
    if (first) {
        frequency_ = r.fb.value_or(r.fc.value_or(r.known.driver.fs));
        for (Plot* plot : QVector<Plot*>{response_} + seconds_) {
            plot->setCrosshair(frequency_);
        }
    }
    follow(frequency_);
}

} // namespace yf::app
