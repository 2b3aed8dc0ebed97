// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/document/document.h"
#include "tests/support/demo_job.h"
#include "tests/support/networks.h"
#include "tests/support/temp_folder.h"

#include <QTest>

#include <gtest/gtest.h>

namespace yf::test {

namespace {

using job::store::Store;

std::unique_ptr<app::Document> documentAt(const std::string& path) {
    auto document = app::Document::create(path, job::History(demoJob()));
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
                document->apply(job::stepPart("projection",
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
        document->apply(
            job::stepPart("projection", "C3", network::ESeries::E192, i % 2 == 0 ? 3 : -2, "drag"));
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
            document->apply(job::changeTitle("Title " + std::to_string(i)));
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
                     [&](const QString& why) { told = why; });
    QObject::connect(document.get(), &app::Document::changed, document.get(), [&] { ++changes; });
    document->apply(job::removePart("projection", "Z9"));
    EXPECT_NE(told.indexOf(QStringLiteral("Z9")), -1);
    EXPECT_EQ(changes, 0);
    document->undo(); // nothing to undo
    document->redo();
    EXPECT_EQ(changes, 0);
    EXPECT_FALSE(document->everChanged());
    document->apply(job::changeTitle("New"));
    EXPECT_EQ(changes, 1);
    EXPECT_TRUE(document->everChanged());
}

TEST(Document, copiesHoldTheHistoryAndNeverOverwrite) {
    const TempFolder folder;
    auto document = documentAt(folder.path("a.yfjob"));
    document->apply(job::changeTitle("Newer than the disk, perhaps"));
    ASSERT_TRUE(document->copyTo(folder.path("b.yfjob")).ok());
    EXPECT_EQ(read(folder.path("b.yfjob")).steps(), document->history().steps());
    EXPECT_FALSE(document->copyTo(folder.path("b.yfjob")).ok());
    EXPECT_FALSE(document->copyTo(folder.path("no/where.yfjob")).ok());
}

} // namespace yf::test
