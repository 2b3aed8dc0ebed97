// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/lane_layout.h"

#include "app/widgets/words.h"
#include "core/network/circuit/control_edit.h"
#include "core/text/number.h"

#include <QCoreApplication>

#include <algorithm>

namespace yf::app {

namespace {

using network::Joining;
using network::OnePort;

constexpr QSize tileSize{104, 38};
constexpr QSize noteSize{104, 38};
constexpr int insertWidth = 24;
constexpr int insertHeight = 28;
constexpr int chainGap = 10; ///< between parts in series
constexpr int sideGap = 8;   ///< between parts in parallel
constexpr int barRoom = 10;  ///< where parallel branches come together
constexpr int endWidth = 150;
constexpr int leastEnd = 64;
constexpr int laneGap = 10;
constexpr int firstSlot = 30; ///< behind the hot post; what stands before it needs no label there
constexpr int linedFirstSlot = 14;
constexpr QSize filterSize{100, 38};
constexpr int lineStart = 54;
constexpr int lineGap = 6;

/// Which way the current runs through a one-port.
enum class Run { across, down };

int along(QSize size, Run run) {
    return run == Run::across ? size.width() : size.height();
}

int beside(QSize size, Run run) {
    return run == Run::across ? size.height() : size.width();
}

QSize sized(int alongLength, int besideLength, Run run) {
    return run == Run::across ? QSize(alongLength, besideLength) : QSize(besideLength, alongLength);
}

QSize measure(const OnePort& port, Run run) {
    const network::Composite* composite = port.composite();
    if (composite == nullptr) {
        return tileSize;
    }
    int length = 0;
    int breadth = 0;
    const bool chain = composite->joining == Joining::series;
    for (const OnePort& inner : composite->ports) {
        const QSize size = measure(inner, run);
        if (chain) {
            length += along(size, run) + (length > 0 ? chainGap : 0);
            breadth = std::max(breadth, beside(size, run));
        } else {
            length = std::max(length, along(size, run));
            breadth += beside(size, run) + (breadth > 0 ? sideGap : 0);
        }
    }
    return sized(length + (chain ? 0 : 2 * barRoom), breadth, run);
}

class Builder {
public:
    LaneLayout take() { return std::move(layout_); }

    /// Room before the posts for so many filters, their place to add one, and the amplifier.
    void lines(std::size_t mostFilters) {
        lined_ = true;
        amplifierAt_ = lineStart + insertWidth + lineGap +
                       static_cast<int>(mostFilters) * (filterSize.width() + lineGap);
        layout_.hotPost = amplifierAt_ + filterSize.width() + 2 * lineGap;
        layout_.returnPost = layout_.hotPost;
    }

    void note(const QString& text, const QRect& rect) {
        layout_.notes.push_back({rect, text});
        reach(rect);
    }

    void lane(const network::Section& section, std::optional<std::size_t> way) {
        const Heights heights = heightsOf(section);
        const int rail = y_ + heights.rail / 2;
        const int returnRail =
            y_ + heights.rail + (heights.hanging > 0 ? heights.hanging + 2 * laneGap : laneGap);
        int x = layout_.hotPost + (lined_ ? linedFirstSlot : firstSlot);
        int hangingRight = x;
        layout_.wires.push_back({layout_.hotPost, rail, x, rail});
        if (lined_ && way) {
            line(section, *way, rail);
        }
        for (std::size_t k = 0; k < section.ladder.size(); ++k) {
            x = insertAt(x, rail, way, k);
            behind_ = {way.value_or(0), k + 1, true};
            if (const auto* series = std::get_if<network::SeriesSlot>(&section.ladder[k])) {
                const QSize size = measure(series->port, Run::across);
                place(series->port,
                      QRect(x, rail - size.height() / 2, size.width(), size.height()),
                      Run::across);
                x += size.width();
            } else if (const auto* shunt = std::get_if<network::ShuntSlot>(&section.ladder[k])) {
                const QSize size = measure(shunt->port, Run::down);
                const int node = std::max(x, hangingRight + sideGap + size.width() / 2);
                layout_.wires.push_back({x, rail, node, rail});
                layout_.joints.push_back({node, rail});
                const QRect room(node - size.width() / 2,
                                 y_ + heights.rail + laneGap,
                                 size.width(),
                                 size.height());
                layout_.wires.push_back({node, rail, node, room.top()});
                place(shunt->port, room, Run::down);
                layout_.wires.push_back({node, room.top() + room.height(), node, returnRail});
                layout_.joints.push_back({node, returnRail});
                hangingRight = node + size.width() / 2;
                x = node;
            } else if (const auto* control =
                           std::get_if<network::ControlSlot>(&section.ladder[k])) {
                const QRect rect(QPoint(x, rail - tileSize.height() / 2), tileSize);
                layout_.controls.push_back({*control, rect, behind_});
                reach(rect);
                x += tileSize.width();
            } else {
                note(otherSlot(section.ladder[k]),
                     QRect(QPoint(x, rail - noteSize.height() / 2), noteSize));
                x += noteSize.width();
            }
        }
        x = insertAt(x, rail, way, section.ladder.size());
        rightmost_ = std::max({rightmost_, x, hangingRight + sideGap});
        layout_.lanes.push_back({.name = words(section.name),
                                 .driver = {},
                                 .rect = QRect(0, y_, x, returnRail - y_),
                                 .rail = rail,
                                 .returnRail = returnRail});
        railEnds_.push_back(x);
        if (const auto* end = std::get_if<network::DriverEnd>(&section.end)) {
            layout_.lanes.back().driver = end->driver;
            layout_.ends.push_back({way.value_or(0), *end, {}, rail, returnRail});
        }
        // Room for the driver even where nothing hangs.
        y_ = std::max(returnRail + laneGap + 4,
                      rail - tileSize.height() / 2 + leastEnd + laneGap / 2);
    }

