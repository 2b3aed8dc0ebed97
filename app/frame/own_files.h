// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/evaluation/tables.h"

#include <QString>

namespace yf::app {

/// Where somebody's own evidence table and drivers are kept: beside the settings.
[[nodiscard]] QString ownEvidenceFile();

/// The tables to judge by: the own evidence table if there is one, else the shipped one. Fails
/// where the own one cannot be read.
[[nodiscard]] Result<evaluation::Tables> ownTables();

/// Writes the shipped table there, to be edited; one that is there stays.
[[nodiscard]] Done writeOwnEvidence();

} // namespace yf::app
