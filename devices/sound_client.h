// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "devices/sound.h"

#include <functional>

namespace yf::devices {

/// The simulated bench as a sound card of its own on a running JACK server: amplifier in,
/// microphone and reference out, so that the real path (server, driver interface, buffers) can be
/// practised on and tested without hardware.
///
/// `ready` is called about fifty times a second with the server's rate; false ends it. Fails where
/// no server runs.
[[nodiscard]] Result<std::monostate> serveSound(const sim::SoundBench& bench,
                                                Wired wired,
                                                const std::function<bool(double rate)>& ready);

} // namespace yf::devices
