// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/plot.h"

#include "app/plots/dashes.h"
#include "app/plots/frequency_ticks.h"
#include "app/plots/qcustomplot.h"
#include "app/plots/readings.h"
#include "core/text/number.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>
#include <limits>

namespace yf::app {

namespace {

constexpr double gapInCurve =
    std::numeric_limits<double>::quiet_NaN(); // the library leaves a gap there

struct HouseScale {
    double low;
    double high;
    double step; ///< 0: logarithmic
    const char* unit;
    int decimals;
};

constexpr const char* bandLayer = "band";
constexpr const char* curvesLayer = "curves";
constexpr const char* hairLayer = "hair";

constexpr double lowestShown = 20.0;
constexpr double highestShown = 20000.0;

const HouseScale& houseScale(PlotKind kind) {
    static constexpr HouseScale scales[] = {
        {50.0, 100.0, 10.0, "dB", 1}, {-180.0, 180.0, 90.0, "°", 0}, {1.0, 100.0, 0.0, "Ω", 2}};
    return scales[static_cast<std::size_t>(kind)];
}

QString figure(PlotKind kind, double value) {
    const HouseScale& scale = houseScale(kind);
    QString text = QString::fromStdString(text::printFixed(value, scale.decimals));
    text.replace(u'-', QChar(0x2212));
    const QString unit = QString::fromUtf8(scale.unit);
    return kind == PlotKind::phase ? text + unit : text + QChar(0x202F) + unit;
}

QString frequencyText(double f) {
    return QString::fromStdString(text::printEngineering(f, "Hz", 3));
}

/// Value at a frequency, linear over ln f between the drawn points: what the eye reads off.
std::optional<double> valueAt(const Trace& trace, double f, PlotKind kind) {
    const auto above = std::ranges::lower_bound(trace.frequencies, f);
    if (above == trace.frequencies.end() || (above == trace.frequencies.begin() && *above != f)) {
        return std::nullopt;
    }
    const auto i = above - trace.frequencies.begin();
    if (*above == f) {
        return trace.values[i];
    }
    const double share =
        std::log(f / trace.frequencies[i - 1]) / std::log(*above / trace.frequencies[i - 1]);
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
    : QWidget(parent), kind_(kind), title_(title) {
    setObjectName(name);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(title);
    build();
    paintTokens();
    toHouseScale();
}

Plot::~Plot() = default;

void Plot::build() {
    readings_ = new Readings(title_, this);
    house_ = new QToolButton(this);
    house_->setText(tr("House scale"));
    house_->setObjectName(objectName() + QStringLiteral("_house"));
    house_->setAccessibleName(tr("%1: back to the house scale").arg(title_));
    house_->setFocusPolicy(Qt::TabFocus);
    connect(house_, &QToolButton::clicked, this, &Plot::toHouseScale);

    canvas_ = new QCustomPlot(this);
    canvas_->setPlottingHint(QCP::phFastPolylines, true);
    canvas_->setFocusPolicy(Qt::NoFocus);
    canvas_->setInteractions(QCP::iRangeDrag | QCP::iRangeZoom);
    canvas_->axisRect()->setRangeZoom(Qt::Horizontal);
    canvas_->setMouseTracking(true);
    canvas_->installEventFilter(this);
    canvas_->setNoAntialiasingOnDrag(false);
    canvas_->xAxis->setScaleType(QCPAxis::stLogarithmic);
    canvas_->xAxis->setTicker(QSharedPointer<QCPAxisTicker>(new LogTicks({})));
    canvas_->xAxis->grid()->setSubGridVisible(true);
    const HouseScale& scale = houseScale(kind_);
    if (scale.step > 0.0) {
        const QSharedPointer<QCPAxisTickerFixed> ticks(new QCPAxisTickerFixed);
        ticks->setTickStep(scale.step);
        ticks->setScaleStrategy(QCPAxisTickerFixed::ssMultiples);
        canvas_->yAxis->setTicker(ticks);
        canvas_->yAxis->setSubTicks(false);
    } else {
        canvas_->yAxis->setScaleType(QCPAxis::stLogarithmic);
        canvas_->yAxis->setTicker(QSharedPointer<QCPAxisTicker>(new LogTicks({})));
        canvas_->yAxis->grid()->setSubGridVisible(true);
    }
    // Plots that stand one above the other keep one left edge.
    canvas_->axisRect()->setAutoMargins(QCP::msTop | QCP::msBottom | QCP::msRight);
    canvas_->axisRect()->setMargins({38, 0, 0, 0});
    canvas_->axisRect()->setupFullAxesBox();
    for (QCPAxis* axis : {canvas_->xAxis2, canvas_->yAxis2}) {
        axis->setTicks(false);
        axis->setTickLabels(false);
    }
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
    for (QCPItemPosition* end : {hair_->start, hair_->end}) {
        end->setTypeX(QCPItemPosition::ptPlotCoords);
        end->setTypeY(QCPItemPosition::ptAxisRectRatio);
        end->setAxes(canvas_->xAxis, canvas_->yAxis);
        end->setAxisRect(canvas_->axisRect());
    }
    canvas_->setCurrentLayer(QLatin1String(curvesLayer));
    outside_ = canvas_->addGraph();
    outside_->setAdaptiveSampling(false);
    markPoint_ = new QCPItemTracer(canvas_);
    markPoint_->setStyle(QCPItemTracer::tsCircle);
    markPoint_->setSize(8);
    markText_ = new QCPItemText(canvas_);
    markText_->setPadding({3, 1, 3, 1});
    emptyText_ = new QLabel(canvas_);
    emptyText_->setObjectName(objectName() + QStringLiteral("_empty"));
    emptyText_->setWordWrap(true);
    emptyText_->setTextFormat(Qt::PlainText);
    emptyText_->setAlignment(Qt::AlignCenter);
    emptyText_->setAttribute(Qt::WA_TransparentForMouseEvents);
    auto* over = new QVBoxLayout(canvas_);
    over->setContentsMargins(56, 16, 32, 32);
    over->addWidget(emptyText_);
    // Dashes are as long in any scale and any size of the window.
    connect(canvas_, &QCustomPlot::beforeReplot, this, &Plot::drawAll);
    // A zoom may not leave what anybody could have measured.
    connect(canvas_->xAxis,
            qOverload<const QCPRange&>(&QCPAxis::rangeChanged),
            this,
            [this](const QCPRange& range) {
                const QCPRange bounded = range.bounded(1.0, 100000.0);
                if (bounded != range) {
                    canvas_->xAxis->setRange(bounded);
                }
                house_->setVisible(!atHouseScale());
            });
    connect(canvas_->yAxis, qOverload<const QCPRange&>(&QCPAxis::rangeChanged), this, [this] {
        house_->setVisible(!atHouseScale());
    });
    connect(canvas_, &QCustomPlot::mouseDoubleClick, this, &Plot::toHouseScale);

    foot_ = new QLabel(this);
    QFont small = font();
    small.setPointSizeF(8.0);
    foot_->setFont(small);

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
    markPoint_->setPen(QPen(t.ink, 1.4));
    markPoint_->setBrush(t.front);
    markText_->setColor(t.ink);
    markText_->setFont(figureFont(9.0));
    markText_->setBrush(t.sheet);
    QPalette quiet = emptyText_->palette();
    quiet.setColor(QPalette::WindowText, t.ink);
    emptyText_->setPalette(quiet);
    Stroke thick = t.sum;
    thick.width = 5.0;
    QPen pen = thick.pen();
    pen.setCapStyle(Qt::RoundCap); // short pieces without notches between them
    outside_->setPen(pen);
}

void Plot::display(const Picture& picture) {
    picture_ = picture;
    drawAll();
    emptyText_->setVisible(picture_.traces.isEmpty());
    hair_->setVisible(!picture_.traces.isEmpty());
    if (emptyText_->text() != picture_.empty) {
        emptyText_->setText(picture_.empty);
    }
    if (foot_->text() != picture_.foot) {
        foot_->setText(picture_.foot);
        foot_->setVisible(!picture_.foot.isEmpty());
    }
    readAtCrosshair();
    describe();
    canvas_->layer(QLatin1String(bandLayer))->replot();
    canvas_->layer(QLatin1String(curvesLayer))->replot();
}

void Plot::drawAll() {
    for (int i = 0; i < picture_.traces.size(); ++i) {
        if (i >= solid_.size()) {
            for (QVector<QCPGraph*>* list : {&solid_, &doubtful_}) {
                list->push_back(canvas_->addGraph());
                // Thinning would draw across the gaps at wraps and between trusted and not.
                list->back()->setAdaptiveSampling(false);
            }
        }
        drawTrace(picture_.traces[i], i);
    }
    for (qsizetype i = picture_.traces.size(); i < solid_.size(); ++i) {
        solid_[i]->data()->clear();
        doubtful_[i]->data()->clear();
    }
    drawCorridor();
    drawMark();
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
    if (!stroke.pattern.isEmpty()) {
        // The raster engine is several times slower at dashed pens than at solid ones: the dashes
        // are cut here and drawn solid.
        const DashScale scale{[this](double f) { return canvas_->xAxis->coordToPixel(f); },
                              [this](double v) { return canvas_->yAxis->coordToPixel(v); },
                              stroke.width};
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
    if (!picture_.corridor || answer == nullptr) {
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
    outside_->setData(answer->frequencies, values, true);
}

void Plot::drawMark() {
    markPoint_->setVisible(picture_.mark.has_value());
    markText_->setVisible(picture_.mark.has_value());
    if (!picture_.mark) {
        return;
    }
    const Mark& mark = *picture_.mark;
    markPoint_->position->setCoords(mark.frequency, mark.value);
    // Under the curve, since the mark is its lowest point; towards the middle of the picture.
    const bool leftHalf = mark.frequency < std::sqrt(lowestShown * highestShown);
    markText_->setPositionAlignment(Qt::AlignTop | (leftHalf ? Qt::AlignLeft : Qt::AlignRight));
    markText_->position->setCoords(mark.frequency, mark.value * 0.82);
    markText_->setText(mark.text);
}

void Plot::setCrosshair(double frequency) {
    crosshair_ = frequency;
    readAtCrosshair();
    canvas_->layer(QLatin1String(hairLayer))->replot();
}

void Plot::moveCrosshair(double frequency) {
    setCrosshair(std::clamp(frequency, lowestShown / 2.0, highestShown * 2.0));
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
                               value ? figure(kind_, *value) : QStringLiteral("–"),
                               trace.stroke});
        }
    }
    readings_->display(tr("at %1").arg(frequencyText(crosshair_)), entries);
}

QString Plot::reading(const QString& trace) const {
    return readings_->valueOf(trace);
}

const Trace* Plot::trace(const QString& id) const {
    const auto found = std::ranges::find(picture_.traces, id, &Trace::id);
    return found == picture_.traces.end() ? nullptr : &*found;
}

bool Plot::atHouseScale() const {
    const HouseScale& scale = houseScale(kind_);
    const QCPRange x = canvas_->xAxis->range();
    const QCPRange y = canvas_->yAxis->range();
    return x == QCPRange(lowestShown, highestShown) && y == QCPRange(scale.low, scale.high);
}

void Plot::toHouseScale() {
    const HouseScale& scale = houseScale(kind_);
    canvas_->xAxis->setRange(lowestShown, highestShown);
    canvas_->yAxis->setRange(scale.low, scale.high);
    house_->setVisible(false);
    canvas_->replot(QCustomPlot::rpQueuedReplot);
}

void Plot::describe() {
    QStringList said;
    for (const Trace& trace : picture_.traces) {
        if (const auto value = valueAt(trace, 1000.0, kind_); value && trace.read) {
            said << tr("%1 %2 at 1 kHz").arg(trace.label, figure(kind_, *value));
        }
    }
    if (picture_.mark) {
        said << picture_.mark->text;
    }
    const HouseScale& scale = houseScale(kind_);
    setAccessibleDescription(said.isEmpty() ? picture_.empty
                                            : tr("%1, house scale %2 to %3: %4.")
                                                  .arg(title_,
                                                       figure(kind_, scale.low),
                                                       figure(kind_, scale.high),
                                                       said.join(QStringLiteral(", "))));
}

void Plot::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange) {
        paintTokens();
        canvas_->replot(QCustomPlot::rpQueuedReplot);
    }
    QWidget::changeEvent(event);
}

void Plot::keyPressEvent(QKeyEvent* event) {
    const double octaves =
        event->modifiers().testFlag(Qt::ControlModifier) ? 1.0 / 3.0 : 1.0 / 48.0;
    switch (event->key()) {
    case Qt::Key_Left:
        moveCrosshair(crosshair_ * std::exp2(-octaves));
        return;
    case Qt::Key_Right:
        moveCrosshair(crosshair_ * std::exp2(octaves));
        return;
    case Qt::Key_Home:
        toHouseScale();
        return;
    default:
        QWidget::keyPressEvent(event);
    }
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
