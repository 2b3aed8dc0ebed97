// SPDX-License-Identifier: GPL-3.0-or-later
// A three-way from nothing with the keyboard alone: a new job, tables, a start from the book, a
// part more, a value by hand, a driver turned over. No mouse, no call into the window
// that a person could not make.
#include "app/crossover/driver_end.h"
#include "app/crossover/part_tile.h"
#include "app/plots/plot.h"
#include "core/study/start.h"
#include "tests/support/test_window.h"

#include <QApplication>
#include <QComboBox>
#include <QMenu>
#include <QTest>

#include <cmath>

namespace yf::test {

namespace {

class KeyboardTest : public HallTest {
protected:
    /// Tab by Tab to a control; every one on the way must be reachable, and this one be among them.
    void tabTo(const char* name) {
        constexpr int most = 400;
        for (int i = 0; i < most; ++i) {
            QWidget* focus = QApplication::focusWidget();
            if (focus != nullptr && focus->objectName() == QLatin1String(name)) {
                return;
            }
            QTest::keyClick(focus == nullptr ? window.get() : focus, Qt::Key_Tab);
        }
        FAIL() << name << " is not reached by Tab";
    }

    void key(Qt::Key k, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        QWidget* focus = QApplication::focusWidget();
        QTest::keyClick(focus == nullptr ? window.get() : focus, k, modifiers);
    }

    void retype(const char* field, const char* text) {
        tabTo(field);
        key(Qt::Key_A, Qt::ControlModifier);
        type(text);
    }

    QString table(const char* name, const char* rows) {
        return QString::fromStdString(folder.write(name, rows));
    }

    const network::Circuit& circuit() { return job().cabinets.front().circuit; }
};

} // namespace

TEST_F(KeyboardTest, aThreeWayFromNothing) {
    const QStringList files{
        table("oak spl.csv",
              "freq,spl,phase\n20,70,90\n60,86,20\n500,87,-20\n3000,84,-60\n20000,50,-90\n"),
        table("oak z.csv", "freq,ohm,phase\n20,6,20\n45,30,0\n200,6,0\n2000,9,35\n20000,20,45\n"),
        table("elm spl.csv",
              "freq,spl,phase\n20,40,90\n200,85,30\n1000,89,0\n8000,86,-40\n20000,60,-90\n"),
        table("elm z.csv",
              "freq,ohm,phase\n20,6,5\n150,18,0\n1000,6.5,5\n8000,9,25\n20000,14,40\n"),
        table("ash spl.csv",
              "freq,spl,phase\n20,20,90\n1000,82,50\n3000,91,0\n10000,91,-10\n20000,88,-30\n"),
        table("ash z.csv",
              "freq,ohm,phase\n20,5,2\n900,12,0\n3000,5.5,5\n10000,6,10\n20000,7,15\n")};
    QTest::keyClick(window.get(), Qt::Key_N, Qt::ControlModifier);
    retype("new_title", "Orchard");
    tabTo("new_ways");
    key(Qt::Key_Down);
    retype("new_driver_0", "Oak");
    retype("new_driver_1", "Elm");
    retype("new_driver_2", "Ash");
    ask.write = QString::fromStdString(folder.path("Orchard.yfjob"));
    tabTo("new_make");
    key(Qt::Key_Space);
    settle();
    ASSERT_EQ(job().title, "Orchard");
    ASSERT_EQ(network::driverEnds(circuit()).size(), 3U);
    EXPECT_TRUE(network::parts(circuit()).empty());
    // The tables, each known by its driver's name.
    ask.open = files;
    QTest::keyClick(window.get(), Qt::Key_I, Qt::ControlModifier);
    tabTo("import_take");
    key(Qt::Key_Space);
    settle();
    QTest::keyClick(window.get(), Qt::Key_5, Qt::ControlModifier);
    settle();
    // Second order at 500 Hz and 3.2 kHz, levels padded.
    tabTo("network_tab_book");
    key(Qt::Key_Space);
    tabTo("start_order");
    key(Qt::Key_Up);
    key(Qt::Key_Up);
    retype("start_fx", "500");
    retype("start_fx_2", "3k2");
    tabTo("start_pad");
    key(Qt::Key_Space);
    tabTo("start_take");
    key(Qt::Key_Space);
    settle();
    const auto started =
        study::startedNetwork(job(),
                              job().cabinets.front(),
                              {.order = 2, .fx = 500.0, .upper = {3200.0}, .padLevels = true});
    ASSERT_TRUE(started.ok());
    EXPECT_EQ(circuit(), *started);
    const auto count = network::parts(circuit()).size();
    EXPECT_GE(count, 10U);
    // A value by hand.
    tabTo("tile_L1");
    type("3.3mH");
    key(Qt::Key_Return);
    settle();
    EXPECT_DOUBLE_EQ(network::findPart(circuit(), "L1")->value, 3.3e-3);
    // A part more behind it: the sixth choice of the menu, a resistor across the way.
    tabTo("tile_L1");
    key(Qt::Key_Insert);
    auto* menu = find<QMenu>("insert_menu");
    ASSERT_TRUE(menu->isVisible());
    for (int down = 0; down < 6; ++down) {
        QTest::keyClick(menu, Qt::Key_Down);
    }
    QTest::keyClick(menu, Qt::Key_Return);
    // What a window manager does when a menu shuts.
    window->activateWindow();
    settle();
    EXPECT_EQ(network::parts(circuit()).size(), count + 1);
    // The tweeter turned over at its end of the lane.
    const int before = network::driverEnds(circuit())[2].polarity;
    tabTo("driver_ash");
    key(Qt::Key_Space);
    settle();
    EXPECT_EQ(network::driverEnds(circuit())[2].polarity, -before);
    const auto* sum = find<app::Plot>("plot_response")->trace(QStringLiteral("sum"));
    ASSERT_NE(sum, nullptr);
    EXPECT_FALSE(sum->values.isEmpty());
    // And all of it back.
    for (int i = 0; i < 4; ++i) {
        QTest::keyClick(window.get(), Qt::Key_Z, Qt::ControlModifier);
    }
    settle();
    EXPECT_TRUE(network::parts(circuit()).empty());
}

} // namespace yf::test
