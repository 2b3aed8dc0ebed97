// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/dashes.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace yf::app {

namespace {

constexpr double gap = std::numeric_limits<double>::quiet_NaN();

/// The pen's place in its pattern.
class Pattern {
public:
    Pattern(const QList<qreal>& lengths, double penWidth) : lengths_(lengths), penWidth_(penWidth) {
        restart();
    }

    void restart() {
        index_ = 0;
        left_ = lengths_[0] * penWidth_;
    }

    [[nodiscard]] bool down() const { return index_ % 2 == 0; }

    /// Pixels until the pen changes.
    [[nodiscard]] double left() const { return left_; }

    void advance(double pixels) {
        left_ -= pixels;
        if (left_ <= 1e-9) {
            index_ = (index_ + 1) % lengths_.size();
            left_ = lengths_[index_] * penWidth_;
        }
    }

private:
    QList<qreal> lengths_;
    double penWidth_;
    qsizetype index_{};
    double left_{};
};

} // namespace

void cutIntoDashes(QVector<double>& keys,
                   QVector<double>& values,
                   const QList<qreal>& pattern,
                   const DashScale& scale) {
    QVector<double> cutKeys;
    QVector<double> cutValues;
    cutKeys.reserve(keys.size() * 3);
    cutValues.reserve(keys.size() * 3);
    const auto add = [&](double key, double value) {
        cutKeys.push_back(key);
        cutValues.push_back(value);
    };
    Pattern pen(pattern, scale.penWidth);
    for (qsizetype i = 0; i + 1 < keys.size(); ++i) {
        if (std::isnan(values[i]) || std::isnan(values[i + 1])) {
            add(keys[i], values[i]);
            add(keys[i], gap);
            pen.restart();
            continue;
        }
        const double length = std::hypot(scale.x(keys[i + 1]) - scale.x(keys[i]),
                                         scale.y(values[i + 1]) - scale.y(values[i]));
        if (pen.down()) {
            add(keys[i], values[i]);
        }
        for (double done = 0.0; done < length;) {
            const double step = std::min(pen.left(), length - done);
            const bool wasDown = pen.down();
            const bool changes = step == pen.left();
            done += step;
            pen.advance(step);
            if (changes) {
                const double share = done / length;
                // Keys lie on a logarithmic axis: between them the line is straight in the
                // logarithm.
                const double key = keys[i] * std::pow(keys[i + 1] / keys[i], share);
                add(key, values[i] + share * (values[i + 1] - values[i]));
                if (wasDown) {
                    add(key, gap);
                }
            }
        }
    }
    if (!keys.isEmpty() && pen.down()) {
        add(keys.back(), values.back());
    }
    keys = std::move(cutKeys);
    values = std::move(cutValues);
}

} // namespace yf::app
