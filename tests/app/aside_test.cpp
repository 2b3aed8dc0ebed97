// SPDX-License-Identifier: GPL-3.0-or-later
// Work off the window's thread: what waits, what is heard, what ends.
#include "app/widgets/aside.h"

#include <QTest>

#include <gtest/gtest.h>

#include <future>

namespace yf::test {

namespace {

using app::Aside;

constexpr int patience = 20000; // ms

/// Work that holds on until it is let go, then hands over a number.
class Held {
public:
    Aside::Work work(int number, std::vector<int>& into) {
        return [go = go_, begun = begun_, number, &into](Aside::Link& /*link*/) -> Aside::Delivery {
            *begun = true;
            go.wait();
            return [number, &into] { into.push_back(number); };
        };
    }

    [[nodiscard]] bool begun() const { return *begun_; }

    void letGo() { promise_.set_value(); }

private:
    std::promise<void> promise_;
    std::shared_future<void> go_ = promise_.get_future().share();
    std::shared_ptr<std::atomic<bool>> begun_ = std::make_shared<std::atomic<bool>>(false);
};

Aside::Work atOnce(int number, std::vector<int>& into) {
    return [number, &into](Aside::Link& /*link*/) -> Aside::Delivery {
        return [number, &into] { into.push_back(number); };
    };
}

/// Goes on until it is told to stop.
void untilStopped(Aside::Link& link) {
    while (link.goesOn()) {
        std::this_thread::yield();
    }
}

} // namespace

TEST(Aside, whatGoesOnIsHeardAndOfThoseThatWaitTheNewest) {
    std::vector<int> heard;
    int ends = 0;
    Aside aside;
    QObject::connect(&aside, &Aside::finished, [&] { ++ends; });
    Held first;
    aside.ask(first.work(1, heard));
    ASSERT_TRUE(QTest::qWaitFor([&] { return first.begun(); }, patience));
    aside.ask(atOnce(2, heard));
    aside.ask(atOnce(3, heard));
    EXPECT_TRUE(aside.running());
    first.letGo();
    ASSERT_TRUE(QTest::qWaitFor([&] { return !aside.running(); }, patience));
    EXPECT_EQ(heard, (std::vector{1, 3}));
    EXPECT_EQ(ends, 1) << "of the newest";
}

TEST(Aside, aThingAskedForWhileOneIsHandedOverIsDone) {
    std::vector<int> heard;
    Aside aside;
    aside.ask([&](Aside::Link& /*link*/) -> Aside::Delivery {
        return [&] {
            heard.push_back(1);
            aside.ask(atOnce(2, heard));
        };
    });
    ASSERT_TRUE(QTest::qWaitFor([&] { return heard.size() == 2U; }, patience));
    EXPECT_FALSE(aside.running());
}

TEST(Aside, nothingIsHeardOfWhatWasStopped) {
    std::vector<int> heard;
    Aside aside;
    Held first;
    aside.ask(first.work(1, heard));
    ASSERT_TRUE(QTest::qWaitFor([&] { return first.begun(); }, patience));
    aside.ask(atOnce(2, heard));
    aside.stop();
    EXPECT_FALSE(aside.running());
    first.letGo();
    aside.ask(atOnce(3, heard));
    ASSERT_TRUE(QTest::qWaitFor([&] { return !aside.running(); }, patience));
    EXPECT_EQ(heard, std::vector{3});
}

TEST(Aside, beginningTellsTheOneBeforeToStop) {
    Aside aside;
    int ends = 0;
    QObject::connect(&aside, &Aside::finished, [&] { ++ends; });
    aside.begin(untilStopped);
    bool done = false;
    aside.begin([&](Aside::Link& /*link*/) { done = true; });
    ASSERT_TRUE(QTest::qWaitFor([&] { return !aside.running(); }, patience));
    EXPECT_TRUE(done);
    EXPECT_EQ(ends, 1);
}

TEST(Aside, waitingEndsTheWorkAndStillHearsIt) {
    Aside aside;
    int ends = 0;
    QObject::connect(&aside, &Aside::finished, [&] { ++ends; });
    std::atomic<bool> begun = false;
    aside.begin([&](Aside::Link& link) {
        begun = true;
        untilStopped(link);
    });
    ASSERT_TRUE(QTest::qWaitFor([&] { return begun.load(); }, patience));
    aside.wait();
    aside.wait(); // of nothing
    ASSERT_TRUE(QTest::qWaitFor([&] { return ends == 1; }, patience));
}

TEST(Aside, goingAwayEndsTheWork) {
    std::vector<int> heard;
    {
        Aside aside;
        aside.begin(untilStopped);
        aside.ask(atOnce(1, heard));
    }
    QCoreApplication::processEvents();
    EXPECT_TRUE(heard.empty());
}

TEST(Aside, itTellsOnTheWaySeldomEnoughForAnEye) {
    Aside aside;
    int told = 0;
    int noted = 0; // the work's own until it has ended
    QObject::connect(&aside, &Aside::told, [&] { ++told; });
    aside.begin([&](Aside::Link& link) {
        QElapsedTimer timer;
        timer.start();
        while (timer.elapsed() < 700 && link.tell([&] { ++noted; })) {
            std::this_thread::yield();
        }
    });
    ASSERT_TRUE(QTest::qWaitFor([&] { return !aside.running(); }, patience));
    EXPECT_GE(noted, 1);
    EXPECT_LE(noted, 4) << "every 200 ms";
    EXPECT_EQ(told, noted);
}

} // namespace yf::test
