// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/plot.h"

#include "app/plots/dashes.h"
#include "app/plots/fine_line.h"
#include "app/plots/frequency_ticks.h"
#include "app/plots/qcustomplot.h"
#include "app/plots/readings.h"
#include "app/plots/thinning.h"
#include "app/widgets/elided_label.h"
#include "core/text/number.h"

#include <QContextMenuEvent>
#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QMenu>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>

namespace yf::app {

namespace {

constexpr double gapInCurve =
    std::numeric_limits<double>::quiet_NaN(); // the library leaves a gap there

constexpr const char* bandLayer = "band";
constexpr const char* curvesLayer = "curves";
constexpr const char* hairLayer = "hair";

constexpr qsizetype mostPins = 4;
constexpr qsizetype mostViews = 30;

/// ① to ④.
QString circled(qsizetype index) {
    return QString(QChar(static_cast<char16_t>(0x2460 + index)));
}

/// Value at a place, between the drawn points as the eye reads it off: linear over ln f, or over
/// time.
std::optional<double> valueAt(const Trace& trace, double at, PlotKind kind) {
    const auto above = std::ranges::lower_bound(trace.frequencies, at);
    if (above == trace.frequencies.end() || (above == trace.frequencies.begin() && *above != at)) {
        return std::nullopt;
    }
    const auto i = above - trace.frequencies.begin();
    if (*above == at) {
        return trace.values[i];
    }
    const double before = trace.frequencies[i - 1];
    const double share = acrossIsLogarithmic(kind)
                             ? std::log(at / before) / std::log(*above / before)
                             : (at - before) / (*above - before);
    double step = trace.values[i] - trace.values[i - 1];
    if (kind == PlotKind::phase) {
        step = std::remainder(step, 360.0);
    }
    const double value = trace.values[i - 1] + share * step;
    return kind == PlotKind::phase ? std::remainder(value, 360.0) : value;
}

/// Wrapped phase must not be drawn as a wall where it jumps.
void breakAtWraps(QVector<double>& f, QVector<double>& v) {
    for (qsizetype i = v.size() - 1; i > 0; --i) {
        if (std::abs(v[i] - v[i - 1]) > 180.0) {
            f.insert(i, std::sqrt(f[i] * f[i - 1]));
            v.insert(i, gapInCurve);
        }
    }
}

} // namespace

Plot::Plot(PlotKind kind, const QString& name, const QString& title, QWidget* parent)
    : QWidget(parent), kind_(kind), title_(title),
      crosshair_(kind == PlotKind::impulse ? 0.0 : 1000.0) {
    setObjectName(name);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(title);
    setProperty("help", QStringLiteral("plots"));
    constexpr int moment = 150; // ms
    descriptionRests_.setSingleShot(true);
    descriptionRests_.setInterval(moment);
    connect(&descriptionRests_, &QTimer::timeout, this, &Plot::describe);
    build();
    paintTokens();
    setScale(houseScale());
}

Plot::~Plot() = default;

void Plot::buildAxes() {
    canvas_->setLocale(QLocale());
    canvas_->setInteractions(QCP::iRangeDrag | QCP::iRangeZoom);
    canvas_->axisRect()->setRangeZoom(Qt::Horizontal);
    if (acrossIsLogarithmic(kind_)) {
        canvas_->xAxis->setScaleType(QCPAxis::stLogarithmic);
        canvas_->xAxis->setTicker(QSharedPointer<QCPAxisTicker>(new LogTicks({})));
        canvas_->xAxis->grid()->setSubGridVisible(true);
    } else {
        canvas_->xAxis->setTicker(QSharedPointer<QCPAxisTicker>(new MillisecondTicks));
        canvas_->xAxis->setSubTicks(false);
    }
    if (upIsLogarithmic(kind_)) {
        canvas_->yAxis->setScaleType(QCPAxis::stLogarithmic);
        canvas_->yAxis->setTicker(QSharedPointer<QCPAxisTicker>(new LogTicks({})));
        canvas_->yAxis->grid()->setSubGridVisible(true);
    } else if (kind_ == PlotKind::travel || kind_ == PlotKind::speed) {
        // From tenths of a millimetre to centimetres: the steps go with the range.
        canvas_->yAxis->setTicker(QSharedPointer<QCPAxisTicker>(new QCPAxisTicker));
        canvas_->yAxis->setSubTicks(false);
    } else {
        const QSharedPointer<QCPAxisTickerFixed> ticks(new QCPAxisTickerFixed);
        // Level, phase, impedance (logarithmic), impulse, delay.
        static constexpr std::array steps{10.0, 90.0, 1.0, 0.5, 5.0};
        ticks->setTickStep(steps.at(static_cast<std::size_t>(kind_)));
        ticks->setScaleStrategy(QCPAxisTickerFixed::ssMultiples);
        canvas_->yAxis->setTicker(ticks);
        canvas_->yAxis->setSubTicks(false);
    }
    // Plots that stand one above the other keep one left edge.
    canvas_->axisRect()->setAutoMargins(QCP::msTop | QCP::msBottom | QCP::msRight);
    canvas_->axisRect()->setMargins({38, 0, 0, 0});
    canvas_->axisRect()->setupFullAxesBox();
    for (QCPAxis* axis : {canvas_->xAxis2, canvas_->yAxis2}) {
        axis->setTicks(false);
        axis->setTickLabels(false);
    }
    connect(canvas_->xAxis,
            qOverload<const QCPRange&>(&QCPAxis::rangeChanged),
            this,
            [this](const QCPRange& range) {
                const QCPRange bounded = acrossIsLogarithmic(kind_) ? range.bounded(1.0, 100000.0)
                                                                    : range.bounded(-10.0, 100.0);
                if (bounded != range) {
                    canvas_->xAxis->setRange(bounded);
                }
                house_->setVisible(!atHouseScale());
                updateFoot();
                redrawSoon();
            });
    connect(canvas_->yAxis, qOverload<const QCPRange&>(&QCPAxis::rangeChanged), this, [this] {
        house_->setVisible(!atHouseScale());
        updateFoot();
        redrawSoon();
    });
}

void Plot::buildLayers() {
    // What moves under the hand has buffers of its own, so that axes and labels, which cost most,
    // are drawn again only when the scale changes.
    QString below = QStringLiteral("legend");
    for (const char* const name : {bandLayer, curvesLayer, hairLayer}) {
        canvas_->addLayer(QLatin1String(name), canvas_->layer(below));
        below = QLatin1String(name);
        canvas_->layer(below)->setMode(QCPLayer::lmBuffered);
    }
    canvas_->setCurrentLayer(QLatin1String(bandLayer));
    band_ = new QCPItemRect(canvas_);
    band_->setVisible(false);
    canvas_->setCurrentLayer(QLatin1String(hairLayer));
    hair_ = new QCPItemLine(canvas_);
    for (qsizetype i = 0; i < mostPins; ++i) {
        pinLines_.push_back(new QCPItemLine(canvas_));
        pinNames_.push_back(new QCPItemText(canvas_));
        pinNames_.back()->setPositionAlignment(Qt::AlignTop | Qt::AlignHCenter);
        pinNames_.back()->position->setTypeX(QCPItemPosition::ptPlotCoords);
        pinNames_.back()->position->setTypeY(QCPItemPosition::ptAxisRectRatio);
        pinNames_.back()->position->setAxes(canvas_->xAxis, canvas_->yAxis);
        pinNames_.back()->position->setAxisRect(canvas_->axisRect());
    }
    for (QCPItemLine* line : QVector<QCPItemLine*>{hair_} + pinLines_) {
        for (QCPItemPosition* end : {line->start, line->end}) {
            end->setTypeX(QCPItemPosition::ptPlotCoords);
            end->setTypeY(QCPItemPosition::ptAxisRectRatio);
            end->setAxes(canvas_->xAxis, canvas_->yAxis);
            end->setAxisRect(canvas_->axisRect());
        }
    }
    canvas_->setCurrentLayer(QLatin1String(curvesLayer));
    outside_ = new FineGraph(canvas_->xAxis, canvas_->yAxis);
    outside_->setAdaptiveSampling(false);
    markPoint_ = new QCPItemTracer(canvas_);
    markPoint_->setStyle(QCPItemTracer::tsCircle);
    markPoint_->setSize(8);
    markText_ = new QCPItemText(canvas_);
    markText_->setPadding({3, 1, 3, 1});
    drawPins();
}

void Plot::build() {
    readings_ = new Readings(title_, this);
    connect(readings_, &Readings::toggled, this, &Plot::toggle);
    connect(readings_, &Readings::isolated, this, &Plot::isolate);
    house_ = new QToolButton(this);
    house_->setText(tr("House scale"));
    house_->setObjectName(objectName() + QStringLiteral("_house"));
    house_->setAccessibleName(tr("%1: back to the house scale").arg(title_));
    house_->setFocusPolicy(Qt::TabFocus);
    connect(house_, &QToolButton::clicked, this, &Plot::toHouseScale);

    canvas_ = new QCustomPlot(this);
    canvas_->setPlottingHint(QCP::phFastPolylines, true);
    canvas_->setFocusPolicy(Qt::NoFocus);
    canvas_->setMouseTracking(true);
    canvas_->installEventFilter(this);
    canvas_->setNoAntialiasingOnDrag(false);
    foot_ = new ElidedLabel(this);
    foot_->setObjectName(objectName() + QStringLiteral("_foot"));
    QFont small = font();
    small.setPointSizeF(8.0);
    foot_->setFont(small);
    buildAxes();
    buildLayers();
    emptyText_ = new QLabel(canvas_);
    emptyText_->setObjectName(objectName() + QStringLiteral("_empty"));
    emptyText_->setWordWrap(true);
    emptyText_->setAlignment(Qt::AlignCenter);
    emptyText_->setAttribute(Qt::WA_TransparentForMouseEvents);
    auto* over = new QVBoxLayout(canvas_);
    over->setContentsMargins(48, 8, 16, 24);
    over->addWidget(emptyText_);
    connect(canvas_, &QCustomPlot::mouseDoubleClick, this, &Plot::toHouseScale);
    connect(canvas_, &QCustomPlot::mousePress, this, &Plot::rememberView);
    connect(canvas_, &QCustomPlot::mouseWheel, this, &Plot::rememberView);

    auto* head = new QHBoxLayout;
    head->addWidget(readings_, 1);
    head->addWidget(house_, 0, Qt::AlignTop);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(8, 4, 8, 4);
    column->setSpacing(2);
    column->addLayout(head);
    column->addWidget(canvas_, 1);
    column->addWidget(foot_);
    setMinimumSize(240, 120);
}

void Plot::paintTokens() {
    const Theme& t = theme();
    canvas_->setBackground(t.sheet);
    QPalette p = foot_->palette();
    p.setColor(QPalette::WindowText, t.quietInk);
    foot_->setPalette(p);
    QColor fine = t.rule;
    fine.setAlphaF(0.55F);
    for (QCPAxis* axis : {canvas_->xAxis, canvas_->yAxis, canvas_->xAxis2, canvas_->yAxis2}) {
        axis->setBasePen(QPen(t.outline, 1));
        axis->setTickPen(QPen(t.outline, 1));
        axis->setSubTickPen(QPen(t.rule, 1));
        axis->setTickLabelColor(t.ink);
        axis->setTickLabelFont(figureFont(8.0));
        axis->grid()->setPen(QPen(t.rule, 1));
        axis->grid()->setSubGridPen(QPen(fine, 1));
        axis->grid()->setZeroLinePen(QPen(t.rule, 1));
    }
    band_->setBrush(t.corridor);
    band_->setPen(QPen(t.front, 1));
    hair_->setPen(QPen(t.quietInk, 1));
    for (qsizetype i = 0; i < mostPins; ++i) {
        pinLines_[i]->setPen(QPen(t.ink, 1, Qt::DashLine));
        pinNames_[i]->setColor(t.ink);
        pinNames_[i]->setFont(figureFont(9.0));
        pinNames_[i]->setBrush(t.sheet);
    }
    for (qsizetype i = 0; i < shadeRects_.size(); ++i) {
        shadeRects_[i]->setBrush(t.corridor);
        shadeRects_[i]->setPen(Qt::NoPen);
        shadeNames_[i]->setColor(t.ink);
        shadeNames_[i]->setFont(figureFont(8.0));
    }
    markPoint_->setPen(QPen(t.ink, 1.4));
    markPoint_->setBrush(t.front);
    markText_->setColor(t.ink);
    markText_->setFont(figureFont(9.0));
    markText_->setBrush(t.sheet);
    QPalette quiet = emptyText_->palette();
    quiet.setColor(QPalette::WindowText, t.ink);
    emptyText_->setPalette(quiet);
}

void Plot::display(const Picture& picture) {
    const bool wasHouse = atHouseScale();
    picture_ = picture;
    if (wasHouse && !atHouseScale()) {
        setScale(houseScale()); // another one was sealed
    }
    emptyText_->setVisible(picture_.traces.isEmpty());
    hair_->setVisible(!picture_.traces.isEmpty());
    if (emptyText_->text() != picture_.empty) {
        emptyText_->setText(picture_.empty);
    }
    house_->setVisible(!atHouseScale());
    updateFoot();
    redraw();
}

void Plot::redraw() {
    drawAll();
    readAtCrosshair();
    descriptionRests_.start();
    canvas_->layer(QLatin1String(bandLayer))->replot();
    canvas_->layer(QLatin1String(curvesLayer))->replot();
}

/// Dashes are cut for the pixels that there are: another size or scale wants them cut anew, once
/// everything is in its place.
void Plot::redrawSoon() {
    if (redrawWaits_ || picture_.traces.isEmpty()) {
        return;
    }
    redrawWaits_ = true;
    QMetaObject::invokeMethod(
        this,
        [this] {
            redrawWaits_ = false;
            drawAll();
            canvas_->layer(QLatin1String(curvesLayer))->replot();
        },
        Qt::QueuedConnection);
}

void Plot::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    redrawSoon();
}

