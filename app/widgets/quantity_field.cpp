// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/quantity_field.h"

#include "app/theme/theme.h"
#include "core/text/sentence.h"

namespace yf::app {

QuantityField::QuantityField(const quantity::Quantity& quantity, text::Unit unit, QWidget* parent)
    : QLineEdit(parent), quantity_(quantity), unit_(unit) {
    const auto words = [](std::string_view word) {
        return QString::fromUtf8(word.data(), static_cast<qsizetype>(word.size()));
    };
    setObjectName(words(quantity.key));
    setAccessibleName(words(quantity.help));
    setToolTip(tr("%1, %2 to %3 %4")
                   .arg(words(quantity.help))
                   .arg(quantity.lowest)
                   .arg(quantity.highest)
                   .arg(words(quantity.display)));
    setFont(figureFont(10.0));
    connect(this, &QLineEdit::editingFinished, this, &QuantityField::read);
    connect(this, &QLineEdit::textEdited, this, [this] { say({}); });
}

void QuantityField::setValue(double value) {
    value_ = value;
    setText(QString::fromStdString(text::printEngineering(value, quantity_.display)));
    say({});
}

void QuantityField::read() {
    const auto typed = text::parseQuantity(text().toStdString(), unit_, quantity_.unit);
    if (!typed) {
        say(QString::fromStdString(
            text::sentence(Error{"", typed.error().given, typed.error().allowed})));
        return;
    }
    const double key = *typed / quantity_.unit;
    if (!(key >= quantity_.lowest && key <= quantity_.highest)) {
        say(tr("%1 given, must be %2 to %3")
                .arg(text())
                .arg(quantity_.lowest)
                .arg(quantity_.highest));
        return;
    }
    const bool changed = *typed != value_;
    setValue(*typed);
    if (changed) {
        Q_EMIT valueChanged(value_);
    }
}

void QuantityField::say(const QString& problem) {
    if (problem == problem_) {
        return;
    }
    problem_ = problem;
    setStyleSheet(problem.isEmpty()
                      ? QString{}
                      : QStringLiteral("border:2px solid %1").arg(theme().stop.name()));
    Q_EMIT problemChanged(problem_);
}

} // namespace yf::app
