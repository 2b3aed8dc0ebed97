// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/plot.h"
#include "app/widgets/ask.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/notice.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/still.h"
#include "core/quantity/quantities.h"

#include <QApplication>
#include <QFileDialog>
#include <QLabel>
#include <QPushButton>
#include <QTest>
#include <QTimer>
#include <QToolButton>
#include <QVBoxLayout>
#include <QWheelEvent>

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

void enter(app::QuantityField& field, const char* text) {
    field.clear();
    for (const char* c = text; *c != '\0'; ++c) {
        QTest::keyClick(&field, *c);
    }
    QTest::keyClick(&field, Qt::Key_Return);
}

app::Trace line(const char* id, const QVector<double>& f, const QVector<double>& v) {
    return {.id = QLatin1String(id), .label = QLatin1String(id), .frequencies = f, .values = v};
}

} // namespace

TEST(QuantityField, takesWhatPeopleWriteAndKeepsTheLastGoodValue) {
    app::QuantityField field(quantity::fx, text::Unit::hertz);
    field.setValue(2500.0);
    EXPECT_EQ(field.text(), QStringLiteral("2.5\u202FkHz"));
    std::vector<double> told;
    QObject::connect(&field, &app::QuantityField::valueChanged, &field, [&](double value) {
        told.push_back(value);
    });

    struct {
        const char* typed;
        double value;
        bool good;
    } const rows[] = {{"3000", 3000.0, true},
                      {"2k2", 2200.0, true},
                      {"2,5 kHz", 2500.0, true},
                      {"fast", 2500.0, false},
                      {"0.5", 2500.0, false},
                      {"1.234,5", 2500.0, false},
                      {"2M", 2500.0, false},
                      {"-5", 2500.0, false},
                      {"1k", 1000.0, true}};

    for (const auto& row : rows) {
        enter(field, row.typed);
        EXPECT_NEAR(field.value(), row.value, 1e-9) << row.typed;
        EXPECT_EQ(field.problem().isEmpty(), row.good)
            << row.typed << ": " << field.problem().toStdString();
    }
    EXPECT_EQ(told, (std::vector<double>{3000.0, 2200.0, 2500.0, 1000.0}));
    // The wheel never changes a number by accident.
    QWheelEvent wheel(
        {5, 5}, {5, 5}, {}, {0, 120}, Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase, false);
    QApplication::sendEvent(&field, &wheel);
    EXPECT_NEAR(field.value(), 1000.0, 1e-9);
}

// In a dialog in which a file is chosen a stray key once deleted folders of the disk.
TEST(Ask, dialogsOnlyChoose) {
    app::AskWithDialogs ask;
    int seen = 0;
    const auto look = [&] {
        QTimer::singleShot(0, qApp, [&seen] {
            for (QWidget* widget : QApplication::topLevelWidgets()) {
                if (auto* dialog = qobject_cast<QFileDialog*>(widget); dialog != nullptr) {
                    EXPECT_TRUE(dialog->testOption(QFileDialog::ReadOnly));
                    ++seen;
                    dialog->reject();
                }
            }
        });
    };
    look();
    EXPECT_TRUE(ask.filesToOpen(nullptr, QStringLiteral("Open"), QString()).isEmpty());
    look();
    EXPECT_TRUE(ask.fileToWrite(nullptr, QStringLiteral("Save"), QString(), QString()).isEmpty());
    EXPECT_EQ(seen, 2);
}

TEST(Plot, readsBetweenItsPointsAndNotBeyond) {
    app::Plot plot(app::PlotKind::level, QStringLiteral("p"), QStringLiteral("Level"));
    plot.display({.traces = {line("a", {100.0, 10000.0}, {80.0, 90.0}),
                             line("b", {1000.0, 2000.0}, {70.0, 70.0})}});
    plot.setCrosshair(1000.0);
    EXPECT_EQ(plot.reading(QStringLiteral("a")),
              QStringLiteral("85.0\u202F"
                             "dB"));
    EXPECT_EQ(plot.reading(QStringLiteral("b")),
              QStringLiteral("70.0\u202F"
                             "dB"));
    plot.setCrosshair(99.0);
    EXPECT_EQ(plot.reading(QStringLiteral("a")), QStringLiteral("–"));
    EXPECT_EQ(plot.reading(QStringLiteral("none")), QString());
}

TEST(Plot, phaseIsReadAcrossItsWrap) {
    app::Plot plot(app::PlotKind::phase, QStringLiteral("p"), QStringLiteral("Phase"));
    // From −170° on to −190°, shown as 170°: in the middle it is 180°, not 0°.
    plot.display({.traces = {line("a", {100.0, 10000.0}, {-170.0, 170.0})}});
    plot.setCrosshair(1000.0);
    EXPECT_TRUE(plot.reading(QStringLiteral("a")).contains(QStringLiteral("180")))
        << plot.reading(QStringLiteral("a")).toStdString();
}

