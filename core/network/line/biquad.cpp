// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/line/biquad.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <Eigen/Eigenvalues>

#include <algorithm>
#include <cmath>
#include <complex>
#include <numbers>

namespace yf::network {

namespace {

using Complex = std::complex<double>;

constexpr double pi = std::numbers::pi;

Biquad normalised(std::array<double, 3> b, std::array<double, 3> a) {
    for (double& x : b) {
        x /= a[0];
    }
    for (std::size_t i = 3; i-- > 0;) {
        a[i] /= a[0];
    }
    return {b, a};
}

/// The published formulas; shelves of slope by Q.
Biquad bySection(const BiquadRequest& r) {
    const double w = 2.0 * pi * *r.f0 / r.sampleRate;
    const double c = std::cos(w);
    const double alpha = std::sin(w) / (2.0 * *r.Q);
    const double A = std::pow(10.0, r.gain.value_or(0.0) / 40.0);
    switch (r.kind) {
    case BiquadKind::lowPass:
        return normalised({0.5 * (1 - c), 1 - c, 0.5 * (1 - c)}, {1 + alpha, -2 * c, 1 - alpha});
    case BiquadKind::highPass:
        return normalised({0.5 * (1 + c), -(1 + c), 0.5 * (1 + c)}, {1 + alpha, -2 * c, 1 - alpha});
    case BiquadKind::allPass:
        return normalised({1 - alpha, -2 * c, 1 + alpha}, {1 + alpha, -2 * c, 1 - alpha});
    case BiquadKind::peaking:
        return normalised({1 + alpha * A, -2 * c, 1 - alpha * A},
                          {1 + alpha / A, -2 * c, 1 - alpha / A});
    case BiquadKind::lowShelf:
    case BiquadKind::highShelf:
        break;
    }
    // A high shelf is a low one with the cosine's sign turned, and so the middle terms'.
    const double s = r.kind == BiquadKind::lowShelf ? 1.0 : -1.0;
    const double root = 2.0 * std::sqrt(A) * alpha;
    return normalised({A * ((A + 1) - s * (A - 1) * c + root),
                       s * 2 * A * ((A - 1) - s * (A + 1) * c),
                       A * ((A + 1) - s * (A - 1) * c - root)},
                      {(A + 1) + s * (A - 1) * c + root,
                       -s * 2 * ((A - 1) + s * (A + 1) * c),
                       (A + 1) + s * (A - 1) * c - root});
}

/// Poles of 1/D(s), upper half plane and real axis.
std::vector<Complex> poles(const Polynomial& D) {
    const auto n = static_cast<Eigen::Index>(D.size()) - 1;
    Eigen::MatrixXd companion = Eigen::MatrixXd::Zero(n, n);
    for (Eigen::Index i = 0; i < n; ++i) {
        companion(i, n - 1) =
            static_cast<double>(-D[static_cast<std::size_t>(i)] / D[static_cast<std::size_t>(n)]);
        if (i > 0) {
            companion(i, i - 1) = 1.0;
        }
    }
    std::vector<Complex> found;
    for (const Complex& p : companion.eigenvalues()) {
        constexpr double real = 1e-9;
        if (p.imag() > real) {
            found.push_back(p);
        } else if (p.imag() >= -real) {
            found.emplace_back(p.real(), 0.0);
        }
    }
    std::ranges::sort(found, {}, [](const Complex& p) { return -p.real() / std::abs(p); });
    return found;
}

/// 1/(a2·s² + a1·s + 1), or its high-pass by s → 1/s; K = tan(π·fx/fs).
Biquad bilinear(double a2, double a1, double K, bool high) {
    const double k2 = K * K;
    if (high) {
        return a2 == 0.0
                   ? normalised({1, -1, 0}, {1 + a1 * K, a1 * K - 1, 0})
                   : normalised({1, -2, 1},
                                {1 + a1 * K + a2 * k2, 2 * (a2 * k2 - 1), 1 - a1 * K + a2 * k2});
    }
    return a2 == 0.0
               ? normalised({K, K, 0}, {a1 + K, K - a1, 0})
               : normalised({k2, 2 * k2, k2}, {a2 + a1 * K + k2, 2 * (k2 - a2), a2 - a1 * K + k2});
}

/// The low-pass's denominator with its mirror image above: |H| = 1.
Biquad mirrored(const Biquad& low) {
    return low.a[2] == 0.0 ? Biquad{{low.a[1], 1.0, 0.0}, low.a}
                           : Biquad{{low.a[2], low.a[1], 1.0}, low.a};
}

/// A Linkwitz-Riley's poles are a Butterworth's twice over: found once, used twice.
std::vector<Biquad> byAlignment(const BiquadRequest& r) {
    const bool twice = *r.alignment == Alignment::linkwitzRiley;
    const PrototypeRequest wanted{.alignment = twice ? Alignment::butterworth : *r.alignment,
                                  .order = twice ? *r.order / 2 : *r.order,
                                  .ripple = r.ripple};
    const double K = std::tan(pi * *r.fx / r.sampleRate);
    const bool high = r.kind == BiquadKind::highPass;
    std::vector<Biquad> sections;
    std::vector<double> real;
    for (const Complex& p : poles(prototype(wanted))) {
        if (p.imag() == 0.0) {
            real.push_back(p.real());
        } else {
            sections.push_back(
                bilinear(1.0 / std::norm(p), -2.0 * p.real() / std::norm(p), K, high));
        }
    }
    if (twice) {
        const std::vector<Biquad> once = sections;
        sections.insert(sections.end(), once.begin(), once.end());
        const std::vector<double> onceReal = real;
        real.insert(real.end(), onceReal.begin(), onceReal.end());
    }
    for (std::size_t i = 0; i + 1 < real.size(); i += 2) {
        sections.push_back(
            bilinear(1.0 / (real[i] * real[i + 1]), -1.0 / real[i] - 1.0 / real[i + 1], K, high));
    }
    if (real.size() % 2 == 1) {
        sections.push_back(bilinear(0.0, -1.0 / real.back(), K, high));
    }
    if (r.kind == BiquadKind::allPass) {
        std::ranges::transform(sections, sections.begin(), mirrored);
    }
    return sections;
}

/// The filter meant, before the transform.
LineFilter analogue(const BiquadRequest& r) {
    LineFilter filter{.kind = r.kind, .alignment = r.alignment, .gain = r.gain.value_or(0.0)};
    filter.f0 = r.alignment ? *r.fx : *r.f0;
    filter.order = r.order.value_or(filter.order);
    filter.Q = r.Q.value_or(filter.Q);
    filter.ripple = r.ripple;
    return filter;
}

Complex responseOf(const std::vector<Biquad>& sections, double share) {
    Complex H{1.0};
    for (const Biquad& section : sections) {
        H *= section.at(share);
    }
    return H;
}

std::optional<double> squeezedFrom(const BiquadRequest& r, const std::vector<Biquad>& sections) {
    constexpr double bearable = 0.5;
    constexpr double audible = -60.0; // below that a level's error is no matter
    constexpr int perOctave = 24;
    const LineFilter filter = analogue(r);
    for (int i = 0;; ++i) {
        const double f = 20.0 * std::exp2(i / double(perOctave));
        if (f > 20000.0 || f >= 0.5 * r.sampleRate) {
            return std::nullopt;
        }
        const double meant = quantity::decibels(std::abs(transfer(filter, {f}).front()));
        const double made = quantity::decibels(std::abs(responseOf(sections, f / r.sampleRate)));
        if (meant > audible && std::abs(made - meant) > bearable) {
            return f;
        }
    }
}

Error belongs(const char* key, const char* to) {
    return Error{key, "given", say(YF_WORDS("core", "belongs to %1"), to)};
}

std::optional<Error> checkCorner(const char* key, double f, double rate) {
    return f < 0.5 * rate ? std::nullopt
                          : std::optional(Error{
                                key,
                                text::given(text::printNumber(f)),
                                say(YF_WORDS("core", "must be below half of sample_rate_hz, %1"),
                                    text::printNumber(0.5 * rate))});
}

std::optional<Error> checkAligned(const BiquadRequest& r) {
    if (r.kind != BiquadKind::lowPass && r.kind != BiquadKind::highPass &&
        r.kind != BiquadKind::allPass) {
        return belongs("alignment", "kinds low-pass, high-pass and all-pass");
    }
    if (r.f0 || r.Q || r.gain) {
        return belongs(r.f0 ? "f0_hz" : r.Q ? "q" : "gain_db", "one section, without alignment");
    }
    if (!r.order || !r.fx) {
        return Error{r.order ? "fx_hz" : "order", "missing", "an alignment needs it"};
    }
    if (*r.alignment == Alignment::linkwitzRiley && *r.order % 2 == 1) {
        return Error{"order",
                     text::given(std::to_string(*r.order)),
                     YF_WORDS("core", "Linkwitz-Riley is even only")};
    }
    return checkCorner("fx_hz", *r.fx, r.sampleRate);
}

} // namespace

std::complex<double> Biquad::at(double share) const {
    const Complex z = std::polar(1.0, -2.0 * pi * share);
    return (b[0] + z * (b[1] + z * b[2])) / (a[0] + z * (a[1] + z * a[2]));
}

std::optional<Error> check(const BiquadRequest& r) {
    if (r.alignment) {
        return checkAligned(r);
    }
    if (r.order || r.fx) {
        return Error{r.order ? "order" : "fx_hz", "given", "needs an alignment"};
    }
    if (!r.f0 || !r.Q) {
        return Error{r.f0 ? "q" : "f0_hz", "missing", "one section needs it, or give an alignment"};
    }
    const bool gains = r.kind == BiquadKind::peaking || r.kind == BiquadKind::lowShelf ||
                       r.kind == BiquadKind::highShelf;
    if (gains != r.gain.has_value()) {
        return gains ? Error{"gain_db", "missing", "this kind needs it"}
                     : belongs("gain_db", "peaking and shelves");
    }
    return checkCorner("f0_hz", *r.f0, r.sampleRate);
}

Result<BiquadAnswer> biquad(const BiquadRequest& r) {
    BiquadAnswer answer{.single = !r.alignment.has_value()};
    answer.sections = r.alignment ? byAlignment(r) : std::vector<Biquad>{bySection(r)};
    for (const double f : r.frequencies.value_or(std::vector<double>{})) {
        const Complex H = responseOf(answer.sections, f / r.sampleRate);
        answer.levels.push_back(quantity::decibels(std::abs(H)));
        answer.phases.push_back(std::arg(H));
    }
    answer.squeezedFrom = squeezedFrom(r, answer.sections);
    return answer;
}

Result<BiquadAnswer> sectionsOf(const LineFilter& filter, double sampleRate) {
    BiquadRequest request{.kind = filter.kind, .sampleRate = sampleRate};
    if (filter.alignment) {
        request.alignment = filter.alignment;
        request.order = filter.order;
        request.fx = filter.f0;
        request.ripple = filter.ripple;
    } else {
        request.f0 = filter.f0;
        request.Q = filter.Q;
        if (filter.hasGain()) {
            request.gain = filter.gain;
        }
    }
    if (auto error = check(request)) {
        return *error;
    }
    return biquad(request);
}

text::Value BiquadAnswer::write() const {
    using text::Value;
    const auto listOf = [](const auto& values, double unit) {
        Value::List list;
        for (const double v : values) {
            list.emplace_back(v / unit);
        }
        return list;
    };
    Value::Object object;
    if (single) {
        object.push_back({"b", listOf(sections.front().b, 1.0)});
        object.push_back({"a", listOf(sections.front().a, 1.0)});
    } else {
        Value::List rows;
        for (const Biquad& s : sections) {
            rows.emplace_back(Value::Object{{"b", listOf(s.b, 1.0)}, {"a", listOf(s.a, 1.0)}});
        }
        object.push_back({"sections", rows});
    }
    object.push_back({"levels_db", listOf(levels, 1.0)});
    object.push_back({"phases_deg", listOf(phases, quantity::degree)});
    object.push_back({"squeezed_from_hz", squeezedFrom ? Value{*squeezedFrom} : Value{}});
    return object;
}

} // namespace yf::network
