// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/recorder.h"

#include "app/widgets/words.h"
#include "core/measure/safety.h"
#include "core/quantity/level.h"
#include "core/text/sentence.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::app {

namespace {

/// What the thread hands back.
struct Outcome {
    std::shared_ptr<const take::MadeTake> made;
    std::shared_ptr<const take::Calibration> calibration;
    std::shared_ptr<const signal::Recording> tone;
    std::optional<double> softPeak; ///< dB
    std::optional<double> gainStep; ///< dB
    Words problem;
    bool cut{};
};

Outcome told(const Error& error) {
    return {.problem = text::sentence(error)};
}

devices::Wired wiredFor(const RecordOrder& order) {
    if (!order.step) {
        return order.take.kind == job::TakeKind::impedance ? devices::Wired::jig
                                                           : devices::Wired::microphone;
    }
    switch (order.step->kind) {
    case CalibrationStep::Kind::jigOpen:
        return devices::Wired::jigOpen;
    case CalibrationStep::Kind::jigShort:
        return devices::Wired::jigShort;
    case CalibrationStep::Kind::jigLoad:
        return devices::Wired::jigLoad;
    case CalibrationStep::Kind::calibrator:
        return devices::Wired::calibrator;
    case CalibrationStep::Kind::listen:
        return order.take.kind == job::TakeKind::impedance ? devices::Wired::jig
                                                           : devices::Wired::microphone;
    default:
        return devices::Wired::loop;
    }
}

/// Opens what was chosen; the simulated bench tells what it knows of itself.
Result<std::unique_ptr<devices::SoundDevice>>
openFor(const job::Job& job, const RecordOrder& order, job::Recorded& recorded) {
    const bool troubled = order.device == devices::troubleId;
    if (order.device != devices::simulatedId && !troubled) {
        return devices::openSound(order.device);
    }
    YF_TRY(bench, sim::soundBench(job, order.view));
    if (order.take.kind == job::TakeKind::impedance) {
        // What somebody typed counts before what the bench knows.
        if (recorded.jigTable.empty() && recorded.lead == 0.0) {
            recorded.lead = bench.lead;
        }
    } else {
        // The bench knows its own level where it was not measured.
        recorded.fullScalePressure = recorded.fullScalePressure.value_or(bench.fullScalePressure);
        recorded.fullScaleVoltage = recorded.fullScaleVoltage.value_or(bench.fullScaleVoltage);
    }
    if (troubled && !order.step) {
        return devices::troubledSound(std::move(bench), wiredFor(order), order.pace, order.trouble);
    }
    return devices::simulatedSound(
        std::move(bench), wiredFor(order), order.pace, order.step ? order.step->figure : 0.0);
}

/// A steady tone between fades, or silence for a calibrator.
std::vector<double> steadySignal(CalibrationStep::Kind kind, double rate, double amplitude) {
    const double seconds = kind == CalibrationStep::Kind::listen ? 60.0 : 4.0;
    constexpr double fade = 0.1;
    std::vector<double> play(static_cast<std::size_t>(seconds * rate));
    if (kind == CalibrationStep::Kind::tone) {
        for (std::size_t n = 0; n < play.size(); ++n) {
            const double t = static_cast<double>(n) / rate;
            const double rise = std::min({1.0, t / fade, (seconds - t) / fade});
            play[n] = amplitude * rise * std::sin(2.0 * std::numbers::pi * take::toneFrequency * t);
        }
    }
    return play;
}

struct Played {
    signal::Recording recording;
    bool lossFlagged{};
};

/// Plays and records; a sentence where it failed, none of both where it was stopped.
Result<std::optional<Played>> play(devices::SoundDevice& device,
                                   const RecordOrder& order,
                                   std::vector<double> signal,
                                   double rate,
                                   devices::SoundWatch& watch) {
    std::vector<int> inputs{order.measuredInput};
    if (order.referenceInput > 0) {
        inputs.push_back(order.referenceInput);
    }
    YF_TRY(caught, device.run({std::move(signal), rate, order.output, std::move(inputs)}, watch));
    if (watch.stop) {
        return std::optional<Played>();
    }
    if (!caught.problem.empty()) {
        return Error{device.port().name, caught.problem, ""};
    }
    Played played{.recording = {rate, std::move(caught.inputs[0]), {}},
                  .lossFlagged = caught.lossFlagged};
    if (caught.inputs.size() > 1) {
        played.recording.reference = std::move(caught.inputs[1]);
    }
    return std::optional(std::move(played));
}

/// How much softer the second sweep of a gain check is.
constexpr double softer = 6.0; // dB

Outcome
checkGain(devices::SoundDevice& device, const RecordOrder& order, devices::SoundWatch& watch) {
    std::vector<signal::Recording> both;
    for (const double less : {0.0, softer}) {
        signal::SweepPlan plan = order.take.recorded.sweep;
        plan.level -= less;
        const auto sweep = signal::makeSweep(plan);
        if (!sweep) {
            return told(sweep.error());
        }
        auto played = play(device, order, signal::playSignal(*sweep), sweep->rate, watch);
        if (!played) {
            return told(played.error());
        }
        if (!*played) {
            return {.cut = true};
        }
        both.push_back(std::move((*played)->recording));
    }
    const auto step = take::gainStep(both[0], both[1], order.take.recorded.sweep, softer);
    return step ? Outcome{.gainStep = *step} : told(step.error());
}

Outcome
calibrateNow(devices::SoundDevice& device, const RecordOrder& order, devices::SoundWatch& watch) {
    using Kind = CalibrationStep::Kind;
    const CalibrationStep& step = *order.step;
    const signal::SweepPlan& plan = order.take.recorded.sweep;
    const bool listening = step.kind == Kind::listen;
    const bool steady = step.kind == Kind::calibrator || step.kind == Kind::tone || listening;
    auto sweep = signal::makeSweep(plan);
    if (!sweep) {
        return told(sweep.error());
    }
    auto played = play(device,
                       order,
                       steady ? steadySignal(step.kind, sweep->rate, order.toneAmplitude)
                              : signal::playSignal(*sweep),
                       sweep->rate,
                       watch);
    if (!played) {
        return told(played.error());
    }
    if (!*played) {
        return {.cut = true};
    }
    const signal::Recording& recording = (*played)->recording;
    if (listening) {
        return {.cut = true}; // nothing is kept of it
    }
    if (step.kind == Kind::tone) {
        return {.calibration = std::make_shared<const take::Calibration>(order.calibration),
                .tone = std::make_shared<const signal::Recording>(recording)};
    }
    auto found = step.kind == Kind::card ? take::withCard(order.calibration, recording, plan)
                 : step.kind == Kind::calibrator
                     ? take::withCalibrator(order.calibration, recording, step.figure)
                     : take::withJig(order.calibration,
                                     step.kind == Kind::jigOpen    ? driver::Standard::open
                                     : step.kind == Kind::jigShort ? driver::Standard::shorted
                                                                   : driver::Standard::load,
                                     recording,
                                     plan,
                                     step.sense,
                                     step.figure);
    if (!found) {
        return told(found.error());
    }
    return {.calibration = std::make_shared<const take::Calibration>(std::move(*found))};
}

Outcome recordNow(const job::Job& job, const RecordOrder& order, devices::SoundWatch& watch) {
    take::TakeOrder take = order.take;
    if (order.softFirst) {
        take.recorded.sweep.level = measure::firstPlayLevel;
        take.recorded.sweep.duration = measure::firstPlayLength;
        take.recorded.sweep.repeats = 1;
    }
    auto sweep = signal::makeSweep(take.recorded.sweep);
    if (!sweep) {
        return told(sweep.error());
    }
    take::apply(order.calibration, take.kind, order.referenceInput > 0, take.recorded);
    auto opened = openFor(job, order, take.recorded);
    if (!opened) {
        return told(opened.error());
    }
    devices::SoundDevice& device = **opened;
    if (order.step) {
        return order.step->kind == CalibrationStep::Kind::linearity
                   ? checkGain(device, order, watch)
                   : calibrateNow(device, order, watch);
    }
    auto played = play(device, order, signal::playSignal(*sweep), sweep->rate, watch);
    if (!played) {
        return told(played.error());
    }
    if (!*played) {
        return {.cut = true};
    }
    if (order.softFirst) {
        double most = 1e-6;
        for (const double v : (*played)->recording.measured) {
            most = std::max(most, std::abs(v));
        }
        return {.softPeak = quantity::decibels(most)};
    }
    take.recorded.device = device.port().name;
    take.recorded.simulated = device.port().simulated;
    take.lossFlagged = (*played)->lossFlagged;
    take.recording = std::move((*played)->recording);
    auto made = take::makeTake(take);
    if (!made) {
        return told(made.error());
    }
    return {.made = std::make_shared<const take::MadeTake>(std::move(*made))};
}

} // namespace

