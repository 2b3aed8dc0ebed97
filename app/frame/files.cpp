// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/files.h"

#include "app/desk/desk.h"
#include "app/desk/recent.h"
#include "app/frame/own_files.h"
#include "app/frame/start_page.h"
#include "app/import/import_sheet.h"
#include "app/plots/plot.h"
#include "app/widgets/ask.h"
#include "app/widgets/notice.h"
#include "app/widgets/read_file.h"
#include "app/widgets/words.h"
#include "core/edit/intake.h"
#include "core/edit/measurement.h"
#include "core/job/store/earlier.h"
#include "core/measure/table/decode.h"
#include "core/take/import.h"
#include "core/text/sentence.h"

#include <QDate>
#include <QFile>
#include <QFileInfo>
#include <QSaveFile>

namespace yf::app {

namespace {

QString measurementFilter() {
    return Files::tr("Tables, impulse responses, impedances (*.txt *.csv *.dat *.wav *.s1p "
                     "*.json);;All files (*)");
}

QString jobFilter() {
    return Files::tr("Jobs (*.yfjob);;All files (*)");
}

} // namespace

Files::Files(Ask& ask, Desk& desk, Notice& notice, ImportSheet& import, QWidget* window)
    : QObject(window), ask_(ask), desk_(desk), notice_(notice), import_(import), window_(window) {
    connect(&import, &ImportSheet::left, this, &Files::importLeft);
    connect(&import,
            &ImportSheet::taken,
            this,
            [this](const QVector<std::pair<QString, job::Take>>& takes) {
                for (const auto& [driver, take] : takes) {
                    desk_.apply(edit::addTake(driver.toStdString(), take));
                    desk_.chooseDriver(driver);
                }
                Q_EMIT importLeft();
                notice_.tell(Gravity::good,
                             takes.size() == 1 ? tr("One take joined the job.")
                                               : tr("%1 takes joined the job.").arg(takes.size()));
            });
}

void Files::dropped(const QStringList& files) {
    if (files.size() == 1 && files.front().endsWith(QStringLiteral(".yfjob"))) {
        desk_.openJob(files.front());
    } else {
        previewFiles({}, files);
    }
}

void Files::tell(const Done& done) {
    if (!done) {
        notice_.tell(Gravity::stop, spoken(text::sentence(done.error())));
    }
}

void Files::importTables(const QString& driver, const QStringList& files) {
    if (desk_.document() == nullptr || files.isEmpty()) {
        return;
    }
    const job::Driver* found = desk_.driverNamed(driver);
    if (found == nullptr) {
        notice_.tell(Gravity::stop, tr("There is no driver '%1' in this job.").arg(driver));
        return;
    }
    // A set of angles is looked at first: a place misread would be a wrong curve, not a missing
    // one.
    std::vector<std::string> names;
    for (const QString& path : files) {
        names.push_back(QFileInfo(path).fileName().toStdString());
    }
    if (!take::likelyAngles(names).empty()) {
        previewFiles(driver, files);
        return;
    }
    const std::string id = found->id;
    const QString name = words(found->name);
    QStringList told;
    Gravity gravity = Gravity::good;
    std::vector<job::Take> takes;
    for (const QString& path : files) {
        const QString base = QFileInfo(path).fileName();
        const auto bytes = readFile(path, measure::largestTable);
        if (!bytes) {
            gravity = Gravity::stop;
            told << spoken(text::sentence(bytes.error()));
            continue;
        }
        auto imported =
            take::importTakes({.file = {*bytes,
                                        base.toStdString(),
                                        QDate::currentDate().toString(Qt::ISODate).toStdString()}});
        // What has to be asked, or chosen from, is looked at first, with all that came with it.
        if (imported ? imported->size() > 1 : take::asks(*bytes)) {
            previewFiles(driver, files);
            return;
        }
        if (!imported) {
            gravity = Gravity::stop;
            told << spoken(text::sentence(imported.error())) + QStringLiteral(". ") +
                        tr("Nothing was changed.");
            continue;
        }
        take::ImportedTake& read = imported->front();
        if (read.doubtful && gravity == Gravity::good) {
            gravity = Gravity::mind;
        }
        told << tr("%1 for %2: %3").arg(base, name, spoken(read.told));
        takes.push_back(std::move(read.take));
    }
    for (const job::Take& take : takes) {
        desk_.apply(edit::addTake(id, take));
    }
    desk_.chooseDriver(words(id));
    notice_.offer(gravity, told.join(u'\n'), tr("Look and correct …"), [this, driver, files] {
        previewFiles(driver, files);
    });
}

void Files::previewFiles(const QString& driver, const QStringList& files) {
    if (desk_.document() == nullptr || !desk_.sight().present || files.isEmpty()) {
        notice_.tell(Gravity::note, tr("Open a job or make a new one first; then drop the files."));
        return;
    }
    const job::Driver* found = driver.isEmpty() ? nullptr : desk_.driverNamed(driver);
    notice_.clear();
    import_.open(desk_.sight(), files, found == nullptr ? QString{} : words(found->id));
    Q_EMIT importShown();
}

void Files::askMeasurements() {
    previewFiles({}, ask_.filesToOpen(window_, tr("Measurements"), measurementFilter()));
}

void Files::editEvidence() {
    const QString file = ownEvidenceFile();
    const bool isNew = !QFile::exists(file);
    const Done written = writeOwnEvidence();
    if (!written) {
        tell(written);
        return;
    }
    const auto used = ownTables();
    desk_.setTables(used ? *used : evaluation::Tables::shipped());
    desk_.evaluateAgain();
    if (!used) {
        notice_.tell(Gravity::stop,
                     spoken(text::sentence(used.error())) + QStringLiteral(". ") +
                         tr("The shipped table is in force meanwhile."));
    } else {
        notice_.tell(Gravity::good,
                     isNew ? tr("The evidence table is in %1: edit its likelihoods there, then "
                                "choose this again to have it read. Without that file the shipped "
                                "table is used.")
                                 .arg(file)
                           : tr("The evidence table was read from %1 and is in force.").arg(file));
    }
}

void Files::askPictures() {
    addPictures(ask_.filesToOpen(
        window_, tr("Pictures of the speaker"), tr("Pictures (*.png *.jpg *.jpeg)")));
}

void Files::addPictures(const QStringList& files) {
    for (const QString& path : files) {
        const auto bytes = readFile(path, edit::largestPhoto);
        if (!bytes) {
            notice_.tell(Gravity::stop, spoken(text::sentence(bytes.error())));
            continue;
        }
        desk_.apply(edit::addPhoto(QFileInfo(path).fileName().toStdString(), *bytes));
    }
}

void Files::askTables(const QString& driver) {
    importTables(driver, ask_.filesToOpen(window_, tr("Open tables"), measurementFilter()));
}

void Files::askFile(const QString& title, const QString& filter, const FileTaker& take) {
    const QStringList files = ask_.filesToOpen(window_, title, filter);
    if (!files.isEmpty()) {
        take(files.front());
    }
}

void Files::saveOffered(const QString& title, const QString& name, const QByteArray& bytes) {
    const QString path =
        ask_.fileToWrite(window_, title, name, QStringLiteral("*.") + QFileInfo(name).suffix());
    if (path.isEmpty()) {
        return;
    }
    QSaveFile file(path);
    if (file.open(QIODevice::WriteOnly) && file.write(bytes) == bytes.size() && file.commit()) {
        notice_.tell(Gravity::good, tr("Written to %1.").arg(path));
    } else {
        notice_.tell(Gravity::stop,
                     tr("%1 could not be written: %2").arg(path, file.errorString()));
    }
}

void Files::savePicture(Plot& plot, PictureFormat format) {
    static const QString endings[] = {
        QStringLiteral("png"), QStringLiteral("svg"), QStringLiteral("pdf"), QStringLiteral("csv")};
    const QString& ending = endings[static_cast<std::size_t>(format)];
    const QString path = ask_.fileToWrite(window_,
                                          tr("Save the picture"),
                                          plot.title() + u'.' + ending,
                                          QStringLiteral("*.") + ending);
    if (path.isEmpty()) {
        return;
    }
    if (plot.save(path, format)) {
        notice_.tell(Gravity::good, tr("%1 is in %2, at the house scale.").arg(plot.title(), path));
    } else {
        notice_.tell(Gravity::stop,
                     tr("%1 could not be written; choose a place that may be written.").arg(path));
    }
}

void Files::askOpen() {
    const QStringList files = ask_.filesToOpen(window_, tr("Open a job"), jobFilter());
    if (!files.isEmpty()) {
        desk_.openJob(files.front());
    }
}

void Files::askNew(const edit::NewJob& wanted) {
    if (const auto job = edit::newJob(wanted); !job) {
        notice_.tell(Gravity::stop, spoken(text::sentence(job.error())));
        return;
    }
    const QString path = ask_.fileToWrite(
        window_, tr("New job"), words(wanted.title) + QStringLiteral(".yfjob"), jobFilter());
    if (!path.isEmpty()) {
        desk_.createJob(wanted, path);
    }
}

void Files::askCopy() {
    const QString path =
        ask_.fileToWrite(window_,
                         tr("Save a copy"),
                         words(desk_.document()->job().title) + QStringLiteral(" copy.yfjob"),
                         jobFilter());
    if (path.isEmpty()) {
        return;
    }
    const auto copied = desk_.document()->copyTo(QFile::encodeName(path).toStdString());
    if (copied) {
        notice_.tell(Gravity::good,
                     tr("A copy is in %1. Work goes on in the job that was open.").arg(path));
    }
    tell(copied);
}

void Files::askPlace() {
    const QString path =
        ask_.fileToWrite(window_,
                         tr("A file for this job"),
                         words(desk_.document()->job().title) + QStringLiteral(".yfjob"),
                         jobFilter());
    if (!path.isEmpty()) {
        desk_.saveTo(path);
    }
}

void Files::bringBack(const EarlierChoice& choice) {
    const QFileInfo info(choice.path);
    QString at = choice.at;
    at.replace(u':', u'.');
    const QString path = ask_.fileToWrite(
        window_,
        tr("The state of %1 as a file of its own").arg(choice.at),
        QStringLiteral("%1/%2 (%3).yfjob").arg(info.absolutePath(), info.completeBaseName(), at),
        jobFilter());
    if (path.isEmpty()) {
        return;
    }
    const auto brought = job::store::bringBack({choice.file.toStdString(), {}},
                                               QFile::encodeName(path).toStdString());
    if (!brought) {
        tell(brought);
        return;
    }
    if (desk_.openJob(path)) {
        notice_.tell(Gravity::good,
                     tr("This is the state of %1, in a file of its own. The job itself was left "
                        "as it is.")
                         .arg(choice.at));
    }
}

} // namespace yf::app
