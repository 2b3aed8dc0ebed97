// SPDX-License-Identifier: GPL-3.0-or-later
#include "devices/sound.h"

#include <alsa/asoundlib.h>
#include <jack/jack.h>
#include <portaudio.h>

#include <algorithm>
#include <array>
#include <chrono>
#include <cmath>
#include <cstdarg>
#include <cstdlib>
#include <mutex>
#include <thread>

namespace yf::devices {

namespace {

void hush(const char* /*file*/,
          int /*line*/,
          const char* /*function*/,
          int /*code*/,
          const char* /*text*/,
          ...) {}

void hushed(const char* /*text*/) {}

/// A stream that stood still can't be closed: the library would wait for a server that has gone.
/// It is left as it is, and no other is opened until the program starts anew.
std::atomic<bool> abandoned{};

/// The library's own start and end; it counts them itself, but is not thread-safe.
class Library {
public:
    Library() {
        const std::lock_guard lock(mutex());
        // A server must not be started behind the user's back.
        ::setenv("JACK_NO_START_SERVER", "1", 0);
        // A page of complaints for a machine without a sound card helps nobody.
        snd_lib_error_set_handler(&hush);
        jack_set_error_function(&hushed);
        jack_set_info_function(&hushed);
        ok_ = !abandoned && Pa_Initialize() == paNoError;
    }

    Library(const Library&) = delete;
    Library& operator=(const Library&) = delete;

    ~Library() {
        const std::lock_guard lock(mutex());
        if (ok_ && !abandoned) {
            Pa_Terminate();
        }
    }

    [[nodiscard]] bool ok() const { return ok_; }

private:
    static std::mutex& mutex() {
        static std::mutex lock;
        return lock;
    }

    bool ok_{};
};

constexpr std::array usualRates{44100.0, 48000.0, 88200.0, 96000.0, 176400.0, 192000.0};

std::string idOf(const PaDeviceInfo& info) {
    return std::string(Pa_GetHostApiInfo(info.hostApi)->name) + ": " + info.name;
}

PaStreamParameters parametersOf(PaDeviceIndex device, int channels) {
    // High latency: nothing here is in a hurry, and a lost buffer spoils a take.
    constexpr double latency = 0.15;
    return {device, channels, paFloat32, latency, nullptr};
}

std::vector<double> ratesOf(PaDeviceIndex device, const PaDeviceInfo& info) {
    std::vector<double> rates;
    const auto in = parametersOf(device, std::min(info.maxInputChannels, 2));
    const auto out = parametersOf(device, std::min(info.maxOutputChannels, 2));
    for (const double rate : usualRates) {
        if (Pa_IsFormatSupported(&in, &out, rate) == paFormatIsSupported) {
            rates.push_back(rate);
        }
    }
    return rates;
}

/// Everything that the callback touches: made before, of fixed size, no lock.
struct Stream {
    std::vector<float> play;
    std::size_t output{};
    std::size_t outputs{};
    std::size_t inputsOpen{};
    std::vector<std::size_t> inputs;
    std::vector<std::vector<float>> caught;
    std::atomic<std::size_t> at{};
    std::size_t fade{}; ///< samples of the ramp that ends a stopped stream
    std::size_t faded{};
    SoundWatch* watch{};
    std::atomic<bool> called{};
    std::atomic<bool> lost{};
};

float playedAt(const Stream& s, std::size_t n) {
    return n < s.play.size() ? s.play[n] : 0.0F;
}

int onAudio(const void* input,
            void* output,
            unsigned long frames,
            const PaStreamCallbackTimeInfo* /*time*/,
            PaStreamCallbackFlags flags,
            void* user) {
    auto& s = *static_cast<Stream*>(user);
    s.called = true;
    constexpr PaStreamCallbackFlags losses =
        paInputUnderflow | paInputOverflow | paOutputUnderflow | paOutputOverflow;
    std::size_t at = s.at;
    if ((flags & losses) != 0 && at > 0) {
        s.lost = true;
    }
    const auto* in = static_cast<const float*>(input);
    auto* out = static_cast<float*>(output);
    const std::size_t total = s.caught.front().size();
    const bool stopping = s.watch->stop;
    for (unsigned long k = 0; k < frames; ++k) {
        float v = playedAt(s, at);
        if (stopping) {
            v *= s.faded < s.fade ? 1.0F - static_cast<float>(s.faded) / static_cast<float>(s.fade)
                                  : 0.0F;
            ++s.faded;
        }
        for (std::size_t c = 0; c < s.outputs; ++c) {
            out[k * s.outputs + c] = c == s.output ? v : 0.0F;
        }
        if (at < total && in != nullptr) {
            for (std::size_t c = 0; c < s.inputs.size(); ++c) {
                const float heard = in[k * s.inputsOpen + s.inputs[c]];
                s.caught[c][at] = heard;
                if (c < s.watch->peaks.size()) {
                    s.watch->peaks[c] = std::max(s.watch->peaks[c].load(), std::abs(heard));
                }
            }
        }
        ++at;
    }
    s.at = at;
    s.watch->share = std::min(
        1.0, static_cast<double>(at) / static_cast<double>(std::max<std::size_t>(total, 1)));
    if (at >= total || (stopping && s.faded >= s.fade)) {
        return paComplete;
    }
    return paContinue;
}

class Real final : public SoundDevice {
public:
    Real(std::unique_ptr<Library> library, PaDeviceIndex device, SoundPort port)
        : library_(std::move(library)), device_(device), port_(std::move(port)) {}

