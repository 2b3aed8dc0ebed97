// SPDX-License-Identifier: GPL-3.0-or-later
// How a network's drivers are read and written.
#include "core/driver/resonance.h"
#include "core/network/solve/network.h"
#include "core/text/given.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::network {

namespace {

namespace q = yf::quantity;
using text::Value;

/// A response: level re 20 µPa and phase.
struct ResponseKeys {
    std::vector<double> frequencies;
    std::vector<double> levels;
    std::vector<double> phases;

    static void fields(auto& self, auto&& field) {
        field(self.frequencies, q::frequencies);
        field(self.levels, q::levels);
        field(self.phases, q::phases);
    }
};

enum class RoleKey { bass, mid, treble };

/// All that may stand under a driver's name besides the model's own keys.
struct DriverKeys {
    std::optional<double> resistance;
    std::optional<std::vector<double>> frequencies;
    std::optional<std::vector<double>> moduli;
    std::optional<std::vector<double>> phases;
    std::optional<std::vector<double>> re;
    std::optional<std::vector<double>> im;
    quantity::DriverRole role{};
    std::optional<ResponseKeys> response;
    double delay{};

    static void fields(auto& self, auto&& field) {
        field(self.resistance, q::resistance);
        field(self.frequencies, q::frequencies);
        field(self.moduli, q::impedances);
        field(self.phases, q::phases);
        field(self.re, q::impedancesRe);
        field(self.im, q::impedancesIm);
        field(self.role,
              q::Choice<3>{"role", {"bass", "mid", "treble"}, "what the driver is for", 0});
        field(self.response, q::Group{"response", "level and phase for 2.83 V"});
        field(self.delay, q::delay.orElse(0.0));
    }
};

std::vector<std::string> keysOf(const Value& described) {
    std::vector<std::string> keys;
    for (const Value& entry : *described.find("keys")->list()) {
        keys.push_back(*entry.find("key")->word());
    }
    return keys;
}

const std::vector<std::string>& modelKeys() {
    static const std::vector<std::string> keys = keysOf(text::describe<driver::ImpedanceModel>());
    return keys;
}

const std::vector<std::string>& otherKeys() {
    static const std::vector<std::string> keys = keysOf(text::describe<DriverKeys>());
    return keys;
}

bool contains(const std::vector<std::string>& keys, const std::string& key) {
    return std::ranges::find(keys, key) != keys.end();
}

std::optional<Error>
checkLength(std::size_t values, std::size_t frequencies, const std::string& path) {
    if (values == frequencies) {
        return std::nullopt;
    }
    return Error{path,
                 say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                     std::to_string(values),
                     std::to_string(frequencies)),
                 ""};
}

Result<curve::Curve> readImpedanceTable(const DriverKeys& keys, const std::string& path) {
    const std::string axisPath = text::join(path, "frequencies_hz");
    if (!keys.frequencies) {
        return Error{axisPath, "missing", "an impedance table needs it"};
    }
    if (auto error = checkAxis(*keys.frequencies, axisPath)) {
        return *error;
    }
    const bool polar = keys.moduli || keys.phases;
    const bool cartesian = keys.re || keys.im;
    if (polar == cartesian) {
        return Error{
            text::join(path, "impedances_ohm"),
            polar ? "given together with impedances_ohm_re" : "missing",
            "an impedance table is impedances_ohm with phases_deg, or impedances_ohm_re with _im"};
    }
    const auto& first = polar ? keys.moduli : keys.re;
    const auto& second = polar ? keys.phases : keys.im;
    const char* names[2][2] = {{"impedances_ohm_re", "impedances_ohm_im"},
                               {"impedances_ohm", "phases_deg"}};
    for (std::size_t i = 0; i < 2; ++i) {
        const auto& list = i == 0 ? first : second;
        const std::string listPath = text::join(path, names[polar ? 1 : 0][i]);
        if (!list) {
            return Error{listPath, "missing", "must have one value for each frequency"};
        }
        if (auto error = checkLength(list->size(), keys.frequencies->size(), listPath)) {
            return *error;
        }
    }
    std::vector<Complex> Z;
    for (std::size_t i = 0; i < first->size(); ++i) {
        Z.push_back(polar ? std::polar((*first)[i], (*second)[i])
                          : Complex{(*first)[i], (*second)[i]});
        if (std::abs(Z.back()) == 0.0) {
            return Error{
                text::join(text::join(path, names[0][0]), i), "0 ohms given", "must not be 0"};
        }
    }
    return curve::Curve(*keys.frequencies, std::move(Z), curve::Phase::own);
}

Result<std::optional<curve::Curve>> readResponse(const DriverKeys& keys, const std::string& path) {
    if (!keys.response || keys.response->frequencies.empty()) {
        return std::optional<curve::Curve>{};
    }
    const ResponseKeys& r = *keys.response;
    const std::string inner = text::join(path, "response");
    if (auto error = checkAxis(r.frequencies, text::join(inner, "frequencies_hz"))) {
        return *error;
    }
    if (auto error =
            checkLength(r.levels.size(), r.frequencies.size(), text::join(inner, "levels_db"))) {
        return *error;
    }
    if (auto error =
            checkLength(r.phases.size(), r.frequencies.size(), text::join(inner, "phases_deg"))) {
        return *error;
    }
    std::vector<Complex> p;
    for (std::size_t i = 0; i < r.levels.size(); ++i) {
        p.push_back(
            std::polar(quantity::referencePressure * quantity::gain(r.levels[i]), r.phases[i]));
    }
    return std::optional(curve::Curve(r.frequencies, std::move(p), curve::Phase::common));
}

