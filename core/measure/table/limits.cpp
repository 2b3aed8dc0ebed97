// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/limits.h"

#include "core/text/number.h"

#include <cmath>

namespace yf::measure {

std::optional<Words> beyondLimits(double frequency, double value, bool impedance) {
    if (!(frequency >= lowestFrequency && frequency <= highestFrequency)) {
        return say(YF_WORDS("core", "%1 Hz; a frequency must be 0.001 to 10000000"),
                   text::printNumber(frequency));
    }
    if (impedance && !(value > 0.0)) {
        return say(YF_WORDS("core", "%1 ohms; an impedance must be above 0"),
                   text::printNumber(value));
    }
    if (impedance && !(value >= smallestOhms && value <= largestOhms)) {
        return say(YF_WORDS("core", "%1 ohms; an impedance must be 0.0001 to 1000000"),
                   text::printNumber(value));
    }
    if (!impedance && !(std::abs(value) <= widestLevel)) {
        return say(YF_WORDS("core", "%1 dB; a level must lie within ±300 dB"),
                   text::printNumber(value));
    }
    return std::nullopt;
}

Result<ImportedTable> withinLimits(ImportedTable table) {
    const bool impedance = table.magnitudes.has_value();
    const std::vector<double>& values = impedance ? *table.magnitudes : *table.levels;
    for (std::size_t i = 0; i < table.frequencies.size(); ++i) {
        if (auto wrong = beyondLimits(table.frequencies[i], values[i], impedance)) {
            return Error{
                "text", say(YF_WORDS("core", "value %1: %2"), std::to_string(i + 1), *wrong), ""};
        }
        if (table.phases && !(std::abs((*table.phases)[i]) < 1e6)) {
            return Error{"text",
                         say(YF_WORDS("core", "value %1: %2"),
                             std::to_string(i + 1),
                             YF_WORDS("core", "its phase is no angle")),
                         ""};
        }
    }
    return table;
}

} // namespace yf::measure
