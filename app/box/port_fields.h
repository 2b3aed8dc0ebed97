// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_pictures.h"

#include <QObject>
#include <QStringList>

class QCheckBox;
class QComboBox;
class QLabel;
class QLayout;
class QPushButton;
class QSpinBox;
class QToolButton;
class QWidget;

namespace yf::app {

class QuantityField;

/// The ports of a box by their sizes, and another tube in place of the one there is. It puts its
/// fields into a row that is its owner's.
class PortFields final : public QObject {
    Q_OBJECT

public:
    PortFields(QWidget* parent, QLayout* row);

    void
    display(const BoxSight& box, const std::shared_ptr<const Evaluated>& evaluated, bool first);

Q_SIGNALS:
    void changed(const std::function<void(yf::job::Enclosure&)>& how, const QString& key);
    void swapped(const yf::job::PortIn& made);
    void problemChanged(const QString& problem);

private:
    void build(QWidget* parent);
    void place(QLayout* row);
    void connectPort();
    void connectList();
    void show();
    void changePort(const std::function<void(job::PortIn&)>& how, const char* key);
    [[nodiscard]] std::size_t port() const;
    void tune(double fb);
    void tellSwap();
    [[nodiscard]] job::PortIn made() const;

    std::string cabinet_;
    job::Enclosure enclosure_;
    std::shared_ptr<const Evaluated> evaluated_;
    QStringList names_;
    bool filling_{};

    QComboBox* which_{}; ///< of several ports
    QToolButton* another_{};
    QToolButton* fewer_{};
    QComboBox* shape_{};
    QuantityField* diameter_{};
    QuantityField* slotWidth_{};
    QuantityField* slotHeight_{};
    QuantityField* length_{};
    QuantityField* tuning_{};
    QuantityField* flare_{};
    QSpinBox* count_{};
    QComboBox* side_{};
    QuantityField* place_{};
    QCheckBox* bent_{};
    QuantityField* newDiameter_{};
    QuantityField* newFlare_{};
    QLabel* newLength_{};
    QPushButton* swap_{};
};

} // namespace yf::app
