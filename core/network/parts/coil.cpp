// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/parts/coil.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>
#include <numbers>

namespace yf::network {

namespace {

constexpr double pi = std::numbers::pi;

/// Length, resistance and weight from turns and mean radius.
void putWire(Coil& coil, const CoilRequest& r, double meanRadius) {
    const double area = 0.25 * pi * r.wire * r.wire;
    coil.wireLength = 2.0 * pi * meanRadius * coil.turns;
    coil.dcr = r.resistivity * coil.wireLength / area;
    coil.copper = copperDensity * coil.wireLength * area;
}

Coil brooks(const CoilRequest& r) {
    constexpr double K = 1.69937e-6; // H/m
    Coil coil;
    coil.turns = std::pow(r.L / (1.5 * K * r.insulated), 0.4);
    const double c = r.insulated * std::sqrt(coil.turns);
    coil.innerDiameter = 2.0 * c;
    coil.outerDiameter = 4.0 * c;
    coil.length = c;
    putWire(coil, r, 1.5 * c);
    return coil;
}

Coil onFormer(const CoilRequest& r) {
    const double b = *r.length;
    const auto depth = [&](double N) { return N * r.insulated * r.insulated / b; };
    const auto radius = [&](double N) { return 0.5 * (*r.innerDiameter + depth(N)); };
    const auto inductance = [&](double N) {
        const double a = radius(N);
        return 31.5e-6 * a * a * N * N / (6.0 * a + 9.0 * b + 10.0 * depth(N));
    };
    // L grows with N: halve the interval in the logarithm.
    double low = 1e-3;
    double high = 1.0;
    while (inductance(high) < r.L) {
        high *= 2.0;
    }
    constexpr int steps = 80;
    for (int i = 0; i < steps; ++i) {
        const double middle = std::sqrt(low * high);
        (inductance(middle) < r.L ? low : high) = middle;
    }
    Coil coil;
    coil.turns = std::sqrt(low * high);
    coil.innerDiameter = *r.innerDiameter;
    coil.outerDiameter = *r.innerDiameter + 2.0 * depth(coil.turns);
    coil.length = b;
    putWire(coil, r, radius(coil.turns));
    return coil;
}

} // namespace

std::optional<Error> check(const CoilRequest& r) {
    if (r.insulated < r.wire) {
        return Error{
            "insulated_m",
            text::given(text::printNumber(r.insulated)),
            say(YF_WORDS("core", "must not be below wire_m, %1"), text::printNumber(r.wire))};
    }
    const bool former = r.shape == CoilShape::former;

    const struct {
        const std::optional<double>& value;
        const char* key;
    } sizes[] = {{r.innerDiameter, "inner_diameter_m"}, {r.length, "length_m"}};

    for (const auto& size : sizes) {
        if (former && !size.value) {
            return Error{size.key, "missing", "a former needs it"};
        }
        if (!former && size.value) {
            return Error{size.key, "given", "belongs to shape former"};
        }
    }
    return std::nullopt;
}

Result<Coil> coil(const CoilRequest& r) {
    return r.shape == CoilShape::brooks ? brooks(r) : onFormer(r);
}

double gaugeDiameter(int gauge) {
    return 0.127e-3 * std::pow(92.0, (36.0 - gauge) / 39.0);
}

} // namespace yf::network
