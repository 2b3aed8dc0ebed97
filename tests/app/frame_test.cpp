// SPDX-License-Identifier: GPL-3.0-or-later
// What surrounds every stage: start page, Front, findings, snapshots, log, finder, guide, pictures
// that leave the application; by mouse and keys on the real window.
#include "app/crossover/part_tile.h"
#include "app/desk/recent.h"
#include "app/findings/findings_panel.h"
#include "app/frame/command_finder.h"
#include "app/frame/fuzzy.h"
#include "app/frame/language.h"
#include "app/front/front_view.h"
#include "app/help/help_pane.h"
#include "app/history/snapshot_bar.h"
#include "app/import/import_sheet.h"
#include "app/plots/clip.h"
#include "app/plots/plot.h"
#include "app/plots/readings.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/job/store/store.h"
#include "core/signal/wav.h"
#include "core/text/fields.h"
#include "demo/lantern_hall.h"
#include "tests/support/demo_job.h"
#include "tests/support/test_window.h"

#include <QAction>
#include <QApplication>
#include <QClipboard>
#include <QComboBox>
#include <QImage>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QSettings>
#include <QTest>
#include <QTextBrowser>
#include <QToolButton>
#include <QXmlStreamReader>

#include <cmath>
#include <complex>
#include <limits>

namespace yf::test {

namespace {

using app::Plot;

class Hall : public HallTest {
protected:
    Plot* plot(const char* name) { return find<Plot>(name); }

    app::FrontView* front() { return find<app::FrontView>("front"); }

    QToolButton* button(const char* name) { return find<QToolButton>(name); }

    void trigger(const char* action) { find<QAction>(action)->trigger(); }

    /// Gives a column of the file that is looked at a meaning by hand.
    void meant(int column, const char* word) {
        auto* box = find<QComboBox>(("import_meaning_" + std::to_string(column)).c_str());
        const int index = box->findData(QLatin1String(word));
        ASSERT_GE(index, 0) << word;
        box->setCurrentIndex(index);
        Q_EMIT box->activated(index);
        settle();
    }

    void enter(const char* field, const char* text) {
        auto* line = find<QLineEdit>(field);
        line->setFocus();
        line->selectAll();
        type(text);
        press(Qt::Key_Return);
    }

    /// Presses Space and waits until the snapshot is seen.
    void holdSpace() {
        QTest::keyPress(QApplication::focusWidget(), Qt::Key_Space);
        ASSERT_TRUE(QTest::qWaitFor(
            [this] { return find<QLabel>("where")->text().contains(QStringLiteral("◐")); }, 20000));
        ASSERT_TRUE(QTest::qWaitFor([this] { return window->settled(); }, 20000));
    }

