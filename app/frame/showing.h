// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QStringList>

namespace yf::app {

class MainWindow;

/// Brings a part of the window into sight without hands, for pictures and tests.
class Showing {
public:
    explicit Showing(MainWindow& window) : window_(window) {}

    /// A part of the frame by its name (front-editor, log, help, finder, differences, start,
    /// snapshot), finding:RULE, practise:SEED:LEVEL[:CHECK+CHECK:FAULT], drag:DRIVER:RIGHT:UP in
    /// mm with the button still down, wait:MILLISECONDS, or a place (see Place::read). False: there
    /// is no such thing.
    bool show(const QString& what);

private:
    bool showFrame(const QString& name);
    void practise(const QStringList& order);
    void drag(const QStringList& order);

    MainWindow& window_;
};

} // namespace yf::app
