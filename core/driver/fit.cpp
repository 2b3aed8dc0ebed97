// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/fit.h"

#include "core/driver/fit_settle.h"
#include "core/driver/fit_start.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <map>

namespace yf::driver {

namespace {

using curve::Complex;

constexpr std::array<std::string_view, 6> modelNames{
    "none", "ideal", "leach", "lr2", "semi", "semi_ring"};

using Vector = std::vector<double>;
constexpr std::size_t motional = motionalParameters;

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

FitUncertainty uncertaintyOf(const Settled& s) {
    const auto var = [&](std::size_t i) { return std::max(s.covarianceOf(i, i), 0.0); };
    FitUncertainty u{.Re = std::sqrt(var(0)),
                     .fs = std::sqrt(var(1)),
                     .Qms = std::sqrt(var(2)),
                     .Qes = std::sqrt(var(3))};
    const double Qms = std::exp(s.p[2]);
    const double Qes = std::exp(s.p[3]);
    const double a = Qes / (Qms + Qes); // d ln Qts / d ln Qms
    const double b = Qms / (Qms + Qes);
    u.Qts = std::sqrt(
        std::max(a * a * var(2) + b * b * var(3) + 2.0 * a * b * s.covarianceOf(2, 3), 0.0));
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

Error refuse(Words given, Words allowed) {
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
            return refuse(say(YF_WORDS("core", "%1 points"), std::to_string(points_.f.size())),
                          "6 or more are needed");
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
            return refuse(
                say(YF_WORDS("core", "the peak is only %1 times Re"), text::printFixed(rise, 2)),
                "a healthy driver's is more than 1.3: damped, or broken");
        }
        if (!starts.front().upperFlank) {
            return refuse(
                say(YF_WORDS("core",
                             "the band ends at %1, before the upper flank of the peak at %2"),
                    hz(points_.f.back()),
                    hz(starts.front().fs)),
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
        std::stable_partition(result.tried.begin(), result.tried.end(), [&](const ModelTried& t) {
            return t.model == best.model;
        });
        const Settled& s = settled.at(best.model);
        putCoil(result.model, best.model, s.p.data() + motional);
        for (std::size_t i = 0; i < static_cast<std::size_t>(coilParameters(best.model)); ++i) {
            result.coilU.push_back(std::sqrt(std::max(s.covarianceOf(i, i), 0.0)));
        }
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
            return settle(points, {coil, vented}, p, p.size());
        }
        const Minimum first = minimise({points, {coil, vented}, nullptr, motional}, p);
        return settle(points, {coil, vented}, first.p, motional);
    }

    void tellAbout(FitResult& r) const {
        if (order_.dcr) {
            const double apart = r.model.Re / *order_.dcr - 1.0;
            constexpr double far = 0.15;
            if (std::abs(apart) > far) {
                r.notes.push_back(say(YF_WORDS("core",
                                               "Re from the curve is %1 % off the reading by "
                                               "meter: leads, or the jig's calibration?"),
                                      text::printFixed(100.0 * apart, 0)));
            }
        }
        if (!points_.phase) {
            r.notes.emplace_back(YF_WORDS("core", "No phase: half the data, and wider limits."));
        }
        if (points_.f.front() > 0.6 * r.model.fs) {
            r.notes.emplace_back(YF_WORDS(
                "core", "The data begin close to the resonance: points below it would help."));
        }
        // Frozen residuals of one sign in a row are a mode, not an outlier.
        if (r.outliers.size() > points_.f.size() / 10) {
            r.notes.emplace_back(
                YF_WORDS("core", "More than a tenth of the points do not fit: repeat the take."));
        }
    }

    const FitOrder& order_;
    Points points_;
};

} // namespace

std::string_view inductanceName(InductanceModel model) {
    return modelNames.at(static_cast<std::size_t>(model));
}

std::vector<CoilFigure> coilFigures(const FitResult& fit) {
    const ImpedanceModel& m = fit.model;
    std::vector<CoilFigure> figures;
    const auto add = [&](const char* symbol,
                         const char* key,
                         const char* unit,
                         const std::optional<double>& value) {
        if (!value) {
            return;
        }
        CoilFigure figure{symbol, key, unit, *value, std::nullopt};
        if (figures.size() < fit.coilU.size()) {
            // All are fitted as logarithms but the exponent, which stands for itself.
            const double u = fit.coilU[figures.size()];
            figure.u = figure.symbol == "n" ? u / *value : u;
        }
        figures.push_back(figure);
    };
    // In the order of log_impedance.h.
    add("Leb", "Leb_h", "H", m.Leb);
    add("Le", "Le_h", "H", m.Le);
    add("K", "leach_k", "", m.leachK);
    add("n", "leach_n", "", m.leachN);
    add("L2", "L2_h", "H", m.L2);
    add("R2", "R2_ohm", "Ω", m.R2);
    add("Ke", "Ke", "", m.Ke);
    add("Rss", "Rss_ohm", "Ω", m.Rss);
    return figures;
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

namespace {

/// What a fit may leave about the resonance, rms of |Z| and angle, outliers too. Above it a coil in
/// steel may be off by more than that, and Re, fs and Q are right all the same.
constexpr double mostLeft = 0.10;
constexpr double aboutResonance = 10.0; ///< times fs

/// Few points that are far off, as hum leaves them, count as this much.
constexpr double farOff = 0.3;

double leftOver(const FitResult& fit, const curve::Axis& axis) {
    double sum = 0.0;
    double count = 0.0;
    for (std::size_t i = 0; i < std::min(fit.residuals.size(), axis.size()); ++i) {
        if (axis[i] <= aboutResonance * fit.model.fs) {
            const double size = std::min(std::abs(fit.residuals[i]), farOff);
            sum += size * size;
            count += 1.0;
        }
    }
    return std::sqrt(sum / std::max(1.0, count));
}

} // namespace

Result<FitResult> fitImpedance(const FitOrder& order) {
    YF_TRY(fit, Fitter(order).run());
    const double left = leftOver(fit, order.impedance.frequencies());
    // Who chooses a description of the coil gets it, and is told what it leaves.
    if (!order.inductance && !(left <= mostLeft)) {
        return Error{"impedance",
                     say(YF_WORDS("core", "no driver's model runs along it: %1 % are left"),
                         text::printSignificant(100.0 * left, 2)),
                     YF_WORDS("core",
                              "the file, its columns or units are wrong, or it is no driver in "
                              "free air or a ported box")};
    }
    return fit;
}

} // namespace yf::driver
