// SPDX-License-Identifier: GPL-3.0-or-later
// The real window driven by mouse and keys; what it shows is compared with what the command line
// gives for the same file, to the last digit shown.
#include "app/crossover/driver_end.h"
#include "app/crossover/lanes_view.h"
#include "app/crossover/part_tile.h"
#include "app/frame/main_menu.h"
#include "app/front/front_view.h"
#include "app/plots/plot.h"
#include "app/widgets/quantity_field.h"
#include "cli/verb.h"
#include "core/job/store/store.h"
#include "core/study/start.h"
#include "core/text/number.h"
#include "tests/support/demo_job.h"
#include "tests/support/test_window.h"

#include <QAction>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDragMoveEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QTest>
#include <QToolButton>
#include <QUrl>

#include <sys/resource.h>

#include <csignal>

namespace yf::test {

namespace {

using app::Plot;

class Window : public WindowTest {
protected:
    app::PartTile* tile(const char* id) {
        app::PartTile* found = find<app::LanesView>("lanes")->tile(id);
        EXPECT_NE(found, nullptr) << id;
        return found;
    }

    Plot* plot(const char* name) { return find<Plot>(name); }

    /// All four figures of the line against the command line's.
    void expectLineAsByCommandLine() {
        settle();
        for (const char* const figure : {"sensitivity", "impedance", "corridor", "parts"}) {
            EXPECT_EQ(line(figure).toStdString(), figureByCommandLine(figure)) << figure;
        }
    }

    /// The crosshair's readings against `network solve` of the exported network.
    void expectReadingsAsByCommandLine(double frequency) {
        settle();
        plot("plot_response")->setCrosshair(frequency);
        plot("plot_phase")->setCrosshair(frequency);
        plot("plot_impedance")->setCrosshair(frequency);
        const auto given = [](const std::vector<std::string>& words, const std::string& input) {
            const auto answer = cli::answer(words, [&]() -> Result<std::string> { return input; });
            EXPECT_EQ(answer.status, 0) << answer.err;
            return text::parseJson(answer.out).value();
        };
        const text::Value exported = given({"job", "export"}, R"({"job_file":")" + path + "\"}");
        const text::Value solved =
            given({"network", "solve"},
                  R"({"frequencies_hz":[)" + text::printNumber(frequency) + "," +
                      text::printNumber(frequency * 1.01) + R"(],"network":)" +
                      text::writeJson(*exported.find("network")) + "}");
        const auto first = [&](const char* key) {
            return *solved.find(key)->list()->front().number();
        };
        const auto shown = [](double value, int decimals, const char* unit) {
            return QString::fromStdString(text::printFixed(value, decimals))
                       .replace(u'-', QChar(0x2212)) +
                   QString::fromUtf8(unit);
        };
        EXPECT_EQ(plot("plot_response")->reading(QStringLiteral("sum")),
                  shown(first("sum_level_db"),
                        1,
                        "\u202F"
                        "dB"));
        EXPECT_EQ(plot("plot_impedance")->reading(QStringLiteral("impedance")),
                  shown(first("impedances_ohm"), 2, "\u202FΩ"));
    }

    /// Offscreen nobody gives the window back what a popup took.
    void choose(QMenu* menu, const char* action) {
        menu->findChild<QAction*>(QLatin1String(action))->trigger();
        menu->hide();
        window->activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
    }

    std::string undoName() { return window->document()->history().undoName().english(); }
};

} // namespace

TEST_F(Window, opensOnTheDemoWithItsFigures) {
    expectLineAsByCommandLine();
    EXPECT_EQ(line("parts"), QStringLiteral("9 parts, 47.60"));
    EXPECT_EQ(find<QLabel>("line_saved")->text(), QStringLiteral("saved"));
    for (const double frequency : {1000.0, 100.0, 2500.0, 10000.0}) {
        // Design-axis points: what the curve has, not what the eye interpolates.
        expectReadingsAsByCommandLine(
            *std::ranges::lower_bound(curve::designAxis(), frequency * 0.999));
    }
}

