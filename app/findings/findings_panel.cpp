// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/findings/findings_panel.h"

#include "app/theme/theme.h"
#include "app/widgets/elided_label.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/edit/front.h"
#include "core/findings/dismissal.h"
#include "core/findings/words.h"

#include <QDate>
#include <QEvent>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QScrollArea>
#include <QScrollBar>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

using findings::Finding;

constexpr int panelWidth = 264;

QLabel* text(const QString& words, QWidget* parent) {
    QLabel* label = wrappedLabel(parent, {});
    label->setText(words);
    label->setFocusPolicy(Qt::NoFocus);
    return label;
}

/// For what people copy; not for all, as such a label keeps a document that is slow to lay out.
QLabel* selectable(const QString& words, QWidget* parent) {
    QLabel* label = text(words, parent);
    label->setTextInteractionFlags(Qt::TextSelectableByMouse);
    return label;
}

QLabel* quiet(const QString& words, QWidget* parent) {
    QLabel* label = text(words, parent);
    QPalette p = label->palette();
    p.setColor(QPalette::WindowText, theme().quietInk);
    label->setPalette(p);
    return label;
}

std::string idOf(std::size_t rule) {
    return std::string(findings::rules()[rule].id);
}

} // namespace

FindingsPanel::FindingsPanel(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("findings"));
    setFixedWidth(panelWidth);
    counts_ =
        wrappedLabel(this, QStringLiteral("findings_counts")); // German is too long for a line
    counts_->setTextFormat(Qt::AutoText);
    QFont bold = font();
    bold.setWeight(QFont::DemiBold);
    counts_->setFont(bold);
    scroll_ = new QScrollArea(this);
    scroll_->setObjectName(QStringLiteral("findings_scroll"));
    scroll_->setWidgetResizable(true);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setFocusPolicy(Qt::NoFocus);
    auto* content = new QWidget;
    auto* whole = new QVBoxLayout(content);
    whole->setContentsMargins(0, 0, 6, 0);
    whole->setSpacing(6);
    cards_ = new QVBoxLayout;
    cards_->setSpacing(6);
    whole->addLayout(cards_);
    whole->addStretch(1);
    scroll_->setWidget(content);
    constexpr int moment = 90; // ms
    rest_.setSingleShot(true);
    rest_.setInterval(moment);
    connect(&rest_, &QTimer::timeout, this, [this] {
        rebuild(sight());
        Q_EMIT rested();
    });
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(8, 6, 4, 4);
    column->setSpacing(4);
    column->addWidget(counts_);
    column->addWidget(scroll_, 1);
}

void FindingsPanel::display(const Sight& sight) {
    if (!sight.present) {
        return;
    }
    const auto sameButForFigures = [](const Finding& a, const Finding& b) {
        return a.rule == b.rule && a.subject == b.subject;
    };
    const bool first = shown_ == nullptr || cabinet_ != sight.cabinet;
    const bool same =
        !first && settled() &&
        std::ranges::equal(shown_->findings.judgement.findings,
                           sight.present->findings.judgement.findings,
                           sameButForFigures) &&
        shown_->findings.judgement.notChecked == sight.present->findings.judgement.notChecked &&
        shown_->job.dismissals == sight.present->job.dismissals &&
        shown_->job.limits == sight.present->job.limits;
    const bool news = shown_ != sight.present;
    shown_ = sight.present;
    cabinet_ = sight.cabinet;
    if (first) {
        rebuild(sight);
    } else if (!same && news) {
        rest_.start();
    } else if (news) {
        renew(sight);
    }
}

namespace {

QString figureOf(const Finding& finding) {
    return spoken(findings::figureText(finding));
}

QString factOf(const Finding& finding, const findings::FactKind& kind) {
    const findings::Fact* fact = finding.facts.find(kind);
    return fact == nullptr ? QString{} : figures(findings::factText({&kind, *fact}));
}

ElidedLabel* quietLine(const QString& words, QWidget* parent) {
    auto* label = new ElidedLabel(parent);
    label->say(words);
    QPalette p = label->palette();
    p.setColor(QPalette::WindowText, theme().quietInk);
    label->setPalette(p);
    return label;
}

} // namespace

