// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/dcr.h"
#include "core/driver/model_keys.h"
#include "core/sim/random.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// Simulated speakers with hidden faults, and the instruments that answer for them.
/// Physics, sources and check tables: docs/theory/bench.md.
namespace yf::sim {

using Complex = std::complex<double>;

/// A driver by its six base quantities less the area, and its coil above resonance.
struct Motor {
    double Re{};
    double Bl{};
    double Mms{};
    double Cms{};
    double Rms{};
    driver::ImpedanceModel coil; ///< only its inductance is used

    [[nodiscard]] double fs() const;

    /// Z_m = Rms + jωMms + 1/(jωCms), mechanical ohms (N·s/m).
    [[nodiscard]] Complex mechanical(double frequency) const;

    /// The same driver as an impedance model: fs, Qms, Qes from the base quantities.
    [[nodiscard]] driver::ImpedanceModel model() const;
};

/// What lies between the cabinet's terminals and the driver.
struct Path {
    double protector{};
    double seriesR{};
    double seriesL{};
    double seriesLdcr{};
    double seriesC{}; ///< 0: none
};

/// How far a fault can go; faults without a severity have low = high = 0.
struct SeverityRange {
    double low{};
    double high{};
};

[[nodiscard]] SeverityRange severityRange(std::string_view fault);

/// A driver in its cabinet with one fault.
struct Specimen {
    Motor motor;
    Path path;
    std::string fault{"healthy"};
    double severity{};
    double coupling{0.95}; ///< of shorted turns to the rest of the coil
};

/// First draw: fault by the shipped priors in the table's order; second: severity, uniform in its
/// range, drawn even where the fault has none.
struct Hidden {
    std::string fault;
    double severity{};
};

[[nodiscard]] Hidden drawFault(Random& random);

/// Terminal impedance of the driver itself, or of the cabinet; nothing where no current flows.
///
/// Shorted turns, fraction s, coupling κ:
///     Z = A − B²/C,  A = (1−s)Re + (1−s)²Z_c + (1−s)²Bl²/Z_m,
///     B = κs(1−s)Z_c + s(1−s)Bl²/Z_m,  C = sRe + s²Z_c + s²Bl²/Z_m
/// (the two-winding equations with the cone's velocity eliminated).
/// Rub of F_c newtons: describing function R_f = 4F_c/(π|v|) in series with Rms, the peak velocity
/// from |v(Z_b·Z_m + Bl²) + Z_b·4F_c/π| = Bl·û, which is a quadratic in |v|; the cone is stuck
/// where 4F_c/π ≥ Bl·û/|Z_b|, Z_b = Re + Z_c. `drive`: V rms at the driver's terminals, û =
/// √2·drive.
[[nodiscard]] std::optional<Complex>
impedance(const Specimen& specimen, bench::Place place, double frequency, double drive);

/// Ω at rest, without leads; nothing where it is open (a capacitor in series at the cabinet too).
[[nodiscard]] std::optional<double> dcr(const Specimen& specimen, bench::Place place);

/// m, outwards positive, when a battery holds the cone: x = Cms·max(0, Bl'·I − F_c).
struct Battery {
    double voltage{1.5};
    double resistance{0.2}; ///< cell and leads
};

[[nodiscard]] double
batteryTravel(const Specimen& specimen, bench::Place place, const Battery& battery);

/// Largest |Z| of the driver itself between fs/3 and 3·fs.
struct Peak {
    double ohms{};
    double frequency{};
};

[[nodiscard]] std::optional<Peak> peak(const Specimen& specimen, double drive);

/// Input of `bench specimen`.
struct SpecimenRequest {
    Motor motor;
    driver::ModelKeys keys;
    std::optional<std::string> fault;
    std::optional<double> seed;
    std::optional<double> severity;
    double coupling{0.95};
    bench::Place place{};
    Path path;
    double leads{};
    double lcrFrequency{1000.0};
    double drive{0.5};
    double cellVoltage{1.5};
    std::optional<double> cellResistance;
    std::vector<double> frequencies;
    double noise{};
    std::optional<bool> reveal;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        driver::ModelKeys::fields(self.keys, field);
        field(self.motor.Bl, q::Bl);
        field(self.motor.Mms, q::Mms);
        field(self.motor.Cms, q::Cms);
        field(self.motor.Rms, q::Rms);
        field(self.fault, q::Word{"fault", "what is wrong with it"});
        field(self.seed,
              q::Quantity{"", "seed", 1.0, "", 0.0, 9007199254740992.0, "draws the fault"});
        field(self.severity,
              q::Quantity{"s", "severity", 1.0, "", 0.0, 100.0, "how far the fault has gone"});
        field(self.coupling,
              q::Quantity{"κ", "coupling", 1.0, "", 0.0, 1.0, "of shorted turns"}.orElse(0.95));
        field(self.place,
              q::Choice<2>{"at", {"driver", "cabinet"}, "where the instruments are", 0});
        field(self.path.protector, part("protector_ohm", "protector").orElse(0.0));
        field(self.path.seriesR, part("series_r_ohm", "resistor in series").orElse(0.0));
        field(self.path.seriesL,
              q::Quantity{"L", "series_l_h", 1.0, "H", 0.0, 10.0, "coil in series"}.orElse(0.0));
        field(self.path.seriesLdcr, part("series_l_dcr_ohm", "that coil's wire").orElse(0.0));
        field(self.path.seriesC,
              q::Quantity{"C", "series_c_f", 1.0, "F", 0.0, 1.0, "capacitor in series; 0: none"}
                  .orElse(0.0));
        field(self.leads, q::leads.orElse(0.0));
        field(self.lcrFrequency,
              q::frequency.as("lcr_hz", "frequency of the LCR meter").orElse(1000.0));
        field(self.drive, q::voltage.as("drive_v", "rms at the driver's terminals").orElse(0.5));
        field(self.cellVoltage, q::cell.orElse(1.5));
        field(self.cellResistance, q::cellResistance);
        field(self.frequencies, q::frequencies.orElse(0.0)); // default: the design axis
        field(self.noise,
              q::Quantity{"", "noise_pct", 0.01, "%", 0.0, 50.0, "of the curve's points"}.orElse(
                  0.0));
        field(self.reveal, q::Flag{"reveal", "tell the fault", {}});
    }

private:
    static constexpr quantity::Quantity part(std::string_view key, std::string_view help) {
        return {"R", key, 1.0, "Ω", 0.0, 1e6, help};
    }
};

