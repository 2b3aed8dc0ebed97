// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/circuit/graph.h"

#include "core/text/sentence.h"

#include <algorithm>
#include <numeric>

namespace yf::network {

namespace {

class Flattener {
public:
    Flattener() { graph_.nodes = {"0", "in"}; }

    /// A coil that others see stays a branch of its own.
    void keepApart(const std::string& coil) { coupled_.push_back(coil); }

    void section(const Section& section, std::size_t hot, std::size_t cold) {
        std::size_t node = hot;
        for (const Slot& slot : section.ladder) {
            node = std::visit([&](const auto& s) { return pass(s, node, cold); }, slot);
        }
        if (const auto* end = std::get_if<DriverEnd>(&section.end)) {
            graph_.drivers.push_back({node, cold, *end});
            return;
        }
        const Ways& ways = std::get<Ways>(section.end);
        for (std::size_t k = 0; k < ways.sections.size(); ++k) {
            const bool last = k + 1 == ways.sections.size();
            if (ways.join == Joining::parallel) {
                this->section(ways.sections[k], node, cold);
            } else {
                const std::size_t next = last ? cold : fresh();
                this->section(ways.sections[k], node, next);
                node = next;
            }
        }
    }

    void net(const Net& net) {
        for (const NetPart& part : net.parts) {
            const std::size_t from = named(part.from);
            branch(part.port, from, named(part.to));
        }
        for (const NetDriver& driver : net.drivers) {
            const std::size_t from = named(driver.from);
            graph_.drivers.push_back({from, named(driver.to), driver.end});
        }
    }

    [[nodiscard]] Graph take() { return std::move(graph_); }

private:
    std::size_t fresh() {
        graph_.nodes.push_back("(" + std::to_string(graph_.nodes.size()) + ")");
        return graph_.nodes.size() - 1;
    }

    std::size_t named(const std::string& name) {
        const auto found = std::ranges::find(graph_.nodes, name);
        if (found != graph_.nodes.end()) {
            return static_cast<std::size_t>(found - graph_.nodes.begin());
        }
        graph_.nodes.push_back(name);
        return graph_.nodes.size() - 1;
    }

    /// Series composites are laid out part by part, so that a coupled coil in one is a branch of
    /// its own; parallel ones stay whole unless all of their entries are parts.
    void branch(const OnePort& port, std::size_t from, std::size_t to) {
        if (const Part* part = port.part()) {
            graph_.parts.push_back({from, to, port, part->kind == PartKind::coil ? part->id : ""});
            return;
        }
        const Composite& composite = *port.composite();
        if (composite.joining == Joining::parallel) {
            for (const OnePort& inner : composite.ports) {
                branch(inner, from, to);
            }
            return;
        }
        const bool hasCoil = std::ranges::any_of(
            composite.ports, [&](const OnePort& inner) { return isCoupled(inner); });
        if (!hasCoil) {
            graph_.parts.push_back({from, to, port, ""});
            return;
        }
        std::size_t node = from;
        for (std::size_t i = 0; i < composite.ports.size(); ++i) {
            const std::size_t next = i + 1 == composite.ports.size() ? to : fresh();
            branch(composite.ports[i], node, next);
            node = next;
        }
    }

    [[nodiscard]] bool isCoupled(const OnePort& port) const {
        bool found = false;
        forEachPart(port, [&](const Part& part) {
            found = found || std::ranges::find(coupled_, part.id) != coupled_.end();
        });
        return found;
    }

    std::size_t pass(const SeriesSlot& slot, std::size_t node, std::size_t /*cold*/) {
        const std::size_t next = fresh();
        branch(slot.port, node, next);
        return next;
    }

    std::size_t pass(const ShuntSlot& slot, std::size_t node, std::size_t cold) {
        branch(slot.port, node, cold);
        return node;
    }

    std::size_t resistor(double R, std::size_t node) {
        if (R == 0.0) {
            return node;
        }
        const std::size_t next = fresh();
        Part part;
        part.value = R;
        graph_.parts.push_back({node, next, OnePort{part}, ""});
        return next;
    }

    std::size_t pass(const TransformerSlot& slot, std::size_t node, std::size_t cold) {
        const std::size_t primary = resistor(slot.dcr, node);
        if (slot.magnetizing) {
            Part coil;
            coil.kind = PartKind::coil;
            coil.value = *slot.magnetizing;
            graph_.parts.push_back({primary, cold, OnePort{coil}, ""});
        }
        const std::size_t secondary = fresh();
        graph_.transformers.push_back({primary, secondary, cold, slot.ratio});
        return secondary;
    }

    std::size_t pass(const ControlSlot& slot, std::size_t node, std::size_t cold) {
        const ControlResistances R = resistances(slot);
        const std::size_t next = resistor(R.inLine, node);
        if (R.toReturn) {
            Part track;
            track.value = *R.toReturn;
            graph_.parts.push_back({next, cold, OnePort{track}, ""});
        }
        return next;
    }

    Graph graph_;
    std::vector<std::string> coupled_;
};

} // namespace

Graph flatten(const Circuit& circuit) {
    Flattener flattener;
    for (const Coupling& coupling : circuit.couplings) {
        flattener.keepApart(coupling.first);
        flattener.keepApart(coupling.second);
    }
    if (const Section* tree = circuit.tree()) {
        flattener.section(*tree, inNode, returnNode);
    } else {
        flattener.net(*circuit.net());
    }
    return flattener.take();
}

std::optional<Error> findFloatingNode(const Circuit& circuit, const std::string& path) {
    const Net* net = circuit.net();
    if (net == nullptr) {
        return std::nullopt;
    }
    const Graph graph = flatten(circuit);
    std::vector<std::size_t> group(graph.nodes.size());
    std::iota(group.begin(), group.end(), std::size_t{0});
    const auto join = [&](std::size_t a, std::size_t b) {
        const std::size_t from = group[b];
        const std::size_t to = group[a];
        std::ranges::replace(group, from, to);
    };
    join(returnNode, inNode);
    for (const auto& part : graph.parts) {
        join(part.from, part.to);
    }
    for (const auto& driver : graph.drivers) {
        join(driver.from, driver.to);
    }
    const auto floats = [&](const std::string& node) {
        const auto found = std::ranges::find(graph.nodes, node);
        return group[static_cast<std::size_t>(found - graph.nodes.begin())] != group[returnNode];
    };
    const auto refuse = [&](const char* list, std::size_t i, const std::string& node) {
        return Error{text::join(text::join(path, std::string("net.") + list), i),
                     say(YF_WORDS("core", "node \"%1\" is not connected to the amplifier"), node),
                     ""};
    };
    for (std::size_t i = 0; i < net->parts.size(); ++i) {
        for (const std::string& node : {net->parts[i].from, net->parts[i].to}) {
            if (floats(node)) {
                return refuse("parts", i, node);
            }
        }
    }
    for (std::size_t i = 0; i < net->drivers.size(); ++i) {
        for (const std::string& node : {net->drivers[i].from, net->drivers[i].to}) {
            if (floats(node)) {
                return refuse("drivers", i, node);
            }
        }
    }
    return std::nullopt;
}

} // namespace yf::network
