// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/sim/sound_bench.h"

#include <array>
#include <atomic>
#include <memory>
#include <string>
#include <vector>

/// Sound devices: what is played and what comes back in one stream, on one clock.
namespace yf::devices {

/// A device as it is listed.
struct SoundPort {
    std::string id;   ///< stable enough to be found again
    std::string name; ///< for people
    int inputs{};
    int outputs{};
    std::vector<double> rates; ///< Hz, of those we use; empty: not known before it is opened
    bool simulated{};
};

/// What is to be played, and which inputs are to be kept (from 1).
struct SoundOrder {
    std::vector<double> play;
    double rate{48000.0};
    int output{1};
    std::vector<int> inputs{1, 2}; ///< measured, reference
};

/// What came back.
struct SoundCaught {
    std::vector<std::vector<double>> inputs; ///< in the order asked for
    double rate{};                           ///< at which the device says it ran
    bool lossFlagged{};                      ///< it reported lost samples itself
    bool cut{};                              ///< stopped before the end; what came is kept
    std::string problem;                     ///< in words; empty: none
};

/// Shared between the one who watches and the thread that records.
struct SoundWatch {
    std::atomic<bool> stop{};
    std::atomic<double> share{};               ///< 0 … 1 of the play signal
    std::array<std::atomic<float>, 2> peaks{}; ///< since they were last taken, re full scale
};

/// Plays and records at once. `run` blocks; it is called on a thread of its own.
class SoundDevice {
public:
    virtual ~SoundDevice() = default;

    [[nodiscard]] virtual const SoundPort& port() const = 0;

    /// Errors: no stream, no first callback within a second, a rate it can't do. Stopped by the
    /// watch it fades out within 50 ms and hands over what came.
    [[nodiscard]] virtual Result<SoundCaught> run(const SoundOrder& order, SoundWatch& watch) = 0;
};

/// Devices that the sound system lists, without the simulated one; empty where there is none.
/// Takes up to a second: not on the window's thread.
[[nodiscard]] std::vector<SoundPort> soundPorts();

/// A listed device. Fails where it has gone.
[[nodiscard]] Result<std::unique_ptr<SoundDevice>> openSound(const std::string& id);

/// Id of the simulated bench.
inline constexpr const char* simulatedId = "simulated";

/// The same with something wrong in each recording, another thing each time: to learn from.
inline constexpr const char* troubleId = "simulated-trouble";

/// What is wired to the simulated bench's inputs.
enum class Wired { microphone, jig, loop, jigOpen, jigShort, jigLoad, calibrator };

/// The simulated bench behind the same interface. `pace`: how many times faster than real time;
/// 0: at once. `figure`: Ω of the load, or dB of the calibrator, where one is wired.
[[nodiscard]] std::unique_ptr<SoundDevice>
simulatedSound(sim::SoundBench bench, Wired wired, double pace, double figure = 0.0);

/// Something goes wrong in its recording. `seed`: what, and how.
[[nodiscard]] std::unique_ptr<SoundDevice>
troubledSound(sim::SoundBench bench, Wired wired, double pace, int seed);

[[nodiscard]] SoundPort simulatedPort();

} // namespace yf::devices
