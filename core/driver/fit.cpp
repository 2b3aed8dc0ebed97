// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/fit.h"

#include "core/base/median.h"
#include "core/driver/least_squares.h"
#include "core/driver/log_impedance.h"
#include "core/text/number.h"

#include <Eigen/Dense>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <numbers>

namespace yf::driver {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

constexpr std::array<std::string_view, 6> modelNames{
    "none", "ideal", "leach", "lr2", "semi", "semi_ring"};

using Vector = std::vector<double>;
constexpr std::size_t motional = motionalParameters;

int coilParameters(InductanceModel model) {
    return static_cast<int>(ImpedanceForm{.coil = model}.coilSize());
}

void putCoil(ImpedanceModel& m, InductanceModel model, const double* p) {
    m.inductance = model;
    switch (model) {
    case InductanceModel::none:
        return;
    case InductanceModel::ideal:
        m.Le = std::exp(p[0]);
        return;
    case InductanceModel::leach:
        m.leachK = std::exp(p[0]);
        m.leachN = p[1];
        return;
    case InductanceModel::lr2:
        m.Le = std::exp(p[0]);
        m.L2 = std::exp(p[1]);
        m.R2 = std::exp(p[2]);
        return;
    case InductanceModel::semi:
        m.Leb = std::exp(p[0]);
        m.Le = std::exp(p[1]);
        m.Ke = std::exp(p[2]);
        return;
    case InductanceModel::semiRing:
        m.Leb = std::exp(p[0]);
        m.Le = std::exp(p[1]);
        m.Ke = std::exp(p[2]);
        m.Rss = std::exp(p[3]);
        return;
    }
}

BoxSeen boxFrom(const double* p) {
    return {std::exp(p[0]), std::exp(p[1]), std::exp(p[2])};
}

/// Points of the data that a fit uses, with their weights.
struct Points {
    std::vector<double> f;
    std::vector<Complex> Z;
    std::vector<double> weight;
    bool phase{};
    std::optional<double> dcr;
    double dcrU{0.01};
    double noise{0.01}; ///< scale of the points, for the reading by meter

