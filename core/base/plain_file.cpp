// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/plain_file.h"

#include <sys/stat.h>

namespace yf {

std::optional<Error> notPlainFile(const std::string& subject, const std::string& path) {
    if (path.find('\0') != std::string::npos) {
        return Error{subject,
                     YF_WORDS("core", "a path with a zero byte"),
                     YF_WORDS("core", "must be the path of a file")};
    }

    struct stat info {};

    if (::stat(path.c_str(), &info) == 0 && !S_ISREG(info.st_mode)) {
        return Error{subject,
                     YF_WORDS("core", "is not a file"),
                     YF_WORDS("core", "must be a readable file")};
    }
    return std::nullopt;
}

} // namespace yf
