// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/files.h"
#include "cli/verb.h"
#include "core/bench/battery.h"
#include "core/bench/dcr.h"
#include "core/bench/decide.h"
#include "core/bench/lcr.h"
#include "core/bench/next_check.h"
#include "core/box/advise.h"
#include "core/box/align.h"
#include "core/box/closed.h"
#include "core/box/designs.h"
#include "core/box/driver_check.h"
#include "core/box/find.h"
#include "core/box/panel.h"
#include "core/box/port_swap.h"
#include "core/box/read_back.h"
#include "core/box/response.h"
#include "core/box/volume.h"
#include "core/driver/complete.h"
#include "core/driver/enclosed.h"
#include "core/driver/fit_request.h"
#include "core/driver/heat.h"
#include "core/driver/jig.h"
#include "core/driver/multimeter.h"
#include "core/driver/pair.h"
#include "core/driver/replacement.h"
#include "core/driver/usable_band.h"
#include "core/driver/vas.h"
#include "core/driver/wiring.h"
#include "core/find/find.h"
#include "core/findings/judge.h"
#include "core/measure/compare.h"
#include "core/measure/decay.h"
#include "core/measure/table/decode.h"
#include "core/measure/deconvolve.h"
#include "core/measure/gate.h"
#include "core/measure/table/import.h"
#include "core/measure/merge.h"
#include "core/measure/phase.h"
#include "core/measure/polar.h"
#include "core/measure/smoothing.h"
#include "core/network/design/pad.h"
#include "core/network/design/shelf.h"
#include "core/network/design/textbook.h"
#include "core/network/design/trap.h"
#include "core/network/design/zobel.h"
#include "core/network/exchange/export.h"
#include "core/network/exchange/spice_import.h"
#include "core/network/judge/load.h"
#include "core/network/judge/power.h"
#include "core/network/judge/tolerance.h"
#include "core/network/line/biquad.h"
#include "core/network/parts/coil.h"
#include "core/network/parts/e_series.h"
#include "core/network/solve/network.h"
#include "core/report/job_file.h"
#include "core/report/job_record.h"
#include "core/report/take_file.h"
#include "core/signal/sweep.h"
#include "core/signal/wav.h"
#include "core/sim/box_trial.h"
#include "core/sim/driver_trial.h"
#include "core/sim/find_trial.h"
#include "core/sim/import_trial.h"
#include "core/sim/grade.h"
#include "core/sim/room.h"
#include "core/sim/specimen.h"
#include "core/sim/trial.h"
#include "core/sim/wiring_trial.h"
#include "core/speaker/align.h"
#include "core/speaker/before_after.h"
#include "core/speaker/cost.h"
#include "core/speaker/max_level.h"
#include "core/speaker/null_test.h"
#include "core/speaker/polar.h"
#include "core/tune/tune.h"

#include <ctime>

