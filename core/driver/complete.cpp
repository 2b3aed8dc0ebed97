// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/complete.h"

#include "core/driver/sheet.h"
#include "core/text/fields.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>

namespace yf::driver {

namespace {

using Vector = Eigen::VectorXd;
using Matrix = Eigen::MatrixXd;

constexpr double rankLimit = 1e-6;
constexpr double determinedLimit = 1e-5;
constexpr double checkedFrom = 1e-4;
constexpr double suspicious = 2.0;
constexpr double largestStep = 1.5;

struct Datum {
    std::size_t figure{};
    double value{}; ///< SI, levels in dB
    double u{};     ///< of its logarithm
};

using Data = std::vector<Datum>;

/// Weighted residuals and Jacobian of the model.
struct Linearised {
    Vector residuals;
    Matrix J;
};

Linearised linearise(const SheetModel& sheet, const Data& data, const Vector& x) {
    Linearised l{Vector(static_cast<Eigen::Index>(data.size())),
                 Matrix(static_cast<Eigen::Index>(data.size()), static_cast<Eigen::Index>(bases))};
    for (std::size_t i = 0; i < data.size(); ++i) {
        const auto row = static_cast<Eigen::Index>(i);
        l.residuals[row] = sheet.residual(data[i].figure, data[i].value, x) / data[i].u;
        l.J.row(row) = sheet.slope(data[i].figure, data[i].value, x).transpose() / data[i].u;
    }
    return l;
}

/// A woofer, and a tweeter.
Vector start(bool light) {
    Vector x(static_cast<Eigen::Index>(bases));
    x << std::log(6.0), std::log(light ? 3.0 : 6.0), std::log(light ? 0.3e-3 : 0.015),
        std::log(light ? 0.1e-3 : 1e-3), std::log(light ? 0.3 : 1.0),
        std::log(light ? 0.7e-3 : 0.015);
    return x;
}

using Svd = Eigen::JacobiSVD<Matrix>;

Svd decompose(const Matrix& J) {
    // Full V: the null space is wanted, also of fewer rows than unknowns.
    Svd svd(J, Eigen::ComputeFullU | Eigen::ComputeFullV);
    svd.setThreshold(rankLimit);
    return svd;
}

struct Solution {
    Vector x;
    double cost{};
};

Solution solveFrom(Vector x, const SheetModel& sheet, const Data& data) {
    double damping = 1e-3;
    Linearised now = linearise(sheet, data, x);
    for (int k = 0; k < 200; ++k) {
        const Svd svd = decompose(now.J);
        const Vector& s = svd.singularValues();
        const Vector projected = svd.matrixU().transpose() * now.residuals;
        Vector step = Vector::Zero(bases);
        for (Eigen::Index i = 0; i < svd.rank(); ++i) {
            step +=
                projected[i] * s[i] / (s[i] * s[i] + damping * s[0] * s[0]) * svd.matrixV().col(i);
        }
        const double longest = step.cwiseAbs().maxCoeff();
        if (longest > largestStep) {
            step *= largestStep / longest;
        }
        const Vector tried = x + step;
        const Linearised then = linearise(sheet, data, tried);
        if (then.residuals.squaredNorm() <= now.residuals.squaredNorm()) {
            x = tried;
            now = then;
            damping = std::max(damping / 10.0, 1e-14);
            if (longest < 1e-12) {
                break;
            }
        } else {
            damping *= 10.0;
            if (damping > 1e6) {
                break;
            }
        }
    }
    return {x, now.residuals.squaredNorm()};
}

/// With Mmd and a level but neither Mms nor Sd there are two solutions, Mms = Mmd + k·Sd^1.5 with
/// Sd/Mms known: the one in which air is the smaller part is the driver.
Vector solve(const SheetModel& sheet, const Data& data) {
    const Solution first = solveFrom(start(false), sheet, data);
    if (std::ranges::find(data, index(Figure::Mmd), &Datum::figure) == data.end()) {
        return first.x;
    }
    const Solution second = solveFrom(start(true), sheet, data);
    constexpr double alike = 1e-6;
    if (std::abs(first.cost - second.cost) > alike) {
        return first.cost < second.cost ? first.x : second.x;
    }
    const auto airShare = [&](const Vector& x) {
        return sheet.airLoad(std::exp(x[iSd])) / std::exp(x[iMms]);
    };
    return airShare(first.x) <= airShare(second.x) ? first.x : second.x;
}

/// Solution with what hangs on its rank.
struct Fit {
    Vector x;
    Matrix nullSpace;  ///< columns
    Matrix covariance; ///< (JᵀJ)⁺
    std::vector<double> redundancy;
    std::vector<double> w; ///< normalised residuals, 0 where nothing checks the figure

