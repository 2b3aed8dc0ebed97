// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/read_back.h"

#include "core/base/words.h"
#include "core/driver/fit_settle.h"
#include "core/driver/fit_start.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::box {

namespace {

using curve::Complex;
using driver::InductanceModel;
using Vector = std::vector<double>;

constexpr driver::ImpedanceForm sealed{InductanceModel::leach, false};
constexpr driver::ImpedanceForm ported{InductanceModel::leach, true};
constexpr std::size_t boxAt = driver::motionalParameters + 2; // behind the coil's K and n

/// One description of the data at rest.
struct Described {
    driver::Settled settled;
    double squares{}; ///< of ln(Z/model), no point left out

    [[nodiscard]] Sure at(std::size_t i) const {
        return {std::exp(settled.p[i]), std::sqrt(std::max(settled.covarianceOf(i, i), 0.0))};
    }
};

Described describe(const driver::Points& points,
                   const driver::ImpedanceForm& form,
                   const std::vector<Vector>& starts) {
    driver::Minimum best;
    for (const Vector& start : starts) {
        driver::Minimum m = driver::minimise({points, form, nullptr, 0}, start);
        if (m.cost < best.cost) {
            best = std::move(m);
        }
    }
    Described d{.settled = driver::settle(points, form, best.p, 0)};
    for (const Complex& e : driver::errorsOf(points, d.settled.p, form)) {
        d.squares += std::norm(e);
    }
    return d;
}

/// The few starts from which the data look least wrong: a descent costs a thousand looks.
std::vector<Vector> mostPromising(const driver::Points& points,
                                  const driver::ImpedanceForm& form,
                                  std::vector<Vector> starts) {
    constexpr std::size_t few = 4;
    std::vector<std::pair<double, std::size_t>> ranked;
    for (std::size_t i = 0; i < starts.size(); ++i) {
        double squares = 0.0;
        for (const Complex& e : driver::errorsOf(points, starts[i], form)) {
            squares += std::norm(e);
        }
        ranked.emplace_back(squares, i);
    }
    std::ranges::sort(ranked);
    std::vector<Vector> best;
    for (std::size_t k = 0; k < std::min(few, ranked.size()); ++k) {
        best.push_back(std::move(starts[ranked[k].second]));
    }
    return best;
}

class Reader {
public:
    explicit Reader(const ReadOrder& order) : order_(order) {
        const driver::FitOrder fit{.impedance = order.impedance, .dcr = order.dcr};
        const auto weights = driver::weightsOf(fit);
        all_ = {.phase = order.impedance.phase() != curve::Phase::none, .dcr = order.dcr};
        constexpr double lowest = 8.0;
        for (std::size_t i = 0; i < order.impedance.size(); ++i) {
            if (order.impedance.frequencies()[i] >= lowest) {
                all_.f.push_back(order.impedance.frequencies()[i]);
                all_.Z.push_back(order.impedance.values()[i]);
                all_.weight.push_back(weights[i]);
            }
        }
    }

    Result<ReadBack> run() {
        constexpr std::size_t leastPoints = 12;
        if (all_.f.size() < leastPoints) {
            return refuse(
                say(YF_WORDS("core", "%1 points from 8 Hz up"), std::to_string(all_.f.size())),
                "12 or more are needed");
        }
        const auto level = driver::smoothLevel(all_);
        auto peaks = driver::peaksOf(level);
        constexpr double leastProminence = 0.1;
        std::erase_if(peaks, [](const driver::Peak& p) {
            return p.prominence < std::log1p(leastProminence);
        });
        if (peaks.empty()) {
            return refuse("no peak that stands out by 10 %",
                          "the band must hold the resonance of driver and box");
        }
        double top = 0.0;
        for (const driver::Peak& p : peaks) {
            top = std::max(top, all_.f[p.at]);
        }
        main_ = all_.f[peaks.front().at];
        if (all_.f.back() < 1.5 * main_) {
            return refuse(say(YF_WORDS("core", "the band ends at %1"),
                              text::printEngineering(all_.f.back(), "Hz")),
                          say(YF_WORDS("core", "must reach well above the resonance at %1"),
                              text::printEngineering(main_, "Hz")));
        }
        constexpr double reach = 10.0;
        near_ = all_.below(reach * std::max(main_, std::min(top, 4.0 * main_)));
        const Described asSealed = describeSealed(level, peaks);
        const Described asPorted = describePorted(level, peaks);
        return order_.kind == ReadKind::vented ? vented(asSealed, asPorted)
                                               : closed(asSealed, asPorted);
    }

private:
    static Error refuse(Words given, Words allowed) {
        return {"impedance", std::move(given), std::move(allowed)};
    }

