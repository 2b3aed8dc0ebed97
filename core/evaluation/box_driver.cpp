// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/box_driver.h"

#include "core/base/words.h"
#include "core/box/read_back.h"
#include "core/driver/fit.h"
#include "core/evaluation/usable_band.h"

#include <algorithm>
#include <cmath>

namespace yf::evaluation {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

/// Mass per area of a usual cone with its air, kg/m² (common practice): what stands for a Vas that
/// nobody measured.
double usualMass(job::Band band) {
    switch (band) {
    case job::Band::sub:
        return 2.5;
    case job::Band::low:
        return 1.4;
    case job::Band::mid:
        return 0.75;
    case job::Band::high:
    case job::Band::top:
        return 0.45;
    }
    return 1.4;
}

/// Of a driver as it came in: the free-air take in use, else any other free one of it.
const job::Take*
impedanceTakeOf(const job::Job& job, const job::Driver& driver, job::Mounting mounting) {
    const job::Take* inUse = job::takeInUse(job, driver, job::TakeKind::impedance);
    const auto serves = [&](const job::Take& t) {
        return t.kind == job::TakeKind::impedance && t.recorded.mounting == mounting &&
               t.recorded.also.empty() && t.curve->phase() != curve::Phase::none;
    };
    if (inUse != nullptr && serves(*inUse)) {
        return inUse;
    }
    for (const job::Take& take : job.takes) {
        if (take.recorded.driver == driver.id && serves(take)) {
            return &take;
        }
    }
    return nullptr;
}

void takeCoil(box::Driver& to, const driver::ImpedanceModel& m) {
    if (m.leachK && m.leachN) {
        to.coil = box::Coil::leach;
        to.leachK = m.leachK;
        to.leachN = std::clamp(*m.leachN, 0.5, 1.0);
    } else if (m.L2 && m.R2) {
        to.coil = box::Coil::lr2;
        to.Le = m.Le.value_or(0.0);
        to.L2 = m.L2;
        to.R2 = m.R2;
    } else {
        to.Le = m.Le.value_or(0.0);
    }
}

/// Re, fs and the losses; false where the job knows none.
bool takeMotion(const job::Job& job, const job::Driver& driver, BoxDriver& to) {
    const driver::ModelKeys& sheet = driver.sheet.model;
    if (sheet.Re && sheet.fs && sheet.Qms && sheet.Qes) {
        to.source = ParameterSource::sheet;
        to.doubt = box::betweenSpecimens();
        to.driver.Re = *sheet.Re;
        to.driver.fs = *sheet.fs;
        to.driver.Qms = *sheet.Qms;
        to.driver.Qes = *sheet.Qes;
        if (const auto model = driver::modelOf(sheet); model && *model) {
            takeCoil(to.driver, **model);
        }
        return true;
    }
    if (const job::Take* take = impedanceTakeOf(job, driver, job::Mounting::free)) {
        driver::FitOrder order{.impedance = *take->curve};
        order.inductance = driver::InductanceModel::leach;
        if (const auto fit = driver::fitImpedance(order)) {
            to.source = ParameterSource::measured;
            to.doubt = {.Re = fit->u.Re, .Qms = fit->u.Qms};
            to.driver.Re = fit->model.Re;
            to.driver.fs = fit->model.fs;
            to.driver.Qms = fit->model.Qms;
            to.driver.Qes = fit->model.Qes;
            takeCoil(to.driver, fit->model);
            return true;
        }
    }
    if (const job::Take* take = impedanceTakeOf(job, driver, job::Mounting::ventedBox)) {
        const auto read = box::readBack({.impedance = *take->curve, .kind = box::ReadKind::vented});
        if (read && read->portActs.value_or(false)) {
            to.source = ParameterSource::inBox;
            to.doubt = {.Re = read->Re.u, .Qms = read->Qm.u};
            to.driver.Re = read->Re.value;
            to.driver.fs = read->f.value;
            to.driver.Qms = read->Qm.value;
            to.driver.Qes = read->Qe.value;
            return true;
        }
    }
    return false;
}

} // namespace

Result<BoxDriver> boxDriver(const job::Job& job, const job::Driver& driver) {
    BoxDriver known;
    if (!takeMotion(job, driver, known)) {
        return Error{
            "",
            say(YF_WORDS("core",
                         "%1: neither a data sheet nor a usable impedance take tells fs and Q."),
                driver.name),
            ""};
    }
    const ConeArea area = coneArea(driver);
    known.driver.Sd = area.Sd;
    if (area.guessed) {
        known.guessed.emplace_back(YF_WORDS("core",
                                            "The cone's area is guessed from the outer diameter; "
                                            "measure across from roll to roll."));
    }
    if (driver.sheet.Vas) {
        known.driver.Vas = *driver.sheet.Vas;
        constexpr double sheetDoubt = 0.1;
        known.doubt.Vas = known.source == ParameterSource::sheet ? 0.0 : sheetDoubt;
    } else {
        const double Mms = usualMass(driver.band) * area.Sd;
        const double w = twoPi * known.driver.fs;
        const double c = quantity::soundSpeed;
        known.driver.Vas = quantity::airDensity * c * c * area.Sd * area.Sd / (w * w * Mms);
        constexpr double massDoubt = 0.35;
        known.doubt.Vas = massDoubt;
        known.guessed.emplace_back(
            YF_WORDS("core",
                     "Vas is not known: a usual cone's mass for its area stands for it. Measure "
                     "once more with a mass on the cone, or type the printed value."));
    }
    known.driver.Xmax = driver.sheet.Xmax;
    known.driver.power = driver.sheet.power;
    if (!driver.sheet.Xmax) {
        known.guessed.emplace_back(
            YF_WORDS("core", "Xmax is not known: no limit is set by the cone's travel."));
    }
    if (auto error = box::check(known.driver)) {
        return *error;
    }
    return known;
}

std::optional<box::Driver> boxParameters(const job::Job& job, const std::string& driver) {
    const job::Driver* found = job::findDriver(job, driver);
    if (found == nullptr) {
        return std::nullopt;
    }
    const auto known = boxDriver(job, *found);
    return known ? std::optional(known->driver) : std::nullopt;
}

} // namespace yf::evaluation
