// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/trace.h"

#include <QWidget>

class QCustomPlot;
class QCPGraph;
class QCPItemLine;
class QCPItemRect;
class QCPItemText;
class QCPItemTracer;
class QLabel;
class QToolButton;

namespace yf::app {

class Readings;

/// What a plot shows decides its house scale, ticks and the form of its readings.
enum class PlotKind { level, phase, impedance };

/// One plot for all: frequency across, a house scale for its kind, corridor, trust, crosshair with
/// readings, a mark. Zoom with the wheel, pan by dragging, back to the house scale with Home, a
/// double click or the button that appears. ←→ move the crosshair, with Ctrl by a third of an
/// octave.
class Plot final : public QWidget {
    Q_OBJECT

public:
    /// `name` is the object's, `title` for people.
    Plot(PlotKind kind, const QString& name, const QString& title, QWidget* parent = nullptr);
    ~Plot() override;

    void display(const Picture& picture);

    /// Puts the crosshair there without telling anyone.
    void setCrosshair(double frequency);

    [[nodiscard]] double crosshair() const { return crosshair_; }

    /// The reading of a trace at the crosshair as shown, "–" beyond its data.
    [[nodiscard]] QString reading(const QString& trace) const;

    /// The curve as drawn, for tests; empty if there is none of that name.
    [[nodiscard]] const Trace* trace(const QString& id) const;

    [[nodiscard]] bool atHouseScale() const;

    void toHouseScale();

Q_SIGNALS:
    void crosshairMoved(double frequency);

protected:
    void changeEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void build();
    void paintTokens();
    void drawTrace(const Trace& trace, int index);
    void setLine(QCPGraph* graph,
                 const Stroke& stroke,
                 QVector<double> frequencies,
                 QVector<double> values);
    void drawAll();
    void drawCorridor();
    void drawMark();
    void readAtCrosshair();
    void moveCrosshair(double frequency);
    void describe();

    PlotKind kind_;
    QString title_;
    Picture picture_;
    double crosshair_{1000.0};
    QCustomPlot* canvas_{};
    Readings* readings_{};
    QToolButton* house_{};
    QLabel* foot_{};
    QVector<QCPGraph*> solid_;
    QVector<QCPGraph*> doubtful_;
    QCPGraph* outside_{};
    QCPItemRect* band_{};
    QCPItemLine* hair_{};
    QCPItemTracer* markPoint_{};
    QCPItemText* markText_{};
    QLabel* emptyText_{};
};

/// Where one goes the others follow.
void linkCrosshairs(const QVector<Plot*>& plots);

} // namespace yf::app
