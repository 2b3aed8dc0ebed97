// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantity.h"
#include "core/text/nearest.h"
#include "core/text/number.h"
#include "core/text/sentence.h"
#include "core/text/value.h"

#include <algorithm>
#include <concepts>
#include <optional>
#include <string>
#include <type_traits>
#include <vector>

/// Between a struct with a field list and JSON: one list, walked three ways.
///
/// read<T>(value, path)   keys, kinds, ranges, missing and unknown keys are checked; SI comes out
/// write(t)               the same keys back; an empty optional becomes null
/// describe<T>()          the keys with unit, default and range, for --describe
///
/// A type joins by `static void fields(auto& self, auto&& field)`, where each line is
/// `field(self.member, quantity::…)`. A type with a notation of its own (the network) has
/// `static Result<T> read(const Value&, const std::string& path)` and `Value write() const`
/// instead. A rule between fields is a function `check(const T&) → std::optional<Error>`.
namespace yf::text {

template <class T>
struct IsOptional : std::false_type {};

template <class T>
struct IsOptional<std::optional<T>> : std::true_type {};

template <class T>
struct IsVector : std::false_type {};

template <class T>
struct IsVector<std::vector<T>> : std::true_type {};

/// A number that may be null, in a list or by itself: a meter's reading over its range.
template <class T>
inline constexpr bool isNullable = std::is_same_v<T, std::optional<std::optional<double>>> ||
                                   std::is_same_v<T, std::vector<std::optional<double>>>;

template <class T>
inline constexpr bool isList = IsVector<T>::value;

template <class T>
inline constexpr bool isList<std::optional<T>> = isList<T>;

template <class T>
concept ReadsItself = requires(const Value& value, const std::string& path) {
    T::read(value, path);
};

template <class T>
concept WritesItself = requires(const T& t) {
    t.write();
};

template <class T>
concept HasCheck = requires(const T& t) {
    check(t);
};

template <class T>
Result<T> read(const Value& value, const std::string& path);

template <class T>
Value write(const T& t);

template <class T>
Value describe();

/// "0.01 to 1000"
[[nodiscard]] std::string rangeText(double lowest, double highest);

[[nodiscard]] inline Error
wrongKind(const std::string& path, const Value& value, std::string_view wanted) {
    return {path, std::string(kindOf(value)) + " given", "must be " + std::string(wanted)};
}

[[nodiscard]] Result<double>
readNumber(const Value& value, const quantity::Quantity& quantity, const std::string& path);

/// Walks a field list over a JSON object.
class FieldReader {
public:
    FieldReader(const Value& object, std::string path) : object_(object), path_(std::move(path)) {}

    template <class M, class D>
    void operator()(M& member, const D& descriptor) {
        known_.emplace_back(descriptor.key);
        if (error_) {
            return;
        }
        const std::string path = join(path_, descriptor.key);
        const Value* value = object_.find(descriptor.key);
        if (value == nullptr || (value->isNull() && IsOptional<M>::value && !isNullable<M>)) {
            missing(member, descriptor, path);
            return;
        }
        if constexpr (IsOptional<M>::value) {
            typename M::value_type inner{};
            take(inner, descriptor, *value, path);
            member = std::move(inner);
        } else {
            take(member, descriptor, *value, path);
        }
    }

    /// An unknown key comes first: a misspelt key is also a missing one, and the spelling is the
    /// better news.
    [[nodiscard]] std::optional<Error> finish() const {
        for (const Member& member : *object_.object()) {
            if (std::ranges::find(known_, member.key) == known_.end()) {
                return Error{join(path_, member.key),
                             "unknown key",
                             known_.empty()
                                 ? "no key is known here"
                                 : "the nearest known key is " + nearest(member.key, known_)};
            }
        }
        return error_;
    }

private:
    template <class M, class D>
    void missing(M& member, const D& descriptor, const std::string& path) {
        if constexpr (requires { descriptor.fallback; }) {
            if (descriptor.fallback) {
                useFallback(member, descriptor);
                return;
            }
        } else if constexpr (std::is_same_v<D, quantity::Group>) {
            if (descriptor.mayBeMissing) {
                return;
            }
        }
        if constexpr (!IsOptional<M>::value) {
            error_ = Error{path, "missing", wanted(descriptor)};
        }
    }

