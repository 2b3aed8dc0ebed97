// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/diagram.h"

#include "app/crossover/lane_layout.h"
#include "app/crossover/symbols.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QBuffer>
#include <QCoreApplication>
#include <QPageSize>
#include <QPainter>
#include <QPdfWriter>
#include <QSvgGenerator>

namespace yf::app {

namespace {

constexpr double head = 34.0;

struct Diagram {
    Q_DECLARE_TR_FUNCTIONS(yf::app::Diagram)
};

QString unitOf(network::PartKind kind) {
    switch (kind) {
    case network::PartKind::resistor:
        return QStringLiteral("Ω");
    case network::PartKind::coil:
        return QStringLiteral("H");
    case network::PartKind::capacitor:
        break;
    }
    return QStringLiteral("F");
}

void paintPart(QPainter& painter, const LaneLayout::Tile& tile, const network::Part& part) {
    const QRectF box = tile.rect;
    painter.setPen(Qt::NoPen);
    painter.setBrush(Qt::white);
    painter.drawRect(box);
    painter.setPen(QPen(Qt::black, 1.4));
    drawSymbol(painter,
               part.kind,
               QRectF(box.left() + 3.0, box.top(), 28.0, box.height()),
               tile.hanging ? Lying::down : Lying::across);
    QFont bold = painter.font();
    bold.setWeight(QFont::DemiBold);
    bold.setPointSizeF(9.0);
    painter.save();
    painter.setFont(bold);
    painter.drawText(QRectF(box.left() + 34.0, box.top() + 1.0, box.width() - 34.0, 18.0),
                     Qt::AlignVCenter,
                     words(part.id));
    painter.setFont(figureFont(8.5));
    painter.drawText(QRectF(box.left() + 34.0, box.top() + 18.0, box.width() - 34.0, 16.0),
                     Qt::AlignVCenter,
                     figures(text::printEngineering(part.value, unitOf(part.kind).toStdString())));
    painter.restore();
}

/// A box with two rows beside its symbol.
template <class Symbol>
void paintBox(QPainter& painter,
              const QRectF& box,
              const QString& first,
              const QString& second,
              Symbol symbol) {
    painter.setPen(QPen(Qt::black, 1.0));
    painter.setBrush(Qt::white);
    painter.drawRect(box);
    painter.setPen(QPen(Qt::black, 1.4));
    symbol(QRectF(box.left() + 3.0, box.top() + 7.0, 28.0, box.height() - 14.0));
    painter.save();
    painter.setFont(figureFont(8.5));
    painter.drawText(QRectF(box.left() + 34.0, box.top() + 1.0, box.width() - 34.0, 18.0),
                     Qt::AlignVCenter,
                     first);
    painter.drawText(QRectF(box.left() + 34.0, box.top() + 18.0, box.width() - 34.0, 16.0),
                     Qt::AlignVCenter,
                     second);
    painter.restore();
}

void paintControl(QPainter& painter, const LaneLayout::Control& control) {
    constexpr double percent = 100.0;
    paintBox(painter,
             control.rect,
             words(control.control.id) + QStringLiteral(" ") +
                 figures(text::printEngineering(control.control.total, "Ω")),
             Diagram::tr("at %1 %").arg(percent * control.control.position, 0, 'f', 0),
             [&](const QRectF& room) { drawControl(painter, room); });
}

void paintFilter(QPainter& painter,
                 const LaneLayout::Filter& filter,
                 const network::Circuit& circuit) {
    const auto line = network::lineOf(circuit, filter.place.way);
    if (!line) {
        return;
    }
    if (!filter.place.filter) {
        const QString said = figures(network::gainWords(*line));
        paintBox(painter,
                 filter.rect,
                 said.section(u',', 0, 0),
                 said.section(u',', 1).trimmed(),
                 [&](const QRectF& room) { drawAmplifier(painter, room); });
        return;
    }
    const QString said = figures(network::words(line->filters[*filter.place.filter]));
    painter.setPen(QPen(Qt::black, 1.0));
    painter.setBrush(Qt::white);
    painter.drawRect(filter.rect);
    painter.save();
    painter.setFont(figureFont(8.0));
    painter.drawText(QRectF(filter.rect).adjusted(4.0, 1.0, -2.0, -1.0),
                     Qt::AlignVCenter | Qt::TextWordWrap,
                     said);
    painter.restore();
}

void paintEnd(QPainter& painter, const LaneLayout::End& end, const job::Job& job) {
    const QRectF body = QRectF(end.rect).adjusted(24.0, 2.0, -2.0, -2.0);
    const double stud = end.rect.left() + 12.0;
    const bool reversed = end.driver.polarity < 0;
    painter.setPen(QPen(Qt::black, 1.4));
    painter.setBrush(Qt::white);
    for (const int rail : {end.rail, end.returnRail}) {
        painter.drawLine(QPointF(stud - 12.0, rail), QPointF(body.left() + 8.0, rail));
    }
    painter.drawRect(body);
    drawLoudspeaker(painter, QRectF(body.left() + 4.0, body.top(), 24.0, body.height()));
    const auto sign = [&](int rail, bool plus) {
        painter.drawText(QRectF(stud - 6.0, rail - 17.0, 14.0, 16.0),
                         Qt::AlignCenter,
                         plus ? QStringLiteral("+") : QStringLiteral("−"));
    };
    sign(end.rail, !reversed);
    sign(end.returnRail, reversed);
    const job::Driver* driver = job::findDriver(job, end.driver.driver);
    const QString name = words(driver == nullptr ? end.driver.driver : driver->name);
    QString below =
        reversed ? Diagram::tr("reversed: − at the filter") : Diagram::tr("+ at the filter");
    if (end.driver.units() > 1) {
        below = Diagram::tr("%1 of them").arg(end.driver.units()) + QStringLiteral(", ") + below;
    }
    const double left = body.left() + 34.0;
    painter.drawText(QRectF(left, body.center().y() - 18.0, 200.0, 18.0), Qt::AlignVCenter, name);
    painter.save();
    QFont small = painter.font();
    small.setPointSizeF(8.0);
    painter.setFont(small);
    painter.drawText(QRectF(left, body.center().y(), 200.0, 16.0), Qt::AlignVCenter, below);
    painter.restore();
}

void paintLane(QPainter& painter, const LaneLayout& layout, const LaneLayout::Lane& lane) {
    painter.setPen(QPen(Qt::black, 1.4));
    painter.setBrush(Qt::black);
    if (lane.onHot) {
        painter.drawEllipse(QPointF(layout.hotPost, lane.rail), 4.0, 4.0);
    }
    painter.setBrush(Qt::white);
    if (lane.onReturn) {
        painter.drawEllipse(QPointF(layout.returnPost, lane.returnRail), 4.0, 4.0);
    }
    painter.drawText(QRectF(4.0, lane.rail - 10.0, 52.0, 20.0), Qt::AlignVCenter, lane.name);
}

} // namespace

QSize diagramSize(const network::Circuit& circuit) {
    constexpr int besideDrivers = 110;
    return layOut(circuit).size + QSize(besideDrivers, static_cast<int>(head) + 12);
}

void paintDiagram(QPainter& painter, const job::Job& job, const job::Cabinet& cabinet) {
    const LaneLayout layout = layOut(cabinet.circuit);
    const QSize size = diagramSize(cabinet.circuit);
    painter.save();
    painter.fillRect(QRect(QPoint(), size), Qt::white);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(Qt::black);
    QFont font = painter.font();
    font.setPointSizeF(9.0);
    painter.setFont(font);
    painter.drawText(QRectF(8.0, 4.0, size.width() - 16.0, head - 8.0),
                     Qt::AlignVCenter,
                     words(job.title) + QStringLiteral(" · ") + words(cabinet.name) +
                         QStringLiteral(" · ") +
                         Diagram::tr("wiring, + of the amplifier at the filled post"));
    painter.translate(0.0, head);
    painter.setPen(QPen(Qt::black, 1.4));
    for (const QLine& wire : layout.wires) {
        painter.drawLine(wire);
    }
    painter.drawLines(layout.posts);
    painter.setBrush(Qt::black);
    for (const QPoint& joint : layout.joints) {
        painter.drawEllipse(QPointF(joint), 2.4, 2.4);
    }
    for (const LaneLayout::Lane& lane : layout.lanes) {
        paintLane(painter, layout, lane);
    }
    for (const LaneLayout::Tile& tile : layout.tiles) {
        if (const auto part = network::findPart(cabinet.circuit, tile.part)) {
            paintPart(painter, tile, *part);
        }
    }
    for (const LaneLayout::Control& control : layout.controls) {
        paintControl(painter, control);
    }
    for (const LaneLayout::Filter& filter : layout.filters) {
        paintFilter(painter, filter, cabinet.circuit);
    }
    for (const LaneLayout::Note& note : layout.notes) {
        painter.setPen(QPen(Qt::black, 1.0));
        painter.setBrush(Qt::white);
        painter.drawRect(note.rect);
        painter.drawText(
            note.rect.adjusted(4, 2, -4, -2), Qt::AlignVCenter | Qt::TextWordWrap, note.text);
    }
    for (const LaneLayout::End& end : layout.ends) {
        paintEnd(painter, end, job);
    }
    painter.restore();
}

QByteArray diagramSvg(const job::Job& job, const job::Cabinet& cabinet) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    QSvgGenerator svg;
    svg.setOutputDevice(&buffer);
    const QSize size = diagramSize(cabinet.circuit);
    svg.setSize(size);
    svg.setViewBox(QRect(QPoint(), size));
    svg.setTitle(words(cabinet.name));
    QPainter painter(&svg);
    paintDiagram(painter, job, cabinet);
    painter.end();
    return bytes;
}

QByteArray diagramPdf(const job::Job& job, const job::Cabinet& cabinet) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    QPdfWriter pdf(&buffer);
    const QSize size = diagramSize(cabinet.circuit);
    pdf.setPageSize(QPageSize(QPageSize::A4));
    pdf.setPageOrientation(size.width() > size.height() ? QPageLayout::Landscape
                                                        : QPageLayout::Portrait);
    pdf.setTitle(words(cabinet.name));
    QPainter painter(&pdf);
    const double scale = std::min(static_cast<double>(pdf.width()) / size.width(),
                                  static_cast<double>(pdf.height()) / size.height());
    painter.scale(scale, scale);
    // Points are of the page, not of the drawing: the drawing was made for 96 to the inch.
    QFont font = painter.font();
    font.setPixelSize(12);
    painter.setFont(font);
    paintDiagram(painter, job, cabinet);
    painter.end();
    return bytes;
}

} // namespace yf::app
