// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/theme/theme.h"

#include <QVector>
#include <QWidget>

namespace yf::app {

/// The head of a plot: its title, where the crosshair stands, and for each curve a sample of its
/// line, its name and its value there. Legend and reading in one row; it breaks into more rows
/// where it has to. Pinned readings follow, a row each. A click on a curve asks to hide or show
/// it, a double click to show it alone.
class Readings final : public QWidget {
    Q_OBJECT

public:
    struct Entry {
        QString id;
        QString label;
        QString value;
        Stroke stroke;
        bool hidden{};
    };

    explicit Readings(QString title, QWidget* parent = nullptr);

    /// `pins`: a line of text for each pinned reading.
    void display(const QString& where, const QVector<Entry>& entries, const QStringList& pins);

    [[nodiscard]] QString valueOf(const QString& id) const;

    /// Middle of a curve's name, for tests.
    [[nodiscard]] QPoint placeOf(const QString& id) const;

    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] int heightForWidth(int width) const override;

    [[nodiscard]] bool hasHeightForWidth() const override { return true; }

    /// For a picture that leaves the application.
    void paintOn(QPainter& painter, int width) const;

Q_SIGNALS:
    void toggled(const QString& id);
    void isolated(const QString& id);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void changeEvent(QEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;

private:
    struct Cell {
        QRect rect;
        int entry{};
    };

    [[nodiscard]] QVector<Cell> cells(int width) const;
    [[nodiscard]] int rows(int width) const;
    [[nodiscard]] const Entry* entryAt(const QPoint& point) const;
    void measure();

    QString title_;
    QString where_;
    QVector<Entry> entries_;
    QStringList pins_;

    // Widths of texts, measured when they change: a layout asks for them many times.
    int titleWidth_{};
    int whereWidth_{};
    int valueWidth_{};
    QVector<int> labelWidths_;
};

} // namespace yf::app
