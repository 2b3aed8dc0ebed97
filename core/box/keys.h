// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/box.h"

#include <array>
#include <optional>

namespace yf::box {

enum class Kind {
    infiniteBaffle,
    closed,
    vented,
    passiveRadiator,
    bandPass4,
    bandPass6Parallel,
    bandPass6Series,
    openBaffle
};

inline constexpr quantity::Choice<8> kindChoice{"kind",
                                                {"infinite-baffle",
                                                 "closed",
                                                 "vented",
                                                 "passive-radiator",
                                                 "bandpass-4",
                                                 "bandpass-6-parallel",
                                                 "bandpass-6-series",
                                                 "open-baffle"},
                                                "of the enclosure",
                                                {}};

/// What somebody who has no box yet is offered to begin with.
inline constexpr std::array usualKinds{
    Kind::closed, Kind::vented, Kind::passiveRadiator, Kind::bandPass4, Kind::openBaffle};

[[nodiscard]] constexpr bool isBandPass(Kind kind) {
    return kind == Kind::bandPass4 || kind == Kind::bandPass6Parallel ||
           kind == Kind::bandPass6Series;
}

/// Whether walls hold air behind the cone.
[[nodiscard]] constexpr bool hasWalls(Kind kind) {
    return kind != Kind::infiniteBaffle && kind != Kind::openBaffle;
}

[[nodiscard]] constexpr bool hasPorts(Kind kind) {
    return kind == Kind::vented || isBandPass(kind);
}

/// A port or a radiator.
[[nodiscard]] constexpr bool isTuned(Kind kind) {
    return hasPorts(kind) || kind == Kind::passiveRadiator;
}

/// Keys that describe a box of any kind; which ones are needed depends on it.
struct BoxKeys {
    Kind kind{};
    std::optional<double> Vb;
    std::optional<double> fb;
    double gain{1.0};
    std::optional<double> QL;
    std::optional<double> QA;
    std::optional<double> QP;
    std::optional<double> portArea;
    std::optional<double> prSd;
    std::optional<double> prfs;
    std::optional<double> prVas;
    std::optional<double> prQms;
    int prCount{1};
    std::optional<double> prAddedMass;
    std::optional<double> prXmax;
    std::optional<double> Vr;
    std::optional<double> Vf;
    std::optional<double> fbRear;
    std::optional<double> fbFront;
    std::optional<double> path;

    static void fields(auto& self, auto&& field) {
        field(self.kind, kindChoice);
        values(self, field);
    }

    /// All but the kind, for verbs that are about one.
    static void values(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Vb, q::Vb);
        field(self.fb, q::fb);
        losses(self, field);
        field(self.portArea, q::portArea);
        radiator(self, field);
        field(self.Vr, q::Vb.as("Vr_l", "chamber behind the cone"));
        field(self.Vf, q::Vb.as("Vf_l", "chamber before the cone"));
        field(self.fbRear, q::fb.as("fb_rear_hz", "tuning of the rear chamber"));
        field(self.fbFront, q::fb.as("fb_front_hz", "tuning of the front chamber"));
        field(self.path,
              q::distance.as("path_m", "from the cone's rear to its front").within(0.01, 10.0));
    }

    static void losses(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.gain, q::fillGain.orElse(1.0));
        field(self.QL, q::QL.as("QL", "leak loss; 7 where a port or radiator is, else none"));
        field(self.QA, q::QA.as("QA", "absorption; none by default"));
        field(self.QP, q::QP.as("QP", "loss of the port; none by default"));
    }

    static void radiator(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.prSd, q::Sd.as("pr_Sd_m2", "area of a passive radiator"));
        field(self.prfs, q::fs.as("pr_fs_hz", "its resonance in free air").within(1.0, 1000.0));
        field(self.prVas, q::Vas.as("pr_Vas_l", "its equivalent volume").within(0.001, 10000.0));
        field(self.prQms, q::Qms.as("pr_Qms", "its mechanical Q").within(0.1, 1000.0));
        field(self.prCount, q::Whole{"pr_count", 1, 16, "how many", 1});
        field(self.prAddedMass,
              q::Quantity{"m", "pr_added_mass_kg", 1.0, "kg", 0.0, 100.0, "added to each"});
        field(self.prXmax, q::Xmax.as("pr_Xmax_m", "travel of a radiator").within(1e-5, 0.2));
    }
};

/// Names the key that a kind needs and did not get, or that it cannot use.
[[nodiscard]] Result<Box> boxOf(const BoxKeys& keys);

} // namespace yf::box
