// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/driver/multimeter.h"

class QLabel;
class QPushButton;
class QTableWidget;

namespace yf::app {

class Plot;
class QuantityField;

/// An impedance with nothing but a sine source, a resistor and a voltmeter: readings typed tone by
/// tone, and after each the tone that would tell most.
class HandPage final : public QWidget {
    Q_OBJECT

public:
    explicit HandPage(QWidget* parent = nullptr);

    void display(const Sight& sight);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);

private:
    struct Reading {
        double f{};
        double sense{};
        double driver{};
        std::optional<double> source;
    };

    void add();
    void again();
    void begin(const job::Driver* driver);
    void tellFound();
    void fillTable();
    [[nodiscard]] driver::MultimeterRequest request() const;

    Sight sight_;
    std::vector<Reading> readings_; ///< rising in frequency
    std::optional<driver::Multimeter> found_;
    QuantityField* sense_{};
    QuantityField* dcr_{};
    QuantityField* f_{};
    QuantityField* senseVolts_{};
    QuantityField* driverVolts_{};
    QuantityField* sourceVolts_{};
    QPushButton* add_{};
    QPushButton* drop_{};
    QPushButton* keep_{};
    QTableWidget* table_{};
    QLabel* next_{};
    QLabel* told_{};
    Plot* plot_{};
};

} // namespace yf::app
