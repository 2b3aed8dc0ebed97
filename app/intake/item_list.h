// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QWidget>

class QCheckBox;
class QLabel;
class QPushButton;
class QVBoxLayout;

namespace yf::app {

/// Rows that are edited in place under a heading with *Add* and "none fitted".
class ItemList : public QWidget {
    Q_OBJECT

public:
    ItemList(const QString& name,
             const QString& heading,
             const QString& none,
             QWidget* parent = nullptr);

Q_SIGNALS:
    void added();
    void noneFitted(bool none);
    void removeWanted(const QString& id);

protected:
    /// Whether rows for these ids stand already, in this order.
    [[nodiscard]] bool standsFor(const std::vector<std::string>& ids) const;
    void clearRows();

    /// A row for an item, its remove button included; fill in what stands before it.
    QWidget* addRow(const std::string& id);
    void setNone(bool none, bool empty);

    [[nodiscard]] QString base() const { return objectName(); }

private:
    QVBoxLayout* rows_{};
    QCheckBox* none_{};
    std::vector<std::string> ids_;
};

/// Breakers, fuses, lamps: what each protects, its rating, what the meter says.
class ProtectorList final : public ItemList {
    Q_OBJECT

public:
    explicit ProtectorList(QWidget* parent = nullptr);

    void display(const job::Job& job, const job::Cabinet& cabinet);

Q_SIGNALS:
    void changed(const yf::job::Protector& protector);

private:
    void renew(const job::Protector& protector);

    std::vector<job::Protector> shown_;
    std::vector<std::string> drivers_;
};

/// Terminals, wire, controls, capacitors and the rest, each with its condition.
class OldPartList final : public ItemList {
    Q_OBJECT

public:
    explicit OldPartList(QWidget* parent = nullptr);

    void display(const job::Cabinet& cabinet);

Q_SIGNALS:
    void changed(const yf::job::OldPart& part);

private:
    std::vector<job::OldPart> shown_;
};

} // namespace yf::app
