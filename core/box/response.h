// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/keys.h"
#include "core/box/motion.h"
#include "core/text/value.h"

#include <string>

namespace yf::box {

/// What ends the drive first.
enum class Limiter { displacement, power, portSpeed, radiator };

[[nodiscard]] std::string_view limiterName(Limiter limiter);

/// A port or radiator, as far as its travel and speed are wanted.
struct Outlet {
    double portArea{};     ///< m², narrowest, all ports together; 0: not known
    double radiatorArea{}; ///< m², all radiators together; 0: none
    double radiatorXmax{}; ///< m; 0: not known
};

[[nodiscard]] Outlet outletOf(const Box& box);

/// Everything at each frequency of an axis. Peaks are √2 times the rms of the drive.
struct Response {
    curve::Axis frequencies;
    std::vector<Complex> pressure;      ///< Pa
    std::vector<double> travel;         ///< m, peak, of the cone
    std::vector<Complex> impedance;     ///< Ω, at the terminals
    std::vector<double> groupDelay;     ///< s
    std::vector<double> portSpeed;      ///< m/s, peak; empty without an area
    std::vector<Complex> portToCone;    ///< U_P/(S·u); empty without port
    std::vector<double> radiatorTravel; ///< m, peak; empty without radiator
    std::vector<double> maxLevel;       ///< dB; empty without any limit
    std::vector<Limiter> limiters;

    bool operator==(const Response&) const = default;
};

/// Limits that take part in the greatest level, as far as known: the driver's Xmax, its power
/// against Re (the rating of the group; a high impedance is no licence for more volts, since music
/// is wide), the air's speed in the port, the radiator's travel.
struct ResponseOrder {
    System system;
    Outlet outlet;
    double portSpeedLimit{17.0};
};

[[nodiscard]] Response response(const ResponseOrder& order, const curve::Axis& axis);

/// Input of `box curve`.
struct CurveRequest {
    Driver driver;
    Source source;
    BoxKeys box;
    std::vector<double> frequencies;
    double portSpeedLimit{17.0};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Driver::fields(self.driver, field);
        Source::fields(self.source, field);
        BoxKeys::fields(self.box, field);
        field(self.frequencies, q::frequencies.orElse(0.0)); // default: the design axis
        field(self.portSpeedLimit,
              q::Quantity{
                  "v", "port_speed_limit_m_per_s", 1.0, "m/s", 0.1, 340.0, "peak, in the port"}
                  .orElse(17.0));
    }
};

[[nodiscard]] std::optional<Error> check(const CurveRequest& request);

struct CurveAnswer {
    Response response;

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<CurveAnswer> curveVerb(const CurveRequest& request);

} // namespace yf::box
