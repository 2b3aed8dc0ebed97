// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/widgets/aside.h"
#include "core/take/calibration.h"
#include "core/take/make.h"
#include "devices/sound.h"

#include <QObject>
#include <QTimer>

#include <memory>

namespace yf::app {

/// A calibration to be recorded.
struct CalibrationStep {
    enum class Kind { card, jigOpen, jigShort, jigLoad, calibrator, tone, listen, linearity };
    Kind kind{};
    double figure{}; ///< Ω of the load, dB of the calibrator
    double sense{};  ///< Ω, of the jig
};

/// What a sweep is to be, and on what.
struct RecordOrder {
    std::string device;   ///< id of a listed one, or devices::simulatedId
    take::TakeOrder take; ///< without samples
    sim::BenchView view;  ///< for the simulated bench
    int output{1};
    int measuredInput{1};
    int referenceInput{2};
    double pace{4.0};                    ///< of the simulated bench: times faster than real time
    take::Calibration calibration;       ///< of this device
    std::optional<CalibrationStep> step; ///< in place of a take
    int trouble{};                       ///< which, on the simulated bench that has some
    double toneAmplitude{0.1};           ///< of 1.0
    bool softFirst{};                    ///< a short sweep at −40 dB goes first
};

/// Plays, records and judges on a thread of its own; the window asks it now and then how far it is.
class Recorder final : public QObject {
    Q_OBJECT

public:
    explicit Recorder(QObject* parent = nullptr);
    ~Recorder() override;

    void start(const job::Job& job, const RecordOrder& order);

    /// A take out of samples that were recorded already; told by `finished`.
    void judgeAgain(const take::TakeOrder& order);

    /// Silence within 50 ms; nothing is kept.
    void cancel();

    [[nodiscard]] bool running() const { return aside_.running(); }

    /// Lists the devices aside and tells them by `listed`.
    void list();

Q_SIGNALS:
    void progressed(double share, double measuredPeak, double referencePeak);
    void judging();
    void finished(std::shared_ptr<const yf::take::MadeTake> made);
    void failed(const yf::Words& problem);

    /// Of a step; of a tone with the recording still to be told in volts.
    void calibrated(std::shared_ptr<const yf::take::Calibration> calibration,
                    std::shared_ptr<const yf::signal::Recording> tone,
                    double amplitude);

    /// The gain stands still; dB that came back for the softer sweep.
    void gainChecked(double step);

    /// The soft sweep has been played; nothing was kept.
    void playedSoftly(double measuredPeak);
    void cancelled();
    void listed(QVector<yf::devices::SoundPort> ports);

private:
    void look();

    std::shared_ptr<devices::SoundWatch> watch_;
    QTimer looks_;
    bool wantsStop_{};
    Aside listing_;
    Aside aside_;
};

} // namespace yf::app
