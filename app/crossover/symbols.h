// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/part.h"

#include <QPainter>

namespace yf::app {

/// Graphical symbols after IEC 60617: resistor, capacitor, inductor, loudspeaker, amplifier.
/// Drawn with the painter's pen, centred in `room`, leads included.
enum class Lying { across, down };

void drawSymbol(QPainter& painter, network::PartKind kind, const QRectF& room, Lying lying);

void drawLoudspeaker(QPainter& painter, const QRectF& room);

/// A resistor with a slider.
void drawControl(QPainter& painter, const QRectF& room);

/// A triangle that points the way of the signal.
void drawAmplifier(QPainter& painter, const QRectF& room);

} // namespace yf::app
