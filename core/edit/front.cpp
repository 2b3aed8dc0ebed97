// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/front.h"

#include "core/base/words.h"
#include "core/edit/apply.h"
#include "core/job/fresh_id.h"
#include "core/job/lookup.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace yf::edit {

namespace {

namespace q = yf::quantity;

Error noName(const char* what) {
    return {what,
            YF_WORDS("core", "nothing is written"),
            YF_WORDS("core", "must have at least one letter")};
}

std::optional<Error> outside(double value, const q::Quantity& quantity) {
    const double key = value / quantity.unit;
    if (key >= quantity.lowest && key <= quantity.highest) {
        return std::nullopt;
    }
    return Error{std::string(quantity.help),
                 text::given(text::printEngineering(value, quantity.display)),
                 say(YF_WORDS("core", "must be %1 %2"),
                     text::rangeText(quantity.lowest, quantity.highest),
                     std::string(quantity.display))};
}

/// A job with one cabinet changed.
Result<job::Job> withCabinet(const job::Job& job,
                             const std::string& id,
                             const std::function<Done(job::Job&, job::Cabinet&)>& change) {
    job::Job changed = job;
    const auto found = std::ranges::find(changed.cabinets, id, &job::Cabinet::id);
    if (found == changed.cabinets.end()) {
        return Error{"cabinet", say(YF_WORDS("core", "'%1' is not in this job"), id), ""};
    }
    YF_TRY(done, change(changed, *found));
    static_cast<void>(done);
    return changed;
}

job::Cabinet* twinOf(job::Job& job, const job::Cabinet& cabinet) {
    const auto found = std::ranges::find(job.cabinets, cabinet.twin, &job::Cabinet::id);
    return found == job.cabinets.end() ? nullptr : &*found;
}

/// Outline and places to the other of a pair; drivers correspond by their order.
void followInTwin(job::Job& job, const job::Cabinet& cabinet) {
    job::Cabinet* twin = twinOf(job, cabinet);
    if (twin == nullptr) {
        return;
    }
    twin->width = cabinet.width;
    twin->height = cabinet.height;
    twin->depth = cabinet.depth;
    twin->nominal = cabinet.nominal;
    twin->edge = cabinet.edge;
    twin->edgeSize = cabinet.edgeSize;
    if (twin->mounts.size() != cabinet.mounts.size()) {
        return;
    }
    const double side = twin->mirrored == cabinet.mirrored ? 1.0 : -1.0;
    for (std::size_t i = 0; i < cabinet.mounts.size(); ++i) {
        twin->mounts[i].x = side * cabinet.mounts[i].x;
        twin->mounts[i].y = cabinet.mounts[i].y;
        twin->mounts[i].z = cabinet.mounts[i].z;
        twin->mounts[i].taken = cabinet.mounts[i].taken;
        if (twin->mounts[i].taken) {
            twin->mounts[i].taken->x *= side;
        }
    }
}

bool isOn(const job::Cabinet& cabinet, const job::Mount& mount) {
    return std::abs(mount.x) <= cabinet.width / 2.0 && std::abs(mount.y) <= cabinet.height / 2.0;
}

std::vector<std::string> driverIds(const job::Job& job) {
    std::vector<std::string> ids;
    std::ranges::transform(job.drivers, std::back_inserter(ids), &job::Driver::id);
    return ids;
}

std::vector<std::string> cabinetIds(const job::Job& job) {
    std::vector<std::string> ids;
    std::ranges::transform(job.cabinets, std::back_inserter(ids), &job::Cabinet::id);
    return ids;
}

/// The ways of a network that is nothing but ways, or nothing.
network::Ways* plainWays(network::Circuit& circuit) {
    network::Section* top = circuit.tree();
    return top == nullptr ? nullptr : std::get_if<network::Ways>(&top->end);
}

std::optional<Error> checkData(const DriverData& data) {
    if (data.name.empty()) {
        return noName("driver");
    }
    if (auto error = outside(data.diameter, q::diameter)) {
        return error;
    }
    return data.nominal ? outside(*data.nominal, q::nominal) : std::nullopt;
}

job::Driver driverFrom(std::string id, const DriverData& data) {
    return {.id = std::move(id),
            .name = data.name,
            .band = data.band,
            .condition = data.condition,
            .diameter = data.diameter,
            .nominal = data.nominal};
}

} // namespace