QString Plot::footText() const {
    const QString scale =
        atHouseScale() ? tr("sealed scale %1").arg(scaleText(houseScale())) : tr("free scale");
    return picture_.foot.isEmpty() ? scale : scale + QStringLiteral(" · ") + picture_.foot;
}

void Plot::updateFoot() {
    const QString text = picture_.traces.isEmpty() ? QString{} : footText();
    if (foot_->text() != text) {
        foot_->say(text);
        foot_->setVisible(!text.isEmpty());
    }
}

void Plot::clearTrace(qsizetype index) {
    solid_[index]->data()->clear();
    doubtful_[index]->data()->clear();
    drawn_[index].reset();
}

void Plot::drawAll() {
    const QRect rect = canvas_->axisRect()->rect();
    const QCPRange across = canvas_->xAxis->range();
    const QCPRange up = canvas_->yAxis->range();
    const std::array<double, 4> ends{across.lower, across.upper, up.lower, up.upper};
    for (int i = 0; i < picture_.traces.size(); ++i) {
        if (i >= solid_.size()) {
            for (QVector<QCPGraph*>* list : {&solid_, &doubtful_}) {
                list->push_back(new FineGraph(canvas_->xAxis, canvas_->yAxis));
                // Thinning would draw across the gaps at wraps and between trusted and not.
                list->back()->setAdaptiveSampling(false);
            }
            drawn_.emplace_back();
        }
        if (isHidden(picture_.traces[i].id)) {
            clearTrace(i);
            continue;
        }
        // Most curves stay as they are when a hand turns one part.
        Drawn now{picture_.traces[i], ends, rect};
        if (drawn_[i] != now) {
            drawTrace(picture_.traces[i], i);
            drawn_[i] = std::move(now);
        }
    }
    for (qsizetype i = picture_.traces.size(); i < solid_.size(); ++i) {
        clearTrace(i);
    }
    drawCorridor();
    drawShades();
    drawVeils();
    drawMark();
}

