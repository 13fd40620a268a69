//! The figures of a piece, each with its working.

use super::blank::Blank;
use super::finished::{FinishedFinding, Gives};
use super::form::FormedPiece;
use super::measure::Measures;
use super::spread::DimensionSpread;
use crate::figure::{Figure, Question, figure};
use crate::making::Step;
use crate::making::holds::Holds;
use crate::making::wear::ought_to_bear;
use crate::tool::hand::HandSpread;
use crate::tool::workshop::Workshop;
use crate::wire::strength::{load_told, strain_left_after, strain_level, weight_that_pulls};
use crate::words::length::{
    LengthUnit, caliper_number, long_length, on_ruler, ruler_mark_mm, ruler_step_mm, shown,
};
use crate::words::mass::on_scale;
use crate::working::{Expression, Numbers, count, num, plain, sum};
use lorimant_text::{Text, fixed, text};

const GEOMETRY: Text = Text::named("pattern-figures-geometry-bending-does-not-change");
const COLLAPSE: Text = Text::named("pattern-figures-plastic-bending-section-voce-flow");

impl FinishedFinding<'_> {
    /// Every figure in the order it is read.
    #[must_use]
    pub fn figures(&self, workshop: &Workshop) -> Vec<Figure> {
        let (formed, blank, unit) = (&self.formed, &self.blank, workshop.habits.unit);
        let mut figures = formed.cut(blank, unit);
        figures.extend(self.in_the_hand(&workshop.hand, unit));
        figures.extend(formed.off_the_spool(blank));
        figures.extend(self.will_it_hold());
        figures
    }
}

impl FormedPiece<'_> {
    fn cut(&self, blank: &Blank, unit: LengthUnit) -> Vec<Figure> {
        let Blank { developed_mm, trim_mm, flush_mm, cut_mm, surplus_mm, .. } = *blank;
        let filing_mm = blank.left_filing_mm + blank.right_filing_mm;
        let tails = blank.left_tail_mm + blank.right_tail_mm;
        let step = on_ruler(ruler_step_mm(unit), unit);
        let how = match blank.surplus_at {
            Some(at) => text!(
                "pattern-figures-rounded-up-ruler-comes-out",
                step,
                at,
                surplus_mm = fixed(surplus_mm - blank.allowance_mm, 2)
            ),
            None => text!("pattern-figures-closes-at-both-ends-so").to_owned(),
        };
        let parts = sum([num(developed_mm, 3), num(filing_mm, 2), num(tails, 1)]).comes_to(3, "mm");
        let off_the_spool = (num(flush_mm, 2) + num(trim_mm, 2)).comes_to(2, "mm");
        let how = match blank.allowance_mm {
            0.0 => how,
            mm => text!(
                "pattern-figures-your-trials-showed-that-blank",
                mm = fixed(mm.abs(), 2),
                longer = mm > 0.0,
                how
            ),
        };
        let each = figure(
            "blank",
            Question::Cut,
            text!("pattern-figures-cut-flush-flush"),
            shown(flush_mm, 1),
            "mm",
        )
        .measured_off(flush_mm)
        .says(text!("pattern-figures-cut-length-one-piece-from"))
        .formula(
            text!("pattern-figures-developed-filing-tails-little-more"),
            parts.so(&text!("pattern-figures-mm", flush_mm = shown(flush_mm, 2))).then(&off_the_spool),
        )
        .assumes(
            text!("pattern-figures-sliver-0-6-wire-thicknesses", how),
            text!("pattern-figures-marks-jaw-places-matter-more"),
            text!("pattern-figures-trade-practice-you-can-change"),
        );
        let segments = self.design.segments.iter().zip(&self.wire_mm).filter(|(_, mm)| **mm > 0.0);
        let segments = segments.map(|(segment, mm)| num(*mm, 2).named(segment.what));
        let developed = figure(
            "developed",
            Question::Cut,
            text!("pattern-figures-in-piece"),
            format!("{developed_mm:.1}"),
            "mm",
        )
        .ruler(developed_mm)
        .more(text!("pattern-figures-spool", cut_mm = caliper_number(cut_mm, unit)))
        .says(text!("pattern-figures-wire-in-finished-piece-length"))
        .formula(text!("pattern-figures-straight-angle-id-h-2"), sum(segments).comes_to(3, "mm"))
        .assumes(
            text!("pattern-figures-bends-round-legs-straight-hammered"),
            text!("pattern-figures-wire-size-1-changes-by", spread_mm = fixed(self.spread_mm(), 2)),
            GEOMETRY.as_str(),
        );
        vec![each, developed]
    }

    /// How far a hundredth more of the wire's thickness moves the developed length, mm.
    fn spread_mm(&self) -> f64 {
        let h = self.design.profile.thickness_mm();
        let turned: f64 = self.design.segments.iter().map(|s| s.curve(self.design.profile).angle()).sum();
        turned * h / 2.0 * crate::wire::SIZE_SPREAD
    }

    fn off_the_spool(&self, blank: &Blank) -> Vec<Figure> {
        let request = self.request;
        let n = request.blanks_n();
        let all = f64::from(n) * blank.cut_mm;
        let (text, unit) = long_length(all);
        let wire = figure("wire-length", Question::OffTheSpool, &text!("count-blank", n), text, unit)
            .ruler(all)
            .says(text!("pattern-figures-wire-off-spool-for-all"))
            .formula(
                text!("pattern-figures-blanks-cut-length"),
                (count(n) * num(blank.cut_mm, 2).unit("mm")).comes_to(1, "mm"),
            )
            .assumes(
                text!("pattern-figures-spools-end-flush-if-not"),
                text!("pattern-figures-only-rulers"),
                text!("pattern-figures-counting"),
            );
        let mass = request.wire.mass_g(all);
        let each = request.wire.mass_g(blank.developed_mm);
        let density = request.wire.metal.figures().density_g_cm3;
        let weight =
            figure("mass", Question::OffTheSpool, text!("pattern-figures-they-weigh"), on_scale(mass), "g")
                .more(text!("pattern-figures-g-each-finished", each = on_scale(each)))
                .says(text!("pattern-figures-weight-blanks-as-cut"))
                .formula(
                    text!("pattern-figures-length-area-density"),
                    (num(all, 1).unit("mm")
                        * num(self.design.profile.area_mm2(), 4).unit("mm²")
                        * plain(density)
                        / count(1000))
                    .comes_to(3, "g"),
                )
                .assumes(
                    text!("pattern-figures-handbook-density"),
                    text!("pattern-figures-wire-size-1-makes-2"),
                    text!("pattern-figures-metal-table-in-core"),
                );
        vec![wire, weight]
    }
}