    [[nodiscard]] bool agrees() const {
        return std::ranges::all_of(w, [](double v) { return std::abs(v) <= suspicious; });
    }
};

Fit fit(const SheetModel& sheet, const Data& data) {
    Fit f{.x = solve(sheet, data)};
    const Linearised l = linearise(sheet, data, f.x);
    const Svd svd = decompose(l.J);
    const Eigen::Index rank = svd.rank();
    const Matrix& V = svd.matrixV();
    f.nullSpace = V.rightCols(V.cols() - rank);
    f.covariance = Matrix::Zero(bases, bases);
    for (Eigen::Index i = 0; i < rank; ++i) {
        const double s = svd.singularValues()[i];
        f.covariance += V.col(i) * V.col(i).transpose() / (s * s);
    }
    const Matrix U = svd.matrixU().leftCols(rank);
    for (std::size_t i = 0; i < data.size(); ++i) {
        const auto row = static_cast<Eigen::Index>(i);
        const double r = 1.0 - U.row(row).squaredNorm();
        f.redundancy.push_back(r);
        f.w.push_back(r < checkedFrom ? 0.0 : l.residuals[row] / std::sqrt(r));
    }
    return f;
}

bool isDetermined(const Vector& gradient, const Matrix& nullSpace) {
    return nullSpace.cols() == 0 ||
           (nullSpace.transpose() * gradient).norm() < determinedLimit * gradient.norm();
}

Data dataOf(const CompleteRequest& r, const Figures& given) {
    Data data;
    for (std::size_t i = 0; i < figureCount; ++i) {
        if (!given[i]) {
            continue;
        }
        double u = isLevel(i) ? r.sensitivityTolerance / 2.0 * perDecibel : r.tolerance / 2.0;
        for (const auto& [key, percent] : r.uncertainties) {
            if (key == quantityOf(static_cast<Figure>(i)).key && percent > 0.0) {
                u = percent / 100.0;
            }
        }
        data.push_back({i, *given[i], u});
    }
    return data;
}

Data without(const Data& data, std::size_t left) {
    Data rest = data;
    rest.erase(rest.begin() + static_cast<std::ptrdiff_t>(left));
    return rest;
}

bool isPossible(const Data& data) {
    std::optional<double> Q[3];
    const Figure order[] = {Figure::Qts, Figure::Qms, Figure::Qes};
    for (const Datum& d : data) {
        for (std::size_t k = 0; k < 3; ++k) {
            if (d.figure == index(order[k])) {
                Q[k] = d.value;
            }
        }
    }
    return !Q[0] || ((!Q[1] || *Q[0] < *Q[1]) && (!Q[2] || *Q[0] < *Q[2]));
}

std::string key(std::size_t figure) {
    return std::string(quantityOf(static_cast<Figure>(figure)).key);
}

struct Suspect {
    std::size_t figure{};
    double w{};
    double implied{}; ///< SI
};

std::vector<Suspect> suspectsOf(const SheetModel& sheet, const Data& data, const Fit& all) {
    std::vector<Suspect> suspects;
    for (std::size_t i = 0; i < data.size(); ++i) {
        if (all.redundancy[i] < checkedFrom) {
            continue;
        }
        const Data rest = without(data, i);
        const Fit f = fit(sheet, rest);
        if (f.agrees() && isPossible(rest)) {
            suspects.push_back(
                {data[i].figure, std::abs(all.w[i]), sheet.valueOf(data[i].figure, f.x)});
        }
    }
    std::ranges::stable_sort(suspects, std::greater{}, &Suspect::w);
    return suspects;
}

struct SlipFactor {
    double factor;
    const char* text;
};

constexpr SlipFactor factors[] = {{10.0, "a decimal place"},
                                  {100.0, "a prefix (100)"},
                                  {1000.0, "a prefix (1000)"},
                                  {28.32, "cubic feet taken for litres"},
                                  {6.452, "square inches taken for square centimetres"},
                                  {2.54, "inches taken for centimetres"},
                                  {25.4, "inches taken for millimetres"},
                                  {4.448, "pounds force taken for newtons"},
                                  {2.0, "diameter and radius, or two coils"}};

std::optional<std::string> slipOf(std::size_t figure, double given, double implied, double Re) {
    if (isLevel(figure)) {
        constexpr double near = 0.4;
        const double off = std::abs(given - implied);
        if (std::abs(off - std::abs(10.0 * std::log10(8.0 / Re))) <= near && off > near) {
            return "2.83 V taken for 1 W, or the other way";
        }
        if (std::abs(off - 3.0) <= near || std::abs(off - 6.0) <= near) {
            return "half space and full space, or a pair for one";
        }
        return std::nullopt;
    }
    for (const SlipFactor& slip : factors) {
        for (const double ratio : {given / implied, implied / given}) {
            if (std::abs(ratio / slip.factor - 1.0) <= 0.05) {
                return slip.text;
            }
        }
    }
    return std::nullopt;
}

/// The familiar relations, each where everything in it was given.
class Relations {
public:
    Relations(const CompleteRequest& r, const Figures& given) : r_(r), given_(given) {}

