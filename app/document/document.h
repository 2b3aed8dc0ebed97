// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/document/saver.h"
#include "core/edit/apply.h"
#include "core/job/record.h"

#include <QLockFile>
#include <QObject>
#include <QTimer>

#include <memory>

namespace yf::app {

/// Why changes are kept in memory only.
enum class Hold {
    none,     ///< they are not: every change goes to the file
    newer,    ///< a newer version of the program has made the file
    mayNot,   ///< the file or its folder may not be written
    elsewhere ///< another window has it open
};

/// The open job: its record in memory and its file, kept alike. There is no unsaved state to lose:
/// every change goes to the Saver at once. Where the file cannot take changes the work goes on in
/// memory, and `saveTo` gives it a file.
class Document final : public QObject {
    Q_OBJECT

public:
    static Result<std::unique_ptr<Document>> open(const std::string& path);
    static Result<std::unique_ptr<Document>> create(const std::string& path,
                                                    const job::Record& record);

    [[nodiscard]] const job::Record& record() const { return record_; }

    [[nodiscard]] const job::History& history() const { return record_.history; }

    [[nodiscard]] const job::Job& job() const { return record_.job(); }

    [[nodiscard]] const std::string& path() const { return saver_->path(); }

    [[nodiscard]] Hold hold() const { return hold_; }

    /// Measurements that were damaged in the file and are not in the job.
    [[nodiscard]] const std::vector<std::string>& leftOut() const { return leftOut_; }

    /// Whether anything was changed, undone or redone since it was opened.
    [[nodiscard]] bool everChanged() const { return everChanged_; }

    /// Changes that only the memory holds: none where the file takes them.
    [[nodiscard]] bool inMemoryOnly() const { return hold_ != Hold::none && everChanged_; }

    [[nodiscard]] bool settled() const { return saver_->settled(); }

    /// Applies an edit; one that fails changes nothing and is told by `refused`.
    void apply(const edit::Edit& edit);

    void undo();
    void redo();

    /// These fail with a reason for the person who asked; nothing is changed then.
    [[nodiscard]] Done takeSnapshot(const std::string& name);
    /// Of what an edit would make; the present stays.
    [[nodiscard]] Done takeSnapshotOf(const std::string& name, const edit::Edit& edit);
    [[nodiscard]] Done dropSnapshot(const std::string& name);
    [[nodiscard]] Done addNote(const std::string& text);

    /// The hand has let go: the next edit is a step of its own.
    void endGesture() { record_.history.endGesture(); }

    /// The whole record in a new file of today's format, whatever state the open file is in; one
    /// that exists is refused.
    [[nodiscard]] Done copyTo(const std::string& path) const;

    /// The same, and from now on that file is the job's.
    [[nodiscard]] Done saveTo(const std::string& path);

    [[nodiscard]] bool allWritten() { return saver_->allWritten(); }

    /// Blocks until the file holds the present state, or cannot be written.
    void waitUntilSaved() { saver_->wait(); }

    /// Earlier states go here, one now and then while there are changes, and one at the end.
    void keepStatesIn(const std::string& folder);

    ~Document() override;

Q_SIGNALS:
    void changed();
    void recorded(); ///< snapshots or log changed; the job did not
    void refused(const yf::Words& why);
    void saved();
    void notSaved(const yf::Words& why);

private:
    Document(job::store::Store store, job::Record record);

    void use(job::store::Store store);
    void lock(const std::string& path);
    void write(const job::Change& change);
    [[nodiscard]] Done keep(const Result<job::Change>& change);
    void putAside();

    job::Record record_;
    bool everChanged_{};
    bool changedSincePutAside_{};
    std::vector<std::string> leftOut_;
    Hold hold_{};
    std::string statesFolder_;
    QTimer statesTimer_;
    std::unique_ptr<QLockFile> lock_; ///< tells other windows of ours that the file is open
    std::unique_ptr<Saver> saver_;
};

/// Local time as the log has it.
[[nodiscard]] std::string timeForLog();

} // namespace yf::app
