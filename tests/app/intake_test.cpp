// SPDX-License-Identifier: GPL-3.0-or-later
// The intake stage on the real window: what came in, protectors, wiring with its warning before,
// the search from the source to the driver, pictures.
#include "app/findings/findings_panel.h"
#include "app/intake/photo_strip.h"
#include "app/widgets/quantity_field.h"
#include "core/job/store/store.h"
#include "demo/lantern_hall.h"
#include "tests/support/test_window.h"

#include <QAction>
#include <QApplication>
#include <QComboBox>
#include <QImage>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTest>
#include <QToolButton>

#include <algorithm>

namespace yf::test {

namespace {

class IntakeTest : public HallTest {
protected:
    void SetUp() override {
        HallTest::SetUp();
        window->chooseStage(QStringLiteral("intake"));
    }

    const job::Cabinet& cabinet(const char* id) { return *job::findCabinet(job(), id); }

    QString said(const char* label) { return find<QLabel>(label)->text(); }

    /// Opens a combo box by keys and goes to a row.
    void choose(const char* combo, int index) {
        auto* box = find<QComboBox>(combo);
        box->setFocus();
        while (box->currentIndex() != index) {
            press(box->currentIndex() < index ? Qt::Key_Down : Qt::Key_Up);
        }
        settle();
    }

    bool isFound(const char* rule) {
        return window->findChild<QWidget*>(QStringLiteral("finding_") + QLatin1String(rule)) !=
               nullptr;
    }

