// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/reading.h"

#include "core/measure/table/candidates.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>
#include <ranges>
#include <tuple>

namespace yf::measure {

namespace {

/// Two readings nearer than this are a question.
constexpr double margin = 1.5;
constexpr double sureMargin = 4.0;

/// An agreement that no phase has: said of an impedance that is none.
constexpr double notPassive = -1e3;

class Reader {
public:
    Reader(const Grid& grid, const ReadingWishes& wishes)
        : grid_(grid), wishes_(wishes), candidates_(grid, wishes), columns_(candidates_.columns()) {
    }

    std::vector<Reading> read() {
        findAxes();
        for (const auto& [column, candidate] : axes_) {
            axis_ = column;
            axisCandidate_ = candidate;
            chosen_.assign(columns_.size(), Candidate{});
            chosen_[column] = candidate;
            walk(0, candidate.score);
        }
        return rank();
    }

private:
    std::span<const double> numbers(std::size_t column) const {
        return candidates_.numbers(column);
    }

    void findAxes() {
        std::vector<std::size_t> named;
        for (std::size_t c = 0; c < columns_.size(); ++c) {
            const bool chosen = c < wishes_.meanings.size() && wishes_.meanings[c];
            if (chosen && infoOf(*wishes_.meanings[c]).role == ColumnRole::frequency) {
                axes_.push_back({c, {*wishes_.meanings[c], 10.0, Basis::hand}});
                return;
            }
            if (!chosen && !columns_[c].heading.allowed.empty() &&
                infoOf(columns_[c].heading.allowed.front()).role == ColumnRole::frequency) {
                named.push_back(c);
            }
        }
        if (!named.empty()) {
            const Heading& heading = columns_[named.front()].heading;
            addUnits(named.front(),
                     heading.allowed,
                     heading.unit || heading.allowed.size() == 1 ? 6.0 : 5.0,
                     Basis::name);
            return;
        }
        const bool anyAxis = std::ranges::any_of(columns_, [](const ColumnEvidence& column) {
            const ColumnShape& shape = column.shape;
            return shape.rising && (shape.evenly || shape.evenRatios) && !shape.counts &&
                   shape.least >= 0.0;
        });
        for (std::size_t c = 0; c < columns_.size(); ++c) {
            if (anyAxis && columns_[c].shape.counts) {
                continue; // numbers the rows
            }
            const bool chosen = (c < wishes_.meanings.size() && wishes_.meanings[c]) ||
                                wishes_.valueColumn == c || wishes_.phaseColumn == c;
            double score = axisScore(columns_[c].shape);
            // Of a few rows only the custom speaks: frequencies stand first.
            constexpr std::size_t few = 4;
            const double custom = columns_[c].shape.count < few ? 2.4 : 0.9;
            score += c == 0 || (c == 1 && columns_[0].shape.counts) ? custom : 0.0;
            constexpr double least = 1.4;
            if (!chosen && !grid_.words[c] && columns_[c].heading.allowed.empty() &&
                score >= least) {
                addUnits(c,
                         {Meaning::hertz, Meaning::kilohertz, Meaning::angular, Meaning::logHertz},
                         score,
                         Basis::numbers);
            }
        }
    }

    void addUnits(std::size_t c, const std::vector<Meaning>& units, double base, Basis basis) {
        if (wishes_.frequencyUnit) {
            axes_.push_back({c, {*wishes_.frequencyUnit, base, Basis::hand}});
            return;
        }
        for (const Meaning unit : units) {
            if (infoOf(unit).role != ColumnRole::frequency) {
                continue;
            }
            // Who writes "f" without a unit means hertz.
            const double meant = basis == Basis::name && unit == Meaning::hertz ? 2.5 : 0.0;
            const double score =
                units.size() == 1 ? 0.0 : unitScore(unit, columns_[c].shape) + meant;
            axes_.push_back({c, {unit, base + score, units.size() == 1 ? basis : Basis::numbers}});
        }
    }

    /// Goes through the meanings of all columns, the likeliest few of each.
    void walk(std::size_t c, double score) {
        constexpr std::size_t most = 20000;
        if (readings_.size() >= most) {
            return;
        }
        if (c == columns_.size()) {
            finish(score);
            return;
        }
        if (c == axis_) {
            walk(c + 1, score);
            return;
        }
        const auto& candidates = columns_[c].candidates;
        if (candidates.empty()) {
            chosen_[c] = {Meaning::unused, 0.0, Basis::numbers};
            walk(c + 1, score);
            return;
        }
        const std::size_t width = columns_.size() <= 4   ? 24
                                  : columns_.size() <= 5 ? 12
                                  : columns_.size() <= 7 ? 5
                                                         : 2;
        for (std::size_t k = 0; k < std::min(width, candidates.size()); ++k) {
            constexpr double hopeless = 7.0;
            if (candidates[k].score < candidates.front().score - hopeless) {
                break;
            }
            chosen_[c] = candidates[k];
            walk(c + 1, score + candidates[k].score);
        }
    }