void Plot::drawVeils() {
    while (veilEnds_.size() < 2 * picture_.veils.size()) {
        canvas_->setCurrentLayer(QLatin1String(bandLayer));
        for (int end = 0; end < 2; ++end) {
            veilEnds_.push_back(canvas_->addGraph());
            veilEnds_.back()->setPen(Qt::NoPen);
            veilEnds_.back()->setLayer(QLatin1String(bandLayer));
        }
        veilEnds_.back()->setChannelFillGraph(veilEnds_[veilEnds_.size() - 2]);
        canvas_->setCurrentLayer(QLatin1String(curvesLayer));
    }
    for (qsizetype i = 0; 2 * i < veilEnds_.size(); ++i) {
        QCPGraph* low = veilEnds_[2 * i];
        QCPGraph* high = veilEnds_[2 * i + 1];
        if (i >= picture_.veils.size() || isHidden(picture_.veils[i].trace)) {
            low->data()->clear();
            high->data()->clear();
            continue;
        }
        const Veil& veil = picture_.veils[i];
        QColor thin = veil.colour;
        constexpr float share = 0.22F;
        thin.setAlphaF(share);
        high->setBrush(thin);
        low->setData(veil.frequencies, veil.low, true);
        high->setData(veil.frequencies, veil.high, true);
    }
}

