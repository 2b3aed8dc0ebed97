// SPDX-License-Identifier: GPL-3.0-or-later
// Whole networks found through the stage's own controls; the parts page and the states drawn beside
// the present one.
#include "app/crossover/diagram.h"
#include "app/crossover/find_page.h"
#include "app/crossover/lanes_view.h"
#include "app/crossover/part_tile.h"
#include "app/plots/plot.h"
#include "core/evaluation/assemble.h"
#include "core/study/align.h"
#include "tests/support/test_window.h"

#include <QComboBox>
#include <QElapsedTimer>
#include <QFile>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QTableWidget>
#include <QTest>
#include <QToolButton>

#include <cmath>

namespace yf::test {

namespace {

class FindTest : public HallTest {
protected:
    void SetUp() override {
        HallTest::SetUp();
        window->chooseCabinet(QStringLiteral("left"));
        window->chooseStage(QStringLiteral("network"));
        settle();
    }

    void open(const char* tab) {
        click(find<QToolButton>(tab));
        settle();
    }

    app::FindPage* page() { return window->findChild<app::FindPage*>(); }

    app::FrontChart* chart() { return window->findChild<app::FrontChart*>(); }

    /// Third order at most: quicker.
    void findToTheEnd() {
        open("network_tab_find");
        find<QComboBox>("find_order")->setCurrentIndex(1);
        click(find<QPushButton>("find_start"));
        constexpr int most = 120000; // ms
        EXPECT_TRUE(QTest::qWaitFor([this] { return !page()->running(); }, most));
        settle();
    }

    const job::Cabinet& cabinet() { return *job::findCabinet(job(), "left"); }

    QString told() { return find<QLabel>("find_told")->text(); }

    app::Plot* response() { return find<app::Plot>("plot_response"); }

