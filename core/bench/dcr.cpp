// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/dcr.h"

#include "core/base/median.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <limits>

namespace yf::bench {

namespace {

constexpr double copper = 0.00393; // per kelvin at 20 °C
constexpr double spreadLimit = 0.05;
constexpr double twinLimit = 0.10;
constexpr double throughNetwork = 1.0; // Ω

using Readings = std::vector<std::optional<double>>;

Result<Readings> readingsOf(const DcrRequest& r) {
    const int ways = (r.reading ? 1 : 0) + (r.readings.empty() ? 0 : 1) + (r.overRange ? 1 : 0);
    if (ways == 0) {
        return Error{"reading_ohm",
                     "missing",
                     YF_WORDS("core", "give reading_ohm, readings_ohm or over_range")};
    }
    if (ways > 1) {
        return Error{"reading_ohm",
                     YF_WORDS("core", "more than one kind of reading given"),
                     YF_WORDS("core", "give one of reading_ohm, readings_ohm and over_range")};
    }
    if (r.overRange) {
        return Readings{std::nullopt};
    }
    return r.reading ? Readings{*r.reading} : r.readings;
}

DcrClass byNominal(double dcr, const DcrRequest& r) {
    const double nominal = r.nominal;
    const double above = r.place == Place::cabinet ? throughNetwork : 0.0;
    if (dcr < 0.10 * nominal) {
        return DcrClass::isShorted;
    }
    if (dcr < 0.60 * nominal) {
        return DcrClass::low;
    }
    if (dcr < 0.70 * nominal) {
        return DcrClass::slightlyLow;
    }
    if (dcr <= 1.15 * nominal + above) {
        return DcrClass::normal;
    }
    if (dcr <= 1.30 * nominal + above) {
        return DcrClass::slightlyHigh;
    }
    return dcr <= 10.0 * nominal + above ? DcrClass::high : DcrClass::open;
}

DcrClass withTwin(DcrClass kind, double deviation) {
    if (kind != DcrClass::slightlyLow && kind != DcrClass::normal &&
        kind != DcrClass::slightlyHigh) {
        return kind;
    }
    if (deviation < -twinLimit) {
        return DcrClass::lowAgainstTwin;
    }
    if (deviation > twinLimit) {
        return DcrClass::highAgainstTwin;
    }
    return DcrClass::normal; // an unusual design, but both of the pair have it
}

std::vector<std::string> suspectsOf(DcrClass kind, Place place) {
    switch (kind) {
    case DcrClass::isShorted:
    case DcrClass::low:
    case DcrClass::lowAgainstTwin:
        return {"shorted_turns", "wrong_driver"};
    case DcrClass::high:
    case DcrClass::highAgainstTwin:
        return place == Place::cabinet
                   ? std::vector<std::string>{"dirty_contact", "broken_lead_in", "wrong_driver"}
                   : std::vector<std::string>{"broken_lead_in", "wrong_driver"};
    case DcrClass::open:
        return place == Place::cabinet ? std::vector<std::string>{"protector_open",
                                                                  "capacitor_open",
                                                                  "wiring_open",
                                                                  "open_coil"}
                                       : std::vector<std::string>{"open_coil", "broken_lead_in"};
    case DcrClass::drifting:
        return {"broken_lead_in", "dirty_contact"};
    case DcrClass::slightlyLow:
    case DcrClass::normal:
    case DcrClass::slightlyHigh:
        return {};
    }
    return {};
}

std::string nextOf(DcrClass kind, Place place) {
    switch (kind) {
    case DcrClass::open:
        return place == Place::cabinet ? "protector" : "battery_pop";
    case DcrClass::drifting:
        return "look_smell"; // the lead-ins, while the cone is moved
    case DcrClass::high:
    case DcrClass::highAgainstTwin:
        return place == Place::cabinet ? "cable_contacts" : "lcr";
    default:
        return "lcr"; // good ohms do not exclude shorted turns
    }
}

} // namespace

Result<DcrJudgement> dcr(const DcrRequest& r) {
    YF_TRY(readings, readingsOf(r));
    const double above = r.place == Place::cabinet ? throughNetwork : 0.0;
    DcrJudgement out;
    out.expectedLow = 0.70 * r.nominal;
    out.expectedHigh = 1.15 * r.nominal + above;
    std::vector<double> numbers;
    for (const auto& reading : readings) {
        if (reading) {
            if (*reading < r.leads) {
                return Error{"lead_ohm",
                             text::given(text::printNumber(r.leads)),
                             say(YF_WORDS("core", "must be at most the reading, %1"),
                                 text::printNumber(*reading))};
            }
            numbers.push_back(*reading);
        }
    }
    if (numbers.empty()) {
        out.kind = DcrClass::open;
        out.sure = true;
    } else {
        const double shown = median(numbers);
        const double at20 = 1.0 + copper * (r.temperature - 20.0);
        const double value = (shown - r.leads) / at20;
        const auto [lowest, highest] = std::ranges::minmax(numbers);
        const bool drifting = numbers.size() < readings.size() ||
                              highest - lowest > spreadLimit * std::max(shown - r.leads, 1e-12);
        const double u = r.meterError * shown + 2.0 * r.resolution;
        const auto judge = [&](double ohms) {
            const DcrClass kind = byNominal(ohms, r);
            if (kind == DcrClass::open) {
                return kind;
            }
            if (drifting) {
                return DcrClass::drifting;
            }
            return r.twin ? withTwin(kind, ohms / *r.twin - 1.0) : kind;
        };
        out.kind = judge(value);
        out.sure = judge(std::max(value - u, 0.0)) == out.kind && judge(value + u) == out.kind;
        out.u = u;
        out.ratio = value / r.nominal;
        if (r.twin) {
            out.twinDeviation = value / *r.twin - 1.0;
        }
        if (out.kind != DcrClass::open) {
            out.dcr = value;
        }
    }
    out.suspects = suspectsOf(out.kind, r.place);
    out.next = nextOf(out.kind, r.place);
    return out;
}

std::string dcrOutcome(DcrClass kind) {
    switch (kind) {
    case DcrClass::open:
        return "open";
    case DcrClass::isShorted:
    case DcrClass::low:
    case DcrClass::lowAgainstTwin:
        return "low";
    case DcrClass::high:
    case DcrClass::highAgainstTwin:
        return "high";
    case DcrClass::drifting:
        return "drifting";
    case DcrClass::slightlyLow:
    case DcrClass::normal:
    case DcrClass::slightlyHigh:
        return "normal";
    }
    return "normal";
}

} // namespace yf::bench
