// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/decay_view.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

/// From the sheet (nothing left) over the accent to ink (loud): one hue, so that order is seen
/// without colour too.
QColor shadeOf(double share) {
    const Theme& t = theme();
    const auto mix = [](const QColor& a, const QColor& b, double s) {
        const auto between = [s](int from, int to) {
            return static_cast<int>(std::lround((1.0 - s) * from + s * to));
        };
        return QColor(
            between(a.red(), b.red()), between(a.green(), b.green()), between(a.blue(), b.blue()));
    };
    constexpr double turn = 0.55;
    return share < turn ? mix(t.sheet, t.front, share / turn)
                        : mix(t.front, t.ink, (share - turn) / (1.0 - turn));
}

} // namespace

DecayView::DecayView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("decay_view"));
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Decay over frequency and time"));
}

void DecayView::display(std::optional<signal::DecayImage> image,
                        double range,
                        bool periods,
                        std::vector<signal::ModeFound> modes) {
    image_ = std::move(image);
    range_ = range;
    periods_ = periods;
    modes_ = std::move(modes);
    QStringList said;
    for (const auto& mode : modes_) {
        said << tr("%1 with Q %2")
                    .arg(figures(text::printEngineering(mode.f, "Hz")),
                         figures(text::printSignificant(mode.Q, 2)));
    }
    setAccessibleDescription(said.isEmpty()
                                 ? tr("No mode that rings on was found.")
                                 : tr("Rings on at %1.").arg(said.join(QStringLiteral(", "))));
    shade();
    update();
}

void DecayView::changeEvent(QEvent* event) {
    QWidget::changeEvent(event);
    if (event->type() == QEvent::PaletteChange || event->type() == QEvent::StyleChange) {
        shade();
        update();
    }
}

void DecayView::shade() {
    picture_ = {};
    if (!image_ || image_->levels.empty()) {
        return;
    }
    const auto wide = static_cast<int>(image_->frequencies.size());
    const auto high = static_cast<int>(image_->levels.size());
    picture_ = QImage(wide, high, QImage::Format_RGB32);
    constexpr int steps = 256;
    QVector<QRgb> shades;
    for (int i = 0; i < steps; ++i) {
        shades << shadeOf(static_cast<double>(i) / (steps - 1)).rgb();
    }
    for (int y = 0; y < high; ++y) {
        auto* line = reinterpret_cast<QRgb*>(picture_.scanLine(y));
        for (int x = 0; x < wide; ++x) {
            const double level =
                image_->levels[static_cast<std::size_t>(y)][static_cast<std::size_t>(x)];
            const double share = std::clamp(1.0 + level / range_, 0.0, 1.0);
            line[x] = shades[static_cast<int>(share * (steps - 1))];
        }
    }
}

QRect DecayView::frame() const {
    return rect().adjusted(56, 12, -70, -26);
}

void DecayView::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    const Theme& t = theme();
    const QRect r = frame();
    painter.fillRect(rect(), t.sheet);
    painter.setPen(t.quietInk);
    if (picture_.isNull()) {
        painter.drawText(
            rect().adjusted(16, 8, -16, -8),
            Qt::AlignCenter | Qt::TextWordWrap,
            tr("Choose a response that was recorded here: its samples show how it dies "
               "away."));
        return;
    }
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(r, picture_);
    painter.setFont(figureFont(8.0));
    const double low = std::log(image_->frequencies.front());
    const double high = std::log(image_->frequencies.back());
    const auto across = [&](double f) {
        return r.left() + (std::log(f) - low) / (high - low) * r.width();
    };
    for (const double f :
         {20.0, 50.0, 100.0, 200.0, 500.0, 1000.0, 2000.0, 5000.0, 10000.0, 20000.0}) {
        if (f < image_->frequencies.front() || f > image_->frequencies.back()) {
            continue;
        }
        painter.setPen(t.rule);
        painter.drawLine(QPointF(across(f), r.top()), QPointF(across(f), r.bottom()));
        painter.setPen(t.quietInk);
        painter.drawText(QRectF(across(f) - 30, r.bottom() + 4, 60, 14),
                         Qt::AlignHCenter,
                         figures(text::printEngineering(f, "Hz")));
    }
    const double last = image_->times.back();
    constexpr int rows = 5;
    for (int i = 0; i <= rows; ++i) {
        const double time = last * i / rows;
        const double y = r.top() + r.height() * static_cast<double>(i) / rows;
        painter.setPen(t.rule);
        painter.drawLine(QPointF(r.left(), y), QPointF(r.right(), y));
        painter.setPen(t.quietInk);
        painter.drawText(QRectF(0, y - 8, r.left() - 4, 16),
                         Qt::AlignRight | Qt::AlignVCenter,
                         periods_ ? tr("%1 periods").arg(std::lround(time))
                                  : figures(text::printEngineering(time, "s", 2)));
    }
    // The ruler of shades.
    const QRect ruler(r.right() + 12, r.top(), 12, r.height());
    for (int y = 0; y < ruler.height(); ++y) {
        painter.setPen(shadeOf(1.0 - static_cast<double>(y) / ruler.height()));
        painter.drawLine(ruler.left(), ruler.top() + y, ruler.right(), ruler.top() + y);
    }
    painter.setPen(t.quietInk);
    painter.drawText(QPointF(ruler.right() + 4, ruler.top() + 10), QStringLiteral("0\u202FdB"));
    painter.drawText(QPointF(ruler.right() + 4, ruler.bottom()),
                     QStringLiteral("−%1").arg(std::lround(range_)));
    // Beyond its own resolution the picture is the window's.
    if (!periods_ && image_->lowestValid > image_->frequencies.front()) {
        QColor veil = t.sheet;
        veil.setAlpha(190);
        painter.fillRect(
            QRectF(r.left(), r.top(), across(image_->lowestValid) - r.left(), r.height()), veil);
    }
    painter.setFont(figureFont(8.0));
    double before = -1e9;
    int row = 0;
    for (const auto& mode : modes_) {
        const double x = across(mode.f);
        row = x - before < 96.0 ? row + 1 : 0;
        before = x;
        painter.setPen(QPen(t.ink, 1.4));
        painter.drawLine(QPointF(x, r.top()), QPointF(x, r.top() + 14 + 14 * row));
        const QString said = QStringLiteral("%1 Q\u202F%2")
                                 .arg(figures(text::printEngineering(mode.f, "Hz", 2)),
                                      figures(text::printSignificant(mode.Q, 2)));
        const QRectF box(x + 3, r.top() + 3 + 14 * row, 92, 14);
        QColor veil = t.sheet;
        veil.setAlpha(215);
        painter.fillRect(box, veil);
        painter.drawText(box, Qt::AlignLeft | Qt::AlignVCenter, said);
    }
}

} // namespace yf::app
