// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/read_page.h"

#include "app/box/box_pictures.h"
#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/edit/box.h"
#include "core/quantity/level.h"
#include "core/take/box.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

namespace yf::app {

namespace {

/// "40.6 ± 0.1 Hz" with 95 % limits, as many digits as they deserve.
QString sure(const box::Sure& s, double unit, const QString& name) {
    const double value = s.value / unit;
    const double u = quantity::coverage95 * s.u * value;
    const int decimals =
        u <= 0.0 ? 2 : std::clamp(static_cast<int>(std::ceil(-std::log10(u))) + 0, 0, 4);
    const QString text = figures(text::printFixed(value, decimals)) + QStringLiteral(" ± ") +
                         figures(text::printFixed(u, decimals));
    return name.isEmpty() ? text : text + QChar(0x202F) + name;
}

struct Row {
    QString name;
    QString found;
    QString expected;
};

QString number(double v, int digits) {
    return figures(text::printSignificant(v, digits));
}

/// fs, Qms and Qes of the driver, as a ported box lets them be seen.
void putDriver(QVector<Row>& rows, const box::ReadBack& r, const evaluation::BoxResult* box) {
    const box::Driver* d = box == nullptr ? nullptr : &box->known.driver;
    rows.push_back({QStringLiteral("fs"),
                    sure(r.f, 1.0, QStringLiteral("Hz")),
                    d == nullptr ? QString{} : hertz(d->fs)});
    rows.push_back(
        {QStringLiteral("Qms"), sure(r.Qm, 1.0, {}), d == nullptr ? QString{} : number(d->Qms, 3)});
    rows.push_back(
        {QStringLiteral("Qes"), sure(r.Qe, 1.0, {}), d == nullptr ? QString{} : number(d->Qes, 3)});
    rows.push_back({QStringLiteral("Qts"), number(r.Qt(), 3), {}});
}

/// fc and the Qs of driver and box together, all that a sealed one shows.
void putSealed(QVector<Row>& rows, const box::ReadBack& r, const evaluation::BoxResult* box) {
    rows.push_back({QStringLiteral("fc"),
                    sure(r.f, 1.0, QStringLiteral("Hz")),
                    box != nullptr && box->fc ? hertz(*box->fc) : QString{}});
    rows.push_back({QStringLiteral("Qmc"), sure(r.Qm, 1.0, {}), {}});
    rows.push_back({QStringLiteral("Qec"), sure(r.Qe, 1.0, {}), {}});
    rows.push_back({QStringLiteral("Qtc"),
                    number(r.Qt(), 3),
                    box != nullptr && box->Qtc ? number(*box->Qtc, 3) : QString{}});
}

/// `box`: what is expected; null where nothing is known.
QVector<Row> rowsOf(const box::ReadBack& r, const evaluation::BoxResult* box) {
    QVector<Row> rows;
    if (r.fb) {
        rows.push_back({QStringLiteral("fb"),
                        sure(*r.fb, 1.0, QStringLiteral("Hz")),
                        box != nullptr && box->fb ? hertz(*box->fb) : QString{}});
        rows.push_back(
            {QStringLiteral("QL"), sure(*r.QL, 1.0, {}), ReadPage::tr("7 to 15 if tight")});
    }
    if (r.alpha) {
        rows.push_back({QStringLiteral("α"),
                        sure(*r.alpha, 1.0, {}),
                        box == nullptr ? QString{} : number(box->alpha, 3)});
    }
    r.fb ? putDriver(rows, r, box) : putSealed(rows, r, box);
    rows.push_back({QStringLiteral("Re"),
                    sure(r.Re, 1.0, QStringLiteral("Ω")),
                    box == nullptr ? QString{} : number(box->known.driver.Re, 3)});
    if (r.Vas) {
        rows.push_back({QStringLiteral("Vas"),
                        sure(*r.Vas, 1e-3, QStringLiteral("l")),
                        box == nullptr ? QString{} : litres(box->known.driver.Vas)});
    }
    return rows;
}

QString verdictWords(const box::ReadBack& r) {
    switch (box::verdictOf(r)) {
    case box::ReadVerdict::portIdle:
        return ReadPage::tr("■ The port does nothing: blocked, stuffed or torn off.");
    case box::ReadVerdict::leaks:
        return ReadPage::tr("■ The box leaks.");
    case box::ReadVerdict::notTight:
        return ReadPage::tr("▲ Tuned to %1, but not tight: QL %2.")
            .arg(hertz(r.fb->value), number(r.QL->value, 2));
    case box::ReadVerdict::tuned:
        return ReadPage::tr("✓ Tuned to %1, tight.").arg(hertz(r.fb->value));
    case box::ReadVerdict::sealed:
        return ReadPage::tr("✓ Sealed, resonance %1, Q %2.")
            .arg(hertz(r.f.value), number(r.Qt(), 2));
    }
    return {};
}

} // namespace

ReadPage::ReadPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("read_page"));
    takes_ =
        narrowCombo(this, QStringLiteral("read_take"), tr("Impedance take made in the box"), 20);
    verdict_ = wrappedLabel(this, QStringLiteral("read_verdict"), 11.0, QFont::DemiBold);
    notes_ = wrappedLabel(this, QStringLiteral("read_notes"));
    table_ = readTable(this,
                       QStringLiteral("read_table"),
                       tr("What the curve tells, with 95 % limits"),
                       {tr("Figure"), tr("From the curve, 95 %"), tr("Expected")},
                       1);
    use_ = new QPushButton(tr("Use its losses in the model"), this);
    use_->setObjectName(QStringLiteral("read_use"));
    open_ = new QPushButton(tr("Open a table …"), this);
    open_->setObjectName(QStringLiteral("read_open"));
    plot_ = new Plot(PlotKind::impedance, QStringLiteral("read_plot"), tr("Curve and model"), this);
    auto* side = new QVBoxLayout;
    side->setSpacing(6);
    side->addWidget(takes_);
    side->addWidget(verdict_);
    side->addWidget(table_, 1);
    side->addWidget(notes_);
    side->addWidget(use_);
    side->addWidget(open_);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(12);
    both->addLayout(side, 3);
    both->addWidget(plot_, 4);
    connect(takes_, &QComboBox::currentIndexChanged, this, &ReadPage::read);
    connect(use_, &QPushButton::clicked, this, [this] {
        if (read_ && *read_ && (*read_)->QL) {
            job::Enclosure e = enclosure_;
            e.QL = (*read_)->QL->value;
            Q_EMIT edited(edit::changeBox(
                cabinet_, e, YF_WORDS("core", "Use the losses read from the impedance")));
        }
    });
    connect(open_, &QPushButton::clicked, this, [this] {
        Q_EMIT tablesWanted(words(enclosure_.driver));
    });
}