    template <class M, class D>
    static void useFallback(M& member, const D& descriptor) {
        if constexpr (IsVector<M>::value) {
            // A list's default is the one that its struct begins with; one figure could not say it.
        } else if constexpr (std::is_same_v<D, quantity::Quantity>) {
            if constexpr (std::is_same_v<M, double> || std::is_same_v<M, std::optional<double>>) {
                member = *descriptor.fallback * descriptor.unit;
            }
        } else if constexpr (std::is_same_v<D, quantity::Word>) {
            if constexpr (std::is_assignable_v<M&, std::string>) {
                member = std::string(*descriptor.fallback);
            }
        } else if constexpr (std::is_enum_v<M>) {
            member = static_cast<M>(*descriptor.fallback);
        } else if constexpr (requires { std::is_enum_v<typename M::value_type>; }) {
            member = static_cast<typename M::value_type>(*descriptor.fallback);
        } else {
            member = *descriptor.fallback;
        }
    }

    template <class D>
    static std::string wanted(const D& descriptor) {
        if constexpr (std::is_same_v<D, quantity::Quantity>) {
            return "must be " + rangeText(descriptor.lowest, descriptor.highest);
        } else {
            return "must be given: " + std::string(descriptor.help);
        }
    }

    void
    take(double& member, const quantity::Quantity& q, const Value& value, const std::string& path) {
        auto number = readNumber(value, q, path);
        if (!number) {
            error_ = number.error();
            return;
        }
        member = *number * q.unit;
    }

    void take(std::optional<double>& member,
              const quantity::Quantity& q,
              const Value& value,
              const std::string& path) {
        if (value.isNull()) {
            member.reset();
            return;
        }
        double number{};
        take(number, q, value, path);
        member = number;
    }

    template <class Number>
    void take(std::vector<Number>& member,
              const quantity::Quantity& q,
              const Value& value,
              const std::string& path) {
        const auto* list = value.list();
        if (list == nullptr) {
            error_ = wrongKind(path, value, "a list of numbers");
            return;
        }
        member.clear();
        member.reserve(list->size());
        for (std::size_t i = 0; i < list->size(); ++i) {
            Number number{};
            take(number, q, (*list)[i], join(path, i));
            if (error_) {
                return;
            }
            member.push_back(number);
        }
    }

    void
    take(int& member, const quantity::Whole& whole, const Value& value, const std::string& path) {
        const double* number = value.number();
        if (number == nullptr) {
            error_ = wrongKind(path, value, "a whole number");
            return;
        }
        const bool inside = *number >= whole.lowest && *number <= whole.highest;
        if (!inside || *number != static_cast<double>(static_cast<int>(*number))) {
            error_ = Error{path,
                           printNumber(*number) + " given",
                           "must be a whole number, " + std::to_string(whole.lowest) + " to " +
                               std::to_string(whole.highest)};
            return;
        }
        member = static_cast<int>(*number);
    }

    void take(bool& member,
              const quantity::Flag& /*flag*/,
              const Value& value,
              const std::string& path) {
        const bool* flag = value.flag();
        if (flag == nullptr) {
            error_ = wrongKind(path, value, "true or false");
            return;
        }
        member = *flag;
    }

    void take(std::string& member,
              const quantity::Word& /*word*/,
              const Value& value,
              const std::string& path) {
        const std::string* word = value.word();
        if (word == nullptr) {
            error_ = wrongKind(path, value, "text");
            return;
        }
        member = *word;
    }