    void letGo() {
        QTest::keyRelease(QApplication::focusWidget(), Qt::Key_Space);
        settle();
    }
};

} // namespace

TEST_F(Hall, theFirstScreenNamesTheFaultAndMendsIt) {
    auto* act = button("do_align.reversed/left/left-teasel");
    EXPECT_EQ(act->text(), QStringLiteral("Reverse Teasel 26"));
    const QString before = line("corridor");
    EXPECT_TRUE(before.startsWith(QStringLiteral("±8.8")));
    // The pointer over it shows what it would bring, and changes nothing.
    QEnterEvent over(QPointF(3, 3), QPointF(3, 3), QPointF(3, 3));
    QApplication::sendEvent(act, &over);
    ASSERT_TRUE(QTest::qWaitFor([&] { return line("corridor") != before; }, 20000));
    EXPECT_EQ(window->document()->history().undoName(), "Change C1 to 47\u202FµF");
    QEvent out(QEvent::Leave);
    QApplication::sendEvent(act, &out);
    settle();
    EXPECT_EQ(line("corridor"), before);
    click(act);
    settle();
    EXPECT_TRUE(line("corridor").startsWith(QStringLiteral("±1.")))
        << line("corridor").toStdString();
    EXPECT_EQ(window->findChild<QToolButton*>(QStringLiteral("do_align.reversed/left/left-teasel")),
              nullptr)
        << "found no more";
    trigger("action_undo");
    settle();
    EXPECT_EQ(line("corridor"), before);
}

TEST_F(Hall, findingsUnfoldShowAndAreSetAsideWithANote) {
    click(button("why_align.reversed"));
    settle();
    auto* limit = find<QLineEdit>("limit_align.reversed");
    EXPECT_EQ(limit->text(), QStringLiteral("3"));
    enter("limit_align.reversed", "12");
    settle();
    EXPECT_EQ(job().limits.size(), 1U);
    EXPECT_EQ(window->findChild<QWidget*>(QStringLiteral("finding_align.reversed")), nullptr);
    trigger("action_undo");
    settle();
    click(button("show_net.cap_value/right/C3"));
    settle();
    EXPECT_TRUE(find<QToolButton>("chip_right")->isChecked());
    EXPECT_EQ(QApplication::focusWidget()->objectName(), QStringLiteral("tile_C3"));
    click(button("show_align.reversed/left/left-teasel"));
    settle();
    EXPECT_TRUE(find<QWidget>("stage_align")->isVisible());
    EXPECT_NEAR(plot("align_response")->crosshair(), 2500.0, 400.0);
    click(button("aside_meas.distance"));
    settle();
    enter("note_meas.distance", "the hall is not deeper");
    settle();
    EXPECT_EQ(job().dismissals.size(), 8U);
    EXPECT_EQ(job().dismissals.front().note, "the hall is not deeper");
    EXPECT_EQ(window->document()->history().undoName(),
              "Set aside meas.distance: the hall is not deeper");
    EXPECT_EQ(window->findChild<QWidget*>(QStringLiteral("finding_meas.distance")), nullptr);
    click(button("findings_aside"));
    settle();
    click(button("take_up_meas.distance"));
    settle();
    EXPECT_NE(window->findChild<QWidget*>(QStringLiteral("finding_meas.distance")), nullptr);
    click(button("findings_unchecked"));
    settle();
    const QString unchecked = find<QLabel>("unchecked_list")->text();
    EXPECT_TRUE(unchecked.contains(QStringLiteral("The sealed box is not tight")));
    // What nothing in a job tells is not said to be missing from it.
    EXPECT_LT(unchecked.indexOf(QStringLiteral("The sealed box is not tight")),
              unchecked.indexOf(QStringLiteral("the command line takes it")));
    EXPECT_GT(unchecked.indexOf(QStringLiteral("A sweep that would kill the tweeter")),
              unchecked.indexOf(QStringLiteral("the command line takes it")));
}

TEST_F(Hall, spaceHeldShowsTheSnapshotAndATapStillPresses) {
    plot("plot_response")->setFocus();
    const QString before = line("impedance");
    const job::HouseScale scale = plot("plot_response")->scale();
    holdSpace();
    EXPECT_NE(line("impedance"), before) << "the capacitor as received";
    EXPECT_EQ(find<app::PartTile>("tile_C1")->valueShown(), QStringLiteral("54\u202FµF"));
    EXPECT_EQ(plot("plot_response")->scale(), scale) << "at the same scale";
    letGo();
    EXPECT_EQ(line("impedance"), before);
    EXPECT_EQ(find<app::PartTile>("tile_C1")->valueShown(), QStringLiteral("47\u202FµF"));
    EXPECT_EQ(window->document()->job(), job());
    // A short tap on a button is a press of the button.
    auto* edit = find<QAction>("action_edit_front");
    for (QToolButton* tool : window->findChildren<QToolButton*>()) {
        if (tool->defaultAction() == edit) {
            tool->setFocus();
        }
    }
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Space);
    EXPECT_TRUE(front()->editing());
    // In a text Space is a blank.
    auto* name = find<QLineEdit>("edit_cabinet_name");
    name->setFocus();
    name->selectAll();
    type("a b");
    EXPECT_EQ(name->text(), QStringLiteral("a b"));
}

TEST_F(Hall, snapshotsAreNamedComparedRestoredAndForgotten) {
    trigger("action_differences");
    EXPECT_EQ(find<app::DifferencesStrip>("differences")->text(),
              QStringLiteral("Left: C1 54\u202FµF → 47\u202FµF"));
    find<QMenu>("snapshot_menu"); // filled when it is wanted
    settle();
    auto* name = find<QLineEdit>("snapshot_name");
    name->setText(QStringLiteral("C1 renewed"));
    QTest::keyClick(name, Qt::Key_Return);
    settle();
    EXPECT_EQ(window->document()->record().snapshots.size(), 2U);
    EXPECT_EQ(find<app::DifferencesStrip>("differences")->text(),
              QStringLiteral("nothing is different"));
    click(button("do_align.reversed/left/left-teasel"));
    settle();
    EXPECT_EQ(find<app::DifferencesStrip>("differences")->text(),
              QStringLiteral("Left: Teasel 26 as marked again"));
    QCoreApplication::processEvents();
    find<QAction>("snapshot_choose_as received")->trigger();
    find<QAction>("snapshot_restore")->trigger();
    settle();
    EXPECT_EQ(window->document()->history().undoName(), "Restore the snapshot as received");
    EXPECT_EQ(job(), window->document()->record().snapshots.front().job);
    trigger("action_undo");
    settle();
    find<QAction>("snapshot_forget")->trigger();
    settle();
    EXPECT_EQ(window->document()->record().snapshots.size(), 1U);
    const auto stored = job::store::Store::openForReading(path)->load();
    EXPECT_EQ(stored->snapshots.size(), 1U);
    EXPECT_EQ(stored->log, window->document()->record().log);
}

