// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"
#include "core/measure/import.h"

namespace yf::job {

/// A table read into a take, and what there is to tell about it.
struct ImportedTake {
    Take take;        ///< without id and curve key, which `addTake` makes
    std::string told; ///< what was understood, with everything that was done or guessed
    bool doubtful{};  ///< something was done or guessed, or is missing: worth a look
};

/// A text table as it came: its bytes, and for the record the file's name and the day on which it
/// was read (ISO 8601).
struct TableFile {
    std::string bytes;
    std::string name;
    std::string date;
};

/// A text table as a take of a driver. Fails as measure::importTable does, with the file's name as
/// subject.
[[nodiscard]] Result<ImportedTake> importTake(const TableFile& file);

} // namespace yf::job
