// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/evaluate.h"

#include <QString>

/// What the bench says, in sentences for the window.
namespace yf::app {

/// "5.9 Ω, 0.74 of 8 Ω: normal (5.6 to 9.2 Ω). 12 % below its twin."
[[nodiscard]] QString dcrSaid(const bench::DcrJudgement& judged, double nominal);

/// "4.66 Ω and 0.31 mH in series: both low (0.82 and 0.66 of the reference). …"
[[nodiscard]] QString lcrSaid(const bench::LcrJudgement& judged);

/// "Shorted turns: 97 %", or how far the choice has narrowed.
[[nodiscard]] QString verdictSaid(const bench::Diagnosis& diagnosis, bool anyEvidence);

/// "×15" or "÷4": how much likelier a piece of evidence makes a fault.
[[nodiscard]] QString factorSaid(double bits);

/// "97 %"; "<1 %" and ">99 %" where a whole number would claim certainty.
[[nodiscard]] QString percentSaid(double probability);

/// First letter large, as at the start of a sentence.
[[nodiscard]] QString capital(QString text);

/// "Sorrel 130 · Right"
[[nodiscard]] QString
driverSaid(const job::Job& job, const std::string& cabinet, const std::string& driver);

} // namespace yf::app
