// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/take_list.h"

#include "app/theme/theme.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/job/lookup.h"
#include "core/measure/judge.h"
#include "core/text/number.h"

#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QLocale>
#include <QMenu>
#include <QPushButton>
#include <QSignalBlocker>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int idRole = Qt::UserRole;

/// What the judge said, in two or three words.
QString faultWords(const std::string& code) {
    static const std::pair<const char*, const char*> known[] = {
        {"no_signal", QT_TRANSLATE_NOOP("yf::app::TakeList", "nothing heard")},
        {"channels_swapped", QT_TRANSLATE_NOOP("yf::app::TakeList", "inputs exchanged")},
        {"reference_missing", QT_TRANSLATE_NOOP("yf::app::TakeList", "no reference")},
        {"clipped", QT_TRANSLATE_NOOP("yf::app::TakeList", "overloaded")},
        {"dropout", QT_TRANSLATE_NOOP("yf::app::TakeList", "samples lost")},
        {"too_low", QT_TRANSLATE_NOOP("yf::app::TakeList", "too quiet")},
        {"noisy", QT_TRANSLATE_NOOP("yf::app::TakeList", "noise")},
        {"event", QT_TRANSLATE_NOOP("yf::app::TakeList", "a disturbance, left out")},
        {"cut_short", QT_TRANSLATE_NOOP("yf::app::TakeList", "only a part of the sweep")},
        {"clocks_apart", QT_TRANSLATE_NOOP("yf::app::TakeList", "two clocks, too far apart")},
        {"clock_drift", QT_TRANSLATE_NOOP("yf::app::TakeList", "two clocks, corrected")},
        {"hum", QT_TRANSLATE_NOOP("yf::app::TakeList", "hum")},
        {"reference_inverted", QT_TRANSLATE_NOOP("yf::app::TakeList", "reference reversed")}};
    for (const auto& [name, text] : known) {
        if (code == name) {
            return TakeList::tr(text);
        }
    }
    return words(code);
}

QString kindWords(const job::Take& take) {
    return take.kind == job::TakeKind::impedance ? TakeList::tr("impedance")
                                                 : TakeList::tr("response");
}

QString placeWords(const job::Take& take) {
    const job::Recorded& r = take.recorded;
    if (take.kind == job::TakeKind::impedance) {
        return {};
    }
    if (r.place == job::MicPlace::nearCone) {
        return TakeList::tr("near the cone");
    }
    if (r.place == job::MicPlace::nearPort) {
        return TakeList::tr("in the port");
    }
    if (!r.also.empty()) {
        return TakeList::tr("two drivers together");
    }
    if (r.angle == 0.0) {
        return r.device.empty() ? QString() : TakeList::tr("on axis");
    }
    const QString angle = QLocale().toString(std::abs(r.angle), 'g', 4);
    if (r.plane == quantity::Plane::horizontal) {
        return r.angle > 0.0 ? TakeList::tr("%1° right").arg(angle)
                             : TakeList::tr("%1° left").arg(angle);
    }
    return r.angle > 0.0 ? TakeList::tr("%1° up").arg(angle) : TakeList::tr("%1° down").arg(angle);
}

/// Joined, or read by hand: neither recorded nor imported.
bool madeHere(const job::Take& take) {
    const job::Recorded& r = take.recorded;
    return r.samples.empty() && r.angle == 0.0 && r != job::Recorded{};
}

bool inUse(const job::Job& job, const job::Take& take) {
    return std::ranges::any_of(job.drivers, [&](const job::Driver& d) {
        return d.responseTake == take.id || d.impedanceTake == take.id;
    });
}

} // namespace

