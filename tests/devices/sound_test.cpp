// SPDX-License-Identifier: GPL-3.0-or-later
// Sound devices: the simulated bench behind the interface, and the real path through a headless
// sound server (dummy driver, the bench as a sound card of its own).
#include "core/quantity/level.h"
#include "core/take/make.h"
#include "devices/sound.h"

#include <gtest/gtest.h>
#include <sys/wait.h>
#include <unistd.h>

#include <algorithm>
#include <chrono>
#include <cmath>
#include <csignal>
#include <cstdlib>
#include <filesystem>
#include <string>
#include <thread>

namespace yf::test {

namespace {

using devices::SoundCaught;
using devices::SoundOrder;
using devices::SoundWatch;

job::Job oneWoofer() {
    job::Job job;
    job.drivers.push_back({.id = "woofer", .name = "Woofer", .band = job::Band::low});
    return job;
}

/// A program of ours or the server, ended with its own id.
class Child {
public:
    explicit Child(const std::vector<std::string>& words) {
        pid_ = ::fork();
        if (pid_ == 0) {
            std::vector<char*> argv;
            for (const std::string& word : words) {
                argv.push_back(const_cast<char*>(word.c_str()));
            }
            argv.push_back(nullptr);
            (void)std::freopen("/dev/null", "w", stdout);
            (void)std::freopen("/dev/null", "w", stderr);
            ::execvp(argv[0], argv.data());
            ::_exit(127);
        }
    }

    Child(const Child&) = delete;
    Child& operator=(const Child&) = delete;

    ~Child() { end(); }

    void end() {
        if (pid_ > 0) {
            ::kill(pid_, SIGTERM);
            ::waitpid(pid_, nullptr, 0);
            pid_ = 0;
        }
    }

private:
    pid_t pid_{};
};

int runs(const std::string& command) {
    return std::system((command + " >/dev/null 2>&1").c_str());
}

/// A sound server on a dummy driver in a folder of its own, and the bench on it.
class RealSound : public testing::Test {
protected:
    void SetUp() override {
        char name[] = "/tmp/yf-sound-XXXXXX";
        folder_ = ::mkdtemp(name);
        ::setenv("XDG_RUNTIME_DIR", folder_.c_str(), 1);
        ::setenv("HOME", folder_.c_str(), 1);
        ::setenv("JACK_NO_START_SERVER", "1", 1);
        ::setenv("JACK_NO_AUDIO_RESERVATION", "1", 1);
        server_ = "yf" + std::to_string(::getpid());
        ::setenv("JACK_DEFAULT_SERVER", server_.c_str(), 1);
        jackd_ = std::make_unique<Child>(std::vector<std::string>{"jackd",
                                                                  "-r",
                                                                  "-S",
                                                                  "-n",
                                                                  server_,
                                                                  "-d",
                                                                  "dummy",
                                                                  "-r",
                                                                  "48000",
                                                                  "-p",
                                                                  "1024",
                                                                  "-C",
                                                                  "2",
                                                                  "-P",
                                                                  "2"});
        ASSERT_EQ(runs("jack_wait -w -t 10 -s " + server_), 0) << "the sound server did not start";
        // As fast as the machine can, in place of real time.
        ASSERT_EQ(runs("jack_freewheel -s " + server_ + " y"), 0) << "jack_freewheel: " << server_;
    }

    void TearDown() override {
        card_.reset();
        jackd_.reset();
        std::filesystem::remove_all(folder_);
    }

    /// Starts the bench and waits until it is listed.
    std::unique_ptr<devices::SoundDevice> card(const std::vector<std::string>& options) {
        std::vector<std::string> words{YF_SIM_PROGRAM, "sound"};
        words.insert(words.end(), options.begin(), options.end());
        card_ = std::make_unique<Child>(words);
        for (int patience = 0; patience < 100; ++patience) {
            for (const auto& port : devices::soundPorts()) {
                if (port.name.find("Yellowfront") != std::string::npos && port.inputs >= 2) {
                    auto opened = devices::openSound(port.id);
                    EXPECT_TRUE(opened.ok());
                    return opened ? std::move(*opened) : nullptr;
                }
            }
            std::this_thread::sleep_for(std::chrono::milliseconds(100));
        }
        return nullptr;
    }

