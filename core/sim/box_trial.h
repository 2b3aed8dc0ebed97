// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/keys.h"
#include "core/box/source.h"
#include "core/curve/curve.h"
#include "core/quantity/quantities.h"

#include <string>
#include <vector>

namespace yf::sim {

/// What is wrong with a box.
enum class BoxFault { none, leak, blocked };

/// A driver in a box, everything about both known.
struct KnownBox {
    box::Driver driver;
    box::Box box;
    bool ported{}; ///< as built; a blocked one still is
    double fb{};   ///< of a ported one
    BoxFault fault{};
};

/// The n-th of a seed: three in five ported and sound, then sealed and sound, then in turn a
/// leaking ported, a leaking sealed, a blocked one.
[[nodiscard]] KnownBox knownBox(int seed, int n);

/// Its impedance with noise of a share of each value.
[[nodiscard]] curve::Curve impedanceOf(const KnownBox& known, double noise, int seed);

/// Input of `box trial`.
struct BoxTrialRequest {
    int seed{1};
    int count{300};
    double noise{0.01};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.seed, q::Whole{"seed", 0, 1000000, "of the draws", 1});
        field(self.count, q::Whole{"count", 1, 10000, "boxes", 300});
        field(self.noise,
              q::Quantity{"", "noise_pct", 0.01, "%", 0.0, 20.0, "of each value"}.orElse(1.0));
    }
};

struct BoxTrial {
    int boxes{};
    int failed{};       ///< not read at all
    int sound{};        ///< ported and sound
    double fbHeld{};    ///< share of those within 1 %
    double QLHeld{};    ///< within 20 %
    double alphaHeld{}; ///< within 5 %
    double fsCovered{}; ///< share whose 95 % interval holds the truth
    double QmsCovered{};
    double QesCovered{};
    double told{}; ///< share of all whose state was told right
    std::vector<std::string> wrong;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto share = [](const char* key, const char* help) {
            return q::Quantity{"", key, 0.01, "%", 0.0, 100.0, help};
        };
        field(self.boxes, q::Whole{"boxes", 0, 100000, "tried"});
        field(self.failed, q::Whole{"failed", 0, 100000, "not read"});
        field(self.sound, q::Whole{"sound", 0, 100000, "ported and sound"});
        field(self.fbHeld, share("fb_within_1_pct", "of those"));
        field(self.QLHeld, share("QL_within_20_pct", "of those"));
        field(self.alphaHeld, share("alpha_within_5_pct", "of those"));
        field(self.fsCovered, share("fs_covered_pct", "95 % intervals that hold it"));
        field(self.QmsCovered, share("Qms_covered_pct", "95 % intervals that hold it"));
        field(self.QesCovered, share("Qes_covered_pct", "95 % intervals that hold it"));
        field(self.told, share("told_pct", "sound, leaking, blocked told right"));
        field(self.wrong, q::Word{"wrong", "those that were not"});
    }
};

/// Boxes with semi-inductive coils, read back from one curve each.
[[nodiscard]] Result<BoxTrial> boxTrial(const BoxTrialRequest& request);

} // namespace yf::sim
