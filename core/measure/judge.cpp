// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/judge.h"

#include "core/curve/smooth.h"
#include "core/measure/clipping.h"
#include "core/measure/disturbance.h"
#include "core/quantity/level.h"
#include "core/signal/resample.h"
#include "core/signal/spectrum.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <span>

namespace yf::measure {

namespace {

using curve::Complex;
using signal::Recording;
using signal::RepeatSpectra;
using signal::Spectrum;
using signal::Sweep;

struct FaultEntry {
    std::string_view name;
    bool spoils;
};

constexpr std::array<FaultEntry, faultCount> faults{{{"no_signal", true},
                                                     {"channels_swapped", true},
                                                     {"reference_missing", true},
                                                     {"cut_short", true},
                                                     {"clipped", true},
                                                     {"dropout", true},
                                                     {"clocks_apart", true},
                                                     {"too_low", true},
                                                     {"noisy", true},
                                                     {"event", false},
                                                     {"clock_drift", false},
                                                     {"hum", false},
                                                     {"reference_inverted", false}}};

const FaultEntry& entry(Fault fault) {
    return faults.at(static_cast<std::size_t>(fault));
}

double dB(double amplitude) {
    return 20.0 * std::log10(std::max(amplitude, 1e-12));
}

double rms(std::span<const double> x) {
    double sum = 0.0;
    for (const double v : x) {
        sum += v * v;
    }
    return x.empty() ? 0.0 : std::sqrt(sum / static_cast<double>(x.size()));
}

double peak(std::span<const double> x) {
    double most = 0.0;
    for (const double v : x) {
        most = std::max(most, std::abs(v));
    }
    return most;
}

/// Highest sample over rms of an impulse response: noise has about 5, an answer far more.
double crest(const Spectrum& response, std::size_t length) {
    const auto h = signal::transformBack(response, length);
    const double size = rms(h);
    return size > 0.0 ? peak(h) / size : 0.0;
}

double bandSum(const std::vector<double>& power, std::size_t first, std::size_t last) {
    double sum = 0.0;
    for (std::size_t k = first; k <= last; ++k) {
        sum += power[k];
    }
    return sum;
}

const double thirdSide = std::pow(10.0, 0.05);

/// Silence to learn the noise from: before the first sweep, else the end of the last repeat. The
/// first `missing` samples were never recorded.
std::span<const double>
silenceOf(const std::vector<double>& channel, const Sweep& sweep, std::size_t missing) {
    const std::span all(channel);
    constexpr double least = 0.1; // s
    const auto enough = static_cast<std::size_t>(least * sweep.rate);
    if (sweep.before >= enough + missing) {
        return all.first(std::min(sweep.before, all.size())).subspan(std::min(missing, all.size()));
    }
    const std::size_t half = sweep.after / 2;
    if (half >= enough && all.size() >= sweep.total()) {
        return all.subspan(sweep.total() - half, half);
    }
    return {};
}

/// Noise power in each bin of one repeat's transform, from a Hann-windowed periodogram.
std::vector<double>
noiseFromSilence(std::span<const double> silence, const RepeatSpectra& of, const Sweep& sweep) {
    if (silence.empty()) {
        return {};
    }
    std::vector<double> x(silence.begin(), silence.end());
    for (std::size_t n = 0; n < x.size(); ++n) {
        x[n] *= 0.5 - 0.5 * std::cos(2.0 * std::numbers::pi * static_cast<double>(n) /
                                     static_cast<double>(x.size()));
    }
    const std::size_t length = signal::goodLength(x.size());
    const Spectrum spectrum = signal::transform(x, length);
    constexpr double hannPower = 3.0 / 8.0;
    const double scale = static_cast<double>(sweep.samples + sweep.after) /
                         (hannPower * static_cast<double>(x.size()));
    std::vector<double> noise(of.length / 2 + 1);
    for (std::size_t k = 0; k < noise.size(); ++k) {
        const auto at = static_cast<std::size_t>(
            static_cast<double>(k) * static_cast<double>(length) / static_cast<double>(of.length));
        noise[k] = scale * std::norm(spectrum[std::min(at, spectrum.size() - 1)]);
    }
    return noise;
}

/// Σ|M_r − M̄|²/(R(R−1)) in each bin.
std::vector<double> noiseFromRepeats(const std::vector<Spectrum>& repeats, const Spectrum& mean) {
    std::vector<double> noise(mean.size());
    for (const Spectrum& repeat : repeats) {
        for (std::size_t k = 0; k < noise.size(); ++k) {
            noise[k] += std::norm(repeat[k] - mean[k]);
        }
    }
    const auto R = static_cast<double>(repeats.size());
    for (double& v : noise) {
        v /= R * (R - 1.0);
    }
    return noise;
}

/// Levels in third octaves over [from, to].
struct Thirds {
    std::vector<double> f;
    std::vector<double> level;

