// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/take/merge.h"

class QCheckBox;
class QComboBox;
class QLabel;
class QPushButton;
class QSpinBox;

namespace yf::app {

class Plot;
struct Picture;
class QuantityField;

/// Near field of cone and port joined to the far response, with what a ruler has to say, and kept
/// as a take of its own.
class MergePage final : public QWidget {
    Q_OBJECT

public:
    explicit MergePage(QWidget* parent = nullptr);

    void display(const Sight& sight);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);

private:
    void fill(QComboBox* box, job::MicPlace place);
    void again();
    [[nodiscard]] take::MergeOrder order(double guessedSd) const;
    void draw(Picture& picture, const job::Driver& driver) const;
    [[nodiscard]] QString wordsAbout(const take::MergedTake& made, bool ported) const;

    Sight sight_;
    std::optional<take::MergedTake> made_;
    bool filling_{};
    QComboBox* near_{};
    QComboBox* far_{};
    QComboBox* port_{};
    QuantityField* area_{};
    QSpinBox* cones_{};
    QuantityField* portDiameter_{};
    QSpinBox* ports_{};
    QuantityField* portDistance_{};
    QCheckBox* baffle_{};
    QuantityField* splice_{};
    QComboBox* match_{};
    QLabel* told_{};
    QPushButton* keep_{};
    Plot* plot_{};
};

} // namespace yf::app
