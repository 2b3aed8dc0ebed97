// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/complete.h"

#include "core/text/fields.h"

#include <Eigen/Dense>

#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>

namespace yf::driver {

namespace {

using text::Value;
using Vector = Eigen::VectorXd;
using Matrix = Eigen::MatrixXd;

namespace q = quantity;

/// In the order of Figure. Narrower ranges would hide contradictions, which are for judging.
const std::array<q::Quantity, figureCount> quantities{q::Re,
                                                      q::fs,
                                                      q::Qms,
                                                      q::Qes,
                                                      q::Qts,
                                                      q::Vas,
                                                      q::Sd,
                                                      q::Bl,
                                                      q::Mms,
                                                      q::Mmd,
                                                      q::Cms,
                                                      q::Rms,
                                                      q::eta0,
                                                      q::sensitivity1w,
                                                      q::sensitivity2v83};

/// Places of the unknowns.
enum Base { iRe, iBl, iMms, iCms, iRms, iSd, bases };

constexpr double perDecibel = std::numbers::ln10 / 10.0;
constexpr double referencePressure = 20e-6;
constexpr double rankLimit = 1e-6;
constexpr double determinedLimit = 1e-5;
constexpr double checkedFrom = 1e-4;
constexpr double suspicious = 2.0;
constexpr double largestStep = 1.5;

std::size_t index(Figure figure) {
    return static_cast<std::size_t>(figure);
}

bool isLevel(std::size_t figure) {
    return figure == index(Figure::sensitivity1w) || figure == index(Figure::sensitivity2v83);
}

/// ln of a figure as a function of x, and its gradient. Mmd is compared as ln(Mmd + air) − ln Mms,
/// so its model is that of Mms and its data side depends on Sd.
class Sheet {
public:
    explicit Sheet(const CompleteRequest& r)
        : rho_(r.rho), c_(r.c), sides_(r.mounting == Mounting::baffle ? 2.0 : 1.0) {}

    [[nodiscard]] double airLoad(double Sd) const {
        const double a = std::sqrt(Sd / std::numbers::pi);
        return sides_ * 8.0 / 3.0 * rho_ * a * a * a;
    }

    [[nodiscard]] double logOf(std::size_t figure, const Vector& x) const {
        switch (static_cast<Figure>(figure)) {
        case Figure::Re:
            return x[iRe];
        case Figure::fs:
            return -0.5 * (x[iMms] + x[iCms]) - std::log(2.0 * std::numbers::pi);
        case Figure::Qms:
            return 0.5 * (x[iMms] - x[iCms]) - x[iRms];
        case Figure::Qes:
            return 0.5 * (x[iMms] - x[iCms]) + x[iRe] - 2.0 * x[iBl];
        case Figure::Qts: {
            const double Qms = std::exp(logOf(index(Figure::Qms), x));
            const double Qes = std::exp(logOf(index(Figure::Qes), x));
            return std::log(Qms * Qes / (Qms + Qes));
        }
        case Figure::Vas:
            return 2.0 * x[iSd] + x[iCms] + std::log(rho_ * c_ * c_);
        case Figure::Sd:
            return x[iSd];
        case Figure::Bl:
            return x[iBl];
        case Figure::Mms:
            return x[iMms];
        case Figure::Mmd:
            return std::log(std::max(std::exp(x[iMms]) - airLoad(std::exp(x[iSd])), 1e-12));
        case Figure::Cms:
            return x[iCms];
        case Figure::Rms:
            return x[iRms];
        case Figure::eta0:
            return 2.0 * (x[iBl] + x[iSd] - x[iMms]) - x[iRe] +
                   std::log(rho_ / (2.0 * std::numbers::pi * c_));
        case Figure::sensitivity1w:
            return logOf(index(Figure::eta0), x) + perWatt();
        case Figure::sensitivity2v83:
            return logOf(index(Figure::eta0), x) - x[iRe] + perWatt() + std::log(2.83 * 2.83);
        }
        return 0.0;
    }

