// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/find/shape.h"
#include "core/network/parts/price.h"
#include "core/network/solve/network.h"

/// What a search for whole networks came to, as a cabinet keeps it.
namespace yf::job {

/// A way's shape with its keys.
struct FoundWay {
    find::Shape shape;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.shape.highPass, q::Whole{"high_pass", 0, 4, "order", 0});
        field(self.shape.lowPass, q::Whole{"low_pass", 0, 4, "order", 0});
        field(self.shape.topology,
              q::Choice<2>{"band_topology", {"high-pass-first", "low-pass-first"}, "order", 0});
        field(self.shape.trap, q::Flag{"trap", "in the line", false});
        field(self.shape.pad, q::Flag{"pad", "before the driver", false});
        field(self.shape.zobel, q::Flag{"zobel", "across the driver", false});
        field(self.shape.series, q::Flag{"series", "in series with the other way", false});
    }

    bool operator==(const FoundWay&) const = default;
};

struct FoundNetwork {
    network::Circuit circuit;
    std::vector<FoundWay> ways;
    int parts{};
    double price{};
    double rms{};       ///< dB from the target, on axis or on it and beside it
    double most{};      ///< dB
    double impedance{}; ///< Ω, least |Z|

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.circuit, q::Group{"network", "with its parts"});
        field(self.ways, q::Group{"shapes", "of its ways"});
        field(self.parts, q::Whole{"parts", 0, 1000, "how many"});
        field(self.price, q::Quantity{"", "price", 1.0, "", 0.0, 1e9, "of all parts"});
        field(self.rms, q::levels.as("rms_error_db", "from the target").within(0.0, 1e3));
        field(self.most, q::levels.as("max_error_db", "from the target").within(0.0, 1e3));
        field(self.impedance,
              q::loadResistance.as("impedance_min_ohm", "20 Hz to 20 kHz").within(0.0, 1e6));
    }

    bool operator==(const FoundNetwork&) const = default;
};

/// The front, and beside it the yardstick.
struct FoundFront {
    std::vector<FoundNetwork> networks; ///< by parts, then price
    FoundNetwork byHand;                ///< fourth order out of the book, trimmed
    double floor{};                     ///< Ω, that was asked for
    bool aside{};                       ///< errors are of the axis and beside it together

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.networks, q::Group{"networks", "those that nothing found beats"});
        field(self.byHand, q::Group{"by_hand", "fourth order out of the book, trimmed"});
        field(self.floor, q::loadResistance.as("min_ohm", "floor that was asked for"));
        field(self.aside, q::Flag{"aside", "errors are of the axis and beside it", false});
    }

    bool operator==(const FoundFront&) const = default;
};

} // namespace yf::job
