// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/with_limits.h"

#include "app/widgets/words.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::app {

QString plainOrPrefixed(double value, const char* unit, int digits) {
    return figures(*unit == '\0' ? text::printSignificant(value, digits)
                                 : text::printEngineering(value, unit, digits));
}

QString withLimits(double value, double u, const char* unit) {
    const double limits = quantity::coverage95 * u * value;
    const int digits =
        limits > 0.0 ? std::clamp(static_cast<int>(std::ceil(std::log10(value / limits))) + 1, 2, 5)
                     : 4;
    return QStringLiteral("%1 ± %2").arg(
        plainOrPrefixed(value, unit, digits),
        figures(text::printSignificant(100.0 * quantity::coverage95 * u, 2)) +
            QStringLiteral("\u202F%"));
}

} // namespace yf::app
