// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cstdint>
#include <vector>

/// A loudspeaker in a room, recorded: everything in time, sample by sample, where the program works
/// in frequency. The room is a shoe box by image sources to the second order, each reflection
/// duller than the one before, and behind them a diffuse tail whose treble dies before its bass.
/// Taps of the tail are single pulses of random sign and place (velvet noise: Karjalainen and
/// Järveläinen 2007), so a convolution is a sum.
namespace worlds {

/// A driver as second-order high-pass, low-pass of first or second order and one resonance, each by
/// the bilinear transform.
struct Speaker {
    double low{60.0}; ///< Hz
    double lowQ{0.7};
    double high{20000.0}; ///< Hz
    int highOrder{1};
    double peak{};   ///< dB of a resonance; 0: none
    double peakAt{}; ///< Hz
    double sign{1.0};
};

struct Bench {
    double rate{48000.0};
    double decay{0.3};    ///< s, RT of the room at middle frequencies
    double ratio{0.0};    ///< dB, diffuse tail's energy re the direct sound's
    double distance{1.0}; ///< m
    double latency{0.01}; ///< s by which everything is late; negative: the recorder began late
    double drift{};       ///< share, recorder fast: +
    double noise{-80.0};  ///< dB re full scale, rms
    double gain{0.3};
    bool reference{}; ///< the play signal beside it
    std::uint64_t seed{1};
};

struct Recorded {
    std::vector<double> heard;
    std::vector<double> reference; ///< empty without
};

/// As long as what is played.
[[nodiscard]] Recorded record(const std::vector<double>& played, const Speaker&, const Bench&);

/// Level of the speaker alone at a frequency, dB: what a measurement without room must show.
[[nodiscard]] double levelOf(const Speaker& speaker, const Bench& bench, double frequency);

/// Driver, room, noise drawn from what is met (log-uniform): RT 0.15 to 0.8 s (a furnished bedroom
/// to a bare hall), 0.5 to 1.5 m, noise -90 to -60 dB.
struct Case {
    Speaker speaker;
    Bench bench;
};

[[nodiscard]] Case drawnRoom(std::uint64_t seed);

} // namespace worlds
