// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/design/zobel.h"

#include "core/text/given.h"

#include <Eigen/Core>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <unsupported/Eigen/NonLinearOptimization>
#include <unsupported/Eigen/NumericalDiff>

namespace yf::network {

namespace {

using driver::ImpedanceModel;
using driver::InductanceModel;

constexpr double twoPi = 2.0 * std::numbers::pi;

struct Branch {
    double R{};
    double C{};
};

Complex withShunt(Complex Z, double omega, const Branch& branch) {
    const Complex shunt = branch.R + 1.0 / Complex{0.0, omega * branch.C};
    return Z * shunt / (Z + shunt);
}

double deviationOf(const Axis& axis, const std::vector<Complex>& Z, const Zobel& zobel) {
    double worst = 0.0;
    for (std::size_t k = 0; k < axis.size(); ++k) {
        const Complex flat = withShunt(Z[k], twoPi * axis[k], {zobel.R, *zobel.C});
        worst = std::max(worst, std::abs(quantity::decibels(std::abs(flat) / zobel.target)));
    }
    return worst;
}

/// Residuals Z_par/R_t − 1, real parts then imaginary ones; unknowns ln R, ln C.
struct Flatness {
    using Scalar = double;
    using InputType = Eigen::VectorXd;
    using ValueType = Eigen::VectorXd;
    using JacobianType = Eigen::MatrixXd;

    // Names that Eigen asks for.
    static constexpr int InputsAtCompileTime =
        Eigen::Dynamic; // NOLINT(readability-identifier-naming)
    static constexpr int ValuesAtCompileTime =
        Eigen::Dynamic; // NOLINT(readability-identifier-naming)

    const Axis& axis;
    const std::vector<Complex>& Z;
    double target;

    [[nodiscard]] int inputs() const { return 2; }

    [[nodiscard]] int values() const { return static_cast<int>(2 * axis.size()); }

