// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/take/manual.h"

#include "core/text/number.h"

#include <algorithm>

namespace yf::take {

job::Take handTake(const std::string& driver,
                   const driver::MultimeterRequest& readings,
                   const driver::Multimeter& found,
                   const std::string& date) {
    const bool phased =
        std::ranges::all_of(found.phases, [](const auto& p) { return p.has_value(); });
    std::vector<curve::Complex> values;
    for (std::size_t i = 0; i < found.moduli.size(); ++i) {
        values.push_back(std::polar(found.moduli[i], phased ? *found.phases[i] : 0.0));
    }
    job::Take take{.kind = job::TakeKind::impedance,
                   .name = YF_WORDS("core", "impedance by hand"),
                   .date = date};
    take.understood = say(YF_WORDS("core", "%1 tones by voltmeter, sense resistor %2."),
                          std::to_string(values.size()),
                          text::printEngineering(readings.sense, "Ω"));
    take.curve = std::make_shared<const curve::Curve>(
        readings.frequencies, std::move(values), phased ? curve::Phase::own : curve::Phase::none);
    take.recorded.driver = driver;
    take.recorded.sense = readings.sense;
    take.recorded.lead = readings.lead;
    return take;
}

} // namespace yf::take
