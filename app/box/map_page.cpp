// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/map_page.h"

#include "app/widgets/controls.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/edit/box.h"

#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity highestPeak{"peak", "peak_db", 1.0, "dB", 0.0, 40.0, "no more"};
const q::Quantity longest{"τ", "delay_ms", 1e-3, "ms", 0.1, 500.0, "no longer"};
const q::Quantity loud{"L", "level_db", 1.0, "dB", 40.0, 150.0, "no less"};
const q::Quantity fastest{"v", "speed", 1.0, "m/s", 0.1, 340.0, "no faster"};

} // namespace

MapPage::MapPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("map_page"));
    view_ = new MapView(this);
    shade_ = narrowCombo(this, QStringLiteral("map_shade"), tr("What the map tells"), 14);
    for (const MapShade s :
         {MapShade::f3, MapShade::peak, MapShade::groupDelay, MapShade::speed, MapShade::level}) {
        shade_->addItem(shadeName(s));
    }
    keep_ = new QCheckBox(tr("keep the cabinet, tune only"), this);
    keep_->setObjectName(QStringLiteral("map_keep"));
    told_ = wrappedLabel(this, QStringLiteral("map_told"));
    told_->setMinimumHeight(100);
    told_->setAlignment(Qt::AlignTop);
    verdict_ = wrappedLabel(this, QStringLiteral("map_verdict"));
    const auto field = [this](const q::Quantity& quantity,
                              text::Unit unit,
                              const char* name,
                              const QString& accessible) {
        auto* f = quantityField(this, quantity, unit, QLatin1String(name), accessible);
        f->setMayBeEmpty(true);
        f->setPlaceholderText(QStringLiteral("–"));
        f->setFixedWidth(90);
        tellProblems(f, verdict_);
        return f;
    };
    f3_ = field(q::f3, text::Unit::hertz, "map_f3", tr("Wish: f3 no higher than"));
    peak_ = field(highestPeak, text::Unit::decibel, "map_peak", tr("Wish: peak no more than"));
    delay_ =
        field(longest, text::Unit::none, "map_delay", tr("Wish: group delay no longer than, ms"));
    level_ = field(loud, text::Unit::decibel, "map_level", tr("Wish: as loud as"));
    speed_ = field(fastest, text::Unit::none, "map_speed", tr("Wish: air no faster than, m/s"));
    auto* side = new QGridLayout;
    side->setVerticalSpacing(4);
    side->addWidget(headingLabel(this, tr("Shaded by")), 0, 0);
    side->addWidget(shade_, 0, 1);
    side->addWidget(headingLabel(this, tr("Wishes")), 1, 0, 1, 2);
    int row = 2;
    const auto add = [&](const QString& text, QWidget* widget) {
        auto* label = new QLabel(text, this);
        label->setBuddy(widget);
        side->addWidget(label, row, 0);
        side->addWidget(widget, row, 1);
        ++row;
    };
    add(tr("f3 at most"), f3_);
    add(tr("peak at most"), peak_);
    add(tr("delay at most, ms"), delay_);
    add(tr("as loud as, dB"), level_);
    add(tr("air at most, m/s"), speed_);
    side->addWidget(keep_, row++, 0, 1, 2);
    side->addWidget(verdict_, row++, 0, 1, 2);
    side->addWidget(told_, row++, 0, 1, 2);
    side->setRowStretch(row, 1);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(12);
    both->addWidget(view_, 1);
    both->addLayout(side);
    side->setColumnMinimumWidth(0, 130);
    connect(shade_, &QComboBox::currentIndexChanged, this, &MapPage::draw);
    connect(view_, &MapView::taken, this, [this](double Vb, double fb) {
        Q_EMIT edited(
            edit::takeBox(cabinet_, enclosure_.driver, {Vb, fb, keep_->isChecked()}, "box-map"));
    });
    connect(view_, &MapView::released, this, &MapPage::gestureEnded);
    connect(view_, &MapView::hovered, this, &MapPage::tell);
    connect(f3_, &QuantityField::valueChanged, this, [this] {
        wish([this](job::BoxWishes& w) { w.f3 = f3_->optionalValue(); });
    });
    connect(peak_, &QuantityField::valueChanged, this, [this] {
        wish([this](job::BoxWishes& w) { w.peak = peak_->optionalValue(); });
    });
    connect(delay_, &QuantityField::valueChanged, this, [this] {
        wish([this](job::BoxWishes& w) { w.groupDelay = delay_->optionalValue(); });
    });
    connect(level_, &QuantityField::valueChanged, this, [this] {
        wish([this](job::BoxWishes& w) { w.level = level_->optionalValue(); });
    });
    connect(speed_, &QuantityField::valueChanged, this, [this] {
        wish([this](job::BoxWishes& w) { w.speed = speed_->optionalValue(); });
    });
}

