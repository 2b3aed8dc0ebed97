// SPDX-License-Identifier: GPL-3.0-or-later
// The check stage on the real window: readings by hand and through simulated meters, what they are
// judged to be, and where the diagnosis goes.
#include "app/check/check_list.h"
#include "app/check/replacement_view.h"
#include "app/frame/main_menu.h"
#include "app/frame/own_files.h"
#include "app/frame/start_page.h"
#include "app/front/front_view.h"
#include "app/instruments/meter_panel.h"
#include "app/widgets/quantity_field.h"
#include "core/job/store/store.h"
#include "demo/lantern_hall.h"
#include "tests/support/test_window.h"

#include <QAction>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QFile>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QTest>
#include <QToolButton>

#include <algorithm>
#include <cmath>

namespace yf::test {

namespace {

using job::BenchReading;

class CheckTest : public HallTest {
protected:
    void SetUp() override {
        HallTest::SetUp();
        window->chooseStage(QStringLiteral("check"));
    }

    /// In this stage first: practising has the same cards and meters.
    template <class T>
    T* find(const char* name) {
        auto* stage = window->findChild<QWidget*>(QStringLiteral("stage_check"));
        T* own = stage->findChild<T*>(QLatin1String(name));
        return own != nullptr ? own : WindowTest::find<T>(name);
    }

    QString said(const char* label) { return find<QLabel>(label)->text(); }

    /// Clicks a row of the list of checks, wherever it stands now.
    void openCheck(const char* check) {
        clickRow(find<app::CheckList>("check_list"), QLatin1String(check));
    }

    void outcome(const char* key) {
        click(find<QPushButton>((std::string("outcome_") + key).c_str()));
        settle();
    }

    void write(const char* field, const char* text) {
        auto* line = find<QLineEdit>(field);
        line->setFocus();
        line->selectAll();
        type(text);
    }

    void chooseSource(const char* combo, int index) {
        auto* box = find<QComboBox>(combo);
        box->setFocus();
        for (int i = box->currentIndex(); i < index; ++i) {
            press(Qt::Key_Down);
        }
    }

    bool live(const char* panel) {
        return QTest::qWaitFor(
            [&] {
                return find<app::MeterPanel>(panel)->meter().state() == devices::MeterState::live;
            },
            10000);
    }

