// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <optional>
#include <string>

namespace yf {

/// What keeps a path from being read as a plain file, about a subject: a zero byte, at which it
/// would be cut and name another file; a folder, a device, or a pipe, which nobody may ever write
/// into. Nothing where it is a plain file, or not there at all: that is said by who opens it.
[[nodiscard]] std::optional<Error> notPlainFile(const std::string& subject,
                                                const std::string& path);

} // namespace yf