    ColumnRole roleOf(std::size_t c) const { return infoOf(chosen_[c].meaning).role; }

    /// Joins columns to curves and adds what they say together.
    void finish(double score) {
        Reading reading;
        reading.frequency = axis_;
        std::vector<std::size_t> phases;
        std::vector<std::size_t> imaginary;
        for (std::size_t c = 0; c < chosen_.size(); ++c) {
            const ColumnRole role = roleOf(c);
            if (role == ColumnRole::value || role == ColumnRole::real) {
                reading.curves.push_back(
                    {c, std::nullopt, std::nullopt, columns_[c].heading.label});
            } else if (role == ColumnRole::phase) {
                phases.push_back(c);
            } else if (role == ColumnRole::imaginary) {
                imaginary.push_back(c);
            }
        }
        if (!joinParts(reading, imaginary)) {
            return;
        }
        score += joinTwice(reading);
        score += joinPhases(reading, phases);
        if (reading.curves.empty()) {
            return;
        }
        score += together(reading);
        reading.score = score;
        for (std::size_t c = 0; c < chosen_.size(); ++c) {
            reading.columns.push_back(
                {chosen_[c].meaning, chosen_[c].basis, Certainty::open, columns_[c].name});
        }
        readings_.push_back(std::move(reading));
    }

    /// Each real part needs an imaginary one of the same unit and the other way round.
    bool joinParts(Reading& reading, std::vector<std::size_t> imaginary) const {
        for (CurveColumns& curve : reading.curves) {
            if (roleOf(curve.value) != ColumnRole::real) {
                continue;
            }
            const MeaningInfo& real = infoOf(chosen_[curve.value].meaning);
            const auto fits = [&](std::size_t c) {
                const MeaningInfo& info = infoOf(chosen_[c].meaning);
                return info.of == real.of && info.scale == real.scale;
            };
            auto found = std::ranges::find_if(imaginary, [&](std::size_t c) {
                return fits(c) && columns_[c].heading.label == curve.label;
            });
            if (found == imaginary.end()) {
                found = std::ranges::find_if(imaginary, fits);
            }
            if (found == imaginary.end()) {
                return false;
            }
            curve.imaginary = *found;
            imaginary.erase(found);
        }
        return imaginary.empty();
    }

    std::vector<double> sizes(std::size_t c) const {
        const MeaningInfo& info = infoOf(chosen_[c].meaning);
        std::vector<double> list(numbers(c).begin(), numbers(c).end());
        for (double& v : list) {
            v = info.logarithmic ? v * std::numbers::ln10 / 20.0 : std::log(v * info.scale);
        }
        return list;
    }

    /// |Z| with R and X is one curve, told twice.
    double joinTwice(Reading& reading) const {
        double score = 0.0;
        for (auto part = reading.curves.begin(); part != reading.curves.end(); ++part) {
            if (!part->imaginary) {
                continue;
            }
            const MeaningInfo& real = infoOf(chosen_[part->value].meaning);
            const auto size = std::ranges::find_if(reading.curves, [&](const CurveColumns& curve) {
                return !curve.imaginary && infoOf(chosen_[curve.value].meaning).of == real.of;
            });
            if (size == reading.curves.end()) {
                continue;
            }
            const std::vector<double> told = sizes(size->value);
            const auto re = numbers(part->value);
            const auto im = numbers(*part->imaginary);
            std::size_t agree = 0;
            for (std::size_t i = 0; i < told.size(); ++i) {
                const double made = std::log(std::hypot(re[i], im[i]) * real.scale);
                agree += std::abs(made - told[i]) < 0.02 ? 1 : 0;
            }
            if (10 * agree >= 9 * told.size()) {
                score += 3.0;
                part->label.clear();
                reading.curves.erase(size);
                return score;
            }
        }
        return score;
    }

