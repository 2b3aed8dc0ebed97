// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/json.h"

#include "core/measure/inputs.h"
#include "core/quantity/level.h"
#include "core/text/fields.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>

namespace yf::measure {

namespace {

/// Numbers of a list under one of its names.
Result<std::optional<std::vector<double>>>
listOf(const text::Value& value, std::string_view key, std::size_t count) {
    const text::Value* found = value.find(key);
    if (found == nullptr || found->isNull()) {
        return std::optional<std::vector<double>>();
    }
    const auto* list = found->list();
    if (list == nullptr) {
        return Error{std::string(key),
                     YF_WORDS("core", "no list"),
                     YF_WORDS("core", "must be a list of numbers")};
    }
    std::vector<double> numbers;
    for (const text::Value& entry : *list) {
        if (entry.number() == nullptr) {
            return Error{std::string(key) + "[" + std::to_string(numbers.size()) + "]",
                         YF_WORDS("core", "no number"),
                         YF_WORDS("core", "must be a number")};
        }
        numbers.push_back(*entry.number());
    }
    if (count > 0 && numbers.size() != count) {
        return Error{std::string(key),
                     say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                         std::to_string(numbers.size()),
                         std::to_string(count)),
                     ""};
    }
    return std::optional(std::move(numbers));
}

} // namespace

Result<ImportedTable> readJson(const std::string& text) {
    auto value = text::parseJson(text);
    if (!value) {
        return Error{"text", value.error().given, YF_WORDS("core", "must be one JSON object")};
    }
    YF_TRY(frequencies, listOf(*value, "frequencies_hz", 0));
    if (!frequencies) {
        return Error{"frequencies_hz", "missing", YF_WORDS("core", "must be a list of numbers")};
    }
    const std::size_t count = frequencies->size();
    if (count < 2) {
        return Error{"frequencies_hz",
                     text::given(std::to_string(count)),
                     YF_WORDS("core", "must be 2 or more")};
    }
    if (!(frequencies->front() > 0.0)) {
        return Error{"frequencies_hz[0]",
                     YF_WORDS("core", "not above 0"),
                     YF_WORDS("core", "must be above 0")};
    }
    if (auto error = checkRising(*frequencies, "frequencies_hz")) {
        return *error;
    }
    YF_TRY(levels, listOf(*value, "levels_db", count));
    YF_TRY(ohms, listOf(*value, "impedances_ohm", count));
    YF_TRY(magnitudes, listOf(*value, "magnitudes_ohm", count));
    YF_TRY(phases, listOf(*value, "phases_deg", count));
    ImportedTable table{.frequencies = *frequencies,
                        .levels = levels,
                        .magnitudes = ohms ? ohms : magnitudes,
                        .hasPhase = phases.has_value(),
                        .form = "json",
                        .rows = static_cast<int>(count),
                        .columns = phases ? 3 : 2,
                        .delimiter = "comma",
                        .decimal = "point"};
    if (table.levels.has_value() == table.magnitudes.has_value()) {
        return Error{"levels_db",
                     table.levels ? YF_WORDS("core", "given beside impedances_ohm") : "missing",
                     YF_WORDS("core", "must be given, or impedances_ohm")};
    }
    if (table.magnitudes) {
        const auto bad =
            std::ranges::find_if(*table.magnitudes, [](double v) { return !(v > 0.0); });
        if (bad != table.magnitudes->end()) {
            return Error{"impedances_ohm[" + std::to_string(bad - table.magnitudes->begin()) + "]",
                         text::printNumber(*bad),
                         YF_WORDS("core", "must be above 0")};
        }
    }
    table.quantity = table.magnitudes ? "impedance" : "level";
    if (phases) {
        for (double& phase : *phases) {
            phase *= quantity::degree;
        }
        table.phases = std::move(phases);
    }
    return table;
}

} // namespace yf::measure
