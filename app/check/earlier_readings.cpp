// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/earlier_readings.h"

#include "app/theme/theme.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"
#include "core/text/number.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>

namespace yf::app {

namespace {

QString inUnit(double value, const char* unit) {
    return figures(text::printEngineering(value, unit));
}

/// Figures as the instrument showed them, what they mean, and what read them.
QString said(const job::BenchReading& r) {
    QStringList shown;
    for (const auto& ohms : r.ohms) {
        shown << (ohms ? figures(text::printSignificant(*ohms, 5)) : QStringLiteral("OL"));
    }
    if (r.frequency) {
        shown << inUnit(*r.frequency, "Hz") << (r.r ? inUnit(*r.r, "Ω") : QStringLiteral("OL"));
        if (r.l) {
            shown << inUnit(*r.l, "H");
        }
    }
    if (r.leads > 0.0) {
        shown << EarlierReadings::tr("leads %1").arg(inUnit(r.leads, "Ω"));
    }
    if (!r.outcome.empty()) {
        shown << spoken(bench::outcomeInWords(r.check, r.outcome));
    }
    if (!r.instrument.empty()) {
        shown << words(r.instrument);
    }
    return shown.join(QStringLiteral(" · "));
}

} // namespace

EarlierReadings::EarlierReadings(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("check_earlier"));
}

void EarlierReadings::display(const job::Job& job, const Subject& subject, bool maySetAside) {
    qDeleteAll(findChildren<QWidget*>(QString{}, Qt::FindDirectChildrenOnly));
    delete layout();
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 2, 0, 0);
    column->setSpacing(2);
    for (auto r = job.readings.rbegin(); r != job.readings.rend(); ++r) {
        if (r->check == subject.check && r->cabinet == subject.cabinet &&
            r->driver == subject.driver) {
            addLine(*r, maySetAside);
        }
    }
}

void EarlierReadings::addLine(const job::BenchReading& reading, bool maySetAside) {
    auto* line = new QWidget(this);
    auto* row = new QHBoxLayout(line);
    row->setContentsMargins(0, 0, 0, 0);
    QLabel* label = wrappedLabel(line, {});
    label->setText(QStringLiteral("%1  %2").arg(words(reading.at).mid(0, 16).replace(u'T', u' '),
                                                said(reading)));
    tint(label, theme().quietInk);
    QFont font = label->font();
    font.setStrikeOut(reading.setAside);
    label->setFont(font);
    row->addWidget(label, 1);
    auto* aside = new QToolButton(line);
    aside->setText(reading.setAside ? tr("count again") : tr("set aside"));
    aside->setObjectName(QStringLiteral("aside_") + words(reading.id));
    aside->setProperty("link", true);
    aside->setAccessibleName(tr("%1: reading of %2").arg(aside->text(), words(reading.at)));
    aside->setVisible(maySetAside);
    connect(
        aside, &QToolButton::clicked, this, [this, id = words(reading.id), now = reading.setAside] {
            // Later: the button must not be gone while it still speaks.
            QMetaObject::invokeMethod(
                this, [this, id, now] { Q_EMIT asideWanted(id, !now); }, Qt::QueuedConnection);
        });
    row->addWidget(aside, 0, Qt::AlignTop);
    layout()->addWidget(line);
}

} // namespace yf::app
