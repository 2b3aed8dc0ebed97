// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/crossover/lane_tile.h"
#include "core/network/circuit/control_edit.h"
#include "core/network/circuit/line_edit.h"

namespace yf::app {

/// What stands before a way's amplifier: a filter, its curve drawn small, or, without one, the
/// amplifier with the way's gain and delay.
class LineTile final : public LaneTile {
    Q_OBJECT

public:
    LineTile(const network::LinePlace& place, const network::Line& line, QWidget* parent);

    void display(const network::Line& line);

    [[nodiscard]] const network::LinePlace& place() const { return place_; }

    [[nodiscard]] std::string key() const override { return keyOf(place_); }

    static std::string keyOf(const network::LinePlace& place);

    /// What the editor starts with.
    [[nodiscard]] QString notation() const;

protected:
    void paintSymbol(QPainter& painter) const override;
    [[nodiscard]] QString firstRow() const override;
    [[nodiscard]] QString secondRow() const override;

private:
    [[nodiscard]] const network::LineFilter* filter() const;

    network::LinePlace place_;
    network::Line line_;
    bool shown_{};
};

/// A level control at its position.
class ControlTile final : public LaneTile {
    Q_OBJECT

public:
    ControlTile(const network::ControlSlot& control, QWidget* parent);

    void display(const network::ControlSlot& control);

    [[nodiscard]] const network::ControlSlot& control() const { return control_; }

    [[nodiscard]] std::string key() const override { return keyOf(control_.id); }

    static std::string keyOf(const std::string& id) { return "control:" + id; }

    [[nodiscard]] QString notation() const;

protected:
    void paintSymbol(QPainter& painter) const override;
    [[nodiscard]] QString firstRow() const override;
    [[nodiscard]] QString secondRow() const override;

private:
    network::ControlSlot control_;
};

} // namespace yf::app
