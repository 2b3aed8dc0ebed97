// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/log_impedance.h"

#include <array>
#include <cmath>
#include <numbers>

namespace yf::driver {

namespace {

using curve::Complex;

constexpr std::size_t mostCoil = 4;

/// The coil's own impedance and its slopes.
struct Coil {
    Complex Z{};
    std::array<Complex, mostCoil> slope{};
};

/// Values out of logarithms, once for all frequencies.
struct Values {
    double Re, fs, Qms, Qes;
    std::array<double, mostCoil> coil{};
    double alpha{}, fb{}, QL{};
};

Coil coilAt(InductanceModel model, const Values& v, double w, double rootHalf) {
    const Complex s{0.0, w};
    const auto& c = v.coil;
    Coil coil;
    switch (model) {
    case InductanceModel::none:
        break;
    case InductanceModel::ideal:
        coil.Z = coil.slope[0] = s * c[0];
        break;
    case InductanceModel::leach: {
        const double lnw = std::log(w);
        const double angle = 0.5 * std::numbers::pi;
        coil.Z = coil.slope[0] = std::polar(c[0] * std::exp(c[1] * lnw), c[1] * angle);
        coil.slope[1] = coil.Z * Complex{lnw, angle};
        break;
    }
    case InductanceModel::lr2: {
        const Complex a = s * c[1];
        const Complex sum = a + c[2];
        const Complex P = a * c[2] / sum;
        coil.slope[0] = s * c[0];
        coil.slope[1] = P * c[2] / sum;
        coil.slope[2] = P * a / sum;
        coil.Z = coil.slope[0] + P;
        break;
    }
    case InductanceModel::semi:
    case InductanceModel::semiRing: {
        const Complex a = s * c[1];
        const Complex b = c[2] * rootHalf * Complex{1.0, 1.0}; // √s = √(ω/2)·(1+j)
        Complex below = 1.0 / a + 1.0 / b;
        if (model == InductanceModel::semiRing) {
            below += 1.0 / c[3];
        }
        const Complex P = 1.0 / below;
        coil.slope[0] = s * c[0];
        coil.slope[1] = P * P / a;
        coil.slope[2] = P * P / b;
        if (model == InductanceModel::semiRing) {
            coil.slope[3] = P * P / c[3];
        }
        coil.Z = coil.slope[0] + P;
        break;
    }
    }
    return coil;
}

Values valuesOf(const ImpedanceForm& form, const double* p) {
    Values v{std::exp(p[0]), std::exp(p[1]), std::exp(p[2]), std::exp(p[3])};
    const std::size_t n = form.coilSize();
    for (std::size_t i = 0; i < n; ++i) {
        const bool exponent = form.coil == InductanceModel::leach && i == 1;
        v.coil[i] = exponent ? p[motionalParameters + i] : std::exp(p[motionalParameters + i]);
    }
    if (form.vented) {
        const double* box = p + motionalParameters + n;
        v.alpha = std::exp(box[0]);
        v.fb = std::exp(box[1]);
        v.QL = std::exp(box[2]);
    }
    return v;
}

} // namespace

std::size_t ImpedanceForm::coilSize() const {
    constexpr std::array<std::size_t, 6> counts{0, 1, 2, 3, 3, 4};
    return counts.at(static_cast<std::size_t>(coil));
}

std::size_t ImpedanceForm::size() const {
    return motionalParameters + coilSize() + (vented ? 3 : 0);
}

void evaluate(const ImpedanceForm& form,
              const double* p,
              const curve::Axis& frequencies,
              std::vector<Complex>& Z,
              std::vector<Complex>* slopes) {
    const Values v = valuesOf(form, p);
    const std::size_t size = form.size();
    const std::size_t coilSize = form.coilSize();
    Z.resize(frequencies.size());
    if (slopes != nullptr) {
        slopes->resize(frequencies.size() * size);
    }
    const double M = v.Re / v.Qes;
    for (std::size_t i = 0; i < frequencies.size(); ++i) {
        const double f = frequencies[i];
        const double w = 2.0 * std::numbers::pi * f;
        const Coil coil = coilAt(form.coil, v, w, std::sqrt(0.5 * w));
        const double ratio = f / v.fs;
        Complex D{1.0 / v.Qms, ratio - 1.0 / ratio};
        Complex B{};
        Complex zBox{};
        const double h = form.vented ? v.fb / v.fs : 0.0;
        if (form.vented) {
            const Complex x{0.0, ratio};
            B = x + h / v.QL + h * h / x;
            zBox = v.alpha / B;
            D += zBox;
        }
        const Complex motional = M / D;
        Z[i] = v.Re + coil.Z + motional;
        if (slopes == nullptr) {
            continue;
        }
        Complex* slope = slopes->data() + i * size;
        const Complex inverse = 1.0 / Z[i];
        const Complex byD = -motional / D * inverse; // ∂ ln Z/∂D
        slope[0] = (v.Re + motional) * inverse;
        slope[1] = byD * (Complex{0.0, -(ratio + 1.0 / ratio)} + zBox);
        slope[2] = byD * (-1.0 / v.Qms);
        slope[3] = -motional * inverse;
        for (std::size_t k = 0; k < coilSize; ++k) {
            slope[motionalParameters + k] = coil.slope[k] * inverse;
        }
        if (form.vented) {
            const Complex x{0.0, ratio};
            const Complex byB = byD * (-zBox / B);
            Complex* box = slope + motionalParameters + coilSize;
            box[0] = byD * zBox;
            box[1] = byB * (h / v.QL + 2.0 * h * h / x);
            box[2] = byB * (-h / v.QL);
        }
    }
}

} // namespace yf::driver
