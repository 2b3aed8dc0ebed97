// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"
#include "core/speaker/wiring.h"

/// How well wrong wiring is found on speakers drawn at random.
namespace yf::sim {

/// One speaker: drivers as network trial's, a network of the book (order 1 to 4, either alignment)
/// for |Z| at fx with the polarities that make the flattest sum, perhaps one driver the wrong way
/// round, and takes with noise, a level error and a tilt of their own.
struct WiringCase {
    curve::Axis axis;
    std::vector<std::vector<curve::Complex>> ways; ///< as drawn, measured one by one
    std::vector<double> sum;                       ///< dB, as really wired
    std::vector<bool> reversed;                    ///< what is really reversed; the lowest never
    int order{};
    double heard{}; ///< dB, that the error changes at its worst
};

[[nodiscard]] WiringCase wiringCase(int seed, int number, bool wrong);

/// Input of `speaker trial`.
struct WiringTrialRequest {
    int seed{1};
    int speakers{200};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.seed, q::Whole{"seed", 0, 1000000, "of the draws", 1});
        field(self.speakers,
              q::Whole{"speakers", 1, 100000, "wrongly wired, and as many right", 200});
    }
};

struct WiringTrial {
    int wrong{};    ///< speakers with a driver the wrong way round that is heard (3 dB somewhere)
    int named{};    ///< of them: found, with the right driver
    int misnamed{}; ///< of them: another named
    int unheard{};  ///< wrong, and no difference of 3 dB anywhere: not counted
    int right{};    ///< speakers wired as drawn
    int falseAlarms{}; ///< of them: one named

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto count = [](const char* key, const char* help) {
            return q::Whole{key, 0, 1000000, help};
        };
        field(self.wrong, count("wrong", "wrongly wired and heard"));
        field(self.named, count("named", "found with the right driver"));
        field(self.misnamed, count("misnamed", "found with another"));
        field(self.unheard, count("unheard", "wrong without a difference of 3 dB"));
        field(self.right, count("right", "wired as drawn"));
        field(self.falseAlarms, count("false_alarms", "of those"));
    }
};

[[nodiscard]] Result<WiringTrial> wiringTrial(const WiringTrialRequest& request);

} // namespace yf::sim
