// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/document/document.h"
#include "core/edit/front.h"
#include "core/job/store/earlier.h"
#include "tests/support/demo_job.h"
#include "tests/support/failing_disk.h"
#include "tests/support/networks.h"
#include "tests/support/temp_folder.h"

#include <QSysInfo>
#include <QTest>

#include <gtest/gtest.h>
#include <sys/wait.h>
#include <unistd.h>

namespace yf::test {

namespace {

using job::store::Store;

std::unique_ptr<app::Document> documentAt(const std::string& path) {
    auto document = app::Document::create(path, job::Record(job::History(demoJob())));
    EXPECT_TRUE(document.ok());
    return std::move(*document);
}

job::History read(const std::string& path) {
    return Store::openForReading(path)->load()->history;
}

} // namespace

TEST(Document, fileIsTheHistoryAfterAnyWalk) {
    const TempFolder folder;
    for (std::uint64_t seed = 1; seed <= 6; ++seed) {
        const std::string path = folder.path(std::to_string(seed) + ".yfjob");
        Random random(seed);
        auto document = documentAt(path);
        for (int i = 0; i < 120; ++i) {
            switch (random.below(6)) {
            case 0:
                document->undo();
                break;
            case 1:
                document->redo();
                break;
            case 2:
                document->endGesture();
                break;
            default:
                document->apply(edit::stepPart("projection",
                                               random.below(2) == 0 ? "C3" : "L1",
                                               network::ESeries::E24,
                                               random.below(2) == 0 ? 1 : -1,
                                               random.below(3) == 0 ? "" : "step"));
            }
        }
        document->waitUntilSaved();
        EXPECT_TRUE(document->allWritten());
        EXPECT_EQ(read(path).steps(), document->history().steps()) << seed;
        EXPECT_EQ(read(path).position(), document->history().position()) << seed;
    }
}

// A drag faster than the disk: the last state of the gesture is what the file holds.
TEST(Document, aFastGestureIsSavedByItsLastState) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    auto document = documentAt(path);
    for (int i = 0; i < 400; ++i) {
        document->apply(edit::stepPart(
            "projection", "C3", network::ESeries::E192, i % 2 == 0 ? 3 : -2, "drag"));
    }
    EXPECT_EQ(document->history().position(), 1U);
    EXPECT_FALSE(document->settled());
    ASSERT_TRUE(QTest::qWaitFor([&] { return document->settled(); }, 20000));
    EXPECT_EQ(read(path).job(), document->job());
}

TEST(Document, endsOnlyWhenEverythingIsWritten) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    job::Job last;
    {
        auto document = documentAt(path);
        for (int i = 0; i < 30; ++i) {
            document->apply(edit::changeTitle("Title " + std::to_string(i)));
        }
        last = document->job();
    }
    EXPECT_EQ(read(path).job(), last);
}

TEST(Document, refusedEditsAreToldAndNotWritten) {
    const TempFolder folder;
    auto document = documentAt(folder.path("a.yfjob"));
    QString told;
    int changes = 0;
    QObject::connect(document.get(),
                     &app::Document::refused,
                     document.get(),
                     [&](const Words& why) { told = QString::fromStdString(why.english()); });
    QObject::connect(document.get(), &app::Document::changed, document.get(), [&] { ++changes; });
    document->apply(edit::removePart("projection", "Z9"));
    EXPECT_NE(told.indexOf(QStringLiteral("Z9")), -1);
    EXPECT_EQ(changes, 0);
    document->undo(); // nothing to undo
    document->redo();
    EXPECT_EQ(changes, 0);
    EXPECT_FALSE(document->everChanged());
    document->apply(edit::changeTitle("New"));
    EXPECT_EQ(changes, 1);
    EXPECT_TRUE(document->everChanged());
}

TEST(Document, copiesHoldTheHistoryAndNeverOverwrite) {
    const TempFolder folder;
    auto document = documentAt(folder.path("a.yfjob"));
    document->apply(edit::changeTitle("Newer than the disk, perhaps"));
    ASSERT_TRUE(document->copyTo(folder.path("b.yfjob")).ok());
    EXPECT_EQ(read(folder.path("b.yfjob")).steps(), document->history().steps());
    EXPECT_FALSE(document->copyTo(folder.path("b.yfjob")).ok());
    EXPECT_FALSE(document->copyTo(folder.path("no/where.yfjob")).ok());
}

