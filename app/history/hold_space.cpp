// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/history/hold_space.h"

#include <QApplication>
#include <QKeyEvent>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QTextEdit>

namespace yf::app {

namespace {

constexpr int tap = 180; // ms; longer is a hold

bool isText(const QWidget* widget) {
    return qobject_cast<const QLineEdit*>(widget) != nullptr ||
           qobject_cast<const QPlainTextEdit*>(widget) != nullptr;
}

} // namespace

HoldSpace::HoldSpace(QWidget* window) : QObject(window), window_(window) {
    timer_.setSingleShot(true);
    timer_.setInterval(tap);
    connect(&timer_, &QTimer::timeout, this, [this] {
        holding_ = true;
        Q_EMIT held();
    });
    QApplication::instance()->installEventFilter(this);
}

void HoldSpace::giveBack(bool withRelease) {
    if (!pressed_) {
        return;
    }
    passing_ = true;
    QKeyEvent press(QEvent::KeyPress, Qt::Key_Space, Qt::NoModifier, QStringLiteral(" "));
    QApplication::sendEvent(pressed_, &press);
    if (withRelease && pressed_) {
        QKeyEvent release(QEvent::KeyRelease, Qt::Key_Space, Qt::NoModifier, QStringLiteral(" "));
        QApplication::sendEvent(pressed_, &release);
    }
    passing_ = false;
}

bool HoldSpace::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::WindowDeactivate && watched == window_ && holding_) {
        holding_ = false;
        Q_EMIT letGo(); // the release will go to another window
    }
    const bool press = event->type() == QEvent::KeyPress;
    if (passing_ || (!press && event->type() != QEvent::KeyRelease)) {
        return false;
    }
    auto* widget = qobject_cast<QWidget*>(watched);
    const auto* key = static_cast<QKeyEvent*>(event);
    if (widget == nullptr || widget->window() != window_ || key->key() != Qt::Key_Space) {
        return false;
    }
    if (holding_ || timer_.isActive()) {
        if (press || key->isAutoRepeat()) {
            return true;
        }
        if (timer_.isActive()) {
            timer_.stop();
            giveBack(true);
        } else {
            holding_ = false;
            Q_EMIT letGo();
        }
        return true;
    }
    if (!wanted_ || !press || key->isAutoRepeat() || isText(widget) ||
        key->modifiers() != Qt::NoModifier) {
        return false;
    }
    pressed_ = widget;
    timer_.start();
    return true;
}

} // namespace yf::app
