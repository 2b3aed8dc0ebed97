// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/replacement.h"

#include "core/text/fields.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace yf::driver {

namespace {

using curve::Complex;
using text::Value;

constexpr double holeSlack = 1e-3;
constexpr double flangeLap = 6e-3;
constexpr double depthSpare = 10e-3;
constexpr double leastRe = 0.75;

/// A driver with its model made out, if it has one.
struct Known {
    const Part& part;
    std::optional<ImpedanceModel> model;

    [[nodiscard]] std::optional<double> Qts() const {
        return model ? std::optional(model->Qms * model->Qes / (model->Qms + model->Qes))
                     : std::nullopt;
    }

    [[nodiscard]] std::optional<double> fs() const { return part.model.fs; }

    [[nodiscard]] std::optional<double> Re() const { return part.model.Re; }

    [[nodiscard]] std::optional<double> modulusAt(double f) const {
        return model ? std::optional(std::abs(impedance(*model, {f}).front())) : std::nullopt;
    }
};

Result<Known> know(const Part& part, const std::string& path) {
    auto model = modelOf(part.model);
    if (!model) {
        return text::under(path, model.error());
    }
    return Known{part, *model};
}

std::string mm(double metres) {
    return text::printFixed(metres * 1e3, 0) + " mm";
}

std::string db(double level) {
    return text::printFixed(level, 1) + " dB";
}

/// Sentences for what cannot be mended; empty where it fits.
std::vector<Words> obstacles(const MatchRequest& r, const Known& old, const Known& c) {
    std::vector<Words> all;
    const Part& p = c.part;
    if (r.hole && p.cutout && *p.cutout > *r.hole + holeSlack) {
        all.push_back(say(YF_WORDS("core", "It needs a hole of %1; the hole is %2."),
                          mm(*p.cutout),
                          mm(*r.hole)));
    }
    if (r.hole && p.outer && *p.outer < *r.hole + flangeLap) {
        all.push_back(say(
            YF_WORDS("core",
                     "Its flange of %1 does not cover the hole of %2: an adapter ring is needed."),
            mm(*p.outer),
            mm(*r.hole)));
    }
    if (r.room && p.depth && *p.depth > *r.room - depthSpare) {
        all.push_back(say(YF_WORDS("core", "It is %1 deep; there is room for %2."),
                          mm(*p.depth),
                          mm(*r.room - depthSpare)));
    }
    if (p.shape && *p.shape != r.shape) {
        all.emplace_back(
            YF_WORDS("core", "Its basket has another shape: an adapter ring is needed."));
    }
    if (old.Re() && c.Re() && *c.Re() < leastRe * *old.Re()) {
        all.push_back(
            say(YF_WORDS("core",
                         "Its Re of %1 Ω loads the amplifier too much; at least %2 Ω is wanted."),
                text::printSignificant(*c.Re(), 3),
                text::printSignificant(leastRe * *old.Re(), 3)));
    }
    return all;
}

/// Weighted sum of squares, and what there were no figures for.
struct Score {
    double sum{};
    double weights{};
    std::vector<std::string> missing;

    void add(const char* name, const std::optional<double>& d, double tolerance, double weight) {
        if (!d) {
            missing.emplace_back(name);
            return;
        }
        sum += weight * (*d / tolerance) * (*d / tolerance);
        weights += weight;
    }

