// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_pictures.h"

#include <QWidget>

class QComboBox;
class QSpinBox;

namespace yf::app {

class PortFields;
class QuantityField;

/// What shapes a box by numbers: drive, filling, chambers, ports and radiators, in one flowing row.
class BoxFields final : public QWidget {
    Q_OBJECT

public:
    explicit BoxFields(QWidget* parent = nullptr);

    /// `first`: another box than before.
    void display(const BoxSight& box, bool first);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void gestureEnded();
    void problemChanged(const QString& problem);

private:
    void buildRadiator(QLayout* row);
    void change(const std::function<void(job::Enclosure&)>& how, const QString& key);
    [[nodiscard]] const evaluation::BoxResult* result() const;

    std::string cabinet_;
    job::Enclosure enclosure_;
    std::shared_ptr<const Evaluated> evaluated_;
    bool filling_{};

    QuantityField* drive_{};
    QuantityField* power_{};
    QComboBox* fill_{};
    QuantityField* share_{};
    PortFields* ports_{};
    QVector<QuantityField*> radiator_; ///< Sd, fs, Vas, Qms, added mass
    QSpinBox* radiators_{};
};

} // namespace yf::app
