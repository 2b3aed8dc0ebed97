// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"

#include <QWidget>

class QToolButton;

namespace yf::app {

/// The stages under the Front, in working order, each with its state.
class Route final : public QWidget {
    Q_OBJECT

public:
    Route(const QVector<Stage*>& stages, QWidget* parent = nullptr);

    void display(const Sight& sight);
    void setCurrent(const Stage* stage);

Q_SIGNALS:
    void chosen(yf::app::Stage* stage);

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    QVector<Stage*> stages_;
    QVector<QToolButton*> buttons_;
};

} // namespace yf::app
