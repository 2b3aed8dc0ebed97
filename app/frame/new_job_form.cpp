// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/new_job_form.h"

#include "app/frame/front_sketch.h"
#include "app/widgets/words.h"

#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace yf::app {

namespace {

constexpr int mostWays = 4;

QString bandWords(job::Band band) {
    switch (band) {
    case job::Band::sub:
        return NewJobForm::tr("Sub");
    case job::Band::low:
        return NewJobForm::tr("Low");
    case job::Band::mid:
        return NewJobForm::tr("Mid");
    case job::Band::high:
        return NewJobForm::tr("High");
    case job::Band::top:
        return NewJobForm::tr("Top");
    }
    return {};
}

} // namespace

NewJobForm::NewJobForm(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("new_job"));
    const auto line = [this](const QString& name, const QString& text, const QString& says) {
        auto* field = new QLineEdit(text, this);
        field->setObjectName(name);
        field->setAccessibleName(says);
        connect(field, &QLineEdit::textChanged, this, &NewJobForm::update);
        return field;
    };
    title_ = line(QStringLiteral("new_title"), tr("New speaker"), tr("Name of the job"));
    cabinet_ = line(QStringLiteral("new_cabinet"), tr("Cabinet"), tr("Name of the cabinet"));
    pair_ = new QCheckBox(tr("a mirrored pair, left and right"), this);
    pair_->setObjectName(QStringLiteral("new_pair"));
    ways_ = new QComboBox(this);
    ways_->setObjectName(QStringLiteral("new_ways"));
    ways_->setAccessibleName(tr("Number of ways"));
    ways_->addItems({tr("one way"), tr("two ways"), tr("three ways"), tr("four ways")});
    auto* form = new QFormLayout;
    form->addRow(tr("Job"), title_);
    form->addRow(tr("Cabinet"), cabinet_);
    form->addRow(QString{}, pair_);
    form->addRow(tr("Ways"), ways_);
    for (int i = 0; i < mostWays; ++i) {
        auto* label = new QLabel(this);
        QLineEdit* name = line(QStringLiteral("new_driver_%1").arg(i), {}, {});
        label->setBuddy(name);
        labels_.push_back(label);
        names_.push_back(name);
        form->addRow(label, name);
    }
    auto* make = new QPushButton(tr("Make this job …"), this);
    make->setObjectName(QStringLiteral("new_make"));
    make->setProperty("main", true);
    connect(make, &QPushButton::clicked, this, &NewJobForm::made);
    sketch_ = new FrontSketch(this);
    sketch_->setFixedSize(120, 200);
    auto* side = new QVBoxLayout;
    side->addLayout(form);
    side->addWidget(make, 0, Qt::AlignLeft);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(20);
    row->addLayout(side);
    row->addWidget(sketch_, 0, Qt::AlignTop);
    row->addStretch(1);
    connect(
        ways_, &QComboBox::currentIndexChanged, this, [this](int index) { setWays(index + 1); });
    connect(pair_, &QCheckBox::toggled, this, &NewJobForm::update);
    ways_->setCurrentIndex(1);
}

void NewJobForm::setWays(int count) {
    const auto ways = edit::customaryWays(count);
    for (qsizetype i = 0; i < names_.size(); ++i) {
        const bool used = i < count;
        names_[i]->setVisible(used);
        labels_[i]->setVisible(used);
        if (used) {
            const edit::NewWay& way = ways[static_cast<std::size_t>(i)];
            labels_[i]->setText(bandWords(way.band));
            names_[i]->setAccessibleName(tr("Name of the driver, %1").arg(bandWords(way.band)));
            names_[i]->setText(spoken(way.driver));
        }
    }
    update();
}

edit::NewJob NewJobForm::wanted() const {
    edit::NewJob wanted{.title = title_->text().trimmed().toStdString(),
                        .cabinet = cabinet_->text().trimmed().toStdString(),
                        .pair = pair_->isChecked(),
                        .ways = edit::customaryWays(ways_->currentIndex() + 1)};
    for (std::size_t i = 0; i < wanted.ways.size(); ++i) {
        wanted.ways[i].driver = names_[static_cast<qsizetype>(i)]->text().trimmed().toStdString();
    }
    return wanted;
}

void NewJobForm::update() {
    if (sketch_ == nullptr) {
        return;
    }
    if (const auto job = edit::newJob(wanted())) {
        sketch_->display(FrontPicture::of(*job, job->cabinets.front()));
    }
}

void NewJobForm::focusFirst() {
    title_->setFocus();
    title_->selectAll();
}

} // namespace yf::app
