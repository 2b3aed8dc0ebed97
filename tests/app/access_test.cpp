// SPDX-License-Identifier: GPL-3.0-or-later
// The window without a mouse and without eyes: everything that can have the focus is reached by Tab
// and has a name of its own.
#include "app/frame/showing.h"
#include "tests/support/test_window.h"

#include <QAbstractButton>
#include <QAccessible>
#include <QApplication>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QTest>
#include <QTextBrowser>

#include <gtest/gtest.h>

#include <functional>
#include <map>
#include <set>

namespace yf::test {

namespace {

class Access : public WindowTest {
protected:
    QList<QWidget*> reachable() {
        QList<QWidget*> list;
        for (QWidget* widget : window->findChildren<QWidget*>()) {
            // What stands in for another (the line of a spin box) is reached as that other.
            if (widget->isVisible() && widget->isEnabled() && widget->focusProxy() == nullptr &&
                (widget->focusPolicy() & Qt::TabFocus) != 0) {
                list << widget;
            }
        }
        return list;
    }

    /// What a screen reader would say: the accessible tree's name, which is the text of a button or
    /// the label beside a field; a combo box must not pass its current text off as its name.
    static QString nameOf(QWidget* widget) {
        const auto* box = qobject_cast<QComboBox*>(widget);
        QAccessibleInterface* reader = QAccessible::queryAccessibleInterface(widget);
        if (reader == nullptr) {
            return {};
        }
        const bool labelled =
            !widget->accessibleName().isEmpty() || !reader->relations(QAccessible::Label).isEmpty();
        return box != nullptr && !labelled ? QString{} : reader->text(QAccessible::Name);
    }

    void openCheck(const char* page) {
        window->chooseStage(QStringLiteral("check"));
        app::Showing(*window).show(QStringLiteral("check:") + QLatin1String(page));
        settle();
        QApplication::processEvents(); // the polarity table is built when the hand has let go
    }

    void openMeasure(const char* page) {
        window->chooseStage(QStringLiteral("measure"));
        app::Showing(*window).show(QStringLiteral("measure:") + QLatin1String(page));
        settle();
    }

