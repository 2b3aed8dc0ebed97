// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/frame/main_window.h"
#include "app/widgets/ask.h"
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>

#include <memory>

class QListWidget;
class QWheelEvent;

namespace yf::test {

/// Answers questions in place of a person.
class AskInTests final : public app::Ask {
public:
    QStringList open;
    QString write;
    int asked{};

    [[nodiscard]] QStringList
    filesToOpen(QWidget* /*parent*/, const QString& /*title*/, const QString& /*filter*/) override {
        ++asked;
        return open;
    }

    [[nodiscard]] QString fileToWrite(QWidget* /*parent*/,
                                      const QString& /*title*/,
                                      const QString& /*proposal*/,
                                      const QString& /*filter*/) override {
        ++asked;
        return write;
    }
};

/// The real window on the demo job in a file of the test's own, at 1280 × 800.
class WindowTest : public testing::Test {
protected:
    void SetUp() override;

    /// A window on the file at `path`, shown and active.
    void openWindow();

    /// Waits until the picture shows the present and the file holds it.
    void settle();

    template <class T>
    T* find(const char* name) {
        T* found = window->findChild<T*>(QLatin1String(name));
        EXPECT_NE(found, nullptr) << name;
        return found;
    }

    [[nodiscard]] QString line(const char* figure);
    [[nodiscard]] QString notice();

    /// Keys as they come from a keyboard, to whoever has the focus.
    void press(Qt::Key key, Qt::KeyboardModifiers modifiers = Qt::NoModifier);
    void type(const char* characters);

    void click(QWidget* widget, const QPoint& at = {});

    /// Text typed into a field, as by hand.
    void write(const char* field, const char* text);

    /// Turns the wheel over a widget by so many notches.
    void wheel(QWidget* widget, int notches, Qt::KeyboardModifiers modifiers = Qt::NoModifier);

    /// Drops files on a widget at a place of it.
    void drop(QWidget* widget, const QPoint& at, const QStringList& files);

    /// `job show` of the command line for the window's own file; the text of a figure of the line.
    [[nodiscard]] std::string figureByCommandLine(const std::string& figure);

    TempFolder folder;
    AskInTests ask;
    std::string path;
    std::unique_ptr<app::MainWindow> window;
};

/// The window on the demo that a newcomer opens: the hall's pair.
class HallTest : public WindowTest {
protected:
    void SetUp() override;

    const job::Job& job() { return window->document()->job(); }
};

/// Clicks the row of a list that holds these data under Qt::UserRole.
void clickRow(QListWidget* list, const QString& data);

} // namespace yf::test
