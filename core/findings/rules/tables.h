// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/findings/rule.h"

#include <span>

// The rules by subject, a source each. Where each comes from: docs/theory/speaker.md, "Findings";
// sources that are given from memory say so there.
namespace yf::findings::table {

[[nodiscard]] std::span<const Rule> benchRules();
[[nodiscard]] std::span<const Rule> recordingRules();
[[nodiscard]] std::span<const Rule> driverRules();
[[nodiscard]] std::span<const Rule> boxRules();
[[nodiscard]] std::span<const Rule> circuitRules();
[[nodiscard]] std::span<const Rule> responseRules();
[[nodiscard]] std::span<const Rule> repairRules();

inline constexpr auto S = Basis::standard;
inline constexpr auto P = Basis::published;
inline constexpr auto M = Basis::physics;
inline constexpr auto R = Basis::ruleOfThumb;
inline constexpr auto stop = Severity::stop;
inline constexpr auto fault = Severity::fault;
inline constexpr auto caution = Severity::caution;
inline constexpr auto hint = Severity::hint;

} // namespace yf::findings::table
