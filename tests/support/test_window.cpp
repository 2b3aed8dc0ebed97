// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/test_window.h"

#include "app/frame/main_menu.h"
#include "app/line/line_bar.h"
#include "app/theme/theme.h"
#include "app/widgets/notice.h"
#include "cli/verb.h"
#include "core/job/store/store.h"
#include "tests/support/demo_job.h"

#include <QApplication>
#include <QDropEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QMimeData>
#include <QTest>
#include <QUrl>
#include <QWheelEvent>

#include <filesystem>

namespace yf::test {

void WindowTest::SetUp() {
    path = folder.path("demo.yfjob");
    ASSERT_TRUE(job::store::Store::create(path, demoHistory()).ok());
    openWindow();
}

void WindowTest::openWindow() {
    window = std::make_unique<app::MainWindow>(ask);
    app::fitMenu(*window);
    window->resize(1280, 800);
    ASSERT_TRUE(window->openJob(QString::fromStdString(path)));
    window->chooseStage(QStringLiteral("network"));
    window->show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(window.get()));
    window->activateWindow();
    ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
    settle();
}

void WindowTest::settle() {
    constexpr int patience = 20000; // ms; a busy machine, not an expectation
    ASSERT_TRUE(QTest::qWaitFor([this] { return window->settled(); }, patience));
    QApplication::processEvents();
}

QString WindowTest::line(const char* figure) {
    return find<app::LineBar>("line")->textOf(QLatin1String(figure));
}

QString WindowTest::notice() {
    return find<app::Notice>("notice")->text();
}

void WindowTest::press(Qt::Key key, Qt::KeyboardModifiers modifiers) {
    QWidget* focus = QApplication::focusWidget();
    ASSERT_NE(focus, nullptr);
    QTest::keyClick(focus, key, modifiers);
}

void WindowTest::type(const char* characters) {
    for (const char* c = characters; *c != '\0'; ++c) {
        QTest::keyClick(QApplication::focusWidget(), *c);
    }
}

void WindowTest::write(const char* name, const char* text) {
    auto* field = find<QLineEdit>(name);
    field->setFocus();
    field->selectAll();
    QTest::keyClicks(field, QString::fromUtf8(text));
    QTest::keyClick(field, Qt::Key_Return);
}

void WindowTest::click(QWidget* widget, const QPoint& at) {
    QTest::mouseClick(widget, Qt::LeftButton, Qt::NoModifier, at);
}

void WindowTest::wheel(QWidget* widget, int notches, Qt::KeyboardModifiers modifiers) {
    const QPointF at = QRectF(widget->rect()).center();
    for (int i = 0; i < std::abs(notches); ++i) {
        QWheelEvent event(at,
                          widget->mapToGlobal(at),
                          {},
                          {0, notches > 0 ? 120 : -120},
                          Qt::NoButton,
                          modifiers,
                          Qt::NoScrollPhase,
                          false);
        QApplication::sendEvent(widget, &event);
    }
}

void WindowTest::drop(QWidget* widget, const QPoint& at, const QStringList& files) {
    QMimeData data;
    QList<QUrl> urls;
    for (const QString& file : files) {
        urls << QUrl::fromLocalFile(file);
    }
    data.setUrls(urls);
    QDragEnterEvent enter(at, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(widget, &enter);
    ASSERT_TRUE(enter.isAccepted());
    QDragMoveEvent move(at, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(widget, &move);
    QDropEvent event(at, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(widget, &event);
}

std::string WindowTest::figureByCommandLine(const std::string& figure) {
    const auto answer = cli::answer({"job", "show"}, [&]() -> Result<std::string> {
        return R"({"job_file":")" + path + "\"}";
    });
    EXPECT_EQ(answer.status, 0) << answer.err;
    const auto shown = text::parseJson(answer.out);
    for (const text::Value& entry :
         *shown->find("cabinets")->list()->front().find("line")->list()) {
        if (*entry.find("id")->word() == figure) {
            return *entry.find("text")->word();
        }
    }
    ADD_FAILURE() << "no figure " << figure;
    return {};
}

void HallTest::SetUp() {
    path = folder.path("hall.yfjob");
    std::filesystem::copy_file(hallFile(), path);
    openWindow();
}

void clickRow(QListWidget* list, const QString& data) {
    for (int row = 0; row < list->count(); ++row) {
        QListWidgetItem* item = list->item(row);
        if (item->data(Qt::UserRole).toString() == data) {
            list->scrollToItem(item);
            QTest::mouseClick(list->viewport(),
                              Qt::LeftButton,
                              Qt::NoModifier,
                              list->visualItemRect(item).center());
            return;
        }
    }
    FAIL() << data.toStdString() << " is not in the list";
}

} // namespace yf::test
