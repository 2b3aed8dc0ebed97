// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/box_pictures.h"

#include "app/plots/curves.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QCoreApplication>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("yf::app", text);
}

QVector<bool> holdsUpTo(const curve::Axis& axis, double limit) {
    QVector<bool> holds;
    for (const double f : axis) {
        holds.push_back(f <= limit);
    }
    return holds;
}

Trace plain(const QString& id, const QString& label, const Stroke& stroke, const BoxSight& b) {
    Trace t{.id = id, .label = label, .stroke = stroke};
    t.frequencies = list(b.result.response.frequencies);
    t.trusted = holdsUpTo(b.result.response.frequencies, b.result.validTo);
    return t;
}

const Stroke& cone() {
    return theme().ways[1];
}

Veil veil(const BoxSight& b, const box::Band& band, double unit) {
    return {.trace = QStringLiteral("box"),
            .colour = cone().colour,
            .frequencies = list(b.result.bandAxis),
            .low = list(band.low, unit),
            .high = list(band.high, unit)};
}

QString footOf(const BoxSight& b) {
    const box::Source& s = b.result.source;
    return tr("%1 V behind %2 Ω, 1 m, half space; the band holds nine specimens in ten")
        .arg(figures(text::printSignificant(s.voltage, 3)),
             figures(text::printSignificant(s.resistance, 2)));
}

/// The next larger round number for the top of a scale.
double roundUp(double value) {
    const double decade = std::pow(10.0, std::floor(std::log10(value)));
    for (const double step : {1.0, 1.5, 2.0, 3.0, 5.0, 7.5, 10.0}) {
        if (step * decade >= value) {
            return step * decade;
        }
    }
    return value;
}

} // namespace

QVector<double> list(const std::vector<double>& values, double unit) {
    QVector<double> out;
    out.reserve(static_cast<qsizetype>(values.size()));
    for (const double v : values) {
        out.push_back(v / unit);
    }
    return out;
}

job::HouseScale lowScale(double level) {
    const double top = 5.0 * std::ceil((level + 6.0) / 5.0);
    return {job::ScaleKind::level, 10.0, 1000.0, top - 40.0, top};
}

PlotKind kindOf(BoxCurve curve) {
    switch (curve) {
    case BoxCurve::travel:
        return PlotKind::travel;
    case BoxCurve::speed:
        return PlotKind::speed;
    case BoxCurve::delay:
        return PlotKind::delay;
    case BoxCurve::impedance:
        return PlotKind::impedance;
    case BoxCurve::maxLevel:
        return PlotKind::level;
    }
    return PlotKind::level;
}

Picture boxResponse(const BoxSight& b) {
    Picture picture;
    picture.scale =
        lowScale(b.result.summary.sensitivity + 20.0 * std::log10(b.result.source.voltage / 2.83));
    Trace t = plain(QStringLiteral("box"), tr("box"), cone(), b);
    for (const box::Complex& p : b.result.response.pressure) {
        t.values.push_back(quantity::decibels(std::abs(p) / quantity::referencePressure));
    }
    picture.traces.push_back(std::move(t));
    picture.veils.push_back(veil(b, b.result.bands.level, 1.0));
    const auto& wishes = b.enclosure.wishes;
    if (b.result.summary.f3 && wishes.f3) {
        picture.shades.push_back({10.0, *wishes.f3, tr("below the f3 wished for")});
    }
    picture.foot = footOf(b);
    return picture;
}

Picture boxCurve(const BoxSight& b, BoxCurve curve) {
    const box::Response& r = b.result.response;
    Picture picture;
    picture.foot = footOf(b);
    Trace t = plain(QStringLiteral("box"), tr("box"), cone(), b);
    const auto top = [&](const QVector<double>& values, double least) {
        return roundUp(std::max(1.1 * *std::ranges::max_element(values), least));
    };
    switch (curve) {
    case BoxCurve::travel: {
        constexpr double mm = 1e-3;
        t.label = tr("cone");
        t.values = list(r.travel, mm);
        const double Xmax = b.result.known.driver.Xmax.value_or(0.0) / mm;
        picture.veils.push_back(veil(b, b.result.bands.travel, mm));
        picture.scale = {job::ScaleKind::travel, 10.0, 1000.0, 0.0, top(t.values, 1.3 * Xmax)};
        if (Xmax > 0.0) {
            picture.corridor = Corridor{10.0, 1000.0, 0.0, Xmax};
            picture.corridorTrace = t.id;
        }
        if (!r.radiatorTravel.empty()) {
            Trace pr = plain(QStringLiteral("radiator"), tr("radiator"), theme().ways[0], b);
            pr.values = list(r.radiatorTravel, mm);
            picture.traces.push_back(std::move(pr));
        }
        break;
    }
    case BoxCurve::speed: {
        if (r.portSpeed.empty()) {
            picture.empty = tr("There is no port.");
            return picture;
        }
        t.label = tr("air in the port");
        t.stroke = theme().ways[0];
        t.values = list(r.portSpeed);
        constexpr double guide = 17.0;
        const double limit = b.enclosure.wishes.speed.value_or(guide);
        picture.scale = {job::ScaleKind::speed, 10.0, 1000.0, 0.0, top(t.values, 1.3 * limit)};
        picture.corridor = Corridor{20.0, 1000.0, 0.0, limit};
        picture.corridorTrace = t.id;
        break;
    }
    case BoxCurve::delay:
        t.values = list(r.groupDelay, 1e-3);
        picture.scale = {job::ScaleKind::delay, 10.0, 1000.0, 0.0, top(t.values, 10.0)};
        break;
    case BoxCurve::impedance:
        for (const box::Complex& Z : r.impedance) {
            t.values.push_back(std::abs(Z));
        }
        picture.veils.push_back(veil(b, b.result.bands.impedance, 1.0));
        picture.scale = {job::ScaleKind::impedance, 10.0, 1000.0, 2.0, 200.0};
        picture.foot = tr("at the driver's terminals, network left out");
        break;
    case BoxCurve::maxLevel: {
        if (r.maxLevel.empty()) {
            picture.empty = tr("Neither Xmax nor a rating is known: nothing sets a limit.");
            return picture;
        }
        t.label = tr("loudest");
        t.values = list(r.maxLevel);
        picture.scale = lowScale(*std::ranges::max_element(r.maxLevel) - 3.0);
        // Where another limit takes over.
        static const char* const names[] = {QT_TRANSLATE_NOOP("yf::app", "cone's travel"),
                                            QT_TRANSLATE_NOOP("yf::app", "power"),
                                            QT_TRANSLATE_NOOP("yf::app", "air in the port"),
                                            QT_TRANSLATE_NOOP("yf::app", "radiator")};
        std::size_t from = 0;
        for (std::size_t i = 1; i <= r.limiters.size(); ++i) {
            if (i == r.limiters.size() || r.limiters[i] != r.limiters[from]) {
                picture.shades.push_back({r.frequencies[from],
                                          r.frequencies[std::min(i, r.limiters.size() - 1)],
                                          tr(names[static_cast<std::size_t>(r.limiters[from])])});
                from = i;
            }
        }
        picture.foot = tr("Xmax, rating against Re, 17 m/s in the port; 1 m, half space");
        break;
    }
    }
    picture.traces.push_front(std::move(t));
    return picture;
}

} // namespace yf::app
