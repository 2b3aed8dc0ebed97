// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/align/angle_view.h"
#include "app/align/helps_page.h"
#include "app/stage/stage.h"
#include "core/study/align.h"
#include "core/study/arrival.h"

#include <QList>

class QCheckBox;
class QComboBox;
class QLabel;
class QPushButton;
class QToolButton;

namespace yf::app {

class ArrivalView;
class DialView;
class Plot;
class QuantityField;

/// Whether the drivers pull together: dial and phase tracking of each pair of neighbours, what the
/// listener hears who moves, arrival by three methods, and what would help.
class AlignStage final : public Stage {
    Q_OBJECT

public:
    explicit AlignStage(QWidget* parent = nullptr);

    [[nodiscard]] QString id() const override { return QStringLiteral("align"); }

    [[nodiscard]] QString title() const override { return tr("Align"); }

    [[nodiscard]] int place() const override { return 6; }

    [[nodiscard]] QString state(const Sight& sight) const override;

    [[nodiscard]] bool followsDriver() const override { return true; }

    [[nodiscard]] bool movesDrivers() const override { return true; }

    [[nodiscard]] bool working() const override { return helps_->working(); }

    void display(const Sight& sight) override;
    bool go(const Place& place) override;

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    enum Page { dialPage, anglesPage, arrivalPage, helpsPage };

    [[nodiscard]] QWidget* makeDialPage();
    [[nodiscard]] QWidget* makeAnglesPage();
    [[nodiscard]] QWidget* makeArrivalPage();
    void offerTakes(const std::vector<study::ArrivalStudy>& all);
    void connectAll();
    void showPage(int page);
    void choosePair(int pair);
    void offerPairs();
    void displayResponse(const Sight& sight);
    void displayTracking(const Sight& sight);
    void displayDial();
    void displayFigures(const Sight& sight);
    void displayAngles(const Sight& sight);
    void displayArrival(const Sight& sight);
    void changeSeat(const std::function<void(job::Seat&)>& change, const char* key);
    [[nodiscard]] const evaluation::Neighbourhood* pair() const;
    [[nodiscard]] QString nameOf(std::size_t way) const;
    [[nodiscard]] edit::Edit flip(std::size_t way) const;

    std::optional<Sight> sight_;
    std::string cabinet_;
    std::vector<evaluation::Neighbourhood> pairs_;
    std::optional<evaluation::WiringTold> wiring_;
    int pair_{};
    int page_{};

    Plot* response_{};
    Plot* tracking_{};
    DialView* dial_{};
    QList<QToolButton*> tabs_;
    QWidget* pairChips_{};
    QList<QToolButton*> pairTabs_;
    QWidget* dialBox_{};
    QLabel* figures_{};
    QLabel* wiringSaid_{};
    QPushButton* drawAsWired_{};
    QPushButton* flipLower_{};
    QPushButton* flipUpper_{};
    QWidget* anglesBox_{};
    AngleView* angles_{};
    QComboBox* plane_{};
    QuantityField* distance_{};
    QuantityField* axis_{};
    QuantityField* stand_{};
    QuantityField* sitting_{};
    QuantityField* standing_{};
    QComboBox* edge_{};
    QuantityField* edgeSize_{};
    QComboBox* front_{}; ///< see Effect
    QComboBox* floor_{};
    QLabel* anglesSaid_{};
    QWidget* arrivalBox_{};
    ArrivalView* arrivals_{};
    QWidget* wantedTakes_{};
    std::vector<study::TakeWanted> offered_; ///< what its buttons record
    QLabel* arrival_{};
    HelpsPage* helps_{};
};

} // namespace yf::app
