// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/wood_page.h"

#include "app/theme/theme.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/box/panel.h"
#include "core/text/number.h"

#include <QComboBox>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QSpinBox>
#include <QTableWidget>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity outside{"", "outside_m", 1.0, "m", 0.05, 5.0, "outer size"};
const q::Quantity board{"t", "board_m", 1.0, "m", 0.003, 0.1, "thickness of the board"};
const q::Quantity deadRoom{"", "dead_m", 1.0, "m", 0.0, 3.0, "chamber sealed off on top"};
const q::Quantity taken{"V", "taken_l", 1e-3, "", 0.0, 200.0, "taken away"};
const q::Quantity cut{"", "kerf_m", 1.0, "m", 0.0, 0.01, "of the saw"};

constexpr double inch = 0.0254;

QString lengthText(double metres, bool inches) {
    return inches
               ? figures(text::printFixed(metres / inch, 2)) + QStringLiteral("″")
               : figures(text::printFixed(1e3 * metres, 1)) + QChar(0x202F) + QStringLiteral("mm");
}

/// Two digits are what such a bracket deserves.
QString roughly(double hertz) {
    const double step = std::pow(10.0, std::floor(std::log10(hertz)) - 1.0);
    return figures(text::printFixed(step * std::round(hertz / step), 0));
}

QString panelName(const std::string& name) {
    return name == "side"    ? WoodPage::tr("side")
           : name == "back"  ? WoodPage::tr("back")
           : name == "front" ? WoodPage::tr("front")
                             : WoodPage::tr("top");
}

} // namespace

QString boardWords(const std::string& name) {
    return name == "side"             ? WoodPage::tr("side")
           : name == "top and bottom" ? WoodPage::tr("top and bottom")
           : name == "top"            ? WoodPage::tr("top")
           : name == "bottom"         ? WoodPage::tr("bottom")
           : name == "front"          ? WoodPage::tr("front")
           : name == "back"           ? WoodPage::tr("back")
           : name == "partition"      ? WoodPage::tr("partition")
           : name == "brace"          ? WoodPage::tr("brace")
           : name == "end disc"       ? WoodPage::tr("end disc, as a square")
                                      : words(name);
}

SheetView::SheetView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("sheet_view"));
    setAccessibleName(tr("Boards laid on their sheets"));
    setMinimumSize(220, 110);
}

void SheetView::display(std::vector<box::Board> boards, box::Sheet sheet, box::Layout layout) {
    boards_ = std::move(boards);
    sheet_ = sheet;
    layout_ = std::move(layout);
    setAccessibleDescription(tr("%1 sheets").arg(layout_.sheets));
    update();
}

void SheetView::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    const int sheets = std::max(layout_.sheets, 1);
    constexpr double gap = 8.0;
    const double scale = std::min((width() - gap * (sheets + 1)) / (sheets * sheet_.length),
                                  (height() - 2.0 * gap) / sheet_.width);
    painter.setFont(figureFont(7.5));
    for (int s = 0; s < layout_.sheets; ++s) {
        const QPointF corner(gap + s * (sheet_.length * scale + gap), gap);
        painter.setPen(QPen(theme().outline, 1.0));
        painter.setBrush(theme().sheet);
        painter.drawRect(QRectF(corner, QSizeF(sheet_.length * scale, sheet_.width * scale)));
        for (const box::Laid& laid : layout_.laid) {
            if (laid.sheet != s) {
                continue;
            }
            const QRectF at(corner + QPointF(laid.x * scale, laid.y * scale),
                            QSizeF(laid.length * scale, laid.width * scale));
            painter.setPen(QPen(theme().ink, 1.0));
            painter.setBrush(theme().ground);
            painter.drawRect(at);
            const QString name = boardWords(boards_.at(laid.board).name);
            const QString shown = painter.fontMetrics().elidedText(
                name, Qt::ElideRight, static_cast<int>(at.width()) - 4);
            if (at.height() > 12.0) {
                painter.drawText(at.adjusted(2, 0, -2, 0), Qt::AlignCenter, shown);
            }
        }
    }
}

