// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QLayout>
#include <QList>

namespace yf::app {

/// Controls side by side, going on in the next row where the width ends: a bar of controls that
/// works at 1024 pixels and at 200 % scaling.
class FlowLayout final : public QLayout {
public:
    explicit FlowLayout(QWidget* parent) : QLayout(parent) {}

    ~FlowLayout() override;

    void addItem(QLayoutItem* item) override { items_.append(item); }

    [[nodiscard]] int count() const override { return static_cast<int>(items_.size()); }

    [[nodiscard]] QLayoutItem* itemAt(int index) const override { return items_.value(index); }

    QLayoutItem* takeAt(int index) override {
        return index >= 0 && index < items_.size() ? items_.takeAt(index) : nullptr;
    }

    [[nodiscard]] Qt::Orientations expandingDirections() const override { return {}; }

    [[nodiscard]] bool hasHeightForWidth() const override { return true; }

    [[nodiscard]] int heightForWidth(int width) const override {
        return place(QRect(0, 0, width, 0), Move::no);
    }

    void setGeometry(const QRect& rect) override;

    [[nodiscard]] QSize sizeHint() const override { return minimumSize(); }

    [[nodiscard]] QSize minimumSize() const override;

private:
    enum class Move { no, yes };

    /// Height that the rows take.
    [[nodiscard]] int place(const QRect& rect, Move move) const;

    QList<QLayoutItem*> items_;
};

} // namespace yf::app
