// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/polar.h"

#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <map>
#include <numbers>

namespace yf::measure {

namespace {

using text::printNumber;
using text::Value;

constexpr double pi = std::numbers::pi;

/// Both planes over whole degrees; 0 and 180 serve both.
class PolarSet {
public:
    PolarSet(const PolarRequest& request) : count_(request.frequencies.size()) {
        for (const PolarCurve& curve : request.curves) {
            put(curve.plane, curve.angle, curve.levels);
        }
    }

    void put(quantity::Plane plane, double angle, const std::vector<double>& levels) {
        if (angle == -180.0) {
            angle = 180.0;
        }
        planes_[at(plane)].emplace(angle, levels);
        if (angle == 0.0 || angle == 180.0) {
            planes_[1 - at(plane)].emplace(angle, levels);
        }
    }

    /// Copies −θ from +θ; whether anything was missing.
    bool mirror() {
        bool any = false;
        for (auto& plane : planes_) {
            const auto own = plane;
            for (const auto& [angle, levels] : own) {
                any = plane.emplace(-angle == -180.0 ? 180.0 : -angle, levels).second || any;
            }
        }
        return any;
    }

    bool copyToVertical() {
        bool any = false;
        for (const auto& [angle, levels] : planes_[0]) {
            any = planes_[1].emplace(angle, levels).second || any;
        }
        return any;
    }

    /// Levels at an angle: measured, or between neighbours at most 30° apart.
    [[nodiscard]] std::optional<std::vector<double>> levels(quantity::Plane plane,
                                                            double angle) const {
        const auto& map = planes_[at(plane)];
        if (const auto exact = map.find(angle); exact != map.end()) {
            return exact->second;
        }
        const auto above = map.upper_bound(angle);
        std::optional<std::pair<double, const std::vector<double>*>> below;
        std::optional<std::pair<double, const std::vector<double>*>> over;
        if (above != map.begin()) {
            const auto before = std::prev(above);
            below = {before->first, &before->second};
        } else if (const auto back = map.find(180.0); back != map.end()) {
            below = {-180.0, &back->second};
        }
        if (above != map.end()) {
            over = {above->first, &above->second};
        }
        constexpr double widest = 30.0;
        if (!below || !over || over->first - below->first > widest) {
            return std::nullopt;
        }
        const double t = (angle - below->first) / (over->first - below->first);
        std::vector<double> result(count_);
        for (std::size_t i = 0; i < count_; ++i) {
            result[i] = (1.0 - t) * (*below->second)[i] + t * (*over->second)[i];
        }
        return result;
    }

    [[nodiscard]] bool measured(quantity::Plane plane, double angle) const {
        return planes_[at(plane)].contains(angle);
    }

    [[nodiscard]] const std::map<double, std::vector<double>>& of(quantity::Plane plane) const {
        return planes_[at(plane)];
    }

private:
    static std::size_t at(quantity::Plane plane) { return static_cast<std::size_t>(plane); }

