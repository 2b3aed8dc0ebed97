// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/study/box.h"

#include <QString>

namespace yf::app {

/// A driver's box as all pages of the stage look at it.
struct BoxSight {
    const Sight& sight;
    const job::Cabinet& cabinet;
    const job::Enclosure& enclosure;
    const evaluation::BoxResult& result;
};

[[nodiscard]] QString kindWords(box::Kind kind);

/// In the order of box::Kind.
[[nodiscard]] QStringList allKindWords();

[[nodiscard]] QString litres(double volume);
[[nodiscard]] QString hertz(double f);
[[nodiscard]] QString centimetres(double length);
[[nodiscard]] QString decibels(double level);

/// What cone and air do at a frequency, and why.
[[nodiscard]] QString motionWords(const evaluation::BoxResult& result, double f);

/// "36.4 l = 39.9 inside − driver 1.5 − port 0.5 …"
[[nodiscard]] QString volumeWords(const job::BoxVolumes& volumes);

/// "f3 41 Hz (38 to 45), peak 1.2 dB, …"
[[nodiscard]] QString summaryWords(const evaluation::BoxResult& result);

} // namespace yf::app
