// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/dcr.h"
#include "core/edit/parts.h"

namespace yf::edit {

/// What a battery, plus to plus, or a comparison by ear showed.
enum class Direction { notTried, out, in, notSeen };

enum class Bass { notTried, fullerAsItIs, fullerReversed };

/// The battery on a driver's lugs, or at its cabinet's terminals while this driver is watched.
[[nodiscard]] Edit noteDirection(const std::string& cabinet,
                                 const std::string& driver,
                                 bench::Place place,
                                 Direction direction,
                                 const std::string& at);

/// The battery at a cabinet's terminals.
[[nodiscard]] Edit
noteDirection(const std::string& cabinet, Direction direction, const std::string& at);

/// Two cabinets, or the two sides (no cabinet) face to face, one of them reversed for the moment.
[[nodiscard]] Edit noteBass(const std::string& cabinet, Bass bass, const std::string& at);

} // namespace yf::edit
