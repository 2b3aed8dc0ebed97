// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "devices/answers.h"
#include "devices/stand_in_meter.h"

#include <QIODevice>
#include <QObject>
#include <QTimer>

#include <memory>

namespace yf::devices {

/// How a meter is reached: "tcp:HOST:PORT" (SCPI), "serial:/dev/ttyUSB0" (SCPI, 9600 baud, another
/// one after @) or "lines:/dev/ttyUSB0" (the simple line protocol).
struct Address {
    enum class Way { tcp, serialScpi, serialLines };

    Way way{};
    QString target; ///< host or device
    int number{};   ///< port or baud

    /// Errors on `address`, saying which forms there are.
    [[nodiscard]] static Result<Address> read(const QString& text);
};

/// What a meter does at the moment.
enum class MeterState {
    off,
    connecting,
    live,
    troubled, ///< connected, but its answers are no readings, or there are none
    failed    ///< no connection
};

/// A real meter over a real line. It polls, and tells every trouble in words: a connection that
/// closes, answers that are no reading, half an answer, silence, another unit. It never stops
/// trying while connected, so that a cable put back makes it live again.
class Meter final : public QObject {
    Q_OBJECT

public:
    explicit Meter(MeterKind kind, QObject* parent = nullptr);
    ~Meter() override;

    /// Fails at once where the address is no address; what goes wrong later is told by `told`.
    Done open(const QString& address);
    void close();

    [[nodiscard]] MeterKind kind() const { return kind_; }

    [[nodiscard]] MeterState state() const { return state_; }

    /// What it called itself; empty until it has.
    [[nodiscard]] const QString& name() const { return name_; }

    [[nodiscard]] const Words& said() const { return said_; }

    [[nodiscard]] const std::optional<OhmsShown>& ohms() const { return ohms_; }

    [[nodiscard]] const std::optional<PairShown>& pair() const { return pair_; }

    /// Test frequency of an LCR meter that takes orders, Hz.
    void setFrequency(double frequency);

    /// A line that a stand-in understands ("SIM:TIPS TOGETHER").
    void order(const QByteArray& line);

    /// How long nothing may come before it is told; shorter in tests.
    void setPatience(int milliseconds);

Q_SIGNALS:
    void changed();

private:
    enum class Asked { nothing, identity, function, frequency, reading };

    void connected();
    void send(Asked what);
    void received();
    void answered(const std::string& line);
    void askOn();
    void trouble(const QString& what);
    void trouble(const Words& what);
    void fail(const QString& what);
    void live();
    void set(MeterState state, const Words& said);

    MeterKind kind_;
    MeterState state_{};
    Address address_;
    std::unique_ptr<QIODevice> line_;
    LineSplitter splitter_;
    QTimer pause_;   ///< between readings
    QTimer silence_; ///< since the last answer
    Asked asked_{};
    QString name_;
    Words said_;
    bool orderedOhms_{};
    std::optional<double> frequencyWanted_;
    double frequency_{};
    bench::LcrMode mode_{};
    std::optional<OhmsShown> ohms_;
    std::optional<PairShown> pair_;
};

} // namespace yf::devices
