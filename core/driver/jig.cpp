// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/jig.h"

#include "core/measure/inputs.h"

#include <cmath>

namespace yf::driver {

using curve::Complex;

JigReading read(const Jig& jig, Complex ratio, const std::optional<Standards>& standards) {
    constexpr double beyond = 0.98;
    Complex Z;
    if (standards) {
        const Standards& s = *standards;
        // Open reads as far from the short as the jig can: nearer to it than 2 % is beyond.
        if (std::abs(s.open - ratio) < (1.0 - beyond) * std::abs(s.open - s.shorted)) {
            return {};
        }
        Z = s.loadOhms * (ratio - s.shorted) * (s.open - s.load) /
            ((s.open - ratio) * (s.load - s.shorted));
    } else {
        const Complex H = ratio / jig.gain;
        if (std::abs(H) > beyond) {
            return {};
        }
        Z = jig.sense * H / (1.0 - H);
        if (jig.input) {
            Z = 1.0 / (1.0 / Z - 1.0 / *jig.input);
        }
        Z -= jig.lead;
    }
    const double size = std::abs(Z);
    constexpr double least = 1e-6;
    if (size < least) {
        return {Z, std::nullopt};
    }
    const double back = std::norm(1.0 + Z / jig.sense);
    const double forth = std::norm(1.0 + jig.sense / Z);
    const double u =
        std::sqrt(jig.senseU * jig.senseU +
                  back * (jig.gainU * jig.gainU + jig.noise * jig.noise * (1.0 + forth)) +
                  jig.leadU * jig.leadU / (size * size));
    return {Z, u};
}

std::optional<Error> check(const JigRequest& r) {
    const std::size_t count = r.frequencies.size();
    if (count == 0) {
        return Error{"frequencies_hz", "empty", "must be one or more"};
    }
    if (auto error = measure::checkRising(r.frequencies, "frequencies_hz")) {
        return error;
    }
    const auto wrong = [&](const char* key, std::size_t given) {
        return Error{key,
                     say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                         std::to_string(given),
                         std::to_string(count)),
                     ""};
    };
    if (r.ratiosRe.size() != count) {
        return wrong("ratios_re", r.ratiosRe.size());
    }
    if (r.ratiosIm.size() != count) {
        return wrong("ratios_im", r.ratiosIm.size());
    }
    using List = std::optional<std::vector<double>>;
    const std::pair<const char*, const List*> lists[] = {{"gains_re", &r.gainsRe},
                                                         {"gains_im", &r.gainsIm},
                                                         {"opens_re", &r.opensRe},
                                                         {"opens_im", &r.opensIm},
                                                         {"shorts_re", &r.shortsRe},
                                                         {"shorts_im", &r.shortsIm},
                                                         {"loads_re", &r.loadsRe},
                                                         {"loads_im", &r.loadsIm}};
    for (const auto& [key, list] : lists) {
        if (*list && (*list)->size() != count) {
            return wrong(key, (*list)->size());
        }
    }
    if (r.gainsRe.has_value() != r.gainsIm.has_value()) {
        return Error{r.gainsRe ? "gains_im" : "gains_re", "missing", "gains need both parts"};
    }
    const bool any =
        r.load || r.opensRe || r.opensIm || r.shortsRe || r.shortsIm || r.loadsRe || r.loadsIm;
    for (std::size_t i = 2; any && i < std::size(lists); ++i) {
        if (!*lists[i].second) {
            return Error{
                lists[i].first, "missing", "open, short and load are given together or not at all"};
        }
    }
    if (any && !r.load) {
        return Error{"load_ohm", "missing", "open, short and load need it"};
    }
    return std::nullopt;
}

Result<JigAnswer> jigVerb(const JigRequest& r) {
    JigAnswer a{.frequencies = r.frequencies, .method = r.load ? "open_short_load" : "divider"};
    for (std::size_t i = 0; i < r.frequencies.size(); ++i) {
        const Jig jig{.sense = r.sense,
                      .input = r.input,
                      .gain = r.gainsRe ? Complex{(*r.gainsRe)[i], (*r.gainsIm)[i]} : Complex{1.0},
                      .lead = r.lead,
                      .senseU = r.senseU,
                      .gainU = r.gainU,
                      .noise = r.noise,
                      .leadU = r.leadU};
        std::optional<Standards> standards;
        if (r.load) {
            standards = Standards{{(*r.opensRe)[i], (*r.opensIm)[i]},
                                  {(*r.shortsRe)[i], (*r.shortsIm)[i]},
                                  {(*r.loadsRe)[i], (*r.loadsIm)[i]},
                                  *r.load};
        }
        const JigReading reading = read(jig, {r.ratiosRe[i], r.ratiosIm[i]}, standards);
        if (!reading.Z || !std::isfinite(std::abs(*reading.Z))) {
            a.beyond.push_back(r.frequencies[i]);
            a.re.emplace_back();
            a.im.emplace_back();
            a.moduli.emplace_back();
            a.phases.emplace_back();
            a.u.emplace_back();
            continue;
        }
        a.re.emplace_back(reading.Z->real());
        a.im.emplace_back(reading.Z->imag());
        a.moduli.emplace_back(std::abs(*reading.Z));
        a.phases.emplace_back(std::arg(*reading.Z));
        a.u.push_back(reading.u);
    }
    return a;
}

} // namespace yf::driver
