// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/circuit.h"
#include "core/network/parts/e_series.h"

/// What a hand does to level controls. Every function gives a new circuit; a control that is not
/// in it is an error and changes nothing.
namespace yf::network {

/// Every control of a tree in writing order; those without an ID are numbered P1, P2 … first.
[[nodiscard]] std::vector<ControlSlot> controls(const Circuit& circuit);

/// Bare controls get the next free ID, so that a hand can name them.
[[nodiscard]] Circuit withNamedControls(const Circuit& circuit);

[[nodiscard]] Result<Circuit> withControl(const Circuit& circuit, const ControlSlot& control);

[[nodiscard]] Result<Circuit> withoutControl(const Circuit& circuit, const std::string& id);

/// A new one before the slot of a way; its ID is the next free one.
[[nodiscard]] Result<Circuit>
withNewControl(const Circuit& circuit, std::size_t way, std::size_t slot, ControlSlot control);

/// Two fixed resistors for the control as it stands, to the nearest values of a series; none in
/// line below a tenth of an ohm, none across where it has none. The ways they make are not moved.
[[nodiscard]] Result<Circuit>
withFixedPad(const Circuit& circuit, const std::string& id, ESeries series);

/// What is typed at a control: its whole track ("8", "100 Ω") and its position ("60 %"), in any
/// order. Fails naming the piece.
[[nodiscard]] Result<ControlSlot> typedControl(const ControlSlot& old, const std::string& text);

} // namespace yf::network
