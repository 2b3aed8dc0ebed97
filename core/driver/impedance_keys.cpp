// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/impedance_keys.h"

#include "core/measure/inputs.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>

namespace yf::driver {

using curve::Complex;
using text::printNumber;

std::optional<Error> check(const ImpedanceKeys& keys) {
    const auto& f = keys.frequencies;
    if (f.size() < 2) {
        return Error{"frequencies_hz", text::given(std::to_string(f.size())), "must be 2 or more"};
    }
    if (auto error = measure::checkRising(f, "frequencies_hz")) {
        return error;
    }
    const bool parts = keys.re || keys.im;
    if (parts && (keys.moduli || keys.phases)) {
        return Error{
            "impedances_ohm", "given beside impedances_ohm_re or _im", "must be one form of both"};
    }
    if (parts && !(keys.re && keys.im)) {
        return Error{keys.re ? "impedances_ohm_im" : "impedances_ohm_re",
                     "missing",
                     "both parts are needed"};
    }
    if (!parts && !keys.moduli) {
        return Error{"impedances_ohm", "missing", "must be given, or impedances_ohm_re and _im"};
    }
    const std::pair<const std::optional<std::vector<double>>*, const char*> lists[] = {
        {&keys.re, "impedances_ohm_re"},
        {&keys.im, "impedances_ohm_im"},
        {&keys.moduli, "impedances_ohm"},
        {&keys.phases, "phases_deg"}};
    for (const auto& [list, key] : lists) {
        if (*list && (*list)->size() != f.size()) {
            return Error{key,
                         say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                             std::to_string((*list)->size()),
                             std::to_string(f.size())),
                         ""};
        }
    }
    for (std::size_t i = 0; parts && i < f.size(); ++i) {
        if ((*keys.re)[i] == 0.0 && (*keys.im)[i] == 0.0) {
            return Error{"impedances_ohm_re[" + std::to_string(i) + "]", "0 Ω", "must not be zero"};
        }
    }
    return std::nullopt;
}

curve::Curve toCurve(const ImpedanceKeys& keys) {
    std::vector<Complex> Z;
    for (std::size_t i = 0; i < keys.frequencies.size(); ++i) {
        if (keys.re) {
            Z.emplace_back((*keys.re)[i], (*keys.im)[i]);
        } else {
            Z.push_back(std::polar((*keys.moduli)[i], keys.phases ? (*keys.phases)[i] : 0.0));
        }
    }
    const bool phase = keys.re || keys.phases;
    return {keys.frequencies, std::move(Z), phase ? curve::Phase::common : curve::Phase::none};
}

} // namespace yf::driver
