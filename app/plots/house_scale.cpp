// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/house_scale.h"

#include "app/widgets/words.h"
#include "core/text/number.h"

#include <algorithm>

namespace yf::app {

namespace {

struct Form {
    job::HouseScale scale;
    const char* unit;
    int decimals;
    const char* key;
};

const Form& formOf(PlotKind kind) {
    static const Form forms[] = {
        {{PlotKind::level, 20.0, 20000.0, 50.0, 100.0}, "dB", 1, "db"},
        {{PlotKind::phase, 20.0, 20000.0, -180.0, 180.0}, "°", 0, "deg"},
        {{PlotKind::impedance, 20.0, 20000.0, 1.0, 100.0}, "Ω", 2, "ohm"},
        {{PlotKind::impulse, -0.001, 0.02, -1.0, 1.0}, "", 3, "of_peak"},
        {{PlotKind::delay, 20.0, 20000.0, 0.0, 20.0}, "ms", 2, "ms"},
        {{PlotKind::travel, 10.0, 1000.0, 0.0, 10.0}, "mm", 2, "mm"},
        {{PlotKind::speed, 10.0, 1000.0, 0.0, 25.0}, "m/s", 1, "m_per_s"},
    };
    return forms[static_cast<std::size_t>(kind)];
}

} // namespace

const job::HouseScale& builtInScale(PlotKind kind) {
    return formOf(kind).scale;
}

std::optional<job::HouseScale> sealedScale(const job::Job& job, PlotKind kind) {
    const auto found = std::ranges::find(job.scales, kind, &job::HouseScale::kind);
    return found == job.scales.end() ? std::nullopt : std::optional(*found);
}

bool acrossIsLogarithmic(PlotKind kind) {
    return kind != PlotKind::impulse;
}

bool upIsLogarithmic(PlotKind kind) {
    return kind == PlotKind::impedance;
}

QString valueText(PlotKind kind, double value) {
    const Form& form = formOf(kind);
    QString text = figures(text::printFixed(value, form.decimals));
    text.replace(u'-', QChar(0x2212));
    const QString unit = QString::fromUtf8(form.unit);
    return kind == PlotKind::phase || unit.isEmpty() ? text + unit : text + QChar(0x202F) + unit;
}

QString placeText(PlotKind kind, double at) {
    QString text = figures(text::printEngineering(at, kind == PlotKind::impulse ? "s" : "Hz", 3));
    return text.replace(u'-', QChar(0x2212));
}

QString scaleText(const job::HouseScale& scale) {
    const auto number = [](double value) {
        return figures(text::printSignificant(value, 4)).replace(u'-', QChar(0x2212));
    };
    return QStringLiteral("%1–%2%3, %4–%5")
        .arg(number(scale.low),
             number(scale.high),
             QString::fromUtf8(formOf(scale.kind).unit).isEmpty()
                 ? QString{}
                 : QChar(0x202F) + QString::fromUtf8(formOf(scale.kind).unit),
             placeText(scale.kind, scale.from),
             placeText(scale.kind, scale.to));
}

QString unitKey(PlotKind kind) {
    return QString::fromLatin1(formOf(kind).key);
}

} // namespace yf::app
