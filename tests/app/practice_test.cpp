// SPDX-License-Identifier: GPL-3.0-or-later
// Practising on the real window, from the start page to the truth.
#include "app/check/check_list.h"
#include "app/frame/main_menu.h"
#include "app/instruments/meter_panel.h"
#include "app/practice/practice_page.h"
#include "app/practice/practice_result.h"
#include "app/widgets/quantity_field.h"
#include "tests/support/test_window.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTest>
#include <QToolButton>

namespace yf::test {

namespace {

class PractiseTest : public WindowTest {
protected:
    void SetUp() override {
        window = std::make_unique<app::MainWindow>(ask);
        app::fitMenu(*window);
        window->resize(1280, 800);
        window->show();
        ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
    }

    QString said(const char* label) { return find<QLabel>(label)->text(); }

    app::PracticePage* page() { return find<app::PracticePage>("practice_page"); }

    template <class T>
    T* on(const char* name) {
        T* found = page()->findChild<T*>(QLatin1String(name));
        EXPECT_NE(found, nullptr) << name;
        return found;
    }

    void openCheck(const char* check) {
        clickRow(on<app::CheckList>("practice_list"), QLatin1String(check));
    }

    void giveVerdict(const char* fault) {
        auto* box = on<QComboBox>("practice_verdict_box");
        box->setFocus();
        while (box->currentData().toString() != QLatin1String(fault)) {
            ASSERT_LT(box->currentIndex(), box->count() - 1);
            press(Qt::Key_Down);
        }
        click(on<QPushButton>("practice_say"));
    }

    bool live(const char* panel) {
        return QTest::qWaitFor(
            [&] {
                return on<app::MeterPanel>(panel)->meter().state() == devices::MeterState::live;
            },
            10000);
    }

    /// A seed of the first level that hides a fault.
    static std::uint64_t seedOf(const std::string& fault) {
        for (std::uint64_t seed = 1;; ++seed) {
            if (sim::Practice(seed, sim::PracticeLevel::first).finish("healthy").fault == fault) {
                return seed;
            }
        }
    }
};

} // namespace

TEST_F(PractiseTest, fromTheStartPageToTheTruth) {
    click(find<QPushButton>("start_practise"));
    EXPECT_TRUE(page()->isVisible());
    EXPECT_FALSE(said("practice_complaint").isEmpty());
    EXPECT_EQ(said("practice_clock"), QStringLiteral("0 min"));
    openCheck("look_smell");
    click(on<QPushButton>("check_make"));
    EXPECT_EQ(said("practice_clock"), QStringLiteral("1 min"));
    EXPECT_FALSE(on<QPushButton>("practice_say")->isEnabled()) << "no verdict chosen";
    giveVerdict("wrong_driver");
    EXPECT_TRUE(find<app::PracticeResultView>("practice_result")->isVisible());
    EXPECT_TRUE(said("practice_verdict").contains(QStringLiteral("It was")))
        << "the first level hides no wrong driver";
    EXPECT_TRUE(said("practice_score").endsWith(QStringLiteral("of 100")));
    click(on<QPushButton>("practice_another"));
    EXPECT_EQ(said("practice_clock"), QStringLiteral("0 min"));
    EXPECT_FALSE(find<app::PracticeResultView>("practice_result")->isVisible());
    click(on<QPushButton>("practice_back"));
    EXPECT_TRUE(find<QWidget>("start_page")->isVisible());
}

TEST_F(PractiseTest, shortedTurnsThroughTheSameMeters) {
    window->practise(seedOf("shorted_turns"), 1);
    openCheck("lcr");
    click(on<QToolButton>("practice_twin"));
    ASSERT_TRUE(live("meter_lcr"));
    const double own = on<app::MeterPanel>("meter_lcr")->meter().pair()->l;
    click(on<QPushButton>("meter_lcr_take"));
    click(on<QPushButton>("check_keep"));
    click(on<QToolButton>("practice_speaker"));
    ASSERT_TRUE(QTest::qWaitFor(
        [&] {
            const auto& pair = on<app::MeterPanel>("meter_lcr")->meter().pair();
            return pair && pair->l < 0.9 * own;
        },
        5000));
    click(on<QCheckBox>("check_heeded"), QPoint(8, 10));
    click(on<QPushButton>("meter_lcr_take"));
    EXPECT_TRUE(
        on<QLabel>("check_judgement")->text().contains(QStringLiteral("the mark of shorted turns")))
        << on<QLabel>("check_judgement")->text().toStdString();
    click(on<QPushButton>("check_keep"));
    giveVerdict("shorted_turns");
    EXPECT_TRUE(said("practice_verdict").contains(QStringLiteral("Right")));
    EXPECT_TRUE(said("practice_unsafe").contains(QStringLiteral("cautions were not heeded")))
        << "those of the twin's reading";
    EXPECT_TRUE(said("practice_truth").contains(QStringLiteral("of the turns")));
}

TEST_F(PractiseTest, levelsAndNumbersAreChosen) {
    window->practise(5, 1);
    EXPECT_TRUE(on<QWidget>("practice_diagnosis")->isVisible()) << "advice grows";
    click(on<QToolButton>("practice_level_2"));
    EXPECT_FALSE(on<QWidget>("practice_diagnosis")->isVisible()) << "no advice";
    EXPECT_TRUE(on<QToolButton>("practice_twin")->isVisible());
    click(on<QToolButton>("practice_level_3"));
    EXPECT_FALSE(on<QToolButton>("practice_twin")->isVisible());
    auto* seed = on<QLineEdit>("practice_seed");
    seed->setFocus();
    seed->selectAll();
    type("12x");
    press(Qt::Key_Return);
    EXPECT_TRUE(said("practice_told").contains(QStringLiteral("'12x'")));
    seed->selectAll();
    type("12");
    press(Qt::Key_Return);
    EXPECT_TRUE(said("practice_told").isEmpty());
}

TEST_F(PractiseTest, anOpenJobIsLeftAlone) {
    ASSERT_TRUE(window->openDemo());
    settle();
    const job::Job before = window->document()->job();
    window->practise(3, 1);
    EXPECT_FALSE(find<QWidget>("route")->isVisible());
    openCheck("push");
    click(on<QPushButton>("check_make"));
    click(on<QPushButton>("practice_back"));
    settle();
    EXPECT_TRUE(find<QWidget>("route")->isVisible());
    EXPECT_EQ(window->document()->job(), before);
}

} // namespace yf::test
