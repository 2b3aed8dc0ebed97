// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/line/prototype.h"
#include "core/tune/sparing.h"
#include "core/tune/tuner.h"

namespace yf::tune {

enum class Slopes { lowPass, highPass, bandPass };

/// A way's own curve: a filter from the book, at the common level.
struct WayTarget {
    std::string way;
    Slopes kind{};
    network::Alignment alignment{};
    int order{};
    std::optional<double> fx;
    std::optional<double> fxLow;
    std::optional<double> fxHigh;
    double weight{1.0};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.way, q::Word{"way", "its name, or its driver's"});
        field(self.kind,
              q::Choice<3>{"kind", {"low-pass", "high-pass", "band-pass"}, "of its curve", {}});
        field(self.alignment,
              q::Choice<4>{"alignment",
                           {"butterworth", "linkwitz-riley", "bessel", "chebyshev"},
                           "shape of the slope",
                           1});
        field(self.order, q::Whole{"order", 1, 8, "of the acoustic slope"});
        field(self.fx, q::fx);
        field(self.fxLow, q::fx.as("fx_low_hz", "lower end of a band-pass"));
        field(self.fxHigh, q::fx.as("fx_high_hz", "upper end of a band-pass"));
        field(self.weight,
              q::Quantity{"w", "weight", 1.0, "", 0.0, 1e3, "against the sum"}.orElse(1.0));
    }
};

/// What a driver must not get.
struct LimitRequest {
    std::string driver;
    std::vector<double> frequencies;
    std::vector<double> most;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.driver, q::Word{"driver", "that is protected"});
        field(self.frequencies, q::frequencies);
        field(self.most, q::levels.as("max_db", "greatest drive there, re the EMF"));
    }
};

/// What is wanted, in keys: shared by `tune` and `find`.
struct GoalRequest {
    double from{};
    double to{};
    std::optional<double> targetLevel;
    std::optional<double> leastLevel;
    double tilt{};
    std::optional<std::vector<double>> targetFrequencies;
    std::optional<std::vector<double>> targets;
    bool levelFree{};
    double sumWeight{1.0};
    std::vector<WayTarget> wayTargets;
    double trackingWeight{};
    std::optional<double> minimum;
    std::vector<LimitRequest> limits;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const q::Quantity weight{"w", "weight", 1.0, "", 0.0, 1e3, ""};
        field(self.from, q::frequency.as("from_hz", "lower end of the band"));
        field(self.to, q::frequency.as("to_hz", "upper end of the band"));
        field(self.targetLevel, q::levels.as("target_level_db", "of the sum; free unless given"));
        field(self.leastLevel,
              q::levels.as("min_level_db", "that a free level must not fall below"));
        field(self.tilt,
              q::Quantity{"", "tilt_db_per_octave", 1.0, "dB", -12.0, 12.0, "about 1 kHz"}.orElse(
                  0.0));
        field(self.targetFrequencies, q::frequencies.as("target_frequencies_hz", "of a target"));
        field(self.targets, q::levels.as("targets_db", "of the sum, absolute"));
        field(self.levelFree, q::Flag{"level_free", "a target's level is free too", false});
        field(self.sumWeight, weight.as("sum_weight", "of the sum").orElse(1.0));
        field(self.wayTargets, q::Group{"way_targets", "curves of single ways", true});
        field(self.trackingWeight,
              weight.as("tracking_weight", "of neighbours in step").orElse(0.0));
        field(self.minimum, q::loadResistance.as("min_ohm", "floor of |Z|"));
        field(self.limits, q::Group{"drive_limits", "drives that must not be passed", true});
    }
};

[[nodiscard]] std::optional<Error> check(const GoalRequest& goal);

/// Input of `network tune`.
struct TuneRequest {
    network::Network network;
    GoalRequest goal;
    std::optional<std::vector<std::string>> fixedIds;
    std::optional<std::vector<double>> boundRatios;
    std::optional<int> maxChanges;
    bool tuneLines{};
    std::optional<double> mayCost;
    Sparing::By sparing{};
    network::Prices prices;
    std::optional<network::ESeries> eSeries;
    network::Stock stock;
    int starts{8};
    int seed{1};
    int draws{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.network, q::Group{"network", "the network"});
        GoalRequest::fields(self.goal, field);
        field(self.fixedIds, q::Word{"fixed_ids", "parts that stay"});
        field(self.boundRatios,
              q::Quantity{"", "bound_ratios", 1.0, "", 1e-3, 1e3, "least and greatest, re now"});
        field(self.maxChanges, q::Whole{"max_changes", 1, 16, "the best change of so many parts"});
        field(self.tuneLines,
              q::Flag{"tune_lines", "filters, gains and delays before own amplifiers too", false});
        field(self.mayCost,
              q::Quantity{"",
                          "may_cost_db",
                          1.0,
                          "dB",
                          0.0,
                          20.0,
                          "that leaving parts out may add to the error; none is left out unless "
                          "given"});
        field(self.sparing,
              q::Choice<2>{"sparing", {"parts", "price"}, "what leaving out is to save", 0});
        field(self.prices, q::Group{"prices", "what parts cost", true});
        field(self.eSeries, network::eSeriesKey);
        field(self.stock, q::Group{"stock", "own parts that it ends in, before any series", true});
        field(self.starts, q::Whole{"starts", 1, 1000, "of the search", 8});
        field(self.seed, q::Whole{"seed", 0, 2147483647, "of the starts", 1});
        field(self.draws,
              q::Whole{"robust_draws", 0, 64, "networks with parts off that count too", 0});
    }
};

[[nodiscard]] std::optional<Error> check(const TuneRequest& request);

/// A step of the front of fewest changes.
struct Change {
    int count{};
    double rms{};
    std::vector<std::string> ids;
};

struct TuneAnswer {
    network::Network network;
    std::vector<std::string> changed;
    double rms{};  ///< dB, unweighted, of sum, ways and tracking in use
    double most{}; ///< dB
    double level{};
    double impedanceMinimum{};
    std::vector<std::string> driverNames;
    std::vector<std::vector<double>> drives; ///< dB on the points between from_hz and to_hz
    Stop stop{};
    std::vector<Change> changes; ///< with max_changes: none, one, two … parts
    double price{};
    std::vector<Spared> leftOut; ///< with may_cost_db, in the order in which they went

    [[nodiscard]] text::Value write() const;
};

/// The problem that a request states. Fails where tables do not cover the band, where nothing is
/// free, and on names that are not there.
[[nodiscard]] Result<Problem> problemOf(const network::Network& network, const GoalRequest& goal);

/// The `tune` verb.
[[nodiscard]] Result<TuneAnswer> tune(const TuneRequest& request);

} // namespace yf::tune
