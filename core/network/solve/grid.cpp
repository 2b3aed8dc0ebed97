// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/solve/grid.h"

#include <algorithm>
#include <cmath>
#include <numbers>

// Two versions of each loop, chosen when the program starts: figures are alike, since products and
// sums are never contracted. The sanitizers' runtime is not up yet when that choice is made.
#if defined(__x86_64__) && defined(__GNUC__) && !defined(__clang__) &&                             \
    !defined(__SANITIZE_ADDRESS__)
#define YF_VECTORISED __attribute__((target_clones("default", "avx2", "avx512f")))
#else
#define YF_VECTORISED
#endif

namespace yf::network {

YF_VECTORISED void addProduct(Block& acc, const Block& a, const Block& b) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc.re[k] += a.re[k] * b.re[k] - a.im[k] * b.im[k];
        acc.im[k] += a.re[k] * b.im[k] + a.im[k] * b.re[k];
    }
}

YF_VECTORISED void addRealProduct(RealBlock& acc, const Block& a, const Block& b) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc[k] += a.re[k] * b.re[k] - a.im[k] * b.im[k];
    }
}

YF_VECTORISED double sumOfProducts(const RealBlock& a, const RealBlock& b) {
    // In four sums, so that four can be taken at a time.
    double sums[4] = {};
    static_assert(blockSize % 4 == 0);
    for (std::size_t k = 0; k < blockSize; k += 4) {
        for (std::size_t j = 0; j < 4; ++j) {
            sums[j] += a[k + j] * b[k + j];
        }
    }
    return (sums[0] + sums[1]) + (sums[2] + sums[3]);
}

YF_VECTORISED void subtractProduct(Block& acc, const Block& a, const Block& b) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc.re[k] -= a.re[k] * b.re[k] - a.im[k] * b.im[k];
        acc.im[k] -= a.re[k] * b.im[k] + a.im[k] * b.re[k];
    }
}

YF_VECTORISED void setProduct(Block& out, const Block& a, const Block& b) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double re = a.re[k] * b.re[k] - a.im[k] * b.im[k];
        out.im[k] = a.re[k] * b.im[k] + a.im[k] * b.re[k];
        out.re[k] = re;
    }
}

YF_VECTORISED void setNegatedProduct(Block& acc, const Block& a, const Block& b) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc.re[k] = a.im[k] * b.im[k] - a.re[k] * b.re[k];
        acc.im[k] = -(a.re[k] * b.im[k] + a.im[k] * b.re[k]);
    }
}

YF_VECTORISED void multiply(Block& acc, const Block& a) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double re = acc.re[k] * a.re[k] - acc.im[k] * a.im[k];
        acc.im[k] = acc.re[k] * a.im[k] + acc.im[k] * a.re[k];
        acc.re[k] = re;
    }
}

YF_VECTORISED void add(Block& acc, const Block& a) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc.re[k] += a.re[k];
        acc.im[k] += a.im[k];
    }
}

YF_VECTORISED void subtract(Block& acc, const Block& a) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc.re[k] -= a.re[k];
        acc.im[k] -= a.im[k];
    }
}

YF_VECTORISED void scale(Block& acc, double factor) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc.re[k] *= factor;
        acc.im[k] *= factor;
    }
}

YF_VECTORISED void addScaled(Block& acc, const Block& a, double factor) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc.re[k] += factor * a.re[k];
        acc.im[k] += factor * a.im[k];
    }
}

YF_VECTORISED void
addReactance(Block& acc, const Block& a, double r, double x0, const RealBlock& basis) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double x = x0 * basis[k];
        acc.re[k] += r * a.re[k] - x * a.im[k];
        acc.im[k] += r * a.im[k] + x * a.re[k];
    }
}

YF_VECTORISED void
addAcross(Block& acc, const Block& a, double r, double x0, const RealBlock& basis) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double x = x0 * basis[k];
        const double inverse = 1.0 / (r * r + x * x);
        const double re = r * inverse;
        const double im = x * inverse;
        acc.re[k] += re * a.re[k] + im * a.im[k];
        acc.im[k] += re * a.im[k] - im * a.re[k];
    }
}

YF_VECTORISED void setScaled(Block& out, const Block& a, double factor) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        out.re[k] = factor * a.re[k];
        out.im[k] = factor * a.im[k];
    }
}

