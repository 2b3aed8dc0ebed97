// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/intake/trace_picture.h"

#include "app/theme/theme.h"

#include <QPainter>

namespace yf::app {

namespace {

using bench::Segment;
using bench::Standing;

QString standingSaid(Standing standing) {
    switch (standing) {
    case Standing::possible:
        return TracePicture::tr("possible");
    case Standing::ruledOut:
        return TracePicture::tr("ruled out");
    case Standing::found:
        return TracePicture::tr("here");
    case Standing::notFitted:
        return TracePicture::tr("none fitted");
    }
    return {};
}

} // namespace

TracePicture::TracePicture(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("intake_trace"));
    setAccessibleName(tr("From the source to the driver"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

QString TracePicture::segmentSaid(Segment segment) {
    switch (segment) {
    case Segment::source:
        return tr("source");
    case Segment::amplifier:
        return tr("amplifier");
    case Segment::cable:
        return tr("cable");
    case Segment::terminals:
        return tr("terminals");
    case Segment::protectors:
        return tr("protectors");
    case Segment::network:
        return tr("network");
    case Segment::driver:
        return tr("driver");
    }
    return {};
}

void TracePicture::display(const bench::Trace& trace) {
    trace_ = trace;
    QStringList said;
    for (std::size_t i = 0; i < trace.standings.size(); ++i) {
        said << QStringLiteral("%1: %2").arg(segmentSaid(static_cast<Segment>(i)),
                                             standingSaid(trace.standings[i]));
    }
    setAccessibleDescription(said.join(QStringLiteral(", ")));
    update();
}

void TracePicture::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto count = static_cast<double>(trace_.standings.size());
    const double pitch = width() / count;
    const double rail = 16.0;
    QFont small = font();
    small.setPointSizeF(8.5);
    QPointF before;
    for (std::size_t i = 0; i < trace_.standings.size(); ++i) {
        const Standing standing = trace_.standings[i];
        const QPointF middle((static_cast<double>(i) + 0.5) * pitch, rail);
        if (i > 0) {
            painter.setPen(QPen(t.outline, 1.4));
            painter.drawLine(before + QPointF(11, 0), middle - QPointF(11, 0));
        }
        before = middle;
        const QRectF ring(middle - QPointF(9, 9), QSizeF(18, 18));
        const bool quiet = standing == Standing::ruledOut || standing == Standing::notFitted;
        painter.setBrush(standing == Standing::found      ? QBrush(t.stop)
                         : standing == Standing::possible ? QBrush(t.front)
                                                          : QBrush(Qt::NoBrush));
        painter.setPen(QPen(quiet ? t.outline : t.ink,
                            1.4,
                            standing == Standing::notFitted ? Qt::DotLine : Qt::SolidLine));
        painter.drawEllipse(ring);
        painter.setFont(figureFont(10.0));
        const QString mark = standing == Standing::ruledOut   ? QStringLiteral("✓")
                             : standing == Standing::found    ? QStringLiteral("!")
                             : standing == Standing::possible ? QStringLiteral("?")
                                                              : QString{};
        painter.setPen(standing == Standing::found      ? t.sheet
                       : standing == Standing::possible ? QColor(0x1F, 0x23, 0x28)
                                                        : t.good);
        painter.drawText(ring, Qt::AlignCenter, mark);
        painter.setFont(small);
        painter.setPen(quiet ? t.quietInk : t.ink);
        const QRectF label(middle.x() - pitch / 2.0, rail + 12, pitch, 16);
        const QString name = segmentSaid(static_cast<Segment>(i));
        constexpr double least = 6.5;
        QFont fitting = small;
        while (QFontMetricsF(fitting).horizontalAdvance(name) > pitch - 2.0 &&
               fitting.pointSizeF() > least) {
            fitting.setPointSizeF(fitting.pointSizeF() - 0.5);
        }
        painter.setFont(fitting);
        painter.drawText(label, Qt::AlignCenter, name);
        painter.setFont(small);
        painter.setPen(t.quietInk);
        painter.drawText(label.translated(0, 15), Qt::AlignCenter, standingSaid(standing));
    }
}

} // namespace yf::app
