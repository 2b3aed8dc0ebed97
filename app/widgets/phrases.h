// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <span>

namespace yf::app {

/// Forms of the core's sentences that have places (%1, %2 …), for translation; the more telling
/// ones first. Sentences without places are marked where they stand (core/text/words.h).
[[nodiscard]] std::span<const char* const> phrases();

} // namespace yf::app