// The disk fails under an open document: said at once, everything goes on in memory, and the file
// has it all once the disk works again; or another file gets it.
TEST(Document, aFailingDiskLosesNothing) {
    const FailingDisk disk;
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    auto document = documentAt(path);
    QStringList told;
    QObject::connect(document.get(),
                     &app::Document::notSaved,
                     document.get(),
                     [&](const Words& why) { told << QString::fromStdString(why.english()); });
    FailingDisk::failAlways(Trouble::full);
    for (int i = 0; i < 5; ++i) {
        document->apply(edit::changeTitle("Title " + std::to_string(i)));
    }
    document->undo();
    ASSERT_TRUE(document->addNote("while the disk was full").ok());
    document->waitUntilSaved();
    ASSERT_TRUE(QTest::qWaitFor([&] { return !told.isEmpty(); }, 20000));
    EXPECT_NE(told.front().indexOf(QStringLiteral("make room on the disk")), -1);
    EXPECT_FALSE(document->allWritten());
    EXPECT_EQ(document->job().title, "Title 3") << "the work goes on";
    FailingDisk::workAgain();
    document->apply(edit::changeTitle("Title 9"));
    ASSERT_TRUE(QTest::qWaitFor([&] { return document->settled(); }, 20000));
    EXPECT_EQ(read(path).steps(), document->history().steps());
    EXPECT_EQ(Store::openForReading(path)->load()->log, document->record().log);

    FailingDisk::failAlways(Trouble::readOnly);
    document->apply(edit::changeTitle("Nowhere yet"));
    document->waitUntilSaved();
    FailingDisk::workAgain();
    ASSERT_TRUE(document->saveTo(folder.path("b.yfjob")).ok());
    EXPECT_EQ(read(folder.path("b.yfjob")).steps(), document->history().steps());
    document->apply(edit::changeTitle("There"));
    document->waitUntilSaved();
    EXPECT_EQ(read(folder.path("b.yfjob")).job().title, "There");
}

TEST(Document, snapshotsAndNotesReachTheFile) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    job::Record last{job::History(demoJob())};
    {
        auto document = documentAt(path);
        ASSERT_TRUE(document->takeSnapshot("as received").ok());
        document->apply(edit::changeTitle("Changed"));
        ASSERT_TRUE(document->addNote("done").ok());
        EXPECT_FALSE(document->takeSnapshot("as received").ok());
        EXPECT_FALSE(document->addNote("").ok());
        last = document->record();
    }
    const auto again = Store::openForReading(path)->load();
    EXPECT_EQ(again->snapshots, last.snapshots);
    EXPECT_EQ(again->log, last.log);
    EXPECT_EQ(again->log.size(), 3U);
}

// Two windows never write into each other's job.
TEST(Document, aSecondWindowReadsOnly) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    auto first = documentAt(path);
    const auto second = app::Document::open(path);
    ASSERT_TRUE(second.ok());
    EXPECT_EQ((*second)->hold(), app::Hold::elsewhere);
    (*second)->apply(edit::changeTitle("From the second"));
    EXPECT_TRUE((*second)->inMemoryOnly());
    (*second)->waitUntilSaved();
    EXPECT_EQ(read(path).job().title, demoJob().title);
    first.reset();
    const auto third = app::Document::open(path);
    EXPECT_EQ((*third)->hold(), app::Hold::none) << "free again";
}

// The lock of a window that died is no lock.
TEST(Document, aDeadWindowsLockIsTakenOver) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    documentAt(path).reset();
    const pid_t child = ::fork();
    if (child == 0) {
        ::_exit(0);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    folder.write(".a.yfjob.lock",
                 std::to_string(child) + "\nyellowfront\n" +
                     QSysInfo::machineHostName().toStdString() + "\n");
    EXPECT_EQ((*app::Document::open(path))->hold(), app::Hold::none);
}

TEST(Document, putsAGoodStateAsideAtTheEnd) {
    const TempFolder folder;
    const std::string states = folder.path("states");
    {
        auto document = documentAt(folder.path("a.yfjob"));
        document->keepStatesIn(states);
    }
    EXPECT_TRUE(job::store::earlierStates(states).empty()) << "nothing was changed";
    {
        auto document = app::Document::open(folder.path("a.yfjob")).value();
        document->keepStatesIn(states);
        document->apply(edit::changeTitle("Kept"));
    }
    const auto kept = job::store::earlierStates(states);
    ASSERT_EQ(kept.size(), 1U);
    EXPECT_EQ(read(kept.front().file).job().title, "Kept");
}

} // namespace yf::test