void FindingsPanel::renew(const Sight& sight) {
    built_ = sight.present;
    std::erase_if(told_, [](const Told& told) { return told.label == nullptr; });
    for (const Told& told : told_) {
        if (const Finding* finding = newest(told.finding)) {
            told.label->say(told.fact == nullptr ? figureOf(*finding)
                                                 : factOf(*finding, *told.fact));
        }
    }
}

const Finding* FindingsPanel::newest(const Finding& finding) const {
    const auto& all = built_->findings.judgement.findings;
    const auto found = std::ranges::find_if(all, [&](const Finding& other) {
        return other.rule == finding.rule && other.subject == finding.subject;
    });
    return found == all.end() ? nullptr : &*found;
}

std::optional<edit::Edit> FindingsPanel::remedyFor(const Finding& finding) const {
    const Finding* now = newest(finding);
    return now == nullptr ? std::nullopt : findings::remedy(built_->job, built_->evaluation, *now);
}

void FindingsPanel::toggle(std::set<std::string>& open, const std::string& key) {
    if (open.erase(key) == 0) {
        open.insert(key);
    }
    // Later: the button that was pressed must not be gone while it still speaks.
    QMetaObject::invokeMethod(
        this, [this] { rebuild(sight()); }, Qt::QueuedConnection);
}

void FindingsPanel::unfold(const QString& rule) {
    unfolded_.insert(rule.toStdString());
    if (!shown_) {
        return;
    }
    rebuild(sight());
    if (auto* found = findChild<QWidget*>(QStringLiteral("finding_") + rule)) {
        scroll_->ensureWidgetVisible(found);
        if (auto* button = found->findChild<QToolButton*>()) {
            button->setFocus();
        }
    }
}

QToolButton* FindingsPanel::link(const QString& words, const QString& name, QWidget* parent) {
    auto* button = new QToolButton(parent);
    button->setText(words);
    button->setObjectName(name);
    button->setProperty("link", true);
    return button;
}

/// Everything that a card shows but figures: with the same key it may stay.
QString FindingsPanel::keyOf(const FindingGroup& group, const Sight& sight) const {
    const std::string id = idOf(group.rule);
    QStringList key{unfolded_.contains(id) ? QStringLiteral("open") : QString(),
                    asideOpen_.contains(id) ? QStringLiteral("aside") : QString(),
                    theme().sheet.name() + theme().ink.name(),
                    tr("Why")};
    for (const job::RuleLimit& limit : sight.present->job.limits) {
        if (limit.rule == id) {
            key << QString::number(limit.limit);
        }
    }
    for (const std::size_t index : group.findings) {
        const Finding& finding = sight.present->findings.judgement.findings[index];
        const auto remedy = remedyFor(finding);
        key << words(finding.subject.take) << words(finding.subject.driver)
            << words(finding.subject.other) << words(finding.subject.part)
            << words(finding.subject.cabinet)
            << spoken(findings::subjectText(sight.present->job, finding.subject))
            << (remedy ? spoken(remedy->name) : QString())
            << (figureOf(finding).isEmpty() ? QString() : QStringLiteral("#"));
    }
    return key.join(QChar(0x1F));
}

void FindingsPanel::rebuild(const Sight& sight) {
    const int position = scroll_->verticalScrollBar()->value();
    const QWidget* focus = focusWidget();
    const QString focused =
        focus == nullptr || !focus->hasFocus() ? QString{} : focus->objectName();
    rest_.stop();
    built_ = sight.present;
    const job::Job& job = sight.present->job;
    const findings::Judgement& judgement = sight.present->findings.judgement;
    const std::vector<FindingGroup> groups = groupsOf(sight);
    if (const QString counts = countsOf(groups); counts != counts_->text()) {
        counts_->setText(counts);
    }
    std::vector<const job::Dismissal*> aside;
    for (const Finding& finding : judgement.findings) {
        if (const job::Dismissal* dismissal = findings::dismissalOf(job, finding)) {
            aside.push_back(dismissal);
        }
    }

    placeCards(groups, sight);
    renew(sight);
    placeFoot(aside, groups.empty(), sight);
    scroll_->verticalScrollBar()->setValue(position);
    if (!focused.isEmpty()) {
        if (auto* again = findChild<QWidget*>(focused)) {
            again->setFocus();
        }
    }
}

