// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/phrases.h"

#include <QtGlobal>

namespace yf::app {

namespace {

constexpr const char* all[] = {
    // Edits
    QT_TRANSLATE_NOOP("core", "Change %1 to %2"),
    QT_TRANSLATE_NOOP("core", "Reverse %1"),
    QT_TRANSLATE_NOOP("core", "Take out %1"),
    QT_TRANSLATE_NOOP("core", "Without %1"),
    QT_TRANSLATE_NOOP("core", "Insert a %1 in the line"),
    QT_TRANSLATE_NOOP("core", "Insert a %1 across the way"),
    QT_TRANSLATE_NOOP("core", "Insert %1 in the line"),
    QT_TRANSLATE_NOOP("core", "Insert %1 across the way"),
    QT_TRANSLATE_NOOP("core", "Rename the job to %1"),
    QT_TRANSLATE_NOOP("core", "Import response %1"),
    QT_TRANSLATE_NOOP("core", "Import impedance %1"),
    QT_TRANSLATE_NOOP("core", "Trust %1 from %2 to %3"),
    QT_TRANSLATE_NOOP("core", "Use minimum phase for the %1 of %2"),
    QT_TRANSLATE_NOOP("core", "Change the outline of %1"),
    QT_TRANSLATE_NOOP("core", "Change what is known of %1"),
    QT_TRANSLATE_NOOP("core", "Change the limit of %1"),
    QT_TRANSLATE_NOOP("core", "Move %1"),
    QT_TRANSLATE_NOOP("core", "Add %1"),
    QT_TRANSLATE_NOOP("core", "Take %1 off the front"),
    QT_TRANSLATE_NOOP("core", "Take the cabinet %1 away"),
    QT_TRANSLATE_NOOP("core", "Set aside %1: %2"),
    QT_TRANSLATE_NOOP("core", "Take up %1 again"),
    QT_TRANSLATE_NOOP("core", "Restore the snapshot %1"),
    QT_TRANSLATE_NOOP("core", "Forget the snapshot %1"),
};

} // namespace

std::span<const char* const> phrases() {
    return all;
}

} // namespace yf::app
