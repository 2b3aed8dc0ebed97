// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/apply.h"
#include "core/edit/parts.h"
#include "core/network/circuit/control_edit.h"
#include "core/network/circuit/line_edit.h"

/// Edits of what is no part in a lane: filters, gain and delay before an amplifier, and level
/// controls.
namespace yf::edit {

using network::LinePlace;

/// Each way behind an amplifier of its own, or all behind one again.
[[nodiscard]] Edit separateAmplifiers(const std::string& cabinet, bool own);

/// A way's line becomes this one; `what` names what changed ("low-pass 2 kHz LR4").
[[nodiscard]] Edit changeLine(const std::string& cabinet,
                              std::size_t way,
                              const network::Line& line,
                              Words what,
                              std::string mergeKey = {});

/// network::steppedLine of what stands there by then.
[[nodiscard]] Edit stepLine(
    const std::string& cabinet, const LinePlace& place, int steps, bool fine, std::string mergeKey);

/// A new filter before the one at `place`, or behind all; about the middle of what the way does.
[[nodiscard]] Edit
insertFilter(const std::string& cabinet, const LinePlace& place, network::BiquadKind kind);

/// Without a filter; a place without one: no gain and no delay.
[[nodiscard]] Edit removeFilter(const std::string& cabinet, const LinePlace& place);

[[nodiscard]] Edit changeControl(const std::string& cabinet,
                                 const network::ControlSlot& control,
                                 std::string mergeKey = {});

/// So many twentieths (fine: hundredths) of its way louder.
[[nodiscard]] Edit stepControl(
    const std::string& cabinet, const std::string& id, int steps, bool fine, std::string mergeKey);

/// A control of 8 Ω in its middle, where a hand can turn it.
[[nodiscard]] Edit insertControl(const std::string& cabinet,
                                 const network::SlotPlace& place,
                                 network::ControlKind kind);

[[nodiscard]] Edit removeControl(const std::string& cabinet, const std::string& id);

/// Two resistors of a series for a control as it stands.
[[nodiscard]] Edit
fixControl(const std::string& cabinet, const std::string& id, network::ESeries series);

} // namespace yf::edit
