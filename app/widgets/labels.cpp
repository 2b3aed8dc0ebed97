// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/labels.h"

#include <QHash>
#include <QLabel>

namespace yf::app {

namespace {

/// A label that wraps and knows how high it was at a width. A layout in layouts asks each label a
/// dozen times whenever one of them changes, and each answer means shaping its whole text anew.
class WrappedLabel final : public QLabel {
public:
    explicit WrappedLabel(QWidget* parent) : QLabel(parent) { setWordWrap(true); }

    [[nodiscard]] int heightForWidth(int width) const override {
        if (text() != text_) {
            text_ = text();
            heights_.clear();
        }
        const auto known = heights_.constFind(width);
        return known != heights_.constEnd()
                   ? *known
                   : *heights_.insert(width, QLabel::heightForWidth(width));
    }

protected:
    /// Another font or style: every height is another.
    void changeEvent(QEvent* event) override {
        heights_.clear();
        QLabel::changeEvent(event);
    }

private:
    mutable QString text_;
    mutable QHash<int, int> heights_;
};

} // namespace

QLabel* wrappedLabel(QWidget* parent, const QString& name) {
    auto* label = new WrappedLabel(parent);
    label->setObjectName(name);
    label->setTextFormat(Qt::PlainText);
    return label;
}

QLabel* wrappedLabel(QWidget* parent, const QString& name, double points, QFont::Weight weight) {
    QLabel* label = wrappedLabel(parent, name);
    QFont font = parent->font();
    font.setPointSizeF(points);
    font.setWeight(weight);
    label->setFont(font);
    return label;
}

QLabel* headingLabel(QWidget* parent, const QString& text) {
    auto* label = new QLabel(text, parent);
    label->setTextFormat(Qt::PlainText);
    QFont font = parent->font();
    font.setWeight(QFont::DemiBold);
    label->setFont(font);
    return label;
}

void tint(QLabel* label, const QColor& colour) {
    QPalette palette = label->palette();
    palette.setColor(QPalette::WindowText, colour);
    label->setPalette(palette);
}

} // namespace yf::app
