// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/value.h"

#include "core/text/given.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>

namespace yf::text {

namespace {

using Json = nlohmann::ordered_json;

/// Deeper nesting is no input of ours but an attack on the stack.
constexpr std::size_t deepest = 64;

/// Builds a Value from the parser's events; keeps the path for messages.
class Builder : public nlohmann::json_sax<Json> {
public:
    bool null() override { return put(Value{}); }

    bool boolean(bool value) override { return put(Value{value}); }

    bool number_integer(number_integer_t value) override {
        return put(Value{static_cast<double>(value)});
    }

    bool number_unsigned(number_unsigned_t value) override {
        return put(Value{static_cast<double>(value)});
    }

    bool number_float(number_float_t value, const string_t& token) override {
        if (!std::isfinite(value)) {
            return fail({path(), text::given(token), "must be a finite number"});
        }
        return put(Value{value});
    }

    bool string(string_t& value) override { return put(Value{std::string(value)}); }

    bool binary(binary_t& /*value*/) override { return false; }

    bool start_object(std::size_t /*size*/) override { return open(Value{Value::Object{}}); }

    bool start_array(std::size_t /*size*/) override { return open(Value{Value::List{}}); }

    bool key(string_t& name) override {
        auto& object = std::get<Value::Object>(open_.back().value.data);
        const bool twice =
            std::ranges::any_of(object, [&](const Member& m) { return m.key == name; });
        if (twice) {
            open_.back().key = name;
            return fail({path(), "given twice", "each key may stand once"});
        }
        open_.back().key = name;
        return true;
    }

    bool end_object() override { return close(); }

    bool end_array() override { return close(); }

    bool parse_error(std::size_t /*position*/,
                     const std::string& lastToken,
                     const nlohmann::detail::exception& why) override {
        if (!error_) {
            std::string what = why.what();
            const bool tooLarge = what.find("number overflow") != std::string::npos;
            if (tooLarge) {
                error_ = Error{path(),
                               text::given(lastToken),
                               YF_WORDS("core", "must be within the range of a number")};
            } else {
                const auto place = what.find("at line");
                const auto end = what.find(':', place == std::string::npos ? 0 : place);
                const std::string where =
                    place == std::string::npos ? std::string{} : what.substr(place, end - place);
                error_ = Error{"input",
                               lastToken.empty() ? say(YF_WORDS("core", "is not JSON %1"), where)
                                                 : say(YF_WORDS("core", "is not JSON %1 near '%2'"),
                                                       where,
                                                       printable(lastToken)),
                               YF_WORDS("core", "must be one JSON object")};
            }
        }
        return false;
    }

    Result<Value> take() {
        if (error_) {
            return *error_;
        }
        return std::move(root_);
    }

    void failWith(Error error) {
        if (!error_) {
            error_ = std::move(error);
        }
    }

private:
    struct Open {
        Value value;
        std::string key;
    };

    static std::string printable(const std::string& token) {
        std::string shown;
        for (const char c : token.substr(0, 40)) {
            shown += static_cast<unsigned char>(c) < 0x20 ? ' ' : c;
        }
        return shown;
    }

    bool put(Value value) {
        if (open_.empty()) {
            root_ = std::move(value);
            return true;
        }
        Value& parent = open_.back().value;
        if (auto* list = std::get_if<Value::List>(&parent.data)) {
            list->push_back(std::move(value));
        } else {
            std::get<Value::Object>(parent.data)
                .push_back(Member{open_.back().key, std::move(value)});
        }
        return true;
    }

    bool open(Value value) {
        if (open_.size() >= deepest) {
            return fail({path(), "nested deeper than 64 levels", "must be flatter"});
        }
        open_.push_back(Open{std::move(value), {}});
        return true;
    }

    bool close() {
        Value finished = std::move(open_.back().value);
        open_.pop_back();
        return put(std::move(finished));
    }

    bool fail(Error error) {
        failWith(std::move(error));
        return false;
    }

    [[nodiscard]] std::string path() const {
        std::string joined;
        for (const Open& level : open_) {
            if (const auto* list = level.value.list()) {
                joined += "[" + std::to_string(list->size()) + "]";
            } else {
                joined += (joined.empty() ? "" : ".") + level.key;
            }
        }
        return joined.empty() ? "input" : joined;
    }

