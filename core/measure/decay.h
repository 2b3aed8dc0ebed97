// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"
#include "core/signal/decay.h"
#include "core/text/value.h"

#include <optional>
#include <vector>

namespace yf::measure {

enum class DecayKind { csd, burst, energy, step, resonances };

/// Input of `measure decay`.
struct DecayRequest {
    ImpulseKeys impulse;
    DecayKind kind{};
    std::vector<double> frequencies;
    signal::CumulativeDecay cumulative;
    signal::BurstDecay burst;
    std::optional<double> reference;
    double range{40.0};
    double minimumQ{5.0};
    std::optional<double> gate;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto seconds =
            [](const char* key, double low, double high, double otherwise, const char* help) {
                return q::Quantity{"", key, 1.0, "s", low, high, help}.orElse(otherwise);
            };
        ImpulseKeys::fields(self.impulse, field);
        field(self.kind,
              q::Choice<5>{
                  "kind", {"csd", "burst", "energy", "step", "resonances"}, "which picture", 0});
        field(self.frequencies, q::frequencies.orElse(0.0));
        field(self.cumulative.slices, q::Whole{"slices", 1, 1000, "of a cumulative decay", 40});
        field(self.cumulative.step, seconds("slice_step_s", 1e-6, 0.1, 1e-4, "between slices"));
        field(self.cumulative.rise, seconds("rise_s", 1e-6, 0.1, 2e-4, "of each window"));
        field(self.cumulative.length, seconds("length_s", 1e-4, 5.0, 0.02, "after the arrival"));
        field(self.burst.cycles,
              q::Quantity{"", "cycles", 1.0, "", 1.0, 100.0, "of a burst"}.orElse(4.0));
        field(self.burst.periods, q::Whole{"periods", 1, 200, "shown of each", 30});
        field(
            self.reference,
            q::Quantity{"", "reference_level_db", 1.0, "dB", -400.0, 400.0, "0 dB of the picture"});
        field(self.range,
              q::Quantity{"", "range_db", 1.0, "dB", 1.0, 120.0, "shown below it"}.orElse(40.0));
        field(self.minimumQ,
              q::Quantity{"", "minimum_q", 1.0, "", 0.5, 500.0, "of a resonance"}.orElse(5.0));
        field(self.gate, q::gate.as("gate_s", "after the arrival; absent: all"));
    }
};

[[nodiscard]] std::optional<Error> check(const DecayRequest& request);

struct Decayed {
    DecayKind kind{};
    signal::DecayImage image;
    std::vector<double> times;
    std::vector<double> values;
    std::vector<signal::ModeFound> modes;

    [[nodiscard]] text::Value write() const;
};

/// Energy and step are over time re time zero: `times_s` with `levels_db` (re the highest) or
/// `values`.
[[nodiscard]] Result<Decayed> decay(const DecayRequest& request);

} // namespace yf::measure
