// SPDX-License-Identifier: GPL-3.0-or-later
// The Measure stage through its own controls: a sweep on the simulated bench is recorded, judged,
// kept, gated; its decay and parameters are seen; takes are laid over and described.
#include "app/measure/decay_view.h"
#include "app/measure/gate_view.h"
#include "app/measure/record_page.h"
#include "app/measure/setup_sketch.h"
#include "app/measure/take_list.h"
#include "app/plots/plot.h"
#include "app/stage/stage.h"
#include "app/widgets/quantity_field.h"
#include "core/edit/front.h"
#include "core/study/replacement.h"
#include "core/take/make.h"
#include "tests/support/test_window.h"

#include <QAction>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QProgressBar>
#include <QPushButton>
#include <QSpinBox>
#include <QTableWidget>
#include <QTest>
#include <QToolButton>

#include <complex>
#include <filesystem>
#include <fstream>

namespace yf::test {

namespace {

class MeasureTest : public HallTest {
protected:
    void SetUp() override {
        HallTest::SetUp();
        window->chooseCabinet(QStringLiteral("right"));
        window->chooseStage(QStringLiteral("measure"));
        window->chooseDriver(QStringLiteral("right-sorrel"));
        settle();
    }

    void page(const char* name) {
        click(find<QToolButton>((std::string("measure_tab_") + name).c_str()));
        settle();
    }

    /// Id of the job's take of that name and place of the right midrange.
    [[nodiscard]] QString recorded(job::TakeKind kind) {
        for (const job::Take& take : job().takes) {
            if (take.recorded.driver == "right-sorrel" && take.kind == kind) {
                return QString::fromStdString(take.id);
            }
        }
        return {};
    }

    void chooseTake(const QString& id) {
        clickRow(find<QListWidget>("takes"), id);
        settle();
    }

    /// Sweeps as set up and waits until it is judged.
    void sweep() {
        find<app::RecordPage>("record_page")->setPace(0.0);
        find<QLineEdit>("record_length")->selectAll();
        QTest::keyClicks(find<QLineEdit>("record_length"), QStringLiteral("0.8"));
        QTest::keyClick(find<QLineEdit>("record_length"), Qt::Key_Return);
        click(find<QPushButton>("record_sweep"));
        ASSERT_TRUE(QTest::qWaitFor(
            [&] {
                return find<QPushButton>("record_keep")->isVisible() ||
                       !find<QLabel>("record_problem")->text().isEmpty();
            },
            30000));
        ASSERT_EQ(find<QLabel>("record_problem")->text(), QString());
    }

    /// A calibration's button, and what the panel says when it is over.
    QString calibrate(const char* name) {
        auto* button = find<QPushButton>(name);
        auto* told = find<QLabel>("calibration_told");
        click(button);
        EXPECT_TRUE(QTest::qWaitFor(
            [&] { return button->isEnabled() && !find<QPushButton>("record_cancel")->isEnabled(); },
            20000));
        return told->text() + find<QLabel>("record_problem")->text();
    }

    /// A file of the test's own.
    QString file(const char* name, const std::string& bytes) {
        return QString::fromStdString(folder.write(name, bytes));
    }

