// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <QString>

namespace yf::app {

/// Where somebody's own evidence table and drivers are kept: beside the settings.
[[nodiscard]] QString ownEvidenceFile();

/// Puts the own evidence table into force, if there is one; else the shipped one. On an error the
/// shipped one is in force.
[[nodiscard]] Done useOwnEvidence();

/// Writes the shipped table there, to be edited; one that is there stays.
[[nodiscard]] Done writeOwnEvidence();

} // namespace yf::app
