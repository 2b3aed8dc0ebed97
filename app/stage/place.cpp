// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/stage/place.h"

namespace yf::app {

std::optional<Place> Place::read(const QString& text) {
    const QStringList steps = text.split(u':');
    Place place{.stage = steps.value(0), .page = steps.value(1), .subjects = steps.mid(2)};
    if (place.page == QLatin1String("part")) {
        place.page.clear();
    } else if (place.page == QLatin1String("frequency")) {
        place.page.clear();
        bool isNumber = false;
        place.frequency = place.subject().toDouble(&isNumber);
        if (!isNumber || !(*place.frequency > 0.0)) {
            return std::nullopt;
        }
        place.subjects.clear();
    }
    return place;
}

} // namespace yf::app
