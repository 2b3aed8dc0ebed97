// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <cstdint>

namespace yf::job {

/// One state of a job and the name of the change that led to it.
struct Step {
    Words name;
    std::string mergeKey;
    Job job;

    bool operator==(const Step&) const = default;
};

/// What a change did to the history; the store writes exactly this.
enum class Moved { appended, merged, back, forward };

/// The jobs themselves, in order. Undo is the job before: no inverse is ever written, so none can
/// be wrong. Kept true: never empty, the position lies inside.
class History {
public:
    explicit History(Job first);
    History(std::vector<Step> steps, std::size_t position);

    [[nodiscard]] const Job& job() const { return steps_[position_].job; }

    [[nodiscard]] const Step& step() const { return steps_[position_]; }

    [[nodiscard]] const std::vector<Step>& steps() const { return steps_; }

    [[nodiscard]] std::size_t position() const { return position_; }

    /// The next state; what could have been redone is gone. One of the same gesture (mergeKey)
    /// takes the place of the one before.
    Moved push(Step next);

    [[nodiscard]] bool canUndo() const { return position_ > 0; }

    [[nodiscard]] bool canRedo() const { return position_ + 1 < steps_.size(); }

    /// Name of the change that undo would take back; empty if there is none.
    [[nodiscard]] Words undoName() const { return canUndo() ? steps_[position_].name : Words{}; }

    [[nodiscard]] Words redoName() const {
        return canRedo() ? steps_[position_ + 1].name : Words{};
    }

    void undo();
    void redo();

    /// The next edit starts a step of its own, whatever its mergeKey.
    void endGesture();

private:
    std::vector<Step> steps_;
    std::size_t position_{};
    bool gestureEnded_{};
};

} // namespace yf::job
