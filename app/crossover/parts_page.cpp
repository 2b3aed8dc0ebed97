// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/parts_page.h"

#include "app/crossover/diagram.h"
#include "app/crossover/drawer.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/edit/network.h"
#include "core/evaluation/assemble.h"
#include "core/network/circuit/line_edit.h"
#include "core/network/exchange/export.h"
#include "core/network/judge/power.h"
#include "core/quantity/quantities.h"
#include "core/text/sentence.h"

#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>
#include <array>

namespace yf::app {

namespace {

constexpr int draws = 300;

const quantity::Quantity driveOf{
    "U", "drive_v", 1.0, "V", 0.1, 200.0, "of the amplifier, programme, rms"};

QString number(double value, int digits) {
    return figures(text::printFixed(value, digits));
}

const char* unitOf(network::PartKind kind) {
    static constexpr const char* units[] = {"Ω", "H", "F"};
    return units[static_cast<std::size_t>(kind)];
}

QString valueOf(network::PartKind kind, double value) {
    return figures(text::printEngineering(value, unitOf(kind)));
}

const quantity::Quantity priceOf{"", "price", 1.0, "", 0.0, 1e6, "of a part"};

/// The list's own figures, as the fields stand.
std::array<double*, 7> pricesOf(network::Prices& prices) {
    return {&prices.resistor,
            &prices.coil,
            &prices.coilPerMillihenry,
            &prices.film,
            &prices.filmPerMicrofarad,
            &prices.electrolytic,
            &prices.electrolyticPerMicrofarad};
}

/// "6.8 µF + 0.22 µF": two parts of a series for one value.
QString pairWords(const study::StudiedPart& part) {
    if (!part.pair) {
        return QStringLiteral("✓");
    }
    const network::PartKind kind = part.listed.part.kind;
    const QString both = valueOf(kind, part.pair->second) +
                         (part.pair->join == network::Joining::series ? QStringLiteral(" + ")
                                                                      : QStringLiteral(" ∥ ")) +
                         valueOf(kind, part.pair->first);
    return both;
}

QString madeWords(const study::StudiedPart& part) {
    const network::Part& p = part.listed.part;
    constexpr double millimetres = 1e3;
    if (part.coil) {
        return PartsPage::tr("air coil, wire %1 mm, %2 mm across")
            .arg(number(millimetres * part.coil->wire, 1),
                 number(millimetres * part.coil->diameter, 0));
    }
    switch (p.kind) {
    case network::PartKind::resistor:
        // At most half its rating in a closed box (rule of thumb).
        return PartsPage::tr("rated %1 W or more")
            .arg(number(std::max(1.0, 2.0 * part.listed.watts), 0));
    case network::PartKind::coil:
        return PartsPage::tr("no air coil of round wire");
    case network::PartKind::capacitor:
        break;
    }
    return network::isElectrolytic(p) ? PartsPage::tr("electrolytic, non-polar")
                                      : PartsPage::tr("film");
}

QTableWidgetItem* cell(const QString& text, bool figure) {
    auto* item = new QTableWidgetItem(text);
    if (figure) {
        item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
    }
    return item;
}

/// What the largest coils need as room.
QString coilWords(const study::PartsStudy& study) {
    double widest = 0.0;
    int coils = 0;
    for (const study::StudiedPart& part : study.parts) {
        coils += part.listed.part.kind == network::PartKind::coil ? 1 : 0;
        widest = std::max(widest, part.coil ? part.coil->diameter : 0.0);
    }
    if (coils < 2 || widest <= 0.0) {
        return {};
    }
    constexpr double apart = 1.5;
    constexpr double millimetres = 1e3;
    return PartsPage::tr("Coils (computed for equal ones of least wire): side by side and touching "
                         "they couple by 5 %, %1 mm between "
                         "centres leave 1 %; turned by 90° with one's axis through the middle of "
                         "the other, nothing. Never stack them.")
        .arg(number(millimetres * apart * widest, 0));
}

} // namespace

PartsPage::PartsPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("parts_page"));
    drive_ = quantityField(
        this, driveOf, text::Unit::none, QStringLiteral("parts_drive"), tr("Drive in volts"));
    drive_->setValue(network::usualDrive);
    table_ = readTable(this,
                       QStringLiteral("parts_table"),
                       tr("Parts of the network"),
                       {tr("part"),
                        tr("way"),
                        tr("value"),
                        tr("in E12"),
                        tr("made as"),
                        tr("heat, W"),
                        tr("peak, V"),
                        tr("tolerance, dB"),
                        tr("price")},
                       4);
    summary_ = stillLabel(this, QStringLiteral("parts_summary"));
    coils_ = stillLabel(this, QStringLiteral("parts_coils"));
    auto* controls = new QWidget(this);
    auto* row = new FlowLayout(controls);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(6);
    addLabelled(row, tr("programme of, V"), drive_, 70);
    const std::pair<const char*, QString> files[] = {{"list", tr("Parts list …")},
                                                     {"netlist", tr("Netlist …")},
                                                     {"filters", tr("Filters …")},
                                                     {"svg", tr("Wiring, SVG …")},
                                                     {"pdf", tr("Wiring, PDF …")}};
    for (const auto& [name, text] : files) {
        auto* button = new QPushButton(text, controls);
        button->setObjectName(QStringLiteral("parts_%1").arg(QLatin1String(name)));
        connect(button, &QPushButton::clicked, this, [this, what = name] { offer(what); });
        row->addWidget(button);
        if (QLatin1String(name) == QLatin1String("filters")) {
            filters_ = button;
            button->setToolTip(tr("What stands before the amplifiers, as sections of second order "
                                  "for 48 kHz: a table for a digital crossover."));
        }
    }
    buildPrices();
    auto* list = chip(controls, QStringLiteral("parts_prices"), tr("Price list"));
    connect(list, &QToolButton::toggled, prices_, &QWidget::setVisible);
    row->addWidget(list);
    drawer_ = new Drawer(this);
    drawer_->hide();
    auto* own = chip(controls, QStringLiteral("parts_own"), tr("Own parts"));
    connect(own, &QToolButton::toggled, drawer_, &QWidget::setVisible);
    connect(drawer_, &Drawer::changed, this, [this](const network::Stock& stock) {
        Q_EMIT edited(edit::changeStock(stock));
    });
    row->addWidget(own);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addWidget(controls);
    column->addWidget(prices_);
    column->addWidget(drawer_);
    column->addWidget(summary_->parentWidget());
    column->addWidget(table_, 1);
    column->addWidget(coils_->parentWidget());
    tellProblems(drive_, summary_);
    connect(drive_, &QuantityField::valueChanged, this, [this] {
        stale_ = true;
        study();
    });
    connect(table_, &QTableWidget::cellActivated, this, [this](int line, int) {
        Q_EMIT partWanted(table_->item(line, 0)->text());
    });
}

