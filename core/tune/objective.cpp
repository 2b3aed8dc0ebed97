// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/tune/objective.h"

#include "core/network/circuit/line_edit.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace yf::tune {

namespace {

using network::addRealProduct;
using network::Block;
using network::blockSize;
using network::RealBlock;
using network::sumOfProducts;

constexpr double perNeper = 20.0 / std::numbers::ln10;

/// Rows over the axis in blocks; the last one is filled up with its last value.
std::vector<std::vector<Block>> blocksOf(const std::vector<std::vector<Complex>>& rows,
                                         std::size_t count) {
    std::vector<std::vector<Block>> all;
    for (const auto& row : rows) {
        auto& blocks = all.emplace_back(count);
        for (std::size_t i = 0; i < count * blockSize; ++i) {
            const Complex f = row[std::min(i, row.size() - 1)];
            blocks[i / blockSize].re[i % blockSize] = f.real();
            blocks[i / blockSize].im[i % blockSize] = f.imag();
        }
    }
    return all;
}

} // namespace

double Standing::rms() const {
    return rows > 0 ? std::sqrt(squares / static_cast<double>(rows)) : 0.0;
}

/// Sums over all rows so far; the level is the last unknown.
struct Objective::Rows {
    Standing standing;
    bool withSlope{};
    std::size_t n{};

    /// Sums of rows that share a free level.
    struct Level {
        double we{};           ///< Σ w·e
        double ww{};           ///< Σ w²
        std::vector<double> a; ///< Σ J·w
    };

    double e2{};
    std::vector<Level> levels; ///< the common one, then one for each direction aside
    std::vector<double> A;
    std::vector<double> g;
    std::vector<RealBlock> J; ///< of the rows being added
    double levelE{};          ///< of a level that is too low
    std::vector<double> levelJ;

    /// Takes in one kind of residual over a block; rows with a level have −w in its column.
    void take(const RealBlock& e, const RealBlock& weight, Level* level) {
        e2 += sumOfProducts(e, e);
        if (level != nullptr) {
            level->we += sumOfProducts(weight, e);
            level->ww += sumOfProducts(weight, weight);
        }
        if (!withSlope) {
            return;
        }
        for (std::size_t p = 0; p < n; ++p) {
            g[p] += sumOfProducts(J[p], e);
            if (level != nullptr) {
                level->a[p] += sumOfProducts(J[p], weight);
            }
            for (std::size_t q = p; q < n; ++q) {
                A[p * n + q] += sumOfProducts(J[p], J[q]);
            }
        }
    }

    /// What is told to people: rows that count for a curve, unweighted, by the level they share.
    void tell(const RealBlock& e, const RealBlock& counted, std::size_t level = 0) {
        for (std::size_t k = 0; k < blockSize; ++k) {
            if (counted[k] > 0.0) {
                told[level].push_back(e[k]);
            }
        }
    }

    std::vector<std::vector<double>> told; ///< residuals with the level in them
    std::vector<double> looped;            ///< tracking: without
};

Objective::Objective(const network::Circuit& circuit,
                     const network::PreparedLoads& loads,
                     const std::vector<std::vector<Complex>>& factors,
                     const std::vector<bool>& free,
                     Goal goal,
                     std::vector<network::LineKnob> knobs)
    : sweep_(circuit, loads), original_(sweep_.parts()), goal_(std::move(goal)),
      knobs_(std::move(knobs)) {
    for (std::size_t p = 0; p < original_.size(); ++p) {
        if (free[p]) {
            free_.push_back(p);
            start_.push_back(std::log(original_[p].value));
        }
    }
    wanted_ = free;
    factors_ = blocksOf(factors, loads.grid().blocks());
    for (const Aside& aside : goal_.asides) {
        asideFactors_.push_back(blocksOf(aside.factors, loads.grid().blocks()));
    }
    for (std::size_t q = 0; !knobs_.empty() && q < sweep_.ends(); ++q) {
        lines_.push_back(*network::lineOf(circuit, q));
    }
    for (const network::LineKnob& knob : knobs_) {
        start_.push_back(network::turnedTo(lines_[knob.way], knob));
    }
}

