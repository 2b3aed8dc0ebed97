// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/find/finder.h"
#include "core/tune/tune.h"

namespace yf::find {

/// Where neighbours may change places: [[lo, hi]…] in Hz, one for each pair.
struct Bands {
    std::vector<curve::Range> list;

    static Result<Bands> read(const text::Value& value, const std::string& path);
    [[nodiscard]] text::Value write() const;
};

/// Input of `network find`.
struct FindRequest {
    network::DriverSet drivers;
    std::vector<std::string> ways;
    tune::GoalRequest goal;
    std::optional<std::vector<double>> orders;
    std::optional<std::vector<std::string>> extras;
    std::optional<Bands> fxBands;
    bool seriesToo{};
    std::optional<int> maxParts;
    std::optional<network::ESeries> eSeries;
    network::Prices prices;
    int starts{3};
    int seed{1};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.drivers, q::Group{"drivers", "by name"});
        field(self.ways, q::Word{"ways", "names of drivers, low to high"});
        tune::GoalRequest::fields(self.goal, field);
        field(self.orders,
              q::Quantity{"N", "orders", 1.0, "", 1.0, 4.0, "of filters; 1 to 4 unless given"});
        field(self.extras, q::Word{"extras", "of zobel, trap, pad; none unless given"});
        field(self.fxBands,
              q::Group{"fx_bands_hz", "where neighbours may cross; what the drivers allow", true});
        field(self.seriesToo, q::Flag{"series_too", "two ways in series are tried as well", false});
        field(self.maxParts, q::Whole{"max_parts", 1, 100, "at most so many parts"});
        field(self.eSeries, network::eSeriesKey);
        field(self.prices, q::Group{"prices", "what parts cost", true});
        field(self.starts, q::Whole{"starts", 1, 100, "for each network", 3});
        field(self.seed, q::Whole{"seed", 0, 2147483647, "of the starts", 1});
    }
};

/// Refused: fewer than two ways, a way that is no driver or stands twice, an extra that is none,
/// bands that are not one for each pair or do not rise, what the goal refuses.
[[nodiscard]] std::optional<Error> check(const FindRequest& request);

/// The search that a request states. Fails where drivers' tables do not cover the band, and where
/// no bands are given and two neighbours do not meet.
[[nodiscard]] Result<Plan> planOf(const FindRequest& request);

/// Where two neighbours may meet: above twice the upper one's resonance and below where the lower
/// one has fallen by 6 dB from its mean, or four octaves higher (rules of thumb). Nothing where
/// that is less than a third of an octave, or where the upper one's resonance is not known; a
/// resistor or a coil has none, and only the curves end it below.
[[nodiscard]] std::optional<curve::Range>
meeting(const network::Loads& loads, const network::Load& lower, const network::Load& upper);

struct FindAnswer {
    Bands bands;                      ///< given, or what was taken in their place
    std::optional<double> leastLevel; ///< dB, likewise
    std::size_t candidates{};
    std::vector<Point> front; ///< by parts, each flatter than all with fewer
    std::vector<network::NamedDriver> drivers;

    [[nodiscard]] text::Value write() const;
};

/// The `find` verb.
[[nodiscard]] Result<FindAnswer> find(const FindRequest& request);

} // namespace yf::find
