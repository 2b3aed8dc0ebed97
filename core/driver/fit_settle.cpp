// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/fit_settle.h"

#include "core/base/median.h"

#include <Eigen/Dense>

#include <algorithm>
#include <cmath>

namespace yf::driver {

namespace {

using curve::Complex;
using Vector = std::vector<double>;

constexpr std::size_t motional = motionalParameters;

/// Scale of Cauchy's loss: 2 %.
constexpr double cauchy = 0.02;

/// Weighted errors, bent by Cauchy's loss or scaled by given weights, and the reading by meter:
/// their squares sum to the cost.
class Residuals {
public:
    Residuals(const Task& task, Vector fixed) : task_(task), p_(std::move(fixed)) {}

    void operator()(const double* moving, double* r, double* J) {
        const std::size_t n = p_.size() - task_.frozen;
        std::copy_n(moving, n, p_.begin() + static_cast<std::ptrdiff_t>(task_.frozen));
        const Points& points = task_.points;
        const std::size_t rows = points.phase ? 2 : 1;
        evaluate(task_.form, p_.data(), points.f, impedances_, J == nullptr ? nullptr : &slopes_);
        for (std::size_t i = 0; i < points.f.size(); ++i) {
            const Complex e = errorOf(points.Z[i], impedances_[i], points.phase);
            const double m = std::sqrt(std::norm(e));
            double scale = points.weight[i];
            double bend = 0.0; // how the scale turns with |e|, over |e|
            if (task_.robust != nullptr) {
                scale *= std::sqrt((*task_.robust)[i]);
            } else if (m > 1e-9) {
                const double q = m * m / (cauchy * cauchy);
                const double root = std::sqrt(std::log1p(q));
                const double share = cauchy * root / m;
                bend = scale * ((m / cauchy) / (root * (1.0 + q)) - share) / (m * m);
                scale *= share;
            }
            r[rows * i] = scale * e.real();
            if (points.phase) {
                r[rows * i + 1] = scale * e.imag();
            }
            if (J != nullptr) {
                slopesOf(i, e, scale, bend, J + rows * i * n);
            }
        }
        if (points.dcr) {
            const std::size_t row = rows * points.f.size();
            r[row] = points.noise * (p_[0] - std::log(*points.dcr)) / points.dcrU;
            for (std::size_t k = 0; J != nullptr && k < n; ++k) {
                J[row * n + k] = task_.frozen == 0 && k == 0 ? points.noise / points.dcrU : 0.0;
            }
        }
    }

    [[nodiscard]] std::size_t size() const {
        return task_.points.f.size() * (task_.points.phase ? 2 : 1) + (task_.points.dcr ? 1 : 0);
    }

private:
    /// How the residuals of one point turn with what moves: e falls as the model rises.
    void slopesOf(std::size_t i, Complex e, double scale, double bend, double* J) const {
        const std::size_t n = p_.size() - task_.frozen;
        for (std::size_t k = 0; k < n; ++k) {
            const Complex d = -slopes_[i * p_.size() + task_.frozen + k];
            const bool phase = task_.points.phase;
            const double along = bend * (e.real() * d.real() + (phase ? e.imag() * d.imag() : 0.0));
            J[k] = scale * d.real() + along * e.real();
            if (phase) {
                J[n + k] = scale * d.imag() + along * e.imag();
            }
        }
    }

