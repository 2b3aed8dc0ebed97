// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/find/plan.h"
#include "core/find/start.h"

#include <functional>
#include <tuple>

namespace yf::find {

/// A whole network without its values.
struct Candidate {
    std::vector<std::size_t> shapes; ///< of each way, places among the space's
    unsigned turned{};               ///< bit q−1: way q upside down
    int parts{};

    auto operator<=>(const Candidate& other) const {
        return std::tie(parts, shapes, turned) <=>
               std::tie(other.parts, other.shapes, other.turned);
    }

    bool operator==(const Candidate&) const = default;
};

/// So much flatter a network must be to be worth its parts: 3 % and 0.01 dB.
inline constexpr double worth = 0.97;

/// The networks that are tried, and where each is started from.
class Space {
public:
    /// `coarse`: the plan's problem on few points; both outlive this.
    Space(const Plan& plan, const tune::Problem& coarse);

    /// How many networks there are before any is left out.
    [[nodiscard]] std::size_t whole() const { return whole_; }

    /// Every shape of every way by itself. Stopped, it goes on from there.
    void tuneAlone(const std::function<bool()>& goOn);

    /// With more than two ways, the shapes that are best for their parts, until some ten thousand
    /// networks are left.
    void narrow();

    /// All of them, by number of parts.
    [[nodiscard]] std::vector<std::vector<Candidate>> levels() const;

    [[nodiscard]] const Shape& shape(const Candidate& c, std::size_t way) const {
        return ways_[way].shapes[c.shapes[way]];
    }

    [[nodiscard]] std::vector<Shape> shapesOf(const Candidate& c) const;

    /// With values x = ln(value) of all parts.
    [[nodiscard]] network::Circuit circuitOf(const Candidate& c,
                                             const std::vector<double>& x) const;
    /// Of the parts that are tuned.
    [[nodiscard]] tune::Box boxOf(const Candidate& c) const;

    /// Of all parts in writing order: what stands before all ways is kept as it is.
    [[nodiscard]] std::vector<bool> freeOf(const Candidate& c) const;
    [[nodiscard]] tune::Box wholeBoxOf(const Candidate& c) const;

    /// Of what stands before all ways: its values, and nothing else.
    [[nodiscard]] tune::Box commonBox() const;

    /// How many parts stand before all ways.
    [[nodiscard]] int commonParts() const { return static_cast<int>(common_.size()); }

    /// From the ways by themselves, pads set to their difference of level.
    [[nodiscard]] std::vector<std::vector<double>> starts(const Candidate& c) const;

    /// Networks of one step less.
    [[nodiscard]] std::vector<Candidate> simplerThan(const Candidate& c) const;

    /// A simpler network's values carried on, the part more being next to nothing.
    [[nodiscard]] std::vector<double>
    carriedOn(const Candidate& from, const std::vector<double>& x, const Candidate& to) const;

private:
    /// One way and what its shapes can do.
    struct Way {
        Rank rank{};
        std::vector<Shape> shapes;
        std::vector<std::vector<Alone>> alone; ///< [shape][combination]
    };

    [[nodiscard]] double frequency(std::size_t pair, std::size_t n) const;
    [[nodiscard]] std::size_t
    aloneIndex(std::size_t q, const std::vector<std::size_t>& at, std::size_t slope) const;
    [[nodiscard]] static double bestAlone(const Way& way, std::size_t s);

    [[nodiscard]] bool isSeries(const Candidate& c) const { return shape(c, 0).series; }

    static void keepBest(Way& way, std::size_t most);
    void setPad(Values& values, double dB, std::size_t q) const;
    [[nodiscard]] std::vector<double>
    startOf(const Candidate& c, const std::vector<std::size_t>& at, std::size_t slope) const;

    const Plan& plan_;
    const tune::Problem& coarse_;
    std::vector<network::DriverEnd> ends_;
    std::vector<std::string> names_;    ///< of the ways, may be empty
    std::vector<network::Part> common_; ///< before all ways, kept
    std::vector<Way> ways_;
    std::size_t perPair_{}; ///< frequencies that each crossing is started from
    std::size_t whole_{};
};

} // namespace yf::find
