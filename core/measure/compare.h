// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"

namespace yf::measure {

enum class Normalise { mean, none };
enum class Trend { mean, line };

/// Input of `measure compare`.
struct CompareRequest {
    CurveKeys a;
    CurveKeys b;
    std::optional<double> from;
    std::optional<double> to;
    Normalise normalise{};
    std::optional<double> normaliseFrom;
    std::optional<double> normaliseTo;
    int fraction{0};
    Trend trend{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.a, q::Group{"curve_a", "the first"});
        field(self.b, q::Group{"curve_b", "the second"});
        field(self.from, q::frequency.as("from_hz", "lower end"));
        field(self.to, q::frequency.as("to_hz", "upper end"));
        field(self.normalise,
              q::Choice<2>{
                  "normalise", {"mean", "none"}, "whether the mean difference is taken out", 0});
        field(self.normaliseFrom, q::frequency.as("normalise_from_hz", "where it is formed"));
        field(self.normaliseTo, q::frequency.as("normalise_to_hz", "up to where"));
        field(self.fraction, q::Whole{"fraction", 0, 96, "smoothing of both, 1/n octave", 0});
        field(self.trend,
              q::Choice<2>{"trend", {"mean", "line"}, "what flatness is judged against", 0});
    }
};

[[nodiscard]] std::optional<Error> check(const CompareRequest& request);

/// Two curves against each other, dB. Deviation: standard deviation from the trend; spread: half of
/// (highest − lowest) about it, the "± dB" of a response.
struct Comparison {
    double offset{}; ///< mean of b − a
    double maxDifference{};
    double maxAt{};
    double rmsDifference{};
    double meanDifference{};
    double deviationA{};
    double spreadA{};
    double deviationB{};
    double spreadB{};
    std::vector<double> frequencies;
    std::vector<double> difference; ///< b − a − offset

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto level = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "dB", -1e4, 1e4, help};
        };
        field(self.offset, level("offset_db", "b over a, mean"));
        field(self.maxDifference, level("max_difference_db", "largest, unsigned"));
        field(self.maxAt, q::frequency.as("max_difference_hz", "where"));
        field(self.rmsDifference, level("rms_difference_db", "root mean square"));
        field(self.meanDifference, level("mean_difference_db", "of what is left"));
        field(self.deviationA, level("deviation_a_db", "from its trend"));
        field(self.spreadA, level("spread_a_db", "each way of its trend"));
        field(self.deviationB, level("deviation_b_db", "from its trend"));
        field(self.spreadB, level("spread_b_db", "each way of its trend"));
        field(self.frequencies, q::frequencies);
        field(self.difference, level("difference_db", "b - a - offset"));
    }
};

/// Both are smoothed alike and brought onto the design grid in the common band (or, where that
/// leaves fewer than two points, onto a's own).
[[nodiscard]] Result<Comparison> compare(const CompareRequest& request);

/// The same for two curves that are there already, in one range.
[[nodiscard]] std::optional<Comparison> compareCurves(const curve::Curve& a,
                                                      const curve::Curve& b,
                                                      curve::Range range,
                                                      Normalise normalise);

/// Mean level from 300 Hz to 3 kHz where the curve is trusted, dB: what curves of unlike level are
/// brought together by. 0 where nothing of it lies there.
[[nodiscard]] double midLevel(const curve::Curve& curve);

} // namespace yf::measure
