// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/front/front_editor.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/edit/front.h"

#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace yf::app {

namespace {

constexpr int editorWidth = 250;

QLabel* heading(const QString& text, QWidget* parent) {
    auto* label = new QLabel(text, parent);
    QFont font = label->font();
    font.setWeight(QFont::DemiBold);
    label->setFont(font);
    return label;
}

QLineEdit* nameField(const QString& name, const QString& title, QWidget* parent) {
    auto* field = new QLineEdit(parent);
    field->setObjectName(name);
    field->setAccessibleName(title);
    return field;
}

QComboBox*
choice(const QString& name, const QStringList& items, const QString& title, QWidget* parent) {
    auto* box = new QComboBox(parent);
    box->setObjectName(name);
    box->setAccessibleName(title);
    box->addItems(items);
    return box;
}

} // namespace

FrontEditor::FrontEditor(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("front_editor"));
    setFixedWidth(editorWidth);
    build();
}

QuantityField* FrontEditor::length(const quantity::Quantity& quantity, const QString& name) {
    auto* field = new QuantityField(quantity, text::Unit::metre, this);
    field->setObjectName(name);
    return field;
}

void FrontEditor::build() {
    cabinetName_ = nameField(QStringLiteral("edit_cabinet_name"), tr("Name of the cabinet"), this);
    width_ = length(quantity::width, QStringLiteral("edit_width"));
    height_ = length(quantity::height, QStringLiteral("edit_height"));
    depth_ = length(quantity::depth, QStringLiteral("edit_depth"));
    cabinetNominal_ = new QuantityField(quantity::nominal, text::Unit::ohm, this);
    cabinetNominal_->setObjectName(QStringLiteral("edit_cabinet_nominal"));
    driverName_ = nameField(QStringLiteral("edit_driver_name"), tr("Name of the driver"), this);
    band_ = choice(QStringLiteral("edit_band"),
                   {tr("sub"), tr("low"), tr("mid"), tr("high"), tr("top")},
                   tr("Band it works in"),
                   this);
    condition_ = choice(QStringLiteral("edit_condition"),
                        {tr("not checked"), tr("sound"), tr("suspect"), tr("dead")},
                        tr("Condition found"),
                        this);
    diameter_ = length(quantity::diameter, QStringLiteral("edit_diameter"));
    driverNominal_ = new QuantityField(quantity::nominal, text::Unit::ohm, this);
    driverNominal_->setObjectName(QStringLiteral("edit_driver_nominal"));
    x_ = length(quantity::x, QStringLiteral("edit_x"));
    y_ = length(quantity::y, QStringLiteral("edit_y"));
    for (QuantityField* field : {depth_, cabinetNominal_, driverNominal_}) {
        field->setMayBeEmpty(true);
    }
    problem_ = new QLabel(this);
    problem_->setObjectName(QStringLiteral("edit_problem"));
    problem_->setWordWrap(true);

    const auto button = [this](const QString& text, const QString& name) {
        auto* made = new QPushButton(text, this);
        made->setObjectName(name);
        return made;
    };
    addDriver_ = button(tr("Add a driver"), QStringLiteral("edit_add_driver"));
    removeDriver_ = button(tr("Take this driver off"), QStringLiteral("edit_remove_driver"));
    addTwin_ = button(tr("Add a mirrored twin"), QStringLiteral("edit_add_twin"));
    removeCabinet_ = button(tr("Take this cabinet away"), QStringLiteral("edit_remove_cabinet"));
    auto* ready = button(tr("Ready"), QStringLiteral("edit_ready"));
    ready->setProperty("main", true);
    connect(ready, &QPushButton::clicked, this, &FrontEditor::finished);

    auto* cabinet = new QFormLayout;
    cabinet->addRow(tr("Name"), cabinetName_);
    cabinet->addRow(tr("Width"), width_);
    cabinet->addRow(tr("Height"), height_);
    cabinet->addRow(tr("Depth"), depth_);
    cabinet->addRow(tr("Nominal Ω"), cabinetNominal_);
    auto* driver = new QFormLayout;
    driver->addRow(tr("Name"), driverName_);
    driver->addRow(tr("Band"), band_);
    driver->addRow(tr("Condition"), condition_);
    driver->addRow(tr("Outer ⌀"), diameter_);
    driver->addRow(tr("Nominal Ω"), driverNominal_);
    driver->addRow(tr("Right of middle"), x_);
    driver->addRow(tr("Above middle"), y_);
    for (QFormLayout* form : {cabinet, driver}) {
        form->setVerticalSpacing(3);
        form->setLabelAlignment(Qt::AlignRight | Qt::AlignVCenter);
    }
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(8, 4, 8, 4);
    column->setSpacing(4);
    column->addWidget(heading(tr("Cabinet"), this));
    column->addLayout(cabinet);
    column->addSpacing(4);
    column->addWidget(heading(tr("Driver chosen"), this));
    column->addLayout(driver);
    column->addWidget(problem_);
    column->addStretch(1);
    for (QPushButton* b : {addDriver_, removeDriver_, addTwin_, removeCabinet_, ready}) {
        column->addWidget(b);
    }

    for (QuantityField* field : {width_, height_, depth_, cabinetNominal_}) {
        connect(field, &QuantityField::valueChanged, this, &FrontEditor::changeOutline);
    }
    connect(cabinetName_, &QLineEdit::editingFinished, this, &FrontEditor::changeOutline);
    for (QuantityField* field : {diameter_, driverNominal_}) {
        connect(field, &QuantityField::valueChanged, this, &FrontEditor::changeDriver);
    }
    connect(driverName_, &QLineEdit::editingFinished, this, &FrontEditor::changeDriver);
    for (QComboBox* box : {band_, condition_}) {
        connect(box, &QComboBox::currentIndexChanged, this, &FrontEditor::changeDriver);
    }
    for (QuantityField* field : {x_, y_}) {
        connect(field, &QuantityField::valueChanged, this, &FrontEditor::movedByTyping);
    }
    for (QuantityField* field : findChildren<QuantityField*>()) {
        connect(field, &QuantityField::problemChanged, problem_, &QLabel::setText);
    }
    connect(addDriver_, &QPushButton::clicked, this, [this] {
        constexpr double usual = 0.1; // m
        change(edit::addDriver(
            cabinet_,
            {.name = tr("New driver").toStdString(), .band = job::Band::mid, .diameter = usual}));
    });
    connect(removeDriver_, &QPushButton::clicked, this, [this] {
        change(edit::removeDriver(cabinet_, driver_));
    });
    connect(addTwin_, &QPushButton::clicked, this, [this] { change(edit::addTwin(cabinet_)); });
    connect(removeCabinet_, &QPushButton::clicked, this, [this] {
        change(edit::removeCabinet(cabinet_));
    });
}

