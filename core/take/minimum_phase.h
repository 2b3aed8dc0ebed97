// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/measurement.h"

namespace yf::take {

/// A driver's measurement in use gets the minimum phase of its levels, as a new measurement: for
/// one that came without phase. Computed here, so that the edit only joins it to the job. Fails: an
/// unknown driver, or one that has no measurement of that kind.
[[nodiscard]] Result<edit::Edit>
useMinimumPhase(const job::Job& job, const std::string& driver, job::TakeKind kind);

} // namespace yf::take