    [[nodiscard]] std::vector<SheetCheck> all() const {
        using enum Figure;
        constexpr double pi = std::numbers::pi;
        std::vector<SheetCheck> out;
        const auto add =
            [&](const char* relation, Figure of, std::initializer_list<Figure> from, auto f) {
                if (has(of) && std::ranges::all_of(from, [&](Figure x) { return has(x); })) {
                    out.push_back(compare(relation, of, f()));
                }
            };
        add("Qts from Qms and Qes", Qts, {Qms, Qes}, [&] {
            return at(Qms) * at(Qes) / (at(Qms) + at(Qes));
        });
        add("Vas from Sd and Cms", Vas, {Sd, Cms}, [&] {
            return r_.rho * r_.c * r_.c * at(Sd) * at(Sd) * at(Cms);
        });
        add("fs from Mms and Cms", fs, {Mms, Cms}, [&] {
            return 1.0 / (2.0 * pi * std::sqrt(at(Mms) * at(Cms)));
        });
        add("Qms from Rms, Mms and fs", Qms, {Rms, Mms, fs}, [&] {
            return 2.0 * pi * at(fs) * at(Mms) / at(Rms);
        });
        add("Bl from fs, Mms, Re and Qes", Bl, {fs, Mms, Re, Qes}, [&] {
            return std::sqrt(2.0 * pi * at(fs) * at(Mms) * at(Re) / at(Qes));
        });
        add("eta0 from fs, Vas and Qes", eta0, {fs, Vas, Qes}, [&] { return efficiency(); });
        const auto level = [&] {
            const double eta = has(eta0) ? at(eta0) : efficiency();
            return 10.0 *
                   std::log10(eta * r_.rho * r_.c / (2.0 * pi) / (sheetReference * sheetReference));
        };
        const bool knowsEta = has(eta0) || (has(fs) && has(Vas) && has(Qes));
        if (knowsEta) {
            add("sensitivity at 1 W from eta0", sensitivity1w, {}, level);
            add("sensitivity at 2.83 V from eta0 and Re", sensitivity2v83, {Re}, [&] {
                return level() + 10.0 * std::log10(2.83 * 2.83 / at(Re));
            });
        }
        return out;
    }

private:
    [[nodiscard]] bool has(Figure f) const { return given_[index(f)].has_value(); }

    [[nodiscard]] double at(Figure f) const { return *given_[index(f)]; }

    [[nodiscard]] double efficiency() const {
        const double fs = at(Figure::fs);
        return 4.0 * std::numbers::pi * std::numbers::pi / (r_.c * r_.c * r_.c) * fs * fs * fs *
               at(Figure::Vas) / at(Figure::Qes);
    }

    [[nodiscard]] SheetCheck compare(const char* relation, Figure of, double expected) const {
        const double unit = quantityOf(of).unit;
        SheetCheck check{.relation = relation, .given = at(of) / unit, .expected = expected / unit};
        check.deviation = at(of) / expected - 1.0;
        check.ok = isLevel(index(of)) ? std::abs(at(of) - expected) <= r_.sensitivityTolerance
                                      : std::abs(check.deviation) <= r_.tolerance;
        return check;
    }