job::Mount freePlace(const job::Job& job, const job::Cabinet& cabinet, double diameter) {
    constexpr double step = 5e-3;
    const double most = (cabinet.height - diameter) / 2.0;
    const int steps = static_cast<int>(2.0 * most / step);
    for (int i = 0; i <= steps; ++i) {
        const double y = most - i * step;
        const bool free = std::ranges::none_of(cabinet.mounts, [&](const job::Mount& mount) {
            const double apart = (job::findDriver(job, mount.driver)->diameter + diameter) / 2.0;
            return std::hypot(mount.x, mount.y - y) < apart;
        });
        if (free) {
            return {.y = y};
        }
    }
    return {};
}

Outline outlineOf(const job::Cabinet& cabinet) {
    return {cabinet.name, cabinet.width, cabinet.height, cabinet.depth, cabinet.nominal};
}

Edit changeOutline(const std::string& cabinet, const Outline& outline, std::string mergeKey) {
    return {say(YF_WORDS("core", "Change the outline of %1"), outline.name),
            [cabinet, outline](const job::Job& job) {
                return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
                    if (outline.name.empty()) {
                        return noName("cabinet");
                    }
                    for (const auto& [value, quantity] :
                         {std::pair{std::optional(outline.width), q::width},
                          std::pair{std::optional(outline.height), q::height},
                          std::pair{outline.depth, q::depth},
                          std::pair{outline.nominal, q::nominal}}) {
                        if (auto error = value ? outside(*value, quantity) : std::nullopt) {
                            return *error;
                        }
                    }
                    c.name = outline.name;
                    c.width = outline.width;
                    c.height = outline.height;
                    c.depth = outline.depth;
                    c.nominal = outline.nominal;
                    for (const job::Mount& mount : c.mounts) {
                        if (!isOn(c, mount)) {
                            return Error{"front",
                                         say(YF_WORDS("core", "%1 would no longer be on it"),
                                             job::findDriver(changed, mount.driver)->name),
                                         YF_WORDS("core", "move the driver first")};
                        }
                    }
                    followInTwin(changed, c);
                    return done();
                });
            },
            std::move(mergeKey),
            {}};
}

namespace {

/// Where it was measured stays known while wood is moved.
void keepTaken(job::Mount& mount) {
    const job::Spot here{mount.x, mount.y, mount.z};
    mount.taken = mount.taken.value_or(here);
}

} // namespace

Edit shiftDriver(const std::string& cabinet, const job::Mount& to, std::string mergeKey) {
    Edit edit = moveDriver(cabinet, to, std::move(mergeKey));
    edit.apply = [cabinet, to](const job::Job& job) {
        return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
            const auto mount = std::ranges::find(c.mounts, to.driver, &job::Mount::driver);
            if (mount == c.mounts.end()) {
                return Error{
                    "driver", say(YF_WORDS("core", "'%1' is not on this front"), to.driver), ""};
            }
            keepTaken(*mount);
            mount->x = std::clamp(to.x, -c.width / 2.0, c.width / 2.0);
            mount->y = std::clamp(to.y, -c.height / 2.0, c.height / 2.0);
            mount->z = to.z;
            if (job::Spot{mount->x, mount->y, mount->z} == *mount->taken) {
                mount->taken.reset();
            }
            followInTwin(changed, c);
            return done();
        });
    };
    return edit;
}

Edit changeSeat(const std::string& cabinet, const job::Seat& seat, std::string mergeKey) {
    return {YF_WORDS("core", "Change where one listens"),
            [cabinet, seat](const job::Job& job) {
                return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
                    c.seat = seat;
                    if (job::Cabinet* twin = twinOf(changed, c)) {
                        twin->seat = seat;
                        twin->seat.aside = twin->mirrored == c.mirrored ? seat.aside : -seat.aside;
                    }
                    return done();
                });
            },
            std::move(mergeKey),
            {}};
}

