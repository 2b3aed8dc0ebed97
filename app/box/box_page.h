// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_pictures.h"

#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QStackedWidget;
class QToolButton;

namespace yf::app {

class BoxFields;
class Cutaway;
class Notice;
class Plot;

/// The section with its curves, and under them what shapes the box: hands move wood and port, all
/// pictures follow in the same frame.
class BoxPage final : public QWidget {
    Q_OBJECT

public:
    explicit BoxPage(QWidget* parent = nullptr);

    void display(const BoxSight& box);

    void showCurve(BoxCurve curve);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void gestureEnded();

private:
    void buildMotion();
    void follow(double f);
    [[nodiscard]] const evaluation::BoxResult* result() const;

    std::string cabinet_;
    job::Enclosure enclosure_;
    std::shared_ptr<const Evaluated> evaluated_;
    double frequency_{40.0};

    Cutaway* cutaway_{};
    Plot* response_{};
    QVector<Plot*> seconds_; ///< one for each BoxCurve
    QStackedWidget* pile_{};
    BoxCurve curve_{BoxCurve::travel};
    QComboBox* curves_{};
    QLabel* sentence_{};
    QLabel* volumes_{};
    QLabel* summary_{};
    QLabel* doubt_{};
    Notice* notice_{};
    QToolButton* play_{};
    QCheckBox* slow_{};
    BoxFields* fields_{};
};

} // namespace yf::app
