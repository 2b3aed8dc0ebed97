// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/lane.h"

#include "core/edit/circuit.h"

#include <algorithm>
#include <cmath>

namespace yf::edit {

namespace {

using network::Circuit;
using network::Line;

Result<Line> lineAt(const Circuit& circuit, const LinePlace& place) {
    const auto line = network::lineOf(circuit, place.way);
    if (!line || (place.filter && *place.filter >= line->filters.size())) {
        return Error{"filter",
                     YF_WORDS("core", "not there"),
                     YF_WORDS("core", "must be one before an amplifier of this network")};
    }
    return *line;
}

Words wordsAt(const Circuit& circuit, const LinePlace& place) {
    const auto line = network::lineOf(circuit, place.way);
    if (!line || (place.filter && *place.filter >= line->filters.size())) {
        return {};
    }
    return place.filter ? network::words(line->filters[*place.filter]) : network::gainWords(*line);
}

std::string percent(double position) {
    constexpr double hundred = 100.0;
    return text::printFixed(hundred * position, 0) + std::string(text::thinSpace) + "%";
}

Result<network::ControlSlot> controlOf(const Circuit& circuit, const std::string& id) {
    const auto all = network::controls(circuit);
    const auto found = std::ranges::find(all, id, &network::ControlSlot::id);
    if (found == all.end()) {
        return Error{"control", say(YF_WORDS("core", "'%1' is not in this network"), id), ""};
    }
    return *found;
}

/// Between what a way is cut to by the filters it has; a customary place where it has none.
double middleOf(const Line& line) {
    constexpr double customary = 1000.0;
    std::optional<double> low;
    std::optional<double> high;
    for (const network::LineFilter& f : line.filters) {
        if (f.kind == network::BiquadKind::highPass) {
            low = std::max(low.value_or(f.f0), f.f0);
        } else if (f.kind == network::BiquadKind::lowPass) {
            high = std::min(high.value_or(f.f0), f.f0);
        }
    }
    constexpr double octave = 2.0;
    return low && high ? std::sqrt(*low * *high)
           : low       ? *low * octave
           : high      ? *high / octave
                       : customary;
}

} // namespace

Edit separateAmplifiers(const std::string& cabinet, bool own) {
    return circuitEdit(cabinet,
                       own ? YF_WORDS("core", "An amplifier for each way")
                           : YF_WORDS("core", "One amplifier for all ways"),
                       [own](const Circuit& c) { return network::separated(c, own); });
}

Edit changeLine(const std::string& cabinet,
                std::size_t way,
                const Line& line,
                Words what,
                std::string mergeKey) {
    return circuitEdit(
        cabinet,
        say(YF_WORDS("core", "Change to %1"), std::move(what)),
        [way, line](const Circuit& c) { return network::withLine(c, way, line); },
        std::move(mergeKey));
}

Edit stepLine(const std::string& cabinet,
              const LinePlace& place,
              int steps,
              bool fine,
              std::string mergeKey) {
    Edit edit = circuitEdit(
        cabinet,
        YF_WORDS("core", "Step a filter"),
        [place, steps, fine](const Circuit& c) -> Result<Circuit> {
            YF_TRY(line, lineAt(c, place));
            return network::withLine(
                c, place.way, network::steppedLine(line, place.filter, steps, fine));
        },
        std::move(mergeKey));
    edit.nameAfter = [cabinet, place](const job::Job& job) {
        const job::Cabinet* found = job::findCabinet(job, cabinet);
        return found == nullptr
                   ? Words{}
                   : say(YF_WORDS("core", "Change to %1"), wordsAt(found->circuit, place));
    };
    return edit;
}

Edit insertFilter(const std::string& cabinet, const LinePlace& place, network::BiquadKind kind) {
    return circuitEdit(
        cabinet,
        YF_WORDS("core", "Insert a filter before the amplifier"),
        [place, kind](const Circuit& c) -> Result<Circuit> {
            YF_TRY(line, lineAt(c, {place.way, {}}));
            const std::size_t at =
                std::min(place.filter.value_or(line.filters.size()), line.filters.size());
            line.filters.insert(line.filters.begin() + static_cast<std::ptrdiff_t>(at),
                                network::newFilter(kind, middleOf(line)));
            return network::withLine(c, place.way, line);
        });
}

Edit removeFilter(const std::string& cabinet, const LinePlace& place) {
    return circuitEdit(cabinet,
                       place.filter ? YF_WORDS("core", "Take a filter out")
                                    : YF_WORDS("core", "No gain and no delay"),
                       [place](const Circuit& c) -> Result<Circuit> {
                           YF_TRY(line, lineAt(c, place));
                           if (place.filter) {
                               line.filters.erase(line.filters.begin() +
                                                  static_cast<std::ptrdiff_t>(*place.filter));
                           } else {
                               line.gain = 0.0;
                               line.delay = 0.0;
                           }
                           return network::withLine(c, place.way, line);
                       });
}

Edit changeControl(const std::string& cabinet,
                   const network::ControlSlot& control,
                   std::string mergeKey) {
    return circuitEdit(
        cabinet,
        say(YF_WORDS("core", "Set %1 to %2"), control.id, percent(control.position)),
        [control](const Circuit& c) { return network::withControl(c, control); },
        std::move(mergeKey));
}

Edit stepControl(
    const std::string& cabinet, const std::string& id, int steps, bool fine, std::string mergeKey) {
    const double parts = fine ? 100.0 : 20.0;
    Edit edit = circuitEdit(
        cabinet,
        say(YF_WORDS("core", "Turn %1"), id),
        [id, steps, parts](const Circuit& c) -> Result<Circuit> {
            YF_TRY(control, controlOf(c, id));
            control.position =
                std::clamp((std::round(control.position * parts) + steps) / parts, 0.0, 1.0);
            return network::withControl(c, control);
        },
        std::move(mergeKey));
    edit.nameAfter = [cabinet, id](const job::Job& job) {
        const job::Cabinet* found = job::findCabinet(job, cabinet);
        const auto control = found == nullptr ? Result<network::ControlSlot>(Error{})
                                              : controlOf(found->circuit, id);
        return control ? say(YF_WORDS("core", "Set %1 to %2"), id, percent(control->position))
                       : std::string{};
    };
    return edit;
}

Edit insertControl(const std::string& cabinet,
                   const network::SlotPlace& place,
                   network::ControlKind kind) {
    constexpr double customary = 8.0; // Ω
    constexpr double middle = 0.5;
    return circuitEdit(
        cabinet, YF_WORDS("core", "Insert a level control"), [place, kind](const Circuit& c) {
            return network::withNewControl(
                c, place.way, place.slot, {.kind = kind, .total = customary, .position = middle});
        });
}

Edit removeControl(const std::string& cabinet, const std::string& id) {
    return circuitEdit(cabinet, say(YF_WORDS("core", "Take %1 out"), id), [id](const Circuit& c) {
        return network::withoutControl(c, id);
    });
}

Edit fixControl(const std::string& cabinet, const std::string& id, network::ESeries series) {
    return circuitEdit(
        cabinet,
        say(YF_WORDS("core", "Fixed resistors for %1"), id),
        [id, series](const Circuit& c) { return network::withFixedPad(c, id, series); });
}

} // namespace yf::edit
