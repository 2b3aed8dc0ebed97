// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/front.h"
#include "core/edit/new_job.h"
#include "core/evaluation/evaluate.h"
#include "core/job/difference.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace yf::test {

namespace {

job::Job pair() {
    return edit::newJob(
               {.title = "Pair", .cabinet = "Hall", .pair = true, .ways = edit::customaryWays(3)})
        .value();
}

std::string refusal(const job::Job& job, const edit::Edit& edit) {
    const auto changed = edit.apply(job);
    return changed.ok() ? std::string{} : text::sentence(changed.error()).english();
}

const job::Mount& mountOf(const job::Job& job, std::size_t cabinet, std::size_t index) {
    return job.cabinets[cabinet].mounts[index];
}

} // namespace

TEST(FrontEdit, theTwinOfAMirroredPairFollowsTurnedOver) {
    const job::Job before = pair();
    const std::string tweeter = mountOf(before, 0, 2).driver;
    const job::Job moved =
        edited(before, edit::moveDriver("hall-left", {tweeter, 0.03, 0.1}, "drag"));
    EXPECT_DOUBLE_EQ(mountOf(moved, 0, 2).x, 0.03);
    EXPECT_DOUBLE_EQ(mountOf(moved, 1, 2).x, -0.03);
    EXPECT_DOUBLE_EQ(mountOf(moved, 1, 2).y, 0.1);
    const job::Job wide =
        edited(moved, edit::changeOutline("hall-right", {"Hall right", 0.4, 0.9, 0.3, 8.0}));
    EXPECT_DOUBLE_EQ(wide.cabinets[0].width, 0.4);
    EXPECT_EQ(wide.cabinets[0].name, "Hall left") << "names are each one's own";
    EXPECT_EQ(wide.cabinets[0].nominal, 8.0);
}

TEST(FrontEdit, nothingLeavesTheFront) {
    const job::Job before = pair();
    const std::string tweeter = mountOf(before, 0, 2).driver;
    const job::Job moved = edited(before, edit::moveDriver("hall-left", {tweeter, 9.0, -9.0}, ""));
    EXPECT_DOUBLE_EQ(mountOf(moved, 0, 2).x, before.cabinets[0].width / 2.0);
    EXPECT_DOUBLE_EQ(mountOf(moved, 0, 2).y, -before.cabinets[0].height / 2.0);
    edit::Outline small = edit::outlineOf(before.cabinets[0]);
    small.height = 0.2;
    EXPECT_NE(refusal(before, edit::changeOutline("hall-left", small)).find("no longer be on it"),
              std::string::npos);
}

TEST(FrontEdit, refusalsNameWhatIsWrong) {
    const job::Job before = pair();
    edit::Outline outline = edit::outlineOf(before.cabinets[0]);
    outline.width = 9.0;
    EXPECT_NE(refusal(before, edit::changeOutline("hall-left", outline)).find("must be 0.02 to 5"),
              std::string::npos);
    outline = edit::outlineOf(before.cabinets[0]);
    outline.name.clear();
    EXPECT_NE(refusal(before, edit::changeOutline("hall-left", outline)).find("cabinet"),
              std::string::npos);
    edit::DriverData data = edit::dataOf(before.drivers.front());
    data.nominal = 0.1;
    EXPECT_NE(refusal(before, edit::changeDriver(before.drivers.front().id, data)).find("0.5"),
              std::string::npos);
    EXPECT_NE(refusal(before, edit::changeDriver("nobody", edit::dataOf(before.drivers.front())))
                  .find("'nobody'"),
              std::string::npos);
    EXPECT_NE(
        refusal(before, edit::moveDriver("hall-left", {"nobody", 0.0, 0.0}, "")).find("nobody"),
        std::string::npos);
    EXPECT_FALSE(refusal(demoJob(), edit::removeCabinet("projection")).empty());
}