void MapPage::wish(const std::function<void(job::BoxWishes&)>& how) {
    if (filling_) {
        return;
    }
    job::Enclosure e = enclosure_;
    how(e.wishes);
    if (!(e == enclosure_)) {
        Q_EMIT edited(
            edit::changeBox(cabinet_, e, YF_WORDS("core", "Change what is wished of a box")));
    }
}

void MapPage::ask(const box::MapOrder& order) {
    aside_.ask([this, order](Aside::Link& /*link*/) -> Aside::Delivery {
        const auto map = std::make_shared<const box::BoxMap>(box::boxMap(order));
        return [this, map] { arrived(map); };
    });
}

void MapPage::arrived(const std::shared_ptr<const box::BoxMap>& map) {
    shown_.map = map;
    draw();
}

void MapPage::draw() {
    shown_.shade = static_cast<MapShade>(shade_->currentIndex());
    view_->display(shown_);
    if (!shown_.map) {
        return;
    }
    const box::MapVerdict verdict = box::verdictOf(*shown_.map, shown_.wishes);
    verdict_->setText(verdict.granted > 0.0
                          ? tr("%1 % of these boxes grant all wishes.")
                                .arg(std::max(1, static_cast<int>(100.0 * verdict.granted)))
                          : tr("▲ No box grants all wishes; most fail at: %1.")
                                .arg(wishName(verdict.mostFailed)));
    tell(shown_.Vb, shown_.fb);
}

void MapPage::tell(double Vb, double fb) {
    const box::Qualities q = box::qualitiesOf(order_, Vb, fb);
    QStringList lines{tr("%1 tuned to %2").arg(litres(Vb), hertz(fb))};
    lines << tr("f3 %1, peak %2").arg(hertz(q.f3), decibels(q.peak));
    lines << tr("group delay up to %1").arg(shadeValue(MapShade::groupDelay, q.groupDelay));
    if (q.speed > 0.0) {
        lines << tr("air up to %1 at this drive").arg(shadeValue(MapShade::speed, q.speed));
    }
    if (q.level > 0.0) {
        lines << tr("at least %1 loud").arg(decibels(q.level));
    }
    const QString failed = wishName(box::failedWish(q, shown_.wishes));
    if (!failed.isEmpty()) {
        lines << QStringLiteral("▲ ") + failed;
    }
    told_->setText(lines.join(QLatin1Char('\n')));
}

void MapPage::display(const BoxSight& b) {
    cabinet_ = b.cabinet.id;
    enclosure_ = b.enclosure;
    if (!b.result.problem.empty()) {
        return;
    }
    box::MapOrder order = study::mapOrder(b.result);
    // The field stays under the hand: only when the box nears an edge does it move on.
    if (shown_.map && enclosure_.driver == b.enclosure.driver) {
        const auto& v = shown_.map->volumes;
        const auto& t = shown_.map->tunings;
        constexpr double margin = 1.25;
        const double V = b.result.volumes.net;
        if (V > margin * v.front() && V * margin < v.back()) {
            order.volumes = {v.front(), v.back(), 100};
        }
        if (b.result.fb && *b.result.fb > t.front() && *b.result.fb < t.back()) {
            order.tunings = {t.front(), t.back(), 100};
        }
    }
    order_ = order;
    shown_.wishes = study::wishesOf(b.enclosure);
    shown_.named = study::namedBoxes(b.result);
    shown_.Vb = b.result.volumes.net;
    shown_.fb = b.result.fb.value_or(b.result.known.driver.fs);
    filling_ = true;
    f3_->offer(b.enclosure.wishes.f3);
    peak_->offer(b.enclosure.wishes.peak);
    delay_->offer(b.enclosure.wishes.groupDelay);
    level_->offer(b.enclosure.wishes.level);
    speed_->offer(b.enclosure.wishes.speed);
    filling_ = false;
    view_->display(shown_);
    ask(order);
}

} // namespace yf::app