    const evaluation::DriverBench* bench(const char* cabinet, const char* driver) {
        return window->present()->evaluation.findBench(cabinet, driver);
    }
};

} // namespace

TEST_F(CheckTest, shortedTurnsAreFoundFromTheFirstScreenThroughTheMeters) {
    window = std::make_unique<app::MainWindow>(ask);
    app::fitMenu(*window);
    window->resize(1280, 800);
    window->show();
    ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
    int actions = 0;
    ++actions; // 1: the demo
    click(find<QPushButton>("start_demo"));
    settle();
    ++actions; // 2: the cabinet that scrapes
    click(find<QToolButton>("chip_right"));
    ++actions; // 3: the stage
    click(find<QToolButton>("route_check"));
    ++actions; // 4: its midrange
    auto* front = find<app::FrontView>("front");
    click(front, *front->placeOf("right-sorrel"));
    settle();
    EXPECT_LT(bench("right", "right-sorrel")->diagnosis.topP, 0.9) << "the curves alone do not say";

    ++actions; // 5: DC resistance
    openCheck("dcr");
    ++actions; // 6: the stand-in
    chooseSource("meter_ohms_source", 1);
    ASSERT_TRUE(live("meter_ohms"));
    ++actions; // 7: tips together
    click(find<QCheckBox>("meter_ohms_together"), QPoint(8, 12));
    const auto shows = [&](double most) {
        return QTest::qWaitFor(
            [&] {
                const auto& ohms = find<app::MeterPanel>("meter_ohms")->meter().ohms();
                return ohms && ohms->ohms && (*ohms->ohms < 1.0) == (most < 1.0);
            },
            5000);
    };
    ASSERT_TRUE(shows(0.5));
    ++actions; // 8: that is the leads
    click(find<QPushButton>("meter_ohms_leads"));
    EXPECT_NEAR(find<app::QuantityField>("check_leads")->value(), 0.30, 0.02);
    ++actions; // 9: tips on the driver
    click(find<QCheckBox>("meter_ohms_together"), QPoint(8, 12));
    ASSERT_TRUE(shows(8.0));
    for (int i = 0; i < 3; ++i) {
        ++actions; // 10, 11, 12: three readings
        click(find<QPushButton>("meter_ohms_take"));
        ASSERT_TRUE(live("meter_ohms"));
    }
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("low against its twin")))
        << said("check_judgement").toStdString();
    ++actions; // 13: kept
    click(find<QPushButton>("check_keep"));
    settle();

    ++actions; // 14: LCR
    openCheck("lcr");
    ++actions; // 15: the stand-in
    chooseSource("meter_lcr_source", 1);
    ASSERT_TRUE(live("meter_lcr"));
    ++actions; // 16: the reading
    click(find<QPushButton>("meter_lcr_take"));
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("the mark of shorted turns")))
        << said("check_judgement").toStdString();
    ++actions; // 17: kept
    click(find<QPushButton>("check_keep"));
    settle();

    const evaluation::DriverBench* found = bench("right", "right-sorrel");
    EXPECT_EQ(found->diagnosis.top, "shorted_turns");
    EXPECT_GE(found->diagnosis.topP, 0.9);
    EXPECT_TRUE(said("check_verdict").startsWith(QStringLiteral("Shorted turns: ")));
    EXPECT_TRUE(said("check_meaning").contains(QStringLiteral("destroy an amplifier")));
    EXPECT_LT(actions, 25);
    EXPECT_EQ(ask.asked, 0) << "no dialog";
    // What was read is in the job as the meters showed it.
    const auto& readings = job().readings;
    ASSERT_GE(readings.size(), 2U);
    EXPECT_EQ(readings[readings.size() - 2].ohms.size(), 3U);
    EXPECT_EQ(readings[readings.size() - 2].instrument, "Yellowfront stand-in multimeter");
    EXPECT_EQ(readings.back().frequency, 1000.0);
}

TEST_F(CheckTest, aReadingByHandIsJudgedWhileItIsWritten) {
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    const std::size_t before = job().readings.size();
    openCheck("dcr");
    EXPECT_FALSE(find<QPushButton>("check_keep")->isEnabled()) << "nothing written";
    write("check_readings", "6,3 6.4 6.3");
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("normal")))
        << said("check_judgement").toStdString();
    write("check_readings", "OL");
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("open")));
    write("check_readings", "6.x");
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("'6.x'")));
    EXPECT_FALSE(find<QPushButton>("check_keep")->isEnabled());
    EXPECT_EQ(job().readings.size(), before) << "judged, not kept";
    write("check_readings", "6.3 6.4 6.3");
    press(Qt::Key_Return);
    settle();
    ASSERT_EQ(job().readings.size(), before + 1);
    EXPECT_EQ(job().readings.back().outcome, "normal");
    EXPECT_EQ(job().readings.back().resolution, 0.1);
    EXPECT_TRUE(job().readings.back().instrument.empty());
}

TEST_F(CheckTest, aNewReadingJoinsTheOldAndOneCanBeSetAside) {
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    const std::size_t before = job().readings.size();
    for (const char* reading : {"6.3", "OL"}) {
        openCheck("dcr");
        write("check_readings", reading);
        press(Qt::Key_Return);
        settle();
    }
    ASSERT_EQ(job().readings.size(), before + 2);
    const auto saysOf = [&](const char* outcome) {
        return std::ranges::any_of(bench("left", "left-brome")->evidence,
                                   [&](const evaluation::BenchEvidence& e) {
                                       return e.evidence == bench::Evidence{"dcr", outcome};
                                   });
    };
    EXPECT_TRUE(saysOf("open")) << "the newest counts";
    openCheck("dcr");
    click(find<QToolButton>(("aside_" + job().readings.back().id).c_str()));
    QApplication::processEvents();
    settle();
    ASSERT_EQ(job().readings.size(), before + 2) << "nothing is lost";
    EXPECT_TRUE(job().readings.back().setAside);
    EXPECT_TRUE(saysOf("normal"));
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_FALSE(job().readings.back().setAside);
}

