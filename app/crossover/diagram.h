// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QByteArray>
#include <QSize>

class QPainter;

namespace yf::app {

/// A cabinet's network as a drawing for the bench: ink on white, part names and values beside the
/// symbols, each driver with its polarity, posts at the left.
[[nodiscard]] QSize diagramSize(const network::Circuit& circuit);
void paintDiagram(QPainter& painter, const job::Job& job, const job::Cabinet& cabinet);

[[nodiscard]] QByteArray diagramSvg(const job::Job& job, const job::Cabinet& cabinet);

/// On one page of A4, turned so that it is as large as can be.
[[nodiscard]] QByteArray diagramPdf(const job::Job& job, const job::Cabinet& cabinet);

} // namespace yf::app
