// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/intake.h"

#include "core/base/digest.h"
#include "core/base/words.h"
#include "core/edit/front.h"
#include "core/job/fresh_id.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/text/given.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::edit {

namespace {

template <class F>
Edit inCabinet(Words name, const std::string& cabinet, F&& change) {
    Edit edit;
    edit.name = std::move(name);
    edit.apply = [cabinet,
                  change = std::forward<F>(change)](const job::Job& job) -> Result<job::Job> {
        job::Job changed = job;
        const auto found = std::ranges::find(changed.cabinets, cabinet, &job::Cabinet::id);
        if (found == changed.cabinets.end()) {
            return Error{
                "cabinet", text::givenWord(cabinet), YF_WORDS("core", "is not in the job")};
        }
        Done made = change(changed, *found);
        if (!made) {
            return made.error();
        }
        return changed;
    };
    return edit;
}

template <class T>
std::string newId(const std::vector<T>& list, const std::string& stem) {
    for (std::size_t n = list.size() + 1;; ++n) {
        std::string id = stem + "-" + std::to_string(n);
        if (std::ranges::find(list, id, &T::id) == list.end()) {
            return id;
        }
    }
}

/// In the place of the one with its id, or at the end with a new id.
template <class T>
void put(std::vector<T>& list, T item, const std::string& stem) {
    const auto found = std::ranges::find(list, item.id, &T::id);
    if (!item.id.empty() && found != list.end()) {
        *found = std::move(item);
        return;
    }
    if (item.id.empty()) {
        item.id = newId(list, stem);
    }
    list.push_back(std::move(item));
}

template <class T>
Done take(std::vector<T>& list, const std::string& id, const char* subject) {
    if (std::erase_if(list, [&](const T& item) { return item.id == id; }) == 0) {
        return Error{subject, text::givenWord(id), YF_WORDS("core", "is not in the list")};
    }
    return done();
}

bool isMounted(const job::Cabinet& cabinet, const std::string& driver) {
    return std::ranges::find(cabinet.mounts, driver, &job::Mount::driver) != cabinet.mounts.end();
}

std::string digestOf(const std::string& bytes) {
    Digest digest;
    for (const char byte : bytes) {
        digest.add(static_cast<unsigned char>(byte));
    }
    return digest.hex();
}

bool isPicture(const std::string& bytes) {
    return bytes.starts_with("\x89PNG\r\n\x1a\n") || bytes.starts_with("\xff\xd8\xff");
}

network::DriverEnd* endOf(job::Cabinet& cabinet, const std::string& driver) {
    network::Section* top = cabinet.circuit.tree();
    if (top == nullptr) {
        return nullptr;
    }
    if (auto* end = std::get_if<network::DriverEnd>(&top->end)) {
        return end->driver == driver ? end : nullptr;
    }
    for (network::Section& way : std::get<network::Ways>(top->end).sections) {
        auto* end = std::get_if<network::DriverEnd>(&way.end);
        if (end != nullptr && end->driver == driver) {
            return end;
        }
    }
    return nullptr;
}

} // namespace

Edit changeComplaint(std::string complaint, std::string mergeKey) {
    Edit edit;
    edit.name = YF_WORDS("core", "Write down the complaint");
    edit.mergeKey = std::move(mergeKey);
    edit.apply = [complaint = std::move(complaint)](const job::Job& job) -> Result<job::Job> {
        job::Job changed = job;
        changed.complaint = complaint;
        return changed;
    };
    return edit;
}

Edit changeAim(job::Aim aim) {
    Edit edit;
    edit.name = YF_WORDS("core", "Change the aim");
    edit.apply = [aim](const job::Job& job) -> Result<job::Job> {
        job::Job changed = job;
        changed.aim = aim;
        return changed;
    };
    return edit;
}

