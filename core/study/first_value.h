// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/result.h"

namespace yf::study {

/// The value that a new part starts with, so that it can be seen but upsets nothing.
///
/// From the neutral end (in the line: a wire; across the way: an open circuit) through the E6
/// values of usual networks, the first one that moves the sum by 0.1 dB somewhere in 20 Hz to
/// 20 kHz; without responses the way's own drive stands for the sum, without impedances the middle
/// of the usual values is taken. Fails: a cabinet or place that does not exist.
[[nodiscard]] Result<double> firstValue(const job::Job& job,
                                        const evaluation::Assembly& assembly,
                                        const std::string& cabinet,
                                        const network::SlotPlace& place,
                                        network::PartKind kind);

/// A new part with that value, as an edit. Fails as firstValue.
[[nodiscard]] Result<edit::Edit> insertNewPart(const job::Job& job,
                                               const evaluation::Assembly& assembly,
                                               const std::string& cabinet,
                                               const network::SlotPlace& place,
                                               network::PartKind kind);

} // namespace yf::study
