// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/line/line.h"
#include "core/text/value.h"

#include <array>
#include <optional>

/// Filters at line level: sections of second order for a digital crossover.
namespace yf::network {

/// Input of `network biquad`: one section by f0 and Q, or a low-, high- or all-pass of any order by
/// its alignment.
struct BiquadRequest {
    BiquadKind kind{};
    std::optional<double> f0;
    std::optional<double> Q;
    std::optional<double> gain;
    std::optional<Alignment> alignment;
    std::optional<int> order;
    std::optional<double> fx;
    double ripple{0.5};
    double sampleRate{};
    std::optional<std::vector<double>> frequencies;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind,
              q::Choice<6>{
                  "kind",
                  {"low-pass", "high-pass", "all-pass", "peaking", "low-shelf", "high-shelf"},
                  "what is wanted",
                  {}});
        field(self.f0, q::frequency.as("f0_hz", "corner or middle"));
        field(self.Q, q::Quantity{"Q", "q", 1.0, "", 0.05, 100.0, "of the section"});
        field(self.gain,
              q::Quantity{"A", "gain_db", 1.0, "dB", -60.0, 60.0, "peaking and shelves"});
        field(self.alignment,
              q::Choice<4>{"alignment",
                           {"butterworth", "linkwitz-riley", "bessel", "chebyshev"},
                           "of a low-, high- or all-pass of any order",
                           {}});
        field(self.order, q::Whole{"order", 1, 8, "with an alignment"});
        field(self.fx, q::fx);
        field(self.ripple, q::ripple.orElse(0.5));
        field(self.sampleRate, q::sampleRate);
        field(self.frequencies, q::frequencies);
    }
};

/// Refused: f0 or fx from half the sample rate on, an odd order with Linkwitz-Riley, keys of the
/// other form.
[[nodiscard]] std::optional<Error> check(const BiquadRequest& request);

/// H(z) = (b0 + b1·z⁻¹ + b2·z⁻²)/(1 + a1·z⁻¹ + a2·z⁻²).
struct Biquad {
    std::array<double, 3> b{};
    std::array<double, 3> a{};

    /// At a share of the sample rate, 0 … 0.5.
    [[nodiscard]] std::complex<double> at(double share) const;
};

struct BiquadAnswer {
    bool single{};
    std::vector<Biquad> sections;
    std::vector<double> levels; ///< dB at the frequencies asked for
    std::vector<double> phases; ///< rad
    /// Hz from which the level leaves the analogue one by 0.5 dB; none: it does not below 20 kHz.
    std::optional<double> squeezedFrom;

    [[nodiscard]] text::Value write() const;
};

/// Bilinear transform with the corner kept in place. One section by the published formulas
/// (R. Bristow-Johnson, "Cookbook formulae for audio equalizer biquad filter coefficients"); higher
/// orders as sections from the poles of the prototype, real ones left over in one of first order.
[[nodiscard]] Result<BiquadAnswer> biquad(const BiquadRequest& request);

/// The sections for a filter of a lane at a sample rate. Fails: a corner from half the rate on.
[[nodiscard]] Result<BiquadAnswer> sectionsOf(const LineFilter& filter, double sampleRate);

} // namespace yf::network
