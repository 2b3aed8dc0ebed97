// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/search_controls.h"

#include "app/widgets/controls.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/study/tune.h"

#include <QComboBox>
#include <QCoreApplication>

namespace yf::app {

namespace {

struct SearchControls {
    Q_DECLARE_TR_FUNCTIONS(yf::app::SearchControls)
};

const quantity::Quantity leastLoad{"|Z|",
                                   "floor_ohm",
                                   1.0,
                                   "Ω",
                                   0.5,
                                   2000.0,
                                   YF_WORDS("core", "least impedance that the amplifier takes")};

} // namespace

QuantityField* leastLoadField(QWidget* parent, const QString& name) {
    auto* field = quantityField(parent,
                                leastLoad,
                                text::Unit::ohm,
                                name,
                                SearchControls::tr("Least impedance that the amplifier takes"));
    field->setValue(study::TuneWish{}.floor);
    return field;
}

QComboBox* endValuesBox(QWidget* parent, const QString& name) {
    QComboBox* box = narrowCombo(parent, name, SearchControls::tr("Values it ends in"), 6);
    box->addItems({SearchControls::tr("exact"),
                   QStringLiteral("E6"),
                   QStringLiteral("E12"),
                   QStringLiteral("E24")});
    box->setCurrentIndex(2);
    return box;
}

std::optional<network::ESeries> endValues(const QComboBox* box) {
    constexpr network::ESeries all[] = {
        network::ESeries::E6, network::ESeries::E12, network::ESeries::E24};
    const int index = box->currentIndex();
    return index <= 0 || index > static_cast<int>(std::size(all)) ? std::nullopt
                                                                  : std::optional(all[index - 1]);
}

QString inDecibels(double level) {
    return figures(text::printFixed(level, 2)) + QChar(0x202F) + QStringLiteral("dB");
}

} // namespace yf::app