    [[nodiscard]] double span() const {
        return level.empty() ? 1e9 : std::ranges::max(level) - std::ranges::min(level);
    }
};

Thirds thirdsOf(const Spectrum& response, const RepeatSpectra& of, const curve::Range& range) {
    Thirds thirds;
    for (const double f : curve::midBands(3, range.from, range.to)) {
        const std::size_t first = of.bin(f / thirdSide);
        const std::size_t last = of.bin(f * thirdSide);
        double power = 0.0;
        for (std::size_t k = first; k <= last; ++k) {
            power += std::norm(response[k]);
        }
        thirds.f.push_back(f);
        thirds.level.push_back(
            10.0 * std::log10(std::max(power / static_cast<double>(last - first + 1), 1e-24)));
    }
    return thirds;
}

constexpr double swappedSpan = 6.0;   // dB
constexpr double missingPeak = -60.0; // dB re full scale
constexpr double leastCrest = 6.0;
constexpr double noSignalBelow = 15.0; // dB
constexpr double noisyBelow = 20.0;    // dB
constexpr double ownBand = 10.0;       // dB below the device's own maximum
constexpr double tooLowPeak = -50.0;   // dB re full scale

/// Where the answer to the first sweep begins, in samples after its place in the layout, up to 3 s
/// to either side: the highest sum over the repeats of the correlation with the sweep.
std::ptrdiff_t placeOf(const std::vector<double>& channel, const Sweep& sweep) {
    constexpr double reach = 3.2; // s
    const std::vector<double> played = signal::samplesOf(sweep);
    const std::size_t length = signal::goodLength(channel.size() + played.size());
    Spectrum heard = signal::transform(channel, length);
    const Spectrum known = signal::transform(played, length);
    for (std::size_t k = 0; k < heard.size(); ++k) {
        heard[k] *= std::conj(known[k]);
    }
    const std::vector<double> c = signal::transformBack(heard, length);
    const auto most = static_cast<std::ptrdiff_t>(reach * sweep.rate);
    const auto size = static_cast<std::ptrdiff_t>(length);
    std::ptrdiff_t best = 0;
    double highest = -1.0;
    for (std::ptrdiff_t at = -most; at <= most; ++at) {
        double sum = 0.0;
        for (int r = 0; r < sweep.repeats; ++r) {
            const std::ptrdiff_t n = static_cast<std::ptrdiff_t>(sweep.startOf(r)) + at;
            // Behind the data nothing can have answered; before them only the end of a sweep.
            if (n < static_cast<std::ptrdiff_t>(channel.size()) &&
                n > -static_cast<std::ptrdiff_t>(played.size())) {
                sum += std::abs(c[static_cast<std::size_t>((n + size) % size)]);
            }
        }
        if (sum > highest) {
            highest = sum;
            best = at;
        }
    }
    return best;
}

/// The channel from `offset` samples on; before its beginning there is silence.
std::vector<double> from(const std::vector<double>& channel, std::ptrdiff_t offset) {
    if (offset <= 0) {
        std::vector<double> padded(static_cast<std::size_t>(-offset), 0.0);
        padded.insert(padded.end(), channel.begin(), channel.end());
        return padded;
    }
    const auto cut = std::min(offset, static_cast<std::ptrdiff_t>(channel.size()));
    return {channel.begin() + cut, channel.end()};
}

class Examination {
public:
    Examination(const Recording& recording, const Sweep& sweep)
        : recording_(recording), sweep_(sweep) {}

