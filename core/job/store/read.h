// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <map>
#include <memory>
#include <string>

struct sqlite3;

namespace yf::job::store {

/// What the steps of a history share: each is read once.
struct Shared {
    std::map<std::string, std::shared_ptr<const curve::Curve>> curves;
    std::map<std::string, std::shared_ptr<const std::string>> photos;
    std::map<std::string, std::shared_ptr<const signal::Recording>> recordings;
};

/// The job of one step; its takes and pictures share what they hold with those of other steps.
/// Fails in words where something is missing or not as it should be.
[[nodiscard]] Result<Job>
readJob(sqlite3* database, const std::string& path, const std::string& document, Shared& shared);

} // namespace yf::job::store
