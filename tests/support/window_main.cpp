// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/theme/theme.h"
#include "tests/support/temp_folder.h"

#include <QApplication>
#include <QLocale>

#include <gtest/gtest.h>

/// libdbus and fontconfig keep what they allocate; that is not ours to mend.
extern "C" const char* __lsan_default_suppressions() {
    return "leak:libdbus-1.so\nleak:libfontconfig.so\n";
} // NOLINT

int main(int argc, char** argv) {
    testing::InitGoogleTest(&argc, argv);
    // Listing runs at build time, where there may be no display.
    if (testing::GTEST_FLAG(list_tests)) {
        return RUN_ALL_TESTS();
    }
    // Nothing of the user's machine may show through: display, folders, locale, blinking.
    if (!qEnvironmentVariableIsSet("QT_QPA_PLATFORM") && !qEnvironmentVariableIsSet("DISPLAY") &&
        !qEnvironmentVariableIsSet("WAYLAND_DISPLAY")) {
        qputenv("QT_QPA_PLATFORM", "offscreen");
    }
    const yf::test::TempFolder home;
    for (const char* const name : {"HOME", "XDG_CONFIG_HOME", "XDG_DATA_HOME", "XDG_RUNTIME_DIR"}) {
        qputenv(name, QByteArray::fromStdString(home.path("")));
    }
    QLocale::setDefault(QLocale::c());
    QApplication application(argc, argv);
    QApplication::setCursorFlashTime(0);
    yf::app::loadFonts();
    yf::app::applyTheme(application, yf::app::ThemeName::linen);
    return RUN_ALL_TESTS();
}
