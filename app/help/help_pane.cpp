// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/help/help_pane.h"

#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QTextBrowser>
#include <QToolButton>
#include <QUrl>
#include <QVBoxLayout>

namespace yf::app {

namespace {

constexpr int paneWidth = 340;

QString fileOf(const QString& page) {
    return QStringLiteral(":/guide/%1.md").arg(page);
}

} // namespace

HelpPane::HelpPane(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("help"));
    setFixedWidth(paneWidth);
    setVisible(false);
    auto* title = new QLabel(tr("Guide"), this);
    QFont bold = font();
    bold.setWeight(QFont::DemiBold);
    title->setFont(bold);
    const auto button = [this](const QString& text, const QString& name, const QString& says) {
        auto* made = new QToolButton(this);
        made->setText(text);
        made->setObjectName(name);
        made->setAccessibleName(says);
        return made;
    };
    QToolButton* index =
        button(tr("All pages"), QStringLiteral("help_index"), tr("All pages of the guide"));
    QToolButton* close = button(tr("Close"), QStringLiteral("help_close"), tr("Close the guide"));
    connect(index, &QToolButton::clicked, this, [this] { open(QStringLiteral("index")); });
    connect(close, &QToolButton::clicked, this, [this] {
        hide();
        Q_EMIT shut();
    });
    text_ = new QTextBrowser(this);
    text_->setObjectName(QStringLiteral("help_text"));
    text_->setAccessibleName(tr("Page of the guide"));
    text_->setOpenLinks(false); // pages are opened here, nothing ever goes to the network
    connect(text_, &QTextBrowser::anchorClicked, this, [this](const QUrl& link) {
        open(QFileInfo(link.path()).completeBaseName());
    });
    auto* head = new QHBoxLayout;
    head->addWidget(title, 1);
    head->addWidget(index);
    head->addWidget(close);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(8, 4, 8, 4);
    column->addLayout(head);
    column->addWidget(text_, 1);
}

void HelpPane::open(const QString& page) {
    QFile file(fileOf(page));
    page_ = file.exists() ? page : QStringLiteral("index");
    QFile shown(fileOf(page_));
    if (shown.open(QIODevice::ReadOnly)) {
        text_->setMarkdown(QString::fromUtf8(shown.readAll()));
    }
    setVisible(true);
}

QString HelpPane::pageFor(const QWidget* widget) {
    for (; widget != nullptr; widget = widget->parentWidget()) {
        if (const QVariant page = widget->property("help"); page.isValid()) {
            return page.toString();
        }
    }
    return QStringLiteral("index");
}

} // namespace yf::app
