// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/interpolate.h"
#include "core/driver/resonance.h"
#include "core/job/bench.h"
#include "core/job/box_state.h"
#include "core/job/job.h"
#include "core/network/load.h"
#include "core/speaker/findings.h"

#include <map>

namespace yf::job {

/// A job's measured curves brought onto one axis for each cabinet: the costly part that a change
/// of the network leaves alone. Made by `assemble`, given back to `evaluate` while the takes stay.
struct AssembledCabinet {
    curve::Axis axis; ///< design-axis points that all curves in use cover
    std::shared_ptr<const network::PreparedLoads> loads;
    std::shared_ptr<const network::Loads> taken; ///< the same before any wood was moved
    network::LoadsOn impedances;                 ///< the same loads on any axis, without responses
    std::shared_ptr<const network::PreparedLoads>
        audible;                      ///< those, 20 Hz to 20 kHz as far as the data reach
    std::vector<std::string> missing; ///< sentences: what is not there yet and what it costs
    bool hasImpedances{};
    bool hasResponses{};
    /// The audible loads with one driver taken off, by its id.
    std::map<std::string, std::shared_ptr<const network::PreparedLoads>> without;
    std::map<std::string, curve::Range> trusted; ///< of each driver's response
};

/// What a driver's impedance says by itself.
struct DriverReading {
    double Re{}; ///< Ω
    std::optional<driver::Resonance> resonance;
};

struct Assembly {
    std::vector<AssembledCabinet> cabinets;
    std::map<std::string, DriverReading> readings;       ///< by driver; none without impedance
    std::map<std::string, Result<BoxDriver>> boxDrivers; ///< of those that have a box
    std::map<std::string, box::ReadBack> boxReads;       ///< likewise, from a take made in it
};

/// What was assembled before: what it knows of drivers and boxes that have not changed since is
/// taken from it, since fits take tens of milliseconds each.
struct EarlierAssembly {
    const Job& job;
    const Assembly& assembly;
};

[[nodiscard]] Assembly assemble(const Job& job, const EarlierAssembly* earlier = nullptr);

/// Whether an assembly made for `before` still serves `after`: the same drivers, takes in use,
/// networks' driver names and drivers with a box.
[[nodiscard]] bool sameMeasurements(const Job& before, const Job& after);

/// One way of a cabinet.
struct WayResult {
    std::string name;
    std::string driver; ///< its id
    int polarity{1};
    std::vector<curve::Complex> drive;       ///< voltage over the source's EMF
    std::vector<curve::Complex> pressure;    ///< Pa; empty without responses
    std::vector<curve::Complex> reversedSum; ///< the sum with this way turned over
};

/// How the sum lies in its corridor.
struct CorridorResult {
    double level{};      ///< centre of the corridor, dB re 20 µPa
    double deviation{};  ///< largest |sum − level| over the range judged, dB
    double worstAt{};    ///< Hz
    curve::Range judged; ///< target's range within the data
};

/// Everything the application says about one cabinet.
struct CabinetResult {
    std::string cabinet;
    curve::Axis axis;
    std::vector<WayResult> ways;
    std::vector<curve::Complex> impedance; ///< empty without impedances
    std::vector<curve::Complex> sum;       ///< empty without responses
    std::vector<bool> trusted;             ///< of the sum, one for each point
    std::optional<network::Lowest> leastImpedance;
    std::optional<network::Lowest> leastEpdr;
    std::map<std::string, double> unloaded; ///< Ω, least |Z| with that driver taken off
    std::optional<double> sensitivity;      ///< dB, 2.83 V, 200 Hz to 4 kHz, energy mean over ln f
    std::optional<CorridorResult> corridor;
    std::size_t parts{};
    std::size_t pricedParts{};
    double price{};
    std::vector<std::string> missing;
    std::vector<BoxResult> boxes; ///< in the order of the cabinet's

    [[nodiscard]] const BoxResult* box(const std::string& driver) const;
};

struct Evaluation {
    std::uint64_t revision{};
    std::vector<CabinetResult> cabinets;
    std::vector<speaker::Scope> facts;
    speaker::Judgement judgement;

    /// One for each driver on each front; shared, since most changes leave it as it is.
    std::shared_ptr<const std::vector<DriverBench>> bench;
    std::shared_ptr<const bench::EvidenceTable> table; ///< by which the bench judged

    [[nodiscard]] const DriverBench* findBench(const std::string& cabinet,
                                               const std::string& driver) const;

    [[nodiscard]] const CabinetResult* find(const std::string& cabinet) const;
};

/// An evaluation made earlier with the same assembly: what is said of a cabinet that has not
/// changed since is taken from it.
struct Earlier {
    const Job& job;
    const Evaluation& evaluation;
};

/// One pure function from a job to all that is said about it.
/// `assembly` must be that of this job or of one with the same measurements.
[[nodiscard]] Evaluation
evaluate(const Job& job, const Assembly& assembly, const Earlier* earlier = nullptr);

[[nodiscard]] Evaluation evaluate(const Job& job);

/// A cabinet with its drivers' measured curves as a `network` object for the command line.
/// Fails naming the driver that has no impedance, or some of whose responses are missing.
[[nodiscard]] Result<network::Network> networkOf(const Job& job, const Cabinet& cabinet);

} // namespace yf::job
