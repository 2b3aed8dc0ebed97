// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/apply.h"

namespace yf::edit {

Result<job::Step> stepOf(const job::Job& job, const Edit& edit) {
    YF_TRY(changed, edit.apply(job));
    Words name = edit.nameAfter ? edit.nameAfter(changed) : edit.name;
    return job::Step{std::move(name), edit.mergeKey, std::move(changed)};
}

Result<job::Moved> apply(job::History& history, const Edit& edit) {
    YF_TRY(next, stepOf(history.job(), edit));
    return history.push(std::move(next));
}

Result<job::Change> apply(job::Record& record, const Edit& edit, const std::string& at) {
    YF_TRY(next, stepOf(record.job(), edit));
    return push(record, std::move(next), at);
}

Result<job::Change> takeSnapshotAfter(job::Record& record,
                                      const std::string& name,
                                      const Edit& edit,
                                      const std::string& at) {
    YF_TRY(next, stepOf(record.job(), edit));
    return job::takeSnapshotOf(record, name, next.job, at);
}

Edit restoreSnapshot(const job::Snapshot& snapshot) {
    return {say(YF_WORDS("core", "Restore the snapshot %1"), snapshot.name),
            [job = snapshot.job](const job::Job& now) -> Result<job::Job> {
                job::Job restored = job;
                for (const job::Take& take : now.takes) {
                    if (job::findTake(restored, take.id) == nullptr) {
                        restored.takes.push_back(take);
                    }
                }
                restored.readings = now.readings; // they only ever join
                restored.photos = now.photos;
                return restored;
            },
            {},
            {}};
}

} // namespace yf::edit
