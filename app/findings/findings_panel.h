// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage.h"
#include "core/job/edit.h"

#include <QTimer>
#include <QWidget>

#include <set>

class QLabel;
class QScrollArea;
class QToolButton;
class QVBoxLayout;

namespace yf::app {

class ElidedLabel;

/// The application's judgement, most urgent first. One card for each rule that has found
/// something, with everything it is about; below, what was set aside and what could not be
/// checked. Cards are made anew only when the findings change.
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
    void edited(const yf::job::Edit& edit);
    void previewed(const yf::job::Edit& edit);
    void previewEnded();

    /// Lead the eye to what a finding is about.
    void showWanted(const yf::speaker::Finding& finding);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    struct Group {
        std::size_t rule{};
        std::vector<std::size_t> findings; ///< indices among the judgement's findings
    };

    void rebuild(const Sight& sight);
    void renew(const Sight& sight);
    QWidget* card(const Group& group, const Sight& sight);
    void addEntry(QVBoxLayout* column, std::size_t index, const Sight& sight);
    QWidget* why(const Group& group, const Sight& sight);
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
    std::set<std::string> unfolded_;  ///< rules whose reason is open
    std::set<std::string> asideOpen_; ///< rules being set aside
    std::set<std::string> lists_;     ///< "aside", "unchecked"
    std::map<QObject*, job::Edit> remedies_;

    /// A line whose text comes from a finding: its figure changes with every notch of a wheel,
    /// its card does not.
    struct Told {
        ElidedLabel* label{};
        std::size_t finding{}; ///< index among the judgement's findings
        std::string fact;      ///< this fact of an unfolded card instead of the figure
    };

    std::vector<Told> told_;
    QLabel* counts_{};
    QScrollArea* scroll_{};
};

} // namespace yf::app
