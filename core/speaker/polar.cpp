// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/polar.h"

#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::speaker {

namespace {

constexpr double pi = std::numbers::pi;
constexpr double silence = 1e-30;

double levelOf(const Complex& p) {
    return quantity::decibels(std::max(std::abs(p), silence) / quantity::referencePressure);
}

double energyLevel(double square) {
    return 10.0 * std::log10(std::max(square, silence * silence)) -
           20.0 * std::log10(quantity::referencePressure);
}

struct Weighted {
    Direction direction;
    double weight{};
};

std::vector<Weighted> listeningWindow() {
    std::vector<Weighted> nine{{{}, 1.0}};
    for (const double side : {1.0, -1.0}) {
        nine.push_back({{0.0, side * 10.0 * quantity::degree}, 1.0});
        for (const double angle : {10.0, 20.0, 30.0}) {
            nine.push_back({{side * angle * quantity::degree, 0.0}, 1.0});
        }
    }
    for (Weighted& one : nine) {
        one.weight = 1.0 / static_cast<double>(nine.size());
    }
    return nine;
}

/// Rings 5° apart, four points a ring; the weights of the full sphere make 1. In half space the
/// rear, and the rear half of the ring at 90°, are left out.
std::vector<Weighted> rings(quantity::Space space) {
    constexpr int degrees = 5;
    const int last = space == quantity::Space::half ? 90 : 180;
    std::vector<Weighted> points;
    for (int angle = 0; angle <= last; angle += degrees) {
        const double theta = angle * quantity::degree;
        const double half = 0.5 * degrees * quantity::degree;
        const double from = std::max(theta - half, 0.0);
        const double to = std::min(theta + half, last * quantity::degree);
        const double band = 0.5 * (std::cos(from) - std::cos(to));
        for (const double side : {1.0, -1.0}) {
            // Behind the plane the vertical angle goes on beyond 90°: over the top.
            points.push_back({{side * theta, 0.0}, 0.25 * band});
            points.push_back({{0.0, side * theta}, 0.25 * band});
        }
    }
    return points;
}

std::vector<double>
means(const Radiators& radiators, double distance, const std::vector<Weighted>& points) {
    std::vector<Direction> directions;
    for (const Weighted& one : points) {
        directions.push_back(one.direction);
    }
    const auto all = sums(radiators, directions, distance);
    std::vector<double> squares(radiators.axis.size());
    for (std::size_t d = 0; d < all.size(); ++d) {
        for (std::size_t k = 0; k < squares.size(); ++k) {
            squares[k] += points[d].weight * std::norm(all[d][k]);
        }
    }
    std::ranges::transform(squares, squares.begin(), energyLevel);
    return squares;
}

/// ψ0 of a pair at one frequency, for equal paths.
double phaseOf(const Radiators& at, std::size_t first, std::size_t second) {
    const double k = waveNumbers(at.axis).front();
    const Radiator& one = at.of[first];
    const Radiator& two = at.of[second];
    double angle = std::arg(two.pressure[0] / one.pressure[0]);
    if (one.takenAt) {
        // Common curves hold their paths to the microphone: taken out.
        angle += k * (length(*two.takenAt - two.place) - length(*one.takenAt - one.place));
    }
    return std::remainder(angle, 2.0 * pi);
}

Result<std::size_t> indexOf(const Speaker& speaker, const std::string& name, std::size_t place) {
    const auto found = std::ranges::find(speaker.drivers, name, &SpeakerDriver::name);
    if (found == speaker.drivers.end()) {
        std::vector<std::string> names;
        for (const SpeakerDriver& d : speaker.drivers) {
            names.push_back(d.name);
        }
        return Error{
            text::join("pair", place),
            say(YF_WORDS("core", "'%1' is unknown"), name),
            say(YF_WORDS("core", "the nearest known driver is %1"), text::nearest(name, names))};
    }
    return static_cast<std::size_t>(found - speaker.drivers.begin());
}

Result<bool> putLobes(const PolarRequest& r, PolarAnswer& answer) {
    YF_TRY(first, indexOf(r.speaker, r.pair->front(), 0));
    YF_TRY(second, indexOf(r.speaker, r.pair->back(), 1));
    YF_TRY(at, radiatorsOf(r.speaker, {*r.fx}, "speaker"));
    const Point apart = at.of[second].place - at.of[first].place;
    const double k = waveNumbers(at.axis).front();
    answer.psi0 = phaseOf(at, first, second);
    answer.lobes = lobes({.d = r.plane == quantity::Plane::vertical ? apart.y : apart.x,
                          .dz = apart.z,
                          .psi0 = answer.psi0,
                          .k = k});
    answer.wavelengths = answer.lobes->spacing * k / (2.0 * pi);
    return true;
}

} // namespace

Direction inPlane(quantity::Plane plane, double angle) {
    return plane == quantity::Plane::horizontal ? Direction{angle, 0.0} : Direction{0.0, angle};
}

Averages averages(const Radiators& radiators, double distance, quantity::Space space) {
    Averages result;
    result.listeningWindow = means(radiators, distance, listeningWindow());
    result.soundPower = means(radiators, distance, rings(space));
    const Direction ahead;
    const auto axis = sums(radiators, std::span(&ahead, 1), distance).front();
    for (std::size_t k = 0; k < axis.size(); ++k) {
        result.directivity.push_back(levelOf(axis[k]) - result.soundPower[k]);
    }
    return result;
}