// None of the blocks overlap, and only parameters can say so to the compiler.
YF_VECTORISED static void seriesSlope(const Block* __restrict c,
                                      const Block* __restrict T,
                                      const Block* __restrict row,
                                      Block* __restrict own,
                                      Block* __restrict dY,
                                      PartSlope part) {
    const double dr = part.dr;
    const double dx0 = part.dx0;
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double ur = c->re[k] * T->re[k] - c->im[k] * T->im[k];
        const double ui = c->re[k] * T->im[k] + c->im[k] * T->re[k];
        const double x = dx0 * (*part.basis)[k];
        const double tr = dr * ur - x * ui;
        const double ti = dr * ui + x * ur;
        own->re[k] = ti * row->im[k] - tr * row->re[k];
        own->im[k] = -(tr * row->im[k] + ti * row->re[k]);
        dY->re[k] = ti * ui - tr * ur;
        dY->im[k] = -(tr * ui + ti * ur);
    }
}

void setSeriesSlope(const SlotSlope& slope, const PartSlope& part) {
    seriesSlope(&slope.carried, &slope.T, &slope.row, &slope.own, &slope.dY, part);
}

// None of the blocks overlap, and only parameters can say so to the compiler.
YF_VECTORISED static void shuntSlope(const Block* __restrict c,
                                     const Block* __restrict T,
                                     const Block* __restrict row,
                                     Block* __restrict own,
                                     Block* __restrict dY,
                                     PartSlope part) {
    const double r = part.r;
    const double x0 = part.x0;
    const double dr = part.dr;
    const double dx0 = part.dx0;
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double ur = c->re[k] * T->re[k] - c->im[k] * T->im[k];
        const double ui = c->re[k] * T->im[k] + c->im[k] * T->re[k];
        const double x = x0 * (*part.basis)[k];
        const double dx = dx0 * (*part.basis)[k];
        // ∂Y = −∂Z/Z², with 1/Z = (r − jx)/(r² + x²).
        const double inverse = 1.0 / (r * r + x * x);
        const double yr = r * inverse;
        const double yi = -x * inverse;
        const double sr = yr * yr - yi * yi;
        const double si = 2.0 * yr * yi;
        const double pr = dx * si - dr * sr;
        const double pi = -(dx * sr + dr * si);
        const double tr = pr * ur - pi * ui;
        const double ti = pr * ui + pi * ur;
        own->re[k] = ti * row->im[k] - tr * row->re[k];
        own->im[k] = -(tr * row->im[k] + ti * row->re[k]);
        dY->re[k] = tr * ur - ti * ui;
        dY->im[k] = tr * ui + ti * ur;
    }
}

void setShuntSlope(const SlotSlope& slope, const PartSlope& part) {
    shuntSlope(&slope.carried, &slope.T, &slope.row, &slope.own, &slope.dY, part);
}

YF_VECTORISED static void setAndAdd(Block* __restrict out,
                                    Block* __restrict acc,
                                    const Block* __restrict a,
                                    const Block* __restrict b,
                                    double factor) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double re = factor * (a->re[k] * b->re[k] - a->im[k] * b->im[k]);
        const double im = factor * (a->re[k] * b->im[k] + a->im[k] * b->re[k]);
        out->re[k] = re;
        out->im[k] = im;
        acc->re[k] += re;
        acc->im[k] += im;
    }
}

void setAndAddScaledProduct(Block& out, Block& acc, const Block& a, const Block& b, double factor) {
    setAndAdd(&out, &acc, &a, &b, factor);
}

YF_VECTORISED void setScaledProduct(Block& out, const Block& a, const Block& b, double factor) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double re = factor * (a.re[k] * b.re[k] - a.im[k] * b.im[k]);
        out.im[k] = factor * (a.re[k] * b.im[k] + a.im[k] * b.re[k]);
        out.re[k] = re;
    }
}

YF_VECTORISED void addScaledProduct(Block& acc, const Block& a, const Block& b, double factor) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        acc.re[k] += factor * (a.re[k] * b.re[k] - a.im[k] * b.im[k]);
        acc.im[k] += factor * (a.re[k] * b.im[k] + a.im[k] * b.re[k]);
    }
}

YF_VECTORISED void raiseToSquare(RealBlock& most, const Block& a) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double square = a.re[k] * a.re[k] + a.im[k] * a.im[k];
        most[k] = square > most[k] ? square : most[k];
    }
}

