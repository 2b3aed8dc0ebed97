// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/wiring.h"

#include "core/curve/interpolate.h"
#include "core/driver/rating.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace yf::driver {

namespace {

using curve::Axis;
using curve::Complex;
using text::Value;

constexpr double referenceVoltage = 2.83;

/// Each driver's impedance on one axis.
using Loads = std::vector<std::vector<Complex>>;

struct Known {
    const WiringRequest& request;
    std::vector<std::optional<ImpedanceModel>> models;

    [[nodiscard]] bool anyCurve() const {
        return std::ranges::any_of(models, [](const auto& m) { return !m.has_value(); });
    }

    [[nodiscard]] Result<Loads> on(const Axis& axis) const {
        Loads loads;
        for (std::size_t i = 0; i < models.size(); ++i) {
            if (models[i]) {
                loads.push_back(impedance(*models[i], axis));
                continue;
            }
            const WiredDriver& d = request.drivers[i];
            std::vector<Complex> values;
            std::ranges::transform(
                d.re, d.im, std::back_inserter(values), [](double re, double im) {
                    return Complex{re, im};
                });
            const curve::Curve measured(
                request.frequencies, std::move(values), curve::Phase::common);
            YF_TRY(at, curve::interpolate(measured, axis));
            loads.push_back(std::move(at));
        }
        return loads;
    }
};

std::optional<std::size_t> indexOf(const WiringRequest& r, const std::string& id) {
    const auto found = std::ranges::find(r.drivers, id, &WiredDriver::id);
    return found == r.drivers.end()
               ? std::nullopt
               : std::optional(static_cast<std::size_t>(found - r.drivers.begin()));
}

/// One point: the impedance of a piece of the circuit.
Complex impedanceOf(const Wiring& w, const WiringRequest& r, const std::vector<Complex>& Z) {
    switch (w.kind) {
    case Wiring::Kind::driver:
        return Z[*indexOf(r, w.driver)];
    case Wiring::Kind::resistor:
        return w.ohms;
    case Wiring::Kind::series: {
        Complex sum;
        for (const Wiring& part : w.parts) {
            sum += impedanceOf(part, r, Z);
        }
        return sum;
    }
    case Wiring::Kind::parallel: {
        Complex sum;
        for (const Wiring& part : w.parts) {
            sum += 1.0 / impedanceOf(part, r, Z);
        }
        return 1.0 / sum;
    }
    }
    return {};
}

/// One point: each driver's voltage for `across` volts over a piece of the circuit.
void divide(const Wiring& w,
            const WiringRequest& r,
            const std::vector<Complex>& Z,
            Complex across,
            std::vector<std::optional<Complex>>& drives) {
    if (w.kind == Wiring::Kind::driver) {
        drives[*indexOf(r, w.driver)] = across;
    }
    const Complex whole = w.kind == Wiring::Kind::series ? impedanceOf(w, r, Z) : Complex{};
    for (const Wiring& part : w.parts) {
        const Complex share =
            w.kind == Wiring::Kind::series ? across * impedanceOf(part, r, Z) / whole : across;
        divide(part, r, Z, share, drives);
    }
}

std::vector<Complex> column(const Loads& loads, std::size_t k) {
    std::vector<Complex> Z;
    for (const auto& load : loads) {
        Z.push_back(load[k]);
    }
    return Z;
}

std::vector<Complex> whole(const WiringRequest& r, const Loads& loads) {
    std::vector<Complex> Z;
    for (std::size_t k = 0; k < loads.front().size(); ++k) {
        Z.push_back(impedanceOf(r.circuit, r, column(loads, k)));
    }
    return Z;
}

std::optional<Error>
namesIn(const Wiring& w, const WiringRequest& r, std::vector<std::string>& seen) {
    if (w.kind == Wiring::Kind::driver) {
        if (!indexOf(r, w.driver)) {
            std::vector<std::string> ids;
            std::ranges::transform(r.drivers, std::back_inserter(ids), &WiredDriver::id);
            return Error{"circuit",
                         text::givenWord(w.driver),
                         say(YF_WORDS("core", "the nearest known driver is %1"),
                             text::nearest(w.driver, ids))};
        }
        if (std::ranges::find(seen, w.driver) != seen.end()) {
            return Error{"circuit",
                         say(YF_WORDS("core", "'%1' stands twice"), w.driver),
                         "a driver has one place"};
        }
        seen.push_back(w.driver);
    }
    for (const Wiring& part : w.parts) {
        if (auto error = namesIn(part, r, seen)) {
            return error;
        }
    }
    return std::nullopt;
}

Result<std::vector<std::optional<ImpedanceModel>>> modelsOf(const WiringRequest& r) {
    std::vector<std::optional<ImpedanceModel>> models;
    for (std::size_t i = 0; i < r.drivers.size(); ++i) {
        const WiredDriver& d = r.drivers[i];
        const std::string path = text::join("drivers", i);
        auto model = modelOf(d.model);
        if (!model) {
            return text::under(path, model.error());
        }
        if (!*model && d.re.size() != r.frequencies.size()) {
            return Error{text::join(path, "impedances_ohm_re"),
                         say(YF_WORDS("core", "%1 values given"), std::to_string(d.re.size())),
                         say(YF_WORDS("core", "must be as many as frequencies_hz, %1"),
                             std::to_string(r.frequencies.size()))};
        }
        models.push_back(*model);
    }
    return models;
}

std::optional<Error> checked(const WiringRequest& r) {
    if (r.drivers.empty()) {
        return Error{"drivers", "none given", "must be at least one"};
    }
    for (std::size_t i = 0; i < r.drivers.size(); ++i) {
        if (*indexOf(r, r.drivers[i].id) != i) {
            return Error{"drivers",
                         say(YF_WORDS("core", "'%1' stands twice"), r.drivers[i].id),
                         "each has its own id"};
        }
    }
    if (!std::ranges::is_sorted(r.frequencies, std::less_equal{}) ||
        std::ranges::adjacent_find(r.frequencies) != r.frequencies.end()) {
        return Error{"frequencies_hz", "not rising", "must rise from one to the next"};
    }
    std::vector<std::string> seen;
    return namesIn(r.circuit, r, seen);
}

/// What one way of wiring gives at the reference frequency for 2.83 V: pressure and real power.
struct Output {
    double level{};
    double power{};
};

Output outputOf(const WiringRequest& r, const Wiring& circuit, const std::vector<Complex>& Z) {
    std::vector<std::optional<Complex>> drives(r.drivers.size());
    divide(circuit, r, Z, 1.0, drives);
    Complex pressure;
    for (std::size_t i = 0; i < drives.size(); ++i) {
        if (drives[i]) {
            pressure += std::pow(10.0, r.drivers[i].sensitivity / 20.0) * *drives[i] *
                        static_cast<double>(r.drivers[i].polarity);
        }
    }
    return {20.0 * std::log10(std::max(std::abs(pressure), 1e-30)),
            referenceVoltage * referenceVoltage * std::real(1.0 / impedanceOf(circuit, r, Z))};
}

std::optional<double> restOf(const WiringRequest& r, const Known& known) {
    std::vector<Complex> Re;
    for (const auto& model : known.models) {
        if (!model) {
            return std::nullopt;
        }
        Re.emplace_back(model->Re);
    }
    return impedanceOf(r.circuit, r, Re).real();
}

} // namespace