WoodPage::WoodPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("wood_page"));
    buildFields();
    sum_ = wrappedLabel(this, QStringLiteral("wood_sum"), 11.0, QFont::DemiBold);
    advice_ = wrappedLabel(this, QStringLiteral("wood_advice"));
    brace_ = new QPushButton(tr("Brace it so"), this);
    brace_->setObjectName(QStringLiteral("wood_brace"));
    panels_ = wrappedLabel(this, QStringLiteral("wood_panels"));
    modes_ = wrappedLabel(this, QStringLiteral("wood_modes"));
    cuts_ = readTable(this,
                      QStringLiteral("wood_cuts"),
                      tr("Cut list"),
                      {tr("Board"), QStringLiteral("×"), tr("Size"), tr("Thick")});
    kerf_ = quantityField(
        this, cut, text::Unit::metre, QStringLiteral("wood_kerf"), tr("Width of the saw's cut"));
    kerf_->setLengths(Lengths::metric);
    kerf_->setValue(0.003);
    kerf_->setFixedWidth(80);
    sheets_ = wrappedLabel(this, QStringLiteral("wood_sheets"));
    sheet_ = new SheetView(this);
    save_ = new QPushButton(tr("Save the cut list …"), this);
    save_->setObjectName(QStringLiteral("wood_save"));

    auto* left = new QVBoxLayout;
    left->setSpacing(6);
    left->addWidget(headingLabel(this, tr("Wood")));
    left->addWidget(fields_);
    left->addWidget(sum_);
    left->addWidget(headingLabel(this, tr("Panels sing between (boards differ by ±20 %)")));
    left->addWidget(panels_);
    left->addWidget(headingLabel(this, tr("The air inside stands at, heard by")));
    left->addWidget(modes_);
    left->addWidget(advice_);
    left->addWidget(brace_, 0, Qt::AlignLeft);
    left->addStretch(1);
    auto* cutsHead = new QHBoxLayout;
    cutsHead->addWidget(headingLabel(this, tr("Cut list")));
    cutsHead->addStretch(1);
    auto* saw = new QLabel(tr("saw"), this);
    saw->setBuddy(kerf_);
    cutsHead->addWidget(saw);
    cutsHead->addWidget(kerf_);
    auto* right = new QVBoxLayout;
    right->setSpacing(6);
    right->addLayout(cutsHead);
    right->addWidget(cuts_, 2);
    right->addWidget(sheets_);
    right->addWidget(sheet_, 1);
    right->addWidget(save_, 0, Qt::AlignRight);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(12);
    both->addLayout(left, 1);
    both->addLayout(right, 1);
    connect(brace_, &QPushButton::clicked, this, [this] {
        change([this](job::Enclosure& e) { e.braces = advised_; });
    });
    connect(save_, &QPushButton::clicked, this, &WoodPage::save);
}

