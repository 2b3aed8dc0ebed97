// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/chambers.h"
#include "core/box/driver.h"
#include "core/box/losses.h"

#include <optional>

namespace yf::box {

/// A box with one or more ports. Several ports of one loss act as one whose mass is that of all in
/// parallel, so tuning and area say everything.
struct Vented {
    double Vb{};
    double fb{};
    double gain{1.0};
    double QL{usualQL};
    double QA{lossless};
    double QP{lossless};
    std::optional<double> portArea; ///< m², narrowest, all ports together

    bool operator==(const Vented&) const = default;
};

[[nodiscard]] Chambers chambersOf(const Vented& box, const Motor& motor, const Source& source);
[[nodiscard]] Vented changed(Vented box, const BoxChange& by);

/// A port branch that tunes a chamber: M = 1/(ω_b²·C), R = ω_b·M/QP.
// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): in the order of the equation
[[nodiscard]] Branch portBranch(double wb, double C, double QP);

/// Air behind a port, with its losses at the tuning.
struct PortedAir {
    double V{};
    double gain{1.0};
    double wb{}; ///< rad/s
    double QL{};
    double QA{lossless};
};

[[nodiscard]] Chamber portedChamber(const PortedAir& air, const Source& source);

/// Driver and vented box as a normalised fourth-order high-pass, leak losses only:
///
///     G = S⁴/(S⁴ + a1·S³ + a2·S² + a3·S + 1),  S = s·T0,  T0 = 1/(2π√(fs·fb))
///     a1 = √h/QL + 1/(√h·Qt)   a2 = h + 1/(Qt·QL) + (1+α)/h   a3 = √h/Qt + 1/(√h·QL)
///
/// with h = fb/fs and Qt including the source. Sources: Thiel 1971, Small 1973.
struct FourthOrder {
    double a1{};
    double a2{};
    double a3{};

    /// |G|² at y = (ωT0)².
    [[nodiscard]] double power(double y) const;

    /// ωT0 at which it falls to half for the last time when coming from above.
    [[nodiscard]] double halfPower() const;
};

/// What of a vented box decides the shape.
struct VentedShape {
    double h{};
    double Qt{};
    double alpha{};
};

[[nodiscard]] FourthOrder fourthOrder(const VentedShape& shape, double QL);

/// Back from the coefficients: √h is a root of r⁴ − QL·a1·r³ + QL·a3·r − 1, and of its up to three
/// positive roots the one with α > 0 is real. Nothing where none has.
[[nodiscard]] std::optional<VentedShape> shapeOf(const FourthOrder& coefficients, double QL);

} // namespace yf::box