TEST_F(Window, flippingTheTweeterAndBack) {
    auto* end = find<app::DriverEndButton>("driver_teasel");
    const QString before = line("corridor");
    const Plot& response = *plot("plot_response");
    const QVector<double> ghost = response.trace(QStringLiteral("reversed"))->values;
    click(end);
    settle();
    EXPECT_EQ(end->polarity(), -1);
    EXPECT_NE(line("corridor"), before);
    expectLineAsByCommandLine();
    EXPECT_EQ(undoName(), "Reverse Teasel 26");
    // What was the ghost is the sum now.
    const QVector<double>& sum = response.trace(QStringLiteral("sum"))->values;
    ASSERT_EQ(sum.size(), ghost.size());
    for (qsizetype k = 0; k < sum.size(); ++k) {
        EXPECT_NEAR(sum[k], ghost[k], 1e-9);
    }
    EXPECT_NE(
        find<app::FrontView>("front")->accessibleDescription().indexOf(QStringLiteral("reversed")),
        -1);
    press(Qt::Key_Space); // the button has the focus: once more by key
    settle();
    EXPECT_EQ(end->polarity(), 1);
    EXPECT_EQ(line("corridor"), before);
}

TEST_F(Window, wheelAndArrowsWalkThroughPurchasableValues) {
    const QString before = line("corridor");
    app::PartTile* r2 = tile("R2");
    wheel(r2, 1); // without the focus the wheel does nothing
    settle();
    EXPECT_EQ(r2->valueShown(), QStringLiteral("3.9\u202FΩ"));
    click(r2);
    EXPECT_TRUE(r2->hasFocus());
    wheel(r2, 2);
    settle();
    EXPECT_EQ(r2->valueShown(), QStringLiteral("5.6\u202FΩ"));
    EXPECT_NE(line("corridor"), before);
    expectLineAsByCommandLine();
    expectReadingsAsByCommandLine(curve::designAxis()[400]);
    EXPECT_EQ(undoName(), "Change R2 to 5.6\u202FΩ");
    // One turn of the wheel is one step of the history.
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_EQ(tile("R2")->valueShown(), QStringLiteral("3.9\u202FΩ"));
    EXPECT_EQ(line("corridor"), before);
    tile("R2")->setFocus();
    press(Qt::Key_Up);
    press(Qt::Key_Down);
    press(Qt::Key_Down);
    settle();
    EXPECT_EQ(tile("R2")->valueShown(), QStringLiteral("3.3\u202FΩ"));
    press(Qt::Key_Up, Qt::ShiftModifier); // fine: E192
    settle();
    EXPECT_EQ(tile("R2")->valueShown(), QStringLiteral("3.32\u202FΩ"));
    expectLineAsByCommandLine();
}

TEST_F(Window, wheelStepsThroughTheChosenSeries) {
    find<QComboBox>("wheel_series")->setCurrentText(QStringLiteral("E6"));
    click(tile("C3"));
    wheel(tile("C3"), 1);
    settle();
    EXPECT_EQ(tile("C3")->valueShown(), QStringLiteral("6.8\u202FµF"));
    wheel(tile("C3"), 1);
    settle();
    EXPECT_EQ(tile("C3")->valueShown(), QStringLiteral("10\u202FµF"));
    // A quick hand: every notch counts although evaluations lie between.
    wheel(tile("C3"), -4);
    settle();
    EXPECT_EQ(tile("C3")->valueShown(), QStringLiteral("2.2\u202FµF"));
}

TEST_F(Window, typingTakesWhatPeopleWrite) {
    struct {
        const char* part;
        const char* typed;
        const char* shown;
    } const rows[] = {{"C3", "6u8", "6.8\u202FµF"},
                      {"C3", "8.2", "8.2\u202FµF"},
                      {"L1", "1,8 mH dcr=0.5", "1.8\u202FmH"},
                      {"R2", "4R7", "4.7\u202FΩ"},
                      {"R2", "5,6", "5.6\u202FΩ"}};

    for (const auto& row : rows) {
        click(tile(row.part));
        type(row.typed);
        auto* editor = find<QLineEdit>("part_editor");
        ASSERT_TRUE(editor->isVisible());
        EXPECT_EQ(editor->text(), QString::fromUtf8(row.typed));
        press(Qt::Key_Return);
        settle();
        EXPECT_FALSE(editor->isVisible());
        EXPECT_EQ(tile(row.part)->valueShown(), QString::fromUtf8(row.shown)) << row.typed;
        EXPECT_TRUE(tile(row.part)->hasFocus());
    }
    EXPECT_EQ(tile("L1")->lossShown(), QStringLiteral("L1 · 0.5\u202FΩ"));
    expectLineAsByCommandLine();
}

