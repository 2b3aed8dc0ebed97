// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <string>

namespace yf::text {

/// An error as one line, the same on the command line and in the window:
/// "Qes: -0.4 given, must be 0.01 to 1000". Ends of lines in what was given become blanks.
[[nodiscard]] Words sentence(const Error& error);

/// The same error one level further in: subject "fx_hz" under "network" becomes "network.fx_hz".
[[nodiscard]] Error under(const std::string& path, Error error);

/// A path's next step: join("network", "ways") is "network.ways", join("", "ways") is "ways".
[[nodiscard]] std::string join(const std::string& path, std::string_view key);

/// join("ways", 0) is "ways[0]".
[[nodiscard]] std::string join(const std::string& path, std::size_t index);

} // namespace yf::text
