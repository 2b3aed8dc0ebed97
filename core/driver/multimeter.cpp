// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/multimeter.h"

#include "core/driver/least_squares.h"
#include "core/driver/log_impedance.h"
#include "core/measure/inputs.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <Eigen/Dense>

#include <algorithm>
#include <array>
#include <cmath>
#include <numeric>

namespace yf::driver {

namespace {

constexpr std::size_t parameters = 6; // ln Re, ln fs, ln Qms, ln Qes, ln K, n
using Vector = std::vector<double>;

constexpr ImpedanceForm form{.coil = InductanceModel::leach};

/// ∂ ln|Z|/∂p.
Eigen::VectorXd gradient(const Vector& p, double f) {
    std::vector<curve::Complex> Z;
    std::vector<curve::Complex> slopes;
    evaluate(form, p.data(), {f}, Z, &slopes);
    Eigen::VectorXd g(static_cast<Eigen::Index>(parameters));
    for (std::size_t k = 0; k < parameters; ++k) {
        g(static_cast<Eigen::Index>(k)) = slopes[k].real();
    }
    return g;
}

struct Prior {
    std::size_t at;
    double value;
    double u;
};

const std::array priors{Prior{2, std::log(4.0), std::log(2.2)},
                        Prior{3, std::log(0.6), std::log(2.2)},
                        Prior{5, 0.7, 0.15}};

/// Readings in rising order of frequency.
struct Readings {
    std::vector<double> f;
    std::vector<double> Z;
    std::vector<double> u;
    std::optional<double> dcr;
    double dcrU{};
};

struct Fit {
    Vector p;
    Eigen::MatrixXd covariance;

    [[nodiscard]] double Qts() const {
        const double Qms = std::exp(p[2]);
        const double Qes = std::exp(p[3]);
        return Qms * Qes / (Qms + Qes);
    }

    /// ∇ ln Qts and ∇ ln fs.
    [[nodiscard]] Eigen::VectorXd ofQts() const {
        Eigen::VectorXd g = Eigen::VectorXd::Zero(static_cast<Eigen::Index>(parameters));
        const double Qms = std::exp(p[2]);
        const double Qes = std::exp(p[3]);
        g(2) = Qes / (Qms + Qes);
        g(3) = Qms / (Qms + Qes);
        return g;
    }

    [[nodiscard]] Eigen::VectorXd offs() const {
        Eigen::VectorXd g = Eigen::VectorXd::Zero(static_cast<Eigen::Index>(parameters));
        g(1) = 1.0;
        return g;
    }