QString howMade(const job::Take& take) {
    const QLocale locale;
    const job::Recorded& r = take.recorded;
    QStringList lines;
    if (!take.date.empty()) {
        lines
            << TakeList::tr("%1, %2 V").arg(words(take.date), locale.toString(take.drive, 'g', 3));
    }
    if (take.kind == job::TakeKind::response) {
        QString where = TakeList::tr("%1 m").arg(locale.toString(take.distance, 'g', 3));
        if (const QString place = placeWords(take); !place.isEmpty()) {
            where += QStringLiteral(", ") + place;
        }
        if (take.gate) {
            where +=
                TakeList::tr(", gate %1").arg(figures(text::printEngineering(*take.gate, "s")));
        }
        lines << where;
    }
    if (!r.samples.empty()) {
        lines << TakeList::tr("%1, %2 dB, %3 × %4 s")
                     .arg(words(r.device),
                          locale.toString(r.sweep.level, 'g', 3),
                          locale.toString(r.sweep.repeats),
                          locale.toString(r.sweep.duration, 'g', 3));
        if (!r.fullScalePressure && take.kind == job::TakeKind::response) {
            lines << TakeList::tr("levels are relative: no calibration");
        }
        if (!r.calibration.empty()) {
            lines << spoken(r.calibration);
        }
        if (r.temperature) {
            lines << TakeList::tr("%1 °C").arg(locale.toString(*r.temperature, 'g', 3));
        }
    } else if (madeHere(take)) {
        lines << spoken(take.understood);
    } else {
        lines << TakeList::tr("imported: %1").arg(words(take.name));
    }
    if (!r.faults.empty()) {
        QStringList faults;
        for (const auto& fault : r.faults) {
            faults << faultWords(fault);
        }
        lines << (r.keptAnyway ? TakeList::tr("kept on purpose: %1") : TakeList::tr("judged: %1"))
                     .arg(faults.join(QStringLiteral(", ")));
    }
    return lines.join(u'\n');
}

TakeList::TakeList(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("take_list"));
    list_ = new QListWidget(this);
    list_->setObjectName(QStringLiteral("takes"));
    list_->setAccessibleName(tr("Takes; a tick lays one over the picture"));
    list_->setWordWrap(true);
    details_ = wrappedLabel(this, QStringLiteral("take_details"), 9.0, QFont::Normal);
    const auto line = [this](const QString& name, const QString& accessible, const QString& hint) {
        auto* edit = new QLineEdit(this);
        edit->setObjectName(name);
        edit->setAccessibleName(accessible);
        edit->setPlaceholderText(hint);
        connect(edit, &QLineEdit::editingFinished, this, [this] {
            const job::Take* take = chosenTake();
            if (take == nullptr || filling_ ||
                (words(take->note) == note_->text() &&
                 words(take->recorded.condition) == condition_->text())) {
                return;
            }
            Q_EMIT described(words(take->id), note_->text(), condition_->text());
        });
        return edit;
    };
    condition_ = line(QStringLiteral("take_condition"),
                      tr("Condition of the speaker"),
                      tr("as received, after new parts …"));
    note_ = line(QStringLiteral("take_note"), tr("Note"), tr("note"));
    use_ = new QPushButton(tr("Use this one"), this);
    use_->setObjectName(QStringLiteral("take_use"));
    use_->setToolTip(tr("The network and all findings go by the take in use."));
    connect(use_, &QPushButton::clicked, this, [this] { Q_EMIT useWanted(words(chosen())); });
    connect(list_, &QListWidget::currentItemChanged, this, [this] {
        if (!filling_) {
            showDetails();
            Q_EMIT chosenChanged();
        }
    });
    connect(list_, &QListWidget::itemChanged, this, [this] {
        if (!filling_) {
            Q_EMIT tickedChanged();
        }
    });
    save_ = new QPushButton(tr("Save as"), this);
    save_->setObjectName(QStringLiteral("take_save"));
    auto* menu = new QMenu(save_);
    const auto format = [&](const QString& text, const QString& name, take::TakeFormat wanted) {
        QAction* action = menu->addAction(text);
        action->setObjectName(name);
        connect(action, &QAction::triggered, this, [this, wanted] {
            Q_EMIT exportWanted(words(chosen()), wanted);
        });
        formats_ << action;
    };
    format(tr("Text table …"), QStringLiteral("take_save_table"), take::TakeFormat::table);
    format(tr("JSON, with how it was made …"),
           QStringLiteral("take_save_json"),
           take::TakeFormat::json);
    format(tr("Touchstone, one port …"),
           QStringLiteral("take_save_touchstone"),
           take::TakeFormat::touchstone);
    format(tr("Impulse response, WAV …"),
           QStringLiteral("take_save_impulse"),
           take::TakeFormat::impulse);
    format(
        tr("Recording, WAV …"), QStringLiteral("take_save_recording"), take::TakeFormat::recording);
    save_->setMenu(menu);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addWidget(headingLabel(this, tr("Takes")));
    column->addWidget(list_, 1);
    column->addWidget(details_);
    column->addWidget(condition_);
    column->addWidget(note_);
    column->addWidget(use_);
    column->addWidget(save_);
}

