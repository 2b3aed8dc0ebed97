// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/apply.h"

#include <functional>

/// Edits that exchange one cabinet's circuit.
namespace yf::edit {

using CircuitChange = std::function<Result<network::Circuit>(const network::Circuit&)>;

/// Fails where the job has no such cabinet, or with what `change` says.
[[nodiscard]] Result<job::Job>
withCircuit(const job::Job& job, const std::string& cabinet, const CircuitChange& change);

[[nodiscard]] Edit circuitEdit(const std::string& cabinet,
                               Words name,
                               CircuitChange change,
                               std::string mergeKey = {});

} // namespace yf::edit