Edit changeEdge(const std::string& cabinet, job::FrontEdge edge, double size) {
    return {YF_WORDS("core", "Change the front's edges"),
            [cabinet, edge, size](const job::Job& job) {
                return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
                    const double most = 0.5 * std::min(c.width, c.height);
                    if (!(size >= 0.0 && size <= most)) {
                        return Error{
                            "edge",
                            text::given(text::printEngineering(size, "m")),
                            say(YF_WORDS("core", "must be at most half the shorter side, %1"),
                                text::printEngineering(most, "m"))};
                    }
                    c.edge = edge;
                    c.edgeSize = size;
                    followInTwin(changed, c);
                    return done();
                });
            },
            {},
            {}};
}

Edit moveDriver(const std::string& cabinet, const job::Mount& to, std::string mergeKey) {
    Edit edit;
    edit.name = say(YF_WORDS("core", "Move %1"), to.driver);
    edit.mergeKey = std::move(mergeKey);
    edit.apply = [cabinet, to](const job::Job& job) {
        return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
            const auto mount = std::ranges::find(c.mounts, to.driver, &job::Mount::driver);
            if (mount == c.mounts.end()) {
                return Error{
                    "driver", say(YF_WORDS("core", "'%1' is not on this front"), to.driver), ""};
            }
            mount->x = std::clamp(to.x, -c.width / 2.0, c.width / 2.0);
            mount->y = std::clamp(to.y, -c.height / 2.0, c.height / 2.0);
            mount->taken.reset(); // what was written down was wrong: it sat here all the time
            followInTwin(changed, c);
            return done();
        });
    };
    edit.nameAfter = [driver = to.driver](const job::Job& job) {
        const job::Driver* found = job::findDriver(job, driver);
        return say(YF_WORDS("core", "Move %1"), (found == nullptr ? driver : found->name));
    };
    return edit;
}

DriverData dataOf(const job::Driver& driver) {
    return {driver.name, driver.band, driver.condition, driver.diameter, driver.nominal};
}

Edit changeDriver(const std::string& driver, const DriverData& data, std::string mergeKey) {
    return {say(YF_WORDS("core", "Change what is known of %1"), data.name),
            [driver, data](const job::Job& job) -> Result<job::Job> {
                if (auto error = checkData(data)) {
                    return *error;
                }
                job::Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &job::Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{
                        "driver", say(YF_WORDS("core", "'%1' is not in this job"), driver), ""};
                }
                found->name = data.name;
                found->band = data.band;
                found->condition = data.condition;
                found->diameter = data.diameter;
                found->nominal = data.nominal;
                return changed;
            },
            std::move(mergeKey),
            {}};
}

Edit addDriver(const std::string& cabinet, const DriverData& data) {
    return {say(YF_WORDS("core", "Add %1"), data.name),
            [cabinet, data](const job::Job& job) {
                return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
                    if (auto error = checkData(data)) {
                        return *error;
                    }
                    network::Ways* ways = plainWays(c.circuit);
                    if (ways == nullptr) {
                        return Error{"network",
                                     YF_WORDS("core", "is no network of ways side by side"),
                                     YF_WORDS("core", "take its parts out first")};
                    }
                    const std::string id = job::freshId(data.name, driverIds(changed));
                    job::Mount mount = freePlace(changed, c, data.diameter);
                    mount.driver = id;
                    changed.drivers.push_back(driverFrom(id, data));
                    c.mounts.push_back(mount);
                    ways->sections.push_back({.name = std::string(job::bandName(data.band)),
                                              .end = network::DriverEnd{.driver = id}});
                    return done();
                });
            },
            {},
            {}};
}

