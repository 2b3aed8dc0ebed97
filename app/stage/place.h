// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>
#include <QStringList>

#include <optional>

namespace yf::app {

/// A place in the window that something leads to: a finding, a figure of the line, another stage,
/// the order of a picture.
struct Place {
    QString stage;        ///< its id; empty: the stage that is shown
    QString page;         ///< of the stage, or what is seen there ("impedance"); empty: its first
    QStringList subjects; ///< ids of what it is about: a part, a check, measurements
    std::optional<double> frequency; ///< Hz, where a plot's crosshair is put

    /// "network:list", "check:dcr", "measure:curves:take-23:+take-19", "network:part:C3",
    /// "align:frequency:2500": the one door for places as text (pictures, tests). Nothing where a
    /// frequency is no number above 0.
    [[nodiscard]] static std::optional<Place> read(const QString& text);

    [[nodiscard]] QString subject() const { return subjects.value(0); }
};

} // namespace yf::app