void WoodPage::buildFields() {
    fields_ = new QWidget(this);
    auto* flow = new FlowLayout(fields_);
    flow->setContentsMargins(0, 0, 0, 0);
    flow->setSpacing(6);
    const auto labelled = [flow](const QString& text, QWidget* widget, int width) {
        return addLabelled(flow, text, widget, width);
    };
    const auto field = [this](const q::Quantity& quantity,
                              text::Unit unit,
                              const char* name,
                              const QString& accessible) {
        auto* f = quantityField(fields_, quantity, unit, QLatin1String(name), accessible);
        connect(f, &QuantityField::problemChanged, this, [this](const QString& problem) {
            if (!problem.isEmpty()) {
                advice_->setText(QStringLiteral("▲ ") + problem);
            }
        });
        return f;
    };
    using U = text::Unit;
    height_ = field(outside, U::metre, "wood_height", tr("Height, outside"));
    width_ = field(outside, U::metre, "wood_width", tr("Width, outside"));
    depth_ = field(outside, U::metre, "wood_depth", tr("Depth, outside"));
    panel_ = field(board, U::metre, "wood_panel", tr("Thickness of the panels"));
    front_ = field(board, U::metre, "wood_front", tr("Thickness of the front"));
    front_->setMayBeEmpty(true);
    front_->setPlaceholderText(QStringLiteral("="));
    front_->setToolTip(tr("Empty: as the panels."));
    depthTop_ = field(outside, U::metre, "wood_depth_top", tr("Depth at the top, outside"));
    dead_ = field(deadRoom, U::metre, "wood_dead", tr("Height of the chamber sealed off"));
    driver_ = field(taken, U::none, "wood_driver", tr("Volume of basket and magnet, l"));
    driver_->setMayBeEmpty(true);
    driver_->setPlaceholderText(tr("usual"));
    network_ = field(taken, U::none, "wood_network", tr("Volume of the network, l"));
    constexpr int most = 12;
    braces_ = countField(fields_, QStringLiteral("wood_braces"), tr("Braces"), {0, most});
    material_ = narrowCombo(fields_, QStringLiteral("wood_material"), tr("Material"), 9);
    for (const box::Material& m : box::materials()) {
        material_->addItem(words(m.name), words(m.name));
    }
    shape_ = narrowCombo(fields_, QStringLiteral("wood_shape"), tr("Shape"), 9);
    shape_->addItems({tr("upright"), tr("sloped front"), tr("round")});
    constexpr int small = 70;
    constexpr int medium = 88;
    labelled(tr("height"), height_, medium);
    labelled(tr("width"), width_, medium);
    labelled(tr("depth"), depth_, medium);
    labelled(tr("shape"), shape_, 110);
    labelled(tr("at the top"), depthTop_, medium);
    labelled(tr("panels"), panel_, small);
    labelled(tr("front"), front_, small);
    labelled(tr("of"), material_, 130);
    labelled(tr("sealed off"), dead_, medium);
    labelled(tr("braces"), braces_, 60);
    labelled(tr("driver, l"), driver_, small);
    labelled(tr("network, l"), network_, small);
    connect(height_, &QuantityField::valueChanged, this, [this](double v) { size({.height = v}); });
    connect(width_, &QuantityField::valueChanged, this, [this](double v) { size({.width = v}); });
    connect(depth_, &QuantityField::valueChanged, this, [this](double v) { size({.depth = v}); });
    connect(panel_, &QuantityField::valueChanged, this, [this](double v) {
        change([v](job::Enclosure& e) { e.panel = v; });
    });
    connect(front_, &QuantityField::valueChanged, this, [this] {
        change([this](job::Enclosure& e) { e.front = front_->optionalValue(); });
    });
    connect(depthTop_, &QuantityField::valueChanged, this, [this](double v) {
        change([v](job::Enclosure& e) { e.depthTop = v; });
    });
    connect(dead_, &QuantityField::valueChanged, this, [this](double v) {
        change([v](job::Enclosure& e) { e.dead = v; });
    });
    connect(driver_, &QuantityField::valueChanged, this, [this] {
        change([this](job::Enclosure& e) { e.driverVolume = driver_->optionalValue(); });
    });
    connect(network_, &QuantityField::valueChanged, this, [this](double v) {
        change([v](job::Enclosure& e) { e.crossoverVolume = v; });
    });
    connect(braces_, &QSpinBox::valueChanged, this, [this](int n) {
        change([n, this](job::Enclosure& e) { e.braces = job::evenBraces(clearHeight_, n); });
    });
    connect(material_, &QComboBox::currentIndexChanged, this, [this] {
        change([this](job::Enclosure& e) {
            e.material = material_->currentData().toString().toStdString();
        });
    });
    connect(shape_, &QComboBox::currentIndexChanged, this, [this](int index) {
        change([index, this](job::Enclosure& e) {
            e.shape = static_cast<box::Shape>(index);
            if (e.shape == box::Shape::trapezoid && !(e.depthTop > 0.0)) {
                constexpr double share = 0.75;
                e.depthTop = share * depth_->value();
            }
        });
    });
}

void WoodPage::change(const std::function<void(job::Enclosure&)>& how) {
    if (filling_) {
        return;
    }
    job::Enclosure e = enclosure_;
    how(e);
    if (!(e == enclosure_)) {
        Q_EMIT edited(edit::changeBox(cabinet_, e, YF_WORDS("core", "Change the wood of a box")));
    }
}

void WoodPage::size(const edit::OuterSizes& sizes) {
    if (!filling_) {
        Q_EMIT edited(edit::sizeCabinet(cabinet_, sizes));
    }
}

void WoodPage::display(const BoxSight& b) {
    cabinet_ = b.cabinet.id;
    enclosure_ = b.enclosure;
    inch_ = b.sight.shown().job.units == job::LengthUnits::inch;
    filling_ = true;
    const Lengths lengths = inch_ ? Lengths::inch : Lengths::metric;
    for (QuantityField* f : {height_, width_, depth_, panel_, front_, depthTop_, dead_}) {
        f->setLengths(lengths);
    }
    height_->offer(b.cabinet.height);
    width_->offer(b.cabinet.width);
    depth_->offer(b.cabinet.depth);
    panel_->offer(b.enclosure.panel);
    front_->offer(b.enclosure.front);
    depthTop_->offer(b.enclosure.depthTop);
    depthTop_->parentWidget()->setVisible(b.enclosure.shape == box::Shape::trapezoid);
    dead_->offer(b.enclosure.dead);
    driver_->offer(b.enclosure.driverVolume);
    network_->offer(b.enclosure.crossoverVolume);
    braces_->setValue(static_cast<int>(b.enclosure.braces.size()));
    material_->setCurrentIndex(material_->findData(words(b.enclosure.material)));
    shape_->setCurrentIndex(static_cast<int>(b.enclosure.shape));
    filling_ = false;
    if (!(b.result.volumes.net > 0.0)) {
        sum_->setText(b.result.problem.empty() ? tr("No walls, no volume.")
                                               : QStringLiteral("▲ ") + spoken(b.result.problem));
        return;
    }
    clearHeight_ = b.result.volumes.inside.height;
    sum_->setText(volumeWords(b.result.volumes));
    tellModes(b);
    showCuts(b);
}