    Examined run(bool lossFlagged) {
        e_.referenced = !recording_.reference.empty();
        e_.spectra = signal::transformRepeats(recording_, sweep_);
        findAnswer();
        levels();
        if (peak(recording_.measured) == 0.0) {
            e_.measured = signal::mean(e_.spectra.measured);
            e_.against = e_.referenced ? signal::mean(e_.spectra.reference) : e_.spectra.sweep;
            e_.response.assign(e_.measured.size(), {});
            add(Fault::noSignal);
            if (e_.referenced && peak(recording_.reference) == 0.0) {
                add(Fault::referenceMissing);
            }
            return std::move(e_);
        }
        const bool lost = reference();
        clocks(lossFlagged, lost);
        events();
        average(lost);
        clipping();
        hum();
        std::ranges::sort(e_.verdict.faults);
        tellFromItsBeginning();
        return std::move(e_);
    }

private:
    /// Times are told of the recording as it is.
    void tellFromItsBeginning() {
        if (e_.verdict.dropout) {
            e_.verdict.dropout->time += e_.placed();
        }
        if (e_.verdict.stale) {
            e_.verdict.stale->time += e_.placed();
        }
        if (e_.verdict.eventTime) {
            *e_.verdict.eventTime += e_.placed();
        }
    }

    void add(Fault fault) {
        if (!e_.verdict.has(fault)) {
            e_.verdict.faults.push_back(fault);
        }
    }

    /// The layout says where the answer is; a recorder that was started early or late, or a slow
    /// device, puts it elsewhere.
    void findAnswer() {
        const bool byReference = e_.referenced && dB(peak(recording_.reference)) >= missingPeak;
        const std::vector<double>& channel =
            byReference ? recording_.reference : recording_.measured;
        if (peak(channel) == 0.0) {
            return;
        }
        const Spectrum& heard =
            byReference ? e_.spectra.reference.front() : e_.spectra.measured.front();
        const auto [latency, clear] = answerOf(heard, e_.spectra, sweep_);
        const double after = static_cast<double>(sweep_.after) / sweep_.rate;
        constexpr double early = -0.02; // s: a band's lower edge rings before its time
        const double late = 0.25 * after;
        // Noise has a highest sample somewhere too: only a clear answer needs no search.
        const bool there = clear >= 2.0 * leastCrest;
        sure_ = there && byReference == e_.referenced;
        std::ptrdiff_t place = std::lround(latency * sweep_.rate);
        const auto recorded = static_cast<std::ptrdiff_t>(channel.size());
        if (!there || latency <= early || latency >= late) {
            place = placeOf(channel, sweep_);
            const double found = static_cast<double>(place) / sweep_.rate;
            if (found <= early || found >= late) {
                // A slow onset begins before its peak.
                shift(place - std::lround(std::min(0.05, 0.1 * after) * sweep_.rate));
            }
        }
        const Spectrum& now =
            byReference ? e_.spectra.reference.front() : e_.spectra.measured.front();
        // A burst before the sweep belongs to it.
        const auto begin = static_cast<std::ptrdiff_t>(sweep_.before) + place;
        const auto end =
            static_cast<std::ptrdiff_t>(sweep_.startOf(sweep_.repeats - 1) + sweep_.samples) +
            place;
        // The end of a sweep that may be missing: the highest twelfth of an octave.
        const auto spare =
            std::lround((sweep_.duration - sweep_.timeOf(sweep_.end / 1.06)) * sweep_.rate);
        constexpr double ringing = 0.02; // s by which a correlation may be early
        const std::ptrdiff_t first = -std::lround(ringing * sweep_.rate);
        if ((begin < first || end > recorded + spare) && answers(now)) {
            add(Fault::cutShort);
        }
    }

    void shift(std::ptrdiff_t offset) {
        e_.offset = offset;
        missing_ = offset < 0 ? static_cast<std::size_t>(-offset) : 0;
        recording_.measured = from(recording_.measured, offset);
        if (e_.referenced) {
            recording_.reference = from(recording_.reference, offset);
        }
        e_.spectra = signal::transformRepeats(recording_, sweep_);
    }

    [[nodiscard]] bool answers(const Spectrum& heard) const {
        return answerOf(heard, e_.spectra, sweep_).crest >= leastCrest;
    }

    void levels() {
        e_.verdict.peak = dB(peak(recording_.measured));
        e_.verdict.noise = dB(rms(silenceOf(recording_.measured, sweep_, missing_)));
        if (e_.verdict.peak < tooLowPeak) {
            add(Fault::tooLow);
        }
    }

