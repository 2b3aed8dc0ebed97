// SPDX-License-Identifier: GPL-3.0-or-later
// How a picture leaves the application: always at the house scale, with its head and its foot.
#include "app/plots/clip.h"
#include "app/plots/plot.h"
#include "app/plots/qcustomplot.h"
#include "app/plots/readings.h"
#include "app/widgets/elided_label.h"
#include "core/text/number.h"

#include <QApplication>
#include <QBuffer>
#include <QClipboard>
#include <QImage>
#include <QMimeData>
#include <QPageSize>
#include <QPdfWriter>
#include <QSaveFile>
#include <QSvgGenerator>

#include <cmath>

namespace yf::app {

namespace {

constexpr QSize pictureSize(1000, 620); // logical pixels
constexpr int margin = 16;
constexpr int footHeight = 22;
constexpr double pngScale = 2.0;

QByteArray numberText(double value) {
    return std::isfinite(value) ? QByteArray::fromStdString(text::printNumber(value))
                                : QByteArray{};
}

/// "Teasel 26" as part of a column's head.
QString keyOf(const QString& label) {
    QString key;
    for (const QChar c : label.toLower()) {
        if (c.isLetterOrNumber() && c.unicode() < 128) {
            key += c;
        } else if (!key.isEmpty() && !key.endsWith(u'_')) {
            key += u'_';
        }
    }
    return key.isEmpty() ? QStringLiteral("value") : key;
}

bool write(const QString& path, const QByteArray& bytes) {
    QSaveFile file(path);
    return file.open(QIODevice::WriteOnly) && file.write(bytes) == bytes.size() && file.commit();
}

} // namespace

void Plot::paintPicture(QCPPainter& painter, const QSize& size) {
    const Theme& t = theme();
    painter.fillRect(QRect(QPoint(0, 0), size), t.sheet);
    const int width = size.width() - 2 * margin;
    painter.save();
    painter.translate(margin, margin);
    readings_->paintOn(painter, width);
    painter.restore();
    const int head = margin + readings_->heightForWidth(width) + 6;
    const QRect room(margin, head, width, size.height() - head - footHeight - margin);
    painter.save();
    painter.translate(room.topLeft());
    canvas_->toPainter(&painter, room.width(), room.height());
    painter.restore();
    painter.setFont(foot_->font());
    painter.setPen(t.quietInk);
    painter.drawText(QRect(margin, size.height() - footHeight - margin / 2, width, footHeight),
                     Qt::AlignVCenter,
                     QFontMetrics(foot_->font()).elidedText(footText(), Qt::ElideRight, width));
}

void Plot::clipGraphs() {
    const QCPRange x = canvas_->xAxis->range();
    const QCPRange y = canvas_->yAxis->range();
    // On logarithmic axes straight lines are straight in the logarithm.
    const bool logX = acrossIsLogarithmic(kind_);
    const bool logY = upIsLogarithmic(kind_);
    const auto in = [](bool log, double v) { return log ? std::log(v) : v; };
    const auto out = [](bool log, double v) { return log ? std::exp(v) : v; };
    const QRectF room(QPointF(in(logX, x.lower), in(logY, y.lower)),
                      QPointF(in(logX, x.upper), in(logY, y.upper)));
    for (int i = 0; i < canvas_->graphCount(); ++i) {
        QVector<double> keys;
        QVector<double> values;
        for (const QCPGraphData& point : *canvas_->graph(i)->data()) {
            keys << in(logX, point.key);
            values << in(logY, point.value);
        }
        clipToRectangle(keys, values, room);
        for (qsizetype k = 0; k < keys.size(); ++k) {
            keys[k] = out(logX, keys[k]);
            values[k] = out(logY, values[k]);
        }
        canvas_->graph(i)->setData(keys, values, true);
    }
}

void Plot::atSealedScale(const std::function<void()>& draw) {
    const job::HouseScale before = scale();
    setScale(houseScale());
    hair_->setVisible(false);
    drawAll(); // dashes are cut for the scale
    draw();
    hair_->setVisible(!picture_.traces.isEmpty());
    setScale(before);
    redraw();
}

QImage Plot::pictureImage() {
    QImage image(pictureSize * pngScale, QImage::Format_ARGB32_Premultiplied);
    image.setDevicePixelRatio(pngScale);
    QCPPainter painter;
    painter.begin(&image);
    paintPicture(painter, pictureSize);
    painter.end();
    return image;
}

namespace {

/// A picture drawn by lines and letters on whatever takes them.
void drawVectors(QPaintDevice& device, const std::function<void(QCPPainter&)>& paint) {
    QCPPainter painter;
    painter.begin(&device);
    painter.setMode(QCPPainter::pmVectorized);
    painter.setMode(QCPPainter::pmNoCaching);
    paint(painter);
    painter.end();
}

} // namespace

bool Plot::save(const QString& path, PictureFormat format) {
    if (format == PictureFormat::csv) {
        return write(path, csv().toUtf8());
    }
    QByteArray bytes;
    atSealedScale([&] {
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::WriteOnly);
        const auto paint = [this](QCPPainter& painter) { paintPicture(painter, pictureSize); };
        if (format == PictureFormat::png) {
            pictureImage().save(&buffer, "PNG");
        } else if (format == PictureFormat::svg) {
            clipGraphs();
            QSvgGenerator generator;
            generator.setOutputDevice(&buffer);
            generator.setSize(pictureSize);
            generator.setViewBox(QRect(QPoint(0, 0), pictureSize));
            generator.setTitle(title_);
            generator.setDescription(accessibleDescription());
            drawVectors(generator, paint);
        } else {
            QPdfWriter writer(&buffer);
            constexpr int dotsPerInch = 96; // so that sizes are those of the screen
            writer.setResolution(dotsPerInch);
            writer.setPageSize(QPageSize(QSizeF(pictureSize) * 72.0 / dotsPerInch,
                                         QPageSize::Point,
                                         {},
                                         QPageSize::ExactMatch));
            writer.setPageMargins({0, 0, 0, 0});
            writer.setTitle(title_);
            drawVectors(writer, paint);
        }
    });
    return write(path, bytes);
}

