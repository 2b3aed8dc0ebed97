// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantities.h"
#include "core/text/value.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::driver {

/// One driver of a batch, as measured.
struct BatchDriver {
    std::string id;
    std::optional<double> fs;
    std::optional<double> Qts;
    std::vector<double> levels; ///< dB, at the request's frequencies

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name of the driver"});
        field(self.fs, q::fs);
        field(self.Qts, q::Qts);
        field(self.levels, q::levels.orElse(0.0)); // default: none
    }
};

enum class PairObjective { sum, worst };

/// Input of `driver pair`.
struct PairRequest {
    std::vector<BatchDriver> drivers;
    std::vector<double> frequencies;
    std::optional<double> bandLow;
    std::optional<double> bandHigh;
    double toleranceFs{0.05};
    double toleranceQts{0.10};
    double toleranceLevel{1.0};
    PairObjective objective{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.drivers, q::Group{"drivers", "two or more"});
        field(self.frequencies, q::frequencies);
        field(self.bandLow, q::frequency.as("band_low_hz", "lower end of the band used"));
        field(self.bandHigh, q::frequency.as("band_high_hz", "upper end of the band used"));
        field(
            self.toleranceFs,
            q::Quantity{"", "tol_fs_pct", 0.01, "%", 0.01, 1000.0, "difference of fs that counts 1"}
                .orElse(5.0));
        field(self.toleranceQts,
              q::Quantity{
                  "", "tol_Qts_pct", 0.01, "%", 0.01, 1000.0, "difference of Qts that counts 1"}
                  .orElse(10.0));
        field(self.toleranceLevel,
              q::Quantity{"", "tol_level_db", 1.0, "dB", 0.01, 60.0, "difference that counts 1"}
                  .orElse(1.0));
        field(self.objective,
              q::Choice<2>{"objective", {"sum", "worst"}, "least sum, or least worst pair", 0});
    }
};

/// The batch in pairs.
struct Pairing {
    struct Pair {
        std::string first;
        std::string second;
        double distance{};
        std::optional<double> largest; ///< dB
        std::optional<double> trim;    ///< dB, mean of second − first
        std::optional<double> rest;    ///< dB, largest once the trim is taken out
    };

    std::vector<Pair> pairs;
    std::optional<std::string> leftOver;
    double total{}; ///< Σ distance²
    bool withinGoal{};
    std::vector<std::string> leftOut; ///< terms that some driver has no figure for

    [[nodiscard]] text::Value write() const;
};

/// Pairs a batch so that partners are alike:
///     d² = (ln(fs_i/fs_j)/t_f)² + (ln(Qts_i/Qts_j)/t_Q)² + (max|L_i − L_j|/t_L)²
/// over the band. Least sum of d² by matching on a general graph; `worst`: smallest largest d, then
/// the sum. An odd batch leaves one over. A figure that any driver lacks is left out for all, and
/// said. Goal between left and right: 1 dB (common practice).
/// Errors: fewer than two, an id twice, levels of another length, a band without points, nothing to
/// compare.
[[nodiscard]] Result<Pairing> pairUp(const PairRequest& request);

} // namespace yf::driver