void FrontEditor::display(const Sight& sight) {
    if (!sight.present) {
        return;
    }
    const job::Job& job = sight.present->job;
    const job::Cabinet* cabinet = job::findCabinet(job, sight.cabinet);
    const job::Driver* driver = job::findDriver(job, sight.driver);
    setEnabled(cabinet != nullptr && driver != nullptr);
    if (cabinet == nullptr || driver == nullptr) {
        return;
    }
    showing_ = true;
    cabinet_ = cabinet->id;
    driver_ = driver->id;
    for (QuantityField* field : {width_, height_, depth_, diameter_, x_, y_}) {
        field->setLengths(job.units == job::LengthUnits::inch ? Lengths::inch : Lengths::metric);
    }
    const auto put = [](QLineEdit* field, const std::string& text) {
        if (!field->hasFocus() || !field->isModified()) {
            field->setText(words(text));
        }
    };
    put(cabinetName_, cabinet->name);
    width_->offer(cabinet->width);
    height_->offer(cabinet->height);
    depth_->offer(cabinet->depth);
    cabinetNominal_->offer(cabinet->nominal);
    put(driverName_, driver->name);
    band_->setCurrentIndex(static_cast<int>(driver->band));
    condition_->setCurrentIndex(static_cast<int>(driver->condition));
    diameter_->offer(driver->diameter);
    driverNominal_->offer(driver->nominal);
    const auto mount = std::ranges::find(cabinet->mounts, driver_, &job::Mount::driver);
    if (mount != cabinet->mounts.end()) {
        x_->offer(mount->x);
        y_->offer(mount->y);
    }
    addTwin_->setEnabled(cabinet->twin.empty());
    removeCabinet_->setEnabled(job.cabinets.size() > 1);
    removeDriver_->setEnabled(cabinet->mounts.size() > 1);
    showing_ = false;
}

void FrontEditor::change(const edit::Edit& edit) {
    if (!showing_) {
        Q_EMIT edited(edit);
        Q_EMIT gestureEnded();
    }
}

void FrontEditor::changeOutline() {
    if (cabinetName_->text().isEmpty()) {
        problem_->setText(tr("The cabinet must have a name."));
        return;
    }
    cabinetName_->setModified(false);
    change(edit::changeOutline(cabinet_,
                               {cabinetName_->text().toStdString(),
                                width_->value(),
                                height_->value(),
                                depth_->optionalValue(),
                                cabinetNominal_->optionalValue()}));
}

void FrontEditor::changeDriver() {
    if (driverName_->text().isEmpty()) {
        problem_->setText(tr("The driver must have a name."));
        return;
    }
    driverName_->setModified(false);
    change(edit::changeDriver(driver_,
                              {driverName_->text().toStdString(),
                               static_cast<job::Band>(band_->currentIndex()),
                               static_cast<job::Condition>(condition_->currentIndex()),
                               diameter_->value(),
                               driverNominal_->optionalValue()}));
}

void FrontEditor::movedByTyping() {
    change(edit::moveDriver(cabinet_, {driver_, x_->value(), y_->value()}, {}));
}

} // namespace yf::app
