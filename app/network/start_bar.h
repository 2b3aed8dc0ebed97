// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/edit.h"
#include "core/job/usable_band.h"

#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QPushButton;
class QToolButton;

namespace yf::app {

class QuantityField;

/// The start from the book: order, alignment, crossover frequency, flattening, pad. While a choice
/// is being changed the whole stage shows what it would give; it becomes the network when taken.
class StartBar final : public QWidget {
    Q_OBJECT

public:
    explicit StartBar(QWidget* parent = nullptr);

    [[nodiscard]] job::Start start() const;

    /// What the values are computed for ("into 8.6 and 5.4 Ω"), or why there are none.
    void tellLoads(const QString& loads);

    /// Where both drivers work well; a click takes its middle. Absent: nothing to offer, `why` says
    /// why.
    void offerBand(const std::optional<job::JoinBand>& band, const QString& why);

    [[nodiscard]] bool proposing() const { return proposing_; }

    /// Back to showing the present.
    void endProposal();

Q_SIGNALS:
    void proposed(const yf::job::Start& start);
    void taken(const yf::job::Start& start);
    void left();

private:
    void propose();

    bool proposing_{};
    QComboBox* order_{};
    QComboBox* alignment_{};
    QuantityField* fx_{};
    QCheckBox* flatten_{};
    QCheckBox* pad_{};
    QPushButton* take_{};
    QPushButton* leave_{};
    QLabel* loads_{};
    QToolButton* offer_{};
    double offered_{};
};

} // namespace yf::app
