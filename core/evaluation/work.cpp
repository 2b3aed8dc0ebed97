// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/work.h"

#include "core/job/lookup.h"

#include <algorithm>

namespace yf::evaluation {

namespace {

bool holds(const std::vector<std::string>& all, const std::string& one) {
    return std::ranges::find(all, one) != all.end();
}

/// Whether a take is read by that part.
bool reads(const Work& work, const job::Job& job, const job::Take& take) {
    const job::TakeAbout about = job::aboutOf(job, take);
    switch (work.part) {
    case Piece::measurements:
        return holds(work.of, about.driver) || holds(work.of, take.recorded.also);
    case Piece::network:
        return holds(work.of, about.cabinet);
    case Piece::box:
    case Piece::bench:
        return false;
    case Piece::whole:
        return true;
    }
    return false;
}

} // namespace

std::string toLine(const Work& work) {
    return text::writeJson(text::write(work));
}

std::optional<Work> workOf(const std::string& line) {
    const auto value = text::parseJson(line);
    const auto work = value ? text::read<Work>(*value, "") : Result<Work>(value.error());
    return work ? std::optional(*work) : std::nullopt;
}

job::Job without(job::Job job, std::span<const Work> left) {
    for (const Work& work : left) {
        std::vector<std::string> takes;
        for (const job::Take& take : job.takes) {
            if (reads(work, job, take)) {
                takes.push_back(take.id);
            }
        }
        for (const std::string& take : takes) {
            job::leaveOut(job, take);
        }
        for (job::Cabinet& cabinet : job.cabinets) {
            if (work.part == Piece::whole ||
                (work.part == Piece::box && holds(work.of, cabinet.id))) {
                cabinet.boxes.clear();
            }
        }
        if (work.part == Piece::whole || work.part == Piece::bench) {
            job.readings.clear();
        }
    }
    return job;
}

Words named(const Work& work, const job::Job& job) {
    std::string of;
    for (const std::string& id : work.of) {
        const job::Driver* driver = job::findDriver(job, id);
        const job::Cabinet* cabinet = job::findCabinet(job, id);
        of += (of.empty() ? "" : ", ") + (work.part == Piece::measurements && driver != nullptr
                                              ? driver->name
                                          : cabinet != nullptr ? cabinet->name
                                                               : id);
    }
    switch (work.part) {
    case Piece::measurements:
        return say(YF_WORDS("core", "the measurements of %1"), of);
    case Piece::network:
        return say(YF_WORDS("core", "the measurements and the network of %1"), of);
    case Piece::box:
        return say(YF_WORDS("core", "the box of %1"), of);
    case Piece::bench:
        return Words(YF_WORDS("core", "the readings of the checks"));
    case Piece::whole:
        break;
    }
    return Words(YF_WORDS("core", "everything measured, boxes and readings"));
}

} // namespace yf::evaluation
