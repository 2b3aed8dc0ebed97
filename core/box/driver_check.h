// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/keys.h"
#include "core/box/summary.h"

#include <string>
#include <vector>

namespace yf::box {

enum class SealOrPort { closed, vented };

/// What is wanted of a driver in a box that is there; what is absent does not count.
struct DriverWishes {
    std::optional<double> f3;
    std::optional<double> sensitivity; ///< dB
    std::optional<double> Re;          ///< Ω, of the driver before
    std::optional<double> level;       ///< dB, least from f3 to 200 Hz
};

enum class Suits { fits, fitsWithChanges, doesNot };

/// Points lost, worst first.
struct Penalty {
    std::string what; ///< "peak", "f3", "sensitivity", "resistance", "level"
    double points{};
    double found{};
    std::optional<double> wanted;
};

struct Suitability {
    double score{100.0};
    Suits verdict{};
    std::vector<Penalty> penalties;
    Summary summary;
    std::optional<double> level; ///< dB: least that travel and power allow from f3 to 200 Hz
};

/// 100 less 15·max(0, peak−1 dB), 40·max(0, log2(f3/f3 wanted)), 10·max(0, |Δsensitivity|−1 dB),
/// 100·max(0, 0.9 − Re/Re wanted), 5·max(0, level wanted − level). 80 fits, 50 with changes. The
/// weights are judgement, not measurement.
[[nodiscard]] Suitability
suitability(const Driver& driver, const Box& box, const Source& source, const DriverWishes& wishes);

/// The best retuning of a vented box over fb/2 … 2fb; at the lower end the port is better closed.
struct Retuned {
    std::optional<double> fb; ///< none: close the port
    double score{};
    bool atLowerEnd{};
};

[[nodiscard]] Retuned
retuned(const Driver& driver, const Vented& box, const Source& source, const DriverWishes& wishes);

/// Input of `box driver-check`.
struct DriverCheckRequest {
    Driver driver;
    Source source;
    SealOrPort kind{};
    BoxKeys keys;
    DriverWishes wishes;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Driver::fields(self.driver, field);
        Source::fields(self.source, field);
        field(self.kind, q::Choice<2>{"kind", {"closed", "vented"}, "of the box", {}});
        field(self.keys.Vb, q::Vb);
        field(self.keys.fb, q::fb);
        BoxKeys::losses(self.keys, field);
        field(self.wishes.f3, q::f3.as("f3_wanted_hz", "wish"));
        field(self.wishes.sensitivity, q::sensitivity.as("sensitivity_wanted_db", "wish"));
        field(self.wishes.Re, q::Re.as("Re_wanted_ohm", "of the driver before"));
        field(self.wishes.level, q::peak.as("level_wanted_db", "wish; needs Xmax_m or power_w"));
    }
};

[[nodiscard]] std::optional<Error> check(const DriverCheckRequest& request);

struct DriverCheckAnswer {
    double alpha{};
    std::optional<double> h;
    double Qts{};
    Summary summary;
    double score{};
    Suits verdict{};
    std::optional<double> fbBetter;
    std::optional<double> scoreRetuned;
    bool closePort{};
    std::vector<Words> reasons;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto points = [](const char* key) {
            return q::Quantity{"", key, 1.0, "", -1e6, 100.0, "of 100"};
        };
        field(self.alpha, q::alpha);
        field(self.h, q::tuningRatio);
        field(self.Qts, q::Qts);
        Summary::fields(self.summary, field);
        field(self.score, points("score"));
        field(
            self.verdict,
            q::Choice<3>{
                "verdict", {"fits", "fits-with-changes", "does-not-fit"}, "80 and 50 decide", {}});
        field(self.fbBetter, q::fb.as("fb_better_hz", "best tuning of this box"));
        field(self.scoreRetuned, points("score_retuned"));
        field(self.closePort, q::Flag{"close_the_port", "the best tuning is the lowest tried"});
        field(self.reasons, q::Word{"penalties", "largest first"});
    }
};

[[nodiscard]] Result<DriverCheckAnswer> driverCheck(const DriverCheckRequest& request);

} // namespace yf::box