std::vector<network::Part> Objective::partsAt(const std::vector<double>& x) const {
    std::vector<network::Part> parts = original_;
    for (std::size_t i = 0; i < free_.size(); ++i) {
        network::Part& part = parts[free_[i]];
        if (x[i] != start_[i]) {
            part = network::withValue(part, std::exp(x[i]));
        }
    }
    return parts;
}

/// What the filters do, and how that changes with each knob: the network has no say in it.
void Objective::setLines(const std::vector<double>& x, bool withSlope) {
    std::vector<network::Line> lines = lines_;
    for (std::size_t i = 0; i < knobs_.size(); ++i) {
        network::turn(lines[knobs_[i].way], knobs_[i], x[free_.size() + i]);
    }
    for (std::size_t q = 0; q < lines.size(); ++q) {
        sweep_.setLine(q, network::transfer(lines[q], goal_.axis));
    }
    if (!withSlope) {
        return;
    }
    std::vector<std::vector<Complex>> slopes;
    for (const network::LineKnob& knob : knobs_) {
        slopes.push_back(network::logSlope(lines[knob.way], knob, goal_.axis));
    }
    turns_ = blocksOf(slopes, sweep_.grid().blocks());
}

/// d ln(drive of an end)/dx; null where the unknown does not reach it.
const Block* Objective::logOf(std::size_t unknown, std::size_t end, std::size_t block) const {
    if (unknown < free_.size()) {
        return sweep_.drivesLog(free_[unknown], end);
    }
    const std::size_t i = unknown - free_.size();
    return knobs_[i].way == end ? &turns_[i][block] : nullptr;
}

void Objective::set(const std::vector<double>& x, bool withSlope) {
    if (!knobs_.empty()) {
        setLines(x, withSlope);
    }
    const auto parts = partsAt(x);
    for (const std::size_t p : free_) {
        if (!(sweep_.parts()[p] == parts[p])) {
            sweep_.setPart(p, parts[p]);
        }
    }
}

Standing Objective::value(const std::vector<double>& x) {
    return withDraws(x, nullptr);
}

Standing Objective::slope(const std::vector<double>& x, Slope& slope) {
    return withDraws(x, &slope);
}

Standing Objective::withDraws(const std::vector<double>& x, Slope* slope) {
    Standing nominal = evaluate(x, slope);
    if (draws_.empty()) {
        return nominal;
    }
    const auto scale = [](Slope& s, double by) {
        for (double& a : s.A) {
            a *= by;
        }
        for (double& g : s.g) {
            g *= by;
        }
    };
    constexpr double half = 0.5;
    const double share = half / static_cast<double>(draws_.size());
    nominal.cost *= half;
    if (slope != nullptr) {
        scale(*slope, half);
    }
    for (const std::vector<double>& draw : draws_) {
        std::vector<double> y = x;
        for (std::size_t i = 0; i < draw.size(); ++i) { // filters are as they are set
            y[i] += draw[i];
        }
        Slope here;
        nominal.cost += share * evaluate(y, slope == nullptr ? nullptr : &here).cost;
        for (std::size_t i = 0; slope != nullptr && i < here.A.size(); ++i) {
            slope->A[i] += share * here.A[i];
        }
        for (std::size_t i = 0; slope != nullptr && i < here.g.size(); ++i) {
            slope->g[i] += share * here.g[i];
        }
    }
    return nominal;
}

/// One block of frequencies with what all kinds of residual need of it.
struct Objective::Frame {
    std::size_t block{};
    std::size_t first{}; ///< its first point
    std::size_t count{}; ///< points that are really there
    RealBlock inBand{};
    std::vector<Block> P; ///< pressures of the ends
    Block S;
    RealBlock e{};
    RealBlock weight{};
};

