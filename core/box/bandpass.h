// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/closed.h"
#include "core/box/vented.h"

namespace yf::box {

/// The cone between a closed chamber behind and a ported one in front; only the port sounds.
/// `gain` and QA act on the rear chamber, QL and QP on the front one.
struct BandPass4 {
    double Vr{};
    double Vf{};
    double fbFront{};
    double gain{1.0};
    double QA{lossless};
    double QL{usualQL};
    double QP{lossless};
    std::optional<double> portArea;

    bool operator==(const BandPass4&) const = default;
};

enum class Chaining { parallel, series };

/// Both chambers ported. Parallel: both ports lead outside and oppose each other. Series: the rear
/// chamber vents into the front one. QL and QP act on both.
struct BandPass6 {
    Chaining chaining{};
    double Vr{};
    double Vf{};
    double fbRear{};
    double fbFront{};
    double QL{usualQL};
    double QP{lossless};
    std::optional<double> portArea; ///< of the port in front

    bool operator==(const BandPass6&) const = default;
};

[[nodiscard]] Chambers chambersOf(const BandPass4& box, const Motor& motor, const Source& source);
[[nodiscard]] Chambers chambersOf(const BandPass6& box, const Motor& motor, const Source& source);
[[nodiscard]] BandPass4 changed(BandPass4 box, const BoxChange& by);
[[nodiscard]] BandPass6 changed(BandPass6 box, const BoxChange& by);

/// A fourth-order design, lossless and symmetrical: the driver on its rear chamber has Qbp; S is
/// the damping of the equivalent low-pass (0.7071 flat, 0.6 ripples 0.355 dB, 0.5 1.249 dB).
/// Vr = Vas'/((Qbp/Qts')²−1), fb = Qbp·fs/Qts', Vf = Vas'·(2·S·Qts')² (after Geddes 1989, from
/// memory; agrees with the full model). Needs Qbp > Qts'.
[[nodiscard]] BandPass4
bandPassDesign(const Motor& motor, double Qbp, double S, const Source& source);

} // namespace yf::box