/// Cards that may stay stay where they are; others come, go or change places.
void FindingsPanel::placeCards(const std::vector<FindingGroup>& groups, const Sight& sight) {
    std::map<std::size_t, Standing> standing;
    int place = 0;
    bool moved = false;
    for (const FindingGroup& group : groups) {
        const QString key = keyOf(group, sight);
        const auto stood = standing_.find(group.rule);
        const bool stays = stood != standing_.end() && stood->second.key == key;
        QWidget* widget = stays ? stood->second.card : card(group, sight);
        if (cards_->indexOf(widget) != place) {
            cards_->removeWidget(widget);
            cards_->insertWidget(place, widget);
            moved = true;
        }
        ++place;
        standing.emplace(group.rule, Standing{key, widget});
    }
    for (const auto& [rule, old] : standing_) {
        const auto now = standing.find(rule);
        if (now != standing.end() && now->second.card == old.card) {
            continue;
        }
        std::erase_if(remedies_, [card = old.card](const auto& remedy) {
            return card->isAncestorOf(static_cast<QWidget*>(remedy.first));
        });
        // It may hold the very button whose click leads here: it lives until that is over.
        cards_->removeWidget(old.card);
        old.card->hide();
        old.card->setObjectName({});
        for (QWidget* child : old.card->findChildren<QWidget*>()) {
            child->setObjectName({});
        }
        old.card->deleteLater();
    }
    standing_ = std::move(standing);
    if (moved) { // Tab goes through them from above
        QWidget* last = nullptr;
        for (int i = 0; i < cards_->count(); ++i) {
            for (QWidget* next : cards_->itemAt(i)->widget()->findChildren<QWidget*>()) {
                if (next->focusPolicy() != Qt::NoFocus) {
                    if (last != nullptr) {
                        QWidget::setTabOrder(last, next);
                    }
                    last = next;
                }
            }
        }
    }
}

/// What was set aside and what could not be checked.
void FindingsPanel::placeFoot(const std::vector<const job::Dismissal*>& aside,
                              bool nothingFound,
                              const Sight& sight) {
    const auto& notChecked = sight.present->findings.judgement.notChecked;
    // Unfolded lists are made anew; folded ones show only their numbers.
    const QString key = QStringLiteral("%1/%2/%3/%4/%5")
                            .arg(nothingFound)
                            .arg(aside.size())
                            .arg(notChecked.size())
                            .arg(theme().ink.name(), tr("Set aside: %1"));
    if (foot_ != nullptr && lists_.empty() && key == footKey_) {
        return;
    }
    footKey_ = lists_.empty() ? key : QString();
    if (foot_ != nullptr) {
        for (QWidget* child : foot_->findChildren<QWidget*>()) {
            child->setObjectName({});
        }
        foot_->hide();
        foot_->deleteLater();
    }
    foot_ = new QWidget(scroll_->widget());
    auto* column = new QVBoxLayout(foot_);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    if (nothingFound) {
        column->addWidget(
            quiet(tr("None of the rules that could be checked has found anything. That is not the "
                     "same as good: see below what was not checked."),
                  foot_));
    }
    if (!aside.empty()) {
        QToolButton* head =
            link(tr("Set aside: %1").arg(aside.size()), QStringLiteral("findings_aside"), foot_);
        connect(head, &QToolButton::clicked, this, [this] { toggle(lists_, "aside"); });
        column->addWidget(head);
        if (lists_.contains("aside")) {
            for (const job::Dismissal* dismissal : aside) {
                column->addWidget(asideCard(*dismissal, sight));
            }
        }
    }
    QToolButton* head = link(tr("Not checked: %1 rules").arg(notChecked.size()),
                             QStringLiteral("findings_unchecked"),
                             foot_);
    connect(head, &QToolButton::clicked, this, [this] { toggle(lists_, "unchecked"); });
    column->addWidget(head);
    if (lists_.contains("unchecked")) {
        column->addWidget(notCheckedList(sight));
    }
    static_cast<QVBoxLayout*>(scroll_->widget()->layout())->insertWidget(1, foot_);
    foot_->show();
}