    std::size_t count_;
    std::array<std::map<double, std::vector<double>>, 2> planes_;
};

using Levels = std::vector<double>;

struct Place {
    quantity::Plane plane;
    double angle;
    double weight{1.0};
};

/// Weighted mean of |p|² in dB; nothing where a place is missing.
std::optional<Levels>
meanOf(const PolarSet& set, const std::vector<Place>& places, std::size_t count) {
    Levels sum(count);
    double weights = 0.0;
    for (const Place& place : places) {
        const auto levels = set.levels(place.plane, place.angle);
        if (!levels) {
            return std::nullopt;
        }
        for (std::size_t i = 0; i < count; ++i) {
            sum[i] += place.weight * std::pow(10.0, (*levels)[i] / 10.0);
        }
        weights += place.weight;
    }
    for (double& v : sum) {
        v = 10.0 * std::log10(v / weights);
    }
    return sum;
}

std::vector<Place> list(quantity::Plane plane, std::initializer_list<double> angles) {
    std::vector<Place> places;
    for (const double angle : angles) {
        places.push_back({plane, angle});
    }
    return places;
}

std::vector<Place> bothSides(quantity::Plane plane, double from, double to) {
    std::vector<Place> places;
    for (double angle = from; angle <= to; angle += 10.0) {
        places.push_back({plane, angle});
        if (angle > 0.0 && angle < 180.0) {
            places.push_back({plane, -angle});
        }
    }
    return places;
}

std::optional<Levels> energyMean(const std::vector<std::pair<const Levels*, double>>& parts) {
    Levels sum(parts.front().first->size());
    double weights = 0.0;
    for (const auto& [levels, weight] : parts) {
        for (std::size_t i = 0; i < sum.size(); ++i) {
            sum[i] += weight * std::pow(10.0, (*levels)[i] / 10.0);
        }
        weights += weight;
    }
    for (double& v : sum) {
        v = 10.0 * std::log10(v / weights);
    }
    return sum;
}

std::optional<Levels> earlyReflectionsOf(const PolarSet& set, std::size_t count) {
    const std::array groups{meanOf(set, list(quantity::Plane::vertical, {-20, -30, -40}), count),
                            meanOf(set, list(quantity::Plane::vertical, {40, 50, 60}), count),
                            meanOf(set, bothSides(quantity::Plane::horizontal, 0, 30), count),
                            meanOf(set, bothSides(quantity::Plane::horizontal, 40, 80), count),
                            meanOf(set, bothSides(quantity::Plane::horizontal, 90, 180), count)};
    std::vector<std::pair<const Levels*, double>> parts;
    for (const auto& group : groups) {
        if (!group) {
            return std::nullopt;
        }
        parts.emplace_back(&*group, 1.0);
    }
    return energyMean(parts);
}

std::optional<Levels> soundPowerOf(const PolarSet& set, std::size_t count) {
    constexpr double step = 10.0;
    std::vector<Place> places;
    for (const quantity::Plane plane : {quantity::Plane::horizontal, quantity::Plane::vertical}) {
        for (double angle = -170.0; angle <= 180.0; angle += step) {
            const double share = sphereShare(std::abs(angle) * pi / 180.0, step * pi / 180.0);
            // 0° and 180° belong to both half orbits of a plane.
            places.push_back({plane, angle, angle == 0.0 || angle == 180.0 ? 2.0 * share : share});
        }
    }
    return meanOf(set, places, count);
}

/// Sum of the angles to both sides at which the level first falls 6 dB below the axis.
std::optional<Levels> beamwidthOf(const PolarSet& set, quantity::Plane plane, const Levels& axis) {
    const auto& map = set.of(plane);
    Levels width(axis.size());
    for (std::size_t i = 0; i < axis.size(); ++i) {
        for (const double side : {1.0, -1.0}) {
            double before = 0.0;
            double levelBefore = 0.0;
            bool any = false;
            bool reached = false;
            std::vector<std::pair<double, double>> points;
            for (const auto& [angle, levels] : map) {
                if (side * angle > 0.0 || (angle == 180.0 && side < 0.0)) {
                    points.emplace_back(std::abs(angle), levels[i] - axis[i]);
                }
            }
            std::ranges::sort(points);
            for (const auto& [angle, level] : points) {
                any = true;
                constexpr double down = -6.0;
                if (level <= down) {
                    const double t = (down - levelBefore) / (level - levelBefore);
                    width[i] += before + t * (angle - before);
                    reached = true;
                    break;
                }
                before = angle;
                levelBefore = level;
            }
            if (!any || (!reached && before < 180.0)) {
                return std::nullopt;
            }
            if (!reached) {
                width[i] += 180.0;
            }
        }
    }
    return width;
}

double cap(double alpha) {
    return std::asin(std::sin(alpha) * std::sin(alpha));
}

bool isLetter(char c) {
    return std::isalpha(static_cast<unsigned char>(c)) != 0;
}

/// A plane word and what follows it in a name.
struct Found {
    quantity::Plane plane;
    bool minusSure{}; ///< a sign that can be no hyphen
    bool hyphen{};    ///< directly after the word
    double angle{};
};

std::optional<Found> angleAfter(const std::string& name, std::size_t end, quantity::Plane plane) {
    std::size_t i = end;
    Found found{.plane = plane};
    bool separator = false;
    while (i < name.size() && (name[i] == '_' || name[i] == ' ' || name[i] == '.')) {
        separator = true;
        ++i;
    }
    if (i < name.size() && (name[i] == '-' || name[i] == '+')) {
        found.minusSure = name[i] == '-' && separator;
        found.hyphen = name[i] == '-' && !separator;
        ++i;
        if (i < name.size() && name[i] == '-') { // "hor--30": the second is the sign
            found.minusSure = true;
            found.hyphen = false;
            ++i;
        }
    }
    std::size_t last = i;
    while (last < name.size() && std::isdigit(static_cast<unsigned char>(name[last])) != 0) {
        ++last;
    }
    if (last == i || last - i > 3) {
        return std::nullopt;
    }
    found.angle = std::stod(name.substr(i, last - i));
    if (found.angle > 180.0) {
        return std::nullopt;
    }
    return found;
}

std::optional<Found> findIn(const std::string& name, bool& hasPlane) {
    static constexpr std::array<std::pair<std::string_view, quantity::Plane>, 6> words{
        {{"horizontal", quantity::Plane::horizontal},
         {"vertical", quantity::Plane::vertical},
         {"hor", quantity::Plane::horizontal},
         {"ver", quantity::Plane::vertical},
         {"h", quantity::Plane::horizontal},
         {"v", quantity::Plane::vertical}}};
    std::string lower;
    for (const char c : name) {
        lower += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    }
    for (const auto& [word, plane] : words) {
        for (std::size_t at = lower.find(word); at != std::string::npos;
             at = lower.find(word, at + 1)) {
            const std::size_t end = at + word.size();
            const bool alone = (at == 0 || !isLetter(lower[at - 1])) &&
                               (end >= lower.size() || !isLetter(lower[end]));
            if (!alone) {
                continue;
            }
            hasPlane = true;
            if (auto found = angleAfter(lower, end, plane)) {
                return found;
            }
        }
    }
    return std::nullopt;
}

std::string placeName(quantity::Plane plane, double angle) {
    return std::string(plane == quantity::Plane::horizontal ? "horizontal " : "vertical ") +
           printNumber(angle);
}

} // namespace

double sphereShare(double angle, double step) {
    if (angle > 0.5 * pi) {
        angle = pi - angle;
    }
    constexpr double rounding = 1e-9;
    if (angle < rounding) {
        return cap(0.5 * step) / (4.0 * pi);
    }
    if (angle > 0.5 * pi - rounding) {
        return 2.0 * (0.5 * pi - cap(0.5 * pi - 0.5 * step)) / (4.0 * pi);
    }
    return (cap(angle + 0.5 * step) - cap(angle - 0.5 * step)) / (4.0 * pi);
}

std::optional<Error> check(const PolarRequest& r) {
    if (auto error = checkRising(r.frequencies, "frequencies_hz")) {
        return error;
    }
    if (r.frequencies.empty()) {
        return Error{"frequencies_hz", "empty", "must be one or more"};
    }
    bool axis = false;
    for (std::size_t i = 0; i < r.curves.size(); ++i) {
        const PolarCurve& curve = r.curves[i];
        const std::string path = "curves[" + std::to_string(i) + "]";
        if (curve.levels.size() != r.frequencies.size()) {
            return Error{path + ".levels_db",
                         say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                             std::to_string(curve.levels.size()),
                             std::to_string(r.frequencies.size())),
                         ""};
        }
        for (std::size_t j = 0; j < i; ++j) {
            const bool shared =
                std::abs(curve.angle) == 180.0 && std::abs(r.curves[j].angle) == 180.0;
            if (r.curves[j].plane == curve.plane && (r.curves[j].angle == curve.angle || shared)) {
                return Error{
                    path + ".angle_deg",
                    curve.plane == quantity::Plane::horizontal
                        ? say(YF_WORDS("core", "%1 is given twice in the horizontal plane"),
                              printNumber(curve.angle))
                        : say(YF_WORDS("core", "%1 is given twice in the vertical plane"),
                              printNumber(curve.angle)),
                    ""};
            }
        }
        axis = axis || curve.angle == 0.0;
    }
    if (!axis) {
        return Error{"curves", "none at 0°", "must hold the axis"};
    }
    return std::nullopt;
}

