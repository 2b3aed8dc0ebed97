// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/document/document.h"

#include "core/edit/apply.h"
#include "core/text/sentence.h"

#include <QDateTime>
#include <QFile>
#include <QFileInfo>

namespace yf::app {

namespace {

constexpr int statesEvery = 15 * 60 * 1000; // ms, while there are changes

/// Beside the file, hidden: whoever may write the one may write the other.
QString lockPath(const std::string& path) {
    const QFileInfo info(QFile::decodeName(path.c_str()));
    return info.absolutePath() + QStringLiteral("/.") + info.fileName() + QStringLiteral(".lock");
}

} // namespace

std::string timeForLog() {
    return QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
}

Document::Document(job::store::Store store, job::Record record) : record_(std::move(record)) {
    statesTimer_.setInterval(statesEvery);
    connect(&statesTimer_, &QTimer::timeout, this, &Document::putAside);
    lock(store.path());
    if (store.newer()) {
        hold_ = Hold::newer;
    } else if (store.readOnly()) {
        hold_ = Hold::mayNot;
    }
    use(std::move(store));
}

Document::~Document() {
    putAside();
}

void Document::use(job::store::Store store) {
    saver_ = std::make_unique<Saver>(std::move(store));
    connect(saver_.get(), &Saver::saved, this, [this] { Q_EMIT saved(); });
    connect(saver_.get(), &Saver::failed, this, &Document::notSaved);
}

void Document::lock(const std::string& path) {
    lock_ = std::make_unique<QLockFile>(lockPath(path));
    lock_->setStaleLockTime(0); // a window may stay open for weeks; only a dead one is stale
    if (!lock_->tryLock() && lock_->error() == QLockFile::LockFailedError) {
        hold_ = Hold::elsewhere;
    }
}

Result<std::unique_ptr<Document>> Document::open(const std::string& path) {
    YF_TRY(store, job::store::Store::open(path));
    std::vector<std::string> leftOut;
    YF_TRY(record, store.load(&leftOut));
    auto document = std::unique_ptr<Document>(new Document(std::move(store), std::move(record)));
    document->leftOut_ = std::move(leftOut);
    return document;
}

Result<std::unique_ptr<Document>> Document::create(const std::string& path,
                                                   const job::Record& record) {
    YF_TRY(store, job::store::Store::create(path, record));
    return std::unique_ptr<Document>(new Document(std::move(store), record));
}

Done Document::copyTo(const std::string& path) const {
    YF_TRY(copy, job::store::Store::create(path, record_));
    static_cast<void>(copy);
    return done();
}

Done Document::saveTo(const std::string& path) {
    YF_TRY(store, job::store::Store::create(path, record_));
    hold_ = Hold::none;
    lock(path);
    use(std::move(store));
    Q_EMIT saved();
    return done();
}

void Document::keepStatesIn(const std::string& folder) {
    statesFolder_ = folder;
    statesTimer_.start();
}

void Document::putAside() {
    if (changedSincePutAside_ && hold_ == Hold::none && !statesFolder_.empty()) {
        changedSincePutAside_ = false;
        saver_->putAside(statesFolder_, timeForLog());
    }
}

void Document::write(const job::Change& change) {
    everChanged_ = true;
    changedSincePutAside_ = true;
    if (hold_ == Hold::none) {
        saver_->write(change);
    }
}

void Document::apply(const edit::Edit& edit) {
    const auto change = edit::apply(record_, edit, timeForLog());
    if (!change) {
        Q_EMIT refused(text::sentence(change.error()));
        return;
    }
    write(*change);
    Q_EMIT changed();
}

void Document::undo() {
    if (const auto change = job::undo(record_, timeForLog())) {
        write(*change);
        Q_EMIT changed();
    }
}

void Document::redo() {
    if (const auto change = job::redo(record_, timeForLog())) {
        write(*change);
        Q_EMIT changed();
    }
}

Done Document::keep(const Result<job::Change>& change) {
    if (!change) {
        return change.error();
    }
    write(*change);
    Q_EMIT recorded();
    return done();
}

Done Document::takeSnapshot(const std::string& name) {
    return keep(job::takeSnapshot(record_, name, timeForLog()));
}

Done Document::takeSnapshotOf(const std::string& name, const edit::Edit& edit) {
    return keep(edit::takeSnapshotAfter(record_, name, edit, timeForLog()));
}

Done Document::dropSnapshot(const std::string& name) {
    return keep(job::dropSnapshot(record_, name, timeForLog()));
}

Done Document::addNote(const std::string& text) {
    return keep(job::addNote(record_, text, timeForLog()));
}

} // namespace yf::app
