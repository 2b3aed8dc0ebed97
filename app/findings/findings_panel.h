// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage.h"
#include "core/job/edit.h"

#include <QWidget>

#include <set>

class QLabel;
class QScrollArea;
class QToolButton;
class QVBoxLayout;

namespace yf::app {

/// The application's judgement, most urgent first. One card for each rule that has found
/// something, with everything it is about; below, what was set aside and what could not be
/// checked. Cards are made anew only when the findings change.
class FindingsPanel final : public QWidget {
    Q_OBJECT

public:
    explicit FindingsPanel(QWidget* parent = nullptr);

    void display(const Sight& sight);

    /// Opens the card of a rule and brings it into sight.
    void unfold(const QString& rule);

Q_SIGNALS:
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
        std::vector<speaker::Finding> findings;
    };

    void rebuild(const Sight& sight);
    QWidget* card(const Group& group, const Sight& sight);
    void addEntry(QVBoxLayout* column, const speaker::Finding& finding, const Sight& sight);
    QWidget* why(const Group& group, const Sight& sight);
    QWidget* asideCard(const job::Dismissal& dismissal, const Sight& sight);
    QWidget* notCheckedList(const Sight& sight);
    void toggle(std::set<std::string>& open, const std::string& key);
    QToolButton* link(const QString& text, const QString& name, QWidget* parent);

    std::shared_ptr<const Evaluated> shown_;
    std::string cabinet_;
    std::set<std::string> unfolded_;  ///< rules whose reason is open
    std::set<std::string> asideOpen_; ///< rules being set aside
    std::set<std::string> lists_;     ///< "aside", "unchecked"
    std::map<QObject*, job::Edit> remedies_;
    QLabel* counts_{};
    QScrollArea* scroll_{};
};

} // namespace yf::app
