// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage.h"

class QLabel;
class QPushButton;

namespace yf::app {

class Plot;

/// A driver's measured curves: response and impedance, level and phase, with what may be believed
/// and how they were read. Tables dropped anywhere here are given to the driver chosen.
class MeasureStage final : public Stage {
    Q_OBJECT

public:
    explicit MeasureStage(QWidget* parent = nullptr);

    [[nodiscard]] QString id() const override { return QStringLiteral("measure"); }

    [[nodiscard]] QString title() const override { return tr("Measure"); }

    [[nodiscard]] int place() const override { return 3; }

    [[nodiscard]] bool followsDriver() const override { return true; }

    [[nodiscard]] QString state(const Sight& sight) const override;
    void display(const Sight& sight) override;
    void reveal(const QString& figure) override;

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    void showTake(const job::Take* take, job::TakeKind kind);

    std::string driver_;
    job::Band band_{};
    QLabel* name_{};
    QLabel* responseTold_{};
    QLabel* impedanceTold_{};
    QPushButton* open_{};
    QPushButton* minimumResponse_{};
    QPushButton* minimumImpedance_{};
    std::array<std::optional<job::HouseScale>, 4> scales_;
    QVector<Plot*> plots_; ///< response level, phase, impedance modulus, phase
};

} // namespace yf::app
