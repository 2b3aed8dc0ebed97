// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/document/saver.h"
#include "core/job/history.h"

#include <QObject>

#include <memory>

namespace yf::app {

/// The open job: its history in memory and its file, kept alike. There is no unsaved state to
/// lose: every change goes to the Saver at once.
class Document final : public QObject {
    Q_OBJECT

public:
    static Result<std::unique_ptr<Document>> open(const std::string& path);
    static Result<std::unique_ptr<Document>> create(const std::string& path,
                                                    const job::History& history);

    [[nodiscard]] const job::History& history() const { return history_; }

    [[nodiscard]] const job::Job& job() const { return history_.job(); }

    [[nodiscard]] const std::string& path() const { return saver_.path(); }

    [[nodiscard]] bool readOnly() const { return saver_.readOnly(); }

    /// Whether anything was changed, undone or redone since it was opened.
    [[nodiscard]] bool everChanged() const { return everChanged_; }

    [[nodiscard]] bool settled() const { return saver_.settled(); }

    /// Applies an edit; one that fails changes nothing and is told by `refused`.
    void apply(const job::Edit& edit);

    void undo();
    void redo();

    /// The hand has let go: the next edit is a step of its own.
    void endGesture() { history_.endGesture(); }

    /// The whole history in a new file of today's format, whatever state the open file is in; one
    /// that exists is refused.
    [[nodiscard]] Done copyTo(const std::string& path) const;

    [[nodiscard]] bool allWritten() { return saver_.allWritten(); }

    /// Blocks until the file holds the present state, or cannot be written.
    void waitUntilSaved() { saver_.wait(); }

Q_SIGNALS:
    void changed();
    void refused(const QString& why);
    void saved();
    void notSaved(const QString& why);

private:
    Document(job::store::Store store, job::History history);

    job::History history_;
    bool everChanged_{};
    Saver saver_;
};

} // namespace yf::app