    [[nodiscard]] double points() const {
        return weights > 0.0 ? 100.0 * std::exp(-0.5 * sum / weights) : 0.0;
    }
};

std::optional<double> percent(const std::optional<double>& a, const std::optional<double>& b) {
    return a && b ? std::optional(100.0 * std::log(*a / *b)) : std::nullopt;
}

std::optional<BoxOf> boxOf(const MatchRequest& r, const Known& driver) {
    if (!r.Vb || !driver.part.Vas || !driver.fs() || !driver.Qts()) {
        return std::nullopt;
    }
    return BoxOf{*driver.fs(), *driver.Qts(), *driver.part.Vas / *r.Vb, r.fb, r.QL};
}

/// Lowest frequency from which the response stays above −3 dB.
double f3Of(const BoxOf& box) {
    double f = 2000.0;
    while (f > 5.0 && boxLevel(box, f) >= -3.0103) {
        f /= 1.005;
    }
    return f;
}

std::optional<double> boxDifference(const std::optional<BoxOf>& old,
                                    const std::optional<BoxOf>& other) {
    if (!old || !other) {
        return std::nullopt;
    }
    const double f3 = f3Of(*old);
    constexpr int points = 96;
    double most{};
    for (int k = 0; k <= points; ++k) {
        const double f = 0.7 * f3 * std::pow(10.0 / 0.7, static_cast<double>(k) / points);
        most = std::max(most, std::abs(boxLevel(*other, f) - boxLevel(*old, f)));
    }
    return most;
}

bool padTakesSurplus(const MatchRequest& r) {
    return r.role == quantity::DriverRole::midrange || r.role == quantity::DriverRole::tweeter;
}

void tellLevel(const MatchRequest& r, const Known& c, Candidate& out) {
    if (!out.sensitivity || std::abs(*out.sensitivity) < 0.5) {
        return;
    }
    if (*out.sensitivity > 0.0 && padTakesSurplus(r)) {
        out.pad = *out.sensitivity;
        const double share = std::pow(10.0, -out.pad / 20.0);
        const double Z = c.part.model.Re.value_or(8.0);
        out.reasons.push_back(say(
            YF_WORDS(
                "core",
                "It is %1 louder: a pad of %2 levels it, about %3 Ω in series and %4 Ω across it."),
            db(out.pad),
            db(out.pad),
            text::printSignificant(Z * (1.0 - share), 2),
            text::printSignificant(Z * share / (1.0 - share), 2)));
    } else {
        out.reasons.push_back(
            *out.sensitivity > 0.0
                ? say(YF_WORDS(
                          "core",
                          "It is %1 louder than the old one: the other side no longer matches."),
                      db(*out.sensitivity))
                : say(YF_WORDS(
                          "core",
                          "It is %1 quieter than the old one: the other side no longer matches."),
                      db(-*out.sensitivity)));
    }
}

void tellNetwork(const MatchRequest& r, const Known& old, const Known& c, Candidate& out) {
    if (!r.fx) {
        return;
    }
    const auto before = old.modulusAt(*r.fx);
    const auto after = c.modulusAt(*r.fx);
    if (before && after && std::abs(std::log(*after / *before)) > 0.05) {
        const double ratio = *after / *before;
        out.reasons.push_back(say(YF_WORDS("core",
                                           "Its impedance at the crossover is %1 times the old "
                                           "one's: coils of its section × %2, capacitors ÷ %3."),
                                  text::printSignificant(ratio, 3),
                                  text::printSignificant(ratio, 3),
                                  text::printSignificant(ratio, 3)));
    }
}

void tellBox(const MatchRequest& r, Candidate& out) {
    if (out.box && *out.box > 1.0) {
        out.reasons.push_back(r.fb ? say(YF_WORDS("core",
                                                  "In this box its response differs by up to %1: "
                                                  "the port must be tuned anew."),
                                         db(*out.box))
                                   : say(YF_WORDS("core",
                                                  "In this box its response differs by up to %1: "
                                                  "more or less filling may mend a part."),
                                         db(*out.box)));
    }
}

Candidate judge(const MatchRequest& r, const Known& old, const Known& c) {
    Candidate out{.id = c.part.id};
    out.reasons = obstacles(r, old, c);
    out.fits = out.reasons.empty();
    if (old.part.sensitivity && c.part.sensitivity) {
        out.sensitivity = *c.part.sensitivity - *old.part.sensitivity;
    }
    std::optional<double> level = out.sensitivity;
    if (level && *level > 0.0 && padTakesSurplus(r)) {
        *level /= 2.0;
    }
    Score score;
    score.add("sensitivity", level, 1.5, 2.0);
    if (r.role == quantity::DriverRole::woofer) {
        out.box = boxDifference(boxOf(r, old), boxOf(r, c));
        if (r.Vb) {
            score.add(YF_WORDS("core", "response in the box"), out.box, 1.5, 2.0);
        }
    }
    if (r.fx) {
        score.add(YF_WORDS("core", "impedance at the crossover"),
                  percent(c.modulusAt(*r.fx), old.modulusAt(*r.fx)),
                  15.0,
                  1.0);
    }
    score.add("Re", percent(c.Re(), old.Re()), 15.0, 1.0);
    score.add("Sd", percent(c.part.Sd, old.part.Sd), 20.0, 1.0);
    score.add("fs", percent(c.fs(), old.fs()), 25.0, 0.5);
    score.add("Qts", percent(c.Qts(), old.Qts()), 25.0, 0.5);
    out.score = score.points();
    tellLevel(r, c, out);
    tellNetwork(r, old, c, out);
    tellBox(r, out);
    if (!score.missing.empty()) {
        out.reasons.push_back(say(YF_WORDS("core", "Not compared for lack of figures: %1."),
                                  Words::row({score.missing.begin(), score.missing.end()}, ", ")));
    }
    return out;
}

} // namespace