    [[nodiscard]] Described describeSealed(const std::vector<double>& level,
                                           const std::vector<driver::Peak>& peaks) const {
        std::vector<Vector> starts;
        for (std::size_t i = 0; i < std::min<std::size_t>(peaks.size(), 2); ++i) {
            const driver::Start s = driver::startFrom(all_, level, peaks[i]);
            starts.push_back(
                driver::vectorOf(s, driver::coilStart(near_, s.Re, InductanceModel::leach)));
        }
        return describe(near_, sealed, starts);
    }

    [[nodiscard]] Described describePorted(const std::vector<double>& level,
                                           const std::vector<driver::Peak>& peaks) const {
        const driver::Start s = driver::startFrom(all_, level, peaks.front());
        const Vector coil = driver::coilStart(near_, s.Re, InductanceModel::leach);
        std::vector<Vector> starts;
        const auto add = [&](double fs, double fb, double alpha) {
            Vector p = driver::vectorOf({.Re = s.Re, .fs = fs, .Qms = 4.0, .Qes = 0.45}, coil);
            p.insert(p.end(), {std::log(alpha), std::log(fb), std::log(7.0)});
            starts.push_back(std::move(p));
        };
        if (peaks.size() > 1) {
            const double fL = all_.f[std::min(peaks[0].at, peaks[1].at)];
            const double fH = all_.f[std::max(peaks[0].at, peaks[1].at)];
            std::size_t low = std::min(peaks[0].at, peaks[1].at);
            for (std::size_t k = low; k <= std::max(peaks[0].at, peaks[1].at); ++k) {
                low = level[k] < level[low] ? k : low;
            }
            const ByHand hand = byThreePeaks(fL, all_.f[low], fH);
            add(hand.fs, hand.fb, hand.alpha);
        }
        for (const double fs : {0.6, 0.9, 1.2}) {
            for (const double fb : {0.6, 0.9, 1.2}) {
                for (const double alpha : {0.7, 2.0}) {
                    add(fs * main_, fb * main_, alpha);
                }
            }
        }
        return describe(near_, ported, mostPromising(near_, ported, std::move(starts)));
    }

    [[nodiscard]] bool acts(const Described& asSealed, const Described& asPorted) const {
        constexpr double half = 0.5;
        constexpr double leastAlpha = 0.05;
        const double alpha = asPorted.at(boxAt).value;
        const double fb = asPorted.at(boxAt + 1).value;
        return asPorted.squares < half * asSealed.squares && alpha > leastAlpha &&
               fb > 0.2 * main_ && fb < 3.0 * main_;
    }

    void put(ReadBack& r, const Described& d, const driver::ImpedanceForm& form) const {
        r.Re = d.at(0);
        r.f = d.at(1);
        r.Qm = d.at(2);
        r.Qe = d.at(3);
        driver::evaluate(
            form, d.settled.p.data(), order_.impedance.frequencies(), r.model, nullptr);
        r.rms = d.settled.rms;
    }

    [[nodiscard]] ReadBack vented(const Described& asSealed, const Described& asPorted) const {
        ReadBack r;
        r.portActs = acts(asSealed, asPorted);
        if (!*r.portActs) {
            put(r, asSealed, sealed);
            r.notes.emplace_back(
                YF_WORDS("core",
                         "The curve is that of a sealed box: the port is blocked or stuffed. "
                         "Resonance and Q are those of driver and box together."));
            return r;
        }
        put(r, asPorted, ported);
        r.alpha = asPorted.at(boxAt);
        r.fb = asPorted.at(boxAt + 1);
        r.QL = asPorted.at(boxAt + 2);
        if (order_.Vb) {
            r.Vas = Sure{r.alpha->value * *order_.Vb, r.alpha->u};
        }
        constexpr double leaky = 3.0;
        r.leakSuspected = r.QL->value < leaky;
        if (order_.fbExpected) {
            r.tuningError = r.fb->value / *order_.fbExpected - 1.0;
        }
        r.notes.emplace_back(
            YF_WORDS("core",
                     "QL stands for all losses of the box. Sweep once more with the port stopped: "
                     "alpha must agree within a tenth, or the leak is elsewhere."));
        return r;
    }