    /// Drivers stand one under the other at the right.
    void finish() {
        for (qsizetype i = 0; i < layout_.lanes.size(); ++i) {
            LaneLayout::Lane& lane = layout_.lanes[i];
            layout_.wires.push_back({railEnds_[i], lane.rail, rightmost_, lane.rail});
            layout_.wires.push_back(
                {layout_.returnPost, lane.returnRail, rightmost_, lane.returnRail});
            lane.rect.setWidth(rightmost_ + endWidth);
        }
        for (LaneLayout::End& end : layout_.ends) {
            end.rect =
                QRect(rightmost_,
                      end.rail - tileSize.height() / 2,
                      endWidth,
                      std::max(end.returnRail - end.rail + tileSize.height() / 2 + 9, leastEnd));
            reach(end.rect);
        }
        joinLanes();
        reach(QRect(0, 0, rightmost_, y_ - laneGap));
        layout_.size = bounds_;
    }

    /// The ways follow each other.
    void chain() { chained_ = true; }

private:
    void joinLanes() {
        auto& lanes = layout_.lanes;
        if (lanes.isEmpty() || lined_) {
            return;
        }
        const int hotPost = layout_.hotPost;
        const int returnPost = layout_.returnPost;
        if (!chained_) {
            layout_.posts = {
                {hotPost, lanes.front().rail, hotPost, lanes.back().rail},
                {returnPost, lanes.front().returnRail, returnPost, lanes.back().returnRail}};
            return;
        }
        for (qsizetype i = 0; i + 1 < lanes.size(); ++i) {
            lanes[i].onReturn = false;
            lanes[i + 1].onHot = false;
            layout_.posts << QLine(returnPost, lanes[i].returnRail, hotPost, lanes[i].returnRail)
                          << QLine(hotPost, lanes[i].returnRail, hotPost, lanes[i + 1].rail);
        }
    }

    /// Filters from the left, the amplifier right before its post.
    void line(const network::Section& section, std::size_t way, int rail) {
        const network::Line line = section.line.value_or(network::Line{});
        const int top = rail - filterSize.height() / 2;
        int x = lineStart;
        for (std::size_t f = 0; f < line.filters.size(); ++f) {
            layout_.filters.push_back({{way, f}, QRect(QPoint(x, top), filterSize)});
            x += filterSize.width();
            layout_.wires.push_back({x, rail, x + lineGap, rail});
            x += lineGap;
        }
        layout_.filterInserts.push_back(
            {{way, line.filters.size()},
             QRect(x, rail - insertHeight / 2, insertWidth, insertHeight)});
        layout_.wires.push_back({x + insertWidth / 2, rail, amplifierAt_, rail});
        layout_.filters.push_back({{way, {}}, QRect(QPoint(amplifierAt_, top), filterSize)});
        layout_.wires.push_back({amplifierAt_ + filterSize.width(), rail, layout_.hotPost, rail});
    }

    struct Heights {
        int rail{tileSize.height()};
        int hanging{};
    };

    static Heights heightsOf(const network::Section& section) {
        Heights heights;
        for (const network::Slot& slot : section.ladder) {
            if (const auto* series = std::get_if<network::SeriesSlot>(&slot)) {
                heights.rail = std::max(heights.rail, measure(series->port, Run::across).height());
            } else if (const auto* shunt = std::get_if<network::ShuntSlot>(&slot)) {
                heights.hanging =
                    std::max(heights.hanging, measure(shunt->port, Run::down).height());
            }
        }
        return heights;
    }

    static QString otherSlot(const network::Slot& slot) {
        return QCoreApplication::translate("LaneLayout", "transformer\n1 : %1")
            .arg(std::get<network::TransformerSlot>(slot).ratio);
    }

    int insertAt(int x, int rail, std::optional<std::size_t> way, std::size_t slot) {
        if (way) {
            const QRect rect(x, rail - insertHeight / 2, insertWidth, insertHeight);
            layout_.inserts.push_back({{*way, slot, true}, rect});
        }
        layout_.wires.push_back({x, rail, x + insertWidth, rail});
        return x + insertWidth;
    }

