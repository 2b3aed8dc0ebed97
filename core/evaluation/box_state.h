// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/air_modes.h"
#include "core/box/panel.h"
#include "core/box/read_back.h"
#include "core/box/response.h"
#include "core/box/spread.h"
#include "core/box/summary.h"
#include "core/evaluation/box_driver.h"
#include "core/job/box_geometry.h"
#include "core/job/job.h"

#include <memory>
#include <optional>

/// A job's boxes, computed: what follows from wood, air and driver.

namespace yf::evaluation {

/// A panel of the cabinet and where it sings, as a bracket.
struct PanelState {
    std::string name; ///< "side", "front", "back", "top"
    double width{};   ///< m, of its largest free field
    double height{};
    box::PanelResonance resonance;

    bool operator==(const PanelState&) const = default;
};

/// An air mode and what stands at its pressure.
struct ModeState {
    box::AirMode mode;
    double atDriver{}; ///< share of the greatest pressure there
    double atPort{};   ///< 0 without a port

    bool operator==(const ModeState&) const = default;
};

/// Everything the application says about one box.
struct BoxResult {
    std::string driver;
    Words problem; ///< a sentence where nothing can be computed
    BoxDriver known;
    std::vector<Words> assumed; ///< sentences: what of the box is taken for usual
    box::Source source;         ///< with the network's series resistance
    job::BoxVolumes volumes;
    box::Box box;
    std::optional<double> fb;
    double alpha{};
    double Qts{}; ///< with the source
    std::optional<double> fc;
    std::optional<double> Qtc;
    box::Summary summary;
    box::Response response; ///< 10 Hz to 1 kHz
    box::Bands bands;       ///< on `bandAxis`
    curve::Axis bandAxis;
    double validTo{}; ///< Hz: piston and small chambers
    std::vector<PanelState> panels;
    std::vector<ModeState> modes;
    std::optional<double> fastest; ///< m/s in the port at the drive, above 20 Hz
    std::optional<double> pipe;    ///< Hz, lowest pipe resonance of a port

    bool operator==(const BoxResult&) const = default;
};

/// Between volts at the drive and watts into Re, as a rating is meant.
/// What a box is computed from: its wood and ports, the front that it is behind, and the driver.
struct BoxInputs {
    job::Enclosure enclosure;
    job::Cabinet front;        ///< outer sizes and mounts alone
    double driverDiameter{};   ///< m, outer
    double seriesResistance{}; ///< Ω, before the driver
    bool sweptInBox{};         ///< an impedance was measured in a box
    std::shared_ptr<const Result<BoxDriver>> known;

    bool operator==(const BoxInputs&) const = default;
};

[[nodiscard]] BoxInputs boxInputs(const job::Job& job,
                                  const job::Cabinet& cabinet,
                                  const job::Enclosure& enclosure,
                                  std::shared_ptr<const Result<BoxDriver>> known);

/// Resistance that stands before the driver in its network, source included: from the drive at the
/// lowest frequency, Z·(1/H − 1); what a pad takes away behind it is not separated.
[[nodiscard]] double seriesResistance(const job::Cabinet& cabinet, const std::string& driver);

/// All about one box. Never fails: what cannot be computed says why.
[[nodiscard]] BoxResult boxResult(const BoxInputs& in);

[[nodiscard]] double powerIn(const BoxResult& result, double voltage);
[[nodiscard]] double voltageFor(const BoxResult& result, double power);

} // namespace yf::evaluation
