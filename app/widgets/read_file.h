// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <QString>

namespace yf::app {

/// The bytes of a file that a person chose, at most so many and one more, which is enough for who
/// reads them to refuse by size. Fails with the file's name where it is no plain file: a pipe that
/// nobody writes into would never end, and a path with a zero byte would be cut.
[[nodiscard]] Result<std::string> readFile(const QString& path, std::size_t most);

} // namespace yf::app
