// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/vented.h"

#include <optional>
#include <vector>

namespace yf::box {

/// What one box gives.
struct Qualities {
    double f3{};         ///< Hz, highest upward crossing of −3 dB; 0: below the grid
    double peak{};       ///< dB re far above, 0 at least
    double groupDelay{}; ///< s, greatest from 10 Hz to 1 kHz
    double level{};      ///< dB: least level that travel and power allow from f3 to 200 Hz
    double speed{};      ///< m/s, peak in the port at the source's voltage, above 20 Hz
};

/// A span of values, in equal ratios.
struct Span {
    double from{};
    double to{};
    int count{100};

    [[nodiscard]] double at(int i) const;
};

struct MapOrder {
    Motor motor;
    Source source;
    Span volumes;
    Span tunings;
    double gain{1.0};
    double QL{usualQL};
    double portArea{}; ///< m²; 0: no speeds
};

/// Every box of a grid, volume by tuning, from the polynomials of vented.h at 96 frequencies,
/// 10 Hz to 2.5 kHz: leak losses and the source's resistance only. Levels, delays and travel come
/// out of one denominator D: delay (re·im' − im·re')/|D|², |X|² ∝ ((1−(ω/ωb)²)²+(ω/(ωb·QL))²)/|D|².
struct BoxMap {
    std::vector<double> volumes;
    std::vector<double> tunings;
    std::vector<Qualities> boxes; ///< [volume · tunings + tuning]

    [[nodiscard]] const Qualities& at(std::size_t volume, std::size_t tuning) const {
        return boxes[volume * tunings.size() + tuning];
    }
};

[[nodiscard]] BoxMap boxMap(const MapOrder& order);

/// One box of it.
[[nodiscard]] Qualities qualitiesOf(const MapOrder& order, double V, double fb);

/// Wishes; what is absent does not count.
struct Wishes {
    std::optional<double> f3Max;
    std::optional<double> peakMax;
    std::optional<double> groupDelayMax;
    std::optional<double> levelMin;
    std::optional<double> speedMax;
};

enum class Wish { none, f3, peak, groupDelay, level, speed };
inline constexpr std::size_t wishCount = 6;

/// The first wish that a box fails, or none.
[[nodiscard]] Wish failedWish(const Qualities& box, const Wishes& wishes);

/// How a map stands to wishes.
struct MapVerdict {
    double granted{};  ///< share of its boxes
    Wish mostFailed{}; ///< where none is granted: the wish that most boxes fail first
};

[[nodiscard]] MapVerdict verdictOf(const BoxMap& map, const Wishes& wishes);

/// Boxes that no other beats in volume, f3 and group delay at once, of those that fail no wish; by
/// volume. What a litre more would buy.
struct FrontBox {
    double Vb{};
    double fb{};
    Qualities q;
};

[[nodiscard]] std::vector<FrontBox> frontOf(const BoxMap& map, const Wishes& wishes);

/// Of each volume the box of least f3, where it lies below that of every smaller one: the edge of
/// the front that a map can show as a line.
[[nodiscard]] std::vector<FrontBox> lowestOf(const BoxMap& map, const Wishes& wishes);

} // namespace yf::box