/// Level of X against a target; `weight` is nought outside the band.
void Objective::setLevels(
    Frame& f, Rows& rows, const Block& X, const double* target, const RealBlock& weight) {
    RealBlock bare{};
    for (std::size_t k = 0; k < blockSize; ++k) {
        bare[k] = weight[k] > 0.0
                      ? 10.0 * std::log10(X.re[k] * X.re[k] + X.im[k] * X.im[k]) - target[k]
                      : 0.0;
        f.e[k] = weight[k] * bare[k];
        f.weight[k] = weight[k];
    }
    rows.tell(bare, weight);
}

/// J of an end's level times the frame's weight.
void Objective::setEndSlopes(const Frame& f, Rows& rows, std::size_t end) {
    for (std::size_t i = 0; rows.withSlope && i < unknowns(); ++i) {
        const Block* log = logOf(i, end, f.block);
        for (std::size_t k = 0; k < blockSize; ++k) {
            rows.J[i][k] = log == nullptr ? 0.0 : perNeper * f.weight[k] * log->re[k];
        }
    }
}

/// d(20 lg|S|) = 8.686·Re(Σ P_q·d ln P_q/S), times the frame's weight.
void Objective::setSumSlopes(const Frame& f,
                             Rows& rows,
                             const std::vector<Block>& P,
                             const Block& S) {
    Block inverse;
    reciprocal(inverse, S);
    std::vector<Block> share(P.size());
    for (std::size_t end = 0; end < P.size(); ++end) {
        setProduct(share[end], P[end], inverse);
        for (std::size_t k = 0; k < blockSize; ++k) {
            share[end].re[k] *= perNeper * f.weight[k];
            share[end].im[k] *= perNeper * f.weight[k];
        }
    }
    for (std::size_t i = 0; i < unknowns(); ++i) {
        rows.J[i].fill(0.0);
        for (std::size_t end = 0; end < P.size(); ++end) {
            if (const Block* log = logOf(i, end, f.block)) {
                addRealProduct(rows.J[i], share[end], *log);
            }
        }
    }
}

/// The sum in another direction, its level its own.
void Objective::addAside(Frame& f, Rows& rows, std::size_t which) {
    std::vector<Block> P(sweep_.ends());
    Block S;
    fill(S, 0.0);
    for (std::size_t end = 0; end < P.size(); ++end) {
        setProduct(P[end], sweep_.drive(end), asideFactors_[which][end][f.block]);
        add(S, P[end]);
    }
    const double weight = goal_.asides[which].weight;
    RealBlock bare{};
    for (std::size_t k = 0; k < blockSize; ++k) {
        f.weight[k] = k < f.count ? weight * f.inBand[k] : 0.0;
        bare[k] = f.weight[k] > 0.0 ? 10.0 * std::log10(S.re[k] * S.re[k] + S.im[k] * S.im[k]) -
                                          goal_.target[f.first + k]
                                    : 0.0;
        f.e[k] = f.weight[k] * bare[k];
    }
    rows.tell(bare, f.weight, which + 1);
    if (rows.withSlope) {
        setSumSlopes(f, rows, P, S);
    }
    rows.take(f.e, f.weight, &rows.levels[which + 1]);
}

void Objective::addSum(Frame& f, Rows& rows) {
    RealBlock weight{};
    for (std::size_t k = 0; k < f.count; ++k) {
        weight[k] = goal_.sumWeight * f.inBand[k];
    }
    setLevels(f, rows, f.S, goal_.target.data() + f.first, weight);
    if (rows.withSlope) {
        setSumSlopes(f, rows, f.P, f.S);
    }
    rows.take(f.e, f.weight, goal_.levelFree ? rows.levels.data() : nullptr);
}

