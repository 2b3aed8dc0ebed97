// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantity.h"
#include "core/text/number.h"

#include <QLineEdit>

#include <optional>

class QLabel;

namespace yf::app {

/// How lengths are shown and what a bare number means: millimetres or inches.
enum class Lengths { none, metric, inch };

/// A field for one quantity that takes what people write ("2k5", "2,5 kHz"). What is not
/// understood or out of range turns the field's edge red and is said in words by `problem`; the
/// last good value stays. The wheel does nothing unless the field has the focus, and never guesses.
class QuantityField final : public QLineEdit {
    Q_OBJECT

public:
    QuantityField(const quantity::Quantity& quantity, text::Unit unit, QWidget* parent = nullptr);

    /// SI. A field that may be empty and is gives 0.
    [[nodiscard]] double value() const { return value_.value_or(0.0); }

    [[nodiscard]] std::optional<double> optionalValue() const { return value_; }

    /// Nothing written is then an answer too.
    void setMayBeEmpty(bool may);

    void setLengths(Lengths lengths);

    /// Shows a value; says nothing about it.
    void setValue(std::optional<double> value);

    /// The same, unless a hand is typing here.
    void offer(std::optional<double> value);

    /// What is wrong with what stands in the field, empty if nothing.
    [[nodiscard]] const QString& problem() const { return problem_; }

Q_SIGNALS:
    void valueChanged(double value);
    void problemChanged(const QString& problem);

private:
    void read();
    void say(const QString& problem);
    [[nodiscard]] QString shown(double value) const;
    [[nodiscard]] double bareUnit() const;

    quantity::Quantity quantity_;
    text::Unit unit_;
    Lengths lengths_{};
    bool mayBeEmpty_{};
    std::optional<double> value_;
    QString problem_;
};

/// A field with the names by which tests and screen readers find it.
[[nodiscard]] QuantityField* quantityField(QWidget* parent,
                                           const quantity::Quantity& quantity,
                                           text::Unit unit,
                                           const QString& name,
                                           const QString& accessible);

/// Has a label say what is wrong in a field. What is cured is left to who writes there next.
void tellProblems(const QuantityField* field, QLabel* label);

} // namespace yf::app
