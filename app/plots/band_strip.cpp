// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/band_strip.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QCoreApplication>
#include <QPainter>

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::app {

namespace {

constexpr double rowHeight = 9.0;
constexpr double rulerHeight = 13.0;
constexpr double lowest = 20.0;     // Hz
constexpr double highest = 20000.0; // Hz

QString inWords(const char* text) {
    return QCoreApplication::translate("yf::app::FrontView", text);
}

double across(double f, const QRectF& room) {
    const double share =
        std::log(std::clamp(f, lowest, highest) / lowest) / std::log(highest / lowest);
    return room.left() + share * room.width();
}

QString reasonWords(const std::string& why) {
    return why == "resonance"   ? inWords(QT_TRANSLATE_NOOP("yf::app::FrontView", "its resonance"))
           : why == "excursion" ? inWords(QT_TRANSLATE_NOOP("yf::app::FrontView", "its travel"))
           : why == "breakup"
               ? inWords(QT_TRANSLATE_NOOP("yf::app::FrontView", "a mode of its cone"))
           : why == "response"
               ? inWords(QT_TRANSLATE_NOOP("yf::app::FrontView", "its own fall"))
               : inWords(QT_TRANSLATE_NOOP("yf::app::FrontView", "its size: it beams beyond"));
}

QString hertz(double f) {
    return figures(text::printEngineering(f, "Hz", 2));
}

} // namespace

QString bandWords(const evaluation::DriverBand& found) {
    QString said =
        found.band.low && found.band.lowReason
            ? inWords(QT_TRANSLATE_NOOP("yf::app::FrontView", "from %1, by %2;"))
                  .arg(hertz(*found.band.low), reasonWords(*found.band.lowReason))
            : inWords(QT_TRANSLATE_NOOP("yf::app::FrontView", "from what its box allows;"));
    said += u' ' + inWords(QT_TRANSLATE_NOOP("yf::app::FrontView", "up to %1, by %2"))
                       .arg(hertz(found.band.high), reasonWords(found.band.highReason));
    if (found.areaGuessed) {
        said += inWords(
            QT_TRANSLATE_NOOP("yf::app::FrontView", ", its area guessed from the outer diameter"));
    }
    return said;
}

bool BandBars::update(const job::Job& job, const job::Cabinet& cabinet) {
    std::vector<const void*> from;
    std::size_t sheets = 0;
    const auto mix = [&](std::size_t part) { sheets = sheets * 31 + part; };
    for (const job::Mount& mount : cabinet.mounts) {
        const job::Driver* driver = job::findDriver(job, mount.driver);
        if (driver == nullptr) {
            continue;
        }
        for (const job::TakeKind kind : {job::TakeKind::response, job::TakeKind::impedance}) {
            const job::Take* take = job::takeInUse(job, *driver, kind);
            from.push_back(take == nullptr ? nullptr : take->curve.get());
        }
        for (const double figure : {driver->sheet.Sd.value_or(0.0),
                                    driver->sheet.model.fs.value_or(0.0),
                                    driver->diameter,
                                    static_cast<double>(driver->band)}) {
            mix(std::hash<double>()(figure));
        }
        mix(std::hash<std::string>()(driver->name));
    }
    if (from == from_ && sheets == sheets_) {
        return false;
    }
    from_ = std::move(from);
    sheets_ = sheets;
    bars_.clear();
    for (const job::Mount& mount : cabinet.mounts) {
        const job::Driver* driver = job::findDriver(job, mount.driver);
        if (const auto found =
                driver == nullptr ? std::nullopt : evaluation::usableBandOf(job, *driver)) {
            bars_.push_back(
                {driver->id, words(driver->name), driver->band, *found, bandWords(*found)});
        }
    }
    std::ranges::stable_sort(
        bars_, {}, [](const BandBar& bar) { return static_cast<int>(bar.way); });
    return true;
}

std::vector<std::optional<evaluation::JoinBand>> BandBars::joins() const {
    std::vector<std::optional<evaluation::JoinBand>> all;
    for (qsizetype i = 0; i + 1 < bars_.size(); ++i) {
        all.push_back(evaluation::joinBand(bars_[i].band, bars_[i + 1].band));
    }
    return all;
}

double bandStripHeight(qsizetype bars) {
    return bars == 0 ? 0.0 : static_cast<double>(bars) * rowHeight + rulerHeight + 4.0;
}

void paintBandStrip(QPainter& painter,
                    const QVector<BandBar>& bars,
                    const QRectF& room,
                    const std::string& chosen) {
    const Theme& t = theme();
    painter.setRenderHint(QPainter::Antialiasing, false);
    const QRectF field = room.adjusted(0.0, 0.0, 0.0, -rulerHeight);
    painter.setPen(QPen(t.outline, 1.0));
    for (const double f : {100.0, 1000.0, 10000.0}) {
        const double x = std::round(across(f, room)) + 0.5;
        painter.drawLine(QPointF(x, field.top()), QPointF(x, field.bottom()));
    }
    painter.setFont(figureFont(7.5));
    painter.setPen(t.quietInk);
    const QRectF ruler(room.left() - 10.0, field.bottom(), room.width() + 20.0, rulerHeight);
    for (const auto& [f, word] : {std::pair(100.0, "100"), {1000.0, "1k"}, {10000.0, "10k"}}) {
        const double x = across(f, room);
        painter.drawText(
            QRectF(x - 20.0, ruler.top(), 40.0, rulerHeight), Qt::AlignCenter, QLatin1String(word));
    }
    double y = field.top() + 1.0;
    for (const BandBar& bar : bars) {
        const Stroke& stroke = t.ways[static_cast<std::size_t>(bar.way)];
        const double from = across(bar.band.band.low.value_or(lowest), room);
        const double to = across(bar.band.band.high, room);
        const double middle = y + 0.5 * (rowHeight - 2.0);
        // Without the way's pattern, whose gaps would be read as gaps of the band.
        QPen pen(stroke.colour, bar.driver == chosen ? 5.0 : 3.0);
        pen.setCapStyle(Qt::FlatCap);
        painter.setPen(pen);
        painter.drawLine(QPointF(from, middle), QPointF(to, middle));
        // An end that is a limit is a stop; one that the box sets is left open.
        painter.setPen(QPen(stroke.colour, 1.4));
        const auto stop = [&](double x) {
            painter.drawLine(QPointF(x, y - 0.5), QPointF(x, y + rowHeight - 1.5));
        };
        stop(to);
        if (bar.band.band.low) {
            stop(from);
        }
        y += rowHeight;
    }
    painter.setRenderHint(QPainter::Antialiasing, true);
}

} // namespace yf::app
