// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/circuit/control_edit.h"

#include "core/network/circuit/ladder_edit.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <set>
#include <sstream>

namespace yf::network {

namespace {

/// Every ladder of a tree, the common one first.
// NOLINTNEXTLINE(misc-no-recursion): sections nest
void eachLadder(Section& section, const std::function<void(std::vector<Slot>&)>& visit) {
    visit(section.ladder);
    if (auto* ways = std::get_if<Ways>(&section.end)) {
        for (Section& inner : ways->sections) {
            eachLadder(inner, visit);
        }
    }
}

void eachControl(Circuit& circuit, const std::function<void(ControlSlot&)>& visit) {
    if (Section* tree = circuit.tree()) {
        eachLadder(*tree, [&](std::vector<Slot>& ladder) {
            for (Slot& slot : ladder) {
                if (auto* control = std::get_if<ControlSlot>(&slot)) {
                    visit(*control);
                }
            }
        });
    }
}

Error unknownControl(const std::string& id) {
    return {"control", say(YF_WORDS("core", "'%1' is not in this network"), id), ""};
}

bool isControl(const Slot& slot, const std::string& id) {
    const auto* control = std::get_if<ControlSlot>(&slot);
    return control != nullptr && control->id == id;
}

std::string freeId(const Circuit& circuit) {
    std::set<std::string> taken;
    Circuit copy = circuit;
    eachControl(copy, [&](ControlSlot& c) { taken.insert(c.id); });
    int number = 1;
    while (taken.contains("P" + std::to_string(number))) {
        ++number;
    }
    return "P" + std::to_string(number);
}

Part resistor(double R, ESeries series) {
    Part part;
    part.value = nearestValue(R, series);
    return part;
}

} // namespace

Circuit withNamedControls(const Circuit& circuit) {
    Circuit named = circuit;
    eachControl(named, [&](ControlSlot& control) {
        if (control.id.empty()) {
            control.id = freeId(named);
        }
    });
    return named;
}

std::vector<ControlSlot> controls(const Circuit& circuit) {
    Circuit named = withNamedControls(circuit);
    std::vector<ControlSlot> all;
    eachControl(named, [&](ControlSlot& control) { all.push_back(control); });
    return all;
}

Result<Circuit> withControl(const Circuit& circuit, const ControlSlot& control) {
    Circuit changed = withNamedControls(circuit);
    bool found = false;
    eachControl(changed, [&](ControlSlot& old) {
        if (old.id == control.id) {
            old = control;
            found = true;
        }
    });
    if (!found) {
        return unknownControl(control.id);
    }
    return changed;
}

Result<Circuit> withoutControl(const Circuit& circuit, const std::string& id) {
    Circuit changed = withNamedControls(circuit);
    std::size_t erased = 0;
    if (Section* tree = changed.tree()) {
        eachLadder(*tree, [&](std::vector<Slot>& ladder) {
            erased += std::erase_if(ladder, [&](const Slot& slot) { return isControl(slot, id); });
        });
    }
    if (erased == 0) {
        return unknownControl(id);
    }
    return changed;
}

Result<Circuit>
withNewControl(const Circuit& circuit, std::size_t way, std::size_t slot, ControlSlot control) {
    Circuit changed = withNamedControls(circuit);
    const Section* section = waySection(changed, way);
    if (section == nullptr || slot > section->ladder.size()) {
        return Error{"place",
                     say(YF_WORDS("core", "way %1, slot %2"),
                         std::to_string(way + 1),
                         std::to_string(slot + 1)),
                     YF_WORDS("core", "must lie in a way of this network")};
    }
    control.id = freeId(changed);
    auto& ladder = const_cast<Section*>(section)->ladder; // `changed` is ours
    ladder.insert(ladder.begin() + static_cast<std::ptrdiff_t>(slot), control);
    return changed;
}

Result<Circuit> withFixedPad(const Circuit& circuit, const std::string& id, ESeries series) {
    constexpr double wire = 0.1; // Ω: less is a wire
    Circuit changed = withNamedControls(circuit);
    std::vector<Slot>* in = nullptr;
    std::size_t at = 0;
    if (Section* tree = changed.tree()) {
        eachLadder(*tree, [&](std::vector<Slot>& ladder) {
            for (std::size_t k = 0; k < ladder.size(); ++k) {
                if (isControl(ladder[k], id)) {
                    in = &ladder;
                    at = k;
                }
            }
        });
    }
    if (in == nullptr) {
        return unknownControl(id);
    }
    const ControlResistances R = resistances(std::get<ControlSlot>((*in)[at]));
    std::vector<Slot> pad;
    if (R.inLine >= wire) {
        pad.emplace_back(SeriesSlot{resistor(R.inLine, series)});
    }
    if (R.toReturn && *R.toReturn >= wire) {
        pad.emplace_back(ShuntSlot{resistor(*R.toReturn, series)});
    }
    if (R.toReturn && *R.toReturn < wire) {
        return Error{
            "control",
            say(YF_WORDS("core", "%1 stands at nought"), id),
            YF_WORDS("core", "must let something through: a fixed pad cannot mute a driver")};
    }
    in->erase(in->begin() + static_cast<std::ptrdiff_t>(at));
    in->insert(in->begin() + static_cast<std::ptrdiff_t>(at), pad.begin(), pad.end());
    // Reading the notation numbers what is bare.
    eachLadder(*changed.tree(), [](std::vector<Slot>& ladder) {
        for (Slot& slot : ladder) {
            auto* inLine = std::get_if<SeriesSlot>(&slot);
            auto* shunt = std::get_if<ShuntSlot>(&slot);
            OnePort* port = inLine != nullptr  ? &inLine->port
                            : shunt != nullptr ? &shunt->port
                                               : nullptr;
            if (port != nullptr && port->part() != nullptr && port->part()->id.empty()) {
                port->part()->id = "R";
            }
        }
    });
    return Circuit::read(changed.write(), "network");
}

Result<ControlSlot> typedControl(const ControlSlot& old, const std::string& text) {
    std::string plain = text;
    for (auto at = plain.find(text::thinSpace); at != std::string::npos;
         at = plain.find(text::thinSpace)) {
        plain.replace(at, text::thinSpace.size(), " ");
    }
    std::istringstream in(plain);
    std::vector<std::string> pieces;
    for (std::string word; in >> word;) {
        const bool unit = !pieces.empty() && (word == "%" || word == "Ω" || word == "ohm");
        if (unit) {
            pieces.back() += word;
        } else if (word != "at") {
            pieces.push_back(word);
        }
    }
    const auto wrong = [&](const std::string& given) {
        return Error{
            old.id,
            given.empty() ? YF_WORDS("core", "nothing is written") : text::givenWord(given),
            YF_WORDS("core",
                     "must be the whole track in ohms (8, 100 Ω), the position in per cent of its "
                     "way (60 %), or both")};
    };
    if (pieces.empty()) {
        return wrong({});
    }
    ControlSlot control = old;
    for (const std::string& piece : pieces) {
        const bool share = piece.ends_with('%');
        const auto value =
            text::parseQuantity(piece, share ? text::Unit::percent : text::Unit::ohm);
        constexpr double leastTrack = 1e-3;
        constexpr double mostTrack = 1e6;
        const bool fits = value && (share ? *value >= 0.0 && *value <= 1.0
                                          : *value >= leastTrack && *value <= mostTrack);
        if (!fits) {
            return wrong(piece);
        }
        (share ? control.position : control.total) = *value;
    }
    return control;
}

} // namespace yf::network
