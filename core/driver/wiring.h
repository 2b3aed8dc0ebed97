// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/model_keys.h"
#include "core/text/value.h"

#include <string>
#include <vector>

namespace yf::driver {

/// Drivers in series, in parallel, or both, nested as one likes.
struct Wiring {
    enum class Kind { driver, resistor, series, parallel };

    Kind kind{};
    std::string driver;        ///< where it is one
    double ohms{};             ///< where it is a resistor
    std::vector<Wiring> parts; ///< where it is series or parallel

    /// "id", {"r_ohm": x}, {"series": […]} or {"parallel": […]}.
    [[nodiscard]] static Result<Wiring> read(const text::Value& value, const std::string& path);
    [[nodiscard]] text::Value write() const;

    bool operator==(const Wiring&) const = default;
};

/// One driver of a wiring: its impedance, level and polarity.
struct WiredDriver {
    std::string id;
    ModelKeys model;
    std::vector<double> re; ///< Ω, at the request's frequencies, in place of a model
    std::vector<double> im;
    double sensitivity{}; ///< dB at 2.83 V
    int polarity{1};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name in the circuit"});
        ModelKeys::fields(self.model, field);
        field(self.re, q::impedancesRe.orElse(0.0)); // default: none, a model is given
        field(self.im, q::impedancesIm.orElse(0.0));
        field(self.sensitivity, q::sensitivity2v83.within(-200.0, 200.0).orElse(0.0));
        field(self.polarity, q::Whole{"polarity", -1, 1, "1, or -1 reversed", 1});
    }
};

[[nodiscard]] std::optional<Error> check(const WiredDriver& driver);

/// Input of `driver wiring`.
struct WiringRequest {
    std::vector<WiredDriver> drivers;
    Wiring circuit;
    std::vector<double> frequencies; ///< empty: the design axis
    double reference{400.0};
    double amplifierLeast{4.0};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.drivers, q::Group{"drivers", "all of them"});
        field(self.circuit, q::Group{"circuit", "id, r_ohm, series or parallel"});
        field(self.frequencies, q::frequencies.orElse(0.0));
        field(self.reference,
              q::frequency.as("reference_hz", "where levels are compared").orElse(400.0));
        field(
            self.amplifierLeast,
            q::loadResistance.as("amplifier_min_ohm", "least load that the amplifier is rated for")
                .orElse(4.0));
    }
};

/// What the amplifier sees and what each driver gets.
struct WiringResult {
    std::vector<double> frequencies;
    std::vector<double> re;
    std::vector<double> im;
    double least{}; ///< Ω, over 20 Hz to 20 kHz
    double leastAt{};
    std::optional<double> rated;
    std::optional<double> dcr;   ///< absent where a driver is a curve
    double levelChange{};        ///< dB at 2.83 V, against the first driver of the list
    double levelChangePerWatt{}; ///< dB at 1 W of real power
    std::vector<std::optional<double>> drives; ///< dB re the terminals; absent: not in the circuit
    double leastEpdr{};
    bool safe{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.re, q::impedancesRe);
        field(self.im, q::impedancesIm);
        field(self.least, q::reading.as("impedance_min_ohm", "least modulus"));
        field(self.leastAt, q::frequency.as("impedance_min_hz", "where it is"));
        field(self.rated, q::nominal.as("nominal_ohm", "rated impedance"));
        field(self.dcr, q::dcr);
        field(self.levelChange,
              q::levels.as("level_change_2v83_db", "at 2.83 V, against the first driver"));
        field(self.levelChangePerWatt, q::levels.as("level_change_1w_db", "at 1 W"));
        field(self.drives, q::levels.as("drives_db", "each driver's voltage re the terminals"));
        field(self.leastEpdr, q::reading.as("epdr_min_ohm", "equivalent peak dissipation"));
        field(self.safe,
              q::Flag{"amplifier_safe", "least modulus at least 80 % of its least load"});
    }
};

/// Impedance, load and shares of drivers wired together, each with its complex impedance: unequal
/// drivers in series do not share evenly. Mutual radiation is neglected. Levels add as pressures
/// at `reference`, p_i ∝ 10^(L_i/20)·V_i·polarity. Least modulus, rating and stress are taken over
/// 20 Hz to 20 kHz on the design axis, or over the points given where a driver is a curve.
/// Errors: a driver twice in the circuit or unknown (`circuit`), a curve without frequencies or of
/// another length, a reference outside the curves.
[[nodiscard]] Result<WiringResult> wiring(const WiringRequest& request);

} // namespace yf::driver
