// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/history.h"

namespace yf::job {

History::History(Job first) : steps_{Step{"", "", std::move(first)}} {}

History::History(std::vector<Step> steps, std::size_t position)
    : steps_(std::move(steps)), position_(position) {
    YF_EXPECT(position_ < steps_.size());
}

Moved History::push(Step next) {
    const Step& now = steps_[position_];
    const bool merges =
        !gestureEnded_ && !next.mergeKey.empty() && next.mergeKey == now.mergeKey && position_ > 0;
    gestureEnded_ = false;
    steps_.resize(position_ + 1);
    if (merges) {
        steps_[position_] = std::move(next);
        return Moved::merged;
    }
    steps_.push_back(std::move(next));
    ++position_;
    return Moved::appended;
}

void History::undo() {
    YF_EXPECT(canUndo());
    --position_;
    gestureEnded_ = true;
}

void History::redo() {
    YF_EXPECT(canRedo());
    ++position_;
    gestureEnded_ = true;
}

void History::endGesture() {
    gestureEnded_ = true;
}

} // namespace yf::job
