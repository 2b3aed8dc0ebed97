// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/theme/theme.h"

#include <QApplication>
#include <QFontDatabase>
#include <QPalette>
#include <QStyleFactory>
#include <QVariant>

#include <cmath>

namespace yf::app {

namespace {

constexpr const char* themeProperty = "yf_theme";

QColor colour(const char* hex) {
    return QColor(QLatin1String(hex));
}

QColor veil(const char* hex, double share) {
    QColor c = colour(hex);
    c.setAlphaF(static_cast<float>(share));
    return c;
}

const QList<qreal> longDash{9.0, 3.0};
const QList<qreal> dash{5.0, 3.0};
const QList<qreal> dashDot{6.0, 2.5, 1.2, 2.5};
const QList<qreal> dot{1.2, 2.4};

Theme linen() {
    Theme t;
    t.ground = colour("#F6F2E8");
    t.sheet = colour("#FFFDF8");
    t.ink = colour("#1F2328");
    t.quietInk = colour("#5C6068");
    t.rule = colour("#D9D2C2");
    t.outline = colour("#8A8474");
    t.front = colour("#F2B705");
    t.corridor = veil("#F2B705", 0.22);
    t.good = colour("#2C7A58");
    t.mind = colour("#9A6200");
    t.stop = colour("#B3261E");
    // #56B4E9 and #CC79A7 of the set miss 3:1 on ground or sheet: darkened here.
    t.ways = {Stroke{colour("#2A8FC9"), longDash},
              Stroke{colour("#0072B2"), {}},
              Stroke{colour("#009E73"), dash},
              Stroke{colour("#D55E00"), dashDot},
              Stroke{colour("#B85C8E"), dot}};
    t.sum = {t.ink, {}, 2.4};
    t.ghost = {colour("#8A8474"), {2.0, 3.0}, 1.2};
    return t;
}

Theme graphite() {
    Theme t;
    t.ground = colour("#1D1F22");
    t.sheet = colour("#26292D");
    t.ink = colour("#ECE7DB");
    t.quietInk = colour("#A9ABA8");
    t.rule = colour("#3A3E43");
    t.outline = colour("#81868C");
    t.front = colour("#F5C542");
    t.corridor = veil("#F5C542", 0.20);
    t.good = colour("#6CC49A");
    t.mind = colour("#E0A63C");
    t.stop = colour("#FF8A7E");
    t.ways = {Stroke{colour("#7CC6F0"), longDash},
              Stroke{colour("#4FA8E0"), {}},
              Stroke{colour("#3CC59A"), dash},
              Stroke{colour("#F58A45"), dashDot},
              Stroke{colour("#DD9BC0"), dot}};
    t.sum = {t.ink, {}, 2.4};
    t.ghost = {colour("#81868C"), {2.0, 3.0}, 1.2};
    return t;
}

Theme paper() {
    Theme t = linen();
    t.ground = colour("#FFFFFF");
    t.sheet = colour("#FFFFFF");
    t.ink = colour("#000000");
    t.quietInk = colour("#303030");
    t.rule = colour("#8C8C8C");
    t.outline = colour("#404040");
    t.front = colour("#FFC400");
    t.corridor = veil("#FFC400", 0.35);
    t.good = colour("#00552F");
    t.mind = colour("#6B4000");
    t.stop = colour("#8E0B04");
    t.ways = {Stroke{colour("#1F6E9E"), longDash, 2.2},
              Stroke{colour("#004E8A"), {}, 2.2},
              Stroke{colour("#006B4A"), dash, 2.2},
              Stroke{colour("#A34300"), dashDot, 2.2},
              Stroke{colour("#8C2F68"), dot, 2.2}};
    t.sum = {t.ink, {}, 3.0};
    t.ghost = {colour("#5A5A5A"), {2.0, 3.0}, 1.6};
    return t;
}

Theme night() {
    Theme t = graphite();
    t.ground = colour("#000000");
    t.sheet = colour("#000000");
    t.ink = colour("#FFFFFF");
    t.quietInk = colour("#D8D8D8");
    t.rule = colour("#7A7A7A");
    t.outline = colour("#C0C0C0");
    t.front = colour("#FFD23F");
    t.corridor = veil("#FFD23F", 0.30);
    t.good = colour("#7FE0B0");
    t.mind = colour("#FFC766");
    t.stop = colour("#FFA79E");
    t.ways = {Stroke{colour("#9AD6F7"), longDash, 2.2},
              Stroke{colour("#7CC0F2"), {}, 2.2},
              Stroke{colour("#5EE0B4"), dash, 2.2},
              Stroke{colour("#FFA468"), dashDot, 2.2},
              Stroke{colour("#F0B6D8"), dot, 2.2}};
    t.sum = {t.ink, {}, 3.0};
    t.ghost = {colour("#B0B0B0"), {2.0, 3.0}, 1.6};
    return t;
}

QPalette palette(const Theme& t) {
    QPalette p;
    p.setColor(QPalette::Window, t.ground);
    p.setColor(QPalette::WindowText, t.ink);
    p.setColor(QPalette::Base, t.sheet);
    p.setColor(QPalette::AlternateBase, t.ground);
    p.setColor(QPalette::Text, t.ink);
    p.setColor(QPalette::PlaceholderText, t.quietInk);
    p.setColor(QPalette::Button, t.sheet);
    p.setColor(QPalette::ButtonText, t.ink);
    p.setColor(QPalette::BrightText, t.stop);
    p.setColor(QPalette::Highlight, t.front);
    p.setColor(QPalette::HighlightedText, colour("#1F2328"));
    p.setColor(QPalette::ToolTipBase, t.sheet);
    p.setColor(QPalette::ToolTipText, t.ink);
    p.setColor(QPalette::Link, t.ink);
    p.setColor(QPalette::Mid, t.rule);
    p.setColor(QPalette::Dark, t.outline);
    for (const auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText}) {
        p.setColor(QPalette::Disabled, role, t.quietInk);
    }
    p.setColor(QPalette::Disabled, QPalette::Button, t.ground);
    return p;
}

QString styleSheet(const Theme& t) {
    return QStringLiteral(
               "QPushButton,QToolButton,QComboBox,QLineEdit{min-height:26px;border:1px solid "
               "%1;border-radius:4px;"
               "background:%2;color:%3;padding:0 8px}"
               "QToolButton{padding:0 4px}"
               "QToolButton[flat=\"true\"]{border:1px solid transparent;background:transparent}"
               "QToolButton[flat=\"true\"]:hover{border-color:%1}"
               "QToolButton[flat=\"true\"]:focus{border:2px solid %3}"
               "QPushButton:hover,QToolButton:hover,QComboBox:hover{background:%4}"
               "QPushButton:focus,QToolButton:focus,QComboBox:focus,QLineEdit:focus{border:2px "
               "solid %3;padding:0 7px}"
               "QPushButton:disabled,QToolButton:disabled,QComboBox:disabled{color:%5;background:%"
               "4;border-style:dashed}"
               "QPushButton[main=\"true\"]{background:%6;color:#1F2328}"
               "QPushButton[main=\"true\"]:disabled{background:%4;color:%5}"
               "QComboBox::drop-down{border:0;width:20px}"
               "QComboBox::down-arrow{image:url(:/marks/down.png);width:9px;height:6px}"
               "QComboBox QAbstractItemView{background:%2;color:%3;border:1px solid %1}"
               "QCheckBox::indicator,QListWidget::indicator{width:15px;height:15px;border:1px "
               "solid "
               "%1;border-radius:3px;background:%2}"
               "QCheckBox::indicator:focus{border:2px solid %3}"
               "QCheckBox::indicator:checked,QListWidget::indicator:checked{background:%6;image:"
               "url(:/marks/tick.png)}"
               "QToolTip{border:1px solid %1;background:%2;color:%3;padding:4px}"
               "QMenu{background:%2;color:%3;border:1px solid %1}"
               "QMenu::item{padding:5px 24px 5px 16px}"
               "QMenu::item:selected{background:%6;color:#1F2328}"
               "QMenu::item:disabled{color:%5}"
               "QMenuBar{background:%4;color:%3}"
               "QMenuBar::item:selected{background:%6;color:#1F2328}"
               "QScrollArea{border:0}"
               "QListWidget,QTextBrowser,QTableWidget,QPlainTextEdit{border:1px solid "
               "%1;border-radius:4px;"
               "background:%2;color:%3}"
               "QListWidget:focus,QTextBrowser:focus,QTableWidget:focus,QPlainTextEdit:focus{"
               "border:2px solid %3}"
               "QListWidget::item:selected{background:%6;color:#1F2328}"
               "QWidget[card=\"true\"]{background:%2;border:1px solid %1;border-radius:6px}"
               "QWidget[card=\"true\"] QLabel{border:0;background:transparent}"
               "QToolButton[link=\"true\"]{border:1px solid transparent;background:transparent;"
               "text-decoration:underline;padding:0 5px}"
               "QToolButton[link=\"true\"]:hover{border-color:%1}"
               "QToolButton[link=\"true\"]:focus{border:2px solid %3;padding:0 4px}"
               "QToolButton[main=\"true\"]{background:%6;color:#1F2328}"
               "QToolButton[chip=\"true\"]{border-radius:13px;padding:0 8px}"
               "QToolButton[chip=\"true\"]:checked{background:%6;color:#1F2328}"
               "QToolButton::menu-indicator{image:url(:/marks/down.png);width:9px;height:6px;"
               "subcontrol-position:right center;right:6px}"
               "QToolButton[popupMode=\"2\"]{padding-right:20px}")
        .arg(t.outline.name(),
             t.sheet.name(),
             t.ink.name(),
             t.ground.name(),
             t.quietInk.name(),
             t.front.name());
}

double luminance(const QColor& c) {
    const auto linear = [](double v) {
        return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4);
    };
    return 0.2126 * linear(c.redF()) + 0.7152 * linear(c.greenF()) + 0.0722 * linear(c.blueF());
}

} // namespace

