// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QColor>
#include <QFont>
#include <QPen>
#include <QString>

#include <array>

class QApplication;

namespace yf::app {

/// Two for every day, light and dark, and two of high contrast.
enum class ThemeName { linen, graphite, paper, night };

inline constexpr std::array themeNames{
    ThemeName::linen, ThemeName::graphite, ThemeName::paper, ThemeName::night};

/// "linen", "graphite" …: in settings and on the command line.
[[nodiscard]] QString idOf(ThemeName name);

/// How a curve is drawn: its colour and its pattern, so that colour is never the only sign.
/// An empty pattern is a solid line; lengths are in pen widths.
struct Stroke {
    QColor colour;
    QList<qreal> pattern;
    double width{1.6};

    [[nodiscard]] QPen pen() const;

    bool operator==(const Stroke&) const = default;
};

/// One set of tokens; each theme gives each of them a value. Contrast after WCAG 2.1: text 4.5:1,
/// lines and marks 3:1 against ground and sheet; 7:1 and 4.5:1 in the two of high contrast.
struct Theme {
    QColor ground;
    QColor sheet;
    QColor ink;
    QColor quietInk;
    QColor rule;    ///< hairlines that only divide; they carry no meaning
    QColor outline; ///< edges of controls, 3:1
    QColor front;   ///< the accent, always together with ink
    QColor corridor;
    QColor good;
    QColor mind;
    QColor stop;
    std::array<Stroke, 5> ways; ///< sub, low, mid, high, top
    Stroke sum;
    Stroke ghost;
};

[[nodiscard]] const Theme& themeOf(ThemeName name);

/// The theme that `applyTheme` put into force.
[[nodiscard]] const Theme& theme();
[[nodiscard]] ThemeName themeName();

/// Loads the shipped fonts once; call before the first widget.
void loadFonts();

/// Palette, fonts and style sheet for the whole application; open windows follow.
void applyTheme(QApplication& application, ThemeName name);

/// DejaVu Sans, whose digits are of one width: for figures.
[[nodiscard]] QFont figureFont(double points);

/// WCAG 2.1 contrast ratio of two opaque colours, 1 to 21.
[[nodiscard]] double contrast(const QColor& a, const QColor& b);

} // namespace yf::app