    double joinPhases(Reading& reading, const std::vector<std::size_t>& phases) const {
        double score = 0.0;
        for (const std::size_t p : phases) {
            CurveColumns* best = nullptr;
            long nearest = 0;
            for (CurveColumns& curve : reading.curves) {
                if (curve.phase || curve.imaginary) {
                    continue;
                }
                const long gap = static_cast<long>(p) - static_cast<long>(curve.value);
                const bool named =
                    !columns_[p].heading.label.empty() && columns_[p].heading.label == curve.label;
                // Behind its sizes rather than before them.
                const long distance = (gap > 0 ? gap : 100 - gap) - (named ? 1000 : 0);
                if (best == nullptr || distance < nearest) {
                    best = &curve;
                    nearest = distance;
                }
            }
            if (best == nullptr) {
                score -= 2.5;
            } else {
                best->phase = p;
            }
        }
        return score;
    }

    /// How sizes and phases go together, and how alike the curves are.
    double together(Reading& reading) {
        double score = 0.0;
        bool ohms = false;
        bool others = false;
        for (CurveColumns& curve : reading.curves) {
            const bool impedance = infoOf(chosen_[curve.value].meaning).of == ColumnOf::impedance;
            (impedance ? ohms : others) = true;
            if (curve.phase || curve.imaginary) {
                score += pairScore(curve, impedance, reading);
            }
        }
        const bool byNumbers = std::ranges::any_of(reading.curves, [&](const CurveColumns& curve) {
            return chosen_[curve.value].basis == Basis::numbers;
        });
        // Curves side by side have names as a rule.
        const auto nameless = std::ranges::count_if(reading.curves, [&](const CurveColumns& curve) {
            return chosen_[curve.value].basis == Basis::numbers;
        });
        score -= nameless > 1 ? 1.5 : 0.0;
        return score - (ohms && others && byNumbers ? 1.5 : 0.0) - unlikeLevels(reading);
    }

    /// Levels of one file stand near each other; a phase taken for a level does not.
    double unlikeLevels(const Reading& reading) const {
        constexpr double near = 25.0;
        std::optional<double> first;
        double unlike = 0.0;
        for (const CurveColumns& curve : reading.curves) {
            if (chosen_[curve.value].meaning == Meaning::decibel) {
                const double median = columns_[curve.value].shape.median;
                const bool byNumbers = chosen_[curve.value].basis == Basis::numbers;
                unlike += byNumbers && std::abs(first.value_or(median) - median) > near ? 2.0 : 0.0;
                first = first.value_or(median);
            }
        }
        return unlike;
    }

    double pairScore(const CurveColumns& curve, bool impedance, Reading& reading) {
        const std::size_t other = curve.imaginary ? *curve.imaginary : *curve.phase;
        // What scales all alike changes no phase: only the kind of numbers counts.
        const MeaningInfo& size = infoOf(chosen_[curve.value].meaning);
        const auto key = std::tuple(axis_,
                                    infoOf(axisCandidate_.meaning).logarithmic,
                                    curve.value,
                                    size.logarithmic,
                                    impedance,
                                    other,
                                    curve.imaginary ? 0.0 : infoOf(chosen_[other].meaning).scale);
        auto [known, isNew] = agreements_.try_emplace(key);
        if (isNew) {
            known->second = agreementOf(curve, impedance);
        }
        if (!known->second) {
            return 0.0;
        }
        const double agreement = *known->second;
        const bool byNumbers = chosen_[other].basis == Basis::numbers;
        const bool turns = columns_[other].shape.turns > 0 || columns_[other].shape.radianTurns > 0;
        if (agreement < 0.2 && curve.phase) {
            reading.phaseContradicts = true;
        }
        if (agreement == notPassive && byNumbers) {
            return -4.0;
        }
        double score =
            std::clamp(1.5 * std::log(1.0 / std::max(1e-3, 1.0 - agreement)) - 1.0, -2.0, 5.0);
        if (curve.phase && byNumbers && agreement < (turns ? 0.2 : 0.5)) {
            score -= 1.0; // only what a name or the numbers call a phase is one
        }
        return score;
    }

