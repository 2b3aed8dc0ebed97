// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/circuit.h"
#include "core/network/solve/loads.h"

#include <array>
#include <cstddef>
#include <optional>
#include <vector>

/// Inner form of the two solvers: blocks of 84 frequencies (seven hold the 577 of the design axis),
/// real and imaginary parts apart, so that every loop is one the compiler turns into vector
/// instructions and a block stays in the first-level cache. Beside core/network only core/tune
/// includes this.
namespace yf::network {

inline constexpr std::size_t blockSize = 84;

/// One block of complex numbers.
struct Block {
    alignas(64) std::array<double, blockSize> re;
    alignas(64) std::array<double, blockSize> im;
};

using RealBlock = std::array<double, blockSize>;

/// The axis and the drivers' admittances; the last block is filled up with its last frequency.
struct Grid {
    std::size_t points{};
    std::vector<RealBlock> omega;
    std::vector<RealBlock> inverseOmega;
    std::vector<std::vector<Block>> admittances; ///< [driver][block]

    [[nodiscard]] std::size_t blocks() const { return omega.size(); }
};

/// An immittance of exactly zero has no inverse. Composites get this floor instead: 1 pΩ, 1 pS.
inline constexpr double immittanceFloor = 1e-12;

void fill(Block& out, Complex value);
/// acc += a·b
void addProduct(Block& acc, const Block& a, const Block& b);
/// acc += Re(a·b)
void addRealProduct(RealBlock& acc, const Block& a, const Block& b);
/// Σ a·b
[[nodiscard]] double sumOfProducts(const RealBlock& a, const RealBlock& b);
/// acc −= a·b
void subtractProduct(Block& acc, const Block& a, const Block& b);
/// out = a·b
void setProduct(Block& out, const Block& a, const Block& b);
/// acc = −a·b
void setNegatedProduct(Block& acc, const Block& a, const Block& b);
/// acc += a
void add(Block& acc, const Block& a);
/// acc −= a
void subtract(Block& acc, const Block& a);
/// acc ·= a
void multiply(Block& acc, const Block& a);
void scale(Block& acc, double factor);
/// acc += factor·a
void addScaled(Block& acc, const Block& a, double factor);
/// acc += (r + j·x0·basis)·a: a coil with basis ω and x0 = L, a capacitor with 1/ω and −1/C.
void addReactance(Block& acc, const Block& a, double r, double x0, const RealBlock& basis);
/// acc += a/(r + j·x0·basis); r and x0 not both zero.
void addAcross(Block& acc, const Block& a, double r, double x0, const RealBlock& basis);
/// out = 1/a; a modulus below the floor is taken as the floor.
void invert(Block& out, const Block& a);
/// out = 1/a for a voltage or a pivot: no floor, any modulus between 1e-150 and 1e150.
void reciprocal(Block& out, const Block& a);

/// Ohms of a one-port over one block of frequencies.
void impedance(Block& out, const OnePort& port, const Grid& grid, std::size_t block);

/// The constant resistance and the reactance x0·basis of a lone part; nothing where it has a
/// parallel loss (Rp, R_leak), which `impedance` knows.
struct Reactance {
    double r{};
    double x0{};
    const RealBlock* basis{};
    const RealBlock* inverseBasis{};
};

[[nodiscard]] std::optional<Reactance>
reactance(const Part& part, const Grid& grid, std::size_t block);

/// acc += Z·a for the impedance of a one-port: a slot in the line.
void addSeries(
    Block& acc, const OnePort& port, const Block& a, const Grid& grid, std::size_t block);
/// acc += a/Z: a slot across the way.
void addShunt(Block& acc, const OnePort& port, const Block& a, const Grid& grid, std::size_t block);

/// Admittance of a one-port.
void admittance(Block& out, const OnePort& port, const Grid& grid, std::size_t block);

/// A slot's part of the slopes: u = carried·T, and with t = ∂Z·u or ∂Y·u
/// own = −t·row, dY = −t·u for a slot in the line and +t·u for one across it.
struct SlotSlope {
    const Block& carried;
    const Block& T;
    const Block& row;
    Block& own;
    Block& dY;
};

/// Of a lone part r + j·x0·basis whose derivative is dr + j·dx0·basis.
struct PartSlope {
    double r{};
    double x0{};
    double dr{};
    double dx0{};
    const RealBlock* basis{};
};

void setSeriesSlope(const SlotSlope& slope, const PartSlope& part);
void setShuntSlope(const SlotSlope& slope, const PartSlope& part);

/// out = factor·a·b and acc += out; the four are different blocks.
void setAndAddScaledProduct(Block& out, Block& acc, const Block& a, const Block& b, double factor);

/// out = factor·a·b, and acc += factor·a·b
void setScaledProduct(Block& out, const Block& a, const Block& b, double factor);
void addScaledProduct(Block& acc, const Block& a, const Block& b, double factor);

/// Raises each entry to |a|² where that is larger; lowers it where that is smaller.
void raiseToSquare(RealBlock& most, const Block& a);
void lowerToSquare(RealBlock& least, const Block& a);

/// out = factor·a
void setScaled(Block& out, const Block& a, double factor);

/// Writes a block into its place among the values of all frequencies; what lies behind the last
/// one is left out.
void store(std::vector<Complex>& values, const Block& block, std::size_t index);

/// The admittance of a driver's end: count and wiring included.
void endAdmittance(Block& out, const DriverEnd& end, const Block& one);

} // namespace yf::network