Result<Wiring> Wiring::read(const Value& value, const std::string& path) {
    if (const std::string* id = value.word()) {
        return Wiring{Kind::driver, *id, 0.0, {}};
    }
    const Value::Object* object = value.object();
    if (object == nullptr || object->size() != 1) {
        return Error{path,
                     text::given(text::kindOf(value)),
                     "must be a driver's id, or an object with one of r_ohm, series, parallel"};
    }
    const text::Member& member = object->front();
    const std::string below = text::join(path, member.key);
    if (member.key == "r_ohm") {
        YF_TRY(ohms, text::readNumber(member.value, quantity::resistance, below));
        return Wiring{Kind::resistor, "", ohms, {}};
    }
    if (member.key != "series" && member.key != "parallel") {
        return Error{below, "unknown key", "must be r_ohm, series or parallel"};
    }
    const Value::List* list = member.value.list();
    if (list == nullptr || list->empty()) {
        return Error{below, "no parts given", "must be a list of at least one"};
    }
    Wiring w{member.key == "series" ? Kind::series : Kind::parallel, "", 0.0, {}};
    for (std::size_t i = 0; i < list->size(); ++i) {
        YF_TRY(part, read((*list)[i], text::join(below, i)));
        w.parts.push_back(std::move(part));
    }
    return w;
}

