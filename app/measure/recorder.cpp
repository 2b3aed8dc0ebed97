// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/recorder.h"

#include "app/widgets/words.h"
#include "core/text/sentence.h"

namespace yf::app {

namespace {

/// What the thread hands back.
struct Outcome {
    std::shared_ptr<const job::MadeTake> made;
    std::string problem;
    bool cut{};
};

Outcome recordNow(const job::Job& job, const RecordOrder& order, devices::SoundWatch& watch) {
    const auto told = [](const Error& error) { return Outcome{.problem = text::sentence(error)}; };
    auto sweep = signal::makeSweep(order.take.recorded.sweep);
    if (!sweep) {
        return told(sweep.error());
    }
    job::TakeOrder take = order.take;
    std::unique_ptr<devices::SoundDevice> device;
    if (order.device == devices::simulatedId) {
        auto bench = sim::soundBench(job, order.view);
        if (!bench) {
            return told(bench.error());
        }
        // The bench knows its own calibration.
        if (take.kind == job::TakeKind::response) {
            take.recorded.fullScalePressure = bench->fullScalePressure;
            take.recorded.fullScaleVoltage = bench->fullScaleVoltage;
        } else {
            take.recorded.lead = bench->lead;
        }
        device = devices::simulatedSound(*bench,
                                         take.kind == job::TakeKind::impedance
                                             ? devices::Wired::jig
                                             : devices::Wired::microphone,
                                         order.pace);
    } else {
        auto opened = devices::openSound(order.device);
        if (!opened) {
            return told(opened.error());
        }
        device = std::move(*opened);
    }
    std::vector<int> inputs{order.measuredInput};
    if (order.referenceInput > 0) {
        inputs.push_back(order.referenceInput);
    }
    auto caught = device->run(
        {signal::playSignal(*sweep), sweep->rate, order.output, std::move(inputs)}, watch);
    if (!caught) {
        return told(caught.error());
    }
    if (watch.stop) {
        return {.cut = true};
    }
    if (!caught->problem.empty()) {
        return {.problem = device->port().name + ": " + caught->problem};
    }
    take.recorded.device = device->port().name;
    take.recorded.simulated = device->port().simulated;
    take.lossFlagged = caught->lossFlagged;
    take.recording = {sweep->rate, std::move(caught->inputs[0]), {}};
    if (caught->inputs.size() > 1) {
        take.recording.reference = std::move(caught->inputs[1]);
    }
    auto made = job::makeTake(take);
    if (!made) {
        return told(made.error());
    }
    return {.made = std::make_shared<const job::MadeTake>(std::move(*made))};
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
    join();
    if (lister_.joinable()) {
        lister_.join();
    }
}

void Recorder::join() {
    if (thread_.joinable()) {
        thread_.join();
    }
}

void Recorder::start(const job::Job& job, const RecordOrder& order) {
    if (running_) {
        return;
    }
    join();
    running_ = true;
    wantsStop_ = false;
    watch_ = std::make_shared<devices::SoundWatch>();
    looks_.start();
    thread_ = std::thread([this, job, order, watch = watch_] {
        auto outcome = std::make_shared<Outcome>(recordNow(job, order, *watch));
        QMetaObject::invokeMethod(this, [this, outcome] {
            running_ = false;
            looks_.stop();
            if (outcome->cut || wantsStop_) {
                Q_EMIT cancelled();
            } else if (outcome->made) {
                Q_EMIT finished(outcome->made);
            } else {
                Q_EMIT failed(words(outcome->problem));
            }
        });
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
    if (lister_.joinable()) {
        lister_.join();
    }
    lister_ = std::thread([this] {
        const auto ports = devices::soundPorts();
        QMetaObject::invokeMethod(this, [this, ports] {
            Q_EMIT listed(QVector<devices::SoundPort>(ports.begin(), ports.end()));
        });
    });
}

} // namespace yf::app
