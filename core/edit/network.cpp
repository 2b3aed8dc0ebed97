// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/network.h"

#include "core/base/words.h"
#include "core/edit/circuit.h"
#include "core/network/circuit/line_edit.h"

#include <algorithm>

namespace yf::edit {

namespace {

Result<job::Job> withCabinet(const job::Job& job,
                             const std::string& cabinet,
                             const std::function<void(job::Cabinet&)>& change) {
    job::Job changed = job;
    const auto found = std::ranges::find(changed.cabinets, cabinet, &job::Cabinet::id);
    if (found == changed.cabinets.end()) {
        return Error{"cabinet", say(YF_WORDS("core", "'%1' is not in this job"), cabinet), ""};
    }
    change(*found);
    return changed;
}

} // namespace

Edit drawAsWired(const std::string& cabinet, const std::vector<std::string>& drivers) {
    return circuitEdit(cabinet,
                       YF_WORDS("core", "Draw the wiring as it is"),
                       [drivers](const network::Circuit& drawn) -> Result<network::Circuit> {
                           network::Circuit circuit = drawn;
                           const auto ends = network::driverEnds(circuit);
                           for (std::size_t q = 0; q < ends.size(); ++q) {
                               if (std::ranges::find(drivers, ends[q].driver) != drivers.end()) {
                                   YF_TRY(turned,
                                          network::withPolarity(circuit, q, -ends[q].polarity));
                                   circuit = std::move(turned);
                               }
                           }
                           return circuit;
                       });
}

Edit takeNetwork(const std::string& cabinet, const network::Circuit& circuit) {
    return {YF_WORDS("core", "Take a network that was found"),
            [cabinet, circuit](const job::Job& job) {
                return withCabinet(
                    job, cabinet, [&](job::Cabinet& changed) { changed.circuit = circuit; });
            },
            {},
            {}};
}

Edit keepFront(const std::string& cabinet, const job::FoundFront& front) {
    return {YF_WORDS("core", "Keep the networks found"),
            [cabinet, front](const job::Job& job) {
                return withCabinet(
                    job, cabinet, [&](job::Cabinet& changed) { changed.found = front; });
            },
            {},
            {}};
}

Edit takeTuned(const std::string& cabinet,
               const network::Circuit& tuned,
               const std::vector<tune::Spared>& leftOut) {
    return {YF_WORDS("core", "Tune the network"),
            [cabinet, tuned, leftOut](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                const auto found = std::ranges::find(changed.cabinets, cabinet, &job::Cabinet::id);
                if (found == changed.cabinets.end()) {
                    return Error{
                        "cabinet", say(YF_WORDS("core", "'%1' is not in this job"), cabinet), ""};
                }
                const auto ends = network::driverEnds(tuned);
                for (std::size_t q = 0; q < ends.size(); ++q) {
                    const auto now = network::driverEnds(found->circuit);
                    if (now.size() != ends.size()) {
                        return Error{"network",
                                     YF_WORDS("core", "it has other ways by now"),
                                     YF_WORDS("core", "tune anew")};
                    }
                    if (now[q].polarity != ends[q].polarity) {
                        YF_TRY(circuit, network::withPolarity(found->circuit, q, ends[q].polarity));
                        found->circuit = std::move(circuit);
                    }
                }
                for (std::size_t q = 0; q < ends.size(); ++q) {
                    const auto line = network::lineOf(tuned, q);
                    if (line && line != network::lineOf(found->circuit, q)) {
                        YF_TRY(circuit, network::withLine(found->circuit, q, *line));
                        found->circuit = std::move(circuit);
                    }
                }
                for (const tune::Spared& step : leftOut) {
                    for (const std::string& id : step.ids) {
                        YF_TRY(circuit, network::withoutPart(found->circuit, id));
                        found->circuit = std::move(circuit);
                    }
                }
                for (const network::Part& part : network::parts(tuned)) {
                    const auto present = network::findPart(found->circuit, part.id);
                    if (!present || present->kind != part.kind) {
                        return Error{part.id,
                                     YF_WORDS("core", "is no longer there"),
                                     YF_WORDS("core", "tune anew")};
                    }
                    if (present->value != part.value) {
                        // With the losses that it was judged with: of the drawer's part, or those
                        // that followed.
                        network::Part taken = part;
                        taken.fixed = present->fixed;
                        YF_TRY(circuit, network::withPart(found->circuit, taken));
                        found->circuit = std::move(circuit);
                    }
                }
                return changed;
            },
            {},
            {}};
}

Edit changePrices(const network::Prices& prices) {
    return {YF_WORDS("core", "Change the price list"),
            [prices](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                changed.prices = prices;
                return changed;
            },
            "prices",
            {}};
}

Edit changeStock(const network::Stock& stock) {
    return {YF_WORDS("core", "Change the own parts"),
            [stock](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                changed.stock = stock;
                return changed;
            },
            {},
            {}};
}

} // namespace yf::edit
