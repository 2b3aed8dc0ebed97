// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/take/make.h"

#include <QWidget>

#include <memory>

namespace yf::app {

enum class TimeShown { impulse, energy, step };

/// The response over time, with the gate as two handles: drag them, or with the focus on it move
/// the right one with ←→ (Shift: finely) and the left one with Ctrl.
class GateView final : public QWidget {
    Q_OBJECT

public:
    explicit GateView(QWidget* parent = nullptr);

    /// `proposed`: the gate that would end before the first reflection.
    void display(std::shared_ptr<const take::MadeTake> made, std::optional<signal::Gate> proposed);
    void setShown(TimeShown shown);

    [[nodiscard]] const signal::Gate& gate() const { return gate_; }

    [[nodiscard]] QSize minimumSizeHint() const override { return {260, 160}; }

Q_SIGNALS:
    void moving(const yf::signal::Gate& gate);
    void moved(const yf::signal::Gate& gate);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    enum class Handle { none, left, right };

    [[nodiscard]] double timeAt(double x) const;  ///< s after the arrival
    [[nodiscard]] double placeOf(double t) const; ///< x of it
    [[nodiscard]] QRect frame() const;
    void computeShape();
    void move(Handle handle, double t);
    void describe();

    std::shared_ptr<const take::MadeTake> made_;
    std::optional<signal::Gate> proposed_;
    signal::Gate gate_;
    TimeShown shown_{};
    Handle held_{};
    std::vector<double> shape_; ///< −1 … 1, one for each sample
    double from_{-2e-3};        ///< s after the arrival
    double to_{20e-3};
};

} // namespace yf::app
