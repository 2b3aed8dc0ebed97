// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/circuit/ladder_edit.h"

#include <algorithm>
#include <functional>
#include <set>

namespace yf::network {

namespace {

Error unknownPart(const std::string& id) {
    return {"part", say(YF_WORDS("core", "'%1' is not in this network"), id), ""};
}

OnePort* portOf(Slot& slot) {
    if (auto* series = std::get_if<SeriesSlot>(&slot)) {
        return &series->port;
    }
    if (auto* shunt = std::get_if<ShuntSlot>(&slot)) {
        return &shunt->port;
    }
    return nullptr;
}

bool holds(const OnePort& port, const std::string& id) {
    bool found = false;
    forEachPart(port, [&](const Part& part) { found = found || part.id == id; });
    return found;
}

/// Every ladder of a tree, the common one first.
void forEachLadder(Section& section, const std::function<void(std::vector<Slot>&)>& visit) {
    visit(section.ladder);
    if (auto* ways = std::get_if<Ways>(&section.end)) {
        for (Section& child : ways->sections) {
            forEachLadder(child, visit);
        }
    }
}

void forEachPort(Circuit& circuit, const std::function<void(OnePort&)>& visit) {
    if (Section* tree = circuit.tree()) {
        forEachLadder(*tree, [&](std::vector<Slot>& ladder) {
            for (Slot& slot : ladder) {
                if (OnePort* port = portOf(slot)) {
                    visit(*port);
                }
            }
        });
    } else {
        for (NetPart& part : std::get<Net>(circuit.body).parts) {
            visit(part.port);
        }
    }
}

void forEachPart(OnePort& port, const std::function<void(Part&)>& visit) {
    if (Part* part = port.part()) {
        visit(*part);
        return;
    }
    for (OnePort& inner : port.composite()->ports) {
        forEachPart(inner, visit);
    }
}

/// Takes a part out of a composite; a composite of one becomes that one.
bool takeOut(OnePort& port, const std::string& id) {
    Composite* composite = port.composite();
    if (composite == nullptr) {
        return false;
    }
    auto& ports = composite->ports;
    const auto lone = std::ranges::find_if(ports, [&](const OnePort& inner) {
        return inner.part() != nullptr && inner.part()->id == id;
    });
    if (lone != ports.end()) {
        ports.erase(lone);
        if (ports.size() == 1) {
            OnePort last = std::move(ports.front());
            port = std::move(last);
        }
        return true;
    }
    return std::ranges::any_of(ports, [&](OnePort& inner) { return takeOut(inner, id); });
}

void dropCouplings(Circuit& circuit) {
    const auto present = parts(circuit);
    std::erase_if(circuit.couplings, [&](const Coupling& c) {
        const auto has = [&](const std::string& id) {
            return std::ranges::find(present, id, &Part::id) != present.end();
        };
        return !has(c.first) || !has(c.second);
    });
}

Section* wayOf(Circuit& circuit, std::size_t way) {
    return const_cast<Section*>(waySection(circuit, way)); // the circuit itself is ours to change
}

Result<std::vector<Slot>*> ladderAt(Circuit& circuit, const SlotPlace& place) {
    Section* section = wayOf(circuit, place.way);
    if (section == nullptr || place.slot > section->ladder.size()) {
        return Error{"place",
                     say(YF_WORDS("core", "way %1, slot %2"),
                         std::to_string(place.way + 1),
                         std::to_string(place.slot + 1)),
                     "must lie in a way of this network"};
    }
    return &section->ladder;
}

void numberBare(const Circuit& before, OnePort& port) {
    std::set<std::string> taken;
    for (const Part& part : parts(before)) {
        taken.insert(part.id);
    }
    forEachPart(port, [&](Part& part) {
        if (part.id.size() <= 1) {
            const std::string kind(1, letter(part.kind));
            int number = 1;
            while (!taken.insert(kind + std::to_string(number)).second) {
                ++number;
            }
            part.id = kind + std::to_string(number);
        }
    });
}

} // namespace

const Section* waySection(const Circuit& circuit, std::size_t way) {
    const Section* tree = circuit.tree();
    if (tree == nullptr) {
        return nullptr;
    }
    const auto* ways = std::get_if<Ways>(&tree->end);
    if (ways == nullptr) {
        return way == 0 ? tree : nullptr;
    }
    return way < ways->sections.size() ? &ways->sections[way] : nullptr;
}

std::optional<Part> findPart(const Circuit& circuit, const std::string& id) {
    const auto all = parts(circuit);
    const auto found = std::ranges::find(all, id, &Part::id);
    return found == all.end() ? std::nullopt : std::optional(*found);
}

Result<Circuit> withPart(const Circuit& circuit, const Part& part) {
    Circuit changed = circuit;
    bool found = false;
    forEachPort(changed, [&](OnePort& port) {
        forEachPart(port, [&](Part& old) {
            if (old.id == part.id) {
                old = part;
                found = true;
            }
        });
    });
    if (!found) {
        return unknownPart(part.id);
    }
    return changed;
}

Result<Circuit> withoutPart(const Circuit& circuit, const std::string& id) {
    Circuit changed = circuit;
    bool found = false;
    forEachPort(changed, [&](OnePort& port) { found = found || takeOut(port, id); });
    if (found) {
        dropCouplings(changed);
        return changed;
    }
    return withoutSlotOf(circuit, id);
}

Result<Circuit> withoutSlotOf(const Circuit& circuit, const std::string& id) {
    Circuit changed = circuit;
    std::size_t erased = 0;
    if (Section* tree = changed.tree()) {
        forEachLadder(*tree, [&](std::vector<Slot>& ladder) {
            erased += std::erase_if(ladder, [&](Slot& slot) {
                const OnePort* port = portOf(slot);
                return port != nullptr && holds(*port, id);
            });
        });
    } else {
        erased = std::erase_if(std::get<Net>(changed.body).parts,
                               [&](const NetPart& part) { return holds(part.port, id); });
    }
    if (erased == 0) {
        return unknownPart(id);
    }
    dropCouplings(changed);
    return changed;
}

Result<Inserted> withInserted(const Circuit& circuit, const SlotPlace& place, Part part) {
    OnePort port{std::move(part)};
    port.part()->id.clear();
    numberBare(circuit, port);
    const std::string id = port.part()->id;
    YF_TRY(changed, withSlot(circuit, place, std::move(port)));
    return Inserted{std::move(changed), id};
}

Result<Circuit> withSlot(const Circuit& circuit, const SlotPlace& place, OnePort port) {
    Circuit changed = circuit;
    YF_TRY(ladder, ladderAt(changed, place));
    numberBare(circuit, port);
    const auto at = ladder->begin() + static_cast<std::ptrdiff_t>(place.slot);
    if (place.inLine) {
        ladder->insert(at, SeriesSlot{std::move(port)});
    } else {
        ladder->insert(at, ShuntSlot{std::move(port)});
    }
    return changed;
}

Circuit withDrivers(const Circuit& circuit,
                    const std::function<std::string(const std::string&)>& renamed) {
    Circuit changed = circuit;
    const std::function<void(Section&)> visit = [&](Section& section) {
        if (auto* end = std::get_if<DriverEnd>(&section.end)) {
            end->driver = renamed(end->driver);
            return;
        }
        for (Section& inner : std::get_if<Ways>(&section.end)->sections) {
            visit(inner);
        }
    };
    if (Section* tree = changed.tree()) {
        visit(*tree);
    } else {
        for (NetDriver& driver : std::get_if<Net>(&changed.body)->drivers) {
            driver.end.driver = renamed(driver.end.driver);
        }
    }
    return changed;
}

Result<Circuit> withPolarity(const Circuit& circuit, std::size_t way, int polarity) {
    Circuit changed = circuit;
    Section* section = wayOf(changed, way);
    auto* end = section == nullptr ? nullptr : std::get_if<DriverEnd>(&section->end);
    if (end == nullptr) {
        return Error{"way", std::to_string(way + 1), "must be a way that ends in a driver"};
    }
    end->polarity = polarity;
    return changed;
}

} // namespace yf::network
