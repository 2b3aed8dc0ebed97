// SPDX-License-Identifier: GPL-3.0-or-later
// The Box stage through its own controls: wood and port are dragged, a box is taken from the map,
// an old one read back, its port swapped, another driver judged in it.
#include "app/box/cutaway.h"
#include "app/box/map_view.h"
#include "app/plots/plot.h"
#include "app/widgets/notice.h"
#include "core/box/port.h"
#include "core/edit/box.h"
#include "core/study/box.h"
#include "tests/support/test_window.h"

#include <QAction>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QTableWidget>
#include <QTest>
#include <QToolButton>

#include <algorithm>
#include <cmath>

namespace yf::test {

namespace {

class BoxTest : public HallTest {
protected:
    void SetUp() override {
        HallTest::SetUp();
        window->chooseCabinet(QStringLiteral("left"));
        window->chooseStage(QStringLiteral("box"));
        window->chooseDriver(QStringLiteral("left-brome"));
        settle();
    }

    void page(const char* name) {
        click(find<QToolButton>((std::string("box_tab_") + name).c_str()));
        settle();
    }

    void write(const char* field, const char* text) {
        HallTest::write(field, text);
        settle();
    }

    const job::Enclosure& enclosure(const char* cabinet = "left",
                                    const char* driver = "left-brome") {
        return *job::findEnclosure(job(), *job::findCabinet(job(), cabinet), driver);
    }

    /// What the core makes of the box as it is now, asked anew.
    evaluation::BoxResult computed() {
        const evaluation::Evaluation e = evaluation::evaluate(job());
        return *e.find("left")->box("left-brome");
    }

    /// Where the impedance as drawn dips between its two peaks.
    double dip() {
        find<QComboBox>("box_curve")->setCurrentIndex(3);
        settle();
        const app::Trace* t = find<app::Plot>("box_second_3")->trace(QStringLiteral("box"));
        EXPECT_NE(t, nullptr);
        qsizetype lowest = 0;
        for (qsizetype i = 1; i + 1 < t->values.size(); ++i) {
            const bool least = t->values[i] < t->values[i - 1] && t->values[i] <= t->values[i + 1];
            if (least && t->frequencies[i] < 100.0 && lowest == 0) {
                lowest = i;
            }
        }
        return t->frequencies[lowest];
    }

