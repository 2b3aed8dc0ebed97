// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/document/document.h"

#include "core/text/sentence.h"

namespace yf::app {

Document::Document(job::store::Store store, job::History history)
    : history_(std::move(history)), saver_(std::move(store)) {
    connect(&saver_, &Saver::saved, this, [this] { Q_EMIT saved(); });
    connect(&saver_, &Saver::failed, this, &Document::notSaved);
}

Result<std::unique_ptr<Document>> Document::open(const std::string& path) {
    YF_TRY(store, job::store::Store::open(path));
    YF_TRY(history, store.load());
    return std::unique_ptr<Document>(new Document(std::move(store), std::move(history)));
}

Result<std::unique_ptr<Document>> Document::create(const std::string& path,
                                                   const job::History& history) {
    YF_TRY(store, job::store::Store::create(path, history));
    return std::unique_ptr<Document>(new Document(std::move(store), history));
}

Done Document::copyTo(const std::string& path) const {
    YF_TRY(copy, job::store::Store::create(path, history_));
    static_cast<void>(copy);
    return done();
}

void Document::apply(const job::Edit& edit) {
    if (readOnly()) {
        Q_EMIT refused(tr("This job is open for reading only. Save a copy and go on there; nothing "
                          "was changed."));
        return;
    }
    const auto moved = history_.apply(edit);
    if (!moved) {
        Q_EMIT refused(QString::fromStdString(text::sentence(moved.error())));
        return;
    }
    everChanged_ = true;
    saver_.write(history_.step(), *moved);
    Q_EMIT changed();
}

void Document::undo() {
    if (history_.canUndo() && !readOnly()) {
        history_.undo();
        everChanged_ = true;
        saver_.write(history_.step(), job::Moved::back);
        Q_EMIT changed();
    }
}

void Document::redo() {
    if (history_.canRedo() && !readOnly()) {
        history_.redo();
        everChanged_ = true;
        saver_.write(history_.step(), job::Moved::forward);
        Q_EMIT changed();
    }
}

} // namespace yf::app
