// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/demo_job.h"

#include "core/edit/apply.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/evaluation/memory.h"
#include "core/evaluation/result.h"
#include "core/evaluation/tables.h"
#include "core/findings/assess.h"
#include "core/job/store/store.h"
#include "core/text/sentence.h"
#include "demo/projection_room.h"

#include <gtest/gtest.h>

namespace yf::test {

const job::History& demoHistory() {
    static const job::History history = [] {
        auto made = demo::projectionRoom(demo::tables());
        EXPECT_TRUE(made.ok()) << (made.ok() ? "" : text::sentence(made.error()));
        return made.value();
    }();
    return history;
}

const job::Record& hallRecord() {
    static const job::Record record = [] {
        auto store = job::store::Store::openForReading(hallFile());
        EXPECT_TRUE(store.ok()) << (store.ok() ? "" : text::sentence(store.error()));
        auto loaded = store->load();
        EXPECT_TRUE(loaded.ok()) << (loaded.ok() ? "" : text::sentence(loaded.error()));
        return loaded.value();
    }();
    return record;
}

std::string hallFile() {
    return YF_HALL_FILE;
}

job::Job edited(const job::Job& job, const edit::Edit& edit) {
    auto changed = edit.apply(job);
    EXPECT_TRUE(changed.ok()) << edit.name << ": "
                              << (changed.ok() ? "" : text::sentence(changed.error()));
    return changed ? *changed : job;
}

Looked lookedAt(const job::Job& job) {
    evaluation::Memory memory;
    const evaluation::Assembly assembly = evaluation::assemble(job, memory);
    const evaluation::Tables tables = evaluation::Tables::shipped();
    Looked looked{evaluation::evaluate(job, assembly, tables, memory), {}};
    static_cast<findings::Assessment&>(looked) = findings::assess(job, assembly, looked);
    return looked;
}

} // namespace yf::test