TEST_F(Window, whoGoesOnElsewhereMeansWhatWasTyped) {
    click(tile("R2"));
    type("5.6");
    click(tile("C3"));
    settle();
    EXPECT_EQ(tile("R2")->valueShown(), QStringLiteral("5.6\u202FΩ"));
    EXPECT_TRUE(tile("C3")->hasFocus());
    type("4");             // half a thought …
    press(Qt::Key_Escape); // … taken back
    click(tile("L1"));
    type("9z");
    click(tile("R2"));
    settle();
    EXPECT_EQ(tile("C3")->valueShown(), QStringLiteral("5.6\u202FµF"));
    EXPECT_EQ(tile("L1")->valueShown(), QStringLiteral("1.5\u202FmH"));
    EXPECT_EQ(window->document()->history().steps().size(), demoHistory().steps().size() + 1);
}

TEST_F(Window, aDiskThatIsFullIsSaidAndNothingIsLost) {
    rlimit before{};
    ASSERT_EQ(getrlimit(RLIMIT_FSIZE, &before), 0);
    std::signal(SIGXFSZ, SIG_IGN);
    rlimit none = before;
    none.rlim_cur = 512; // no journal fits
    ASSERT_EQ(setrlimit(RLIMIT_FSIZE, &none), 0);
    click(tile("R2"));
    type("5.6");
    press(Qt::Key_Return);
    auto* saved = find<QLabel>("line_saved");
    const bool told = QTest::qWaitFor([&] { return saved->text().startsWith(u'■'); }, 20000);
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return tile("R2")->valueShown() == QStringLiteral("5.6\u202FΩ"); }, 20000));
    EXPECT_TRUE(saved->text().startsWith(u'■')) << "a picture must not wipe the warning away";
    // The window does not let go of what is not on the disk.
    EXPECT_FALSE(window->close());
    EXPECT_TRUE(notice().startsWith(u'■'));
    ASSERT_EQ(setrlimit(RLIMIT_FSIZE, &before), 0);
    ASSERT_TRUE(told);
    EXPECT_EQ(job::store::Store::openForReading(path)->load()->job(), demoJob());
    settle(); // tried again by itself
    EXPECT_EQ(saved->text(), QStringLiteral("saved"));
    EXPECT_EQ(job::store::Store::openForReading(path)->load()->job(), window->document()->job());
}

TEST_F(Window, wrongTypingIsSaidBesideTheTileAndKeepsTheValue) {
    auto* problem = find<QLabel>("part_problem");

    struct {
        const char* typed;
        const char* said;
    } const rows[] = {{"0", "above zero"},
                      {"-3", "above zero"},
                      {"5 uF", "not understood"},
                      {"1.2.3", "more than one point"},
                      {"3 dcr=1", "nearest known key"}};

    for (const auto& row : rows) {
        click(tile("R2"));
        type(row.typed);
        press(Qt::Key_Return);
        EXPECT_TRUE(problem->isVisible()) << row.typed;
        EXPECT_NE(problem->text().indexOf(QLatin1String(row.said)), -1)
            << problem->text().toStdString();
        press(Qt::Key_Escape);
        EXPECT_FALSE(problem->isVisible());
        settle();
        EXPECT_EQ(tile("R2")->valueShown(), QStringLiteral("3.9\u202FΩ"));
    }
    // An absurd value is questioned, and taken when it is meant.
    click(tile("C3"));
    type("47m");
    press(Qt::Key_Return);
    EXPECT_NE(problem->text().indexOf(QStringLiteral("far outside")), -1);
    settle();
    EXPECT_EQ(tile("C3")->valueShown(), QStringLiteral("5.6\u202FµF"));
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(tile("C3")->valueShown(), QStringLiteral("47\u202FmF"));
    EXPECT_EQ(window->document()->history().steps().size(), demoHistory().steps().size() + 1);
}

