// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/widgets/aside.h"
#include "core/take/make.h"

#include <QHash>
#include <QObject>

#include <memory>

namespace yf::app {

/// What lies behind a recorded take's curve (impulse, distortion, fit), made anew from its samples
/// on a thread of its own: one at a time, the newest wish first.
class TakeWorks final : public QObject {
    Q_OBJECT

public:
    /// Everything made from one take.
    struct Works {
        std::shared_ptr<const take::MadeTake> made; ///< null: no samples, or they gave nothing
        std::shared_ptr<const driver::FitResult> fit;
        Words problem; ///< why there is no fit
    };

    explicit TakeWorks(QObject* parent = nullptr) : QObject(parent) {}

    /// At once if it is there; null while it is being made (then `made` tells).
    [[nodiscard]] std::shared_ptr<const Works> of(const job::Take& take);

    /// Makes the take again with another gate, aside; told by `gated`.
    void gate(const job::Take& take, const signal::Gate& gate);

    [[nodiscard]] bool busy() const { return aside_.running(); }

Q_SIGNALS:
    void made();
    void gated(yf::job::Take take);

private:
    void keep(const QString& key, const std::shared_ptr<const Works>& works);

    QHash<QString, std::shared_ptr<const Works>> kept_;
    QStringList order_; ///< oldest first: a few are enough
    Aside aside_;
};

} // namespace yf::app
