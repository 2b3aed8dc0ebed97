// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>

class QApplication;

namespace yf::app {

/// Sets the language of the window and the form of its numbers: "de", "en", or empty for the
/// system's. Call before the first window; files keep their point whatever is chosen.
void useLanguage(QApplication& application, const QString& id);

} // namespace yf::app
