// SPDX-License-Identifier: GPL-3.0-or-later
// Places as text: the one door for pictures and tests.
#include "app/frame/showing.h"
#include "app/stage/place.h"
#include "tests/support/test_window.h"

#include <gtest/gtest.h>

namespace yf::test {

using app::Place;

TEST(PlaceText, isReadStepByStep) {
    struct {
        const char* text;
        const char* stage;
        const char* page;
        QStringList subjects;
        std::optional<double> frequency;
    } const rows[] = {
        {"network", "network", "", {}, {}},
        {"network:list", "network", "list", {}, {}},
        {"network:part:C3", "network", "", {QStringLiteral("C3")}, {}},
        {"align:frequency:2500", "align", "", {}, 2500.0},
        {"check:dcr:stand-in", "check", "dcr", {QStringLiteral("stand-in")}, {}},
        {"measure:curves:take-23:+take-19",
         "measure",
         "curves",
         {QStringLiteral("take-23"), QStringLiteral("+take-19")},
         {}},
    };

    for (const auto& row : rows) {
        const auto read = Place::read(QLatin1String(row.text));
        ASSERT_TRUE(read.has_value()) << row.text;
        const Place& place = *read;
        EXPECT_EQ(place.stage, QLatin1String(row.stage)) << row.text;
        EXPECT_EQ(place.page, QLatin1String(row.page)) << row.text;
        EXPECT_EQ(place.subjects, row.subjects) << row.text;
        EXPECT_EQ(place.frequency, row.frequency) << row.text;
    }
}

TEST(PlaceText, aFrequencyIsANumberAboveNought) {
    for (const char* const wrong : {"align:frequency", "align:frequency:x", "align:frequency:0"}) {
        EXPECT_FALSE(Place::read(QLatin1String(wrong)).has_value()) << wrong;
    }
}

class PlaceTest : public WindowTest {};

TEST_F(PlaceTest, everyStageRefusesAPageThatItHasNot) {
    app::Showing showing(*window);
    for (const char* const stage : {"intake", "check", "measure", "box", "network", "align"}) {
        const QString name = QLatin1String(stage);
        EXPECT_TRUE(showing.show(name)) << stage;
        EXPECT_FALSE(showing.show(name + QStringLiteral(":nowhere"))) << stage;
    }
    EXPECT_FALSE(showing.show(QStringLiteral("network:also:many")));
    EXPECT_FALSE(showing.show(QStringLiteral("align:frequency:high")));
    for (const char* const figure : {"sensitivity", "impedance", "corridor", "parts"}) {
        EXPECT_TRUE(showing.show(QStringLiteral("network:") + QLatin1String(figure))) << figure;
    }
}

TEST_F(PlaceTest, whatIsNotThereIsNotShown) {
    EXPECT_FALSE(app::Showing(*window).show(QStringLiteral("nowhere")));
    EXPECT_FALSE(app::Showing(*window).show(QStringLiteral("networks:list")));
    EXPECT_TRUE(app::Showing(*window).show(QStringLiteral("start")));
}

} // namespace yf::test