YF_VECTORISED void lowerToSquare(RealBlock& least, const Block& a) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double square = a.re[k] * a.re[k] + a.im[k] * a.im[k];
        least[k] = square < least[k] ? square : least[k];
    }
}

/// out = 1/(r + j·x0·basis)
YF_VECTORISED static void setAcross(Block& out, double r, double x0, const RealBlock& basis) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double x = x0 * basis[k];
        const double inverse = 1.0 / (r * r + x * x);
        out.re[k] = r * inverse;
        out.im[k] = -x * inverse;
    }
}

YF_VECTORISED void reciprocal(Block& out, const Block& a) {
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double inverse = 1.0 / (a.re[k] * a.re[k] + a.im[k] * a.im[k]);
        out.re[k] = a.re[k] * inverse;
        out.im[k] = -a.im[k] * inverse;
    }
}

YF_VECTORISED void invert(Block& out, const Block& a) {
    constexpr double least = immittanceFloor * immittanceFloor;
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double square = a.re[k] * a.re[k] + a.im[k] * a.im[k];
        const bool tooSmall = square < least;
        const double re = tooSmall ? immittanceFloor : a.re[k];
        const double im = tooSmall ? 0.0 : a.im[k];
        const double inverse = 1.0 / (tooSmall ? least : square);
        out.re[k] = re * inverse;
        out.im[k] = -im * inverse;
    }
}

void fill(Block& out, Complex value) {
    out.re.fill(value.real());
    out.im.fill(value.imag());
}

namespace {

void coilImpedance(Block& out, const Part& part, const RealBlock& omega) {
    if (!part.rp) {
        for (std::size_t k = 0; k < blockSize; ++k) {
            out.re[k] = part.dcr;
            out.im[k] = part.value * omega[k];
        }
        return;
    }
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double x = part.value * omega[k];
        const double share = *part.rp / (*part.rp * *part.rp + x * x);
        out.re[k] = part.dcr + share * x * x;
        out.im[k] = share * *part.rp * x;
    }
}

void capacitorImpedance(Block& out, const Part& part, const Grid& grid, std::size_t block) {
    const double loss = lossResistance(part);
    if (!part.leak) {
        const double elastance = 1.0 / part.value;
        for (std::size_t k = 0; k < blockSize; ++k) {
            out.re[k] = loss;
            out.im[k] = -elastance * grid.inverseOmega[block][k];
        }
        return;
    }
    const double G = 1.0 / *part.leak;
    for (std::size_t k = 0; k < blockSize; ++k) {
        const double B = part.value * grid.omega[block][k];
        const double share = 1.0 / (G * G + B * B);
        out.re[k] = loss + G * share;
        out.im[k] = -B * share;
    }
}

void partImpedance(Block& out, const Part& part, const Grid& grid, std::size_t block) {
    switch (part.kind) {
    case PartKind::resistor:
        fill(out, part.value);
        return;
    case PartKind::coil:
        coilImpedance(out, part, grid.omega[block]);
        return;
    case PartKind::capacitor:
        capacitorImpedance(out, part, grid, block);
        return;
    }
}

} // namespace

void impedance(Block& out, const OnePort& port, const Grid& grid, std::size_t block) {
    if (const Part* part = port.part()) {
        partImpedance(out, *part, grid, block);
        return;
    }
    const Composite& composite = *port.composite();
    impedance(out, composite.ports.front(), grid, block);
    if (composite.ports.size() == 1) {
        return;
    }
    const bool parallel = composite.joining == Joining::parallel;
    Block inner;
    Block sum = out;
    if (parallel) {
        invert(sum, out);
    }
    for (std::size_t i = 1; i < composite.ports.size(); ++i) {
        impedance(out, composite.ports[i], grid, block);
        if (parallel) {
            invert(inner, out);
            add(sum, inner);
        } else {
            add(sum, out);
        }
    }
    if (parallel) {
        invert(out, sum);
    } else {
        out = sum;
    }
}

std::optional<Reactance> reactance(const Part& part, const Grid& grid, std::size_t block) {
    switch (part.kind) {
    case PartKind::resistor:
        return Reactance{part.value, 0.0, &grid.omega[block], &grid.inverseOmega[block]};
    case PartKind::coil:
        return part.rp ? std::nullopt
                       : std::optional(Reactance{
                             part.dcr, part.value, &grid.omega[block], &grid.inverseOmega[block]});
    case PartKind::capacitor:
        return part.leak ? std::nullopt
                         : std::optional(Reactance{lossResistance(part),
                                                   -1.0 / part.value,
                                                   &grid.inverseOmega[block],
                                                   &grid.omega[block]});
    }
    return std::nullopt;
}