Value Wiring::write() const {
    if (kind == Kind::driver) {
        return driver;
    }
    if (kind == Kind::resistor) {
        return Value::Object{{"r_ohm", ohms}};
    }
    Value::List list;
    std::ranges::transform(parts, std::back_inserter(list), &Wiring::write);
    return Value::Object{{kind == Kind::series ? "series" : "parallel", list}};
}

std::optional<Error> check(const WiredDriver& d) {
    const bool hasModel = d.model.Re || d.model.Qms || d.model.Qes;
    if (d.re.size() != d.im.size()) {
        return Error{"impedances_ohm_im",
                     say(YF_WORDS("core", "%1 values given"), std::to_string(d.im.size())),
                     say(YF_WORDS("core", "must be as many as impedances_ohm_re, %1"),
                         std::to_string(d.re.size()))};
    }
    if (hasModel == !d.re.empty()) {
        return Error{"Re_ohm",
                     hasModel ? "given beside a curve" : "missing",
                     "give a model (Re_ohm, fs_hz, Qms, Qes) or a curve"};
    }
    if (d.polarity == 0) {
        return Error{"polarity", "0 given", "must be 1 or -1"};
    }
    return std::nullopt;
}

Result<WiringResult> wiring(const WiringRequest& r) {
    if (auto error = checked(r)) {
        return *error;
    }
    YF_TRY(models, modelsOf(r));
    const Known known{r, models};
    WiringResult out;
    out.frequencies = r.frequencies.empty() ? curve::designAxis() : r.frequencies;
    YF_TRY(loads, known.on(out.frequencies));
    for (const Complex& Z : whole(r, loads)) {
        out.re.push_back(Z.real());
        out.im.push_back(Z.imag());
    }
    const Axis axis =
        known.anyCurve() ? curve::within(r.frequencies, 20.0, 20000.0) : audibleAxis({0.0, 1e12});
    if (axis.empty()) {
        return Error{"frequencies_hz", "none within 20 Hz to 20 kHz", "the load is judged there"};
    }
    YF_TRY(audible, known.on(axis));
    const std::vector<Complex> Z = whole(r, audible);
    const auto least = std::ranges::min_element(Z, {}, [](Complex z) { return std::abs(z); });
    out.least = std::abs(*least);
    out.leastAt = axis[static_cast<std::size_t>(least - Z.begin())];
    out.rated = ratedImpedance(out.least);
    out.leastEpdr = epdr(std::ranges::min(Z, {}, &epdr));
    out.safe = out.least >= leastShare * r.amplifierLeast;
    out.dcr = restOf(r, known);
    auto atReference = known.on({r.reference});
    if (!atReference) {
        return Error{"reference_hz",
                     text::given(text::printNumber(r.reference)),
                     "must be within the curves' frequencies"};
    }
    const std::vector<Complex> there = column(*atReference, 0);
    std::vector<std::optional<Complex>> drives(r.drivers.size());
    divide(r.circuit, r, there, 1.0, drives);
    for (const auto& drive : drives) {
        out.drives.push_back(drive ? std::optional(20.0 * std::log10(std::abs(*drive)))
                                   : std::nullopt);
    }
    const Output all = outputOf(r, r.circuit, there);
    const Output alone =
        outputOf(r, Wiring{Wiring::Kind::driver, r.drivers.front().id, 0.0, {}}, there);
    out.levelChange = all.level - alone.level;
    out.levelChangePerWatt = out.levelChange - 10.0 * std::log10(all.power / alone.power);
    return out;
}

} // namespace yf::driver
