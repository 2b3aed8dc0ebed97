// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/files.h"
#include "cli/verb.h"
#include "core/bench/battery.h"
#include "core/bench/dcr.h"
#include "core/bench/decide.h"
#include "core/bench/lcr.h"
#include "core/bench/next_check.h"
#include "core/driver/complete.h"
#include "core/driver/heat.h"
#include "core/driver/pair.h"
#include "core/driver/replacement.h"
#include "core/driver/wiring.h"
#include "core/measure/import.h"
#include "core/network/e_series.h"
#include "core/network/load.h"
#include "core/network/network.h"
#include "core/network/pad.h"
#include "core/network/textbook.h"
#include "core/network/zobel.h"
#include "core/report/job_file.h"
#include "core/report/job_record.h"
#include "core/sim/grade.h"
#include "core/sim/specimen.h"
#include "core/sim/trial.h"
#include "core/speaker/findings.h"

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
        verb<&driver::wiring>("driver", "wiring", "drivers in series and parallel, and their load"),
        verb<&driver::pairUp>("driver", "pair", "a batch in pairs that are alike"),
        verb<&driver::match>("driver", "match", "candidates against a driver to replace"),
        verb<&driver::heat>("driver", "heat", "a hot coil: temperature, level lost, Q"),
        verb<&measure::importTable>(
            "measure", "import", "reads a text table of levels or ohms", &loadTable),
        verb<&network::solveNetwork>("network", "solve", "drives, load and sum of a network"),
        verb<&network::textbook>(
            "network", "textbook", "a network from the book, and what it does"),
        verb<&network::zobel>("network", "zobel", "parts that flatten a driver's impedance"),
        verb<&network::pad>("network", "pad", "resistors that lower a level"),
        verb<&network::purchasable>("network", "parts", "values that can be bought"),
        verb<&network::loadOf>("network", "load", "what the amplifier sees, and warnings"),
        verb<&speaker::findings>("speaker", "findings", "what the facts known say of a speaker"),
        verb<&report::show>("job", "show", "drivers, cabinets and figures of a job file"),
        verb<&report::exportJob>("job", "export", "network, document or tables of a job file"),
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
