// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/kinds.h"
#include "core/speaker/lobes.h"
#include "core/speaker/speaker.h"
#include "core/text/value.h"

namespace yf::speaker {

/// A direction in one of the two planes.
[[nodiscard]] Direction inPlane(quantity::Plane plane, double angle);

/// Energy means over directions at one frequency; all in dB of |p|².
struct Averages {
    std::vector<double> listeningWindow; ///< energy mean of nine: 0°, ±10° up, ±10, 20, 30° aside
    std::vector<double> soundPower;      ///< mean square over the full sphere, 5° rings
    std::vector<double> directivity;     ///< on axis less power
};

/// Listening window after ANSI/CTA-2034-A (from memory); power over rings 5° apart, four points a
/// ring, each weighted by its band of the sphere; in half space the rear counts as nought, so that
/// a small source has an index of 3.01 dB.
[[nodiscard]] Averages averages(const Radiators& radiators, double distance, quantity::Space space);

/// The sum of the angles either side of 0° at which a pattern is 6 dB down, linear between points;
/// absent where one is not reached. Angles rise and hold 0.
[[nodiscard]] std::optional<double> beamwidth(std::span<const double> angles,
                                              std::span<const double> relative);

/// Input of `speaker polar`.
struct PolarRequest {
    Speaker speaker;
    quantity::Plane plane{};
    std::optional<std::vector<double>> angles; ///< rad
    std::optional<std::vector<double>> frequencies;
    std::optional<double> distance;
    std::optional<std::vector<std::string>> pair;
    std::optional<double> fx;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.speaker, q::Group{"speaker", "the speaker"});
        field(self.plane, q::plane);
        field(self.angles,
              q::Quantity{"θ", "angles_deg", q::degree, "°", -180.0, 180.0, "-90 to 90 by 5"});
        field(self.frequencies, q::frequencies);
        field(self.distance, q::distance.within(0.05, 100.0).as("distance_m", "to the ear"));
        field(self.pair, q::Word{"pair", "first and second, for lobes at fx_hz"});
        field(self.fx, q::fx);
    }
};

[[nodiscard]] std::optional<Error> check(const PolarRequest& request);

struct PolarAnswer {
    std::vector<double> frequencies;
    std::vector<double> angles;                ///< rad
    std::vector<std::vector<double>> levels;   ///< [frequency][angle], dB re 20 µPa
    std::vector<std::vector<double>> relative; ///< re 0°
    Averages averages;
    std::vector<std::optional<double>> beamwidths; ///< rad
    std::optional<Lobes> lobes;
    double wavelengths{};
    double psi0{};

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<PolarAnswer> polar(const PolarRequest& request);

} // namespace yf::speaker
