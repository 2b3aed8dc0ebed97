// SPDX-License-Identifier: GPL-3.0-or-later
// Lines drawn side by side against the same line stroked by Qt itself.
#include "app/plots/fine_line.h"

#include <QImage>
#include <QPainter>

#include <gtest/gtest.h>

#include <cmath>

namespace yf::test {

namespace {

constexpr int size = 160; // px

QImage drawn(const QVector<QPointF>& points, double width, bool fine) {
    QImage image(size, size, QImage::Format_ARGB32_Premultiplied);
    image.fill(Qt::white);
    QPainter painter(&image);
    painter.setRenderHint(QPainter::Antialiasing);
    QPen pen(Qt::black, width);
    pen.setCapStyle(Qt::FlatCap);
    pen.setJoinStyle(Qt::RoundJoin);
    painter.setPen(pen);
    if (fine) {
        app::drawFineLine(painter, points.constData(), points.size(), width);
        EXPECT_EQ(painter.pen(), pen) << "as it was found";
    } else {
        painter.drawPolyline(points.constData(), static_cast<int>(points.size()));
    }
    return image;
}

double ink(const QImage& image, int x, int y) {
    return 1.0 - qGray(image.pixel(x, y)) / 255.0;
}

double allInk(const QImage& image) {
    double sum = 0.0;
    for (int y = 0; y < size; ++y) {
        for (int x = 0; x < size; ++x) {
            sum += ink(image, x, y);
        }
    }
    return sum;
}

QVector<QPointF> straight(double degrees) {
    const double a = degrees * 3.14159265358979 / 180.0;
    QVector<QPointF> points;
    for (int i = -60; i <= 60; i += 3) {
        points << QPointF(80.3 + i * std::cos(a), 80.4 + i * std::sin(a));
    }
    return points;
}

} // namespace

TEST(FineLine, hasTheInkOfAStrokedOneInEveryDirection) {
    for (const double width : {1.2, 1.4, 1.6, 2.0, 2.4}) {
        for (const double degrees : {0.0, 7.0, 20.0, 45.0, 71.0, 90.0, 130.0}) {
            const auto points = straight(degrees);
            const double own = allInk(drawn(points, width, true));
            const double stroked = allInk(drawn(points, width, false));
            EXPECT_NEAR(own / stroked, 1.0, 0.15) << width << " px, " << degrees << "°";
        }
    }
}

TEST(FineLine, hasNoSeamInTheMiddle) {
    for (const double width : {1.6, 2.0, 2.4, 3.0}) {
        for (const double degrees : {0.0, 7.0, 30.0, 45.0, 60.0, 90.0}) {
            const auto points = straight(degrees);
            const QImage image = drawn(points, width, true);
            const QImage stroked = drawn(points, width, false);
            for (int y = 0; y < size; ++y) {
                for (int x = 0; x < size; ++x) {
                    // Where the stroked line is full, this one is nearly so.
                    if (ink(stroked, x, y) > 0.99 && std::hypot(x - 80.0, y - 80.0) < 55.0) {
                        ASSERT_GT(ink(image, x, y), 0.8) << width << " px, " << degrees << "°";
                    }
                    // And it is nowhere else.
                    if (ink(stroked, x, y) == 0.0 && std::hypot(x - 80.0, y - 80.0) < 55.0) {
                        ASSERT_LT(ink(image, x, y), 0.35) << width << " px, " << degrees << "°";
                    }
                }
            }
        }
    }
}

TEST(FineLine, takesWhatIsNoLine) {
    const QVector<QPointF> still{{80.0, 80.0}, {80.0, 80.0}, {80.0, 80.0}};
    const QVector<QPointF> two{{20.0, 30.0}, {20.5, 30.0}};
    EXPECT_LT(allInk(drawn(still, 1.6, true)), 6.0);
    EXPECT_LT(allInk(drawn(two, 1.6, true)), 8.0);
    EXPECT_EQ(allInk(drawn({}, 1.6, true)), 0.0);
}

} // namespace yf::test
