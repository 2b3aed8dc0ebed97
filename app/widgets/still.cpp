// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/still.h"

#include "app/widgets/labels.h"

#include <QAbstractButton>
#include <QEvent>
#include <QLabel>
#include <QResizeEvent>

namespace yf::app {

Still::Still(QWidget* parent, const QString& name)
    : QWidget(parent), label_(wrappedLabel(this, name)) {
    label_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
}

void Still::fit(bool anew) {
    const int wanted = label_->heightForWidth(width());
    if (wanted > reserved_ || (anew && wanted != reserved_)) {
        reserved_ = wanted;
        updateGeometry();
    }
    label_->setGeometry(rect());
}

bool Still::event(QEvent* event) {
    if (event->type() == QEvent::LayoutRequest) {
        fit(false);
        return true;
    }
    return QWidget::event(event);
}

void Still::resizeEvent(QResizeEvent* event) {
    fit(event->oldSize().width() != event->size().width());
}

void Still::showEvent(QShowEvent* /*event*/) {
    fit(false);
}

QLabel* stillLabel(QWidget* parent, const QString& name) {
    return (new Still(parent, name))->label();
}

namespace {

// Of a widget of fixed size no layout is told that its text has changed.
template <class Control>
void say(Control* control, const QString& text) {
    if (control->text() == text) {
        return;
    }
    control->setText(text);
    const QSize wanted = control->sizeHint();
    const bool fresh = control->maximumHeight() == QWIDGETSIZE_MAX;
    if (fresh || wanted.width() > control->maximumWidth()) {
        control->setFixedSize(fresh ? wanted : wanted.expandedTo(control->maximumSize()));
    }
}

} // namespace

void sayStill(QLabel* label, const QString& text) {
    say(label, text);
}

void sayStill(QAbstractButton* button, const QString& text) {
    say(button, text);
}

} // namespace yf::app
