// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/demo_job.h"

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

job::Job edited(const job::Job& job, const job::Edit& edit) {
    auto changed = edit.apply(job);
    EXPECT_TRUE(changed.ok()) << edit.name << ": "
                              << (changed.ok() ? "" : text::sentence(changed.error()));
    return changed ? *changed : job;
}

} // namespace yf::test