    /// Every view there is, one after the other.
    void inEveryView(const std::function<void(const char*)>& look) {
        const std::string table =
            folder.write("look.csv", "freq,spl,phase\n20,60,90\n200,85,20\n20000,80,-90\n");

        struct {
            const char* name;
            std::function<void()> open;
        } const views[] = {
            {"start page", [&] { app::Showing(*window).show(QStringLiteral("start")); }},
            {"network", [&] { window->chooseStage(QStringLiteral("network")); }},
            {"network, book", [&] { click(find<QWidget>("network_tab_book")); }},
            {"network, machine", [&] { click(find<QWidget>("network_tab_machine")); }},
            {"network, find", [&] { click(find<QWidget>("network_tab_find")); }},
            {"network, parts", [&] { click(find<QWidget>("network_tab_parts")); }},
            {"measure", [&] { openMeasure("curves"); }},
            {"measure, record", [&] { openMeasure("record"); }},
            {"measure, calibrations", [&] { openMeasure("calibrations"); }},
            {"measure, time", [&] { openMeasure("time"); }},
            {"measure, decay", [&] { openMeasure("decay"); }},
            {"measure, near and far", [&] { openMeasure("merge"); }},
            {"measure, angles", [&] { openMeasure("angles"); }},
            {"measure, parameters", [&] { openMeasure("parameters"); }},
            {"measure, by hand", [&] { openMeasure("hand"); }},
            {"intake",
             [&] {
                 window->chooseStage(QStringLiteral("intake"));
                 if (window->document()->job().cabinets.front().protectors.empty()) {
                     click(find<QWidget>("protectors_add"));
                     click(find<QWidget>("old_parts_add"));
                 }
             }},
            {"check", [&] { openCheck("dcr"); }},
            {"check, battery", [&] { openCheck("battery_pop"); }},
            {"polarity", [&] { openCheck("polarity"); }},
            {"replace", [&] { openCheck("replace"); }},
            {"align", [&] { window->chooseStage(QStringLiteral("align")); }},
            {"align, seat", [&] { click(find<QWidget>("align_tab_angles")); }},
            {"align, arrival", [&] { click(find<QWidget>("align_tab_arrival")); }},
            {"align, helps", [&] { click(find<QWidget>("align_tab_helps")); }},
            {"box", [&] { window->chooseStage(QStringLiteral("box")); }},
            {"box, choose", [&] { click(find<QWidget>("box_tab_choose")); }},
            {"box, map", [&] { click(find<QWidget>("box_tab_map")); }},
            {"box, wood", [&] { click(find<QWidget>("box_tab_wood")); }},
            {"box, read", [&] { click(find<QWidget>("box_tab_read")); }},
            {"findings unfolded",
             [&] { app::Showing(*window).show(QStringLiteral("finding:meas.distance")); }},
            {"log", [&] { app::Showing(*window).show(QStringLiteral("log")); }},
            {"front edited", [&] { app::Showing(*window).show(QStringLiteral("front-editor")); }},
            {"differences", [&] { app::Showing(*window).show(QStringLiteral("differences")); }},
            {"guide", [&] { app::Showing(*window).show(QStringLiteral("help")); }},
            {"import", [&] { window->previewImport({QString::fromStdString(table)}); }},
            {"practise", [&] { app::Showing(*window).show(QStringLiteral("practise:7:1")); }},
            {"practised",
             [&] {
                 app::Showing(*window).show(
                     QStringLiteral("practise:7:2:look_smell:torn_surround"));
             }},
            {"back", [&] { window->chooseStage(QStringLiteral("check")); }},
            {"finder", [&] { app::Showing(*window).show(QStringLiteral("finder")); }},
        };

        for (const auto& view : views) {
            view.open();
            settle();
            look(view.name);
        }
    }
};

} // namespace

TEST_F(Access, everythingThatCanBeReachedHasAName) {
    inEveryView([&](const char* view) {
        const auto widgets = reachable();
        EXPECT_GT(widgets.size(), 8) << view;
        for (QWidget* widget : widgets) {
            EXPECT_FALSE(nameOf(widget).isEmpty())
                << view << ": " << widget->metaObject()->className() << " "
                << widget->objectName().toStdString();
        }
    });
    EXPECT_FALSE(window->windowTitle().isEmpty());
}

TEST_F(Access, namesTellTheControlsOfAViewApart) {
    inEveryView([&](const char* view) {
        std::map<QString, QWidget*> names;
        for (QWidget* widget : reachable()) {
            const auto [there, fresh] = names.emplace(
                nameOf(widget) + QLatin1String(widget->metaObject()->className()), widget);
            EXPECT_TRUE(fresh || qobject_cast<QAbstractButton*>(widget) == nullptr)
                << view << ": two of the name " << there->first.toStdString() << ": "
                << there->second->objectName().toStdString() << " and "
                << widget->objectName().toStdString();
        }
    });
}

TEST_F(Access, tabComesToEverythingAndRoundAgain) {
    inEveryView([&](const char* view) {
        if (std::string(view) == "finder") {
            return; // it shuts when the focus leaves it
        }
        std::set<QWidget*> missed;
        for (QWidget* widget : reachable()) {
            missed.insert(widget);
        }
        const std::size_t all = missed.size();
        QWidget* first = *missed.begin();
        first->setFocus();
        constexpr std::size_t mostLinks = 100;
        std::size_t links = 0; // of the guide's text: Tab goes from one to the next
        for (std::size_t i = 0; i < all + 5 + links && !missed.empty(); ++i) {
            const bool seen = missed.erase(QApplication::focusWidget()) == 0;
            if (seen && qobject_cast<QTextBrowser*>(QApplication::focusWidget()) != nullptr &&
                links < mostLinks) {
                ++links;
            }
            QTest::keyClick(QApplication::focusWidget(), Qt::Key_Tab);
        }
        for (const QWidget* widget : missed) {
            ADD_FAILURE() << view << ": not reached: " << widget->metaObject()->className() << " "
                          << widget->objectName().toStdString();
        }
    });
}

TEST_F(Access, targetsAreLargeEnough) {
    inEveryView([&](const char* view) {
        for (const QWidget* widget : reachable()) {
            if (qobject_cast<const QAbstractButton*>(widget) != nullptr &&
                !widget->inherits("QCheckBox")) {
                EXPECT_GE(widget->height(), 28)
                    << view << ": " << widget->objectName().toStdString();
            }
        }
    });
}

TEST_F(Access, noStageForcesTheWindowToGrow) {
    window->resize(1024, 700);
    for (const char* const stage : {"intake", "check", "measure", "network"}) {
        window->chooseStage(QLatin1String(stage));
        settle();
        EXPECT_EQ(window->size(), QSize(1024, 700)) << stage;
    }
    for (const char* const page : {"polarity", "replace", "lcr"}) {
        openCheck(page);
        EXPECT_EQ(window->size(), QSize(1024, 700)) << page;
    }
    app::Showing(*window).show(QStringLiteral("practise:7:1"));
    QApplication::processEvents();
    EXPECT_EQ(window->size(), QSize(1024, 700)) << "practise";
}

TEST_F(Access, fitsFromSmallToLargeWindows) {
    for (const QSize size : {QSize(1024, 700), QSize(1280, 800), QSize(2560, 1440)}) {
        window->resize(size);
        settle();
        EXPECT_EQ(window->size(), size) << "nothing inside forces another size";
        for (const char* const name :
             {"plot_response", "plot_phase", "plot_impedance", "lanes", "front", "line"}) {
            EXPECT_TRUE(find<QWidget>(name)->isVisible());
        }
        EXPECT_GE(find<QWidget>("plot_response")->height(), 150);
    }
}

} // namespace yf::test
