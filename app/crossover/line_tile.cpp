// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/line_tile.h"

#include "app/crossover/symbols.h"
#include "app/widgets/words.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::app {

namespace {

QString kindName(network::BiquadKind kind) {
    switch (kind) {
    case network::BiquadKind::lowPass:
        return LineTile::tr("low-pass");
    case network::BiquadKind::highPass:
        return LineTile::tr("high-pass");
    case network::BiquadKind::allPass:
        return LineTile::tr("all-pass");
    case network::BiquadKind::peaking:
        return LineTile::tr("peak or dip");
    case network::BiquadKind::lowShelf:
        return LineTile::tr("low shelf");
    case network::BiquadKind::highShelf:
        return LineTile::tr("high shelf");
    }
    return {};
}

/// The level over three octaves each way, 18 dB high; of an all-pass the phase, once round.
QPainterPath curveOf(const network::LineFilter& filter) {
    constexpr int points = 27;
    constexpr double octaves = 3.0;
    constexpr double half = 13.0; ///< pixels each way
    constexpr double perDecibel = 1.1;
    std::vector<double> at;
    for (int k = 0; k < points; ++k) {
        at.push_back(filter.f0 * std::exp2(octaves * (2.0 * k / (points - 1) - 1.0)));
    }
    const auto H = network::transfer(filter, at);
    QPainterPath path;
    double turned = 0.0;
    for (int k = 0; k < points; ++k) {
        const auto i = static_cast<std::size_t>(k);
        double y = -perDecibel * quantity::decibels(std::abs(H[i]));
        if (filter.kind == network::BiquadKind::allPass) {
            const double step = i == 0 ? 0.0 : std::arg(H[i] / H[i - 1]);
            turned -= step;
            y = 2.4 * turned - 8.0;
        }
        const QPointF point(half * (2.0 * k / (points - 1) - 1.0), std::clamp(y, -11.0, 13.0));
        k == 0 ? path.moveTo(point) : path.lineTo(point);
    }
    return path;
}

} // namespace

LineTile::LineTile(const network::LinePlace& place, const network::Line& line, QWidget* parent)
    : LaneTile(parent), place_(place) {
    setObjectName(words(keyOf(place)).replace(u':', u'_'));
    display(line);
}

std::string LineTile::keyOf(const network::LinePlace& place) {
    return "line:" + std::to_string(place.way) + ":" +
           (place.filter ? std::to_string(*place.filter) : std::string("gain"));
}

const network::LineFilter* LineTile::filter() const {
    return place_.filter && *place_.filter < line_.filters.size() ? &line_.filters[*place_.filter]
                                                                  : nullptr;
}

void LineTile::display(const network::Line& line) {
    if (shown_ && line == line_) {
        return;
    }
    line_ = line;
    shown_ = true;
    const network::LineFilter* f = filter();
    const QString what = f != nullptr
                             ? kindName(f->kind) + QChar(u' ') + figures(network::figuresOf(*f))
                             : tr("amplifier, %1").arg(figures(network::gainWords(line)));
    setAccessibleName(tr("%1, way %2").arg(what).arg(place_.way + 1));
    setToolTip(
        what + QChar(u'\n') +
        (f != nullptr
             ? tr("Type figures: 2k5, LR4, BW3, Q0.7, −3 dB; wheel or ↑↓ moves it by 1/12 octave, "
                  "Shift by 1/48; Backspace takes it out; Insert adds one; hold B to be without "
                  "it.")
             : tr("Type a gain or a delay: −3 dB, 0.2 ms; wheel or ↑↓ half a decibel, Shift a "
                  "tenth; Backspace clears both.")));
    update();
}

QString LineTile::notation() const {
    const network::LineFilter* f = filter();
    return figures(f != nullptr ? network::figuresOf(*f) : network::gainWords(line_))
        .replace(QChar(0x202F), u' ');
}

QString LineTile::firstRow() const {
    const network::LineFilter* f = filter();
    return f != nullptr ? figures(network::figuresOf(*f)).section(u' ', 0, 0)
                        : figures(network::gainWords(line_)).section(u',', 0, 0);
}

QString LineTile::secondRow() const {
    if (const network::LineFilter* f = filter()) {
        return figures(network::figuresOf(*f)).section(u' ', 1);
    }
    return line_.delay > 0.0 ? figures(text::printEngineering(line_.delay, "s")) : tr("no delay");
}

void LineTile::paintSymbol(QPainter& painter) const {
    painter.save();
    painter.translate(QPointF(17.0, height() / 2.0));
    painter.setBrush(Qt::NoBrush);
    if (const network::LineFilter* f = filter()) {
        painter.drawPath(curveOf(*f));
    } else {
        drawAmplifier(painter, QRectF(-14.0, -12.0, 28.0, 24.0));
    }
    painter.restore();
}

ControlTile::ControlTile(const network::ControlSlot& control, QWidget* parent) : LaneTile(parent) {
    display(control);
}

void ControlTile::display(const network::ControlSlot& control) {
    if (control == control_ && !objectName().isEmpty()) {
        return;
    }
    control_ = control;
    setObjectName(QStringLiteral("control_") + words(control.id));
    const std::array kinds{tr("rheostat in the line"), tr("potentiometer"), tr("L-pad control")};
    const auto R = network::resistances(control);
    setAccessibleName(tr("%1, %2 %3 at %4")
                          .arg(words(control.id),
                               kinds[static_cast<std::size_t>(control.kind)],
                               secondRow(),
                               firstRow()));
    QString now = tr("now %1 in the line").arg(figures(text::printEngineering(R.inLine, "Ω")));
    if (R.toReturn) {
        now += tr(", %1 across").arg(figures(text::printEngineering(*R.toReturn, "Ω")));
    }
    setToolTip(accessibleName() + QChar(u'\n') + now + QChar(u'\n') +
               tr("Type the track (8 Ω) or the position (60 %); wheel or ↑↓ turns it; Enter also "
                  "offers fixed resistors for it; Backspace takes it out; hold B to be without "
                  "it."));
    update();
}

QString ControlTile::notation() const {
    return figures(text::printEngineering(control_.total, "Ω")).replace(QChar(0x202F), u' ') +
           QStringLiteral(" ") + firstRow().replace(QChar(0x202F), u' ');
}

QString ControlTile::firstRow() const {
    constexpr double percent = 100.0;
    return figures(text::printSignificant(percent * control_.position, 3)) + QChar(0x202F) +
           QChar(u'%');
}

QString ControlTile::secondRow() const {
    return words(control_.id) + QStringLiteral(" · ") +
           figures(text::printEngineering(control_.total, "Ω"));
}

void ControlTile::paintSymbol(QPainter& painter) const {
    drawControl(painter, QRectF(3.0, 0.0, 28.0, height()));
}

} // namespace yf::app