    void take(std::vector<std::string>& member,
              const quantity::Word& word,
              const Value& value,
              const std::string& path) {
        const auto* list = value.list();
        if (list == nullptr) {
            error_ = wrongKind(path, value, "a list of texts");
            return;
        }
        member.clear();
        for (std::size_t i = 0; i < list->size() && !error_; ++i) {
            member.emplace_back();
            take(member.back(), word, (*list)[i], join(path, i));
        }
    }

    template <class M, std::size_t N>
    void take(M& member,
              const quantity::Choice<N>& choice,
              const Value& value,
              const std::string& path) {
        static_assert(std::is_enum_v<M>);
        const std::string* word = value.word();
        const auto found =
            word == nullptr ? choice.names.end() : std::ranges::find(choice.names, *word);
        if (found == choice.names.end()) {
            std::string names;
            for (const auto name : choice.names) {
                names += (names.empty() ? "" : ", ") + std::string(name);
            }
            error_ =
                Error{path,
                      (word == nullptr ? std::string(kindOf(value)) : "'" + *word + "'") + " given",
                      "must be one of " + names};
            return;
        }
        member = static_cast<M>(found - choice.names.begin());
    }

    template <class M>
    void
    take(M& member, const quantity::Group& /*group*/, const Value& value, const std::string& path) {
        if constexpr (IsVector<M>::value) {
            const auto* list = value.list();
            if (list == nullptr) {
                error_ = wrongKind(path, value, "a list");
                return;
            }
            member.clear();
            for (std::size_t i = 0; i < list->size(); ++i) {
                auto entry = read<typename M::value_type>((*list)[i], join(path, i));
                if (!entry) {
                    error_ = entry.error();
                    return;
                }
                member.push_back(std::move(*entry));
            }
        } else {
            auto inner = read<M>(value, path);
            if (!inner) {
                error_ = inner.error();
                return;
            }
            member = std::move(*inner);
        }
    }

    const Value& object_;
    std::string path_;
    std::vector<std::string> known_;
    std::optional<Error> error_;
};

template <class T>
Result<T> read(const Value& value, const std::string& path) {
    if constexpr (ReadsItself<T>) {
        return T::read(value, path);
    } else {
        if (value.object() == nullptr) {
            return wrongKind(path.empty() ? "input" : path, value, "an object");
        }
        T t{};
        FieldReader reader(value, path);
        T::fields(t, reader);
        if (auto error = reader.finish()) {
            return *error;
        }
        if constexpr (HasCheck<T>) {
            if (std::optional<Error> error = check(t)) {
                return under(path, *error);
            }
        }
        return t;
    }
}

/// Walks a field list and collects members.
class FieldWriter {
public:
    template <class M, class D>
    void operator()(const M& member, const D& descriptor) {
        if constexpr (std::is_same_v<D, quantity::Group> && !IsVector<M>::value &&
                      std::equality_comparable<M>) {
            if (descriptor.mayBeMissing && member == M{}) {
                return; // nothing of it is known: it is not written
            }
        }
        if constexpr (IsOptional<M>::value) {
            object_.push_back(
                {std::string(descriptor.key), member ? give(*member, descriptor) : Value{}});
        } else {
            object_.push_back({std::string(descriptor.key), give(member, descriptor)});
        }
    }

    [[nodiscard]] Value::Object take() { return std::move(object_); }

private:
    static Value give(double member, const quantity::Quantity& q) { return member / q.unit; }

    static Value give(const std::optional<double>& member, const quantity::Quantity& q) {
        return member ? give(*member, q) : Value{};
    }

    template <class Number>
    static Value give(const std::vector<Number>& member, const quantity::Quantity& q) {
        Value::List list;
        list.reserve(member.size());
        for (const Number& number : member) {
            list.push_back(give(number, q));
        }
        return list;
    }

    static Value give(int member, const quantity::Whole& /*whole*/) { return member; }

    static Value give(bool member, const quantity::Flag& /*flag*/) { return member; }

    static Value give(const std::string& member, const quantity::Word& /*word*/) { return member; }

    static Value give(const std::vector<std::string>& member, const quantity::Word& /*word*/) {
        return member;
    }

