// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/network/part_tile.h"

#include "app/network/symbols.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/job/edit.h"

#include <QKeyEvent>
#include <QPainter>
#include <QWheelEvent>

namespace yf::app {

namespace {

constexpr int notch = 120; ///< one click of a wheel, in Qt's eighths of a degree

QString kindName(network::PartKind kind) {
    switch (kind) {
    case network::PartKind::resistor:
        return PartTile::tr("resistor");
    case network::PartKind::coil:
        return PartTile::tr("coil");
    case network::PartKind::capacitor:
        return PartTile::tr("capacitor");
    }
    return {};
}

} // namespace

PartTile::PartTile(const network::Part& part, Lying lying, QWidget* parent)
    : QWidget(parent), lying_(lying) {
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_Hover);
    display(part);
}

void PartTile::display(const network::Part& part) {
    if (part == part_ && !objectName().isEmpty()) {
        return;
    }
    part_ = part;
    setObjectName(QStringLiteral("tile_") + words(part.id));
    setAccessibleName(tr("%1, %2 %3")
                          .arg(words(part.id),
                               kindName(part.kind),
                               figures(job::valueText(part.kind, part.value))));
    const double loss = network::lossResistance(part);
    QStringList tip{accessibleName()};
    if (part.kind != network::PartKind::resistor) {
        tip << (loss > 0.0 ? tr("loss %1 in series; follows the value, type dcr=… or esr=… for a "
                                "measured one")
                                 .arg(figures(text::printEngineering(loss, "Ω")))
                           : tr("no loss entered: taken as ideal; type dcr=… or esr=…"));
    }
    if (part.price) {
        tip << tr("price %1").arg(figures(text::printFixed(*part.price, 2)));
    }
    tip << tr("Type a value; wheel or ↑↓ next value; Shift fine; Backspace takes it out; Insert "
              "adds one; hold B to be without it.");
    setToolTip(tip.join(QStringLiteral("\n")));
    update();
}

QString PartTile::valueShown() const {
    constexpr int digits = 3; // what a tile has room for; the tooltip tells one more
    return figures(job::valueText(part_.kind, part_.value, digits));
}

QString PartTile::lossShown() const {
    const double loss = network::lossResistance(part_);
    QString row = words(part_.id);
    if (part_.kind != network::PartKind::resistor) {
        row += QStringLiteral(" · ") + (loss > 0.0 ? figures(text::printSignificant(loss, 2)) +
                                                         QChar(0x202F) + QStringLiteral("Ω")
                                                   : tr("ideal"));
    }
    return row;
}

void PartTile::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF edge = QRectF(rect()).adjusted(1.0, 1.0, -1.0, -1.0);
    const bool far = job::questionAbout(part_).has_value();
    painter.setBrush(t.sheet);
    painter.setPen(QPen(far ? t.mind : t.outline, 1.0));
    if (hasFocus()) {
        painter.setPen(QPen(t.front, 4.0));
        painter.drawRoundedRect(edge, 5.0, 5.0);
        painter.setPen(QPen(t.ink, 1.5));
    } else if (underMouse()) {
        painter.setPen(QPen(t.ink, 1.2));
    }
    painter.drawRoundedRect(edge, 5.0, 5.0);
    painter.setPen(QPen(bypass_ ? t.quietInk : t.ink, 1.5));
    drawSymbol(painter, part_.kind, QRectF(3.0, 0.0, 28.0, height()), lying_);
    painter.setFont(figureFont(9.5));
    painter.setPen(bypass_ ? t.quietInk : t.ink);
    painter.drawText(QRectF(34.0, 2.0, width() - 36.0, 19.0),
                     Qt::AlignVCenter,
                     valueShown() + (far ? QStringLiteral(" ▲") : QString{}));
    painter.setFont(figureFont(8.0));
    painter.setPen(t.quietInk);
    painter.drawText(QRectF(34.0, 19.0, width() - 36.0, 16.0),
                     Qt::AlignVCenter,
                     bypass_ ? tr("without") : lossShown());
}

void PartTile::wheelEvent(QWheelEvent* event) {
    if (!hasFocus()) {
        event->ignore();
        return;
    }
    // Touch pads and some mice with Shift give the other axis.
    const QPoint delta = event->angleDelta();
    wheel_ += delta.y() != 0 ? delta.y() : delta.x();
    const int steps = wheel_ / notch;
    wheel_ -= steps * notch;
    if (steps != 0) {
        Q_EMIT stepped(steps, event->modifiers().testFlag(Qt::ShiftModifier));
    }
    event->accept();
}

void PartTile::keyPressEvent(QKeyEvent* event) {
    const bool fine = event->modifiers().testFlag(Qt::ShiftModifier);
    switch (event->key()) {
    case Qt::Key_Up:
        Q_EMIT stepped(1, fine);
        return;
    case Qt::Key_Down:
        Q_EMIT stepped(-1, fine);
        return;
    case Qt::Key_Backspace:
    case Qt::Key_Delete:
        Q_EMIT removed();
        return;
    case Qt::Key_Insert:
        Q_EMIT insertWanted();
        return;
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_F2:
        Q_EMIT editWanted();
        return;
    case Qt::Key_B:
        if (!event->isAutoRepeat() && event->modifiers() == Qt::NoModifier) {
            bypass_ = true;
            update();
            Q_EMIT bypassed(true);
        }
        return;
    default:
        break;
    }
    const QString characters = event->text();
    const bool starts =
        !characters.isEmpty() && (characters.front().isDigit() || characters.front() == u'.' ||
                                  characters.front() == u',' || characters.front() == u'-');
    if (starts) {
        Q_EMIT typed(characters);
        return;
    }
    QWidget::keyPressEvent(event);
}

void PartTile::keyReleaseEvent(QKeyEvent* event) {
    if (event->isAutoRepeat()) {
        return;
    }
    if (event->key() == Qt::Key_B) {
        endBypass();
    } else if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down) {
        Q_EMIT letGo();
    } else {
        QWidget::keyReleaseEvent(event);
    }
}

void PartTile::endBypass() {
    if (bypass_) {
        bypass_ = false;
        update();
        Q_EMIT bypassed(false);
    }
}

void PartTile::mouseDoubleClickEvent(QMouseEvent* /*event*/) {
    Q_EMIT editWanted();
}

void PartTile::focusInEvent(QFocusEvent* event) {
    update();
    QWidget::focusInEvent(event);
}

void PartTile::focusOutEvent(QFocusEvent* event) {
    wheel_ = 0;
    endBypass();
    Q_EMIT letGo();
    update();
    QWidget::focusOutEvent(event);
}

} // namespace yf::app
