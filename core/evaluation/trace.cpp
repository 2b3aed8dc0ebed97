// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/trace.h"

#include "core/job/lookup.h"

#include <algorithm>

namespace yf::evaluation {

bench::Trace
traceOf(const job::Job& job, const Evaluation& evaluation, const std::string& cabinet) {
    bench::TraceRequest request;
    const job::Cabinet* here = job::findCabinet(job, cabinet);
    if (here == nullptr) {
        return bench::trace(request);
    }
    request.noProtectors = here->noProtectors;
    for (const job::Mount& mount : here->mounts) {
        const DriverBench* bench = evaluation.findBench(cabinet, mount.driver);
        if (bench == nullptr) {
            continue;
        }
        // What is wrong with any driver ends the search; what is right with one says nothing of
        // the others.
        for (const BenchEvidence& e : bench->evidence) {
            const bool own = !job::isAboutCabinet(e.evidence.check);
            const bool sound = e.evidence.outcome == "match" || e.evidence.outcome == "normal";
            if (!(own && sound && here->mounts.size() > 1) &&
                std::ranges::find(request.evidence, e.evidence) == request.evidence.end()) {
                request.evidence.push_back(e.evidence);
            }
        }
        for (const std::string& check : bench->diagnosis.barred) {
            if (std::ranges::find(request.barred, check) == request.barred.end()) {
                request.barred.push_back(check);
            }
        }
    }
    return bench::trace(request);
}

} // namespace yf::evaluation
