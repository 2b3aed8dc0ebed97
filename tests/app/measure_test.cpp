// SPDX-License-Identifier: GPL-3.0-or-later
// The Measure stage through its own controls: a sweep on the simulated bench is recorded, judged,
// kept, gated; its decay and parameters are seen; takes are laid over and described.
#include "app/measure/decay_view.h"
#include "app/measure/gate_view.h"
#include "app/measure/record_page.h"
#include "app/measure/take_list.h"
#include "app/plots/plot.h"
#include "core/job/make_take.h"
#include "tests/support/test_window.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QProgressBar>
#include <QPushButton>
#include <QTableWidget>
#include <QTest>
#include <QToolButton>

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
    ASSERT_TRUE(QTest::qWaitFor([&] { return table->rowCount() == 5; }, 10000));
    EXPECT_EQ(table->item(0, 0)->text(), QStringLiteral("Re"));
    EXPECT_NE(table->item(1, 1)->text().indexOf(QStringLiteral("±")), -1);
    EXPECT_NE(find<QLabel>("parameters_told")->text().indexOf(QStringLiteral("plain inductor")),
              -1);
    EXPECT_NE(find<QLabel>("parameters_band")->text().indexOf(QStringLiteral("resonance")), -1);
    // Vas by a mass, once area, mass and the lowered resonance are there; nonsense is said.
    const auto write = [&](const char* name, const char* text) {
        auto* field = find<QLineEdit>(name);
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, QString::fromUtf8(text));
        QTest::keyClick(field, Qt::Key_Return);
    };
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
    EXPECT_EQ(job::samplesKey(*after->recording), before.recorded.samples);
}

} // namespace yf::test