    /// Whether the reference is there and the right way round; true: it can't be used.
    bool reference() {
        if (!e_.referenced) {
            return false;
        }
        const Spectrum answer = signal::linearResponse(
            e_.spectra.reference.front(), e_.spectra.sweep, e_.spectra, sweep_);
        const bool speaks = dB(peak(recording_.reference)) >= missingPeak &&
                            crest(answer, e_.spectra.length) >= leastCrest;
        if (!speaks) {
            add(Fault::referenceMissing);
            return true;
        }
        if (swapped(answer)) {
            add(Fault::channelsSwapped);
        }
        const auto h = signal::transformBack(answer, e_.spectra.length);
        const double top = *std::ranges::max_element(h, {}, [](double v) { return std::abs(v); });
        if (top < 0.0) {
            add(Fault::referenceInverted);
        }
        return false;
    }

    /// The measured channel is as flat as a cable, and the other one is not, or comes later: sound
    /// is slower than wire.
    [[nodiscard]] bool swapped(const Spectrum& answer) const {
        const Spectrum measured = signal::linearResponse(
            e_.spectra.measured.front(), e_.spectra.sweep, e_.spectra, sweep_);
        const curve::Range inner{2.0 * sweep_.fullFrom(), sweep_.fullTo() / 1.3};
        const curve::Range full{sweep_.fullFrom() * thirdSide, sweep_.fullTo() / thirdSide};
        if (thirdsOf(measured, e_.spectra, inner).span() > swappedSpan ||
            crest(measured, e_.spectra.length) < leastCrest) {
            return false;
        }
        const double flat = thirdsOf(measured, e_.spectra, full).span();
        const double other = thirdsOf(answer, e_.spectra, full).span();
        constexpr double flatter = 3.0; // dB
        constexpr double later = 3e-4;  // s: 10 cm of air
        const double lead = answerOf(e_.spectra.reference.front(), e_.spectra, sweep_).delay -
                            answerOf(e_.spectra.measured.front(), e_.spectra, sweep_).delay;
        return (other > swappedSpan || lead > later) && other > flat + flatter;
    }

    /// Median signal to noise of the first repeat against the silence, dB; high where no silence
    /// is there to tell.
    [[nodiscard]] double roughSignalToNoise() {
        const auto noise =
            noiseFromSilence(silenceOf(recording_.measured, sweep_, missing_), e_.spectra, sweep_);
        constexpr double unknown = 100.0;
        if (noise.empty()) {
            return unknown;
        }
        const Spectrum& first = e_.spectra.measured.front();
        double signal = 0.0;
        double quiet = 0.0;
        for (std::size_t k = e_.spectra.bin(sweep_.fullFrom());
             k <= e_.spectra.bin(sweep_.fullTo());
             ++k) {
            const double f = std::max(e_.spectra.frequency(k), 1.0);
            signal += std::norm(first[k]) / f;
            quiet += noise[k] / f;
        }
        return quiet > 0.0 ? 10.0 * std::log10(std::max(signal / quiet - 1.0, 1e-6)) : unknown;
    }

    void clocks(bool lossFlagged, bool referenceLost) {
        RepeatSpectra seen = e_.spectra;
        if (referenceLost) {
            seen.reference.clear();
        } else if (e_.verdict.has(Fault::channelsSwapped)) {
            seen.reference = seen.measured; // that is where the play signal is
        }
        const TimingFound found = timing(seen, sweep_);
        e_.latency = found.latency;
        // A channel that holds no answer has no arrivals.
        const Spectrum& heard =
            seen.reference.empty() ? seen.measured.front() : seen.reference.front();
        const bool known = sure_ && seen.reference.empty() == e_.spectra.reference.empty() &&
                           !e_.verdict.has(Fault::channelsSwapped);
        const bool heardIt = known || answers(heard);
        if (heardIt) {
            e_.verdict.stale = staleIn(recording_.measured, sweep_, e_.latency);
            if (e_.verdict.stale) {
                add(Fault::dropout);
                return;
            }
        }
        if (heardIt && found.dropout) {
            e_.verdict.dropout = found.dropout;
            add(Fault::dropout);
        } else if (lossFlagged) {
            e_.verdict.dropout = Dropout{};
            add(Fault::dropout);
        }
        if (heardIt && !found.dropout && found.drift != 0.0) {
            onOneClock(found.drift, sweep_.repeats < 2);
        }
    }

