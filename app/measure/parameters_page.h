// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/measure/take_works.h"
#include "app/stage/stage.h"

class QComboBox;
class QLabel;
class QTableWidget;

namespace yf::app {

class Plot;
class QuantityField;

/// What an impedance says of its driver: parameters with their ±, the description of the coil and
/// why it was chosen, Vas by an added mass or a box, and what is printed beside it.
class ParametersPage final : public QWidget {
    Q_OBJECT

public:
    ParametersPage(TakeWorks* works, QWidget* parent = nullptr);

    void display(const Sight& sight, const job::Take* take);

private:
    void again();
    void showBand();
    void showVas();
    void showPrinted();
    void fillSecond();

    /// Fit of the take chosen beside a field; null: none, or still being made.
    [[nodiscard]] std::shared_ptr<const driver::FitResult> secondFit(const QComboBox* box) const;

    TakeWorks* works_{};
    Sight sight_;
    const job::Take* take_{};
    std::shared_ptr<const driver::FitResult> fit_;
    job::Band band_{};
    Plot* plot_{};
    QTableWidget* table_{};
    QLabel* told_{};
    QLabel* vas_{};
    QLabel* printed_{};
    QComboBox* massTake_{};
    QComboBox* boxTake_{};
    QLabel* usable_{};
    QuantityField* Sd_{};
    QuantityField* loaded_{};
    QuantityField* mass_{};
    QuantityField* box_{};
    QuantityField* inBox_{};
};

} // namespace yf::app
