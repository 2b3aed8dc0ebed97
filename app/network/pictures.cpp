// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/network/pictures.h"

#include "app/plots/curves.h"
#include "app/widgets/words.h"
#include "core/report/line.h"

#include <QCoreApplication>

namespace yf::app {

namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("NetworkPictures", text);
}

/// What the stage still misses and what that costs.
QString missing(const job::CabinetResult* result) {
    if (result == nullptr || result->missing.empty()) {
        return tr("nothing to show yet");
    }
    QStringList said;
    for (const std::string& sentence : result->missing) {
        said << words(sentence);
    }
    return said.join(QStringLiteral("\n"));
}

const job::Driver& driverOf(const Sight& sight, const job::WayResult& way) {
    return *job::findDriver(sight.shown().job, way.driver);
}

/// One way, thin and broken where its driver's curve is not believed.
Trace wayTrace(const Sight& sight,
               const job::CabinetResult& result,
               const job::WayResult& way,
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

void addGhost(const Sight& sight, const job::CabinetResult& result, Picture& picture) {
    if (sight.preview) {
        const job::CabinetResult* present = sight.present->evaluation.find(sight.cabinet);
        if (present != nullptr && !present->sum.empty()) {
            picture.traces.push_back(traceOf({QStringLiteral("present"), tr("present")},
                                             theme().ghost,
                                             present->axis,
                                             present->sum,
                                             Shown::level));
        }
        return;
    }
    if (result.ways.size() > 1) {
        const job::WayResult& highest = result.ways.back();
        picture.traces.push_back(
            traceOf({QStringLiteral("reversed"), tr("%1 reversed").arg(words(highest.name))},
                    theme().ghost,
                    result.axis,
                    highest.reversedSum,
                    Shown::level));
    }
}

QVector<bool> trustOf(const std::vector<bool>& trusted) {
    return {trusted.begin(), trusted.end()};
}

QString foot(const Sight& sight) {
    const job::Cabinet& cabinet = *sight.shownCabinet();
    QString text =
        tr("house scale, unsmoothed, %1 V behind %2 Ω, at the takes' distance, common time zero")
            .arg(cabinet.circuit.source.voltage)
            .arg(cabinet.circuit.source.resistance);
    return text;
}

} // namespace

Picture responsePicture(const Sight& sight) {
    const job::CabinetResult* result = sight.shownResult();
    Picture picture;
    if (result == nullptr || result->sum.empty()) {
        picture.empty = missing(result);
        return picture;
    }
    addGhost(sight, *result, picture);
    for (const job::WayResult& way : result->ways) {
        picture.traces.push_back(wayTrace(sight, *result, way, Shown::level));
    }
    Trace sum = traceOf(
        {QStringLiteral("sum"), tr("sum")}, theme().sum, result->axis, result->sum, Shown::level);
    sum.trusted = trustOf(result->trusted);
    picture.traces.push_back(std::move(sum));
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
    const job::CabinetResult* result = sight.shownResult();
    Picture picture;
    if (result == nullptr || result->sum.empty()) {
        picture.empty = tr("no phase yet");
        return picture;
    }
    for (const job::WayResult& way : result->ways) {
        picture.traces.push_back(wayTrace(sight, *result, way, Shown::phase));
    }
    picture.foot = tr("wrapped to ±180°, no delay removed");
    return picture;
}

Picture impedancePicture(const Sight& sight) {
    const job::CabinetResult* result = sight.shownResult();
    Picture picture;
    if (result == nullptr || result->impedance.empty()) {
        picture.empty = tr("no load yet");
        return picture;
    }
    picture.traces = {traceOf({QStringLiteral("impedance"), tr("|Z|")},
                              theme().sum,
                              result->axis,
                              result->impedance,
                              Shown::modulus)};
    if (result->leastImpedance) {
        picture.mark = Mark{result->leastImpedance->frequency,
                            result->leastImpedance->ohms,
                            words(report::impedanceText(*result->leastImpedance))};
    }
    picture.foot = tr("at the amplifier's terminals");
    return picture;
}

} // namespace yf::app
