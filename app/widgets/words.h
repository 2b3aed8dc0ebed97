// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/words.h"

#include <QString>

#include <string>
#include <string_view>

namespace yf::app {

/// The core speaks UTF-8 in std::string, the window QString. Names and what people wrote.
[[nodiscard]] inline QString words(std::string_view utf8) {
    return QString::fromUtf8(utf8.data(), static_cast<qsizetype>(utf8.size()));
}

/// A text of figures from the core ("3.31 Ω at 2.1 kHz") with the decimal sign of the user's
/// locale. Files and the command line keep the point.
[[nodiscard]] QString figures(std::string_view utf8);

/// A text of the core in the window's language, its figures with the locale's decimal sign: each
/// form is looked up by its English, and its places are filled with the arguments, spoken in turn.
/// What no list of translations holds (a name, a figure) stays as it is.
[[nodiscard]] QString spoken(const Words& text);

} // namespace yf::app
