// SPDX-License-Identifier: GPL-3.0-or-later
// Three thousand keys, clicks and turns of the wheel at random, as a child or a cat would: the
// window lives, its memory stays bounded, the job file is sound, and nothing else on the disk is
// touched.
#include "app/document/document.h"
#include "core/job/store/store.h"
#include "core/text/sentence.h"
#include "tests/support/test_window.h"

#include <QApplication>
#include <QDialog>
#include <QDir>
#include <QPointer>
#include <QTest>
#include <QTimer>
#include <QWheelEvent>

#include <gtest/gtest.h>

#include <array>
#include <filesystem>
#include <fstream>
#include <functional>
#include <map>
#include <random>

namespace yf::test {

namespace {

namespace fs = std::filesystem;

/// Every file below a folder with its content.
std::map<std::string, std::string> contentOf(const fs::path& folder) {
    std::map<std::string, std::string> files;
    for (const auto& entry : fs::recursive_directory_iterator(folder)) {
        if (entry.is_regular_file()) {
            files[entry.path().string()] = fileContent(entry.path().string());
        } else {
            files[entry.path().string()] = "a folder";
        }
    }
    return files;
}

/// MB that this process holds in memory.
double memory() {
    std::ifstream file("/proc/self/statm");
    double pages = 0.0;
    double resident = 0.0;
    file >> pages >> resident;
    return resident * 4096.0 / 1048576.0;
}

/// Hands that know nothing of what is under them.
class Hands {
public:
    Hands(QWidget& window, unsigned seed) : window_(window), draw_(seed) {}

    void move() {
        // What stands over the window gets a few tries, then it is sent away: a person would, too.
        QWidget* over = QApplication::activePopupWidget();
        over = over != nullptr ? over : QApplication::activeModalWidget();
        stuck_ = over == nullptr ? 0 : stuck_ + 1;
        constexpr int patience = 8;
        if (stuck_ > patience) {
            stuck_ = 0;
            if (auto* dialog = qobject_cast<QDialog*>(over); dialog != nullptr) {
                dialog->reject();
            } else {
                over->close();
            }
            return;
        }
        QWidget& base = over == nullptr ? window_ : *over;
        switch (below(10)) {
        case 0:
        case 1:
        case 2:
        case 3:
        case 4:
            key(base);
            break;
        case 5:
            wheel(base);
            break;
        case 6:
            drag(base);
            break;
        default:
            click(base);
        }
    }

private:
    int below(int count) { return static_cast<int>(draw_() % static_cast<unsigned>(count)); }

    QWidget& at(QWidget& base, QPoint& point) {
        point = {below(std::max(1, base.width())), below(std::max(1, base.height()))};
        QWidget* child = base.childAt(point);
        if (child == nullptr) {
            return base;
        }
        point = child->mapFrom(&base, point);
        return *child;
    }

    void key(QWidget& base) {
        static constexpr std::array keys{
            Qt::Key_Tab,    Qt::Key_Backtab, Qt::Key_Return, Qt::Key_Escape, Qt::Key_Space,
            Qt::Key_Up,     Qt::Key_Down,    Qt::Key_Left,   Qt::Key_Right,  Qt::Key_Delete,
            Qt::Key_Home,   Qt::Key_End,     Qt::Key_PageUp, Qt::Key_F1,     Qt::Key_F2,
            Qt::Key_Insert, Qt::Key_Minus,   Qt::Key_Plus,   Qt::Key_Comma,  Qt::Key_Backspace};
        Qt::Key pressed = keys[static_cast<std::size_t>(below(static_cast<int>(keys.size())))];
        if (below(2) == 0) {
            pressed =
                static_cast<Qt::Key>(below(2) == 0 ? Qt::Key_0 + below(10) : Qt::Key_A + below(26));
        }
        Qt::KeyboardModifiers held = Qt::NoModifier;
        if (below(5) == 0) {
            held = below(2) == 0 ? Qt::ControlModifier : Qt::ShiftModifier;
        }
        const bool leaves =
            held == Qt::ControlModifier && (pressed == Qt::Key_Q || pressed == Qt::Key_W);
        QWidget* focus = QApplication::focusWidget();
        if (!leaves) {
            QTest::keyClick(focus == nullptr ? &base : focus, pressed, held);
        }
    }

