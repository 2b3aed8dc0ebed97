// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/impedance.h"

#include <cmath>
#include <numbers>

namespace yf::driver {

namespace {

using curve::Complex;

Complex parallel(Complex a, Complex b) {
    return a * b / (a + b);
}

InductanceModel modelOf(const ImpedanceModel& m) {
    return m.inductance.value_or(m.Le ? InductanceModel::ideal : InductanceModel::none);
}

} // namespace

std::optional<Error> check(const ImpedanceModel& m) {
    const auto need = [](const std::optional<double>& value,
                         const char* key) -> std::optional<Error> {
        if (value) {
            return std::nullopt;
        }
        return Error{key, "missing", "the inductance_model needs it"};
    };
    const auto first =
        [](std::initializer_list<std::optional<Error>> errors) -> std::optional<Error> {
        for (const auto& error : errors) {
            if (error) {
                return error;
            }
        }
        return std::nullopt;
    };
    switch (modelOf(m)) {
    case InductanceModel::none:
        return std::nullopt;
    case InductanceModel::ideal:
        return need(m.Le, "Le_h");
    case InductanceModel::leach:
        return first({need(m.leachK, "leach_k"), need(m.leachN, "leach_n")});
    case InductanceModel::lr2:
        return first({need(m.Le, "Le_h"), need(m.L2, "L2_h"), need(m.R2, "R2_ohm")});
    case InductanceModel::semi:
        return first({need(m.Le, "Le_h"), need(m.Ke, "Ke")});
    case InductanceModel::semiRing:
        return first({need(m.Le, "Le_h"), need(m.Ke, "Ke"), need(m.Rss, "Rss_ohm")});
    }
    return std::nullopt;
}

Complex coilImpedance(const ImpedanceModel& m, double frequency) {
    const Complex s{0.0, 2.0 * std::numbers::pi * frequency};
    switch (modelOf(m)) {
    case InductanceModel::none:
        return {};
    case InductanceModel::ideal:
        return s * *m.Le;
    case InductanceModel::leach:
        return *m.leachK * std::pow(s, *m.leachN);
    case InductanceModel::lr2:
        return s * *m.Le + parallel(s * *m.L2, *m.R2);
    case InductanceModel::semi:
        return s * m.Leb.value_or(0.0) + parallel(s * *m.Le, *m.Ke * std::sqrt(s));
    case InductanceModel::semiRing:
        return s * m.Leb.value_or(0.0) +
               parallel(parallel(s * *m.Le, *m.Ke * std::sqrt(s)), *m.Rss);
    }
    return {};
}

std::vector<Complex> impedance(const ImpedanceModel& m, const curve::Axis& axis) {
    std::vector<Complex> Z;
    Z.reserve(axis.size());
    for (const double f : axis) {
        const Complex motional = (m.Re / m.Qes) / Complex{1.0 / m.Qms, f / m.fs - m.fs / f};
        Z.push_back(m.Re + coilImpedance(m, f) + motional);
    }
    return Z;
}

} // namespace yf::driver
