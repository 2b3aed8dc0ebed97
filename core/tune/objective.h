// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/line_knob.h"
#include "core/network/solve/sweep.h"

#include <optional>
#include <vector>

/// Finding values: what a network is meant to do, and the values that come nearest.
namespace yf::tune {

using network::Axis;
using network::Complex;

/// A way against its own curve.
struct WayGoal {
    std::size_t end{};
    std::vector<double> levels; ///< dB, on the goal's axis
    double weight{1.0};
    std::vector<double> matters; ///< 0 … 1 at each point; empty: all alike
};

/// The sum heard from another direction, at a level of its own.
struct Aside {
    std::vector<std::vector<Complex>> factors; ///< [end][frequency]: what a drive becomes there
    double weight{0.5};
};

/// What a driver must not get, dB re the EMF on the goal's axis; infinite where it may get
/// anything.
struct DriveLimit {
    std::size_t end{};
    std::vector<double> most;
};

/// Where two neighbours may change places: below `from` the upper way must not be the louder one,
/// above `to` the lower, each within two octaves.
struct Crossing {
    std::size_t lower{}; ///< end; the upper one is the next
    double from{};       ///< Hz
    double to{};
    double margin{}; ///< dB, that the one must be above the other
};

/// What counts, and how much. All residuals are in dB.
///
/// Points outside the band count for the load and the limits alone.
struct Goal {
    Axis axis;
    std::vector<bool> inBand;
    std::vector<double> target; ///< dB, of the sum
    bool levelFree{true};       ///< one level for the sum and the ways, found along
    double sumWeight{1.0};
    std::vector<WayGoal> ways;
    std::vector<Aside> asides;
    double trackingWeight{};          ///< of the summing loss of neighbours
    std::optional<double> floor;      ///< Ω, that |Z| must not fall below
    std::optional<double> leastLevel; ///< dB re the target, that a free level must not fall below
    std::vector<DriveLimit> limits;
    std::vector<Crossing> crossings;
    double floorFactor{10.0}; ///< how hard the floor and the limits push back
    double limitFactor{3.0};  ///< of crossings too
    double levelFactor{20.0};
};

/// How a network stands to a goal.
struct Standing {
    double cost{};        ///< Σ of weighted squares, the free level taken out
    double level{};       ///< dB, found or given as nought
    double squares{};     ///< Σ of unweighted squares of sum, ways, tracking and directions
    std::size_t rows{};   ///< how many they are
    double most{};        ///< dB, greatest of them, on the axis
    double floorMissed{}; ///< 20·ln(Z_floor/|Z|) at its worst
    double limitMissed{}; ///< dB, of drives, of crossings and of the level

    [[nodiscard]] double rms() const;
};

/// Normal equations in x = ln(value) of the free parts, the level taken out.
struct Slope {
    std::vector<double> A; ///< JᵀJ, n × n
    std::vector<double> g; ///< Jᵀe
};

/// Residuals of one network over all frequencies, with exact derivatives.
///
///     sum       w·(20 lg|S| − T − L0)           tracking  20 lg(|P1+P2|/(|P1|+|P2|)), by min/max
///     way       w·(20 lg|P_q| − T_q − L0)       floor     20·max(0, ln(Z_floor/|Z|))
///     aside     w·(20 lg|S_d| − T − L_d), L_d free       limits    max(0, 20 lg|drive| − limit)
///     crossing  max(0, ±20 lg|P2/P1|) outside its band
///     level     20·max(0, least − L0)
///
/// L0 enters linearly and is eliminated exactly. Source: docs/theory/tune.md.
class Objective {
public:
    /// `circuit`: a tree; `free`: which parts may change, in writing order; `factors` as
    /// pressureFactors gives them on the goal's axis, which is that of `loads`; `knobs`: what may
    /// be turned at line level, unknowns behind those of the parts.
    Objective(const network::Circuit& circuit,
              const network::PreparedLoads& loads,
              const std::vector<std::vector<Complex>>& factors,
              const std::vector<bool>& free,
              Goal goal,
              std::vector<network::LineKnob> knobs = {});

    /// Networks that are a little off count too: the cost becomes half the nominal one's and half
    /// the mean of these. Each is an offset of x, ln of what a part is off by.
    void setDraws(std::vector<std::vector<double>> draws) { draws_ = std::move(draws); }

    [[nodiscard]] std::size_t unknowns() const { return free_.size() + knobs_.size(); }

    /// ln of the values that the circuit came with, then the knobs.
    [[nodiscard]] const std::vector<double>& start() const { return start_; }

    [[nodiscard]] const std::vector<std::size_t>& free() const { return free_; }

    [[nodiscard]] Goal& goal() { return goal_; }

    /// The parts at x, losses following.
    [[nodiscard]] std::vector<network::Part> partsAt(const std::vector<double>& x) const;

    Standing value(const std::vector<double>& x);
    Standing slope(const std::vector<double>& x, Slope& slope);

private:
    struct Rows;
    struct Frame;

    void set(const std::vector<double>& x, bool withSlope);
    void setLines(const std::vector<double>& x, bool withSlope);
    [[nodiscard]] const network::Block*
    logOf(std::size_t unknown, std::size_t end, std::size_t block) const;
    Standing evaluate(const std::vector<double>& x, Slope* slope);
    Standing withDraws(const std::vector<double>& x, Slope* slope);
    void addLevel(Rows& rows, Standing& standing) const;
    void block(std::size_t block, Rows& rows);
    void setLevels(Frame& frame,
                   Rows& rows,
                   const network::Block& X,
                   const double* target,
                   const network::RealBlock& weight);
    void setEndSlopes(const Frame& frame, Rows& rows, std::size_t end);
    void addSum(Frame& frame, Rows& rows);
    void setSumSlopes(const Frame& frame,
                      Rows& rows,
                      const std::vector<network::Block>& P,
                      const network::Block& S);
    void addAside(Frame& frame, Rows& rows, std::size_t which);
    void addWay(Frame& frame, Rows& rows, const WayGoal& way);
    void addLimit(Frame& frame, Rows& rows, const DriveLimit& limit);
    void addCrossing(Frame& frame, Rows& rows, const Crossing& crossing);
    void addFloor(Frame& frame, Rows& rows, std::size_t amplifier);
    void setTrackingSlopes(const Frame& frame,
                           Rows& rows,
                           std::size_t end,
                           const network::RealBlock& share);
    void addTracking(Frame& frame, Rows& rows, std::size_t end);

    network::Sweep sweep_;
    std::vector<network::Part> original_;
    std::vector<std::size_t> free_;
    std::vector<bool> wanted_;
    std::vector<double> start_;
    Goal goal_;
    std::vector<std::vector<network::Block>> factors_;                   ///< [end][block]
    std::vector<std::vector<std::vector<network::Block>>> asideFactors_; ///< [aside][end][block]
    std::vector<std::vector<double>> draws_;
    std::vector<network::LineKnob> knobs_;
    std::vector<network::Line> lines_;               ///< of the ways, as they came
    std::vector<std::vector<network::Block>> turns_; ///< [knob][block]: d ln(drive)/dx
};

} // namespace yf::tune
