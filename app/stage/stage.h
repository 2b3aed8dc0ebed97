// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/evaluation/evaluator.h"
#include "app/stage/place.h"
#include "core/edit/parts.h"

#include <QWidget>

#include <functional>
#include <memory>

namespace yf::app {

/// What there is to look at: the present state, perhaps a preview in its place, and who was chosen.
struct Sight {
    std::shared_ptr<const Evaluated> present;
    std::shared_ptr<const Evaluated> preview; ///< null: none
    bool wholePreview{}; ///< the preview is another state, controls and all; not a look at one
                         ///< change
    std::string cabinet;
    std::string driver; ///< its id; the one chosen on the Front

    /// What the picture shows.
    [[nodiscard]] const Evaluated& shown() const { return preview ? *preview : *present; }

    [[nodiscard]] const job::Cabinet* shownCabinet() const {
        return job::findCabinet(shown().job, cabinet);
    }

    [[nodiscard]] const evaluation::CabinetResult* shownResult() const {
        return shown().evaluation.find(cabinet);
    }
};

/// Computes an edit from the newest evaluation, off the window's thread.
using EditMaker = std::function<Result<edit::Edit>(const Evaluated& present)>;

/// Who wanted a file, told its path.
using FileTaker = std::function<void(const QString&)>;

/// One step of the work. It looks at an evaluation and wants edits; the frame owns undo, saving,
/// shortcuts and the choice of what is looked at.
class Stage : public QWidget {
    Q_OBJECT

public:
    using QWidget::QWidget;
    ~Stage() override;

    /// A stage fills what room there is. Without this every figure that changes anywhere in the
    /// window would have all wrapped words of all stages measured anew.
    [[nodiscard]] bool hasHeightForWidth() const override { return false; }

    /// "network": in object names, on the command line.
    [[nodiscard]] virtual QString id() const = 0;
    [[nodiscard]] virtual QString title() const = 0;

    /// Its place in the route, 1 to 8.
    [[nodiscard]] virtual int place() const = 0;

    /// Its state in a word or a figure, for the route.
    [[nodiscard]] virtual QString state(const Sight& sight) const = 0;

    /// Whether it is about the driver chosen: it stays when another is clicked on the Front.
    [[nodiscard]] virtual bool followsDriver() const { return false; }

    /// Whether drivers are moved in depth here: the Front shows it by a cut.
    [[nodiscard]] virtual bool movesDrivers() const { return false; }

    /// Whether something is still being made aside that its picture will show.
    [[nodiscard]] virtual bool working() const { return false; }

    virtual void display(const Sight& sight) = 0;

    /// Leads the eye to a place of this stage. False: it has no such page, and nothing was done.
    virtual bool go(const Place& place) = 0;

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);

    /// An edit that has to be computed first.
    void editWanted(const yf::app::EditMaker& make);

    /// The hand has let go: the next edit is a step of its own.
    void gestureEnded();

    /// What would an edit do? Shown in place of the present until previewEnded; never saved.
    void previewed(const yf::edit::Edit& edit);
    void previewWanted(const yf::app::EditMaker& make);
    void previewEnded();

    /// What an edit would make is to be a snapshot of that name; the present stays.
    void snapshotWanted(const QString& name, const yf::edit::Edit& edit);

    /// Files dropped or chosen for a driver.
    void tablesGiven(const QString& driver, const QStringList& files);
    void tablesWanted(const QString& driver);

    /// Photographs dropped, or to be chosen, for the job.
    void picturesGiven(const QStringList& files);
    void picturesWanted();

    /// A file to be chosen for something of the stage's own.
    void fileWanted(const QString& title, const QString& filter, const yf::app::FileTaker& take);

    /// Bytes to be written where the person says.
    void fileOffered(const QString& title, const QString& name, const QByteArray& bytes);

    /// Another driver is to be the chosen one.
    void driverWanted(const QString& driver);

    /// Somewhere else.
    void placeWanted(const yf::app::Place& place);
};

} // namespace yf::app