    template <class M, std::size_t N>
    static Value give(M member, const quantity::Choice<N>& choice) {
        return choice.names.at(static_cast<std::size_t>(member));
    }

    template <class M>
    static Value give(const M& member, const quantity::Group& /*group*/) {
        if constexpr (IsVector<M>::value) {
            Value::List list;
            for (const auto& entry : member) {
                list.push_back(write(entry));
            }
            return list;
        } else {
            return write(member);
        }
    }

    Value::Object object_;
};

template <class T>
Value write(const T& t) {
    if constexpr (WritesItself<T>) {
        return t.write();
    } else {
        FieldWriter writer;
        T::fields(t, writer);
        return writer.take();
    }
}

/// Walks a field list and tells about it.
class FieldDescriber {
public:
    template <class M, class D>
    void operator()(const M& member, const D& descriptor) {
        Value::Object about{{"key", descriptor.key}};
        tell<M>(about, descriptor);
        if constexpr (std::is_same_v<M, std::vector<double>> &&
                      std::is_same_v<D, quantity::Quantity>) {
            if (descriptor.fallback && !member.empty()) {
                Value::List list;
                for (const double x : member) {
                    list.push_back(x / descriptor.unit);
                }
                about.push_back({"default", std::move(list)});
            }
        }
        about.push_back({"required", required<M>(descriptor)});
        about.push_back({"help", descriptor.help});
        keys_.emplace_back(std::move(about));
    }

    [[nodiscard]] Value::List take() { return std::move(keys_); }

private:
    template <class M>
    static void tell(Value::Object& about, const quantity::Quantity& d) {
        about.push_back(
            {"kind",
             std::string(isList<M> ? "numbers" : "number") + (isNullable<M> ? " or null" : "")});
        about.push_back({"symbol", d.symbol});
        about.push_back({"lowest", d.lowest});
        about.push_back({"highest", d.highest});
        if (!IsVector<M>::value) {
            tellFallback(about, d);
        }
    }

    template <class M>
    static void tell(Value::Object& about, const quantity::Whole& d) {
        about.push_back({"kind", "whole number"});
        about.push_back({"lowest", d.lowest});
        about.push_back({"highest", d.highest});
        tellFallback(about, d);
    }

    template <class M>
    static void tell(Value::Object& about, const quantity::Flag& d) {
        about.push_back({"kind", "true or false"});
        tellFallback(about, d);
    }

    template <class M>
    static void tell(Value::Object& about, const quantity::Word& d) {
        about.push_back({"kind", isList<M> ? "texts" : "text"});
        if (!IsVector<M>::value) {
            tellFallback(about, d);
        }
    }

    template <class M>
    static void tell(Value::Object& about, const quantity::Group& /*group*/) {
        about.push_back({"kind", isList<M> ? "list of objects" : "object"});
    }

    template <class M, std::size_t N>
    static void tell(Value::Object& about, const quantity::Choice<N>& d) {
        Value::List names;
        for (const auto name : d.names) {
            names.emplace_back(name);
        }
        about.push_back({"kind", "one of"});
        about.push_back({"names", names});
        if (d.fallback) {
            about.push_back({"default", d.names.at(*d.fallback)});
        }
    }

    static void tellFallback(Value::Object& about, const auto& descriptor) {
        if (descriptor.fallback) {
            about.push_back({"default", *descriptor.fallback});
        }
    }

    template <class M, class D>
    static bool required(const D& descriptor) {
        if constexpr (requires { descriptor.fallback; }) {
            return !IsOptional<M>::value && !descriptor.fallback;
        } else {
            return !IsOptional<M>::value && !descriptor.mayBeMissing;
        }
    }

    Value::List keys_;
};

template <class T>
Value describe() {
    if constexpr (requires { T::describe(); }) {
        return T::describe();
    } else {
        FieldDescriber describer;
        T t{};
        T::fields(t, describer);
        return Value::Object{{"keys", describer.take()}};
    }
}

} // namespace yf::text
