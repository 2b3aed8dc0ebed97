// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <cstdio>
#include <string>

namespace yf::cli {

/// Whole content of a file; refused with the key's name: no such file, a folder, no permission,
/// larger than `most` bytes.
[[nodiscard]] Result<std::string>
readFile(const std::string& key, const std::string& path, std::size_t most);

/// The rest of an open stream, up to `most` bytes.
[[nodiscard]] Result<std::string>
readStream(const std::string& subject, std::FILE* stream, std::size_t most);

/// Writes a whole file; refused with the key's name where that can't be done.
[[nodiscard]] Done
writeFile(const std::string& key, const std::string& path, const std::string& content);

} // namespace yf::cli