QWidget* FindingsPanel::card(const FindingGroup& group, const Sight& sight) {
    const findings::Rule& rule = findings::rules()[group.rule];
    const std::string id = idOf(group.rule);
    const QString name = words(id);
    auto* frame = new QWidget;
    frame->setObjectName(QStringLiteral("finding_") + name);
    frame->setProperty("card", true);
    frame->setAttribute(Qt::WA_StyledBackground);
    auto* column = new QVBoxLayout(frame);
    column->setContentsMargins(8, 6, 6, 2);
    column->setSpacing(1);
    const SeverityMark mark = markOf(rule.severity);
    auto* head = new QHBoxLayout;
    auto* shape = new QLabel(mark.shape, frame);
    QPalette p = shape->palette();
    p.setColor(QPalette::WindowText, mark.colour);
    shape->setPalette(p);
    shape->setToolTip(mark.word);
    QLabel* what = text(spoken(rule.what), frame);
    QFont bold = what->font();
    bold.setWeight(QFont::DemiBold);
    what->setFont(bold);
    head->addWidget(shape, 0, Qt::AlignTop);
    head->addWidget(what, 1);
    column->addLayout(head);
    frame->setAccessibleName(QStringLiteral("%1: %2").arg(mark.word, spoken(rule.what)));

    constexpr std::size_t fewEntries = 3;
    const bool open = unfolded_.contains(id);
    const std::size_t shown =
        open ? group.findings.size() : std::min(fewEntries, group.findings.size());
    for (std::size_t i = 0; i < shown; ++i) {
        addEntry(column, group.findings[i], sight);
    }
    if (shown < group.findings.size()) {
        column->addWidget(quiet(tr("and %1 more").arg(group.findings.size() - shown), frame));
    }
    auto* row = new QHBoxLayout;
    row->setSpacing(2);
    QToolButton* whyButton =
        link(open ? tr("Fold") : tr("Why"), QStringLiteral("why_") + name, frame);
    whyButton->setAccessibleName(tr("Why: %1").arg(spoken(rule.what)));
    connect(whyButton, &QToolButton::clicked, this, [this, id] { toggle(unfolded_, id); });
    row->addWidget(whyButton);
    QToolButton* asideButton = link(tr("Set aside"), QStringLiteral("aside_") + name, frame);
    asideButton->setAccessibleName(tr("Set aside: %1").arg(spoken(rule.what)));
    connect(asideButton, &QToolButton::clicked, this, [this, id] { toggle(asideOpen_, id); });
    row->addWidget(asideButton);
    ElidedLabel* basis = quietLine(spoken(findings::basisName(rule.basis)), frame);
    basis->setAccessibleName(tr("What this judgement rests on"));
    row->addWidget(basis, 1);
    if (open) {
        column->addWidget(why(group, sight));
    }
    column->addLayout(row);
    if (asideOpen_.contains(id)) {
        auto* note = new QLineEdit(frame);
        note->setObjectName(QStringLiteral("note_") + name);
        note->setPlaceholderText(tr("Why may it stay so? Enter"));
        note->setAccessibleName(tr("Why may it stay so?"));
        std::vector<Finding> all;
        for (const std::size_t index : group.findings) {
            all.push_back(built_->findings.judgement.findings[index]);
        }
        connect(note, &QLineEdit::returnPressed, this, [this, note, all, id] {
            asideOpen_.erase(id);
            std::vector<job::Dismissal> dismissals;
            for (const Finding& finding : all) {
                dismissals.push_back(findings::dismissalFor(finding));
                dismissals.back().note = note->text().trimmed().toStdString();
                dismissals.back().date = QDate::currentDate().toString(Qt::ISODate).toStdString();
            }
            Q_EMIT edited(edit::dismiss(dismissals));
        });
        column->addWidget(note);
        QMetaObject::invokeMethod(
            note, [note] { note->setFocus(); }, Qt::QueuedConnection);
    }
    return frame;
}

