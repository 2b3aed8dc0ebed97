// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/keys.h"
#include "core/box/summary.h"

/// Boxes by their figures: what the command line asks of vented, passive-radiator and band-pass
/// enclosures. All leave the coil's inductance out, as f3 refers to the level far above.
namespace yf::box {

/// Input of `box vented`.
struct VentedRequest {
    Driver driver;
    Source source;
    BoxKeys keys;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Driver::fields(self.driver, field);
        Source::fields(self.source, field);
        field(self.keys.Vb, q::Vb);
        field(self.keys.fb, q::fb);
        BoxKeys::losses(self.keys, field);
    }
};

[[nodiscard]] std::optional<Error> check(const VentedRequest& request);

struct VentedAnswer {
    double alpha{};
    double h{};
    double Qts{}; ///< with the source
    Summary summary;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.alpha, q::alpha);
        field(self.h, q::tuningRatio);
        field(self.Qts, q::Qts);
        Summary::fields(self.summary, field);
    }
};

[[nodiscard]] Result<VentedAnswer> vented(const VentedRequest& request);

/// Input of `box passive-radiator`: one of fb and the added mass.
struct RadiatorRequest {
    Driver driver;
    Source source;
    BoxKeys keys;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Driver::fields(self.driver, field);
        Source::fields(self.source, field);
        field(self.keys.Vb, q::Vb);
        field(self.keys.fb, q::fb);
        field(self.keys.gain, q::fillGain.orElse(1.0));
        field(self.keys.QL, q::QL.as("QL", "leak loss; 7 by default"));
        field(self.keys.QA, q::QA.as("QA", "absorption; none by default"));
        BoxKeys::radiator(self.keys, field);
    }
};

[[nodiscard]] std::optional<Error> check(const RadiatorRequest& request);

struct RadiatorAnswer {
    double alpha{};
    double h{};
    double Qts{};
    Summary summary;
    double fb{};
    double addedMass{};
    double notch{};
    double delta{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.alpha, q::alpha);
        field(self.h, q::tuningRatio);
        field(self.Qts, q::Qts);
        Summary::fields(self.summary, field);
        field(self.fb, q::fb);
        field(self.addedMass,
              q::Quantity{"m", "pr_added_mass_kg", 1.0, "kg", 0.0, 100.0, "added to each"});
        field(self.notch, q::frequency.as("notch_hz", "where the radiator takes the sound away"));
        field(self.delta, q::alpha.as("delta", "radiators' compliance over the box's"));
    }
};

/// Refused: a tuning above that of the bare radiator in the box (its limit is printed).
[[nodiscard]] Result<RadiatorAnswer> passiveRadiator(const RadiatorRequest& request);

enum class BandPassOrder { fourth, sixthParallel, sixthSeries };

/// Input of `box bandpass`: of fourth order either Qbp and S, or volumes and tuning.
struct BandPassRequest {
    Driver driver;
    Source source;
    BandPassOrder order{};
    std::optional<double> Qbp;
    std::optional<double> S;
    BoxKeys keys;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Driver::fields(self.driver, field);
        Source::fields(self.source, field);
        field(self.order,
              q::Choice<3>{"order", {"4", "6-parallel", "6-series"}, "of the band-pass", {}});
        field(self.Qbp, q::Qtc.as("Qbp", "of driver and rear chamber").within(0.1, 5.0));
        field(self.S,
              q::Quantity{"S", "S", 1.0, "", 0.2, 2.0, "damping of the equivalent low-pass"});
        field(self.keys.Vr, q::Vb.as("Vr_l", "chamber behind the cone"));
        field(self.keys.Vf, q::Vb.as("Vf_l", "chamber before the cone"));
        field(self.keys.fbRear, q::fb.as("fb_rear_hz", "tuning of the rear chamber"));
        field(self.keys.fbFront, q::fb.as("fb_front_hz", "tuning of the front chamber"));
        BoxKeys::losses(self.keys, field);
    }
};

[[nodiscard]] std::optional<Error> check(const BandPassRequest& request);

struct BandPassAnswer {
    double Vr{};
    double Vf{};
    std::optional<double> fbRear;
    double fbFront{};
    PassBand band;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Vr, q::Vb.as("Vr_l", "chamber behind the cone"));
        field(self.Vf, q::Vb.as("Vf_l", "chamber before the cone"));
        field(self.fbRear, q::fb.as("fb_rear_hz", "tuning of the rear chamber"));
        field(self.fbFront, q::fb.as("fb_front_hz", "tuning of the front chamber"));
        field(self.band.low, q::frequency.as("f_low_hz", "−3 dB re the highest level"));
        field(self.band.high, q::frequency.as("f_high_hz", "−3 dB re the highest level"));
        field(self.band.gain,
              q::Quantity{"", "gain_db", 1.0, "dB", -200.0, 200.0, "highest level re far above"});
        field(self.band.ripple,
              q::Quantity{"", "ripple_db", 1.0, "dB", 0.0, 200.0, "between the humps"});
    }
};

[[nodiscard]] Result<BandPassAnswer> bandPass(const BandPassRequest& request);

/// Volumes and tunings of a sixth-order box whose level stays nearest to the asymptote plus
/// `level` dB from `low` to `high` Hz: the rms departure over ln f, least by a simplex over
/// (ln Vr, ln Vf, ln fb_rear, ln fb_front) from five starts, V within Vas/20 … 2·Vas, fb_rear
/// 0.6 … 2 fs, fb_front 1.2 … 5 fs. Without those bounds the flattest is a vanishing chamber.
struct SixthOrder {
    BandPass6 box;
    double rms{}; ///< dB
};

struct SixthWish {
    Chaining chaining{};
    double low{40.0};
    double high{120.0};
    double level{0.0};
};

[[nodiscard]] SixthOrder
sixthOrderDesign(const Driver& driver, const Source& source, const SixthWish& wish);

} // namespace yf::box