    [[nodiscard]] const SoundPort& port() const override { return port_; }

    [[nodiscard]] Result<SoundCaught> run(const SoundOrder& order, SoundWatch& watch) override {
        const int highest = order.inputs.empty() ? 1 : std::ranges::max(order.inputs);
        if (highest > port_.inputs) {
            return Error{
                "input",
                say(YF_WORDS("core", "%1 asked"), std::to_string(highest)),
                say(YF_WORDS("core", "'%1' has %2"), port_.name, std::to_string(port_.inputs))};
        }
        if (order.output > port_.outputs) {
            return Error{
                "output",
                say(YF_WORDS("core", "%1 asked"), std::to_string(order.output)),
                say(YF_WORDS("core", "'%1' has %2"), port_.name, std::to_string(port_.outputs))};
        }
        // On the heap, with what it plays: an abandoned stream may still look at it.
        auto held = std::make_unique<Stream>();
        Stream& s = *held;
        s.play = std::vector<float>(order.play.begin(), order.play.end());
        s.output = static_cast<std::size_t>(order.output - 1);
        s.outputs = static_cast<std::size_t>(std::min(port_.outputs, std::max(2, order.output)));
        s.inputsOpen = static_cast<std::size_t>(std::min(port_.inputs, std::max(2, highest)));
        s.fade = static_cast<std::size_t>(0.005 * order.rate);
        s.watch = &watch;
        for (const int input : order.inputs) {
            s.inputs.push_back(static_cast<std::size_t>(input - 1));
            s.caught.emplace_back(s.play.size());
        }
        const auto in = parametersOf(device_, static_cast<int>(s.inputsOpen));
        const auto out = parametersOf(device_, static_cast<int>(s.outputs));
        PaStream* stream = nullptr;
        const PaError opened = Pa_OpenStream(&stream,
                                             &in,
                                             &out,
                                             order.rate,
                                             paFramesPerBufferUnspecified,
                                             paClipOff | paDitherOff,
                                             &onAudio,
                                             &s);
        if (opened != paNoError) {
            return Error{port_.name,
                         Pa_GetErrorText(opened),
                         YF_WORDS("core", "choose another rate or device")};
        }
        const PaError started = Pa_StartStream(stream);
        if (started != paNoError) {
            Pa_CloseStream(stream);
            return Error{port_.name,
                         Pa_GetErrorText(started),
                         YF_WORDS("core", "is another program using it?")};
        }
        auto caught = waitFor(stream, s, order, watch);
        if (abandoned) {
            static_cast<void>(held.release());
        } else {
            Pa_CloseStream(stream);
        }
        return caught;
    }

private:
    using Clock = std::chrono::steady_clock;