void FindingsPanel::addEntry(QVBoxLayout* column, std::size_t index, const Sight& sight) {
    const job::Job& job = sight.present->job;
    const Finding& finding = sight.present->findings.judgement.findings[index];
    const QString subject = spoken(findings::subjectText(job, finding.subject));
    QWidget* parent = column->parentWidget();
    auto* row = new QHBoxLayout;
    row->setSpacing(2);
    auto* texts = new QVBoxLayout;
    texts->setSpacing(0);
    texts->addWidget(quiet(subject, parent));
    if (const QString figure = figureOf(finding); !figure.isEmpty()) {
        ElidedLabel* told = quietLine(figure, parent);
        told_.push_back({told, finding});
        texts->addWidget(told);
    }
    row->addLayout(texts, 1);
    const QString key = QStringLiteral("%1/%2/%3")
                            .arg(words(idOf(finding.rule)),
                                 words(finding.subject.cabinet),
                                 words(finding.subject.part.empty() ? finding.subject.driver
                                                                    : finding.subject.part));
    QToolButton* show = link(tr("Show"), QStringLiteral("show_") + key, parent);
    show->setAccessibleName(
        tr("Show %1: %2").arg(subject, spoken(findings::rules()[finding.rule].what)));
    connect(show, &QToolButton::clicked, this, [this, finding] {
        const Finding* now = newest(finding);
        Q_EMIT showWanted(now == nullptr ? finding : *now);
    });
    row->addWidget(show, 0, Qt::AlignVCenter);
    column->addLayout(row);
    if (const auto remedy = remedyFor(finding)) {
        QToolButton* act = link(spoken(remedy->name), QStringLiteral("do_") + key, parent);
        act->setProperty("link", false);
        act->setProperty("main", true);
        act->setToolTip(tr("Does it; can be undone. While the pointer is here the pictures show "
                           "what it would bring."));
        act->setAccessibleName(tr("Do: %1").arg(spoken(remedy->name)));
        act->installEventFilter(this);
        remedies_.emplace(act, finding);
        connect(act, &QToolButton::clicked, this, [this, finding] {
            const auto now = remedyFor(finding); // its figure may have changed since
            Q_EMIT previewEnded();
            if (now) {
                Q_EMIT edited(*now);
            }
        });
        column->addWidget(act, 0, Qt::AlignLeft);
    }
}

QWidget* FindingsPanel::why(const FindingGroup& group, const Sight& sight) {
    const findings::Rule& rule = findings::rules()[group.rule];
    auto* box = new QWidget;
    auto* column = new QVBoxLayout(box);
    column->setContentsMargins(0, 2, 0, 2);
    column->setSpacing(3);
    column->addWidget(selectable(spoken(rule.reason), box));
    column->addWidget(selectable(QStringLiteral("→ ") + spoken(rule.next), box));
    const std::size_t first = group.findings.front();
    for (const auto& [name, fact] : built_->findings.judgement.findings[first].facts) {
        ElidedLabel* told =
            quietLine(factOf(built_->findings.judgement.findings[first], *fact.kind), box);
        told_.push_back({told, built_->findings.judgement.findings[first], fact.kind});
        column->addWidget(told);
    }
    const auto standard = findings::rules()[group.rule].when.limit();
    if (standard) {
        const std::string id = idOf(group.rule);
        const auto& limits = sight.present->job.limits;
        const auto changed = std::ranges::find(limits, id, &job::RuleLimit::rule);
        auto* row = new QHBoxLayout;
        auto* label = new QLabel(tr("Limit"), box);
        auto* field = new QLineEdit(box);
        field->setObjectName(QStringLiteral("limit_") + words(id));
        field->setAccessibleName(tr("Limit of: %1").arg(spoken(rule.what)));
        field->setText(
            figures(text::printNumber(changed == limits.end() ? *standard : changed->limit)));
        field->setMaximumWidth(80);
        label->setBuddy(field);
        row->addWidget(label);
        row->addWidget(field);
        row->addWidget(quiet(tr("default %1").arg(figures(text::printNumber(*standard))), box), 1);
        column->addLayout(row);
        auto* problem = quiet({}, box);
        problem->setVisible(false);
        column->addWidget(problem);
        connect(field, &QLineEdit::editingFinished, this, [this, field, problem, id, standard] {
            if (!field->isModified()) {
                return;
            }
            field->setModified(false);
            const auto typed = text::parseQuantity(field->text().toStdString(), text::Unit::none);
            if (!typed) {
                problem->setText(tr("%1 is not a number; the limit stays.").arg(field->text()));
                problem->setVisible(true);
                return;
            }
            Q_EMIT edited(
                edit::changeLimit(id, *typed == *standard ? std::nullopt : std::optional(*typed)));
        });
    }
    return box;
}

