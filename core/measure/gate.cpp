// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/gate.h"

#include "core/measure/response.h"
#include "core/quantity/air.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>

namespace yf::measure {

using text::printNumber;
using text::Value;

std::optional<Error> check(const GateRequest& request) {
    if (!request.impulse.given() && !request.geometry.distance) {
        return Error{"impulse_file", "missing", "an impulse response or distance_m must be given"};
    }
    if (auto error = checkRising(request.frequencies, "frequencies_hz")) {
        return error;
    }
    return check(request.geometry);
}

std::optional<RoomGate> roomGate(const signal::Geometry& geometry, double taper) {
    const auto paths = signal::pathsOf(geometry);
    if (paths.size() < 2) {
        return std::nullopt;
    }
    const double c = quantity::soundSpeedAt(geometry.temperature);
    RoomGate room;
    for (std::size_t i = 1; i < paths.size(); ++i) {
        room.surfaces.push_back(paths[i].surface);
        room.delays.push_back((paths[i].length - paths.front().length) / c);
    }
    room.first = room.surfaces.front();
    room.reflectionFree = room.delays.front();
    room.lowestValid = 1.0 / (room.reflectionFree * (1.0 - taper / 2.0));
    return room;
}

Result<Gated> gate(const GateRequest& request) {
    Gated gated{.room = roomGate(request.geometry, 0.0)};
    if (!request.impulse.given()) {
        return gated;
    }
    YF_TRY(impulse, impulseOf(request.impulse));
    const ImpulseReading read = readImpulse(
        impulse, {.left = request.left, .right = request.right, .taper = request.taper});
    if (request.right && *request.right > read.rest) {
        return Error{"right_s",
                     text::given(printNumber(*request.right)),
                     say(YF_WORDS("core", "the data end %1 s after the arrival"),
                         text::printSignificant(read.rest, 4))};
    }
    const signal::Gate& window = read.gate;
    gated.arrival = read.arrival;
    gated.reflectionFound = read.reflection.has_value();
    if (read.reflection) {
        gated.reflection = read.reflection->after;
        gated.reflectionLevel = read.reflection->level;
    }
    gated.left = window.left;
    gated.right = window.right;
    gated.lowestValid = window.lowestValid();
    const double most = 0.5 * impulse.rate;
    gated.frequencies = request.frequencies.empty() ? gatedAxis(window, impulse.rate, {0.0, most})
                                                    : request.frequencies;
    if (!gated.frequencies.empty() && gated.frequencies.back() >= most) {
        return Error{"frequencies_hz",
                     text::given(printNumber(gated.frequencies.back())),
                     say(YF_WORDS("core", "must be below %1 (half the rate)"), printNumber(most))};
    }
    auto told =
        levelsAndPhases(signal::gatedResponse(impulse, read.arrival, window, gated.frequencies));
    gated.levels = std::move(told.levels);
    gated.phases = std::move(told.phases);
    for (const double f : gated.frequencies) {
        gated.trusted.push_back(f >= window.lowestValid());
    }
    return gated;
}

Value Gated::write() const {
    Value::Object out;
    if (room) {
        out.push_back({"surfaces", room->surfaces});
        out.push_back({"reflection_delays_s", room->delays});
        out.push_back({"first_surface", room->first});
        out.push_back({"reflection_free_s", room->reflectionFree});
        if (!lowestValid) {
            out.push_back({"lowest_valid_hz", room->lowestValid});
        }
    }
    if (!arrival) {
        return out;
    }
    const auto maybe = [](const std::optional<double>& v) { return v ? Value(*v) : Value(); };
    out.push_back({"arrival_s", *arrival});
    out.push_back({"reflection_found", reflectionFound});
    out.push_back({"reflection_s", maybe(reflection)});
    out.push_back({"reflection_level_db", maybe(reflectionLevel)});
    out.push_back({"gate_left_s", maybe(left)});
    out.push_back({"gate_right_s", maybe(right)});
    out.push_back({"lowest_valid_hz", maybe(lowestValid)});
    out.push_back({"frequencies_hz", frequencies});
    out.push_back({"levels_db", levels});
    std::vector<double> degrees;
    for (const double phase : phases) {
        degrees.push_back(phase / quantity::degree);
    }
    out.push_back({"phases_deg", degrees});
    Value::List flags;
    for (const bool flag : trusted) {
        flags.emplace_back(flag);
    }
    out.push_back({"trusted", flags});
    return out;
}

} // namespace yf::measure