TEST_F(Hall, theLogTellsWhatWasDoneAndTakesANote) {
    plot("plot_impedance")->setFocus();
    press(Qt::Key_L);
    auto* note = find<QLineEdit>("log_note");
    EXPECT_TRUE(note->hasFocus());
    type("left sounds thin");
    press(Qt::Key_Return);
    settle();
    auto* list = find<QListWidget>("log_list");
    EXPECT_TRUE(
        list->item(list->count() - 1)->text().endsWith(QStringLiteral("✎ left sounds thin")));
    trigger("action_undo");
    settle();
    EXPECT_TRUE(
        list->item(list->count() - 1)->text().contains(QStringLiteral("undone: Change C1")));
    const auto stored = job::store::Store::openForReading(path)->load();
    EXPECT_EQ(stored->log.back().kind, job::LogEntry::Kind::undone);
    EXPECT_EQ(stored->log[stored->log.size() - 2].text, "left sounds thin");
}

TEST_F(Hall, theFrontIsEditedByDragKeysAndTyping) {
    trigger("action_edit_front");
    EXPECT_TRUE(find<QWidget>("front_editor")->isVisible());
    settle();
    const auto mountOf = [&](const char* cabinet, const char* driver) {
        const auto& mounts = job::findCabinet(job(), cabinet)->mounts;
        return *std::ranges::find(mounts, driver, &job::Mount::driver);
    };
    const job::Mount before = mountOf("left", "left-teasel");
    const QPoint at = front()->placeOf("left-teasel").value();
    const double pixels = front()->pixelsForMetre();
    QTest::mousePress(front(), Qt::LeftButton, {}, at);
    for (int i = 1; i <= 6; ++i) {
        QMouseEvent move(QEvent::MouseMove,
                         at - QPoint(3 * i, 2 * i),
                         front()->mapToGlobal(at - QPoint(3 * i, 2 * i)),
                         Qt::NoButton,
                         Qt::LeftButton,
                         Qt::NoModifier);
        QApplication::sendEvent(front(), &move);
    }
    QTest::mouseRelease(front(), Qt::LeftButton, {}, at - QPoint(18, 12));
    settle();
    const job::Mount dragged = mountOf("left", "left-teasel");
    EXPECT_NEAR(dragged.x, before.x - 18.0 / pixels, 0.001);
    EXPECT_NEAR(dragged.y, before.y + 12.0 / pixels, 0.001);
    EXPECT_NEAR(mountOf("right", "right-teasel").x, -dragged.x, 1e-9)
        << "the mirrored twin follows";
    EXPECT_EQ(window->document()->history().undoName(), "Move Teasel 26");
    trigger("action_undo");
    settle();
    EXPECT_EQ(mountOf("left", "left-teasel"), before) << "a drag is one step";
    front()->setFocus();
    press(Qt::Key_Right);
    press(Qt::Key_Up, Qt::ShiftModifier);
    settle();
    EXPECT_NEAR(mountOf("left", "left-teasel").x, before.x + 0.001, 1e-9);
    EXPECT_NEAR(mountOf("left", "left-teasel").y, before.y + 0.01, 1e-9);
    enter("edit_y", "36,5 cm");
    settle();
    EXPECT_NEAR(mountOf("left", "left-teasel").y, 0.365, 1e-12);
    enter("edit_y", "far away");
    EXPECT_FALSE(find<QLabel>("edit_problem")->text().isEmpty()) << "said beside the field";
    EXPECT_NEAR(mountOf("left", "left-teasel").y, 0.365, 1e-12) << "the last good value stays";
    enter("edit_width", "28 cm");
    settle();
    EXPECT_NEAR(job::findCabinet(job(), "right")->width, 0.28, 1e-12);
    // The right edge, dragged outwards: both sides move.
    const QPoint edge = front()->rightEdge();
    QTest::mousePress(front(), Qt::LeftButton, {}, edge);
    QMouseEvent out(QEvent::MouseMove,
                    edge + QPoint(10, 0),
                    front()->mapToGlobal(edge + QPoint(10, 0)),
                    Qt::NoButton,
                    Qt::LeftButton,
                    Qt::NoModifier);
    QApplication::sendEvent(front(), &out);
    QTest::mouseRelease(front(), Qt::LeftButton, {}, edge + QPoint(10, 0));
    settle();
    EXPECT_GT(job::findCabinet(job(), "left")->width, 0.29);
    find<QComboBox>("edit_condition")->setCurrentIndex(3);
    settle();
    EXPECT_EQ(job::findDriver(job(), "left-teasel")->condition, job::Condition::dead);
    click(find<QPushButton>("edit_ready"));
    EXPECT_FALSE(front()->editing());
}

TEST_F(Hall, inchesAreShownAndReadInInches) {
    trigger("action_inch");
    trigger("action_edit_front");
    settle();
    EXPECT_EQ(find<QLineEdit>("edit_width")->text(), QStringLiteral("10.24″"));
    enter("edit_width", "12");
    settle();
    EXPECT_NEAR(job::findCabinet(job(), "left")->width, 12 * 0.0254, 1e-12);
    enter("edit_width", "300 mm");
    settle();
    EXPECT_NEAR(job::findCabinet(job(), "left")->width, 0.3, 1e-12);
    trigger("action_metric");
    settle();
    EXPECT_EQ(find<QLineEdit>("edit_width")->text(), QStringLiteral("300\u202Fmm"));
}

