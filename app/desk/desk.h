// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/document/document.h"
#include "app/evaluation/evaluator.h"
#include "app/evaluation/opening_trail.h"
#include "app/stage/stage.h"
#include "app/widgets/aside.h"
#include "app/widgets/notice.h"
#include "core/edit/new_job.h"

#include <QObject>
#include <QTemporaryDir>

#include <memory>

namespace yf::app {

/// What lies on the desk: the open document, its newest evaluation, what is looked at, and perhaps
/// something else looked at in its place for a while (a part bypassed, a snapshot held). It knows
/// no widget; the frame shows what it says and asks it for what a person wants.
class Desk final : public QObject {
    Q_OBJECT

public:
    explicit Desk(QObject* parent = nullptr);
    ~Desk() override;

    /// These put another job on the desk; on failure they say why and leave what was there.
    bool openJob(const QString& path);
    bool openDemo();
    bool createJob(const edit::NewJob& wanted, const QString& path);

    /// From memory into a file that the job has from now on.
    bool saveTo(const QString& path);

    [[nodiscard]] Document* document() const { return document_.get(); }

    [[nodiscard]] const Sight& sight() const { return sight_; }

    /// In words what is looked at in place of the present; empty: the present.
    [[nodiscard]] const Words& lookedAt() const { return lookedAt_; }

    /// True when the picture shows the present state and the file holds it.
    [[nodiscard]] bool settled() const;

    /// The evaluation of the present has caught up.
    [[nodiscard]] bool evaluated() const { return !evaluator_.busy(); }

    /// Why the last change could not be written; empty where it could.
    [[nodiscard]] const QString& writingFails() const { return writingFails_; }

    void apply(const edit::Edit& edit);

    /// What would an edit do? Controls stay as they are, under the hand.
    void preview(const edit::Edit& edit);

    /// Another state in place of the present, controls and all.
    void look(const job::Job& job, const Words& name);
    void endLook();

    /// What is judged by from the next evaluation on.
    void setTables(const evaluation::Tables& tables) { evaluator_.setTables(tables); }

    /// What is judged by has changed: the same job once more.
    void evaluateAgain();

    /// An edit that has to be computed first, off the window's thread, from the newest evaluation;
    /// then it is applied, or looked at. Those to be applied wait for each other, none is lost; of
    /// looks only the newest counts.
    void applyMade(const EditMaker& make) { makeFirst(make, Purpose::present); }

    void previewMade(const EditMaker& make) { makeFirst(make, Purpose::preview); }

    void chooseCabinet(const std::string& id);

    /// By id or by name; the cabinet that holds it is chosen with it.
    void chooseDriver(const QString& driver);
    [[nodiscard]] const job::Driver* driverNamed(const QString& driver) const;

    void tell(Gravity gravity, const QString& text) { Q_EMIT told(gravity, text); }

    /// False, and says so, while changes wait that no file holds; the second time in a row they
    /// may be left behind.
    [[nodiscard]] bool mayLeave();

Q_SIGNALS:
    void opened();       ///< another job is on the desk
    void sightChanged(); ///< anything to be seen is different
    void savedChanged();
    void recorded(); ///< snapshots or log changed
    void told(yf::app::Gravity gravity, const QString& text);

    /// The same with something that can be done about it.
    void offered(yf::app::Gravity gravity,
                 const QString& text,
                 const QString& action,
                 const std::function<void()>& act);

    /// Changes are kept in memory only, or could not be written: a place is wanted.
    void placeWanted(const QString& why);

private:
    /// False, and says why, where there is no document.
    bool take(Result<std::unique_ptr<Document>> document,
              std::shared_ptr<OpeningTrail> trail = nullptr);
    void guardEvaluation();
    void tellLeftUncomputed();
    void closeTrail();
    void tellHold();
    void tellLeftOut();
    void submit();
    void showResult(const std::shared_ptr<const Evaluated>& result);
    void lookAt(const job::Job& job, const Words& name, bool whole);
    void keepDemoIfChanged();
    void keepSightInJob();
    void remember();
    void makeFirst(const EditMaker& make, Purpose purpose);
    void dropWantedLooks();
    void beginMaking();
    void finishMaking();

    std::unique_ptr<QTemporaryDir> demoFolder_;
    std::unique_ptr<Document> document_;
    Evaluator evaluator_;
    Sight sight_;
    Words lookedAt_;
    std::uint64_t lookRevision_{};
    bool lookIsWhole_{};
    std::shared_ptr<OpeningTrail> trail_; ///< of the open job; null: made here, not opened
    bool pictureStands_{};
    std::uint64_t firstRevision_{}; ///< of the open job; what comes before belongs to another
    bool warned_{};
    QString writingFails_;

    /// An edit on its way.
    struct Making {
        EditMaker make;
        Purpose purpose{};
        std::shared_ptr<const Evaluated> from;
        std::optional<Result<edit::Edit>> made;
    };

    std::vector<Making> wanted_;     ///< wait for the evaluation, or for the one before
    std::shared_ptr<Making> making_; ///< the work's thread writes `made`
    Aside aside_;
};

} // namespace yf::app
