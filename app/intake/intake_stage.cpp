// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/intake/intake_stage.h"

#include "app/intake/item_list.h"
#include "app/intake/photo_strip.h"
#include "app/intake/trace_picture.h"
#include "app/theme/theme.h"
#include "app/widgets/dropped_files.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"
#include "core/edit/bench.h"
#include "core/evaluation/arrangements.h"
#include "core/evaluation/bench.h"
#include "core/evaluation/trace.h"
#include "core/job/lookup.h"
#include "core/text/number.h"

#include <QDateTime>
#include <QDragEnterEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QToolButton>

#include <algorithm>

namespace yf::app {

namespace {

QString ohms(double value) {
    return figures(text::printEngineering(value, "Ω"));
}

QString said(const edit::Arrangement& a) {
    if (a.units() == 1) {
        return IntakeStage::tr("one");
    }
    if (a.inParallel == 1) {
        return IntakeStage::tr("%1 in series").arg(a.inSeries);
    }
    if (a.inSeries == 1) {
        return IntakeStage::tr("%1 in parallel").arg(a.inParallel);
    }
    return IntakeStage::tr("%1 strings of %2").arg(a.inParallel).arg(a.inSeries);
}

} // namespace

IntakeStage::IntakeStage(QWidget* parent) : Stage(parent) {
    setObjectName(QStringLiteral("stage_intake"));
    setAcceptDrops(true);
    auto* leftPart = new QWidget(this);
    auto* left = new QVBoxLayout(leftPart);
    left->setContentsMargins(0, 0, 4, 0);
    left->setSpacing(10);
    left->addWidget(buildWords());
    left->addWidget(buildWay());
    photos_ = new PhotoStrip(this);
    left->addWidget(headingLabel(this, tr("Pictures")));
    left->addWidget(photos_);
    left->addStretch(1);

    auto* lists = new QWidget(this);
    protectors_ = new ProtectorList(lists);
    oldParts_ = new OldPartList(lists);
    auto* listColumn = new QVBoxLayout(lists);
    listColumn->setContentsMargins(0, 0, 0, 0);
    listColumn->setSpacing(10);
    listColumn->addWidget(protectors_);
    listColumn->addWidget(oldParts_);
    listColumn->addStretch(1);
    const auto scrolled = [this](QWidget* content, const QString& name) {
        auto* area = new QScrollArea(this);
        area->setObjectName(name);
        area->setWidgetResizable(true);
        area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        area->setFocusPolicy(Qt::NoFocus);
        area->setWidget(content);
        return area;
    };
    QScrollArea* scroll = scrolled(lists, QStringLiteral("intake_lists"));
    auto* right = new QVBoxLayout;
    right->setSpacing(8);
    right->addWidget(buildTrace());
    right->addWidget(scroll, 1);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(12, 8, 8, 8);
    row->setSpacing(16);
    row->addWidget(scrolled(leftPart, QStringLiteral("intake_left")), 8);
    row->addLayout(right, 13);
    photo_ = new PhotoView(this);

    connect(protectors_, &ProtectorList::changed, this, [this](const job::Protector& p) {
        apply(edit::putProtector(sight_.cabinet, p));
    });
    connect(protectors_, &ItemList::added, this, [this] {
        apply(edit::putProtector(sight_.cabinet, {}));
    });
    connect(protectors_, &ItemList::removeWanted, this, [this](const QString& id) {
        apply(edit::removeProtector(sight_.cabinet, id.toStdString()));
    });
    connect(protectors_, &ItemList::noneFitted, this, [this](bool none) {
        apply(edit::setNoProtectors(sight_.cabinet, none));
    });
    connect(oldParts_, &OldPartList::changed, this, [this](const job::OldPart& p) {
        apply(edit::putOldPart(sight_.cabinet, p));
    });
    connect(
        oldParts_, &ItemList::added, this, [this] { apply(edit::putOldPart(sight_.cabinet, {})); });
    connect(oldParts_, &ItemList::removeWanted, this, [this](const QString& id) {
        apply(edit::removeOldPart(sight_.cabinet, id.toStdString()));
    });
    connect(oldParts_, &ItemList::noneFitted, this, [this](bool none) {
        apply(edit::setNoControls(sight_.cabinet, none));
    });
    connect(photos_, &PhotoStrip::addWanted, this, &Stage::picturesWanted);
    connect(photos_, &PhotoStrip::opened, this, [this](const QString& id) {
        const auto& photos = sight_.present->job.photos;
        const auto found = std::ranges::find(photos, id.toStdString(), &job::Photo::id);
        if (found != photos.end()) {
            photo_->open(*found);
        }
    });
    connect(photo_, &PhotoView::captioned, this, [this](const QString& id, const QString& note) {
        apply(edit::captionPhoto(id.toStdString(), note.toStdString()));
    });
    connect(photo_, &PhotoView::removeWanted, this, [this](const QString& id) {
        apply(edit::removePhoto(id.toStdString()));
    });
}

QWidget* IntakeStage::buildWords() {
    auto* part = new QWidget(this);
    complaint_ = new QPlainTextEdit(part);
    complaint_->setObjectName(QStringLiteral("intake_complaint"));
    complaint_->setAccessibleName(tr("The complaint, in the owner's words"));
    complaint_->setPlaceholderText(tr("What does the owner hear, since when, after what?"));
    complaint_->setTabChangesFocus(true);
    complaint_->setFixedHeight(86);
    // With every letter, as one step: there is no unsaved state to lose.
    connect(complaint_, &QPlainTextEdit::textChanged, this, [this] {
        const std::string text = complaint_->toPlainText().toStdString();
        if (complaint_->hasFocus()) {
            Q_EMIT edited(edit::changeComplaint(text, "complaint"));
        }
    });
    complaint_->installEventFilter(this);
    auto* aims = new QWidget(part);
    auto* flow = new FlowLayout(aims);
    flow->setContentsMargins(0, 0, 0, 0);
    flow->setSpacing(6);
    const QStringList names{tr("not said"),
                            tr("make it work"),
                            tr("as it was"),
                            tr("as good as can be"),
                            tr("new design")};
    for (int i = 0; i < names.size(); ++i) {
        auto* chip = new QToolButton(aims);
        chip->setText(names[i]);
        chip->setObjectName(QStringLiteral("aim_%1").arg(i));
        chip->setCheckable(true);
        chip->setProperty("chip", true);
        connect(chip, &QToolButton::clicked, this, [this, i] {
            apply(edit::changeAim(static_cast<job::Aim>(i)));
        });
        flow->addWidget(chip);
        aims_.push_back(chip);
    }
    auto* column = new QVBoxLayout(part);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addWidget(headingLabel(part, tr("The complaint")));
    column->addWidget(complaint_);
    column->addSpacing(4);
    column->addWidget(headingLabel(part, tr("The aim")));
    column->addWidget(aims);
    return part;
}

QWidget* IntakeStage::buildWay() {
    auto* part = new QWidget(this);
    wayName_ = headingLabel(part, QString{});
    wayName_->setObjectName(QStringLiteral("intake_way"));
    printed_ = new QLineEdit(part);
    printed_->setObjectName(QStringLiteral("intake_printed"));
    printed_->setAccessibleName(tr("What else is printed on the driver"));
    printed_->setPlaceholderText(tr("what else is printed on it"));
    connect(printed_, &QLineEdit::editingFinished, this, [this] {
        if (printed_->isModified()) {
            printed_->setModified(false);
            apply(edit::changePrinted(sight_.driver, printed_->text().trimmed().toStdString()));
        }
    });
    auto* holder = new QWidget(part);
    auto* flow = new FlowLayout(holder);
    flow->setContentsMargins(0, 0, 0, 0);
    flow->setSpacing(6);
    constexpr int arrangements = 8;
    for (int i = 0; i < arrangements; ++i) {
        auto* chip = new QToolButton(holder);
        chip->setObjectName(QStringLiteral("arrangement_%1").arg(i));
        chip->setCheckable(true);
        chip->setProperty("chip", true);
        chip->installEventFilter(this);
        connect(chip, &QToolButton::clicked, this, [this, i] {
            Q_EMIT previewEnded();
            apply(edit::arrange(
                sight_.cabinet, sight_.driver, choices_[static_cast<std::size_t>(i)].arrangement));
        });
        flow->addWidget(chip);
        arrangements_.push_back(chip);
    }
    warning_ = wrappedLabel(part, QStringLiteral("intake_warning"));
    auto* column = new QVBoxLayout(part);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addWidget(wayName_);
    column->addWidget(printed_);
    column->addWidget(holder);
    column->addWidget(warning_);
    return part;
}

QWidget* IntakeStage::buildTrace() {
    auto* part = new QWidget(this);
    part->setProperty("card", true);
    part->setAttribute(Qt::WA_StyledBackground);
    trace_ = new TracePicture(part);
    traceSaid_ = wrappedLabel(part, QStringLiteral("intake_trace_said"));
    question_ = wrappedLabel(part, QStringLiteral("intake_question"));
    answers_ = new QWidget(part);
    new FlowLayout(answers_);
    answers_->layout()->setContentsMargins(0, 0, 0, 0);
    answers_->layout()->setSpacing(6);
    auto* column = new QVBoxLayout(part);
    column->setContentsMargins(10, 8, 10, 8);
    column->setSpacing(4);
    column->addWidget(headingLabel(part, tr("Nothing, or not enough? Outside before inside")));
    column->addWidget(trace_);
    column->addWidget(traceSaid_);
    column->addWidget(question_);
    column->addWidget(answers_);
    return part;
}

void IntakeStage::apply(const edit::Edit& edit) {
    Q_EMIT edited(edit);
    Q_EMIT gestureEnded();
}

bool IntakeStage::eventFilter(QObject* watched, QEvent* event) {
    if (watched == complaint_) {
        if (event->type() == QEvent::FocusOut) {
            Q_EMIT gestureEnded();
        }
        return Stage::eventFilter(watched, event);
    }
    const auto at = arrangements_.indexOf(static_cast<QToolButton*>(watched));
    if (at >= 0 && static_cast<std::size_t>(at) < choices_.size()) {
        // The warning comes before the choice: under the pointer, or with the focus.
        const auto& choice = choices_[static_cast<std::size_t>(at)];
        if (event->type() == QEvent::Enter || event->type() == QEvent::FocusIn) {
            warn(choice);
        } else if (event->type() == QEvent::Leave || event->type() == QEvent::FocusOut) {
            showWay();
        }
    }
    return Stage::eventFilter(watched, event);
}

QString IntakeStage::state(const Sight& sight) const {
    const job::Job& job = sight.present->job;
    int open = 0;
    for (const job::Cabinet& cabinet : job.cabinets) {
        for (const job::Protector& p : cabinet.protectors) {
            open += job::isBridged(p) || p.state == job::ProtectorState::open ? 1 : 0;
        }
    }
    const QString cabinets =
        job.cabinets.size() == 1 ? tr("1 cabinet") : tr("%1 cabinets").arg(job.cabinets.size());
    return open == 0 ? cabinets : cabinets + QStringLiteral(" !");
}

void IntakeStage::display(const Sight& sight) {
    sight_ = sight;
    const job::Job& job = sight.present->job;
    const job::Cabinet* cabinet = job::findCabinet(job, sight.cabinet);
    const QString complaint = words(job.complaint);
    if (!complaint_->hasFocus() && complaint_->toPlainText() != complaint) {
        complaint_->setPlainText(complaint);
    }
    for (int i = 0; i < aims_.size(); ++i) {
        aims_[i]->setChecked(static_cast<int>(job.aim) == i);
    }
    photos_->display(job.photos);
    for (QWidget* part : std::initializer_list<QWidget*>{protectors_, oldParts_}) {
        part->setEnabled(cabinet != nullptr);
    }
    if (cabinet == nullptr) {
        return;
    }
    protectors_->display(job, *cabinet);
    oldParts_->display(*cabinet);
    showWay();
    showTrace();
}

void IntakeStage::showWay() {
    const job::Job& job = sight_.present->job;
    const job::Driver* driver = job::findDriver(job, sight_.driver);
    const job::Cabinet* cabinet = job::findCabinet(job, sight_.cabinet);
    printed_->setEnabled(driver != nullptr);
    if (driver == nullptr || cabinet == nullptr) {
        wayName_->setText(tr("No driver chosen: click one on the Front."));
        return;
    }
    wayName_->setText(tr("%1: on its way there is").arg(words(driver->name)));
    if (shownDriver_ != driver->id) {
        if (printed_->isModified() && !shownDriver_.empty()) {
            // Written and not finished when another driver was chosen: it belongs to the first.
            printed_->setModified(false);
            apply(edit::changePrinted(shownDriver_, printed_->text().trimmed().toStdString()));
        }
        shownDriver_ = driver->id;
        printed_->setText(words(driver->printed));
    } else if (!printed_->hasFocus() && printed_->text() != words(driver->printed)) {
        printed_->setText(words(driver->printed));
    }
    choices_ = evaluation::arrangements(job, sight_.driver);
    const edit::Arrangement now = edit::arrangementOf(*cabinet, sight_.driver);
    const bool follows = !driver->alike.empty();
    for (int i = 0; i < arrangements_.size(); ++i) {
        const evaluation::ArrangementChoice& choice = choices_[static_cast<std::size_t>(i)];
        QString text = said(choice.arrangement);
        if (const auto load = choice.nominal ? choice.nominal : choice.least) {
            text += QStringLiteral(" · ") + ohms(*load);
        }
        if (!choice.safe) {
            text = QStringLiteral("▲ ") + text;
        }
        arrangements_[i]->setText(text);
        arrangements_[i]->setEnabled(!follows);
        arrangements_[i]->setChecked(choice.arrangement == now);
    }
    if (follows) {
        const job::Driver* first = job::findDriver(job, driver->alike);
        warning_->setText(tr("It shares the way of %1; choose that one to change the wiring.")
                              .arg(first == nullptr ? words(driver->alike) : words(first->name)));
        tint(warning_, theme().quietInk);
        return;
    }
    const auto chosen =
        std::ranges::find(choices_, now, &evaluation::ArrangementChoice::arrangement);
    if (chosen != choices_.end()) {
        warn(*chosen);
    }
}

void IntakeStage::warn(const evaluation::ArrangementChoice& choice) {
    QString text;
    const QString load =
        choice.least ? tr("least %1 at %2")
                           .arg(ohms(*choice.least),
                                figures(text::printEngineering(choice.leastAt.value_or(0.0), "Hz")))
        : choice.nominal ? tr("%1 by what is printed").arg(ohms(*choice.nominal))
                         : tr("load not known: nothing is printed or measured");
    if (choice.safe) {
        text = tr("%1: %2.").arg(said(choice.arrangement), load);
    } else {
        text =
            QStringLiteral("▲ ") +
            tr("%1: %2. Too low for most amplifiers, which are rated down to %3; wire in series, "
               "or make sure of the amplifier first.")
                .arg(said(choice.arrangement), load, ohms(evaluation::amplifierLeast));
    }
    warning_->setText(text);
    tint(warning_, choice.safe ? theme().quietInk : theme().mind);
}

void IntakeStage::showTrace() {
    const bench::Trace trace =
        evaluation::traceOf(sight_.present->job, sight_.present->evaluation, sight_.cabinet);
    trace_->display(trace);
    QStringList left;
    QStringList here;
    for (std::size_t i = 0; i < trace.standings.size(); ++i) {
        const QString name = TracePicture::segmentSaid(static_cast<bench::Segment>(i));
        if (trace.standings[i] == bench::Standing::possible) {
            left << name;
        } else if (trace.standings[i] == bench::Standing::found) {
            here << name;
        }
    }
    QStringList lines;
    if (!trace.lastRules.empty()) {
        QStringList out;
        for (const std::string& segment : trace.lastRules) {
            const auto at = std::ranges::find(bench::segmentNames, segment);
            out << TracePicture::segmentSaid(
                static_cast<bench::Segment>(at - bench::segmentNames.begin()));
        }
        lines << tr("The last answer rules out: %1.").arg(out.join(QStringLiteral(", ")));
    }
    lines << (!here.isEmpty() ? tr("It lies here: %1. Mend it, then ask again from the start: one "
                                   "fault may hide another.")
                                    .arg(here.join(QStringLiteral(", ")))
              : left.isEmpty()
                  ? tr("Everything is ruled out: listen again, or look for two faults.")
                  : tr("Still possible: %1.").arg(left.join(QStringLiteral(", "))));
    if (!trace.skipped.empty()) {
        QStringList names;
        for (const std::string& check : trace.skipped) {
            names << spoken(bench::checkInWords(check));
        }
        lines << QStringLiteral("■ ") + tr("Waits, since turns may be shorted: %1.")
                                            .arg(names.join(QStringLiteral(", ")));
    }
    traceSaid_->setText(lines.join(u'\n'));
    const std::string next = trace.next.value_or(std::string{});
    question_->setVisible(!next.empty());
    answers_->setVisible(!next.empty());
    if (next == asked_) {
        return;
    }
    asked_ = next;
    for (QPushButton* old : answers_->findChildren<QPushButton*>()) {
        old->hide();
        old->deleteLater(); // it may be the one that speaks
        answers_->layout()->removeWidget(old);
    }
    if (next.empty()) {
        return;
    }
    question_->setText(QStringLiteral("%1: %2").arg(
        spoken(bench::checkInWords(next)), spoken(bench::stepsInWords(next)).replace(u'\n', u' ')));
    const bench::EvidenceTable& table = *sight_.present->evaluation.table;
    const auto known = table.check(next);
    if (!known) {
        return; // somebody's own table does without this check
    }
    // What wants figures is read in Check, one driver at a time.
    const bool byFigures = next == "dcr" || next == "lcr";
    const auto answer = [&](const QString& text, const QString& name, auto act) {
        auto* button = new QPushButton(text, answers_);
        button->setObjectName(name);
        connect(button, &QPushButton::clicked, this, act);
        answers_->layout()->addWidget(button);
    };
    if (byFigures) {
        answer(tr("Read it in Check …"), QStringLiteral("answer_check"), [this, next] {
            Q_EMIT placeWanted({.stage = QStringLiteral("check"), .page = words(next)});
        });
        return;
    }
    for (const bench::Outcome& outcome : table.checks[*known].outcomes) {
        QString text = spoken(bench::outcomeInWords(next, outcome.key));
        text[0] = text[0].toUpper();
        answer(
            text, QStringLiteral("answer_") + words(outcome.key), [this, next, key = outcome.key] {
                job::BenchReading reading;
                reading.check = next;
                reading.outcome = key;
                reading.cabinet = sight_.cabinet;
                reading.driver = job::isAboutCabinet(next) ? std::string{} : sight_.driver;
                reading.at = QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
                apply(edit::addReading(reading));
            });
    }
}

bool IntakeStage::go(const Place& place) {
    if (!place.page.isEmpty()) {
        return false;
    }
    const QString id = place.subject();
    if (id.isEmpty()) {
        complaint_->setFocus();
        return true;
    }
    for (const QString& list : {QStringLiteral("protectors_"), QStringLiteral("old_parts_")}) {
        if (auto* row = findChild<QWidget*>(list + id)) {
            findChild<QScrollArea*>(QStringLiteral("intake_lists"))->ensureWidgetVisible(row);
            if (auto* box = row->findChild<QWidget*>(list + id + QStringLiteral("_kind"))) {
                box->setFocus();
            }
        }
    }
    return true;
}

void IntakeStage::dragEnterEvent(QDragEnterEvent* event) {
    if (!droppedFiles(event->mimeData()).isEmpty()) {
        event->acceptProposedAction();
    }
}

void IntakeStage::dropEvent(QDropEvent* event) {
    event->acceptProposedAction();
    QStringList pictures;
    QStringList others;
    for (const QString& file : droppedFiles(event->mimeData())) {
        const QString end = file.mid(file.lastIndexOf(u'.') + 1).toLower();
        const bool isPicture = end == QLatin1String("png") || end == QLatin1String("jpg") ||
                               end == QLatin1String("jpeg");
        (isPicture ? pictures : others) << file;
    }
    if (!pictures.isEmpty()) {
        Q_EMIT picturesGiven(pictures);
    }
    if (!others.isEmpty()) {
        Q_EMIT tablesGiven(words(sight_.driver), others);
    }
}

void IntakeStage::resizeEvent(QResizeEvent* event) {
    Stage::resizeEvent(event);
    photo_->setGeometry(rect());
}

} // namespace yf::app
