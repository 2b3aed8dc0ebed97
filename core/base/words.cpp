// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/words.h"

#include <ostream>

namespace yf {

Words Words::row(std::vector<Words> texts, std::string_view between) {
    Words words;
    for (Words& text : texts) {
        if (text.empty()) {
            continue;
        }
        if (!words.arguments_.empty() && !between.empty()) {
            words.arguments_.emplace_back(between);
        }
        words.arguments_.push_back(std::move(text));
    }
    return words;
}

Words Words::of(std::string form, std::vector<Words> arguments) {
    Words words(std::move(form));
    words.arguments_ = std::move(arguments);
    return words;
}

std::string Words::english() const {
    if (arguments_.empty()) {
        return form_;
    }
    if (form_.empty()) {
        std::string text;
        for (const Words& part : arguments_) {
            text += part.english();
        }
        return text;
    }
    return fillPlaces(form_, [&](std::size_t place) {
        return place < arguments_.size() ? arguments_[place].english() : std::string{};
    });
}

bool operator==(const Words& a, const Words& b) {
    return (a.form_ == b.form_ && a.arguments_ == b.arguments_) || a.english() == b.english();
}

std::ostream& operator<<(std::ostream& out, const Words& words) {
    return out << words.english();
}

} // namespace yf
