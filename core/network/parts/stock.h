// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/e_series.h"

/// Values that a network ends in: those of a series, or the parts that lie in one's own drawer.
namespace yf::network {

/// So many alike parts, with what is known of them; the ID is a bare letter.
struct OwnedPart {
    Part part;
    int count{1};

    /// {"part": "C 6.8uF esr=0.05", "count": 2}
    static Result<OwnedPart> read(const text::Value& value, const std::string& path);
    [[nodiscard]] text::Value write() const;

    bool operator==(const OwnedPart&) const = default;
};

using Stock = std::vector<OwnedPart>;

/// What somebody types: "6.8 uF", "2 x 0.35 mH dcr=0.2", "3R3 x4", "C 6u8". The unit or the letter
/// tells the kind. Fails naming what is missing.
[[nodiscard]] Result<OwnedPart> typedOwned(const std::string& text);

/// "2 × 6.8 µF": for people.
[[nodiscard]] std::string words(const OwnedPart& owned);

/// With these too: like parts are counted together, sorted by kind and value.
[[nodiscard]] Stock withOwned(Stock stock, const OwnedPart& more);

/// The next part of its kind in the drawer above (steps > 0) or below a value; nothing beyond the
/// last.
[[nodiscard]] std::optional<Part> stepOwned(const Stock& stock, const Part& from, int steps);

/// Where a search may end: in the drawer if it holds anything, else in the series, else anywhere.
///
/// A kind of which the drawer has fewer than are needed is bought for the rest, from E12.
struct EndValues {
    std::optional<ESeries> series;
    Stock stock;

    [[nodiscard]] bool exact() const { return !series && stock.empty(); }

    bool operator==(const EndValues&) const = default;
};

/// The parts nearest to one, in the logarithm, nearest first, the ID and `fixed` being that one's:
/// owned ones as they are, others with losses that follow. Of a kind that runs short
/// bought ones of E12 as well (`alsoBought`).
[[nodiscard]] std::vector<Part>
nearestParts(const EndValues& values, const Part& part, std::size_t count, bool alsoBought);

/// Whether the drawer runs short of a kind when so many are wanted.
[[nodiscard]] bool runsShort(const EndValues& values, PartKind kind, std::size_t wanted);

/// Whether the drawer has all of these at once, those that can be bought left out of account.
[[nodiscard]] bool hasAll(const EndValues& values, const std::vector<Part>& taken);

/// The drawer without one of these.
[[nodiscard]] EndValues without(EndValues values, const Part& taken);

} // namespace yf::network
