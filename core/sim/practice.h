// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/bench.h"
#include "core/job/job.h"
#include "core/sim/bench_session.h"
#include "core/sim/grade.h"

#include <memory>

/// A simulated speaker with a hidden fault for somebody to find.
namespace yf::sim {

enum class PracticeLevel {
    first,  ///< the plain faults, well advanced; the diagnosis is shown as it grows
    second, ///< every fault as often as it comes in; no advice
    third   ///< the same, and no twin to compare with
};

/// One thing that was done, and what it told.
struct PracticeStep {
    std::string check;
    std::string outcome; ///< empty: it decided nothing
    double minutes{};
    bool onTwin{};
    bool barred{}; ///< it needs an amplifier, and turns might have been shorted
    bool cautionsIgnored{};
    double told{}; ///< log₂ of how much likelier it made the truth
};

struct RouteStep {
    std::string check;
    std::string outcome;
    double minutes{};
};

struct PracticeResult {
    std::string fault;
    double severity{};
    std::string verdict;
    Grade grade;
    std::vector<PracticeStep> steps;
    std::vector<RouteStep> route; ///< what the advice would have done; where both made a check,
                                  ///< with the outcome that was seen
    double routeMinutes{};
};

/// The same seed and level give the same speaker on every machine. What is done on the twin takes
/// its time as well.
class Practice {
public:
    Practice(std::uint64_t seed, PracticeLevel level);

    [[nodiscard]] PracticeLevel level() const { return level_; }

    [[nodiscard]] bool hasTwin() const { return level_ != PracticeLevel::third; }

    /// Cabinet and driver "speaker" to check, "twin" beside it; all readings so far.
    [[nodiscard]] const job::Job& job() const { return job_; }

    /// What a meter's tips are on at this moment; a broken lead-in makes contact as it likes.
    [[nodiscard]] Specimen underTheTips(bool twin);

    /// Checks that are seen, heard or felt: the outcome, which joins the job. Those that a meter
    /// reads are entered. Errors on `check`: one that wants figures, an unknown one.
    Result<std::string> make(const std::string& check, bool cautionsHeeded);

    /// A reading of DC resistance or LCR; judged as in any job.
    Done enter(job::BenchReading reading, bool cautionsHeeded);

    [[nodiscard]] double minutes() const;

    [[nodiscard]] evaluation::DriverBench bench() const;

    [[nodiscard]] PracticeResult finish(const std::string& verdict) const;

private:
    void note(const std::string& check, const std::string& outcome, bool twin, bool heeded);
    [[nodiscard]] std::vector<bench::Evidence> evidence() const;
    [[nodiscard]] std::vector<RouteStep> advisedRoute() const;

    PracticeLevel level_;
    Random random_;
    Hidden hidden_;
    std::unique_ptr<BenchSession> session_;
    std::unique_ptr<BenchSession> untouched_; ///< for the advised route
    job::Job job_;
    std::string symptom_;
    std::vector<PracticeStep> steps_;
};

inline constexpr const char* practiceSpeaker = "speaker";
inline constexpr const char* practiceTwin = "twin";

} // namespace yf::sim
