// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/spectrum.h"

#include "core/base/expect.h"

#include <fftw3.h>

#include <algorithm>
#include <cmath>
#include <memory>
#include <mutex>
#include <numbers>

namespace yf::signal {

namespace {

using Complex = std::complex<double>;

/// The planner keeps state of its own; executing does not.
std::recursive_mutex& planner() {
    static std::recursive_mutex mutex;
    return mutex;
}

struct PlanEnd {
    void operator()(fftw_plan plan) const {
        const std::lock_guard lock(planner());
        fftw_destroy_plan(plan);
    }
};

using Plan = std::shared_ptr<std::remove_pointer_t<fftw_plan>>;

fftw_complex* raw(Complex* data) {
    return reinterpret_cast<fftw_complex*>(data);
}

enum class Direction { forth, back, analytic };

/// Plans of the lengths used last: making one costs as much as a transform, and the same lengths
/// come again and again. A plan is executed on other arrays than it was made for, which the library
/// allows where both are aligned alike.
class Plans {
public:
    template <class Make>
    Plan find(std::size_t length, Direction direction, Make&& make) {
        const std::lock_guard lock(planner());
        const Key key{length, direction};
        const auto known = std::ranges::find(kept_, key, &Entry::first);
        if (known != kept_.end()) {
            std::rotate(kept_.begin(), known, known + 1);
            return kept_.front().second;
        }
        Plan plan(make(), PlanEnd());
        YF_EXPECT(plan != nullptr);
        constexpr std::size_t most = 24;
        if (kept_.size() == most) {
            kept_.pop_back();
        }
        kept_.insert(kept_.begin(), {key, plan});
        return plan;
    }

    static Plans& all() {
        static Plans plans;
        return plans;
    }

private:
    using Key = std::pair<std::size_t, Direction>;
    using Entry = std::pair<Key, Plan>;

    // The lock must outlive the plans, whose end takes it.
    Plans() { static_cast<void>(planner()); }

    std::vector<Entry> kept_;
};

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
    const Plan plan = Plans::all().find(length, Direction::forth, [&] {
        return fftw_plan_dft_r2c_1d(
            static_cast<int>(length), in.data(), raw(out.data()), FFTW_ESTIMATE);
    });
    fftw_execute_dft_r2c(plan.get(), in.data(), raw(out.data()));
    return out;
}

std::vector<double> transformBack(std::span<const Complex> spectrum, std::size_t length) {
    YF_EXPECT(spectrum.size() == length / 2 + 1);
    std::vector<Complex> in(spectrum.begin(), spectrum.end()); // the transform eats its input
    std::vector<double> out(length);
    const Plan plan = Plans::all().find(length, Direction::back, [&] {
        return fftw_plan_dft_c2r_1d(
            static_cast<int>(length), raw(in.data()), out.data(), FFTW_ESTIMATE);
    });
    fftw_execute_dft_c2r(plan.get(), raw(in.data()), out.data());
    for (double& value : out) {
        value /= static_cast<double>(length);
    }
    return out;
}

Complex dtft(std::span<const double> data, double from, double rate, double f) {
    constexpr double twoPi = 2.0 * std::numbers::pi;
    // The phasor is made anew now and then, so that its rounding does not grow.
    constexpr std::size_t anew = 256;
    const Complex turn = std::polar(1.0, -twoPi * f / rate);
    Complex sum{};
    for (std::size_t begin = 0; begin < data.size(); begin += anew) {
        Complex phasor = std::polar(1.0, -twoPi * f * (from + static_cast<double>(begin) / rate));
        const std::size_t end = std::min(begin + anew, data.size());
        for (std::size_t n = begin; n < end; ++n) {
            sum += data[n] * phasor;
            phasor *= turn;
        }
    }
    return sum;
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
    const Plan plan = Plans::all().find(length, Direction::analytic, [&] {
        return fftw_plan_dft_1d(static_cast<int>(length),
                                raw(whole.data()),
                                raw(analytic.data()),
                                FFTW_BACKWARD,
                                FFTW_ESTIMATE);
    });
    fftw_execute_dft(plan.get(), raw(whole.data()), raw(analytic.data()));
    std::vector<double> size(data.size());
    for (std::size_t n = 0; n < size.size(); ++n) {
        size[n] = std::abs(analytic[n]) / static_cast<double>(length);
    }
    return size;
}

} // namespace yf::signal
