// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/cut_list.h"

#include <algorithm>
#include <cmath>

namespace yf::box {

namespace {

struct Strip {
    int sheet{};
    double y{};
    double height{};
    double filled{}; ///< m along the sheet
    double thickness{};
};

struct Piece {
    std::size_t board{};
    double length{};
    double width{};
    double thickness{};
};

/// Strips of one thickness on sheets of their own.
class Cutter {
public:
    explicit Cutter(const Sheet& sheet) : sheet_(sheet) {}

    void add(const Piece& piece) {
        Piece p = piece;
        if (p.length > sheet_.length || p.width > sheet_.width) {
            std::swap(p.length, p.width);
        }
        if (p.length > sheet_.length || p.width > sheet_.width) {
            layout_.tooLarge.push_back(p.board);
            return;
        }
        Strip* best = nullptr;
        for (Strip& s : strips_) {
            if (s.thickness == p.thickness && p.width <= s.height + 1e-9 &&
                s.filled + p.length <= sheet_.length + 1e-9 &&
                (best == nullptr || s.height < best->height)) {
                best = &s;
            }
        }
        if (best == nullptr) {
            best = &newStrip(p);
        }
        layout_.laid.push_back({p.board, best->sheet, best->filled, best->y, p.length, p.width});
        best->filled += p.length + sheet_.kerf;
        area_ += p.length * p.width;
    }

    Layout take() {
        layout_.sheets = static_cast<int>(sheets_.size());
        if (layout_.sheets > 0) {
            layout_.used = area_ / (layout_.sheets * sheet_.length * sheet_.width);
        }
        return std::move(layout_);
    }

private:
    struct Used {
        double thickness;
        double y;
    };

    Strip& newStrip(const Piece& p) {
        auto on = std::ranges::find_if(sheets_, [&](const Used& u) {
            return u.thickness == p.thickness && u.y + p.width <= sheet_.width + 1e-9;
        });
        if (on == sheets_.end()) {
            sheets_.push_back({p.thickness, 0.0});
            on = sheets_.end() - 1;
        }
        strips_.push_back(
            {static_cast<int>(on - sheets_.begin()), on->y, p.width, 0.0, p.thickness});
        on->y += p.width + sheet_.kerf;
        return strips_.back();
    }

    const Sheet& sheet_;
    std::vector<Strip> strips_;
    std::vector<Used> sheets_;
    Layout layout_;
    double area_{};
};

} // namespace

std::vector<Board> cutList(const Shell& s, const Inserts& inserts) {
    const double t = s.panel;
    if (s.shape == Shape::cylinder) {
        const double bore = s.diameter - 2.0 * t;
        return {{"end disc", 2, bore, bore, t}};
    }
    const double deep = s.shape == Shape::trapezoid ? std::max(s.depth, s.depthTop) : s.depth;
    const double W = s.width - 2.0 * t;
    std::vector<Board> boards{{"side", 2, s.height, deep - s.front, t}};
    if (s.shape == Shape::trapezoid) {
        const double slope = (s.depth - s.depthTop) / s.height;
        boards.push_back({"bottom", 1, s.depth - s.front, W, t});
        boards.push_back({"top", 1, s.depthTop - s.front, W, t});
        boards.push_back({"front", 1, s.height * std::sqrt(1.0 + slope * slope), s.width, s.front});
    } else {
        boards.push_back({"top and bottom", 2, s.depth - s.front, W, t});
        boards.push_back({"front", 1, s.height, s.width, s.front});
    }
    boards.push_back({"back", 1, s.height - 2.0 * t, W, t});
    const double D = deep - t - s.front;
    if (s.dead > 0.0) {
        boards.push_back({"partition", 1, D, W, t});
    }
    if (inserts.braces > 0) {
        boards.push_back({"brace", inserts.braces, D, W, inserts.braceThickness});
    }
    return boards;
}

Layout layOut(const std::vector<Board>& boards, const Sheet& sheet) {
    std::vector<Piece> pieces;
    for (std::size_t i = 0; i < boards.size(); ++i) {
        const Board& b = boards[i];
        for (int k = 0; k < b.count; ++k) {
            pieces.push_back(
                {i, std::max(b.length, b.width), std::min(b.length, b.width), b.thickness});
        }
    }
    std::ranges::stable_sort(pieces,
                             [](const Piece& a, const Piece& b) { return a.width > b.width; });
    Cutter cutter(sheet);
    for (const Piece& p : pieces) {
        cutter.add(p);
    }
    return cutter.take();
}

} // namespace yf::box
