// SPDX-License-Identifier: GPL-3.0-or-later
// WCAG 2.1 AA: 4.5:1 for text, 3:1 for lines and marks, in both themes (relative luminance after
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

TEST(Theme, textAndLinesCanBeSeen) {
    for (const app::ThemeName name : {app::ThemeName::linen, app::ThemeName::graphite}) {
        const app::Theme& t = app::themeOf(name);
        for (const QColor& paper : {t.ground, t.sheet}) {
            for (const QColor& text : {t.ink, t.quietInk, t.good, t.mind, t.stop}) {
                EXPECT_GE(app::contrast(text, paper), 4.5)
                    << text.name().toStdString() << " on " << paper.name().toStdString();
            }
            for (const QColor& line : {t.outline, t.sum.colour, t.ghost.colour}) {
                EXPECT_GE(app::contrast(line, paper), 3.0)
                    << line.name().toStdString() << " on " << paper.name().toStdString();
            }
            for (const app::Stroke& way : t.ways) {
                EXPECT_GE(app::contrast(way.colour, paper), 3.0)
                    << way.colour.name().toStdString() << " on " << paper.name().toStdString();
            }
        }
        // Words on the accent are always the dark ink.
        EXPECT_GE(app::contrast(t.front, QColor(0x1F, 0x23, 0x28)), 4.5);
    }
}

TEST(Theme, waysDifferByPatternAsWell) {
    for (const app::ThemeName name : {app::ThemeName::linen, app::ThemeName::graphite}) {
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
