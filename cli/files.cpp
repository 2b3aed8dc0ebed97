// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/files.h"

#include <sys/stat.h>
#include <unistd.h>

#include <array>
#include <cerrno>
#include <cstdio>
#include <cstring>
#include <memory>
#include <optional>

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

namespace {

/// A path with a zero byte would be cut there and name another file.
std::optional<Error> wrongPath(const std::string& key, const std::string& path) {
    if (path.find('\0') == std::string::npos) {
        return std::nullopt;
    }
    return Error{key,
                 YF_WORDS("core", "a path with a zero byte"),
                 YF_WORDS("core", "must be the path of a file")};
}

/// A pipe that nobody writes into never ends: only plain files are read, but for the standard
/// input.
bool isPlainFile(const std::string& path) {
    struct stat info {};

    return ::stat(path.c_str(), &info) != 0 || S_ISREG(info.st_mode);
}

} // namespace

Result<std::string> readFile(const std::string& key, const std::string& path, std::size_t most) {
    if (auto wrong = wrongPath(key, path)) {
        return *wrong;
    }
    if (!isPlainFile(path)) {
        return Error{key,
                     say(YF_WORDS("core", "'%1': %2"), path, YF_WORDS("core", "is not a file")),
                     YF_WORDS("core", "must be a readable file")};
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
    if (auto wrong = wrongPath(key, path)) {
        return *wrong;
    }
    // Written beside its place first: a full disk leaves what was there before, and no half a file.
    const std::string part = isPlainFile(path) ? path + ".part" : path;
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
