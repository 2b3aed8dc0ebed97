// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/evaluation/evaluator.h"
#include "core/edit/measurement.h"
#include "tests/support/demo_job.h"

#include <QTest>

#include <gtest/gtest.h>

namespace yf::test {

namespace {

job::Job withR2(double ohms) {
    network::Part part = network::findPart(demoCabinet().circuit, "R2").value();
    part.value = ohms;
    return edited(demoJob(), edit::changePart("projection", part));
}

double R2Of(const job::Job& job) {
    return network::findPart(job.cabinets.front().circuit, "R2")->value;
}

} // namespace

TEST(Evaluator, newestInNewestOut) {
    app::Evaluator evaluator;
    std::vector<std::uint64_t> revisions;
    double last = 0.0;
    QObject::connect(&evaluator,
                     &app::Evaluator::ready,
                     &evaluator,
                     [&](const std::shared_ptr<const app::Evaluated>& result) {
                         revisions.push_back(result->evaluation.revision);
                         last = R2Of(result->job);
                     });
    constexpr int submits = 300;
    for (int i = 1; i <= submits; ++i) {
        EXPECT_EQ(evaluator.submit(withR2(1.0 + i), app::Purpose::present),
                  static_cast<std::uint64_t>(i));
        EXPECT_TRUE(evaluator.busy());
        if (i % 20 == 0) {
            QCoreApplication::processEvents();
        }
    }
    ASSERT_TRUE(QTest::qWaitFor([&] { return !evaluator.busy(); }, 20000));
    // Results come in order, some are skipped, the last is the newest.
    EXPECT_TRUE(std::ranges::is_sorted(revisions));
    EXPECT_EQ(std::ranges::adjacent_find(revisions), revisions.end());
    EXPECT_LT(revisions.size(), static_cast<std::size_t>(submits));
    EXPECT_EQ(revisions.back(), static_cast<std::uint64_t>(submits));
    EXPECT_EQ(last, 1.0 + submits);
}

TEST(Evaluator, resultIsThatOfTheCoreAndKeepsItsPurpose) {
    app::Evaluator evaluator;
    std::shared_ptr<const app::Evaluated> got;
    QObject::connect(&evaluator,
                     &app::Evaluator::ready,
                     &evaluator,
                     [&](const std::shared_ptr<const app::Evaluated>& result) { got = result; });
    const auto wait = [&] {
        ASSERT_TRUE(QTest::qWaitFor([&] { return !evaluator.busy(); }, 20000));
    };
    evaluator.submit(demoJob(), app::Purpose::present);
    wait();
    EXPECT_EQ(got->purpose, app::Purpose::present);
    EXPECT_EQ(got->evaluation.cabinets.front().sum,
              evaluation::evaluate(demoJob()).cabinets.front().sum);
    const auto assembly = got->assembly;
    evaluator.submit(withR2(8.2), app::Purpose::preview);
    wait();
    EXPECT_EQ(got->purpose, app::Purpose::preview);
    EXPECT_EQ(got->evaluation.cabinets.front().sum,
              evaluation::evaluate(withR2(8.2)).cabinets.front().sum);
    EXPECT_EQ(got->assembly, assembly) << "the same measurements are brought onto the axis once";
    evaluator.submit(edited(demoJob(), edit::trustTake("take-2", {100.0, 1000.0})),
                     app::Purpose::present);
    wait();
    EXPECT_NE(got->assembly, assembly);
}

TEST(Evaluator, endsWhileWorkWaits) {
    for (int i = 0; i < 20; ++i) {
        app::Evaluator evaluator;
        evaluator.submit(demoJob(), app::Purpose::present);
        evaluator.submit(withR2(5.0), app::Purpose::present);
    }
}

} // namespace yf::test
