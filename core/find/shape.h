// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/circuit.h"
#include "core/network/line/prototype.h"

#include <array>
#include <compare>
#include <vector>

/// Finding whole networks: which parts, in which order, with which values.
namespace yf::find {

/// What may stand in a way beside its filter.
enum class Extra { zobel, trap, pad };

/// What a way's ladder is made of, from the amplifier: filters of up to fourth order, a trap in the
/// line (parallel R, L, C), an L-pad, and R–C across the driver.
///
/// In a series network a way's filter begins across it: of first order a capacitor across the lower
/// way and a coil across the upper one, of second order with a part in the line behind it.
struct Shape {
    int highPass{}; ///< order; 0: none
    int lowPass{};
    network::BandTopology topology{}; ///< which of the two filters stands first
    bool trap{};
    bool pad{};
    bool zobel{};
    bool series{}; ///< its way is in series with the other one

    [[nodiscard]] int parts() const;

    auto operator<=>(const Shape&) const = default;
};

/// Where a way lies among the others.
enum class Rank { lowest, middle, highest };

/// All shapes of a way: orders × 2 for each extra allowed (zobel: all but the highest way; trap:
/// all; pad: all but the lowest); a middle way has pairs of orders × 2 sequences (one where both
/// orders are 1).
[[nodiscard]] std::vector<Shape>
shapes(Rank rank, const std::vector<int>& orders, const std::vector<Extra>& extras);

/// The same of one of two ways in series: of first and second order.
[[nodiscard]] std::vector<Shape>
seriesShapes(Rank rank, const std::vector<int>& orders, const std::vector<Extra>& extras);

/// Shapes of one step less: the next lower order of either filter, or an extra left out.
[[nodiscard]] std::vector<Shape> simpler(const Shape& shape, const std::vector<int>& orders);

/// The parts that a shape can have. Filter parts are counted from the amplifier, so that a lower
/// order is the same ladder without its last ones.
enum class Role {
    highPass1,
    highPass2,
    highPass3,
    highPass4,
    lowPass1,
    lowPass2,
    lowPass3,
    lowPass4,
    trapR,
    trapL,
    trapC,
    padSeries,
    padShunt,
    zobelR,
    zobelC
};

inline constexpr std::size_t roles = 15;

/// A value for each role, SI; those of roles that a shape has not are of no account.
using Values = std::array<double, roles>;

/// The roles of a shape in the order in which they stand in the ladder.
[[nodiscard]] std::vector<Role> rolesOf(const Shape& shape);

/// What a role's part is.
[[nodiscard]] network::PartKind kindOf(Role role);

/// Values at which a part does next to nothing: what a simpler network's answer is carried on with.
[[nodiscard]] Values neutral();

/// What a way is started from.
struct Start {
    double fxLow{}; ///< Hz, of its high-pass
    double fxHigh{};
    double load{};   ///< Ω, of the driver about there
    double Re{};     ///< Ω
    double trapAt{}; ///< Hz
};

/// Textbook values: Linkwitz-Riley of the order where it is even, Butterworth where it is odd and
/// in series; the pad, the trap and the R–C are next to nothing yet.
[[nodiscard]] Values textbookValues(const Shape& shape, const Start& start);

/// A way as a section. `wire` m, bare, of its coils; parts have bare letters as IDs.
[[nodiscard]] network::Section
section(const Shape& shape, const Values& values, const network::DriverEnd& end, double wire);

/// Sections behind a source and what stands before all of them, which keeps its IDs; parts of the
/// ways are numbered by kind from the lowest way up.
[[nodiscard]] network::Circuit assembled(const network::Source& source,
                                         std::vector<network::Section> ways,
                                         network::Joining join = network::Joining::parallel,
                                         std::vector<network::Slot> common = {});

} // namespace yf::find
