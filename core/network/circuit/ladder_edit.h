// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/circuit.h"

#include <functional>
#include <optional>

/// What a hand does to a ladder. Every function gives a new circuit; an ID that does not stand in
/// it, or a place that does not exist, is an error and changes nothing.
namespace yf::network {

/// The part of that ID.
[[nodiscard]] std::optional<Part> findPart(const Circuit& circuit, const std::string& id);

/// The part of the same ID takes this one's values.
[[nodiscard]] Result<Circuit> withPart(const Circuit& circuit, const Part& part);

/// Without the part: a lone series part leaves a wire, a lone shunt part an open circuit; in a
/// composite the others stay.
[[nodiscard]] Result<Circuit> withoutPart(const Circuit& circuit, const std::string& id);

/// Without the whole slot that holds the part: what holding the bypass key shows.
[[nodiscard]] Result<Circuit> withoutSlotOf(const Circuit& circuit, const std::string& id);

/// Where a new slot goes: in the ladder of a way (in the order of driverEnds; ways in parallel or
/// series straight below the top), before the slot of that index.
struct SlotPlace {
    std::size_t way{};
    std::size_t slot{};
    bool inLine{true};

    bool operator==(const SlotPlace&) const = default;
};

/// With a new part of its own slot; its ID is the next free one of its kind.
struct Inserted {
    Circuit circuit;
    std::string id;
};

[[nodiscard]] Result<Inserted>
withInserted(const Circuit& circuit, const SlotPlace& place, Part part);

/// A whole one-port (a Zobel, a trap) in a new slot; bare letters are numbered.
[[nodiscard]] Result<Circuit>
withSlot(const Circuit& circuit, const SlotPlace& place, OnePort port);

[[nodiscard]] Result<Circuit> withPolarity(const Circuit& circuit, std::size_t way, int polarity);

/// The same circuit for other drivers: each end takes the name that `renamed` gives for its own.
[[nodiscard]] Circuit withDrivers(const Circuit& circuit,
                                  const std::function<std::string(const std::string&)>& renamed);

/// The section of a way, or nothing where the circuit is no tree with ways straight below the top.
[[nodiscard]] const Section* waySection(const Circuit& circuit, std::size_t way);

} // namespace yf::network
