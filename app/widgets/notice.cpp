// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/notice.h"

#include "app/theme/theme.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>

namespace yf::app {

namespace {

/// Shape and colour: never colour alone.
QString markOf(Gravity gravity) {
    static constexpr char16_t marks[] = {u'✓', u'●', u'▲', u'■'};
    return QString(QChar(marks[static_cast<std::size_t>(gravity)]));
}

QColor colourOf(Gravity gravity) {
    const Theme& t = theme();
    const QColor colours[] = {t.good, t.ink, t.mind, t.stop};
    return colours[static_cast<std::size_t>(gravity)];
}

} // namespace

Notice::Notice(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("notice"));
    setVisible(false);
    mark_ = new QLabel(this);
    text_ = new QLabel(this);
    text_->setObjectName(QStringLiteral("notice_text"));
    text_->setTextFormat(Qt::PlainText);
    text_->setWordWrap(true);
    text_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    action_ = new QToolButton(this);
    action_->setObjectName(QStringLiteral("notice_action"));
    action_->setProperty("main", true);
    action_->setVisible(false);
    connect(action_, &QToolButton::clicked, this, [this] {
        if (const auto act = act_) {
            act();
        }
    });
    auto* close = new QToolButton(this);
    close->setText(tr("Close"));
    close->setObjectName(QStringLiteral("notice_close"));
    connect(close, &QToolButton::clicked, this, &Notice::clear);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(12, 3, 8, 3);
    row->addWidget(mark_);
    row->addWidget(text_, 1);
    row->addWidget(action_);
    row->addWidget(close);
}

void Notice::tell(Gravity gravity, const QString& text) {
    QPalette p = mark_->palette();
    p.setColor(QPalette::WindowText, colourOf(gravity));
    mark_->setPalette(p);
    mark_->setText(markOf(gravity));
    text_->setText(text);
    action_->setVisible(false);
    act_ = {};
    setAccessibleName(text);
    setVisible(true);
}

void Notice::offer(Gravity gravity,
                   const QString& text,
                   const QString& action,
                   std::function<void()> act) {
    tell(gravity, text);
    act_ = std::move(act);
    action_->setText(action);
    action_->setVisible(true);
}

void Notice::clear() {
    text_->clear();
    setVisible(false);
}

QString Notice::text() const {
    return isHidden() ? QString{} : mark_->text() + u' ' + text_->text();
}

} // namespace yf::app
