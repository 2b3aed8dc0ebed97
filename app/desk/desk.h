// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/document/document.h"
#include "app/evaluation/evaluator.h"
#include "app/stage.h"
#include "app/widgets/notice.h"
#include "core/job/new_job.h"

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
    bool createJob(const job::NewJob& wanted, const QString& path);

    /// From memory into a file that the job has from now on.
    bool saveTo(const QString& path);

    [[nodiscard]] Document* document() const { return document_.get(); }

    [[nodiscard]] const Sight& sight() const { return sight_; }

    /// In words what is looked at in place of the present; empty: the present.
    [[nodiscard]] const QString& lookedAt() const { return lookedAt_; }

    /// True when the picture shows the present state and the file holds it.
    [[nodiscard]] bool settled() const;

    /// The evaluation of the present has caught up.
    [[nodiscard]] bool evaluated() const { return !evaluator_.busy(); }

    /// Why the last change could not be written; empty where it could.
    [[nodiscard]] const QString& writingFails() const { return writingFails_; }

    void apply(const job::Edit& edit);

    /// What would an edit do? Controls stay as they are, under the hand.
    void preview(const job::Edit& edit);

    /// Another state in place of the present, controls and all.
    void look(const job::Job& job, const QString& name);
    void endLook();

    /// What is judged by has changed: the same job once more.
    void evaluateAgain();

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

    /// Changes are kept in memory only, or could not be written: a place is wanted.
    void placeWanted(const QString& why);

private:
    /// False, and says why, where there is no document.
    bool take(Result<std::unique_ptr<Document>> document);
    void tellHold();
    void submit();
    void showResult(const std::shared_ptr<const Evaluated>& result);
    void lookAt(const job::Job& job, const QString& name, bool whole);
    void keepDemoIfChanged();
    void keepSightInJob();
    void remember();

    std::unique_ptr<QTemporaryDir> demoFolder_;
    std::unique_ptr<Document> document_;
    Evaluator evaluator_;
    Sight sight_;
    QString lookedAt_;
    std::uint64_t lookRevision_{};
    bool lookIsWhole_{};
    std::uint64_t firstRevision_{}; ///< of the open job; what comes before belongs to another
    bool warned_{};
    QString writingFails_;
};

} // namespace yf::app
