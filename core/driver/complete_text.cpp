// SPDX-License-Identifier: GPL-3.0-or-later
// How a sheet's figures are read, described and written.
#include "core/driver/complete.h"
#include "core/text/fields.h"

#include <algorithm>

namespace yf::driver {

namespace {

using text::Value;

namespace q = quantity;

/// The rest of the request, which has a list of its own.
struct Settings {
    CompleteRequest& r;

    static void fields(auto& self, auto&& field) {
        field(self.r.diameter,
              q::diameter.as("diameter_m", "effective, mid-surround to mid-surround"));
        field(self.r.Le, q::Le);
        field(self.r.Xmax, q::Xmax);
        field(self.r.tolerance,
              q::Quantity{"", "tolerance_pct", 0.01, "%", 0.1, 50.0, "of a figure"}.orElse(5.0));
        field(
            self.r.sensitivityTolerance,
            q::Quantity{"", "sensitivity_tolerance_db", 1.0, "dB", 0.1, 20.0, "of a level"}.orElse(
                1.5));
        field(self.r.mounting,
              q::Choice<2>{"mounting", {"baffle", "free"}, "air load on both sides or one", 0});
        field(self.r.rho,
              q::Quantity{"ρ", "rho_kg_per_m3", 1.0, "kg/m³", 0.5, 2.0, "density of air"}.orElse(
                  1.204));
        field(self.r.c,
              q::Quantity{"c", "c_m_per_s", 1.0, "m/s", 250.0, 450.0, "speed of sound"}.orElse(
                  343.2));
    }
};

template <class F>
void eachField(CompleteRequest& r, F&& field) {
    for (std::size_t i = 0; i < figureCount; ++i) {
        field(r.given[i], quantityOf(static_cast<Figure>(i)));
    }
    Settings settings{r};
    Settings::fields(settings, field);
}

Result<std::vector<std::pair<std::string, double>>> readUncertainties(const Value& value) {
    const Value::Object* object = value.object();
    if (object == nullptr) {
        return text::wrongKind("uncertainties_pct", value, "an object of per cents");
    }
    std::vector<std::pair<std::string, double>> all;
    std::vector<std::string> known;
    for (std::size_t i = 0; i < figureCount; ++i) {
        known.emplace_back(quantityOf(static_cast<Figure>(i)).key);
    }
    for (const text::Member& m : *object) {
        const std::string path = "uncertainties_pct." + m.key;
        if (std::ranges::find(known, m.key) == known.end()) {
            return Error{
                path,
                "unknown key",
                say(YF_WORDS("core", "the nearest known key is %1"), text::nearest(m.key, known))};
        }
        YF_TRY(u,
               text::readNumber(
                   m.value, q::Quantity{"u", "u_pct", 1.0, "%", 0.001, 100.0, "standard"}, path));
        all.emplace_back(m.key, u);
    }
    return all;
}

} // namespace

Result<CompleteRequest> CompleteRequest::read(const Value& value, const std::string& path) {
    if (value.object() == nullptr) {
        return text::wrongKind(path.empty() ? "input" : path, value, "an object");
    }
    CompleteRequest r;
    Value::Object rest;
    for (const text::Member& m : *value.object()) {
        if (m.key == "uncertainties_pct") {
            YF_TRY(u, readUncertainties(m.value));
            r.uncertainties = std::move(u);
        } else {
            rest.push_back(m);
        }
    }
    const Value fields{rest};
    text::FieldReader reader(fields, path);
    eachField(r, reader);
    if (auto error = reader.finish()) {
        return *error;
    }
    return r;
}

Value CompleteRequest::describe() {
    text::FieldDescriber describer;
    CompleteRequest r;
    eachField(r, describer);
    Value::List keys = describer.take();
    keys.emplace_back(Value::Object{{"key", "uncertainties_pct"},
                                    {"kind", "object"},
                                    {"required", false},
                                    {"help", "standard uncertainty by key, per cent"}});
    return Value::Object{{"keys", keys}};
}

Value Completed::write() const {
    Value::Object o;
    for (std::size_t i = 0; i < figureCount; ++i) {
        o.push_back(
            {std::string(quantityOf(static_cast<Figure>(i)).key),
             values[i] ? Value{*values[i] / quantityOf(static_cast<Figure>(i)).unit} : Value{}});
    }
    const auto orNull = [](const std::optional<double>& v) { return v ? Value{*v} : Value{}; };
    o.push_back({"Le_h", orNull(Le)});
    o.push_back({"Xmax_m", orNull(Xmax)});
    o.push_back({"ebp_hz", orNull(ebp)});
    o.push_back({"Vd_l", Vd ? Value{*Vd * 1e3} : Value{}});
    o.push_back({"undetermined", undetermined});
    Value::Object settle;
    for (const auto& [k, by] : wouldSettle) {
        settle.push_back({k, by});
    }
    o.push_back({"would_settle", settle});
    Value::List list;
    for (const SheetCheck& c : checks) {
        list.emplace_back(Value::Object{{"relation", c.relation},
                                        {"given", c.given},
                                        {"expected", c.expected},
                                        {"deviation_pct", 100.0 * c.deviation},
                                        {"ok", c.ok}});
    }
    o.push_back({"checks", list});
    o.push_back({"unchecked", unchecked});
    constexpr std::string_view names[] = {
        "consistent", "one_off", "cannot_tell", "several_off", "not_checkable"};
    o.push_back({"verdict", names[static_cast<std::size_t>(verdict)]});
    o.push_back({"suspects", suspects});
    Value::Object by;
    for (const auto& [k, v] : implied) {
        by.push_back({k, v});
    }
    o.push_back({"implied", by});
    Value::Object why;
    for (const auto& [k, t] : slips) {
        why.push_back({k, t});
    }
    o.push_back({"slips", why});
    for (const auto& [k, u] : uncertainties) {
        o.push_back({k, u});
    }
    return o;
}

} // namespace yf::driver
