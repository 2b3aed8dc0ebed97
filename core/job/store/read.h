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
    std::vector<std::string> leftOut; ///< names of measurements that are damaged, each once
};

/// The job of one step; its takes and pictures share what they hold with those of other steps.
/// A measurement whose curve is missing or not as it should be (NaN, beyond all measure, a
/// frequency that does not rise, another content than its key's) is left out with what refers to
/// it, one whose recording is so loses the recording: `shared.leftOut` names them, and the rest
/// opens. Fails in words where the document or a picture is not as it should be.
[[nodiscard]] Result<Job>
readJob(sqlite3* database, const std::string& path, const std::string& document, Shared& shared);

} // namespace yf::job::store
