// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/section.h"

#include <QElapsedTimer>
#include <QTimer>
#include <QWidget>

namespace yf::app {

/// The box cut open, to scale. Cone and port's air move at one frequency with their true amplitudes
/// and phase to each other, slowed down; neither moves while the widget is hidden, paused, or the
/// desktop wants no animation.
///
/// Hands: the port's inner end, the back wall, the partition and the braces are dragged. Keys: ↑↓
/// choose one of them, ←→ move it by a millimetre (Shift: a centimetre), P plays and pauses.
class Cutaway final : public QWidget {
    Q_OBJECT

public:
    explicit Cutaway(QWidget* parent = nullptr);

    struct Shown {
        Section section;
        job::Enclosure enclosure;
        double depth{};
        std::shared_ptr<const box::System> system; ///< null: nothing moves
        double portArea{};                         ///< m², for the speed of the slug
    };

    void display(const Shown& shown);
    void setFrequency(double f);

    [[nodiscard]] double frequency() const { return frequency_; }

    void setPlaying(bool playing);

    [[nodiscard]] bool playing() const { return playing_; }

    void setSlow(bool slow);

    /// Whether pictures follow one another now.
    [[nodiscard]] bool moving() const { return timer_.isActive(); }

    /// Peak travel of the cone and of the port's air, m, and their angle, for words and tests.
    struct Motion {
        double cone{};
        double slug{};
        double angle{}; ///< radians by which the air's outward motion leads the cone's
        bool hasPort{};
    };

    [[nodiscard]] Motion motion() const;

    /// Where a handle is drawn, for tests: "port", "back", "partition", "brace-0"; null: none.
    [[nodiscard]] QPointF handleAt(const QString& name) const;

    [[nodiscard]] QSize sizeHint() const override { return {270, 400}; }

    [[nodiscard]] QSize minimumSizeHint() const override { return {180, 220}; }

Q_SIGNALS:
    void enclosureDragged(const yf::job::Enclosure& enclosure);
    void depthDragged(double depth);
    void released();
    void playingChanged(bool playing);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    struct Handle {
        QString name;
        QPointF at;
        bool alongX{};
    };

    [[nodiscard]] QVector<Handle> handles() const;
    [[nodiscard]] SectionScale scale() const;
    void move(const QString& handle, double metres);
    void runOrRest();
    [[nodiscard]] Excursion excursion() const;
    void describe();

    Shown shown_;
    double frequency_{40.0};
    bool playing_{};
    bool slow_{};
    QTimer timer_;
    QElapsedTimer clock_;
    double phase_{0.6}; ///< of the drive, radians; a resting picture shows it off centre
    QString held_;
    QPointF grip_;
    job::Enclosure before_;
    double depthBefore_{};
    int chosen_{-1};
};

} // namespace yf::app
