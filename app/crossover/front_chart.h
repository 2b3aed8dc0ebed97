// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/study/find.h"

#include <QWidget>

#include <limits>
#include <optional>

namespace yf::app {

/// The networks that a search came to: error upwards, price or parts across. Those that nothing
/// beats are joined by steps; fill tells the load, colour the listening window. The network from
/// the book trimmed by hand and the present one stand beside them.
///
/// The pointer over a network shows it, a click chooses it. Keys: ←→ choose, Home and End the first
/// and the last.
class FrontChart final : public QWidget {
    Q_OBJECT

public:
    explicit FrontChart(QWidget* parent = nullptr);

    struct Shown {
        std::vector<job::FoundNetwork> networks;
        std::vector<std::optional<double>> windows; ///< dB rms, one each where known
        std::optional<job::FoundNetwork> byHand;
        std::optional<job::FoundNetwork> present;
        bool byPrice{true};
        bool aside{};       ///< errors are of the axis and beside it together
        double leastLoad{}; ///< Ω: what loads more is pale and cannot be chosen
        double mostWindow{std::numeric_limits<double>::infinity()}; ///< dB: likewise
        int chosen{-1};
    };

    void display(Shown shown);

    [[nodiscard]] const Shown& shown() const { return shown_; }

    /// Where a network is drawn.
    [[nodiscard]] QPointF at(const job::FoundNetwork& network) const;

    [[nodiscard]] QSize sizeHint() const override { return {420, 220}; }

Q_SIGNALS:
    void hovered(int network);
    void left();
    void chosen(int network);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    [[nodiscard]] QRectF field() const;
    [[nodiscard]] double cost(const job::FoundNetwork& network) const;
    [[nodiscard]] bool allowed(int network) const;
    [[nodiscard]] std::optional<double> windowOf(int network) const;
    [[nodiscard]] int under(const QPointF& place) const;
    void fitAxes();
    void paintAxes(QPainter& painter) const;
    void paintSteps(QPainter& painter) const;
    void paintNetworks(QPainter& painter) const;
    void paintBeside(QPainter& painter) const;
    void paintKey(QPainter& painter) const;
    void pointTo(int network);

    Shown shown_;
    int under_{-1};
    double most_{1.0}; ///< across
    double low_{0.1};  ///< dB
    double high_{10.0};
};

} // namespace yf::app
