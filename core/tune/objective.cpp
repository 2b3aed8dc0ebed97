// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/tune/objective.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace yf::tune {

namespace {

using network::Block;
using network::blockSize;
using network::RealBlock;

constexpr double perNeper = 20.0 / std::numbers::ln10;

/// Σ a·b in four sums, so that the compiler may take four at a time.
double dot(const RealBlock& a, const RealBlock& b) {
    double sums[4] = {};
    static_assert(blockSize % 4 == 0);
    for (std::size_t k = 0; k < blockSize; k += 4) {
        for (std::size_t j = 0; j < 4; ++j) {
            sums[j] += a[k + j] * b[k + j];
        }
    }
    return (sums[0] + sums[1]) + (sums[2] + sums[3]);
}

/// out = Re(a·b)
void setReal(RealBlock& out, const Block& a, const Block& b) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        out[k] = a.re[k] * b.re[k] - a.im[k] * b.im[k];
    }
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
    double e2{};
    double we{}; ///< Σ w·e of rows that the level enters
    double ww{}; ///< Σ w²
    std::vector<double> A;
    std::vector<double> g;
    std::vector<double> a;    ///< Σ J·w
    std::vector<RealBlock> J; ///< of the rows being added

    /// Takes in one kind of residual over a block; `levelled` rows have −w in the level's column.
    void take(const RealBlock& e, const RealBlock& weight, bool levelled) {
        e2 += dot(e, e);
        if (levelled) {
            we += dot(weight, e);
            ww += dot(weight, weight);
        }
        if (!withSlope) {
            return;
        }
        for (std::size_t p = 0; p < n; ++p) {
            g[p] += dot(J[p], e);
            if (levelled) {
                a[p] += dot(J[p], weight);
            }
            for (std::size_t q = p; q < n; ++q) {
                A[p * n + q] += dot(J[p], J[q]);
            }
        }
    }

    /// What is told to people: rows that count for a curve, unweighted.
    void tell(const RealBlock& e, const RealBlock& counted) {
        for (std::size_t k = 0; k < blockSize; ++k) {
            if (counted[k] > 0.0) {
                told.push_back(e[k]);
            }
        }
    }

    std::vector<double> told;   ///< residuals with the level in them
    std::vector<double> looped; ///< tracking: without
};

