// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/expect.h"
#include "core/base/words.h"

#include <string>
#include <utility>
#include <variant>

namespace yf {

/// What a person, a file or an instrument got wrong, in three parts that make one sentence.
///
/// subject: the key, field or file ("Qes", "text", "network.ways[0].ladder[1].shunt").
/// given:   what was found there ("-0.4 given", "line 7, column 2: 'abc' is not a number").
/// allowed: what would do ("must be 0.01 to 1000"); may be empty where `given` says it all.
struct [[nodiscard]] Error {
    std::string subject;
    Words given;
    Words allowed;

    bool operator==(const Error&) const = default;
};

/// A value, or the reason why there is none. Only readers, checked construction, solvers and
/// devices return one; a formula behind the door returns a plain value.
template <class T>
class [[nodiscard]] Result {
public:
    Result(T value) : content_(std::in_place_index<0>, std::move(value)) {}

    Result(Error error) : content_(std::in_place_index<1>, std::move(error)) {}

    [[nodiscard]] bool ok() const { return content_.index() == 0; }

    explicit operator bool() const { return ok(); }

    [[nodiscard]] const T& value() const& {
        YF_EXPECT(ok());
        return *std::get_if<0>(&content_);
    }

    [[nodiscard]] T& value() & {
        YF_EXPECT(ok());
        return *std::get_if<0>(&content_);
    }

    [[nodiscard]] T&& value() && {
        YF_EXPECT(ok());
        return std::move(*std::get_if<0>(&content_));
    }

    [[nodiscard]] const Error& error() const {
        YF_EXPECT(!ok());
        return *std::get_if<1>(&content_);
    }

    [[nodiscard]] const T& operator*() const& { return value(); }

    [[nodiscard]] T& operator*() & { return value(); }

    [[nodiscard]] const T* operator->() const { return &value(); }

    [[nodiscard]] T* operator->() { return &value(); }

    bool operator==(const Result& other) const = default;

private:
    std::variant<T, Error> content_;
};

/// A step that yields nothing but may fail.
using Done = Result<std::monostate>;

[[nodiscard]] inline Done done() {
    return std::monostate{};
}

} // namespace yf

/// Takes the value out of a Result or hands its error on: YF_TRY(driver, readDriver(text));
#define YF_TRY(name, ...)                                                                          \
    auto name##OrError = (__VA_ARGS__);                                                            \
    if (!name##OrError) {                                                                          \
        return name##OrError.error();                                                              \
    }                                                                                              \
    auto& name = name##OrError.value()
