// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/import/import_entry.h"
#include "app/plots/plot.h"
#include "app/stage/stage.h"

#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QListWidget;
class QPushButton;

namespace yf::app {

class ColumnTable;
class QuantityField;

/// Files of measurements before they are taken: what each was understood to be, column by column,
/// with its curve; everything can be corrected by hand, and the picture follows. Several files at
/// once, and several curves of one file, each for a driver of its own. A table that can be read in
/// several ways is asked about and not taken before.
class ImportSheet final : public QWidget {
    Q_OBJECT

public:
    explicit ImportSheet(QWidget* parent = nullptr);

    /// Files that are not read yet; a driver's id for all of them, or empty: guessed by name.
    void open(const Sight& sight, const QStringList& files, const QString& driver);

    /// How many of the files could be read.
    [[nodiscard]] int readable() const;

Q_SIGNALS:
    /// The takes to be added, in order, each with the id of its driver.
    void taken(const QVector<std::pair<QString, yf::job::Take>>& takes);
    void left();

private:
    void readAngles();
    void markAngles();

    void build();
    QComboBox* choice(const QString& name, const QString& title, const QStringList& items);
    QWidget* buildTableCorrections();
    QWidget* buildSoundCorrections();
    void readFileAnew(int file);
    void fillList();
    void chosen(const QStringList& meanings);
    void show(int index);
    void showPreview(const ImportEntry& entry);
    void correct();
    void markList();
    void take();

    job::Job job_;
    std::vector<ImportEntry> entries_;
    bool showing_{};
    QListWidget* list_{};
    QComboBox* driver_{};
    QComboBox* place_{};
    QuantityField* angle_{};
    QuantityField* distance_{};
    QuantityField* drive_{};
    QCheckBox* common_{};
    QuantityField* trustedFrom_{};
    QWidget* tableCorrections_{};
    QComboBox* delimiter_{};
    QComboBox* decimal_{};
    QWidget* soundCorrections_{};
    QuantityField* gate_{};
    QuantityField* timeZero_{};
    QuantityField* fullScale_{};
    QComboBox* channel_{};
    ColumnTable* columns_{};
    QLabel* told_{};
    Plot* level_{};
    Plot* impedance_{};
    Plot* impulse_{};
    QPushButton* take_{};
};

} // namespace yf::app
