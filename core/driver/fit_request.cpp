// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/fit_request.h"

#include "core/text/fields.h"

namespace yf::driver {

std::optional<Error> check(const FitRequest& request) {
    if (!request.u.empty() && request.u.size() != request.impedance.frequencies.size()) {
        return Error{"u_pct",
                     say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                         std::to_string(request.u.size()),
                         std::to_string(request.impedance.frequencies.size())),
                     ""};
    }
    return check(request.impedance);
}

Result<FitAnswer> fitVerb(const FitRequest& r) {
    FitOrder order{
        .impedance = toCurve(r.impedance), .u = r.u, .dcr = r.dcr, .dcrU = r.dcrU, .kind = r.kind};
    if (r.inductance != InductanceChoice::automatic) {
        order.inductance = static_cast<InductanceModel>(static_cast<int>(r.inductance) - 1);
    }
    auto fit = fitImpedance(order);
    if (!fit) {
        Error error = fit.error();
        error.subject = r.impedance.re ? "impedances_ohm_re" : "impedances_ohm";
        return error;
    }
    return FitAnswer{std::move(*fit)};
}

text::Value FitAnswer::write() const {
    const ImpedanceModel& m = fit.model;
    text::Value::Object out{
        {"Re_ohm", m.Re},
        {"fs_hz", m.fs},
        {"Qms", m.Qms},
        {"Qes", m.Qes},
        {"Qts", fit.Qts},
        {"Re_u_pct", 100.0 * fit.u.Re},
        {"fs_u_pct", 100.0 * fit.u.fs},
        {"Qms_u_pct", 100.0 * fit.u.Qms},
        {"Qes_u_pct", 100.0 * fit.u.Qes},
        {"Qts_u_pct", 100.0 * fit.u.Qts},
        {"inductance_model", inductanceName(m.inductance.value_or(InductanceModel::none))}};
    std::vector<double> coilU;
    for (const CoilFigure& figure : coilFigures(fit)) {
        out.push_back({std::string(figure.key), figure.value});
        if (figure.u) {
            coilU.push_back(100.0 * *figure.u);
        }
    }
    out.push_back({"coil_u_pct", coilU});
    if (fit.box) {
        out.push_back({"alpha", fit.box->alpha});
        out.push_back({"fb_hz", fit.box->fb});
        out.push_back({"QL", fit.box->QL});
    }
    out.push_back({"rms_error_pct", 100.0 * fit.rms});
    out.push_back({"outliers_hz", fit.outliers});
    out.push_back({"phase_used", fit.phaseUsed});
    out.push_back({"notes", fit.notes});
    return out;
}

} // namespace yf::driver