QWidget* FindingsPanel::asideCard(const job::Dismissal& dismissal, const Sight& sight) {
    auto* frame = new QWidget;
    frame->setProperty("card", true);
    frame->setAttribute(Qt::WA_StyledBackground);
    auto* column = new QVBoxLayout(frame);
    column->setContentsMargins(8, 6, 8, 6);
    column->setSpacing(3);
    const auto rule = findings::findRule(dismissal.rule);
    const QString what = rule ? spoken(findings::rules()[*rule].what) : words(dismissal.rule);
    const findings::Subject subject{
        dismissal.cabinet, dismissal.driver, dismissal.other, dismissal.part, dismissal.take};
    column->addWidget(text(what, frame));
    column->addWidget(quiet(QStringLiteral("%1\n%2: %3")
                                .arg(spoken(findings::subjectText(sight.present->job, subject)),
                                     words(dismissal.date),
                                     words(dismissal.note)),
                            frame));
    QToolButton* again =
        link(tr("Take up again"), QStringLiteral("take_up_") + words(dismissal.rule), frame);
    connect(again, &QToolButton::clicked, this, [this, dismissal] {
        Q_EMIT edited(edit::takeUp(dismissal));
    });
    column->addWidget(again, 0, Qt::AlignLeft);
    return frame;
}

QWidget* FindingsPanel::notCheckedList(const Sight& sight) {
    QStringList lines;
    QStringList byHand;
    std::string group;
    for (const std::size_t index : sight.present->findings.judgement.notChecked) {
        const findings::Rule& rule = findings::rules()[index];
        if (!findings::toldByJob(rule)) {
            byHand << QStringLiteral("– ") + spoken(rule.what);
            continue;
        }
        const std::string own(rule.id.substr(0, rule.id.find('.')));
        if (own != group) {
            group = own;
            lines << QStringLiteral("\n") +
                         tr("These need %1:").arg(spoken(findings::neededFor(own)));
        }
        lines << QStringLiteral("– ") + spoken(rule.what);
    }
    if (!byHand.empty()) {
        lines << QStringLiteral("\n") +
                     tr("No measurement here tells what these need; the command line takes it "
                        "(speaker findings):")
              << byHand;
    }
    QLabel* label = quiet(lines.join(u'\n').trimmed(), nullptr);
    label->setObjectName(QStringLiteral("unchecked_list"));
    return label;
}

bool FindingsPanel::eventFilter(QObject* watched, QEvent* event) {
    const auto remedy = remedies_.find(watched);
    if (remedy != remedies_.end()) {
        if (event->type() == QEvent::Enter) {
            if (const auto now = remedyFor(remedy->second)) {
                Q_EMIT previewed(*now);
            }
        } else if (event->type() == QEvent::Leave) {
            Q_EMIT previewEnded();
        }
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace yf::app