    app::Plot* plot(const char* name) { return find<app::Plot>(name); }
};

} // namespace

TEST_F(MeasureTest, aSweepIsRecordedJudgedAndKept) {
    page("record");
    EXPECT_NE(find<QLabel>("record_guide")->text().indexOf(QStringLiteral("4.66")), -1)
        << find<QLabel>("record_guide")->text().toStdString();
    const std::size_t before = job().takes.size();
    sweep();
    EXPECT_TRUE(find<QLabel>("record_verdict")->text().startsWith(u'✓'))
        << find<QLabel>("record_verdict")->text().toStdString();
    click(find<QPushButton>("record_keep"));
    settle();
    ASSERT_EQ(job().takes.size(), before + 1);
    const job::Take& take = job().takes.back();
    EXPECT_TRUE(take.recorded.simulated);
    EXPECT_TRUE(take.recorded.faults.empty());
    ASSERT_NE(take.recording, nullptr);
    EXPECT_EQ(job::findDriver(job(), "right-sorrel")->responseTake, take.id) << "it is in use";
    // It is one step back and the samples stay out of the way.
    window->findChild<QAction*>(QStringLiteral("action_undo"))->trigger();
    settle();
    EXPECT_EQ(job().takes.size(), before);
}

TEST_F(MeasureTest, anImpedanceIsRecordedAndItsParametersTold) {
    page("record");
    find<QComboBox>("record_wanted")->setCurrentIndex(0);
    sweep();
    click(find<QPushButton>("record_keep"));
    settle();
    page("parameters");
    auto* table = find<QTableWidget>("parameters_table");
    ASSERT_TRUE(QTest::qWaitFor([&] { return table->rowCount() > 5; }, 10000));
    EXPECT_EQ(table->item(0, 0)->text(), QStringLiteral("Re"));
    EXPECT_NE(table->item(1, 1)->text().indexOf(QStringLiteral("±")), -1);
    EXPECT_EQ(table->item(5, 0)->text(), QStringLiteral("Le")) << "the coil's own values";
    EXPECT_NE(table->item(5, 1)->text().indexOf(QStringLiteral("±")), -1);
    EXPECT_NE(plot("parameters_plot")->trace(QStringLiteral("most")), nullptr) << "limits";
    EXPECT_NE(find<QLabel>("parameters_told")->text().indexOf(QStringLiteral("plain inductor")),
              -1);
    EXPECT_FALSE(find<QLabel>("parameters_told")->toolTip().isEmpty()) << "what else was tried";
    EXPECT_NE(find<QLabel>("parameters_band")->text().indexOf(QStringLiteral("resonance")), -1);
    // Vas by a mass, once area, mass and the lowered resonance are there; nonsense is said.
    write("parameters_Sd", "82");
    write("parameters_mass", "6");
    write("parameters_loaded", "96 Hz");
    EXPECT_NE(find<QLabel>("parameters_vas")->text().indexOf(QStringLiteral("By the mass: Vas")),
              -1)
        << find<QLabel>("parameters_vas")->text().toStdString();
    write("parameters_loaded", "400 Hz");
    EXPECT_TRUE(find<QLabel>("parameters_vas")->text().startsWith(u'▲'));
}

TEST_F(MeasureTest, aSweepIsCancelledAtOnce) {
    page("record");
    find<app::RecordPage>("record_page")->setPace(1.0);
    click(find<QPushButton>("record_sweep"));
    auto* progress = find<QProgressBar>("record_progress");
    ASSERT_TRUE(QTest::qWaitFor([&] { return progress->value() > 10; }, 10000));
    click(find<QPushButton>("record_cancel"));
    ASSERT_TRUE(
        QTest::qWaitFor([&] { return !find<QLabel>("record_problem")->text().isEmpty(); }, 3000));
    EXPECT_FALSE(find<QPushButton>("record_keep")->isVisible());
    EXPECT_TRUE(find<QPushButton>("record_sweep")->isEnabled());
}

TEST_F(MeasureTest, wrongSettingsAreSaidAndNothingIsPlayed) {
    page("record");
    find<QComboBox>("record_reference_input")->setCurrentIndex(1); // the measured one
    click(find<QPushButton>("record_sweep"));
    EXPECT_NE(find<QLabel>("record_problem")->text().indexOf(QStringLiteral("same input")), -1);
    find<QComboBox>("record_reference_input")->setCurrentIndex(2);
    auto* level = find<QLineEdit>("record_level");
    level->selectAll();
    QTest::keyClicks(level, QStringLiteral("12 dB"));
    QTest::keyClick(level, Qt::Key_Return);
    EXPECT_FALSE(find<QLabel>("record_problem")->text().isEmpty());
}

TEST_F(MeasureTest, theGateIsMovedByKeysAndHand) {
    const QString id = recorded(job::TakeKind::response);
    ASSERT_FALSE(id.isEmpty());
    chooseTake(id);
    page("time");
    auto* view = find<app::GateView>("gate_view");
    ASSERT_TRUE(QTest::qWaitFor([&] { return view->gate().right > 0.0; }, 10000));
    const double before = view->gate().right;
    EXPECT_NEAR(before, 4.57e-3, 0.1e-3) << "before the floor's answer";
    view->setFocus();
    QTest::keyClick(view, Qt::Key_Left);
    ASSERT_TRUE(QTest::qWaitFor(
        [&] {
            const job::Take* take = job::findTake(job(), id.toStdString());
            return std::abs(*take->gate - (before - 1e-4)) < 1e-6;
        },
        10000));
    settle();
    EXPECT_NE(plot("time_plot")->trace(QStringLiteral("gated")), nullptr);
    EXPECT_NE(plot("distortion_plot")->trace(QStringLiteral("harmonic_2")), nullptr);
    // By hand: from the handle to the left, the curve moves along, the release is one step.
    const QPoint handle(static_cast<int>(8 + (view->gate().right / (2.5 * before) + 0.1) / 1.1 *
                                                 (view->width() - 16)),
                        view->height() / 2);
    QTest::mousePress(view, Qt::LeftButton, {}, handle);
    QTest::mouseMove(view, handle - QPoint(80, 0));
    QTest::mouseRelease(view, Qt::LeftButton, {}, handle - QPoint(80, 0));
    ASSERT_TRUE(QTest::qWaitFor(
        [&] { return *job::findTake(job(), id.toStdString())->gate < before - 1e-3; }, 10000));
}

TEST_F(MeasureTest, decayIsDrawnWithASealedRange) {
    chooseTake(recorded(job::TakeKind::response));
    page("decay");
    auto* view = find<app::DecayView>("decay_view");
    ASSERT_TRUE(QTest::qWaitFor([&] { return view->hasImage(); }, 10000));
    find<QComboBox>("decay_kind")->setCurrentIndex(1);
    EXPECT_TRUE(view->hasImage());
    EXPECT_FALSE(find<QLabel>("decay_told")->text().isEmpty());
}

TEST_F(MeasureTest, takesAreLaidOverComparedAndDescribed) {
    auto* list = find<QListWidget>("takes");
    const QString id = recorded(job::TakeKind::response);
    for (int row = 0; row < list->count(); ++row) {
        if (list->item(row)->data(Qt::UserRole).toString() == id) {
            list->item(row)->setCheckState(Qt::Checked);
        }
    }
    settle();
    EXPECT_NE(plot("measure_plot_response")->trace(id), nullptr);
    click(find<QToolButton>("measure_difference"));
    EXPECT_NE(plot("measure_plot_response")->trace(QStringLiteral("difference")), nullptr);
    const int sixth = find<QComboBox>("measure_smoothing")->findData(6);
    find<QComboBox>("measure_smoothing")->setCurrentIndex(sixth);
    EXPECT_NE(plot("measure_plot_response")->footText().indexOf(QStringLiteral("1/6")), -1)
        << "the picture says so";
    chooseTake(id);
    auto* note = find<QLineEdit>("take_note");
    note->setText(QStringLiteral("grille off"));
    QTest::keyClick(note, Qt::Key_Return);
    settle();
    EXPECT_EQ(job::findTake(job(), id.toStdString())->note, "grille off");
    click(find<QPushButton>("take_use"));
    settle();
    EXPECT_EQ(job::findDriver(job(), "right-sorrel")->responseTake, id.toStdString());
}

TEST_F(MeasureTest, aTakeSurvivesTheFileWithItsSamples) {
    const QString id = recorded(job::TakeKind::response);
    const job::Take before = *job::findTake(job(), id.toStdString());
    openWindow();
    settle();
    const job::Take* after = job::findTake(job(), id.toStdString());
    ASSERT_NE(after, nullptr);
    EXPECT_EQ(*after, before);
    ASSERT_NE(after->recording, nullptr);
    EXPECT_EQ(after->recording->measured, before.recording->measured);
    EXPECT_EQ(take::samplesKey(*after->recording), before.recorded.samples);
}

TEST_F(MeasureTest, calibrationsAreRecordedKeptForTheDeviceAndTakenOff) {
    page("record");
    find<app::RecordPage>("record_page")->setPace(0.0);
    write("record_length", "0.8");
    click(find<QToolButton>("record_calibrations"));
    EXPECT_TRUE(calibrate("calibration_jig_open").startsWith(u'✓'));
    EXPECT_NE(find<QLabel>("calibration_jig")->text().indexOf(QStringLiteral("until all three")),
              -1);
    EXPECT_TRUE(calibrate("calibration_jig_short").startsWith(u'✓'));
    write("calibration_load", "33");
    EXPECT_TRUE(calibrate("calibration_jig_load").startsWith(u'✓'));
    EXPECT_NE(find<QLabel>("calibration_jig")->text().indexOf(QStringLiteral("33")), -1);
    EXPECT_TRUE(calibrate("calibration_record_card").startsWith(u'✓'));
    EXPECT_NE(plot("calibration_plot")->trace(QStringLiteral("loop")), nullptr);
    EXPECT_NE(calibrate("calibration_linearity").indexOf(QStringLiteral("stands still")), -1);
    // The level: half of it is said to be half.
    EXPECT_TRUE(calibrate("calibration_record_level").startsWith(u'✓'));
    EXPECT_NE(find<QLabel>("calibration_level")->text().indexOf(QStringLiteral("other half")), -1);
    write("calibration_volts", "2");
    EXPECT_NE(find<QLabel>("calibration_told")->text().indexOf(QStringLiteral("tone first")), -1);
    EXPECT_NE(calibrate("calibration_tone").indexOf(QStringLiteral("2")), -1);
    write("calibration_volts", "2");
    EXPECT_NE(find<QLabel>("calibration_level")->text().indexOf(QStringLiteral("28.")), -1)
        << find<QLabel>("calibration_level")->text().toStdString();
    // A microphone's file; one that looks like a response is told.
    ask.open = {file("mic.txt", "20 -1\n1000 0\n20000 3\n")};
    click(find<QPushButton>("calibration_open_microphone"));
    EXPECT_NE(find<QLabel>("calibration_microphone")->text().indexOf(QStringLiteral("mic.txt")),
              -1);
    ask.open = {file("words.txt", "nothing to be read\n")};
    click(find<QPushButton>("calibration_open_microphone"));
    EXPECT_TRUE(find<QLabel>("calibration_told")->text().startsWith(u'■'));
    EXPECT_NE(find<QLabel>("calibration_microphone")->text().indexOf(QStringLiteral("mic.txt")), -1)
        << "the good one stays";
    ask.open = {file("woofer.txt", "20 50\n1000 90\n20000 40\n")};
    click(find<QPushButton>("calibration_open_microphone"));
    EXPECT_NE(find<QLabel>("calibration_told")->text().indexOf(QStringLiteral("15 dB")), -1);
    click(find<QPushButton>("calibration_forget_microphone"));
    click(find<QToolButton>("record_calibrations"));
    // An impedance says what it was corrected by.
    find<QComboBox>("record_wanted")->setCurrentIndex(0);
    sweep();
    click(find<QPushButton>("record_keep"));
    settle();
    const job::Take& take = job().takes.back();
    EXPECT_FALSE(take.recorded.jigTable.empty());
    EXPECT_NE(take.understood.english().find("open, short and a load of 33"), std::string::npos)
        << take.understood;
    // Another window on the same device finds them again; they can be forgotten.
    openWindow();
    window->chooseStage(QStringLiteral("measure"));
    window->chooseDriver(QStringLiteral("right-sorrel"));
    settle();
    page("record");
    click(find<QToolButton>("record_calibrations"));
    EXPECT_NE(find<QLabel>("calibration_jig")->text().indexOf(QStringLiteral("33")), -1);
    click(find<QPushButton>("calibration_forget_jig"));
    EXPECT_NE(find<QLabel>("calibration_jig")->text().indexOf(QStringLiteral("until all three")),
              -1);
}

TEST_F(MeasureTest, tooLoudIsRefusedAndARaiseIsAsked) {
    page("record");
    write("record_highest", "-10 dB");
    write("record_level", "-8 dB");
    click(find<QPushButton>("record_sweep"));
    EXPECT_NE(find<QLabel>("record_problem")->text().indexOf(QStringLiteral("highest level")), -1);
    EXPECT_FALSE(find<QPushButton>("record_cancel")->isEnabled()) << "nothing is played";
    write("record_level", "-40 dB");
    sweep();
    click(find<QPushButton>("record_again"));
    write("record_level", "-20 dB");
    click(find<QPushButton>("record_sweep"));
    EXPECT_NE(find<QLabel>("record_problem")->text().indexOf(QStringLiteral("12 dB louder")), -1);
    EXPECT_FALSE(find<QPushButton>("record_cancel")->isEnabled());
    sweep(); // once more: it is meant
    EXPECT_TRUE(find<QPushButton>("record_keep")->isVisible());
}

TEST_F(MeasureTest, escapeStopsASweep) {
    page("record");
    find<app::RecordPage>("record_page")->setPace(1.0);
    click(find<QPushButton>("record_sweep"));
    auto* progress = find<QProgressBar>("record_progress");
    ASSERT_TRUE(QTest::qWaitFor([&] { return progress->value() > 10; }, 10000));
    press(Qt::Key_Escape);
    ASSERT_TRUE(
        QTest::qWaitFor([&] { return !find<QLabel>("record_problem")->text().isEmpty(); }, 3000));
    EXPECT_NE(find<QLabel>("record_problem")->text().indexOf(QStringLiteral("Stopped")), -1);
}

TEST_F(MeasureTest, twoDriversTogetherAreRecordedAsSuch) {
    page("record");
    find<QComboBox>("record_wanted")->setCurrentIndex(6);
    EXPECT_NE(find<QLabel>("record_guide")->text().indexOf(QStringLiteral("Three takes")), -1);
    auto* partner = find<QComboBox>("record_partner");
    partner->setCurrentIndex(partner->findData(QStringLiteral("right-teasel")));
    const std::string before = job::findDriver(job(), "right-sorrel")->responseTake;
    sweep();
    click(find<QPushButton>("record_keep"));
    settle();
    EXPECT_EQ(job().takes.back().recorded.also, "right-teasel");
    EXPECT_EQ(job::findDriver(job(), "right-sorrel")->responseTake, before);
}

TEST_F(MeasureTest, nearAndFarAreJoinedAndKept) {
    window->chooseCabinet(QStringLiteral("left"));
    window->chooseDriver(QStringLiteral("left-brome"));
    // Without what is printed on it.
    Q_EMIT find<app::Stage>("stage_measure")->edited(edit::changeSheet("left-brome", {}, {}));
    settle();
    page("merge");
    EXPECT_NE(plot("merge_plot")->trace(QStringLiteral("joined")), nullptr);
    EXPECT_NE(find<QLabel>("merge_told")->text().indexOf(QStringLiteral("guessed")), -1);
    write("merge_Sd", "1000");
    EXPECT_NE(find<QLabel>("merge_told")->text().indexOf(QStringLiteral("▲ Measured")), -1)
        << "an area four times too large: " << find<QLabel>("merge_told")->text().toStdString();
    write("merge_Sd", "222");
    write("merge_splice", "20000 Hz");
    EXPECT_FALSE(find<QLabel>("merge_told")->text().isEmpty());
    EXPECT_FALSE(find<QPushButton>("merge_keep")->isEnabled() &&
                 plot("merge_plot")->trace(QStringLiteral("joined")) == nullptr);
    write("merge_splice", "400 Hz");
    const std::size_t before = job().takes.size();
    click(find<QPushButton>("merge_keep"));
    settle();
    ASSERT_EQ(job().takes.size(), before + 1);
    EXPECT_EQ(job().takes.back().name, "near and far");
    EXPECT_LT(job().takes.back().curve->trusted().from, 20.0);
}

TEST_F(MeasureTest, anglesAreShownAndASetOfFilesIsOpened) {
    page("angles");
    EXPECT_EQ(find<QComboBox>("angles_subject")->currentIndex(), 1)
        << "only the whole cabinet has angles yet";
    EXPECT_NE(plot("angles_plot")->trace(QStringLiteral("30°")), nullptr);
    find<QComboBox>("angles_shown")->setCurrentIndex(2);
    find<QComboBox>("angles_fill")->setCurrentIndex(2);
    EXPECT_NE(plot("angles_plot")->trace(QStringLiteral("window")), nullptr);
    EXPECT_EQ(plot("angles_plot")->trace(QStringLiteral("power")), nullptr)
        << "nothing behind it: absent, not invented";
    EXPECT_NE(find<QLabel>("angles_told")->text().indexOf(QStringLiteral("copied")), -1);
    // Files with angles in their names: shown before they are taken.
    const std::string table = "freq level phase\n200 80 0\n1000 82 -20\n15000 70 -90\n";
    ask.open = {file("mid_hor_0.txt", table),
                file("mid_hor_-30.txt", table),
                file("mid_hor_30.txt", table),
                file("mid_ver_20.txt", table),
                file("mid_odd.txt", table)};
    click(find<QPushButton>("angles_open"));
    settle();
    auto* list = find<QListWidget>("import_list");
    ASSERT_EQ(list->count(), 5);
    EXPECT_NE(list->item(1)->text().indexOf(QStringLiteral("30° left")), -1)
        << list->item(1)->text().toStdString();
    EXPECT_NE(list->item(3)->text().indexOf(QStringLiteral("20° up")), -1);
    EXPECT_NE(list->item(4)->text().indexOf(QStringLiteral("no angle")), -1);
    list->setCurrentRow(4);
    write("import_angle", "60");
    EXPECT_EQ(list->item(4)->text().indexOf(QStringLiteral("no angle")), -1);
    const std::size_t before = job().takes.size();
    click(find<QPushButton>("import_take"));
    settle();
    ASSERT_EQ(job().takes.size(), before + 5);
    EXPECT_EQ(job().takes.back().recorded.angle, 60.0);
    page("angles");
    find<QComboBox>("angles_subject")->setCurrentIndex(0);
    find<QComboBox>("angles_shown")->setCurrentIndex(0);
    EXPECT_NE(plot("angles_plot")->trace(QStringLiteral("60°")), nullptr);
    click(find<QToolButton>("angles_on_axis"));
    EXPECT_NE(plot("angles_plot")->trace(QStringLiteral("0°")), nullptr);
}

TEST_F(MeasureTest, anImpedanceIsReadByHandWithAdvice) {
    page("hand");
    EXPECT_NE(find<QLabel>("hand_next")->text().indexOf(QStringLiteral("20")), -1);
    click(find<QPushButton>("hand_add"));
    EXPECT_FALSE(find<QLabel>("hand_told")->text().isEmpty()) << "nothing typed is said";
    // A driver of Re 6 Ω, fs 60 Hz, Qms 3, Qes 0.6 on 10 Ω and 1 V at the resistor.
    const auto ohms = [](double f) {
        const std::complex<double> x(0.0, 3.0 * (f / 60.0 - 60.0 / f));
        return std::abs(6.0 + 30.0 / (1.0 + x));
    };
    for (int reading = 0; reading < 9; ++reading) {
        const double f = find<app::QuantityField>("hand_f")->value();
        ASSERT_GT(f, 0.0);
        write("hand_sense_volts", "1");
        find<QLineEdit>("hand_driver_volts")->setFocus();
        QTest::keyClicks(find<QLineEdit>("hand_driver_volts"),
                         QString::number(ohms(f) / 10.0, 'f', 5));
        click(find<QPushButton>("hand_add"));
    }
    EXPECT_EQ(find<QTableWidget>("hand_table")->rowCount(), 9);
    EXPECT_NE(find<QLabel>("hand_told")->text().indexOf(QStringLiteral("Qts")), -1)
        << find<QLabel>("hand_told")->text().toStdString();
    EXPECT_NE(find<QLabel>("hand_told")->text().indexOf(QStringLiteral("fs 6")), -1);
    find<QTableWidget>("hand_table")->selectRow(0);
    click(find<QPushButton>("hand_drop"));
    EXPECT_EQ(find<QTableWidget>("hand_table")->rowCount(), 8);
    click(find<QPushButton>("hand_keep"));
    settle();
    EXPECT_EQ(job().takes.back().name, "impedance by hand");
    EXPECT_EQ(job().takes.back().curve->size(), 8U);
}

TEST_F(MeasureTest, aTakeIsSavedAsAFile) {
    chooseTake(recorded(job::TakeKind::impedance));
    const std::string table = folder.path("z.s1p");
    ask.write = QString::fromStdString(table);
    auto* touchstone = window->findChild<QAction*>(QStringLiteral("take_save_touchstone"));
    ASSERT_NE(touchstone, nullptr);
    EXPECT_TRUE(touchstone->isEnabled());
    touchstone->trigger();
    std::ifstream written(table);
    std::string first;
    std::string second;
    std::getline(written, first);
    std::getline(written, second);
    EXPECT_EQ(second, "# Hz S RI R 50");
    EXPECT_FALSE(window->findChild<QAction*>(QStringLiteral("take_save_impulse"))->isEnabled());
    chooseTake(recorded(job::TakeKind::response));
    EXPECT_FALSE(touchstone->isEnabled());
    const std::string sound = folder.path("h.wav");
    ask.write = QString::fromStdString(sound);
    window->findChild<QAction*>(QStringLiteral("take_save_impulse"))->trigger();
    EXPECT_GT(std::filesystem::file_size(sound), 1000U);
    ask.write = QStringLiteral("/nowhere/at/all.wav");
    window->findChild<QAction*>(QStringLiteral("take_save_impulse"))->trigger();
    EXPECT_NE(notice().indexOf(QStringLiteral("could not be written")), -1);
}

TEST_F(MeasureTest, theUsableBandIsOnTheFrontAndOfferedToTheNetwork) {
    EXPECT_NE(find<QWidget>("front")->accessibleDescription().indexOf(QStringLiteral("works well")),
              -1);
    EXPECT_NE(find<QWidget>("front")->accessibleDescription().indexOf(QStringLiteral("guessed")),
              -1)
        << "an area that is not printed is said to be guessed";
    window->chooseCabinet(QStringLiteral("projection"));
    window->chooseStage(QStringLiteral("network"));
    settle();
    click(find<QToolButton>("network_tab_book"));
    auto* offer = find<QToolButton>("start_offer");
    ASSERT_TRUE(offer->isVisible());
    EXPECT_NE(offer->toolTip().indexOf(QStringLiteral("by its")), -1);
    ASSERT_TRUE(offer->isEnabled());
    const double before = find<app::QuantityField>("start_fx")->value();
    click(offer);
    settle();
    const double after = find<app::QuantityField>("start_fx")->value();
    EXPECT_NE(after, before);
    EXPECT_GT(after, 500.0);
    EXPECT_LT(after, 6000.0);
}

TEST_F(MeasureTest, listeningMovesTheBarsAndKeepsNothing) {
    page("record");
    find<app::RecordPage>("record_page")->setPace(1.0);
    click(find<QPushButton>("record_listen"));
    EXPECT_FALSE(find<QPushButton>("record_sweep")->isEnabled());
    auto* bars = window->findChild<app::LevelBars*>();
    ASSERT_NE(bars, nullptr);
    ASSERT_TRUE(QTest::qWaitFor([&] { return bars->held(0) > -89.0; }, 5000)) << "noise is heard";
    EXPECT_LT(bars->held(0), -50.0) << "and nothing was played";
    press(Qt::Key_Escape);
    ASSERT_TRUE(
        QTest::qWaitFor([&] { return find<QPushButton>("record_sweep")->isEnabled(); }, 3000));
    EXPECT_EQ(find<QLabel>("record_problem")->text(), QString());
    EXPECT_FALSE(find<QPushButton>("record_keep")->isVisible());
}

TEST_F(MeasureTest, aBadTakeSaysWhatToChangeAndIsKeptOnPurposeMarked) {
    page("record");
    auto* device = find<QComboBox>("record_device");
    device->setCurrentIndex(device->findData(QStringLiteral("simulated-trouble")));
    sweep(); // the first trouble: far too quiet
    EXPECT_NE(
        find<QLabel>("record_verdict")->text().indexOf(QStringLiteral("raise the input gain")), -1)
        << find<QLabel>("record_verdict")->text().toStdString();
    click(find<QPushButton>("record_again"));
    sweep(); // the second: overloaded
    EXPECT_NE(find<QLabel>("record_verdict")->text().indexOf(QStringLiteral("overloaded")), -1)
        << find<QLabel>("record_verdict")->text().toStdString();
    const std::string inUse = job::findDriver(job(), "right-sorrel")->responseTake;
    EXPECT_NE(find<QPushButton>("record_keep")->text().indexOf(QStringLiteral("anyway")), -1);
    click(find<QPushButton>("record_keep"));
    settle();
    const job::Take& take = job().takes.back();
    EXPECT_TRUE(take.recorded.keptAnyway);
    EXPECT_FALSE(take.recorded.faults.empty());
    EXPECT_EQ(job::findDriver(job(), "right-sorrel")->responseTake, inUse)
        << "a bad take is nobody's response";
    auto* list = find<QListWidget>("takes");
    clickRow(list, QString::fromStdString(take.id));
    EXPECT_NE(find<QLabel>("take_details")->text().indexOf(QStringLiteral("on purpose")), -1);
    EXPECT_NE(find<QLabel>("take_details")->text().indexOf(QStringLiteral("overloaded")), -1);
}

TEST_F(MeasureTest, exchangedInputsAreReadTheOtherWayRound) {
    page("record");
    find<QComboBox>("record_measured_input")->setCurrentIndex(1);
    find<QComboBox>("record_reference_input")->setCurrentIndex(1); // input 1
    sweep();
    ASSERT_NE(find<QLabel>("record_verdict")->text().indexOf(QStringLiteral("exchanged")), -1)
        << find<QLabel>("record_verdict")->text().toStdString();
    auto* exchange = find<QPushButton>("record_exchange");
    ASSERT_TRUE(exchange->isVisible());
    click(exchange);
    ASSERT_TRUE(QTest::qWaitFor(
        [&] { return find<QLabel>("record_verdict")->text().startsWith(u'✓'); }, 10000))
        << find<QLabel>("record_verdict")->text().toStdString();
    EXPECT_FALSE(exchange->isVisible());
    EXPECT_EQ(find<QComboBox>("record_measured_input")->currentIndex(), 0)
        << "the next sweep is right from the start";
    click(find<QPushButton>("record_keep"));
    settle();
    EXPECT_TRUE(job().takes.back().recorded.faults.empty());
}

TEST_F(MeasureTest, leadsThatWereTypedAreTakenOff) {
    page("record");
    find<QComboBox>("record_wanted")->setCurrentIndex(0);
    click(find<QToolButton>("record_calibrations"));
    write("calibration_leads", "0.5");
    click(find<QToolButton>("record_calibrations"));
    sweep();
    click(find<QPushButton>("record_keep"));
    settle();
    EXPECT_DOUBLE_EQ(job().takes.back().recorded.lead, 0.5);
}

TEST_F(MeasureTest, powerIsToldWithWhatItRestsOn) {
    page("record");
    auto* safety = find<QLabel>("record_safety");
    find<app::RecordPage>("record_page")->setPace(0.0);
    click(find<QToolButton>("record_calibrations"));
    click(find<QPushButton>("calibration_forget_level")); // of another test in this process
    write("record_level", "-11 dB");
    EXPECT_EQ(safety->text(), QString()) << "volts are not known yet";
    calibrate("calibration_tone");
    write("calibration_volts", "2");
    click(find<QToolButton>("record_calibrations"));
    write("record_level", "-10 dB");
    EXPECT_NE(safety->text().indexOf(QStringLiteral("W at the driver")), -1)
        << safety->text().toStdString();
    EXPECT_NE(safety->text().indexOf(QStringLiteral("not printed")), -1);
    EXPECT_NE(safety->text().indexOf(QStringLiteral("more than a tenth")), -1);
}

} // namespace yf::test
