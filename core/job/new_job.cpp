// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/job.h"
#include "core/quantity/literals.h"

namespace yf::job {

using namespace literals;

Job newTwoWay(const std::string& title) {
    Job job{.title = title};
    job.drivers = {{.id = "woofer", .name = "Woofer", .band = Band::low, .diameter = 17.0_cm},
                   {.id = "tweeter", .name = "Tweeter", .band = Band::high, .diameter = 10.0_cm}};
    network::Section low{.name = "low", .end = network::DriverEnd{.driver = "woofer"}};
    network::Section high{.name = "high", .end = network::DriverEnd{.driver = "tweeter"}};
    network::Section top{.end = network::Ways{.sections = {low, high}}};
    job.cabinets = {{.id = "cabinet",
                     .name = "Cabinet",
                     .width = 21.0_cm,
                     .height = 36.0_cm,
                     .mounts = {{"woofer", 0.0, -6.0_cm}, {"tweeter", 0.0, 9.0_cm}},
                     .circuit = {.body = top}}};
    return job;
}

} // namespace yf::job
