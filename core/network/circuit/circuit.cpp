// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/circuit/circuit.h"

#include "core/quantity/quantities.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace yf::network {

namespace {

void collectEnds(const Section& section, std::vector<DriverEnd>& ends) {
    if (const auto* end = std::get_if<DriverEnd>(&section.end)) {
        ends.push_back(*end);
        return;
    }
    for (const Section& child : std::get<Ways>(section.end).sections) {
        collectEnds(child, ends);
    }
}

void collectParts(const Section& section, std::vector<Part>& found) {
    const auto take = [&](const Part& part) { found.push_back(part); };
    for (const Slot& slot : section.ladder) {
        if (const auto* series = std::get_if<SeriesSlot>(&slot)) {
            forEachPart(series->port, take);
        } else if (const auto* shunt = std::get_if<ShuntSlot>(&slot)) {
            forEachPart(shunt->port, take);
        }
    }
    if (const auto* ways = std::get_if<Ways>(&section.end)) {
        for (const Section& child : ways->sections) {
            collectParts(child, found);
        }
    }
}

void collectNames(const Section& section, std::vector<std::string>& names) {
    if (const auto* end = std::get_if<DriverEnd>(&section.end)) {
        names.push_back(section.name.empty() ? end->driver : section.name);
        return;
    }
    for (const Section& child : std::get<Ways>(section.end).sections) {
        collectNames(child, names);
    }
}

} // namespace

bool Ways::operator==(const Ways& other) const = default;

std::vector<DriverEnd> driverEnds(const Circuit& circuit) {
    std::vector<DriverEnd> ends;
    if (const Section* tree = circuit.tree()) {
        collectEnds(*tree, ends);
    } else {
        for (const NetDriver& driver : circuit.net()->drivers) {
            ends.push_back(driver.end);
        }
    }
    return ends;
}

std::vector<Part> parts(const Circuit& circuit) {
    std::vector<Part> found;
    if (const Section* tree = circuit.tree()) {
        collectParts(*tree, found);
    } else {
        for (const NetPart& part : circuit.net()->parts) {
            forEachPart(part.port, [&](const Part& p) { found.push_back(p); });
        }
    }
    return found;
}

std::vector<std::string> wayNames(const Circuit& circuit) {
    std::vector<std::string> names;
    if (const Section* tree = circuit.tree()) {
        collectNames(*tree, names);
    } else {
        for (const NetDriver& driver : circuit.net()->drivers) {
            names.push_back(driver.end.driver);
        }
    }
    return names;
}

bool ownAmplifiers(const Circuit& circuit) {
    const auto* ways =
        circuit.tree() == nullptr ? nullptr : std::get_if<Ways>(&circuit.tree()->end);
    return ways != nullptr &&
           std::ranges::any_of(ways->sections, [](const Section& s) { return s.line.has_value(); });
}

std::vector<Circuit> amplifiers(const Circuit& circuit) {
    if (!ownAmplifiers(circuit)) {
        Circuit one = circuit;
        if (Section* tree = one.tree()) {
            tree->line.reset();
        }
        return {one};
    }
    std::vector<Circuit> all;
    for (const Section& way : std::get<Ways>(circuit.tree()->end).sections) {
        Circuit one{.source = circuit.source};
        one.body = way;
        one.tree()->line.reset();
        all.push_back(std::move(one));
    }
    return all;
}

std::vector<std::vector<std::complex<double>>>
lineTransfers(const Circuit& circuit, const std::vector<double>& frequencies) {
    const Section* tree = circuit.tree();
    const bool own = ownAmplifiers(circuit);
    if (tree == nullptr || !(tree->line || own)) {
        return {};
    }
    const auto common = transfer(tree->line.value_or(Line{}), frequencies);
    if (!own) {
        return std::vector(driverEnds(circuit).size(), common);
    }
    std::vector<std::vector<std::complex<double>>> of;
    for (const Section& way : std::get<Ways>(tree->end).sections) {
        auto H = transfer(way.line.value_or(Line{}), frequencies);
        for (std::size_t k = 0; k < H.size(); ++k) {
            H[k] *= common[k];
        }
        std::vector<DriverEnd> ends;
        collectEnds(way, ends);
        of.insert(of.end(), ends.size(), H);
    }
    return of;
}

ControlResistances resistances(const ControlSlot& control) {
    const double x = control.position;
    switch (control.kind) {
    case ControlKind::rheostat:
        return {control.total * (1.0 - x), std::nullopt};
    case ControlKind::potentiometer:
        return {control.total * (1.0 - x), control.total * x};
    case ControlKind::lPad:
        if (x >= 1.0) {
            return {0.0, std::nullopt};
        }
        return {control.total * (1.0 - x), control.total * x / (1.0 - x)};
    }
    return {};
}

} // namespace yf::network
