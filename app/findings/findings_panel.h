// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/findings/finding_groups.h"
#include "app/stage/stage.h"
#include "app/widgets/elided_label.h"
#include "core/edit/parts.h"
#include "core/findings/judge.h"

#include <QPointer>
#include <QTimer>
#include <QWidget>

#include <set>

class QLabel;
class QScrollArea;
class QToolButton;
class QVBoxLayout;

namespace yf::app {

/// The application's judgement, most urgent first. One card for each rule that has found
/// something, with everything it is about; below, what was set aside and what could not be
/// checked. A card is made anew only when something of it but its figures changes.
class FindingsPanel final : public QWidget {
    Q_OBJECT

public:
    explicit FindingsPanel(QWidget* parent = nullptr);

    /// Figures follow at once. That a card comes or goes waits until the hand rests for a moment:
    /// it costs more than a frame.
    void display(const Sight& sight);

    /// False while a card is about to come or go.
    [[nodiscard]] bool settled() const { return !rest_.isActive(); }

    /// Opens the card of a rule and brings it into sight.
    void unfold(const QString& rule);

Q_SIGNALS:
    /// Cards stand as the findings are.
    void rested();
    void edited(const yf::edit::Edit& edit);
    void previewed(const yf::edit::Edit& edit);
    void previewEnded();

    /// Lead the eye to what a finding is about.
    void showWanted(const yf::findings::Finding& finding);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void rebuild(const Sight& sight);
    void renew(const Sight& sight);
    void placeCards(const std::vector<FindingGroup>& groups, const Sight& sight);
    void placeFoot(const std::vector<const job::Dismissal*>& aside,
                   bool nothingFound,
                   const Sight& sight);
    [[nodiscard]] QString keyOf(const FindingGroup& group, const Sight& sight) const;
    QWidget* card(const FindingGroup& group, const Sight& sight);
    void addEntry(QVBoxLayout* column, std::size_t index, const Sight& sight);
    QWidget* why(const FindingGroup& group, const Sight& sight);

    /// The finding of the newest evaluation that an older one has become; null: it is gone.
    [[nodiscard]] const findings::Finding* newest(const findings::Finding& finding) const;
    [[nodiscard]] std::optional<edit::Edit> remedyFor(const findings::Finding& finding) const;
    QWidget* asideCard(const job::Dismissal& dismissal, const Sight& sight);
    QWidget* notCheckedList(const Sight& sight);
    void toggle(std::set<std::string>& open, const std::string& key);
    QToolButton* link(const QString& text, const QString& name, QWidget* parent);

    [[nodiscard]] Sight sight() const {
        return {.present = shown_, .preview = nullptr, .cabinet = cabinet_, .driver = {}};
    }

    std::shared_ptr<const Evaluated> shown_;
    std::shared_ptr<const Evaluated> built_; ///< what the cards speak of; their indices are its
    std::string cabinet_;
    QTimer rest_;
    std::set<std::string> unfolded_;                 ///< rules whose reason is open
    std::set<std::string> asideOpen_;                ///< rules being set aside
    std::set<std::string> lists_;                    ///< "aside", "unchecked"
    std::map<QObject*, findings::Finding> remedies_; ///< what their buttons would mend

    /// A card that stands, and everything of it that is not a figure.
    struct Standing {
        QString key;
        QWidget* card{};
    };

    std::map<std::size_t, Standing> standing_; ///< by rule

    /// A line whose text comes from a finding: its figure changes with every notch of a wheel,
    /// its card does not.
    struct Told {
        QPointer<ElidedLabel> label; ///< null once its card is gone
        findings::Finding finding;
        const findings::FactKind* fact{}; ///< of an unfolded card, instead of the figure
    };

    std::vector<Told> told_;
    QLabel* counts_{};
    QScrollArea* scroll_{};
    QVBoxLayout* cards_{};
    QWidget* foot_{};
    QString footKey_; ///< what it says while its lists are folded
};

} // namespace yf::app