    Value root_;
    std::vector<Open> open_;
    std::optional<Error> error_;
};

Json toJson(const Value& value) {
    return std::visit(
        [](const auto& content) -> Json {
            using T = std::decay_t<decltype(content)>;
            if constexpr (std::is_same_v<T, Value::List>) {
                Json list = Json::array();
                for (const Value& entry : content) {
                    list.push_back(toJson(entry));
                }
                return list;
            } else if constexpr (std::is_same_v<T, Value::Object>) {
                Json object = Json::object();
                for (const Member& member : content) {
                    object[member.key] = toJson(member.value);
                }
                return object;
            } else if constexpr (std::is_same_v<T, double>) {
                YF_EXPECT(std::isfinite(content));
                constexpr double exactWhole = 9007199254740992.0;
                if (content == std::floor(content) && std::abs(content) < exactWhole) {
                    return Json(static_cast<long long>(content));
                }
                return Json(content);
            } else {
                return Json(content);
            }
        },
        value.data);
}

std::string dump(const Value& value, int indent) {
    // Text that is not UTF-8 (an old file's name) is shown with replacement marks, never a throw.
    return toJson(value).dump(indent, ' ', false, Json::error_handler_t::replace);
}

} // namespace

// Here, where Member is complete.
Value::Value() = default;
Value::Value(const Value& other) = default;
Value::Value(Value&& other) noexcept = default;
Value& Value::operator=(const Value& other) = default;
Value& Value::operator=(Value&& other) noexcept = default;
Value::~Value() = default;

Value::Value(std::nullptr_t) {}

Value::Value(const Words& words) : data(words.english()) {}

Value::Value(const std::vector<Words>& words) : data(List(words.begin(), words.end())) {}

Value::Value(bool flag) : data(flag) {}

Value::Value(double number) : data(number) {}

Value::Value(int number) : data(static_cast<double>(number)) {}

Value::Value(std::string word) : data(std::move(word)) {}

Value::Value(std::string_view word) : data(std::string(word)) {}

Value::Value(const char* word) : data(std::string(word)) {}

Value::Value(List list) : data(std::move(list)) {}

Value::Value(Object object) : data(std::move(object)) {}

Value::Value(const std::vector<double>& numbers) : data(List(numbers.begin(), numbers.end())) {}

Value::Value(const std::vector<std::string>& words) : data(List(words.begin(), words.end())) {}

const Value* Value::find(std::string_view key) const {
    const auto* members = object();
    if (members == nullptr) {
        return nullptr;
    }
    const auto found = std::ranges::find(*members, key, &Member::key);
    return found == members->end() ? nullptr : &found->value;
}

bool Value::operator==(const Value& other) const {
    return data == other.data;
}

Result<Value> parseJson(std::string_view text) {
    Builder builder;
    const bool read = Json::sax_parse(text, &builder);
    if (!read) {
        builder.failWith(Error{
            "input", YF_WORDS("core", "is not JSON"), YF_WORDS("core", "must be one JSON object")});
    }
    return builder.take();
}

std::string writeJson(const Value& value) {
    return dump(value, -1);
}

std::string writeJsonForReading(const Value& value) {
    return dump(value, 2);
}

Value asValue(const Words& words) {
    if (words.arguments().empty()) {
        return words.form();
    }
    Value::List list{words.form()};
    for (const Words& argument : words.arguments()) {
        list.push_back(asValue(argument));
    }
    return list;
}

std::optional<Words> wordsOf(const Value& value) {
    if (const std::string* text = value.word()) {
        return Words(*text);
    }
    const Value::List* list = value.list();
    const std::string* form = list == nullptr || list->empty() ? nullptr : list->front().word();
    if (form == nullptr) {
        return std::nullopt;
    }
    std::vector<Words> arguments;
    for (std::size_t i = 1; i < list->size(); ++i) {
        auto argument = wordsOf((*list)[i]);
        if (!argument) {
            return std::nullopt;
        }
        arguments.push_back(std::move(*argument));
    }
    return Words::of(*form, std::move(arguments));
}

std::string packed(const Words& words) {
    const bool plain = words.arguments().empty();
    if (plain && !words.form().starts_with('[')) {
        return words.form();
    }
    return writeJson(plain ? Value(Value::List{words.form()}) : asValue(words));
}

Words unpacked(const std::string& text) {
    if (text.starts_with('[')) {
        if (const auto value = parseJson(text)) {
            if (auto words = wordsOf(*value)) {
                return std::move(*words);
            }
        }
    }
    return text;
}

std::string_view kindOf(const Value& value) {
    static constexpr std::string_view names[] = {
        "null", "a flag", "a number", "text", "a list", "an object"};
    return names[value.data.index()];
}

} // namespace yf::text