TEST_F(Hall, theFinderFindsCommandsDriversTakesAndFindings) {
    QTest::keyClick(window.get(), Qt::Key_K, Qt::ControlModifier);
    auto* finder = find<app::CommandFinder>("finder");
    ASSERT_TRUE(finder->isVisible());
    const auto firstFor = [&](const char* letters) {
        auto* field = find<QLineEdit>("finder_letters");
        field->setText(QString::fromUtf8(letters));
        return finder->found().value(0);
    };
    EXPECT_EQ(firstFor("grdark"), QStringLiteral("Graphite (dark)"));
    EXPECT_EQ(firstFor("sorrel ri"), QStringLiteral("Sorrel 130 · Right"));
    EXPECT_EQ(firstFor("left-brome-imp"), QStringLiteral("left-brome-impedance.txt"));
    EXPECT_TRUE(firstFor("wrong way").startsWith(QStringLiteral("One driver is the wrong way")));
    EXPECT_TRUE(firstFor("qqqqq").isEmpty());
    firstFor("sorrel ri");
    QTest::keyClick(find<QLineEdit>("finder_letters"), Qt::Key_Return);
    settle();
    EXPECT_FALSE(finder->isVisible());
    EXPECT_TRUE(find<QToolButton>("chip_right")->isChecked());
    EXPECT_EQ(find<QLabel>("measure_driver")->text(), QStringLiteral("Sorrel 130"));
    QTest::keyClick(window.get(), Qt::Key_K, Qt::ControlModifier);
    QTest::keyClick(find<QLineEdit>("finder_letters"), Qt::Key_Escape);
    EXPECT_FALSE(finder->isVisible());
}

TEST_F(Hall, helpIsAboutWhatHasTheFocus) {
    struct {
        QWidget* focus;
        const char* page;
    } const rows[] = {{front(), "front"},
                      {plot("plot_response"), "plots"},
                      {find<QWidget>("tile_C1"), "network"},
                      {button("why_align.reversed"), "findings"}};

    for (const auto& row : rows) {
        find<QWidget>("findings")->setVisible(true);
        row.focus->setFocus();
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_F1);
        EXPECT_EQ(find<app::HelpPane>("help")->page(), QLatin1String(row.page));
        EXPECT_GT(find<QTextBrowser>("help_text")->toPlainText().size(), 200) << row.page;
        click(button("help_close"));
    }
    // Every page that a page leads to exists.
    auto* help = find<app::HelpPane>("help");
    help->open(QStringLiteral("index"));
    const QString index = find<QTextBrowser>("help_text")->toMarkdown();
    int links = 0;
    for (const auto& match :
         QRegularExpression(QStringLiteral(R"(\]\(([a-z]+)\.md\))")).globalMatch(index)) {
        help->open(match.captured(1));
        EXPECT_EQ(help->page(), match.captured(1));
        ++links;
    }
    EXPECT_GE(links, 10);
}

TEST_F(Hall, legendHidesAndIsolatesAndPinsKeepReadings) {
    Plot* response = plot("plot_response");
    auto* readings = response->findChild<app::Readings*>();
    click(readings, readings->placeOf(QStringLiteral("mid")));
    EXPECT_TRUE(response->isHidden(QStringLiteral("mid")));
    click(readings, readings->placeOf(QStringLiteral("mid")));
    EXPECT_FALSE(response->isHidden(QStringLiteral("mid")));
    QTest::mouseDClick(readings, Qt::LeftButton, {}, readings->placeOf(QStringLiteral("sum")));
    EXPECT_TRUE(response->isHidden(QStringLiteral("low")));
    EXPECT_FALSE(response->isHidden(QStringLiteral("sum")));
    response->setFocus();
    press(Qt::Key_0);
    EXPECT_FALSE(response->isHidden(QStringLiteral("low")));
    press(Qt::Key_2);
    EXPECT_TRUE(response->isHidden(QStringLiteral("low"))) << "the second of the head";
    press(Qt::Key_0);
    press(Qt::Key_P);
    press(Qt::Key_Right, Qt::ControlModifier);
    press(Qt::Key_P);
    EXPECT_EQ(response->pins().size(), 2);
    EXPECT_NEAR(response->pins()[1] / response->pins()[0], std::exp2(1.0 / 3.0), 1e-9);
    press(Qt::Key_Escape);
    EXPECT_TRUE(response->pins().isEmpty());
}