Edit removeDriver(const std::string& cabinet, const std::string& driver) {
    Edit edit;
    edit.name = say(YF_WORDS("core", "Take %1 off the front"), driver);
    edit.apply = [cabinet, driver](const job::Job& job) {
        return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
            network::Ways* ways = plainWays(c.circuit);
            const auto isWayOf = [&](const network::Section& section) {
                const auto* end = std::get_if<network::DriverEnd>(&section.end);
                return end != nullptr && end->driver == driver;
            };
            if (ways == nullptr || std::ranges::none_of(ways->sections, isWayOf)) {
                return Error{"network",
                             YF_WORDS("core", "the driver shares a way with others"),
                             YF_WORDS("core", "take its part of the network out first")};
            }
            if (c.mounts.size() < 2) {
                return Error{"front",
                             YF_WORDS("core", "this is its only driver"),
                             YF_WORDS("core", "a cabinet keeps one")};
            }
            std::erase_if(ways->sections, isWayOf);
            std::erase_if(c.mounts,
                          [&](const job::Mount& mount) { return mount.driver == driver; });
            std::erase_if(c.boxes, [&](const job::Enclosure& e) { return e.driver == driver; });
            std::erase_if(changed.drivers, [&](const job::Driver& d) { return d.id == driver; });
            std::erase_if(c.circuit.couplings, [&](const network::Coupling& coupling) {
                return !network::findPart(c.circuit, coupling.first) ||
                       !network::findPart(c.circuit, coupling.second);
            });
            return done();
        });
    };
    return edit;
}

Edit addTwin(const std::string& cabinet) {
    return {YF_WORDS("core", "Add a mirrored twin"),
            [cabinet](const job::Job& job) {
                return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
                    if (!c.twin.empty()) {
                        return Error{
                            "cabinet", say(YF_WORDS("core", "%1 has a twin already"), c.name), ""};
                    }
                    job::Cabinet twin = c;
                    twin.name = c.name + " (mirrored)";
                    twin.id = job::freshId(twin.name, cabinetIds(changed));
                    twin.twin = c.id;
                    twin.mirrored = !c.mirrored;
                    c.twin = twin.id;
                    std::map<std::string, std::string> made;
                    for (job::Mount& mount : twin.mounts) {
                        job::Driver driver = *job::findDriver(changed, mount.driver);
                        const std::string old = driver.id;
                        driver.id = job::freshId(driver.name, driverIds(changed));
                        driver.condition = job::Condition::notChecked;
                        driver.responseTake.clear();
                        driver.impedanceTake.clear();
                        made.emplace(old, driver.id);
                        mount.driver = driver.id;
                        mount.x = -mount.x;
                        changed.drivers.push_back(std::move(driver));
                    }
                    for (job::Enclosure& e : twin.boxes) {
                        const auto found = made.find(e.driver);
                        e.driver = found == made.end() ? e.driver : found->second;
                    }
                    twin.circuit = network::withDrivers(c.circuit, [&](const std::string& old) {
                        const auto found = made.find(old);
                        return found == made.end() ? old : found->second;
                    });
                    changed.cabinets.push_back(std::move(twin));
                    return done();
                });
            },
            {},
            {}};
}

Edit removeCabinet(const std::string& cabinet) {
    return {
        say(YF_WORDS("core", "Take the cabinet %1 away"), cabinet),
        [cabinet](const job::Job& job) {
            return withCabinet(job, cabinet, [&](job::Job& changed, job::Cabinet& c) -> Done {
                if (changed.cabinets.size() < 2) {
                    return Error{"cabinet",
                                 YF_WORDS("core", "this is the only one"),
                                 YF_WORDS("core", "a job keeps one")};
                }
                const std::vector<job::Mount> mounts = c.mounts;
                if (job::Cabinet* twin = twinOf(changed, c)) {
                    twin->twin.clear();
                }
                std::erase_if(changed.cabinets,
                              [&](const job::Cabinet& other) { return other.id == cabinet; });
                const auto standsElsewhere = [&](const std::string& driver) {
                    return std::ranges::any_of(changed.cabinets, [&](const job::Cabinet& other) {
                        return std::ranges::find(other.mounts, driver, &job::Mount::driver) !=
                               other.mounts.end();
                    });
                };
                for (const job::Mount& mount : mounts) {
                    if (!standsElsewhere(mount.driver)) {
                        std::erase_if(changed.drivers, [&](const job::Driver& driver) {
                            return driver.id == mount.driver;
                        });
                    }
                }
                return done();
            });
        },
        {},
        {}};
}

