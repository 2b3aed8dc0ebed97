// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/ladder_edit.h"
#include "core/network/circuit/line_edit.h"

#include <QLine>
#include <QRect>
#include <QString>
#include <QVector>

namespace yf::app {

/// Where everything of the lanes stands; drawing and hands come later.
///
/// Each way is a lane from the amplifier's posts at the left to its driver at the right: series
/// parts on the rail, shunt parts hanging from it to the return rail below. A composite is drawn as
/// it is wired: in series one behind the other, in parallel side by side. Ways in series follow
/// each other: where one returns the next begins. Where each way has an amplifier of its own, what
/// stands before it comes first, and the posts are apart.
struct LaneLayout {
    struct Tile {
        std::string part;
        QRect rect;
        bool hanging{};            ///< current runs from top to bottom
        network::SlotPlace behind; ///< the place right behind its slot
    };

    struct Insert {
        network::SlotPlace place; ///< inLine is left to the person
        QRect rect;
    };

    struct Control {
        network::ControlSlot control;
        QRect rect;
        network::SlotPlace behind;
    };

    /// A filter before an amplifier, the amplifier itself, or a place for one more filter.
    struct Filter {
        network::LinePlace place;
        QRect rect;
    };

    struct End {
        std::size_t way{};
        network::DriverEnd driver;
        QRect rect;
        int rail{}; ///< y of the hot rail
        int returnRail{};
    };

    struct Lane {
        QString name;
        std::string driver; ///< empty: the common ladder
        QRect rect;
        int rail{};
        int returnRail{};
        bool onHot{true};    ///< begins at the amplifier's hot post, not behind the way above
        bool onReturn{true}; ///< ends at the return post, not in the way below
    };

    struct Note {
        QRect rect;
        QString text; ///< a transformer, or why something is not drawn
    };

    QVector<Tile> tiles;
    QVector<Control> controls;
    QVector<Filter> filters;
    QVector<Filter> filterInserts;
    QVector<Insert> inserts;
    QVector<End> ends;
    QVector<Lane> lanes;
    QVector<Note> notes;
    QVector<QLine> wires;
    QVector<QLine> posts; ///< between the lanes, at the left
    QVector<QPoint> joints;
    QSize size;
    int hotPost{62}; ///< x of the amplifiers' posts
    int returnPost{78};
};

[[nodiscard]] LaneLayout layOut(const network::Circuit& circuit);

} // namespace yf::app
