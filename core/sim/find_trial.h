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

/// One set of drivers: what the book gives, trimmed by hand, and what was found.
struct FindCase {
    NetworkFigures byHand;
    bool allowed{}; ///< the trimmed one keeps floor, limits and crossings
    std::vector<NetworkFigures> front;
    int better{}; ///< of the front: cheaper and flatter than that

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.byHand, q::Group{"by_hand", "fourth order out of the book, trimmed"});
        field(self.allowed, q::Flag{"by_hand_allowed", "it keeps floor and limits", false});
        field(self.front, q::Group{"front", "by parts"});
        field(self.better, q::Whole{"better", 0, 1000, "cheaper and flatter than that"});
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

/// The same for one plan, whoever's drivers they are.
[[nodiscard]] FindCase findCase(const find::Plan& plan);

} // namespace yf::sim
