// SPDX-License-Identifier: GPL-3.0-or-later
// WCAG 2.1 AA: 4.5:1 for text, 3:1 for lines and marks, in every theme (relative luminance after
// its definition; black on white is 21:1).
#include "app/theme/theme.h"

#include <QFontDatabase>
#include <QFontInfo>
#include <QFontMetrics>

#include <gtest/gtest.h>

#include <set>

namespace yf::test {

TEST(Theme, contrastIsThatOfTheStandard) {
    EXPECT_NEAR(app::contrast(Qt::black, Qt::white), 21.0, 1e-9);
    EXPECT_NEAR(app::contrast(Qt::white, Qt::white), 1.0, 1e-9);
    EXPECT_NEAR(
        app::contrast(QColor(0x77, 0x77, 0x77), Qt::white), 4.48, 0.01); // the well-known near miss
}

namespace {

/// What the eye gets where a translucent token lies on paper.
QColor over(const QColor& veil, const QColor& paper) {
    const auto mix = [&](float top, float below) {
        return veil.alphaF() * top + (1.0F - veil.alphaF()) * below;
    };
    return QColor::fromRgbF(mix(veil.redF(), paper.redF()),
                            mix(veil.greenF(), paper.greenF()),
                            mix(veil.blueF(), paper.blueF()));
}

} // namespace

// Every token that is read or told apart, on everything it stands on: both papers, and the corridor
// lying on the sheet. The themes of high contrast reach WCAG 2.1 AAA for text.
TEST(Theme, textAndLinesCanBeSeen) {
    int pairs = 0;
    for (const app::ThemeName name : app::themeNames) {
        const app::Theme& t = app::themeOf(name);
        const bool high = name == app::ThemeName::paper || name == app::ThemeName::night;
        const double forText = high ? 7.0 : 4.5;
        const double forLines = high ? 4.5 : 3.0;
        const auto expect = [&](const QColor& token, const QColor& paper, double least) {
            ++pairs;
            EXPECT_GE(app::contrast(token, paper), least)
                << app::idOf(name).toStdString() << ": " << token.name().toStdString() << " on "
                << paper.name().toStdString();
        };
        for (const QColor& paper : {t.ground, t.sheet}) {
            for (const QColor& text : {t.ink, t.quietInk, t.good, t.mind, t.stop}) {
                expect(text, paper, forText);
            }
            for (const QColor& line : {t.outline, t.sum.colour, t.ghost.colour}) {
                expect(line, paper, forLines);
            }
            for (const app::Stroke& way : t.ways) {
                expect(way.colour, paper, forLines);
            }
        }
        // The answer runs in the corridor.
        expect(t.sum.colour, over(t.corridor, t.sheet), forLines);
        expect(t.ink, over(t.corridor, t.sheet), forText);
        // Words on the accent are always the dark ink.
        expect(QColor(0x1F, 0x23, 0x28), t.front, forText);
    }
    EXPECT_EQ(pairs, 4 * (2 * 13 + 3));
}

TEST(Theme, waysDifferByPatternAsWell) {
    for (const app::ThemeName name : app::themeNames) {
        std::set<QList<qreal>> patterns;
        for (const app::Stroke& way : app::themeOf(name).ways) {
            patterns.insert(way.pattern);
        }
        EXPECT_EQ(patterns.size(), 5U);
    }
}

TEST(Theme, shipsItsFonts) {
    EXPECT_TRUE(QFontDatabase::families().contains(QStringLiteral("Inter")));
    const QFont figures = app::figureFont(10.0);
    EXPECT_EQ(QFontInfo(figures).family(), QStringLiteral("DejaVu Sans"));
    const QFontMetrics metrics(figures);
    for (const QChar digit : QStringLiteral("123456789")) {
        EXPECT_EQ(metrics.horizontalAdvance(digit), metrics.horizontalAdvance(u'0'));
    }
}

} // namespace yf::test
