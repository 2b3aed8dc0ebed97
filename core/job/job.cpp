// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/job.h"

#include "core/base/digest.h"
#include "core/text/given.h"

#include <algorithm>
#include <array>
#include <bit>
#include <cmath>
#include <cstdint>
#include <set>
#include <tuple>

namespace yf::job {

namespace {

template <class T>
const T* findById(const std::vector<T>& list, const std::string& id) {
    const auto found = std::ranges::find(list, id, &T::id);
    return found == list.end() ? nullptr : &*found;
}

template <class T>
std::optional<Error> idsOnce(const std::vector<T>& list, const std::string& path) {
    for (std::size_t i = 0; i < list.size(); ++i) {
        if (findById(list, list[i].id) != &list[i]) {
            return Error{text::join(text::join(path, i), "id"),
                         say(YF_WORDS("core", "'%1' given twice"), list[i].id),
                         "must be unique"};
        }
    }
    return std::nullopt;
}

Error missingDriver(const std::string& path, const std::string& driver) {
    return {path, say(YF_WORDS("core", "driver '%1' does not exist"), driver), ""};
}

std::optional<Error>
checkTakeInUse(const Job& job, const Driver& driver, TakeKind kind, const std::string& path) {
    const bool response = kind == TakeKind::response;
    const std::string& id = response ? driver.responseTake : driver.impedanceTake;
    const Take* take = id.empty() ? nullptr : findTake(job, id);
    if (!id.empty() && take == nullptr) {
        return Error{path, say(YF_WORDS("core", "take '%1' does not exist"), id), ""};
    }
    if (take != nullptr && take->kind != kind) {
        return Error{path,
                     response ? say(YF_WORDS("core", "take '%1' is an impedance"), id)
                              : say(YF_WORDS("core", "take '%1' is a response"), id),
                     response ? YF_WORDS("core", "must be a response")
                              : YF_WORDS("core", "must be an impedance")};
    }
    return std::nullopt;
}

/// Twins are two, each the other's.
std::optional<Error> checkTwin(const Job& job, const Cabinet& cabinet, const std::string& path) {
    if (cabinet.twin.empty()) {
        return std::nullopt;
    }
    const Cabinet* twin = findCabinet(job, cabinet.twin);
    if (twin == &cabinet || twin == nullptr || twin->twin != cabinet.id) {
        return Error{path + ".twin",
                     text::givenWord(cabinet.twin),
                     twin == &cabinet ? YF_WORDS("core", "must be another cabinet")
                     : twin == nullptr
                         ? YF_WORDS("core", "must be a cabinet of this job")
                         : YF_WORDS("core", "must be a cabinet whose twin is this one")};
    }
    return std::nullopt;
}

std::optional<Error>
checkMount(const Job& job, const Cabinet& cabinet, const Mount& mount, const std::string& path) {
    if (findDriver(job, mount.driver) == nullptr) {
        return missingDriver(path, mount.driver);
    }
    constexpr double rounding = 1e-9;
    if (std::abs(mount.x) > cabinet.width / 2.0 + rounding ||
        std::abs(mount.y) > cabinet.height / 2.0 + rounding) {
        return Error{path,
                     say(YF_WORDS("core", "driver '%1' lies off the front"), mount.driver),
                     YF_WORDS("core", "its centre must lie on it")};
    }
    return std::nullopt;
}

} // namespace

bool Take::operator==(const Take& other) const {
    const auto rest = [](const Take& t) {
        return std::tie(t.id,
                        t.kind,
                        t.name,
                        t.understood,
                        t.date,
                        t.note,
                        t.curveKey,
                        t.distance,
                        t.drive,
                        t.gate,
                        t.smoothing,
                        t.recorded); // with the digest of the samples
    };
    const bool sameCurve = curve == other.curve || (curve && other.curve && *curve == *other.curve);
    return sameCurve && rest(*this) == rest(other);
}

std::optional<Error> check(const HouseScale& scale) {
    const bool logarithmic = scale.kind != ScaleKind::impulse;
    if (!(scale.from < scale.to) || (logarithmic && !(scale.from > 0.0))) {
        return Error{
            "from", text::given(text::printNumber(scale.from)), "must be above 0, below to"};
    }
    const bool logarithmicUp = scale.kind == ScaleKind::impedance;
    if (!(scale.low < scale.high) || (logarithmicUp && !(scale.low > 0.0))) {
        return Error{"low", text::given(text::printNumber(scale.low)), "must be below high"};
    }
    return std::nullopt;
}

std::optional<Error> check(const Target& target) {
    if (target.from < target.to) {
        return std::nullopt;
    }
    return Error{"to_hz",
                 text::given(text::printNumber(target.to)),
                 say(YF_WORDS("core", "must be above from_hz %1"), text::printNumber(target.from))};
}

std::optional<Error> check(const Job& job) {
    if (auto error = idsOnce(job.drivers, "drivers")) {
        return error;
    }
    if (auto error = idsOnce(job.takes, "takes")) {
        return error;
    }
    if (auto error = idsOnce(job.cabinets, "cabinets")) {
        return error;
    }
    for (std::size_t i = 0; i < job.drivers.size(); ++i) {
        for (const TakeKind kind : {TakeKind::response, TakeKind::impedance}) {
            if (auto error = checkTakeInUse(job, job.drivers[i], kind, text::join("drivers", i))) {
                return error;
            }
        }
    }
    std::set<std::string> mounted;
    for (std::size_t i = 0; i < job.cabinets.size(); ++i) {
        const Cabinet& cabinet = job.cabinets[i];
        const std::string path = text::join("cabinets", i);
        if (auto error = checkTwin(job, cabinet, path)) {
            return error;
        }
        for (const Mount& mount : cabinet.mounts) {
            if (auto error = checkMount(job, cabinet, mount, path + ".mounts")) {
                return error;
            }
            if (!mounted.insert(mount.driver).second) {
                return Error{path + ".mounts",
                             say(YF_WORDS("core", "driver '%1' is mounted twice"), mount.driver),
                             ""};
            }
        }
        std::set<std::string> boxed;
        for (const Enclosure& e : cabinet.boxes) {
            if (findDriver(job, e.driver) == nullptr) {
                return missingDriver(path + ".boxes", e.driver);
            }
            if (!boxed.insert(e.driver).second) {
                return Error{path + ".boxes",
                             say(YF_WORDS("core", "driver '%1' has two boxes"), e.driver),
                             ""};
            }
        }
        for (const network::DriverEnd& end : network::driverEnds(cabinet.circuit)) {
            if (findDriver(job, end.driver) == nullptr) {
                return missingDriver(path + ".network", end.driver);
            }
        }
    }
    return std::nullopt;
}

const Driver* findDriver(const Job& job, const std::string& id) {
    return findById(job.drivers, id);
}

const Take* findTake(const Job& job, const std::string& id) {
    return findById(job.takes, id);
}

const Cabinet* findCabinet(const Job& job, const std::string& id) {
    return findById(job.cabinets, id);
}

const Take* takeInUse(const Job& job, const Driver& driver, TakeKind kind) {
    const std::string& id = kind == TakeKind::response ? driver.responseTake : driver.impedanceTake;
    return id.empty() ? nullptr : findTake(job, id);
}

std::string curveKey(const curve::Curve& curve) {
    Digest digest;
    const auto mix = [&](double number) {
        const auto bits = std::bit_cast<std::uint64_t>(number);
        for (unsigned byte = 0; byte < 8; ++byte) {
            digest.add(static_cast<unsigned char>((bits >> (8U * byte)) & 0xFFU));
        }
    };
    mix(static_cast<double>(curve.phase()));
    mix(curve.trusted().from);
    mix(curve.trusted().to);
    for (std::size_t i = 0; i < curve.size(); ++i) {
        mix(curve.frequencies()[i]);
        mix(curve.values()[i].real());
        mix(curve.values()[i].imag());
    }
    return digest.hex();
}

std::string networkKey(const network::Circuit& circuit) {
    Digest digest;
    for (const char c : text::writeJson(circuit.write())) {
        digest.add(static_cast<unsigned char>(c));
    }
    return digest.hex();
}

std::string_view bandName(Band band) {
    static constexpr std::array<std::string_view, 5> names{"sub", "low", "mid", "high", "top"};
    return names.at(static_cast<std::size_t>(band));
}

} // namespace yf::job
