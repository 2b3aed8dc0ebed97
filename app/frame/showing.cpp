// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/showing.h"

#include "app/findings/findings_panel.h"
#include "app/frame/main_window.h"
#include "app/front/front_view.h"
#include "app/history/log_strip.h"
#include "app/practice/practice_page.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QMouseEvent>

#include <algorithm>
#include <map>

namespace yf::app {

bool Showing::showFrame(const QString& name) {
    using Parts = std::map<QString, void (*)(MainWindow&)>;
    static const Parts parts{
        {QStringLiteral("front-editor"), [](MainWindow& w) { w.setFrontEditing(true); }},
        {QStringLiteral("log"),
         [](MainWindow& w) {
             w.parts_.log->setVisible(true);
             w.displayRecord();
         }},
        {QStringLiteral("help"), [](MainWindow& w) { w.showHelp(); }},
        {QStringLiteral("finder"), [](MainWindow& w) { w.findCommand(); }},
        {QStringLiteral("differences"), [](MainWindow& w) { w.showDifferences(); }},
        {QStringLiteral("start"), [](MainWindow& w) { w.showStart(); }},
        {QStringLiteral("snapshot"), [](MainWindow& w) { w.holdSnapshot(); }}};
    const auto part = parts.find(name);
    if (part == parts.end()) {
        return false;
    }
    part->second(window_);
    return true;
}

void Showing::practise(const QStringList& order) {
    window_.practise(order.value(1).toULongLong(), std::clamp(order.value(2).toInt(), 1, 3));
    if (order.size() > 3) {
        window_.parts_.practice->replay(order[3].split(u'+'), order.value(4));
    }
}

void Showing::drag(const QStringList& order) {
    FrontView* front = window_.parts_.front;
    const auto from = front->placeOf(order.value(1).toStdString());
    if (!from) {
        return;
    }
    const double pixels = front->pixelsForMetre() / 1e3;
    const QPointF to =
        *from + QPointF(order.value(2).toDouble() * pixels, -order.value(3).toDouble() * pixels);
    const auto send = [&](QEvent::Type type, const QPointF& at, Qt::MouseButton button) {
        QMouseEvent event(type, at, front->mapToGlobal(at), button, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(front, &event);
    };
    send(QEvent::MouseButtonPress, *from, Qt::LeftButton);
    send(QEvent::MouseMove, to, Qt::NoButton);
}

bool Showing::show(const QString& what) {
    if (showFrame(what)) {
        return true;
    }
    const QStringList order = what.split(u':');
    const QString& kind = order.front();
    if (kind == QLatin1String("finding")) {
        window_.parts_.findings->unfold(order.value(1));
    } else if (kind == QLatin1String("practise")) {
        practise(order);
    } else if (kind == QLatin1String("drag")) {
        drag(order);
    } else if (kind == QLatin1String("wait")) {
        QElapsedTimer waited;
        waited.start();
        while (waited.elapsed() < order.value(1).toInt()) {
            QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents, 20);
        }
    } else if (const bool known = std::ranges::any_of(
                   window_.parts_.stages, [&](const Stage* stage) { return stage->id() == kind; });
               known) {
        const auto place = Place::read(what);
        return place && window_.go(*place);
    } else {
        return false;
    }
    return true;
}

} // namespace yf::app
