// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/line/prototype.h"

#include <algorithm>
#include <cmath>
#include <complex>
#include <numbers>

namespace yf::network {

namespace {

using Long = long double;
using LongComplex = std::complex<Long>;

constexpr Long pi = std::numbers::pi_v<Long>;

Polynomial fromRoots(const std::vector<LongComplex>& roots) {
    std::vector<LongComplex> product{1.0L};
    for (const LongComplex& root : roots) {
        product.push_back(0.0L);
        for (std::size_t i = product.size() - 1; i > 0; --i) {
            product[i] = product[i - 1] - root * product[i];
        }
        product[0] *= -root;
    }
    Polynomial real;
    for (const LongComplex& c : product) {
        real.push_back(c.real() / product[0].real());
    }
    return real;
}

LongComplex evaluate(const Polynomial& p, LongComplex s) {
    LongComplex value{};
    for (std::size_t i = p.size(); i-- > 0;) {
        value = value * s + p[i];
    }
    return value;
}

Polynomial butterworth(int N) {
    std::vector<LongComplex> poles;
    for (int k = 1; k <= N; ++k) {
        poles.push_back(
            std::polar(1.0L, pi * static_cast<Long>(2 * k + N - 1) / static_cast<Long>(2 * N)));
    }
    return fromRoots(poles);
}

Polynomial chebyshev(int N, double ripple) {
    const Long epsilon = std::sqrt(std::pow(10.0L, static_cast<Long>(ripple) / 10.0L) - 1.0L);
    const Long a = std::asinh(1.0L / epsilon) / static_cast<Long>(N);
    std::vector<LongComplex> poles;
    for (int k = 1; k <= N; ++k) {
        const Long theta = pi * static_cast<Long>(2 * k - 1) / static_cast<Long>(2 * N);
        poles.emplace_back(-std::sinh(a) * std::sin(theta), std::cosh(a) * std::cos(theta));
    }
    return fromRoots(poles);
}

Polynomial bessel(int N) {
    Polynomial D(static_cast<std::size_t>(N) + 1);
    const auto factorial = [](int n) { return std::tgamma(static_cast<Long>(n) + 1.0L); };
    for (int k = 0; k <= N; ++k) {
        D[static_cast<std::size_t>(k)] =
            factorial(2 * N - k) /
            (std::pow(2.0L, static_cast<Long>(N - k)) * factorial(k) * factorial(N - k));
    }
    const Long constant = D[0];
    for (Long& c : D) {
        c /= constant;
    }
    return D;
}

/// Highest ω at which |D| = wanted: down from far above, then bisection.
Long lastCrossing(const Polynomial& D, Long wanted) {
    const auto above = [&](Long omega) { return std::abs(evaluate(D, {0.0L, omega})) > wanted; };
    Long high = 1e6L;
    constexpr Long step = 1.001L;
    while (above(high / step)) {
        high /= step;
    }
    Long low = high / step;
    for (int i = 0; i < 80; ++i) {
        const Long middle = std::sqrt(low * high);
        (above(middle) ? high : low) = middle;
    }
    return std::sqrt(low * high);
}

Polynomial scaledTo(const Polynomial& D, double level) {
    const Long omega = lastCrossing(D, std::pow(10.0L, -static_cast<Long>(level) / 20.0L));
    Polynomial scaled = D;
    Long power = 1.0L;
    for (Long& c : scaled) {
        c *= power;
        power *= omega;
    }
    return scaled;
}

Polynomial part(const Polynomial& D, std::size_t parity) {
    Polynomial kept(D.size(), 0.0L);
    for (std::size_t i = parity; i < D.size(); i += 2) {
        kept[i] = D[i];
    }
    return kept;
}

void trim(Polynomial& p, Long scale) {
    while (p.size() > 1 && std::abs(p.back()) <= 1e-15L * scale) {
        p.pop_back();
    }
}

Long largest(const Polynomial& p) {
    Long most = 0.0L;
    for (const Long c : p) {
        most = std::max(most, std::abs(c));
    }
    return most;
}

/// Removes the pole at infinity of numerator/denominator once; leaves the remainder's inverse.
Long removeAtInfinity(Polynomial& numerator, Polynomial& denominator) {
    const Long quotient = numerator.back() / denominator.back();
    Polynomial rest(numerator.begin(), numerator.end() - 1);
    for (std::size_t i = 0; i + 1 < denominator.size(); ++i) {
        rest[i + 1] -= quotient * denominator[i];
    }
    const Long scale = largest(numerator);
    // An odd or even polynomial loses two degrees at once.
    rest.pop_back();
    trim(rest, scale);
    numerator = std::move(denominator);
    denominator = std::move(rest);
    return quotient;
}

std::vector<double> continuedFraction(Polynomial numerator, Polynomial denominator, std::size_t N) {
    trim(numerator, largest(numerator));
    trim(denominator, largest(denominator));
    std::vector<double> quotients;
    while (quotients.size() + 1 < N) {
        quotients.push_back(static_cast<double>(removeAtInfinity(numerator, denominator)));
    }
    quotients.push_back(static_cast<double>(numerator.back() / denominator.front()));
    return quotients;
}

/// All roots at once by the Durand-Kerner iteration; degree at most 8 here.
std::vector<LongComplex> roots(const Polynomial& p) {
    const std::size_t n = p.size() - 1;
    std::vector<LongComplex> z;
    Long radius = 0.0L;
    for (std::size_t i = 0; i < n; ++i) {
        radius = std::max(radius, std::pow(std::abs(p[i] / p[n]), 1.0L / static_cast<Long>(n - i)));
    }
    for (std::size_t i = 0; i < n; ++i) {
        z.push_back(
            std::polar(radius, 0.4L + 2.0L * pi * static_cast<Long>(i) / static_cast<Long>(n)));
    }
    for (int iteration = 0; iteration < 500; ++iteration) {
        Long moved = 0.0L;
        for (std::size_t i = 0; i < n; ++i) {
            LongComplex below = p[n];
            for (std::size_t j = 0; j < n; ++j) {
                if (j != i) {
                    below *= z[i] - z[j];
                }
            }
            const LongComplex step = evaluate(p, z[i]) / below;
            z[i] -= step;
            moved = std::max(moved, std::abs(step));
        }
        if (moved < 1e-18L * radius) {
            break;
        }
    }
    return z;
}

/// Same value of both ends of a one-port: numerator over denominator, kept as Z.
struct OnePortFunction {
    Polynomial numerator;
    Polynomial denominator;
};

Polynomial withoutLowest(const Polynomial& p) {
    return {p.begin() + 1, p.end()};
}

/// Removes a pole at zero, W = k/s + rest, from numerator/denominator whose denominator begins
/// with s; returns k.
Long removeAtZero(OnePortFunction& W) {
    const Long k = W.numerator[0] / W.denominator[1];
    const Polynomial shifted = withoutLowest(W.denominator);
    const Long scale = largest(W.numerator);
    for (std::size_t i = 0; i < shifted.size() && i < W.numerator.size(); ++i) {
        W.numerator[i] -= k * shifted[i];
    }
    W.numerator[0] = 0.0L;
    trim(W.numerator, scale);
    // One factor s of both cancels; what stays has alternating zeros again.
    W.numerator = withoutLowest(W.numerator);
    W.denominator = shifted;
    return k;
}

} // namespace

Polynomial multiply(const Polynomial& a, const Polynomial& b) {
    Polynomial product(a.size() + b.size() - 1, 0.0L);
    for (std::size_t i = 0; i < a.size(); ++i) {
        for (std::size_t j = 0; j < b.size(); ++j) {
            product[i + j] += a[i] * b[j];
        }
    }
    return product;
}

Polynomial prototype(const PrototypeRequest& request) {
    switch (request.alignment) {
    case Alignment::butterworth: {
        // At half power nothing needs scaling, and nothing is lost.
        const Polynomial D = butterworth(request.order);
        return request.levelAtFx == -quantity::halfPower ? D : scaledTo(D, request.levelAtFx);
    }
    case Alignment::linkwitzRiley: {
        YF_EXPECT(request.order % 2 == 0);
        const Polynomial half = butterworth(request.order / 2);
        return multiply(half, half);
    }
    case Alignment::bessel:
        return scaledTo(bessel(request.order), request.levelAtFx);
    case Alignment::chebyshev:
        return scaledTo(chebyshev(request.order, request.ripple), request.levelAtFx);
    }
    return {};
}

std::complex<double> filterAt(const Polynomial& D, double x, bool highPass) {
    const Long omega = highPass ? -1.0L / static_cast<Long>(x) : static_cast<Long>(x);
    const LongComplex H = Long{1.0L} / evaluate(D, {0.0L, omega});
    return {static_cast<double>(H.real()), static_cast<double>(H.imag())};
}

std::vector<double> ladderValues(const Polynomial& D) {
    const std::size_t N = D.size() - 1;
    const bool even = N % 2 == 0;
    std::vector<double> g = continuedFraction(part(D, even ? 0 : 1), part(D, even ? 1 : 0), N);
    std::ranges::reverse(g);
    return g;
}

Result<std::vector<double>> ladderValues(const Polynomial& D, double Rs) {
    const std::size_t N = D.size() - 1;
    // D(s)·D(−s) has even powers only: a polynomial in x = s².
    Polynomial square(N + 1, 0.0L);
    for (std::size_t i = 0; i <= N; ++i) {
        for (std::size_t j = 0; j <= N; ++j) {
            if ((i + j) % 2 == 0) {
                square[(i + j) / 2] += D[i] * D[j] * (j % 2 == 0 ? 1.0L : -1.0L);
            }
        }
    }
    const Long r = static_cast<Long>(Rs);
    square[0] -= 4.0L * r / ((r + 1.0L) * (r + 1.0L)) * D[0] * D[0];
    std::vector<LongComplex> left;
    for (const LongComplex& x : roots(square)) {
        LongComplex s = std::sqrt(x);
        if (s.real() > 0.0L) {
            s = -s;
        }
        if (std::abs(s.real()) < 1e-9L * std::abs(s)) {
            return Error{"source_ohm",
                         "this alignment asks for more than the source can give",
                         "choose an alignment without a peak, or a smaller source_ohm"};
        }
        left.push_back(s);
    }
    Polynomial reflected = fromRoots(left);
    const Long lead = D.back() / reflected.back();
    for (Long& c : reflected) {
        c *= lead;
    }
    Polynomial numerator = D;
    Polynomial denominator = D;
    for (std::size_t i = 0; i <= N; ++i) {
        numerator[i] += reflected[i];
        denominator[i] -= reflected[i];
    }
    denominator.pop_back();
    // Z_in = Rs·(D + N)/(D − N); every element lowers the degree by one.
    std::vector<double> g;
    for (std::size_t k = 0; k < N; ++k) {
        const Long quotient = numerator.back() / denominator.back();
        g.push_back(static_cast<double>(k % 2 == 0 ? quotient * r : quotient / r));
        Polynomial rest(numerator.begin(), numerator.end() - 1);
        for (std::size_t i = 0; i + 1 < denominator.size(); ++i) {
            rest[i + 1] -= quotient * denominator[i];
        }
        numerator = std::move(denominator);
        denominator = std::move(rest);
        while (denominator.size() > numerator.size() - 1 && denominator.size() > 1) {
            denominator.pop_back();
        }
    }
    return g;
}

std::vector<LadderElement> bandPassLadder(const Polynomial& D, int N, BandTopology topology) {
    const bool even = N % 2 == 0;
    Polynomial evenPart = part(D, 0);
    Polynomial oddPart = part(D, 1);
    const Long scale = largest(D);
    trim(evenPart, scale);
    trim(oddPart, scale);
    // N even: Z = odd/even part; N odd: even/odd.
    OnePortFunction W{even ? oddPart : evenPart, even ? evenPart : oddPart};
    bool isImpedance = true;
    std::vector<LadderElement> fromLoad;
    const auto invert = [&] {
        std::swap(W.numerator, W.denominator);
        isImpedance = !isImpedance;
    };
    const auto atInfinity = [&] {
        if (W.numerator.size() < W.denominator.size()) {
            invert();
        }
        const Long quotient = W.numerator.back() / W.denominator.back();
        const Long top = largest(W.numerator);
        for (std::size_t i = 0; i < W.denominator.size(); ++i) {
            W.numerator[i + 1] -= quotient * W.denominator[i];
        }
        W.numerator.pop_back();
        trim(W.numerator, top);
        fromLoad.push_back({isImpedance, isImpedance, static_cast<double>(quotient)});
    };
    const auto atZero = [&] {
        const bool poleAtZero = std::abs(W.denominator[0]) < 1e-15L * largest(W.denominator);
        if (!poleAtZero) {
            invert();
        }
        const Long k = removeAtZero(W);
        fromLoad.push_back({isImpedance, !isImpedance, static_cast<double>(1.0L / k)});
    };
    for (int pass = 0; pass < 2; ++pass) {
        const bool infinity = (pass == 0) == (topology == BandTopology::highPassFirst);
        for (int k = 0; k < N; ++k) {
            if (infinity) {
                atInfinity();
            } else {
                atZero();
            }
        }
    }
    std::ranges::reverse(fromLoad);
    return fromLoad;
}

} // namespace yf::network
