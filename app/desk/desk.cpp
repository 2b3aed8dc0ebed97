// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/desk/desk.h"

#include "app/desk/recent.h"
#include "app/widgets/words.h"
#include "core/text/sentence.h"
#include "demo/lantern_hall.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QTimer>

#include <algorithm>

namespace yf::app {

Desk::Desk(QObject* parent) : QObject(parent) {
    connect(&evaluator_, &Evaluator::ready, this, &Desk::showResult);
    connect(&aside_, &Aside::finished, this, &Desk::finishMaking);
}

Desk::~Desk() {
    if (trail_) {
        trail_->over(); // whoever else holds it: this opening has not ended the program
    }
    remember();
    keepDemoIfChanged();
}

bool Desk::openJob(const QString& path) {
    if (!mayLeave()) {
        return false;
    }
    const std::string name = QFile::encodeName(path).toStdString();
    const QString real = QFileInfo(path).canonicalFilePath();
    if (document_ && !real.isEmpty() &&
        real == QFileInfo(QFile::decodeName(document_->path().c_str())).canonicalFilePath()) {
        Q_EMIT opened(); // it lies on the desk already, with every change in the file
        Q_EMIT sightChanged();
        return true;
    }
    auto document = Document::open(name);
    const auto trail =
        document ? std::make_shared<OpeningTrail>(openingTrail(real.isEmpty() ? path : real))
                 : nullptr;
    if (!take(std::move(document), trail)) {
        return false;
    }
    document_->keepStatesIn(earlierStatesFolder(path).toStdString());
    remember();
    tellHold();
    tellLeftOut();
    tellLeftUncomputed();
    return true;
}

void Desk::tellLeftOut() {
    QStringList names;
    for (const std::string& name : document_->leftOut()) {
        names << words(name);
    }
    if (!names.isEmpty()) {
        tell(Gravity::mind,
             tr("Damaged in the file and left out: %1. The rest of the job is as it was.")
                 .arg(names.join(QStringLiteral(", "))));
    }
}

void Desk::tellLeftUncomputed() {
    if (!trail_ || trail_->left().empty()) {
        return;
    }
    QStringList parts;
    for (const evaluation::Work& work : trail_->left()) {
        parts << spoken(evaluation::named(work, document_->job()));
    }
    Q_EMIT offered(Gravity::mind,
                   tr("The program ended while it computed %1, when this job was opened before. It "
                      "is left out of all that is shown, and untouched in the file.")
                       .arg(parts.join(QStringLiteral(", "))),
                   tr("Compute it again"),
                   [this] {
                       if (trail_) {
                           trail_->tryAgain();
                           guardEvaluation();
                           evaluateAgain();
                       }
                   });
}

void Desk::guardEvaluation() {
    pictureStands_ = false;
    if (!trail_) {
        evaluator_.guard({}, {});
        return;
    }
    evaluator_.guard(trail_->left(),
                     [trail = trail_](const evaluation::Work& work) { trail->busy(work); });
}

/// What the first picture is drawn from has been drawn: opening is over.
void Desk::closeTrail() {
    constexpr int drawn = 500; // ms; layouts follow each other over several turns
    if (trail_ && !pictureStands_) {
        pictureStands_ = true;
        QTimer::singleShot(drawn, this, [this, opened = trail_.get()] {
            // Another try has begun the opening anew.
            if (opened == trail_.get() && pictureStands_) {
                trail_->over();
                evaluator_.guard(trail_->left(), {});
            }
        });
    }
}

void Desk::tellHold() {
    const QString path = QFile::decodeName(document_->path().c_str());
    switch (document_->hold()) {
    case Hold::none:
        return;
    case Hold::newer:
        Q_EMIT placeWanted(tr("A newer version of this program has made %1, so it is open for "
                              "reading only. Changes are kept in memory until they get a file.")
                               .arg(path));
        return;
    case Hold::mayNot:
        Q_EMIT placeWanted(tr("%1 may not be written, so it is open for reading only. Changes are "
                              "kept in memory until they get a file.")
                               .arg(path));
        return;
    case Hold::elsewhere:
        Q_EMIT placeWanted(tr("%1 is open in another window, so it is open for reading only here. "
                              "Changes are kept in memory until they get a file.")
                               .arg(path));
        return;
    }
}

bool Desk::createJob(const edit::NewJob& wanted, const QString& path) {
    if (!mayLeave()) {
        return false;
    }
    const auto job = edit::newJob(wanted);
    if (!job) {
        tell(Gravity::stop, spoken(text::sentence(job.error())));
        return false;
    }
    if (!take(Document::create(QFile::encodeName(path).toStdString(),
                               job::Record(job::History(*job))))) {
        return false;
    }
    document_->keepStatesIn(earlierStatesFolder(path).toStdString());
    remember();
    tell(Gravity::note,
         tr("Drop a response table and an impedance table on each driver of the Front. Every "
            "change is saved in %1.")
             .arg(path));
    return true;
}

bool Desk::openDemo() {
    if (!mayLeave()) {
        return false;
    }
    const auto record = demo::lanternHall(demo::hallTables());
    if (!record) {
        tell(Gravity::stop, spoken(text::sentence(record.error())));
        return false;
    }
    auto folder = std::make_unique<QTemporaryDir>(QDir::tempPath() +
                                                  QStringLiteral("/yellowfront-demo-XXXXXX"));
    const QString path = folder->filePath(QStringLiteral("Lantern Hall.yfjob"));
    if (!take(Document::create(QFile::encodeName(path).toStdString(), *record))) {
        return false;
    }
    demoFolder_ = std::move(folder);
    return true;
}

bool Desk::saveTo(const QString& path) {
    const auto saved = document_->saveTo(QFile::encodeName(path).toStdString());
    if (!saved) {
        tell(Gravity::stop, spoken(text::sentence(saved.error())));
        return false;
    }
    writingFails_.clear();
    document_->keepStatesIn(earlierStatesFolder(path).toStdString());
    remember();
    tell(Gravity::good, tr("The job is in %1 now; every change is saved there.").arg(path));
    Q_EMIT savedChanged();
    return true;
}

bool Desk::mayLeave() {
    if (!document_) {
        return true;
    }
    document_->waitUntilSaved();
    const bool safe = document_->allWritten() && !document_->inMemoryOnly();
    if (safe || warned_) {
        warned_ = false;
        return true;
    }
    warned_ = true;
    Q_EMIT placeWanted(tr("The last changes are in no file: %1 could not take them. Save them to a "
                          "place of their own; or do it once more to leave them behind.")
                           .arg(QFile::decodeName(document_->path().c_str())));
    return false;
}

void Desk::keepDemoIfChanged() {
    // An untouched demo leaves nothing behind; a changed one stays where its path says.
    if (demoFolder_ && document_) {
        demoFolder_->setAutoRemove(!document_->everChanged());
    }
}

void Desk::remember() {
    if (!document_ || demoFolder_) {
        return;
    }
    rememberRecent(QFile::decodeName(document_->path().c_str()), document_->job());
}

bool Desk::take(Result<std::unique_ptr<Document>> document, std::shared_ptr<OpeningTrail> trail) {
    if (!document) {
        tell(Gravity::stop, spoken(text::sentence(document.error())));
        return false;
    }
    remember();
    keepDemoIfChanged();
    document_ = std::move(*document);
    demoFolder_.reset();
    connect(document_.get(), &Document::changed, this, &Desk::submit);
    connect(document_.get(), &Document::recorded, this, &Desk::recorded);
    connect(document_.get(), &Document::refused, this, [this](const Words& why) {
        tell(Gravity::stop, spoken(why));
        Q_EMIT sightChanged();
    });
    connect(document_.get(), &Document::saved, this, [this] {
        writingFails_.clear();
        Q_EMIT savedChanged();
    });
    connect(document_.get(), &Document::notSaved, this, [this](const Words& why) {
        const bool news = writingFails_.isEmpty();
        writingFails_ = spoken(why);
        if (news) {
            Q_EMIT placeWanted(
                tr("%1. The work goes on in memory; it is tried again every few seconds.")
                    .arg(writingFails_));
        }
        Q_EMIT savedChanged();
    });
    writingFails_.clear();
    warned_ = false;
    wanted_.clear();
    if (making_) {
        making_->make = nullptr; // it was for another job
    }
    sight_ = {};
    lookedAt_ = {};
    const job::Job& job = document_->job();
    if (!job.cabinets.empty()) {
        sight_.cabinet = job.cabinets.front().id;
    }
    keepSightInJob();
    if (trail_) {
        trail_->over();
    }
    trail_ = std::move(trail);
    guardEvaluation();
    submit();
    firstRevision_ = evaluator_.submitted();
    Q_EMIT opened();
    return true;
}

/// What is looked at must exist: an undone addition takes it away.
void Desk::keepSightInJob() {
    const job::Job& job = document_->job();
    const job::Cabinet* cabinet = job::findCabinet(job, sight_.cabinet);
    if (cabinet == nullptr && !job.cabinets.empty()) {
        cabinet = &job.cabinets.front();
        sight_.cabinet = cabinet->id;
    }
    const bool there = cabinet != nullptr &&
                       std::ranges::find(cabinet->mounts, sight_.driver, &job::Mount::driver) !=
                           cabinet->mounts.end();
    if (!there) {
        sight_.driver = cabinet != nullptr && !cabinet->mounts.empty()
                            ? cabinet->mounts.front().driver
                            : std::string{};
    }
}

void Desk::submit() {
    lookedAt_ = {};
    keepSightInJob();
    evaluator_.submit(document_->job(), Purpose::present);
    Q_EMIT savedChanged();
    Q_EMIT recorded();
}

void Desk::evaluateAgain() {
    if (document_) {
        submit();
    }
}

void Desk::apply(const edit::Edit& edit) {
    if (document_) {
        lookedAt_ = {};
        document_->apply(edit);
    }
}

void Desk::preview(const edit::Edit& edit) {
    if (!document_) {
        return;
    }
    const auto job = edit.apply(document_->job());
    if (!job) {
        tell(Gravity::stop, spoken(text::sentence(job.error())));
        endLook();
        return;
    }
    lookAt(*job, edit.name, false);
}

void Desk::makeFirst(const EditMaker& make, Purpose purpose) {
    if (document_) {
        dropWantedLooks();
        wanted_.push_back({.make = make, .purpose = purpose, .from = nullptr, .made = {}});
        beginMaking();
    }
}

void Desk::dropWantedLooks() {
    std::erase_if(wanted_, [](const Making& m) { return m.purpose == Purpose::preview; });
}

void Desk::beginMaking() {
    if (wanted_.empty() || making_ || !sight_.present || evaluator_.busy()) {
        return;
    }
    making_ = std::make_shared<Making>(std::move(wanted_.front()));
    wanted_.erase(wanted_.begin());
    making_->from = sight_.present;
    aside_.begin([making = making_, make = making_->make](Aside::Link& /*link*/) {
        making->made = make(*making->from);
    });
}

void Desk::finishMaking() {
    const std::shared_ptr<Making> done = std::exchange(making_, nullptr);
    const bool overtaken = done && done->purpose == Purpose::preview && !wanted_.empty();
    if (!document_ || !done || !done->make || overtaken) {
        beginMaking();
        return;
    }
    // It rests on a state that is gone: once more, before what came later.
    if (done->from != sight_.present || evaluator_.busy()) {
        wanted_.insert(wanted_.begin(),
                       {.make = done->make, .purpose = done->purpose, .from = nullptr, .made = {}});
        beginMaking();
        return;
    }
    if (!done->made->ok()) {
        tell(Gravity::stop, spoken(text::sentence(done->made->error())));
        if (done->purpose == Purpose::preview) {
            endLook();
        }
    } else if (done->purpose == Purpose::preview) {
        preview(**done->made);
    } else {
        apply(**done->made);
    }
    beginMaking();
}

void Desk::look(const job::Job& job, const Words& name) {
    lookAt(job, name, true);
}

void Desk::lookAt(const job::Job& job, const Words& name, bool whole) {
    lookedAt_ = name;
    lookIsWhole_ = whole;
    lookRevision_ = evaluator_.submit(job, Purpose::preview);
    Q_EMIT savedChanged();
}

void Desk::endLook() {
    dropWantedLooks();
    if (making_ && making_->purpose == Purpose::preview) {
        making_->make = nullptr; // what it comes to is not looked at any more
    }
    lookedAt_ = {};
    sight_.preview.reset();
    Q_EMIT sightChanged();
}

void Desk::showResult(const std::shared_ptr<const Evaluated>& result) {
    if (result->evaluation.revision < firstRevision_) {
        return;
    }
    if (result->purpose == Purpose::present) {
        sight_.present = result;
        // A change of the present ends a preview that was made for the state before.
        if (lookedAt_.empty()) {
            sight_.preview.reset();
        }
    } else if (!lookedAt_.empty() && result->evaluation.revision == lookRevision_) {
        sight_.preview = result;
        sight_.wholePreview = lookIsWhole_;
    }
    Q_EMIT sightChanged();
    if (!evaluator_.busy()) {
        closeTrail();
    }
    beginMaking();
}

bool Desk::settled() const {
    return document_ != nullptr && sight_.present != nullptr && !evaluator_.busy() &&
           wanted_.empty() && !making_ && document_->settled();
}

const job::Driver* Desk::driverNamed(const QString& driver) const {
    if (!document_) {
        return nullptr;
    }
    const std::string name = driver.toStdString();
    const auto& drivers = document_->job().drivers;
    if (const job::Driver* byId = job::findDriver(document_->job(), name)) {
        return byId;
    }
    const auto found = std::ranges::find(drivers, name, &job::Driver::name);
    return found == drivers.end() ? nullptr : &*found;
}

void Desk::chooseCabinet(const std::string& id) {
    if (!document_ || sight_.cabinet == id || job::findCabinet(document_->job(), id) == nullptr) {
        return;
    }
    // The same place of the other front, where there is one.
    const job::Cabinet* before = job::findCabinet(document_->job(), sight_.cabinet);
    const job::Cabinet& now = *job::findCabinet(document_->job(), id);
    std::size_t place = 0;
    if (before != nullptr) {
        const auto mount = std::ranges::find(before->mounts, sight_.driver, &job::Mount::driver);
        place = static_cast<std::size_t>(mount - before->mounts.begin());
    }
    sight_.cabinet = id;
    sight_.driver = now.mounts.empty()          ? std::string{}
                    : place < now.mounts.size() ? now.mounts[place].driver
                                                : now.mounts.front().driver;
    Q_EMIT sightChanged();
}

void Desk::chooseDriver(const QString& driver) {
    const job::Driver* found = driverNamed(driver);
    if (found == nullptr) {
        return;
    }
    const auto holds = [&](const job::Cabinet& cabinet) {
        return std::ranges::find(cabinet.mounts, found->id, &job::Mount::driver) !=
               cabinet.mounts.end();
    };
    const job::Cabinet* now = job::findCabinet(document_->job(), sight_.cabinet);
    if (now == nullptr || !holds(*now)) {
        const auto& cabinets = document_->job().cabinets;
        const auto other = std::ranges::find_if(cabinets, holds);
        if (other != cabinets.end()) {
            sight_.cabinet = other->id;
        }
    }
    sight_.driver = found->id;
    Q_EMIT sightChanged();
}

} // namespace yf::app
