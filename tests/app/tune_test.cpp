// SPDX-License-Identifier: GPL-3.0-or-later
// The network tuned by machine through its own controls: looked at as it comes, stopped, taken in
// one step, undone.
#include "app/crossover/lanes_view.h"
#include "app/crossover/part_tile.h"
#include "app/crossover/tune_bar.h"
#include "app/plots/plot.h"
#include "core/network/circuit/line_edit.h"
#include "tests/support/test_window.h"

#include <QAction>
#include <QCheckBox>
#include <QComboBox>
#include <QElapsedTimer>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTest>
#include <QToolButton>

#include <cmath>

namespace yf::test {

namespace {

class TuneTest : public HallTest {
protected:
    void SetUp() override {
        HallTest::SetUp();
        window->chooseCabinet(QStringLiteral("left"));
        window->chooseStage(QStringLiteral("network"));
        settle();
        click(find<QToolButton>("network_tab_machine"));
    }

    app::TuneBar* bar() { return window->findChild<app::TuneBar*>(); }

    void tuneToTheEnd() {
        click(find<QPushButton>("tune_start"));
        constexpr int most = 60000; // ms
        EXPECT_TRUE(QTest::qWaitFor([this] { return !bar()->running(); }, most));
        settle();
    }

    network::Circuit circuit() { return job::findCabinet(job(), "left")->circuit; }

    QString told() { return find<QLabel>("tune_told")->text(); }
};

} // namespace

TEST_F(TuneTest, isLookedAtTakenAndUndone) {
    const network::Circuit before = circuit();
    const QString line0 = line("corridor");
    tuneToTheEnd();
    // Shown, not yet the network.
    EXPECT_EQ(circuit(), before);
    EXPECT_TRUE(find<QPushButton>("tune_take")->isVisible());
    EXPECT_TRUE(told().contains(QStringLiteral("before"))) << told().toStdString();
    click(find<QPushButton>("tune_take"));
    settle();
    EXPECT_NE(circuit(), before);
    for (const network::Part& part : network::parts(circuit())) {
        const auto old = network::findPart(before, part.id);
        EXPECT_TRUE(part.value == old->value ||
                    part.value == network::nearestValue(part.value, network::ESeries::E12))
            << part.id;
    }
    const auto result = evaluation::evaluate(job()).find("left");
    EXPECT_LT(result->corridor->deviation, 1.5);
    EXPECT_GE(result->leastImpedance->ohms, 3.2 * 0.999);
    EXPECT_FALSE(find<QPushButton>("tune_take")->isVisible());
    press(Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_EQ(circuit(), before);
    EXPECT_EQ(line("corridor"), line0);
}

TEST_F(TuneTest, partsLeftOutAreSaidShownAndTakenInOneStep) {
    auto* sparing = find<QComboBox>("tune_sparing");
    auto* most = find<QLineEdit>("tune_may_cost");
    EXPECT_FALSE(most->isEnabled());
    sparing->setCurrentIndex(1);
    EXPECT_TRUE(most->isEnabled());
    write("tune_may_cost", "nonsense");
    EXPECT_FALSE(told().isEmpty()) << "what is wrong with it";
    write("tune_may_cost", "0.3");
    EXPECT_EQ(most->text(), QStringLiteral("0.3\u202FdB"));
    const network::Circuit before = circuit();
    tuneToTheEnd();
    EXPECT_TRUE(told().contains(QStringLiteral("Left out"))) << told().toStdString();
    EXPECT_TRUE(told().contains(QStringLiteral("Price"))) << told().toStdString();
    EXPECT_EQ(circuit(), before);
    click(find<QPushButton>("tune_take"));
    settle();
    EXPECT_LT(network::parts(circuit()).size(), network::parts(before).size());
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_EQ(circuit(), before);
    // Few parts changed: nothing is left out.
    find<QComboBox>("tune_changes")->setCurrentIndex(1);
    EXPECT_FALSE(sparing->isEnabled());
}

TEST_F(TuneTest, gainsAndDelaysAreTunedWithOwnAmplifiers) {
    EXPECT_FALSE(find<QCheckBox>("tune_filters")->isVisible());
    click(find<QCheckBox>("own_amplifiers"));
    settle();
    EXPECT_TRUE(find<QCheckBox>("tune_filters")->isVisible());
    EXPECT_TRUE(find<QCheckBox>("tune_filters")->isChecked());
    tuneToTheEnd();
    EXPECT_EQ(network::lineOf(circuit(), 2), network::Line{});
    click(find<QPushButton>("tune_take"));
    settle();
    const auto line = network::lineOf(circuit(), 2);
    ASSERT_TRUE(line);
    EXPECT_TRUE(line->gain != 0.0 || line->delay != 0.0);
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_EQ(network::lineOf(circuit(), 2), network::Line{});
}

TEST_F(TuneTest, stopLeavesAllAsItWasAtOnce) {
    const network::Circuit before = circuit();
    find<QComboBox>("tune_changes")->setCurrentIndex(3); // longest: every choice of three
    click(find<QPushButton>("tune_start"));
    QTest::qWait(60);
    ASSERT_TRUE(bar()->running());
    QElapsedTimer since;
    since.start();
    click(find<QPushButton>("tune_start"));
    EXPECT_FALSE(bar()->running());
    EXPECT_LT(since.elapsed(), 100);
    settle();
    EXPECT_EQ(circuit(), before);
    EXPECT_FALSE(find<QPushButton>("tune_take")->isVisible());
    // And again from the start.
    find<QComboBox>("tune_changes")->setCurrentIndex(1);
    tuneToTheEnd();
    EXPECT_TRUE(told().contains(QStringLiteral("What each buys"))) << told().toStdString();
    click(find<QPushButton>("tune_leave"));
    settle();
    EXPECT_EQ(circuit(), before);
    EXPECT_EQ(told(), QString());
}

TEST_F(TuneTest, theChosenPartTellsItsReach) {
    auto* reach = find<QLabel>("network_reach");
    EXPECT_TRUE(reach->text().startsWith(QStringLiteral("Choose")));
    const auto told = [&] { return reach->text(); };
    window->findChild<app::LanesView*>()->tile("C3")->setFocus();
    settle(); // it is computed aside
    EXPECT_TRUE(told().startsWith(QStringLiteral("C3: 10 %"))) << told().toStdString();
    const QString before = told();
    wheel(window->findChild<app::LanesView*>()->tile("C3"), 3);
    settle();
    EXPECT_NE(told(), before);
    window->findChild<app::LanesView*>()->tile("L1")->setFocus();
    settle();
    EXPECT_TRUE(told().startsWith(QStringLiteral("L1: 10 %"))) << told().toStdString();
}

TEST_F(TuneTest, aFloorOutOfReachIsSaidAndNothingOffered) {
    write("tune_floor", "30");
    tuneToTheEnd();
    EXPECT_TRUE(told().startsWith(QStringLiteral("▲")));
    EXPECT_FALSE(find<QPushButton>("tune_take")->isVisible());
}

TEST_F(TuneTest, anotherNetworkEndsTheSearch) {
    find<QComboBox>("tune_changes")->setCurrentIndex(3);
    click(find<QPushButton>("tune_start"));
    QTest::qWait(60);
    window->chooseCabinet(QStringLiteral("right"));
    settle();
    EXPECT_FALSE(bar()->running());
}

} // namespace yf::test