    int operator()(const Eigen::VectorXd& x, Eigen::VectorXd& residuals) const {
        for (std::size_t k = 0; k < axis.size(); ++k) {
            const Complex e =
                withShunt(Z[k], twoPi * axis[k], {std::exp(x(0)), std::exp(x(1))}) / target - 1.0;
            residuals(static_cast<Eigen::Index>(2 * k)) = e.real();
            residuals(static_cast<Eigen::Index>(2 * k + 1)) = e.imag();
        }
        return 0;
    }
};

std::vector<Complex> dualOf(const Zobel& z, const ImpedanceModel& m, const Axis& axis) {
    std::vector<Complex> result;
    for (const double f : axis) {
        const Complex s{0.0, twoPi * f};
        Complex Y = 1.0 / (z.motionR + s * z.motionL + 1.0 / (s * z.motionC));
        if (z.C) {
            Y += s * *z.C;
        }
        if (z.semiR) {
            Y += 1.0 / (*z.semiR + 1.0 / (s * *z.semiC));
        }
        result.push_back(m.Re + 1.0 / Y);
    }
    return result;
}

Result<ImpedanceModel> modelOf(const ZobelRequest& r) {
    ImpedanceModel m{.Re = r.Re.value_or(0.0),
                     .fs = r.fs.value_or(0.0),
                     .Qms = r.Qms.value_or(0.0),
                     .Qes = r.Qes.value_or(0.0),
                     .inductance = r.inductance,
                     .Le = r.Le,
                     .leachK = r.leachK,
                     .leachN = r.leachN,
                     .L2 = r.L2,
                     .R2 = r.R2,
                     .Leb = r.Leb,
                     .Ke = r.Ke,
                     .Rss = r.Rss};
    if (auto error = driver::check(m)) {
        return *error;
    }
    const InductanceModel kind =
        m.inductance.value_or(m.Le ? InductanceModel::ideal : InductanceModel::none);
    if (kind != InductanceModel::none && kind != InductanceModel::ideal &&
        kind != InductanceModel::lr2) {
        return Error{"inductance_model",
                     "another model given",
                     "must be none, ideal or lr2: only these have a dual of parts"};
    }
    m.inductance = kind;
    return m;
}

Result<Zobel> conjugate(const ZobelRequest& r) {
    YF_TRY(m, modelOf(r));
    Zobel z;
    z.conjugate = true;
    z.R = m.Re;
    z.target = m.Re;
    if (m.inductance != InductanceModel::none) {
        z.C = *m.Le / (m.Re * m.Re);
    }
    if (m.inductance == InductanceModel::lr2) {
        z.semiR = m.Re * m.Re / *m.R2;
        z.semiC = *m.L2 / (m.Re * m.Re);
    }
    const double omegaS = twoPi * m.fs;
    z.motionR = m.Re * m.Qes / m.Qms;
    z.motionL = m.Re * m.Qes / omegaS;
    z.motionC = 1.0 / (omegaS * m.Re * m.Qes);
    const Axis& axis = curve::designAxis();
    const auto Z = driver::impedance(m, axis);
    const auto dual = dualOf(z, m, axis);
    for (std::size_t k = 0; k < axis.size(); ++k) {
        const Complex flat = Z[k] * dual[k] / (Z[k] + dual[k]);
        z.deviation =
            std::max(z.deviation, std::abs(quantity::decibels(std::abs(flat) / z.target)));
    }
    return z;
}

Result<Zobel> measured(const ZobelRequest& r) {
    Axis axis;
    std::vector<Complex> Z;
    for (std::size_t k = 0; k < r.frequencies->size(); ++k) {
        const double f = (*r.frequencies)[k];
        if (f >= r.from.value_or(0.0) && f <= r.to.value_or(1e12)) {
            axis.push_back(f);
            Z.push_back(std::polar((*r.moduli)[k], (*r.phases)[k]));
        }
    }
    constexpr std::size_t leastPoints = 3;
    if (axis.size() < leastPoints) {
        return Error{"from_hz",
                     say(YF_WORDS("core", "%1 points between from_hz and to_hz"),
                         std::to_string(axis.size())),
                     "must be at least 3"};
    }
    const double least =
        std::abs(*std::ranges::min_element(Z, {}, [](const Complex& z) { return std::abs(z); }));
    return fitZobel(axis, Z, r.target ? *r.target : r.Re.value_or(least));
}

Error needed(const char* key) {
    return {key, "missing", "this kind needs it"};
}

Part bare(PartKind kind, double value) {
    Part part;
    part.id = std::string(1, letter(kind));
    part.kind = kind;
    part.value = value;
    return part;
}

OnePort inSeries(std::vector<OnePort> ports) {
    return Composite{.joining = Joining::series, .ports = std::move(ports)};
}

} // namespace

std::optional<Error> check(const ZobelRequest& r) {
    if (r.kind == ZobelKind::conjugate) {
        const std::pair<const std::optional<double>*, const char*> keys[] = {
            {&r.Re, "Re_ohm"}, {&r.fs, "fs_hz"}, {&r.Qms, "Qms"}, {&r.Qes, "Qes"}};
        for (const auto& [value, key] : keys) {
            if (!*value) {
                return needed(key);
            }
        }
        return std::nullopt;
    }
    if (!r.frequencies) {
        return !r.Re   ? std::optional(needed("Re_ohm"))
               : !r.Le ? std::optional(needed("Le_h"))
                       : std::nullopt;
    }
    if (!r.moduli) {
        return needed("impedances_ohm");
    }
    if (!r.phases) {
        return needed("phases_deg");
    }
    for (const auto& [list, key] :
         {std::pair{&*r.moduli, "impedances_ohm"}, std::pair{&*r.phases, "phases_deg"}}) {
        if (list->size() != r.frequencies->size()) {
            return Error{key,
                         say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                             std::to_string(list->size()),
                             std::to_string(r.frequencies->size())),
                         ""};
        }
    }
    for (std::size_t i = 1; i < r.frequencies->size(); ++i) {
        if (!((*r.frequencies)[i] > (*r.frequencies)[i - 1])) {
            return Error{"frequencies_hz",
                         say(YF_WORDS("core", "entry %1 is not above entry %2"),
                             std::to_string(i + 1),
                             std::to_string(i)),
                         ""};
        }
    }
    if (r.from && r.to && !(*r.from < *r.to)) {
        return Error{"to_hz",
                     text::given(text::printNumber(*r.to)),
                     say(YF_WORDS("core", "must be above from_hz %1"), text::printNumber(*r.from))};
    }
    return std::nullopt;
}