    void click(QWidget& base) {
        QPoint point;
        const QPointer<QWidget> widget = &at(base, point);
        const Qt::MouseButton button = below(8) == 0 ? Qt::RightButton : Qt::LeftButton;
        QTest::mousePress(widget, button, Qt::NoModifier, point);
        // A menu may have come and gone meanwhile, and taken the widget with it.
        if (widget != nullptr) {
            QTest::mouseRelease(widget, button, Qt::NoModifier, point);
        }
    }

    void drag(QWidget& base) {
        QPoint point;
        QPointer<QWidget> widget = &at(base, point);
        QTest::mousePress(widget, Qt::LeftButton, Qt::NoModifier, point);
        for (int step = 0; step < 3 && widget != nullptr; ++step) {
            point += QPoint(below(81) - 40, below(81) - 40);
            QTest::mouseMove(widget, point);
        }
        if (widget != nullptr) {
            QTest::mouseRelease(widget, Qt::LeftButton, Qt::NoModifier, point);
        }
    }

    void wheel(QWidget& base) {
        QPoint point;
        QWidget& widget = at(base, point);
        QWheelEvent event(point,
                          widget.mapToGlobal(point),
                          {},
                          {0, below(2) == 0 ? 120 : -120},
                          Qt::NoButton,
                          below(4) == 0 ? Qt::ControlModifier : Qt::NoModifier,
                          Qt::NoScrollPhase,
                          false);
        QApplication::sendEvent(&widget, &event);
    }

    QWidget& window_;
    std::mt19937 draw_;
    int stuck_{};
};

} // namespace

class RandomHands : public HallTest {};

TEST_F(RandomHands, threeThousandEventsHarmNothing) {
    const fs::path decoy = folder.path("decoy");
    fs::create_directories(decoy / "letters");
    std::ofstream(decoy / "letters" / "one.txt") << "dear reader";
    std::ofstream(decoy / "table.csv") << "f (Hz),SPL (dB)\n100,80\n1000,85\n10000,84\n";
    const fs::path work = folder.path("work");
    fs::create_directories(work);
    const QString before = QDir::currentPath();
    ASSERT_TRUE(QDir::setCurrent(QString::fromStdString(work.string())));
    const auto untouched = contentOf(decoy);
    ask.open = {QString::fromStdString((decoy / "table.csv").string())};
    ask.write = QString::fromStdString(folder.path("written"));

    const std::size_t logBefore = window->document()->record().log.size();
    Hands hands(*window, 20261201);
    constexpr int events = 3000;
    constexpr int warmUp = 300;
    int done = 0;
    double atFirst = 0.0;
    // The next one is under way before a hand moves: a menu or a question waits in a loop of its
    // own.
    const std::function<void()> next = [&] {
        if (done >= events) {
            return;
        }
        ++done;
        QTimer::singleShot(0, qApp, next);
        hands.move();
        if (done == warmUp) {
            atFirst = memory();
        }
    };
    QTimer::singleShot(0, qApp, next);
    constexpr int longest = 600000; // ms; a busy machine, not an expectation
    ASSERT_TRUE(QTest::qWaitFor([&] { return done >= events; }, longest)) << done;
    while (QWidget* popup = QApplication::activePopupWidget()) {
        popup->close();
    }
    const double atLast = memory();
    RecordProperty("memory_mb", static_cast<int>(atLast));
    EXPECT_LT(atLast - atFirst, 300.0) << "MB more than after the first three hundred";

    // The window lives: it answers, and everything gets into the file.
    window->openJob(QString::fromStdString(path));
    settle();
    window.reset();
    const auto store = job::store::Store::open(path);
    ASSERT_TRUE(store.ok()) << text::sentence(store.error());
    EXPECT_TRUE(store->integrityCheck().ok());
    const auto record = store->load();
    ASSERT_TRUE(record.ok()) << text::sentence(record.error());
    RecordProperty("log_entries", static_cast<int>(record->log.size()));
    EXPECT_GT(record->log.size(), logBefore + 20) << "hands that change nothing try nothing";
    EXPECT_EQ(contentOf(decoy), untouched);
    EXPECT_TRUE(fs::is_empty(work)) << "files that nobody asked for";
    QDir::setCurrent(before);
}

} // namespace yf::test
