// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/model_keys.h"
#include "core/quantity/kinds.h"
#include "core/text/value.h"

#include <string>
#include <vector>

namespace yf::driver {

/// Production of drivers spreads by about that much about what is printed (common practice).
inline constexpr double usualSpread = 0.2;

enum class Shape { round, square, oval, octagonal };

inline constexpr quantity::Choice<4> shape{
    "shape", {"round", "square", "oval", "octagonal"}, "shape of the basket", {}};

/// A driver as far as a replacement cares: what is missing is left out of the score, and said.
struct Part {
    std::string id;
    ModelKeys model;
    std::optional<double> Vas;
    std::optional<double> Sd;
    std::optional<double> sensitivity; ///< dB at 2.83 V, 1 m
    std::optional<double> cutout;      ///< m, diameter of the hole it needs
    std::optional<double> outer;       ///< m, diameter of the flange
    std::optional<double> depth;       ///< m, behind the front
    std::optional<Shape> shape;
    std::optional<double> Xmax;  ///< m
    std::optional<double> power; ///< W, rated

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name of the driver", ""});
        ModelKeys::fields(self.model, field);
        field(self.Vas, q::Vas);
        field(self.Sd, q::Sd);
        field(self.sensitivity, q::sensitivity2v83);
        field(self.cutout, size("cutout_m", "hole that it needs"));
        field(self.outer, size("outer_m", "diameter of the flange"));
        field(self.depth, size("depth_m", "depth behind the front"));
        field(self.shape, driver::shape);
        field(self.Xmax, q::Xmax);
        field(self.power, q::Quantity{"P", "power_w", 1.0, "W", 0.01, 1e5, "rated"});
    }

    bool operator==(const Part&) const = default;

private:
    static constexpr quantity::Quantity size(std::string_view key, std::string_view help) {
        return {"d", key, 1.0, "m", 0.005, 2.0, help};
    }
};

/// Input of `driver match`.
struct MatchRequest {
    Part old;
    std::vector<Part> candidates;
    std::optional<double> hole; ///< m
    std::optional<double> room; ///< m, depth behind the front
    Shape shape{};
    std::optional<quantity::DriverRole> role;
    std::optional<double> Vb;
    std::optional<double> fb; ///< absent: closed
    double QL{7.0};
    std::optional<double> fx;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.old, q::Group{"old", "the driver to replace"});
        field(self.candidates, q::Group{"candidates", "those that might do"});
        field(self.hole, q::diameter.as("hole_m", "hole in the front"));
        field(self.room, q::diameter.as("depth_room_m", "depth behind the front"));
        field(self.shape, driver::shape.orElse(0));
        field(self.role, quantity::driverRole);
        field(self.Vb, q::Quantity{"Vb", "Vb_l", 1e-3, "l", 0.01, 1e5, "net volume of the box"});
        field(self.fb, q::Quantity{"fb", "fb_hz", 1.0, "Hz", 5.0, 1000.0, "tuning of the box"});
        field(self.QL,
              q::Quantity{"QL", "QL", 1.0, "", 0.5, 1e9, "leakage of the box"}.orElse(7.0));
        field(self.fx, q::fx);
    }
};

/// One candidate judged.
struct Candidate {
    std::string id;
    bool fits{};
    double score{};                    ///< 0 to 100
    std::vector<Words> reasons;        ///< sentences: what differs, what must change
    std::optional<double> sensitivity; ///< dB, new − old
    std::optional<double> box;         ///< dB, largest difference in the same box
    double pad{};                      ///< dB
};

struct Match {
    std::vector<Candidate> candidates; ///< in the order given
    std::vector<std::size_t> ranking;  ///< accepted ones, best first

    [[nodiscard]] text::Value write() const;
};

/// Candidates against the old driver.
///
/// They must fit: hole at least the cut-out less 1 mm, flange at least the hole and 6 mm, 10 mm of
/// room behind, the same shape, Re at least 0.75 of the old one's (common practice).
/// Score = 100·exp(−½·Σw(d/t)²/Σw): sensitivity 1.5 dB (w 2; a midrange's or tweeter's surplus
/// counts half, a pad takes it), response in the same box 1.5 dB from 0.7·f3 to 10·f3 (w 2,
/// woofers), |Z| at fx 15 %, Re 15 %, Sd 20 % (w 1), fs and Qts 25 % (w ½ each).
/// Box responses: Small 1972 (closed) and 1973 (vented, leak QL). Errors: none but those of keys.
[[nodiscard]] Result<Match> match(const MatchRequest& request);

/// |G| of driver and box in dB re far above resonance, at frequency f.
struct BoxOf {
    double fs{};
    double Qts{};
    double alpha{}; ///< Vas/Vb
    std::optional<double> fb;
    double QL{7.0};
};

[[nodiscard]] double boxLevel(const BoxOf& box, double f);

} // namespace yf::driver