TEST_F(Window, removingInsertingAndUndoingByName) {
    click(tile("R3"));
    press(Qt::Key_Backspace);
    settle();
    EXPECT_EQ(find<app::LanesView>("lanes")->tile("R3"), nullptr);
    EXPECT_EQ(line("parts"), QStringLiteral("8 parts, 46.40"));
    expectLineAsByCommandLine();
    // Insert: the menu's choices are actions; the new part is seen but upsets nothing.
    tile("R2")->setFocus();
    press(Qt::Key_Insert);
    auto* menu = find<QMenu>("insert_menu");
    ASSERT_TRUE(menu->isVisible());
    choose(menu, "insert_across_C");
    settle();
    EXPECT_EQ(line("parts"), QStringLiteral("9 parts, 8 priced: 46.40"));
    EXPECT_EQ(undoName(), "Insert a capacitor across the way");
    // The next free number of its kind, with the focus, ready to be typed.
    app::PartTile* fresh = tile("C2");
    ASSERT_NE(fresh, nullptr);
    EXPECT_TRUE(fresh->hasFocus());
    expectLineAsByCommandLine();
    EXPECT_EQ(find<QAction>("action_undo")->text(),
              QStringLiteral("&Undo: Insert a capacitor across the way"));
    QTest::keyClick(window.get(), Qt::Key_Z, Qt::ControlModifier);
    QTest::keyClick(window.get(), Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_EQ(line("parts"), QStringLiteral("9 parts, 47.60"));
    EXPECT_EQ(window->document()->job(), demoJob());
    EXPECT_EQ(find<QAction>("action_redo")->text(), QStringLiteral("&Redo: Take out R3"));
    find<QAction>("action_redo")->trigger();
    settle();
    EXPECT_EQ(line("parts"), QStringLiteral("8 parts, 46.40"));
}

TEST_F(Window, insertionPlacesOnTheRail) {
    click(find<QWidget>("insert_0_0"), {12, 14});
    auto* menu = find<QMenu>("insert_menu");
    ASSERT_TRUE(menu->isVisible());
    // Six kinds of part, three of level control, and under a line what would help this way.
    const auto parts = std::ranges::count_if(menu->actions(), [](const QAction* action) {
        return !action->isSeparator() &&
               !action->objectName().startsWith(QStringLiteral("insert_help"));
    });
    EXPECT_EQ(parts, 9);
    EXPECT_NE(menu->findChild<QAction*>(QStringLiteral("insert_help_flatten")), nullptr);
    choose(menu, "insert_line_R");
    settle();
    const auto ids = network::parts(window->document()->job().cabinets.front().circuit);
    EXPECT_EQ(ids.size(), 10U);
    EXPECT_EQ(ids.front().kind, network::PartKind::resistor);
    expectLineAsByCommandLine();
}

TEST_F(Window, holdingBShowsTheSpeakerWithoutAPart) {
    const Plot& response = *plot("plot_response");
    const QVector<double> with = response.trace(QStringLiteral("sum"))->values;
    app::PartTile* l3 = tile("L3");
    click(l3);
    QTest::keyPress(l3, Qt::Key_B);
    ASSERT_TRUE(QTest::qWaitFor(
        [&] { return response.trace(QStringLiteral("present")) != nullptr; }, 20000));
    EXPECT_NE(response.trace(QStringLiteral("sum"))->values, with);
    EXPECT_EQ(response.trace(QStringLiteral("present"))->values, with);
    EXPECT_EQ(window->document()->job(), demoJob()) << "a look changes nothing";
    QTest::keyRelease(l3, Qt::Key_B);
    settle();
    EXPECT_EQ(response.trace(QStringLiteral("present")), nullptr);
    EXPECT_EQ(response.trace(QStringLiteral("sum"))->values, with);
}

// Under address checks this found a preview that ended in a window half destroyed.
TEST_F(Window, closesWhileAKeyIsHeld) {
    click(tile("L3"));
    QTest::keyPress(tile("L3"), Qt::Key_B);
    wheel(tile("L3"), 1);
    window.reset();
    EXPECT_EQ(job::store::Store::openForReading(path)->load()->history.steps().size(),
              demoHistory().steps().size() + 1);
}

TEST_F(Window, aStartFromTheBookIsLookedAtThenTaken) {
    const Plot& response = *plot("plot_response");
    click(find<QToolButton>("network_tab_book"));
    auto* order = find<QComboBox>("start_order");
    order->setFocus();
    press(Qt::Key_Up); // third order …
    press(Qt::Key_Up); // … second
    ASSERT_TRUE(QTest::qWaitFor(
        [&] { return response.trace(QStringLiteral("present")) != nullptr; }, 20000));
    EXPECT_EQ(window->document()->job(), demoJob());
    auto* fx = find<app::QuantityField>("start_fx");
    fx->setFocus();
    fx->selectAll();
    type("2k2");
    press(Qt::Key_Return);
    EXPECT_NEAR(fx->value(), 2200.0, 1e-9);
    click(find<QCheckBox>("start_flatten"), {8, 14});
    click(find<QPushButton>("start_take"));
    settle();
    EXPECT_EQ(undoName(), "Start second-order Linkwitz-Riley at 2.2\u202FkHz");
    EXPECT_EQ(response.trace(QStringLiteral("present")), nullptr);
    const auto expected = study::startedNetwork(
        demoJob(), demoCabinet(), {.order = 2, .fx = 2200.0, .flattenImpedance = true});
    EXPECT_EQ(window->document()->job().cabinets.front().circuit, expected.value());
    expectLineAsByCommandLine();
}

TEST_F(Window, anImpossibleStartIsRefusedInWords) {
    click(find<QToolButton>("network_tab_book"));
    find<QComboBox>("start_order")->setFocus();
    press(Qt::Key_Up);
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return notice().contains(QStringLiteral("must be even for Linkwitz-Riley")); },
        20000))
        << notice().toStdString();
    click(find<QPushButton>("start_take"));
    settle();
    EXPECT_EQ(window->document()->job(), demoJob());
    auto* fx = find<app::QuantityField>("start_fx");
    fx->setFocus();
    fx->selectAll();
    type("fast");
    press(Qt::Key_Return);
    EXPECT_FALSE(fx->problem().isEmpty());
    EXPECT_NEAR(fx->value(), 2500.0, 1e-9) << "the last good value stays";
    EXPECT_FALSE(find<QPushButton>("start_take")->isEnabled());
}