void Plot::drawShades() {
    while (shadeRects_.size() < picture_.shades.size()) {
        canvas_->setCurrentLayer(QLatin1String(bandLayer));
        shadeRects_.push_back(new QCPItemRect(canvas_));
        shadeNames_.push_back(new QCPItemText(canvas_));
        for (QCPItemPosition* at : {shadeRects_.back()->topLeft,
                                    shadeRects_.back()->bottomRight,
                                    shadeNames_.back()->position}) {
            at->setTypeX(QCPItemPosition::ptPlotCoords);
            at->setTypeY(QCPItemPosition::ptAxisRectRatio);
            at->setAxes(canvas_->xAxis, canvas_->yAxis);
            at->setAxisRect(canvas_->axisRect());
        }
        shadeNames_.back()->setPositionAlignment(Qt::AlignBottom | Qt::AlignLeft);
        canvas_->setCurrentLayer(QLatin1String(curvesLayer));
        paintTokens();
    }
    for (qsizetype i = 0; i < shadeRects_.size(); ++i) {
        const bool used = i < picture_.shades.size();
        shadeRects_[i]->setVisible(used);
        shadeNames_[i]->setVisible(used);
        if (used) {
            const Shade& shade = picture_.shades[i];
            shadeRects_[i]->topLeft->setCoords(shade.from, 0.0);
            shadeRects_[i]->bottomRight->setCoords(shade.to, 1.0);
            shadeNames_[i]->position->setCoords(shade.from, 0.98);
            shadeNames_[i]->setText(shade.text);
        }
    }
}