TEST_F(CheckTest, amplifiersWaitWhileTurnsMayBeShorted) {
    window->chooseDriver(QStringLiteral("right-sorrel"));
    settle();
    EXPECT_FALSE(find<QLabel>("check_barred")->isHidden());
    openCheck("tone_sweep");
    EXPECT_FALSE(find<QPushButton>("outcome_clean")->isEnabled());
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("Not now")));
    // A sound driver may be heard.
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    EXPECT_TRUE(find<QLabel>("check_barred")->isHidden());
}

TEST_F(CheckTest, nineVoltsNeverGoOnATweeter) {
    window->chooseDriver(QStringLiteral("left-teasel"));
    settle();
    openCheck("battery_pop");
    EXPECT_TRUE(find<QPushButton>("outcome_moves_in")->isEnabled());
    chooseSource("check_voltage", 1);
    EXPECT_FALSE(find<QPushButton>("outcome_moves_in")->isEnabled());
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("Never 9 V")));
}

TEST_F(CheckTest, conclusionsGoToTheFrontAndTheRoute) {
    window->chooseDriver(QStringLiteral("right-teasel"));
    settle();
    EXPECT_TRUE(find<QToolButton>("route_check")->text().contains(QStringLiteral("6 of 8 sound")));
    outcome("no_complaint");
    EXPECT_EQ(job().readings.back().check, "symptom");
    click(find<QToolButton>("found_sound"));
    settle();
    EXPECT_EQ(job::findDriver(job(), "right-teasel")->condition, job::Condition::sound);
    EXPECT_TRUE(find<QToolButton>("route_check")->text().contains(QStringLiteral("7 of 8 sound")));
}

TEST_F(CheckTest, troubleOfAMeterIsToldInItsPanel) {
    openCheck("dcr");
    chooseSource("meter_ohms_source", 2);
    write("meter_ohms_address", "nowhere");
    press(Qt::Key_Return);
    EXPECT_TRUE(said("meter_ohms_said").contains(QStringLiteral("tcp:HOST:PORT")));
    write("meter_ohms_address", "127.0.0.1:1");
    press(Qt::Key_Return);
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return said("meter_ohms_said").contains(QStringLiteral("No connection")); }, 5000));
    EXPECT_TRUE(find<QPushButton>("meter_ohms_take")->isHidden() ||
                !find<QPushButton>("meter_ohms_take")->isVisible());
}

TEST_F(CheckTest, thePolarityRoundSaysWhichLeadsToSwap) {
    click(find<QToolButton>("check_polarity"));
    settle();
    QApplication::processEvents();
    const auto faults = [&] {
        QStringList all;
        for (const QLabel* label : find<QWidget>("polarity_faults")->findChildren<QLabel*>()) {
            all << label->text();
        }
        return all.join(u'\n');
    };
    EXPECT_TRUE(faults().contains(QStringLiteral("Swap the two leads at Teasel 26 in Left")))
        << faults().toStdString();
    EXPECT_FALSE(find<QToolButton>("pair_left_0")->isEnabled()) << "turns may be shorted";
    const std::size_t before = job().readings.size();
    click(find<QToolButton>("through_left-teasel_0"));
    settle();
    QApplication::processEvents();
    ASSERT_EQ(job().readings.size(), before + 1);
    EXPECT_EQ(job().readings.back().place, bench::Place::cabinet);
    EXPECT_FALSE(faults().contains(QStringLiteral("in Left and outwards in Right")));
    EXPECT_TRUE(faults().contains(QStringLiteral("drawn with it reversed")))
        << "now it moves against what is drawn";
}