Edit changeUnits(job::LengthUnits units) {
    return {units == job::LengthUnits::metric ? YF_WORDS("core", "Lengths in metres")
                                              : YF_WORDS("core", "Lengths in inches"),
            [units](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                changed.units = units;
                return changed;
            },
            {},
            {}};
}

Edit sealScale(const job::HouseScale& scale) {
    return {YF_WORDS("core", "Seal a scale"),
            [scale](const job::Job& job) -> Result<job::Job> {
                if (auto error = check(scale)) {
                    return *error;
                }
                job::Job changed = job;
                std::erase_if(changed.scales,
                              [&](const job::HouseScale& old) { return old.kind == scale.kind; });
                changed.scales.push_back(scale);
                return changed;
            },
            {},
            {}};
}

Edit unsealScale(job::ScaleKind kind) {
    return {YF_WORDS("core", "Back to the built-in scale"),
            [kind](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                std::erase_if(changed.scales,
                              [&](const job::HouseScale& old) { return old.kind == kind; });
                return changed;
            },
            {},
            {}};
}

Edit changeLimit(const std::string& rule, std::optional<double> limit) {
    return {say(YF_WORDS("core", "Change the limit of %1"), rule),
            [rule, limit](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                std::erase_if(changed.limits,
                              [&](const job::RuleLimit& old) { return old.rule == rule; });
                if (limit) {
                    changed.limits.push_back({rule, *limit});
                }
                return changed;
            },
            {},
            {}};
}

namespace {

/// Note and date aside: what it is about.
job::Dismissal aboutOf(job::Dismissal dismissal) {
    dismissal.note.clear();
    dismissal.date.clear();
    return dismissal;
}

} // namespace

Edit dismiss(const std::vector<job::Dismissal>& dismissals) {
    YF_EXPECT(!dismissals.empty());
    return {
        say(YF_WORDS("core", "Set aside %1: %2"), dismissals.front().rule, dismissals.front().note),
        [dismissals](const job::Job& job) -> Result<job::Job> {
            job::Job changed = job;
            for (const job::Dismissal& dismissal : dismissals) {
                if (dismissal.note.empty()) {
                    return Error{"note",
                                 YF_WORDS("core", "nothing is written"),
                                 YF_WORDS("core", "say why it may stay as it is")};
                }
                std::erase_if(changed.dismissals, [&](const job::Dismissal& old) {
                    return aboutOf(old) == aboutOf(dismissal);
                });
                changed.dismissals.push_back(dismissal);
            }
            return changed;
        },
        {},
        {}};
}

Edit takeUp(const job::Dismissal& dismissal) {
    return {say(YF_WORDS("core", "Take up %1 again"), dismissal.rule),
            [dismissal](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                const auto gone = std::erase_if(changed.dismissals, [&](const job::Dismissal& old) {
                    return aboutOf(old) == aboutOf(dismissal);
                });
                if (gone == 0) {
                    return Error{"finding",
                                 say(YF_WORDS("core", "%1 is not set aside"), dismissal.rule),
                                 ""};
                }
                return changed;
            },
            {},
            {}};
}

Edit changeSheet(const std::string& driver, driver::Part sheet, job::Place place) {
    return {YF_WORDS("core", "Change the data sheet of a driver"),
            [driver, sheet = std::move(sheet), place](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                const auto found = std::ranges::find(changed.drivers, driver, &job::Driver::id);
                if (found == changed.drivers.end()) {
                    return Error{
                        "driver", text::givenWord(driver), YF_WORDS("core", "is not in the job")};
                }
                found->sheet = sheet;
                found->place = place;
                return changed;
            },
            {},
            {}};
}

} // namespace yf::edit