    std::optional<double> agreementOf(const CurveColumns& curve, bool impedance) const {
        std::vector<double> size;
        std::vector<double> phase;
        if (curve.imaginary) {
            const auto re = numbers(curve.value);
            const auto im = numbers(*curve.imaginary);
            for (std::size_t i = 0; i < re.size(); ++i) {
                size.push_back(std::log(std::hypot(re[i], im[i])));
                phase.push_back(std::atan2(im[i], re[i]));
            }
        } else {
            size = sizes(curve.value);
            const double scale = infoOf(chosen_[*curve.phase].meaning).scale;
            for (const double v : numbers(*curve.phase)) {
                phase.push_back(v * scale);
            }
        }
        // The unit of the frequencies does not matter to a minimum phase, but for a logarithm.
        std::vector<double> frequencies(numbers(axis_).begin(), numbers(axis_).end());
        const MeaningInfo& unit = infoOf(axisCandidate_.meaning);
        for (double& f : frequencies) {
            f = unit.logarithmic ? std::pow(10.0, f) : f * unit.scale;
        }
        // The impedance of a passive device turns by no more than a right angle.
        constexpr double rightAngle = 0.5 * std::numbers::pi + 0.05;
        const auto beyond = std::ranges::count_if(phase, [](double v) {
            return std::abs(std::remainder(v, 2.0 * std::numbers::pi)) > rightAngle;
        });
        if (impedance && 50 * static_cast<std::size_t>(beyond) > phase.size()) {
            return notPassive;
        }
        return phaseAgreement(frequencies, size, phase, impedance);
    }

    /// What a reading makes of the table: two of one outcome are one.
    std::string outcomeOf(const Reading& reading) const {
        const auto meant = [&](std::size_t c) {
            const ColumnShape& shape = columns_[c].shape;
            const Meaning meaning = reading.columns[c].meaning;
            const MeaningInfo& info = infoOf(meaning);
            const bool zero =
                info.role == ColumnRole::phase && shape.least == 0.0 && shape.most == 0.0;
            return std::to_string(c) + ":" +
                   (zero ? std::string("0")
                    : info.of == ColumnOf::relative
                        ? std::string("r") + std::to_string(static_cast<int>(info.role))
                        : std::string(info.word));
        };
        std::string outcome = meant(reading.frequency);
        for (const CurveColumns& curve : reading.curves) {
            outcome += "|" + meant(curve.value);
            outcome += curve.phase ? "," + meant(*curve.phase) : "";
            outcome += curve.imaginary ? "," + meant(*curve.imaginary) : "";
        }
        return outcome;
    }

    std::vector<Reading> rank() {
        std::ranges::stable_sort(readings_, std::greater(), &Reading::score);
        std::vector<Reading> ranked;
        std::vector<std::string> outcomes;
        constexpr std::size_t mostAsked = 4;
        for (const Reading& reading : readings_) {
            if (!ranked.empty() &&
                (reading.score <= ranked.front().score - margin || ranked.size() >= mostAsked)) {
                break;
            }
            std::string outcome = outcomeOf(reading);
            if (std::ranges::find(outcomes, outcome) == outcomes.end()) {
                outcomes.push_back(std::move(outcome));
                ranked.push_back(reading);
            }
        }
        for (Reading& reading : ranked) {
            for (std::size_t c = 0; c < reading.columns.size(); ++c) {
                judge(reading.columns[c], c, ranked.front().score);
            }
        }
        return ranked;
    }

    void judge(ColumnReading& column, std::size_t c, double best) const {
        const auto other = std::ranges::find_if(readings_, [&](const Reading& reading) {
            return reading.columns[c].meaning != column.meaning;
        });
        const double behind = other == readings_.end() ? sureMargin : best - other->score;
        column.certainty = behind >= sureMargin ? Certainty::sure
                           : behind >= margin   ? Certainty::likely
                                                : Certainty::open;
    }

    const Grid& grid_;
    const ReadingWishes& wishes_;
    Candidates candidates_;
    const std::vector<ColumnEvidence>& columns_;
    std::vector<std::pair<std::size_t, Candidate>> axes_;
    std::size_t axis_{};
    Candidate axisCandidate_;
    std::vector<Candidate> chosen_;
    std::vector<Reading> readings_;
    std::map<std::tuple<std::size_t, bool, std::size_t, bool, bool, std::size_t, double>,
             std::optional<double>>
        agreements_;
};

} // namespace

std::vector<Reading> readingsOf(const Grid& grid, const ReadingWishes& wishes) {
    return Reader(grid, wishes).read();
}

Words readingInWords(const Reading& reading) {
    std::vector<Words> said;
    for (std::size_t c = 0; c < reading.columns.size(); ++c) {
        said.push_back(say(YF_WORDS("core", "column %1 %2"),
                           std::to_string(c + 1),
                           infoOf(reading.columns[c].meaning).said));
    }
    return Words::row(std::move(said), ", ");
}

std::string meaningsOf(const Reading& reading) {
    std::string list;
    for (const ColumnReading& column : reading.columns) {
        list += (list.empty() ? "" : ",") + std::string(infoOf(column.meaning).word);
    }
    return list;
}

} // namespace yf::measure
