// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/recorded.h"
#include "core/signal/geometry.h"

#include <QWidget>

#include <optional>

namespace yf::app {

/// Where loudspeaker and microphone stand, seen from the side or (for angles to the side) from
/// above, with the shortest way of a reflection; or how the jig is wired.
class SetupSketch final : public QWidget {
    Q_OBJECT

public:
    explicit SetupSketch(QWidget* parent = nullptr);

    struct Scene {
        bool jig{};
        job::MicPlace place{};
        quantity::Plane plane{};
        double angle{}; ///< degrees
        signal::Geometry room;
    };

    void display(const Scene& scene);

    [[nodiscard]] QSize minimumSizeHint() const override { return {240, 120}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    Scene scene_;
};

/// Levels of both inputs, re full scale, with the peak held.
class LevelBars final : public QWidget {
    Q_OBJECT

public:
    explicit LevelBars(QWidget* parent = nullptr);

    void show(double measured, double reference);
    void clear();

    [[nodiscard]] double held(int channel) const { return held_[channel]; }

    [[nodiscard]] QSize minimumSizeHint() const override { return {160, 44}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    double now_[2]{-90.0, -90.0};  ///< dB
    double held_[2]{-90.0, -90.0}; ///< dB
};

} // namespace yf::app
