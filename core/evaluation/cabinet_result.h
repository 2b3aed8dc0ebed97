// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/inputs.h"

namespace yf::evaluation {

/// Ways, load, sum and corridor of one cabinet; its boxes are left to evaluateBoxes.
[[nodiscard]] CabinetResult evaluateCabinet(const CabinetInputs& in);

} // namespace yf::evaluation
