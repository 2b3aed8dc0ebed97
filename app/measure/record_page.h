// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/measure/recorder.h"
#include "app/stage/stage.h"
#include "core/measure/safety.h"

#include <QElapsedTimer>
#include <QHash>

class QComboBox;
class QLabel;
class QProgressBar;
class QPushButton;
class QSpinBox;
class QStackedWidget;
class QTimer;
class QToolButton;

namespace yf::app {

class CalibrationPanel;
class LevelBars;
class Plot;
class QuantityField;
class SetupSketch;

/// Set up, sweep, judge, keep: how a take comes into the job.
class RecordPage final : public QWidget {
    Q_OBJECT

public:
    explicit RecordPage(QWidget* parent = nullptr);

    void display(const Sight& sight);

    /// As if "Sweep" were pressed.
    void begin() { start(); }

    void showCalibrations(bool shown);

    /// A response of the chosen driver is to be recorded next: on the axis, or together with a
    /// partner (its id).
    void want(const QString& partner);

    /// Of the simulated bench; 0 in tests.
    void setPace(double pace) { pace_ = pace; }

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void recorded();

    /// A microphone's file is to be chosen.
    void fileWanted(const QString& title, const QString& filter, const yf::app::FileTaker& take);

protected:
    void showEvent(QShowEvent* event) override;

private:
    /// What is to be measured now.
    enum class Wanted {
        impedance,
        wholeImpedance,
        axis,
        angle,
        nearCone,
        nearPort,
        together,
        whole
    };

    [[nodiscard]] Wanted wanted() const;
    [[nodiscard]] RecordOrder order() const;
    void fillDevices();
    void wantedChanged();
    void start();
    void play(bool softFirst);
    void cancel();
    void calibrate(const CalibrationStep& step);
    void showSafety();
    void exchange();
    void fillPartners();
    void keep(bool anyway);
    void showVerdict();
    void guide();

    /// What to do now, without what the room says.
    [[nodiscard]] QString guideWords() const;
    [[nodiscard]] bool tweeter() const;
    [[nodiscard]] bool simulated() const;
    [[nodiscard]] bool impedanceWanted() const;
    [[nodiscard]] measure::PlayAdvice advice() const;

    Sight sight_;
    bool asked_{}; ///< for the devices: only once the page is looked at
    Recorder* recorder_{};
    QVector<devices::SoundPort> ports_;
    std::shared_ptr<const take::MadeTake> made_;
    double pace_{4.0};
    QElapsedTimer since_;
    QHash<QString, double> played_; ///< level of the last play on a device, dB
    QTimer* countdown_{};           ///< a second's warning
    bool listening_{};              ///< nothing is played, nothing is kept
    int trouble_{};                 ///< the next one of the bench that has some
    bool confirmed_{};              ///< the raise was agreed to
    QComboBox* device_{};
    QComboBox* wanted_{};
    QComboBox* plane_{};
    QSpinBox* angle_{};
    QuantityField* distance_{};
    QuantityField* level_{};
    QuantityField* length_{};
    QuantityField* start_{};
    QSpinBox* repeats_{};
    QuantityField* sense_{};
    QuantityField* highest_{};
    QComboBox* mounting_{};
    QComboBox* partner_{};
    QLabel* safety_{};
    QToolButton* calibrations_{};
    QStackedWidget* side_{};
    CalibrationPanel* panel_{};
    QComboBox* microphone_{};
    QComboBox* reference_{};
    QuantityField* ceiling_{};
    QuantityField* height_{};
    QLabel* guide_{};
    QLabel* problem_{};
    SetupSketch* sketch_{};
    LevelBars* bars_{};
    QProgressBar* progress_{};
    QLabel* remaining_{};
    QPushButton* sweep_{};
    QPushButton* listen_{};
    QPushButton* cancel_{};
    QLabel* verdict_{};
    QPushButton* keep_{};
    QPushButton* again_{};
    QPushButton* exchange_{};
    Plot* result_{};
    QVector<QWidget*> forResponse_;
    QVector<QWidget*> forImpedance_;
    QVector<QWidget*> forTogether_;
};

} // namespace yf::app