void PartsPage::buildPrices() {
    prices_ = new QWidget(this);
    auto* row = new FlowLayout(prices_);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(6);
    const QString labels[] = {tr("resistor"),
                              tr("coil"),
                              tr("and per mH"),
                              tr("film"),
                              tr("and per µF"),
                              tr("electrolytic"),
                              tr("and per µF")};
    for (const QString& label : labels) {
        const auto number = priceFields_.size();
        auto* field = quantityField(prices_,
                                    priceOf,
                                    text::Unit::none,
                                    QStringLiteral("price_%1").arg(number),
                                    tr("Price: %1").arg(label));
        priceFields_ << field;
        addLabelled(row, label, field, 60);
        tellProblems(field, summary_);
        connect(field, &QuantityField::valueChanged, this, [this] {
            if (filling_ || !evaluated_) {
                return;
            }
            network::Prices prices = evaluated_->job.prices;
            qsizetype next = 0;
            for (double* price : pricesOf(prices)) {
                *price = priceFields_[next++]->value();
            }
            Q_EMIT edited(edit::changePrices(prices));
        });
    }
    prices_->hide();
}

void PartsPage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    study();
}

void PartsPage::display(const Sight& sight) {
    const Evaluated& shown = sight.shown();
    const job::Cabinet* cabinet = sight.shownCabinet();
    evaluated_ = sight.preview ? sight.preview : sight.present;
    if (cabinet == nullptr) {
        return;
    }
    drawer_->display(shown.job.stock);
    network::Prices prices = shown.job.prices;
    filling_ = true;
    qsizetype next = 0;
    for (const double* price : pricesOf(prices)) {
        priceFields_[next++]->offer(*price);
    }
    filling_ = false;
    stale_ = stale_ || !(prices == studiedPrices_) || cabinet->id != cabinet_ ||
             !(cabinet->circuit == studied_) || curves_ != shown.assembly.get();
    cabinet_ = cabinet->id;
    filters_->setVisible(network::lineOf(cabinet->circuit, 0).has_value());
    study();
}

void PartsPage::study() {
    if (!stale_ || !isVisible() || !evaluated_) {
        return;
    }
    stale_ = false;
    const job::Cabinet& cabinet = *job::findCabinet(evaluated_->job, cabinet_);
    studied_ = cabinet.circuit;
    studiedPrices_ = evaluated_->job.prices;
    curves_ = evaluated_->assembly.get();
    const auto study = study::partsStudy(evaluated_->job,
                                         cabinet,
                                         *evaluated_->assembly,
                                         drive_->value(),
                                         network::ESeries::E12,
                                         draws);
    if (!study) {
        table_->setRowCount(0);
        summary_->setText(spoken(text::sentence(study.error())));
        coils_->setText({});
        return;
    }
    fill(*study);
}

