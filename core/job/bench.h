// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/next_check.h"
#include "core/job/edit.h"

/// The bench's view of a job: what the readings of a driver say together.
namespace yf::job {

struct Assembly;

/// Where one piece of evidence comes from.
struct BenchEvidence {
    bench::Evidence evidence;
    std::string reading; ///< id; empty: from the measured curves

    bool operator==(const BenchEvidence&) const = default;
};

/// One check on offer, by name.
struct CheckOffer {
    std::string check;
    double gain{};
    double minutes{};
    std::optional<double> rate;
};

/// Everything the bench says of one driver.
struct DriverBench {
    std::string cabinet;
    std::string driver;
    std::string twin;                    ///< driver at the same place of the twin; empty: none
    std::vector<BenchEvidence> evidence; ///< the latest of each check, in the order of time
    bench::Diagnosis diagnosis;
    std::vector<CheckOffer> offers; ///< best first
    std::optional<bench::DcrJudgement> dcr;
    std::optional<bench::LcrJudgement> lcr;
};

/// Whether a check is about the cabinet and counts for all of its drivers.
[[nodiscard]] bool isAboutCabinet(std::string_view check);

/// The driver at the same place of the other cabinet of a pair.
[[nodiscard]] const Driver*
twinOf(const Job& job, const std::string& cabinet, const std::string& driver);

/// Readings of one check that count, oldest first: the driver's, and for a check of the cabinet the
/// cabinet's.
[[nodiscard]] std::vector<const BenchReading*> readingsOf(const Job& job,
                                                          const std::string& cabinet,
                                                          const std::string& driver,
                                                          std::string_view check);

[[nodiscard]] DriverBench benchOf(const Job& job,
                                  const Assembly& assembly,
                                  const std::string& cabinet,
                                  const std::string& driver,
                                  const bench::EvidenceTable& table);

/// Input for the judgement of a reading: nominal impedance, twin and model as the job knows them.
[[nodiscard]] bench::DcrRequest
dcrRequestFor(const Job& job, const Assembly& assembly, const BenchReading& reading);
[[nodiscard]] bench::LcrRequest
lcrRequestFor(const Job& job, const Assembly& assembly, const BenchReading& reading);

/// A reading with the outcome that its figures give; others keep the one that was chosen.
/// Fails: unknown check or outcome, a driver without nominal impedance at a DC reading, leads above
/// the reading.
[[nodiscard]] Result<BenchReading>
withOutcome(const Job& job, const Assembly& assembly, BenchReading reading);

/// It joins the job. Its id is made here. Fails: unknown cabinet or driver.
[[nodiscard]] Edit addReading(BenchReading reading);

/// No longer counted, or counted again.
[[nodiscard]] Edit setReadingAside(const std::string& id, bool aside);

/// What is printed on a driver: readings are judged by it. Fails: outside 0.5 to 600 Ω.
[[nodiscard]] Edit changeNominal(const std::string& driver, double nominal);

/// What is to be done about a driver.
[[nodiscard]] Edit decide(const std::string& driver, bench::Remedy remedy);

/// What was found of a driver, as an edit of its condition.
[[nodiscard]] Edit concludeDriver(const std::string& driver, Condition condition);

} // namespace yf::job
