// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/network/line/prototype.h"
#include "core/quantity/quantities.h"

#include <complex>
#include <optional>
#include <string>
#include <vector>

/// What stands before an amplifier: filters at line level, gain, delay.
///
/// They act on the voltage that the amplifier gives and see nothing of the driver. Written here as
/// what they are in the s plane; `biquad` gives the sections of a digital crossover for them and
/// says from where those leave the curve.
/// Sources: R. Bristow-Johnson, "Cookbook formulae for audio equalizer biquad filter coefficients"
/// (analogue prototypes, shelves by Q); docs/theory/line_level.md.
namespace yf::network {

enum class BiquadKind { lowPass, highPass, allPass, peaking, lowShelf, highShelf };

/// One filter: a section of second order by f0 and Q, or, with an alignment, a low-, high- or
/// all-pass of any order, f0 being its fx then.
///
///     low-pass   1/(s² + s/Q + 1)        high-pass  s²/(s² + s/Q + 1)      s = jf/f0
///     all-pass   (s² − s/Q + 1)/(s² + s/Q + 1)
///     peaking    (s² + s·A/Q + 1)/(s² + s/(A·Q) + 1)                       A = 10^(gain/40)
///     low shelf  A(s² + s√A/Q + A)/(A·s² + s√A/Q + 1)
///     high shelf A(A·s² + s√A/Q + 1)/(s² + s√A/Q + A)
///     aligned    1/D(s), 1/D(1/s), D(−s)/D(s) of the prototype
struct LineFilter {
    BiquadKind kind{};
    std::optional<Alignment> alignment;
    int order{2};       ///< with an alignment
    double f0{1000.0};  ///< Hz
    double Q{0.7071};   ///< without one
    double gain{};      ///< dB, peaking and shelves
    double ripple{0.5}; ///< dB, Chebyshev

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind,
              q::Choice<6>{
                  "kind",
                  {"low-pass", "high-pass", "all-pass", "peaking", "low-shelf", "high-shelf"},
                  "its shape"});
        field(self.alignment,
              q::Choice<4>{"alignment",
                           {"butterworth", "linkwitz-riley", "bessel", "chebyshev"},
                           "of a low-, high- or all-pass of any order",
                           {}});
        field(self.order, q::Whole{"order", 1, 8, "with an alignment"}.orElse(2));
        field(self.f0, q::frequency.as("f0_hz", "corner or middle"));
        field(self.Q,
              q::Quantity{"Q", "q", 1.0, "", 0.05, 100.0, "without an alignment"}.orElse(0.7071));
        field(
            self.gain,
            q::Quantity{"A", "gain_db", 1.0, "dB", -60.0, 60.0, "peaking and shelves"}.orElse(0.0));
        field(self.ripple, q::ripple.orElse(0.5));
    }

    [[nodiscard]] bool hasGain() const {
        return kind == BiquadKind::peaking || kind == BiquadKind::lowShelf ||
               kind == BiquadKind::highShelf;
    }

    bool operator==(const LineFilter&) const = default;
};

/// What is before one amplifier.
struct Line {
    std::vector<LineFilter> filters;
    double gain{};  ///< dB
    double delay{}; ///< s

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.filters, q::Group{"filters", "one after the other", true});
        field(self.gain,
              q::Quantity{"g", "gain_db", 1.0, "dB", -60.0, 60.0, "before the amplifier"}.orElse(
                  0.0));
        field(self.delay, q::delay.within(0.0, 0.1).orElse(0.0));
    }

    bool operator==(const Line&) const = default;
};

/// Refused: an alignment for shelves and peaks, an odd Linkwitz-Riley.
[[nodiscard]] std::optional<Error> check(const LineFilter& filter);

/// Transfer of one filter, or of all with gain and delay, at the frequencies of an axis.
[[nodiscard]] std::vector<std::complex<double>> transfer(const LineFilter& filter,
                                                         const std::vector<double>& frequencies);
[[nodiscard]] std::vector<std::complex<double>> transfer(const Line& line,
                                                         const std::vector<double>& frequencies);

/// "low-pass 2.5 kHz, Linkwitz-Riley 4", "peak 1.2 kHz, +3 dB, Q 2": for people.
[[nodiscard]] std::string words(const LineFilter& filter);

/// The figures alone, as they can be typed: "2.5 kHz LR4", "1.2 kHz +3 dB Q2".
[[nodiscard]] std::string figuresOf(const LineFilter& filter);

/// A filter with what somebody types: in any order a frequency ("2k5", "800 Hz"), a quality ("q
/// 0.7", "Q2"), a gain with its sign or unit ("-3", "+2 dB"), an alignment with its order ("LR4",
/// "BW3", "bessel 2", "chebyshev 4"). What is not typed stays; a quality takes the alignment away.
/// Fails naming the piece that is not understood; nothing is changed.
[[nodiscard]] Result<LineFilter> typedFilter(const LineFilter& old, const std::string& text);

} // namespace yf::network