    [[nodiscard]] Points below(double limit) const {
        Points part{.phase = phase, .dcr = dcr, .dcrU = dcrU, .noise = noise};
        for (std::size_t i = 0; i < f.size(); ++i) {
            if (f[i] <= limit) {
                part.f.push_back(f[i]);
                part.Z.push_back(Z[i]);
                part.weight.push_back(weight[i]);
            }
        }
        return part;
    }
};

Complex errorOf(Complex measured, Complex model, bool phase) {
    if (!phase) {
        return {0.5 * std::log(std::norm(measured) / std::norm(model)), 0.0};
    }
    const Complex ratio = measured / model;
    return {0.5 * std::log(std::norm(ratio)), std::arg(ratio)};
}

/// What one minimisation looks at: which parameters move, which loss.
struct Task {
    const Points& points;
    ImpedanceForm form;
    const std::vector<double>* robust{}; ///< Tukey weights; absent: Cauchy loss
    std::size_t frozen{};                ///< leading parameters that stay
};

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
        evaluate(task_.form, p_.data(), points.f, Z_, J == nullptr ? nullptr : &slopes_);
        for (std::size_t i = 0; i < points.f.size(); ++i) {
            const Complex e = errorOf(points.Z[i], Z_[i], points.phase);
            const double m = std::abs(e);
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
            if (J == nullptr) {
                continue;
            }
            for (std::size_t k = 0; k < n; ++k) {
                // e falls as the model rises.
                const Complex d = -slopes_[i * p_.size() + task_.frozen + k];
                const double along =
                    bend * (e.real() * d.real() + (points.phase ? e.imag() * d.imag() : 0.0));
                J[rows * i * n + k] = scale * d.real() + along * e.real();
                if (points.phase) {
                    J[(rows * i + 1) * n + k] = scale * d.imag() + along * e.imag();
                }
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
    Task task_;
    Vector p_;
    std::vector<Complex> Z_;
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

/// Errors of every point under a model.
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

double scaleOf(const std::vector<Complex>& e, bool phase) {
    std::vector<double> sizes;
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

/// A fit at rest: parameters, their covariance, the weights that were found.
struct Settled {
    Vector p;
    Eigen::MatrixXd covariance;
    std::vector<double> robust;
    std::vector<Complex> errors;
    double scale{};
    double bic{};
    double rms{};
};

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
    const auto n = J.cols();
    Eigen::MatrixXd G = Eigen::MatrixXd::Zero(n, n);
    Eigen::MatrixXd M = Eigen::MatrixXd::Zero(n, n);
    for (Eigen::Index row = 0; row < J.rows(); ++row) {
        const auto i = static_cast<std::size_t>(row) / each;
        // The reading by meter counts in units of its own noise.
        const bool meter = i >= points.f.size();
        const double a =
            meter ? points.noise / points.dcrU : points.weight[i] * std::sqrt(s.robust[i]);
        const double own = meter ? points.dcrU / points.noise * s.scale : s.scale;
        G += a * a * J.row(row).transpose() * J.row(row);
        M += a * a * a * a * own * own * J.row(row).transpose() * J.row(row);
    }
    // A parameter at its bound or without influence must not blow up the others.
    const Eigen::MatrixXd inverse = G.completeOrthogonalDecomposition().pseudoInverse();
    const double rho = lagOne(s.errors, s.robust);
    constexpr double worth = 0.2;
    const double wider = rho > worth ? (1.0 + rho) / (1.0 - std::min(rho, 0.95)) : 1.0;
    constexpr double efficiency = 0.95; // of Tukey's weights under normal noise
    s.covariance = wider / efficiency * inverse * M * inverse;
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
    Eigen::MatrixXd G = Eigen::MatrixXd::Zero(J.cols(), J.cols());
    Eigen::VectorXd g = Eigen::VectorXd::Zero(J.cols());
    for (Eigen::Index row = 0; row < J.rows(); ++row) {
        const auto i = static_cast<std::size_t>(row) / each;
        const bool meter = i >= points.f.size();
        const double a =
            meter ? points.noise / points.dcrU : points.weight[i] * std::sqrt((*task.robust)[i]);
        const double r = meter                                       ? p[0] - std::log(*points.dcr)
                         : static_cast<std::size_t>(row) % each == 0 ? e[i].real()
                                                                     : e[i].imag();
        G += a * a * J.row(row).transpose() * J.row(row);
        g += a * a * r * J.row(row).transpose();
    }
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

Settled settle(Points points, const ImpedanceForm& form, Vector p, std::size_t frozen) {
    Settled s{.p = std::move(p)};
    const auto weigh = [&] {
        s.errors = errorsOf(points, s.p, form);
        s.scale = scaleOf(s.errors, points.phase);
        points.noise = s.scale;
        s.robust = tukey(s.errors, s.scale, points.phase);
    };
    constexpr int mostRounds = 40;
    for (int round = 0; round < mostRounds; ++round) {
        weigh();
        constexpr double atRest = 1e-7;
        if (step(s.p, points, {points, form, &s.robust, frozen}, s.errors) < atRest) {
            break;
        }
    }
    weigh();
    settleQuality(s, points);
    settleCovariance(s, points, form, frozen);
    return s;
}

// ---- start values ----

/// ln|Z| smoothed over 1/8 octave: running median, then mean.
std::vector<double> smoothLevel(const Points& points) {
    const std::size_t n = points.f.size();
    const double side = std::exp2(1.0 / 16.0);
    const auto around = [&](std::size_t i, const std::vector<double>& v, bool mid) {
        std::vector<double> part;
        for (std::size_t k = i; k-- > 0 && points.f[k] >= points.f[i] / side;) {
            part.push_back(v[k]);
        }
        for (std::size_t k = i; k < n && points.f[k] <= points.f[i] * side; ++k) {
            part.push_back(v[k]);
        }
        if (mid) {
            return median(part);
        }
        double sum = 0.0;
        for (const double x : part) {
            sum += x;
        }
        return sum / static_cast<double>(part.size());
    };
    std::vector<double> level;
    for (const Complex& z : points.Z) {
        level.push_back(std::log(std::abs(z)));
    }
    std::vector<double> first;
    for (std::size_t i = 0; i < n; ++i) {
        first.push_back(around(i, level, true));
    }
    std::vector<double> second;
    for (std::size_t i = 0; i < n; ++i) {
        second.push_back(around(i, first, false));
    }
    return second;
}

struct Peak {
    std::size_t at{};
    double prominence{}; ///< in ln|Z|
};

/// By prominence: height over the higher of the two flanking minima. The coil's rise at the end of
/// the band is often higher than the peak, but has no right flank.
std::vector<Peak> peaksOf(const std::vector<double>& level) {
    std::vector<Peak> peaks;
    for (std::size_t i = 1; i + 1 < level.size(); ++i) {
        if (!(level[i] > level[i - 1] && level[i] >= level[i + 1])) {
            continue;
        }
        double left = level[i];
        for (std::size_t k = i; k-- > 0 && level[k] <= level[i];) {
            left = std::min(left, level[k]);
        }
        double right = level[i];
        for (std::size_t k = i + 1; k < level.size() && level[k] <= level[i]; ++k) {
            right = std::min(right, level[k]);
        }
        peaks.push_back({i, level[i] - std::max(left, right)});
    }
    std::ranges::sort(peaks, std::greater<>(), &Peak::prominence);
    return peaks;
}

/// Crossing of a level on one flank, ln f; nothing where it is not reached.
std::optional<double> flank(const Points& points,
                            const std::vector<double>& level,
                            std::size_t top,
                            double wanted,
                            bool left) {
    std::size_t k = top;
    while (left ? k > 0 : k + 1 < level.size()) {
        const std::size_t next = left ? k - 1 : k + 1;
        if (level[next] <= wanted && level[k] > wanted) {
            const double t = (level[k] - wanted) / (level[k] - level[next]);
            return std::log(points.f[k]) + t * (std::log(points.f[next]) - std::log(points.f[k]));
        }
        if (level[next] > level[top] + 1e-9) {
            break;
        }
        k = next;
    }
    return std::nullopt;
}

struct Start {
    double Re{};
    double fs{};
    double Qms{};
    double Qes{};
    bool upperFlank{};
};

Start startFrom(const Points& points, const std::vector<double>& level, const Peak& peak) {
    const double top = level[peak.at];
    double low = top;
    for (const double v : level) {
        low = std::min(low, v);
    }
    Start s{.fs = points.f[peak.at]};
    s.Re = std::min(points.dcr.value_or(std::exp(low)), std::exp(top) / 1.01);
    const double r0 = std::exp(top) / s.Re;
    // √(Re·Zmax); where one flank does not fall that far, a level half way up is tried.
    double wanted = 0.5 * (std::log(s.Re) + top);
    auto left = flank(points, level, peak.at, wanted, true);
    auto right = flank(points, level, peak.at, wanted, false);
    if (!left && !right) {
        wanted = top - 0.3 * (top - std::log(s.Re));
        left = flank(points, level, peak.at, wanted, true);
        right = flank(points, level, peak.at, wanted, false);
    }
    s.upperFlank = right.has_value();
    const double middle = std::log(s.fs);
    const double f1 = std::exp(left ? *left : right ? 2.0 * middle - *right : middle - 0.3);
    const double f2 = std::exp(right ? *right : left ? 2.0 * middle - *left : middle + 0.3);
    const double r1 = std::exp(wanted) / s.Re;
    s.Qms = s.fs / (f2 - f1) *
            std::sqrt(std::max((r0 * r0 - r1 * r1) / std::max(r1 * r1 - 1.0, 1e-3), 1e-2));
    s.Qms = std::clamp(s.Qms, 0.2, 50.0);
    s.Qes = std::clamp(s.Qms / std::max(r0 - 1.0, 0.05), 0.05, 50.0);
    return s;
}

/// Start of the coil from the highest point, |Z_L| = √(|Z|² − Re²).
Vector coilStart(const Points& points, double Re, InductanceModel coil) {
    const double f = points.f.back();
    const double w = 2.0 * pi * f;
    const double size = std::sqrt(std::max(std::norm(points.Z.back()) - Re * Re, 1e-4 * Re * Re));
    switch (coil) {
    case InductanceModel::none:
        return {};
    case InductanceModel::ideal:
        return {std::log(size / w)};
    case InductanceModel::leach:
        return {std::log(size / std::pow(w, 0.7)), 0.7};
    case InductanceModel::lr2:
        return {std::log(0.5 * size / w), std::log(2.0 * size / w), std::log(size)};
    case InductanceModel::semi:
        return {std::log(0.2 * size / w), std::log(3.0 * size / w), std::log(size / std::sqrt(w))};
    case InductanceModel::semiRing:
        return {std::log(0.2 * size / w),
                std::log(3.0 * size / w),
                std::log(size / std::sqrt(w)),
                std::log(3.0 * size)};
    }
    return {};
}

Vector vectorOf(const Start& s, const Vector& coil) {
    Vector p{std::log(s.Re), std::log(s.fs), std::log(s.Qms), std::log(s.Qes)};
    p.insert(p.end(), coil.begin(), coil.end());
    return p;
}

std::vector<double> weightsOf(const FitOrder& order) {
    const auto& f = order.impedance.frequencies();
    std::vector<double> w;
    if (!order.u.empty()) {
        const double middle = median(order.u);
        for (const double u : order.u) {
            constexpr double most = 3.0;
            w.push_back(std::clamp(middle / std::max(u, 1e-9), 1.0 / most, most));
        }
        return w;
    }
    std::vector<double> spacing;
    for (std::size_t i = 0; i < f.size(); ++i) {
        const double below = f[i > 0 ? i - 1 : 0];
        const double above = f[std::min(i + 1, f.size() - 1)];
        const double share = i == 0 || i + 1 == f.size() ? 1.0 : 0.5;
        spacing.push_back(share * std::log(above / below));
    }
    const double middle = median(spacing);
    for (const double s : spacing) {
        constexpr double least = 0.3;
        constexpr double most = 2.0;
        w.push_back(std::clamp(std::sqrt(s / middle), least, most));
    }
    return w;
}

FitUncertainty uncertaintyOf(const Settled& s) {
    const auto var = [&](Eigen::Index i) { return std::max(s.covariance(i, i), 0.0); };
    FitUncertainty u{.Re = std::sqrt(var(0)),
                     .fs = std::sqrt(var(1)),
                     .Qms = std::sqrt(var(2)),
                     .Qes = std::sqrt(var(3))};
    const double Qms = std::exp(s.p[2]);
    const double Qes = std::exp(s.p[3]);
    const double a = Qes / (Qms + Qes); // d ln Qts / d ln Qms
    const double b = Qms / (Qms + Qes);
    u.Qts = std::sqrt(
        std::max(a * a * var(2) + b * b * var(3) + 2.0 * a * b * s.covariance(2, 3), 0.0));
    return u;
}

double QtsOf(const Vector& p) {
    const double Qms = std::exp(p[2]);
    const double Qes = std::exp(p[3]);
    return Qms * Qes / (Qms + Qes);
}

/// What other coils, about as good near the resonance, would make of it: joins the uncertainty.
void widen(FitUncertainty& u, const Settled& chosen, const std::vector<Settled>& others) {
    constexpr double alike = 10.0; // of BIC
    double weights = 0.0;
    double sum[5]{};
    double meanQts = 0.0;
    for (const Settled& other : others) {
        if (other.bic > chosen.bic + alike) {
            continue;
        }
        const double w = std::exp(-0.5 * std::max(other.bic - chosen.bic, 0.0));
        weights += w;
        for (std::size_t i = 0; i < motional; ++i) {
            sum[i] += w * (other.p[i] - chosen.p[i]) * (other.p[i] - chosen.p[i]);
        }
        const double d = std::log(QtsOf(other.p) / QtsOf(chosen.p));
        sum[4] += w * d * d;
        meanQts += w * d;
    }
    if (weights > 0.0) {
        u.Re = std::hypot(u.Re, std::sqrt(sum[0] / weights));
        u.fs = std::hypot(u.fs, std::sqrt(sum[1] / weights));
        u.Qms = std::hypot(u.Qms, std::sqrt(sum[2] / weights));
        u.Qes = std::hypot(u.Qes, std::sqrt(sum[3] / weights));
        // Errors of Qms and Qes go against each other: about their mean, not about the one chosen.
        const double mean = meanQts / weights;
        u.Qts = std::hypot(u.Qts, std::sqrt(std::max(sum[4] / weights - mean * mean, 0.0)));
    }
}

std::string hz(double f) {
    return text::printEngineering(f, "Hz");
}

Error refuse(std::string given, std::string allowed) {
    return {"impedance", std::move(given), std::move(allowed)};
}

/// The best of several starts under Cauchy's loss.
Minimum bestOf(const Task& task, const std::vector<Vector>& starts) {
    Minimum best;
    for (const Vector& start : starts) {
        Minimum m = minimise(task, start);
        if (m.cost < best.cost) {
            best = std::move(m);
        }
    }
    return best;
}

constexpr std::array coilsOfStageOne{
    InductanceModel::leach, InductanceModel::lr2, InductanceModel::semi, InductanceModel::semiRing};

class Fitter {
public:
    explicit Fitter(const FitOrder& order)
        : order_(order), points_{.f = order.impedance.frequencies(),
                                 .Z = order.impedance.values(),
                                 .weight = weightsOf(order),
                                 .phase = order.impedance.phase() != curve::Phase::none,
                                 .dcr = order.dcr,
                                 .dcrU = order.dcrU} {}

    Result<FitResult> run() {
        constexpr std::size_t leastPoints = 6;
        if (points_.f.size() < leastPoints) {
            return refuse(std::to_string(points_.f.size()) + " points", "6 or more are needed");
        }
        const auto level = smoothLevel(points_);
        auto peaks = peaksOf(level);
        constexpr double leastProminence = 0.1;
        std::erase_if(peaks,
                      [](const Peak& p) { return p.prominence < std::log1p(leastProminence); });
        if (peaks.empty()) {
            return refuse("no peak that stands out by 10 %",
                          "the band must hold the driver's resonance");
        }
        if (order_.kind == FitKind::vented) {
            return vented(level, peaks);
        }
        return freeAir(level, peaks);
    }

private:
    Result<FitResult> freeAir(const std::vector<double>& level, const std::vector<Peak>& peaks) {
        std::vector<Start> starts;
        constexpr std::size_t mostStarts = 3;
        for (std::size_t i = 0; i < std::min(peaks.size(), mostStarts); ++i) {
            starts.push_back(startFrom(points_, level, peaks[i]));
        }
        const double rise = std::exp(level[peaks.front().at]) / starts.front().Re;
        constexpr double leastRise = 1.3;
        if (rise < leastRise) {
            return refuse("the peak is only " + text::printFixed(rise, 2) + " times Re",
                          "a healthy driver's is more than 1.3: damped, or broken");
        }
        if (!starts.front().upperFlank) {
            return refuse("the band ends at " + hz(points_.f.back()) +
                              ", before the upper flank of the peak at " + hz(starts.front().fs),
                          "must reach to twice the resonance");
        }
        // Stage 1: the resonance, from data up to ten times its frequency.
        constexpr double reach = 10.0;
        Points near = points_.below(reach * starts.front().fs);
        if (near.f.size() < 6) {
            near = points_;
        }
        std::vector<Settled> resonances;
        std::vector<InductanceModel> coils(coilsOfStageOne.begin(), coilsOfStageOne.end());
        constexpr std::size_t forMany = 24;
        if (near.f.size() < forMany) {
            coils = {InductanceModel::leach};
        }
        for (const InductanceModel coil : coils) {
            std::vector<Vector> from;
            for (const Start& s : starts) {
                if (near.f.back() >= s.fs) {
                    from.push_back(vectorOf(s, coilStart(near, s.Re, coil)));
                }
            }
            const Minimum first = bestOf({near, {coil, false}, nullptr, 0}, from);
            resonances.push_back(settle(near, {coil, false}, first.p, 0));
        }
        const Settled& plain = resonances.front();
        const Settled* chosen = &plain;
        constexpr double clearly = 10.0;
        for (const Settled& s : resonances) {
            if (s.bic < chosen->bic - clearly) {
                chosen = &s;
            }
        }
        FitResult result{.model = {.Re = std::exp(chosen->p[0]),
                                   .fs = std::exp(chosen->p[1]),
                                   .Qms = std::exp(chosen->p[2]),
                                   .Qes = std::exp(chosen->p[3])},
                         .Qts = QtsOf(chosen->p),
                         .u = uncertaintyOf(*chosen),
                         .phaseUsed = points_.phase};
        widen(result.u, *chosen, resonances);
        chooseCoil(result, chosen->p, false, {});
        tellAbout(result);
        return result;
    }

    Result<FitResult> vented(const std::vector<double>& level, std::vector<Peak> peaks) {
        if (peaks.size() < 2) {
            return refuse("only one peak", "a vented box has two");
        }
        peaks.resize(2);
        std::ranges::sort(peaks, {}, &Peak::at);
        const double fL = points_.f[peaks[0].at];
        const double fH = points_.f[peaks[1].at];
        std::size_t lowest = peaks[0].at;
        for (std::size_t k = peaks[0].at; k <= peaks[1].at; ++k) {
            if (level[k] < level[lowest]) {
                lowest = k;
            }
        }
        const double fb = points_.f[lowest];
        const double fs = std::clamp(fL * fH / fb, fL * 1.02, fH / 1.02);
        const double alpha =
            std::max((fH * fH - fb * fb) * (fb * fb - fL * fL) / (fL * fH * fL * fH), 0.05);
        double Re = 1e300;
        for (const double v : level) {
            Re = std::min(Re, std::exp(v));
        }
        Re = points_.dcr.value_or(Re);
        constexpr double reach = 10.0;
        const Points near = points_.below(reach * fH);
        const InductanceModel coil = InductanceModel::leach;
        std::vector<Vector> starts;
        for (const double Qms : {3.0, 8.0}) {
            for (const double Qes : {0.3, 0.7}) {
                Vector p = vectorOf({.Re = Re, .fs = fs, .Qms = Qms, .Qes = Qes},
                                    coilStart(near, Re, coil));
                p.insert(p.end(), {std::log(alpha), std::log(fb), std::log(10.0)});
                starts.push_back(std::move(p));
            }
        }
        const Minimum first = bestOf({near, {coil, true}, nullptr, 0}, starts);
        const Settled s = settle(near, {coil, true}, first.p, 0);
        const Vector boxPart(s.p.end() - 3, s.p.end());
        FitResult result{.model = {.Re = std::exp(s.p[0]),
                                   .fs = std::exp(s.p[1]),
                                   .Qms = std::exp(s.p[2]),
                                   .Qes = std::exp(s.p[3])},
                         .Qts = QtsOf(s.p),
                         .u = uncertaintyOf(s),
                         .box = boxFrom(boxPart.data()),
                         .phaseUsed = points_.phase};
        chooseCoil(result, s.p, true, boxPart);
        result.notes.emplace_back(
            "Qms in a vented box comes out some 10 % low, since one loss stands "
            "for three: take it from free air.");
        tellAbout(result);
        return result;
    }

    /// Stage 2: the motional part stays, the coil is chosen over the whole band.
    void chooseCoil(FitResult& result, const Vector& stageOne, bool vented, const Vector& box) {
        const double fs = result.model.fs;
        std::vector<InductanceModel> candidates;
        if (order_.inductance) {
            candidates = {*order_.inductance};
        } else {
            candidates = {InductanceModel::none, InductanceModel::ideal, InductanceModel::leach};
            const auto above =
                std::ranges::count_if(points_.f, [&](double f) { return f > 5.0 * fs; });
            constexpr std::ptrdiff_t forMore = 12;
            if (above >= forMore) {
                candidates.insert(
                    candidates.end(),
                    {InductanceModel::lr2, InductanceModel::semi, InductanceModel::semiRing});
            }
        }
        std::map<InductanceModel, Settled> settled;
        for (const InductanceModel coil : candidates) {
            Vector p(stageOne.begin(), stageOne.begin() + motional);
            const Vector start = coilStart(points_, std::exp(p[0]), coil);
            p.insert(p.end(), start.begin(), start.end());
            p.insert(p.end(), box.begin(), box.end());
            // The box stands last and may move along; what is told of it is that of stage 1.
            settled.emplace(coil, coilFit(p, coil, vented));
        }
        for (const auto& [coil, s] : settled) {
            result.tried.push_back({coil, s.rms, s.bic, coilParameters(coil)});
        }
        std::ranges::sort(result.tried, {}, &ModelTried::bic);
        ModelTried best = result.tried.front();
        for (const ModelTried& t : result.tried) {
            constexpr double alike = 10.0;
            constexpr double worth = 0.9;
            if (t.parameters < best.parameters &&
                (t.bic < best.bic + alike || best.rms > worth * t.rms)) {
                best = t;
            }
        }
        std::ranges::stable_partition(result.tried,
                                      [&](const ModelTried& t) { return t.model == best.model; });
        const Settled& s = settled.at(best.model);
        putCoil(result.model, best.model, s.p.data() + motional);
        result.rms = s.rms;
        result.residuals = s.errors;
        for (std::size_t i = 0; i < s.robust.size(); ++i) {
            constexpr double outlier = 0.1;
            if (s.robust[i] < outlier) {
                result.outliers.push_back(points_.f[i]);
            }
        }
    }

    Settled coilFit(const Vector& p, InductanceModel coil, bool vented) const {
        Points points = points_;
        points.dcr.reset(); // Re is settled
        if (coilParameters(coil) == 0) {
            Settled s{.p = p};
            s.errors = errorsOf(points, p, {coil, vented});
            s.scale = scaleOf(s.errors, points.phase);
            s.robust = tukey(s.errors, s.scale, points.phase);
            settleQuality(s, points);
            return s;
        }
        const Minimum first = minimise({points, {coil, vented}, nullptr, motional}, p);
        return settle(points, {coil, vented}, first.p, motional);
    }

    void tellAbout(FitResult& r) const {
        if (order_.dcr) {
            const double apart = r.model.Re / *order_.dcr - 1.0;
            constexpr double far = 0.15;
            if (std::abs(apart) > far) {
                r.notes.push_back("Re from the curve is " + text::printFixed(100.0 * apart, 0) +
                                  " % off the reading by meter: leads, or the jig's calibration?");
            }
        }
        if (!points_.phase) {
            r.notes.emplace_back("No phase: half the data, and wider limits.");
        }
        if (points_.f.front() > 0.6 * r.model.fs) {
            r.notes.emplace_back(
                "The data begin close to the resonance: points below it would help.");
        }
        // Frozen residuals of one sign in a row are a mode, not an outlier.
        if (r.outliers.size() > points_.f.size() / 10) {
            r.notes.emplace_back("More than a tenth of the points do not fit: repeat the take.");
        }
    }

    const FitOrder& order_;
    Points points_;
};

} // namespace

std::string_view inductanceName(InductanceModel model) {
    return modelNames.at(static_cast<std::size_t>(model));
}

std::vector<Complex>
ventedImpedance(const ImpedanceModel& m, const BoxSeen& box, const curve::Axis& axis) {
    std::vector<Complex> Z;
    Z.reserve(axis.size());
    for (const double f : axis) {
        const Complex x{0.0, f / m.fs};
        const double h = box.fb / m.fs;
        const Complex zBox = box.alpha / (x + h / box.QL + h * h / x);
        const Complex zm{1.0 / m.Qms, f / m.fs - m.fs / f};
        Z.push_back(m.Re + coilImpedance(m, f) + (m.Re / m.Qes) / (zm + zBox));
    }
    return Z;
}

Result<FitResult> fitImpedance(const FitOrder& order) {
    return Fitter(order).run();
}

} // namespace yf::driver