TEST_F(Hall, scalesAreFreeAndSealedInTheJob) {
    Plot* response = plot("plot_response");
    response->setFocus();
    const job::HouseScale house = response->houseScale();
    press(Qt::Key_Plus);
    const job::HouseScale zoomed = response->scale();
    EXPECT_NE(zoomed, house);
    EXPECT_TRUE(response->footText().startsWith(QStringLiteral("free scale")));
    press(Qt::Key_PageUp);
    EXPECT_NE(response->scale(), zoomed);
    press(Qt::Key_Backspace);
    EXPECT_EQ(response->scale(), zoomed) << "back";
    trigger("action_picture_seal");
    settle();
    EXPECT_EQ(job().scales.size(), 1U);
    EXPECT_TRUE(response->atHouseScale());
    EXPECT_TRUE(response->footText().startsWith(QStringLiteral("sealed scale")));
    press(Qt::Key_Minus);
    press(Qt::Key_Home);
    EXPECT_EQ(response->scale(), zoomed) << "the sealed one is home now";
    trigger("action_picture_unseal");
    settle();
    press(Qt::Key_Home);
    EXPECT_EQ(response->scale(), house);
}

TEST_F(Hall, picturesLeaveAtTheSealedScaleWithTheirFoot) {
    Plot* response = plot("plot_response");
    response->setFocus();
    press(Qt::Key_Plus); // what is on the screen does not matter
    const job::HouseScale before = response->scale();

    struct {
        const char* action;
        const char* name;
    } const rows[] = {{"action_picture_png", "a.png"},
                      {"action_picture_svg", "a.svg"},
                      {"action_picture_pdf", "a.pdf"},
                      {"action_picture_csv", "a.csv"}};

    for (const auto& row : rows) {
        ask.write = QString::fromStdString(folder.path(row.name));
        trigger(row.action);
        EXPECT_TRUE(notice().startsWith(u'✓')) << row.name << notice().toStdString();
        EXPECT_EQ(response->scale(), before) << "the screen is left as it was";
    }
    const QImage image(QString::fromStdString(folder.path("a.png")));
    EXPECT_EQ(image.size(), QSize(2000, 1240));
    const std::string svg = fileContent(folder.path("a.svg"));
    QXmlStreamReader xml(QByteArray::fromStdString(svg));
    while (!xml.atEnd()) {
        xml.readNext();
    }
    EXPECT_FALSE(xml.hasError()) << xml.errorString().toStdString();
    EXPECT_NE(svg.find("Response"), std::string::npos);
    EXPECT_EQ(fileContent(folder.path("a.pdf")).substr(0, 5), "%PDF-");
    const std::string csv = fileContent(folder.path("a.csv"));
    EXPECT_NE(csv.find("frequency_hz,"), std::string::npos);
    EXPECT_NE(csv.find("sum_db,sum_trusted"), std::string::npos);
    EXPECT_NE(csv.find("2.83 V behind"), std::string::npos) << csv.substr(0, 200);
    ask.write = QString::fromStdString(folder.path("no/where.png"));
    trigger("action_picture_png");
    EXPECT_TRUE(notice().startsWith(u'■'));
    trigger("action_picture_copy");
    EXPECT_TRUE(QApplication::clipboard()->mimeData()->hasImage());
    EXPECT_TRUE(QApplication::clipboard()->text().contains(QStringLiteral("frequency_hz")));
}

TEST_F(Hall, aScreenReaderIsToldWhatAPlotShows) {
    ASSERT_TRUE(QTest::qWaitFor(
        [&] { return !plot("plot_response")->accessibleDescription().isEmpty(); }, 20000));
    const QString said = plot("plot_response")->accessibleDescription();
    EXPECT_TRUE(said.startsWith(QStringLiteral("Response, sealed scale 50–100")))
        << said.toStdString();
    EXPECT_TRUE(said.contains(QStringLiteral("sum from 20"))) << said.toStdString();
    EXPECT_TRUE(said.contains(QStringLiteral("least")));
    EXPECT_TRUE(said.endsWith(u'.'));
}

TEST_F(Hall, aTableThatCanBeReadInTwoWaysIsAskedAboutAndRemembered) {
    std::string table;
    for (int k = 0; k < 60; ++k) {
        const double f = 20.0 * std::pow(1000.0, k / 59.0);
        const std::complex<double> s(0.0, f / 300.0);
        const std::complex<double> p = s * s / (s * s + 1.2 * s + 1.0) * std::polar(1.0, -f * 0.01);
        table += std::to_string(f) + ";" + std::to_string(p.real()) + ";" +
                 std::to_string(p.imag()) + "\n";
    }
    const std::string file = folder.write("left-teasel.csv", table);
    const auto open = [&] {
        drop(window.get(), QPoint(600, 400), {QString::fromStdString(file)});
        settle();
    };
    open();
    EXPECT_EQ(find<app::ImportSheet>("import_sheet")->readable(), 0);
    EXPECT_FALSE(find<QPushButton>("import_take")->isEnabled());
    EXPECT_TRUE(find<QListWidget>("import_list")->item(0)->text().startsWith(u'?'));
    EXPECT_TRUE(find<QLabel>("import_question")->text().contains(QStringLiteral("2 ways")));
    auto* answer = find<QPushButton>("import_answer_0");
    EXPECT_TRUE(answer->text().contains(QStringLiteral("real part in Pa")))
        << answer->text().toStdString();
    click(answer);
    settle();
    EXPECT_EQ(find<app::ImportSheet>("import_sheet")->readable(), 1);
    EXPECT_FALSE(find<QLabel>("import_question")->isVisible());
    const std::size_t before = job().takes.size();
    click(find<QPushButton>("import_take"));
    settle();
    ASSERT_EQ(job().takes.size(), before + 1);
    EXPECT_NEAR(std::abs(job().takes.back().curve->values()[40]), 1.0, 0.3) << "pascals";
    // A file of the same shape is read as it was decided; opening it again asks nothing.
    open();
    EXPECT_EQ(find<app::ImportSheet>("import_sheet")->readable(), 1);
    EXPECT_TRUE(find<QLabel>("import_told")->text().contains(QStringLiteral("as you decided")));
    // Dropped on a driver it is not taken at once when it asks.
    meant(2, "auto");
    meant(3, "auto");
    EXPECT_EQ(find<app::ImportSheet>("import_sheet")->readable(), 0) << "forgotten";
    click(find<QPushButton>("import_leave"));
    settle();
}

