// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantity.h"
#include "core/text/given.h"
#include "core/text/nearest.h"
#include "core/text/number.h"
#include "core/text/sentence.h"
#include "core/text/value.h"

#include <algorithm>
#include <concepts>
#include <optional>
#include <span>
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
[[nodiscard]] Words rangeText(double lowest, double highest);

[[nodiscard]] inline Error
wrongKind(const std::string& path, const Value& value, const Words& wanted) {
    return {path, given(kindOf(value)), say(YF_WORDS("core", "must be %1"), wanted)};
}

[[nodiscard]] Result<double>
readNumber(const Value& value, const quantity::Quantity& quantity, const std::string& path);

/// Walks a field list over a JSON object. What does not depend on a member's type stands in the
/// source: hundreds of lists are walked, and each would be compiled with all of it.
class FieldReader {
public:
    FieldReader(const Value& object, std::string path) : object_(object), path_(std::move(path)) {}

    template <class M, class D>
    void operator()(M& member, const D& descriptor) {
        if (!open(descriptor.key)) {
            return;
        }
        const Value* value = given(descriptor.key, IsOptional<M>::value && !isNullable<M>);
        if (value == nullptr) {
            missing(member, descriptor);
        } else if constexpr (IsOptional<M>::value) {
            typename M::value_type inner{};
            take(inner, descriptor, *value, here_);
            member = std::move(inner);
        } else {
            take(member, descriptor, *value, here_);
        }
    }

    /// An unknown key comes first: a misspelt key is also a missing one, and the spelling is the
    /// better news.
    [[nodiscard]] std::optional<Error> finish() const;

private:
    /// Notes the key and its path; false once something was wrong.
    bool open(std::string_view key);

    /// Null where it is missing.
    [[nodiscard]] const Value* given(std::string_view key, bool nullIsMissing) const;

    void lacks(const quantity::Quantity& quantity);
    void lacks(std::string_view help);

    template <class M, class D>
    void missing(M& member, const D& descriptor) {
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
            if constexpr (std::is_same_v<D, quantity::Quantity>) {
                lacks(descriptor);
            } else {
                lacks(descriptor.help);
            }
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

    using Path = const std::string&;

    void take(double& member, const quantity::Quantity& q, const Value& value, Path path);
    void
    take(std::optional<double>& member, const quantity::Quantity& q, const Value& value, Path path);
    void
    take(std::vector<double>& member, const quantity::Quantity& q, const Value& value, Path path);
    void take(std::vector<std::optional<double>>& member,
              const quantity::Quantity& q,
              const Value& value,
              Path path);
    void take(int& member, const quantity::Whole& whole, const Value& value, Path path);
    void take(bool& member, const quantity::Flag& flag, const Value& value, Path path);
    void take(std::string& member, const quantity::Word& word, const Value& value, Path path);
    void take(std::vector<std::string>& member,
              const quantity::Word& word,
              const Value& value,
              Path path);
    void take(Words& member, const quantity::Told& told, const Value& value, Path path);

    /// Which of the names, or nothing after an error.
    std::optional<std::size_t>
    choose(std::span<const std::string_view> names, const Value& value, Path path);

    /// The list that it must be, or null after an error.
    const Value::List* listOf(const Value& value, const Words& wanted, Path path);

    template <class M, std::size_t N>
    void take(M& member, const quantity::Choice<N>& choice, const Value& value, Path path) {
        static_assert(std::is_enum_v<M>);
        if (const auto at = choose(choice.names, value, path)) {
            member = static_cast<M>(*at);
        }
    }

    template <class M>
    void take(M& member, const quantity::Group& /*group*/, const Value& value, Path path) {
        if constexpr (IsVector<M>::value) {
            const Value::List* list = listOf(value, "a list", path);
            if (list == nullptr) {
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
    std::string here_; ///< path of the key in hand
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
            put(descriptor.key, member ? give(*member, descriptor) : Value{});
        } else {
            put(descriptor.key, give(member, descriptor));
        }
    }

    [[nodiscard]] Value::Object take() { return std::move(object_); }

private:
    void put(std::string_view key, Value value);

    static Value give(double member, const quantity::Quantity& q);
    static Value give(const std::optional<double>& member, const quantity::Quantity& q);
    static Value give(const std::vector<double>& member, const quantity::Quantity& q);
    static Value give(const std::vector<std::optional<double>>& member,
                      const quantity::Quantity& q);

    static Value give(int member, const quantity::Whole& /*whole*/) { return member; }

    static Value give(bool member, const quantity::Flag& /*flag*/) { return member; }

    static Value give(const std::string& member, const quantity::Word& /*word*/) { return member; }

    static Value give(const std::vector<std::string>& member, const quantity::Word& /*word*/) {
        return member;
    }

    // An answer tells in English; what is kept is kept whole.
    static Value give(const Words& member, const quantity::Word& /*word*/) {
        return member.english();
    }

    static Value give(const std::vector<Words>& member, const quantity::Word& word);

    static Value give(const Words& member, const quantity::Told& /*told*/) {
        return asValue(member);
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
        open(descriptor.key);
        constexpr Form form{isList<M>, isNullable<M>, IsVector<M>::value};
        if constexpr (requires { descriptor.names; }) {
            tellChoice(descriptor.names, descriptor.fallback);
        } else {
            tell(descriptor, form);
        }
        if constexpr (std::is_same_v<M, std::vector<double>> &&
                      std::is_same_v<D, quantity::Quantity>) {
            tellList(member, descriptor);
        }
        if constexpr (requires { descriptor.fallback; }) {
            close(!IsOptional<M>::value && !descriptor.fallback, descriptor.help);
        } else {
            close(!IsOptional<M>::value && !descriptor.mayBeMissing, descriptor.help);
        }
    }

    [[nodiscard]] Value::List take() { return std::move(keys_); }

private:
    /// What a member's type says of its key.
    struct Form {
        bool list{};     ///< a list, perhaps one that may be left out
        bool nullable{}; ///< its numbers may be null
        bool always{};   ///< a list that is always there
    };

    void open(std::string_view key);
    void close(bool required, std::string_view help);
    void tell(const quantity::Quantity& d, const Form& form);
    void tell(const quantity::Whole& d, const Form& form);
    void tell(const quantity::Flag& d, const Form& form);
    void tell(const quantity::Word& d, const Form& form);
    void tell(const quantity::Told& d, const Form& form);
    void tell(const quantity::Group& d, const Form& form);
    void tellChoice(std::span<const std::string_view> names, std::optional<std::size_t> fallback);
    void tellList(const std::vector<double>& member, const quantity::Quantity& d);

    Value::Object about_;
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
