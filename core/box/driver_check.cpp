// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/driver_check.h"

#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::box {

Suitability
suitability(const Driver& driver, const Box& box, const Source& source, const DriverWishes& w) {
    const System system = systemOf(driver, box, source);
    Suitability s{.summary = summarise(system)};
    const auto lose =
        [&](const char* what, double points, double found, std::optional<double> wanted) {
            if (points > 0.0) {
                s.penalties.push_back({what, points, found, wanted});
                s.score -= points;
            }
        };
    const double peak = s.summary.peak.value_or(0.0);
    lose("peak", 15.0 * (peak - 1.0), peak, std::nullopt);
    if (w.f3 && s.summary.f3) {
        lose("f3", 40.0 * std::log2(*s.summary.f3 / *w.f3), *s.summary.f3, w.f3);
    }
    if (w.sensitivity) {
        lose("sensitivity",
             10.0 * (std::abs(s.summary.sensitivity - *w.sensitivity) - 1.0),
             s.summary.sensitivity,
             w.sensitivity);
    }
    if (w.Re) {
        lose("resistance", 100.0 * (0.9 - system.motor.Re / *w.Re), system.motor.Re, w.Re);
    }
    s.level = leastLevel(system, s.summary.f3.value_or(200.0));
    if (w.level && s.level) {
        lose("level", 5.0 * (*w.level - *s.level), *s.level, w.level);
    }
    std::ranges::stable_sort(
        s.penalties, [](const Penalty& a, const Penalty& b) { return a.points > b.points; });
    constexpr double good = 80.0;
    constexpr double fair = 50.0;
    s.verdict = s.score >= good   ? Suits::fits
                : s.score >= fair ? Suits::fitsWithChanges
                                  : Suits::doesNot;
    return s;
}

Retuned
retuned(const Driver& driver, const Vented& box, const Source& source, const DriverWishes& wishes) {
    Retuned best{.score = -1e300};
    const auto scoreAt = [&](double fb) {
        Vented other = box;
        other.fb = fb;
        return suitability(driver, other, source, wishes).score;
    };
    const double lowest = 0.5 * box.fb;
    double from = lowest;
    double to = 2.0 * box.fb;
    for (int round = 0; round < 2; ++round) {
        constexpr int steps = 48;
        const double ratio = to / from;
        for (int i = 0; i <= steps; ++i) {
            const double fb = from * std::pow(ratio, static_cast<double>(i) / steps);
            const double score = scoreAt(fb);
            if (score > best.score + 1e-9) {
                best.score = score;
                best.fb = fb;
            }
        }
        const double step = std::pow(ratio, 1.0 / steps);
        from = std::max(lowest, *best.fb / step);
        to = *best.fb * step;
    }
    best.atLowerEnd = *best.fb <= lowest * 1.001;
    if (best.atLowerEnd) {
        const Closed sealed{.Vb = box.Vb, .gain = box.gain, .QA = box.QA};
        const double score = suitability(driver, sealed, source, wishes).score;
        if (score > best.score) {
            best.score = score;
            best.fb.reset();
        }
    }
    return best;
}

std::optional<Error> check(const DriverCheckRequest& r) {
    if (auto error = check(r.driver)) {
        return error;
    }
    if (r.wishes.level && !r.driver.Xmax && !r.driver.power) {
        return Error{"level_wanted_db", "given", "needs Xmax_m or power_w"};
    }
    return std::nullopt;
}

Result<DriverCheckAnswer> driverCheck(const DriverCheckRequest& r) {
    BoxKeys keys = r.keys;
    keys.kind = r.kind == SealOrPort::closed ? Kind::closed : Kind::vented;
    YF_TRY(box, boxOf(keys));
    const Motor motor = motorOf(r.driver, r.source);
    const Suitability s = suitability(r.driver, box, r.source, r.wishes);
    DriverCheckAnswer a{.alpha = motor.Vas / (keys.gain * *keys.Vb),
                        .Qts = motor.QtsWith(r.source.resistance),
                        .summary = s.summary,
                        .score = s.score,
                        .verdict = s.verdict};
    for (const Penalty& p : s.penalties) {
        a.reasons.push_back(p.what);
    }
    if (const auto* v = std::get_if<Vented>(&box)) {
        a.h = v->fb / motor.fs;
        const Retuned better = retuned(r.driver, *v, r.source, r.wishes);
        a.fbBetter = better.fb;
        a.scoreRetuned = better.score;
        a.closePort = better.atLowerEnd;
    }
    return a;
}

} // namespace yf::box