void ReadPage::display(const BoxSight& b) {
    cabinet_ = b.cabinet.id;
    enclosure_ = b.enclosure;
    evaluated_ = b.sight.preview ? b.sight.preview : b.sight.present;
    const QVariant before = takes_->currentData();
    const QSignalBlocker quiet(takes_);
    takes_->clear();
    for (const job::Take* take : take::impedanceTakes(evaluated_->job, enclosure_.driver)) {
        const bool free = take->recorded.mounting == job::Mounting::free;
        takes_->addItem(
            words(take->name + ", " + take->id) +
                (free ? QStringLiteral(" · ") + tr("not said to be in a box") : QString{}),
            words(take->id));
    }
    const int again = takes_->findData(before);
    // A free driver read as one in a box would be told to have its port blocked.
    const bool boxed = !take::boxTakes(evaluated_->job, enclosure_.driver).empty();
    takes_->setCurrentIndex(again >= 0 ? again : boxed ? takes_->count() - 1 : -1);
    read();
}

void ReadPage::read() {
    const std::string id = takes_->currentData().toString().toStdString();
    const job::Take* take = job::findTake(evaluated_->job, id);
    use_->setEnabled(false);
    if (take == nullptr) {
        read_.reset();
        readKey_.clear();
        table_->setRowCount(0);
        verdict_->setText(tr("No impedance of this driver in its box yet."));
        notes_->setText(tr("Sweep it at its lugs with the network taken off, under 0.1 V, and say "
                           "“in a vented box” or “in a closed box” when you record it."));
        Picture none;
        none.empty = tr("Sweep the driver in its box to read the box back.");
        plot_->display(none);
        return;
    }
    const evaluation::CabinetResult* result = evaluated_->evaluation.find(cabinet_);
    const evaluation::BoxResult* box = result == nullptr ? nullptr : result->box(enclosure_.driver);
    if (box == nullptr) {
        return;
    }
    const std::string key = take->curveKey + "/" + text::printNumber(box->volumes.net) + "/" +
                            text::printNumber(box->fb.value_or(0.0));
    if (key != readKey_) {
        readKey_ = key;
        read_.emplace(study::readBackOf(enclosure_, *box, *take));
        if (*read_) {
            plot_->setCrosshair((*read_)->fb ? (*read_)->fb->value : (*read_)->f.value);
        }
    }
    Picture picture;
    picture.scale = job::HouseScale{job::ScaleKind::impedance, 10.0, 1000.0, 2.0, 200.0};
    picture.traces.push_back(traceOf(
        {QStringLiteral("measured"), tr("measured")}, theme().sum, *take->curve, Shown::modulus));
    if (!*read_) {
        verdict_->setText(QStringLiteral("▲ ") + spoken(text::sentence(read_->error())));
        table_->setRowCount(0);
        notes_->clear();
        plot_->display(picture);
        return;
    }
    const box::ReadBack& r = **read_;
    picture.traces.push_back(traceOf({QStringLiteral("model"), tr("model")},
                                     theme().ways[3],
                                     take->curve->frequencies(),
                                     r.model,
                                     Shown::modulus));
    picture.foot = tr("model within %1 % of the curve, in the middle")
                       .arg(figures(text::printFixed(100.0 * r.rms, 2)));
    plot_->display(picture);
    show(r);
    use_->setEnabled(r.QL.has_value());
}

void ReadPage::show(const box::ReadBack& r) {
    const evaluation::CabinetResult* result = evaluated_->evaluation.find(cabinet_);
    const evaluation::BoxResult* box = result->box(enclosure_.driver);
    const QVector<Row> rows = rowsOf(r, box->problem.empty() ? box : nullptr);
    table_->setRowCount(static_cast<int>(rows.size()));
    for (int i = 0; i < rows.size(); ++i) {
        table_->setItem(i, 0, new QTableWidgetItem(rows[i].name));
        table_->setItem(i, 1, new QTableWidgetItem(rows[i].found));
        table_->setItem(i, 2, new QTableWidgetItem(rows[i].expected));
    }
    QString verdict = verdictWords(r);
    if (box::offTuning(r)) {
        verdict += u' ' + tr("▲ %1 % off what is meant.")
                              .arg(figures(text::printFixed(100.0 * *r.tuningError, 0)));
    }
    verdict_->setText(verdict);
    QStringList notes;
    for (const Words& n : r.notes) {
        notes << spoken(n);
    }
    notes_->setText(notes.join(QLatin1Char('\n')));
}

} // namespace yf::app
