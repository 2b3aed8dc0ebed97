// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/new_job.h"
#include "core/evaluation/evaluate.h"
#include "core/job/fresh_id.h"
#include "core/job/job.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <set>

namespace yf::test {

TEST(Job, whatRefersToSomethingMustFindIt) {
    EXPECT_FALSE(job::check(demoJob()).has_value());

    struct {
        const char* said;
        void (*damage)(job::Job&);
    } const rows[] = {
        {"drivers[1].id: 'campion' given twice", [](job::Job& j) { j.drivers[1].id = "campion"; }},
        {"takes[2].id: 'take-1' given twice", [](job::Job& j) { j.takes[2].id = "take-1"; }},
        {"drivers[0]: take 'take-9' does not exist",
         [](job::Job& j) { j.drivers[0].responseTake = "take-9"; }},
        {"cabinets[0].mounts: driver 'nobody' does not exist",
         [](job::Job& j) { j.cabinets[0].mounts[1].driver = "nobody"; }},
        {"cabinets[0].twin: 'projection' given, must be another cabinet",
         [](job::Job& j) { j.cabinets[0].twin = j.cabinets[0].id; }},
        {"cabinets[0].twin: 'nobody' given, must be a cabinet of this job",
         [](job::Job& j) { j.cabinets[0].twin = "nobody"; }},
        {"must be a cabinet whose twin is this one",
         [](job::Job& j) {
             // In a circle of three nobody is the other's twin.
             for (const char* const id : {"second", "third"}) {
                 job::Cabinet more = j.cabinets[0];
                 more.id = id;
                 more.mounts.clear();
                 more.boxes.clear();
                 more.circuit = {};
                 j.cabinets.push_back(more);
             }
             j.cabinets[0].twin = "second";
             j.cabinets[1].twin = "third";
             j.cabinets[2].twin = j.cabinets[0].id;
         }},
        {"is mounted twice",
         [](job::Job& j) { j.cabinets[0].mounts.push_back(j.cabinets[0].mounts[0]); }},
        {"has two boxes",
         [](job::Job& j) {
             job::Enclosure box;
             box.driver = j.drivers[0].id;
             j.cabinets[0].boxes = {box, box};
         }},
        {"is a response, must be an impedance",
         [](job::Job& j) { j.drivers[0].impedanceTake = j.drivers[0].responseTake; }},
        {"is an impedance, must be a response",
         [](job::Job& j) { j.drivers[0].responseTake = j.drivers[0].impedanceTake; }},
        {"lies off the front", [](job::Job& j) { j.cabinets[0].mounts[0].x = 9.0; }},
        {"cabinets[0].network: driver 'campion' does not exist",
         [](job::Job& j) {
             j.drivers.erase(j.drivers.begin());
             j.cabinets[0].mounts.erase(j.cabinets[0].mounts.begin());
         }},
    };

    for (const auto& row : rows) {
        job::Job damaged = demoJob();
        row.damage(damaged);
        const auto error = job::check(damaged);
        ASSERT_TRUE(error.has_value()) << row.said;
        EXPECT_NE(text::sentence(*error).english().find(row.said), std::string::npos)
            << text::sentence(*error);
    }
}

TEST(NewJob, ofAnyNumberOfWaysIsSoundAndSaysWhatItMisses) {
    for (int count = 1; count <= 4; ++count) {
        for (const bool pair : {false, true}) {
            const auto made = edit::newJob({.title = "Kitchen",
                                            .cabinet = "Shelf",
                                            .pair = pair,
                                            .ways = edit::customaryWays(count)});
            ASSERT_TRUE(made.ok());
            EXPECT_FALSE(job::check(*made).has_value());
            EXPECT_EQ(made->cabinets.size(), pair ? 2U : 1U);
            EXPECT_EQ(made->drivers.size(), static_cast<std::size_t>(count * (pair ? 2 : 1)));
            const auto result = evaluation::evaluate(*made).cabinets.front();
            EXPECT_EQ(result.ways.size(), static_cast<std::size_t>(count));
            EXPECT_EQ(result.missing.size(), 2U * static_cast<std::size_t>(count));
            // The drivers lie on the front and do not overlap.
            for (const job::Cabinet& cabinet : made->cabinets) {
                double below = -cabinet.height / 2.0;
                for (const job::Mount& mount : cabinet.mounts) {
                    const double radius = job::findDriver(*made, mount.driver)->diameter / 2.0;
                    EXPECT_LT(std::abs(mount.x) + radius, cabinet.width / 2.0);
                    EXPECT_GT(mount.y - radius, below);
                    below = mount.y + radius;
                }
                EXPECT_LT(below, cabinet.height / 2.0);
            }
        }
    }
}

TEST(NewJob, refusesWhatCannotBe) {
    EXPECT_FALSE(edit::newJob({.title = "", .ways = edit::customaryWays(2)}).ok());
    EXPECT_FALSE(edit::newJob({.title = "x"}).ok());
    EXPECT_FALSE(edit::newJob({.title = "x", .ways = {{"", job::Band::low, 0.1}}}).ok());
    EXPECT_EQ(job::freshId("Brome 210 (left)", {}), "brome-210-left");
    EXPECT_EQ(job::freshId("Brome 210", {"brome-210", "brome-210-2"}), "brome-210-3");
    EXPECT_EQ(job::freshId("Ω", {}), "x");
}

TEST(Job, digestOfACurveIsThatOfItsContent) {
    const curve::Curve& curve = *demoJob().takes.front().curve;
    EXPECT_EQ(job::curveKey(curve), job::curveKey(curve::Curve(curve)));
    EXPECT_EQ(job::curveKey(curve).size(), 16U);
    std::set<std::string> keys{job::curveKey(curve)};
    keys.insert(job::curveKey(curve.trustedWithin({100.0, 200.0})));
    keys.insert(job::curveKey({curve.frequencies(), curve.values(), curve::Phase::own}));
    auto values = curve.values();
    values[7] += 1e-9;
    keys.insert(job::curveKey({curve.frequencies(), values, curve.phase()}));
    EXPECT_EQ(keys.size(), 4U);
}

TEST(Job, takesInUse) {
    const job::Driver& teasel = demoJob().drivers[1];
    EXPECT_EQ(job::takeInUse(demoJob(), teasel, job::TakeKind::response)->name,
              "teasel-26-response.csv");
    EXPECT_EQ(job::takeInUse(demoJob(), teasel, job::TakeKind::impedance)->name,
              "teasel-26-impedance.csv");
    job::Driver bare = teasel;
    bare.responseTake.clear();
    EXPECT_EQ(job::takeInUse(demoJob(), bare, job::TakeKind::response), nullptr);
    EXPECT_EQ(job::findDriver(demoJob(), "nobody"), nullptr);
    EXPECT_EQ(job::findCabinet(demoJob(), "nowhere"), nullptr);
    EXPECT_EQ(job::bandName(job::Band::top), "top");
}

} // namespace yf::test