std::optional<double> beamwidth(std::span<const double> angles, std::span<const double> relative) {
    constexpr double down = -6.0;
    const auto zero = std::ranges::min_element(angles, {}, [](double a) { return std::abs(a); });
    const auto start = zero - angles.begin();
    double width = 0.0;
    for (const std::ptrdiff_t step : {std::ptrdiff_t{1}, std::ptrdiff_t{-1}}) {
        std::optional<double> reached;
        for (std::ptrdiff_t i = start + step;
             i >= 0 && i < static_cast<std::ptrdiff_t>(angles.size());
             i += step) {
            const auto now = static_cast<std::size_t>(i);
            const auto before = static_cast<std::size_t>(i - step);
            if (relative[now] <= down) {
                const double share = (down - relative[before]) / (relative[now] - relative[before]);
                reached = angles[before] + share * (angles[now] - angles[before]);
                break;
            }
        }
        if (!reached) {
            return std::nullopt;
        }
        width += std::abs(*reached);
    }
    return width;
}

std::optional<Error> check(const PolarRequest& r) {
    if (r.pair.has_value() != r.fx.has_value()) {
        return Error{r.pair ? "fx_hz" : "pair", "missing", "lobes need a pair and its fx_hz"};
    }
    if (r.pair && (r.pair->size() != 2 || r.pair->front() == r.pair->back())) {
        return Error{"pair",
                     r.pair->size() == 2
                         ? say(YF_WORDS("core", "'%1' given twice"), r.pair->front())
                         : text::given(std::to_string(r.pair->size())),
                     "must be two different drivers"};
    }
    if (r.angles) {
        if (r.angles->empty()) {
            return Error{"angles_deg", "none given", "must be one or more"};
        }
        for (std::size_t i = 1; i < r.angles->size(); ++i) {
            if (!((*r.angles)[i] > (*r.angles)[i - 1])) {
                return Error{text::join("angles_deg", i), "not above the one before", "must rise"};
            }
        }
        const double most = r.plane == quantity::Plane::vertical ? 90.0 : 180.0;
        for (std::size_t i = 0; i < r.angles->size(); ++i) {
            if (!(std::abs((*r.angles)[i]) <= most * quantity::degree + 1e-12)) {
                return Error{text::join("angles_deg", i),
                             text::given(text::printNumber((*r.angles)[i] / quantity::degree)),
                             "must be within 90 degrees in the vertical plane"};
            }
        }
    }
    return std::nullopt;
}

Result<PolarAnswer> polar(const PolarRequest& r) {
    const curve::Range held = heldBy(r.speaker);
    PolarAnswer answer;
    answer.frequencies =
        r.frequencies ? *r.frequencies : curve::within(curve::designAxis(), held.from, held.to);
    if (answer.frequencies.empty()) {
        return Error{"frequencies_hz", "none", "the drivers' curves must share a range"};
    }
    if (auto error = measure::checkRising(answer.frequencies, "frequencies_hz")) {
        return *error;
    }
    if (r.angles) {
        answer.angles = *r.angles;
    } else {
        for (int degrees = -90; degrees <= 90; degrees += 5) {
            answer.angles.push_back(degrees * quantity::degree);
        }
    }
    YF_TRY(radiators, radiatorsOf(r.speaker, answer.frequencies, "speaker"));
    constexpr double usual = 2.0;
    const double D = r.distance.value_or(r.speaker.listening.distance.value_or(usual));
    std::vector<Direction> directions{{}};
    for (const double angle : answer.angles) {
        directions.push_back(inPlane(r.plane, angle));
    }
    const auto all = sums(radiators, directions, D);
    answer.averages = averages(radiators, D, r.speaker.space);
    // A null on the axis makes every relation to it meaningless; the level is still a figure.
    const bool aroundAxis = answer.angles.front() <= 1e-12 && answer.angles.back() >= -1e-12;
    for (std::size_t k = 0; k < answer.frequencies.size(); ++k) {
        auto& levels = answer.levels.emplace_back();
        auto& relative = answer.relative.emplace_back();
        const double ahead = levelOf(all[0][k]);
        for (std::size_t a = 0; a < answer.angles.size(); ++a) {
            levels.push_back(levelOf(all[a + 1][k]));
            relative.push_back(levels.back() - ahead);
        }
        answer.beamwidths.push_back(aroundAxis ? beamwidth(answer.angles, relative) : std::nullopt);
    }
    if (r.pair) {
        YF_TRY(done, putLobes(r, answer));
        static_cast<void>(done);
    }
    return answer;
}

text::Value PolarAnswer::write() const {
    using text::Value;
    const auto list = [](const std::vector<double>& values, double unit = 1.0) {
        Value::List out;
        for (const double v : values) {
            out.emplace_back(v / unit);
        }
        return out;
    };
    const auto rows = [&](const std::vector<std::vector<double>>& all) {
        Value::List out;
        for (const auto& row : all) {
            out.emplace_back(list(row));
        }
        return out;
    };
    Value::List widths;
    for (const auto& width : beamwidths) {
        widths.push_back(width ? Value{*width / quantity::degree} : Value{});
    }
    Value::Object object{{"frequencies_hz", list(frequencies)},
                         {"angles_deg", list(angles, quantity::degree)},
                         {"levels_db", rows(levels)},
                         {"relative_db", rows(relative)},
                         {"listening_window_db", list(averages.listeningWindow)},
                         {"sound_power_db", list(averages.soundPower)},
                         {"directivity_index_db", list(averages.directivity)},
                         {"beamwidth_deg", std::move(widths)}};
    if (lobes) {
        object.push_back({"spacing_m", lobes->spacing});
        object.push_back({"spacing_wavelengths", wavelengths});
        object.push_back({"phase_difference_deg", psi0 / quantity::degree});
        object.push_back(
            {"peak_deg", lobes->peak ? Value{*lobes->peak / quantity::degree} : Value{}});
        object.push_back({"nulls_deg", list(lobes->nulls, quantity::degree)});
    }
    return object;
}

} // namespace yf::speaker