constexpr std::array motionKeys{"fs_hz", "Qms", "Qes"};

/// Re with or without inductance, and no word of a resonance.
bool isCoilAlone(const Value::Object& model) {
    const auto given = [&](const char* key) {
        return std::ranges::find(model, key, &text::Member::key) != model.end();
    };
    return given("Re_ohm") && std::ranges::none_of(motionKeys, given);
}

Result<CoilLoad> readCoil(Value::Object model, const std::string& path) {
    // The model wants a resonance; what it says is not used.
    for (const char* key : motionKeys) {
        model.push_back({key, 1.0});
    }
    YF_TRY(coil, text::read<driver::ImpedanceModel>(model, path));
    return CoilLoad{coil};
}

Result<NamedDriver>
readDriver(const std::string& name, const Value& value, const std::string& path) {
    if (value.object() == nullptr) {
        return text::wrongKind(path, value, "an object");
    }
    // Split by owner: the model checks its own keys, unknown ones are judged against all.
    Value::Object model;
    Value::Object other;
    std::vector<std::string> known = modelKeys();
    known.insert(known.end(), otherKeys().begin(), otherKeys().end());
    for (const text::Member& member : *value.object()) {
        if (!contains(known, member.key)) {
            return Error{text::join(path, member.key),
                         "unknown key",
                         say(YF_WORDS("core", "the nearest known key is %1"),
                             text::nearest(member.key, known))};
        }
        (contains(modelKeys(), member.key) ? model : other).push_back(member);
    }
    YF_TRY(keys, text::read<DriverKeys>(other, path));
    const bool table = keys.frequencies || keys.moduli || keys.re || keys.im;
    const int forms = (keys.resistance ? 1 : 0) + (table ? 1 : 0) + (model.empty() ? 0 : 1);
    if (forms != 1) {
        return Error{
            path,
            forms == 0 ? "no impedance given" : "an impedance given in more than one form",
            "must be r_ohm, a table with frequencies_hz, Re_ohm with fs_hz, Qms and Qes, or Re_ohm "
            "alone or with Le_h for a coil that moves nothing"};
    }
    NamedDriver driver{.name = name,
                       .impedance = ResistorLoad{},
                       .response = {},
                       .role = keys.role,
                       .delay = keys.delay};
    if (keys.resistance) {
        driver.impedance = ResistorLoad{*keys.resistance};
    } else if (table) {
        YF_TRY(curve, readImpedanceTable(keys, path));
        driver.impedance = std::move(curve);
    } else if (isCoilAlone(model)) {
        YF_TRY(coil, readCoil(model, path));
        driver.impedance = coil;
    } else {
        YF_TRY(parameters, text::read<driver::ImpedanceModel>(model, path));
        driver.impedance = parameters;
    }
    YF_TRY(response, readResponse(keys, path));
    driver.response = std::move(response);
    return driver;
}

Value writeDriver(const NamedDriver& driver) {
    Value::Object object;
    std::visit(
        [&](const auto& source) {
            using T = std::decay_t<decltype(source)>;
            if constexpr (std::is_same_v<T, ResistorLoad>) {
                object.push_back({"r_ohm", source.resistance});
            } else if constexpr (std::is_same_v<T, driver::ImpedanceModel> ||
                                 std::is_same_v<T, CoilLoad>) {
                constexpr bool coil = std::is_same_v<T, CoilLoad>;
                const Value model = [&] {
                    if constexpr (coil) {
                        return text::write(source.coil);
                    } else {
                        return text::write(source);
                    }
                }();
                for (const text::Member& member : *model.object()) {
                    const bool motion =
                        coil && std::ranges::find(motionKeys, member.key) != motionKeys.end();
                    if (!member.value.isNull() && !motion) {
                        object.push_back(member);
                    }
                }
            } else {
                std::vector<double> re;
                std::vector<double> im;
                for (const Complex& Z : source.values()) {
                    re.push_back(Z.real());
                    im.push_back(Z.imag());
                }
                object.push_back({"frequencies_hz", source.frequencies()});
                object.push_back({"impedances_ohm_re", re});
                object.push_back({"impedances_ohm_im", im});
            }
        },
        driver.impedance);
    static constexpr std::string_view roles[] = {"bass", "mid", "treble"};
    object.push_back({"role", roles[static_cast<std::size_t>(driver.role)]});
    if (driver.response) {
        ResponseKeys keys{.frequencies = driver.response->frequencies(),
                          .levels =
                              curve::levels(driver.response->values(), quantity::referencePressure),
                          .phases = curve::angles(driver.response->values())};
        object.push_back({"response", text::write(keys)});
    }
    if (driver.delay != 0.0) {
        object.push_back({"delay_s", driver.delay});
    }
    return object;
}

} // namespace

Result<DriverSet> DriverSet::read(const Value& value, const std::string& path) {
    if (value.object() == nullptr) {
        return Error{
            path, text::given(text::kindOf(value)), "must be an object of drivers by name"};
    }
    DriverSet set;
    for (const text::Member& member : *value.object()) {
        YF_TRY(driver, readDriver(member.key, member.value, text::join(path, member.key)));
        set.drivers.push_back(std::move(driver));
    }
    return set;
}

Value DriverSet::write() const {
    Value::Object list;
    for (const NamedDriver& driver : drivers) {
        list.push_back({driver.name, writeDriver(driver)});
    }
    return list;
}

} // namespace yf::network
