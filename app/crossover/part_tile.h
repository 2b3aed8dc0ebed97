// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/crossover/lane_tile.h"
#include "core/network/parts/part.h"

namespace yf::app {

enum class Lying;

/// One part of a lane: IEC symbol, value, loss.
class PartTile final : public LaneTile {
    Q_OBJECT

public:
    PartTile(const network::Part& part, Lying lying, QWidget* parent);

    void display(const network::Part& part);

    [[nodiscard]] const network::Part& part() const { return part_; }

    [[nodiscard]] std::string key() const override { return part_.id; }

    /// "6.8 µF" as written on the tile.
    [[nodiscard]] QString valueShown() const;

    /// "C1 · 0.05 Ω", the second row.
    [[nodiscard]] QString lossShown() const;

protected:
    void paintSymbol(QPainter& painter) const override;

    [[nodiscard]] QString firstRow() const override { return valueShown(); }

    [[nodiscard]] QString secondRow() const override { return lossShown(); }

    [[nodiscard]] bool questionable() const override;

private:
    network::Part part_;
    Lying lying_;
};

} // namespace yf::app
