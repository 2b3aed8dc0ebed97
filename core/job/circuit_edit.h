// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/edit.h"

#include <functional>

/// Edits that exchange one cabinet's circuit.
namespace yf::job {

using CircuitChange = std::function<Result<network::Circuit>(const network::Circuit&)>;

/// Fails where the job has no such cabinet, or with what `change` says.
[[nodiscard]] Result<Job>
withCircuit(const Job& job, const std::string& cabinet, const CircuitChange& change);

[[nodiscard]] Edit circuitEdit(const std::string& cabinet,
                               std::string name,
                               CircuitChange change,
                               std::string mergeKey = {});

} // namespace yf::job
