// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/text/value.h"

#include <functional>
#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace yf::network {

enum class PartKind { resistor, coil, capacitor };

/// One part of a network with its losses; SI.
///
///     R  Z = R
///     L  Z = DCR + (jωL ∥ Rp)
///     C  Z = ESR + tanδ/(2π f_δ C) + 1/(jωC + 1/R_leak)
///
/// tanδ is measured at f_δ and taken as a constant resistance; an absent Rp or R_leak is infinite.
struct Part {
    std::string id;
    PartKind kind{};
    double value{};
    std::optional<double> printed; ///< value as marked, where the part in hand was measured
    double dcr{};
    std::optional<double> rp;
    double esr{};
    double df{};
    double dfFrequency{1000.0};
    std::optional<double> leak;
    std::optional<double> tolerance; ///< 0.05 is 5 %
    std::optional<double> price;
    bool fixed{};

    bool operator==(const Part&) const = default;
};

/// 'R', 'L' or 'C'.
[[nodiscard]] char letter(PartKind kind);

/// All constant loss resistance of a part in series with its ideal element, Ω.
[[nodiscard]] double lossResistance(const Part& part);

enum class Joining { series, parallel };

struct OnePort;

/// Several one-ports as one.
struct Composite {
    Joining joining{};
    std::vector<OnePort> ports;

    bool operator==(const Composite& other) const;
};

/// What stands in a slot: a part, or a nesting of series and parallel parts.
struct OnePort {
    std::variant<Part, Composite> content;

    OnePort() = default;

    OnePort(Part part) : content(std::move(part)) {}

    OnePort(Composite composite) : content(std::move(composite)) {}

    [[nodiscard]] const Part* part() const { return std::get_if<Part>(&content); }

    [[nodiscard]] Part* part() { return std::get_if<Part>(&content); }

    [[nodiscard]] const Composite* composite() const { return std::get_if<Composite>(&content); }

    [[nodiscard]] Composite* composite() { return std::get_if<Composite>(&content); }

    bool operator==(const OnePort&) const = default;
};

/// Every part of a one-port in writing order.
void forEachPart(const OnePort& port, const std::function<void(const Part&)>& visit);

/// A part from text ("C1 12uF esr=0.05 tol=5") or from an object; the subject of an error is
/// `path`. A bare letter as ID is left bare: the network numbers it.
[[nodiscard]] Result<Part> readPart(const text::Value& value, const std::string& path);

/// Text where it reads back equal, else an object.
[[nodiscard]] text::Value writePart(const Part& part);

/// X of the network's notation: a part, a list (in series), {series: [X…]} or {parallel: [X…]}.
[[nodiscard]] Result<OnePort> readOnePort(const text::Value& value, const std::string& path);

[[nodiscard]] text::Value writeOnePort(const OnePort& port);

/// A part as somebody types it into its place: a value in any usual notation, losses and price as
/// key=value behind it ("6u8", "0,35 mH dcr=0.2", "esr=0.05"). What is not typed stays, but a
/// known loss follows a new value (withValue). A bare number is mH, µF or Ω.
/// Fails with the part's ID as subject; nothing is changed.
[[nodiscard]] Result<Part> typedPart(const Part& old, const std::string& text);

/// Of one wire and one shape a coil's DCR goes with L to this power (docs/theory/network.md).
inline constexpr double coilExponent = 0.6;

/// The same make of part with another value: a coil's DCR goes with L^0.6 (same wire, same shape,
/// docs/theory/network.md), a capacitor's ESR with 1/C (same loss factor); the price is unknown.
[[nodiscard]] Part withValue(const Part& old, double value);

/// Coils in mH, capacitors in µF, resistors in Ω: the unit that a bare number has at a part.
[[nodiscard]] double customaryUnit(PartKind kind);

/// Range in which a part's value is accepted; SI.
struct ValueRange {
    double lowest{};
    double highest{};
};

[[nodiscard]] ValueRange acceptedValues(PartKind kind);

/// Range that networks for loudspeakers use; beyond it a value is questioned, not refused
/// (rule of thumb: 10 µH–20 mH, 0.1–500 µF, 0.1–200 Ω).
[[nodiscard]] ValueRange usualValues(PartKind kind);

} // namespace yf::network