Objective::Objective(const network::Circuit& circuit,
                     const network::PreparedLoads& loads,
                     const std::vector<std::vector<Complex>>& factors,
                     const std::vector<bool>& free,
                     Goal goal)
    : sweep_(circuit, loads), original_(sweep_.parts()), goal_(std::move(goal)) {
    for (std::size_t p = 0; p < original_.size(); ++p) {
        if (free[p]) {
            free_.push_back(p);
            start_.push_back(std::log(original_[p].value));
        }
    }
    wanted_ = free;
    const std::size_t points = goal_.axis.size();
    for (const auto& row : factors) {
        auto& blocks = factors_.emplace_back(loads.grid().blocks());
        for (std::size_t i = 0; i < blocks.size() * blockSize; ++i) {
            const Complex f = row[std::min(i, points - 1)];
            blocks[i / blockSize].re[i % blockSize] = f.real();
            blocks[i / blockSize].im[i % blockSize] = f.imag();
        }
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

void Objective::set(const std::vector<double>& x) {
    const auto parts = partsAt(x);
    for (const std::size_t p : free_) {
        if (!(sweep_.parts()[p] == parts[p])) {
            sweep_.setPart(p, parts[p]);
        }
    }
}

Standing Objective::value(const std::vector<double>& x) {
    return evaluate(x, nullptr);
}

Standing Objective::slope(const std::vector<double>& x, Slope& slope) {
    return evaluate(x, &slope);
}

void Objective::block(std::size_t b, Rows& rows) {
    const std::size_t first = b * blockSize;
    const std::size_t count = std::min(blockSize, goal_.axis.size() - first);
    const std::size_t ends = sweep_.ends();
    sweep_.run(b);
    if (rows.withSlope) {
        sweep_.differentiate(wanted_, true);
    }
    RealBlock inBand{};
    RealBlock there{};
    for (std::size_t k = 0; k < count; ++k) {
        inBand[k] = goal_.inBand[first + k] ? 1.0 : 0.0;
        there[k] = 1.0;
    }
    std::vector<Block> P(ends);
    Block S;
    fill(S, 0.0);
    for (std::size_t end = 0; end < ends; ++end) {
        setProduct(P[end], sweep_.drive(end), factors_[end][b]);
        add(S, P[end]);
    }
    RealBlock e{};
    RealBlock weight{};
    const auto setLevelRows = [&](const Block& X, const double* target, double w) {
        RealBlock bare{};
        for (std::size_t k = 0; k < blockSize; ++k) {
            const bool counts = inBand[k] > 0.0;
            bare[k] =
                counts ? 10.0 * std::log10(X.re[k] * X.re[k] + X.im[k] * X.im[k]) - target[k] : 0.0;
            e[k] = w * bare[k];
            weight[k] = w * inBand[k];
        }
        rows.tell(bare, inBand);
    };
    if (goal_.sumWeight > 0.0) {
        setLevelRows(S, goal_.target.data() + first, goal_.sumWeight);
        if (rows.withSlope) {
            Block inverse;
            reciprocal(inverse, S);
            std::vector<Block> share(ends);
            for (std::size_t end = 0; end < ends; ++end) {
                setProduct(share[end], P[end], inverse);
                for (std::size_t k = 0; k < blockSize; ++k) {
                    share[end].re[k] *= perNeper * weight[k];
                    share[end].im[k] *= perNeper * weight[k];
                }
            }
            for (std::size_t i = 0; i < free_.size(); ++i) {
                rows.J[i].fill(0.0);
                for (std::size_t end = 0; end < ends; ++end) {
                    if (const Block* log = sweep_.drivesLog(free_[i], end)) {
                        RealBlock part;
                        setReal(part, share[end], *log);
                        for (std::size_t k = 0; k < blockSize; ++k) {
                            rows.J[i][k] += part[k];
                        }
                    }
                }
            }
        }
        rows.take(e, weight, goal_.levelFree);
    }
    const auto setLogRows = [&](std::size_t end, const RealBlock& factor) {
        if (!rows.withSlope) {
            return;
        }
        for (std::size_t i = 0; i < free_.size(); ++i) {
            const Block* log = sweep_.drivesLog(free_[i], end);
            for (std::size_t k = 0; k < blockSize; ++k) {
                rows.J[i][k] = log == nullptr ? 0.0 : perNeper * factor[k] * log->re[k];
            }
        }
    };
    for (const WayGoal& way : goal_.ways) {
        setLevelRows(P[way.end], way.levels.data() + first, way.weight);
        setLogRows(way.end, weight);
        rows.take(e, weight, goal_.levelFree);
    }
    for (const DriveLimit& limit : goal_.limits) {
        const Block& drive = sweep_.drive(limit.end);
        for (std::size_t k = 0; k < blockSize; ++k) {
            e[k] = 0.0;
            weight[k] = 0.0;
            if (k < count && std::isfinite(limit.most[first + k])) {
                const double over =
                    10.0 * std::log10(drive.re[k] * drive.re[k] + drive.im[k] * drive.im[k]) -
                    limit.most[first + k];
                if (over > 0.0) {
                    rows.standing.limitMissed = std::max(rows.standing.limitMissed, over);
                    e[k] = goal_.limitFactor * over;
                    weight[k] = goal_.limitFactor;
                }
            }
        }
        setLogRows(limit.end, weight);
        rows.take(e, weight, false);
    }
    if (goal_.floor) {
        const Block& Y = sweep_.admittance();
        Block inverse;
        reciprocal(inverse, Y);
        for (std::size_t k = 0; k < blockSize; ++k) {
            const double missed = 20.0 * std::log(*goal_.floor) +
                                  10.0 * std::log(Y.re[k] * Y.re[k] + Y.im[k] * Y.im[k]);
            const bool counts = missed > 0.0 && there[k] > 0.0;
            e[k] = counts ? goal_.floorFactor * missed : 0.0;
            weight[k] = counts ? 20.0 * goal_.floorFactor : 0.0;
            if (counts) {
                rows.standing.floorMissed = std::max(rows.standing.floorMissed, missed);
            }
        }
        for (std::size_t i = 0; rows.withSlope && i < free_.size(); ++i) {
            setReal(rows.J[i], sweep_.admittanceLog(free_[i]), inverse);
            for (std::size_t k = 0; k < blockSize; ++k) {
                rows.J[i][k] *= weight[k];
            }
        }
        rows.take(e, weight, false);
    }
    for (std::size_t q = 0; goal_.trackingWeight > 0.0 && q + 1 < ends; ++q) {
        const Block& one = P[q];
        const Block& two = P[q + 1];
        Block sum = one;
        add(sum, two);
        RealBlock share{};
        RealBlock m1{};
        RealBlock m2{};
        for (std::size_t k = 0; k < blockSize; ++k) {
            m1[k] = std::hypot(one.re[k], one.im[k]);
            m2[k] = std::hypot(two.re[k], two.im[k]);
            const double alike = std::min(m1[k], m2[k]) / std::max(m1[k], m2[k]);
            const double loss =
                20.0 * std::log10(std::hypot(sum.re[k], sum.im[k]) / (m1[k] + m2[k]));
            weight[k] = goal_.trackingWeight * alike * inBand[k];
            e[k] = weight[k] > 0.0 ? weight[k] * loss : 0.0;
            share[k] = m1[k] / (m1[k] + m2[k]);
            if (inBand[k] > 0.0) {
                rows.looped.push_back(alike * loss);
            }
        }
        if (rows.withSlope) {
            Block inverse;
            reciprocal(inverse, sum);
            Block x1;
            Block x2;
            setProduct(x1, one, inverse);
            setProduct(x2, two, inverse);
            for (std::size_t i = 0; i < free_.size(); ++i) {
                const Block* d1 = sweep_.drivesLog(free_[i], q);
                const Block* d2 = sweep_.drivesLog(free_[i], q + 1);
                for (std::size_t k = 0; k < blockSize; ++k) {
                    const double r1 = d1 == nullptr ? 0.0 : d1->re[k];
                    const double i1 = d1 == nullptr ? 0.0 : d1->im[k];
                    const double r2 = d2 == nullptr ? 0.0 : d2->re[k];
                    const double i2 = d2 == nullptr ? 0.0 : d2->im[k];
                    const double together =
                        x1.re[k] * r1 - x1.im[k] * i1 + x2.re[k] * r2 - x2.im[k] * i2;
                    rows.J[i][k] =
                        perNeper * weight[k] * (together - share[k] * r1 - (1.0 - share[k]) * r2);
                }
            }
        }
        rows.take(e, weight, false);
    }
}

Standing Objective::evaluate(const std::vector<double>& x, Slope* slope) {
    set(x);
    const std::size_t n = free_.size();
    Rows rows;
    rows.n = n;
    rows.withSlope = slope != nullptr;
    if (slope != nullptr) {
        rows.A.assign(n * n, 0.0);
        rows.g.assign(n, 0.0);
        rows.a.assign(n, 0.0);
        rows.J.resize(n);
    }
    for (std::size_t b = 0; b < sweep_.grid().blocks(); ++b) {
        block(b, rows);
    }
    Standing standing = rows.standing;
    standing.cost = rows.e2;
    if (goal_.levelFree && rows.ww > 0.0) {
        // Residuals e − w·L0: the least over L0 is at Σwe/Σw².
        standing.level = rows.we / rows.ww;
        standing.cost -= rows.we * standing.level;
    }
    for (const double e : rows.told) {
        const double off = e - standing.level;
        standing.squares += off * off;
        standing.most = std::max(standing.most, std::abs(off));
    }
    for (const double e : rows.looped) {
        standing.squares += e * e;
        standing.most = std::max(standing.most, std::abs(e));
    }
    standing.rows = rows.told.size() + rows.looped.size();
    if (slope != nullptr) {
        for (std::size_t p = 0; p < n; ++p) {
            if (goal_.levelFree && rows.ww > 0.0) {
                rows.g[p] -= rows.a[p] * standing.level;
            }
            for (std::size_t q = p; q < n; ++q) {
                double& entry = rows.A[p * n + q];
                if (goal_.levelFree && rows.ww > 0.0) {
                    entry -= rows.a[p] * rows.a[q] / rows.ww;
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
