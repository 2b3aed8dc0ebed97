// SPDX-License-Identifier: GPL-3.0-or-later
// The window without a mouse and without eyes: everything that can have the focus is reached by Tab
// and has a name of its own.
#include "tests/support/test_window.h"

#include <QAbstractButton>
#include <QApplication>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QTest>

#include <gtest/gtest.h>

#include <set>

namespace yf::test {

namespace {

class Access : public WindowTest {
protected:
    QList<QWidget*> reachable() {
        QList<QWidget*> list;
        for (QWidget* widget : window->findChildren<QWidget*>()) {
            if (widget->isVisible() && widget->isEnabled() &&
                (widget->focusPolicy() & Qt::TabFocus) != 0) {
                list << widget;
            }
        }
        return list;
    }

    /// A name of its own: said, or written on it, or on the label beside it.
    bool hasName(const QWidget* widget) {
        if (!widget->accessibleName().isEmpty()) {
            return true;
        }
        if (const auto* button = qobject_cast<const QAbstractButton*>(widget)) {
            return !button->text().isEmpty();
        }
        for (const QLabel* label : window->findChildren<QLabel*>()) {
            if (label->buddy() == widget) {
                return true;
            }
        }
        return false;
    }
};

} // namespace

TEST_F(Access, everythingThatCanBeReachedHasAName) {
    for (const char* const stage : {"network", "measure"}) {
        window->chooseStage(QLatin1String(stage));
        settle();
        const auto widgets = reachable();
        EXPECT_GT(widgets.size(), 8) << stage;
        for (const QWidget* widget : widgets) {
            EXPECT_TRUE(hasName(widget)) << stage << ": " << widget->metaObject()->className()
                                         << " " << widget->objectName().toStdString();
        }
    }
    EXPECT_FALSE(window->windowTitle().isEmpty());
}

TEST_F(Access, tabComesToEverythingAndRoundAgain) {
    for (const char* const stage : {"network", "measure"}) {
        window->chooseStage(QLatin1String(stage));
        settle();
        std::set<QWidget*> missed;
        for (QWidget* widget : reachable()) {
            missed.insert(widget);
        }
        const std::size_t all = missed.size();
        QWidget* first = *missed.begin();
        first->setFocus();
        for (std::size_t i = 0; i < all + 5 && !missed.empty(); ++i) {
            missed.erase(QApplication::focusWidget());
            QTest::keyClick(QApplication::focusWidget(), Qt::Key_Tab);
        }
        for (const QWidget* widget : missed) {
            ADD_FAILURE() << stage << ": not reached: " << widget->metaObject()->className() << " "
                          << widget->objectName().toStdString();
        }
    }
}

TEST_F(Access, targetsAreLargeEnough) {
    for (const QWidget* widget : reachable()) {
        if (qobject_cast<const QAbstractButton*>(widget) != nullptr &&
            !widget->inherits("QCheckBox")) {
            EXPECT_GE(widget->height(), 28) << widget->objectName().toStdString();
        }
    }
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
