// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/table/import.h"

#include <QStringList>
#include <QWidget>

class QComboBox;
class QLabel;
class QScrollArea;

namespace yf::app {

/// The first rows of a table with what each column was taken for above it, and how sure that is;
/// every column can be given another meaning. Where a table can be read in several ways, the ways
/// stand above it as answers to choose from.
class ColumnTable final : public QWidget {
    Q_OBJECT

public:
    explicit ColumnTable(QWidget* parent = nullptr);

    /// meanings: what a person chose for each column, "auto" or nothing where the table decides.
    void display(const measure::TablePreview& preview, const std::vector<std::string>& meanings);

Q_SIGNALS:
    /// Somebody chose: a word for each column (measure::meanings), "auto" where it is left open.
    void meant(const QStringList& meanings);

private:
    QComboBox* meaningBox(const measure::ColumnReading& column, const QString& chosen, int at);
    void showAnswers(const measure::TablePreview& preview);
    void showColumns(const measure::TablePreview& preview,
                     const std::vector<std::string>& meanings);

    QLabel* question_{};
    QWidget* answers_{};
    QScrollArea* table_{};
    QStringList chosen_;
};

} // namespace yf::app
