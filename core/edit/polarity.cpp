// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/polarity.h"

#include "core/edit/bench.h"

namespace yf::edit {

namespace {

Edit note(job::BenchReading reading, Direction direction) {
    reading.check = "battery_pop";
    reading.outcome = direction == Direction::out  ? "moves_out"
                      : direction == Direction::in ? "moves_in"
                                                   : "silent";
    return addReading(std::move(reading));
}

} // namespace

Edit noteDirection(const std::string& cabinet,
                   const std::string& driver,
                   bench::Place place,
                   Direction direction,
                   const std::string& at) {
    job::BenchReading reading;
    reading.cabinet = cabinet;
    reading.driver = driver;
    reading.place = place;
    reading.at = at;
    reading.voltage = 1.5;
    return note(std::move(reading), direction);
}

Edit noteDirection(const std::string& cabinet, Direction direction, const std::string& at) {
    return noteDirection(cabinet, "", bench::Place::cabinet, direction, at);
}

Edit noteBass(const std::string& cabinet, Bass bass, const std::string& at) {
    job::BenchReading reading;
    reading.check = "pair_polarity";
    reading.outcome = bass == Bass::fullerReversed ? "fuller_when_reversed" : "fuller_as_is";
    reading.cabinet = cabinet;
    reading.at = at;
    return addReading(std::move(reading));
}

} // namespace yf::edit
