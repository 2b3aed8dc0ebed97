// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/sim/specimen.h"

class QCheckBox;
class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QVBoxLayout;

namespace yf::app {

class EarlierReadings;
class MeterPanel;
class OhmScale;
class QuantityField;

/// One check: what it is for, its few steps, what to mind, and where the reading goes. Figures are
/// judged while they are written; kept they join the job, and nothing is ever overwritten.
class CheckCard final : public QWidget {
    Q_OBJECT

public:
    explicit CheckCard(QWidget* parent = nullptr);

    /// In practice a check is made, not told: a button makes it and `makeWanted` asks for its
    /// outcome; cautions wait for a tick. Meters are the stand-ins, on what `setUnderTheTips` says.
    void setPractice();
    void useStandIn();
    void startMeters();
    void stopMeters();
    void setUnderTheTips(const sim::Specimen& specimen);

    /// Whether the cautions of the open card were ticked.
    [[nodiscard]] bool cautionsHeeded() const;

    void display(const Sight& sight, const std::string& check);

    [[nodiscard]] const std::string& check() const { return check_; }

    /// A reading of an instrument, as if it had been written.
    void takeOhms(std::optional<double> ohms, double resolution, const QString& instrument);
    void takePair(double frequency,
                  std::optional<double> r,
                  double l,
                  bench::LcrMode mode,
                  const QString& instrument);

Q_SIGNALS:
    void entered(const yf::job::BenchReading& reading);
    void asideWanted(const QString& reading, bool aside);
    void nominalGiven(double ohms);
    void makeWanted();

private:
    void build();
    void placeMeter(QVBoxLayout* column);
    void buildOhms(QFormLayout* form);
    void buildPair(QFormLayout* form);
    void buildVoltage(QFormLayout* form);
    void buildOutcomes(QVBoxLayout* column);
    void judge();
    void keep();
    void showEarlier();
    [[nodiscard]] job::BenchReading begun() const;
    [[nodiscard]] Result<job::BenchReading> written() const;

    bool practice_{};
    QCheckBox* heeded_{};
    std::shared_ptr<const Evaluated> state_;
    std::string cabinet_;
    std::string driver_;
    std::string check_;
    QString instrument_;
    std::optional<double> takenResolution_;
    MeterPanel* ohmmeter_{}; ///< they outlive the card's content, connected or not
    MeterPanel* lcrMeter_{};
    QWidget* content_{};
    QLabel* judgement_{};
    QLineEdit* readings_{};
    QuantityField* leads_{};
    QuantityField* nominal_{};
    QComboBox* place_{};
    QComboBox* frequency_{};
    QLineEdit* r_{};
    QuantityField* l_{};
    QComboBox* mode_{};
    QComboBox* voltage_{};
    OhmScale* scale_{};
    QPushButton* keep_{};
    QVector<QPushButton*> outcomes_;
    EarlierReadings* earlier_{};
};

} // namespace yf::app