TEST_F(CheckTest, aRemedySaysWhatItLeavesUnmatchedBeforeItIsChosen) {
    window->chooseDriver(QStringLiteral("right-sorrel"));
    settle();
    EXPECT_TRUE(find<QWidget>("check_decision")->isHidden()) << "not settled yet";
    openCheck("look_smell");
    outcome("burnt_smell");
    openCheck("lcr");
    write("check_r", "OL");
    press(Qt::Key_Return);
    settle();
    openCheck("dcr");
    write("check_readings", "OL OL");
    press(Qt::Key_Return);
    settle();
    ASSERT_TRUE(bench("right", "right-sorrel")->diagnosis.done);
    ASSERT_EQ(bench("right", "right-sorrel")->diagnosis.top, "open_coil");
    EXPECT_TRUE(find<QToolButton>("remedy_leave")->isHidden()) << "no way to leave an open coil";
    auto* recone = find<QToolButton>("remedy_recone");
    QEnterEvent over(QPointF(3, 3), QPointF(3, 3), QPointF(3, 3));
    QApplication::sendEvent(recone, &over);
    EXPECT_TRUE(said("check_unmatched").contains(QStringLiteral("Moving mass")));
    EXPECT_EQ(job::findDriver(job(), "right-sorrel")->decision, bench::Remedy::undecided);
    click(recone);
    settle();
    EXPECT_EQ(job::findDriver(job(), "right-sorrel")->decision, bench::Remedy::recone);
}

TEST_F(CheckTest, aReplacementIsFoundByWhatTheSoundTwinSays) {
    window->chooseDriver(QStringLiteral("right-sorrel"));
    settle();
    click(find<QToolButton>("check_replace"));
    settle();
    auto* list = find<QListWidget>("replacement_list");
    ASSERT_GE(list->count(), 3);
    EXPECT_EQ(list->item(0)->text(), QStringLiteral("Sorrel 130 II"));
    EXPECT_TRUE(said("replacement_sources").contains(QStringLiteral("its sound twin")));
    // A hole that is given rules out what does not go into it, and says so.
    write("sheet_hole_m", "112 mm");
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(job::findDriver(job(), "right-sorrel")->place.hole, 0.112);
    EXPECT_FALSE(list->item(list->count() - 1)->data(Qt::UserRole + 1).toBool());
    list->setCurrentRow(list->count() - 1);
    EXPECT_TRUE(said("replacement_reasons").contains(QStringLiteral("does not fit")));
    EXPECT_TRUE(said("replacement_reasons").contains(QStringLiteral("hole")));
    // It joins the own drivers, and is found there again.
    const QString file = app::ownDriversFile();
    QFile::remove(file);
    click(find<QPushButton>("replacement_keep"));
    EXPECT_TRUE(QFile::exists(file));
    EXPECT_EQ(list->item(0)->text(), QStringLiteral("Sorrel 130")) << "nothing is more alike";
    // A file that somebody broke is told of and left alone.
    QFile broken(file);
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write("{\"drivers\": [{\"id\": \"A\", \"role\": \"horn\"}]}");
    broken.close();
    click(find<QPushButton>("replacement_read"));
    EXPECT_TRUE(said("replacement_library").contains(QStringLiteral("horn")));
    click(find<QPushButton>("replacement_keep"));
    ASSERT_TRUE(broken.open(QIODevice::ReadOnly));
    EXPECT_TRUE(broken.readAll().contains("horn")) << "not overwritten";
    broken.remove();
}