    std::string folder_;
    std::string server_;
    std::unique_ptr<Child> jackd_;
    std::unique_ptr<Child> card_;
};

SoundCaught sweepThrough(devices::SoundDevice& device, const signal::Sweep& sweep) {
    SoundWatch watch;
    SoundOrder order{.play = signal::playSignal(sweep), .rate = sweep.rate};
    auto caught = device.run(order, watch);
    EXPECT_TRUE(caught.ok()) << (caught ? "" : caught.error().given);
    return caught ? *caught : SoundCaught{};
}

} // namespace

TEST(SimulatedSound, isHeardAndStopsWithinFiftyMilliseconds) {
    const auto bench = sim::soundBench(oneWoofer(), {.driver = "woofer", .distance = 1.0});
    ASSERT_TRUE(bench.ok());
    const auto device = devices::simulatedSound(*bench, devices::Wired::microphone, 1.0);
    const auto sweep = signal::makeSweep({.duration = 3.0}).value();
    SoundWatch watch;
    const SoundOrder order{.play = signal::playSignal(sweep)};
    std::chrono::steady_clock::time_point asked;
    std::thread hand([&] {
        while (watch.share < 0.05) {
            std::this_thread::sleep_for(std::chrono::milliseconds(1));
        }
        asked = std::chrono::steady_clock::now();
        watch.stop = true;
    });
    const auto caught = device->run(order, watch);
    const auto ended = std::chrono::steady_clock::now();
    hand.join();
    ASSERT_TRUE(caught.ok());
    EXPECT_TRUE(caught->cut);
    EXPECT_GT(caught->inputs[0].size(), 0U) << "what came is kept";
    EXPECT_LT(std::chrono::duration<double>(ended - asked).count(), 0.05 + 0.05)
        << "and a busy machine's slack";
}

TEST(SimulatedSound, levelsAreThoseOfTheDriver) {
    const auto bench = sim::soundBench(oneWoofer(), {.driver = "woofer", .distance = 1.0});
    ASSERT_TRUE(bench.ok());
    const auto device = devices::simulatedSound(*bench, devices::Wired::microphone, 0.0);
    const signal::SweepPlan plan{.level = -20.0, .repeats = 2};
    const auto sweep = signal::makeSweep(plan).value();
    const SoundCaught caught = sweepThrough(*device, sweep);
    take::TakeOrder order{.recorded = {.driver = "woofer",
                                       .sweep = plan,
                                       .fullScalePressure = bench->fullScalePressure,
                                       .fullScaleVoltage = bench->fullScaleVoltage},
                          .recording = {sweep.rate, caught.inputs[0], caught.inputs[1]}};
    const auto made = take::makeTake(order);
    ASSERT_TRUE(made.ok());
    EXPECT_TRUE(made->verdict.faults.empty());
    ASSERT_TRUE(made->reading.delay.has_value());
    EXPECT_NEAR(made->reading.delay->delay, 1.0 / 343.2, 60e-6);
    for (std::size_t k = 0; k < made->take.curve->size(); ++k) {
        const double f = made->take.curve->frequencies()[k];
        if (f > 500.0 && f < 5000.0) {
            const double truth = std::abs(bench->pressure(f)) * quantity::referenceVoltage;
            EXPECT_NEAR(
                quantity::decibels(std::abs(made->take.curve->values()[k]) / truth), 0.0, 0.4)
                << f << " Hz";
        }
    }
}

TEST_F(RealSound, aFlatPathIsFlatAndItsDelayConstant) {
    const auto device = card({"--flat"});
    ASSERT_NE(device, nullptr) << "the bench was not listed as a device";
    const signal::SweepPlan plan{.duration = 2.0, .silenceAfter = 0.5};
    const auto sweep = signal::makeSweep(plan).value();
    double delay = 0.0;
    for (int run = 0; run < 3; ++run) {
        // A busy machine reports losses and is asked again, as a person would. One that is busy all
        // along reports them each time; whether any sample was lost is told by the samples below.
        SoundCaught caught = sweepThrough(*device, sweep);
        for (int again = 0; again < 3 && caught.lossFlagged; ++again) {
            caught = sweepThrough(*device, sweep);
        }
        ASSERT_EQ(caught.inputs.size(), 2U);
        ASSERT_EQ(caught.inputs[0].size(), sweep.total());
        const auto examined =
            measure::examine({sweep.rate, caught.inputs[0], caught.inputs[1]}, sweep);
        EXPECT_TRUE(examined.verdict.faults.empty())
            << measure::sentenceOf(examined.verdict.faults.front(), examined.verdict);
        const auto impulse =
            signal::impulseOf(examined.response, examined.spectra.length, sweep.rate, 0.4, 0.45);
        const auto axis = curve::within(curve::designAxis(), 30.0, 18000.0);
        const auto values = signal::gatedResponse(
            impulse, signal::peakTime(impulse), {.left = 0.35, .right = 0.4}, axis);
        for (std::size_t k = 0; k < axis.size(); ++k) {
            EXPECT_NEAR(quantity::decibels(values[k]), quantity::decibels(0.25), 0.05)
                << axis[k] << " Hz";
        }
        const double now = signal::arrival(impulse);
        if (run > 0) {
            EXPECT_NEAR(now, delay, 1e-6) << "re the reference";
        }
        delay = now;
    }
}

TEST_F(RealSound, impedanceThroughTheServer) {
    const auto device = card({"--jig"});
    ASSERT_NE(device, nullptr);
    const signal::SweepPlan plan{.duration = 2.0, .silenceAfter = 0.8};
    const auto sweep = signal::makeSweep(plan).value();
    const SoundCaught caught = sweepThrough(*device, sweep);
    ASSERT_EQ(caught.inputs.size(), 2U);
    take::TakeOrder order{
        .kind = job::TakeKind::impedance,
        .recorded = {.driver = "woofer", .sweep = plan, .sense = 10.0, .lead = 0.12},
        .recording = {sweep.rate, caught.inputs[0], caught.inputs[1]}};
    const auto made = take::makeTake(order);
    ASSERT_TRUE(made.ok()) << made.error().given;
    job::Job midrange;
    midrange.drivers.push_back({.id = "mid", .name = "Midrange", .band = job::Band::mid});
    const auto truth = sim::soundBench(midrange, {.driver = "mid", .distance = 1.0});
    const auto& curve = *made->take.curve;
    for (std::size_t k = 0; k < curve.size(); ++k) {
        const double f = curve.frequencies()[k];
        if (f > 40.0 && f < 18000.0) {
            EXPECT_NEAR(std::abs(curve.values()[k]) / std::abs(truth->impedance(f)), 1.0, 0.01)
                << f << " Hz";
        }
    }
}

TEST_F(RealSound, aDeviceThatIsNotThereIsNamed) {
    const auto gone = devices::openSound("no such device");
    ASSERT_FALSE(gone.ok());
    EXPECT_EQ(gone.error().subject, "device");
}

TEST_F(RealSound, aServerThatGoesAwayMidwayIsTold) {
    const auto device = card({"--flat"});
    ASSERT_NE(device, nullptr);
    runs("jack_freewheel -s " + server_ + " n");
    const auto sweep = signal::makeSweep({.duration = 4.0}).value();
    SoundWatch watch;
    const SoundOrder order{.play = signal::playSignal(sweep), .rate = sweep.rate};
    std::thread hand([&] {
        while (watch.share < 0.1) {
            std::this_thread::sleep_for(std::chrono::milliseconds(5));
        }
        jackd_.reset();
    });
    const auto caught = device->run(order, watch);
    hand.join();
    ASSERT_TRUE(caught.ok()) << "what came is kept";
    EXPECT_TRUE(caught->cut);
}

} // namespace yf::test
