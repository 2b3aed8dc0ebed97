// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/network.h"

namespace yf::network {

/// What parts are asked to bear unless somebody says otherwise: 20 W into 8 Ω. V rms
inline constexpr double usualDrive = 12.6;

enum class Spectrum { programme, pink, sine };

/// Input of `network power`.
struct PowerRequest {
    Network network;
    double voltage{};
    Spectrum spectrum{};
    std::optional<double> f;
    double from{};
    double to{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.network, q::Group{"network", "the network"});
        field(self.voltage, q::voltage.as("voltage_v", "EMF, rms"));
        field(self.spectrum,
              q::Choice<3>{"spectrum", {"programme", "pink", "sine"}, "what is played", 0});
        field(self.f, q::frequency.as("f_hz", "of the sine"));
        field(self.from, q::frequency.as("from_hz", "lower end of the band").orElse(20.0));
        field(self.to, q::frequency.as("to_hz", "upper end of the band").orElse(20000.0));
    }
};

[[nodiscard]] std::optional<Error> check(const PowerRequest& request);

/// Heat and voltage in everything, at an EMF.
struct Powers {
    std::vector<std::string> partIds;
    std::vector<double> parts; ///< W
    std::vector<double> peaks; ///< V across each part, peak
    std::vector<std::string> driverNames;
    std::vector<double> drivers; ///< W, of all units of an end
    double source{};             ///< W that the amplifier gives behind its own resistance

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const q::Quantity watts{"P", "parts_w", 1.0, "W", 0.0, 1e12, "heat in each part"};
        field(self.partIds, q::Word{"part_ids", "in writing order"});
        field(self.parts, watts);
        field(self.peaks, q::voltage.as("parts_peak_v", "peak across each part"));
        field(self.driverNames, q::Word{"driver_names", "in writing order"});
        field(self.drivers, watts.as("drivers_w", "into each driver"));
        field(self.source, watts.as("source_w", "behind the source's resistance"));
    }
};

/// |W(jf)|² of programme: W = s³/((s+14.5)(s+27.4)(s+41.8)(1+s/3370)(1+s/16000)), within 0.4 dB of
/// the noise of IEC 60268-1 (its table from memory).
[[nodiscard]] double programmeWeight(double f);

/// Crest of noise over its rms that peak voltages are told for.
inline constexpr double noiseCrest = 2.0;

/// P = V²·∫|I|²·Re Z·w d ln f / ∫ w d ln f over the band, 100 points a decade, ends included,
/// trapezium; a sine at one frequency. Peaks: twice the rms for noise, √2 for a sine.
[[nodiscard]] Result<Powers>
powers(const Circuit& circuit, const LoadsOn& loadsOn, const PowerRequest& request);

/// The `power` verb.
[[nodiscard]] Result<Powers> powerOf(const PowerRequest& request);

} // namespace yf::network