TEST_F(Hall, curvesOfOneFileAreTakenOneByOne) {
    const std::string file = folder.write("left-teasel.csv",
                                          "f (Hz),SPL A (dB),SPL B (dB)\n100,80,70\n200,81,71\n"
                                          "400,82,72\n");
    drop(window.get(), QPoint(600, 400), {QString::fromStdString(file)});
    settle();
    auto* list = find<QListWidget>("import_list");
    ASSERT_EQ(list->count(), 2);
    EXPECT_TRUE(list->item(1)->text().endsWith(QStringLiteral("· B")));
    EXPECT_EQ(find<QPushButton>("import_take")->text(), QStringLiteral("Take 2 of 2"));
    list->item(0)->setCheckState(Qt::Unchecked);
    EXPECT_EQ(find<QPushButton>("import_take")->text(), QStringLiteral("Take it"));
    const std::size_t before = job().takes.size();
    click(find<QPushButton>("import_take"));
    settle();
    ASSERT_EQ(job().takes.size(), before + 1);
    EXPECT_EQ(job().takes.back().name, "left-teasel.csv · B");
}

TEST_F(Hall, filesAreLookedAtAndCorrectedBeforeTheyAreTaken) {
    const std::string table =
        folder.write("left-teasel again.csv",
                     "f (kHz);a (dB);b\n0,1;70;1,0\n1,0;80;0,5\n10,0;75;-0,5\n20,0;70;-1,0\n");
    std::vector<double> h(9600);
    h[400] = 1.0;
    h[620] = 0.5;
    const std::string wav = folder.write("right-sorrel.wav", signal::writeWav(h, 48000.0));
    const std::string wrong = folder.write("notes.txt", "no table at all\n");
    drop(window.get(),
         QPoint(600, 400),
         {QString::fromStdString(table),
          QString::fromStdString(wav),
          QString::fromStdString(wrong)});
    auto* sheet = find<app::ImportSheet>("import_sheet");
    ASSERT_TRUE(sheet->isVisible());
    EXPECT_EQ(sheet->readable(), 1) << "nothing says what the third column is";
    EXPECT_EQ(find<QComboBox>("import_driver")->currentData().toString(),
              QStringLiteral("left-teasel"));
    EXPECT_EQ(find<QLabel>("import_head_2")->text(), QStringLiteral("2: a (dB)"));
    EXPECT_EQ(find<QLabel>("import_cells_2")->text(), QStringLiteral("70\n80\n75\n70"));
    meant(3, "rad");
    EXPECT_EQ(sheet->readable(), 2);
    EXPECT_EQ(plot("import_plot_level")->trace(QStringLiteral("curve"))->frequencies.front(), 100.0)
        << "the picture follows the correction";
    meant(2, "ohm");
    EXPECT_TRUE(find<Plot>("import_plot_impedance")->isVisible());
    meant(2, "db");
    auto* list = find<QListWidget>("import_list");
    list->setCurrentRow(1);
    EXPECT_TRUE(find<Plot>("import_plot_impulse")->isVisible());
    EXPECT_NEAR(find<app::QuantityField>("import_gate")->value(), 220.0 / 48000.0 - 1e-4, 5e-5);
    enter("import_gate", "2 ms");
    EXPECT_NEAR(find<app::QuantityField>("import_gate")->value(), 2e-3, 1e-12);
    list->setCurrentRow(2);
    EXPECT_TRUE(find<QLabel>("import_told")->text().startsWith(u'■'));
    const std::size_t before = job().takes.size();
    click(find<QPushButton>("import_take"));
    settle();
    EXPECT_EQ(job().takes.size(), before + 2);
    const job::Take& taken = job().takes.back();
    EXPECT_EQ(job::findDriver(job(), "right-sorrel")->responseTake, taken.id);
    EXPECT_NEAR(taken.gate.value(), 2e-3, 1e-12);
    EXPECT_FALSE(sheet->isVisible());
}

