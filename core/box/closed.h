// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/chambers.h"
#include "core/box/driver.h"
#include "core/box/losses.h"

#include <optional>

namespace yf::box {

/// A sealed box.
struct Closed {
    double Vb{};         ///< m³, net
    double gain{1.0};    ///< apparent volume over Vb, by fill
    double QA{lossless}; ///< absorption
    double QL{lossless}; ///< leak

    bool operator==(const Closed&) const = default;
};

[[nodiscard]] Chambers chambersOf(const Closed& box, const Motor& motor, const Source& source);
[[nodiscard]] Closed changed(Closed box, const BoxChange& by);

/// The second-order system that driver and sealed box are.
struct ClosedSystem {
    double alpha{};               ///< Vas'/(g·Vb)
    double fc{};                  ///< fs·√(1+α)
    double Qtc{};                 ///< 1/Qtc = 1/(Qts'·√(1+α)) + α/((1+α)·QA)
    double f3{};                  ///< half power
    std::optional<double> peak;   ///< dB above the level far up; none: no more than 0.01
    std::optional<double> peakAt; ///< Hz
};

/// Exact with absorption; a leak has no place in a Qtc (Small 1972).
[[nodiscard]] ClosedSystem
closedSystem(const Motor& motor, const Closed& box, const Source& source);

/// f3/fc of a second-order high-pass: √((x+√(x²+4))/2), x = 1/Q² − 2.
[[nodiscard]] double f3OverFc(double Qtc);

/// Input of `box closed`.
struct ClosedRequest {
    Driver driver;
    Source source;
    std::optional<double> Vb;
    std::optional<double> Qtc;
    double gain{1.0};
    double QA{lossless};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Driver::fields(self.driver, field);
        Source::fields(self.source, field);
        field(self.Vb, q::Vb);
        field(self.Qtc, q::Qtc.within(0.2, 5.0));
        field(self.gain, q::fillGain.orElse(1.0));
        field(self.QA, q::QA.orElse(lossless));
    }
};

[[nodiscard]] std::optional<Error> check(const ClosedRequest& request);

struct ClosedAnswer {
    double Vb{};
    double Vab{};
    double alpha{};
    double fc{};
    double Qtc{};
    double f3{};
    std::optional<double> peak;
    std::optional<double> peakAt;
    double eta0{};
    double sensitivity{};
    bool vasPlausible{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Vb, q::Vb);
        field(self.Vab, q::Vb.as("Vab_l", "apparent volume, fill_gain times Vb_l"));
        field(self.alpha, q::alpha);
        field(self.fc, q::fc);
        field(self.Qtc, q::Qtc);
        field(self.f3, q::f3);
        field(self.peak, q::peak);
        field(self.peakAt, q::peakAt);
        field(self.eta0, q::eta0);
        field(self.sensitivity, q::sensitivity);
        field(self.vasPlausible, q::Flag{"vas_plausible", "mass per area of a real cone"});
    }
};

/// Volume from Qtc or Qtc from volume. Refused: Qtc at or below the driver's own Qts, since a box
/// can only raise it.
[[nodiscard]] Result<ClosedAnswer> closed(const ClosedRequest& request);

} // namespace yf::box
