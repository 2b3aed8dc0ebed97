// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/volume.h"

#include <string>
#include <vector>

namespace yf::box {

/// A board to be cut, `count` times.
struct Board {
    std::string name; ///< "side", "brace" …
    int count{1};
    double length{}; ///< m, along the height or the width
    double width{};  ///< m
    double thickness{};

    bool operator==(const Board&) const = default;
};

/// What is let into a cabinet.
struct Inserts {
    int braces{};                 ///< across, between sides, front and back
    double braceThickness{0.018}; ///< m
};

/// Boards of a rectangular cabinet or one with a sloped front (whose sides are cut from rectangles
/// of the deeper end). Two sides H × (D−t_front), top and bottom (W−2t) × (D−t_front), back
/// (W−2t) × (H−2t), front W × H; partition and braces inside × inside. A cylinder has two discs,
/// told as squares.
[[nodiscard]] std::vector<Board> cutList(const Shell& shell, const Inserts& inserts);

struct Sheet {
    double length{2.5}; ///< m
    double width{1.25};
    double kerf{0.003}; ///< m, of the saw
};

/// A board laid on a sheet.
struct Laid {
    std::size_t board{}; ///< index in the list
    int sheet{};
    double x{};
    double y{};
    double length{}; ///< m along x, turned if need be
    double width{};
};

struct Layout {
    std::vector<Laid> laid;
    std::vector<std::size_t> tooLarge; ///< boards that no sheet holds
    int sheets{};
    double used{}; ///< share of the sheets' area in boards
};

/// Saw cuts from edge to edge, strips across the sheet first: boards of one thickness, largest
/// first, each into the strip that it wastes least. Near the best, not proven best.
[[nodiscard]] Layout layOut(const std::vector<Board>& boards, const Sheet& sheet);

} // namespace yf::box
