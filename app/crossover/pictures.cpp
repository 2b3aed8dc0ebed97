// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/pictures.h"

#include "app/plots/curves.h"
#include "app/plots/house_scale.h"
#include "app/widgets/words.h"
#include "core/network/judge/tolerance.h"
#include "core/report/line.h"

#include <QCoreApplication>
#include <QLocale>
#include <QSet>

#include <algorithm>

namespace yf::app {

namespace {

/// The stage's words.
struct Said {
    Q_DECLARE_TR_FUNCTIONS(yf::app::CrossoverStage)
};

} // namespace

namespace {

/// What the stage still misses and what that costs.
QString missing(const evaluation::CabinetResult* result) {
    if (result == nullptr || result->missing.empty()) {
        return Said::tr("nothing to show yet");
    }
    QStringList said;
    for (const Words& sentence : result->missing) {
        said << spoken(sentence);
    }
    return said.join(QStringLiteral("\n"));
}

const job::Driver& driverOf(const Sight& sight, const evaluation::WayResult& way) {
    return *job::findDriver(sight.shown().job, way.driver);
}

/// One way, thin and broken where its driver's curve is not believed.
Trace wayTrace(const Sight& sight,
               const evaluation::CabinetResult& result,
               const evaluation::WayResult& way,
               Shown shown) {
    const job::Driver& driver = driverOf(sight, way);
    Trace trace = traceOf({words(way.name), words(way.name)},
                          strokeOf(driver.band),
                          result.axis,
                          way.pressure,
                          shown);
    const curve::Range trusted =
        job::takeInUse(sight.shown().job, driver, job::TakeKind::response)->curve->trusted();
    for (const double f : result.axis) {
        trace.trusted.push_back(trusted.holds(f));
    }
    return trace;
}

void addGhost(const Sight& sight, const evaluation::CabinetResult& result, Picture& picture) {
    if (sight.preview) {
        const evaluation::CabinetResult* present = sight.present->evaluation.find(sight.cabinet);
        if (present != nullptr && !present->sum.empty()) {
            picture.traces.push_back(traceOf({QStringLiteral("present"), Said::tr("present")},
                                             theme().ghost,
                                             present->axis,
                                             present->sum,
                                             Shown::level));
        }
        return;
    }
    if (result.ways.size() > 1) {
        const evaluation::WayResult& highest = result.ways.back();
        picture.traces.push_back(
            traceOf({QStringLiteral("reversed"), Said::tr("%1 reversed").arg(words(highest.name))},
                    theme().ghost,
                    result.axis,
                    highest.reversedSum,
                    Shown::level));
    }
}

QVector<bool> trustOf(const std::vector<bool>& trusted) {
    return {trusted.begin(), trusted.end()};
}

/// How the curves were made, as far as all takes agree on it.
QString foot(const Sight& sight) {
    const job::Job& job = sight.shown().job;
    const job::Cabinet& cabinet = *sight.shownCabinet();
    const QLocale locale;
    QStringList said{Said::tr("%1 V behind %2 Ω")
                         .arg(locale.toString(cabinet.circuit.source.voltage, 'g', 3),
                              locale.toString(cabinet.circuit.source.resistance, 'g', 3))};
    QSet<QString> distances;
    QSet<QString> gates;
    QSet<QString> smoothings;
    QString from;
    QString to;
    for (const job::Mount& mount : cabinet.mounts) {
        const job::Driver* driver = job::findDriver(job, mount.driver);
        const job::Take* take =
            driver == nullptr ? nullptr : job::takeInUse(job, *driver, job::TakeKind::response);
        if (take == nullptr) {
            continue;
        }
        distances << Said::tr("%1 m").arg(locale.toString(take->distance, 'g', 3));
        gates << (take->gate
                      ? Said::tr("gate %1 ms").arg(locale.toString(*take->gate * 1e3, 'g', 3))
                      : Said::tr("no gate noted"));
        smoothings << (take->smoothing == 0 ? Said::tr("unsmoothed")
                                            : Said::tr("1/%1 octave").arg(take->smoothing));
        const QString date = words(take->date);
        from = from.isEmpty() || date < from ? date : from;
        to = std::max(to, date);
    }
    const auto one = [](const QSet<QString>& values, const QString& several) {
        return values.size() == 1 ? *values.begin() : several;
    };
    said << one(distances, Said::tr("several distances")) << one(gates, Said::tr("several gates"))
         << one(smoothings, Said::tr("several smoothings"));
    if (!from.isEmpty()) {
        said << (from == to ? from : QStringLiteral("%1 – %2").arg(from, to));
    }
    return said.join(QStringLiteral(", "));
}

/// An empty picture with the scale that the job keeps for its kind.
Picture blank(const Sight& sight, PlotKind kind) {
    Picture picture;
    picture.scale = sealedScale(sight.present->job, kind);
    return picture;
}

} // namespace

QVector<DrawnState> statesOf(const Sight& sight) {
    using Kind = network::WhatIf::Kind;
    QVector<DrawnState> all{{Said::tr("parts' tolerances"), {}},
                            {Said::tr("voice coils 100 K hotter"),
                             network::WhatIf{Kind::hotCoils, network::hotShare, {}}},
                            {Said::tr("a tube amplifier, %1 Ω").arg(network::tubeResistance),
                             network::WhatIf{Kind::sourceResistance, network::tubeResistance, {}}}};
    if (const job::Cabinet* cabinet = sight.shownCabinet()) {
        QSet<QString> told;
        for (const network::DriverEnd& end : network::driverEnds(cabinet->circuit)) {
            const job::Driver* driver = job::findDriver(sight.shown().job, end.driver);
            const QString name = words(driver == nullptr ? end.driver : driver->name);
            if (told.contains(name)) {
                continue;
            }
            told << name;
            all.push_back({Said::tr("%1 unplugged").arg(name),
                           network::WhatIf{Kind::driverOpen, 0.0, end.driver}});
            all.push_back({Said::tr("%1 shorted").arg(name),
                           network::WhatIf{Kind::driverShorted, 0.0, end.driver}});
        }
    }
    return all;
}

namespace {

const evaluation::AssembledCabinet* curvesOf(const Sight& sight) {
    const auto& cabinets = sight.shown().job.cabinets;
    const auto found = std::ranges::find(cabinets, sight.cabinet, &job::Cabinet::id);
    const auto& made = sight.shown().assembly->cabinets;
    const auto index = static_cast<std::size_t>(found - cabinets.begin());
    return index < made.size() && made[index]->loads ? made[index].get() : nullptr;
}

Stroke thin() {
    Stroke stroke = theme().sum;
    stroke.width = 1.0;
    stroke.pattern = {6.0, 2.0, 1.0, 2.0};
    return stroke;
}

/// A state's sum or load as one thin curve.
void addState(const Sight& sight, const DrawnState& also, Shown shown, Picture& picture) {
    const evaluation::AssembledCabinet* curves = curvesOf(sight);
    if (curves == nullptr || !also.state) {
        return;
    }
    const auto other =
        network::whatIf(sight.shownCabinet()->circuit, curves->loads->loads(), *also.state);
    if (!other) {
        return;
    }
    const auto& values = shown == Shown::level ? other->sum : other->impedance;
    if (!values.empty()) {
        picture.traces.push_back(
            traceOf({QStringLiteral("also"), also.words}, thin(), other->axis, values, shown));
    }
}

/// What the parts' tolerances can make of the sum, to first order, as a veil about it.
void addTolerances(const Sight& sight, const DrawnState& also, Picture& picture) {
    const evaluation::AssembledCabinet* curves = curvesOf(sight);
    const evaluation::CabinetResult* result = sight.shownResult();
    if (curves == nullptr || result == nullptr || also.state) {
        return;
    }
    const auto spread = network::tolerance(sight.shownCabinet()->circuit, *curves->loads, {});
    const auto sum = std::ranges::find(picture.traces, QStringLiteral("sum"), &Trace::id);
    if (!spread || sum == picture.traces.end() ||
        static_cast<std::size_t>(sum->values.size()) != spread->worstCases.size()) {
        return;
    }
    Veil veil{.trace = QStringLiteral("sum"), .colour = theme().sum.colour};
    for (qsizetype k = 0; k < sum->values.size(); ++k) {
        const double off = spread->worstCases[static_cast<std::size_t>(k)];
        veil.frequencies << sum->frequencies[k];
        veil.low << sum->values[k] - off;
        veil.high << sum->values[k] + off;
    }
    picture.veils.push_back(std::move(veil));
}

} // namespace

Picture responsePicture(const Sight& sight, const DrawnState* also) {
    const evaluation::CabinetResult* result = sight.shownResult();
    Picture picture = blank(sight, PlotKind::level);
    if (result == nullptr || result->sum.empty()) {
        picture.empty = missing(result);
        return picture;
    }
    addGhost(sight, *result, picture);
    for (const evaluation::WayResult& way : result->ways) {
        picture.traces.push_back(wayTrace(sight, *result, way, Shown::level));
    }
    Trace sum = traceOf({QStringLiteral("sum"), Said::tr("sum")},
                        theme().sum,
                        result->axis,
                        result->sum,
                        Shown::level);
    sum.trusted = trustOf(result->trusted);
    picture.traces.push_back(std::move(sum));
    if (also != nullptr) {
        addState(sight, *also, Shown::level, picture);
        addTolerances(sight, *also, picture);
    }
    if (result->corridor) {
        const job::Target& target = sight.shownCabinet()->target;
        picture.corridor = Corridor{target.from,
                                    target.to,
                                    result->corridor->level - target.tolerance,
                                    result->corridor->level + target.tolerance};
        picture.corridorTrace = QStringLiteral("sum");
    }
    picture.foot = foot(sight);
    return picture;
}

Picture phasePicture(const Sight& sight) {
    const evaluation::CabinetResult* result = sight.shownResult();
    Picture picture = blank(sight, PlotKind::phase);
    if (result == nullptr || result->sum.empty()) {
        picture.empty = Said::tr("no phase yet");
        return picture;
    }
    for (const evaluation::WayResult& way : result->ways) {
        picture.traces.push_back(wayTrace(sight, *result, way, Shown::phase));
    }
    picture.foot = Said::tr("wrapped to ±180°, no delay removed");
    return picture;
}

Picture impedancePicture(const Sight& sight, const DrawnState* also) {
    const evaluation::CabinetResult* result = sight.shownResult();
    Picture picture = blank(sight, PlotKind::impedance);
    if (result == nullptr || result->impedance.empty()) {
        picture.empty = Said::tr("no load yet");
        return picture;
    }
    picture.traces = {traceOf({QStringLiteral("impedance"), Said::tr("|Z|")},
                              theme().sum,
                              result->axis,
                              result->impedance,
                              Shown::modulus)};
    if (also != nullptr) {
        addState(sight, *also, Shown::modulus, picture);
    }
    if (result->leastImpedance) {
        picture.mark = Mark{result->leastImpedance->frequency,
                            result->leastImpedance->ohms,
                            spoken(report::impedanceText(*result->leastImpedance))};
    }
    picture.foot = Said::tr("at the amplifier's terminals");
    return picture;
}

} // namespace yf::app