TEST_F(Window, tablesDroppedOnADriverAreReadAndTold) {
    auto* front = find<app::FrontView>("front");
    const QPoint place = front->placeOf("teasel").value();
    const std::string table = folder.write(
        "new tweeter.csv",
        "Frequenz Hz;Pegel dB;Phase Grad\n20;30,5;170\n200;50;150\n2000;92;20\n20000;88;-100\n");
    drop(front, place, {QString::fromStdString(table)});
    settle();
    EXPECT_TRUE(notice().startsWith(
        QStringLiteral("✓ new tweeter.csv for Teasel 26: 4 rows, 20\u202FHz to 20\u202FkHz; read "
                       "as frequency, level in dB, phase; columns by semicolon, decimal comma.")))
        << notice().toStdString();
    EXPECT_EQ(undoName(), "Import response new tweeter.csv");
    expectLineAsByCommandLine();
    EXPECT_EQ(window->document()->job().takes.size(), 5U);
    // Several at once; one of them wrong: the good one is kept, the wrong one told with its place.
    const std::string good = folder.write("z.txt", "f ohm phase\n20 6 0\n200 7 5\n20000 8 10\n");
    const std::string wrong = folder.write("broken.txt", "freq,spl\n100,80\n200,eighty\n");
    drop(front, place, {QString::fromStdString(wrong), QString::fromStdString(good)});
    settle();
    EXPECT_TRUE(notice().startsWith(u'■'));
    EXPECT_NE(
        notice().indexOf(QStringLiteral("broken.txt: line 3, column 2: 'eighty' is not a number")),
        -1)
        << notice().toStdString();
    EXPECT_EQ(window->document()->job().takes.size(), 6U);
    find<QAction>("action_undo")->trigger();
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_EQ(window->document()->job(), demoJob());
    // Beside the drivers nothing is taken.
    QMimeData data;
    data.setUrls({QUrl::fromLocalFile(QString::fromStdString(good))});
    QDragMoveEvent beside(QPoint(1, 1), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(front, &beside);
    EXPECT_FALSE(beside.isAccepted());
}

TEST_F(Window, aDriverClickedShowsItsCurves) {
    auto* front = find<app::FrontView>("front");
    click(front, front->placeOf("teasel").value());
    settle();
    EXPECT_EQ(find<QLabel>("measure_driver")->text(), QStringLiteral("Teasel 26"));
    const auto* response = plot("measure_plot_response")->trace(QStringLiteral("response"));
    ASSERT_NE(response, nullptr);
    const auto& take = *job::takeInUse(demoJob(), demoJob().drivers[1], job::TakeKind::response);
    ASSERT_EQ(static_cast<std::size_t>(response->values.size()), take.curve->size());
    for (std::size_t k = 0; k < take.curve->size(); k += 50) {
        EXPECT_NEAR(response->values[static_cast<qsizetype>(k)],
                    quantity::decibels(take.curve->values()[k] / quantity::referencePressure),
                    1e-9);
        EXPECT_EQ(response->trusted[static_cast<qsizetype>(k)],
                  take.curve->trusted().holds(take.curve->frequencies()[k]));
    }
    EXPECT_NE(plot("measure_plot_impedance")->trace(QStringLiteral("impedance")), nullptr);
    EXPECT_NE(plot("measure_plot_impedance_phase")->trace(QStringLiteral("impedance")), nullptr);
    EXPECT_NE(
        find<QLabel>("measure_response_told")->text().indexOf(QStringLiteral("decimal comma")), -1);
    front->setFocus();
    press(Qt::Key_Down);
    settle();
    EXPECT_EQ(find<QLabel>("measure_driver")->text(), QStringLiteral("Campion 165"));
    // A table without phase teaches what to do, and the button does it.
    const std::string table =
        folder.write("levels.csv", "freq,spl\n20,60\n200,85\n2000,86\n20000,70\n");
    ask.open = {QString::fromStdString(table)};
    click(find<QPushButton>("measure_open"));
    settle();
    EXPECT_TRUE(notice().startsWith(u'▲'));
    EXPECT_EQ(line("sensitivity"), QStringLiteral("no level yet"));
    click(find<QPushButton>("measure_minimum_response"));
    settle();
    EXPECT_NE(line("sensitivity"), QStringLiteral("no level yet"));
    EXPECT_EQ(undoName(), "Use minimum phase for the response of campion");
}

TEST_F(Window, tablesDroppedOnTheStageAreForTheChosenDriver) {
    window->chooseStage(QStringLiteral("measure"));
    window->chooseDriver(QStringLiteral("Campion 165"));
    settle();
    auto* stage = find<QWidget>("stage_measure");
    const std::string table = folder.write("z.txt", "f ohm phase\n20 6 0\n200 7 5\n20000 8 10\n");
    drop(stage, stage->rect().center(), {QString::fromStdString(table)});
    settle();
    const job::Job& job = window->document()->job();
    EXPECT_EQ(job::takeInUse(job, job.drivers[0], job::TakeKind::impedance)->name, "z.txt");
    EXPECT_EQ(job.drivers[1], demoJob().drivers[1]);
    expectLineAsByCommandLine();
}

TEST_F(Window, lineLeadsToWhereAFigureComesFrom) {
    window->chooseStage(QStringLiteral("measure"));
    click(find<QToolButton>("line_impedance"));
    EXPECT_TRUE(plot("plot_impedance")->hasFocus());
    const auto least = window->present()->evaluation.cabinets.front().leastImpedance.value();
    EXPECT_EQ(plot("plot_impedance")->crosshair(), least.frequency);
    EXPECT_EQ(plot("plot_response")->crosshair(), least.frequency);
    click(find<QToolButton>("line_parts"));
    EXPECT_TRUE(tile("L1")->hasFocus());
    EXPECT_FALSE(find<QToolButton>("line_corridor")->toolTip().isEmpty());
}

TEST_F(Window, crosshairZoomAndHouseScale) {
    Plot* response = plot("plot_response");
    response->setFocus();
    const double before = response->crosshair();
    press(Qt::Key_Right);
    EXPECT_NEAR(response->crosshair() / before, std::exp2(1.0 / 48.0), 1e-9);
    EXPECT_EQ(plot("plot_impedance")->crosshair(), response->crosshair());
    press(Qt::Key_Left, Qt::ControlModifier);
    EXPECT_LT(response->crosshair(), before);
    EXPECT_TRUE(response->atHouseScale());
    auto* canvas = response->findChild<QWidget*>(QString(), Qt::FindDirectChildrenOnly);
    ASSERT_NE(canvas, nullptr);
    for (QObject* child : response->children()) {
        if (child->inherits("QCustomPlot")) {
            canvas = qobject_cast<QWidget*>(child);
        }
    }
    wheel(canvas, 3);
    EXPECT_FALSE(response->atHouseScale());
    EXPECT_TRUE(find<QToolButton>("plot_response_house")->isVisible());
    press(Qt::Key_Home);
    EXPECT_TRUE(response->atHouseScale());
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return response->accessibleDescription().contains(QStringLiteral("sum")); }, 20000));
}

