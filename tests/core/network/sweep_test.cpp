// SPDX-License-Identifier: GPL-3.0-or-later
// The tree that is solved again and again: against the plain solver, and its derivatives against
// central differences of the plain solver (five points, so that they are good to 1e-9).
#include "core/network/circuit/ladder_edit.h"
#include "core/network/solve/sweep.h"
#include "core/quantity/level.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <array>
#include <cmath>

namespace yf::test {

namespace {

using curve::Complex;

const curve::Axis& axis() {
    static const curve::Axis points = [] {
        curve::Axis picked;
        for (std::size_t k = 20; k < curve::designAxis().size(); k += 37) {
            picked.push_back(curve::designAxis()[k]);
        }
        return picked;
    }();
    return points;
}

Complex at(const network::Block& block, std::size_t k) {
    return {block.re[k], block.im[k]};
}

struct Prepared {
    network::Network network;
    network::PreparedLoads loads;

    explicit Prepared(network::Network n)
        : network(std::move(n)), loads([this] {
              auto made = network::loadsOn(network, axis());
              EXPECT_TRUE(made.ok());
              return *made;
          }()) {}
};

network::Solution solvedWith(const Prepared& p, const network::Part& changed) {
    const auto circuit = network::withPart(p.network.circuit, changed);
    EXPECT_TRUE(circuit.ok());
    auto solution = network::solve(*circuit, p.loads, network::Method::ladder);
    EXPECT_TRUE(solution.ok());
    return *solution;
}

/// d/d ln(value) of a figure by five points.
template <class Figure>
Complex slope(const Prepared& p, const network::Part& part, bool follow, Figure figure) {
    constexpr double h = 3e-4;
    const auto with = [&](double x) {
        network::Part changed = network::withValue(part, part.value * std::exp(x));
        if (!follow) {
            changed.dcr = part.dcr;
            changed.esr = part.esr;
        }
        return figure(solvedWith(p, changed));
    };
    return (8.0 * (with(h) - with(-h)) - (with(2.0 * h) - with(-2.0 * h))) / (12.0 * h);
}

void expectSlopes(const Prepared& p, bool follow, const std::string& what) {
    network::Sweep sweep(p.network.circuit, p.loads);
    sweep.run(0);
    sweep.differentiate({}, follow);
    const auto plain = solved(p.network, axis(), network::Method::ladder);
    for (std::size_t part = 0; part < sweep.parts().size(); ++part) {
        for (std::size_t k = 0; k < axis().size(); ++k) {
            const std::string where =
                what + ", " + sweep.parts()[part].id + " at " + std::to_string(axis()[k]);
            for (std::size_t end = 0; end < sweep.ends(); ++end) {
                const Complex drive = plain.drives[end][k];
                if (quantity::decibels(drive) < -120.0) {
                    continue;
                }
                const network::Block* log = sweep.drivesLog(part, end);
                const Complex exact = log == nullptr ? Complex{} : at(*log, k);
                const Complex byDifference =
                    slope(p,
                          sweep.parts()[part],
                          follow,
                          [&](const network::Solution& s) { return s.drives[end][k]; }) /
                    drive;
                ASSERT_NEAR(std::abs(exact - byDifference), 0.0, 2e-8 * (1.0 + std::abs(exact)))
                    << where << ", end " << end;
            }
            const Complex exact = at(sweep.admittanceLog(part), k);
            const Complex byDifference =
                slope(p, sweep.parts()[part], follow, [&](const network::Solution& s) {
                    return 1.0 / s.impedances[k];
                });
            ASSERT_NEAR(std::abs(exact - byDifference),
                        0.0,
                        2e-8 * (std::abs(1.0 / plain.impedances[k]) + std::abs(exact)))
                << where;
        }
    }
}

} // namespace

TEST(Sweep, solvesAsThePlainSolverDoes) {
    for (std::uint64_t seed = 1; seed <= 200; ++seed) {
        const Prepared p(randomNetwork(seed));
        network::Sweep sweep(p.network.circuit, p.loads);
        sweep.run(0);
        const auto plain = solved(p.network, axis(), network::Method::ladder);
        ASSERT_EQ(sweep.ends(), plain.drives.size());
        for (std::size_t k = 0; k < axis().size(); ++k) {
            for (std::size_t end = 0; end < sweep.ends(); ++end) {
                ASSERT_NEAR(std::abs(at(sweep.drive(end), k) - plain.drives[end][k]),
                            0.0,
                            1e-12 * std::abs(plain.drives[end][k]))
                    << seed;
            }
            ASSERT_NEAR(std::abs(1.0 / at(sweep.admittance(), k) - plain.impedances[k]),
                        0.0,
                        1e-11 * std::abs(plain.impedances[k]))
                << seed;
        }
    }
}

TEST(Sweep, slopesAreThoseOfDifferences) {
    for (std::uint64_t seed = 1; seed <= 40; ++seed) {
        expectSlopes(Prepared(randomNetwork(seed)), seed % 2 == 0, "seed " + std::to_string(seed));
    }
}

// A common section under ways in series under ways in parallel, with a transformer, a level
// control, core loss and a leaking capacitor.
TEST(Sweep, slopesClimbThroughEveryJoin) {
    const Prepared p(networkFrom(R"({"source":{"resistance_ohm":0.4},
      "drivers":{"a":{"r_ohm":6},"b":{"r_ohm":5},"c":{"r_ohm":8}},
      "ladder":[{"series":"R9 0.5"},{"shunt":"C9 2uF leak=5k esr=0.1"}],
      "ways":[{"name":"low","ladder":[{"series":"L1 2mH dcr=0.4 rp=900"}],"join":"series",
        "ways":[{"name":"x","ladder":[{"shunt":"C1 10uF df=0.05"}],"driver":"a"},
                {"name":"y","ladder":[{"shunt":["C2 15uF","R2 3"]},{"series":"L4 0.2mH"}],"driver":"b"}]},
       {"name":"z","ladder":[{"series":{"parallel":["C3 5uF esr=0.3",["L3 1mH dcr=0.5","R3 10"]]}},
         {"transformer":{"ratio":0.7,"magnetizing_h":0.02,"dcr_ohm":0.2}},
         {"control":{"kind":"potentiometer","total_ohm":50,"position":0.6,"id":"P1"}},
         {"shunt":"L2 0.5mH dcr=0.2"}],"driver":"c","polarity":-1}]})"));
    expectSlopes(p, true, "losses follow");
    expectSlopes(p, false, "losses held");
}

TEST(Sweep, changesOfValueAreSeen) {
    const Prepared p(randomNetwork(7));
    network::Sweep sweep(p.network.circuit, p.loads);
    const network::Part part = sweep.parts().back();
    sweep.setValue(sweep.parts().size() - 1, 1.7 * part.value);
    sweep.run(0);
    const auto plain = solvedWith(p, network::withValue(part, 1.7 * part.value));
    for (std::size_t k = 0; k < axis().size(); ++k) {
        EXPECT_NEAR(
            std::abs(1.0 / at(sweep.admittance(), k) / plain.impedances[k] - 1.0), 0.0, 1e-11);
    }
}

// What the source gives is what parts and drivers take (Tellegen's theorem), complex.
TEST(Sweep, powerOfTheBranchesIsThatOfTheSource) {
    for (std::uint64_t seed = 1; seed <= 60; ++seed) {
        const Prepared p(randomNetwork(seed));
        network::Sweep sweep(p.network.circuit, p.loads);
        sweep.run(0);
        std::vector<network::Block> I;
        std::vector<network::Block> U;
        sweep.branches(I, U);
        const auto ends = network::driverEnds(p.network.circuit);
        for (std::size_t k = 0; k < axis().size(); ++k) {
            const Complex Y = at(sweep.admittance(), k);
            const Complex V = 1.0 / (1.0 + p.network.circuit.source.resistance * Y);
            Complex sum;
            for (std::size_t part = 0; part < I.size(); ++part) {
                sum += at(U[part], k) * std::conj(at(I[part], k));
            }
            for (std::size_t end = 0; end < ends.size(); ++end) {
                const Complex u = at(sweep.drive(end), k);
                const std::size_t load = p.loads.loads().find(ends[end].driver).value();
                const Complex Z = p.loads.loads().drivers[load].impedance[k] * ends[end].ratio();
                sum += u * std::conj(u / Z);
            }
            const Complex given = V * std::conj(V * Y);
            ASSERT_NEAR(std::abs(sum / given - 1.0), 0.0, 1e-10) << seed;
        }
    }
}

} // namespace yf::test
