// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/usable_band.h"

#include "core/driver/resonance.h"
#include "core/quantity/level.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::evaluation {

namespace {

std::optional<double> resonanceOf(const job::Job& job, const job::Driver& driver) {
    if (const job::Take* take = job::takeInUse(job, driver, job::TakeKind::impedance)) {
        if (const auto peak = driver::resonance(*take->curve)) {
            return peak->fs;
        }
    }
    return driver.sheet.model.fs;
}

} // namespace

ConeArea coneArea(const job::Driver& driver) {
    if (driver.sheet.Sd) {
        return {*driver.sheet.Sd, false};
    }
    constexpr double coneShare = 0.8;
    constexpr double usualDome = 0.027; // m: what a tweeter's flange says nothing about
    const bool dome = driver.band == job::Band::high || driver.band == job::Band::top;
    const double across = coneShare * driver.diameter;
    const double radius = 0.5 * (dome ? std::min(across, usualDome) : across);
    return {std::numbers::pi * radius * radius, true};
}

std::optional<DriverBand>
usableBandOf(const job::Job& job, const job::Driver& driver, std::optional<double> fs) {
    const auto known = fs ? fs : resonanceOf(job, driver);
    if (!known) {
        return std::nullopt;
    }
    const ConeArea area = coneArea(driver);
    DriverBand found{.fs = *known, .areaGuessed = area.guessed};
    driver::UsableBandRequest request{.fs = *known,
                                      .Sd = area.Sd,
                                      .role = job::roleOf(driver.band),
                                      .offAxis = 45.0 * quantity::degree};
    if (const job::Take* response = job::takeInUse(job, driver, job::TakeKind::response)) {
        const curve::Curve& c = *response->curve;
        for (std::size_t k = 0; k < c.size(); ++k) {
            if (c.trusted().holds(c.frequencies()[k])) {
                request.frequencies.push_back(c.frequencies()[k]);
                request.levels.push_back(
                    quantity::decibels(std::abs(c.values()[k]) / quantity::referencePressure));
            }
        }
        constexpr std::size_t least = 2;
        if (request.frequencies.size() < least) {
            request.frequencies.clear();
            request.levels.clear();
        }
        found.withResponse = !request.frequencies.empty();
    }
    auto band = driver::usableBand(request);
    if (!band) {
        return std::nullopt;
    }
    found.band = std::move(*band);
    return found;
}

std::optional<JoinBand> joinBand(const DriverBand& lower, const DriverBand& upper) {
    const double from = upper.band.low.value_or(0.0);
    const double to = lower.band.high;
    if (!(from > 0.0) || from > to) {
        return std::nullopt;
    }
    return JoinBand{from, to, std::sqrt(from * to)};
}

} // namespace yf::evaluation
