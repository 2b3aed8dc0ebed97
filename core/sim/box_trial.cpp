// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/box_trial.h"

#include "core/box/motion.h"
#include "core/box/read_back.h"
#include "core/quantity/level.h"
#include "core/sim/random.h"
#include "core/text/number.h"

#include <cmath>

namespace yf::sim {

namespace {

double between(Random& random, double low, double high) {
    return low * std::pow(high / low, random.uniform());
}

box::Driver woofer(Random& random) {
    box::Driver d;
    d.Re = between(random, 3.0, 7.0);
    d.fs = between(random, 22.0, 60.0);
    d.Qms = between(random, 2.5, 8.0);
    d.Qes = between(random, 0.25, 0.6);
    d.Sd = between(random, 0.012, 0.05);
    d.Vas = 1e-3 * between(random, 20.0, 150.0);
    d.coil = box::Coil::leach;
    d.leachN = 0.6 + 0.2 * random.uniform();
    d.leachK = between(random, 0.008, 0.03);
    return d;
}

const char* stateOf(bool leak, std::optional<bool> acts) {
    return leak ? "leak" : acts.has_value() && !*acts ? "blocked" : "sound";
}

bool covers(const box::Sure& found, double truth) {
    return std::abs(found.value / truth - 1.0) <= quantity::coverage95 * found.u;
}

} // namespace

KnownBox knownBox(int seed, int n) {
    Random random(static_cast<std::uint64_t>(seed) * 1000003U + static_cast<std::uint64_t>(n));
    KnownBox k{.driver = woofer(random)};
    const double alpha = between(random, 0.5, 4.0);
    const double V = k.driver.Vas / alpha;
    constexpr int turn = 10;
    const int kind = n % turn;
    k.ported = kind != 6 && kind != 8;
    k.fault = kind == 7 || kind == 8 ? BoxFault::leak
              : kind == 9            ? BoxFault::blocked
                                     : BoxFault::none;
    if (!k.ported) {
        // A sound sealed box loses next to nothing.
        const double QL =
            k.fault == BoxFault::leak ? between(random, 0.8, 3.0) : between(random, 40.0, 200.0);
        k.box = box::Closed{.Vb = V, .QL = QL};
        return k;
    }
    k.fb = k.driver.fs * between(random, 0.75, 1.5);
    if (k.fault == BoxFault::blocked) {
        k.box = box::Closed{.Vb = V, .QL = between(random, 20.0, 100.0)};
        return k;
    }
    const double QL =
        k.fault == BoxFault::leak ? between(random, 0.8, 2.3) : between(random, 4.0, 15.0);
    k.box = box::Vented{.Vb = V, .fb = k.fb, .QL = QL};
    return k;
}

curve::Curve impedanceOf(const KnownBox& known, double noise, int seed) {
    Random random(static_cast<std::uint64_t>(seed) * 7919U + 17U);
    const box::System system = box::systemOf(known.driver, known.box, {});
    curve::Axis axis;
    std::vector<curve::Complex> Z;
    constexpr int points = 240;
    for (int i = 0; i < points; ++i) {
        const double f = 8.0 * std::pow(100.0, i / (points - 1.0));
        axis.push_back(f);
        // Of each value a share, as much in its size as in its angle.
        const curve::Complex error{noise * random.normal(), noise * random.normal()};
        Z.push_back(box::motionAt(system, f).Z * std::exp(error));
    }
    return {axis, Z, curve::Phase::common};
}

Result<BoxTrial> boxTrial(const BoxTrialRequest& request) {
    BoxTrial t{.boxes = request.count};
    int told = 0;
    for (int n = 0; n < request.count; ++n) {
        const KnownBox known = knownBox(request.seed, n);
        const auto read = box::readBack(
            {.impedance = impedanceOf(known, request.noise, request.seed * 100003 + n),
             .kind = known.ported ? box::ReadKind::vented : box::ReadKind::closed,
             .fs = known.driver.fs,
             .Qes = known.driver.Qes,
             .Qms = known.driver.Qms});
        if (!read) {
            ++t.failed;
            t.wrong.push_back(std::to_string(n) + ": " + read.error().given.english());
            continue;
        }
        const char* truth = known.fault == BoxFault::leak      ? "leak"
                            : known.fault == BoxFault::blocked ? "blocked"
                                                               : "sound";
        const std::string said = stateOf(read->leakSuspected, read->portActs);
        if (said == truth) {
            ++told;
        } else {
            t.wrong.push_back(std::to_string(n) + ": " + (known.ported ? "ported, " : "sealed, ") +
                              truth + ", told " + said);
        }
        const auto* v = std::get_if<box::Vented>(&known.box);
        if (v == nullptr || known.fault != BoxFault::none) {
            continue;
        }
        ++t.sound;
        if (!read->fb) {
            continue;
        }
        const auto within = [](double found, double is, double share) {
            return std::abs(found / is - 1.0) <= share ? 1.0 : 0.0;
        };
        t.fbHeld += within(read->fb->value, v->fb, 0.01);
        t.QLHeld += within(read->QL->value, v->QL, 0.20);
        t.alphaHeld += within(read->alpha->value, known.driver.Vas / v->Vb, 0.05);
        t.fsCovered += covers(read->f, known.driver.fs) ? 1.0 : 0.0;
        t.QmsCovered += covers(read->Qm, known.driver.Qms) ? 1.0 : 0.0;
        t.QesCovered += covers(read->Qe, known.driver.Qes) ? 1.0 : 0.0;
    }
    t.told = static_cast<double>(told) / request.count;
    for (double* share :
         {&t.fbHeld, &t.QLHeld, &t.alphaHeld, &t.fsCovered, &t.QmsCovered, &t.QesCovered}) {
        *share /= std::max(t.sound, 1);
    }
    return t;
}

} // namespace yf::sim
