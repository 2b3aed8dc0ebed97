// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/parts/part_words.h"

#include "core/text/number.h"

namespace yf::network {

std::string valueText(PartKind kind, double value, int digits) {
    static constexpr std::string_view units[] = {"Ω", "H", "F"};
    const auto index = static_cast<std::size_t>(kind);
    // The trade writes 0.35 mH and 0.47 µF where pure engineering style would say 350 µH, 470 nF.
    const double shown = value / customaryUnit(kind);
    constexpr double least = 0.01;
    constexpr double most = 1000.0;
    if (kind != PartKind::resistor && shown >= least && shown < most) {
        static constexpr std::string_view customary[] = {"Ω", "mH", "µF"};
        return text::printSignificant(shown, digits) + std::string(text::thinSpace) +
               std::string(customary[index]);
    }
    return text::printEngineering(value, units[index], digits);
}

std::optional<Words> questionAbout(const Part& part) {
    const ValueRange usual = usualValues(part.kind);
    if (part.value >= usual.lowest && part.value <= usual.highest) {
        return std::nullopt;
    }
    return say(YF_WORDS("core", "%1: %2 is far outside what networks use (%3 to %4)."),
               part.id,
               valueText(part.kind, part.value),
               valueText(part.kind, usual.lowest),
               valueText(part.kind, usual.highest));
}

} // namespace yf::network
