// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/line/prototype.h"
#include "core/network/solve/network.h"

namespace yf::network {

enum class TextbookKind { lowPass, highPass, bandPass, twoWay, threeWay, filler, series };

/// Input of `network textbook`.
struct TextbookRequest {
    TextbookKind kind{};
    Alignment alignment{};
    std::optional<int> order;
    std::optional<double> fx;
    std::optional<double> fxLow;
    std::optional<double> fxHigh;
    double load{8.0};
    std::optional<double> lowLoad;
    std::optional<double> midLoad;
    std::optional<double> highLoad;
    double source{};
    double ripple{0.5};
    std::optional<double> levelAtFx;
    BandTopology bandTopology{};
    double fillerQ{0.70710678118654757};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(
            self.kind,
            q::Choice<7>{
                "kind",
                {"low-pass", "high-pass", "band-pass", "two-way", "three-way", "filler", "series"},
                "what is wanted"});
        field(self.alignment,
              q::Choice<4>{"alignment",
                           {"butterworth", "linkwitz-riley", "bessel", "chebyshev"},
                           "shape of the slope",
                           0});
        field(self.order, q::Whole{"order", 1, 8, "order; not for filler"});
        field(self.fx, q::fx);
        field(self.fxLow, q::fx.as("fx_low_hz", "lower crossover frequency"));
        field(self.fxHigh, q::fx.as("fx_high_hz", "upper crossover frequency"));
        field(self.load, q::loadResistance.orElse(8.0));
        field(self.lowLoad, q::loadResistance.as("low_load_ohm", "load of the low way"));
        field(self.midLoad, q::loadResistance.as("mid_load_ohm", "load of the middle way"));
        field(self.highLoad, q::loadResistance.as("high_load_ohm", "load of the high way"));
        field(self.source, q::sourceResistance.as("source_ohm", "source resistance").orElse(0.0));
        field(self.ripple, q::ripple.orElse(0.5));
        field(self.levelAtFx, q::levelAtFx);
        field(self.bandTopology,
              q::Choice<2>{"band_topology",
                           {"high-pass-first", "low-pass-first"},
                           "which part stands at the amplifier",
                           0});
        field(self.fillerQ,
              q::Quantity{"Q", "filler_q", 1.0, "", 0.1, 10.0, "Q of the filler network"}.orElse(
                  0.70710678118654757));
    }

    bool operator==(const TextbookRequest&) const = default;
};

[[nodiscard]] std::optional<Error> check(const TextbookRequest& request);

/// Output of `network textbook`. Levels are dB re the pass band; what does not exist is absent.
struct Textbook {
    Network network;
    std::vector<std::string> partIds;
    std::vector<Part> values;
    std::vector<int> polarities;
    std::optional<double> levelAtFx;
    std::optional<double> octavePast;
    std::optional<double> sumAtFx;
    std::optional<double> sumMax;
    std::optional<double> sumMin;
    double impedanceMin{};
    double impedanceMax{};
    std::optional<double> bandGain;

    [[nodiscard]] text::Value write() const;
};

/// A textbook network for resistive loads, and what it does from fx/100 to 100·fx.
///
/// Polarities by the rule "turn one of two neighbours over when N mod 4 is 2 or 3" for Butterworth
/// and Linkwitz-Riley; other alignments take the polarity with the smaller largest deviation.
/// Refused by check(): an odd order with Linkwitz-Riley, fx_high_hz ≤ fx_low_hz, source_ohm ≥ load,
/// a series network with another alignment than Butterworth, keys that the kind needs or has no
/// use for. Sources: docs/theory/network.md.
[[nodiscard]] Result<Textbook> textbook(const TextbookRequest& request);

/// Order in words ("second order"), 1 to 8.
[[nodiscard]] std::string_view orderName(int order);

/// The ladder of one outer way for a load: series first, from the amplifier. IDs are bare letters.
[[nodiscard]] std::vector<Slot> lowPassLadder(const std::vector<double>& g, double fx, double load);

[[nodiscard]] std::vector<Slot>
highPassLadder(const std::vector<double>& g, double fx, double load);

/// Whether the upper of two neighbours is turned over by the rule above.
[[nodiscard]] bool reversedByRule(int order);

} // namespace yf::network
