// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/designs.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::box {

namespace {

Error missing(const char* key, const char* why) {
    return {key, "missing", why};
}

} // namespace

std::optional<Error> check(const VentedRequest& r) {
    if (auto error = check(r.driver)) {
        return error;
    }
    if (!r.keys.Vb) {
        return missing("Vb_l", "a vented box needs it");
    }
    if (!r.keys.fb) {
        return missing("fb_hz", "a vented box needs it");
    }
    return std::nullopt;
}

Result<VentedAnswer> vented(const VentedRequest& r) {
    BoxKeys keys = r.keys;
    keys.kind = Kind::vented;
    YF_TRY(box, boxOf(keys));
    const System system = systemOf(r.driver, box, r.source);
    return VentedAnswer{.alpha = system.motor.Vas / (r.keys.gain * *r.keys.Vb),
                        .h = *r.keys.fb / system.motor.fs,
                        .Qts = system.motor.QtsWith(r.source.resistance),
                        .summary = summarise(system)};
}

std::optional<Error> check(const RadiatorRequest& r) {
    if (auto error = check(r.driver)) {
        return error;
    }
    if (r.keys.fb.has_value() == r.keys.prAddedMass.has_value()) {
        return Error{"fb_hz",
                     r.keys.fb ? "given together with pr_added_mass_kg"
                               : "missing, and so is pr_added_mass_kg",
                     "exactly one of fb_hz and pr_added_mass_kg must be given"};
    }
    return std::nullopt;
}

Result<RadiatorAnswer> passiveRadiator(const RadiatorRequest& r) {
    BoxKeys keys = r.keys;
    keys.kind = Kind::passiveRadiator;
    YF_TRY(made, boxOf(keys));
    PassiveRadiator box = std::get<PassiveRadiator>(made);
    if (r.keys.fb) {
        const double mass = massFor(box, *r.keys.fb, r.source);
        if (mass < 0.0) {
            return Error{"fb_hz",
                         text::given(text::printNumber(*r.keys.fb)),
                         say(YF_WORDS("core",
                                      "must be at most %1, what the bare radiator gives: added "
                                      "mass only lowers it"),
                             text::printFixed(tuning(box, r.source), 2))};
        }
        box.addedMass = mass;
    }
    const System system = systemOf(r.driver, box, r.source);
    const double fb = tuning(box, r.source);
    return RadiatorAnswer{.alpha = system.motor.Vas / (box.gain * box.Vb),
                          .h = fb / system.motor.fs,
                          .Qts = system.motor.QtsWith(r.source.resistance),
                          .summary = summarise(system),
                          .fb = fb,
                          .addedMass = box.addedMass,
                          .notch = notch(box, r.source),
                          .delta = compliances(box)};
}

std::optional<Error> check(const BandPassRequest& r) {
    if (auto error = check(r.driver)) {
        return error;
    }
    const bool byQ = r.Qbp || r.S;
    const bool byVolume = r.keys.Vr || r.keys.Vf || r.keys.fbFront;
    if (r.order == BandPassOrder::fourth) {
        if (byQ && byVolume) {
            return Error{"Qbp", "given together with Vr_l, Vf_l or fb_front_hz", "give one way"};
        }
        if (!byQ && !byVolume) {
            return missing("Qbp", "give Qbp and S, or Vr_l, Vf_l and fb_front_hz");
        }
        if (byQ && !r.Qbp) {
            return missing("Qbp", "S needs it");
        }
        if (byQ && !r.S) {
            return missing("S", "Qbp needs it");
        }
    } else if (byQ) {
        return Error{r.Qbp ? "Qbp" : "S", "given", "only the fourth order is designed by it"};
    }
    return std::nullopt;
}

Result<BandPassAnswer> bandPass(const BandPassRequest& r) {
    BoxKeys keys = r.keys;
    keys.kind = r.order == BandPassOrder::fourth          ? Kind::bandPass4
                : r.order == BandPassOrder::sixthParallel ? Kind::bandPass6Parallel
                                                          : Kind::bandPass6Series;
    const Motor motor = motorOf(r.driver, r.source);
    if (r.Qbp) {
        const double Qts = motor.QtsWith(r.source.resistance);
        if (*r.Qbp <= Qts * (1.0 + 1e-6)) {
            return Error{
                "Qbp",
                text::given(text::printNumber(*r.Qbp)),
                say(YF_WORDS("core", "must be above the driver's own Q with its source, %1"),
                    text::printFixed(Qts, 4))};
        }
        const BandPass4 design = bandPassDesign(motor, *r.Qbp, *r.S, r.source);
        keys.Vr = design.Vr / r.keys.gain;
        keys.Vf = design.Vf;
        keys.fbFront = design.fbFront;
    }
    YF_TRY(box, boxOf(keys));
    return BandPassAnswer{.Vr = *keys.Vr,
                          .Vf = *keys.Vf,
                          .fbRear = keys.fbRear,
                          .fbFront = *keys.fbFront,
                          .band = passBand(systemOf(r.driver, box, r.source))};
}

