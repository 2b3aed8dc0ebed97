// SPDX-License-Identifier: GPL-3.0-or-later
// Real data, not only our own simulation: a measured head-related impulse response out of a SOFA
// file (AES69) that a general-purpose package of Debian brings.
#include "core/curve/smooth.h"
#include "core/measure/inputs.h"
#include "core/quantity/level.h"
#include "core/signal/decay.h"
#include "core/signal/wav.h"
#include "core/take/import.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>
#include <mysofa.h>

#include <algorithm>
#include <cmath>

namespace yf::test {

TEST(RealData, aMeasuredImpulseResponseIsTakenWithoutComplaint) {
    int error = MYSOFA_OK;
    MYSOFA_HRTF* set = mysofa_load(YF_SOFA_FILE, &error);
    ASSERT_EQ(error, MYSOFA_OK) << YF_SOFA_FILE;
    const double rate = static_cast<double>(set->DataSamplingRate.values[0]);
    int tried = 0;
    for (unsigned direction = 0; direction < set->M; direction += 101) {
        std::vector<double> samples;
        const float* first =
            set->DataIR.values + static_cast<std::size_t>(direction) * set->R * set->N;
        samples.assign(first, first + set->N);
        samples.resize(samples.size() + 256); // what a recorder would have gone on with
        const std::string wav = signal::writeWav(samples, rate);
        const auto taken = take::importTake(take::TableFile{wav, "measured.wav", "2026-01-01"});
        ASSERT_TRUE(taken.ok()) << text::sentence(taken.error());
        ASSERT_TRUE(taken->impulse.has_value());
        const auto& curve = *taken->take.curve;
        ++tried;
        // The sound arrives where the measurement's own onset lies, within a millisecond.
        EXPECT_NEAR(taken->impulse->arrival, signal::onsetTime(taken->impulse->impulse), 1e-3);
        EXPECT_GT(taken->impulse->gate.right, 5e-4);
        const auto smooth = curve::smoothed(curve, 6.0, curve::Smoothing::power);
        double most = -1e9;
        double least = 1e9;
        for (std::size_t k = 0; k < smooth.size(); ++k) {
            const double f = smooth.frequencies()[k];
            if (f > 1000.0 && f < 12000.0) {
                const double level = quantity::decibels(smooth.values()[k]);
                ASSERT_TRUE(std::isfinite(level));
                most = std::max(most, level);
                least = std::min(least, level);
            }
        }
        EXPECT_LT(most - least, 60.0) << "an ear, not noise";
        auto image = signal::cumulativeDecay(taken->impulse->impulse,
                                             {.slices = 30, .step = 1e-4, .length = 4e-3},
                                             curve::within(curve::designAxis(), 500.0, 16000.0));
        signal::seal(image, {}, 40.0, false);
        // It dies away: the last slice is far below the first.
        EXPECT_LT(*std::ranges::max_element(image.levels.back()), -15.0);
        for (const auto& mode : signal::ringingModes(taken->impulse->impulse, 4e-3, 5.0)) {
            EXPECT_GT(mode.f, 100.0);
        }
    }
    EXPECT_GE(tried, 5);
    mysofa_free(set);
}

} // namespace yf::test
