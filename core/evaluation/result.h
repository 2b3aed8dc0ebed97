// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/evidence.h"
#include "core/box/read_back.h"
#include "core/curve/interpolate.h"
#include "core/driver/resonance.h"
#include "core/evaluation/box_state.h"
#include "core/evaluation/driver_bench.h"
#include "core/job/job.h"
#include "core/network/judge/load.h"
#include "core/speaker/crossover.h"
#include "core/speaker/null_test.h"
#include "core/speaker/wiring.h"

#include <map>

/// What is computed of a job: measured curves made ready, and everything said of its cabinets.
namespace yf::evaluation {

/// A cabinet's measured curves brought onto one axis: the costly part that a change of the network
/// leaves alone. Never changed once made, so it is shared.
struct AssembledCabinet {
    curve::Axis axis; ///< design-axis points that all curves in use cover
    std::shared_ptr<const network::PreparedLoads> loads;
    std::shared_ptr<const network::Loads> taken; ///< the same before any wood was moved
    network::LoadsOn impedances;                 ///< the same loads on any axis, without responses
    std::shared_ptr<const network::PreparedLoads>
        audible;                ///< those, 20 Hz to 20 kHz as far as the data reach
    std::vector<Words> missing; ///< sentences: what is not there yet and what it costs
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

    bool operator==(const DriverReading&) const = default;
};

/// By driver; none without impedance.
using Readings = std::map<std::string, DriverReading>;

struct Assembly {
    std::vector<std::shared_ptr<const AssembledCabinet>> cabinets; ///< in the job's order
    Readings readings;
    /// Of those that have a box.
    std::map<std::string, std::shared_ptr<const Result<BoxDriver>>> boxDrivers;
    /// Likewise, from the newest measurement made in it that can be read.
    std::map<std::string, std::shared_ptr<const Result<box::ReadBack>>> boxReads;

    /// Shared parts are compared by their place in memory.
    bool operator==(const Assembly&) const = default;
};

/// One way of a cabinet.
struct WayResult {
    std::string name;
    std::string driver; ///< its id
    int polarity{1};
    std::vector<curve::Complex> drive;       ///< voltage over the source's EMF
    std::vector<curve::Complex> pressure;    ///< Pa; empty without responses
    std::vector<curve::Complex> reversedSum; ///< the sum with this way turned over

    bool operator==(const WayResult&) const = default;
};

/// How the sum lies in its corridor.
struct CorridorResult {
    double level{};      ///< centre of the corridor, dB re 20 µPa
    double deviation{};  ///< largest |sum − level| over the range judged, dB
    double worstAt{};    ///< Hz
    curve::Range judged; ///< target's range within the data

    bool operator==(const CorridorResult&) const = default;
};

/// Two neighbours, from below.
struct Neighbourhood {
    std::size_t lower{}; ///< way
    std::size_t upper{};
    std::optional<speaker::Crossover> met;
    std::vector<double> difference; ///< rad, upper re lower, −π … π, on the result's axis
    std::vector<bool> overlap;      ///< levels within 10 dB
    double levelDifference{};       ///< dB, upper re lower at fx
    double loss{};                  ///< dB, of the sum at fx below both in step
    double groupDelay{};            ///< s, upper re lower at fx: −Δ(dφ/dω)
    std::optional<speaker::NullBounds> bounds; ///< what the null's depth leaves open

    bool operator==(const Neighbourhood&) const = default;
};

/// What the whole cabinet's take says of its wiring; nothing without such a take.
/// `found` and `reversed` only where it is of the network as it is drawn, when an evaluation told
/// it.
struct WiringTold {
    speaker::WiringFound found;
    std::string take;
    std::vector<std::string> reversed; ///< driver ids, against the drawing
    bool networkKnown{};               ///< it was noted which network the take is of
    bool ofThisNetwork{}; ///< the take is known to be of the network as it is drawn now

    bool operator==(const WiringTold&) const = default;
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
    std::vector<Words> missing;
    std::vector<BoxResult> boxes;          ///< in the order of the cabinet's
    std::vector<Neighbourhood> neighbours; ///< ways next to each other, from below
    std::optional<WiringTold> wiring;

    [[nodiscard]] const BoxResult* box(const std::string& driver) const;

    /// Those two, or nothing where they are no neighbours.
    [[nodiscard]] const Neighbourhood* between(std::size_t lower, std::size_t upper) const;

    bool operator==(const CabinetResult&) const = default;
};

/// A result that somebody else keeps, for the length of a call.
[[nodiscard]] std::shared_ptr<const CabinetResult> unowned(const CabinetResult& result);

struct Evaluation {
    std::uint64_t revision{};
    std::vector<CabinetResult> cabinets;
    /// One for each driver on each front; shared, since most changes leave it as it is.
    std::shared_ptr<const std::vector<DriverBench>> bench;
    std::shared_ptr<const bench::EvidenceTable> table; ///< by which the bench judged

    [[nodiscard]] const DriverBench* findBench(const std::string& cabinet,
                                               const std::string& driver) const;

    [[nodiscard]] const CabinetResult* find(const std::string& cabinet) const;

    /// The same said of the same cabinets by the same table; the revision is nobody's finding.
    bool operator==(const Evaluation& other) const;
};

} // namespace yf::evaluation
