// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/spectrum.h"

#include "core/base/expect.h"

#include <fftw3.h>

#include <algorithm>
#include <memory>
#include <mutex>

namespace yf::signal {

namespace {

using Complex = std::complex<double>;

/// The planner keeps state of its own; executing does not.
std::mutex& planner() {
    static std::mutex mutex;
    return mutex;
}

struct PlanEnd {
    void operator()(fftw_plan plan) const {
        const std::lock_guard lock(planner());
        fftw_destroy_plan(plan);
    }
};

using Plan = std::unique_ptr<std::remove_pointer_t<fftw_plan>, PlanEnd>;

fftw_complex* raw(Complex* data) {
    return reinterpret_cast<fftw_complex*>(data);
}

template <class Make>
void run(Make&& make) {
    Plan plan;
    {
        const std::lock_guard lock(planner());
        plan.reset(make());
    }
    YF_EXPECT(plan != nullptr);
    fftw_execute(plan.get());
}

} // namespace

std::size_t goodLength(std::size_t least) {
    for (std::size_t length = std::max<std::size_t>(least, 1);; ++length) {
        std::size_t rest = length;
        for (const std::size_t factor : {2U, 3U, 5U}) {
            while (rest % factor == 0) {
                rest /= factor;
            }
        }
        if (rest == 1) {
            return length;
        }
    }
}

std::vector<Complex> transform(std::span<const double> data, std::size_t length) {
    YF_EXPECT(data.size() <= length && length > 0);
    std::vector<double> in(length);
    std::ranges::copy(data, in.begin());
    std::vector<Complex> out(length / 2 + 1);
    run([&] {
        return fftw_plan_dft_r2c_1d(
            static_cast<int>(length), in.data(), raw(out.data()), FFTW_ESTIMATE);
    });
    return out;
}

std::vector<double> transformBack(std::span<const Complex> spectrum, std::size_t length) {
    YF_EXPECT(spectrum.size() == length / 2 + 1);
    std::vector<Complex> in(spectrum.begin(), spectrum.end()); // the transform eats its input
    std::vector<double> out(length);
    run([&] {
        return fftw_plan_dft_c2r_1d(
            static_cast<int>(length), raw(in.data()), out.data(), FFTW_ESTIMATE);
    });
    for (double& value : out) {
        value /= static_cast<double>(length);
    }
    return out;
}

std::vector<double> envelope(std::span<const double> data) {
    const std::size_t length = goodLength(data.size());
    const std::vector<Complex> half = transform(data, length);
    // Positive frequencies doubled, negative ones gone.
    std::vector<Complex> whole(length);
    for (std::size_t k = 0; k < half.size(); ++k) {
        const bool alone = k == 0 || (length % 2 == 0 && k == length / 2);
        whole[k] = alone ? half[k] : 2.0 * half[k];
    }
    std::vector<Complex> analytic(length);
    run([&] {
        return fftw_plan_dft_1d(static_cast<int>(length),
                                raw(whole.data()),
                                raw(analytic.data()),
                                FFTW_BACKWARD,
                                FFTW_ESTIMATE);
    });
    std::vector<double> size(data.size());
    for (std::size_t n = 0; n < size.size(); ++n) {
        size[n] = std::abs(analytic[n]) / static_cast<double>(length);
    }
    return size;
}

} // namespace yf::signal