void Plot::drawPins() {
    for (qsizetype i = 0; i < mostPins; ++i) {
        const bool used = i < pins_.size();
        pinLines_[i]->setVisible(used);
        pinNames_[i]->setVisible(used);
        if (used) {
            pinLines_[i]->start->setCoords(pins_[i], 0.0);
            pinLines_[i]->end->setCoords(pins_[i], 1.0);
            pinNames_[i]->position->setCoords(pins_[i], 0.01);
            pinNames_[i]->setText(circled(i));
        }
    }
}

void Plot::pinReading() {
    if (pins_.size() == mostPins) {
        pins_.removeFirst();
    }
    pins_.push_back(crosshair_);
    drawPins();
    readAtCrosshair();
    canvas_->layer(QLatin1String(hairLayer))->replot();
}

void Plot::clearPins() {
    pins_.clear();
    drawPins();
    readAtCrosshair();
    canvas_->layer(QLatin1String(hairLayer))->replot();
}

void Plot::toggle(const QString& trace) {
    if (!hidden_.remove(trace)) {
        hidden_.insert(trace);
    }
    redraw();
}

void Plot::isolate(const QString& trace) {
    hidden_.clear();
    for (const Trace& other : picture_.traces) {
        if (other.id != trace) {
            hidden_.insert(other.id);
        }
    }
    redraw();
}

void Plot::showAll() {
    hidden_.clear();
    redraw();
}

void Plot::drawTrace(const Trace& trace, int index) {
    QVector<double> sure = trace.values;
    QVector<double> unsure(trace.values.size(), gapInCurve);
    bool doubt = false;
    for (qsizetype k = 0; k < trace.trusted.size(); ++k) {
        if (!trace.trusted[k]) {
            doubt = true;
            unsure[k] = trace.values[k];
            // The last sure point joins both, so that the curve does not break apart.
            const bool edge = (k > 0 && trace.trusted[k - 1]) ||
                              (k + 1 < trace.trusted.size() && trace.trusted[k + 1]);
            if (!edge) {
                sure[k] = gapInCurve;
            }
        }
    }
    QVector<double> f = trace.frequencies;
    QVector<double> fUnsure = doubt ? trace.frequencies : QVector<double>{};
    if (!doubt) {
        unsure.clear();
    }
    if (kind_ == PlotKind::phase) {
        breakAtWraps(f, sure);
        breakAtWraps(fUnsure, unsure);
    }
    setLine(solid_[index], trace.stroke, std::move(f), std::move(sure));
    Stroke thin = trace.stroke;
    thin.width = 1.0;
    thin.pattern = {3.0, 4.0};
    setLine(doubtful_[index], thin, std::move(fUnsure), std::move(unsure));
}

