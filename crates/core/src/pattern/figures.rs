//! The figures of a piece, each with its working.

use super::blank::Blank;
use super::finished::{FinishedFinding, Gives};
use super::form::FormedPiece;
use crate::figure::{Figure, Level, Question, figure};
use crate::making::Step;
use crate::making::wear::ought_to_bear;
use crate::wire::strength::{CRACK_STRAIN, WATCH_STRAIN, load_told, strain_left_after, weight_that_pulls};
use crate::words::counted;
use crate::words::length::{LengthUnit, caliper_number, inches, long_length, on_ruler, ruler_step_mm, shown};
use crate::words::mass::on_scale;
use crate::working::{Expression, Numbers, count, num, plain, sum};

const GEOMETRY: &str = "Geometry: bending does not change the volume of the wire, so its middle line keeps \
                        its length.";
const COLLAPSE: &str = "Plastic bending of the section. Voce flow curve with typical handbook values.";

impl FinishedFinding<'_> {
    /// Every figure in the order it is read.
    #[must_use]
    pub fn figures(&self, unit: LengthUnit) -> Vec<Figure> {
        let (formed, blank) = (&self.formed, &self.blank);
        let mut figures = formed.cut(blank, unit);
        figures.extend(formed.in_the_hand());
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
            Some(at) => format!(
                "Rounded up to the ruler, {step}; the {at} comes out {:.2} mm longer.",
                surplus_mm - blank.allowance_mm
            ),
            None => "It closes at both ends, so the ruler's nearest mark is used.".to_owned(),
        };
        let parts = sum([num(developed_mm, 3), num(filing_mm, 2), num(tails, 1)]).comes_to(3, "mm");
        let off_the_spool = (num(flush_mm, 2) + num(trim_mm, 2)).comes_to(2, "mm");
        let how = match blank.allowance_mm {
            0.0 => how,
            mm => format!(
                "Your trials showed that a blank must be {:.2} mm {} than calculated. {how}",
                mm.abs(),
                if mm > 0.0 { "longer" } else { "shorter" }
            ),
        };
        let each = figure("blank", Question::Cut, "cut, flush to flush", shown(flush_mm, 1), "mm")
            .measured_off(flush_mm)
            .says("Cut length of one piece, from the spool's flush end to the cut.")
            .formula(
                "developed + filing + tails; a little more leaves the spool",
                parts.so(&format!("{} mm", shown(flush_mm, 2))).then(&off_the_spool),
            )
            .assumes(
                format!(
                    "A sliver of 0.6 wire thicknesses a piece; 0.15 filed off each end that is filed. {how}"
                ),
                "Marks and jaw places matter more than the calculation: make the first in copper.",
                "Trade practice. You can change the shares.",
            );
        let segments = self.design.segments.iter().zip(&self.wire_mm).filter(|(_, mm)| **mm > 0.0);
        let segments = segments.map(|(segment, mm)| num(*mm, 2).named(segment.what));
        let developed = figure(
            "developed",
            Question::Cut,
            "in the piece",
            format!("{developed_mm:.1}"),
            "mm",
        )
        .ruler(developed_mm)
        .more(format!("spool {}", caliper_number(cut_mm, unit)))
        .says("Wire in the finished piece: the length of its middle line, segment by segment.")
        .formula(
            "Σ straight + angle·(ID + h)/2 + turns·√((π(D + d))² + p²) + …",
            sum(segments).comes_to(3, "mm"),
        )
        .assumes(
            "Bends are round and legs are straight. Hammered parts count shorter: they grow by (h/t)^0.3.",
            format!("Wire size ± 1 % changes it by about {:.2} mm.", self.spread_mm()),
            GEOMETRY,
        );
        vec![each, developed]
    }

    /// How far a hundredth more of the wire's thickness moves the developed length, mm.
    fn spread_mm(&self) -> f64 {
        let h = self.design.profile.thickness_mm();
        let turned: f64 = self.design.segments.iter().map(|s| s.curve(self.design.profile).angle()).sum();
        turned * h / 2.0 * crate::wire::SIZE_SPREAD
    }

    fn in_the_hand(&self) -> Vec<Figure> {
        let size = self.extent.size();
        let (least, most) = (self.extent.least, self.extent.most);
        let measured = |key, label: &str, (from, to): (f64, f64), way: &str| {
            let mm = to - from;
            figure(key, Question::InYourHand, label, format!("{mm:.1}"), "mm")
                .ruler(mm)
                .says(format!("Size of the finished piece, {way}, including the wire's thickness."))
                .formula(
                    "largest − smallest position on the wire's surface",
                    (num(to, 3) - num(from, 3)).comes_to(3, "mm"),
                )
                .assumes("The piece lies flat as drawn.", "Depends on how exactly it is formed.", GEOMETRY)
        };
        let mut figures = vec![
            measured("height", "height", (least.y, most.y), "from top to bottom"),
            measured("width", "width", (least.x, most.x), "across"),
        ];
        if size.z > 1.5 * self.design.profile.thickness_mm() {
            figures.push(measured("depth", "depth", (least.z, most.z), "from front to back"));
        }
        figures
    }

    fn off_the_spool(&self, blank: &Blank) -> Vec<Figure> {
        let request = self.request;
        let n = request.blanks_n();
        let all = f64::from(n) * blank.cut_mm;
        let (text, unit) = long_length(all);
        let wire = figure("wire-length", Question::OffTheSpool, &counted(n, "blank"), text, unit)
            .ruler(all)
            .says("Wire off the spool for all blanks, with trims and rounding.")
            .formula("blanks × cut length", (count(n) * num(blank.cut_mm, 2).unit("mm")).comes_to(1, "mm"))
            .assumes("The spool's end is flush. If not, add one trim.", "Only the ruler's.", "Counting.");
        let mass = request.wire.mass_g(all);
        let each = request.wire.mass_g(blank.developed_mm);
        let density = request.wire.metal.figures().density_g_cm3;
        let weight = figure("mass", Question::OffTheSpool, "they weigh", on_scale(mass), "g")
            .more(format!("{} g each, finished", on_scale(each)))
            .says("Weight of the blanks as cut.")
            .formula(
                "length · area · density",
                (num(all, 1).unit("mm")
                    * num(self.design.profile.area_mm2(), 4).unit("mm²")
                    * plain(density)
                    / count(1000))
                .comes_to(3, "g"),
            )
            .assumes("Handbook density.", "Wire size ± 1 % makes it ± 2 %.", "Metal table in the core.");
        vec![wire, weight]
    }
}

