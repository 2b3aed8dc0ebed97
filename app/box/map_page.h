// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_words.h"
#include "app/box/map_view.h"
#include "app/widgets/aside.h"

class QCheckBox;
class QComboBox;
class QLabel;

namespace yf::app {

class QuantityField;

/// The map with its wishes. Ten thousand boxes are computed aside, the newest question first, so
/// that the map follows a hand without holding it up.
class MapPage final : public QWidget {
    Q_OBJECT

public:
    explicit MapPage(QWidget* parent = nullptr);

    void display(const BoxSight& box);

    [[nodiscard]] bool busy() const { return aside_.running(); }

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void gestureEnded();

private:
    void ask(const box::MapOrder& order);
    void arrived(const std::shared_ptr<const box::BoxMap>& map);
    void draw();
    void tell(double Vb, double fb);
    void wish(const std::function<void(job::BoxWishes&)>& how);

    std::string cabinet_;
    job::Enclosure enclosure_;
    MapView::Shown shown_;
    box::MapOrder order_;
    bool filling_{};
    MapView* view_{};
    QComboBox* shade_{};
    QCheckBox* keep_{};
    QLabel* told_{};
    QLabel* verdict_{};
    QuantityField* f3_{};
    QuantityField* peak_{};
    QuantityField* delay_{};
    QuantityField* level_{};
    QuantityField* speed_{};
    Aside aside_;
};

} // namespace yf::app
