// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/sentence.h"

namespace yf::text {

namespace {

/// What people typed may hold ends of lines; they would tear the one line apart.
Words inOneLine(const Words& words) {
    std::string form = words.form();
    for (char& c : form) {
        if (c == '\n' || c == '\r') {
            c = ' ';
        }
    }
    std::vector<Words> arguments;
    arguments.reserve(words.arguments().size());
    for (const Words& argument : words.arguments()) {
        arguments.push_back(inOneLine(argument));
    }
    return Words::of(std::move(form), std::move(arguments));
}

} // namespace

Words sentence(const Error& error) {
    const Words given = inOneLine(error.given);
    const Words allowed = inOneLine(error.allowed);
    const Words subject = inOneLine(error.subject);
    if (allowed.empty()) {
        return subject.empty() ? given : say(YF_WORDS("core", "%1: %2"), subject, given);
    }
    return subject.empty() ? say(YF_WORDS("core", "%1, %2"), given, allowed)
                           : say(YF_WORDS("core", "%1: %2, %3"), subject, given, allowed);
}

Error under(const std::string& path, Error error) {
    if (!path.empty()) {
        const bool index = !error.subject.empty() && error.subject.front() == '[';
        error.subject = path + (index || error.subject.empty() ? "" : ".") + error.subject;
    }
    return error;
}

std::string join(const std::string& path, std::string_view key) {
    return path.empty() ? std::string(key) : path + "." + std::string(key);
}

std::string join(const std::string& path, std::size_t index) {
    return path + "[" + std::to_string(index) + "]";
}

} // namespace yf::text
