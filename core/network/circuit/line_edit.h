// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/circuit.h"

/// What a hand does before the amplifiers. Every function gives a new circuit.
namespace yf::network {

/// A place at line level: a filter of a way (in the order of driverEnds), or, without one, the
/// way's gain and delay.
struct LinePlace {
    std::size_t way{};
    std::optional<std::size_t> filter;

    bool operator==(const LinePlace&) const = default;
};

/// The line of a way; an empty one where its amplifier is driven flat, nothing where it has no
/// amplifier of its own.
[[nodiscard]] std::optional<Line> lineOf(const Circuit& circuit, std::size_t way);

/// Whether the ways can each have an amplifier: more than one, side by side with nothing common
/// before them and no coils that see each other, or a single one.
[[nodiscard]] bool canSeparate(const Circuit& circuit);

/// Each way behind an amplifier of its own, or all behind one; lines are lost with the latter.
/// Fails where canSeparate is false.
[[nodiscard]] Result<Circuit> separated(const Circuit& circuit, bool own);

/// Fails: no such way, or it stands on no amplifier of its own.
[[nodiscard]] Result<Circuit> withLine(const Circuit& circuit, std::size_t way, const Line& line);

/// A filter as it is put in: about `near`, no change of level but where it cuts.
[[nodiscard]] LineFilter newFilter(BiquadKind kind, double near);

/// What is typed at a place: figures of a filter (typedFilter), or a gain and a delay in any order
/// ("-3 dB 0.2 ms", "0.34 ms"). Fails naming the piece; a place without a filter is an error too.
[[nodiscard]] Result<Line>
typedLine(const Line& old, std::optional<std::size_t> filter, const std::string& text);

/// One step of the hand: a filter's f0 by 1/12 octave (fine 1/48), the gain by 0.5 dB (0.1).
[[nodiscard]] Line
steppedLine(const Line& old, std::optional<std::size_t> filter, int steps, bool fine);

/// "−3 dB, 0.2 ms late": gain and delay for people; "0 dB" where there is neither.
[[nodiscard]] std::string gainWords(const Line& line);

} // namespace yf::network
