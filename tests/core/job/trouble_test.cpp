// SPDX-License-Identifier: GPL-3.0-or-later
// Every write of the store fails once in turn, in every way a disk can fail: what was confirmed is
// there afterwards, the file is sound, the message says what happened, and the same change goes
// through once the disk works again.
#include "core/edit/front.h"
#include "core/edit/measurement.h"
#include "core/job/store/earlier.h"
#include "core/job/store/store.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"
#include "tests/support/failing_disk.h"
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>
#include <sys/stat.h>

#include <filesystem>
#include <functional>

namespace yf::test {

namespace {

using job::Change;
using job::Record;
using job::store::Store;

constexpr const char* cabinet = "projection";

struct Way {
    Trouble trouble;
    std::vector<const char*> says; ///< one of them, by what was asked of the disk
};

const Way ways[] = {
    {Trouble::full, {"make room on the disk"}},
    {Trouble::cutShort, {"make room on the disk"}},
    {Trouble::readOnly, {"check the permissions"}},
    {Trouble::permission, {"check the permissions"}},
    {Trouble::broken, {"disk I/O error", "check the permissions"}},
};

bool saysOne(const std::string& said, const std::vector<const char*>& wanted) {
    return std::ranges::any_of(
        wanted, [&](const char* part) { return said.find(part) != std::string::npos; });
}

void expectSame(const Record& a, const Record& b, const std::string& where) {
    EXPECT_EQ(a.history.steps(), b.history.steps()) << where;
    EXPECT_EQ(a.history.position(), b.history.position()) << where;
    EXPECT_EQ(a.snapshots, b.snapshots) << where;
    EXPECT_EQ(a.log, b.log) << where;
}

Record loaded(const std::string& path) {
    auto store = Store::open(path);
    EXPECT_TRUE(store.ok()) << (store.ok() ? "" : text::sentence(store.error()));
    EXPECT_TRUE(store->integrityCheck().ok());
    auto record = store->load();
    EXPECT_TRUE(record.ok());
    return record.value();
}

/// Fails every write of one kind of change in turn; how many there were.
int tryAll(const std::string& name,
           const std::string& original,
           const std::function<Result<Change>(Record&)>& make) {
    int writes = 0;
    const TempFolder folder;
    for (const Way& way : ways) {
        bool through = false;
        for (int n = 1; !through; ++n) {
            const std::string where = name + ", way " +
                                      std::to_string(static_cast<int>(way.trouble)) + ", write " +
                                      std::to_string(n);
            const std::string path = folder.path("job.yfjob");
            std::filesystem::copy_file(
                original, path, std::filesystem::copy_options::overwrite_existing);
            const Record before = loaded(path);
            Record after = before;
            auto change = make(after);
            EXPECT_TRUE(change.ok()) << where;
            {
                auto store = Store::open(path);
                EXPECT_TRUE(store.ok());
                FailingDisk::failAt(n, way.trouble);
                const Done written = store->write(*change);
                through = !FailingDisk::failed();
                FailingDisk::workAgain();
                if (through) {
                    EXPECT_TRUE(written.ok()) << where;
                    writes = std::max(writes, n - 1);
                } else if (!written.ok()) {
                    EXPECT_TRUE(saysOne(text::sentence(written.error()).english(), way.says))
                        << where << ": " << text::sentence(written.error());
                    EXPECT_NE(text::sentence(written.error()).english().find("as it was before"),
                              std::string::npos);
                    expectSame(loaded(path), before, where + ", after the trouble");
                    // The same store, without being opened anew, once the disk works again.
                    const Done again = store->write(*change);
                    EXPECT_TRUE(again.ok())
                        << where << (again ? "" : text::sentence(again.error()));
                }
            }
            // Whatever was confirmed in the end is there.
            expectSame(loaded(path), after, where + ", in the end");
            if (n > 200) {
                ADD_FAILURE() << where << ": no end";
                return writes;
            }
        }
    }
    return writes;
}

} // namespace

TEST(Trouble, everyWriteOfEveryChangeFailsOnceAndNothingConfirmedIsLost) {
    const FailingDisk disk;
    const TempFolder folder;
    const std::string path = folder.path("original.yfjob");
    Record record(demoHistory());
    ASSERT_TRUE(job::takeSnapshot(record, "as received", "t0").ok());
    ASSERT_TRUE(Store::create(path, record).ok());
    const auto edit = [](edit::Edit e) {
        return [e](Record& r) { return edit::apply(r, e, "t1"); };
    };
    int writes = 0;
    writes += tryAll("a step", path, edit(edit::changeTitle("Other")));
    job::Take take = demoJob().takes.front();
    take.curve = std::make_shared<const curve::Curve>(
        curve::Curve({20.0, 200.0, 2000.0}, {{1, 0}, {2, 0}, {1, 0}}, curve::Phase::none));
    writes += tryAll("a step with a new curve", path, edit(edit::addTake("campion", take)));
    writes += tryAll(
        "undo", path, [](Record& r) -> Result<Change> { return job::undo(r, "t1").value(); });
    writes +=
        tryAll("a snapshot", path, [](Record& r) { return job::takeSnapshot(r, "later", "t1"); });
    writes += tryAll("a snapshot forgotten", path, [](Record& r) {
        return job::dropSnapshot(r, "as received", "t1");
    });
    writes += tryAll("a note", path, [](Record& r) { return job::addNote(r, "hm", "t1"); });
    EXPECT_GT(writes, 40) << "or the disk was not asked";
    std::printf("%d writes failed once in each of %zu ways\n", writes, std::size(ways));
}

// The first change in a file of an older format brings it up to date in the same transaction.
TEST(Trouble, aFileOfTheFirstFormatIsBroughtUpToDateWholeOrNotAtAll) {
    const FailingDisk disk;
    const std::string old = std::string(YF_TEST_DATA) + "/jobs/v1/projection-room.yfjob";
    EXPECT_GT(
        tryAll("a note in an old file", old, [](Record& r) { return job::addNote(r, "hm", "t1"); }),
        4);
}

TEST(Trouble, aNewFileThatCannotBeFilledIsNotLeftBehind) {
    const FailingDisk disk;
    const TempFolder folder;
    for (const Way& way : ways) {
        const std::string path = folder.path("new.yfjob");
        FailingDisk::failAlways(way.trouble);
        EXPECT_FALSE(Store::create(path, demoHistory()).ok());
        FailingDisk::workAgain();
        EXPECT_FALSE(std::filesystem::exists(path));
    }
}

TEST(EarlierStates, tenAreKeptTheOldestGoFirst) {
    const TempFolder folder;
    const std::string path = folder.path("job.yfjob");
    Record record(demoHistory());
    ASSERT_TRUE(Store::create(path, record).ok());
    auto store = Store::open(path);
    ASSERT_TRUE(store.ok());
    const std::string states = folder.path("earlier/of this job");
    EXPECT_TRUE(job::store::earlierStates(states).empty());
    for (int i = 10; i < 23; ++i) {
        const auto change =
            edit::apply(record, edit::changeTitle("Title " + std::to_string(i)), "t");
        ASSERT_TRUE(store->write(*change).ok());
        ASSERT_TRUE(
            job::store::putAside(*store, states, "2026-03-14T10:" + std::to_string(i) + ":00")
                .ok());
    }
    const auto kept = job::store::earlierStates(states);
    ASSERT_EQ(kept.size(), job::store::keptStates);
    EXPECT_EQ(kept.front().at, "2026-03-14T10-22-00");
    EXPECT_EQ(kept.back().at, "2026-03-14T10-13-00");
    const std::string back = folder.path("back.yfjob");
    ASSERT_TRUE(job::store::bringBack(kept[3], back).ok());
    EXPECT_EQ(loaded(back).job().title, "Title 19");
    EXPECT_FALSE(job::store::bringBack(kept[3], back).ok()) << "never overwritten";
    EXPECT_EQ(loaded(path).job().title, "Title 22") << "the job itself is left alone";
}

TEST(EarlierStates, whatCannotBePutAsideSaysSo) {
    const FailingDisk disk;
    const TempFolder folder;
    const std::string path = folder.path("job.yfjob");
    ASSERT_TRUE(Store::create(path, demoHistory()).ok());
    auto store = Store::open(path);
    const std::string blocked = folder.write("file", "no folder");
    EXPECT_FALSE(job::store::putAside(*store, blocked + "/x", "2026-03-14T10:00:00").ok());
    FailingDisk::failAlways(Trouble::full);
    EXPECT_FALSE(job::store::putAside(*store, folder.path("states"), "2026-03-14T10:00:00").ok());
    FailingDisk::workAgain();
    EXPECT_TRUE(job::store::earlierStates(folder.path("states")).empty()) << "no half file";
}

} // namespace yf::test