TEST_F(Hall, recentJobsStandOnTheStartPageWithTheirEarlierStates) {
    click(button("do_align.reversed/left/left-teasel"));
    settle();
    window.reset(); // puts a good state aside
    openWindow();
    trigger("action_start");
    EXPECT_EQ(find<QPushButton>("recent_0")->text(), QStringLiteral("Lantern Hall"));
    auto* earlier = button("recent_earlier_0");
    ASSERT_TRUE(earlier->isEnabled());
    ask.write = QString::fromStdString(folder.path("brought back.yfjob"));
    earlier->menu()->actions().front()->trigger();
    settle();
    EXPECT_EQ(window->document()->path(), folder.path("brought back.yfjob"));
    EXPECT_TRUE(line("corridor").startsWith(QStringLiteral("±1.")));
    EXPECT_EQ(app::recentJobs().front().front.spots.size(), 3);
}

TEST_F(Hall, aJobIsNeverHarmedByWhatCannotBeOpened) {
    const std::string good = fileContent(path);
    std::string damaged = good;
    for (std::size_t at = 20000; at < 90000; at += 11) {
        damaged[at] = static_cast<char>(damaged[at] ^ 0x5A);
    }

    struct {
        const char* name;
        std::string bytes;
        const char* says;
    } const rows[] = {{"damaged.yfjob", damaged, ""},
                      {"cut.yfjob", good.substr(0, good.size() / 3), ""},
                      {"foreign.yfjob", std::string(5000, 'x'), ""},
                      {"empty.yfjob", "", "not a Yellowfront job"}};

    for (const auto& row : rows) {
        const std::string file = folder.write(row.name, row.bytes);
        EXPECT_FALSE(window->openJob(QString::fromStdString(file))) << row.name;
        EXPECT_TRUE(notice().startsWith(u'■')) << row.name;
        EXPECT_TRUE(notice().contains(QLatin1String(row.says)));
        EXPECT_EQ(fileContent(file), row.bytes) << row.name << " was left alone";
        EXPECT_EQ(window->document()->path(), path) << "what was open stays open";
    }
}

TEST_F(Hall, everyThemeAndSizeHoldsEverything) {
    for (const char* const theme : {"action_theme_graphite",
                                    "action_theme_paper",
                                    "action_theme_night",
                                    "action_theme_linen"}) {
        trigger(theme);
        settle();
        for (const QSize size : {QSize(1024, 700), QSize(1280, 800), QSize(1920, 1080)}) {
            window->resize(size);
            settle();
            EXPECT_EQ(window->size(), size) << "nothing inside forces another size";
            EXPECT_GE(plot("plot_response")->height(), 150);
            EXPECT_EQ(find<QWidget>("findings")->isVisible(), size.width() >= 1180);
        }
    }
}

// The whole window in German: words, sentences of the core, and the decimal comma; files keep
// their point.
TEST_F(Hall, speaksGermanWithADecimalComma) {
    app::useLanguage(*qApp, QStringLiteral("de"));
    window.reset();
    openWindow();
    EXPECT_TRUE(line("corridor").startsWith(QStringLiteral("±8,8\u202FdB")))
        << line("corridor").toStdString();
    EXPECT_TRUE(line("parts").startsWith(QStringLiteral("11 Bauteile")));
    EXPECT_EQ(find<QLabel>("line_saved")->text(), QStringLiteral("gespeichert"));
    EXPECT_EQ(button("do_align.reversed/left/left-teasel")->text(),
              QStringLiteral("Teasel 26 umpolen"));
    EXPECT_EQ(find<QAction>("action_undo")->text(),
              QStringLiteral("&Rückgängig: C1 auf 47\u202FµF ändern"));
    trigger("action_differences");
    EXPECT_EQ(find<app::DifferencesStrip>("differences")->text(),
              QStringLiteral("Left: C1 54\u202FµF → 47\u202FµF"));
    auto* R2 = find<app::PartTile>("tile_R2");
    EXPECT_EQ(R2->valueShown(), QStringLiteral("3,3\u202FΩ"));
    click(R2);
    type("4.7"); // a point is as good as a comma
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(find<app::PartTile>("tile_R2")->valueShown(), QStringLiteral("4,7\u202FΩ"));
    click(find<app::PartTile>("tile_R2"));
    type("12xyz");
    press(Qt::Key_Return);
    EXPECT_TRUE(find<QLabel>("part_problem")->text().contains(QStringLiteral("nicht zu verstehen")))
        << "says: " << find<QLabel>("part_problem")->text().toStdString();
    press(Qt::Key_Escape);
    ask.write = QString::fromStdString(folder.path("de.csv"));
    plot("plot_impedance")->setFocus();
    trigger("action_picture_csv");
    const std::string csv = fileContent(folder.path("de.csv"));
    EXPECT_NE(csv.find("\n20."), std::string::npos) << "files keep the point";
    const auto stored = job::store::Store::openForReading(path)->load();
    EXPECT_EQ(stored->log.back().text, "Change R2 to 4.7\u202FΩ") << "and their language";
    window.reset();
    app::useLanguage(*qApp, QStringLiteral("en"));
    QLocale::setDefault(QLocale::c());
}

