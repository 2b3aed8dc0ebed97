// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/figures.h"

#include <Eigen/Dense>

#include <cmath>
#include <numbers>

namespace yf::driver {

/// Places of the unknowns.
enum Base { iRe, iBl, iMms, iCms, iRms, iSd, bases };

/// Pa, of 0 dB.
inline constexpr double sheetReference = 20e-6;

/// ln of a figure as a function of x, and its gradient. Mmd is compared as ln(Mmd + air) − ln Mms,
/// so its model is that of Mms and its data side depends on Sd.
class SheetModel {
public:
    /// `sides` of the cone carry air: 2 in a baffle, 1 without.
    SheetModel(double rho, double c, double sides) : rho_(rho), c_(c), sides_(sides) {}

    [[nodiscard]] double airLoad(double Sd) const {
        const double a = std::sqrt(Sd / std::numbers::pi);
        return sides_ * 8.0 / 3.0 * rho_ * a * a * a;
    }

    [[nodiscard]] double logOf(std::size_t figure, const Eigen::VectorXd& x) const {
        switch (static_cast<Figure>(figure)) {
        case Figure::Re:
            return x[iRe];
        case Figure::fs:
            return -0.5 * (x[iMms] + x[iCms]) - std::log(2.0 * std::numbers::pi);
        case Figure::Qms:
            return 0.5 * (x[iMms] - x[iCms]) - x[iRms];
        case Figure::Qes:
            return 0.5 * (x[iMms] - x[iCms]) + x[iRe] - 2.0 * x[iBl];
        case Figure::Qts: {
            const double Qms = std::exp(logOf(index(Figure::Qms), x));
            const double Qes = std::exp(logOf(index(Figure::Qes), x));
            return std::log(Qms * Qes / (Qms + Qes));
        }
        case Figure::Vas:
            return 2.0 * x[iSd] + x[iCms] + std::log(rho_ * c_ * c_);
        case Figure::Sd:
            return x[iSd];
        case Figure::Bl:
            return x[iBl];
        case Figure::Mms:
            return x[iMms];
        case Figure::Mmd:
            return std::log(std::max(std::exp(x[iMms]) - airLoad(std::exp(x[iSd])), 1e-12));
        case Figure::Cms:
            return x[iCms];
        case Figure::Rms:
            return x[iRms];
        case Figure::eta0:
            return 2.0 * (x[iBl] + x[iSd] - x[iMms]) - x[iRe] +
                   std::log(rho_ / (2.0 * std::numbers::pi * c_));
        case Figure::sensitivity1w:
            return logOf(index(Figure::eta0), x) + perWatt();
        case Figure::sensitivity2v83:
            return logOf(index(Figure::eta0), x) - x[iRe] + perWatt() + std::log(2.83 * 2.83);
        }
        return 0.0;
    }

    [[nodiscard]] Eigen::VectorXd gradient(std::size_t figure, const Eigen::VectorXd& x) const {
        Eigen::VectorXd g = Eigen::VectorXd::Zero(bases);
        const auto set = [&](std::initializer_list<std::pair<Base, double>> entries) {
            for (const auto& [base, slope] : entries) {
                g[base] = slope;
            }
        };
        switch (static_cast<Figure>(figure)) {
        case Figure::Re:
            set({{iRe, 1.0}});
            break;
        case Figure::fs:
            set({{iMms, -0.5}, {iCms, -0.5}});
            break;
        case Figure::Qms:
            set({{iMms, 0.5}, {iCms, -0.5}, {iRms, -1.0}});
            break;
        case Figure::Qes:
            set({{iMms, 0.5}, {iCms, -0.5}, {iRe, 1.0}, {iBl, -2.0}});
            break;
        case Figure::Qts: {
            const double Qms = std::exp(logOf(index(Figure::Qms), x));
            const double Qes = std::exp(logOf(index(Figure::Qes), x));
            g = (Qes * gradient(index(Figure::Qms), x) + Qms * gradient(index(Figure::Qes), x)) /
                (Qms + Qes);
            break;
        }
        case Figure::Vas:
            set({{iSd, 2.0}, {iCms, 1.0}});
            break;
        case Figure::Sd:
            set({{iSd, 1.0}});
            break;
        case Figure::Bl:
            set({{iBl, 1.0}});
            break;
        case Figure::Mms:
            set({{iMms, 1.0}});
            break;
        case Figure::Mmd: {
            // As a figure to be filled in: d ln(Mms − air).
            const double Mms = std::exp(x[iMms]);
            const double air = airLoad(std::exp(x[iSd]));
            const double Mmd = std::max(Mms - air, 1e-12);
            set({{iMms, Mms / Mmd}, {iSd, -1.5 * air / Mmd}});
            break;
        }
        case Figure::Cms:
            set({{iCms, 1.0}});
            break;
        case Figure::Rms:
            set({{iRms, 1.0}});
            break;
        case Figure::eta0:
        case Figure::sensitivity1w:
            set({{iBl, 2.0}, {iSd, 2.0}, {iMms, -2.0}, {iRe, -1.0}});
            break;
        case Figure::sensitivity2v83:
            set({{iBl, 2.0}, {iSd, 2.0}, {iMms, -2.0}, {iRe, -2.0}});
            break;
        }
        return g;
    }

    /// ln data − ln model, and the model's slope less the data's.
    [[nodiscard]] double
    residual(std::size_t figure, double given, const Eigen::VectorXd& x) const {
        if (figure == index(Figure::Mmd)) {
            return std::log(given + airLoad(std::exp(x[iSd]))) - x[iMms];
        }
        return (isLevel(figure) ? given * perDecibel : std::log(given)) - logOf(figure, x);
    }

    [[nodiscard]] Eigen::VectorXd
    slope(std::size_t figure, double given, const Eigen::VectorXd& x) const {
        if (figure == index(Figure::Mmd)) {
            Eigen::VectorXd g = Eigen::VectorXd::Zero(bases);
            const double air = airLoad(std::exp(x[iSd]));
            g[iMms] = 1.0;
            g[iSd] = -1.5 * air / (given + air);
            return g;
        }
        return gradient(figure, x);
    }

    [[nodiscard]] double valueOf(std::size_t figure, const Eigen::VectorXd& x) const {
        const double log = logOf(figure, x);
        return isLevel(figure) ? log / perDecibel : std::exp(log);
    }

private:
    /// ln of p²/p0² for 1 W and efficiency 1, half space, 1 m.
    [[nodiscard]] double perWatt() const {
        return std::log(rho_ * c_ / (2.0 * std::numbers::pi) / (sheetReference * sheetReference));
    }

    double rho_;
    double c_;
    double sides_;
};

} // namespace yf::driver