namespace {

using Point = std::array<double, 4>;

struct Bounds {
    Point low;
    Point high;
};

/// Nelder and Mead's simplex within bounds (points outside are put back onto them).
template <class Cost>
class Simplex {
public:
    Simplex(const Point& start, const Bounds& bounds, const Cost& cost)
        : bounds_(bounds), cost_(cost) {
        corners_.push_back(made(start));
        constexpr double first = 0.25;
        for (std::size_t k = 0; k < start.size(); ++k) {
            Point p = start;
            p[k] += p[k] + first > bounds.high[k] ? -first : first;
            corners_.push_back(made(p));
        }
    }

    std::pair<Point, double> run() {
        constexpr int steps = 400;
        constexpr double settled = 1e-7;
        for (int step = 0; step < steps; ++step) {
            std::ranges::sort(corners_, {}, &Corner::cost);
            if (corners_.back().cost - corners_.front().cost < settled) {
                break;
            }
            improve();
        }
        std::ranges::sort(corners_, {}, &Corner::cost);
        return {corners_.front().at, corners_.front().cost};
    }

private:
    struct Corner {
        Point at;
        double cost;
    };

    [[nodiscard]] Corner made(Point p) const {
        for (std::size_t i = 0; i < p.size(); ++i) {
            p[i] = std::clamp(p[i], bounds_.low[i], bounds_.high[i]);
        }
        return {p, cost_(p)};
    }

    [[nodiscard]] Corner between(const Point& a, const Point& b, double t) const {
        Point p{};
        for (std::size_t i = 0; i < p.size(); ++i) {
            p[i] = a[i] + t * (b[i] - a[i]);
        }
        return made(p);
    }

    /// Middle of all corners but the worst.
    [[nodiscard]] Point middle() const {
        Point m{};
        for (std::size_t k = 0; k + 1 < corners_.size(); ++k) {
            for (std::size_t i = 0; i < m.size(); ++i) {
                m[i] += corners_[k].at[i] / static_cast<double>(m.size());
            }
        }
        return m;
    }

    void improve() {
        const Point m = middle();
        Corner& worst = corners_.back();
        const Corner reflected = between(m, worst.at, -1.0);
        if (reflected.cost < corners_.front().cost) {
            const Corner further = between(m, worst.at, -2.0);
            worst = further.cost < reflected.cost ? further : reflected;
            return;
        }
        if (reflected.cost < corners_[corners_.size() - 2].cost) {
            worst = reflected;
            return;
        }
        const Corner nearer = between(m, worst.at, reflected.cost < worst.cost ? -0.5 : 0.5);
        if (nearer.cost < std::min(worst.cost, reflected.cost)) {
            worst = nearer;
            return;
        }
        for (std::size_t k = 1; k < corners_.size(); ++k) {
            corners_[k] = between(corners_.front().at, corners_[k].at, 0.5);
        }
    }

    const Bounds& bounds_;
    const Cost& cost_;
    std::vector<Corner> corners_;
};

} // namespace

SixthOrder sixthOrderDesign(const Driver& driver, const Source& source, const SixthWish& wish) {
    const Motor motor = motorOf(driver, source);
    const double reference = asymptote(motor, source) * quantity::gain(wish.level);
    const auto boxAt = [&](const Point& p) {
        return BandPass6{.chaining = wish.chaining,
                         .Vr = std::exp(p[0]),
                         .Vf = std::exp(p[1]),
                         .fbRear = std::exp(p[2]),
                         .fbFront = std::exp(p[3])};
    };
    const auto cost = [&](const Point& p) {
        System system{.motor = motor,
                      .source = source,
                      .chambers = chambersOf(boxAt(p), motor, source),
                      .withInductance = false};
        constexpr int points = 40;
        double sum = 0.0;
        for (int i = 0; i < points; ++i) {
            const double f = wish.low * std::pow(wish.high / wish.low, i / (points - 1.0));
            const double d = quantity::decibels(std::abs(motionAt(system, f).p) / reference);
            sum += d * d;
        }
        return std::sqrt(sum / points);
    };
    const double V = std::log(motor.Vas);
    const double f = std::log(motor.fs);
    const Bounds bounds{
        {V - std::log(20.0), V - std::log(20.0), f + std::log(0.6), f + std::log(1.2)},
        {V + std::log(2.0), V + std::log(2.0), f + std::log(2.0), f + std::log(5.0)}};
    const double third = V - std::log(3.0);
    const std::array<Point, 5> starts{Point{third, third, f, f + std::log(2.0)},
                                      Point{V, third - 0.7, f - 0.2, f + std::log(2.5)},
                                      Point{third + 0.5, third - 0.7, f + 0.2, f + std::log(2.5)},
                                      Point{third - 0.7, third + 0.5, f, f + std::log(1.6)},
                                      Point{V + 0.3, V - 1.5, f, f + std::log(2.2)}};
    SixthOrder best{.rms = 1e300};
    for (const Point& start : starts) {
        const auto [at, rms] = Simplex(start, bounds, cost).run();
        if (rms < best.rms) {
            best = {.box = boxAt(at), .rms = rms};
        }
    }
    return best;
}

} // namespace yf::box
