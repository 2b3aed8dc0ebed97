// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::driver {

/// A two-channel impedance jig: source, node A, sense resistor, node B, driver, ground.
///
///     Z = Rs·H/(1 − H),  H = V_B/V_A
///
/// Corrections: mismatch of the channels (H divided by `gain`), load of channel B's input, leads
/// taken off. Or, in place of all of them, open, short and a known load measured at the clips:
///     Z = Z_load·(H − H_s)(H_o − H_l)/((H_o − H)(H_l − H_s)),
/// since any linear network between true and read values is a bilinear map.
struct Jig {
    double sense{10.0};            ///< Ω
    std::optional<double> input;   ///< Ω, of channel B; absent: none
    curve::Complex gain{1.0, 0.0}; ///< both channels on one node
    double lead{};                 ///< Ω
    double senseU{1e-3};           ///< shares
    double gainU{1e-3};
    double noise{1e-4}; ///< rms of one channel re |V_A|
    double leadU{0.01}; ///< Ω
};

/// What the three standards read at one frequency.
struct Standards {
    curve::Complex open;
    curve::Complex shorted;
    curve::Complex load;
    double loadOhms{};
};

/// An impedance from a jig with its standard uncertainty as a share; absent where |H| > 0.98: open,
/// or beyond this resistor.
struct JigReading {
    std::optional<curve::Complex> Z;
    std::optional<double> u;
};

/// u² = u_s² + |1+Z/Rs|²·(u_g² + n²(1+|1+Rs/Z|²)) + (u_l/|Z|)²
[[nodiscard]] JigReading
read(const Jig& jig, curve::Complex ratio, const std::optional<Standards>& standards = {});

/// Input of `driver jig`.
struct JigRequest {
    std::vector<double> frequencies;
    std::vector<double> ratiosRe;
    std::vector<double> ratiosIm;
    double sense{};
    std::optional<double> input;
    std::optional<std::vector<double>> gainsRe;
    std::optional<std::vector<double>> gainsIm;
    double lead{};
    std::optional<std::vector<double>> opensRe;
    std::optional<std::vector<double>> opensIm;
    std::optional<std::vector<double>> shortsRe;
    std::optional<std::vector<double>> shortsIm;
    std::optional<std::vector<double>> loadsRe;
    std::optional<std::vector<double>> loadsIm;
    std::optional<double> load;
    double senseU{};
    double gainU{};
    double noise{};
    double leadU{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto ratio = [](const char* key, const char* help) {
            return q::Quantity{"H", key, 1.0, "", -1e6, 1e6, help};
        };
        const auto share = [](const char* key, double otherwise, const char* help) {
            return q::Quantity{"", key, 0.01, "%", 0.0, 100.0, help}.orElse(otherwise);
        };
        field(self.frequencies, q::frequencies);
        field(self.ratiosRe, ratio("ratios_re", "V_B over V_A"));
        field(self.ratiosIm, ratio("ratios_im", "V_B over V_A"));
        field(self.sense, q::resistance.as("sense_ohm", "the resistor").within(0.01, 1e6));
        field(self.input, q::resistance.as("input_ohm", "of channel B").within(10.0, 1e9));
        field(self.gainsRe, ratio("gains_re", "both channels on one node"));
        field(self.gainsIm, ratio("gains_im", "both channels on one node"));
        field(self.lead, q::leads.orElse(0.0));
        field(self.opensRe, ratio("opens_re", "clips open"));
        field(self.opensIm, ratio("opens_im", "clips open"));
        field(self.shortsRe, ratio("shorts_re", "clips together"));
        field(self.shortsIm, ratio("shorts_im", "clips together"));
        field(self.loadsRe, ratio("loads_re", "a known resistor"));
        field(self.loadsIm, ratio("loads_im", "a known resistor"));
        field(self.load, q::resistance.as("load_ohm", "that resistor").within(0.01, 1e6));
        field(self.senseU, share("sense_u_pct", 0.1, "of the resistor, or the load"));
        field(self.gainU, share("gain_u_pct", 0.1, "mismatch that is left"));
        field(self.noise, share("noise_pct", 0.01, "of one channel"));
        field(self.leadU,
              q::Quantity{"", "lead_u_ohm", 1.0, "Ω", 0.0, 10.0, "of the leads"}.orElse(0.01));
    }
};

[[nodiscard]] std::optional<Error> check(const JigRequest& request);

struct JigAnswer {
    std::vector<double> frequencies;
    std::vector<std::optional<double>> re;
    std::vector<std::optional<double>> im;
    std::vector<std::optional<double>> moduli;
    std::vector<std::optional<double>> phases;
    std::vector<std::optional<double>> u;
    std::vector<double> beyond;
    std::string method;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.re, q::impedancesRe);
        field(self.im, q::impedancesIm);
        field(self.moduli, q::impedances);
        field(self.phases, q::phases);
        field(self.u, q::Quantity{"", "u_pct", 0.01, "%", 0.0, 1e6, "standard uncertainty"});
        field(self.beyond, q::frequencies.as("beyond_hz", "open, or beyond this resistor"));
        field(self.method, q::Word{"method", "divider or open_short_load"});
    }
};

[[nodiscard]] Result<JigAnswer> jigVerb(const JigRequest& request);

} // namespace yf::driver
