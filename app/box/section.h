// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/box_state.h"

#include <QPainter>
#include <QVector>

namespace yf::app {

/// Where what stands in a section, in metres: x from the front's face backwards, y up from the
/// cabinet's underside.
struct Section {
    double depth{};
    double height{};
    double panel{};
    double front{};
    double slope{}; ///< m that the front leans back at the top

    struct Room {
        double floor{};
        double ceiling{};
        job::Fill fill{};
    };

    QVector<Room> rooms;

    struct Cone {
        double y{};
        double radius{};
        bool chosen{}; ///< it moves
    };

    QVector<Cone> cones;

    struct Tube {
        double y{};
        double bore{};   ///< m, narrowest height
        double length{}; ///< m, over all
        double wall{};
        double flareInner{};
        double flareOuter{};
        bool back{};
        bool bent{};
    };

    QVector<Tube> tubes;
    QVector<double> braces; ///< y of each
    double braceThickness{};
    bool open{}; ///< no walls but the front

    /// Of a band-pass: the board inside that holds the driver, its cone facing down into the front
    /// chamber; 0: none.
    double shelf{};
    double shelfCone{}; ///< m, radius of that cone

    /// A cone without a motor in the front; 0: none.
    double radiator{}; ///< m, radius
    double radiatorAt{};
};

[[nodiscard]] Section
sectionOf(const job::Job& job, const job::Cabinet& cabinet, const job::Enclosure& enclosure);

/// From metres to pixels.
struct SectionScale {
    double pixels{};
    QPointF corner; ///< of the underside at the front's face

    [[nodiscard]] static SectionScale fitting(const Section& section, const QRectF& room);

    [[nodiscard]] QPointF at(double x, double y) const {
        return corner + QPointF(x * pixels, -y * pixels);
    }
};

/// How far what moves stands off its place, in pixels.
struct Excursion {
    double cone{};        ///< to the listener
    QVector<double> slug; ///< of each tube, outward
    double radiator{};    ///< of a passive radiator, to the listener
};

void paintSection(QPainter& painter,
                  const Section& section,
                  const SectionScale& scale,
                  const Excursion& excursion);

} // namespace yf::app