void TakeList::display(const job::Job& job, const std::string& cabinet, const std::string& driver) {
    const std::string before = driver == driver_ ? chosen() : std::string();
    const auto tickedBefore = ticked();
    job_ = job;
    driver_ = driver;
    filling_ = true;
    list_->clear();
    const job::Driver* about = job::findDriver(job, driver);
    for (const job::Take& take : job_.takes) {
        const job::TakeAbout of = job::aboutOf(job_, take);
        const bool here = of.driver == driver || (of.driver.empty() && of.cabinet == cabinet);
        if (!here) {
            continue;
        }
        QStringList said{of.driver.empty() ? tr("whole, %1").arg(kindWords(take))
                                           : kindWords(take)};
        if (const QString place = placeWords(take); !place.isEmpty()) {
            said << place;
        }
        if (madeHere(take)) {
            said << spoken(take.name);
        }
        if (!take.recorded.condition.empty()) {
            said << words(take.recorded.condition);
        }
        if (take.recorded.condition.empty() && !take.date.empty()) {
            said << words(take.date);
        }
        QString marks;
        if (inUse(job_, take)) {
            marks = tr("● in use · ");
        }
        if (!take.recorded.faults.empty()) {
            marks += tr("▲ doubtful · ");
        }
        auto* item = new QListWidgetItem(marks + said.join(QStringLiteral(", ")), list_);
        item->setData(idRole, words(take.id));
        item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
        const bool tick = std::ranges::find(tickedBefore, take.id) != tickedBefore.end();
        item->setCheckState(tick ? Qt::Checked : Qt::Unchecked);
        item->setToolTip(howMade(take));
        if (take.id == before) {
            list_->setCurrentItem(item);
        }
    }
    if (list_->currentItem() == nullptr && about != nullptr) {
        choose(about->responseTake.empty() ? about->impedanceTake : about->responseTake);
        if (list_->currentItem() == nullptr && list_->count() > 0) {
            list_->setCurrentRow(0);
        }
    }
    filling_ = false;
    showDetails();
}

std::string TakeList::chosen() const {
    const QListWidgetItem* item = list_->currentItem();
    return item == nullptr ? std::string() : item->data(idRole).toString().toStdString();
}

std::vector<std::string> TakeList::ticked() const {
    std::vector<std::string> ids;
    for (int row = 0; row < list_->count(); ++row) {
        if (list_->item(row)->checkState() == Qt::Checked) {
            ids.push_back(list_->item(row)->data(idRole).toString().toStdString());
        }
    }
    return ids;
}

void TakeList::choose(const std::string& take) {
    for (int row = 0; row < list_->count(); ++row) {
        if (list_->item(row)->data(idRole).toString().toStdString() == take) {
            list_->setCurrentRow(row);
        }
    }
}

void TakeList::tick(const std::string& take) {
    for (int row = 0; row < list_->count(); ++row) {
        if (list_->item(row)->data(idRole).toString().toStdString() == take) {
            list_->item(row)->setCheckState(Qt::Checked);
        }
    }
}

void TakeList::tell(const QString& text) {
    details_->setText(text);
}

const job::Take* TakeList::chosenTake() const {
    return job::findTake(job_, chosen());
}

void TakeList::showDetails() {
    const job::Take* take = chosenTake();
    filling_ = true;
    details_->setText(take == nullptr ? tr("Nothing measured yet: record a sweep, or open a table.")
                                      : howMade(*take));
    for (QWidget* widget : {static_cast<QWidget*>(note_), static_cast<QWidget*>(condition_)}) {
        widget->setEnabled(take != nullptr);
    }
    if (!note_->hasFocus()) {
        note_->setText(take == nullptr ? QString() : words(take->note));
    }
    if (!condition_->hasFocus()) {
        condition_->setText(take == nullptr ? QString() : words(take->recorded.condition));
    }
    const bool ofDriver =
        take != nullptr && job::aboutOf(job_, *take).driver == driver_ && !driver_.empty();
    use_->setEnabled(ofDriver && !inUse(job_, *take));
    save_->setEnabled(take != nullptr);
    if (take != nullptr) {
        const bool impedance = take->kind == job::TakeKind::impedance;
        const bool samples = take->recording != nullptr;
        // In the order of take::TakeFormat.
        const bool can[] = {true,
                            true,
                            impedance && take->curve->phase() != curve::Phase::none,
                            !impedance && samples,
                            samples};
        for (int i = 0; i < formats_.size(); ++i) {
            formats_[i]->setEnabled(can[i]);
        }
    }
    filling_ = false;
}

} // namespace yf::app