TEST_F(CheckTest, ownEvidenceTakesThePlaceOfTheShippedTable) {
    window->chooseDriver(QStringLiteral("right-sorrel"));
    settle();
    const double before = bench("right", "right-sorrel")->diagnosis.topP;
    const QString file = app::ownEvidenceFile();
    QFile::remove(file);
    find<QAction>("action_evidence")->trigger();
    settle();
    ASSERT_TRUE(QFile::exists(file)) << notice().toStdString();
    QFile edited(file);
    ASSERT_TRUE(edited.open(QIODevice::ReadWrite));
    QByteArray text = edited.readAll();
    // Whoever repairs cheap drivers meets shorted turns far more often.
    const qsizetype prior = text.indexOf("\"shorted_turns\"");
    ASSERT_GE(prior, 0);
    const qsizetype digits = text.indexOf("0.04", prior);
    ASSERT_GE(digits, 0);
    text.replace(digits, 4, "0.40");
    edited.resize(0);
    edited.write(text);
    edited.close();
    find<QAction>("action_evidence")->trigger();
    settle();
    EXPECT_GT(bench("right", "right-sorrel")->diagnosis.topP, before);
    // Broken: said where, and the shipped one judges on.
    ASSERT_TRUE(edited.open(QIODevice::WriteOnly));
    edited.write("{\"faults\": []}");
    edited.close();
    find<QAction>("action_evidence")->trigger();
    settle();
    EXPECT_TRUE(notice().contains(QStringLiteral("evidence.json"))) << notice().toStdString();
    EXPECT_NEAR(bench("right", "right-sorrel")->diagnosis.topP, before, 1e-12);
    edited.remove();
    find<QAction>("action_evidence")->trigger();
    edited.remove();
}

TEST_F(CheckTest, theLcrCardKnowsSeriesParallelAndNotKnown) {
    window->chooseDriver(QStringLiteral("right-sorrel"));
    settle();
    openCheck("lcr");
    // By the resonance of its curve: the lowest meter frequency from five times on.
    EXPECT_EQ(find<QComboBox>("check_frequency")->currentData().toDouble(), 1000.0);
    // Series values like the twin's curve at 1 kHz.
    const job::Driver& twin = *job::findDriver(job(), "left-sorrel");
    const job::Take* take = job::takeInUse(job(), twin, job::TakeKind::impedance);
    std::size_t k = 0;
    while (take->curve->frequencies()[k] < 1000.0) {
        ++k;
    }
    const curve::Complex Z = take->curve->values()[k];
    const double l = Z.imag() / (2.0 * 3.14159265358979 * take->curve->frequencies()[k]);
    const auto enter = [&](double r, double henry) {
        write("check_r", std::to_string(r).c_str());
        write("check_l", (std::to_string(henry * 1e3) + "mH").c_str());
        press(Qt::Key_Return);
    };
    enter(Z.real(), l);
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("like its reference")))
        << said("check_judgement").toStdString();
    // The same coil as a parallel pair: R|Z|²/..., judged to be the same.
    const double w = 2.0 * 3.14159265358979 * 1000.0;
    const double modulus = std::norm(curve::Complex{Z.real(), w * l});
    enter(modulus / Z.real(), modulus / (w * w * l));
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("unlike its reference")))
        << "as series values they are another driver's";
    chooseSource("check_mode", 1);
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral(": like its reference")))
        << said("check_judgement").toStdString();
    chooseSource("check_mode", 2);
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("differently")))
        << said("check_judgement").toStdString();
    // An inductance is wanted beside a resistance; two resistances are no pair.
    write("check_l", "");
    press(Qt::Key_Delete);
    press(Qt::Key_Return);
    EXPECT_FALSE(find<QPushButton>("check_keep")->isEnabled());
    write("check_r", "5.1 5.2");
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("2 resistances")));
    write("check_r", "OL");
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("open")));
}

