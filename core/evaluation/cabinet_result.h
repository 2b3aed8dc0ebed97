// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/inputs.h"

namespace yf::evaluation {

/// Ways, load, sum and corridor of one cabinet. Boxes, neighbours and wiring, which depend on more
/// than these inputs, are added by evaluate.
[[nodiscard]] CabinetResult evaluateCabinet(const CabinetInputs& in);

} // namespace yf::evaluation
