// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/report/line.h"

#include <algorithm>

namespace yf::report {

namespace {

using text::printEngineering;
using text::printFixed;

const std::string space{text::thinSpace};

Figure sensitivity(const evaluation::CabinetResult& result) {
    if (!result.sensitivity) {
        return {YF_WORDS("core", "sensitivity"),
                YF_WORDS("core", "no level yet"),
                result.missing.empty() ? YF_WORDS("core", "The data do not cover 200 Hz to 4 kHz.")
                                       : result.missing.front()};
    }
    return {
        "sensitivity",
        printFixed(*result.sensitivity, 1) + space + "dB",
        YF_WORDS(
            "core",
            "Energy mean of the sum over 200 Hz to 4 kHz for 2.83 V at the takes' distance, from "
            "measured curves; as sure as their level calibration, which the tables do not state.")};
}

Figure impedance(const evaluation::CabinetResult& result) {
    if (!result.leastImpedance) {
        return {YF_WORDS("core", "impedance"),
                YF_WORDS("core", "no load yet"),
                result.missing.empty() ? YF_WORDS("core", "No impedance.")
                                       : result.missing.front()};
    }
    return {"impedance",
            impedanceText(*result.leastImpedance),
            YF_WORDS("core",
                     "Least impedance at the amplifier's terminals between 20 Hz and 20 kHz, "
                     "searched between the points too; it may fall by about a tenth when coils and "
                     "parts lie at the ends of their tolerances.")};
}

Figure corridor(const evaluation::CabinetResult& result) {
    if (!result.corridor) {
        return {YF_WORDS("core", "corridor"),
                YF_WORDS("core", "no sum yet"),
                result.missing.empty()
                    ? YF_WORDS("core", "The corridor's range holds no trusted data.")
                    : result.missing.front()};
    }
    const evaluation::CorridorResult& c = *result.corridor;
    return {"corridor",
            "±" + printFixed(c.deviation, 1) + space + "dB " +
                printEngineering(c.judged.from, "Hz", 2) + "–" +
                printEngineering(c.judged.to, "Hz", 2),
            say(YF_WORDS("core",
                         "Largest distance of the sum from the corridor's centre %1 dB, at %2, "
                         "unsmoothed, over the trusted part of the corridor's range."),
                printFixed(c.level, 1),
                printEngineering(c.worstAt, "Hz"))};
}

Figure parts(const evaluation::CabinetResult& result) {
    const Words count = result.parts == 1
                            ? Words(YF_WORDS("core", "1 part"))
                            : say(YF_WORDS("core", "%1 parts"), std::to_string(result.parts));
    if (result.pricedParts == 0) {
        return {YF_WORDS("core", "parts"), count, YF_WORDS("core", "No part has a price yet.")};
    }
    const std::string price = printFixed(result.price, 2);
    if (result.pricedParts == result.parts) {
        return {"parts",
                say(YF_WORDS("core", "%1, %2"), count, price),
                YF_WORDS("core", "Sum of the prices entered at the parts.")};
    }
    return {"parts",
            say(YF_WORDS("core", "%1, %2 priced: %3"),
                count,
                std::to_string(result.pricedParts),
                price),
            YF_WORDS("core", "Parts without a price are not in the sum.")};
}

} // namespace

Words impedanceText(const network::Lowest& least) {
    return say(YF_WORDS("core", "%1 at %2"),
               printFixed(least.ohms, 1) + space + "Ω",
               printEngineering(least.frequency, "Hz", 2));
}

std::string levelText(double level) {
    const std::string digits = printFixed(level, 1);
    return (digits.front() == '-' ? "\u2212" + digits.substr(1) : digits) + space + "dB";
}

std::vector<Figure> line(const evaluation::CabinetResult& result) {
    return {sensitivity(result), impedance(result), corridor(result), parts(result)};
}

} // namespace yf::report
