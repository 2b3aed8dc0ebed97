// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/start_page.h"

#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace yf::app {

StartPage::StartPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("start_page"));
    auto* title = new QLabel(tr("No job is open"), this);
    QFont big = font();
    big.setPointSizeF(18.0);
    big.setWeight(QFont::DemiBold);
    title->setFont(big);
    auto* words =
        new QLabel(tr("A job is one piece of work: a speaker's cabinet, its drivers with their "
                      "measured curves, and its network.\n"
                      "The demo is a two-way whose tweeter level is still one resistor off."),
                   this);
    words->setWordWrap(true);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(48, 48, 48, 48);
    column->setSpacing(12);
    column->addStretch(1);
    column->addWidget(title);
    column->addWidget(words);
    const auto button = [&](const QString& text, const QString& name, void (StartPage::*signal)()) {
        auto* made = new QPushButton(text, this);
        made->setObjectName(name);
        connect(made, &QPushButton::clicked, this, signal);
        column->addWidget(made, 0, Qt::AlignLeft);
        return made;
    };
    button(tr("Open the demo"), QStringLiteral("start_demo"), &StartPage::demoWanted)
        ->setProperty("main", true);
    button(tr("New two-way …"), QStringLiteral("start_new"), &StartPage::newWanted);
    button(tr("Open a job …"), QStringLiteral("start_open"), &StartPage::openWanted);
    column->addStretch(2);
}

} // namespace yf::app
