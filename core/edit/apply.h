// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/record.h"

#include <functional>

/// What an edit is, and how it joins history and log.
namespace yf::edit {

/// A change with its name for people, and a pure function from the job before to the job after.
/// Edits with the same non-empty mergeKey in a row are one step of the history (a drag).
struct Edit {
    Words name;
    std::function<Result<job::Job>(const job::Job&)> apply;
    std::string mergeKey;

    /// The name where it depends on what comes out ("Change C2 to 6.8 µF" after a step); else
    /// empty.
    std::function<Words(const job::Job&)> nameAfter;
};

/// The state that an edit makes, under its name. Fails where the edit does.
[[nodiscard]] Result<job::Step> stepOf(const job::Job& job, const Edit& edit);

/// Applies an edit; one that fails changes nothing.
[[nodiscard]] Result<job::Moved> apply(job::History& history, const Edit& edit);
[[nodiscard]] Result<job::Change>
apply(job::Record& record, const Edit& edit, const std::string& at);

/// Names the state that an edit would make; the present is not touched. Fails where the edit does,
/// and as takeSnapshot.
[[nodiscard]] Result<job::Change> takeSnapshotAfter(job::Record& record,
                                                    const std::string& name,
                                                    const Edit& edit,
                                                    const std::string& at);

/// The job as it was, as an edit: takes, readings and pictures made since then stay in the job,
/// since a measurement is never thrown away.
[[nodiscard]] Edit restoreSnapshot(const job::Snapshot& snapshot);

} // namespace yf::edit