    Task task_;
    Vector p_;
    std::vector<Complex> impedances_;
    std::vector<Complex> slopes_;
};

Bounds boundsOf(std::size_t i, InductanceModel coil) {
    const std::size_t inCoil = i - motional;
    if (i == 0) {
        return {std::log(0.05), std::log(2000.0)};
    }
    if (i == 1) {
        return {std::log(1.0), std::log(20000.0)};
    }
    if (i == 2 || i == 3) {
        return {std::log(0.02), std::log(300.0)};
    }
    if (inCoil < static_cast<std::size_t>(coilParameters(coil))) {
        if (coil == InductanceModel::leach) {
            return inCoil == 1 ? Bounds{0.3, 1.0} : Bounds{std::log(1e-7), std::log(10.0)};
        }
        // Inductances, R2, Ke, Rss.
        const bool resistive = (coil == InductanceModel::lr2 && inCoil == 2) ||
                               (coil == InductanceModel::semiRing && inCoil == 3);
        const bool semi =
            (coil == InductanceModel::semi || coil == InductanceModel::semiRing) && inCoil == 2;
        if (resistive) {
            return {std::log(1e-3), std::log(1e5)};
        }
        if (semi) {
            return {std::log(1e-4), std::log(50.0)};
        }
        return {std::log(1e-8), std::log(0.2)};
    }
    return {std::log(1e-3), std::log(1e4)};
}

double scaleOf(const std::vector<Complex>& e, bool phase) {
    std::vector<double> sizes;
    sizes.reserve(e.size());
    for (const Complex& v : e) {
        sizes.push_back(std::abs(v));
    }
    constexpr double ofRayleigh = 1.0 / 1.177;
    constexpr double ofNormal = 1.483;
    constexpr double least = 1e-7;
    return std::max(median(sizes) * (phase ? ofRayleigh : ofNormal), least);
}

std::vector<double> tukey(const std::vector<Complex>& e, double scale, bool phase) {
    const double cut = (phase ? 5.6 : 4.685) * scale;
    std::vector<double> w;
    for (const Complex& v : e) {
        const double t = std::abs(v) / cut;
        w.push_back(t < 1.0 ? (1.0 - t * t) * (1.0 - t * t) : 0.0);
    }
    return w;
}

/// Slopes of the plain errors, and of the reading by meter in the last row.
Eigen::MatrixXd
jacobian(const Points& points, const Vector& p, const ImpedanceForm& form, std::size_t frozen) {
    std::vector<Complex> Z;
    std::vector<Complex> slopes;
    evaluate(form, p.data(), points.f, Z, &slopes);
    const std::size_t each = points.phase ? 2 : 1;
    const std::size_t rows = points.f.size() * each + (points.dcr ? 1 : 0);
    Eigen::MatrixXd J = Eigen::MatrixXd::Zero(static_cast<Eigen::Index>(rows),
                                              static_cast<Eigen::Index>(p.size() - frozen));
    for (std::size_t i = 0; i < points.f.size(); ++i) {
        for (std::size_t k = frozen; k < p.size(); ++k) {
            const Complex d = -slopes[i * p.size() + k];
            const auto column = static_cast<Eigen::Index>(k - frozen);
            J(static_cast<Eigen::Index>(each * i), column) = d.real();
            if (points.phase) {
                J(static_cast<Eigen::Index>(each * i + 1), column) = d.imag();
            }
        }
    }
    if (points.dcr && frozen == 0) {
        J(static_cast<Eigen::Index>(rows - 1), 0) = 1.0;
    }
    return J;
}

/// Neighbours' correlation of the weighted errors.
double lagOne(const std::vector<Complex>& e, const std::vector<double>& robust) {
    double above = 0.0;
    double below = 0.0;
    for (std::size_t i = 0; i < e.size(); ++i) {
        below += robust[i] * std::norm(e[i]);
        if (i > 0) {
            above += std::sqrt(robust[i] * robust[i - 1]) * (e[i] * std::conj(e[i - 1])).real();
        }
    }
    return below > 0.0 ? above / below : 0.0;
}

void settleCovariance(Settled& s,
                      const Points& points,
                      const ImpedanceForm& form,
                      std::size_t frozen) {
    const Eigen::MatrixXd J = jacobian(points, s.p, form, frozen);
    const std::size_t each = points.phase ? 2 : 1;
    Eigen::VectorXd a(J.rows());
    Eigen::VectorXd own(J.rows());
    for (Eigen::Index row = 0; row < J.rows(); ++row) {
        const auto i = static_cast<std::size_t>(row) / each;
        // The reading by meter counts in units of its own noise.
        const bool meter = i >= points.f.size();
        a(row) = meter ? points.noise / points.dcrU : points.weight[i] * std::sqrt(s.robust[i]);
        own(row) = meter ? points.dcrU / points.noise * s.scale : s.scale;
    }
    const Eigen::MatrixXd A = a.asDiagonal() * J;
    const Eigen::MatrixXd B = a.cwiseProduct(own).asDiagonal() * A;
    const Eigen::MatrixXd G = A.transpose() * A;
    const Eigen::MatrixXd M = B.transpose() * B;
    // A parameter at its bound or without influence must not blow up the others.
    const Eigen::MatrixXd inverse = G.completeOrthogonalDecomposition().pseudoInverse();
    const double rho = lagOne(s.errors, s.robust);
    constexpr double worth = 0.2;
    const double wider = rho > worth ? (1.0 + rho) / (1.0 - std::min(rho, 0.95)) : 1.0;
    constexpr double efficiency = 0.95; // of Tukey's weights under normal noise
    const Eigen::MatrixXd all = wider / efficiency * inverse * M * inverse;
    for (Eigen::Index i = 0; i < all.rows(); ++i) {
        for (Eigen::Index k = 0; k < all.cols(); ++k) {
            s.covariance.push_back(all(i, k));
        }
    }
}

void settleQuality(Settled& s, const Points& points) {
    double rss = 0.0;
    double rssWeighted = 0.0;
    double count = 0.0;
    const std::size_t each = points.phase ? 2 : 1;
    for (std::size_t i = 0; i < s.errors.size(); ++i) {
        constexpr double outlier = 0.1;
        if (s.robust[i] >= outlier) {
            rss += std::norm(s.errors[i]);
            rssWeighted += points.weight[i] * points.weight[i] * std::norm(s.errors[i]);
            count += 1.0;
        }
    }
    s.rms = std::sqrt(rss / std::max(count, 1.0));
    const double n = count * static_cast<double>(each);
    s.bic = n * std::log(std::max(rssWeighted, 1e-20) / std::max(n, 1.0)) +
            static_cast<double>(s.p.size()) * std::log(std::max(n, 2.0));
}

/// One step of Gauss and Newton with given robust weights; the largest change.
double step(Vector& p, const Points& points, const Task& task, const std::vector<Complex>& e) {
    const Eigen::MatrixXd J = jacobian(points, p, task.form, task.frozen);
    const std::size_t each = points.phase ? 2 : 1;
    Eigen::VectorXd a(J.rows());
    Eigen::VectorXd r(J.rows());
    for (Eigen::Index row = 0; row < J.rows(); ++row) {
        const auto i = static_cast<std::size_t>(row) / each;
        const bool meter = i >= points.f.size();
        a(row) =
            meter ? points.noise / points.dcrU : points.weight[i] * std::sqrt((*task.robust)[i]);
        r(row) = meter                                       ? p[0] - std::log(*points.dcr)
                 : static_cast<std::size_t>(row) % each == 0 ? e[i].real()
                                                             : e[i].imag();
    }
    const Eigen::MatrixXd A = a.asDiagonal() * J;
    const Eigen::MatrixXd G = A.transpose() * A;
    const Eigen::VectorXd g = A.transpose() * a.cwiseProduct(r);
    const Eigen::VectorXd d = -G.completeOrthogonalDecomposition().solve(g);
    double moved = 0.0;
    for (Eigen::Index k = 0; k < d.size(); ++k) {
        const std::size_t at = task.frozen + static_cast<std::size_t>(k);
        const Bounds b = boundsOf(at, task.form.coil);
        constexpr double longest = 0.3;
        const double next = std::clamp(p[at] + std::clamp(d(k), -longest, longest), b.low, b.high);
        moved = std::max(moved, std::abs(next - p[at]));
        p[at] = next;
    }
    return moved;
}

} // namespace

Minimum minimise(const Task& task, const Vector& start) {
    Residuals residuals(task, start);
    const auto frozen = static_cast<std::ptrdiff_t>(task.frozen);
    std::vector<Bounds> bounds;
    for (std::size_t i = task.frozen; i < start.size(); ++i) {
        bounds.push_back(boundsOf(i, task.form.coil));
    }
    const Minimum moving =
        leastSquares([&](const double* p, double* r, double* J) { residuals(p, r, J); },
                     residuals.size(),
                     Vector(start.begin() + frozen, start.end()),
                     bounds);
    Minimum minimum{start, moving.cost};
    std::ranges::copy(moving.p, minimum.p.begin() + frozen);
    return minimum;
}

std::vector<Complex> errorsOf(const Points& points, const Vector& p, const ImpedanceForm& form) {
    std::vector<Complex> Z;
    evaluate(form, p.data(), points.f, Z, nullptr);
    std::vector<Complex> e;
    e.reserve(points.f.size());
    for (std::size_t i = 0; i < points.f.size(); ++i) {
        e.push_back(errorOf(points.Z[i], Z[i], points.phase));
    }
    return e;
}

Settled settle(Points points, const ImpedanceForm& form, Vector p, std::size_t frozen) {
    Settled s{.p = std::move(p)};
    const auto weigh = [&] {
        s.errors = errorsOf(points, s.p, form);
        s.scale = scaleOf(s.errors, points.phase);
        points.noise = s.scale;
        s.robust = tukey(s.errors, s.scale, points.phase);
    };
    const bool moves = frozen < s.p.size();
    constexpr int mostRounds = 40;
    for (int round = 0; moves && round < mostRounds; ++round) {
        weigh();
        constexpr double atRest = 1e-7;
        if (step(s.p, points, {points, form, &s.robust, frozen}, s.errors) < atRest) {
            break;
        }
    }
    weigh();
    settleQuality(s, points);
    if (moves) {
        settleCovariance(s, points, form, frozen);
    }
    return s;
}

} // namespace yf::driver
