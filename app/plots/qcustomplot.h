// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

// qcustomplot.h uses the short keywords that QT_NO_KEYWORDS forbids: they exist only in here.
#pragma push_macro("signals")
#pragma push_macro("slots")
#pragma push_macro("foreach")
#pragma push_macro("emit")
#define signals Q_SIGNALS
#define slots Q_SLOTS
#define foreach Q_FOREACH
#define emit
#pragma GCC diagnostic push
#pragma GCC diagnostic ignored "-Wall"
#pragma GCC diagnostic ignored "-Wextra"
#include <qcustomplot.h>
#pragma GCC diagnostic pop
#pragma pop_macro("signals")
#pragma pop_macro("slots")
#pragma pop_macro("foreach")
#pragma pop_macro("emit")
