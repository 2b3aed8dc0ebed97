// SPDX-License-Identifier: GPL-3.0-or-later
#include "devices/meter.h"

#include "core/text/given.h"
#include "core/text/sentence.h"

#include <QSerialPort>
#include <QTcpSocket>

namespace yf::devices {

namespace {

constexpr int rest = 300;       // ms between readings
constexpr int patience = 10000; // ms
constexpr int usualBaud = 9600;

QString utf8(const std::string& s) {
    return QString::fromStdString(s);
}

} // namespace

Result<Address> Address::read(const QString& text) {
    const Error forms{
        YF_WORDS("core", "address"),
        text::givenWord(text.toStdString()),
        YF_WORDS("core",
                 "must be tcp:HOST:PORT, serial:/dev/ttyUSB0 or lines:/dev/ttyUSB0, a serial "
                 "one with @BAUD where it is not 9600")};
    const QString s = text.trimmed();
    Address a;
    if (s.startsWith(QStringLiteral("tcp:"))) {
        const qsizetype colon = s.lastIndexOf(u':');
        bool ok = false;
        a.way = Way::tcp;
        a.target = s.mid(4, colon - 4);
        a.number = s.mid(colon + 1).toInt(&ok);
        if (colon <= 4 || !ok || a.number < 1 || a.number > 65535) {
            return forms;
        }
        return a;
    }
    const bool scpi = s.startsWith(QStringLiteral("serial:"));
    if (!scpi && !s.startsWith(QStringLiteral("lines:"))) {
        return forms;
    }
    a.way = scpi ? Way::serialScpi : Way::serialLines;
    const QString rest = s.mid(s.indexOf(u':') + 1);
    const qsizetype at = rest.lastIndexOf(u'@');
    bool ok = true;
    a.target = at < 0 ? rest : rest.left(at);
    a.number = at < 0 ? usualBaud : rest.mid(at + 1).toInt(&ok);
    if (a.target.isEmpty() || !ok || a.number < 1) {
        return forms;
    }
    return a;
}

Meter::Meter(MeterKind kind, QObject* parent) : QObject(parent), kind_(kind) {
    pause_.setSingleShot(true);
    pause_.setInterval(rest);
    connect(&pause_, &QTimer::timeout, this, &Meter::askOn);
    silence_.setSingleShot(true);
    silence_.setInterval(patience);
    connect(&silence_, &QTimer::timeout, this, [this] {
        const QString seconds = QString::number(silence_.interval() / 1000);
        trouble(splitter_.hasHalf()
                    ? tr("Half an answer came, and no end of it for %1 s.").arg(seconds)
                    : tr("No answer for %1 s: is the meter on, is its cable in?").arg(seconds));
        splitter_.clear();
        silence_.start();
        askOn();
    });
}

Meter::~Meter() {
    close();
}

void Meter::setPatience(int milliseconds) {
    silence_.setInterval(milliseconds);
}

void Meter::set(MeterState state, const Words& said) {
    if (state != MeterState::live) {
        ohms_.reset();
        pair_.reset();
    }
    state_ = state;
    said_ = said;
    Q_EMIT changed();
}

void Meter::trouble(const QString& what) {
    trouble(Words(what.toStdString()));
}

void Meter::trouble(const Words& what) {
    set(MeterState::troubled, what);
}

void Meter::fail(const QString& what) {
    if (line_) {
        line_->disconnect(this);
        line_.release()->deleteLater(); // it may be the one that speaks
    }
    pause_.stop();
    silence_.stop();
    set(MeterState::failed, what.toStdString());
}

void Meter::close() {
    pause_.stop();
    silence_.stop();
    if (line_) {
        line_->disconnect(this);
        line_.reset();
    }
    name_.clear();
    set(MeterState::off, {});
}

Done Meter::open(const QString& address) {
    YF_TRY(read, Address::read(address));
    close();
    address_ = read;
    splitter_.clear();
    asked_ = Asked::nothing;
    orderedOhms_ = false;
    if (address_.way == Address::Way::tcp) {
        auto socket = std::make_unique<QTcpSocket>();
        connect(socket.get(), &QTcpSocket::connected, this, &Meter::connected);
        connect(socket.get(), &QTcpSocket::disconnected, this, [this] {
            fail(tr("The meter closed the connection. Connect again when it is back."));
        });
        connect(socket.get(), &QTcpSocket::errorOccurred, this, [this, s = socket.get()] {
            if (s->error() != QAbstractSocket::RemoteHostClosedError) {
                fail(tr("No connection to %1: %2").arg(address_.target, s->errorString()));
            }
        });
        connect(socket.get(), &QIODevice::readyRead, this, &Meter::received);
        socket->connectToHost(address_.target, static_cast<quint16>(address_.number));
        line_ = std::move(socket);
        set(MeterState::connecting, tr("Connecting to %1 …").arg(address_.target).toStdString());
        silence_.start();
        return done();
    }
    auto port = std::make_unique<QSerialPort>(address_.target);
    port->setBaudRate(address_.number);
    if (!port->open(QIODevice::ReadWrite)) {
        fail(tr("%1 does not open: %2").arg(address_.target, port->errorString()));
        return done();
    }
    connect(port.get(), &QSerialPort::errorOccurred, this, [this](QSerialPort::SerialPortError e) {
        if (e == QSerialPort::ResourceError || e == QSerialPort::ReadError) {
            fail(tr("The serial line to %1 is gone: is its plug out?").arg(address_.target));
        }
    });
    connect(port.get(), &QIODevice::readyRead, this, &Meter::received);
    line_ = std::move(port);
    set(MeterState::connecting, tr("Waiting for %1 …").arg(address_.target).toStdString());
    connected();
    return done();
}

void Meter::connected() {
    silence_.start();
    if (address_.way == Address::Way::serialLines) {
        name_ = address_.target;
        return; // it speaks unasked
    }
    send(Asked::identity);
}

void Meter::order(const QByteArray& line) {
    if (line_ && address_.way != Address::Way::serialLines) {
        line_->write(line + '\n');
    }
}

void Meter::setFrequency(double frequency) {
    frequencyWanted_ = frequency;
}

void Meter::send(Asked what) {
    asked_ = what;
    switch (what) {
    case Asked::nothing:
        return;
    case Asked::identity:
        order("*IDN?");
        return;
    case Asked::function:
        order(kind_ == MeterKind::ohms ? "FUNC?" : "FUNC:IMP?");
        return;
    case Asked::frequency:
        if (frequencyWanted_) {
            order("FREQ " + QByteArray::number(*frequencyWanted_));
            frequencyWanted_.reset();
        }
        order("FREQ?");
        return;
    case Asked::reading:
        order(kind_ == MeterKind::ohms ? "READ?" : "FETC?");
        return;
    }
}

void Meter::askOn() {
    if (!line_ || address_.way == Address::Way::serialLines) {
        return;
    }
    if (name_.isEmpty()) {
        send(Asked::identity);
    } else if (state_ == MeterState::live || state_ == MeterState::connecting) {
        send(kind_ == MeterKind::lcr ? Asked::frequency : Asked::reading);
    } else {
        send(Asked::function); // what it is set to may have been put right
    }
}

void Meter::received() {
    const QByteArray bytes = line_->readAll();
    const auto lines = splitter_.add({bytes.constData(), static_cast<std::size_t>(bytes.size())});
    if (!lines) {
        trouble(text::sentence(lines.error()));
        pause_.start();
        return;
    }
    for (const std::string& line : *lines) {
        silence_.start();
        answered(line);
        if (!line_) {
            return;
        }
    }
}

void Meter::live() {
    set(MeterState::live, {});
    pause_.start();
}

void Meter::answered(const std::string& line) {
    const auto odd = [this](const Error& error) {
        trouble(text::sentence(error));
        pause_.start();
    };
    if (address_.way == Address::Way::serialLines) {
        const auto shown = readLine(line);
        if (!shown) {
            odd(shown.error());
            return;
        }
        const bool fits =
            kind_ == MeterKind::ohms ? shown->ohms.has_value() : shown->pair.has_value();
        if (!fits) {
            trouble(kind_ == MeterKind::ohms ? tr("This is an LCR meter; DC resistance is wanted.")
                                             : tr("This is an ohmmeter; an LCR meter is wanted."));
            return;
        }
        live();
        ohms_ = shown->ohms;
        pair_ = shown->pair;
        Q_EMIT changed();
        return;
    }
    switch (asked_) {
    case Asked::nothing:
        return;
    case Asked::identity: {
        const auto identity = readIdentity(line);
        if (!identity) {
            odd(identity.error());
            return;
        }
        name_ = utf8(*identity);
        send(Asked::function);
        return;
    }
    case Asked::function: {
        if (kind_ == MeterKind::ohms) {
            const auto function = readFunction(line);
            if (!function && !orderedOhms_) {
                orderedOhms_ = true; // once; a hand at the meter has the last word
                order("CONF:RES");
                send(Asked::function);
                return;
            }
            if (!function) {
                odd(function.error());
                return;
            }
            send(Asked::reading);
            return;
        }
        const auto mode = readPairMode(line);
        if (!mode) {
            odd(mode.error());
            return;
        }
        mode_ = *mode;
        send(Asked::frequency);
        return;
    }
    case Asked::frequency: {
        const auto frequency = readFrequency(line);
        if (!frequency) {
            odd(frequency.error());
            return;
        }
        frequency_ = *frequency;
        send(Asked::reading);
        return;
    }
    case Asked::reading:
        break;
    }
    asked_ = Asked::nothing;
    if (kind_ == MeterKind::ohms) {
        const auto shown = readOhms(line);
        if (!shown) {
            odd(shown.error());
            return;
        }
        live();
        ohms_ = *shown;
    } else {
        const auto shown = readPair(line, frequency_, mode_);
        if (!shown) {
            odd(shown.error());
            return;
        }
        live();
        pair_ = *shown;
    }
    Q_EMIT changed();
}

} // namespace yf::devices
