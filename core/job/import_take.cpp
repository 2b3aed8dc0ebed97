// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/import_take.h"

namespace yf::job {

Result<ImportedTake> importTake(const TableFile& file) {
    auto table = measure::importTable({.text = file.bytes});
    if (!table) {
        Error error = table.error();
        error.subject = file.name;
        return error;
    }
    ImportedTake imported;
    imported.take.kind = table->quantity == "impedance" ? TakeKind::impedance : TakeKind::response;
    imported.take.name = file.name;
    imported.take.date = file.date;
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