impl FinishedFinding<'_> {
    fn name(&self, segment: usize) -> &'static str {
        self.formed.design.segments.get(segment).map_or("wire", |segment| segment.what)
    }

    fn will_it_hold(&self) -> Vec<Figure> {
        let mut figures = vec![];
        if let Some(gives) = self.gives {
            figures.push(self.load(&gives));
            let kind = self.formed.request.kind.0;
            figures.extend(ought_to_bear(kind.wears(), gives.holds().first_set_n));
        }
        figures.extend(self.strained_most());
        figures.push(self.hardest());
        let effort = self.effort();
        let hardest = self.made.steps.iter().max_by(|a, b| a.takes.effort.total_cmp(&b.takes.effort));
        figures.push(
            figure("hand-effort", Question::WillItHold, "effort by hand", shown(effort, 1), "×")
                .more(hardest.map_or(String::new(), |step| step.named.clone()))
                .says("Effort of its hardest step, compared with one bend in 20 AWG soft copper.")
                .formula("Mp / Mp(20 AWG soft copper)", Numbers::told(format!("{effort:.3}")))
                .assumes("The same tool and grip.", "± 15 % from the metal.", COLLAPSE),
        );
        figures
    }

    fn load(&self, gives: &Gives) -> Figure {
        let Gives { segment, stress_mpa, modulus_mm3, strands, arm_mm, hinges, closed } = *gives;
        let (newtons, first) = (gives.load_n(), gives.holds().first_set_n);
        let (weight, unit) = weight_that_pulls(newtons);
        let (verb, more) = if closed {
            ("pulls out of shape at about", format!("{newtons:.1} N"))
        } else {
            ("pulls open at about", format!("starts to open at {}", load_told(first)))
        };
        let formula = if hinges > 1.0 { "F = 4·σ·Z / R" } else { "F = σ·Z / arm" };
        let mut load =
            num(stress_mpa, 1).unit("MPa") * num(modulus_mm3, 4).unit("mm³") / num(arm_mm, 3).unit("mm");
        for times in [strands, hinges].into_iter().filter(|times| *times > 1.0) {
            load = plain(times) * load;
        }
        let how = if closed {
            "Joined: four hinges yield before it is pulled long."
        } else {
            "As hard and as thick as its steps leave it."
        };
        figure("opens", Question::WillItHold, &format!("{} {verb}", self.name(segment)), weight, unit)
            .more(more)
            .says(
                "Pull at which the first loaded bend opens for good. An estimate of plastic collapse for \
                   the finished piece, not a rating.",
            )
            .formula(formula, load.comes_to(2, "N"))
            .assumes(
                how,
                "± 40 %: 15 from the metal, the rest from how it is pulled. From 0.6 of it, a \
                           tenth of a millimetre stays open.",
                COLLAPSE,
            )
    }

    fn strained_most(&self) -> Option<Figure> {
        let (i, used) = self.tightest()?;
        let mut tightest = figure(
            "strain-used",
            Question::WillItHold,
            "tightest bend uses",
            format!("{:.0}", 100.0 * used),
            "%",
        )
        .more(self.name(i).to_owned())
        .says("Share of the stretch the metal has left that the tightest bend or the hammering uses.")
        .formula("strain of the step / max(εf − strain before, 0.06)", self.share(i))
        .assumes(
            "Smooth tools, no nicks.",
            "Cracking is an estimate: above 60 % check for cracks, above 100 % expect them.",
            "Handbook fracture strains.",
        );
        tightest.level = match used {
            u if u > CRACK_STRAIN => Some(Level::Stop),
            u if u > WATCH_STRAIN => Some(Level::Watch),
            _ => None,
        };
        Some(tightest)
    }

    /// The workpiece before a step, by its place in the route.
    fn before(&self, step: usize, segment: usize) -> (f64, f64) {
        let sold = self.formed.request.wire.temper.strain();
        let before = step.checked_sub(1).and_then(|i| self.made.steps.get(i));
        let span = self.spans.get(segment).copied().unwrap_or_default();
        let there = before.and_then(|step| step.workpiece.stretch_at(span));
        there.map_or((sold, sold), |stretch| (stretch.strain, stretch.outer_strain))
    }

    /// The outer strain that its hardest step puts into a segment, over what the metal had left.
    fn share(&self, segment: usize) -> Numbers {
        let used = |step: &Step| step.numbers.strain_used.unwrap_or(0.0);
        let here = self.made.steps.iter().enumerate().filter(|(_, step)| step.segments.contains(&segment));
        let Some((at, step)) = here.max_by(|a, b| used(a.1).total_cmp(&used(b.1))) else {
            return Numbers::told("nothing is bent");
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
            &format!("the {} becomes", self.name(bears)),
            self.becomes(bears).shown().to_owned(),
            "",
        )
        .more(format!("from {}", formed.request.wire.temper))
        .says(
            "How hard it ends up: bending, hammering and tumbling harden it like the supplier's \
                   tempers; heat makes it soft again.",
        )
        .formula("temper + what each step adds", self.strains(bears).comes_to(3, ""))
        .assumes(
            "Strain adds up step by step.",
            "An estimate. Your own tests may correct it.",
            COLLAPSE,
        )
    }
}

impl Blank {
    /// The blank in one line: cut length, both ways.
    pub fn line(&self, unit: LengthUnit) -> String {
        match unit {
            LengthUnit::Mm => format!("{} ({})", on_ruler(self.flush_mm, unit), inches(self.flush_mm)),
            LengthUnit::Inch => format!("{} ({:.1} mm)", on_ruler(self.flush_mm, unit), self.flush_mm),
        }
    }
}
