// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/box.h"

#include "core/base/words.h"
#include "core/box/designs.h"
#include "core/edit/box.h"

#include <algorithm>
#include <cmath>

namespace yf::study {

namespace {

double levelOf(const box::Complex& p) {
    return quantity::decibels(std::abs(p) / quantity::referencePressure);
}

curve::Axis studyAxis() {
    curve::Axis axis;
    for (int i = 0; i <= 160; ++i) {
        axis.push_back(10.0 * std::pow(100.0, i / 160.0));
    }
    return axis;
}

std::vector<double> levelsOf(const box::System& system, const curve::Axis& axis) {
    std::vector<double> levels;
    for (const double f : axis) {
        levels.push_back(levelOf(box::motionAt(system, f).p));
    }
    return levels;
}

std::string hertz(double f) {
    return text::printEngineering(f, "Hz");
}

std::string litres(double V) {
    return text::printSignificant(1e3 * V, 3) + std::string(text::thinSpace) + "l";
}

BoxCandidate
candidate(const evaluation::BoxResult& r, box::Kind kind, std::string name, const box::Box& b) {
    BoxCandidate c{.kind = kind, .name = std::move(name)};
    const auto suits = box::suitability(r.known.driver, b, r.source, {});
    c.summary = suits.summary;
    c.maxLevel = suits.level;
    c.levels = levelsOf(box::systemOf(r.known.driver, b, r.source), studyAxis());
    return c;
}

box::Driver asDriver(const driver::LibraryEntry& entry) {
    const driver::Part& p = entry.part;
    box::Driver d{.Re = p.model.Re.value_or(0.0),
                  .fs = p.model.fs.value_or(0.0),
                  .Qms = p.model.Qms.value_or(0.0),
                  .Qes = p.model.Qes.value_or(0.0),
                  .Vas = p.Vas.value_or(0.0),
                  .Sd = p.Sd.value_or(0.0)};
    d.Le = p.model.Le.value_or(0.0);
    d.Xmax = p.Xmax;
    d.power = p.power;
    return d;
}

bool complete(const box::Driver& d) {
    return d.Re > 0.0 && d.fs > 0.0 && d.Qms > 0.0 && d.Qes > 0.0 && d.Vas > 0.0 && d.Sd > 0.0;
}

Words sentenceFor(const box::Penalty& p) {
    const auto number = [](double v, int decimals) { return text::printFixed(v, decimals); };
    if (p.what == "peak") {
        return say(YF_WORDS("core", "peaks by %1 dB"), number(p.found, 1));
    }
    if (p.what == "f3") {
        return say(YF_WORDS("core", "reaches down to %1 only, the old one to %2"),
                   hertz(p.found),
                   hertz(*p.wanted));
    }
    if (p.what == "sensitivity") {
        const double off = p.found - *p.wanted;
        return off > 0.0 ? say(YF_WORDS("core", "%1 dB louder than the old one"), number(off, 1))
                         : say(YF_WORDS("core", "%1 dB quieter than the old one"), number(-off, 1));
    }
    if (p.what == "resistance") {
        return say(YF_WORDS("core", "Re of %1 ohms loads the amplifier more than the old %2"),
                   number(p.found, 1),
                   number(*p.wanted, 1));
    }
    return say(YF_WORDS("core", "plays %1 dB less loud before its limit"),
               number(*p.wanted - p.found, 1));
}

} // namespace

box::MapOrder mapOrder(const evaluation::BoxResult& r) {
    const double V = r.volumes.net > 0.0 ? r.volumes.net : r.known.driver.Vas;
    const auto* vented = std::get_if<box::Vented>(&r.box);
    box::MapOrder order{.motor = box::motorOf(r.known.driver, r.source),
                        .source = r.source,
                        .volumes = {0.25 * V, 4.0 * V, 100},
                        .tunings = {0.4 * r.known.driver.fs, 2.0 * r.known.driver.fs, 100}};
    if (vented != nullptr) {
        order.gain = vented->gain;
        order.QL = vented->QL;
        order.portArea = vented->portArea.value_or(0.0);
    }
    return order;
}

box::Wishes wishesOf(const job::Enclosure& e) {
    return {.f3Max = e.wishes.f3,
            .peakMax = e.wishes.peak,
            .groupDelayMax = e.wishes.groupDelay,
            .levelMin = e.wishes.level,
            .speedMax = e.wishes.speed};
}

std::vector<NamedBox> namedBoxes(const evaluation::BoxResult& r) {
    const box::Motor motor = box::motorOf(r.known.driver, r.source);
    const auto* vented = std::get_if<box::Vented>(&r.box);
    const double QL = vented != nullptr ? vented->QL : box::usualQL;
    const double gain = vented != nullptr ? vented->gain : 1.0;
    std::vector<NamedBox> named;
    for (const box::Alignment a :
         {box::Alignment::automatic, box::Alignment::SC4, box::Alignment::SBB4}) {
        const auto found = box::align(a, motor.QtsWith(r.source.resistance), QL);
        if (found && found->shape.alpha > 0.0) {
            named.push_back({std::string(box::alignmentName(found->alignment)),
                             motor.Vas / (gain * found->shape.alpha),
                             motor.fs * found->shape.h});
        }
    }
    return named;
}

BoxChoice boxChoice(const job::Cabinet& cabinet,
                    const job::Enclosure& enclosure,
                    const evaluation::BoxResult& r) {
    const box::Driver& d = r.known.driver;
    const box::Motor motor = box::motorOf(d, r.source);
    BoxChoice choice{.axis = studyAxis()};
    const auto advice = box::advise({.fs = d.fs,
                                     .Qms = d.Qms,
                                     .Qes = d.Qes,
                                     .Re = d.Re,
                                     .sourceResistance = r.source.resistance});
    YF_EXPECT(advice.ok());
    choice.advice = *advice;
    const double Qts = motor.QtsWith(r.source.resistance);
    const auto add = [&](box::Kind kind,
                         std::string name,
                         const box::Box& b,
                         double Vb,
                         std::optional<double> fb) {
        BoxCandidate c = candidate(r, kind, std::move(name), b);
        c.Vb = Vb;
        c.fb = fb;
        choice.candidates.push_back(std::move(c));
    };
    add(enclosure.kind, "", r.box, r.volumes.net, r.fb);
    constexpr double flat = 0.7071;
    const double Qtc = std::max(flat, 1.1 * Qts);
    const auto closed = box::closed({.driver = d, .source = r.source, .Qtc = Qtc});
    if (closed) {
        add(box::Kind::closed,
            "Qtc " + text::printFixed(Qtc, 2),
            box::Closed{.Vb = closed->Vb},
            closed->Vb,
            std::nullopt);
        choice.fsToFc =
            say(YF_WORDS("core", "A closed box of %1 lifts the resonance from %2 to %3."),
                litres(closed->Vb),
                hertz(d.fs),
                hertz(closed->fc));
    }
    const auto shape = box::align(box::Alignment::automatic, Qts, box::usualQL);
    if (shape) {
        const double V = motor.Vas / shape->shape.alpha;
        const double fb = motor.fs * shape->shape.h;
        add(box::Kind::vented,
            std::string(box::alignmentName(shape->alignment)),
            box::Vented{.Vb = V, .fb = fb},
            V,
            fb);
        box::PassiveRadiator pr{
            .Vb = V, .Sp = 1.6 * motor.S, .fp = 0.6 * motor.fs, .Vap = 2.0 * motor.Vas, .Qmp = 6.0};
        const double mass = box::massFor(pr, fb, r.source);
        if (mass >= 0.0) {
            pr.addedMass = mass;
            add(box::Kind::passiveRadiator, "", pr, V, fb);
        }
    }
    constexpr double bandPassLow = 0.25;
    constexpr double bandPassHigh = 0.5;
    if (Qts >= bandPassLow && Qts < bandPassHigh) {
        box::BandPass4 four = box::bandPassDesign(motor, std::max(0.8, 1.4 * Qts), flat, r.source);
        four.QL = box::usualQL;
        add(box::Kind::bandPass4, "", four, four.Vr + four.Vf, four.fbFront);
    }
    constexpr double sixthLow = 0.2;
    constexpr double sixthHigh = 0.4;
    if (Qts >= sixthLow && Qts < sixthHigh) {
        const auto six =
            box::sixthOrderDesign(d, r.source, {.low = 1.05 * d.fs, .high = 3.0 * d.fs});
        add(box::Kind::bandPass6Parallel, "", six.box, six.box.Vr + six.box.Vf, six.box.fbFront);
    }
    constexpr double open = 0.7;
    if (Qts >= open) {
        add(box::Kind::infiniteBaffle, "", box::InfiniteBaffle{}, 0.0, std::nullopt);
        add(box::Kind::openBaffle,
            "",
            box::OpenBaffle{.path = job::meanRim(cabinet, enclosure.driver) +
                                    cabinet.depth.value_or(0.0)},
            0.0,
            std::nullopt);
    }
    return choice;
}

ReplacementStudy replacementsInBox(const job::Job& job,
                                   const job::Cabinet& cabinet,
                                   const job::Enclosure& e,
                                   const evaluation::BoxResult& r,
                                   const driver::Library& library) {
    ReplacementStudy study{.axis = studyAxis()};
    study.old = levelsOf(box::systemOf(r.known.driver, r.box, r.source), study.axis);
    const auto before = box::suitability(r.known.driver, r.box, r.source, {});
    const job::Driver* old = job::findDriver(job, e.driver);
    const bool low = old == nullptr || old->band == job::Band::low || old->band == job::Band::sub;
    const box::DriverWishes wishes{.f3 = before.summary.f3,
                                   .sensitivity = before.summary.sensitivity,
                                   .Re = r.known.driver.Re,
                                   .level = before.level};
    for (const driver::LibraryEntry& entry : library.drivers) {
        const bool fitsRole = low ? entry.role == quantity::DriverRole::woofer
                                  : entry.role == quantity::DriverRole::midrange;
        const box::Driver d = asDriver(entry);
        if (!fitsRole || !complete(d)) {
            continue;
        }
        InThisBox in{.entry = entry, .suits = box::suitability(d, r.box, r.source, wishes)};
        in.levels = levelsOf(box::systemOf(d, r.box, r.source), study.axis);
        if (entry.part.outer && *entry.part.outer > cabinet.width) {
            in.suits.verdict = box::Suits::doesNot;
            in.sentences.push_back(
                say(YF_WORDS("core", "its flange of %1 cm is wider than this front"),
                    text::printFixed(1e2 * *entry.part.outer, 1)));
        }
        for (const box::Penalty& p : in.suits.penalties) {
            in.sentences.push_back(sentenceFor(p));
        }
        if (const auto* vented = std::get_if<box::Vented>(&r.box)) {
            in.retuned = box::retuned(d, *vented, r.source, wishes);
            constexpr double worthwhile = 3.0; // points
            if (in.retuned->score > in.suits.score + worthwhile) {
                const std::string gain = text::printFixed(in.retuned->score - in.suits.score, 0);
                if (!in.retuned->fb) {
                    in.sentences.push_back(
                        say(YF_WORDS("core", "closing the port brings %1 points"), gain));
                } else if (const auto L = job::lengthFor(job, cabinet, e, *in.retuned->fb)) {
                    in.lengthForRetuned = *L;
                    in.sentences.push_back(
                        say(YF_WORDS("core", "tuned to %1, a port of %2 cm, brings %3 points"),
                            hertz(*in.retuned->fb),
                            text::printFixed(1e2 * *L, 1),
                            gain));
                }
            }
        }
        study.candidates.push_back(std::move(in));
    }
    std::ranges::stable_sort(study.candidates, [](const InThisBox& a, const InThisBox& b) {
        const bool aFits = a.suits.verdict != box::Suits::doesNot;
        const bool bFits = b.suits.verdict != box::Suits::doesNot;
        return aFits != bFits ? aFits : a.suits.score > b.suits.score;
    });
    return study;
}

namespace {

box::ReadKind kindOf(const job::Take& take) {
    return take.recorded.mounting == job::Mounting::closedBox ? box::ReadKind::closed
                                                              : box::ReadKind::vented;
}

} // namespace

Result<box::ReadBack>
readBackOf(const job::Enclosure& e, const evaluation::BoxResult& r, const job::Take& take) {
    const bool said = take.recorded.mounting != job::Mounting::free;
    box::ReadOrder order{.impedance = *take.curve,
                         .kind = said                          ? kindOf(take)
                                 : e.kind == box::Kind::closed ? box::ReadKind::closed
                                                               : box::ReadKind::vented};
    if (r.problem.empty()) {
        order.Vb = r.volumes.net > 0.0 ? std::optional(r.volumes.net) : std::nullopt;
        order.fbExpected = e.designfb ? e.designfb : r.fb;
        if (r.known.source != evaluation::ParameterSource::inBox) {
            order.fs = r.known.driver.fs;
            order.Qes = r.known.driver.Qes;
            order.Qms = r.known.driver.Qms;
        }
    }
    return box::readBack(order);
}

std::optional<BraceAdvice> braceAdvice(const job::Enclosure& e, const evaluation::BoxResult& r) {
    const box::Material* m = box::findMaterial(e.material);
    const box::Inside& in = r.volumes.inside;
    if (m == nullptr || !(in.gross > 0.0) || e.shape == box::Shape::cylinder) {
        return std::nullopt;
    }
    const double one = in.width * in.depth * e.braceThickness * e.braceShare;
    const int most = static_cast<int>(box::bracingAllowance * in.gross / one);
    const auto at = [&](int braces) {
        return box::panelResonance({.E = m->E,
                                    .rho = m->rho,
                                    .thickness = e.panel,
                                    .a = std::max(in.width, in.depth),
                                    .b = in.height / (braces + 1)});
    };
    // As the box stands: sides or back, whichever has the larger free field.
    const auto largest = std::ranges::max_element(
        r.panels, {}, [](const evaluation::PanelState& p) { return p.width * p.height; });
    BraceAdvice advice{.before = largest == r.panels.end() ? at(0) : largest->resonance};
    // Beyond a field that is half as high as wide another brace stiffens little.
    const int enough =
        std::max(0, static_cast<int>(in.height / (0.6 * std::max(in.width, in.depth))));
    const int count = std::min(most, enough);
    advice.at = job::evenBraces(in.height, count);
    advice.share = count * one / in.gross;
    advice.after = at(count);
    return advice;
}

} // namespace yf::study
