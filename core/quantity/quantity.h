// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <array>
#include <optional>
#include <string_view>

namespace yf::quantity {

/// What a number means: symbol, key outside, unit, the range that is physically sensible.
///
/// `unit` is the SI value of one unit of the key (Vb_l: 1e-3), so SI = key value * unit.
/// `lowest`, `highest` and `fallback` are in the key's own unit and compared there, before
/// converting, so that both ends stay exact. Both ends belong to the range.
struct Quantity {
    std::string_view symbol;
    std::string_view key;
    double unit{1.0};
    std::string_view display;
    double lowest{};
    double highest{};
    std::string_view help;
    std::optional<double> fallback{};

    [[nodiscard]] constexpr Quantity within(double from, double to) const {
        Quantity narrowed = *this;
        narrowed.lowest = from;
        narrowed.highest = to;
        return narrowed;
    }

    [[nodiscard]] constexpr Quantity orElse(double value) const {
        Quantity withFallback = *this;
        withFallback.fallback = value;
        return withFallback;
    }

    /// The same meaning under another key ("fx_low_hz").
    [[nodiscard]] constexpr Quantity as(std::string_view otherKey,
                                        std::string_view otherHelp) const {
        Quantity renamed = *this;
        renamed.key = otherKey;
        renamed.help = otherHelp;
        return renamed;
    }
};

/// A whole number.
struct Whole {
    std::string_view key;
    int lowest{};
    int highest{};
    std::string_view help;
    std::optional<int> fallback{};

    [[nodiscard]] constexpr Whole orElse(int value) const {
        Whole withFallback = *this;
        withFallback.fallback = value;
        return withFallback;
    }
};

/// Yes or no.
struct Flag {
    std::string_view key;
    std::string_view help;
    std::optional<bool> fallback{};
};

/// Free text (a name, a note, a whole table).
struct Word {
    std::string_view key;
    std::string_view help;
    std::optional<std::string_view> fallback{};
};

/// A text that the program made (Words): kept as form and arguments, so that it can be read in
/// another language later. Empty where it is missing.
struct Told {
    std::string_view key;
    std::string_view help;
    std::optional<std::string_view> fallback{""};
};

/// One of a few names; the member is an enum whose enumerators stand in the same order.
template <std::size_t N>
struct Choice {
    std::string_view key;
    std::array<std::string_view, N> names;
    std::string_view help;
    std::optional<std::size_t> fallback{};

    [[nodiscard]] constexpr Choice orElse(std::size_t index) const {
        Choice withFallback = *this;
        withFallback.fallback = index;
        return withFallback;
    }
};

/// Another struct, a list of structs, or a type that reads itself.
struct Group {
    std::string_view key;
    std::string_view help;
    bool mayBeMissing{};
};

} // namespace yf::quantity
