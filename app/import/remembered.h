// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <string>
#include <vector>

namespace yf::app {

/// What a person decided about the columns of files of one shape (measure::TablePreview::shape);
/// empty where nothing was decided. Kept with the settings of the program.
[[nodiscard]] std::vector<std::string> rememberedMeanings(const std::string& shape);

/// All "auto", or nothing, forgets.
void rememberMeanings(const std::string& shape, const std::vector<std::string>& meanings);

} // namespace yf::app
