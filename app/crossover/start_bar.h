// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/usable_band.h"
#include "core/study/start.h"

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

    [[nodiscard]] study::Start start() const;

    /// What the values are computed for ("into 8.6 and 5.4 Ω"), or why there are none.
    void tellLoads(const QString& loads);

    /// One frequency for each pair of so many ways.
    void setWays(int ways);

    /// Where neighbours both work well; a click takes the middles. Absent: nothing to offer there,
    /// `why` says why.
    void offerBands(const std::vector<std::optional<evaluation::JoinBand>>& bands,
                    const QString& why);

    [[nodiscard]] bool proposing() const { return proposing_; }

    /// Back to showing the present.
    void endProposal();

Q_SIGNALS:
    void proposed(const yf::study::Start& start);
    void taken(const yf::study::Start& start);
    void left();

private:
    void propose();
    void offerPlans();
    void tellPlan();

    bool proposing_{};
    QComboBox* order_{};
    QComboBox* alignment_{};
    QComboBox* join_{};
    QuantityField* addFrequency(int pair);

    QVector<QuantityField*> fx_; ///< from the lowest pair up
    int ways_{2};
    QCheckBox* flatten_{};
    QCheckBox* pad_{};
    QPushButton* take_{};
    QPushButton* leave_{};
    QLabel* loads_{};
    QToolButton* offer_{};
    std::vector<std::optional<evaluation::JoinBand>> offered_;
};

} // namespace yf::app