    [[nodiscard]] Vector gradient(std::size_t figure, const Vector& x) const {
        Vector g = Vector::Zero(bases);
        const auto set = [&](std::initializer_list<std::pair<Base, double>> entries) {
            for (const auto& [base, slope] : entries) {
                g[base] = slope;
            }
        };
        switch (static_cast<Figure>(figure)) {
        case Figure::Re:
            set({{iRe, 1.0}});
            break;
        case Figure::fs:
            set({{iMms, -0.5}, {iCms, -0.5}});
            break;
        case Figure::Qms:
            set({{iMms, 0.5}, {iCms, -0.5}, {iRms, -1.0}});
            break;
        case Figure::Qes:
            set({{iMms, 0.5}, {iCms, -0.5}, {iRe, 1.0}, {iBl, -2.0}});
            break;
        case Figure::Qts: {
            const double Qms = std::exp(logOf(index(Figure::Qms), x));
            const double Qes = std::exp(logOf(index(Figure::Qes), x));
            g = (Qes * gradient(index(Figure::Qms), x) + Qms * gradient(index(Figure::Qes), x)) /
                (Qms + Qes);
            break;
        }
        case Figure::Vas:
            set({{iSd, 2.0}, {iCms, 1.0}});
            break;
        case Figure::Sd:
            set({{iSd, 1.0}});
            break;
        case Figure::Bl:
            set({{iBl, 1.0}});
            break;
        case Figure::Mms:
            set({{iMms, 1.0}});
            break;
        case Figure::Mmd: {
            // As a figure to be filled in: d ln(Mms − air).
            const double Mms = std::exp(x[iMms]);
            const double air = airLoad(std::exp(x[iSd]));
            const double Mmd = std::max(Mms - air, 1e-12);
            set({{iMms, Mms / Mmd}, {iSd, -1.5 * air / Mmd}});
            break;
        }
        case Figure::Cms:
            set({{iCms, 1.0}});
            break;
        case Figure::Rms:
            set({{iRms, 1.0}});
            break;
        case Figure::eta0:
        case Figure::sensitivity1w:
            set({{iBl, 2.0}, {iSd, 2.0}, {iMms, -2.0}, {iRe, -1.0}});
            break;
        case Figure::sensitivity2v83:
            set({{iBl, 2.0}, {iSd, 2.0}, {iMms, -2.0}, {iRe, -2.0}});
            break;
        }
        return g;
    }

    /// ln data − ln model, and the model's slope less the data's.
    [[nodiscard]] double residual(std::size_t figure, double given, const Vector& x) const {
        if (figure == index(Figure::Mmd)) {
            return std::log(given + airLoad(std::exp(x[iSd]))) - x[iMms];
        }
        return (isLevel(figure) ? given * perDecibel : std::log(given)) - logOf(figure, x);
    }

    [[nodiscard]] Vector slope(std::size_t figure, double given, const Vector& x) const {
        if (figure == index(Figure::Mmd)) {
            Vector g = Vector::Zero(bases);
            const double air = airLoad(std::exp(x[iSd]));
            g[iMms] = 1.0;
            g[iSd] = -1.5 * air / (given + air);
            return g;
        }
        return gradient(figure, x);
    }

    [[nodiscard]] double valueOf(std::size_t figure, const Vector& x) const {
        const double log = logOf(figure, x);
        return isLevel(figure) ? log / perDecibel : std::exp(log);
    }

private:
    /// ln of p²/p0² for 1 W and efficiency 1, half space, 1 m.
    [[nodiscard]] double perWatt() const {
        return std::log(rho_ * c_ / (2.0 * std::numbers::pi) /
                        (referencePressure * referencePressure));
    }

