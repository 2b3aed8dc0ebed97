// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/fields.h"

#include "core/text/given.h"

namespace yf::text {

Words rangeText(double lowest, double highest) {
    return say(YF_WORDS("core", "%1 to %2"), printNumber(lowest), printNumber(highest));
}

Result<double>
readNumber(const Value& value, const quantity::Quantity& quantity, const std::string& path) {
    const double* number = value.number();
    if (number == nullptr) {
        return wrongKind(
            path,
            value,
            say(YF_WORDS("core", "a number, %1"), rangeText(quantity.lowest, quantity.highest)));
    }
    if (*number >= quantity.lowest && *number <= quantity.highest) {
        return *number;
    }
    return Error{path,
                 text::given(printNumber(*number)),
                 say(YF_WORDS("core", "must be %1"), rangeText(quantity.lowest, quantity.highest))};
}

namespace {

/// Each of the list in turn, until one is refused: `takeOne` says so.
template <class One>
void fill(std::vector<One>& member,
          const Value::List& list,
          const std::string& path,
          const auto& takeOne) {
    member.clear();
    member.reserve(list.size());
    for (std::size_t i = 0; i < list.size(); ++i) {
        if (!takeOne(member.emplace_back(), list[i], join(path, i))) {
            return;
        }
    }
}

} // namespace

bool FieldReader::open(std::string_view key) {
    known_.emplace_back(key);
    if (error_) {
        return false;
    }
    here_ = join(path_, key);
    return true;
}

const Value* FieldReader::given(std::string_view key, bool nullIsMissing) const {
    const Value* value = object_.find(key);
    return value != nullptr && value->isNull() && nullIsMissing ? nullptr : value;
}

void FieldReader::lacks(const quantity::Quantity& quantity) {
    error_ =
        Error{here_,
              "missing",
              say(YF_WORDS("core", "must be %1"), rangeText(quantity.lowest, quantity.highest))};
}

void FieldReader::lacks(std::string_view help) {
    error_ = Error{here_, "missing", say(YF_WORDS("core", "must be given: %1"), help)};
}

std::optional<Error> FieldReader::finish() const {
    for (const Member& member : *object_.object()) {
        if (std::ranges::find(known_, member.key) == known_.end()) {
            return Error{join(path_, member.key),
                         YF_WORDS("core", "unknown key"),
                         known_.empty() ? YF_WORDS("core", "no key is known here")
                                        : say(YF_WORDS("core", "the nearest known key is %1"),
                                              nearest(member.key, known_))};
        }
    }
    return error_;
}

void FieldReader::take(double& member, const quantity::Quantity& q, const Value& value, Path path) {
    auto number = readNumber(value, q, path);
    if (!number) {
        error_ = number.error();
        return;
    }
    member = *number * q.unit;
}

void FieldReader::take(std::optional<double>& member,
                       const quantity::Quantity& q,
                       const Value& value,
                       Path path) {
    if (value.isNull()) {
        member.reset();
        return;
    }
    double number{};
    take(number, q, value, path);
    member = number;
}

const Value::List* FieldReader::listOf(const Value& value, const Words& wanted, Path path) {
    const Value::List* list = value.list();
    if (list == nullptr) {
        error_ = wrongKind(path, value, wanted);
    }
    return list;
}

void FieldReader::take(std::vector<double>& member,
                       const quantity::Quantity& q,
                       const Value& value,
                       Path path) {
    const Value::List* list = listOf(value, YF_WORDS("core", "a list of numbers"), path);
    if (list == nullptr) {
        return;
    }
    fill(member, *list, path, [&](auto& one, const Value& entry, Path at) {
        take(one, q, entry, at);
        return !error_;
    });
}

void FieldReader::take(std::vector<std::optional<double>>& member,
                       const quantity::Quantity& q,
                       const Value& value,
                       Path path) {
    const Value::List* list = listOf(value, YF_WORDS("core", "a list of numbers"), path);
    if (list == nullptr) {
        return;
    }
    fill(member, *list, path, [&](auto& one, const Value& entry, Path at) {
        take(one, q, entry, at);
        return !error_;
    });
}

void FieldReader::take(int& member, const quantity::Whole& whole, const Value& value, Path path) {
    const double* number = value.number();
    if (number == nullptr) {
        error_ = wrongKind(path, value, YF_WORDS("core", "a whole number"));
        return;
    }
    const bool inside = *number >= whole.lowest && *number <= whole.highest;
    if (!inside || *number != static_cast<double>(static_cast<int>(*number))) {
        error_ = Error{path,
                       text::given(printNumber(*number)),
                       say(YF_WORDS("core", "must be a whole number, %1 to %2"),
                           std::to_string(whole.lowest),
                           std::to_string(whole.highest))};
        return;
    }
    member = static_cast<int>(*number);
}

void FieldReader::take(bool& member,
                       const quantity::Flag& /*flag*/,
                       const Value& value,
                       Path path) {
    const bool* flag = value.flag();
    if (flag == nullptr) {
        error_ = wrongKind(path, value, YF_WORDS("core", "true or false"));
        return;
    }
    member = *flag;
}

void FieldReader::take(std::string& member,
                       const quantity::Word& /*word*/,
                       const Value& value,
                       Path path) {
    const std::string* word = value.word();
    if (word == nullptr) {
        error_ = wrongKind(path, value, "text");
        return;
    }
    member = *word;
}

void FieldReader::take(Words& member,
                       const quantity::Told& /*told*/,
                       const Value& value,
                       Path path) {
    auto words = wordsOf(value);
    if (!words) {
        error_ = wrongKind(path, value, YF_WORDS("core", "text, or a form and its arguments"));
        return;
    }
    member = std::move(*words);
}

void FieldReader::take(std::vector<std::string>& member,
                       const quantity::Word& word,
                       const Value& value,
                       Path path) {
    const Value::List* list = listOf(value, YF_WORDS("core", "a list of texts"), path);
    if (list == nullptr) {
        return;
    }
    fill(member, *list, path, [&](auto& one, const Value& entry, Path at) {
        take(one, word, entry, at);
        return !error_;
    });
}

std::optional<std::size_t>
FieldReader::choose(std::span<const std::string_view> names, const Value& value, Path path) {
    const std::string* word = value.word();
    const auto found = word == nullptr ? names.end() : std::ranges::find(names, *word);
    if (found != names.end()) {
        return static_cast<std::size_t>(found - names.begin());
    }
    std::string known;
    for (const auto name : names) {
        known += (known.empty() ? "" : ", ") + std::string(name);
    }
    error_ = Error{path,
                   word == nullptr ? text::given(kindOf(value)) : text::givenWord(*word),
                   say(YF_WORDS("core", "must be one of %1"), known)};
    return std::nullopt;
}

void FieldWriter::put(std::string_view key, Value value) {
    object_.push_back({std::string(key), std::move(value)});
}

Value FieldWriter::give(const std::vector<Words>& member, const quantity::Word& word) {
    Value::List list;
    list.reserve(member.size());
    for (const Words& one : member) {
        list.push_back(give(one, word));
    }
    return list;
}

Value FieldWriter::give(double member, const quantity::Quantity& q) {
    return member / q.unit;
}

Value FieldWriter::give(const std::optional<double>& member, const quantity::Quantity& q) {
    return member ? give(*member, q) : Value{};
}

Value FieldWriter::give(const std::vector<double>& member, const quantity::Quantity& q) {
    Value::List list;
    list.reserve(member.size());
    for (const double number : member) {
        list.push_back(give(number, q));
    }
    return list;
}

Value FieldWriter::give(const std::vector<std::optional<double>>& member,
                        const quantity::Quantity& q) {
    Value::List list;
    list.reserve(member.size());
    for (const auto& number : member) {
        list.push_back(give(number, q));
    }
    return list;
}

namespace {

void tellFallback(Value::Object& about, const auto& descriptor) {
    if (descriptor.fallback) {
        about.push_back({"default", *descriptor.fallback});
    }
}

} // namespace

void FieldDescriber::open(std::string_view key) {
    about_ = Value::Object{{"key", key}};
}

void FieldDescriber::close(bool required, std::string_view help) {
    about_.push_back({"required", required});
    about_.push_back({"help", help});
    keys_.emplace_back(std::move(about_));
}

void FieldDescriber::tell(const quantity::Quantity& d, const Form& form) {
    about_.push_back(
        {"kind",
         std::string(form.list ? "numbers" : "number") + (form.nullable ? " or null" : "")});
    about_.push_back({"symbol", d.symbol});
    about_.push_back({"lowest", d.lowest});
    about_.push_back({"highest", d.highest});
    if (!form.always) {
        tellFallback(about_, d);
    }
}

void FieldDescriber::tell(const quantity::Whole& d, const Form& /*form*/) {
    about_.push_back({"kind", "whole number"});
    about_.push_back({"lowest", d.lowest});
    about_.push_back({"highest", d.highest});
    tellFallback(about_, d);
}

void FieldDescriber::tell(const quantity::Flag& d, const Form& /*form*/) {
    about_.push_back({"kind", "true or false"});
    tellFallback(about_, d);
}

void FieldDescriber::tell(const quantity::Word& d, const Form& form) {
    about_.push_back({"kind", form.list ? "texts" : "text"});
    if (!form.always) {
        tellFallback(about_, d);
    }
}

void FieldDescriber::tell(const quantity::Told& /*d*/, const Form& /*form*/) {
    about_.push_back({"kind", "text, or a form and its arguments"});
}

void FieldDescriber::tell(const quantity::Group& /*d*/, const Form& form) {
    about_.push_back({"kind", form.list ? "list of objects" : "object"});
}

void FieldDescriber::tellChoice(std::span<const std::string_view> names,
                                std::optional<std::size_t> fallback) {
    Value::List list;
    for (const auto name : names) {
        list.emplace_back(name);
    }
    about_.push_back({"kind", "one of"});
    about_.push_back({"names", std::move(list)});
    if (fallback) {
        about_.push_back({"default", names[*fallback]});
    }
}

void FieldDescriber::tellList(const std::vector<double>& member, const quantity::Quantity& d) {
    if (d.fallback && !member.empty()) {
        Value::List list;
        for (const double x : member) {
            list.push_back(x / d.unit);
        }
        about_.push_back({"default", std::move(list)});
    }
}

} // namespace yf::text