void addSeries(
    Block& acc, const OnePort& port, const Block& a, const Grid& grid, std::size_t block) {
    const auto lone = port.part() == nullptr ? std::nullopt : reactance(*port.part(), grid, block);
    if (!lone) {
        Block Z;
        impedance(Z, port, grid, block);
        addProduct(acc, Z, a);
    } else if (lone->x0 == 0.0) {
        addScaled(acc, a, lone->r);
    } else {
        addReactance(acc, a, lone->r, lone->x0, *lone->basis);
    }
}

void addShunt(
    Block& acc, const OnePort& port, const Block& a, const Grid& grid, std::size_t block) {
    const auto lone = port.part() == nullptr ? std::nullopt : reactance(*port.part(), grid, block);
    if (!lone) {
        Block Z;
        Block Y;
        impedance(Z, port, grid, block);
        invert(Y, Z);
        addProduct(acc, Y, a);
    } else if (lone->x0 == 0.0) {
        addScaled(acc, a, 1.0 / lone->r);
    } else if (lone->r == 0.0) {
        // 1/(j·x0·b) = j·(−1/x0)·(1/b): no division at any frequency.
        addReactance(acc, a, 0.0, -1.0 / lone->x0, *lone->inverseBasis);
    } else {
        addAcross(acc, a, lone->r, lone->x0, *lone->basis);
    }
}

void admittance(Block& out, const OnePort& port, const Grid& grid, std::size_t block) {
    const auto lone = port.part() == nullptr ? std::nullopt : reactance(*port.part(), grid, block);
    if (!lone) {
        Block Z;
        impedance(Z, port, grid, block);
        invert(out, Z);
    } else if (lone->x0 == 0.0) {
        fill(out, 1.0 / lone->r);
    } else {
        setAcross(out, lone->r, lone->x0, *lone->basis);
    }
}

void store(std::vector<Complex>& values, const Block& block, std::size_t index) {
    const std::size_t first = index * blockSize;
    const std::size_t count = std::min(blockSize, values.size() - first);
    // std::complex is two doubles in a row, by the standard.
    auto* out = reinterpret_cast<double*>(values.data() + first);
    for (std::size_t k = 0; k < count; ++k) {
        out[2 * k] = block.re[k];
        out[2 * k + 1] = block.im[k];
    }
}

void endAdmittance(Block& out, const DriverEnd& end, const Block& one) {
    setScaled(out, one, 1.0 / end.ratio());
}

std::optional<std::size_t> Loads::find(const std::string& driver) const {
    const auto found = std::ranges::find(drivers, driver, &Load::driver);
    return found == drivers.end()
               ? std::nullopt
               : std::optional(static_cast<std::size_t>(found - drivers.begin()));
}

PreparedLoads::PreparedLoads(Loads loads) : loads_(std::move(loads)) {
    YF_EXPECT(!loads_.axis.empty());
    auto grid = std::make_shared<Grid>();
    const Axis& axis = loads_.axis;
    grid->points = axis.size();
    const std::size_t blocks = (axis.size() + blockSize - 1) / blockSize;
    grid->omega.resize(blocks);
    grid->inverseOmega.resize(blocks);
    const auto at = [&](std::size_t i) { return std::min(i, axis.size() - 1); };
    for (std::size_t i = 0; i < blocks * blockSize; ++i) {
        const double omega = 2.0 * std::numbers::pi * axis[at(i)];
        grid->omega[i / blockSize][i % blockSize] = omega;
        grid->inverseOmega[i / blockSize][i % blockSize] = 1.0 / omega;
    }
    for (const Load& load : loads_.drivers) {
        YF_EXPECT(load.impedance.size() == axis.size());
        std::vector<Block> admittance(blocks);
        for (std::size_t i = 0; i < blocks * blockSize; ++i) {
            const Complex Y = 1.0 / load.impedance[at(i)];
            admittance[i / blockSize].re[i % blockSize] = Y.real();
            admittance[i / blockSize].im[i % blockSize] = Y.imag();
        }
        grid->admittances.push_back(std::move(admittance));
    }
    grid_ = std::move(grid);
}

} // namespace yf::network