TEST_F(Window, reopenedJobIsTheSame) {
    click(tile("R2"));
    type("5.6");
    press(Qt::Key_Return);
    settle();
    const QString corridor = line("corridor");
    window->close();
    window = std::make_unique<app::MainWindow>(ask);
    app::fitMenu(*window);
    ASSERT_TRUE(window->openJob(QString::fromStdString(path)));
    window->chooseStage(QStringLiteral("network"));
    window->show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(window.get()));
    settle();
    EXPECT_EQ(line("corridor"), corridor);
    EXPECT_EQ(undoName(), "Change R2 to 5.6\u202FΩ");
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_EQ(window->document()->job(), demoJob());
}

TEST_F(Window, copiesNewJobsAndWrongFiles) {
    ask.write = QString::fromStdString(folder.path("copy.yfjob"));
    find<QAction>("action_copy")->trigger();
    EXPECT_TRUE(notice().startsWith(u'✓')) << notice().toStdString();
    EXPECT_EQ(job::store::Store::open(folder.path("copy.yfjob"))->load()->job(), demoJob());
    find<QAction>("action_copy")->trigger();
    EXPECT_TRUE(notice().startsWith(u'■')) << "a copy never overwrites";
    ask.open = {QString::fromStdString(folder.write("text.yfjob", "no job"))};
    find<QAction>("action_open")->trigger();
    EXPECT_TRUE(notice().startsWith(u'■'));
    EXPECT_EQ(window->document()->job(), demoJob()) << "what was open stays open";
    ask.write = QString::fromStdString(folder.path("My speaker.yfjob"));
    find<QAction>("action_new")->trigger(); // the form on the start page, its title in focus
    type("My speaker");
    click(find<QPushButton>("new_make"));
    settle();
    EXPECT_EQ(window->document()->job().title, "My speaker");
    EXPECT_EQ(line("sensitivity"), QStringLiteral("no level yet"));
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return !plot("plot_response")->accessibleDescription().isEmpty(); }, 20000));
    // From nothing to a network: four tables dropped, a start taken.
    auto* front = find<app::FrontView>("front");
    for (const char* const driver : {"woofer", "tweeter"}) {
        const std::string level =
            folder.write(std::string(driver) + " level.csv",
                         "freq,spl,phase\n20,60,90\n200,85,20\n2000,86,-30\n20000,80,-90\n");
        const std::string ohms =
            folder.write(std::string(driver) + " z.csv",
                         "freq,ohm,phase\n20,6,20\n200,6,0\n2000,7,20\n20000,12,45\n");
        drop(front,
             front->placeOf(driver).value(),
             {QString::fromStdString(level), QString::fromStdString(ohms)});
        settle();
    }
    window->chooseStage(QStringLiteral("network"));
    click(find<QPushButton>("start_take"));
    settle();
    EXPECT_EQ(line("parts"), QStringLiteral("8 parts"));
    EXPECT_NE(line("corridor"), QStringLiteral("no sum yet"));
}

