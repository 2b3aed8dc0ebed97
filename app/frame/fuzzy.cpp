// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/fuzzy.h"

#include <vector>

namespace yf::app {

namespace {

QString plain(const QString& text) {
    QString result;
    for (const QChar c : text.normalized(QString::NormalizationForm_D)) {
        if (c.category() != QChar::Mark_NonSpacing) {
            result += c.toCaseFolded();
        }
    }
    return result;
}

constexpr int beginsWord = 8;
constexpr int follows = 5;
constexpr int stands = 1;

} // namespace

std::optional<int> fit(const QString& letters, const QString& text) {
    const QString wanted = plain(letters).remove(u' ');
    const QString given = plain(text);
    if (wanted.isEmpty()) {
        return 0;
    }
    if (wanted.size() > given.size()) {
        return std::nullopt;
    }
    // best[j]: most that the letters so far can get with the last one at j.
    constexpr int impossible = -1;
    std::vector<int> best(static_cast<std::size_t>(given.size()), impossible);
    for (qsizetype i = 0; i < wanted.size(); ++i) {
        std::vector<int> next(best.size(), impossible);
        int before = impossible;
        for (qsizetype j = 0; j < given.size(); ++j) {
            const auto at = static_cast<std::size_t>(j);
            if (given[j] == wanted[i]) {
                const bool first = j == 0 || !given[j - 1].isLetterOrNumber();
                const int own = first ? beginsWord : stands;
                if (i == 0) {
                    next[at] = own;
                } else {
                    if (before != impossible) {
                        next[at] = before + own;
                    }
                    if (j > 0 && best[at - 1] != impossible) {
                        next[at] = std::max(next[at], best[at - 1] + std::max(own, follows));
                    }
                }
            }
            before = std::max(before, best[at]);
        }
        best = std::move(next);
    }
    int most = impossible;
    for (const int value : best) {
        most = std::max(most, value);
    }
    return most == impossible ? std::nullopt : std::optional(most);
}

} // namespace yf::app
