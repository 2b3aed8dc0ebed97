// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/box.h"
#include "core/box/driver.h"
#include "core/edit/apply.h"

/// What a hand does to a box. Width, height and depth are the cabinet's, so the twin of a pair
/// follows in them; its box follows as long as both are alike.

namespace yf::edit {

/// A box of that kind for a driver: the cabinet's room if its depth is known, else a depth that
/// makes the volume advised for it; ported ones get a tube that tunes it as advised. `known` are
/// the driver's parameters (evaluation::boxParameters); without them a usual box stands for the
/// advice. Fails: the driver is not of the cabinet; it has a box.
[[nodiscard]] Edit beginBox(const std::string& cabinet,
                            const std::string& driver,
                            box::Kind kind,
                            const std::optional<box::Driver>& known);

/// The enclosure that is meant; pure, for a look before it is taken.
[[nodiscard]] Result<job::Job> withBox(const job::Job& job,
                                       const std::string& cabinet,
                                       const std::string& driver,
                                       box::Kind kind,
                                       const std::optional<box::Driver>& known);

/// Puts a changed enclosure in the place of the driver's old one. `name` is the step's.
/// Fails where panels, port and driver leave no volume.
[[nodiscard]] Edit changeBox(const std::string& cabinet,
                             const job::Enclosure& enclosure,
                             std::string name,
                             std::string mergeKey = {});

/// Outer sizes of the cabinet; absent ones stay.
struct OuterSizes {
    std::optional<double> width;
    std::optional<double> height;
    std::optional<double> depth;
};

[[nodiscard]] Edit
sizeCabinet(const std::string& cabinet, const OuterSizes& sizes, std::string mergeKey = {});

/// A box from the map: depth for the volume, port for the tuning. With `keepsCabinet` only the
/// tuning is taken. Fails where the port would have no length, naming the limit.
struct BoxWanted {
    double Vb{};
    double fb{};
    bool keepsCabinet{};
};

[[nodiscard]] Edit takeBox(const std::string& cabinet,
                           const std::string& driver,
                           const BoxWanted& wanted,
                           std::string mergeKey = {});

/// Another tube in the place of the first port, tuning kept, what it displaces included; `made`'s
/// length is set. Fails where no length keeps it.
[[nodiscard]] Edit
swapPort(const std::string& cabinet, const std::string& driver, const job::PortIn& made);

[[nodiscard]] Edit removeBox(const std::string& cabinet, const std::string& driver);

} // namespace yf::edit