void Objective::addWay(Frame& f, Rows& rows, const WayGoal& way) {
    RealBlock weight{};
    for (std::size_t k = 0; k < f.count; ++k) {
        weight[k] =
            way.weight * f.inBand[k] * (way.matters.empty() ? 1.0 : way.matters[f.first + k]);
    }
    setLevels(f, rows, f.P[way.end], way.levels.data() + f.first, weight);
    setEndSlopes(f, rows, way.end);
    rows.take(f.e, f.weight, goal_.levelFree ? rows.levels.data() : nullptr);
}

void Objective::addLimit(Frame& f, Rows& rows, const DriveLimit& limit) {
    const Block& drive = sweep_.drive(limit.end);
    for (std::size_t k = 0; k < blockSize; ++k) {
        f.e[k] = 0.0;
        f.weight[k] = 0.0;
        if (k >= f.count || !std::isfinite(limit.most[f.first + k])) {
            continue;
        }
        const double over =
            10.0 * std::log10(drive.re[k] * drive.re[k] + drive.im[k] * drive.im[k]) -
            limit.most[f.first + k];
        if (over > 0.0) {
            rows.standing.limitMissed = std::max(rows.standing.limitMissed, over);
            f.e[k] = goal_.limitFactor * over;
            f.weight[k] = goal_.limitFactor;
        }
    }
    setEndSlopes(f, rows, limit.end);
    rows.take(f.e, f.weight, nullptr);
}

void Objective::addCrossing(Frame& f, Rows& rows, const Crossing& crossing) {
    const Block& one = f.P[crossing.lower];
    const Block& two = f.P[crossing.lower + 1];
    RealBlock sign{};
    for (std::size_t k = 0; k < blockSize; ++k) {
        f.e[k] = 0.0;
        f.weight[k] = 0.0;
        constexpr double reach = 4.0; // two octaves
        const double at = k < f.count ? goal_.axis[f.first + k] : 0.0;
        const bool below = at < crossing.from && at * reach >= crossing.from;
        const bool above = at > crossing.to && at <= crossing.to * reach;
        if (!below && !above) {
            continue;
        }
        sign[k] = below ? 1.0 : -1.0;
        const double over = sign[k] * 10.0 *
                                std::log10((two.re[k] * two.re[k] + two.im[k] * two.im[k]) /
                                           (one.re[k] * one.re[k] + one.im[k] * one.im[k])) +
                            crossing.margin;
        if (over > 0.0) {
            rows.standing.limitMissed = std::max(rows.standing.limitMissed, over);
            f.e[k] = goal_.limitFactor * over;
            f.weight[k] = goal_.limitFactor;
        }
    }
    for (std::size_t i = 0; rows.withSlope && i < unknowns(); ++i) {
        rows.J[i].fill(0.0);
        for (const std::size_t end : {crossing.lower, crossing.lower + 1}) {
            const Block* log = logOf(i, end, f.block);
            const double side = end == crossing.lower ? -1.0 : 1.0;
            for (std::size_t k = 0; log != nullptr && k < blockSize; ++k) {
                rows.J[i][k] += side * sign[k] * perNeper * f.weight[k] * log->re[k];
            }
        }
    }
    rows.take(f.e, f.weight, nullptr);
}

void Objective::addFloor(Frame& f, Rows& rows, std::size_t amplifier) {
    const Block& Y = sweep_.admittance(amplifier);
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double missed =
            20.0 * std::log(*goal_.floor) + 10.0 * std::log(Y.re[k] * Y.re[k] + Y.im[k] * Y.im[k]);
        const bool counts = missed > 0.0 && k < f.count;
        f.e[k] = counts ? goal_.floorFactor * missed : 0.0;
        f.weight[k] = counts ? 20.0 * goal_.floorFactor : 0.0;
        rows.standing.floorMissed = std::max(rows.standing.floorMissed, counts ? missed : 0.0);
    }
    if (rows.withSlope) {
        // d(20 ln|Y|) = 20·Re(dY/Y)
        Block inverse;
        reciprocal(inverse, Y);
        for (std::size_t i = 0; i < unknowns(); ++i) {
            rows.J[i].fill(0.0);
            if (i >= free_.size() || sweep_.amplifierOf(free_[i]) != amplifier) {
                continue;
            }
            addRealProduct(rows.J[i], sweep_.admittanceLog(free_[i]), inverse);
            for (std::size_t k = 0; k < blockSize; ++k) {
                rows.J[i][k] *= f.weight[k];
            }
        }
    }
    rows.take(f.e, f.weight, nullptr);
}