double boxLevel(const BoxOf& box, double f) {
    if (!box.fb) {
        const double root = std::sqrt(1.0 + box.alpha);
        const Complex s{0.0, f / (box.fs * root)};
        return 20.0 * std::log10(std::abs(s * s / (s * s + s / (box.Qts * root) + 1.0)));
    }
    const double h = *box.fb / box.fs;
    const double r = std::sqrt(h);
    const Complex S{0.0, f / std::sqrt(box.fs * *box.fb)};
    const double a1 = r / box.QL + 1.0 / (r * box.Qts);
    const double a2 = h + 1.0 / (box.Qts * box.QL) + (1.0 + box.alpha) / h;
    const double a3 = r / box.Qts + 1.0 / (r * box.QL);
    const Complex S2 = S * S;
    return 20.0 * std::log10(std::abs(S2 * S2 / (S2 * S2 + a1 * S2 * S + a2 * S2 + a3 * S + 1.0)));
}

Result<Match> match(const MatchRequest& r) {
    YF_TRY(old, know(r.old, "old"));
    Match out;
    for (std::size_t i = 0; i < r.candidates.size(); ++i) {
        YF_TRY(known, know(r.candidates[i], text::join("candidates", i)));
        out.candidates.push_back(judge(r, old, known));
        if (out.candidates.back().fits) {
            out.ranking.push_back(i);
        }
    }
    std::ranges::stable_sort(
        out.ranking, std::greater{}, [&](std::size_t i) { return out.candidates[i].score; });
    return out;
}

Value Match::write() const {
    std::vector<std::string> accepted;
    std::vector<std::string> rejected;
    Value::List scores;
    Value::List reasons;
    Value::List sensitivities;
    Value::List boxes;
    Value::List pads;
    for (const std::size_t i : ranking) {
        accepted.push_back(candidates[i].id);
    }
    for (const Candidate& c : candidates) {
        if (!c.fits) {
            rejected.push_back(c.id);
        }
        scores.emplace_back(c.score);
        reasons.emplace_back(c.reasons);
        sensitivities.push_back(c.sensitivity ? Value{*c.sensitivity} : Value{});
        boxes.push_back(c.box ? Value{*c.box} : Value{});
        pads.emplace_back(c.pad);
    }
    return Value::Object{{"best", accepted.empty() ? Value{} : Value{accepted.front()}},
                         {"ranking", accepted},
                         {"rejected", rejected},
                         {"scores", scores},
                         {"reasons", reasons},
                         {"sensitivity_differences_db", sensitivities},
                         {"box_differences_db", boxes},
                         {"pads_db", pads}};
}

} // namespace yf::driver