Edit changePrinted(const std::string& driver, std::string printed) {
    Edit edit;
    edit.name = YF_WORDS("core", "Write down what is printed on a driver");
    edit.apply = [driver, printed = std::move(printed)](const job::Job& job) -> Result<job::Job> {
        job::Job changed = job;
        const auto found = std::ranges::find(changed.drivers, driver, &job::Driver::id);
        if (found == changed.drivers.end()) {
            return Error{"driver", text::givenWord(driver), YF_WORDS("core", "is not in the job")};
        }
        found->printed = printed;
        return changed;
    };
    return edit;
}

Edit putProtector(const std::string& cabinet, job::Protector protector) {
    return inCabinet(
        YF_WORDS("core", "Change a protector"),
        cabinet,
        [protector = std::move(protector)](job::Job& /*job*/, job::Cabinet& c) -> Done {
            constexpr double least = 0.01;
            constexpr double most = 100.0;
            if (protector.rating && !(*protector.rating >= least && *protector.rating <= most)) {
                return Error{"rating_a",
                             YF_WORDS("core", "out of range"),
                             YF_WORDS("core", "must be 0.01 to 100 A")};
            }
            if (!protector.driver.empty() && !isMounted(c, protector.driver)) {
                return Error{"driver",
                             text::givenWord(protector.driver),
                             YF_WORDS("core", "is not in this cabinet")};
            }
            job::Protector p = protector;
            const auto before = std::ranges::find(c.protectors, p.id, &job::Protector::id);
            const bool known = before != c.protectors.end() && isBridged(*before);
            p.wasBridged = p.wasBridged || known;
            p.wasBridged = isBridged(p);
            c.noProtectors = false;
            put(c.protectors, std::move(p), "protector");
            return done();
        });
}

Edit removeProtector(const std::string& cabinet, const std::string& id) {
    return inCabinet(YF_WORDS("core", "Remove a protector"),
                     cabinet,
                     [id](job::Job& /*job*/, job::Cabinet& c) -> Done {
                         return take(c.protectors, id, "protector");
                     });
}

Edit setNoProtectors(const std::string& cabinet, bool none) {
    return inCabinet(none ? YF_WORDS("core", "No protector fitted")
                          : YF_WORDS("core", "Protectors not looked for yet"),
                     cabinet,
                     [none](job::Job& /*job*/, job::Cabinet& c) -> Done {
                         if (none && !c.protectors.empty()) {
                             return Error{"protectors",
                                          say(YF_WORDS("core", "%1 listed"),
                                              std::to_string(c.protectors.size())),
                                          YF_WORDS("core", "remove them first")};
                         }
                         c.noProtectors = none;
                         return done();
                     });
}

Edit setNoControls(const std::string& cabinet, bool none) {
    return inCabinet(none ? YF_WORDS("core", "No level control fitted")
                          : YF_WORDS("core", "Level controls not looked for yet"),
                     cabinet,
                     [none](job::Job& /*job*/, job::Cabinet& c) -> Done {
                         c.noControls = none;
                         return done();
                     });
}

Edit putOldPart(const std::string& cabinet, job::OldPart part) {
    return inCabinet(YF_WORDS("core", "Change a part of the old speaker"),
                     cabinet,
                     [part = std::move(part)](job::Job& /*job*/, job::Cabinet& c) -> Done {
                         put(c.oldParts, part, "part");
                         return done();
                     });
}

Edit removeOldPart(const std::string& cabinet, const std::string& id) {
    return inCabinet(
        YF_WORDS("core", "Remove a part of the old speaker"),
        cabinet,
        [id](job::Job& /*job*/, job::Cabinet& c) -> Done { return take(c.oldParts, id, "part"); });
}

