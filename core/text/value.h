// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <variant>
#include <vector>

namespace yf::text {

struct Member;

/// A JSON value. Objects keep their order of writing; no key stands twice.
struct Value {
    using List = std::vector<Value>;
    using Object = std::vector<Member>;
    std::variant<std::nullptr_t, bool, double, std::string, List, Object> data;

    Value();
    // In the source: their insides are many, and every list of fields uses them.
    Value(const Value& other);
    Value(Value&& other) noexcept;
    Value& operator=(const Value& other);
    Value& operator=(Value&& other) noexcept;
    ~Value();
    Value(std::nullptr_t);
    Value(bool flag);
    Value(double number);
    Value(int number);
    Value(std::string word);
    Value(std::string_view word);
    Value(const char* word);
    Value(List list);
    Value(Object object);
    Value(const std::vector<double>& numbers);
    Value(const std::vector<std::string>& words);
    Value(const Words& words); ///< its English; asValue keeps it whole
    Value(const std::vector<Words>& words);

    [[nodiscard]] bool isNull() const { return std::holds_alternative<std::nullptr_t>(data); }

    [[nodiscard]] const double* number() const { return std::get_if<double>(&data); }

    [[nodiscard]] const std::string* word() const { return std::get_if<std::string>(&data); }

    [[nodiscard]] const bool* flag() const { return std::get_if<bool>(&data); }

    [[nodiscard]] const List* list() const { return std::get_if<List>(&data); }

    [[nodiscard]] const Object* object() const { return std::get_if<Object>(&data); }

    /// The member of that name, or nullptr if this is no object or has none.
    [[nodiscard]] const Value* find(std::string_view key) const;

    bool operator==(const Value&) const;
};

struct Member {
    std::string key;
    Value value;

    bool operator==(const Member&) const = default;
};

/// Reads one JSON text. Refused with the place: bad syntax (line and column), a number beyond the
/// range of a double, a key that stands twice, more than one value. Depth is limited to 64.
[[nodiscard]] Result<Value> parseJson(std::string_view text);

/// One line of JSON; numbers in the shortest form that reads back equal.
/// A number that is not finite is a programmer's mistake: write null where nothing exists.
[[nodiscard]] std::string writeJson(const Value& value);

/// The same, indented for people.
[[nodiscard]] std::string writeJsonForReading(const Value& value);

/// Words whole: a text without places is itself, another a list of its form and its arguments.
[[nodiscard]] Value asValue(const Words& words);

/// Nothing where the value is neither a text nor a list that begins with one.
[[nodiscard]] std::optional<Words> wordsOf(const Value& value);

/// The same as one line, for where only a text can be kept. A text that is no such list is itself.
[[nodiscard]] std::string packed(const Words& words);
[[nodiscard]] Words unpacked(const std::string& text);

/// "a number", "a list", … for error messages.
[[nodiscard]] std::string_view kindOf(const Value& value);

} // namespace yf::text