void WoodPage::tellModes(const BoxSight& b) {
    QStringList panels;
    for (const evaluation::PanelState& p : b.result.panels) {
        // A bracket, and no more digits than it deserves.
        panels << tr("%1 %2 to %3")
                          .arg(panelName(p.name),
                               roughly(p.resonance.supported),
                               roughly(p.resonance.clamped)) +
                      QChar(0x202F) + QStringLiteral("Hz");
    }
    panels_->setText(panels.join(QStringLiteral(" · ")));
    QStringList modes;
    for (const evaluation::ModeState& m : b.result.modes) {
        const auto share = [](double s) { return QString::number(std::lround(100.0 * s)); };
        QString line = hertz(m.mode.f) + QStringLiteral(" (%1-%2-%3)")
                                             .arg(m.mode.order[0])
                                             .arg(m.mode.order[1])
                                             .arg(m.mode.order[2]);
        line += tr(": driver %1 %").arg(share(m.atDriver));
        if (!b.enclosure.ports.empty()) {
            line += tr(", port %1 %").arg(share(m.atPort));
        }
        modes << line;
        constexpr int enough = 4;
        if (modes.size() == enough) {
            break;
        }
    }
    modes_->setText(modes.join(QLatin1Char('\n')));
    const auto advice = study::braceAdvice(b.enclosure, b.result);
    brace_->setEnabled(advice && advice->at.size() != b.enclosure.braces.size());
    if (advice) {
        advised_ = advice->at;
        advice_->setText(
            tr("%1 braces take %2 % of the inside (5 is the allowance) and lift the largest panel "
               "from %3–%4 to %5–%6 Hz.")
                .arg(advice->at.size())
                .arg(figures(text::printFixed(100.0 * advice->share, 1)),
                     roughly(advice->before.supported),
                     roughly(advice->before.clamped),
                     roughly(advice->after.supported),
                     roughly(advice->after.clamped)));
    }
}

void WoodPage::showCuts(const BoxSight& b) {
    const auto shell = job::shellOf(b.cabinet, b.enclosure);
    if (!shell) {
        return;
    }
    boards_ = box::cutList(*shell,
                           {.braces = static_cast<int>(b.enclosure.braces.size()),
                            .braceThickness = b.enclosure.braceThickness});
    cuts_->setRowCount(static_cast<int>(boards_.size()));
    for (std::size_t i = 0; i < boards_.size(); ++i) {
        const box::Board& board = boards_[i];
        const QString cells[] = {boardWords(board.name),
                                 QString::number(board.count),
                                 lengthText(board.length, inch_) + QStringLiteral(" × ") +
                                     lengthText(board.width, inch_),
                                 lengthText(board.thickness, inch_)};
        for (int k = 0; k < 4; ++k) {
            cuts_->setItem(static_cast<int>(i), k, new QTableWidgetItem(cells[k]));
        }
    }
    const box::Sheet sheet{.kerf = kerf_->value()};
    box::Layout layout = box::layOut(boards_, sheet);
    QString told = tr("sheets of %2 × %3: %1, %4 % used")
                       .arg(layout.sheets)
                       .arg(lengthText(sheet.length, inch_),
                            lengthText(sheet.width, inch_),
                            figures(text::printFixed(100.0 * layout.used, 0)));
    if (!layout.tooLarge.empty()) {
        told +=
            u' ' +
            tr("▲ %1 is larger than a sheet.").arg(boardWords(boards_[layout.tooLarge[0]].name));
    }
    sheets_->setText(told);
    sheet_->display(boards_, sheet, std::move(layout));
}

void WoodPage::save() {
    QByteArray csv("board,count,length_mm,width_mm,thickness_mm\n");
    for (const box::Board& b : boards_) {
        csv += QByteArray::fromStdString(b.name) + ',' + QByteArray::number(b.count);
        for (const double metres : {b.length, b.width, b.thickness}) {
            csv += ',' + QByteArray::fromStdString(text::printFixed(1e3 * metres, 1));
        }
        csv += '\n';
    }
    Q_EMIT fileOffered(tr("Save the cut list"), QStringLiteral("cut-list.csv"), csv);
}

} // namespace yf::app
