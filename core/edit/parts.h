// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/apply.h"
#include "core/job/job.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/network/parts/e_series.h"

#include <functional>

namespace yf::edit {

[[nodiscard]] Edit changeTitle(std::string title);

[[nodiscard]] Edit
changePart(const std::string& cabinet, const network::Part& part, std::string mergeKey = {});

/// So many values of a series up or down from what the part is by then; losses follow.
[[nodiscard]] Edit stepPart(const std::string& cabinet,
                            const std::string& id,
                            network::ESeries series,
                            int steps,
                            std::string mergeKey);

/// The next part of its kind that lies in the drawer. Fails where there is none further on.
[[nodiscard]] Edit
stepPartInStock(const std::string& cabinet, const std::string& id, int steps, std::string mergeKey);

[[nodiscard]] Edit
insertPart(const std::string& cabinet, const network::SlotPlace& place, const network::Part& part);

[[nodiscard]] Edit removePart(const std::string& cabinet, const std::string& id);

/// Without the slot that holds the part: a wire in the line, nothing across the way. For a look.
[[nodiscard]] Edit bypassPart(const std::string& cabinet, const std::string& id);

/// Reverses the driver at the end of a way; `driverName` is for the name of the edit.
[[nodiscard]] Edit
reverseDriver(const std::string& cabinet, std::size_t way, const std::string& driverName);

[[nodiscard]] Edit changeTarget(const std::string& cabinet, const job::Target& target);

} // namespace yf::edit
