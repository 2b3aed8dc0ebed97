// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/files.h"

#include "core/base/plain_file.h"

#include <unistd.h>

#include <array>
#include <cerrno>
#include <cstdio>
#include <cstring>
#include <memory>

namespace yf::cli {

Result<std::string> readStream(const std::string& subject, std::FILE* stream, std::size_t most) {
    std::string content;
    std::array<char, 65536> buffer{};
    for (std::size_t got = 0; (got = std::fread(buffer.data(), 1, buffer.size(), stream)) > 0;) {
        if (content.size() + got > most) {
            return Error{subject,
                         "more than " + std::to_string(most >> 20U) + " MB given",
                         "must be smaller"};
        }
        content.append(buffer.data(), got);
    }
    if (std::ferror(stream) != 0) {
        return Error{subject, std::strerror(errno), "must be readable"};
    }
    return content;
}

Result<std::string> readFile(const std::string& key, const std::string& path, std::size_t most) {
    if (auto wrong = notPlainFile(key, path)) {
        wrong->given = say(YF_WORDS("core", "'%1': %2"), path.c_str(), wrong->given);
        return *wrong;
    }
    const std::unique_ptr<std::FILE, int (*)(std::FILE*)> file(std::fopen(path.c_str(), "rb"),
                                                               &std::fclose);
    if (!file) {
        return Error{key,
                     say(YF_WORDS("core", "'%1': %2"), path, std::strerror(errno)),
                     "must be a readable file"};
    }
    auto content = readStream(key, file.get(), most);
    if (!content) {
        Error error = content.error();
        error.given = say(YF_WORDS("core", "'%1': %2"), path, error.given);
        return error;
    }
    return content;
}

Done writeFile(const std::string& key, const std::string& path, const std::string& content) {
    if (path.find('\0') != std::string::npos) {
        return *notPlainFile(key, path);
    }
    // Written beside its place first: a full disk leaves what was there before, and no half a file.
    // A device is written as it is.
    const std::string part = notPlainFile(key, path) ? path : path + ".part";
    std::FILE* file = std::fopen(part.c_str(), "wb");
    const auto refused = [&] {
        Error error{
            key, "'" + path + "': " + std::strerror(errno), "must be a file that can be written"};
        if (part != path) {
            ::unlink(part.c_str());
        }
        return error;
    };
    if (file == nullptr) {
        return refused();
    }
    const bool whole = std::fwrite(content.data(), 1, content.size(), file) == content.size();
    if (std::fclose(file) != 0 || !whole) {
        return refused();
    }
    if (part != path && std::rename(part.c_str(), path.c_str()) != 0) {
        return refused();
    }
    return done();
}

} // namespace yf::cli