Recorder::Recorder(QObject* parent) : QObject(parent) {
    constexpr int often = 40; // ms
    looks_.setInterval(often);
    connect(&looks_, &QTimer::timeout, this, &Recorder::look);
}

Recorder::~Recorder() {
    if (watch_) {
        watch_->stop = true;
    }
}

void Recorder::start(const job::Job& job, const RecordOrder& order) {
    if (running()) {
        return;
    }
    wantsStop_ = false;
    watch_ = std::make_shared<devices::SoundWatch>();
    looks_.start();
    aside_.ask([this, job, order, watch = watch_](Aside::Link& /*link*/) -> Aside::Delivery {
        const auto outcome = std::make_shared<const Outcome>(recordNow(job, order, *watch));
        return [this, outcome, amplitude = order.toneAmplitude] {
            looks_.stop();
            if (outcome->cut || wantsStop_) {
                Q_EMIT cancelled();
            } else if (outcome->made) {
                Q_EMIT finished(outcome->made);
            } else if (outcome->calibration) {
                Q_EMIT calibrated(outcome->calibration, outcome->tone, amplitude);
            } else if (outcome->gainStep) {
                Q_EMIT gainChecked(*outcome->gainStep);
            } else if (outcome->softPeak) {
                Q_EMIT playedSoftly(*outcome->softPeak);
            } else {
                Q_EMIT failed(outcome->problem);
            }
        };
    });
}

