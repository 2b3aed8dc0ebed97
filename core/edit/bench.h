// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/apply.h"
#include "core/edit/parts.h"

namespace yf::edit {

/// It joins the job. Its id is made here. Fails: unknown cabinet or driver.
[[nodiscard]] Edit addReading(job::BenchReading reading);

/// No longer counted, or counted again.
[[nodiscard]] Edit setReadingAside(const std::string& id, bool aside);

/// What is printed on a driver: readings are judged by it. Fails: outside 0.5 to 600 Ω.
[[nodiscard]] Edit changeNominal(const std::string& driver, double nominal);

/// What is to be done about a driver.
[[nodiscard]] Edit decide(const std::string& driver, bench::Remedy remedy);

/// What was found of a driver, as an edit of its condition.
[[nodiscard]] Edit concludeDriver(const std::string& driver, job::Condition condition);

} // namespace yf::edit