/// d(20 lg(|P1+P2|/(|P1|+|P2|))), the weight held: of the sum less that of the moduli.
void Objective::setTrackingSlopes(const Frame& f,
                                  Rows& rows,
                                  std::size_t end,
                                  const network::RealBlock& share) {
    Block inverse = f.P[end];
    add(inverse, f.P[end + 1]);
    const Block sum = inverse;
    reciprocal(inverse, sum);
    for (std::size_t i = 0; i < unknowns(); ++i) {
        rows.J[i].fill(0.0);
    }
    for (const std::size_t which : {end, end + 1}) {
        Block x;
        setProduct(x, f.P[which], inverse);
        for (std::size_t k = 0; k < blockSize; ++k) {
            x.re[k] -= which == end ? share[k] : 1.0 - share[k];
            x.re[k] *= perNeper * f.weight[k];
            x.im[k] *= perNeper * f.weight[k];
        }
        for (std::size_t i = 0; i < unknowns(); ++i) {
            if (const Block* log = logOf(i, which, f.block)) {
                addRealProduct(rows.J[i], x, *log);
            }
        }
    }
}

/// Summing loss of an end and its next neighbour.
void Objective::addTracking(Frame& f, Rows& rows, std::size_t end) {
    const Block& one = f.P[end];
    const Block& two = f.P[end + 1];
    Block sum = one;
    add(sum, two);
    RealBlock share{};
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double m1 = std::hypot(one.re[k], one.im[k]);
        const double m2 = std::hypot(two.re[k], two.im[k]);
        const double alike = std::min(m1, m2) / std::max(m1, m2);
        const double loss = 20.0 * std::log10(std::hypot(sum.re[k], sum.im[k]) / (m1 + m2));
        f.weight[k] = goal_.trackingWeight * alike * f.inBand[k];
        f.e[k] = f.weight[k] > 0.0 ? f.weight[k] * loss : 0.0;
        share[k] = m1 / (m1 + m2);
        if (f.inBand[k] > 0.0) {
            rows.looped.push_back(alike * loss);
        }
    }
    if (rows.withSlope) {
        setTrackingSlopes(f, rows, end, share);
    }
    rows.take(f.e, f.weight, nullptr);
}

void Objective::block(std::size_t b, Rows& rows) {
    Frame f{.block = b,
            .first = b * blockSize,
            .count = std::min(blockSize, goal_.axis.size() - b * blockSize)};
    sweep_.run(b);
    if (rows.withSlope) {
        sweep_.differentiate(wanted_, true);
    }
    for (std::size_t k = 0; k < f.count; ++k) {
        f.inBand[k] = goal_.inBand[f.first + k] ? 1.0 : 0.0;
    }
    f.P.resize(sweep_.ends());
    fill(f.S, 0.0);
    for (std::size_t end = 0; end < f.P.size(); ++end) {
        setProduct(f.P[end], sweep_.drive(end), factors_[end][b]);
        add(f.S, f.P[end]);
    }
    if (goal_.sumWeight > 0.0) {
        addSum(f, rows);
    }
    for (const WayGoal& way : goal_.ways) {
        addWay(f, rows, way);
    }
    for (std::size_t d = 0; d < goal_.asides.size(); ++d) {
        addAside(f, rows, d);
    }
    for (const DriveLimit& limit : goal_.limits) {
        addLimit(f, rows, limit);
    }
    for (const Crossing& crossing : goal_.crossings) {
        addCrossing(f, rows, crossing);
    }
    for (std::size_t a = 0; goal_.floor && a < sweep_.amplifiers(); ++a) {
        addFloor(f, rows, a);
    }
    for (std::size_t end = 0; goal_.trackingWeight > 0.0 && end + 1 < f.P.size(); ++end) {
        addTracking(f, rows, end);
    }
}

