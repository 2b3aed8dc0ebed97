// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/quantity_field.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/text/sentence.h"

#include <QLabel>
#include <QLocale>

namespace yf::app {

namespace {

constexpr double inch = 0.0254;

} // namespace

QuantityField::QuantityField(const quantity::Quantity& quantity, text::Unit unit, QWidget* parent)
    : QLineEdit(parent), quantity_(quantity), unit_(unit) {
    setObjectName(words(quantity.key));
    setAccessibleName(spoken(quantity.help));
    setToolTip(tr("%1, %2 to %3 %4")
                   .arg(spoken(quantity.help),
                        QLocale().toString(quantity.lowest, 'g', 6),
                        QLocale().toString(quantity.highest, 'g', 6),
                        words(quantity.display)));
    setFont(figureFont(10.0));
    connect(this, &QLineEdit::editingFinished, this, &QuantityField::read);
    connect(this, &QLineEdit::textEdited, this, [this] { say({}); });
}

void QuantityField::setMayBeEmpty(bool may) {
    mayBeEmpty_ = may;
    setPlaceholderText(may ? tr("not given") : QString{});
}

void QuantityField::setLengths(Lengths lengths) {
    if (lengths != lengths_) {
        lengths_ = lengths;
        setValue(value_);
    }
}

double QuantityField::bareUnit() const {
    constexpr double millimetre = 1e-3;
    return lengths_ == Lengths::none   ? quantity_.unit
           : lengths_ == Lengths::inch ? inch
                                       : millimetre;
}

QString QuantityField::shown(double value) const {
    const bool inches = lengths_ == Lengths::inch;
    const std::string text =
        inches ? text::printFixed(value / inch, 2) + "″"
        : lengths_ == Lengths::metric
            ? text::printSignificant(value / bareUnit(), 5) + std::string(text::thinSpace) + "mm"
        : unit_ == text::Unit::decibel // has no prefixes: 300 mdB is nobody's word
            ? text::printSignificant(value, 4) + std::string(text::thinSpace) + "dB"
            : quantity_.display.empty() ? text::printSignificant(value / quantity_.unit, 4)
                                        : text::printEngineering(value, quantity_.display);
    return figures(text);
}

void QuantityField::setValue(std::optional<double> value) {
    value_ = value;
    setText(value ? shown(*value) : QString{});
    setModified(false);
    say({});
}

void QuantityField::offer(std::optional<double> value) {
    const bool typing = hasFocus() && isModified();
    if (!typing && (value != value_ || !problem_.isEmpty() || text().isEmpty())) {
        setValue(value);
    }
}

void QuantityField::read() {
    if (mayBeEmpty_ && text().trimmed().isEmpty()) {
        const bool changed = value_.has_value();
        setValue(std::nullopt);
        if (changed) {
            Q_EMIT valueChanged(0.0);
        }
        return;
    }
    if (!isModified()) {
        return;
    }
    std::string written = text().toStdString();
    // U+2033, as shown; and the typographic minus.
    for (const auto& [from, to] : {std::pair{std::string("″"), std::string("\"")},
                                   std::pair{std::string("−"), std::string("-")}}) {
        if (const auto at = written.find(from); at != std::string::npos) {
            written.replace(at, from.size(), to);
        }
    }
    const auto typed = text::parseQuantity(written, unit_, bareUnit());
    if (!typed) {
        say(spoken(text::sentence(Error{"", typed.error().given, typed.error().allowed})));
        return;
    }
    const double key = *typed / quantity_.unit;
    if (!(key >= quantity_.lowest && key <= quantity_.highest)) {
        say(tr("%1 given, must be %2 to %3")
                .arg(text(),
                     lengths_ == Lengths::none ? QLocale().toString(quantity_.lowest, 'g', 6)
                                               : shown(quantity_.lowest),
                     lengths_ == Lengths::none ? QLocale().toString(quantity_.highest, 'g', 6)
                                               : shown(quantity_.highest)));
        return;
    }
    const bool changed = *typed != value_;
    setValue(*typed);
    if (changed) {
        Q_EMIT valueChanged(*value_);
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

QuantityField* quantityField(QWidget* parent,
                             const quantity::Quantity& quantity,
                             text::Unit unit,
                             const QString& name,
                             const QString& accessible) {
    auto* field = new QuantityField(quantity, unit, parent);
    field->setObjectName(name);
    field->setAccessibleName(accessible);
    return field;
}

void tellProblems(const QuantityField* field, QLabel* label) {
    QObject::connect(field, &QuantityField::problemChanged, label, &QLabel::setText);
}

} // namespace yf::app
