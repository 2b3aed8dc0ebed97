// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/signal/decay.h"

#include <QImage>
#include <QWidget>

#include <optional>
#include <vector>

namespace yf::app {

/// How a response dies away: frequency across, time (or periods) downwards, level as shade from
/// the sealed reference down to its range. Modes that ring on are marked with their frequency.
class DecayView final : public QWidget {
    Q_OBJECT

public:
    explicit DecayView(QWidget* parent = nullptr);

    /// `periods`: times are whole periods; else seconds.
    void display(std::optional<signal::DecayImage> image,
                 double range,
                 bool periods,
                 std::vector<signal::ModeFound> modes);

    [[nodiscard]] bool hasImage() const { return image_.has_value(); }

    [[nodiscard]] const std::vector<signal::ModeFound>& modes() const { return modes_; }

    [[nodiscard]] QSize minimumSizeHint() const override { return {260, 180}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    void shade();
    [[nodiscard]] QRect frame() const;

    std::optional<signal::DecayImage> image_;
    std::vector<signal::ModeFound> modes_;
    double range_{40.0};
    bool periods_{};
    QImage picture_;
};

} // namespace yf::app
