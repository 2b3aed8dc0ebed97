// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/job_commands.h"

#include "app/widgets/words.h"
#include "core/findings/rules.h"
#include "core/findings/words.h"
#include "core/job/lookup.h"

#include <QCoreApplication>

namespace yf::app {

QVector<Command> jobCommands(const Evaluated& present, const JobActions& actions) {
    QVector<Command> all;
    const job::Job& job = present.job;
    for (const job::Cabinet& cabinet : job.cabinets) {
        all.push_back({words(cabinet.name),
                       QCoreApplication::translate("yf::app::MainWindow", "cabinet"),
                       {},
                       [actions, id = cabinet.id] { actions.chooseCabinet(id); }});
        for (const job::Mount& mount : cabinet.mounts) {
            const QString text = words(job::findDriver(job, mount.driver)->name) +
                                 QStringLiteral(" · ") + words(cabinet.name);
            all.push_back({text,
                           QCoreApplication::translate("yf::app::MainWindow", "driver"),
                           {},
                           [actions, id = mount.driver] { actions.lookAtDriver(id); }});
        }
    }
    for (const job::Driver& driver : job.drivers) {
        for (const job::TakeKind kind : {job::TakeKind::response, job::TakeKind::impedance}) {
            if (const job::Take* take = job::takeInUse(job, driver, kind)) {
                all.push_back({words(take->name),
                               QCoreApplication::translate("yf::app::MainWindow", "take"),
                               {},
                               [actions, id = driver.id] { actions.lookAtDriver(id); }});
            }
        }
    }
    for (const findings::Finding& finding : present.findings.judgement.findings) {
        const findings::Rule& rule = findings::rules()[finding.rule];
        all.push_back({spoken(rule.what) + QStringLiteral(" · ") +
                           spoken(findings::subjectText(job, finding.subject)),
                       QCoreApplication::translate("yf::app::MainWindow", "finding"),
                       {},
                       [actions, finding] { actions.showFinding(finding); }});
    }
    return all;
}

} // namespace yf::app
