// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/intake/photo_strip.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QToolButton>

namespace yf::app {

namespace {

constexpr int small = 84; // px

QPixmap pictureOf(const job::Photo& photo) {
    QPixmap picture;
    if (photo.bytes) {
        picture.loadFromData(reinterpret_cast<const uchar*>(photo.bytes->data()),
                             static_cast<uint>(photo.bytes->size()));
    }
    return picture;
}

} // namespace

PhotoView::PhotoView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("photo_view"));
    setAutoFillBackground(true);
    note_ = new QLineEdit(this);
    note_->setObjectName(QStringLiteral("photo_note"));
    note_->setAccessibleName(tr("What the picture shows"));
    note_->setPlaceholderText(tr("what it shows"));
    auto* remove = new QPushButton(tr("Remove"), this);
    remove->setObjectName(QStringLiteral("photo_remove"));
    auto* shut = new QPushButton(tr("Back"), this);
    shut->setObjectName(QStringLiteral("photo_back"));
    auto* row = new QHBoxLayout;
    row->addWidget(note_, 1);
    row->addWidget(remove);
    row->addWidget(shut);
    auto* column = new QVBoxLayout(this);
    column->addStretch(1);
    column->addLayout(row);
    connect(note_, &QLineEdit::editingFinished, this, [this] {
        if (note_->isModified()) {
            note_->setModified(false);
            Q_EMIT captioned(id_, note_->text());
        }
    });
    connect(remove, &QPushButton::clicked, this, [this] {
        hide();
        Q_EMIT removeWanted(id_);
    });
    connect(shut, &QPushButton::clicked, this, &QWidget::hide);
    hide();
}

void PhotoView::open(const job::Photo& photo) {
    id_ = words(photo.id);
    picture_ = pictureOf(photo);
    note_->setText(words(photo.note));
    note_->setModified(false);
    setGeometry(parentWidget()->rect());
    show();
    raise();
    note_->setFocus();
    update();
}

void PhotoView::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    const QRect room = rect().adjusted(12, 12, -12, -52);
    if (picture_.isNull()) {
        painter.setPen(theme().ink);
        painter.drawText(room, Qt::AlignCenter, tr("This picture cannot be shown."));
        return;
    }
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    const QSize size = picture_.size().scaled(room.size(), Qt::KeepAspectRatio);
    painter.drawPixmap(QRect(room.center() - QPoint(size.width() / 2, size.height() / 2), size),
                       picture_);
}

void PhotoView::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) {
        hide();
        return;
    }
    QWidget::keyPressEvent(event);
}

PhotoStrip::PhotoStrip(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("photo_strip"));
    auto* inner = new QWidget(this);
    row_ = new QHBoxLayout(inner);
    row_->setContentsMargins(0, 0, 0, 0);
    row_->setSpacing(6);
    auto* add = new QPushButton(tr("Add pictures …"), inner);
    add->setObjectName(QStringLiteral("photo_add"));
    connect(add, &QPushButton::clicked, this, &PhotoStrip::addWanted);
    none_ = new QLabel(tr("none yet; drop them here"), inner);
    row_->addWidget(add);
    row_->addWidget(none_);
    row_->addStretch(1);
    auto* scroll = new QScrollArea(this);
    scroll->setWidget(inner);
    scroll->setWidgetResizable(true);
    scroll->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll_ = scroll;
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(scroll);
}

void PhotoStrip::display(const std::vector<job::Photo>& photos) {
    none_->setVisible(photos.empty());
    constexpr int bar = 22;
    scroll_->setHorizontalScrollBarPolicy(photos.empty() ? Qt::ScrollBarAlwaysOff
                                                         : Qt::ScrollBarAsNeeded);
    scroll_->setFixedHeight((photos.empty() ? 36 : small) + bar);
    if (photos == shown_) {
        return;
    }
    shown_ = photos;
    qDeleteAll(findChildren<QToolButton*>());
    int at = 0;
    for (const job::Photo& photo : photos) {
        auto* button = new QToolButton(this);
        button->setObjectName(words(photo.id));
        button->setIcon(
            pictureOf(photo).scaled(small, small, Qt::KeepAspectRatio, Qt::SmoothTransformation));
        button->setIconSize({small, small});
        const QString said = words(photo.note.empty() ? photo.name : photo.note);
        button->setToolTip(said);
        button->setAccessibleName(tr("Picture: %1").arg(said));
        connect(button, &QToolButton::clicked, this, [this, id = words(photo.id)] {
            Q_EMIT opened(id);
        });
        row_->insertWidget(at++, button);
    }
}

} // namespace yf::app