    [[nodiscard]] double u(const Eigen::VectorXd& g) const {
        return std::sqrt(std::max(g.dot(covariance * g), 0.0));
    }
};

/// The highest reading below a third of the top: near the resonance.
std::size_t topReading(const Readings& r) {
    std::size_t top = 0;
    for (std::size_t i = 0; i < r.f.size(); ++i) {
        if (r.f[i] < r.f.back() / 3.0 && r.Z[i] > r.Z[top]) {
            top = i;
        }
    }
    return top;
}

Fit fitReadings(const Readings& r) {
    const std::size_t count = r.f.size() + priors.size() + (r.dcr ? 1 : 0);
    const auto residuals = [&](const double* p, double* out, double* J) {
        if (J != nullptr) {
            std::fill_n(J, count * parameters, 0.0);
        }
        std::vector<curve::Complex> Z;
        std::vector<curve::Complex> slopes;
        evaluate(form, p, r.f, Z, &slopes);
        std::size_t k = 0;
        for (std::size_t i = 0; i < r.f.size(); ++i, ++k) {
            out[k] = (std::log(r.Z[i]) - std::log(std::abs(Z[i]))) / r.u[i];
            for (std::size_t c = 0; J != nullptr && c < parameters; ++c) {
                J[k * parameters + c] = -slopes[i * parameters + c].real() / r.u[i];
            }
        }
        for (const Prior& prior : priors) {
            out[k] = (p[prior.at] - prior.value) / prior.u;
            if (J != nullptr) {
                J[k * parameters + prior.at] = 1.0 / prior.u;
            }
            ++k;
        }
        if (r.dcr) {
            out[k] = (p[0] - std::log(*r.dcr)) / r.dcrU;
            if (J != nullptr) {
                J[k * parameters] = 1.0 / r.dcrU;
            }
        }
    };
    const double Re = r.dcr.value_or(std::ranges::min(r.Z));
    const double w = 2.0 * 3.14159265358979 * r.f.back();
    const double coil = std::sqrt(std::max(r.Z.back() * r.Z.back() - Re * Re, 1e-3 * Re * Re));
    const std::vector<Bounds> bounds{{std::log(0.05), std::log(2000.0)},
                                     {std::log(1.0), std::log(20000.0)},
                                     {std::log(0.05), std::log(100.0)},
                                     {std::log(0.02), std::log(50.0)},
                                     {std::log(1e-7), std::log(10.0)},
                                     {0.3, 1.0}};
    const std::size_t top = topReading(r);
    Minimum best;
    for (const double shift : {-0.25, 0.0, 0.25}) {
        const Vector start{std::log(Re),
                           std::log(r.f[top]) + shift,
                           std::log(4.0),
                           std::log(0.6),
                           std::log(coil / std::pow(w, 0.7)),
                           0.7};
        Minimum m = leastSquares(residuals, count, start, bounds);
        if (m.cost < best.cost) {
            best = std::move(m);
        }
    }
    Fit fit{.p = best.p};
    Eigen::MatrixXd G = Eigen::MatrixXd::Zero(static_cast<Eigen::Index>(parameters),
                                              static_cast<Eigen::Index>(parameters));
    for (std::size_t i = 0; i < r.f.size(); ++i) {
        const Eigen::VectorXd g = gradient(fit.p, r.f[i]) / r.u[i];
        G += g * g.transpose();
    }
    for (const Prior& prior : priors) {
        G(static_cast<Eigen::Index>(prior.at), static_cast<Eigen::Index>(prior.at)) +=
            1.0 / (prior.u * prior.u);
    }
    if (r.dcr) {
        G(0, 0) += 1.0 / (r.dcrU * r.dcrU);
    }
    fit.covariance = G.completeOrthogonalDecomposition().pseudoInverse();
    return fit;
}

constexpr double thirdOctave = 1.2599210498948732;

/// The gap beside the highest reading that is wider than a third of an octave.
std::optional<double> gapBesideTop(const Readings& r) {
    const std::size_t top = topReading(r);
    std::optional<std::size_t> left;
    std::optional<std::size_t> right;
    if (top > 0 && r.f[top] / r.f[top - 1] > thirdOctave * 1.0001) {
        left = top - 1;
    }
    if (top + 1 < r.f.size() && r.f[top + 1] / r.f[top] > thirdOctave * 1.0001) {
        right = top + 1;
    }
    if (!left && !right) {
        return std::nullopt;
    }
    std::size_t towards = 0;
    if (left && right) {
        towards = r.Z[*left] > r.Z[*right] ? *left : *right;
    } else {
        towards = left ? *left : *right;
    }
    return std::sqrt(r.f[top] * r.f[towards]);
}

struct Proposal {
    double f{};
    double uQts{}; ///< what it would leave, as a share of what there is
    double ufs{};
};

Proposal bestTone(const Readings& r, const Fit& fit, double u) {
    const Eigen::VectorXd gQ = fit.ofQts();
    const Eigen::VectorXd gf = fit.offs();
    const double varQ = gQ.dot(fit.covariance * gQ);
    const double varF = gf.dot(fit.covariance * gf);
    Proposal best;
    double most = -1.0;
    const double step = std::exp2(1.0 / 24.0);
    const double apart = std::exp2(1.0 / 48.0);
    for (double f = r.f.front(); f <= r.f.back(); f *= step) {
        if (std::ranges::any_of(r.f,
                                [&](double old) { return old < f * apart && old > f / apart; })) {
            continue;
        }
        const Eigen::VectorXd J = gradient(fit.p, f);
        const Eigen::VectorXd CJ = fit.covariance * J;
        const double below = u * u + J.dot(CJ);
        const double gainQ = gQ.dot(CJ) * gQ.dot(CJ) / (below * varQ);
        const double gainF = gf.dot(CJ) * gf.dot(CJ) / (below * varF);
        if (gainQ + gainF > most) {
            most = gainQ + gainF;
            best = {
                f, std::sqrt(std::max(1.0 - gainQ, 0.0)), std::sqrt(std::max(1.0 - gainF, 0.0))};
        }
    }
    return best;
}

/// The first tone of the starting list that has not been read.
std::optional<double> unread(const Readings& r) {
    for (const double f : firstTones(!r.f.empty() && r.f.front() >= 150.0)) {
        const bool there =
            std::ranges::any_of(r.f, [&](double old) { return old < f * 1.1 && old > f / 1.1; });
        if (!there) {
            return f;
        }
    }
    return std::nullopt;
}

void angles(Multimeter& m, const MultimeterRequest& r) {
    for (std::size_t i = 0; i < r.frequencies.size(); ++i) {
        const double VR = r.senseVolts[i];
        const double VD = r.driverVolts[i];
        const double VS = r.sourceVolts[i];
        const double c = std::clamp((VS * VS - VR * VR - VD * VD) / (2.0 * VR * VD), -1.0, 1.0);
        // Rising |Z|: inductive.
        const std::size_t a = i > 0 ? i - 1 : 0;
        const std::size_t b = std::min(i + 1, r.frequencies.size() - 1);
        const double slope = m.moduli[b] - m.moduli[a];
        m.phases[i] = slope >= 0.0 ? std::acos(c) : -std::acos(c);
    }
}

} // namespace

std::vector<double> firstTones(bool tweeter) {
    return tweeter ? std::vector<double>{200, 400, 800, 1600, 3200, 8000, 16000}
                   : std::vector<double>{20, 40, 80, 160, 320, 1000, 10000};
}

std::optional<Error> check(const MultimeterRequest& r) {
    const std::size_t count = r.frequencies.size();
    if (count == 0) {
        return Error{"frequencies_hz", "empty", "must be one or more"};
    }
    if (auto error = measure::checkRising(r.frequencies, "frequencies_hz")) {
        return error;
    }
    const std::pair<const std::vector<double>*, const char*> lists[] = {
        {&r.senseVolts, "sense_v"}, {&r.driverVolts, "driver_v"}, {&r.sourceVolts, "source_v"}};
    for (const auto& [list, key] : lists) {
        const bool mayBeEmpty = list == &r.sourceVolts;
        if (list->size() != count && !(mayBeEmpty && list->empty())) {
            return Error{key,
                         say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                             std::to_string(list->size()),
                             std::to_string(count)),
                         ""};
        }
    }
    for (std::size_t i = 0; i < count; ++i) {
        if (r.sense * r.driverVolts[i] / r.senseVolts[i] <= r.lead) {
            return Error{"lead_ohm",
                         text::given(text::printNumber(r.lead)),
                         say(YF_WORDS("core", "must be below the impedance read at %1 Hz"),
                             text::printNumber(r.frequencies[i]))};
        }
    }
    return std::nullopt;
}

