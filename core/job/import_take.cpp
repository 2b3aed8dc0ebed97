// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/import_take.h"

namespace yf::job {

Result<ImportedTake>
importTake(const std::string& bytes, const std::string& name, const std::string& date) {
    auto table = measure::importTable({.text = bytes});
    if (!table) {
        Error error = table.error();
        error.subject = name;
        return error;
    }
    ImportedTake imported;
    imported.take.kind = table->quantity == "impedance" ? TakeKind::impedance : TakeKind::response;
    imported.take.name = name;
    imported.take.date = date;
    imported.take.understood = measure::understood(*table);
    imported.take.curve = std::make_shared<const curve::Curve>(measure::toCurve(*table));
    imported.told = imported.take.understood;
    imported.doubtful = !table->warnings.empty() || !table->hasPhase;
    if (!table->hasPhase) {
        imported.told += " Without phase it can be looked at, but not summed or loaded until you "
                         "use the minimum phase.";
    }
    return imported;
}

} // namespace yf::job
