// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/edit/new_job.h"

#include <QObject>

namespace yf::app {

class Ask;
class Desk;
class ImportSheet;
class Notice;
class Plot;
enum class PictureFormat;
struct EarlierChoice;

/// What comes in and goes out as files: jobs, tables, photographs, pictures, lists. It asks where,
/// does it on the Desk, and tells what came of it.
class Files final : public QObject {
    Q_OBJECT

public:
    Files(Ask& ask, Desk& desk, Notice& notice, ImportSheet& import, QWidget* window);

    /// Text tables for a driver (its id or its name), each one an edit; tells what was understood
    /// of each and what was refused.
    void importTables(const QString& driver, const QStringList& files);

    /// Tables for a look before they are taken.
    void previewFiles(const QString& driver, const QStringList& files);

    /// A job, or tables, from outside.
    void dropped(const QStringList& files);
    void addPictures(const QStringList& files);
    void askMeasurements();
    void askTables(const QString& driver);
    void askPictures();
    void askFile(const QString& title, const QString& filter, const FileTaker& take);

    void askOpen();
    void askNew(const edit::NewJob& wanted);
    void askCopy();

    /// Another file for the open job.
    void askPlace();

    /// A state of earlier, as a file of its own.
    void bringBack(const EarlierChoice& choice);

    void saveOffered(const QString& title, const QString& name, const QByteArray& bytes);
    void savePicture(Plot& plot, PictureFormat format);

    /// Reads somebody's own evidence table, written out first if there is none.
    void editEvidence();

Q_SIGNALS:
    void importShown();
    void importLeft();

private:
    void tell(const Done& done);

    Ask& ask_;
    Desk& desk_;
    Notice& notice_;
    ImportSheet& import_;
    QWidget* window_{};
};

} // namespace yf::app