    /// The findings rest a moment before they are built anew.
    bool comesAndGoes(const char* rule, bool there) {
        return QTest::qWaitFor([&] { return isFound(rule) == there; }, 5000);
    }
};

} // namespace

TEST_F(IntakeTest, aBridgeStaysAFindingUntilARatedPartIsIn) {
    EXPECT_TRUE(isFound("intake.bridge"));
    choose("protectors_protector-1_state", 1);
    EXPECT_EQ(cabinet("left").protectors[0].state, job::ProtectorState::continuous);
    EXPECT_TRUE(comesAndGoes("intake.bridge", true)) << "continuity may be the bridge itself";
    auto* rating = find<app::QuantityField>("protectors_protector-1_rating");
    rating->setFocus();
    type("1.6");
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(cabinet("left").protectors[0].rating, 1.6);
    EXPECT_TRUE(comesAndGoes("intake.bridge", false));
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_TRUE(comesAndGoes("intake.bridge", true));
}

TEST_F(IntakeTest, theWarningComesBeforeTheWiring) {
    window->chooseDriver(QStringLiteral("left-sorrel"));
    settle();
    const std::size_t mounts = cabinet("left").mounts.size();
    auto* four = find<QToolButton>("arrangement_7"); // 4 in parallel
    EXPECT_TRUE(four->text().startsWith(QStringLiteral("▲")));
    EXPECT_TRUE(said("intake_warning").startsWith(QStringLiteral("one")));
    QEnterEvent over(QPointF(3, 3), QPointF(3, 3), QPointF(3, 3));
    QApplication::sendEvent(four, &over);
    EXPECT_TRUE(said("intake_warning").contains(QStringLiteral("Too low for most amplifiers")));
    EXPECT_EQ(cabinet("left").mounts.size(), mounts) << "nothing is changed by looking";
    QEvent out(QEvent::Leave);
    QApplication::sendEvent(four, &out);
    EXPECT_FALSE(said("intake_warning").contains(QStringLiteral("Too low")));
    click(find<QToolButton>("arrangement_5")); // 2 strings of 2
    settle();
    EXPECT_EQ(cabinet("left").mounts.size(), mounts + 3) << "the Front has them";
    EXPECT_TRUE(find<QToolButton>("arrangement_5")->isChecked());
}

TEST_F(IntakeTest, theSearchSaysWhatIsRuledOut) {
    window->chooseCabinet(QStringLiteral("projection"));
    settle();
    EXPECT_TRUE(said("intake_question").startsWith(QStringLiteral("Protectors")));
    click(find<QPushButton>("answer_continuous"));
    settle();
    QApplication::processEvents();
    EXPECT_TRUE(said("intake_trace_said").contains(QStringLiteral("rules out: protectors")))
        << said("intake_trace_said").toStdString();
    click(find<QPushButton>("answer_open_or_noisy"));
    settle();
    EXPECT_TRUE(
        said("intake_trace_said").contains(QStringLiteral("It lies here: cable, terminals")));
    EXPECT_TRUE(find<QLabel>("intake_question")->isHidden());
    ASSERT_EQ(job().readings.back().check, "cable_contacts");
    EXPECT_EQ(job().readings.back().cabinet, "projection");
    EXPECT_TRUE(job().readings.back().driver.empty()) << "it is about the whole cabinet";
}

TEST_F(IntakeTest, figuresAreReadInCheck) {
    window->chooseCabinet(QStringLiteral("projection"));
    settle();
    for (const char* answer : {"answer_continuous", "answer_good", "answer_follows_speaker"}) {
        click(find<QPushButton>(answer));
        settle();
        QApplication::processEvents();
    }
    click(find<QPushButton>("answer_check"));
    settle();
    EXPECT_TRUE(find<QLabel>("check_title")->isVisible());
    EXPECT_TRUE(find<QLabel>("check_title")->text().startsWith(QStringLiteral("DC resistance")));
}

TEST_F(IntakeTest, wordsAimAndPartsGoIntoTheJob) {
    auto* complaint = find<QPlainTextEdit>("intake_complaint");
    complaint->setFocus();
    complaint->selectAll();
    type("hums");
    click(find<QToolButton>("aim_1"));
    settle();
    EXPECT_EQ(job().complaint, "hums");
    EXPECT_EQ(job().aim, job::Aim::works);
    const std::size_t before = cabinet("left").oldParts.size();
    click(find<QPushButton>("old_parts_add"));
    settle();
    ASSERT_EQ(cabinet("left").oldParts.size(), before + 1);
    choose("old_parts_part-4_condition", 3);
    EXPECT_EQ(cabinet("left").oldParts.back().condition, job::OldPartCondition::bad);
    click(find<QToolButton>("old_parts_part-4_remove"));
    settle();
    EXPECT_EQ(cabinet("left").oldParts.size(), before);
}

TEST_F(IntakeTest, picturesAreKeptShownAndDescribed) {
    QImage image(64, 48, QImage::Format_RGB32);
    image.fill(Qt::darkGreen);
    const QString png = QString::fromStdString(folder.path("front.png"));
    ASSERT_TRUE(image.save(png));
    ask.open = {png, QString::fromStdString(folder.write("notes.jpg", "no picture"))};
    click(find<QPushButton>("photo_add"));
    settle();
    ASSERT_EQ(job().photos.size(), 1U);
    EXPECT_TRUE(notice().contains(QStringLiteral("notes.jpg"))) << "and said why";
    click(find<QToolButton>("photo-1"));
    auto* view = find<app::PhotoView>("photo_view");
    EXPECT_TRUE(view->isVisible());
    type("as it came in");
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(job().photos[0].note, "as it came in");
    press(Qt::Key_Escape);
    EXPECT_FALSE(view->isVisible());
    drop(find<QWidget>("stage_intake"), QPoint(60, 60), {png});
    settle();
    EXPECT_TRUE(notice().contains(QStringLiteral("already")));
}

TEST_F(IntakeTest, aFindingLeadsToItsRow) {
    click(find<QToolButton>("show_intake.part/right/part-1"));
    settle();
    EXPECT_TRUE(find<QWidget>("stage_intake")->isVisible());
    EXPECT_EQ(QApplication::focusWidget()->objectName(), QStringLiteral("old_parts_part-1_kind"));
}

TEST_F(IntakeTest, noneFittedTakesTheCheckOffTheList) {
    window->chooseCabinet(QStringLiteral("projection"));
    window->chooseDriver(QStringLiteral("campion"));
    settle();
    const auto isOffered = [&](const char* check) {
        const auto* bench = window->present()->evaluation.findBench("projection", "campion");
        return std::ranges::any_of(
            bench->offers, [&](const evaluation::CheckOffer& o) { return o.check == check; });
    };
    EXPECT_TRUE(isOffered("protector"));
    EXPECT_TRUE(isOffered("rotate_pots"));
    click(find<QWidget>("protectors_none"), QPoint(8, 8));
    settle();
    click(find<QWidget>("old_parts_none"), QPoint(8, 8));
    settle();
    EXPECT_FALSE(isOffered("protector"));
    EXPECT_FALSE(isOffered("rotate_pots"));
    EXPECT_TRUE(cabinet("projection").noProtectors);
    // One that is listed after all undoes it.
    click(find<QPushButton>("protectors_add"));
    settle();
    EXPECT_FALSE(cabinet("projection").noProtectors);
}

TEST_F(IntakeTest, aUnitOfASharedWayPointsToTheFirst) {
    window->chooseDriver(QStringLiteral("left-sorrel"));
    settle();
    click(find<QToolButton>("arrangement_1")); // two in series
    settle();
    const auto& mounts = cabinet("left").mounts;
    const std::string second = mounts.back().driver;
    EXPECT_EQ(job::findDriver(job(), second)->alike, "left-sorrel");
    EXPECT_EQ(job::findDriver(job(), second)->condition, job::Condition::notChecked);
    window->chooseDriver(QString::fromStdString(second));
    settle();
    EXPECT_TRUE(said("intake_warning").contains(QStringLiteral("shares the way of Sorrel 130")));
    EXPECT_FALSE(find<QToolButton>("arrangement_2")->isEnabled());
    find<QAction>("action_undo")->trigger();
    settle();
    EXPECT_EQ(job::findDriver(job(), second), nullptr);
}

TEST_F(IntakeTest, whatIsPrintedGoesWithTheDriver) {
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    auto* printed = find<QLineEdit>("intake_printed");
    printed->setFocus();
    type("BR 210 / 60 W");
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(job::findDriver(job(), "left-brome")->printed, "BR 210 / 60 W");
    window->chooseDriver(QStringLiteral("left-sorrel"));
    settle();
    EXPECT_TRUE(printed->text().isEmpty());
    window->chooseDriver(QStringLiteral("left-brome"));
    settle();
    EXPECT_EQ(printed->text(), QStringLiteral("BR 210 / 60 W"));
    // Another driver is chosen while it is being written: it stays with the first.
    printed->setFocus();
    printed->selectAll();
    type("BR 210 II");
    window->chooseDriver(QStringLiteral("left-teasel"));
    settle();
    EXPECT_EQ(job::findDriver(job(), "left-brome")->printed, "BR 210 II");
    EXPECT_TRUE(job::findDriver(job(), "left-teasel")->printed.empty());
}

TEST_F(IntakeTest, aWrongRatingIsSaidAndTheOldOneStays) {
    auto* rating = find<app::QuantityField>("protectors_protector-1_rating");
    rating->setFocus();
    type("1.6");
    press(Qt::Key_Return);
    settle();
    rating->setFocus();
    rating->selectAll();
    type("a lot");
    press(Qt::Key_Return);
    EXPECT_FALSE(rating->problem().isEmpty());
    settle();
    EXPECT_EQ(cabinet("left").protectors[0].rating, 1.6);
}

TEST_F(IntakeTest, theSearchIsToldToAScreenReader) {
    const QString said = find<QWidget>("intake_trace")->accessibleDescription();
    EXPECT_TRUE(said.contains(QStringLiteral("cable: possible"))) << said.toStdString();
    window->chooseCabinet(QStringLiteral("right"));
    settle();
    EXPECT_TRUE(find<QWidget>("intake_trace")
                    ->accessibleDescription()
                    .contains(QStringLiteral("protectors: here")));
}

} // namespace yf::test
