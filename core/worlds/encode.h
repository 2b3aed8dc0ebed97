// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <string>

namespace worlds {

/// UTF-8 of two or three bytes in another encoding: 1 UTF-8 with its mark, 2 and 3 UTF-16 little
/// and big with theirs, 4 and 5 the same without; anything else as it is.
[[nodiscard]] std::string encoded(const std::string& text, int encoding);

/// Appends a text as Latin-1; false where a letter has no place in it.
[[nodiscard]] bool latin(const std::string& text, std::string& bytes);

} // namespace worlds
