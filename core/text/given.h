// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/words.h"

/// What most errors say of what they found.
namespace yf::text {

/// "-0.4 given": a figure, or a kind of value.
[[nodiscard]] Words given(const Words& found);

/// "'fs2' given": a word, in quotes.
[[nodiscard]] Words givenWord(const Words& word);

} // namespace yf::text
