// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/stages.h"

#include "app/align/align_stage.h"
#include "app/box/box_stage.h"
#include "app/check/check_stage.h"
#include "app/crossover/crossover_stage.h"
#include "app/intake/intake_stage.h"
#include "app/measure/measure_stage.h"
#include "app/widgets/words.h"
#include "core/findings/known_facts.h"
#include "core/findings/rules.h"

#include <map>

namespace yf::app {

QVector<Stage*> makeStages(QWidget* parent) {
    return {new IntakeStage(parent),
            new CheckStage(parent),
            new MeasureStage(parent),
            new BoxStage(parent),
            new CrossoverStage(parent),
            new AlignStage(parent)};
}

Place firstPlace() {
    return {.stage = QStringLiteral("network")};
}

Place driverPlace() {
    return {.stage = QStringLiteral("measure")};
}

Place figurePlace(const QString& figure) {
    return {.stage = QStringLiteral("network"), .page = figure};
}

/// Where the eye is led to see what a rule found.
Place findingPlace(const findings::Finding& finding, const std::vector<findings::Scope>& scopes) {
    using findings::Leads;
    static const std::map<Leads, std::pair<const char*, const char*>> leads{
        {Leads::intake, {"intake", ""}},
        {Leads::check, {"check", ""}},
        {Leads::polarity, {"check", "polarity"}},
        {Leads::measurement, {"measure", ""}},
        {Leads::box, {"box", ""}},
        {Leads::load, {"network", "impedance"}},
        {Leads::response, {"network", ""}},
        {Leads::align, {"align", ""}}};
    const auto& [stage, page] = leads.at(findings::rules()[finding.rule].leads);
    Place place{.stage = QLatin1String(stage), .page = QLatin1String(page)};
    if (place.page == QLatin1String("polarity")) {
        return place;
    }
    if (!finding.subject.part.empty()) {
        place.page.clear();
        place.subjects << words(finding.subject.part);
        return place;
    }
    // The crossover that it is about, if it is about one.
    for (const findings::Scope& scope : scopes) {
        if (const auto fx = scope.facts[findings::fact::align::fx_hz];
            fx && scope.subject == finding.subject) {
            place.frequency = fx;
        }
    }
    return place;
}

} // namespace yf::app