TEST(Plot, saysWhatItShowsOrMisses) {
    app::Plot plot(app::PlotKind::impedance, QStringLiteral("p"), QStringLiteral("Impedance"));
    // Words are made once the picture rests.
    const auto says = [&](const char* words) {
        return QTest::qWaitFor(
            [&] { return plot.accessibleDescription().contains(QString::fromUtf8(words)); }, 20000);
    };
    plot.display({.empty = QStringLiteral("nothing measured yet")});
    EXPECT_TRUE(says("nothing measured yet"));
    plot.display({.traces = {line("z", {20.0, 20000.0}, {8.0, 8.0})},
                  .mark = app::Mark{100.0, 5.0, QStringLiteral("5.0 Ω at 100 Hz")}});
    EXPECT_TRUE(says("5.0 Ω at 100 Hz"));
    EXPECT_TRUE(says("8.00"));
}

TEST(Plot, linkedCrosshairsFollowEachOther) {
    app::Plot a(app::PlotKind::level, QStringLiteral("a"), QStringLiteral("A"));
    app::Plot b(app::PlotKind::phase, QStringLiteral("b"), QStringLiteral("B"));
    app::linkCrosshairs({&a, &b});
    QTest::keyClick(&a, Qt::Key_Right, Qt::ControlModifier);
    EXPECT_EQ(a.crosshair(), b.crosshair());
    QTest::keyClick(&b, Qt::Key_Left);
    EXPECT_EQ(a.crosshair(), b.crosshair());
    for (int i = 0; i < 200; ++i) {
        QTest::keyClick(&a, Qt::Key_Left, Qt::ControlModifier);
    }
    EXPECT_GE(a.crosshair(), 10.0) << "it stays on the paper";
}

TEST(FlowLayout, breaksIntoRowsAndLeavesOutTheHidden) {
    QWidget bar;
    auto* row = new app::FlowLayout(&bar);
    row->setSpacing(6);
    row->setContentsMargins(0, 0, 0, 0);
    QVector<QPushButton*> buttons;
    for (int i = 0; i < 6; ++i) {
        buttons.push_back(new QPushButton(QStringLiteral("Button"), &bar));
        row->addWidget(buttons.back());
    }
    const int one = buttons.front()->sizeHint().width();
    const int high = row->heightForWidth(10 * one);
    EXPECT_EQ(row->heightForWidth(3 * one + 12), 2 * high + 6);
    EXPECT_EQ(row->heightForWidth(one), 6 * high + 5 * 6);
    bar.resize(3 * one + 12, 200);
    bar.show();
    EXPECT_EQ(buttons[0]->y(), buttons[2]->y());
    EXPECT_GT(buttons[3]->y(), buttons[2]->y());
    EXPECT_EQ(buttons[3]->x(), buttons[0]->x());
    buttons[0]->hide();
    QApplication::processEvents();
    EXPECT_EQ(buttons[3]->y(), buttons[1]->y());
}

/// Counts how often a layout is told to begin anew.
class CountingLayout final : public QVBoxLayout {
public:
    using QVBoxLayout::QVBoxLayout;

    void invalidate() override {
        ++asked;
        QVBoxLayout::invalidate();
    }

    int asked{};
};

TEST(Still, asksForRoomOnlyWhenItsTextNoLongerFits) {
    QWidget window;
    auto* column = new CountingLayout(&window);
    QLabel* label = app::stillLabel(&window, QStringLiteral("words"));
    auto* button = new QToolButton(&window);
    column->addWidget(label->parentWidget());
    column->addWidget(button);
    column->addStretch(1);
    label->setText(QStringLiteral("41.2 Hz at the tuning"));
    app::sayStill(button, QStringLiteral("fb 41.2 Hz"));
    window.resize(200, 300);
    window.show();
    QCoreApplication::processEvents();
    const int height = label->parentWidget()->height();
    const int width = button->width();
    column->asked = 0;
    label->setText(QStringLiteral("38.1 Hz at the tuning"));
    app::sayStill(button, QStringLiteral("fb 9.1 Hz"));
    QCoreApplication::processEvents();
    EXPECT_EQ(column->asked, 0);
    EXPECT_EQ(button->width(), width);
    // A long one gets its room, and keeps it when it is short again.
    label->setText(QStringLiteral("41.2 Hz at the tuning ").repeated(12));
    app::sayStill(button, QStringLiteral("fb 41.2 Hz and much more of it"));
    QCoreApplication::processEvents();
    EXPECT_GT(column->asked, 0);
    EXPECT_GT(label->parentWidget()->height(), height);
    EXPECT_GE(label->height(), label->heightForWidth(label->width()));
    EXPECT_GT(button->width(), width);
    const int grown = label->parentWidget()->height();
    label->setText(QStringLiteral("short"));
    QCoreApplication::processEvents();
    EXPECT_EQ(label->parentWidget()->height(), grown);
}

TEST(Notice, marksByShapeAndGoesWhenClosed) {
    app::Notice notice;

    struct {
        app::Gravity gravity;
        char16_t mark;
    } const rows[] = {{app::Gravity::good, u'✓'},
                      {app::Gravity::note, u'●'},
                      {app::Gravity::mind, u'▲'},
                      {app::Gravity::stop, u'■'}};

    for (const auto& row : rows) {
        notice.tell(row.gravity, QStringLiteral("words"));
        EXPECT_TRUE(notice.text().startsWith(QChar(row.mark)));
        EXPECT_EQ(notice.accessibleName(), QStringLiteral("words"));
    }
    notice.clear();
    EXPECT_TRUE(notice.text().isEmpty());
}

} // namespace yf::test
