// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/evaluation/box_state.h"

class QComboBox;
class QLabel;
class QPushButton;
class QStackedWidget;
class QToolButton;

namespace yf::app {

class BoxPage;
class ChoosePage;
class MapPage;
class ReadPage;
class ReplacePage;
class WoodPage;

/// What the cabinet does: its section moving beside its curves, which kind suits, the map of all
/// boxes, the wood, reading an existing box back, another driver in it.
class BoxStage final : public Stage {
    Q_OBJECT

public:
    explicit BoxStage(QWidget* parent = nullptr);

    [[nodiscard]] QString id() const override { return QStringLiteral("box"); }

    [[nodiscard]] QString title() const override { return tr("Box"); }

    [[nodiscard]] int place() const override { return 4; }

    [[nodiscard]] QString state(const Sight& sight) const override;

    [[nodiscard]] bool followsDriver() const override { return true; }

    [[nodiscard]] bool working() const override;
    void display(const Sight& sight) override;

    /// A page's id; "curve:3" chooses the second picture, "kind:4" makes it another box.
    bool go(const Place& place) override;

private:
    void showPage(int page);
    void showBox();
    void buildEmpty();
    void beginBox(const std::string& driver, box::Kind kind);
    [[nodiscard]] const job::Enclosure* enclosure(const Sight& sight) const;

    Sight sight_;
    QComboBox* kind_{};
    QVector<QToolButton*> tabs_;
    QStackedWidget* pages_{};
    QWidget* empty_{};
    QLabel* emptyText_{};
    BoxPage* box_{};
    ChoosePage* choose_{};
    MapPage* map_{};
    WoodPage* wood_{};
    ReadPage* read_{};
    ReplacePage* replace_{};
    int page_{};
};

} // namespace yf::app