void Recorder::judgeAgain(const take::TakeOrder& order) {
    if (running()) {
        return;
    }
    wantsStop_ = false;
    aside_.ask([this, order](Aside::Link& /*link*/) -> Aside::Delivery {
        auto made = take::makeTake(order);
        if (!made) {
            return [this, problem = told(made.error()).problem] { Q_EMIT failed(problem); };
        }
        return [this, taken = std::make_shared<const take::MadeTake>(std::move(*made))] {
            Q_EMIT finished(taken);
        };
    });
}

void Recorder::cancel() {
    wantsStop_ = true;
    if (watch_) {
        watch_->stop = true;
    }
}

void Recorder::look() {
    if (!watch_) {
        return;
    }
    const double measured = static_cast<double>(watch_->peaks[0].exchange(0.0F));
    const double reference = static_cast<double>(watch_->peaks[1].exchange(0.0F));
    Q_EMIT progressed(watch_->share, measured, reference);
    if (watch_->share >= 1.0) {
        Q_EMIT judging();
    }
}

void Recorder::list() {
    listing_.ask([this](Aside::Link& /*link*/) -> Aside::Delivery {
        return [this, ports = devices::soundPorts()] {
            Q_EMIT listed(QVector<devices::SoundPort>(ports.begin(), ports.end()));
        };
    });
}

} // namespace yf::app
