// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/find/finder.h"

namespace yf::find {

/// The yardstick: Linkwitz-Riley of fourth order out of the book, as a patient hand would trim it.
///
/// Crossings in the middle of their bands, loads |Z| at them, L-pads to the least sensitive way,
/// every polarity; then one part after the other by single steps of the series (E12 unless the
/// plan has one), the step that helps most first, until none helps or two hundred are done. The
/// same goal, floor and limits count as for the search.
/// `goOn` is asked before every step of a part; false ends it where it is.
[[nodiscard]] Point byHand(const Plan& plan, const std::function<bool()>& goOn = {});

} // namespace yf::find
