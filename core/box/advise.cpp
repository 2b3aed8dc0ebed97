// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/advise.h"

#include "core/base/words.h"
#include "core/text/number.h"

#include <array>

namespace yf::box {

namespace {

Advice fromQts(double Qts) {
    constexpr double ported = 0.4;
    constexpr double sealed = 0.7;
    return Qts < ported ? Advice::vented : Qts < sealed ? Advice::closed : Advice::open;
}

Advice fromEbp(double ebp) {
    constexpr double sealed = 50.0;
    constexpr double ported = 100.0;
    return ebp < sealed ? Advice::closed : ebp > ported ? Advice::vented : Advice::either;
}

std::string reasonFor(const Advised& a) {
    constexpr double tiny = 0.1;
    constexpr double slack = 1.0;
    if (a.Qts < tiny) {
        return YF_WORDS("core", "So strong a motor wants a horn, or a very small vented box.");
    }
    if (a.Qts > slack) {
        return YF_WORDS("core",
                        "So little damping suits only an open baffle, and that with equalising.");
    }
    if (a.byQts == Advice::vented && a.byEbp == Advice::closed) {
        return YF_WORDS("core",
                        "Qts allows a port, but fs is low for that motor: expect a large box.");
    }
    if (a.byQts == Advice::closed && a.byEbp == Advice::vented) {
        return YF_WORDS("core",
                        "Mechanical loss lifts Qts although the motor is strong: compare both "
                        "boxes by their responses.");
    }
    if (a.byQts == Advice::open && a.byEbp != Advice::closed) {
        return YF_WORDS("core",
                        "Qts is high although fs over Qes is not low: look at the mechanical "
                        "loss, and compare responses.");
    }
    if (a.byQts == Advice::open) {
        return YF_WORDS("core",
                        "The hump near fs fills part of what an open baffle loses; any box raises "
                        "Q further.");
    }
    return a.byQts == Advice::vented
               ? YF_WORDS("core",
                          "A strong motor damps the cone enough for a port to take over below.")
               : YF_WORDS("core",
                          "Closed, the Q ends near the flat one; a port would make it peak.");
}

} // namespace

std::string_view adviceName(Advice advice) {
    static constexpr std::array<std::string_view, 4> names{"vented", "closed", "open", "either"};
    return names.at(static_cast<std::size_t>(advice));
}

std::optional<Error> check(const AdviseRequest& r) {
    if (r.sourceResistance > 0.0 && !r.Re) {
        return Error{"Re_ohm", "missing", "a source resistance needs it"};
    }
    return std::nullopt;
}

Result<Advised> advise(const AdviseRequest& r) {
    const double Qes = r.Re ? r.Qes * (*r.Re + r.sourceResistance) / *r.Re : r.Qes;
    Advised a{.Qts = r.Qms * Qes / (r.Qms + Qes), .ebp = r.fs / r.Qes};
    a.byQts = fromQts(a.Qts);
    a.byEbp = fromEbp(a.ebp);
    a.agree = a.byQts == a.byEbp || (a.byEbp == Advice::either && a.byQts != Advice::open);
    a.advice = a.byQts;
    a.reason = reasonFor(a);
    return a;
}

} // namespace yf::box