    [[nodiscard]] Result<SoundCaught>
    waitFor(PaStream* stream, const Stream& s, const SoundOrder& order, SoundWatch& watch) const {
        const auto begin = Clock::now();
        constexpr std::chrono::seconds firstCall(1);
        constexpr std::chrono::milliseconds look(5);
        // A stream that stands still is given up; one on a free-running clock may be quick.
        std::size_t seen = 0;
        auto moved = begin;
        constexpr std::chrono::seconds standsStill(2);
        std::string problem;
        while (Pa_IsStreamActive(stream) == 1) {
            std::this_thread::sleep_for(look);
            const auto now = Clock::now();
            if (!s.called && now - begin > firstCall) {
                abandoned = true;
                return Error{port_.name,
                             YF_WORDS("core", "opened, but never asked for a sample"),
                             YF_WORDS("core", "check the sound system's own control program")};
            }
            if (s.at != seen) {
                seen = s.at;
                moved = now;
            } else if (s.called && now - moved > standsStill) {
                abandoned = true;
                problem = YF_WORDS(
                    "core",
                    "the device stopped in the middle; start the program anew to use it again");
                break;
            }
        }
        if (!watch.stop && s.at < s.caught.front().size()) {
            abandoned = true; // the server ended the stream, and closing it would wait for it
            problem = YF_WORDS(
                "core", "the device stopped in the middle; start the program anew to use it again");
        }
        SoundCaught caught{.rate = order.rate,
                           .lossFlagged = s.lost,
                           .cut = s.at < s.caught.front().size(),
                           .problem = problem};
        if (const PaStreamInfo* info = abandoned ? nullptr : Pa_GetStreamInfo(stream);
            info != nullptr) {
            caught.rate = info->sampleRate;
        }
        constexpr double sameRate = 1e-3;
        if (std::abs(caught.rate / order.rate - 1.0) > sameRate) {
            caught.problem = YF_WORDS("core", "the device runs at another rate than asked for");
        }
        const std::size_t came = std::min<std::size_t>(s.at, s.caught.front().size());
        for (const auto& channel : s.caught) {
            caught.inputs.emplace_back(channel.begin(),
                                       channel.begin() + static_cast<std::ptrdiff_t>(came));
        }
        watch.share = 1.0;
        return caught;
    }

    std::unique_ptr<Library> library_;
    PaDeviceIndex device_;
    SoundPort port_;
};

SoundPort portOf(PaDeviceIndex device, const PaDeviceInfo& info) {
    return {.id = idOf(info),
            .name = info.name,
            .inputs = info.maxInputChannels,
            .outputs = info.maxOutputChannels,
            .rates = ratesOf(device, info)};
}

} // namespace

std::vector<SoundPort> soundPorts() {
    const Library library;
    std::vector<SoundPort> ports;
    if (!library.ok()) {
        return ports;
    }
    for (PaDeviceIndex device = 0; device < Pa_GetDeviceCount(); ++device) {
        const PaDeviceInfo* info = Pa_GetDeviceInfo(device);
        // One stream for both ways, or there are two clocks.
        if (info != nullptr && info->maxInputChannels > 0 && info->maxOutputChannels > 0) {
            ports.push_back(portOf(device, *info));
        }
    }
    return ports;
}

Result<std::unique_ptr<SoundDevice>> openSound(const std::string& id) {
    auto library = std::make_unique<Library>();
    if (library->ok()) {
        for (PaDeviceIndex device = 0; device < Pa_GetDeviceCount(); ++device) {
            const PaDeviceInfo* info = Pa_GetDeviceInfo(device);
            if (info != nullptr && info->maxInputChannels > 0 && info->maxOutputChannels > 0 &&
                idOf(*info) == id) {
                SoundPort port = portOf(device, *info);
                return std::unique_ptr<SoundDevice>(
                    std::make_unique<Real>(std::move(library), device, std::move(port)));
            }
        }
    }
    return Error{"device",
                 say(YF_WORDS("core", "'%1' is not there"), id),
                 YF_WORDS("core", "plug it in, or choose another one")};
}

} // namespace yf::devices