namespace yf::cli {

namespace {

Done loadTable(measure::ImportRequest& request) {
    if (request.textFile) {
        YF_TRY(content, readFile("text_file", *request.textFile, measure::largestTable));
        request.text = std::move(content);
    }
    return done();
}

constexpr std::size_t largestSound = 1U << 30U;

/// The file that a key names, if it names one.
Done load(const char* key,
          const std::optional<std::string>& path,
          std::optional<std::string>& into,
          std::size_t most) {
    if (path) {
        YF_TRY(content, readFile(key, *path, most));
        into = std::move(content);
    }
    return done();
}

template <class Request>
Done loadImpulse(Request& request) {
    return load("impulse_file", request.impulse.file, request.impulse.bytes, largestSound);
}

Done loadRecording(measure::DeconvolveRequest& r) {
    YF_TRY(recording,
           load("recording_file", std::optional(r.recordingFile), r.bytes, largestSound));
    static_cast<void>(recording);
    return load("calibration_file", r.calibrationFile, r.calibrationText, measure::largestTable);
}

Done loadMicrophone(sim::SimulateRequest& r) {
    return load(
        "microphone_error_file", r.microphoneErrorFile, r.microphoneError, measure::largestTable);
}

Done writeSweep(const signal::SweepRequest& r, const signal::SweepFacts& /*facts*/) {
    if (!r.outputFile) {
        return done();
    }
    YF_TRY(sweep, signal::makeSweep(r.plan));
    return writeFile("output_file",
                     *r.outputFile,
                     signal::writeWav({signal::playSignal(sweep)}, sweep.rate, r.format));
}

Done writeImpulse(const measure::DeconvolveRequest& r, const measure::Deconvolved& d) {
    return r.impulseFile ? writeFile("impulse_file",
                                     *r.impulseFile,
                                     signal::writeWav(d.impulse.samples, d.impulse.rate))
                         : done();
}

Done writeRecording(const sim::SimulateRequest& r, const sim::Simulated& simulated) {
    return r.recordingFile
               ? writeFile("recording_file",
                           *r.recordingFile,
                           signal::writeWav(simulated.channels, r.sweep.plan.rate, r.sweep.format))
               : done();
}

Done writeTake(const report::TakeFileRequest& r, const report::TakeFileWritten& written) {
    return r.outputFile ? writeFile("output_file", *r.outputFile, written.content.bytes) : done();
}

/// The core knows no clock.
template <class Request>
Done stamp(Request& request) {
    if (request.at.empty()) {
        const std::time_t now = std::time(nullptr);
        std::tm local{};
        ::localtime_r(&now, &local);
        char text[32];
        request.at =
            std::string(text, std::strftime(text, sizeof text, "%Y-%m-%dT%H:%M:%S", &local));
    }
    return done();
}

} // namespace

const std::vector<Verb>& verbs() {
    static const std::vector<Verb> all{
        verb<&bench::dcr>("bench", "dcr", "judges readings of DC resistance"),
        verb<&bench::lcr>("bench", "lcr", "judges a reading of an LCR meter"),
        verb<&bench::battery>("bench", "battery", "what a battery does to a driver"),
        verb<&bench::diagnose>("bench", "diagnose", "ranked faults from what checks showed"),
        verb<&bench::nextCheck>(
            "bench", "next-check", "the check that finds out most for its time"),
        verb<&sim::specimen>("bench", "specimen", "what instruments show of a driver with a fault"),
        verb<&sim::grade>("bench", "grade", "points for a diagnosis on the simulated bench"),
        verb<&sim::trial>("bench", "trial", "how well the advice does on seeded speakers"),
        verb<&bench::decide>("bench", "decide", "paths after the diagnosis, by what they cost"),
        verb<&driver::complete>(
            "driver", "complete", "fills in a data sheet and finds the odd figure"),
        verb<&driver::impedanceVerb>("driver", "impedance", "of a driver, free or in a box"),
        verb<&driver::fitVerb>(
            "driver", "fit-impedance", "parameters from a measured impedance, with uncertainties"),
        verb<&driver::jigVerb>(
            "driver", "jig", "ohms from the ratio of two channels and its calibration"),
        verb<&driver::multimeter>(
            "driver", "multimeter", "ohms by voltmeter, and the tone to read next"),
        verb<&driver::addedMass>("driver", "vas-added-mass", "Mms and Vas from a known mass"),
        verb<&driver::testBox>("driver", "vas-test-box", "Vas from a known box"),
        verb<&sim::driverTrial>(
            "driver", "trial", "how true parameters and their limits are on seeded drivers"),
        verb<&driver::usableBand>("driver", "usable-band", "from where to where, and why"),
        verb<&driver::wiring>("driver", "wiring", "drivers in series and parallel, and their load"),
        verb<&driver::pairUp>("driver", "pair", "a batch in pairs that are alike"),
        verb<&driver::match>("driver", "match", "candidates against a driver to replace"),
        verb<&driver::heat>("driver", "heat", "a hot coil: temperature, level lost, Q"),
        verb<&signal::describeSweep>(
            "measure", "sweep", "a sweep to play, as figures and as a file", {}, &writeSweep),
        verb<&measure::deconvolve>("measure",
                                   "deconvolve",
                                   "judges a recording and turns it into a response",
                                   &loadRecording,
                                   &writeImpulse),
        verb<&measure::gate>("measure",
                             "gate",
                             "what a room allows, and a response without its reflections",
                             &loadImpulse<measure::GateRequest>),
        verb<&measure::smooth>("measure", "smooth", "means over a fraction of an octave"),
        verb<&measure::minPhase>("measure", "min-phase", "minimum and excess phase of a curve"),
        verb<&measure::delay>(
            "measure", "delay", "arrival of a driver's sound", &loadImpulse<measure::DelayRequest>),
        verb<&measure::polarity>("measure",
                                 "polarity",
                                 "which way round a driver is",
                                 &loadImpulse<measure::DelayRequest>),
        verb<&measure::decay>("measure",
                              "decay",
                              "how a response dies away, and what rings in it",
                              &loadImpulse<measure::DecayRequest>),
        verb<&measure::merge>("measure", "merge", "near field of cone and port joined to the far"),
        verb<&measure::compare>("measure", "compare", "two curves against each other"),
        verb<&measure::importTable>(
            "measure", "import", "reads a text table of levels or ohms", &loadTable),
        verb<&sim::importTrial>(
            "measure", "import-trial", "how well tables of many kinds are read"),
        verb<&measure::polarSummary>(
            "measure", "polar-summary", "listening window, power and index of a polar set"),
        verb<&sim::simulate>("measure",
                             "simulate",
                             "a recording of a known loudspeaker in a room",
                             &loadMicrophone,
                             &writeRecording),
        verb<&box::closed>("box", "closed", "a sealed box from its volume or its Q"),
        verb<&box::vented>("box", "vented", "what a ported box gives"),
        verb<&box::passiveRadiator>("box", "passive-radiator", "a box with a cone for a port"),
        verb<&box::bandPass>("box", "bandpass", "fourth and sixth order"),
        verb<&box::port>("box", "port", "length from tuning, or tuning from length"),
        verb<&box::portSwap>("box", "port-swap", "another port, the tuning kept"),
        verb<&box::volume>("box", "volume", "inside, net volume and air modes of a cabinet"),
        verb<&box::panel>("box", "panel", "lowest resonance of a board"),
        verb<&box::advise>("box", "advise", "which kind of box two schools name"),
        verb<&box::alignVerb>("box", "align", "volume and tuning of a named shape"),
        verb<&box::fromImpedance>(
            "box", "from-impedance", "box and driver read back from an impedance"),
        verb<&box::curveVerb>("box", "curve", "everything over frequency, for any kind of box"),
        verb<&box::driverCheck>(
            "box", "driver-check", "whether a driver suits a box that is there"),
        verb<&box::find>("box", "find", "the best of ten thousand boxes within wishes"),
        verb<&sim::boxTrial>("box", "trial", "how well seeded boxes are read back"),
        verb<&network::solveNetwork>("network", "solve", "drives, load and sum of a network"),
        verb<&network::textbook>(
            "network", "textbook", "a network from the book, and what it does"),
        verb<&network::zobel>("network", "zobel", "parts that flatten a driver's impedance"),
        verb<&network::pad>("network", "pad", "resistors that lower a level"),
        verb<&network::trap>("network", "notch", "parts against a peak or a resonance"),
        verb<&network::shelf>("network", "baffle-step", "parts against the step of a front"),
        verb<&network::purchasable>("network", "parts", "values that can be bought"),
        verb<&network::coil>("network", "coil", "turns, wire and resistance of an air coil"),
        verb<&network::powerOf>("network", "power", "heat and peak voltage in every part"),
        verb<&network::toleranceOf>(
            "network", "tolerance", "what the parts' tolerances do to the sum"),
        verb<&tune::tune>("network", "tune", "values that come nearest to what is wanted"),
        verb<&network::exportNetwork>("network", "export", "netlist, load, parts list, curves"),
        verb<&network::importSpice>("network", "import", "a SPICE netlist as a free net"),
        verb<&find::find>("network", "find", "whole networks: flatness against parts"),
        verb<&sim::findTrial>(
            "network", "trial", "what is found for seeded drivers, and what a hand does"),
        verb<&network::biquad>("network", "biquad", "sections of a filter at line level"),
        verb<&network::loadOf>("network", "load", "what the amplifier sees, and warnings"),
        verb<&speaker::sum>("speaker", "sum", "all drivers at one point of space"),
        verb<&speaker::polar>("speaker", "polar", "angles in one plane, power, lobes"),
        verb<&speaker::align>("speaker", "align", "polarity and delay of two neighbours"),
        verb<&speaker::nullTest>("speaker", "null-test", "what a notch says of level and phase"),
        verb<&speaker::diffraction>("speaker", "diffraction", "what a front does to a driver"),
        verb<&findings::findings>("speaker", "findings", "what the facts known say of a speaker"),
        verb<&speaker::power>("speaker", "power", "how loud, and what stops it"),
        verb<&speaker::compareStates>("speaker", "compare", "before and after, fairly"),
        verb<&speaker::cost>("speaker", "cost", "what ways of repair cost"),
        verb<&sim::wiringTrial>("speaker", "trial", "how well wrong wiring is found"),
        verb<&report::show>("job", "show", "drivers, cabinets and figures of a job file"),
        verb<&report::exportJob>("job", "export", "network, document or tables of a job file"),
        verb<&report::exportTakeOf>(
            "job", "export-take", "a take as table, JSON, Touchstone or sound", {}, &writeTake),
        verb<&report::snapshot>("job",
                                "snapshot",
                                "names the present state of a job, or lists what was named",
                                &stamp<report::SnapshotRequest>),
        verb<&report::diff>("job", "diff", "what is different between two states, in words"),
        verb<&report::log>(
            "job", "log", "what was done and when; adds a note", &stamp<report::LogRequest>),
    };
    return all;
}

} // namespace yf::cli
