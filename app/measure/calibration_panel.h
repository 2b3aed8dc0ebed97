// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/measure/recorder.h"

#include <QWidget>

class QLabel;
class QPushButton;

namespace yf::app {

class Plot;
class QuantityField;

/// What is known of the equipment at hand: microphone, sound card, jig, absolute level; each with
/// how it is found out. Kept for each device by itself, outside any job.
class CalibrationPanel final : public QWidget {
    Q_OBJECT

public:
    explicit CalibrationPanel(QWidget* parent = nullptr);

    /// Whose calibration is shown. `sense`: Ω, of the jig.
    void setDevice(const QString& id);

    [[nodiscard]] const take::Calibration& calibration() const { return calibration_; }

    void setBusy(bool busy);
    /// What a step found; of a tone its recording and amplitude, still to be told in volts.
    void take(const take::Calibration& found,
              std::shared_ptr<const signal::Recording> tone,
              double amplitude);
    void tell(const QString& problem);

    /// A microphone's file that somebody chose.
    void readMicrophone(const QString& path);

Q_SIGNALS:
    /// `sense` is added by whoever knows it.
    void stepWanted(const yf::app::CalibrationStep& step);
    void microphoneWanted();

private:
    QPushButton* button(const QString& text, const QString& name);
    void keep(take::Calibration calibration);
    void display();

    QString device_;
    take::Calibration calibration_;
    std::shared_ptr<const signal::Recording> tone_;
    double amplitude_{};
    QLabel* microphone_{};
    QLabel* card_{};
    QLabel* jig_{};
    QLabel* level_{};
    QLabel* told_{};
    QuantityField* load_{};
    QuantityField* leads_{};
    QuantityField* calibrator_{};
    QuantityField* volts_{};
    QVector<QPushButton*> buttons_;
    Plot* plot_{};
};

} // namespace yf::app