    /// Fills `room`; the current enters in the middle of its first edge and leaves opposite.
    void place(const OnePort& port, const QRect& room, Run run) {
        const network::Composite* composite = port.composite();
        if (composite == nullptr) {
            const QRect rect(QPoint(room.x() + (room.width() - tileSize.width()) / 2,
                                    room.y() + (room.height() - tileSize.height()) / 2),
                             tileSize);
            layout_.tiles.push_back({port.part()->id, rect, run == Run::down, behind_});
            connectEnds(rect, room, run);
            reach(rect);
        } else if (composite->joining == Joining::series) {
            placeChain(*composite, room, run);
        } else {
            placeBranches(*composite, room, run);
        }
    }

    void placeChain(const network::Composite& composite, const QRect& room, Run run) {
        int at = run == Run::across ? room.x() : room.y();
        const int stretch = along(room.size(), run) - along(measure(OnePort{composite}, run), run);
        bool first = true;
        for (const OnePort& inner : composite.ports) {
            if (!first) {
                wire(room, run, at, at + chainGap);
                at += chainGap;
            }
            // What room is left over goes to the first part's leads.
            const int length = along(measure(inner, run), run) + (first ? stretch : 0);
            place(inner,
                  run == Run::across ? QRect(at, room.y(), length, room.height())
                                     : QRect(room.x(), at, room.width(), length),
                  run);
            at += length;
            first = false;
        }
    }

    void placeBranches(const network::Composite& composite, const QRect& room, Run run) {
        const int start = run == Run::across ? room.x() : room.y();
        const int length = along(room.size(), run);
        const int inner = length - 2 * barRoom;
        int at = run == Run::across ? room.y() : room.x();
        int firstMiddle = 0;
        int lastMiddle = 0;
        for (std::size_t i = 0; i < composite.ports.size(); ++i) {
            const int breadth = beside(measure(composite.ports[i], run), run);
            place(composite.ports[i],
                  run == Run::across ? QRect(start + barRoom, at, inner, breadth)
                                     : QRect(at, start + barRoom, breadth, inner),
                  run);
            lastMiddle = at + breadth / 2;
            firstMiddle = i == 0 ? lastMiddle : firstMiddle;
            at += breadth + sideGap;
        }
        for (const int bar : {start + barRoom, start + length - barRoom}) {
            layout_.wires.push_back(run == Run::across ? QLine(bar, firstMiddle, bar, lastMiddle)
                                                       : QLine(firstMiddle, bar, lastMiddle, bar));
        }
        wire(room, run, start, start + barRoom);
        wire(room, run, start + length - barRoom, start + length);
    }

    /// A piece of wire in the middle of a room, from one coordinate of its run to another.
    void wire(const QRect& room, Run run, int from, int to) {
        const int middle =
            run == Run::across ? room.y() + room.height() / 2 : room.x() + room.width() / 2;
        layout_.wires.push_back(run == Run::across ? QLine(from, middle, to, middle)
                                                   : QLine(middle, from, middle, to));
    }

    void connectEnds(const QRect& rect, const QRect& room, Run run) {
        const int from = run == Run::across ? room.x() : room.y();
        const int to = from + along(room.size(), run);
        const int tileFrom = run == Run::across ? rect.x() : rect.y();
        wire(room, run, from, tileFrom);
        wire(room, run, tileFrom + along(rect.size(), run), to);
    }

    void reach(const QRect& rect) {
        bounds_ =
            bounds_.expandedTo(QSize(rect.x() + rect.width() + 2, rect.y() + rect.height() + 2));
    }

    LaneLayout layout_;
    network::SlotPlace behind_;
    QVector<int> railEnds_;
    bool chained_{};
    bool lined_{};
    int amplifierAt_{};
    int y_{2};
    int rightmost_{};
    QSize bounds_;
};

} // namespace

LaneLayout layOut(const network::Circuit& drawn) {
    Builder builder;
    const network::Circuit circuit = network::withNamedControls(drawn);
    const network::Section* tree = circuit.tree();
    const QRect whole(16, 8, 560, 60);
    if (tree == nullptr) {
        builder.note(QCoreApplication::translate("LaneLayout",
                                                 "This network is a free net, not a ladder: it is "
                                                 "computed, but cannot be drawn as lanes."),
                     whole);
        builder.finish();
        return builder.take();
    }
    const auto* ways = std::get_if<network::Ways>(&tree->end);
    const auto amplifiers = network::amplifiers(circuit);
    std::size_t mostFilters = 0;
    bool lined = false;
    for (std::size_t w = 0; w < amplifiers.size(); ++w) {
        const auto line = network::lineOf(circuit, w);
        lined = lined || line;
        mostFilters = std::max(mostFilters, line ? line->filters.size() : 0);
    }
    if (lined) {
        builder.lines(mostFilters);
    }
    if (ways == nullptr) {
        builder.lane(*tree, 0);
        builder.finish();
        return builder.take();
    }
    if (!tree->ladder.empty()) {
        network::Section common = *tree;
        common.name = QCoreApplication::translate("LaneLayout", "all ways").toStdString();
        builder.lane(common, std::nullopt);
    }
    if (ways->join == network::Joining::series && tree->ladder.empty()) {
        builder.chain();
    }
    for (std::size_t w = 0; w < ways->sections.size(); ++w) {
        builder.lane(ways->sections[w], w);
    }
    builder.finish();
    return builder.take();
}

} // namespace yf::app