void Plot::copy() {
    QImage image;
    atSealedScale([&] { image = pictureImage(); });
    auto* content = new QMimeData;
    content->setImageData(image);
    content->setText(csv());
    QApplication::clipboard()->setMimeData(content);
}

QString Plot::csv() const {
    const QString across =
        acrossIsLogarithmic(kind_) ? QStringLiteral("frequency_hz") : QStringLiteral("time_s");
    QVector<const Trace*> shown;
    for (const Trace& trace : picture_.traces) {
        if (!isHidden(trace.id) && !trace.values.isEmpty()) {
            shown.push_back(&trace);
        }
    }
    QString text = QStringLiteral("# %1; %2\n").arg(title_, footText());
    // Curves on one axis share its column; another axis begins another one.
    QStringList head;

    struct Column {
        const QVector<double>* values;
        const QVector<bool>* trusted;
    };

    QVector<Column> columns;
    const QVector<double>* last = nullptr;
    qsizetype rows = 0;
    for (const Trace* trace : shown) {
        if (last == nullptr || *last != trace->frequencies) {
            head << across;
            columns.push_back({&trace->frequencies, nullptr});
            last = &trace->frequencies;
        }
        head << keyOf(trace->label) + u'_' + unitKey(kind_);
        columns.push_back({&trace->values, nullptr});
        if (!trace->trusted.isEmpty()) {
            head << keyOf(trace->label) + QStringLiteral("_trusted");
            columns.push_back({nullptr, &trace->trusted});
        }
        rows = std::max(rows, trace->values.size());
    }
    text += head.join(u',') + u'\n';
    for (qsizetype row = 0; row < rows; ++row) {
        QStringList cells;
        for (const Column& column : columns) {
            if (column.values != nullptr) {
                cells << (row < column.values->size()
                              ? QString::fromLatin1(numberText((*column.values)[row]))
                              : QString{});
            } else {
                cells << (row < column.trusted->size()
                              ? QString((*column.trusted)[row] ? u'1' : u'0')
                              : QString{});
            }
        }
        text += cells.join(u',') + u'\n';
    }
    return text;
}

} // namespace yf::app