enum class BatteryShows { out, in, none };

/// What the instruments give.
struct SpecimenReadings {
    std::optional<double> dcr;
    std::optional<double> lcrR;
    std::optional<double> lcrL;
    double travel{};
    BatteryShows battery{};
    std::vector<double> frequencies;
    std::optional<std::vector<double>> re;
    std::optional<std::vector<double>> im;
    std::optional<double> peakOhms;
    std::optional<double> peakFrequency;
    std::string push;
    std::optional<std::string> fault;
    std::optional<double> severity;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.dcr, q::dcr);
        field(self.lcrR, q::reading.as("lcr_r_ohm", "series, leads included"));
        field(self.lcrL, q::Quantity{"L", "lcr_l_h", 1.0, "H", -1e9, 1e9, "series"});
        field(self.travel,
              q::Quantity{"x", "battery_displacement_m", 1.0, "m", -1.0, 1.0, "outwards"});
        field(self.battery, q::Choice<3>{"battery", {"out", "in", "none"}, "what one sees"});
        field(self.frequencies, q::frequencies);
        field(self.re, q::impedancesRe);
        field(self.im, q::impedancesIm);
        field(self.peakOhms, q::reading.as("peak_ohm", "largest modulus, fs/3 to 3·fs"));
        field(self.peakFrequency, q::frequency.as("peak_hz", "where it is"));
        field(self.push, q::Word{"push", "likeliest outcome of an even push"});
        field(self.fault, q::Word{"fault", "where it is told"});
        field(self.severity, q::Quantity{"s", "severity", 1.0, "", 0.0, 100.0, "where told"});
    }
};

/// The `specimen` verb. Errors: neither or both of fault and seed; an unknown fault (the nearest is
/// named); `severity` missing or outside the fault's range.
[[nodiscard]] Result<SpecimenReadings> specimen(const SpecimenRequest& request);

} // namespace yf::sim
