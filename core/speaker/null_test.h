// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"
#include "core/text/value.h"

#include <optional>
#include <string>
#include <vector>

/// Do two drivers add? The depth of the notch that appears when one of them is turned over tells
/// how well, without phase and without a clock.
namespace yf::speaker {

/// Of two sources A and B = r·A, δ out of step: S± = A|1 ± r·e^(jδ)|.
struct NullOf {
    double normal{};   ///< dB re the first alone
    double reversed{}; ///< dB
    double depth{};    ///< normal − reversed
    double loss{};     ///< dB, of the sum below what both in step would give
};

[[nodiscard]] NullOf nullOf(double levelDifference, double phaseDifference);

/// What a depth leaves open, each if the other were none:
///     |δ| ≤ 2·atan(10^(−depth/20))      |ΔL| ≤ 20·lg((d+1)/(d−1)), d = 10^(depth/20)
struct NullBounds {
    double phase{}; ///< rad
    double level{}; ///< dB

    bool operator==(const NullBounds&) const = default;
};

[[nodiscard]] NullBounds boundsOf(double depth);

/// "excellent" from 30 dB on, "good" from 20, "improvable" from 12, below that "not aligned" (rules
/// of thumb, in-phase designs only).
[[nodiscard]] const char* judgeDepth(double depth);

/// Input of `speaker null-test`: two figures, or curves of levels.
struct NullTestRequest {
    std::optional<double> levelDifference;
    std::optional<double> phaseDifference;
    std::optional<measure::CurveKeys> normal;
    std::optional<measure::CurveKeys> reversed;
    std::optional<measure::CurveKeys> first;
    std::optional<measure::CurveKeys> second;
    std::optional<double> fx;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(
            self.levelDifference,
            q::Quantity{"ΔL", "level_difference_db", 1.0, "dB", -100.0, 100.0, "second re first"});
        field(self.phaseDifference,
              q::phases.as("phase_difference_deg", "second re first, from in step"));
        field(self.normal, q::Group{"normal", "levels of both together as wired", true});
        field(self.reversed, q::Group{"reversed", "with one of them turned over", true});
        field(self.first, q::Group{"first", "levels of the lower one alone", true});
        field(self.second, q::Group{"second", "levels of the upper one alone", true});
        field(self.fx, q::fx);
    }
};

[[nodiscard]] std::optional<Error> check(const NullTestRequest& request);

/// What is not known stays absent.
struct NullTestAnswer {
    std::optional<NullOf> predicted;
    std::optional<double> depth;
    std::optional<double> notch;      ///< Hz
    std::optional<NullBounds> bounds; ///< of a measured depth
    std::optional<double> fx;
    std::optional<double> phaseError;        ///< rad, at fx
    std::optional<double> triangleViolation; ///< dB
    std::optional<double> reversedLevel;     ///< dB, at fx: measured, or by the parallelogram
    std::optional<double> flipGain;          ///< dB, over fx/√2 … fx·√2
    std::string recommend;                   ///< flip, keep, undecided; empty: not known
    std::optional<double> consistency;       ///< dB

    [[nodiscard]] text::Value write() const;
};

/// The parallelogram |S₊|² + |S₋|² = 2(A² + B²) needs no phase: from levels of both and of their
/// sum the reversed sum is known without wiring it (clipped at (A − B)²; a notch predicted so is
/// worth 11 to 15 dB at most). The triangle |A − B| ≤ S ≤ A + B is a test of the takes.
/// Consistency: rms of 10·lg((S₊² + S₋²)/(2(A² + B²))) over the octave about fx; up to 0.5 dB is
/// consistent. The notch is looked for within half an octave of fx, refined by a parabola over ln
/// f. Fails: no octave in common, levels that never meet where fx is not given.
[[nodiscard]] Result<NullTestAnswer> nullTest(const NullTestRequest& request);

} // namespace yf::speaker
