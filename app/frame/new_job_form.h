// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/new_job.h"

#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;

namespace yf::app {

/// What a person says before anything is measured: the cabinet, how many ways, the drivers' names.
/// Beside it the front as it will be.
class NewJobForm final : public QWidget {
    Q_OBJECT

public:
    explicit NewJobForm(QWidget* parent = nullptr);

    [[nodiscard]] edit::NewJob wanted() const;

    void focusFirst();

Q_SIGNALS:
    void made();

private:
    void setWays(int count);
    void update();

    QLineEdit* title_{};
    QLineEdit* cabinet_{};
    QCheckBox* pair_{};
    QComboBox* ways_{};
    QVector<QLineEdit*> names_; ///< from the lowest way up
    QVector<QLabel*> labels_;
    class FrontSketch* sketch_{};
};

} // namespace yf::app