impl FinishedFinding<'_> {
    fn name(&self, segment: usize) -> &'static str {
        self.formed.design.segments.get(segment).map_or(text!("segment-wire"), |segment| segment.what)
    }

    /// What it covers, and what it is drawn with, each with how far that may be off.
    fn in_the_hand(&self, hand: &HandSpread, unit: LengthUnit) -> Vec<Figure> {
        let mut spreads = self.spreads(hand);
        // The whole before its parts.
        spreads.sort_by_key(|one| !matches!(one.measure.key.as_str(), "height" | "width" | "depth"));
        spreads.iter().filter_map(|one| self.dimension(one, unit)).collect()
    }

    fn dimension(&self, spread: &DimensionSpread, unit: LengthUnit) -> Option<Figure> {
        let extent = self.formed.extent;
        let (least, most) = (extent.least, extent.most);
        let measure = &spread.measure;
        let over_all = |key, from: f64, to: f64, way: &str| {
            let says = text!("pattern-figures-size-finished-piece-including-wires", way);
            let formula = text!("pattern-figures-largest-smallest-position-on-wires");
            (key, says, formula, (num(to, 3) - num(from, 3)).comes_to(3, "mm"))
        };
        // A size that is drawn is told as the sentence and the drawing tell it.
        let drawn = self.formed.request.kind.0.parameter(&measure.key);
        let mm = drawn.map_or(measure.mm, |parameter| self.formed.request.value(parameter.name));
        let (key, says, formula, numbers) = match measure.key.as_str() {
            "height" => over_all("height", least.y, most.y, text!("pattern-figures-from-top-bottom")),
            "width" => over_all("width", least.x, most.x, text!("pattern-figures-across")),
            "depth" => over_all("depth", least.z, most.z, text!("pattern-figures-from-front-back")),
            _ => {
                let parameter = drawn?;
                let says = parameter.description.to_owned().to_string();
                let numbers = plain(mm).comes_to(3, "mm");
                (parameter.name, says, text!("pattern-figures-as-drawn"), numbers)
            }
        };
        let squares = spread.sources.iter().map(|(_, mm)| num(*mm, 2).power(2.0));
        let off = sum(squares).root().comes_to(2, "mm");
        let from: Vec<String> =
            spread.sources.iter().map(|(from, mm)| format!("{from} {}", fixed(*mm, 2))).collect();
        let shown = figure(key, Question::InYourHand, &measure.what, String::new(), "mm").by_caliper(mm);
        // No finer than a tenth: what hands leave open is an estimate.
        let off_mm = ((spread.mm() * 10.0).round() / 10.0).max(0.1);
        // Lengths are read off a ruler.
        let shown = if measure.kind == Measures::Length { shown.measured_off(mm) } else { shown };
        let shown = shown
            .more(format!("± {}", caliper_number(off_mm, unit)))
            .says(says)
            .formula(&text!("pattern-figures-and-off", formula), numbers.then(&off))
            .assumes(
                text!("pattern-figures-piece-lies-flat-as-drawn"),
                text!("pattern-figures-off-from", mm = fixed(spread.mm(), 2), from = from.join(", ")),
                GEOMETRY.as_str(),
            );
        Some(shown)
    }

    fn will_it_hold(&self) -> Vec<Figure> {
        let mut figures = vec![];
        if let Some(gives) = self.gives {
            figures.push(self.load(&gives));
            let kind = self.formed.request.kind.0;
            figures.extend(ought_to_bear(kind.wears(), gives.holds()));
        }
        figures.extend(self.strained_most());
        figures.push(self.hardest());
        let effort = self.effort();
        let hardest = self.made.steps.iter().max_by(|a, b| a.takes.effort.total_cmp(&b.takes.effort));
        // Of what is not bent by hand there is no hardest step.
        figures.extend((effort > 0.0).then(|| {
            figure(
                "hand-effort",
                Question::WillItHold,
                text!("pattern-figures-effort-by-hand"),
                shown(effort, 1),
                "×",
            )
            .more(hardest.map_or(String::new(), |step| step.named.clone()))
            .says(text!("pattern-figures-effort-its-hardest-step-compared"))
            .formula(text!("pattern-figures-mp-mp-20-awg-soft"), Numbers::told(format!("{effort:.3}")))
            .assumes(
                text!("pattern-figures-same-tool-grip"),
                text!("pattern-figures-15-from-metal"),
                COLLAPSE.as_str(),
            )
        }));
        figures
    }

    fn load(&self, gives: &Gives) -> Figure {
        let Gives { segment, stress_mpa, modulus_mm3, strands, arm_mm, hinges, opening } = *gives;
        let Holds { pulls_open_n: newtons, first_set_n: first, closed } = gives.holds();
        let (weight, unit) = weight_that_pulls(newtons);
        let (verb, more) = if closed {
            (text!("pattern-figures-pulls-out-shape-at-about"), format!("{newtons:.1} N"))
        } else {
            (
                text!("pattern-figures-pulls-open-at-about"),
                text!("pattern-figures-starts-open-at", first = load_told(first)),
            )
        };
        let formula = if hinges > 1.0 { "F = 4·σ·Z / R" } else { text!("pattern-figures-f-z-arm") };
        let mut load =
            num(stress_mpa, 1).unit("MPa") * num(modulus_mm3, 4).unit("mm³") / num(arm_mm, 3).unit("mm");
        if let Some(opening) = opening {
            load = num(opening.pulls_open, 3) * load;
        }
        for times in [strands, hinges].into_iter().filter(|times| *times > 1.0) {
            load = plain(times) * load;
        }
        let how = if closed {
            text!("pattern-figures-joined-four-hinges-yield-before")
        } else {
            text!("pattern-figures-as-hard-as-thick-as")
        };
        figure("opens", Question::WillItHold, &format!("{} {verb}", self.name(segment)), weight, unit)
            .more(more)
            .says(text!("pattern-figures-pull-at-which-first-loaded"))
            .formula(formula, load.comes_to(2, "N"))
            .assumes(how, text!("pattern-figures-40-15-from-metal-rest"), COLLAPSE.as_str())
    }

    fn strained_most(&self) -> Option<Figure> {
        let (i, used) = self.tightest()?;
        let mut tightest = figure(
            "strain-used",
            Question::WillItHold,
            text!("pattern-figures-tightest-bend-uses"),
            format!("{:.0}", 100.0 * used),
            "%",
        )
        .more(self.name(i).to_owned())
        .says(text!("pattern-figures-share-stretch-metal-has-left"))
        .formula(text!("pattern-figures-strain-step-max-f-strain"), self.share(i))
        .assumes(
            text!("pattern-figures-smooth-tools-no-nicks"),
            text!("pattern-figures-cracking-estimate-above-60-check"),
            text!("pattern-figures-handbook-fracture-strains"),
        );
        tightest.level = strain_level(used);
        Some(tightest)
    }

    /// The workpiece before a step, by its place in the route.
    fn before(&self, step: usize, segment: usize) -> (f64, f64) {
        let sold = self.formed.request.wire.temper.strain();
        let before = step.checked_sub(1).and_then(|i| self.made.steps.get(i));
        let span = self.spans.get(segment).copied().unwrap_or_default();
        let there = before.and_then(|step| step.workpiece.stretch_at(span));
        there.map_or((sold, self.formed.request.wire.temper.bearing_spent()), |stretch| {
            (stretch.strain, stretch.outer_strain)
        })
    }

    /// The outer strain that its hardest step puts into a segment, over what the metal had left.
    fn share(&self, segment: usize) -> Numbers {
        let used = |step: &Step| step.numbers.strain_used.unwrap_or(0.0);
        let here = self.made.steps.iter().enumerate().filter(|(_, step)| step.segments.contains(&segment));
        let Some((at, step)) = here.max_by(|a, b| used(a.1).total_cmp(&used(b.1))) else {
            return Numbers::told(text!("pattern-figures-nothing-bent"));
        };
        let span = self.spans.get(segment).copied().unwrap_or_default();
        let before = self.before(at, segment).1;
        let after = step.workpiece.stretch_at(span).map_or(before, |stretch| stretch.outer_strain);
        let left = strain_left_after(self.formed.request.wire.metal, before);
        ((num(after, 3) - num(before, 3)) / num(left, 3)).comes_to(3, "")
    }

    /// Strain as it was sold, and what each step adds to a segment; heat takes it off.
    fn strains(&self, segment: usize) -> Expression {
        let span = self.spans.get(segment).copied().unwrap_or_default();
        let steps = self.made.steps.iter().enumerate().filter_map(|(at, step)| {
            let adds = step.workpiece.stretch_at(span)?.strain - self.before(at, segment).0;
            (adds.abs() > 5e-4).then(|| num(adds, 3))
        });
        sum(std::iter::once(num(self.formed.request.wire.temper.strain(), 3)).chain(steps))
    }

    /// What the place that bears most has become, as the temper it compares to.
    fn hardest(&self) -> Figure {
        let formed = &self.formed;
        let bears = formed.design.bears.first().copied().unwrap_or(0);
        figure(
            "hardened",
            Question::WillItHold,
            &text!("pattern-figures-becomes", name = self.name(bears)),
            self.becomes(bears).shown().to_owned(),
            "",
        )
        .more(text!("pattern-figures-from", temper = formed.request.wire.temper))
        .says(text!("pattern-figures-how-hard-ends-up-bending"))
        .formula(text!("pattern-figures-temper-what-each-step-adds"), self.strains(bears).comes_to(3, ""))
        .assumes(
            text!("pattern-figures-strain-adds-up-step-by"),
            text!("pattern-figures-estimate-your-own-tests-may"),
            COLLAPSE.as_str(),
        )
    }
}

impl Blank {
    /// The blank in one line: cut length, both ways.
    pub fn line(&self, unit: LengthUnit) -> String {
        match unit {
            LengthUnit::Mm => {
                format!("{} ({})", on_ruler(self.flush_mm, unit), on_ruler(self.flush_mm, LengthUnit::Inch))
            }
            LengthUnit::Inch => text!(
                "pattern-figures-mm-2",
                flush_mm = on_ruler(self.flush_mm, unit),
                flush_mm2 = shown(ruler_mark_mm(self.flush_mm, LengthUnit::Mm), 1)
            ),
        }
    }
}
