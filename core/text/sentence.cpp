// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/sentence.h"

namespace yf::text {

std::string sentence(const Error& error) {
    std::string line = (error.subject.empty() ? "" : error.subject + ": ") + error.given;
    if (!error.allowed.empty()) {
        line += ", " + error.allowed;
    }
    for (char& c : line) {
        if (c == '\n' || c == '\r') {
            c = ' ';
        }
    }
    return line;
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
