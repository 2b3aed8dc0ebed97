// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/memory.h"
#include "core/network/solve/network.h"

namespace yf::evaluation {

/// Measured curves made ready: brought onto one axis for each cabinet, drivers that were moved
/// carried on, resonances and parameters read. What `memory` holds is not made again: fits take
/// tens of milliseconds each.
[[nodiscard]] Assembly assemble(const job::Job& job, Memory& memory);
[[nodiscard]] Assembly assemble(const job::Job& job);

/// A cabinet with its drivers' measured curves as a `network` object for the command line.
/// Fails naming the driver that has no impedance, or some of whose responses are missing.
[[nodiscard]] Result<network::Network> networkOf(const job::Job& job, const job::Cabinet& cabinet);

/// The curves of a cabinet in the job's order. Fails: an unknown cabinet, or one without
/// impedances.
[[nodiscard]] Result<std::shared_ptr<const AssembledCabinet>>
curvesOf(const job::Job& job, const job::Cabinet& cabinet, const Assembly& assembly);

/// The cabinet's network with its drivers, for a netlist. Fails as curvesOf.
[[nodiscard]] Result<network::Network>
networkOf(const job::Job& job, const job::Cabinet& cabinet, const Assembly& assembly);

} // namespace yf::evaluation
