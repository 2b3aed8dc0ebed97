// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/parts/e_series.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::network {

namespace {

std::vector<double> fineSeries(int N) {
    std::vector<double> values;
    for (int i = 0; i < N; ++i) {
        const double exact = std::pow(10.0, static_cast<double>(i) / N);
        const double rounded = std::round(exact * 100.0) / 100.0;
        // The standard has 9.20 where arithmetic gives 9.19.
        values.push_back(rounded == 9.19 ? 9.2 : rounded);
    }
    return values;
}

std::vector<double> everyNth(const std::vector<double>& values, std::size_t n) {
    std::vector<double> kept;
    for (std::size_t i = 0; i < values.size(); i += n) {
        kept.push_back(values[i]);
    }
    return kept;
}

const std::array<std::vector<double>, 7>& allSeries() {
    static const std::array<std::vector<double>, 7> series = [] {
        const std::vector<double> e24{1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0,
                                      3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1};
        return std::array<std::vector<double>, 7>{everyNth(e24, 8),
                                                  everyNth(e24, 4),
                                                  everyNth(e24, 2),
                                                  e24,
                                                  fineSeries(48),
                                                  fineSeries(96),
                                                  fineSeries(192)};
    }();
    return series;
}

/// mantissa·10^decade, so that 6.8 µF is the same double as the literal 6.8e-6.
double withDecade(double mantissa, int decade) {
    return text::parseNumber(text::printNumber(mantissa) + "e" + std::to_string(decade)).value();
}

std::vector<double> valuesAround(double value, ESeries series, int decades) {
    const int centre = static_cast<int>(std::floor(std::log10(value)));
    std::vector<double> values;
    for (int d = centre - decades; d <= centre + decades; ++d) {
        for (const double m : mantissas(series)) {
            values.push_back(withDecade(m, d));
        }
    }
    return values;
}

double logDistance(double a, double b) {
    return std::abs(std::log(a / b));
}

} // namespace

const std::vector<double>& mantissas(ESeries series) {
    return allSeries().at(static_cast<std::size_t>(series));
}

double nearestValue(double value, ESeries series) {
    const auto values = valuesAround(value, series, 1);
    return *std::ranges::min_element(values, {}, [&](double v) { return logDistance(v, value); });
}

double stepValue(double value, ESeries series, int steps) {
    // A step from between two values goes to the next one, not past it.
    constexpr double same = 1e-9;
    double current = value;
    for (int k = 0; k < std::abs(steps); ++k) {
        const auto values = valuesAround(current, series, 1);
        if (steps > 0) {
            current =
                *std::ranges::find_if(values, [&](double v) { return v > current * (1.0 + same); });
        } else {
            current = *std::find_if(values.rbegin(), values.rend(), [&](double v) {
                return v < current * (1.0 - same);
            });
        }
    }
    return current;
}

PairOfValues nearestPair(double value, PartKind kind, ESeries series) {
    constexpr int decades = 4;
    const auto values = valuesAround(value, series, decades);
    // Capacitors add in parallel, resistors and coils in series.
    const bool addsInSeries = kind != PartKind::capacitor;
    PairOfValues best;
    double least = 1e300;
    const auto offer = [&](double a, double b, bool sum) {
        const double together = sum ? a + b : 1.0 / (1.0 / a + 1.0 / b);
        const double distance = logDistance(together, value);
        // Rounding must not prefer one of two equal pairs at random.
        if (distance < least - 1e-12) {
            least = distance;
            best = {std::min(a, b),
                    std::max(a, b),
                    sum == addsInSeries ? Joining::series : Joining::parallel,
                    together};
        }
    };
    const auto offerAround = [&](double a, double partner, bool sum) {
        if (!(partner > 0.0) || !std::isfinite(partner)) {
            return;
        }
        const auto above = std::ranges::lower_bound(values, partner);
        if (above != values.end()) {
            offer(a, *above, sum);
        }
        if (above != values.begin()) {
            offer(a, *std::prev(above), sum);
        }
    };
    for (const double a : values) {
        offerAround(a, value - a, true);
        offerAround(a, 1.0 / (1.0 / value - 1.0 / a), false);
    }
    return best;
}

std::optional<Error> check(const PartsRequest& r) {
    if (r.list) {
        return std::nullopt;
    }
    if (!r.kind) {
        return Error{"kind", "missing", "must be one of R, L, C"};
    }
    const std::optional<double>* values[] = {&r.ohm, &r.henry, &r.farad};
    static constexpr std::string_view keys[] = {"value_ohm", "value_h", "value_f"};
    for (std::size_t i = 0; i < 3; ++i) {
        const bool wanted = i == static_cast<std::size_t>(*r.kind);
        if (values[i]->has_value() != wanted) {
            return Error{std::string(keys[i]),
                         wanted ? "missing" : "given",
                         wanted ? "must be given for this kind" : "does not fit the kind"};
        }
    }
    return std::nullopt;
}

Result<PartsAnswer> purchasable(const PartsRequest& r) {
    PartsAnswer answer;
    if (r.list) {
        answer.mantissas = mantissas(r.series);
        return answer;
    }
    answer.kind = *r.kind;
    const std::optional<double>* values[] = {&r.ohm, &r.henry, &r.farad};
    const double value = values[static_cast<std::size_t>(*r.kind)]->value();
    answer.snapped = nearestValue(value, r.series);
    answer.error = answer.snapped / value - 1.0;
    answer.pair = nearestPair(value, *r.kind, r.series);
    answer.pairError = answer.pair.value / value - 1.0;
    return answer;
}

text::Value PartsAnswer::write() const {
    using text::Value;
    if (mantissas) {
        return Value::Object{{"mantissas", *mantissas}};
    }
    static constexpr std::string_view suffixes[] = {"_ohm", "_h", "_f"};
    const std::string suffix(suffixes[static_cast<std::size_t>(kind)]);
    constexpr double percent = 100.0;
    return Value::Object{{"snapped" + suffix, snapped},
                         {"error_pct", percent * error},
                         {"pair" + suffix, std::vector<double>{pair.first, pair.second}},
                         {"pair_join", pair.join == Joining::series ? "series" : "parallel"},
                         {"pair_value" + suffix, pair.value},
                         {"pair_error_pct", percent * pairError}};
}

} // namespace yf::network