void Plot::setLine(QCPGraph* graph,
                   const Stroke& stroke,
                   QVector<double> frequencies,
                   QVector<double> values) {
    const DashScale scale{[this](double f) { return canvas_->xAxis->coordToPixel(f); },
                          [this](double v) { return canvas_->yAxis->coordToPixel(v); },
                          stroke.width};
    thinOut(frequencies, values, scale);
    if (!stroke.pattern.isEmpty()) {
        // The raster engine is several times slower at dashed pens than at solid ones: the dashes
        // are cut here and drawn solid.
        cutIntoDashes(frequencies, values, stroke.pattern, scale);
    }
    QPen pen = stroke.pen();
    pen.setStyle(Qt::SolidLine);
    graph->setPen(pen);
    graph->setData(frequencies, values, true);
}

void Plot::drawCorridor() {
    band_->setVisible(picture_.corridor.has_value());
    const Trace* answer = trace(picture_.corridorTrace);
    if (!picture_.corridor || answer == nullptr || isHidden(answer->id)) {
        outside_->data()->clear();
        return;
    }
    const Corridor& c = *picture_.corridor;
    band_->topLeft->setCoords(c.from, c.high);
    band_->bottomRight->setCoords(c.to, c.low);
    QVector<double> values(answer->values.size(), gapInCurve);
    for (qsizetype k = 0; k < answer->values.size(); ++k) {
        const double f = answer->frequencies[k];
        const bool judged =
            f >= c.from && f <= c.to && (answer->trusted.isEmpty() || answer->trusted[k]);
        if (judged && (answer->values[k] < c.low || answer->values[k] > c.high)) {
            values[k] = answer->values[k];
        }
    }
    Stroke thick = theme().sum;
    thick.width = 5.0;
    setLine(outside_, thick, answer->frequencies, std::move(values));
}

void Plot::drawMark() {
    markPoint_->setVisible(picture_.mark.has_value());
    markText_->setVisible(picture_.mark.has_value());
    const job::HouseScale& ends = builtInScale(kind_);
    if (!picture_.mark) {
        return;
    }
    const Mark& mark = *picture_.mark;
    markPoint_->position->setCoords(mark.frequency, mark.value);
    // Under the curve, since the mark is its lowest point; towards the middle of the picture.
    const bool leftHalf = mark.frequency < std::sqrt(ends.from * ends.to);
    markText_->setPositionAlignment(Qt::AlignTop | (leftHalf ? Qt::AlignLeft : Qt::AlignRight));
    markText_->position->setCoords(mark.frequency, mark.value * 0.82);
    markText_->setText(mark.text);
}

void Plot::setCrosshair(double at) {
    crosshair_ = at;
    readAtCrosshair();
    canvas_->layer(QLatin1String(hairLayer))->replot();
}

void Plot::moveCrosshair(double at) {
    const job::HouseScale& ends = builtInScale(kind_);
    setCrosshair(acrossIsLogarithmic(kind_) ? std::clamp(at, ends.from / 2.0, ends.to * 2.0) : at);
    Q_EMIT crosshairMoved(crosshair_);
}

void Plot::readAtCrosshair() {
    hair_->start->setCoords(crosshair_, 0.0);
    hair_->end->setCoords(crosshair_, 1.0);
    QVector<Readings::Entry> entries;
    for (const Trace& trace : picture_.traces) {
        if (trace.read) {
            const auto value = valueAt(trace, crosshair_, kind_);
            entries.push_back({trace.id,
                               trace.label,
                               value ? valueText(kind_, *value) : QStringLiteral("–"),
                               trace.stroke,
                               isHidden(trace.id)});
        }
    }
    QStringList pinned;
    for (qsizetype i = 0; i < pins_.size(); ++i) {
        QStringList values;
        for (const Trace& trace : picture_.traces) {
            const auto value = valueAt(trace, pins_[i], kind_);
            if (trace.read && value && !isHidden(trace.id)) {
                values << trace.label + u' ' + valueText(kind_, *value);
            }
        }
        pinned << circled(i) + u' ' + placeText(kind_, pins_[i]) + QStringLiteral(":  ") +
                      values.join(QStringLiteral(",  "));
    }
    readings_->display(tr("at %1").arg(placeText(kind_, crosshair_)), entries, pinned);
}

QString Plot::reading(const QString& trace) const {
    return readings_->valueOf(trace);
}