    /// Takes a drift out, unless it is none that a clock has, or repeats agree less without it.
    void onOneClock(double drift, bool byReference) {
        e_.verdict.driftByReference = byReference;
        if (std::abs(drift) > mostDrift) {
            e_.verdict.clockDrift = drift;
            add(Fault::clocksApart);
            return;
        }
        Recording corrected{.rate = recording_.rate,
                            .measured = signal::resampled(recording_.measured, 1.0 + drift)};
        if (e_.referenced) {
            corrected.reference = signal::resampled(recording_.reference, 1.0 + drift);
        }
        RepeatSpectra spectra = signal::transformRepeats(corrected, sweep_);
        if (!byReference && apart(spectra.measured) >= apart(e_.spectra.measured)) {
            return;
        }
        e_.verdict.clockDrift = drift;
        add(Fault::clockDrift);
        e_.spectra = std::move(spectra);
        corrected_ = std::move(corrected);
    }

    /// How much repeats differ from the first.
    static double apart(const std::vector<Spectrum>& repeats) {
        double sum = 0.0;
        for (std::size_t r = 1; r < repeats.size(); ++r) {
            for (std::size_t k = 0; k < repeats[r].size(); ++k) {
                sum += std::norm(repeats[r][k] - repeats.front()[k]);
            }
        }
        return sum;
    }

    [[nodiscard]] const Recording& heard() const { return corrected_ ? *corrected_ : recording_; }

    void events() {
        std::vector<std::vector<double>> repeats;
        for (int r = 0; r < sweep_.repeats; ++r) {
            repeats.push_back(signal::repeatOf(heard().measured, sweep_, r));
        }
        if (e_.verdict.has(Fault::dropout)) {
            return;
        }
        const std::vector<int> disturbed = disturbedRepeats(repeats, sweep_.rate);
        for (auto r = disturbed.rbegin(); r != disturbed.rend(); ++r) {
            e_.spectra.measured.erase(e_.spectra.measured.begin() + *r);
            if (e_.referenced) {
                e_.spectra.reference.erase(e_.spectra.reference.begin() + *r);
            }
        }
        for (const int r : disturbed) {
            e_.verdict.rejected.push_back(r + 1);
        }
        if (!disturbed.empty()) {
            add(Fault::event);
        }
    }

    void average(bool referenceLost) {
        const auto& repeats = e_.spectra.measured;
        e_.measured = signal::mean(repeats);
        e_.against =
            e_.referenced && !referenceLost ? signal::mean(e_.spectra.reference) : e_.spectra.sweep;
        e_.response = signal::linearResponse(e_.measured, e_.against, e_.spectra, sweep_);
        if (repeats.size() >= 2) {
            e_.noise = noiseFromRepeats(repeats, e_.measured);
        } else {
            e_.noise =
                noiseFromSilence(silenceOf(heard().measured, sweep_, missing_), e_.spectra, sweep_);
        }
        // Judged by the played sweep: a missing or silent reference has no say in what was heard.
        const Spectrum answer =
            signal::linearResponse(e_.measured, e_.spectra.sweep, e_.spectra, sweep_);
        const Thirds thirds = thirdsOf(
            answer, e_.spectra, {sweep_.fullFrom() * thirdSide, sweep_.fullTo() / thirdSide});
        std::vector<double> ratios;
        double best = -1e9;
        if (!e_.noise.empty() && !thirds.f.empty()) {
            const double most = std::ranges::max(thirds.level);
            for (std::size_t i = 0; i < thirds.f.size(); ++i) {
                const double ratio = *e_.signalToNoise(thirds.f[i]);
                best = std::max(best, ratio);
                if (thirds.level[i] >= most - ownBand) {
                    ratios.push_back(ratio);
                }
            }
        }
        const double clear = crest(answer, e_.spectra.length);
        // Repeats on clocks that are too far apart differ by that, not by noise.
        const bool unheard =
            !ratios.empty() && best < noSignalBelow && !e_.verdict.has(Fault::clocksApart);
        if (clear < leastCrest || unheard) {
            add(Fault::noSignal);
        }
        if (e_.verdict.has(Fault::noSignal) && clear < 2.0 * leastCrest) {
            // Where nothing answers nothing can be lost, cut or late.
            std::erase_if(e_.verdict.faults, [](Fault fault) {
                return fault == Fault::dropout || fault == Fault::cutShort ||
                       fault == Fault::clocksApart || fault == Fault::clockDrift;
            });
        }
        if (!ratios.empty()) {
            const auto middle = ratios.begin() + static_cast<std::ptrdiff_t>(ratios.size() / 2);
            std::ranges::nth_element(ratios, middle);
            e_.verdict.medianSignalToNoise = *middle;
            if (*middle < noisyBelow) {
                add(Fault::noisy);
            }
        }
    }

