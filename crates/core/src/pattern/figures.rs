//! The figures of a piece, each with its working.

use super::blank::Blank;
use super::finished::{FinishedFinding, Gives};
use super::form::Formed;
use crate::figure::{Figure, Level, Question, figure};
use crate::making::wear::ought_to_bear;
use crate::wire::strength::{CRACK_STRAIN, GRAVITY, WATCH_STRAIN};
use crate::words::counted;
use crate::words::length::{LengthUnit, caliper_number, inches, long_length, on_ruler, ruler_step_mm, shown};

const GEOMETRY: &str = "Geometry: wire keeps its volume in the bend, so its middle line keeps its length.";
const COLLAPSE: &str = "Plastic bending of the section; Voce flow curve with typical handbook values.";

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

impl Formed<'_> {
    fn cut(&self, blank: &Blank, unit: LengthUnit) -> Vec<Figure> {
        let Blank { developed_mm, trim_mm, flush_mm, cut_mm, surplus_mm, .. } = *blank;
        let filing_mm = blank.left_filing_mm + blank.right_filing_mm;
        let tails = blank.left_tail_mm + blank.right_tail_mm;
        let step = on_ruler(ruler_step_mm(unit), unit);
        let flush = blank.flush_exact_mm();
        let (rounded, how) = match blank.surplus_at {
            Some(at) => (
                format!(" → {flush_mm:.2} mm"),
                format!(
                    "Rounded up to what a ruler reads, {step}; the {at} comes out {:.2} mm longer.",
                    surplus_mm - blank.allowance_mm
                ),
            ),
            None if blank.allowance_mm != 0.0 => (
                format!(" → {flush_mm:.2} mm"),
                "It closes at both ends, so it is set off as it is, not rounded.".to_owned(),
            ),
            None => (
                " mm".to_owned(),
                "It closes at both ends, so it is set off as it is, not rounded.".to_owned(),
            ),
        };
        let how = match blank.allowance_mm {
            0.0 => how,
            mm => format!(
                "Trials have shown that a blank of it must be {:.2} mm {} than its parts add up to. {how}",
                mm.abs(),
                if mm > 0.0 { "longer" } else { "shorter" }
            ),
        };
        let each = figure("blank", Question::Cut, "cut, flush to flush", shown(flush_mm, 1), "mm")
            .measured_off(flush_mm)
            .says("What to measure off for one piece, from the spool's flush end to the cut.")
            .formula(
                "developed + filing + tails; a sliver more comes off the spool",
                format!(
                    "{developed_mm:.3} + {filing_mm:.2} + {tails:.1} = {flush:.3}{rounded}; + {trim_mm:.2} = {cut_mm:.2} mm"
                ),
            )
            .assumes(
                format!("A sliver of 0.6 wire thicknesses a piece; 0.15 filed off each end that is filed. {how}"),
                "Marks and jaw places move it more than the sums do: make the first in copper.",
                "Trade practice; the shares can be changed.",
            );
        let sum: Vec<String> = self
            .design
            .segments
            .iter()
            .zip(&self.wire_mm)
            .filter(|(_, mm)| **mm > 0.0)
            .map(|(segment, mm)| format!("{} {mm:.2}", segment.what))
            .collect();
        let developed = figure("developed", Question::Cut, "in the piece", format!("{developed_mm:.2}"), "mm")
            .ruler(developed_mm)
            .more(format!("spool {}", caliper_number(cut_mm, unit)))
            .says("Wire in the finished piece: the length of its middle line, segment by segment.")
            .formula(
                "Σ straight + angle·(ID + h)/2 + turns·√((π(D + d))² + p²) + …",
                format!("{} = {developed_mm:.3} mm", sum.join(" + ")),
            )
            .assumes(
                "Bends are round and legs are straight. Hammered stretches count shorter: they grow by (h/t)^0.3.",
                format!("Wire size ± 1 % moves it by about {:.2} mm.", self.spread_mm()),
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
        let measured = |key, label: &str, mm: f64, way: &str| {
            figure(key, Question::InYourHand, label, format!("{mm:.1}"), "mm")
                .ruler(mm)
                .says(format!("The finished piece measured {way}, over the wire's own thickness."))
                .formula("largest − smallest place of the wire's surface", format!("{mm:.3} mm"))
                .assumes("The piece lies flat as drawn.", "As well as it was formed.", GEOMETRY)
        };
        let mut figures = vec![
            measured("height", "height", size.y, "from top to bottom"),
            measured("width", "width", size.x, "across"),
        ];
        if size.z > 1.5 * self.design.profile.thickness_mm() {
            figures.push(measured("depth", "depth", size.z, "from front to back"));
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
            .says("Wire to take off the spool for all blanks, trims and rounding included.")
            .formula("blanks × cut length", format!("{n} × {:.2} mm = {all:.1} mm", blank.cut_mm))
            .assumes(
                "The spool's end is flush; one more trim where it is not.",
                "None but the ruler's.",
                "Counting.",
            );
        let mass = request.wire.mass_g(all);
        let each = request.wire.mass_g(blank.developed_mm);
        let density = request.wire.metal.figures().density_g_cm3;
        let weight = figure("mass", Question::OffTheSpool, "they weigh", format!("{mass:.2}"), "g")
            .more(format!("{each:.2} g each, finished"))
            .says("Weight of the blanks as cut.")
            .formula(
                "length · area · density",
                format!(
                    "{all:.1} mm × {:.4} mm² × {density} g/cm³ = {mass:.3} g",
                    self.design.profile.area_mm2()
                ),
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
                .says("Effort of its hardest step, as a multiple of one bend in 20 AWG soft copper.")
                .formula("Mp / Mp(20 AWG soft copper)", format!("{effort:.3}"))
                .assumes("The same tool and grip.", "± 15 % from the metal.", COLLAPSE),
        );
        figures
    }

    fn load(&self, gives: &Gives) -> Figure {
        let Gives { segment, stress_mpa, modulus_mm3, strands, arm_mm, hinges, closed } = *gives;
        let (newtons, first) = (gives.load_n(), gives.holds().first_set_n);
        let grams = newtons / GRAVITY * 1000.0;
        let wires = if strands > 1.0 { format!("{strands} wires × ") } else { String::new() };
        let (verb, more) = if closed {
            ("is drawn out of shape at about", format!("{grams:.0} g"))
        } else {
            ("gives at about", format!("first set {first:.1} · {grams:.0} g"))
        };
        let (formula, hinges) = if hinges > 1.0 {
            ("F = 4·σ·Z / R", format!("{hinges} × "))
        } else {
            ("F = σ·Z / arm", String::new())
        };
        let how = if closed {
            "Closed for good: four hinges yield before it is drawn long."
        } else {
            "As hard and as thick as its route leaves it."
        };
        figure("opens", Question::WillItHold, &format!("{} {verb}", self.name(segment)), format!("{newtons:.1}"), "N")
            .more(more)
            .says("Load at which the first bearing bend takes a set, pulled across. An estimate of plastic collapse for the piece as finished, not a rating.")
            .formula(formula, format!("{hinges}{wires}{stress_mpa:.1} MPa × {modulus_mm3:.4} mm³ / {arm_mm:.3} mm = {newtons:.2} N"))
            .assumes(how, "± 40 %: 15 from the metal, the rest from how it is pulled. A tenth of a millimetre stays open from 0.6 of it.", COLLAPSE)
    }

    fn strained_most(&self) -> Option<Figure> {
        let (i, used) = self.tightest()?;
        let mut tightest = figure(
            "strain-used",
            Question::WillItHold,
            "tightest place uses",
            format!("{:.0}", 100.0 * used),
            "%",
        )
        .more(self.name(i).to_owned())
        .says("Share of the stretch the metal has left that the tightest bend or the hammering uses up.")
        .formula(
            "[ln(1 + h/2R) + ln(h/t)] / max(εf − strain before, 0.06)",
            format!("{used:.3} at the {}", self.name(i)),
        )
        .assumes(
            "Smooth tools; no nicks.",
            "Cracking is an estimate: above 60 % look, above 100 % expect it.",
            "Handbook fracture strains.",
        );
        tightest.level = match used {
            u if u > CRACK_STRAIN => Some(Level::Stop),
            u if u > WATCH_STRAIN => Some(Level::Watch),
            _ => None,
        };
        Some(tightest)
    }

    /// What the place that bears most has become, as the temper it compares to.
    fn hardest(&self) -> Figure {
        let formed = &self.formed;
        let start = formed.request.wire.temper.strain();
        let bears = formed.design.bears.first().copied().unwrap_or(0);
        let total = self.strain(bears);
        figure("hardened", Question::WillItHold, &format!("the {} becomes", self.name(bears)), self.becomes(bears).shown().to_owned(), "")
            .more(format!("from {}", formed.request.wire.temper))
            .says("How hard its route leaves it: bending, hammering and tumbling move a piece along the same line as the supplier's tempers; heat makes it soft again.")
            .formula("temper + what its route puts in", format!("{start:.3} + {:.3} = {total:.3}", total - start))
            .assumes("Strain adds up along the route.", "An estimate your own tests may correct.", COLLAPSE)
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
