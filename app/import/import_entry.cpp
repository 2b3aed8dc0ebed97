// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/import/import_entry.h"

#include "app/import/remembered.h"
#include "app/widgets/words.h"
#include "core/signal/wav.h"
#include "core/text/sentence.h"

namespace yf::app {

namespace {

/// Nothing for what is no table.
std::shared_ptr<const measure::TablePreview> previewOf(const ImportEntry& entry) {
    if (entry.unreadable || signal::looksLikeWav(entry.order.file.bytes)) {
        return nullptr;
    }
    measure::ImportRequest request = entry.order.table;
    request.text = entry.order.file.bytes;
    auto preview = measure::previewTable(request);
    return preview ? std::make_shared<const measure::TablePreview>(std::move(*preview)) : nullptr;
}

} // namespace

void readEntry(ImportEntry& entry) {
    entry.imported.reset();
    entry.problem.clear();
    if (entry.unreadable) {
        entry.problem = spoken(text::sentence(*entry.unreadable));
        return;
    }
    auto imported = take::importTake(entry.order);
    if (imported) {
        entry.imported = std::move(*imported);
    } else if (!entry.asks) {
        entry.problem = spoken(text::sentence(imported.error()));
    }
}

std::vector<ImportEntry> curvesOf(ImportEntry entry) {
    entry.order.table.curve.reset();
    entry.preview = previewOf(entry);
    entry.asks =
        entry.preview != nullptr && (entry.preview->unread || entry.preview->answers.size() > 1);
    const bool several =
        entry.preview != nullptr && entry.preview->curves.size() > 1 && !entry.asks;
    auto takes =
        several ? take::importTakes(entry.order) : Result<std::vector<take::ImportedTake>>(Error{});
    std::vector<ImportEntry> curves;
    if (!takes) {
        readEntry(entry);
        curves.push_back(std::move(entry));
        return curves;
    }
    for (std::size_t k = 0; k < takes->size(); ++k) {
        ImportEntry curve = entry;
        curve.order.table.curve = static_cast<int>(k) + 1;
        curve.problem.clear();
        curve.imported = std::move((*takes)[k]);
        curves.push_back(std::move(curve));
    }
    return curves;
}

void recallColumns(ImportEntry& entry) {
    if (const auto preview = previewOf(entry)) {
        entry.order.table.meanings = measure::joinMeanings(rememberedMeanings(preview->shape));
        entry.remembered = !entry.order.table.meanings.empty();
    }
}

void orderColumns(ImportEntry& entry, const std::vector<std::string>& meanings) {
    entry.order.table.meanings = measure::joinMeanings(meanings);
    entry.remembered = false;
    if (entry.preview != nullptr) {
        rememberMeanings(entry.preview->shape, meanings);
    }
}

} // namespace yf::app
