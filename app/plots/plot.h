// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/house_scale.h"
#include "app/plots/trace.h"

#include <QImage>
#include <QSet>
#include <QTimer>
#include <QWidget>

#include <array>
#include <functional>
#include <optional>

class QCustomPlot;
class QCPGraph;
class QCPItemLine;
class QCPItemRect;
class QCPItemText;
class QCPItemTracer;
class QCPPainter;
class QLabel;
class QToolButton;

namespace yf::app {

class ElidedLabel;
class Readings;

/// How a picture leaves the application.
enum class PictureFormat { png, svg, pdf, csv };

/// One plot for all: a house scale for its kind, corridor, trust, shades, crosshair with readings,
/// pinned readings, a mark. Its head is the legend: a click hides a curve, a double click isolates
/// it.
///
/// Mouse: zoom with the wheel, pan by dragging, a double click back to the house scale.
/// Keys: ←→ crosshair (Ctrl: a third of an octave, Shift: the picture), + − zoom, Page Up and Down
/// move it up and down, Backspace the view before, Home the house scale, 1…9 hide and show a
/// curve (Shift: isolate), 0 shows all, P pins a reading, Escape takes the pins away.
class Plot final : public QWidget {
    Q_OBJECT

public:
    /// `name` is the object's, `title` for people.
    Plot(PlotKind kind, const QString& name, const QString& title, QWidget* parent = nullptr);
    ~Plot() override;

    void display(const Picture& picture);

    [[nodiscard]] PlotKind kind() const { return kind_; }

    [[nodiscard]] const QString& title() const { return title_; }

    /// Puts the crosshair there without telling anyone.
    void setCrosshair(double at);

    [[nodiscard]] double crosshair() const { return crosshair_; }

    /// The reading of a trace at the crosshair as shown, "–" beyond its data.
    [[nodiscard]] QString reading(const QString& trace) const;

    /// The curve as drawn, for tests; empty if there is none of that name.
    [[nodiscard]] const Trace* trace(const QString& id) const;

    /// Where the axes stand now.
    [[nodiscard]] job::HouseScale scale() const;

    /// The scale sealed in the job, or the built-in one.
    [[nodiscard]] const job::HouseScale& houseScale() const;

    [[nodiscard]] bool atHouseScale() const;

    void toHouseScale();
    void toViewBefore();

    void toggle(const QString& trace);
    void isolate(const QString& trace);
    void showAll();

    [[nodiscard]] bool isHidden(const QString& trace) const { return hidden_.contains(trace); }

    void pinReading();
    void clearPins();

    [[nodiscard]] const QVector<double>& pins() const { return pins_; }

    /// Picture and figures to the clipboard, at the house scale.
    void copy();

    /// At the house scale, with head and foot. False where the file cannot be written.
    [[nodiscard]] bool save(const QString& path, PictureFormat format);

    /// The curves shown as a table, one column of values for each.
    [[nodiscard]] QString csv() const;

    /// Scale, gate, smoothing, drive, distance, date as printed under the picture.
    [[nodiscard]] QString footText() const;

Q_SIGNALS:
    void crosshairMoved(double at);
    void saveWanted(yf::app::PictureFormat format);
    void sealWanted();

protected:
    void changeEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void build();
    void buildAxes();
    void buildLayers();
    void paintTokens();
    void clearTrace(qsizetype index);
    void drawTrace(const Trace& trace, int index);
    void
    setLine(QCPGraph* graph, const Stroke& stroke, QVector<double> across, QVector<double> values);
    void drawAll();
    void drawCorridor();
    void drawShades();
    void drawVeils();
    void drawMark();
    void drawPins();
    void redraw();
    void redrawSoon();
    void readAtCrosshair();
    void moveCrosshair(double at);
    void setScale(const job::HouseScale& scale);
    void rememberView();
    void zoom(double factor);
    void pan(double across, double up);
    void updateFoot();
    void describe();
    void paintPicture(QCPPainter& painter, const QSize& size);
    [[nodiscard]] QImage pictureImage();
    void atSealedScale(const std::function<void()>& draw);
    void clipGraphs();

    PlotKind kind_;
    QString title_;
    Picture picture_;
    double crosshair_{1000.0};
    QVector<double> pins_;
    QSet<QString> hidden_;
    QTimer descriptionRests_; ///< words for a screen reader, once the picture rests
    bool redrawWaits_{};
    QVector<job::HouseScale> views_; ///< before the last movements
    QCustomPlot* canvas_{};
    Readings* readings_{};
    QToolButton* house_{};
    ElidedLabel* foot_{};
    QVector<QCPGraph*> solid_;
    QVector<QCPGraph*> doubtful_;

    /// What a trace's lines were made from: dashes and thinning depend on the scale and the size.
    struct Drawn {
        Trace trace;
        std::array<double, 4> ends{}; ///< of both axes
        QRect rect;

        bool operator==(const Drawn&) const = default;
    };

    QVector<std::optional<Drawn>> drawn_;
    QCPGraph* outside_{};
    QCPItemRect* band_{};
    QCPItemLine* hair_{};
    QVector<QCPItemLine*> pinLines_;
    QVector<QCPItemText*> pinNames_;
    QVector<QCPGraph*> veilEnds_; ///< low and high of each in turn
    QVector<QCPItemRect*> shadeRects_;
    QVector<QCPItemText*> shadeNames_;
    QCPItemTracer* markPoint_{};
    QCPItemText* markText_{};
    QLabel* emptyText_{};
};

/// Where one goes the others follow.
void linkCrosshairs(const QVector<Plot*>& plots);

} // namespace yf::app
