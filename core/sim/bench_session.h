// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/lcr.h"
#include "core/bench/sweep.h"
#include "core/sim/specimen.h"

namespace yf::sim {

/// What separates a meter's number from the truth.
struct Meter {
    double resolution{};
    double gain{1.0}; ///< its calibration: about 1
    double noise{};   ///< deviation, share of the reading
    double leads{};   ///< Ω
};

/// One reading, Ω; nothing where the circuit is open.
[[nodiscard]] std::optional<double>
read(const Meter& meter, std::optional<double> truth, Random& random);

/// A specimen on the bench beside its healthy twin, with a multimeter, an LCR meter, a cell and an
/// impedance sweep. Both drivers have the spread of production: Re 1.5 %, Bl and mass 2 %,
/// compliance 5 %, losses 10 %, coil 4 % (from memory).
///
/// A broken lead-in makes contact as it likes: at each check it is open (60 %), comes and goes
/// (25 %) or happens to conduct (15 %), as the evidence table has it for DC resistance.
class BenchSession {
public:
    BenchSession(Specimen specimen, double nominal, Random random);

    [[nodiscard]] const Specimen& specimen() const { return specimen_; }

    [[nodiscard]] const Specimen& twin() const { return twin_; }

    [[nodiscard]] double nominal() const { return nominal_; }

    [[nodiscard]] double ohmmeterLeads() const { return ohmmeter_.leads; }

    [[nodiscard]] double lcrLeads() const { return lcrMeter_.leads; }

    /// Four readings of the multimeter on the driver's lugs, leads included. The coil is a little
    /// warm from the last listening and cools down between them.
    [[nodiscard]] std::vector<std::optional<double>> dcrReadings();
    [[nodiscard]] double twinDcr();

    struct LcrPair {
        std::optional<double> r;
        double l{};
    };

    /// At the frequency that the driver wants, series values, leads included.
    [[nodiscard]] LcrPair lcrReading();
    [[nodiscard]] LcrPair twinLcr();
    [[nodiscard]] double lcrFrequency() const;

    /// Outcomes as the judgements of core/bench make them from those readings. Checks that no
    /// simulated instrument answers are drawn from the evidence table for the specimen's fault.
    [[nodiscard]] std::string outcome(const std::string& check);

private:
    enum class LeadIn { closed, comesAndGoes, open };

    [[nodiscard]] LeadIn leadIn();
    [[nodiscard]] LcrPair lcrOf(const Specimen& specimen);
    [[nodiscard]] std::optional<bench::ImpedancePeak> sweep(const Specimen& specimen, double drive);
    [[nodiscard]] std::string drawn(const std::string& check);
    [[nodiscard]] std::string dcrOutcome();
    [[nodiscard]] std::string lcrOutcome();
    [[nodiscard]] std::string batteryOutcome();
    [[nodiscard]] std::string sweepOutcome();
    [[nodiscard]] std::string capacitorOutcome();

    Specimen specimen_;
    Specimen twin_;
    double nominal_;
    Random random_;
    Meter ohmmeter_;
    Meter lcrMeter_;
};

/// A driver of the kinds that come to a bench: woofer, large woofer, midrange. Invented.
struct Stock {
    Motor motor;
    double nominal{};
    Path path;
};

[[nodiscard]] const std::vector<Stock>& stock();

} // namespace yf::sim
