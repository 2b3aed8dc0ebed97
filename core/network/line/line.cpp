// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/line/line.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <sstream>

namespace yf::network {

namespace {

using Complex = std::complex<double>;

bool mayAlign(BiquadKind kind) {
    return kind == BiquadKind::lowPass || kind == BiquadKind::highPass ||
           kind == BiquadKind::allPass;
}

/// D(s) of the aligned filter; a Linkwitz-Riley all-pass would be a Butterworth's twice over.
Polynomial denominator(const LineFilter& f) {
    return prototype({.alignment = *f.alignment, .order = f.order, .ripple = f.ripple});
}

Complex aligned(const LineFilter& f, const Polynomial& D, double at) {
    if (f.kind == BiquadKind::allPass) {
        // On the imaginary axis D(−s) is the conjugate of D(s).
        const Complex H = filterAt(D, at / f.f0, false);
        return H / std::conj(H);
    }
    return filterAt(D, at / f.f0, f.kind == BiquadKind::highPass);
}

Complex section(const LineFilter& f, double at) {
    const Complex s{0.0, at / f.f0};
    const double A = std::pow(10.0, f.gain / 40.0);
    const double Q = f.Q;
    const double root = std::sqrt(A) / Q;
    switch (f.kind) {
    case BiquadKind::lowPass:
        return 1.0 / (s * s + s / Q + 1.0);
    case BiquadKind::highPass:
        return s * s / (s * s + s / Q + 1.0);
    case BiquadKind::allPass:
        return (s * s - s / Q + 1.0) / (s * s + s / Q + 1.0);
    case BiquadKind::peaking:
        return (s * s + s * (A / Q) + 1.0) / (s * s + s / (A * Q) + 1.0);
    case BiquadKind::lowShelf:
        return A * (s * s + root * s + A) / (A * s * s + root * s + 1.0);
    case BiquadKind::highShelf:
        return A * (A * s * s + root * s + 1.0) / (s * s + root * s + A);
    }
    return 1.0;
}

struct Word {
    std::string_view typed;
    Alignment alignment;
};

constexpr std::array<Word, 8> alignmentWords{{{"linkwitz-riley", Alignment::linkwitzRiley},
                                              {"linkwitz", Alignment::linkwitzRiley},
                                              {"lr", Alignment::linkwitzRiley},
                                              {"butterworth", Alignment::butterworth},
                                              {"bw", Alignment::butterworth},
                                              {"bessel", Alignment::bessel},
                                              {"chebyshev", Alignment::chebyshev},
                                              {"ch", Alignment::chebyshev}}};

std::string lower(std::string text) {
    std::ranges::transform(text, text.begin(), [](char c) {
        return c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c;
    });
    return text;
}

bool isDigit(char c) {
    return c >= '0' && c <= '9';
}

/// Words apart, but a unit with the number before it and a name with the number behind it.
std::vector<std::string> pieces(const std::string& text) {
    std::vector<std::string> found;
    std::istringstream in(text);
    bool open = false; // the last piece waits for its number
    for (std::string word; in >> word;) {
        const std::string small = lower(word);
        const bool unit = small == "hz" || small == "khz" || small == "db" || small == "k";
        const bool named = !small.empty() && small.front() >= 'a' && small.front() <= 'z' &&
                           std::ranges::none_of(small, isDigit) && !unit;
        if (!found.empty() && (unit || (open && !named))) {
            found.back() += word;
            open = false;
            continue;
        }
        found.push_back(word);
        open = named || small == "+" || small == "-" || small == "−";
    }
    return found;
}

std::string replaced(std::string text, std::string_view what, std::string_view with) {
    for (std::size_t at = text.find(what); at != std::string::npos; at = text.find(what)) {
        text.replace(at, what.size(), with);
    }
    return text;
}

Error notUnderstood(const std::string& piece, Words allowed) {
    return {"filter", text::givenWord(piece), std::move(allowed)};
}

Result<double>
inRange(const std::string& piece, double value, double lowest, double highest, const char* what) {
    if (!(value >= lowest && value <= highest)) {
        return notUnderstood(piece,
                             say(YF_WORDS("core", "%1 must be %2 to %3"),
                                 what,
                                 text::printNumber(lowest),
                                 text::printNumber(highest)));
    }
    return value;
}

Result<bool> takeAlignment(LineFilter& filter, const std::string& piece, const Word& word) {
    const std::string rest = lower(piece).substr(word.typed.size());
    const auto order = text::parseNumber(rest);
    constexpr double most = 8.0;
    if (!order || *order != std::floor(*order) || *order < 1.0 || *order > most) {
        return notUnderstood(
            piece, YF_WORDS("core", "an alignment is followed by its order, 1 to 8: LR4, BW3"));
    }
    if (!mayAlign(filter.kind)) {
        return notUnderstood(piece,
                             YF_WORDS("core", "an alignment belongs to low-, high- and all-pass"));
    }
    filter.alignment = word.alignment;
    filter.order = static_cast<int>(*order);
    return true;
}

Result<bool> takeFigure(LineFilter& filter, const std::string& piece) {
    const std::string small = lower(piece);
    if (small.front() == 'q') {
        const std::string rest = small.substr(small.find_first_not_of("q=") == std::string::npos
                                                  ? small.size()
                                                  : small.find_first_not_of("q="));
        auto Q = text::parseQuantity(rest, text::Unit::none);
        if (!Q) {
            return notUnderstood(piece, YF_WORDS("core", "a quality is a number, as in Q0.7"));
        }
        YF_TRY(good, inRange(piece, *Q, 0.05, 100.0, "Q"));
        filter.Q = good;
        filter.alignment.reset();
        return true;
    }
    const bool decibels = small.ends_with("db");
    const bool sign = small.front() == '+' || small.front() == '-';
    if (decibels || sign) {
        if (!filter.hasGain()) {
            return notUnderstood(piece, YF_WORDS("core", "a gain belongs to peaks and shelves"));
        }
        const std::string bare = small.front() == '+' ? small.substr(1) : small;
        auto gain = text::parseQuantity(bare, text::Unit::decibel);
        if (!gain) {
            return notUnderstood(piece,
                                 YF_WORDS("core", "a gain is a number of decibels, as in -3 dB"));
        }
        YF_TRY(good, inRange(piece, *gain, -60.0, 60.0, YF_WORDS("core", "a gain in dB")));
        filter.gain = good;
        return true;
    }
    auto f0 = text::parseQuantity(piece, text::Unit::hertz);
    if (!f0) {
        return notUnderstood(piece,
                             YF_WORDS("core",
                                      "must be a frequency (2k5), a quality (Q0.7), a gain (-3 dB) "
                                      "or an alignment (LR4)"));
    }
    YF_TRY(good, inRange(piece, *f0, 1.0, 100000.0, YF_WORDS("core", "a frequency in Hz")));
    filter.f0 = good;
    return true;
}

std::string signedDecibels(double gain) {
    return (gain < 0.0 ? "−" : "+") + text::printSignificant(std::abs(gain), 3) +
           std::string(text::thinSpace) + "dB";
}

} // namespace

std::optional<Error> check(const LineFilter& filter) {
    if (!filter.alignment) {
        return std::nullopt;
    }
    if (!mayAlign(filter.kind)) {
        return Error{"alignment",
                     "given",
                     YF_WORDS("core", "belongs to kinds low-pass, high-pass and all-pass")};
    }
    if (*filter.alignment == Alignment::linkwitzRiley && filter.order % 2 == 1) {
        return Error{"order",
                     text::given(std::to_string(filter.order)),
                     YF_WORDS("core", "Linkwitz-Riley is even only")};
    }
    return std::nullopt;
}

std::vector<Complex> transfer(const LineFilter& filter, const std::vector<double>& frequencies) {
    std::vector<Complex> H;
    H.reserve(frequencies.size());
    const Polynomial D = filter.alignment ? denominator(filter) : Polynomial{};
    for (const double f : frequencies) {
        H.push_back(filter.alignment ? aligned(filter, D, f) : section(filter, f));
    }
    return H;
}

std::vector<Complex> transfer(const Line& line, const std::vector<double>& frequencies) {
    std::vector<Complex> H;
    H.reserve(frequencies.size());
    const double gain = quantity::gain(line.gain);
    for (const double f : frequencies) {
        H.push_back(std::polar(gain, -2.0 * std::numbers::pi * f * line.delay));
    }
    for (const LineFilter& filter : line.filters) {
        const auto one = transfer(filter, frequencies);
        for (std::size_t k = 0; k < H.size(); ++k) {
            H[k] *= one[k];
        }
    }
    return H;
}

std::string words(const LineFilter& filter) {
    static constexpr std::string_view names[] = {"low-pass",
                                                 "high-pass",
                                                 "all-pass",
                                                 "peak",
                                                 YF_WORDS("core", "low shelf"),
                                                 YF_WORDS("core", "high shelf")};
    return std::string(names[static_cast<std::size_t>(filter.kind)]) + " " + figuresOf(filter);
}

std::string figuresOf(const LineFilter& filter) {
    static constexpr std::string_view alignments[] = {"BW", "LR", "bessel ", "chebyshev "};
    std::string said = text::printEngineering(filter.f0, "Hz", 4);
    if (filter.hasGain()) {
        said += " " + signedDecibels(filter.gain);
    }
    if (filter.alignment) {
        said += " " + std::string(alignments[static_cast<std::size_t>(*filter.alignment)]) +
                std::to_string(filter.order);
    } else {
        said += " Q" + text::printSignificant(filter.Q, 3);
    }
    return said;
}

Result<LineFilter> typedFilter(const LineFilter& old, const std::string& text) {
    // As printed, it can be typed: minus sign and thin space are what a keyboard has for them.
    const auto typed = pieces(replaced(replaced(text, "−", "-"), text::thinSpace, " "));
    if (typed.empty()) {
        return Error{"filter",
                     YF_WORDS("core", "nothing is written"),
                     YF_WORDS("core", "must be figures such as 2k5 LR4, or Q0.7")};
    }
    LineFilter filter = old;
    for (const std::string& piece : typed) {
        const std::string small = lower(piece);
        const auto word = std::ranges::find_if(
            alignmentWords, [&](const Word& w) { return small.starts_with(w.typed); });
        YF_TRY(taken,
               word != alignmentWords.end() ? takeAlignment(filter, piece, *word)
                                            : takeFigure(filter, piece));
        static_cast<void>(taken);
    }
    if (auto error = check(filter)) {
        return Error{"filter", error->given, error->allowed};
    }
    return filter;
}

} // namespace yf::network
