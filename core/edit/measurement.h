// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/apply.h"
#include "core/edit/parts.h"

namespace yf::edit {

/// A measured curve joins the job and, unless it is one from an angle or near the cone, becomes the
/// one in use; older takes stay.
/// The take's id and curve key are made here.
[[nodiscard]] Edit addTake(const std::string& driver, job::Take take);

/// A take is believed only within a range.
[[nodiscard]] Edit trustTake(const std::string& take, curve::Range range);

/// A take joins the job. One of a driver by itself, on axis and usable, becomes the one in use.
[[nodiscard]] Edit addRecordedTake(job::Take take);

/// A take in place of the one of its id: another gate, made aside.
[[nodiscard]] Edit replaceTake(job::Take take);

/// Note and condition of a take.
[[nodiscard]] Edit
describeTake(const std::string& take, const std::string& note, const std::string& condition);

/// The take that a driver's response or impedance is from now on.
[[nodiscard]] Edit useTake(const std::string& driver, const std::string& take);

} // namespace yf::edit
