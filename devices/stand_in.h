// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "devices/answers.h"
#include "devices/stand_in_meter.h"

#include <QObject>
#include <QTcpServer>
#include <QTimer>

#include <memory>

class QSocketNotifier;

namespace yf::devices {

/// A simulated meter behind a real line: a TCP port of this machine, or a pseudo-terminal.
class StandIn final : public QObject {
    Q_OBJECT

public:
    StandIn(StandInMeter meter, QObject* parent = nullptr);
    ~StandIn() override;

    [[nodiscard]] StandInMeter& meter() { return meter_; }

    /// Port 0: any that is free. The address as a Meter takes it, or why not.
    [[nodiscard]] Result<QString> serveTcp(quint16 port);

    /// SCPI, or unasked readings in the simple line protocol every 200 ms.
    [[nodiscard]] Result<QString> serveTerminal(bool lines);

private:
    void answer(QIODevice* peer, LineSplitter& splitter);
    void reply(const std::function<void(const QByteArray&)>& write, const std::string& said);
    void readTerminal();

    StandInMeter meter_;
    QTcpServer server_;
    int terminal_{-1};
    int other_{-1}; ///< its far end, kept open so that it outlives those who use it
    LineSplitter terminalLines_;
    std::unique_ptr<QSocketNotifier> notifier_;
    QTimer stream_;
    int answers_{};
};

} // namespace yf::devices