Zobel fitZobel(const Axis& axis, const std::vector<Complex>& Z, double target) {
    Flatness flatness{axis, Z, target};
    Zobel best;
    best.target = target;
    double least = 1e300;
    // The valley is long where the coil is far from an inductor: starts over two decades of C.
    const double middle = twoPi * std::sqrt(axis.front() * axis.back());
    for (const double ratio : {0.1, 0.3, 1.0, 3.0, 10.0}) {
        Eigen::NumericalDiff<Flatness> derived(flatness);
        Eigen::LevenbergMarquardt<Eigen::NumericalDiff<Flatness>> solver(derived);
        solver.parameters.xtol = 1e-12;
        solver.parameters.ftol = 1e-14;
        Eigen::VectorXd x(2);
        x << std::log(target), std::log(ratio / (middle * target));
        solver.minimize(x);
        if (std::isfinite(solver.fnorm) && solver.fnorm < least) {
            least = solver.fnorm;
            best.R = std::exp(x(0));
            best.C = std::exp(x(1));
        }
    }
    best.deviation = deviationOf(axis, Z, best);
    return best;
}

Result<Zobel> zobel(const ZobelRequest& r) {
    if (r.kind == ZobelKind::conjugate) {
        return conjugate(r);
    }
    if (r.frequencies) {
        return measured(r);
    }
    Zobel z;
    z.R = *r.Re;
    z.C = *r.Le / (*r.Re * *r.Re);
    z.target = r.target.value_or(*r.Re);
    const Axis& axis = curve::designAxis();
    std::vector<Complex> Z;
    for (const double f : axis) {
        Z.emplace_back(*r.Re, twoPi * f * *r.Le);
    }
    z.deviation = deviationOf(axis, Z, z);
    return z;
}

OnePort Zobel::shunt() const {
    if (!conjugate) {
        return inSeries({bare(PartKind::resistor, R), bare(PartKind::capacitor, *C)});
    }
    std::vector<OnePort> branches;
    if (C) {
        branches.emplace_back(bare(PartKind::capacitor, *C));
    }
    if (semiR) {
        branches.push_back(
            inSeries({bare(PartKind::resistor, *semiR), bare(PartKind::capacitor, *semiC)}));
    }
    branches.push_back(inSeries({bare(PartKind::resistor, motionR),
                                 bare(PartKind::coil, motionL),
                                 bare(PartKind::capacitor, motionC)}));
    return inSeries({bare(PartKind::resistor, R),
                     Composite{.joining = Joining::parallel, .ports = std::move(branches)}});
}

text::Value Zobel::write() const {
    using text::Value;
    const auto maybe = [](const std::optional<double>& number) {
        return number ? Value{*number} : Value{};
    };
    Value::Object object{
        {"r_ohm", R}, {"c_f", maybe(C)}, {"target_ohm", target}, {"deviation_db", deviation}};
    if (conjugate) {
        object.push_back({"semi_r_ohm", maybe(semiR)});
        object.push_back({"semi_c_f", maybe(semiC)});
        object.push_back({"motion_r_ohm", motionR});
        object.push_back({"motion_l_h", motionL});
        object.push_back({"motion_c_f", motionC});
        object.push_back({"shunt", writeOnePort(shunt())});
    }
    return object;
}

} // namespace yf::network
