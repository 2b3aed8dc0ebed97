// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/next_check.h"
#include "core/edit/parts.h"
#include "core/evaluation/driver_bench.h"
#include "core/evaluation/result.h"

/// The bench's view of a job: what the readings of a driver say together.

namespace yf::evaluation {

[[nodiscard]] DriverBench benchOf(const job::Job& job,
                                  const Readings& readings,
                                  const std::string& cabinet,
                                  const std::string& driver,
                                  const bench::EvidenceTable& table);

/// Input for the judgement of a reading: nominal impedance, twin and model as the job knows them.
[[nodiscard]] bench::DcrRequest
dcrRequestFor(const job::Job& job, const Readings& readings, const job::BenchReading& reading);
[[nodiscard]] bench::LcrRequest
lcrRequestFor(const job::Job& job, const Readings& readings, const job::BenchReading& reading);

/// A reading with the outcome that its figures give; others keep the one that was chosen.
/// Fails: unknown check or outcome, a driver without nominal impedance at a DC reading, leads above
/// the reading.
[[nodiscard]] Result<job::BenchReading>
withOutcome(const job::Job& job, const Readings& readings, job::BenchReading reading);

} // namespace yf::evaluation