    double rho_;
    double c_;
    double sides_;
};

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

Linearised linearise(const Sheet& sheet, const Data& data, const Vector& x) {
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

Solution solveFrom(Vector x, const Sheet& sheet, const Data& data) {
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
Vector solve(const Sheet& sheet, const Data& data) {
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

Fit fit(const Sheet& sheet, const Data& data) {
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
            if (key == quantities[i].key && percent > 0.0) {
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
    return std::string(quantities[figure].key);
}

struct Suspect {
    std::size_t figure{};
    double w{};
    double implied{}; ///< SI
};

std::vector<Suspect> suspectsOf(const Sheet& sheet, const Data& data, const Fit& all) {
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
            return 10.0 * std::log10(eta * r_.rho * r_.c / (2.0 * pi) /
                                     (referencePressure * referencePressure));
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
        const double unit = quantities[index(of)].unit;
        SheetCheck check{.relation = relation, .given = at(of) / unit, .expected = expected / unit};
        check.deviation = at(of) / expected - 1.0;
        check.ok = isLevel(index(of)) ? std::abs(at(of) - expected) <= r_.sensitivityTolerance
                                      : std::abs(check.deviation) <= r_.tolerance;
        return check;
    }

    const CompleteRequest& r_;
    const Figures& given_;
};

void fillIn(const Sheet& sheet, const Fit& f, const Figures& given, Completed& out) {
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

void judge(const Sheet& sheet, const Data& data, const Fit& f, Completed& out) {
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
        out.implied.emplace_back(key(s.figure), s.implied / quantities[s.figure].unit);
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

const quantity::Quantity& quantityOf(Figure figure) {
    return quantities[index(figure)];
}

namespace {

/// The rest of the request, which has a list of its own.
struct Settings {
    CompleteRequest& r;

    static void fields(auto& self, auto&& field) {
        field(self.r.diameter,
              q::diameter.as("diameter_m", "effective, mid-surround to mid-surround"));
        field(self.r.Le, q::Le);
        field(self.r.Xmax, q::Xmax);
        field(self.r.tolerance,
              q::Quantity{"", "tolerance_pct", 0.01, "%", 0.1, 50.0, "of a figure"}.orElse(5.0));
        field(
            self.r.sensitivityTolerance,
            q::Quantity{"", "sensitivity_tolerance_db", 1.0, "dB", 0.1, 20.0, "of a level"}.orElse(
                1.5));
        field(self.r.mounting,
              q::Choice<2>{"mounting", {"baffle", "free"}, "air load on both sides or one", 0});
        field(self.r.rho,
              q::Quantity{"ρ", "rho_kg_per_m3", 1.0, "kg/m³", 0.5, 2.0, "density of air"}.orElse(
                  1.204));
        field(self.r.c,
              q::Quantity{"c", "c_m_per_s", 1.0, "m/s", 250.0, 450.0, "speed of sound"}.orElse(
                  343.2));
    }
};

template <class F>
void eachField(CompleteRequest& r, F&& field) {
    for (std::size_t i = 0; i < figureCount; ++i) {
        field(r.given[i], quantities[i]);
    }
    Settings settings{r};
    Settings::fields(settings, field);
}

Result<std::vector<std::pair<std::string, double>>> readUncertainties(const Value& value) {
    const Value::Object* object = value.object();
    if (object == nullptr) {
        return text::wrongKind("uncertainties_pct", value, "an object of per cents");
    }
    std::vector<std::pair<std::string, double>> all;
    std::vector<std::string> known;
    for (const auto& quantity : quantities) {
        known.emplace_back(quantity.key);
    }
    for (const text::Member& m : *object) {
        const std::string path = "uncertainties_pct." + m.key;
        if (std::ranges::find(known, m.key) == known.end()) {
            return Error{
                path,
                "unknown key",
                say(YF_WORDS("core", "the nearest known key is %1"), text::nearest(m.key, known))};
        }
        YF_TRY(u,
               text::readNumber(
                   m.value, q::Quantity{"u", "u_pct", 1.0, "%", 0.001, 100.0, "standard"}, path));
        all.emplace_back(m.key, u);
    }
    return all;
}

} // namespace

Result<CompleteRequest> CompleteRequest::read(const Value& value, const std::string& path) {
    if (value.object() == nullptr) {
        return text::wrongKind(path.empty() ? "input" : path, value, "an object");
    }
    CompleteRequest r;
    Value::Object rest;
    for (const text::Member& m : *value.object()) {
        if (m.key == "uncertainties_pct") {
            YF_TRY(u, readUncertainties(m.value));
            r.uncertainties = std::move(u);
        } else {
            rest.push_back(m);
        }
    }
    const Value fields{rest};
    text::FieldReader reader(fields, path);
    eachField(r, reader);
    if (auto error = reader.finish()) {
        return *error;
    }
    return r;
}

Value CompleteRequest::describe() {
    text::FieldDescriber describer;
    CompleteRequest r;
    eachField(r, describer);
    Value::List keys = describer.take();
    keys.emplace_back(Value::Object{{"key", "uncertainties_pct"},
                                    {"kind", "object"},
                                    {"required", false},
                                    {"help", "standard uncertainty by key, per cent"}});
    return Value::Object{{"keys", keys}};
}

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
    const Sheet sheet(r);
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

Value Completed::write() const {
    Value::Object o;
    for (std::size_t i = 0; i < figureCount; ++i) {
        o.push_back({key(i), values[i] ? Value{*values[i] / quantities[i].unit} : Value{}});
    }
    const auto orNull = [](const std::optional<double>& v) { return v ? Value{*v} : Value{}; };
    o.push_back({"Le_h", orNull(Le)});
    o.push_back({"Xmax_m", orNull(Xmax)});
    o.push_back({"ebp_hz", orNull(ebp)});
    o.push_back({"Vd_l", Vd ? Value{*Vd * 1e3} : Value{}});
    o.push_back({"undetermined", undetermined});
    Value::Object settle;
    for (const auto& [k, by] : wouldSettle) {
        settle.push_back({k, by});
    }
    o.push_back({"would_settle", settle});
    Value::List list;
    for (const SheetCheck& c : checks) {
        list.emplace_back(Value::Object{{"relation", c.relation},
                                        {"given", c.given},
                                        {"expected", c.expected},
                                        {"deviation_pct", 100.0 * c.deviation},
                                        {"ok", c.ok}});
    }
    o.push_back({"checks", list});
    o.push_back({"unchecked", unchecked});
    constexpr std::string_view names[] = {
        "consistent", "one_off", "cannot_tell", "several_off", "not_checkable"};
    o.push_back({"verdict", names[static_cast<std::size_t>(verdict)]});
    o.push_back({"suspects", suspects});
    Value::Object by;
    for (const auto& [k, v] : implied) {
        by.push_back({k, v});
    }
    o.push_back({"implied", by});
    Value::Object why;
    for (const auto& [k, t] : slips) {
        why.push_back({k, t});
    }
    o.push_back({"slips", why});
    for (const auto& [k, u] : uncertainties) {
        o.push_back({k, u});
    }
    return o;
}

} // namespace yf::driver
