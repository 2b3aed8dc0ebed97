// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/arrangements.h"

#include <cmath>

namespace yf::evaluation {

std::vector<ArrangementChoice> arrangements(const job::Job& job, const std::string& driver) {
    constexpr double ratedShare = 0.8; // least modulus over rated impedance, IEC 60268-5
    std::optional<double> least;
    std::optional<double> leastAt;
    const job::Driver* found = job::findDriver(job, driver);
    const job::Take* impedance =
        found == nullptr ? nullptr : job::takeInUse(job, *found, job::TakeKind::impedance);
    if (impedance != nullptr) {
        const curve::Curve& Z = *impedance->curve;
        for (std::size_t k = 0; k < Z.size(); ++k) {
            const double f = Z.frequencies()[k];
            if (f >= 20.0 && f <= 20000.0 && (!least || std::abs(Z.values()[k]) < *least)) {
                least = std::abs(Z.values()[k]);
                leastAt = f;
            }
        }
    }
    std::vector<ArrangementChoice> all;
    for (const edit::Arrangement a : {edit::Arrangement{1, 1},
                                      edit::Arrangement{2, 1},
                                      edit::Arrangement{1, 2},
                                      edit::Arrangement{3, 1},
                                      edit::Arrangement{1, 3},
                                      edit::Arrangement{2, 2},
                                      edit::Arrangement{4, 1},
                                      edit::Arrangement{1, 4}}) {
        const double ratio = static_cast<double>(a.inSeries) / a.inParallel;
        ArrangementChoice choice{.arrangement = a, .leastAt = leastAt};
        if (found != nullptr && found->nominal) {
            choice.nominal = *found->nominal * ratio;
        }
        if (least) {
            choice.least = *least * ratio;
        }
        choice.safe = choice.least ? *choice.least >= ratedShare * amplifierLeast
                                   : choice.nominal.value_or(amplifierLeast) >= amplifierLeast;
        all.push_back(choice);
    }
    return all;
}

} // namespace yf::evaluation
