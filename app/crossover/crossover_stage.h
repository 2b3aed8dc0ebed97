// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/band_strip.h"
#include "app/stage/stage.h"
#include "app/widgets/aside.h"
#include "core/study/start.h"

class QCheckBox;
class QComboBox;
class QLabel;
class QScrollArea;

class QToolButton;

namespace yf::app {

class FindPage;
class LanesView;
class PartsPage;
class Plot;
class StartBar;
class TuneBar;

/// From drivers to a crossover: the sum against its corridor, each way, the phases and the load,
/// and under them the lanes in which the hand tunes.
class CrossoverStage final : public Stage {
    Q_OBJECT

public:
    explicit CrossoverStage(QWidget* parent = nullptr);

    [[nodiscard]] QString id() const override { return QStringLiteral("network"); }

    [[nodiscard]] QString title() const override { return tr("Network"); }

    [[nodiscard]] int place() const override { return 5; }

    [[nodiscard]] QString state(const Sight& sight) const override;
    [[nodiscard]] bool working() const override;
    void display(const Sight& sight) override;
    bool go(const Place& place) override;

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    void shareRoom();
    void connectLanes();
    void connectStart();
    void connectTune();
    void connectFind();
    void connectParts();
    void offerStates(const Sight& sight);
    void buildLanes();
    void showPage(int page);
    void tellLoads(const Sight& sight);
    void askLoads(const Sight& sight);
    void showLoads();
    void tellReach();
    void tellAmplifiers(const network::Circuit& circuit);

    std::string cabinet_;
    Plot* response_{};
    Plot* phase_{};
    Plot* impedance_{};
    StartBar* start_{};
    TuneBar* tune_{};
    FindPage* find_{};
    PartsPage* parts_{};
    QComboBox* also_{};
    int page_{};
    QWidget* lanesPage_{};
    QList<QToolButton*> tabs_;
    BandBars bands_;
    LanesView* lanes_{};
    QScrollArea* scroll_{};
    QComboBox* series_{};
    QCheckBox* ownAmplifiers_{};
    std::optional<network::Lowest> least_;
    QLabel* reach_{};
    std::string chosen_; ///< the part whose reach is told
    std::shared_ptr<const Evaluated> evaluated_;
    std::optional<Sight> lastSight_;

    /// What the book's loads rest on.
    struct LoadsAsked {
        std::shared_ptr<const evaluation::Assembly> curves; ///< compared by place
        std::string cabinet;
        study::Start start;
        std::vector<network::DriverEnd> ends;

        bool operator==(const LoadsAsked&) const = default;
    };

    std::optional<LoadsAsked> asked_;
    std::shared_ptr<std::optional<Result<std::vector<double>>>> loads_;
    Aside loadsAside_;
    Aside reachAside_;
};

} // namespace yf::app
