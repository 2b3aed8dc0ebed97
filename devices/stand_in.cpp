// SPDX-License-Identifier: GPL-3.0-or-later
#include "devices/stand_in.h"

#include "core/text/given.h"

#include <QSocketNotifier>
#include <QTcpSocket>

#include <fcntl.h>
#include <termios.h>
#include <unistd.h>

#include <array>
#include <cstdlib>
#include <functional>

namespace yf::devices {

StandIn::StandIn(StandInMeter meter, QObject* parent)
    : QObject(parent), meter_(std::move(meter)), server_(this) {
    connect(&server_, &QTcpServer::newConnection, this, [this] {
        while (QTcpSocket* peer = server_.nextPendingConnection()) {
            auto splitter = std::make_shared<LineSplitter>();
            connect(peer, &QTcpSocket::disconnected, peer, &QObject::deleteLater);
            connect(peer, &QIODevice::readyRead, this, [this, peer, splitter] {
                answer(peer, *splitter);
            });
        }
    });
    constexpr int every = 200; // ms
    stream_.setInterval(every);
    connect(&stream_, &QTimer::timeout, this, [this] {
        if (meter_.mischief == Mischief::silence) {
            return;
        }
        reply(
            [this](const QByteArray& bytes) {
                static_cast<void>(!::write(terminal_, bytes.constData(), bytes.size()));
            },
            meter_.streamed());
    });
}

StandIn::~StandIn() {
    notifier_.reset();
    for (const int end : {terminal_, other_}) {
        if (end >= 0) {
            ::close(end);
        }
    }
}

Result<QString> StandIn::serveTcp(quint16 port) {
    if (!server_.listen(QHostAddress::LocalHost, port)) {
        return Error{"port",
                     text::given(std::to_string(port)),
                     say(YF_WORDS("core", "cannot be listened on: %1"),
                         server_.errorString().toStdString())};
    }
    return QStringLiteral("tcp:127.0.0.1:%1").arg(server_.serverPort());
}

Result<QString> StandIn::serveTerminal(bool lines) {
    terminal_ = ::posix_openpt(O_RDWR | O_NOCTTY | O_NONBLOCK);
    std::array<char, 128> name{};
    if (terminal_ < 0 || ::grantpt(terminal_) != 0 || ::unlockpt(terminal_) != 0 ||
        ::ptsname_r(terminal_, name.data(), name.size()) != 0) {
        return Error{"terminal", "no pseudo-terminal", "the system gives none"};
    }
    other_ = ::open(name.data(), O_RDWR | O_NOCTTY);
    termios raw{};
    if (other_ < 0 || ::tcgetattr(other_, &raw) != 0) {
        return Error{"terminal", "no pseudo-terminal", "its far end does not open"};
    }
    ::cfmakeraw(&raw);
    ::tcsetattr(other_, TCSANOW, &raw);
    if (lines) {
        stream_.start();
    } else {
        notifier_ = std::make_unique<QSocketNotifier>(terminal_, QSocketNotifier::Read);
        connect(notifier_.get(), &QSocketNotifier::activated, this, &StandIn::readTerminal);
    }
    return QStringLiteral("%1:%2").arg(lines ? QStringLiteral("lines") : QStringLiteral("serial"),
                                       QString::fromLocal8Bit(name.data()));
}

void StandIn::readTerminal() {
    std::array<char, 256> bytes{};
    const auto count = ::read(terminal_, bytes.data(), bytes.size());
    if (count <= 0) {
        return;
    }
    const auto lines = terminalLines_.add({bytes.data(), static_cast<std::size_t>(count)});
    if (!lines) {
        return;
    }
    for (const std::string& line : *lines) {
        reply(
            [this](const QByteArray& out) {
                static_cast<void>(!::write(terminal_, out.constData(), out.size()));
            },
            meter_.answer(line));
    }
}

void StandIn::answer(QIODevice* peer, LineSplitter& splitter) {
    const QByteArray bytes = peer->readAll();
    const auto lines = splitter.add({bytes.constData(), static_cast<std::size_t>(bytes.size())});
    if (!lines) {
        peer->close();
        return;
    }
    for (const std::string& line : *lines) {
        constexpr int before = 3; // name, function and one reading
        if (meter_.mischief == Mischief::closes && ++answers_ > before) {
            peer->close();
            return;
        }
        reply([peer](const QByteArray& out) { peer->write(out); }, meter_.answer(line));
    }
}

/// In one piece, or with a pause in the middle where that is the mischief.
void StandIn::reply(const std::function<void(const QByteArray&)>& write, const std::string& said) {
    if (said.empty()) {
        return;
    }
    QByteArray out = QByteArray::fromStdString(said) + '\n';
    if (meter_.mischief == Mischief::halfLines) {
        write(out.left(out.size() / 2));
        constexpr int later = 60; // ms
        QTimer::singleShot(later, this, [write, out] { write(out.mid(out.size() / 2)); });
        return;
    }
    write(out);
}

} // namespace yf::devices