    [[nodiscard]] ReadBack closed(const Described& asSealed, const Described& asPorted) const {
        ReadBack r;
        put(r, asSealed, sealed);
        if (order_.fs && order_.Qes) {
            // Immune to the air load that a box changes (Small 1972).
            const double alpha = r.f.value * r.Qe.value / (*order_.fs * *order_.Qes) - 1.0;
            r.alpha =
                Sure{alpha, std::hypot(r.f.u, r.Qe.u) * (1.0 + alpha) / std::max(alpha, 1e-3)};
            if (order_.Vb) {
                r.Vas = Sure{alpha * *order_.Vb, r.alpha->u};
            }
            constexpr double share = 0.6;
            if (order_.Qms &&
                r.Qm.value < share * *order_.Qms * std::sqrt(1.0 + std::max(alpha, 0.0))) {
                r.leakSuspected = true;
            }
        }
        // A slit has mass, too: it makes a port.
        constexpr double half = 0.5;
        constexpr double leastAlpha = 0.05;
        if (asPorted.squares < half * asSealed.squares && asPorted.at(boxAt).value > leastAlpha) {
            r.leakSuspected = true;
        }
        if (r.leakSuspected) {
            r.notes.emplace_back(
                YF_WORDS("core",
                         "The box is not tight: the resonance is damped or shaped as by an "
                         "opening. Feel along gasket, terminals and joints while it plays low."));
        }
        return r;
    }

    const ReadOrder& order_;
    driver::Points all_;
    driver::Points near_;
    double main_{};
};

} // namespace

ByHand byThreePeaks(double fL, double fM, double fH) {
    const double b = fM * fM;
    return {.fb = fM,
            .fs = fL * fH / fM,
            .alpha = std::max((fH * fH - b) * (b - fL * fL) / (fH * fH * fL * fL), 0.02)};
}

Result<ReadBack> readBack(const ReadOrder& order) {
    return Reader(order).run();
}

std::optional<Error> check(const ReadRequest& r) {
    if (auto error = check(r.impedance)) {
        return error;
    }
    constexpr std::size_t least = 12;
    if (r.impedance.frequencies.size() < least) {
        return Error{"frequencies_hz",
                     text::given(std::to_string(r.impedance.frequencies.size())),
                     "must be 12 or more"};
    }
    return std::nullopt;
}

Result<ReadAnswer> fromImpedance(const ReadRequest& r) {
    auto read = readBack({.impedance = toCurve(r.impedance),
                          .kind = r.kind,
                          .fs = r.fs,
                          .Qes = r.Qes,
                          .Qms = r.Qms,
                          .Vb = r.Vb,
                          .fbExpected = r.fbExpected,
                          .dcr = r.dcr});
    if (!read) {
        Error error = read.error();
        error.subject = r.impedance.re ? "impedances_ohm_re" : "impedances_ohm";
        return error;
    }
    return ReadAnswer{r.kind, std::move(*read)};
}

text::Value ReadAnswer::write() const {
    text::Value::Object out;
    const auto put =
        [&](const char* key, const char* uKey, const std::optional<Sure>& s, double unit) {
            out.push_back({key, s ? text::Value(s->value / unit) : text::Value()});
            out.push_back({uKey, s ? text::Value(100.0 * s->u) : text::Value()});
        };
    put("Re_ohm", "Re_u_pct", read.Re, 1.0);
    if (kind == ReadKind::closed) {
        put("fc_hz", "fc_u_pct", read.f, 1.0);
        put("Qmc", "Qmc_u_pct", read.Qm, 1.0);
        put("Qec", "Qec_u_pct", read.Qe, 1.0);
        out.push_back({"Qtc", read.Qt()});
        put("alpha", "alpha_u_pct", read.alpha, 1.0);
        put("Vas_l", "Vas_u_pct", read.Vas, 1e-3);
    } else {
        put("fs_hz", "fs_u_pct", read.f, 1.0);
        put("Qms", "Qms_u_pct", read.Qm, 1.0);
        put("Qes", "Qes_u_pct", read.Qe, 1.0);
        put("alpha", "alpha_u_pct", read.alpha, 1.0);
        put("fb_hz", "fb_u_pct", read.fb, 1.0);
        put("QL", "QL_u_pct", read.QL, 1.0);
        put("Vas_l", "Vas_u_pct", read.Vas, 1e-3);
        out.push_back({"tuning_error_pct",
                       read.tuningError ? text::Value(100.0 * *read.tuningError) : text::Value()});
        out.push_back({"port_acts", read.portActs.value_or(false)});
    }
    out.push_back({"leak_suspected", read.leakSuspected});
    out.push_back({"rms_error_pct", 100.0 * read.rms});
    out.push_back({"notes", read.notes});
    return out;
}

ReadVerdict verdictOf(const ReadBack& r) {
    if (r.portActs.has_value() && !*r.portActs) {
        return ReadVerdict::portIdle;
    }
    if (r.leakSuspected) {
        return ReadVerdict::leaks;
    }
    if (r.QL && r.QL->value < tightQL) {
        return ReadVerdict::notTight;
    }
    return r.fb ? ReadVerdict::tuned : ReadVerdict::sealed;
}

bool offTuning(const ReadBack& r) {
    constexpr double bearable = 0.05;
    return r.tuningError && std::abs(*r.tuningError) > bearable;
}

} // namespace yf::box
