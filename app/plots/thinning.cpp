// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/thinning.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace yf::app {

namespace {

/// The slopes at which a line from a point that stays passes all points since it closely enough.
class Cone {
public:
    Cone(double x, double y, double tolerance) : x_(x), y_(y), tolerance_(tolerance) {}

    /// Whether a line that ends at that point passes those before it.
    [[nodiscard]] bool holds(double x, double y) const {
        const double slope = (y - y_) / (x - x_);
        return x > x_ && slope >= lowest_ && slope <= highest_;
    }

    /// Lines must pass that point too.
    void narrow(double x, double y) {
        lowest_ = std::max(lowest_, (y - tolerance_ - y_) / (x - x_));
        highest_ = std::min(highest_, (y + tolerance_ - y_) / (x - x_));
    }

private:
    double x_;
    double y_;
    double tolerance_;
    double lowest_{-std::numeric_limits<double>::infinity()};
    double highest_{std::numeric_limits<double>::infinity()};
};

} // namespace

void thinOut(QVector<double>& keys,
             QVector<double>& values,
             const DashScale& scale,
             double tolerance) {
    qsizetype kept = 0;
    const auto keep = [&](qsizetype i) {
        keys[kept] = keys[i];
        values[kept] = values[i];
        ++kept;
    };
    for (qsizetype i = 0; i < keys.size();) {
        if (std::isnan(values[i])) {
            // One is a gap as good as five hundred: what is not trusted is mostly gap.
            if (kept > 0 && !std::isnan(values[kept - 1])) {
                keep(i);
            }
            ++i;
            continue;
        }
        keep(i);
        Cone cone(scale.x(keys[i]), scale.y(values[i]), tolerance);
        qsizetype next = i + 1;
        for (; next < keys.size() && !std::isnan(values[next]); ++next) {
            const double x = scale.x(keys[next]);
            const double y = scale.y(values[next]);
            if (!cone.holds(x, y)) {
                break;
            }
            cone.narrow(x, y);
        }
        // The last point that a line could reach stays; the next line begins there.
        const bool ends = next == keys.size() || std::isnan(values[next]);
        if (next - 1 > i) {
            i = next - 1;
            if (ends) {
                keep(i);
                i = next;
            }
        } else {
            i = next;
        }
    }
    keys.resize(kept);
    values.resize(kept);
}

} // namespace yf::app
