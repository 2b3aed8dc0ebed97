// SPDX-License-Identifier: GPL-3.0-or-later
#include "devices/sound_client.h"

#include "core/signal/spectrum.h"

#include <jack/jack.h>

#include <algorithm>
#include <atomic>
#include <chrono>
#include <cmath>
#include <thread>

namespace yf::devices {

namespace {

/// Impulse responses by direct form would cost too much, blocks by transform delay: short ones of
/// a few thousand samples are folded directly.
class Folded {
public:
    explicit Folded(std::vector<float> response)
        : response_(std::move(response)), past_(response_.size()) {}

    float next(float in) {
        past_[at_] = in;
        float sum = 0.0F;
        std::size_t k = at_;
        for (const float h : response_) {
            sum += h * past_[k];
            k = k == 0 ? past_.size() - 1 : k - 1;
        }
        at_ = at_ + 1 == past_.size() ? 0 : at_ + 1;
        return sum;
    }

private:
    std::vector<float> response_;
    std::vector<float> past_;
    std::size_t at_{};
};

struct Card {
    jack_port_t* in{};
    jack_port_t* microphone{};
    jack_port_t* reference{};
    Folded sound;
    Folded wire; ///< late by as much as the sound's own lead
    std::atomic<bool> gone{};
};

int process(jack_nframes_t frames, void* user) {
    auto& card = *static_cast<Card*>(user);
    const auto* in = static_cast<const float*>(jack_port_get_buffer(card.in, frames));
    auto* microphone = static_cast<float*>(jack_port_get_buffer(card.microphone, frames));
    auto* reference = static_cast<float*>(jack_port_get_buffer(card.reference, frames));
    for (jack_nframes_t n = 0; n < frames; ++n) {
        microphone[n] = card.sound.next(in[n]);
        reference[n] = card.wire.next(in[n]);
    }
    return 0;
}

void ended(void* user) {
    static_cast<Card*>(user)->gone = true;
}

/// Band-limited delays ring before their time: so many samples are kept for that.
constexpr std::size_t lead = 64;

std::vector<float> onlyLate() {
    std::vector<float> response(lead + 1);
    response.back() = 1.0F;
    return response;
}

/// The bench's answer to one sample, at most 4096 samples long.
std::vector<float> answerOf(const sim::SoundBench& bench, Wired wired, double rate) {
    std::vector<double> click(8192);
    click[0] = 1.0;
    sim::SoundBench quiet = bench;
    quiet.chain.noise = -400.0;
    quiet.chain.latency = static_cast<double>(lead) / rate;
    quiet.chain.secondHarmonic = quiet.chain.thirdHarmonic = 0.0;
    quiet.chain.clip = 200.0;
    const sim::Heard heard = wired == Wired::jig ? sim::hearJig(quiet, click, rate)
                                                 : sim::hearResponse(quiet, click, rate);
    std::vector<float> response;
    constexpr std::size_t longest = 4096;
    for (std::size_t n = 0; n < std::min(longest, heard.measured.size()); ++n) {
        response.push_back(static_cast<float>(heard.measured[n]));
    }
    return response;
}

} // namespace

Result<std::monostate> serveSound(const sim::SoundBench& bench,
                                  Wired wired,
                                  const std::function<bool(double rate)>& ready) {
    jack_status_t status{};
    jack_client_t* client = jack_client_open("Yellowfront bench", JackNoStartServer, &status);
    if (client == nullptr) {
        return Error{"sound server", "none is running", "start one, then try again"};
    }
    const double rate = jack_get_sample_rate(client);
    Card card{.sound = Folded(answerOf(bench, wired, rate)), .wire = Folded(onlyLate())};
    // Physical and terminal: it is listed as a sound card of its own.
    constexpr unsigned long own = JackPortIsPhysical | JackPortIsTerminal;
    card.in =
        jack_port_register(client, "amplifier", JACK_DEFAULT_AUDIO_TYPE, JackPortIsInput | own, 0);
    card.microphone = jack_port_register(
        client, "microphone", JACK_DEFAULT_AUDIO_TYPE, JackPortIsOutput | own, 0);
    card.reference =
        jack_port_register(client, "reference", JACK_DEFAULT_AUDIO_TYPE, JackPortIsOutput | own, 0);
    jack_set_process_callback(client, &process, &card);
    jack_on_shutdown(client, &ended, &card);
    if (card.in == nullptr || card.microphone == nullptr || card.reference == nullptr ||
        jack_activate(client) != 0) {
        jack_client_close(client);
        return Error{"sound server", "refused the bench's ports", "restart it"};
    }
    while (!card.gone && ready(rate)) {
        std::this_thread::sleep_for(std::chrono::milliseconds(20));
    }
    jack_client_close(client);
    return std::monostate{};
}

} // namespace yf::devices