Result<Multimeter> multimeter(const MultimeterRequest& r) {
    Multimeter m;
    m.phases.resize(r.frequencies.size());
    Readings readings{.f = r.frequencies, .dcr = r.dcr, .dcrU = r.meterU};
    // Both voltages by one meter, and the resistor by the same.
    const double u = std::hypot(std::sqrt(2.0) * r.meterU, r.meterU);
    for (std::size_t i = 0; i < r.frequencies.size(); ++i) {
        // Lead resistance is real; |Z| is nearly so where it matters, at Re.
        m.moduli.push_back(r.sense * r.driverVolts[i] / r.senseVolts[i] - r.lead);
        m.u.push_back(u);
    }
    if (!r.sourceVolts.empty()) {
        angles(m, r);
    }
    readings.Z = m.moduli;
    readings.u = m.u;
    constexpr std::size_t enough = 6;
    if (r.frequencies.size() < enough) {
        m.next = unread(readings);
        m.why = YF_WORDS("core", "the first tones show where the resonance is");
        return m;
    }
    const Fit fit = fitReadings(readings);
    m.fs = std::exp(fit.p[1]);
    m.Qms = std::exp(fit.p[2]);
    m.Qes = std::exp(fit.p[3]);
    m.Qts = fit.Qts();
    m.fsU = fit.u(fit.offs());
    m.QmsU = std::sqrt(std::max(fit.covariance(2, 2), 0.0));
    m.QesU = std::sqrt(std::max(fit.covariance(3, 3), 0.0));
    m.QtsU = fit.u(fit.ofQts());
    if (const auto gap = gapBesideTop(readings)) {
        m.next = gap;
        m.why = YF_WORDS("core", "the resonance lies between readings too far apart");
        return m;
    }
    constexpr double goodQts = 0.03;
    constexpr double goodfs = 0.005;
    const Proposal tone = bestTone(readings, fit, u);
    constexpr double aTenth = 0.9;
    const bool little = tone.uQts > aTenth && tone.ufs > aTenth;
    m.done = (*m.QtsU <= goodQts && *m.fsU <= goodfs) || little;
    if (m.done) {
        m.why = little
                    ? YF_WORDS("core", "another reading would lower neither uncertainty by a tenth")
                    : YF_WORDS("core", "Qts is known to 3 % and fs to 0.5 %");
        return m;
    }
    m.next = tone.f;
    const bool forQ = tone.uQts < tone.ufs;
    m.why =
        forQ ? YF_WORDS("core", "tells most about Qts") : YF_WORDS("core", "tells most about fs");
    return m;
}

} // namespace yf::driver
