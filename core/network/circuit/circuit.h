// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/line/line.h"
#include "core/network/parts/part.h"
#include "core/quantity/level.h"

#include <array>
#include <optional>
#include <string>
#include <variant>
#include <vector>

/// The network between amplifier and drivers as people draw it: sections that are ladders of
/// slots, ending in a driver or in further sections.
namespace yf::network {

struct Source {
    double voltage{quantity::referenceVoltage}; ///< V rms
    double resistance{};                        ///< Ω, amplifier and cable

    bool operator==(const Source&) const = default;
};

/// In the line.
struct SeriesSlot {
    OnePort port;

    bool operator==(const SeriesSlot&) const = default;
};

/// Hanging to the return.
struct ShuntSlot {
    OnePort port;

    bool operator==(const ShuntSlot&) const = default;
};

/// V₂ = n·V₁, I₁ = n·I₂, DCR in front, magnetising coil across the primary.
struct TransformerSlot {
    double ratio{1.0};
    std::optional<double> magnetizing; ///< H; absent = infinite
    double dcr{};

    bool operator==(const TransformerSlot&) const = default;
};

enum class ControlKind { rheostat, potentiometer, lPad };

/// A level control at a position 0…1. Rheostat: R_t(1−x) in line. Potentiometer: R_t(1−x) in line,
/// R_t·x to the return behind it. L-pad of impedance R_t: R_t(1−x) in line, R_t·x/(1−x) behind.
struct ControlSlot {
    ControlKind kind{};
    double total{};
    double position{};
    std::string id;

    bool operator==(const ControlSlot&) const = default;
};

using Slot = std::variant<SeriesSlot, ShuntSlot, TransformerSlot, ControlSlot>;

/// Alike units: `inParallel` strings of `inSeries` units each make Z·s/p, and each unit gets 1/s of
/// the voltage.
struct DriverEnd {
    std::string driver;
    int polarity{1};
    int inSeries{1};
    int inParallel{1};

    [[nodiscard]] int units() const { return inSeries * inParallel; }

    /// Z of all over Z of one.
    [[nodiscard]] double ratio() const { return static_cast<double>(inSeries) / inParallel; }

    bool operator==(const DriverEnd&) const = default;
};

struct Section;

/// Several sections at one place; in series the first one is on the hot side.
struct Ways {
    Joining join{Joining::parallel};
    std::vector<Section> sections;

    bool operator==(const Ways&) const;
};

struct Section {
    std::string name;
    std::optional<Line> line; ///< before its amplifier; only where `lines` says
    std::vector<Slot> ladder; ///< from the amplifier to the end
    std::variant<DriverEnd, Ways> end;

    bool operator==(const Section&) const = default;
};

/// A part between two named nodes; "in" is behind the source's resistance, "0" the return.
struct NetPart {
    OnePort port;
    std::string from;
    std::string to;

    bool operator==(const NetPart&) const = default;
};

struct NetDriver {
    DriverEnd end;
    std::string from;
    std::string to;

    bool operator==(const NetDriver&) const = default;
};

/// A circuit that is no ladder.
struct Net {
    std::vector<NetPart> parts;
    std::vector<NetDriver> drivers;

    bool operator==(const Net&) const = default;
};

/// Two coils that see each other: M = k·√(L₁L₂), 0 < |k| < 1.
struct Coupling {
    std::string first;
    std::string second;
    double k{};

    bool operator==(const Coupling&) const = default;
};

/// A line stands before an amplifier: at the top, before the one of all, or at ways that lie side
/// by side right behind it. Where a way has one, each way has an amplifier of its own, alike in
/// voltage and resistance; one without is driven flat.
struct Circuit {
    Source source;
    std::variant<Section, Net> body;
    std::vector<Coupling> couplings;

    [[nodiscard]] const Section* tree() const { return std::get_if<Section>(&body); }

    [[nodiscard]] Section* tree() { return std::get_if<Section>(&body); }

    [[nodiscard]] const Net* net() const { return std::get_if<Net>(&body); }

    /// The notation without drivers, for field lists: readCircuit and writeCircuit.
    static Result<Circuit> read(const text::Value& value, const std::string& path);
    [[nodiscard]] text::Value write() const;

    bool operator==(const Circuit&) const = default;
};

/// Driver ends in writing order, depth first.
[[nodiscard]] std::vector<DriverEnd> driverEnds(const Circuit& circuit);

/// Parts in writing order, depth first.
[[nodiscard]] std::vector<Part> parts(const Circuit& circuit);

/// The way names in the order of driverEnds: the section's name, else the driver's.
[[nodiscard]] std::vector<std::string> wayNames(const Circuit& circuit);

/// Whether each way has an amplifier of its own.
[[nodiscard]] bool ownAmplifiers(const Circuit& circuit);

/// What hangs on each amplifier, without lines; one where they are not apart.
[[nodiscard]] std::vector<Circuit> amplifiers(const Circuit& circuit);

/// What the lines make of the EMF for each driver end, [end][frequency]; empty where none stands.
[[nodiscard]] std::vector<std::vector<std::complex<double>>>
lineTransfers(const Circuit& circuit, const std::vector<double>& frequencies);

/// What a control stands for at its position: a resistance in line and one to the return.
struct ControlResistances {
    double inLine{};
    std::optional<double> toReturn;
};

[[nodiscard]] ControlResistances resistances(const ControlSlot& control);

/// Reads what stands beside "drivers" in the notation of docs/theory/network.md: source, name,
/// ladder, driver or ways, net, couplings. Bare letters are numbered, an ID stands once.
/// Members named in `alsoKnown` are left to the caller.
[[nodiscard]] Result<Circuit> readCircuit(const text::Value& value,
                                          const std::string& path,
                                          const std::vector<std::string>& alsoKnown = {});

[[nodiscard]] text::Value::Object writeCircuit(const Circuit& circuit);

} // namespace yf::network