/// One row for a level that is too low: dL0/dx is Σ J·w/Σw².
void Objective::addLevel(Rows& rows, Standing& standing) const {
    const Rows::Level& common = rows.levels.front();
    const bool asked = goal_.levelFree && goal_.leastLevel && common.ww > 0.0;
    const double under = asked ? *goal_.leastLevel - standing.level : 0.0;
    if (under <= 0.0) {
        return;
    }
    standing.limitMissed = std::max(standing.limitMissed, under);
    const double e = goal_.levelFactor * under;
    standing.cost += e * e;
    if (!rows.withSlope) {
        return;
    }
    rows.levelE = e;
    rows.levelJ.resize(rows.n);
    for (std::size_t p = 0; p < rows.n; ++p) {
        rows.levelJ[p] = -goal_.levelFactor * common.a[p] / common.ww;
    }
}

Standing Objective::evaluate(const std::vector<double>& x, Slope* slope) {
    set(x, slope != nullptr);
    const std::size_t n = unknowns();
    Rows rows;
    rows.n = n;
    rows.withSlope = slope != nullptr;
    if (slope != nullptr) {
        rows.A.assign(n * n, 0.0);
        rows.g.assign(n, 0.0);
        rows.J.resize(n);
    }
    rows.told.resize(1 + goal_.asides.size());
    rows.levels.assign(1 + goal_.asides.size(),
                       {.we = 0.0, .ww = 0.0, .a = std::vector<double>(n)});
    for (std::size_t b = 0; b < sweep_.grid().blocks(); ++b) {
        block(b, rows);
    }
    Standing standing = rows.standing;
    standing.cost = rows.e2;
    for (std::size_t l = 0; l < rows.levels.size(); ++l) {
        // Residuals e − w·L: the least over L is at Σwe/Σw².
        const Rows::Level& level = rows.levels[l];
        const double at = level.ww > 0.0 ? level.we / level.ww : 0.0;
        standing.cost -= level.we * at;
        standing.level = l == 0 ? at : standing.level;
        for (const double e : rows.told[l]) {
            const double off = e - at;
            standing.squares += off * off;
            standing.most = l == 0 ? std::max(standing.most, std::abs(off)) : standing.most;
        }
        standing.rows += rows.told[l].size();
    }
    addLevel(rows, standing);
    for (const double e : rows.looped) {
        standing.squares += e * e;
        standing.most = std::max(standing.most, std::abs(e));
    }
    standing.rows += rows.looped.size();
    if (slope != nullptr) {
        for (std::size_t p = 0; p < n; ++p) {
            for (const Rows::Level& level : rows.levels) {
                if (level.ww > 0.0) {
                    rows.g[p] -= level.a[p] * level.we / level.ww;
                }
            }
            const bool tooLow = !rows.levelJ.empty();
            if (tooLow) {
                rows.g[p] += rows.levelJ[p] * rows.levelE;
            }
            for (std::size_t q = p; q < n; ++q) {
                double& entry = rows.A[p * n + q];
                for (const Rows::Level& level : rows.levels) {
                    if (level.ww > 0.0) {
                        entry -= level.a[p] * level.a[q] / level.ww;
                    }
                }
                if (tooLow) {
                    entry += rows.levelJ[p] * rows.levelJ[q];
                }
                rows.A[q * n + p] = entry;
            }
        }
        slope->A = std::move(rows.A);
        slope->g = std::move(rows.g);
    }
    return standing;
}

} // namespace yf::tune
