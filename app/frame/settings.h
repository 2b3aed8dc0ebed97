// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/theme/theme.h"

#include <QString>

/// What a person chose for the program, not for a job.
namespace yf::app::settings {

[[nodiscard]] ThemeName theme();
void setTheme(ThemeName name);

/// Per cent, 100 to 200; read before the application is made.
[[nodiscard]] int scale();
void setScale(int percent);

/// "de", "en", or empty: as the system has it.
[[nodiscard]] QString language();
void setLanguage(const QString& id);

} // namespace yf::app::settings
