// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"
#include "devices/meter.h"
#include "devices/stand_in.h"

#include <QWidget>

#include <memory>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace yf::app {

/// Where a reading comes from: by hand, from a meter over the network or a serial line, or from the
/// stand-in that ships. A connected meter shows its reading live and large, and *take* puts it
/// where a hand would have written it.
class MeterPanel final : public QWidget {
    Q_OBJECT

public:
    explicit MeterPanel(devices::MeterKind kind, QWidget* parent = nullptr);
    ~MeterPanel() override;

    /// The driver under the tips: what a stand-in is put to.
    void setDriver(const job::Driver& driver);

    /// The stand-in and nothing else, put to what `setSpecimen` says; `stop` ends it.
    void useStandIn();
    void stop();
    void setSpecimen(const sim::Specimen& specimen);

    /// An LCR meter that takes orders is set to it.
    void setFrequency(double frequency);

    [[nodiscard]] const devices::Meter& meter() const { return meter_; }

Q_SIGNALS:
    void ohmsTaken(std::optional<double> ohms, double resolution, const QString& instrument);
    void pairTaken(const yf::devices::PairShown& pair, const QString& instrument);
    void leadsTaken(double ohms);

private:
    enum class Source { byHand, standIn, network, serial, lines };

    void choose();
    void connectMeter();
    void take();
    void display();
    [[nodiscard]] Source source() const;
    [[nodiscard]] QString settingsKey(const char* what) const;

    devices::Meter meter_;
    std::unique_ptr<devices::StandIn> standIn_;
    sim::Specimen specimen_;
    QComboBox* source_{};
    QLineEdit* address_{};
    QPushButton* connect_{};
    QLabel* reading_{};
    QLabel* said_{};
    QPushButton* take_{};
    QPushButton* leads_{};
    QCheckBox* together_{};
    QWidget* live_{};
};

} // namespace yf::app
