// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantity.h"
#include "core/text/number.h"

#include <QLineEdit>

namespace yf::app {

/// A field for one quantity that takes what people write ("2k5", "2,5 kHz"). What is not
/// understood or out of range turns the field's edge red and is said in words by `problem`; the
/// last good value stays. The wheel does nothing unless the field has the focus, and never guesses.
class QuantityField final : public QLineEdit {
    Q_OBJECT

public:
    QuantityField(const quantity::Quantity& quantity, text::Unit unit, QWidget* parent = nullptr);

    /// SI.
    [[nodiscard]] double value() const { return value_; }

    /// Shows a value; says nothing about it.
    void setValue(double value);

    /// What is wrong with what stands in the field, empty if nothing.
    [[nodiscard]] const QString& problem() const { return problem_; }

Q_SIGNALS:
    void valueChanged(double value);
    void problemChanged(const QString& problem);

private:
    void read();
    void say(const QString& problem);

    quantity::Quantity quantity_;
    text::Unit unit_;
    double value_{};
    QString problem_;
};

} // namespace yf::app
