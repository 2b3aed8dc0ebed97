// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "app/widgets/quantity_field.h"

#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace yf::app {

/// Beside the Front while it is being edited: the outline of the cabinet and what is known of the
/// driver chosen, by typing; drivers and cabinets to be added and taken away.
class FrontEditor final : public QWidget {
    Q_OBJECT

public:
    explicit FrontEditor(QWidget* parent = nullptr);

    void display(const Sight& sight);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void gestureEnded();
    void finished();

private:
    QuantityField* length(const quantity::Quantity& quantity, const QString& name);
    void build();
    void change(const edit::Edit& edit);
    void changeOutline();
    void changeDriver();
    void movedByTyping();

    std::string cabinet_;
    std::string driver_;
    bool showing_{}; ///< values are being put in, nobody types
    QLineEdit* cabinetName_{};
    QuantityField* width_{};
    QuantityField* height_{};
    QuantityField* depth_{};
    QuantityField* cabinetNominal_{};
    QLineEdit* driverName_{};
    QComboBox* band_{};
    QComboBox* condition_{};
    QuantityField* diameter_{};
    QuantityField* driverNominal_{};
    QuantityField* x_{};
    QuantityField* y_{};
    QLabel* problem_{};
    QPushButton* addDriver_{};
    QPushButton* removeDriver_{};
    QPushButton* addTwin_{};
    QPushButton* removeCabinet_{};
};

} // namespace yf::app