    void clipping() {
        const int measured = clippedSamples(recording_.measured, sweep_, e_.latency);
        const int reference = e_.referenced && !e_.verdict.has(Fault::referenceMissing)
                                  ? clippedSamples(recording_.reference, sweep_, e_.latency)
                                  : 0;
        // Noise without a signal has no tops of its own.
        if ((measured > 0 || reference > 0) && !e_.verdict.has(Fault::noSignal)) {
            e_.verdict.clippedSamples = std::max(measured, reference);
            e_.verdict.referenceClipped = reference > measured;
            add(Fault::clipped);
        }
        constexpr int severalRepeats = 3;
        if (sweep_.repeats < severalRepeats && !e_.verdict.has(Fault::clipped) &&
            !e_.verdict.has(Fault::dropout) && !e_.verdict.has(Fault::noSignal)) {
            if (const auto time = eventIn(recording_.measured, sweep_, e_.latency)) {
                e_.verdict.eventTime = time;
                add(Fault::event);
            }
        }
    }

    void hum() {
        const auto silence = silenceOf(recording_.measured, sweep_, missing_);
        const auto found = humIn(silence, recording_.rate);
        constexpr double quiet = -90.0;    // dB re full scale
        constexpr double underPeak = 70.0; // dB
        if (found && dB(found->amplitude) > quiet &&
            dB(found->amplitude) > e_.verdict.peak - underPeak) {
            e_.verdict.hum = found->mains;
            e_.verdict.humLevel = dB(found->amplitude);
            add(Fault::hum);
        }
    }

