// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/stages.h"

#include "app/align/align_stage.h"
#include "app/box/box_stage.h"
#include "app/check/check_stage.h"
#include "app/crossover/crossover_stage.h"
#include "app/intake/intake_stage.h"
#include "app/measure/measure_stage.h"

namespace yf::app {

QVector<Stage*> makeStages(QWidget* parent) {
    return {new IntakeStage(parent),
            new CheckStage(parent),
            new MeasureStage(parent),
            new BoxStage(parent),
            new CrossoverStage(parent),
            new AlignStage(parent)};
}

} // namespace yf::app
