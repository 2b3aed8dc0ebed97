// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/ladder_edit.h"

#include <QAbstractButton>

namespace yf::app {

/// A place on the rail where a part can be put.
class InsertButton final : public QAbstractButton {
    Q_OBJECT

public:
    InsertButton(const network::SlotPlace& place, QWidget* parent);

    [[nodiscard]] const network::SlotPlace& place() const { return place_; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    network::SlotPlace place_;
};

} // namespace yf::app
