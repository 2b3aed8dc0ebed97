// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/response.h"

#include <vector>

namespace yf::box {

/// How sure a driver is: standard deviations as shares.
///
/// fs, Vas and the Q of one driver do not drift apart: a softer suspension lowers fs, raises Vas
/// and lowers Qms and Qes together, and hardly matters in a box. So what differs between specimens
/// is told of the mechanics (compliance, mass, force factor), and only what a measurement left open
/// is told of the parameters themselves.
struct Doubt {
    double compliance{};
    double mass{};
    double forceFactor{};
    double Re{};
    double Vas{}; ///< of the measurement: scales mass, compliance and force factor together
    double Qms{};
    double volume{}; ///< of the box; a port that stays tunes it by 1/√V
    double tuning{};
    double loss{}; ///< of QL

    bool operator==(const Doubt&) const = default;
};

/// QL that nobody measured: from 4 to 12 in two of three ported boxes (from memory, after Small).
inline constexpr double lossDoubt = 0.5;

/// Between new drivers of one make: compliance 15 %, mass 4 %, force factor 4 %, Re 3 % (common
/// practice).
[[nodiscard]] Doubt betweenSpecimens();

/// The driver with its mechanics changed by factors.
struct Change {
    double compliance{1.0};
    double mass{1.0};
    double forceFactor{1.0};
    double Re{1.0};
    double damping{1.0}; ///< of Rms
    double Vas{1.0};     ///< one mistake of the measurement, nothing else changes
};

[[nodiscard]] Driver changed(const Driver& driver, const Change& change);

/// What nine boxes in ten stay within.
struct Band {
    std::vector<double> low;
    std::vector<double> high;

    bool operator==(const Band&) const = default;
};

struct Bands {
    Band level;     ///< dB re 20 µPa
    Band travel;    ///< m, peak
    Band impedance; ///< Ω, modulus
    Band f3;        ///< one value each; empty where the level never crosses

    bool operator==(const Bands&) const = default;
};

struct SpreadOrder {
    const Driver& driver;
    const Box& box;
    const Source& source;
    Doubt doubt;
    int draws{100};
};

/// By draws of one fixed seed: the same question has the same answer.
[[nodiscard]] Bands spread(const SpreadOrder& order, const curve::Axis& axis);

} // namespace yf::box
