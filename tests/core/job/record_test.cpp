// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/measurement.h"
#include "core/evaluation/assemble.h"
#include "core/job/difference.h"
#include "core/job/record.h"
#include "core/study/first_value.h"
#include "core/study/start.h"
#include "core/take/minimum_phase.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace yf::test {

namespace {

using job::LogEntry;
using job::Record;

constexpr const char* cabinet = "projection";

edit::Edit step(const char* part, int steps, std::string key = {}) {
    return edit::stepPart(cabinet, part, network::ESeries::E12, steps, std::move(key));
}

std::vector<std::string> texts(const Record& record) {
    std::vector<std::string> all;
    for (const LogEntry& entry : record.log) {
        all.push_back(std::string(job::kindName(entry.kind)) + " " + entry.text.english());
    }
    return all;
}

} // namespace

TEST(Record, logsWhatWasDoneByItself) {
    Record record{job::History(demoJob())};
    ASSERT_TRUE(edit::apply(record, step("R2", 1), "2026-03-14T10:00:00").ok());
    ASSERT_TRUE(job::undo(record, "2026-03-14T10:01:00").has_value());
    ASSERT_TRUE(job::redo(record, "2026-03-14T10:02:00").has_value());
    ASSERT_TRUE(job::addNote(record, "heard no difference", "2026-03-14T10:03:00").ok());
    ASSERT_TRUE(job::takeSnapshot(record, "louder", "2026-03-14T10:04:00").ok());
    EXPECT_EQ(texts(record),
              (std::vector<std::string>{"changed Change R2 to 4.7\u202FΩ",
                                        "undone Change R2 to 4.7\u202FΩ",
                                        "redone Change R2 to 4.7\u202FΩ",
                                        "note heard no difference",
                                        "snapshot louder"}));
    EXPECT_EQ(record.log[2].at, "2026-03-14T10:02:00");
    EXPECT_FALSE(job::redo(record, "x").has_value()) << "nothing to do again";
    EXPECT_EQ(record.log.size(), 5U);
}

TEST(Record, aGestureIsOneEntry) {
    Record record{job::History(demoJob())};
    for (int i = 0; i < 3; ++i) {
        const auto change = edit::apply(record, step("R2", 1, "wheel"), "t" + std::to_string(i));
        ASSERT_TRUE(change.ok());
        EXPECT_EQ(change->replacesLog, i > 0);
    }
    EXPECT_EQ(texts(record), std::vector<std::string>{"changed Change R2 to 6.8\u202FΩ"});
    // A note ends it: what comes then is another thing.
    ASSERT_TRUE(job::addNote(record, "better", "t3").ok());
    const auto next = edit::apply(record, step("R2", 1, "wheel"), "t4");
    EXPECT_FALSE(next->replacesLog);
    EXPECT_EQ(record.log.size(), 3U);
}

TEST(Record, snapshotsAreRefusedWithoutANameOrTwice) {
    Record record{job::History(demoJob())};
    EXPECT_FALSE(job::takeSnapshot(record, "", "t").ok());
    ASSERT_TRUE(job::takeSnapshot(record, "as received", "t").ok());
    const auto again = job::takeSnapshot(record, "as received", "t");
    ASSERT_FALSE(again.ok());
    EXPECT_NE(text::sentence(again.error()).english().find("stands already"), std::string::npos);
    const auto missing = job::dropSnapshot(record, "as recieved", "t");
    ASSERT_FALSE(missing.ok());
    EXPECT_NE(text::sentence(missing.error()).english().find("as received"), std::string::npos);
    ASSERT_TRUE(job::dropSnapshot(record, "as received", "t").ok());
    EXPECT_EQ(record.findSnapshot("as received"), nullptr);
}

TEST(Record, restoringIsAnEditThatKeepsLaterTakes) {
    Record record{job::History(demoJob())};
    ASSERT_TRUE(job::takeSnapshot(record, "before", "t").ok());
    job::Take take = demoJob().takes.front();
    take.name = "later.csv";
    ASSERT_TRUE(edit::apply(record, step("R2", 2), "t").ok());
    ASSERT_TRUE(edit::apply(record, edit::addTake("campion", take), "t").ok());
    ASSERT_TRUE(
        edit::apply(record, edit::restoreSnapshot(*record.findSnapshot("before")), "t").ok());
    EXPECT_EQ(record.history.undoName(), "Restore the snapshot before");
    EXPECT_EQ(record.job().cabinets, demoJob().cabinets);
    EXPECT_EQ(record.job().drivers, demoJob().drivers);
    EXPECT_EQ(record.job().takes.size(), demoJob().takes.size() + 1) << "a take is never lost";
    EXPECT_EQ(job::differences(demoJob(), record.job()),
              std::vector<Words>{"take later.csv added"});
    ASSERT_TRUE(job::undo(record, "t").has_value());
    EXPECT_NE(record.job().cabinets, demoJob().cabinets);
}

TEST(Differences, inWords) {
    const job::Job& before = demoJob();
    EXPECT_TRUE(job::differences(before, before).empty());

    struct {
        edit::Edit edit;
        const char* said;
    } const rows[] = {
        {step("C3", 1), "C3 5.6\u202FµF → 6.8\u202FµF"},
        {edit::reverseDriver(cabinet, 1, "Teasel 26"), "Teasel 26 reversed"},
        {edit::removePart(cabinet, "L3"), "L3 (0.68\u202FmH) taken out"},
        {study::insertNewPart(before,
                              evaluation::assemble(before),
                              cabinet,
                              {1, 0, true},
                              network::PartKind::capacitor)
             .value(),
         "C2 (22\u202FµF) put in"},
        {edit::changeTitle("Hall"), "renamed to Hall"},
        {edit::changeTarget(cabinet, {.from = 100.0}), "another corridor"},
    };

    for (const auto& row : rows) {
        const auto said = job::differences(before, edited(before, row.edit));
        ASSERT_EQ(said.size(), 1U) << row.said;
        EXPECT_EQ(said.front().english().substr(0, 3), std::string(row.said).substr(0, 3))
            << said.front();
        if (said.front().english().find("put in") == std::string::npos) {
            EXPECT_EQ(said.front(), row.said);
        }
    }
    // Both ways: what was put in on one side is taken out on the other.
    const auto back = job::differences(edited(before, edit::removePart(cabinet, "L3")), before);
    ASSERT_EQ(back.size(), 1U);
    EXPECT_EQ(back.front(), "L3 (0.68\u202FmH) put in");
}

TEST(Differences, nothingThatDiffersIsLeftOut) {
    // Any edit at all must be told somehow.
    const job::Job& before = demoJob();
    network::Part lossy = network::findPart(before.cabinets.front().circuit, "L1").value();
    lossy.dcr += 0.1;
    network::Part dear = lossy;
    dear.dcr -= 0.1;
    dear.price = 99.0;
    for (const edit::Edit& edit :
         {edit::changePart(cabinet, lossy),
          edit::changePart(cabinet, dear),
          take::useMinimumPhase(before, "campion", job::TakeKind::response).value(),
          edit::trustTake(before.takes.front().id, {40.0, 9000.0}),
          study::startNetwork(before, cabinet, {.fx = 3000.0}).value()}) {
        EXPECT_FALSE(job::differences(before, edited(before, edit)).empty()) << edit.name;
    }
}

} // namespace yf::test
