// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/trouble.h"
#include "devices/sound.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <thread>

namespace yf::devices {

namespace {

class Simulated final : public SoundDevice {
public:
    Simulated(sim::SoundBench bench, Wired wired, double pace, double figure)
        : bench_(std::move(bench)), wired_(wired), pace_(pace), figure_(figure) {}

    /// With something wrong in it.
    void trouble(int seed) {
        seed_ = seed;
        trouble_ = static_cast<sim::Trouble>(seed % sim::troubleCount);
        port_.id = troubleId;
        port_.name = "Simulated bench with a trouble";
    }

    [[nodiscard]] const SoundPort& port() const override { return port_; }

    [[nodiscard]] Result<SoundCaught> run(const SoundOrder& order, SoundWatch& watch) override {
        const double duration = static_cast<double>(order.play.size()) / order.rate;
        const sim::Chain usual = bench_.chain;
        if (trouble_) {
            bench_.chain = sim::troubled(usual, *trouble_, duration);
        }
        sim::Heard heard = hear(order);
        bench_.chain = usual;
        if (trouble_) {
            sim::befall(heard, *trouble_, seed_);
        }
        const std::size_t came = played(heard, order.rate, watch);
        SoundCaught caught{.rate = order.rate, .cut = came < heard.measured.size()};
        for (const int input : order.inputs) {
            // Two inputs, as a plain interface has them; others are silent.
            const auto& channel = input == 1 ? heard.measured : heard.reference;
            std::vector<double> samples(came);
            if (input == 1 || input == 2) {
                std::copy_n(channel.begin(), came, samples.begin());
            }
            caught.inputs.push_back(std::move(samples));
        }
        return caught;
    }

private:
    [[nodiscard]] sim::Heard hear(const SoundOrder& order) const {
        constexpr double open = 1e9; // Ω
        switch (wired_) {
        case Wired::jig:
            return sim::hearJig(bench_, order.play, order.rate);
        case Wired::loop:
            return sim::hearLoop(bench_, order.play, order.rate);
        case Wired::jigOpen:
            return sim::hearInClips(bench_, open, order.play, order.rate);
        case Wired::jigShort:
            return sim::hearInClips(bench_, 0.0, order.play, order.rate);
        case Wired::jigLoad:
            return sim::hearInClips(bench_, figure_, order.play, order.rate);
        case Wired::calibrator:
            return sim::hearCalibrator(bench_, figure_, order.play.size(), order.rate);
        default:
            return sim::hearResponse(bench_, order.play, order.rate);
        }
    }

    /// Lets the time pass, tells the level, heeds a stop; the samples that had come by then.
    std::size_t played(const sim::Heard& heard, double rate, SoundWatch& watch) const {
        const std::size_t total = heard.measured.size();
        const auto block = static_cast<std::size_t>(0.02 * rate);
        for (std::size_t n = 0; n < total; n += block) {
            if (watch.stop) {
                return n;
            }
            const std::size_t end = std::min(n + block, total);
            const std::array<const std::vector<double>*, 2> channels{&heard.measured,
                                                                     &heard.reference};
            for (std::size_t c = 0; c < channels.size(); ++c) {
                float most = watch.peaks[c];
                for (std::size_t k = n; k < end; ++k) {
                    most = std::max(most, static_cast<float>(std::abs((*channels[c])[k])));
                }
                watch.peaks[c] = most;
            }
            watch.share = static_cast<double>(end) / static_cast<double>(total);
            if (pace_ > 0.0) {
                std::this_thread::sleep_for(
                    std::chrono::duration<double>(static_cast<double>(end - n) / rate / pace_));
            }
        }
        return total;
    }

    sim::SoundBench bench_;
    Wired wired_;
    double pace_;
    double figure_;
    std::optional<sim::Trouble> trouble_;
    int seed_{};
    SoundPort port_{simulatedPort()};
};

} // namespace

SoundPort simulatedPort() {
    return {.id = simulatedId,
            .name = "Simulated bench",
            .inputs = 2,
            .outputs = 1,
            .rates = {44100.0, 48000.0, 96000.0, 192000.0},
            .simulated = true};
}

std::unique_ptr<SoundDevice>
simulatedSound(sim::SoundBench bench, Wired wired, double pace, double figure) {
    return std::make_unique<Simulated>(std::move(bench), wired, pace, figure);
}

std::unique_ptr<SoundDevice>
troubledSound(sim::SoundBench bench, Wired wired, double pace, int seed) {
    auto device = std::make_unique<Simulated>(std::move(bench), wired, pace, 0.0);
    device->trouble(seed);
    return device;
}

} // namespace yf::devices
