// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/sim/specimen.h"

#include <optional>
#include <string>

namespace yf::demo {

/// The demo's driver of that id as something that simulated meters can be put to; nothing for a
/// driver that the demo does not have.
[[nodiscard]] std::optional<sim::Specimen> onTheBench(const std::string& driver);

} // namespace yf::demo