    Recording recording_; ///< from where the answer is on
    const Sweep& sweep_;
    std::size_t missing_{}; ///< samples before the recording's beginning
    bool sure_{};           ///< the channel that tells time answers clearly by the layout
    std::optional<Recording> corrected_;
    Examined e_;
};

std::string level(double decibels) {
    return text::printFixed(decibels, 0) + std::string(text::thinSpace) + "dB";
}

} // namespace

std::string_view faultName(Fault fault) {
    return entry(fault).name;
}

bool spoils(Fault fault) {
    return entry(fault).spoils;
}

std::optional<Fault> Verdict::mainFault() const {
    return faults.empty() ? std::nullopt : std::optional(faults.front());
}

bool Verdict::usable() const {
    return std::ranges::none_of(faults, &spoils);
}

bool Verdict::has(Fault fault) const {
    return std::ranges::find(faults, fault) != faults.end();
}

std::optional<double> Examined::signalToNoise(double f) const {
    if (noise.empty()) {
        return std::nullopt;
    }
    const std::size_t first = spectra.bin(f / thirdSide);
    const std::size_t last = spectra.bin(f * thirdSide);
    double all = 0.0;
    for (std::size_t k = first; k <= last; ++k) {
        all += std::norm(measured[k]);
    }
    const double n = bandSum(noise, first, last);
    constexpr double most = 200.0;
    constexpr double least = -60.0;
    if (n <= 0.0) {
        return most;
    }
    return std::clamp(10.0 * std::log10(std::max(all - n, 1e-12 * n) / n), least, most);
}

double Examined::level(double f) const {
    const std::size_t first = spectra.bin(f / thirdSide);
    const std::size_t last = spectra.bin(f * thirdSide);
    double power = 0.0;
    for (std::size_t k = first; k <= last; ++k) {
        power += std::norm(response[k]);
    }
    return 10.0 * std::log10(std::max(power / static_cast<double>(last - first + 1), 1e-24));
}

Words sentenceOf(Fault fault, const Verdict& v) {
    switch (fault) {
    case Fault::noSignal:
        return YF_WORDS(
            "core",
            "Nothing was heard. Is the amplifier on, and are the right output and input chosen?");
    case Fault::channelsSwapped:
        return YF_WORDS("core",
                        "Microphone and reference are exchanged: read them the other way round.");
    case Fault::referenceMissing:
        return YF_WORDS("core",
                        "The reference input carries no signal: check the cable that brings the "
                        "play signal back.");
    case Fault::clipped:
        return v.referenceClipped
                   ? YF_WORDS(
                         "core",
                         "The reference input is overloaded: lower its gain by 6 dB and repeat.")
                   : YF_WORDS("core",
                              "The microphone's input is overloaded: lower its gain by 6 dB and "
                              "repeat.");
    case Fault::dropout:
        if (v.stale) {
            return v.stale->again
                       ? say(YF_WORDS("core",
                                      "The sound system gave samples twice at %1 s: choose a "
                                      "larger buffer, close other programs, and repeat."),
                             text::printFixed(v.stale->time, 2))
                       : say(YF_WORDS("core",
                                      "The sound system gave %1 empty samples at %2 s: choose a "
                                      "larger buffer, close other programs, and repeat."),
                             std::to_string(v.stale->samples),
                             text::printFixed(v.stale->time, 2));
        }
        if (!v.dropout || v.dropout->samples == 0) {
            return YF_WORDS("core",
                            "The sound system reported lost samples: choose a larger buffer, close "
                            "other programs, and repeat.");
        }
        return v.dropout->samples > 0
                   ? say(YF_WORDS("core",
                                  "The sound system lost %1 samples at %2 s: choose a larger "
                                  "buffer, close other programs, and repeat."),
                         std::to_string(v.dropout->samples),
                         text::printFixed(v.dropout->time, 2))
                   : say(YF_WORDS("core",
                                  "The sound system put in %1 samples at %2 s: choose a larger "
                                  "buffer, close other programs, and repeat."),
                         std::to_string(-v.dropout->samples),
                         text::printFixed(v.dropout->time, 2));
    case Fault::tooLow:
        return say(YF_WORDS("core", "Too quiet, with a peak of %1: raise the input gain by %2."),
                   level(v.peak),
                   level(-12.0 - v.peak));
    case Fault::noisy:
        return say(YF_WORDS("core",
                            "Too noisy: signal to noise is %1, %2 short of what a curve needs. A "
                            "longer sweep, more level, or a quieter hour."),
                   level(v.medianSignalToNoise.value_or(0.0)),
                   level(noisyBelow - v.medianSignalToNoise.value_or(0.0)));
    case Fault::event: {
        if (v.rejected.empty()) {
            return say(YF_WORDS("core", "Something loud happened at %1 s: make a second take."),
                       text::printFixed(v.eventTime.value_or(0.0), 1));
        }
        std::string which;
        for (const int r : v.rejected) {
            which += (which.empty() ? "" : ", ") + std::to_string(r);
        }
        return say(YF_WORDS("core", "Repeat %1 was disturbed and left out."), which);
    }
    case Fault::cutShort:
        return YF_WORDS("core",
                        "The recording holds only a part of the sweep: start it before the sweep "
                        "is played, and stop it after.");
    case Fault::clocksApart:
        return say(YF_WORDS("core",
                            "Two clocks seem to be %1 ppm apart, more than is corrected: choose "
                            "the same sample rate for both devices, or one interface for both."),
                   text::printFixed(std::abs(v.clockDrift) * 1e6, 0));
    case Fault::clockDrift: {
        const std::string ppm = text::printFixed(std::abs(v.clockDrift) * 1e6, 1);
        return v.driftByReference
                   ? say(YF_WORDS("core",
                                  "Two clocks, %1 ppm apart by the reference: corrected. One "
                                  "interface for both is better."),
                         ppm)
                   : say(YF_WORDS("core",
                                  "Two clocks, %1 ppm apart by the repeats: corrected. One "
                                  "interface for both is better."),
                         ppm);
    }
    case Fault::hum:
        return say(YF_WORDS("core",
                            "%1 Hz hum at %2: check for an earth loop and the microphone's cable."),
                   text::printFixed(v.hum, 0),
                   level(v.humLevel));
    case Fault::referenceInverted:
        return YF_WORDS(
            "core",
            "The reference is the wrong way round: swap its wires. The polarity is not stated.");
    }
    return {};
}

Examined examine(const Recording& recording, const Sweep& sweep, bool lossFlagged) {
    return Examination(recording, sweep).run(lossFlagged);
}

} // namespace yf::measure
