// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/air_modes.h"
#include "core/box/panel.h"
#include "core/box/read_back.h"
#include "core/box/response.h"
#include "core/box/spread.h"
#include "core/box/summary.h"
#include "core/job/job.h"

#include <memory>
#include <optional>

/// A job's boxes, computed: what follows from wood, air and driver.
namespace yf::job {

/// Where a driver's parameters come from.
enum class ParameterSource { sheet, measured, inBox };

/// A driver as its box sees it.
struct BoxDriver {
    box::Driver driver;
    box::Doubt doubt;
    ParameterSource source{};
    std::vector<std::string> guessed; ///< sentences: what is not known and was taken for usual
};

/// Parameters by their best source: the data sheet if all of Re, fs, Qms and Qes stand on it, else
/// a fit of a free impedance take, else of one in a box. Vas from the sheet, else from a usual
/// cone's mass for its area, with the doubt that deserves. Fails with what is missing.
/// Takes are fitted: some tens of milliseconds.
[[nodiscard]] Result<BoxDriver> boxDriver(const Job& job, const Driver& driver);

/// Space inside, litre by litre.
struct BoxVolumes {
    box::Inside inside; ///< of the chamber that the driver works in
    box::Deductions less;
    double net{}; ///< m³
};

/// Fails, naming the dimension, where nothing is left or the depth is not known.
[[nodiscard]] Result<BoxVolumes>
volumesOf(const Job& job, const Cabinet& cabinet, const Enclosure& enclosure);

/// The shell of a cabinet with its enclosure's panels.
[[nodiscard]] Result<box::Shell> shellOf(const Cabinet& cabinet, const Enclosure& enclosure);

/// Outer length of one port within the box, for its displacement.
[[nodiscard]] double portDisplacement(const PortIn& port);

/// Tuning that ports give to a volume: Σ n·S/L_eff over g·V. Nothing without ports.
[[nodiscard]] std::optional<double> tunedBy(const std::vector<PortIn>& ports, double V);

/// The enclosure as a model for a net volume.
[[nodiscard]] box::Box boxOf(const Cabinet& cabinet, const Enclosure& enclosure, double net);

/// Mean distance from a driver's centre to the rim of its front, over all directions.
[[nodiscard]] double meanRim(const Cabinet& cabinet, const std::string& driver);

/// A panel of the cabinet and where it sings, as a bracket.
struct PanelState {
    std::string name; ///< "side", "front", "back", "top"
    double width{};   ///< m, of its largest free field
    double height{};
    box::PanelResonance resonance;
};

/// An air mode and what stands at its pressure.
struct ModeState {
    box::AirMode mode;
    double atDriver{}; ///< share of the greatest pressure there
    double atPort{};   ///< 0 without a port
};

/// Everything the application says about one box.
struct BoxResult {
    std::string driver;
    std::string problem; ///< a sentence where nothing can be computed
    BoxDriver known;
    std::vector<std::string> assumed; ///< sentences: what of the box is taken for usual
    box::Source source;               ///< with the network's series resistance
    BoxVolumes volumes;
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
};

/// Resistance that stands before the driver in its network, source included: from the drive at the
/// lowest frequency, Z·(1/H − 1); what a pad takes away behind it is not separated.
[[nodiscard]] double seriesResistance(const Cabinet& cabinet, const std::string& driver);

[[nodiscard]] BoxResult boxResult(const Job& job,
                                  const Cabinet& cabinet,
                                  const Enclosure& enclosure,
                                  const Result<BoxDriver>& known);

/// Between volts at the drive and watts into Re, as a rating is meant.
[[nodiscard]] double powerIn(const BoxResult& result, double voltage);
[[nodiscard]] double voltageFor(const BoxResult& result, double power);

/// Heights that divide a room evenly.
[[nodiscard]] std::vector<double> evenBraces(double height, int count);

/// Whether a port in the back wall has its mouth behind the driver's basket.
[[nodiscard]] bool
portBehindDriver(const Job& job, const Cabinet& cabinet, const Enclosure& enclosure);

/// Height of a driver's axis above the clear floor of its chamber, m.
[[nodiscard]] double driverHeight(const Cabinet& cabinet, const Enclosure& enclosure);

/// The enclosure of a driver, its own or that of the one it is wired with; null: none.
[[nodiscard]] const Enclosure*
findEnclosure(const Job& job, const Cabinet& cabinet, const std::string& driver);

} // namespace yf::job
