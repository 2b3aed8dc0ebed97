// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/theme/theme.h"

#include <QVector>
#include <QWidget>

namespace yf::app {

/// The head of a plot: its title, where the crosshair stands, and for each curve a sample of its
/// line, its name and its value there. Legend and reading in one row; it breaks into more rows
/// where it has to.
class Readings final : public QWidget {
    Q_OBJECT

public:
    struct Entry {
        QString id;
        QString label;
        QString value;
        Stroke stroke;
    };

    explicit Readings(QString title, QWidget* parent = nullptr);

    void display(const QString& where, const QVector<Entry>& entries);

    [[nodiscard]] QString valueOf(const QString& id) const;

    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] int heightForWidth(int width) const override;

    [[nodiscard]] bool hasHeightForWidth() const override { return true; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    struct Cell {
        QRect rect;
        int entry{};
    };

    [[nodiscard]] QVector<Cell> cells(int width) const;
    [[nodiscard]] int rows(int width) const;

    QString title_;
    QString where_;
    QVector<Entry> entries_;
};

} // namespace yf::app
