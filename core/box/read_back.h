// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/driver/impedance_keys.h"
#include "core/text/value.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::box {

/// A value found and its standard uncertainty as a share.
struct Sure {
    double value{};
    double u{};
};

/// A box as an impedance at the driver's terminals shows it.
///
///     Z = Re + K·s^n + (Re/Qes)·σ/(σ² + σ/Qms + 1 + α·B),  σ = s/(2πfs)
///     ported B = τ²/(τ² + τ/QL + 1), τ = s/(2πfb);  sealed B = 0, the values are fc, Qmc, Qec
///
/// One ported curve tells fs, Qms, Qes of the driver without taking it out, with fb, α and QL;
/// with the volume also Vas. A sealed one needs fs and Qes of the free driver for its α.
struct ReadBack {
    Sure Re;
    Sure f;  ///< fs, or fc of a sealed box
    Sure Qm; ///< Qms, or Qmc
    Sure Qe; ///< Qes, or Qec
    std::optional<Sure> alpha;
    std::optional<Sure> fb;
    std::optional<Sure> QL;
    std::optional<Sure> Vas;           ///< m³
    std::optional<double> tuningError; ///< share, re the tuning expected
    bool leakSuspected{};
    std::optional<bool> portActs;      ///< only where a port is expected
    std::vector<curve::Complex> model; ///< Ω at the data's frequencies
    double rms{};                      ///< of ln(Z/model) where it was fitted
    std::vector<Words> notes;          ///< sentences

    [[nodiscard]] double Qt() const { return Qm.value * Qe.value / (Qm.value + Qe.value); }
};

/// What a read-back comes to, the gravest first.
enum class ReadVerdict { portIdle, leaks, notTight, tuned, sealed };

/// Below it a ported box is not tight; sound ones have 7 to 15 (from memory, after Small).
inline constexpr double tightQL = 5.0;

[[nodiscard]] ReadVerdict verdictOf(const ReadBack& read);

/// Whether the tuning lies further from the one expected than 5 %.
[[nodiscard]] bool offTuning(const ReadBack& read);

enum class ReadKind { closed, vented };

struct ReadOrder {
    curve::Curve impedance;
    ReadKind kind{};
    std::optional<double> fs;  ///< of the driver in free air
    std::optional<double> Qes; ///< likewise
    std::optional<double> Qms; ///< likewise
    std::optional<double> Vb;  ///< m³, net
    std::optional<double> fbExpected;
    std::optional<double> dcr; ///< Ω by meter
};

/// The whole model fitted to ln Z from 8 Hz to ten times the highest resonance, from many starts;
/// uncertainties from the covariance. A port acts if the ported model leaves less than half the
/// sealed one's squared error, α > 0.05 and fb lies within 0.2 to 3 times the main peak; otherwise
/// it is blocked or stuffed. A leak is suspected where QL < 3, where a sealed box behaves as if it
/// had an opening, or where its Qm is below 0.6 of Qms·√(1+α).
/// Errors: fewer than 12 points, no peak, a band that ends before the upper flank.
[[nodiscard]] Result<ReadBack> readBack(const ReadOrder& order);

/// By three points of |Z|, as on paper: where a fit begins, and a check by hand. Biased by the
/// coil's inductance and its loss (docs/theory/box.md).
struct ByHand {
    double fb{};
    double fs{};
    double alpha{};
};

[[nodiscard]] ByHand byThreePeaks(double fL, double fM, double fH);

/// Input of `box from-impedance`.
struct ReadRequest {
    driver::ImpedanceKeys impedance;
    ReadKind kind{};
    std::optional<double> fs;
    std::optional<double> Qes;
    std::optional<double> Qms;
    std::optional<double> Vb;
    std::optional<double> fbExpected;
    std::optional<double> dcr;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        driver::ImpedanceKeys::fields(self.impedance, field);
        field(self.kind, q::Choice<2>{"kind", {"closed", "vented"}, "of the box", {}});
        field(self.fs, q::fs.as("fs_hz", "of the driver in free air"));
        field(self.Qes, q::Qes.as("Qes", "of the driver in free air; gives alpha when closed"));
        field(self.Qms, q::Qms.as("Qms", "of the driver in free air; shows a leak when closed"));
        field(self.Vb, q::Vb);
        field(self.fbExpected, q::fb.as("fb_expected_hz", "tuning that is meant"));
        field(self.dcr, q::dcr.as("dcr_ohm", "by meter, leads off").within(0.05, 2000.0));
    }
};

[[nodiscard]] std::optional<Error> check(const ReadRequest& request);

struct ReadAnswer {
    ReadKind kind{};
    ReadBack read;

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<ReadAnswer> fromImpedance(const ReadRequest& request);

} // namespace yf::box