    void drag(QWidget* widget, const QPointF& from, const QPointF& by) {
        QTest::mousePress(widget, Qt::LeftButton, Qt::NoModifier, from.toPoint());
        for (int i = 1; i <= 4; ++i) {
            QTest::mouseMove(widget, (from + 0.25 * i * by).toPoint());
        }
        QTest::mouseRelease(widget, Qt::LeftButton, Qt::NoModifier, (from + by).toPoint());
        settle();
    }
};

/// Least |Z| of the model between 20 and 100 Hz with a peak on both sides.
double dipOf(const evaluation::BoxResult& r) {
    const box::System s = box::systemOf(r.known.driver, r.box, r.source);
    const auto size = [&](double f) { return std::abs(box::motionAt(s, f).Z); };
    for (double f = 15.0; f < 100.0; f *= 1.001) {
        if (size(f) < size(f / 1.001) && size(f) <= size(f * 1.001)) {
            return f;
        }
    }
    return 0.0;
}

} // namespace

TEST_F(BoxTest, draggingThePortMovesTheDipOfTheImpedance) {
    const double before = dip();
    EXPECT_NEAR(before / dipOf(computed()), 1.0, 0.012); // the picture's points lie 1.7 % apart
    auto* cutaway = find<app::Cutaway>("cutaway");
    const double length = enclosure().ports.front().length;
    drag(cutaway, cutaway->handleAt(QStringLiteral("port")), {34.0, 0.0});
    EXPECT_GT(enclosure().ports.front().length, length + 0.02);
    const evaluation::BoxResult now = computed();
    const double after = dip();
    EXPECT_LT(after, before - 2.0);
    EXPECT_NEAR(after / dipOf(now), 1.0, 0.012);
    EXPECT_NEAR(dipOf(now) / *now.fb, 1.0, 0.06); // near the tuning, less the coil's pull
    // From press to release it is one step, and its twin's alike box went along.
    EXPECT_EQ(enclosure("right", "right-brome").ports.front().length,
              enclosure().ports.front().length);
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_EQ(enclosure().ports.front().length, length);
}

TEST_F(BoxTest, wallPartitionAndBraceAreDragged) {
    auto* cutaway = find<app::Cutaway>("cutaway");
    const double net = computed().volumes.net;
    drag(cutaway, cutaway->handleAt(QStringLiteral("back")), {24.0, 0.0});
    EXPECT_GT(*job::findCabinet(job(), "left")->depth, 0.36);
    EXPECT_EQ(job::findCabinet(job(), "right")->depth, job::findCabinet(job(), "left")->depth);
    EXPECT_GT(computed().volumes.net, 1.1 * net);
    const double dead = enclosure().dead;
    drag(cutaway, cutaway->handleAt(QStringLiteral("partition")), {0.0, -20.0});
    EXPECT_LT(enclosure().dead, dead - 0.02);
    const double brace = enclosure().braces.front();
    drag(cutaway, cutaway->handleAt(QStringLiteral("brace-0")), {0.0, 20.0});
    EXPECT_LT(enclosure().braces.front(), brace - 0.02);
    // By keys alone.
    const double length = enclosure().ports.front().length;
    cutaway->setFocus();
    QTest::keyClick(cutaway, Qt::Key_Right, Qt::ShiftModifier);
    settle();
    const double walked = std::abs(enclosure().ports.front().length - length) +
                          std::abs(enclosure().braces.front() - brace);
    EXPECT_GT(walked, 0.009);
}

TEST_F(BoxTest, coneAndAirMoveAsTheModelSaysAndRestWhenUnseen) {
    auto* cutaway = find<app::Cutaway>("cutaway");
    const evaluation::BoxResult r = computed();
    const box::System s = box::systemOf(r.known.driver, r.box, r.source);
    for (const double f : {20.0, *r.fb, 80.0}) {
        cutaway->setFrequency(f);
        const auto m = cutaway->motion();
        const box::Motion truth = box::motionAt(s, f);
        EXPECT_NEAR(m.cone, box::travel(truth, f), 1e-9);
        EXPECT_NEAR(m.angle, std::arg(truth.flow.to[0]), 1e-9);
        const double area = enclosure().ports.front().port.totalArea();
        EXPECT_NEAR(m.slug / m.cone,
                    std::abs(truth.flow.to[0]) * r.known.driver.Sd / area,
                    1e-6 * m.slug / m.cone);
    }
    // The sentence follows the cursor.
    auto* plot = find<app::Plot>("box_response");
    Q_EMIT plot->crosshairMoved(20.0);
    EXPECT_NE(find<QLabel>("box_sentence")->text().indexOf(QStringLiteral("Below the tuning")), -1);
    Q_EMIT plot->crosshairMoved(*r.fb);
    EXPECT_NE(find<QLabel>("box_sentence")->text().indexOf(QStringLiteral("At the tuning")), -1);
    Q_EMIT plot->crosshairMoved(120.0);
    EXPECT_NE(find<QLabel>("box_sentence")->text().indexOf(QStringLiteral("in step")), -1);
    cutaway->setPlaying(true);
    EXPECT_TRUE(cutaway->moving());
    page("wood");
    EXPECT_FALSE(cutaway->moving());
    page("section");
    EXPECT_TRUE(cutaway->moving());
    click(find<QToolButton>("box_play"));
    EXPECT_FALSE(cutaway->moving());
}

TEST_F(BoxTest, fieldsShapeThePortAndRefuseWhatCannotBe) {
    write("box_tuning", "36");
    EXPECT_NEAR(*computed().fb, 36.0, 0.02);
    const double length = enclosure().ports.front().length;
    write("box_tuning", "400");
    EXPECT_EQ(enclosure().ports.front().length, length);
    EXPECT_NE(find<app::Notice>("box_notice")->text(), QString());
    write("box_port_diameter", "80");
    EXPECT_NEAR(enclosure().ports.front().port.diameter, 0.08, 1e-9);
    find<QSpinBox>("box_port_count")->setValue(2);
    settle();
    EXPECT_EQ(enclosure().ports.front().port.count, 2);
    write("box_port_length", "abc");
    EXPECT_EQ(enclosure().ports.front().port.count, 2);
    // Through the back and behind the woofer: said.
    job::Enclosure e = enclosure();
    e.ports.front().side = job::PortWall::back;
    e.ports.front().height = job::driverHeight(*job::findCabinet(job(), "left"), e);
    const auto moved = edit::changeBox("left", e, "x").apply(job());
    ASSERT_TRUE(moved.ok());
    const auto findings = findings::assess(*moved).judgement.findings;
    EXPECT_TRUE(std::ranges::any_of(findings, [](const findings::Finding& f) {
        return findings::rules()[f.rule].id == "port.behind";
    }));
}

TEST_F(BoxTest, portsMayBeSlotsAndSeveral) {
    const double fb = *computed().fb;
    find<QComboBox>("box_port_shape")->setCurrentIndex(1);
    settle();
    const box::Port slot = enclosure().ports.front().port;
    EXPECT_EQ(slot.shape, box::PortShape::slot);
    EXPECT_NEAR(slot.area(), 0.25 * std::numbers::pi * 0.067 * 0.067, 1e-6);
    EXPECT_NEAR(*computed().fb / fb, 1.0, 0.06); // other ends, the same area
    write("box_slot_height", "20");
    EXPECT_NEAR(enclosure().ports.front().port.height, 0.02, 1e-9);
    click(find<QToolButton>("box_port_more"));
    settle();
    ASSERT_EQ(enclosure().ports.size(), 2U);
    const double both = *computed().fb;
    find<QComboBox>("box_port_which")->setCurrentIndex(1);
    write("box_port_length", "60");
    EXPECT_NEAR(enclosure().ports[1].length, 0.06, 1e-9);
    EXPECT_NE(enclosure().ports[0].length, 0.06);
    EXPECT_GT(*computed().fb, both);
    click(find<QToolButton>("box_port_fewer"));
    settle();
    EXPECT_EQ(enclosure().ports.size(), 1U);
    // The drive as a power: 20 W into Re.
    write("box_power", "20");
    const double Re = computed().known.driver.Re;
    EXPECT_NEAR(enclosure().voltage, std::sqrt(20.0 * Re), 1e-3);
}

TEST_F(BoxTest, whatIsTakenForUsualIsSaid) {
    auto* doubt = find<QLabel>("box_doubt");
    EXPECT_TRUE(doubt->text().contains(QStringLiteral("QL 7")));
    EXPECT_TRUE(doubt->text().contains(QStringLiteral("read it back"))); // a take is there
    page("wood");
    write("wood_driver", "1.2");
    page("section");
    EXPECT_FALSE(doubt->text().contains(QStringLiteral("Basket")));
    find<QComboBox>("box_port_shape")->setCurrentIndex(1);
    settle();
    EXPECT_FALSE(doubt->text().contains(QStringLiteral("8 %")));
    write("box_slot_width", "222");
    EXPECT_TRUE(doubt->text().contains(QStringLiteral("8 %")));
}

TEST_F(BoxTest, radiatorsAndChambersHaveTheirFields) {
    auto* kind = find<QComboBox>("box_kind");
    kind->setCurrentIndex(3);
    settle();
    const double fb = *computed().fb;
    EXPECT_TRUE(find<QLineEdit>("box_pr_mass")->isVisible());
    EXPECT_FALSE(find<QLineEdit>("box_port_length")->isVisible());
    write("box_pr_mass", "150");
    EXPECT_NEAR(enclosure().radiator.addedMass, 0.15, 1e-9);
    EXPECT_LT(*computed().fb, fb);
    find<QSpinBox>("box_pr_count")->setValue(2);
    settle();
    EXPECT_EQ(enclosure().radiator.count, 2);
    kind->setCurrentIndex(4);
    settle();
    EXPECT_FALSE(find<QLineEdit>("box_pr_mass")->isVisible());
    const double before = *computed().fb;
    write("box_front_share", "30");
    EXPECT_NEAR(enclosure().frontShare, 0.3, 1e-9);
    EXPECT_GT(*computed().fb, before);
}

TEST_F(BoxTest, aPortIsSwappedAndTheTuningStays) {
    const double fb = *computed().fb;
    write("box_swap_diameter", "85");
    write("box_swap_flare", "15");
    EXPECT_NE(find<QLabel>("box_swap_length")->text(), QString());
    click(find<QPushButton>("box_swap"));
    settle();
    EXPECT_NEAR(enclosure().ports.front().port.diameter, 0.085, 1e-9);
    EXPECT_NEAR(enclosure().ports.front().port.flareOuter, 0.015, 1e-9);
    EXPECT_NEAR(*computed().fb, fb, 0.02);
}

TEST_F(BoxTest, aBoxIsTakenFromTheMap) {
    page("map");
    auto* map = find<app::MapView>("map_view");
    ASSERT_TRUE(QTest::qWaitFor([&] { return !map->at(0.06, 32.0).isNull(); }, 5000));
    click(map, map->at(0.06, 32.0).toPoint());
    settle();
    EXPECT_NEAR(1e3 * computed().volumes.net, 60.0, 1.0);
    EXPECT_NEAR(*computed().fb, 32.0, 0.5);
    // Wishes are kept with the box, and told where they exclude all.
    write("map_f3", "12");
    EXPECT_NEAR(*enclosure().wishes.f3, 12.0, 1e-9);
    EXPECT_TRUE(QTest::qWaitFor(
        [&] {
            return find<QLabel>("map_verdict")->text().contains(QStringLiteral("No box grants"));
        },
        5000));
    map->setFocus();
    QTest::keyClick(map, Qt::Key_Down);
    settle();
    EXPECT_LT(*computed().fb, 31.5);
}

TEST_F(BoxTest, theOldCabinetIsReadBack) {
    page("read");
    EXPECT_NE(find<QLabel>("read_verdict")->text().indexOf(QStringLiteral("40.6")), -1);
    EXPECT_NE(find<QLabel>("read_verdict")->text().indexOf(QStringLiteral("QL 4.3")), -1);
    EXPECT_GE(find<QTableWidget>("read_table")->rowCount(), 9);
    click(find<QPushButton>("read_use"));
    settle();
    ASSERT_TRUE(enclosure().QL.has_value());
    EXPECT_NEAR(*enclosure().QL, 4.3, 0.1);
}

TEST_F(BoxTest, anotherDriverIsJudgedInThisBox) {
    page("replace");
    auto* table = find<QTableWidget>("replace_table");
    ASSERT_GE(table->rowCount(), 5);
    EXPECT_EQ(table->item(0, 0)->text(), QStringLiteral("Alder 210"));
    // One too large for the front comes last, with the reason.
    const int last = table->rowCount() - 1;
    EXPECT_EQ(table->item(last, 0)->text(), QStringLiteral("Woad 300"));
    table->setCurrentCell(last, 0);
    EXPECT_NE(find<QLabel>("replace_why")->text().indexOf(QStringLiteral("wider")), -1);
    EXPECT_NE(find<app::Plot>("replace_plot")->trace(QStringLiteral("new")), nullptr);
}

TEST_F(BoxTest, aKindIsChosenByItsCurve) {
    page("choose");
    auto* table = find<QTableWidget>("choose_table");
    ASSERT_GE(table->rowCount(), 3);
    int closed = -1;
    for (int i = 1; i < table->rowCount(); ++i) {
        closed = table->item(i, 0)->text().startsWith(QStringLiteral("closed")) ? i : closed;
    }
    ASSERT_GT(closed, 0);
    table->setCurrentCell(closed, 0);
    click(find<QPushButton>("choose_take"));
    settle();
    EXPECT_EQ(enclosure().kind, box::Kind::closed);
    EXPECT_NEAR(*computed().Qtc, 0.707, 0.03);
    // Every kind can be shown, and taken away altogether.
    auto* kind = find<QComboBox>("box_kind");
    page("section");
    for (int k = 0; k < 8; ++k) {
        kind->setCurrentIndex(k);
        settle();
        EXPECT_EQ(static_cast<int>(enclosure().kind), k);
        EXPECT_EQ(computed().problem, "") << k;
    }
    kind->setCurrentIndex(8);
    settle();
    EXPECT_EQ(job::findEnclosure(job(), *job::findCabinet(job(), "left"), "left-brome"), nullptr);
    click(find<QPushButton>("box_begin_2"));
    settle();
    EXPECT_EQ(enclosure().kind, box::Kind::vented);
}

TEST_F(BoxTest, woodIsCutAndBraced) {
    page("wood");
    write("wood_panel", "25");
    EXPECT_NEAR(enclosure().panel, 0.025, 1e-9);
    auto* cuts = find<QTableWidget>("wood_cuts");
    EXPECT_GE(cuts->rowCount(), 5);
    EXPECT_NE(cuts->item(0, 3)->text().indexOf(QStringLiteral("25")), -1);
    click(find<QPushButton>("wood_brace"));
    settle();
    EXPECT_GT(enclosure().braces.size(), 1U);
    EXPECT_LE(computed().volumes.less.bracing / computed().volumes.inside.gross, 0.05);
    // Panels thicker than the cabinet leave nothing: refused, the last state stays.
    const double panel = enclosure().panel;
    write("wood_width", "60");
    EXPECT_NEAR(job::findCabinet(job(), "left")->width, 0.26, 1e-9);
    EXPECT_EQ(enclosure().panel, panel);
    ask.write = QString::fromStdString(folder.path("cuts.csv"));
    click(find<QPushButton>("wood_save"));
    EXPECT_EQ(ask.asked, 1);
}

} // namespace yf::test
