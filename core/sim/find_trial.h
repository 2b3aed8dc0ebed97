// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/find/find.h"

namespace yf::sim {

/// Drivers of a speaker drawn at random, low to high: coil and motion as driver trial's, a response
/// with its own resonance, an upper end, humps and dips, and the depth of its acoustic centre.
[[nodiscard]] network::DriverSet knownDrivers(int seed, int set, int ways);

/// What is asked for such drivers: 150 Hz to 16 kHz flat within 3.2 Ω, upper drivers at most −12 dB
/// at their resonance and 12 dB an octave less below it, crossings where neighbours meet.
[[nodiscard]] find::FindRequest findRequest(const network::DriverSet& drivers);

/// Input of `network trial`.
struct FindTrialRequest {
    int seed{1};
    int sets{3};
    int ways{3};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.seed, q::Whole{"seed", 0, 1000000, "of the draws", 1});
        field(self.sets, q::Whole{"sets", 1, 100, "of drivers", 3});
        field(self.ways, q::Whole{"ways", 2, 4, "of each speaker", 3});
    }
};

/// A network in figures.
struct NetworkFigures {
    int parts{};
    double price{};
    double rms{};
    double most{};
    double impedance{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.parts, q::Whole{"parts", 0, 1000, "of the network"});
        field(self.price, q::Quantity{"", "price", 1.0, "", 0.0, 1e9, "by the list"});
        field(self.rms, q::levels.as("rms_error_db", "from flat").within(0.0, 1e3));
        field(self.most, q::levels.as("max_error_db", "from flat").within(0.0, 1e3));
        field(self.impedance, q::loadResistance.as("impedance_min_ohm", "20 Hz to 20 kHz"));
    }
};

/// A network that has aged, and what tuning makes of it.
struct AgedCase {
    NetworkFigures received;     ///< the trimmed one, capacitors between 0.6 and 1.3 of their value
    NetworkFigures tuned;        ///< every value free, within floor and limits
    std::vector<double> changes; ///< dB rms with none, one, two and three parts changed

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.received, q::Group{"received", "the trimmed network, aged"});
        field(self.tuned, q::Group{"tuned", "every value free"});
        field(self.changes,
              q::levels.as("changes_rms_db", "with none, one, two and three parts changed"));
    }
};

/// One set of drivers: what the book gives, trimmed by hand, and what was found.
struct FindCase {
    NetworkFigures byHand;
    bool allowed{}; ///< the trimmed one keeps floor, limits and crossings
    std::vector<NetworkFigures> front;
    int better{}; ///< of the front: cheaper and flatter than that
    std::optional<AgedCase> aged;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.byHand, q::Group{"by_hand", "fourth order out of the book, trimmed"});
        field(self.allowed, q::Flag{"by_hand_allowed", "it keeps floor and limits", false});
        field(self.front, q::Group{"front", "by parts"});
        field(self.better, q::Whole{"better", 0, 1000, "cheaper and flatter than that"});
        field(self.aged, q::Group{"aged", "a network that has aged, tuned"});
    }
};

struct FindTrial {
    std::vector<FindCase> sets;

    static void fields(auto& self, auto&& field) {
        field(self.sets, yf::quantity::Group{"sets", "one for each draw"});
    }
};

/// E12 values for both.
[[nodiscard]] Result<FindTrial> findTrial(const FindTrialRequest& request);

/// The same for one plan, whoever's drivers they are; without what has aged.
[[nodiscard]] FindCase findCase(const find::Plan& plan);

/// The trimmed network with capacitors aged by the seed, tuned with every value free, and with the
/// fewest changes.
[[nodiscard]] AgedCase agedCase(const find::Plan& plan, std::uint64_t seed);

} // namespace yf::sim