TEST_F(Window, aFileThatMayNotBeWrittenIsReadOnly) {
    const std::string copy = folder.path("newer.yfjob");
    std::string bytes = fileContent(path);
    bytes[63] = 99; // user_version, big-endian at offset 60
    folder.write("newer.yfjob", bytes);
    ASSERT_TRUE(window->openJob(QString::fromStdString(copy)));
    settle();
    EXPECT_NE(notice().indexOf(QStringLiteral("reading only")), -1);
    EXPECT_EQ(find<QLabel>("line_saved")->text(), QStringLiteral("reading only"));
    // The work goes on in memory, and gets a file when it is given one.
    window->chooseStage(QStringLiteral("network"));
    click(find<app::DriverEndButton>("driver_teasel"));
    settle();
    EXPECT_NE(window->document()->job(), demoJob());
    EXPECT_EQ(find<QLabel>("line_saved")->text(), QStringLiteral("■ in memory only"));
    EXPECT_EQ(fileContent(copy), bytes) << "the file itself is left alone";
    ask.write = QString::fromStdString(folder.path("rescued.yfjob"));
    click(find<QToolButton>("line_place"));
    settle();
    EXPECT_EQ(find<QLabel>("line_saved")->text(), QStringLiteral("saved"));
    EXPECT_EQ(job::store::Store::openForReading(folder.path("rescued.yfjob"))->load()->job(),
              window->document()->job());
    click(find<app::DriverEndButton>("driver_teasel"));
    settle();
    EXPECT_EQ(job::store::Store::openForReading(folder.path("rescued.yfjob"))->load()->job(),
              demoJob())
        << "from now on every change is saved there";
}

} // namespace yf::test
