// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "app/widgets/aside.h"
#include "core/study/tune.h"

#include <mutex>

class QCheckBox;
class QComboBox;
class QLabel;
class QPushButton;

namespace yf::app {

class QuantityField;

/// Has the machine find values: what may change, the amplifier's floor, which values can be bought.
/// It runs aside; the best so far is drawn as it comes and becomes the network only when taken.
class TuneBar final : public QWidget {
    Q_OBJECT

public:
    explicit TuneBar(QWidget* parent = nullptr);

    /// What there is to tune. Another network than the one in work ends the search.
    void display(const Sight& sight);

    /// Starts the search, as its button does.
    void begin();

    [[nodiscard]] bool running() const { return aside_.running(); }

    /// A result is being shown that is not the network yet.
    [[nodiscard]] bool proposing() const { return best_.has_value(); }

Q_SIGNALS:
    void previewed(const yf::edit::Edit& edit);
    void previewEnded();
    void taken(const yf::edit::Edit& edit);
    void workChanged();

private:
    void cancel();
    void leave();
    void showBest();
    void finished();
    void tell(const QString& words);
    void enable();
    [[nodiscard]] study::TuneWish wish() const;
    [[nodiscard]] QString leftOutWords(const study::Tuned& tuned) const;

    /// What the search has found so far; both threads.
    struct Shared {
        std::mutex mutex;
        study::TuneProgress progress;
        std::optional<study::Tuned> tuned;
        QString problem;
    };

    std::shared_ptr<const Evaluated> evaluated_;
    std::string cabinet_;
    network::Circuit began_; ///< the network that is being tuned
    std::optional<network::Circuit> best_;
    std::vector<tune::Spared> leftOut_; ///< of `best_`
    bool wanted_{};                     ///< asked for before there was anything to tune
    std::shared_ptr<Shared> shared_;
    Aside aside_; ///< last of those that its thread uses: ends before them

    QuantityField* floor_{};
    QComboBox* values_{};
    QComboBox* changes_{};
    QComboBox* slopes_{};
    QComboBox* sparing_{};
    QuantityField* mayCost_{};
    QCheckBox* besides_{};
    QCheckBox* inStep_{};
    QCheckBox* robust_{};
    QCheckBox* filters_{};
    QPushButton* start_{};
    QPushButton* take_{};
    QPushButton* leave_{};
    QLabel* told_{};
};

} // namespace yf::app
