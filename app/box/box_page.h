// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_pictures.h"

#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QPushButton;
class QSpinBox;
class QStackedWidget;
class QToolButton;

namespace yf::app {

class Cutaway;
class Notice;
class Plot;
class QuantityField;

/// The section with its curves, and under them what shapes the box: hands move wood and port, all
/// pictures follow in the same frame.
class BoxPage final : public QWidget {
    Q_OBJECT

public:
    explicit BoxPage(QWidget* parent = nullptr);

    void display(const BoxSight& box);

    void showCurve(BoxCurve curve);

Q_SIGNALS:
    void edited(const yf::job::Edit& edit);
    void gestureEnded();

private:
    void buildFields();
    void buildRadiator(const std::function<QWidget*(const QString&, QWidget*, int)>& labelled);
    void connectPort();
    void showPort();
    void showFields(const BoxSight& box);
    [[nodiscard]] std::size_t port() const;
    void buildMotion();
    void follow(double f);
    void change(const std::function<void(job::Enclosure&)>& how, const QString& key);
    void tune(double fb);
    void swap();
    void tellSwap();
    [[nodiscard]] job::PortIn swapped() const;
    [[nodiscard]] const job::BoxResult* result() const;

    std::string cabinet_;
    job::Enclosure enclosure_;
    std::shared_ptr<const Evaluated> evaluated_;
    double frequency_{40.0};
    bool filling_{};

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
    QWidget* portFields_{};
    QuantityField* diameter_{};
    QuantityField* length_{};
    QuantityField* flare_{};
    QSpinBox* count_{};
    QComboBox* side_{};
    QCheckBox* bent_{};
    QuantityField* tuning_{};
    QuantityField* drive_{};
    QuantityField* power_{};
    QComboBox* which_{}; ///< of several ports
    QToolButton* another_{};
    QToolButton* fewer_{};
    QComboBox* shape_{};
    QuantityField* slotWidth_{};
    QuantityField* slotHeight_{};
    QuantityField* portPlace_{};
    QuantityField* share_{};
    QVector<QuantityField*> radiator_; ///< Sd, fs, Vas, Qms, added mass, Xmax
    QSpinBox* radiators_{};
    QComboBox* fill_{};
    QuantityField* newDiameter_{};
    QuantityField* newFlare_{};
    QLabel* newLength_{};
    QPushButton* swap_{};
};

} // namespace yf::app
