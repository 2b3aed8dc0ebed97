// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/trace.h"
#include "app/stage/stage.h"

#include <array>

class QComboBox;
class QLabel;
class QPushButton;
class QToolButton;

namespace yf::app {

class Plot;

/// A driver's curves: response and impedance, level and phase, with what may be believed and how
/// they were made; other takes laid over them.
class CurvesPage final : public QWidget {
    Q_OBJECT

public:
    explicit CurvesPage(QWidget* parent = nullptr);

    /// `chosen` replaces the take in use where it is about the same thing; `over` are laid over.
    void
    display(const Sight& sight, const job::Take* chosen, const std::vector<const job::Take*>& over);

    [[nodiscard]] Plot* response() const { return plots_.front(); }

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void editWanted(const yf::app::EditMaker& make);

private:
    void showTake(const job::Take* take, job::TakeKind kind);
    void showDelay(const job::Take& take);
    void again();

    std::string driver_;
    job::Band band_{};
    std::shared_ptr<const Evaluated> held_; ///< keeps the takes alive
    std::array<const job::Take*, 2> shown_{};
    std::vector<const job::Take*> over_;
    QLabel* responseTold_{};
    QLabel* impedanceTold_{};
    QPushButton* minimumResponse_{};
    QPushButton* minimumImpedance_{};
    QComboBox* smoothing_{};
    QComboBox* phase_{};
    QToolButton* difference_{};
    QToolButton* alike_{};
    std::array<std::optional<job::HouseScale>, 4> scales_;
    Plot* delay_{};
    QVector<Plot*> plots_; ///< response level, phase, impedance modulus, phase
};

} // namespace yf::app