Result<PolarSummary> polarSummary(const PolarRequest& request) {
    PolarSet set(request);
    PolarSummary s{.frequencies = request.frequencies};
    if (request.fill == Fill::axisymmetric && set.copyToVertical()) {
        s.warnings.emplace_back("axisymmetric");
    }
    if (request.fill != Fill::none && set.mirror()) {
        s.warnings.emplace_back("mirrored");
        if (request.fill == Fill::axisymmetric) {
            set.copyToVertical();
        }
    }
    const std::size_t count = request.frequencies.size();
    s.onAxis = *set.levels(quantity::Plane::horizontal, 0.0);
    std::vector<Place> window = bothSides(quantity::Plane::horizontal, 0, 30);
    window.push_back({quantity::Plane::vertical, 10.0});
    window.push_back({quantity::Plane::vertical, -10.0});
    s.listeningWindow = meanOf(set, window, count);
    s.earlyReflections = earlyReflectionsOf(set, count);
    s.soundPower = soundPowerOf(set, count);
    const auto less = [&](const Levels& a, const Levels& b) {
        Levels d(count);
        for (std::size_t i = 0; i < count; ++i) {
            d[i] = a[i] - b[i];
        }
        return d;
    };
    if (s.listeningWindow && s.soundPower) {
        s.directivityIndex = less(*s.listeningWindow, *s.soundPower);
    }
    if (s.listeningWindow && s.earlyReflections) {
        s.earlyReflectionsIndex = less(*s.listeningWindow, *s.earlyReflections);
    }
    if (s.listeningWindow && s.earlyReflections && s.soundPower) {
        constexpr double direct = 0.12;
        constexpr double others = 0.44;
        s.inRoom = energyMean({{&*s.listeningWindow, direct},
                               {&*s.earlyReflections, others},
                               {&*s.soundPower, others}});
    }
    s.beamwidthHorizontal = beamwidthOf(set, quantity::Plane::horizontal, s.onAxis);
    s.beamwidthVertical = beamwidthOf(set, quantity::Plane::vertical, s.onAxis);
    for (const quantity::Plane plane : {quantity::Plane::horizontal, quantity::Plane::vertical}) {
        for (double angle = -170.0; angle <= 180.0; angle += 10.0) {
            if (!set.measured(plane, angle)) {
                s.missing.push_back(placeName(plane, angle));
            }
        }
    }
    if (!s.listeningWindow) {
        s.warnings.emplace_back("listening_window_incomplete");
    }
    if (!s.soundPower) {
        s.warnings.emplace_back("sound_power_incomplete");
    }
    return s;
}