Edit addPhoto(const std::string& name, std::string bytes) {
    Edit edit;
    edit.name = say(YF_WORDS("core", "Add the picture %1"), name);
    auto shared = std::make_shared<const std::string>(std::move(bytes));
    edit.apply = [name, shared](const job::Job& job) -> Result<job::Job> {
        if (!isPicture(*shared)) {
            return Error{name,
                         YF_WORDS("core", "is no picture"),
                         YF_WORDS("core", "must be a PNG or JPEG file")};
        }
        if (shared->size() > largestPhoto) {
            return Error{name,
                         say(YF_WORDS("core", "%1 MB"), std::to_string(shared->size() / 1'000'000)),
                         YF_WORDS("core", "must be at most 20 MB")};
        }
        job::Photo photo{.name = name, .key = digestOf(*shared), .bytes = shared};
        if (std::ranges::find(job.photos, photo.key, &job::Photo::key) != job.photos.end()) {
            return Error{name,
                         YF_WORDS("core", "is in the job already"),
                         YF_WORDS("core", "choose another")};
        }
        job::Job changed = job;
        put(changed.photos, std::move(photo), "photo");
        return changed;
    };
    return edit;
}

Edit captionPhoto(const std::string& id, std::string note) {
    Edit edit;
    edit.name = YF_WORDS("core", "Write what a picture shows");
    edit.apply = [id, note = std::move(note)](const job::Job& job) -> Result<job::Job> {
        job::Job changed = job;
        const auto found = std::ranges::find(changed.photos, id, &job::Photo::id);
        if (found == changed.photos.end()) {
            return Error{"photo", text::givenWord(id), YF_WORDS("core", "is not in the job")};
        }
        found->note = note;
        return changed;
    };
    return edit;
}

Edit removePhoto(const std::string& id) {
    Edit edit;
    edit.name = YF_WORDS("core", "Remove a picture");
    edit.apply = [id](const job::Job& job) -> Result<job::Job> {
        job::Job changed = job;
        Done taken = take(changed.photos, id, "photo");
        if (!taken) {
            return taken.error();
        }
        return changed;
    };
    return edit;
}

Arrangement arrangementOf(const job::Cabinet& cabinet, const std::string& driver) {
    for (const network::DriverEnd& end : network::driverEnds(cabinet.circuit)) {
        if (end.driver == driver) {
            return {end.inSeries, end.inParallel};
        }
    }
    return {};
}

Edit arrange(const std::string& cabinet,
             const std::string& driver,
             const Arrangement& arrangement) {
    return inCabinet(
        say(YF_WORDS("core", "Wire %1 on one way"), std::to_string(arrangement.units())),
        cabinet,
        [driver, arrangement](job::Job& job, job::Cabinet& c) -> Done {
            network::DriverEnd* end = endOf(c, driver);
            const job::Driver* first = job::findDriver(job, driver);
            if (end == nullptr || first == nullptr) {
                return Error{"driver",
                             text::givenWord(driver),
                             YF_WORDS("core", "has no way of its own here")};
            }
            std::vector<std::string> others;
            for (const job::Mount& mount : c.mounts) {
                if (job::findDriver(job, mount.driver)->alike == driver) {
                    others.push_back(mount.driver);
                }
            }
            const auto wanted = static_cast<std::size_t>(arrangement.units() - 1);
            while (others.size() > wanted) {
                const std::string gone = others.back();
                others.pop_back();
                std::erase_if(c.mounts, [&](const job::Mount& m) { return m.driver == gone; });
                std::erase_if(job.drivers, [&](const job::Driver& d) { return d.id == gone; });
            }
            const job::Driver model = *job::findDriver(job, driver);
            while (others.size() < wanted) {
                job::Driver unit = model;
                unit.alike = driver;
                unit.condition = job::Condition::notChecked;
                unit.responseTake.clear();
                unit.impedanceTake.clear();
                unit.name = model.name + " " + static_cast<char>('b' + others.size());
                std::vector<std::string> taken;
                for (const job::Driver& d : job.drivers) {
                    taken.push_back(d.id);
                }
                unit.id = job::freshId(unit.name, taken);
                job::Mount mount = freePlace(job, c, unit.diameter);
                mount.driver = unit.id;
                others.push_back(unit.id);
                job.drivers.push_back(std::move(unit));
                c.mounts.push_back(mount);
            }
            end->inSeries = arrangement.inSeries;
            end->inParallel = arrangement.inParallel;
            return done();
        });
}

} // namespace yf::edit