    /// Level of the sum as drawn, about 3 kHz.
    double drawnLevel() {
        const app::Trace* sum = response()->trace(QStringLiteral("sum"));
        for (qsizetype k = 0; k < sum->values.size(); ++k) {
            if (sum->frequencies[k] > 3000.0) {
                return sum->values[k];
            }
        }
        return 0.0;
    }
};

} // namespace

TEST_F(FindTest, theFrontStaysInTheJobAndANetworkIsTaken) {
    const network::Circuit before = cabinet().circuit;
    findToTheEnd();
    ASSERT_TRUE(cabinet().found.has_value());
    const auto networks = cabinet().found->networks;
    ASSERT_GE(networks.size(), 3U);
    EXPECT_EQ(chart()->shown().networks, networks);
    EXPECT_EQ(cabinet().circuit, before);
    const double asReceived = drawnLevel();
    // How flat the listening window is stands beside it, and can be asked for.
    EXPECT_TRUE(QTest::qWaitFor([this] { return !page()->judging(); }));
    ASSERT_EQ(chart()->shown().windows.size(), networks.size());
    std::vector<network::Circuit> circuits;
    for (const job::FoundNetwork& n : networks) {
        circuits.push_back(n.circuit);
    }
    const auto windows =
        study::windowErrors(job(), cabinet(), evaluation::assemble(job()), circuits);
    for (std::size_t i = 0; i < networks.size(); ++i) {
        ASSERT_TRUE(windows[i].has_value());
        EXPECT_NEAR(*chart()->shown().windows[i], *windows[i], 1e-9);
    }
    // Under the pointer it is drawn, and gone again with the pointer.
    const auto last = networks.size() - 1;
    QTest::mouseMove(chart(), chart()->at(networks[last]).toPoint());
    settle();
    EXPECT_GT(drawnLevel(), asReceived + 2.0); // the dip of the crossover is gone

    EXPECT_EQ(cabinet().circuit, before);
    QTest::mouseMove(chart(), QPoint(chart()->width() - 3, chart()->height() - 3));
    settle();
    EXPECT_NEAR(drawnLevel(), asReceived, 1e-9);
    // Chosen with the keys, told why it is there.
    chart()->setFocus();
    press(Qt::Key_End);
    settle();
    EXPECT_EQ(chart()->shown().chosen, static_cast<int>(last));
    EXPECT_TRUE(told().contains(QStringLiteral("%1 parts").arg(networks[last].parts)))
        << told().toStdString();
    press(Qt::Key_Left);
    EXPECT_EQ(chart()->shown().chosen, static_cast<int>(last) - 1);
    // What is less flat beside the axis than asked for is passed over.
    find<QComboBox>("find_window")->setCurrentIndex(2); // to 1.5 dB
    press(Qt::Key_Home);
    settle();
    for (std::size_t i = 0; i < networks.size(); ++i) {
        const int was = chart()->shown().chosen;
        press(Qt::Key_Right);
        const int now = chart()->shown().chosen;
        EXPECT_TRUE(now == was || *windows[static_cast<std::size_t>(now)] <= 1.5) << now;
    }
    find<QComboBox>("find_window")->setCurrentIndex(0);
    press(Qt::Key_End);
    settle();
    click(find<QPushButton>("find_take"));
    settle();
    EXPECT_EQ(cabinet().circuit, networks[last].circuit);
    // By its own measure the job is what was promised: greatest distance from the target.
    const auto result = evaluation::evaluate(job()).find("left");
    EXPECT_NEAR(result->leastImpedance->ohms, networks[last].impedance, 0.01);
    press(Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_EQ(cabinet().circuit, before);
    press(Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_FALSE(cabinet().found.has_value());
    EXPECT_TRUE(chart()->shown().networks.empty());
}

TEST_F(FindTest, aNetworkIsKeptAsASnapshot) {
    const network::Circuit before = cabinet().circuit;
    findToTheEnd();
    chart()->setFocus();
    press(Qt::Key_Home);
    settle();
    const std::size_t count = window->document()->record().snapshots.size();
    const int chosen = chart()->shown().chosen;
    ASSERT_GE(chosen, 0);
    click(find<QPushButton>("find_keep"));
    settle();
    ASSERT_EQ(window->document()->record().snapshots.size(), count + 1);
    const job::Snapshot& kept = window->document()->record().snapshots.back();
    EXPECT_EQ(job::findCabinet(kept.job, "left")->circuit,
              cabinet().found->networks[static_cast<std::size_t>(chosen)].circuit);
    EXPECT_EQ(cabinet().circuit, before);
}

TEST_F(FindTest, stopLeavesTheJobAsItWasAtOnceAndGoesOn) {
    const job::Job before = job();
    open("network_tab_find");
    click(find<QPushButton>("find_start"));
    // In the midst of it: something is found already.
    constexpr int most = 30000; // ms
    ASSERT_TRUE(
        QTest::qWaitFor([this] { return told().contains(QStringLiteral("so far")); }, most));
    ASSERT_TRUE(page()->running());
    QElapsedTimer since;
    since.start();
    click(find<QPushButton>("find_start"));
    EXPECT_LT(since.elapsed(), 100);
    EXPECT_FALSE(page()->running());
    settle();
    EXPECT_EQ(job(), before);
    const auto found = chart()->shown().networks.size();
    EXPECT_GT(found, 0U);
    EXPECT_EQ(find<QPushButton>("find_start")->text(), QStringLiteral("Go on"));
    click(find<QPushButton>("find_start"));
    EXPECT_TRUE(page()->running());
    QTest::qWait(300);
    click(find<QPushButton>("find_start"));
    settle();
    EXPECT_GE(chart()->shown().networks.size() + 1, found);
    EXPECT_EQ(job(), before);
}

TEST_F(FindTest, aFloorOutOfReachIsSaid) {
    open("network_tab_find");
    find<QComboBox>("find_order")->setCurrentIndex(0);
    write("find_floor", "60");
    click(find<QPushButton>("find_start"));
    constexpr int most = 120000;
    EXPECT_TRUE(QTest::qWaitFor([this] { return !page()->running(); }, most));
    settle();
    EXPECT_TRUE(told().startsWith(QStringLiteral("▲"))) << told().toStdString();
    EXPECT_FALSE(cabinet().found.has_value());
}

// What is shown is what the command line's core says, and heat goes with the square of the drive.
TEST_F(FindTest, thePartsPageTellsHeatWindingsAndTolerances) {
    open("network_tab_parts");
    auto* table = find<QTableWidget>("parts_table");
    ASSERT_EQ(table->rowCount(), 11);
    const auto cell = [&](const QString& part, int column) {
        for (int row = 0; row < table->rowCount(); ++row) {
            if (table->item(row, 0)->text() == part) {
                return table->item(row, column)->text();
            }
        }
        return QString();
    };
    EXPECT_EQ(cell(QStringLiteral("L1"), 1), QStringLiteral("low"));
    EXPECT_TRUE(cell(QStringLiteral("L1"), 4).contains(QStringLiteral("wire")));
    const double heat = cell(QStringLiteral("R1"), 5).toDouble();
    EXPECT_GT(heat, 0.1);
    write("parts_drive", "25.2");
    EXPECT_NEAR(cell(QStringLiteral("R1"), 5).toDouble(), 4.0 * heat, 0.03);
    const QString said = find<QLabel>("parts_summary")->text();
    EXPECT_TRUE(said.startsWith(QStringLiteral("11 parts"))) << said.toStdString();
    EXPECT_TRUE(said.contains(QStringLiteral("300 cabinets"))) << said.toStdString();
    // Dearer coils: the list is the job's, and undone like anything else.
    click(find<QToolButton>("parts_prices"));
    const double price = cell(QStringLiteral("L1"), 8).toDouble();
    write("price_2", "13"); // 3.3 mH, ten more for each
    settle();
    EXPECT_DOUBLE_EQ(job().prices.coilPerMillihenry, 13.0);
    EXPECT_NEAR(cell(QStringLiteral("L1"), 8).toDouble(), price + 33.0, 0.01);
    // Enter on a line leads to the part.
    table->setFocus();
    table->setCurrentCell(2, 0);
    press(Qt::Key_Return);
    settle();
    EXPECT_FALSE(table->isVisible());
}

TEST_F(FindTest, filesForTheBench) {
    open("network_tab_parts");

    const struct {
        const char* button;
        const char* name;
        const char* holds;
    } files[] = {{"parts_list", "parts.csv", "id,way,kind"},
                 {"parts_netlist", "net.cir", ".subckt"},
                 {"parts_svg", "wiring.svg", "<svg"},
                 {"parts_pdf", "wiring.pdf", "%PDF"}};

    for (const auto& file : files) {
        ask.write = QString::fromStdString(folder.path(file.name));
        click(find<QPushButton>(file.button));
        QFile written(ask.write);
        ASSERT_TRUE(written.open(QIODevice::ReadOnly)) << file.name;
        EXPECT_TRUE(written.readAll().contains(file.holds)) << file.name;
    }
    const QByteArray svg = app::diagramSvg(job(), cabinet());
    for (const network::Part& part : network::parts(cabinet().circuit)) {
        EXPECT_TRUE(svg.contains(QByteArray::fromStdString(">" + part.id + "<"))) << part.id;
    }
    EXPECT_TRUE(svg.contains("Teasel 26"));
    EXPECT_TRUE(svg.contains("reversed"));
}

// What would help a way stands in the menu of its places, with its figures; looked at under the
// pointer, put in with a click, taken out again by one step back.
TEST_F(FindTest, aHelperIsPutInAndUndone) {
    const network::Circuit before = cabinet().circuit;
    response()->setCrosshair(3000.0);
    window->findChild<app::LanesView*>()->tile("L1")->setFocus();
    press(Qt::Key_Insert);
    auto* menu = find<QMenu>("insert_menu");
    ASSERT_TRUE(menu->isVisible());
    QAction* flatten = menu->findChild<QAction*>(QStringLiteral("insert_help_flatten"));
    ASSERT_NE(flatten, nullptr);
    EXPECT_TRUE(flatten->text().contains(QStringLiteral("Brome 210")))
        << flatten->text().toStdString();
    ASSERT_NE(menu->findChild<QAction*>(QStringLiteral("insert_help_step")), nullptr);
    menu->setActiveAction(flatten);
    settle();
    EXPECT_EQ(cabinet().circuit, before);
    flatten->trigger();
    menu->close();
    settle();
    EXPECT_EQ(network::parts(cabinet().circuit).size(), network::parts(before).size() + 2);
    press(Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_EQ(cabinet().circuit, before);
}

// From the book in series: one behind the other, said by the core where it cannot be.
TEST_F(FindTest, aSeriesNetworkFromTheBook) {
    window->chooseCabinet(QStringLiteral("projection"));
    open("network_tab_book");
    auto* join = find<QComboBox>("start_join");
    ASSERT_TRUE(join->isVisible());
    find<QComboBox>("start_order")->setCurrentIndex(0);
    find<QComboBox>("start_alignment")->setCurrentIndex(0);
    join->setCurrentIndex(1);
    click(find<QPushButton>("start_take"));
    settle();
    const network::Circuit& circuit = job::findCabinet(job(), "projection")->circuit;
    EXPECT_EQ(std::get<network::Ways>(circuit.tree()->end).join, network::Joining::series);
    EXPECT_EQ(network::parts(circuit).size(), 2U);
    window->chooseCabinet(QStringLiteral("left"));
    settle();
    EXPECT_EQ(join->findText(QStringLiteral("in series")), -1); // three ways: not in the book
}

// Another state is one thin curve more, in response and load.
TEST_F(FindTest, otherStatesAreDrawnOnWish) {
    auto* also = find<QComboBox>("network_also");
    const QString id = QStringLiteral("also");
    EXPECT_EQ(response()->trace(id), nullptr);
    auto* impedance = find<app::Plot>("plot_impedance");
    const auto choose = [&](const char* text) {
        also->setCurrentIndex(also->findText(QLatin1String(text), Qt::MatchStartsWith));
        settle();
    };
    choose("voice coils 100 K hotter");
    ASSERT_NE(response()->trace(id), nullptr);
    const app::Trace* cold = impedance->trace(QStringLiteral("impedance"));
    const app::Trace* hot = impedance->trace(id);
    ASSERT_NE(hot, nullptr);
    // Nowhere less, and at 30 Hz, behind a coil that does nothing there, by 0.4 of the woofer's Re
    // at most.
    const double Re =
        evaluation::assemble(job()).cabinets.front()->loads->loads().drivers[0].dcResistance;
    for (qsizetype k = 0; k < cold->values.size(); ++k) {
        if (cold->frequencies[k] > 25.0 && cold->frequencies[k] < 35.0) {
            EXPECT_GT(hot->values[k], cold->values[k] + 0.1);
            EXPECT_LT(hot->values[k], cold->values[k] + 0.4 * Re + 0.01);
        }
    }
    choose("a tube amplifier");
    EXPECT_NE(response()->trace(id), nullptr);
    choose("Brome 210 unplugged");
    const app::Trace* rest = response()->trace(id);
    ASSERT_NE(rest, nullptr);
    const app::Trace* sum = response()->trace(QStringLiteral("sum"));
    for (qsizetype k = 0; k < sum->values.size(); ++k) {
        if (sum->frequencies[k] > 40.0 && sum->frequencies[k] < 80.0) {
            EXPECT_LT(rest->values[k], sum->values[k] - 10.0);
        }
    }
    choose("nothing more");
    EXPECT_EQ(response()->trace(id), nullptr);
}

} // namespace yf::test
