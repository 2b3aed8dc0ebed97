// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/jig_standards.h"

#include "core/text/fields.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::driver {

namespace {

using curve::Complex;

/// Mean over the octaves where every jig is a plain divider.
Complex middle(const Ratios& r) {
    Complex sum{};
    double count = 0.0;
    for (std::size_t i = 0; i < r.frequencies.size(); ++i) {
        if (r.frequencies[i] >= 100.0 && r.frequencies[i] <= 1000.0) {
            sum += r.ratio[i];
            count += 1.0;
        }
    }
    return count > 0.0 ? sum / count : Complex{};
}

/// One standard's lists on another axis.
struct Lists {
    const std::vector<double>& re;
    const std::vector<double>& im;
};

Ratios between(const JigStandards& s, const Lists& lists, const curve::Axis& axis) {
    Ratios r{.frequencies = axis};
    for (const double f : axis) {
        const auto above = std::ranges::upper_bound(s.frequencies, f);
        const auto i = std::clamp<std::size_t>(
            static_cast<std::size_t>(above - s.frequencies.begin()), 1, s.frequencies.size() - 1);
        const double t = std::clamp(std::log(f / s.frequencies[i - 1]) /
                                        std::log(s.frequencies[i] / s.frequencies[i - 1]),
                                    0.0,
                                    1.0);
        r.ratio.emplace_back((1.0 - t) * lists.re[i - 1] + t * lists.re[i],
                             (1.0 - t) * lists.im[i - 1] + t * lists.im[i]);
        r.noise.push_back(0.0);
    }
    return r;
}

} // namespace

const curve::Axis& standardAxis() {
    static const curve::Axis axis = [] {
        constexpr std::size_t step = 6;
        curve::Axis sparse;
        for (std::size_t k = 0; k < curve::designAxis().size(); k += step) {
            sparse.push_back(curve::designAxis()[k]);
        }
        return sparse;
    }();
    return axis;
}

Result<JigStandards> withStandard(const std::optional<JigStandards>& known,
                                  Standard which,
                                  const Ratios& read,
                                  double sense,
                                  double load) {
    const Complex H = middle(read);
    const double size = std::abs(H);
    const Words given =
        say(YF_WORDS("core", "reads %1 of the source"), text::printSignificant(size, 2));
    constexpr double openAtLeast = 0.9;
    constexpr double shortAtMost = 0.3;
    constexpr double loadWithin = 1.0 / 3.0;
    if (which == Standard::open && size < openAtLeast) {
        return Error{
            YF_WORDS("core", "open"), given, YF_WORDS("core", "is something still in the clips?")};
    }
    if (which == Standard::shorted && size > shortAtMost) {
        return Error{YF_WORDS("core", "short"), given, YF_WORDS("core", "do the clips touch?")};
    }
    if (which == Standard::load) {
        const double seen = sense * std::abs(H / (1.0 - H));
        if (!(std::abs(seen / load - 1.0) < loadWithin)) {
            return Error{YF_WORDS("core", "load"),
                         say(YF_WORDS("core", "reads about %1, said to be %2"),
                             text::printEngineering(seen, "Ω", 2),
                             text::printEngineering(load, "Ω")),
                         YF_WORDS("core", "check the resistor, or the sense resistor typed")};
        }
    }
    JigStandards s = known.value_or(JigStandards{});
    if (s.frequencies != read.frequencies) {
        s = JigStandards{.frequencies = read.frequencies};
    }
    auto& re = which == Standard::open      ? s.opensRe
               : which == Standard::shorted ? s.shortsRe
                                            : s.loadsRe;
    auto& im = which == Standard::open      ? s.opensIm
               : which == Standard::shorted ? s.shortsIm
                                            : s.loadsIm;
    re.clear();
    im.clear();
    for (const Complex& v : read.ratio) {
        re.push_back(v.real());
        im.push_back(v.imag());
    }
    if (which == Standard::load) {
        s.load = load;
    }
    return s;
}

bool complete(const JigStandards& s) {
    const std::size_t count = s.frequencies.size();
    return count >= 2 && s.load > 0.0 &&
           std::ranges::all_of(std::array{&s.opensRe, &s.shortsRe, &s.loadsRe},
                               [&](const auto* list) { return list->size() == count; });
}

std::string writeStandards(const JigStandards& standards) {
    return text::writeJson(text::write(standards));
}

Result<JigStandards> readStandards(const std::string& text) {
    YF_TRY(value, text::parseJson(text));
    YF_TRY(standards, text::read<JigStandards>(value, ""));
    const std::size_t count = standards.frequencies.size();
    if (count < 2) {
        return Error{"frequencies_hz",
                     text::given(std::to_string(count)),
                     YF_WORDS("core", "must be 2 or more")};
    }
    for (const auto* list : {&standards.opensRe,
                             &standards.opensIm,
                             &standards.shortsRe,
                             &standards.shortsIm,
                             &standards.loadsRe,
                             &standards.loadsIm}) {
        if (list->size() != count) {
            return Error{"jig_table",
                         say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                             std::to_string(list->size()),
                             std::to_string(count)),
                         ""};
        }
    }
    return standards;
}

StandardTakes onAxis(const JigStandards& s, const curve::Axis& axis) {
    return {.open = between(s, {s.opensRe, s.opensIm}, axis),
            .shorted = between(s, {s.shortsRe, s.shortsIm}, axis),
            .load = between(s, {s.loadsRe, s.loadsIm}, axis),
            .loadOhms = s.load};
}

} // namespace yf::driver
