// SPDX-License-Identifier: GPL-3.0-or-later
// Edits that have to be computed first: none is lost, and of looks only the newest counts.
#include "app/desk/desk.h"
#include "core/edit/parts.h"
#include "tests/support/temp_folder.h"

#include <QTest>

#include <gtest/gtest.h>

namespace yf::test {

namespace {

app::EditMaker renaming(const std::string& title) {
    return [title](const app::Evaluated& /*present*/) { return Result(edit::changeTitle(title)); };
}

} // namespace

TEST(Desk, computedEditsWaitForEachOtherAndLooksForTheNewest) {
    const TempFolder folder;
    app::Desk desk;
    ASSERT_TRUE(
        desk.createJob({.title = "New", .cabinet = "Cabinet", .ways = edit::customaryWays(2)},
                       QString::fromStdString(folder.path("new.yfjob"))));
    // At once, before anything is evaluated.
    desk.applyMade(renaming("one"));
    desk.previewMade(renaming("seen by nobody"));
    desk.applyMade(renaming("two"));
    desk.previewMade(renaming("looked at"));
    ASSERT_TRUE(QTest::qWaitFor([&] { return desk.settled(); }, 20000));
    const auto& steps = desk.document()->record().history.steps();
    ASSERT_EQ(steps.size(), 3U);
    EXPECT_EQ(steps[1].job.title, "one");
    EXPECT_EQ(steps[2].job.title, "two");
    ASSERT_NE(desk.sight().preview, nullptr);
    EXPECT_EQ(desk.sight().preview->job.title, "looked at");
    desk.endLook();
    EXPECT_EQ(desk.sight().shown().job.title, "two");
}

TEST(Desk, whatCannotBeComputedIsSaidAndChangesNothing) {
    const TempFolder folder;
    app::Desk desk;
    ASSERT_TRUE(
        desk.createJob({.title = "New", .cabinet = "Cabinet", .ways = edit::customaryWays(2)},
                       QString::fromStdString(folder.path("new.yfjob"))));
    QString said;
    QObject::connect(
        &desk, &app::Desk::told, [&](app::Gravity, const QString& text) { said = text; });
    desk.applyMade([](const app::Evaluated& /*present*/) {
        return Result<edit::Edit>(Error{"order", "3 given", "must be even"});
    });
    ASSERT_TRUE(QTest::qWaitFor([&] { return desk.settled(); }, 20000));
    EXPECT_TRUE(said.contains(QStringLiteral("must be even"))) << said.toStdString();
    EXPECT_EQ(desk.document()->record().history.steps().size(), 1U);
}

} // namespace yf::test