const Trace* Plot::trace(const QString& id) const {
    const auto found = std::ranges::find(picture_.traces, id, &Trace::id);
    return found == picture_.traces.end() ? nullptr : &*found;
}

const job::HouseScale& Plot::houseScale() const {
    return picture_.scale ? *picture_.scale : builtInScale(kind_);
}

job::HouseScale Plot::scale() const {
    const QCPRange x = canvas_->xAxis->range();
    const QCPRange y = canvas_->yAxis->range();
    return {kind_, x.lower, x.upper, y.lower, y.upper};
}

bool Plot::atHouseScale() const {
    return scale() == houseScale();
}

void Plot::setScale(const job::HouseScale& scale) {
    canvas_->xAxis->setRange(scale.from, scale.to);
    canvas_->yAxis->setRange(scale.low, scale.high);
    canvas_->replot(QCustomPlot::rpQueuedReplot);
}

void Plot::rememberView() {
    if (views_.isEmpty() || views_.back() != scale()) {
        views_.push_back(scale());
        if (views_.size() > mostViews) {
            views_.removeFirst();
        }
    }
}

void Plot::toHouseScale() {
    rememberView();
    setScale(houseScale());
    house_->setVisible(false);
}

void Plot::toViewBefore() {
    while (!views_.isEmpty()) {
        const job::HouseScale before = views_.takeLast();
        if (before != scale()) {
            setScale(before);
            return;
        }
    }
}

void Plot::zoom(double factor) {
    rememberView();
    canvas_->xAxis->scaleRange(factor, crosshair_);
    canvas_->replot(QCustomPlot::rpQueuedReplot);
}

void Plot::pan(double across, double up) {
    rememberView();
    const auto move = [](QCPAxis* axis, double share) {
        const QCPRange range = axis->range();
        if (axis->scaleType() == QCPAxis::stLogarithmic) {
            const double factor = std::pow(range.upper / range.lower, share);
            axis->setRange(range.lower * factor, range.upper * factor);
        } else {
            axis->moveRange(share * range.size());
        }
    };
    move(canvas_->xAxis, across);
    move(canvas_->yAxis, up);
    canvas_->replot(QCustomPlot::rpQueuedReplot);
}

void Plot::describe() {
    QStringList said;
    for (const Trace& trace : picture_.traces) {
        if (!trace.read || trace.values.isEmpty() || isHidden(trace.id)) {
            continue;
        }
        // Where a curve begins and ends on the sealed scale, and its ends up and down: what an eye
        // takes in first.
        std::optional<qsizetype> first;
        qsizetype last = 0;
        qsizetype least = 0;
        qsizetype most = 0;
        for (qsizetype k = 0; k < trace.values.size(); ++k) {
            if (trace.frequencies[k] < houseScale().from ||
                trace.frequencies[k] > houseScale().to) {
                continue;
            }
            if (!first) {
                first = least = most = k;
            }
            last = k;
            least = trace.values[k] < trace.values[least] ? k : least;
            most = trace.values[k] > trace.values[most] ? k : most;
        }
        if (!first) {
            continue;
        }
        const auto at = [&](qsizetype k) {
            return tr("%1 at %2")
                .arg(valueText(kind_, trace.values[k]), placeText(kind_, trace.frequencies[k]));
        };
        said << tr("%1 from %2 to %3, least %4, most %5")
                    .arg(trace.label,
                         placeText(kind_, trace.frequencies[*first]),
                         placeText(kind_, trace.frequencies[last]),
                         at(least),
                         at(most));
    }
    if (picture_.mark) {
        said << picture_.mark->text;
    }
    setAccessibleDescription(said.isEmpty()
                                 ? picture_.empty
                                 : QStringLiteral("%1, %2: %3.")
                                       .arg(title_, footText(), said.join(QStringLiteral("; "))));
}

void Plot::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange) {
        paintTokens();
        canvas_->replot(QCustomPlot::rpQueuedReplot);
    }
    QWidget::changeEvent(event);
}