QPen Stroke::pen() const {
    QPen p(colour, width);
    p.setCapStyle(Qt::FlatCap);
    p.setJoinStyle(Qt::RoundJoin);
    if (!pattern.isEmpty()) {
        p.setDashPattern(pattern);
    }
    return p;
}

const Theme& themeOf(ThemeName name) {
    static const std::array themes{linen(), graphite(), paper(), night()};
    return themes.at(static_cast<std::size_t>(name));
}

QString idOf(ThemeName name) {
    static const std::array ids{QStringLiteral("linen"),
                                QStringLiteral("graphite"),
                                QStringLiteral("paper"),
                                QStringLiteral("night")};
    return ids.at(static_cast<std::size_t>(name));
}

ThemeName themeName() {
    return static_cast<ThemeName>(QCoreApplication::instance()->property(themeProperty).toInt());
}

const Theme& theme() {
    return themeOf(themeName());
}

void loadFonts() {
    for (const char* file :
         {"Inter-Regular.otf", "Inter-Medium.otf", "Inter-SemiBold.otf", "DejaVuSans.ttf"}) {
        QFontDatabase::addApplicationFont(QStringLiteral(":/fonts/") + QLatin1String(file));
    }
}

void applyTheme(QApplication& application, ThemeName name) {
    application.setProperty(themeProperty, static_cast<int>(name));
    QFont font(QStringLiteral("Inter"));
    font.setPointSizeF(10.0);
    const Theme& t = themeOf(name);
    QApplication::setStyle(QStyleFactory::create(QStringLiteral("Fusion")));
    QApplication::setFont(font);
    QApplication::setPalette(palette(t));
    application.setStyleSheet(styleSheet(t));
}

QFont figureFont(double points) {
    QFont font(QStringLiteral("DejaVu Sans"));
    font.setPointSizeF(points);
    return font;
}

double contrast(const QColor& a, const QColor& b) {
    const double la = luminance(a);
    const double lb = luminance(b);
    return (std::max(la, lb) + 0.05) / (std::min(la, lb) + 0.05);
}

} // namespace yf::app
