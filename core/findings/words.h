// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/evaluate.h"
#include "core/findings/judge.h"

#include <optional>

/// Findings in words: what is shown of one, whom it is about, what can be done at once.
namespace yf::findings {

/// "8.9 dB, limit 3 dB", "38 %, limit 10 %", "1.96 Ω, limit 2 Ω"; empty where only yes or no was
/// asked.
[[nodiscard]] Words figureText(const Finding& finding);

/// "net.C_f 9.4 µF": a fact with its unit.
[[nodiscard]] std::string factText(const Facts::Entry& fact);

/// "Left · Teasel 26 and Sorrel 130", "Right · C3", "Left and Right".
[[nodiscard]] Words subjectText(const job::Job& job, const Subject& subject);

/// A change that mends it, where there is one: reverse the driver that sets every crossover of the
/// cabinet right, give a drifted capacitor the value that is printed on it.
[[nodiscard]] std::optional<edit::Edit>
remedy(const job::Job& job, const evaluation::Evaluation& evaluation, const Finding& finding);

} // namespace yf::findings
