// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/box.h"

#include "core/base/words.h"
#include "core/box/align.h"
#include "core/box/port_swap.h"
#include "core/edit/apply.h"
#include "core/job/box_geometry.h"

#include <algorithm>
#include <cmath>

namespace yf::edit {

namespace {

job::Cabinet* cabinetOf(job::Job& job, const std::string& id) {
    const auto found = std::ranges::find(job.cabinets, id, &job::Cabinet::id);
    return found == job.cabinets.end() ? nullptr : &*found;
}

Error unknown(const char* what, const std::string& id) {
    return {what, say(YF_WORDS("core", "'%1' is not in this job"), id), ""};
}

/// The driver in the twin that stands where this one stands here.
std::string
counterpart(const job::Cabinet& here, const job::Cabinet& twin, const std::string& driver) {
    for (std::size_t i = 0; i < std::min(here.mounts.size(), twin.mounts.size()); ++i) {
        if (here.mounts[i].driver == driver) {
            return twin.mounts[i].driver;
        }
    }
    return {};
}

job::Enclosure* enclosureOf(job::Cabinet& cabinet, const std::string& driver) {
    const auto found = std::ranges::find(cabinet.boxes, driver, &job::Enclosure::driver);
    return found == cabinet.boxes.end() ? nullptr : &*found;
}

/// Puts it here and, if the twin's was like the old one, there.
Done put(job::Job& job, job::Cabinet& cabinet, const job::Enclosure& made) {
    job::Enclosure* here = enclosureOf(cabinet, made.driver);
    const std::optional<job::Enclosure> old = here != nullptr ? std::optional(*here) : std::nullopt;
    if (here != nullptr) {
        *here = made;
    } else {
        cabinet.boxes.push_back(made);
    }
    job::Cabinet* twin = cabinetOf(job, cabinet.twin);
    if (twin == nullptr) {
        return done();
    }
    const std::string other = counterpart(cabinet, *twin, made.driver);
    if (other.empty()) {
        return done();
    }
    job::Enclosure same = made;
    same.driver = other;
    job::Enclosure* there = enclosureOf(*twin, other);
    if (there == nullptr && !old) {
        twin->boxes.push_back(same);
    } else if (there != nullptr && old) {
        job::Enclosure was = *old;
        was.driver = other;
        if (*there == was) {
            *there = same;
        }
    }
    return done();
}

void size(job::Job& job, job::Cabinet& cabinet, const OuterSizes& sizes) {
    const auto apply = [&](job::Cabinet& c) {
        c.width = sizes.width.value_or(c.width);
        c.height = sizes.height.value_or(c.height);
        c.depth = sizes.depth ? sizes.depth : c.depth;
    };
    apply(cabinet);
    if (job::Cabinet* twin = cabinetOf(job, cabinet.twin)) {
        apply(*twin);
    }
}

/// Depth for which the net volume is V; the port's length follows its tuning on the way.
Result<double>
depthFor(const job::Job& job, job::Cabinet cabinet, job::Enclosure e, const BoxWanted& wanted) {
    const auto& q = quantity::depth;
    double low = q.lowest;
    double high = q.highest;
    const auto netAt = [&](double depth) {
        cabinet.depth = depth;
        if (box::hasPorts(e.kind) && !e.ports.empty()) {
            if (const auto length = job::lengthFor(job, cabinet, e, wanted.fb)) {
                e.ports.front().length = *length;
            }
        }
        const auto v = job::volumesOf(job, cabinet, e);
        return v ? v->net : -1.0;
    };
    if (netAt(high) < wanted.Vb) {
        return Error{"Vb",
                     YF_WORDS("core", "more than this front can hold"),
                     YF_WORDS("core", "a deeper cabinet than 5 m is not made")};
    }
    constexpr int halvings = 50;
    for (int i = 0; i < halvings; ++i) {
        const double middle = 0.5 * (low + high);
        (netAt(middle) < wanted.Vb ? low : high) = middle;
    }
    return 0.5 * (low + high);
}

/// A tube that suits: narrow enough that it has a length, wide enough for the air.
Result<job::PortIn> firstPort(const job::Job& job,
                              const job::Cabinet& cabinet,
                              const job::Enclosure& e,
                              const box::Driver& known,
                              double fb) {
    double area = 0.25 * std::numbers::pi * 0.07 * 0.07;
    if (known.Xmax) {
        area = box::leastArea(fb, known.Sd, *known.Xmax);
    }
    constexpr double narrowest = 0.02;
    constexpr double narrower = 0.9;
    double diameter = std::clamp(2.0 * std::sqrt(area / std::numbers::pi), 0.03, 0.15);
    while (diameter >= narrowest) {
        job::Enclosure tried = e;
        job::PortIn port;
        port.port.diameter = std::round(1e3 * diameter) / 1e3;
        port.height = 0.1;
        tried.ports = {port};
        const auto length = job::lengthFor(job, cabinet, tried, fb);
        constexpr double shortest = 0.02;
        const double deepest = cabinet.depth.value_or(1.0) - e.panel - e.frontPanel() - diameter;
        if (length && *length >= shortest && (*length <= deepest || diameter < 0.04)) {
            port.length = *length;
            return port;
        }
        diameter *= narrower;
    }
    return Error{"fb",
                 YF_WORDS("core", "no tube of 2 to 15 cm gives it"),
                 YF_WORDS("core", "choose another volume")};
}

struct Advised {
    double Vb{};
    double fb{};
};

Advised advised(const box::Driver& known, box::Kind kind) {
    const box::Motor motor = box::motorOf(known, {});
    const double Qts = motor.QtsWith(0.0);
    if (kind == box::Kind::closed || kind == box::Kind::bandPass4) {
        const double Qtc = std::max(std::numbers::sqrt2 / 2.0, 1.15 * Qts);
        return {motor.Vas / ((Qtc / Qts) * (Qtc / Qts) - 1.0), motor.fs * Qtc / Qts};
    }
    const auto shape = box::align(box::Alignment::automatic, Qts, box::usualQL);
    if (shape) {
        return {motor.Vas / shape->shape.alpha, motor.fs * shape->shape.h};
    }
    // No flat ported box exists for it: as large as its Vas, tuned low.
    return {motor.Vas, 0.8 * motor.fs};
}

} // namespace

Result<job::Job> withBox(const job::Job& job,
                         const std::string& cabinetId,
                         const std::string& driver,
                         box::Kind kind,
                         const std::optional<box::Driver>& known) {
    job::Job changed = job;
    job::Cabinet* cabinet = cabinetOf(changed, cabinetId);
    if (cabinet == nullptr) {
        return unknown("cabinet", cabinetId);
    }
    if (job::findDriver(job, driver) == nullptr) {
        return unknown("driver", driver);
    }
    job::Enclosure e{.driver = driver, .kind = kind};
    e.crossoverVolume = 0.3e-3;
    if (const job::Enclosure* old = enclosureOf(*cabinet, driver)) {
        // Another kind in the same wood.
        e = *old;
        e.kind = kind;
        e.designVb.reset();
        e.designfb.reset();
    }
    if (!box::hasPorts(kind)) {
        e.ports.clear();
    }
    const bool wooden = box::hasWalls(kind);
    if (!wooden) {
        YF_TRY(there, put(changed, *cabinet, e));
        static_cast<void>(there);
        return changed;
    }
    const bool sixth = kind == box::Kind::bandPass6Parallel || kind == box::Kind::bandPass6Series;
    const Advised want = known ? advised(*known, kind) : Advised{0.02, 40.0};
    if (!cabinet->depth) {
        YF_TRY(depth, depthFor(changed, *cabinet, e, {want.Vb, want.fb, false}));
        size(changed, *cabinet, {.depth = std::round(1e3 * depth) / 1e3});
    }
    if (sixth) {
        e.frontShare = 0.3;
    }
    if (box::hasPorts(kind) && e.ports.empty()) {
        double fb = want.fb;
        if (sixth) {
            fb = 2.0 * want.fb;
        }
        const box::Driver plain = known.value_or(box::Driver{});
        YF_TRY(port, firstPort(changed, *cabinet, e, plain, fb));
        e.ports = {port};
        if (sixth) {
            job::PortIn rear = port;
            rear.ofRear = true;
            rear.side = job::PortWall::back;
            rear.length = port.length * 2.0;
            e.ports.push_back(rear);
        }
    }
    if (kind == box::Kind::passiveRadiator && known) {
        // Twice the cone's volume to move, a loose suspension (Small 1974, from memory).
        e.radiator.Sd = 1.6 * known->Sd;
        e.radiator.fs = 0.6 * known->fs;
        e.radiator.Vas = 2.0 * known->Vas;
        e.radiator.Xmax = known->Xmax;
        YF_TRY(v, job::volumesOf(changed, *cabinet, e));
        const auto model = std::get<box::PassiveRadiator>(job::boxOf(*cabinet, e, v.net));
        e.radiator.addedMass = std::max(0.0, box::massFor(model, want.fb, {}));
    }
    YF_TRY(v, job::volumesOf(changed, *cabinet, e));
    static_cast<void>(v);
    YF_TRY(there, put(changed, *cabinet, e));
    static_cast<void>(there);
    return changed;
}

Edit beginBox(const std::string& cabinet,
              const std::string& driver,
              box::Kind kind,
              const std::optional<box::Driver>& known) {
    return {YF_WORDS("core", "Give a driver its box"),
            [cabinet, driver, kind, known](const job::Job& job) {
                return withBox(job, cabinet, driver, kind, known);
            },
            {},
            {}};
}

Edit changeBox(const std::string& cabinet,
               const job::Enclosure& enclosure,
               std::string name,
               std::string mergeKey) {
    return {std::move(name),
            [cabinet, enclosure](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                job::Cabinet* c = cabinetOf(changed, cabinet);
                if (c == nullptr) {
                    return unknown("cabinet", cabinet);
                }
                const bool wooden = box::hasWalls(enclosure.kind);
                if (wooden) {
                    YF_TRY(v, job::volumesOf(changed, *c, enclosure));
                    static_cast<void>(v);
                }
                YF_TRY(there, put(changed, *c, enclosure));
                static_cast<void>(there);
                return changed;
            },
            std::move(mergeKey),
            {}};
}

Edit sizeCabinet(const std::string& cabinet, const OuterSizes& sizes, std::string mergeKey) {
    return {YF_WORDS("core", "Change the size of a cabinet"),
            [cabinet, sizes](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                job::Cabinet* c = cabinetOf(changed, cabinet);
                if (c == nullptr) {
                    return unknown("cabinet", cabinet);
                }
                size(changed, *c, sizes);
                for (const job::Mount& m : c->mounts) {
                    if (std::abs(m.x) > 0.5 * c->width || std::abs(m.y) > 0.5 * c->height) {
                        return Error{"size",
                                     say(YF_WORDS("core", "%1 would not be on the front"),
                                         job::findDriver(job, m.driver)->name),
                                     YF_WORDS("core", "must hold all drivers")};
                    }
                }
                for (const job::Enclosure& e : c->boxes) {
                    YF_TRY(v, job::volumesOf(changed, *c, e));
                    static_cast<void>(v);
                }
                return changed;
            },
            std::move(mergeKey),
            {}};
}

Edit takeBox(const std::string& cabinet,
             const std::string& driver,
             const BoxWanted& wanted,
             std::string mergeKey) {
    return {YF_WORDS("core", "Take a box from the map"),
            [cabinet, driver, wanted](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                job::Cabinet* c = cabinetOf(changed, cabinet);
                job::Enclosure* old = c == nullptr ? nullptr : enclosureOf(*c, driver);
                if (old == nullptr) {
                    return unknown("box", driver);
                }
                job::Enclosure e = *old;
                if (!wanted.keepsCabinet) {
                    YF_TRY(depth, depthFor(changed, *c, e, wanted));
                    size(changed, *c, {.depth = depth});
                }
                if (box::hasPorts(e.kind)) {
                    YF_TRY(length, job::lengthFor(changed, *c, e, wanted.fb));
                    e.ports.front().length = length;
                }
                YF_TRY(there, put(changed, *c, e));
                static_cast<void>(there);
                return changed;
            },
            std::move(mergeKey),
            {}};
}

Edit swapPort(const std::string& cabinet, const std::string& driver, const job::PortIn& made) {
    return {YF_WORDS("core", "Swap the port, keep the tuning"),
            [cabinet, driver, made](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                job::Cabinet* c = cabinetOf(changed, cabinet);
                job::Enclosure* old = c == nullptr ? nullptr : enclosureOf(*c, driver);
                if (old == nullptr) {
                    return unknown("box", driver);
                }
                YF_TRY(length, job::swappedLength(job, *c, *old, made));
                job::Enclosure e = *old;
                e.ports = {made};
                e.ports.front().length = length;
                YF_TRY(there, put(changed, *c, e));
                static_cast<void>(there);
                return changed;
            },
            {},
            {}};
}

Edit removeBox(const std::string& cabinet, const std::string& driver) {
    return {YF_WORDS("core", "Take a driver's box away"),
            [cabinet, driver](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                job::Cabinet* c = cabinetOf(changed, cabinet);
                if (c == nullptr || enclosureOf(*c, driver) == nullptr) {
                    return unknown("box", driver);
                }
                std::erase_if(c->boxes,
                              [&](const job::Enclosure& e) { return e.driver == driver; });
                return changed;
            },
            {},
            {}};
}

} // namespace yf::edit
