// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QPointF>
#include <QRectF>
#include <QString>
#include <QVector>

class QPainter;

namespace yf::app {

/// A driver as it is seen on a front.
struct FrontSpot {
    std::string driver;
    QString name;
    job::Band band{};
    job::Condition condition{};
    int polarity{1};
    double x{}; ///< m from the middle of the front
    double y{};
    double radius{};

    bool operator==(const FrontSpot&) const = default;
};

/// A cabinet's front, ready to be drawn at any size.
struct FrontPicture {
    double width{0.2}; ///< m
    double height{0.35};
    QVector<FrontSpot> spots; ///< from top to bottom

    [[nodiscard]] static FrontPicture of(const job::Job& job, const job::Cabinet& cabinet);

    /// Sizes and places as text for the settings, names left out; what cannot be read gives an
    /// empty front.
    [[nodiscard]] QString toText() const;
    [[nodiscard]] static FrontPicture fromText(const QString& text);

    bool operator==(const FrontPicture&) const = default;
};

/// From metres on the front to pixels.
struct FrontScale {
    double pixels{}; ///< for a metre
    QPointF middle;

    [[nodiscard]] static FrontScale fitting(const FrontPicture& front, const QRectF& room);

    [[nodiscard]] QPointF at(double x, double y) const {
        return middle + QPointF(x * pixels, -y * pixels);
    }

    [[nodiscard]] QPointF on(const FrontSpot& spot) const { return at(spot.x, spot.y); }

    [[nodiscard]] QRectF board(const FrontPicture& front) const;
};

enum class Edge { plain, focused };

/// The board with all its drivers: ring by condition (filled: sound; hatched: not yet checked;
/// open with a cross: suspect or dead), colour and pattern by band, a stud pair for polarity where
/// there is room.
void paintFront(QPainter& painter, const FrontPicture& front, const FrontScale& scale, Edge edge);

} // namespace yf::app
