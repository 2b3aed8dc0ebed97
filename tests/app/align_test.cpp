// SPDX-License-Identifier: GPL-3.0-or-later
// Align by hand: dial and pairs, flipping, dragging a driver on the Front, what helps.
#include "app/align/align_stage.h"
#include "app/align/angle_view.h"
#include "app/align/dial_view.h"
#include "app/front/front_view.h"
#include "app/plots/plot.h"
#include "tests/support/test_window.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QRegularExpression>
#include <QTableWidget>
#include <QTest>
#include <QToolButton>

#include <cmath>

namespace yf::test {

namespace {

class AlignTest : public HallTest {
protected:
    void SetUp() override {
        HallTest::SetUp();
        window->chooseCabinet(QStringLiteral("left"));
        window->chooseStage(QStringLiteral("align"));
        settle();
    }

    app::DialView* dial() { return find<app::DialView>("dial"); }

    QString figures() { return find<QLabel>("align_figures")->text(); }

    const job::Cabinet& cabinet() { return *job::findCabinet(job(), "left"); }

    const job::Mount& tweeter() {
        return *std::ranges::find(cabinet().mounts, "left-teasel", &job::Mount::driver);
    }

    /// Waits for what is computed aside.
    void waitForHelps() {
        auto* stage = window->findChild<app::AlignStage*>();
        constexpr int most = 30000;
        ASSERT_TRUE(QTest::qWaitFor([stage] { return !stage->working(); }, most));
        settle();
    }
};

} // namespace

TEST_F(AlignTest, theWrongTweeterIsSaidAndTurnedOver) {
    // The highest pair is in sight, at its crossover.
    EXPECT_TRUE(figures().contains(QStringLiteral("▲"))) << figures().toStdString();
    EXPECT_TRUE(figures().contains(QStringLiteral("wiring")));
    const auto before = evaluation::evaluate(job()).find("left")->corridor->deviation;
    EXPECT_EQ(find<QPushButton>("align_flip_upper")->text(), QStringLiteral("Reverse Teasel 26"));
    click(find<QPushButton>("align_flip_upper"));
    settle();
    EXPECT_TRUE(figures().contains(QStringLiteral("✓"))) << figures().toStdString();
    EXPECT_LT(evaluation::evaluate(job()).find("left")->corridor->deviation, before - 3.0);
    // The other pair.
    click(find<QToolButton>("align_pair_0"));
    settle();
    EXPECT_TRUE(figures().contains(QStringLiteral("596"))) << figures().toStdString();
    press(Qt::Key_Z, Qt::ControlModifier);
    settle();
    click(find<QToolButton>("align_pair_1"));
    EXPECT_TRUE(figures().contains(QStringLiteral("▲")));
}

TEST_F(AlignTest, theDialFollowsTheCrosshairAndFlips) {
    const QString there = dial()->accessibleName();
    auto* response = find<app::Plot>("align_response");
    response->setFocus();
    press(Qt::Key_Right, Qt::ControlModifier);
    EXPECT_NE(dial()->accessibleName(), there);
    const QPointF tip = dial()->tipOf(2);
    const int polarity = network::driverEnds(cabinet().circuit)[2].polarity;
    QTest::mouseClick(dial(), Qt::LeftButton, {}, tip.toPoint());
    settle();
    EXPECT_EQ(network::driverEnds(cabinet().circuit)[2].polarity, -polarity);
    dial()->setFocus();
    press(Qt::Key_3);
    settle();
    EXPECT_EQ(network::driverEnds(cabinet().circuit)[2].polarity, polarity);
}

TEST_F(AlignTest, aDriverIsDraggedOnTheFrontAndEverythingFollows) {
    click(find<QToolButton>("align_tab_angles"));
    settle();
    auto* map = find<app::AngleView>("angle_map");
    auto* front = window->findChild<app::FrontView*>();
    const double before = map->levelAt(5000.0, 0.5);
    const double y = tweeter().y;
    const QPoint from = *front->placeOf("left-teasel");
    QTest::mousePress(front, Qt::LeftButton, {}, from);
    QTest::mouseMove(front, from + QPoint(0, 12));
    QTest::mouseMove(front, from + QPoint(0, 20));
    QTest::mouseRelease(front, Qt::LeftButton, {}, from + QPoint(0, 20));
    settle();
    EXPECT_LT(tweeter().y, y - 0.01);
    ASSERT_TRUE(tweeter().taken.has_value());
    EXPECT_EQ(tweeter().taken->y, y);
    EXPECT_NE(map->levelAt(5000.0, 0.5), before);
    // One step of the history.
    press(Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_EQ(tweeter().y, y);
    EXPECT_FALSE(tweeter().taken.has_value());
    // By keys: Ctrl and the arrows.
    window->chooseDriver(QStringLiteral("left-teasel"));
    front->setFocus();
    press(Qt::Key_Down, Qt::ControlModifier | Qt::ShiftModifier);
    settle();
    EXPECT_NEAR(tweeter().y, y - 0.01, 1e-9);
    EXPECT_EQ(window->document()->history().undoName(), "Move Teasel 26");
    // Elsewhere the Front does not move anything.
    window->chooseStage(QStringLiteral("network"));
    settle();
    const double now = tweeter().y;
    QTest::mousePress(front, Qt::LeftButton, {}, *front->placeOf("left-teasel"));
    QTest::mouseMove(front, *front->placeOf("left-teasel") + QPoint(0, 30));
    QTest::mouseRelease(front, Qt::LeftButton, {}, from);
    settle();
    EXPECT_EQ(tweeter().y, now);
}

TEST_F(AlignTest, theSeatIsTypedAndTheMapTurned) {
    click(find<QToolButton>("align_tab_angles"));
    settle();
    write("align_distance", "3 m");
    settle();
    EXPECT_EQ(cabinet().seat.distance, 3.0);
    EXPECT_EQ(job::findCabinet(job(), "right")->seat.distance, 3.0);
    write("align_distance", "90 m"); // out of range: said, the last good value stays
    settle();
    EXPECT_EQ(cabinet().seat.distance, 3.0);
    EXPECT_FALSE(find<QLabel>("align_angles_said")->text().isEmpty());
    auto* map = find<app::AngleView>("angle_map");
    const QString vertical = map->accessibleName();
    find<QComboBox>("align_plane")->setCurrentIndex(1);
    EXPECT_NE(map->accessibleName(), vertical);
    // Turned, left and right differ by the sides of the drivers; ahead it is nought everywhere.
    EXPECT_NEAR(map->levelAt(3000.0, 0.0), 0.0, 1e-9);
    EXPECT_NE(find<app::Plot>("align_response")->trace(QStringLiteral("ear_sitting")), nullptr);
}

TEST_F(AlignTest, whatHelpsIsLookedAtAndMade) {
    const network::Circuit before = cabinet().circuit;
    click(find<QToolButton>("align_tab_helps"));
    waitForHelps();
    auto* table = find<QTableWidget>("helps_table");
    ASSERT_GT(table->rowCount(), 0);
    EXPECT_EQ(table->item(0, 0)->text(), QStringLiteral("Reverse Teasel 26"));
    table->setFocus();
    table->setCurrentCell(0, 0);
    settle();
    // Looked at, not made; the present stays as a ghost.
    EXPECT_NE(find<app::Plot>("align_response")->trace(QStringLiteral("present")), nullptr);
    EXPECT_EQ(cabinet().circuit, before);
    press(Qt::Key_Return);
    waitForHelps();
    EXPECT_NE(cabinet().circuit, before);
    EXPECT_EQ(window->document()->history().undoName(), "Reverse Teasel 26");
    EXPECT_TRUE(table->rowCount() == 0 ||
                table->item(0, 0)->text() != QStringLiteral("Reverse Teasel 26"));
}

// The front's edges and the floor: what is added and taken off are each other's inverse about the
// curve as it was taken, and the foot says which.
TEST_F(AlignTest, frontAndFloorAreAddedAndTakenOff) {
    click(find<QToolButton>("align_tab_angles"));
    settle();
    auto* response = find<app::Plot>("align_response");
    const auto heard = [&] {
        const app::Trace* trace = response->trace(QStringLiteral("ear_sitting"));
        return trace == nullptr ? QVector<double>{} : trace->values;
    };
    const auto bare = heard();
    ASSERT_GT(bare.size(), 50);
    for (const char* name : {"align_front", "align_floor"}) {
        auto* box = find<QComboBox>(name);
        box->setCurrentIndex(1);
        settle();
        const auto added = heard();
        EXPECT_TRUE(response->footText().contains(QStringLiteral("added")));
        box->setCurrentIndex(2);
        settle();
        const auto off = heard();
        EXPECT_TRUE(response->footText().contains(QStringLiteral("taken off")));
        double most = 0.0;
        for (int k = 0; k < bare.size(); ++k) {
            most = std::max(most, std::abs(added[k] - bare[k]));
            if (name == std::string("align_floor")) {
                EXPECT_NEAR(added[k] + off[k], 2.0 * bare[k], 1e-9);
            }
        }
        EXPECT_GT(most, 2.0) << name;
        box->setCurrentIndex(0);
        settle();
        EXPECT_EQ(heard(), bare);
    }
}

// The take that would settle a pair's arrival is a press away, with both drivers chosen.
TEST_F(AlignTest, theTakeThatIsWantedIsAPressAway) {
    click(find<QToolButton>("align_tab_arrival"));
    settle();
    const auto buttons =
        find<QWidget>("stage_align")
            ->findChildren<QToolButton*>(QRegularExpression(QStringLiteral("^align_record_")));
    ASSERT_FALSE(buttons.empty());
    const QString words = buttons.front()->text();
    click(buttons.front());
    settle();
    EXPECT_TRUE(find<QWidget>("stage_measure")->isVisible());
    auto* wanted = find<QComboBox>("record_wanted");
    auto* partner = find<QComboBox>("record_partner");
    EXPECT_TRUE(wanted->isVisible());
    EXPECT_TRUE(words.contains(partner->currentText())) << words.toStdString();
    EXPECT_TRUE(wanted->currentText().contains(QStringLiteral("together")))
        << wanted->currentText().toStdString();
}

TEST_F(AlignTest, arrivalStandsBesideItsDoubts) {
    click(find<QToolButton>("align_tab_arrival"));
    settle();
    const QString said = find<QLabel>("align_arrival")->text();
    EXPECT_TRUE(said.contains(QStringLiteral("Teasel 26 after Sorrel 130"))) << said.toStdString();
    EXPECT_TRUE(said.contains(QStringLiteral("±")));
    EXPECT_TRUE(said.contains(QStringLiteral("needs")));
}

} // namespace yf::test
