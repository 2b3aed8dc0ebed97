// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>

#include <optional>

namespace yf::app {

/// How well a few letters fit a text: they must stand in it in this order, small and capital
/// alike, accents aside. More for letters that begin words and for letters that follow each other;
/// nothing where they do not stand in it. An empty request fits everything with 0.
[[nodiscard]] std::optional<int> fit(const QString& letters, const QString& text);

} // namespace yf::app