Value PolarSummary::write() const {
    Value::Object out{{"frequencies_hz", frequencies}, {"on_axis_db", onAxis}};
    const std::pair<const char*, const std::optional<Levels>*> maybe[] = {
        {"listening_window_db", &listeningWindow},
        {"early_reflections_db", &earlyReflections},
        {"sound_power_db", &soundPower},
        {"directivity_index_db", &directivityIndex},
        {"early_reflections_index_db", &earlyReflectionsIndex},
        {"in_room_db", &inRoom},
        {"beamwidth_horizontal_deg", &beamwidthHorizontal},
        {"beamwidth_vertical_deg", &beamwidthVertical}};
    for (const auto& [key, levels] : maybe) {
        if (*levels) {
            out.push_back({key, **levels});
        }
    }
    out.push_back({"missing_angles", missing});
    out.push_back({"warnings", warnings});
    return out;
}

std::vector<PolarFile> readPolarNames(const std::vector<std::string>& names) {
    std::vector<PolarFile> files;
    std::vector<std::optional<Found>> found;
    for (const std::string& name : names) {
        bool hasPlane = false;
        found.push_back(findIn(name, hasPlane));
        files.push_back({.name = name,
                         .problem = found.back() ? ""
                                    : hasPlane   ? "no angle"
                                                 : "no plane"});
    }
    for (std::size_t i = 0; i < files.size(); ++i) {
        if (!found[i]) {
            continue;
        }
        bool minus = found[i]->minusSure;
        if (found[i]->hyphen && found[i]->angle > 0.0) {
            minus = std::ranges::any_of(found, [&](const auto& other) {
                return other && !other->hyphen && !other->minusSure &&
                       other->plane == found[i]->plane && other->angle == found[i]->angle;
            });
        }
        files[i].plane = found[i]->plane;
        files[i].angle = minus ? -found[i]->angle : found[i]->angle;
    }
    for (std::size_t i = 0; i < files.size(); ++i) {
        for (std::size_t j = 0; j < files.size(); ++j) {
            if (i != j && files[i].angle && files[i].plane == files[j].plane &&
                files[i].angle == files[j].angle) {
                files[i].problem = "twice";
            }
        }
    }
    return files;
}

} // namespace yf::measure
