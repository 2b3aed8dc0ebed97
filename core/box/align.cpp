// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/align.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <array>
#include <cmath>
#include <functional>

namespace yf::box {

namespace {

constexpr double pi = std::numbers::pi;
constexpr FourthOrder butterworth{2.613125929752753, 3.414213562373095, 2.613125929752753};

FourthOrder quasiThird(double a1) {
    const double a2 = 0.5 * a1 * a1;
    return {a1, a2, (a2 * a2 + 2.0) / (2.0 * a1)};
}

struct Bracket {
    double low{};
    double high{};
    bool rising{};
};

double halve(const std::function<std::optional<double>(double)>& of, double wanted, Bracket b) {
    constexpr int halvings = 60;
    for (int k = 0; k < halvings; ++k) {
        const double middle = 0.5 * (b.low + b.high);
        ((of(middle).value_or(wanted) > wanted) == b.rising ? b.high : b.low) = middle;
    }
    return 0.5 * (b.low + b.high);
}

/// The parameter in [low, high] whose shape has Qt; Qt must fall or rise throughout.
std::optional<double> parameterFor(double Qt,
                                   double QL,
                                   std::pair<double, double> range,
                                   const std::function<FourthOrder(double)>& shape) {
    const auto QtAt = [&](double p) -> std::optional<double> {
        const auto found = shapeOf(shape(p), QL);
        return found ? std::optional(found->Qt) : std::nullopt;
    };
    // Shapes end where α would turn negative: the range is walked until one of its steps holds Qt.
    constexpr int steps = 400;
    double lastP = 0.0; // 0: the step before had no shape
    double lastQt = 0.0;
    for (int i = 0; i <= steps; ++i) {
        const double p = range.first * std::pow(range.second / range.first, i / double{steps});
        const double here = QtAt(p).value_or(0.0);
        if (here > 0.0 && lastP > 0.0 && (lastQt - Qt) * (here - Qt) <= 0.0) {
            return halve(QtAt, Qt, {lastP, p, here > lastQt});
        }
        lastP = here > 0.0 ? p : 0.0;
        lastQt = here;
    }
    return std::nullopt;
}

Error refused(Alignment a, Words allowed) {
    return {"alignment", text::given(alignmentName(a)), std::move(allowed)};
}

std::string Q(double value) {
    return text::printFixed(value, 4);
}

Result<Aligned> byShape(Alignment alignment, double Qt, double QL) {
    const auto made = [&](const std::optional<double>& p,
                          const std::function<FourthOrder(double)>& shape) -> Result<Aligned> {
        const auto found = p ? shapeOf(shape(*p), QL) : std::nullopt;
        if (!found) {
            return refused(
                alignment,
                say(YF_WORDS("core", "no box of this shape exists for a Qts of %1 at QL %2"),
                    Q(Qt),
                    text::printSignificant(QL, 3)));
        }
        return Aligned{alignment, *found, 0.0};
    };
    if (alignment == Alignment::QB3) {
        return made(parameterFor(Qt, QL, {butterworth.a1, 300.0}, quasiThird), quasiThird);
    }
    const bool ripples = alignment == Alignment::C4;
    const auto k =
        parameterFor(Qt, QL, ripples ? std::pair{0.2, 1.0} : std::pair{1.0, 12.0}, chebyshevShape);
    auto result = made(k, chebyshevShape);
    if (result && ripples) {
        const double e = 1.0 / std::sinh(4.0 * std::atanh(std::min(*k, 1.0 - 1e-12)));
        result->ripple = 10.0 * std::log10(1.0 + e * e);
    }
    return result;
}

Aligned doublePair(double Qt, double QL) {
    const double d = 1.0 / Qt - 1.0 / QL;
    return {Alignment::SBB4, {.h = 1.0, .Qt = Qt, .alpha = 0.25 * d * d}, 0.0};
}

} // namespace

std::string_view alignmentName(Alignment alignment) {
    static constexpr std::array<std::string_view, 7> names{
        "auto", "B4", "QB3", "C4", "SC4", "SBB4", "extended"};
    return names.at(static_cast<std::size_t>(alignment));
}

FourthOrder chebyshevShape(double k) {
    // Low-pass s⁴ + b3·s³ + b2·s² + b1·s + b0 with poles −k·sin θ ± j·cos θ; then s → 1/s, scaled
    // so that the last coefficient is 1.
    const double s1 = std::sin(pi / 8.0);
    const double s2 = std::sin(3.0 * pi / 8.0);
    const double p1 = 2.0 * k * s1;
    const double p2 = 2.0 * k * s2;
    const double q1 = k * k * s1 * s1 + s2 * s2; // cos(π/8) = sin(3π/8)
    const double q2 = k * k * s2 * s2 + s1 * s1;
    const double b0 = q1 * q2;
    const double b1 = p1 * q2 + p2 * q1;
    const double b2 = q1 + q2 + p1 * p2;
    const double b3 = p1 + p2;
    const double t = std::sqrt(std::sqrt(b0));
    return {b1 / b0 * t, b2 / b0 * t * t, b3 / b0 * t * t * t};
}

VentedShape butterworthShape(double QL) {
    const auto shape = shapeOf(butterworth, QL);
    YF_EXPECT(shape.has_value());
    return *shape;
}

Result<Aligned> align(Alignment alignment, double Qt, double QL) {
    const VentedShape b4 = butterworthShape(QL);
    const double off = Qt / b4.Qt - 1.0;
    constexpr double same = 1e-3;
    constexpr double near = 1e-2;
    switch (alignment) {
    case Alignment::automatic:
        if (std::abs(off) <= same) {
            return Aligned{Alignment::B4, b4, 0.0};
        }
        return byShape(off < 0.0 ? Alignment::QB3 : Alignment::C4, Qt, QL);
    case Alignment::B4:
        if (std::abs(off) > near) {
            return refused(alignment,
                           say(YF_WORDS("core", "needs a Qts of %1 at QL %2; this one is %3"),
                               Q(b4.Qt),
                               text::printSignificant(QL, 3),
                               Q(Qt)));
        }
        return Aligned{Alignment::B4, b4, 0.0};
    case Alignment::QB3:
    case Alignment::SC4:
        if (off > same) {
            return refused(
                alignment,
                say(YF_WORDS("core", "is for a Qts below %1; this one is %2"), Q(b4.Qt), Q(Qt)));
        }
        return byShape(alignment, std::min(Qt, b4.Qt * (1.0 - 1e-9)), QL);
    case Alignment::C4:
        if (off < -same) {
            return refused(
                alignment,
                say(YF_WORDS("core", "is for a Qts above %1; this one is %2"), Q(b4.Qt), Q(Qt)));
        }
        return byShape(alignment, std::max(Qt, b4.Qt * (1.0 + 1e-9)), QL);
    case Alignment::SBB4:
        return doublePair(Qt, QL);
    case Alignment::extended:
        break;
    }
    return refused(alignment, "needs a volume");
}

Extended extend(const Motor& motor, const Source& source, const ExtendedWish& wish, double QL) {
    const auto crossingAt = [&](double fb) {
        const System system{
            .motor = motor,
            .source = source,
            .chambers = chambersOf(Vented{.Vb = wish.Vb, .fb = fb, .QL = QL}, motor, source),
            .withInductance = false};
        return highestCrossing(system, wish.shelf).value_or(1e9);
    };
    double low = 0.35 * motor.fs;
    double high = 1.6 * motor.fs;
    Extended best{.fShelf = 1e9};
    constexpr int tunings = 150;
    constexpr int rounds = 3;
    for (int round = 0; round < rounds; ++round) {
        const int steps = round == 0 ? tunings : 40;
        const double ratio = high / low;
        for (int i = 0; i <= steps; ++i) {
            const double fb = low * std::pow(ratio, static_cast<double>(i) / steps);
            const double f = crossingAt(fb);
            if (f < best.fShelf) {
                best = {fb, f};
            }
        }
        const double step = std::pow(ratio, 1.5 / steps);
        low = best.fb / step;
        high = best.fb * step;
    }
    return best;
}

std::optional<Error> check(const AlignRequest& r) {
    if (auto error = check(r.driver)) {
        return error;
    }
    if (r.alignment == Alignment::extended && !r.Vb) {
        return Error{"Vb_l", "missing", "alignment extended needs a volume"};
    }
    if (r.alignment != Alignment::extended && r.Vb) {
        return Error{"Vb_l", "given", "only alignment extended takes one"};
    }
    return std::nullopt;
}

Result<AlignAnswer> alignVerb(const AlignRequest& r) {
    const Motor motor = motorOf(r.driver, r.source);
    const double Qt = motor.QtsWith(r.source.resistance);
    if (r.alignment == Alignment::extended) {
        const Extended e = extend(motor, r.source, {*r.Vb, r.shelf}, r.QL);
        const Box box = Vented{.Vb = *r.Vb, .fb = e.fb, .QL = r.QL};
        const System system = systemOf(r.driver, box, r.source);
        return AlignAnswer{.alignment = Alignment::extended,
                           .Vb = *r.Vb,
                           .fb = e.fb,
                           .alpha = motor.Vas / *r.Vb,
                           .h = e.fb / motor.fs,
                           .f3 = highestCrossing(system, quantity::halfPower).value_or(e.fShelf),
                           .ripple = summarise(system).peak.value_or(0.0),
                           .fShelf = e.fShelf};
    }
    auto found = align(r.alignment, Qt, r.QL);
    if (!found) {
        Error error = found.error();
        const VentedShape b4 = butterworthShape(r.QL);
        // More source resistance raises Qes, and so Qts up to Qms.
        if (Qt < b4.Qt && b4.Qt < motor.Qms &&
            (r.alignment == Alignment::B4 || r.alignment == Alignment::C4)) {
            const double Qes = 1.0 / (1.0 / b4.Qt - 1.0 / motor.Qms);
            const double Rg = motor.Re * (Qes / motor.Qes - 1.0);
            error.allowed = say(YF_WORDS("core", "%1. A source resistance of %2 would reach B4"),
                                error.allowed,
                                text::printEngineering(Rg, "Ω"));
        }
        return error;
    }
    const VentedShape& shape = found->shape;
    const FourthOrder g = fourthOrder(shape, r.QL);
    const double f0 = motor.fs * std::sqrt(shape.h);
    return AlignAnswer{.alignment = found->alignment,
                       .Vb = motor.Vas / shape.alpha,
                       .fb = motor.fs * shape.h,
                       .alpha = shape.alpha,
                       .h = shape.h,
                       .f3 = f0 * g.halfPower(),
                       .ripple = found->ripple};
}

} // namespace yf::box
