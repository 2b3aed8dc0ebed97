// SPDX-License-Identifier: GPL-3.0-or-later
// What stands in a lane beside parts, by hand: filters before amplifiers, level controls, own
// parts, the plans of the book.
#include "app/crossover/line_tile.h"
#include "app/crossover/part_tile.h"
#include "core/study/start.h"
#include "tests/support/test_window.h"

#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QFile>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QTest>
#include <QToolButton>

namespace yf::test {

namespace {

class LanesTest : public HallTest {
protected:
    void SetUp() override {
        HallTest::SetUp();
        window->chooseCabinet(QStringLiteral("left"));
        window->chooseStage(QStringLiteral("network"));
        settle();
    }

    const network::Circuit& circuit() { return job::findCabinet(job(), "left")->circuit; }

    void choose(const char* action) {
        auto* menu = find<QMenu>("insert_menu");
        auto* wanted = menu->findChild<QAction*>(QLatin1String(action));
        ASSERT_NE(wanted, nullptr) << action;
        wanted->trigger();
        menu->hide();
        window->activateWindow(); // offscreen nobody gives back what a popup took
        ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
        settle();
    }

    /// Types into the tile that has the focus.
    void typeAndEnter(const char* text) {
        type(text);
        press(Qt::Key_Return);
        settle();
    }
};

} // namespace

TEST_F(LanesTest, anAmplifierForEachWayWithFiltersBeforeIt) {
    const network::Circuit before = circuit();
    click(find<QCheckBox>("own_amplifiers"));
    settle();
    ASSERT_TRUE(network::ownAmplifiers(circuit()));
    click(find<QAbstractButton>("insert_filter_2"));
    choose("filter_high_pass");
    ASSERT_EQ(network::lineOf(circuit(), 2)->filters.size(), 1U);
    // The new one has the focus: figures go straight into it.
    auto* tile = find<app::LineTile>("line_2_0");
    ASSERT_TRUE(tile->hasFocus());
    typeAndEnter("2k8 bw3");
    const auto filter = network::lineOf(circuit(), 2)->filters.front();
    EXPECT_EQ(filter.f0, 2800.0);
    EXPECT_EQ(filter.alignment, network::Alignment::butterworth);
    EXPECT_EQ(filter.order, 3);
    EXPECT_EQ(window->document()->history().undoName(), "Change to high-pass 2.8\u202FkHz BW3");
    // Wrong input is said beside the field, and the last good value stays.
    type("2k8 -3 dB");
    press(Qt::Key_Return);
    EXPECT_TRUE(find<QLabel>("part_problem")->isVisible());
    EXPECT_TRUE(find<QLabel>("part_problem")->text().contains(QStringLiteral("peaks")));
    press(Qt::Key_Escape);
    EXPECT_EQ(network::lineOf(circuit(), 2)->filters.front(), filter);
    press(Qt::Key_Up);
    settle();
    EXPECT_NEAR(network::lineOf(circuit(), 2)->filters.front().f0, 2966.5, 0.1);
    // The amplifier: gain and delay.
    auto* amplifier = find<app::LineTile>("line_2_gain");
    amplifier->setFocus();
    typeAndEnter("-3 dB 0.2 ms");
    EXPECT_EQ(network::lineOf(circuit(), 2)->gain, -3.0);
    EXPECT_NEAR(network::lineOf(circuit(), 2)->delay, 2e-4, 1e-15);
    EXPECT_TRUE(amplifier->accessibleName().contains(QStringLiteral("0.2")) ||
                amplifier->accessibleName().contains(QStringLiteral("200")))
        << amplifier->accessibleName().toStdString();
    find<app::LineTile>("line_2_0")->setFocus();
    press(Qt::Key_Backspace);
    settle();
    EXPECT_TRUE(network::lineOf(circuit(), 2)->filters.empty());
    // Its filters go out as a table.
    click(find<QToolButton>("network_tab_parts"));
    settle();
    ask.write = QString::fromStdString(folder.path("filters.csv"));
    EXPECT_TRUE(find<QPushButton>("parts_filters")->isVisible());
    click(find<QPushButton>("parts_filters"));
    EXPECT_TRUE(QFile::exists(ask.write));
    click(find<QToolButton>("network_tab_lanes"));
    click(find<QCheckBox>("own_amplifiers"));
    settle();
    EXPECT_EQ(circuit(), before);
}

TEST_F(LanesTest, aLevelControlAsFoundBecomesFixedResistors) {
    const std::size_t parts = network::parts(circuit()).size();
    click(find<QAbstractButton>("insert_2_0"));
    choose("insert_control_pad");
    auto* tile = find<app::ControlTile>("control_P1");
    ASSERT_TRUE(tile->hasFocus());
    typeAndEnter("8 60 %");
    ASSERT_EQ(network::controls(circuit()).size(), 1U);
    EXPECT_EQ(network::controls(circuit()).front().position, 0.6);
    press(Qt::Key_Down);
    settle();
    EXPECT_NEAR(network::controls(circuit()).front().position, 0.55, 1e-12);
    press(Qt::Key_Return); // its menu
    choose("control_fix");
    EXPECT_TRUE(network::controls(circuit()).empty());
    EXPECT_EQ(network::parts(circuit()).size(), parts + 2);
    EXPECT_NE(qobject_cast<app::PartTile*>(QApplication::focusWidget()), nullptr);
}

TEST_F(LanesTest, theWheelGoesThroughTheDrawer) {
    click(find<QToolButton>("network_tab_parts"));
    settle();
    click(find<QToolButton>("parts_own"));
    auto* field = find<QLineEdit>("own_field");
    for (const char* text : {"2 x 8.2 uF", "C 15uF esr=0.1"}) {
        field->setFocus();
        type(text);
        press(Qt::Key_Return);
        settle();
    }
    EXPECT_EQ(job().stock.size(), 2U);
    type("6u8");
    press(Qt::Key_Return);
    EXPECT_TRUE(find<QLabel>("own_said")->text().startsWith(QChar(0x25B2)));
    EXPECT_EQ(job().stock.size(), 2U);
    click(find<QToolButton>("network_tab_lanes"));
    find<QComboBox>("wheel_series")->setCurrentIndex(6);
    auto* c3 = find<app::PartTile>("tile_C3"); // 6.8 µF
    c3->setFocus();
    press(Qt::Key_Up);
    settle();
    EXPECT_NEAR(network::findPart(circuit(), "C3")->value, 8.2e-6, 1e-15);
    press(Qt::Key_Up);
    settle();
    EXPECT_EQ(network::findPart(circuit(), "C3")->esr, 0.1);
    // Out of the drawer again.
    click(find<QToolButton>("network_tab_parts"));
    click(find<QToolButton>("own_0"));
    settle();
    EXPECT_EQ(job().stock.size(), 1U);
}

TEST_F(LanesTest, theBookHasPlansForThreeWays) {
    click(find<QToolButton>("network_tab_book"));
    auto* plan = find<QComboBox>("start_join");
    ASSERT_EQ(plan->count(), 4);
    plan->setCurrentIndex(2);
    Q_EMIT plan->activated(2);
    EXPECT_FALSE(find<QComboBox>("start_order")->isEnabled()); // a filler has its own
    EXPECT_FALSE(find<QWidget>("start_fx_2")->isVisible());
    settle();
    click(find<QPushButton>("start_take"));
    settle();
    EXPECT_EQ(network::parts(circuit()).size(), 6U);
    plan->setCurrentIndex(3);
    Q_EMIT plan->activated(3);
    settle();
    click(find<QPushButton>("start_take"));
    settle();
    EXPECT_TRUE(network::ownAmplifiers(circuit()));
    EXPECT_EQ(network::lineOf(circuit(), 0)->filters.size(), 2U); // low-pass and all-pass
    EXPECT_TRUE(find<QCheckBox>("own_amplifiers")->isChecked());
}

} // namespace yf::test