void Plot::keyPressEvent(QKeyEvent* event) {
    const Qt::KeyboardModifiers keys = event->modifiers();
    constexpr double share = 0.1;
    const bool right = event->key() == Qt::Key_Right;
    const auto readable = [this](int index) {
        for (const Trace& trace : picture_.traces) {
            if (trace.read && index-- == 0) {
                return trace.id;
            }
        }
        return QString{};
    };
    switch (event->key()) {
    case Qt::Key_Left:
    case Qt::Key_Right: {
        if (keys.testFlag(Qt::ShiftModifier)) {
            pan(right ? share : -share, 0.0);
            return;
        }
        if (!acrossIsLogarithmic(kind_)) {
            constexpr double step = 1e-4; // s
            moveCrosshair(crosshair_ + (right ? step : -step));
            return;
        }
        const double octaves = keys.testFlag(Qt::ControlModifier) ? 1.0 / 3.0 : 1.0 / 48.0;
        moveCrosshair(crosshair_ * std::exp2(right ? octaves : -octaves));
        return;
    }
    case Qt::Key_Plus:
    case Qt::Key_Equal:
        zoom(0.8);
        return;
    case Qt::Key_Minus:
        zoom(1.25);
        return;
    case Qt::Key_PageUp:
        pan(0.0, share);
        return;
    case Qt::Key_PageDown:
        pan(0.0, -share);
        return;
    case Qt::Key_Backspace:
        toViewBefore();
        return;
    case Qt::Key_Home:
        toHouseScale();
        return;
    case Qt::Key_P:
        pinReading();
        return;
    case Qt::Key_Escape:
        clearPins();
        return;
    case Qt::Key_0:
        showAll();
        return;
    default:
        break;
    }
    // With Shift a digit gives another letter on many keyboards, so its key is asked.
    const int digit = static_cast<int>(event->nativeScanCode()) - 9;
    const int index = event->key() >= Qt::Key_1 && event->key() <= Qt::Key_9
                          ? event->key() - Qt::Key_1
                      : keys.testFlag(Qt::ShiftModifier) && digit >= 1 && digit <= 9 ? digit - 1
                                                                                     : -1;
    if (const QString id = index < 0 ? QString{} : readable(index);
        !id.isEmpty() && !keys.testFlag(Qt::ControlModifier)) {
        keys.testFlag(Qt::ShiftModifier) ? isolate(id) : toggle(id);
        return;
    }
    QWidget::keyPressEvent(event);
}

void Plot::contextMenuEvent(QContextMenuEvent* event) {
    QMenu menu(this);
    menu.addAction(tr("Copy"), this, &Plot::copy);
    const auto save = [&](const QString& text, PictureFormat format) {
        menu.addAction(text, this, [this, format] { Q_EMIT saveWanted(format); });
    };
    save(tr("Save as PNG …"), PictureFormat::png);
    save(tr("Save as SVG …"), PictureFormat::svg);
    save(tr("Save as PDF …"), PictureFormat::pdf);
    save(tr("Save the figures as CSV …"), PictureFormat::csv);
    menu.addSeparator();
    menu.addAction(tr("House scale"), this, &Plot::toHouseScale);
    menu.addAction(tr("Seal this scale as the house scale"), this, &Plot::sealWanted);
    menu.addAction(tr("Pin a reading here"), this, &Plot::pinReading);
    menu.addAction(tr("Take the pinned readings away"), this, &Plot::clearPins);
    menu.addSeparator();
    for (const Trace& trace : picture_.traces) {
        QAction* action = menu.addAction(trace.label, this, [this, id = trace.id] { toggle(id); });
        action->setCheckable(true);
        action->setChecked(!isHidden(trace.id));
    }
    menu.exec(event->globalPos());
}

bool Plot::eventFilter(QObject* watched, QEvent* event) {
    if (watched == canvas_ && event->type() == QEvent::MouseMove) {
        const auto* mouse = static_cast<QMouseEvent*>(event);
        if (mouse->buttons() == Qt::NoButton &&
            canvas_->axisRect()->rect().contains(mouse->position().toPoint())) {
            moveCrosshair(canvas_->xAxis->pixelToCoord(mouse->position().x()));
        }
    } else if (watched == canvas_ && event->type() == QEvent::MouseButtonPress) {
        setFocus(Qt::MouseFocusReason);
    }
    return QWidget::eventFilter(watched, event);
}

void linkCrosshairs(const QVector<Plot*>& plots) {
    for (Plot* moved : plots) {
        QObject::connect(moved, &Plot::crosshairMoved, moved, [plots, moved](double frequency) {
            for (Plot* plot : plots) {
                if (plot != moved) {
                    plot->setCrosshair(frequency);
                }
            }
        });
    }
}

} // namespace yf::app
