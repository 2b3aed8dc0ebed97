// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantity.h"

/// Kinds that every room above speaks of.
namespace yf::quantity {

/// What a driver is for.
enum class DriverRole { woofer, midrange, tweeter };

inline constexpr Choice<3> driverRole{
    "role", {"woofer", "midrange", "tweeter"}, "what the driver is for", {}};

/// The plane in which an angle off the axis lies.
enum class Plane { horizontal, vertical };

inline constexpr Choice<2> plane{"plane", {"horizontal", "vertical"}, "of the angle", {}};

/// What a source radiates into.
enum class Space { half, full };

inline constexpr Choice<2> space{"space", {"half", "full"}, "radiated into", 0};

} // namespace yf::quantity