TEST_F(CheckTest, aDriverWithoutARatingIsAskedForIt) {
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    openCheck("dcr");
    auto* nominal = find<app::QuantityField>("check_nominal");
    EXPECT_EQ(nominal->value(), 8.0);
    write("check_nominal", "16");
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(job::findDriver(job(), "left-brome")->nominal, 16.0);
    write("check_readings", "6.3");
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("low")))
        << "6.3 Ω of a 16 Ω driver: " << said("check_judgement").toStdString();
}

TEST_F(CheckTest, leadsAboveTheReadingAreRefusedBesideTheField) {
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    openCheck("dcr");
    write("check_leads", "0.5");
    press(Qt::Key_Return);
    write("check_readings", "0.2");
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("lead_ohm")))
        << said("check_judgement").toStdString();
    EXPECT_FALSE(find<QPushButton>("check_keep")->isEnabled());
}

TEST_F(CheckTest, driftingReadingsPointToALeadIn) {
    window->chooseDriver(QStringLiteral("campion")); // no twin, so nothing else is known
    settle();
    openCheck("dcr");
    write("check_nominal", "8");
    press(Qt::Key_Return);
    settle();
    write("check_readings", "6.3 OL 6.3 9.0");
    EXPECT_TRUE(said("check_judgement").contains(QStringLiteral("does not settle")));
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(job().readings.back().outcome, "drifting");
    EXPECT_EQ(bench("projection", "campion")->diagnosis.top, "broken_lead_in");
}

TEST_F(CheckTest, checksOfTheCabinetCountForAllItsDrivers) {
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    openCheck("cable_contacts");
    outcome("open_or_noisy");
    EXPECT_TRUE(job().readings.back().driver.empty());
    for (const char* const driver : {"left-brome", "left-sorrel", "left-teasel"}) {
        const auto& evidence = bench("left", driver)->evidence;
        EXPECT_TRUE(std::ranges::any_of(evidence, [](const evaluation::BenchEvidence& e) {
            return e.evidence.check == "cable_contacts";
        })) << driver;
    }
    const auto& other = bench("right", "right-brome")->evidence;
    EXPECT_TRUE(std::ranges::none_of(other, [](const evaluation::BenchEvidence& e) {
        return e.evidence.check == "cable_contacts";
    }));
}

TEST_F(CheckTest, theListIsWalkedByKeysAndTellsItself) {
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    auto* list = find<app::CheckList>("check_list");
    list->setFocus();
    const QString before = list->currentItem()->text();
    press(Qt::Key_Down);
    EXPECT_NE(list->currentItem()->text(), before);
    EXPECT_TRUE(said("check_title").startsWith(list->currentItem()->text())) << "the card follows";
    for (int row = 0; row < list->count(); ++row) {
        const QListWidgetItem* item = list->item(row);
        if (item->flags().testFlag(Qt::ItemIsSelectable)) {
            EXPECT_TRUE(item->data(Qt::AccessibleTextRole).toString().contains(u':'));
        }
    }
    EXPECT_FALSE(find<QWidget>("check_diagnosis")->accessibleDescription().isEmpty());
}

TEST_F(CheckTest, aReadingSurvivesTheFile) {
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    openCheck("dcr");
    write("check_readings", "6.31 6.32");
    press(Qt::Key_Return);
    settle();
    const auto readings = job().readings;
    window.reset();
    openWindow();
    EXPECT_EQ(job().readings, readings);
    EXPECT_EQ(job().readings.back().resolution, 0.01);
}

TEST_F(CheckTest, theFindingOfShortedTurnsComesWithTheReadings) {
    window->chooseDriver(QStringLiteral("right-sorrel"));
    settle();
    const auto isFound = [&] {
        const auto& findings = window->present()->findings.judgement.findings;
        return std::ranges::any_of(findings, [](const findings::Finding& f) {
            return findings::rules()[f.rule].id == "bench.shorted_likely";
        });
    };
    EXPECT_FALSE(isFound()) << "not settled yet";
    openCheck("look_smell");
    outcome("burnt_smell");
    EXPECT_TRUE(isFound());
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_FALSE(isFound());
}

} // namespace yf::test