TEST(FrontEdit, driversAndCabinetsComeAndGo) {
    const job::Job before = demoJob();
    const job::Job more =
        edited(before,
               edit::addDriver("projection",
                               {.name = "Clover 75", .band = job::Band::mid, .diameter = 0.075}));
    EXPECT_FALSE(job::check(more).has_value());
    EXPECT_EQ(more.drivers.size(), 3U);
    EXPECT_EQ(network::driverEnds(more.cabinets[0].circuit).size(), 3U);
    const job::Job less = edited(more, edit::removeDriver("projection", "clover-75"));
    EXPECT_EQ(less, before) << "as if it had never been there";
    EXPECT_NE(refusal(edited(before, edit::removeDriver("projection", "campion")),
                      edit::removeDriver("projection", "teasel"))
                  .find("only driver"),
              std::string::npos);
}

TEST(FrontEdit, aTwinHasTheSameNetworkAndDriversOfItsOwn) {
    const job::Job both = edited(demoJob(), edit::addTwin("projection"));
    EXPECT_FALSE(job::check(both).has_value());
    ASSERT_EQ(both.cabinets.size(), 2U);
    EXPECT_TRUE(both.cabinets[1].mirrored);
    EXPECT_EQ(both.cabinets[0].twin, both.cabinets[1].id);
    EXPECT_EQ(network::parts(both.cabinets[1].circuit), network::parts(both.cabinets[0].circuit));
    for (const network::DriverEnd& end : network::driverEnds(both.cabinets[1].circuit)) {
        EXPECT_EQ(job::findDriver(demoJob(), end.driver), nullptr) << "not one of the other's";
        const job::Driver& driver = *job::findDriver(both, end.driver);
        EXPECT_EQ(driver.condition, job::Condition::notChecked);
        EXPECT_TRUE(driver.responseTake.empty());
    }
    EXPECT_FALSE(refusal(both, edit::addTwin("projection")).empty());
    const job::Job alone = edited(both, edit::removeCabinet(both.cabinets[1].id));
    EXPECT_EQ(alone, demoJob());
}

TEST(FrontEdit, scalesLimitsAndDismissalsAreKeptOnce) {
    const job::HouseScale scale{job::ScaleKind::level, 100.0, 10000.0, 60.0, 95.0};
    job::Job job = edited(demoJob(), edit::sealScale(scale));
    job = edited(job, edit::sealScale({job::ScaleKind::level, 50.0, 10000.0, 60.0, 95.0}));
    EXPECT_EQ(job.scales.size(), 1U);
    EXPECT_EQ(edited(job, edit::unsealScale(job::ScaleKind::level)), demoJob());
    EXPECT_FALSE(
        refusal(job, edit::sealScale({job::ScaleKind::level, 100.0, 50.0, 0.0, 1.0})).empty());
    EXPECT_FALSE(refusal(job, edit::sealScale({job::ScaleKind::impedance, 20.0, 20000.0, 0.0, 1.0}))
                     .empty());

    job = edited(demoJob(), edit::changeLimit("net.epdr", 1.5));
    job = edited(job, edit::changeLimit("net.epdr", 1.8));
    EXPECT_EQ(job.limits, (std::vector<job::RuleLimit>{{"net.epdr", 1.8}}));
    EXPECT_EQ(edited(job, edit::changeLimit("net.epdr", std::nullopt)), demoJob());

    const job::Dismissal dismissal{
        .rule = "meas.distance", .cabinet = "projection", .note = "attic"};
    job = edited(demoJob(), edit::dismiss({dismissal}));
    EXPECT_EQ(job.dismissals.size(), 1U);
    EXPECT_EQ(edited(job, edit::takeUp(dismissal)), demoJob());
    EXPECT_FALSE(refusal(demoJob(), edit::takeUp(dismissal)).empty());
    EXPECT_NE(refusal(demoJob(), edit::dismiss({job::Dismissal{.rule = "meas.distance"}}))
                  .find("say why"),
              std::string::npos);
}

} // namespace yf::test
