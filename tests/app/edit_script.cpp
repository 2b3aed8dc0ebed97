// SPDX-License-Identifier: GPL-3.0-or-later
// The window under a hand that never rests, for crash_test: it types into a tile, one value after
// the other, and prints each value as soon as the line says "saved". Killed at any moment.
#include "app/crossover/lanes_view.h"
#include "app/crossover/part_tile.h"
#include "app/frame/main_menu.h"
#include "app/frame/main_window.h"
#include "app/line/line_bar.h"
#include "app/theme/theme.h"
#include "tests/support/ask_nothing.h"

#include <QApplication>
#include <QLineEdit>
#include <QTest>

#include <cstdio>

namespace {

void typeValue(yf::app::MainWindow& window, int tenths) {
    auto* tile = window.findChild<yf::app::LanesView*>(QStringLiteral("lanes"))->tile("R2");
    tile->setFocus();
    QTest::keyClick(tile, '0');
    auto* editor = window.findChild<QLineEdit*>(QStringLiteral("part_editor"));
    editor->setText(QStringLiteral("%1.%2").arg(tenths / 10).arg(tenths % 10));
    QTest::keyClick(editor, Qt::Key_Return);
}

} // namespace

int main(int argc, char** argv) {
    if (argc != 3) {
        return 2;
    }
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    yf::app::loadFonts();
    yf::app::applyTheme(application, yf::app::ThemeName::linen);
    yf::test::AskNothing ask;
    yf::app::MainWindow window(ask);
    yf::app::fitMenu(window);
    if (!window.openJob(QString::fromLocal8Bit(argv[1]))) {
        return 1;
    }
    window.chooseStage(QStringLiteral("network"));
    window.show();
    while (!window.settled()) {
        QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
    }
    const auto* line = window.findChild<yf::app::LineBar*>(QStringLiteral("line"));
    for (int tenths = QByteArray(argv[2]).toInt();; ++tenths) {
        typeValue(window, tenths);
        while (!(window.settled() && line->savedText() == QStringLiteral("saved"))) {
            QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
        }
        std::printf("%d\n", tenths);
        std::fflush(stdout);
    }
}
