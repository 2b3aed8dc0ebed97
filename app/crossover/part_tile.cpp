// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/part_tile.h"

#include "app/crossover/symbols.h"
#include "app/widgets/words.h"
#include "core/edit/parts.h"
#include "core/network/parts/part_words.h"

#include <QPainter>

namespace yf::app {

namespace {

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
    : LaneTile(parent), lying_(lying) {
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
                               figures(network::valueText(part.kind, part.value))));
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
    return figures(network::valueText(part_.kind, part_.value, digits));
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

void PartTile::paintSymbol(QPainter& painter) const {
    drawSymbol(painter, part_.kind, QRectF(3.0, 0.0, 28.0, height()), lying_);
}

bool PartTile::questionable() const {
    return network::questionAbout(part_).has_value();
}

} // namespace yf::app
