// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/fact.h"

#include <cmath>

namespace yf::findings {

void Facts::put(const Figure& figure, double value) {
    if (std::isfinite(value)) {
        put({&figure, value});
    }
}

void Facts::put(const Flag& flag, bool value) {
    put({&flag, value});
}

void Facts::put(const Entry& entry) {
    values_.insert_or_assign(entry.kind->name, entry);
}

std::optional<double> Facts::operator[](const Figure& figure) const {
    const Fact* value = find(figure);
    return value == nullptr ? std::nullopt : std::optional(std::get<double>(*value));
}

std::optional<bool> Facts::operator[](const Flag& flag) const {
    const Fact* value = find(flag);
    return value == nullptr ? std::nullopt : std::optional(std::get<bool>(*value));
}

const Fact* Facts::find(const FactKind& kind) const {
    const auto found = values_.find(kind.name);
    return found == values_.end() ? nullptr : &found->second.value;
}

} // namespace yf::findings
