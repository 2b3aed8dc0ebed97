// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/jig.h"
#include "core/measure/calibration.h"
#include "core/measure/polar.h"
#include "core/quantity/kinds.h"
#include "core/quantity/quantities.h"
#include "core/signal/sweep.h"

#include <string>
#include <vector>

namespace yf::job {

/// Where the microphone stood.
enum class MicPlace { farField, nearCone, nearPort };

/// How the driver stood while its impedance was taken.
enum class Mounting { free, closedBox, ventedBox };

/// How a take came about, as far as it was recorded here: enough to make its curve anew from the
/// samples with another gate.
struct Recorded {
    std::string cabinet;
    std::string driver; ///< which one spoke; empty: the whole cabinet
    std::string also;   ///< another driver that spoke at once; empty: none
    MicPlace place{};
    quantity::Plane plane{};
    double angle{};        ///< degrees
    std::string condition; ///< "as received", "after new capacitors"
    std::string device;
    bool simulated{};
    std::string network; ///< digest of the network that a whole cabinet had; see networkKey
    signal::SweepPlan sweep;
    std::optional<double> temperature; ///< °C
    double gateLeft{1e-3};
    std::optional<double> gateRight; ///< s; absent: as proposed
    Words calibration;               ///< what was taken off, in words
    std::string microphoneTable;     ///< content of the microphone's table; empty: none
    std::string cardTable;           ///< the same of the sound card; see measure::CardTable
    std::string jigTable;            ///< open, short and load of the jig; see driver::JigTable
    std::optional<double> fullScalePressure; ///< Pa of digital 1.0; absent: levels are relative
    std::optional<double> fullScaleVoltage;  ///< V for 1.0 played
    std::optional<double> sense;             ///< Ω, of an impedance jig
    Mounting mounting{};
    double lead{};                   ///< Ω
    std::vector<std::string> faults; ///< what the judge said, gravest first
    bool keptAnyway{};               ///< kept on purpose although it is not usable
    std::string samples;             ///< digest of the raw samples

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.cabinet, q::Word{"cabinet", "which one", ""});
        field(self.driver, q::Word{"driver", "which one spoke; empty: all", ""});
        field(self.also, q::Word{"also", "another driver that spoke at once", ""});
        field(self.place,
              q::Choice<3>{"place", {"far", "near-cone", "near-port"}, "of the microphone", 0});
        field(self.plane, q::plane.orElse(0));
        field(self.angle,
              q::Quantity{"θ", "angle_deg", 1.0, "°", -180.0, 180.0, "off the axis"}.orElse(0.0));
        field(self.condition, q::Word{"condition", "of the speaker", ""});
        field(self.device, q::Word{"device", "that recorded it", ""});
        field(self.simulated, q::Flag{"simulated", "by the simulated bench", false});
        field(self.network, q::Word{"network", "digest of the cabinet's network then", ""});
        field(self.sweep, q::Group{"sweep", "what was played", true});
        field(self.temperature, q::temperature);
        field(self.gateLeft,
              q::Quantity{"", "gate_left_s", 1.0, "s", 0.0, 1.0, "kept before the arrival"}.orElse(
                  1e-3));
        field(self.gateRight, q::gate.as("gate_right_s", "kept after it"));
        field(self.calibration, q::Told{"calibration", "what was taken off"});
        field(self.microphoneTable, q::Word{"microphone_table", "its content", ""});
        field(self.cardTable, q::Word{"card_table", "of the sound card, its content", ""});
        field(self.jigTable, q::Word{"jig_table", "open, short and load, its content", ""});
        field(self.fullScalePressure,
              q::Quantity{"K", "full_scale_pa", 1.0, "Pa", 1e-6, 1e6, "of digital 1.0"});
        field(self.fullScaleVoltage,
              q::Quantity{"V", "full_scale_v", 1.0, "V", 1e-6, 1e4, "for 1.0 played"});
        field(self.sense, q::resistance.as("sense_ohm", "of the jig"));
        field(self.lead, q::leads.orElse(0.0));
        field(self.mounting,
              q::Choice<3>{"mounting", {"free", "closed-box", "vented-box"}, "of the driver", 0});
        field(self.faults, q::Word{"faults", "what the judge said", ""});
        field(self.keptAnyway, q::Flag{"kept_anyway", "although it is not usable", false});
        field(self.samples, q::Word{"samples", "digest of the raw samples", ""});
    }

    bool operator==(const Recorded&) const = default;
};

} // namespace yf::job