void PartsPage::fill(const study::PartsStudy& study) {
    table_->setRowCount(static_cast<int>(study.parts.size()));
    for (int line = 0; line < table_->rowCount(); ++line) {
        const study::StudiedPart& part = study.parts[static_cast<std::size_t>(line)];
        const network::Part& p = part.listed.part;
        const bool cause = std::ranges::find(study.causes, p.id) != study.causes.end();
        const std::pair<QString, bool> cells[] = {
            {words(p.id), false},
            {words(part.listed.way), false},
            {valueOf(p.kind, p.value), true},
            {pairWords(part), false},
            {madeWords(part), false},
            {number(part.listed.watts, 2), true},
            {number(part.listed.volts, 0), true},
            {study.heard ? QStringLiteral("–")
                         : (cause ? QStringLiteral("▲ ") : QString()) + number(part.atWorst, 2),
             true},
            {number(part.listed.price, 2), true}};
        int column = 0;
        for (const auto& [text, figure] : cells) {
            table_->setItem(line, column++, cell(text, figure));
        }
    }
    summary_->setText(summary(study));
    coils_->setText(coilWords(study));
}

QString PartsPage::summary(const study::PartsStudy& study) const {
    QString said = tr("%1 parts, together %2 by the price list (rules of thumb until you set it).")
                       .arg(study.parts.size())
                       .arg(number(study.price, 2));
    if (study.heard) {
        return said + u' ' + tr("What tolerances do is not known: %1.").arg(spoken(*study.heard));
    }
    const job::Cabinet& cabinet = *job::findCabinet(evaluated_->job, cabinet_);
    said +=
        u' ' + tr("With all parts at the ends of their tolerances the sum moves by up to %1 dB.")
                   .arg(number(study.worst, 1));
    if (study.yield) {

        said +=
            u' ' + tr("Of %1 cabinets drawn %2 stay within ±%3 dB of the curve above (taken where "
                      "a part does not say it: ±5 %, capacitors ±10 %).")
                       .arg(draws)
                       .arg(number(draws * *study.yield, 0), number(cabinet.target.tolerance, 1));
    }
    if (!study.causes.empty()) {
        QStringList ids;
        for (const std::string& id : study.causes) {
            ids << words(id);
        }
        said += u' ' + tr("Most of it is done by %1: to measure and pair these helps more than "
                          "close tolerances everywhere.")
                           .arg(ids.join(QStringLiteral(", ")));
    }
    return said;
}

void PartsPage::offer(const char* what) {
    const job::Cabinet* cabinet =
        evaluated_ ? job::findCabinet(evaluated_->job, cabinet_) : nullptr;
    if (cabinet == nullptr) {
        return;
    }
    const QString name = words(cabinet->name).toLower().replace(u' ', u'-');
    const QLatin1String kind(what);
    if (kind == QLatin1String("svg")) {
        Q_EMIT fileOffered(tr("Save the wiring"),
                           name + QStringLiteral("-wiring.svg"),
                           diagramSvg(evaluated_->job, *cabinet));
        return;
    }
    if (kind == QLatin1String("pdf")) {
        Q_EMIT fileOffered(tr("Save the wiring"),
                           name + QStringLiteral("-wiring.pdf"),
                           diagramPdf(evaluated_->job, *cabinet));
        return;
    }
    if (kind == QLatin1String("filters")) {
        const auto text = network::csvOfLines(cabinet->circuit);
        if (!text) {
            summary_->setText(QStringLiteral("▲ ") + spoken(text::sentence(text.error())));
            return;
        }
        Q_EMIT fileOffered(tr("Save the filters"),
                           name + QStringLiteral("-filters.csv"),
                           QByteArray::fromStdString(*text));
        return;
    }
    const auto network = evaluation::networkOf(evaluated_->job, *cabinet, *evaluated_->assembly);
    const bool list = kind == QLatin1String("list");
    const auto made = network
                          ? network::exportNetwork({.network = *network,
                                                    .format = list ? network::ExportFormat::csvParts
                                                                   : network::ExportFormat::spice,
                                                    .voltage = drive_->value(),
                                                    .prices = evaluated_->job.prices})
                          : Result<network::ExportAnswer>(network.error());
    if (!made) {
        summary_->setText(QStringLiteral("▲ ") + spoken(text::sentence(made.error())));
        return;
    }
    Q_EMIT fileOffered(list ? tr("Save the parts list") : tr("Save the netlist"),
                       name +
                           (list ? QStringLiteral("-parts.csv") : QStringLiteral("-network.cir")),
                       QByteArray::fromStdString(made->text));
}

} // namespace yf::app