    const CompleteRequest& r_;
    const Figures& given_;
};

void fillIn(const SheetModel& sheet, const Fit& f, const Figures& given, Completed& out) {
    for (std::size_t i = 0; i < figureCount; ++i) {
        const Vector gradient = sheet.gradient(i, f.x);
        if (given[i]) {
            out.values[i] = given[i];
            continue;
        }
        if (isDetermined(gradient, f.nullSpace)) {
            out.values[i] = sheet.valueOf(i, f.x);
            continue;
        }
        out.undetermined.push_back(key(i));
        std::vector<std::string> settle;
        for (std::size_t k = 0; k < figureCount; ++k) {
            if (given[k]) {
                continue;
            }
            // With that figure known, what of the null space is left?
            const Vector row = f.nullSpace.transpose() * sheet.gradient(k, f.x);
            if (row.norm() < determinedLimit) {
                continue;
            }
            const Matrix left =
                f.nullSpace - f.nullSpace * row * row.transpose() / row.squaredNorm();
            if ((left.transpose() * gradient).norm() < determinedLimit * gradient.norm()) {
                settle.push_back(key(k));
            }
        }
        out.wouldSettle.emplace_back(key(i), std::move(settle));
    }
}

void judge(const SheetModel& sheet, const Data& data, const Fit& f, Completed& out) {
    for (std::size_t i = 0; i < data.size(); ++i) {
        if (f.redundancy[i] < checkedFrom) {
            out.unchecked.push_back(key(data[i].figure));
        }
    }
    if (out.unchecked.size() == data.size()) {
        out.verdict = SheetVerdict::notCheckable;
        return;
    }
    if (f.agrees()) {
        out.verdict = SheetVerdict::consistent;
        return;
    }
    const std::vector<Suspect> suspects = suspectsOf(sheet, data, f);
    out.verdict = suspects.empty()       ? SheetVerdict::severalOff
                  : suspects.size() == 1 ? SheetVerdict::oneOff
                                         : SheetVerdict::cannotTell;
    for (const Suspect& s : suspects) {
        out.suspects.push_back(key(s.figure));
        out.implied.emplace_back(key(s.figure),
                                 s.implied / quantityOf(static_cast<Figure>(s.figure)).unit);
        const auto given = std::ranges::find(data, s.figure, &Datum::figure)->value;
        if (auto slip = slipOf(s.figure, given, s.implied, std::exp(f.x[iRe]))) {
            out.slips.emplace_back(key(s.figure), *slip);
        }
    }
    if (suspects.size() == 1) {
        out.values[suspects.front().figure] = suspects.front().implied;
    }
}

} // namespace

Result<Completed> complete(const CompleteRequest& r) {
    Figures given = r.given;
    auto& Sd = given[index(Figure::Sd)];
    if (r.diameter && Sd) {
        return Error{"diameter_m", "given beside Sd_m2", "give one of the two"};
    }
    if (r.diameter) {
        Sd = std::numbers::pi * *r.diameter * *r.diameter / 4.0;
    }
    const Data data = dataOf(r, given);
    if (data.empty()) {
        return Error{"Re_ohm", "no figure given", "must be at least one figure of the driver"};
    }
    const SheetModel sheet(r.rho, r.c, r.mounting == Mounting::baffle ? 2.0 : 1.0);
    const Fit f = fit(sheet, data);
    Completed out{.Le = r.Le, .Xmax = r.Xmax};
    fillIn(sheet, f, given, out);
    out.checks = Relations(r, given).all();
    judge(sheet, data, f, out);
    const auto& fs = out.values[index(Figure::fs)];
    const auto& Qes = out.values[index(Figure::Qes)];
    if (fs && Qes) {
        out.ebp = *fs / *Qes;
    }
    if (out.values[index(Figure::Sd)] && r.Xmax) {
        out.Vd = *out.values[index(Figure::Sd)] * *r.Xmax;
    }
    if (!r.uncertainties.empty()) {
        for (std::size_t i = 0; i < figureCount; ++i) {
            if (!out.values[i]) {
                continue;
            }
            const Vector g = sheet.gradient(i, f.x);
            const double u = std::sqrt(std::max(g.dot(f.covariance * g), 0.0));
            const std::string k = key(i);
            out.uncertainties.emplace_back(isLevel(i) ? k.substr(0, k.size() - 3) + "_u_db"
                                                      : k.substr(0, k.find('_')) + "_u_pct",
                                           isLevel(i) ? u / perDecibel : 100.0 * u);
        }
    }
    return out;
}

} // namespace yf::driver