// Form by form, whatever stands in the places; a name that looks like a place is left alone.
TEST_F(Hall, speaksFormsWithinForms) {
    app::useLanguage(*qApp, QStringLiteral("de"));
    const Error error{
        "Qes", say("%1 given", "-0.4"), say("must be %1", text::rangeText(0.01, 1000))};
    EXPECT_EQ(app::spoken(text::sentence(error)),
              QStringLiteral("Qes: -0,4 angegeben, erlaubt ist 0,01 bis 1000"));
    EXPECT_EQ(app::spoken(say("Reverse %1", "%1 & %2")), QStringLiteral("%1 & %2 umpolen"));
    EXPECT_EQ(app::spoken(Words::row({say("Take out %1", "C1"), "on axis"}, "; ")),
              QStringLiteral("C1 herausnehmen; auf der Achse"));
    EXPECT_EQ(app::spoken("no form at all"), QStringLiteral("no form at all"));
    app::useLanguage(*qApp, QStringLiteral("en"));
    QLocale::setDefault(QLocale::c());
}

// From nothing to a first summed response with imported tables, counted.
TEST_F(Hall, fromNewJobToASummedResponseInFewActions) {
    const auto write = [&](const char* name, const char* rows) {
        return QString::fromStdString(folder.write(name, rows));
    };
    const QStringList files{
        write("woofer spl.csv", "freq,spl,phase\n20,60,90\n200,85,20\n2000,86,-30\n20000,60,-90\n"),
        write("woofer z.csv", "freq,ohm,phase\n20,6,20\n200,6,0\n2000,7,20\n20000,12,45\n"),
        write("tweeter spl.csv", "freq,spl,phase\n20,30,90\n200,60,90\n2000,86,30\n20000,85,-20\n"),
        write("tweeter z.csv", "freq,ohm,phase\n20,5,2\n200,5,0\n2000,5.5,10\n20000,6,20\n")};
    int actions = 0;
    ++actions; // 1: New job
    trigger("action_new");
    ++actions; // 2: a name
    type("Kitchen");
    ++actions; // 3: make it
    ask.write = QString::fromStdString(folder.path("Kitchen.yfjob"));
    click(find<QPushButton>("new_make"));
    ++actions; // 4: a place for the file
    settle();
    ++actions; // 5: four tables dropped at once
    drop(window.get(), QPoint(600, 400), files);
    EXPECT_EQ(find<app::ImportSheet>("import_sheet")->readable(), 4);
    ++actions; // 6: take them
    click(find<QPushButton>("import_take"));
    settle();
    ++actions; // 7: the stage
    window->chooseStage(QStringLiteral("network"));
    settle();
    EXPECT_FALSE(plot("plot_response")->trace(QStringLiteral("sum"))->values.isEmpty());
    EXPECT_NE(line("corridor"), QStringLiteral("no sum yet"));
    EXPECT_LT(actions, 15);
    // Each table went to the driver that its name says.
    EXPECT_NE(job::findDriver(job(), "tweeter")->impedanceTake, "");
    EXPECT_NE(job::findDriver(job(), "woofer")->responseTake, "");
}

TEST(Fuzzy, lettersInOrderBeginningsOfWordsFirst) {
    EXPECT_TRUE(app::fit(QStringLiteral("gd"), QStringLiteral("Graphite (dark)")).has_value());
    EXPECT_FALSE(app::fit(QStringLiteral("dg"), QStringLiteral("Graphite (dark)")).has_value());
    EXPECT_GT(app::fit(QStringLiteral("sr"), QStringLiteral("Sorrel · Right")),
              app::fit(QStringLiteral("sr"), QStringLiteral("Horsereel")));
    EXPECT_TRUE(app::fit(QStringLiteral("ubergroße"), QStringLiteral("Übergröße")).has_value())
        << "accents aside";
    EXPECT_EQ(app::fit({}, QStringLiteral("anything")), 0);
}

TEST(Clip, keepsWhatIsInsideAndCutsAtTheEdge) {
    const double gap = std::numeric_limits<double>::quiet_NaN();
    QVector<double> x{0, 1, 2, 3, 4, 5, 6};
    QVector<double> y{0, 0, 10, 0, gap, 0, 1};
    app::clipToRectangle(x, y, QRectF(QPointF(0.5, -1.0), QPointF(10.0, 5.0)));
    for (qsizetype k = 0; k < x.size(); ++k) {
        if (std::isfinite(y[k])) {
            EXPECT_GE(x[k], 0.5);
            EXPECT_LE(y[k], 5.0);
        }
    }
    EXPECT_DOUBLE_EQ(x.front(), 0.5);
    EXPECT_EQ(std::ranges::count_if(y, [](double v) { return std::isnan(v); }), 2)
        << "over the top, and at the gap that was there";
    QVector<double> outX{0, 1};
    QVector<double> outY{9, 9};
    app::clipToRectangle(outX, outY, QRectF(0, 0, 1, 1));
    EXPECT_TRUE(outX.isEmpty());
}

} // namespace yf::test
