//! The figures of a piece, each with its working.

use super::blank::Blank;
use super::form::Formed;
use crate::figure::{Figure, Level, Question, figure};
use crate::making::Operation;
use crate::making::holds::Holds;
use crate::making::wear::ought_to_bear;
use crate::wire::metal::Temper;
use crate::wire::strength::{self, CRACK_STRAIN, GRAVITY, MALLETED, WATCH_STRAIN, tumbled_strain};
use crate::words::counted;
use crate::words::length::{LengthUnit, caliper_number, inches, long_length, on_ruler, ruler_step_mm, shown};

const GEOMETRY: &str = "Geometry: wire keeps its volume in the bend, so its middle line keeps its length.";
const COLLAPSE: &str = "Plastic bending of the section; Voce flow curve with typical handbook values.";

impl Formed<'_> {
    /// Every figure in the order it is read.
    pub fn figures(&self, blank: &Blank, unit: LengthUnit) -> Vec<Figure> {
        let mut figures = self.cut(blank, unit);
        figures.extend(self.in_the_hand());
        figures.extend(self.off_the_spool(blank));
        figures.extend(self.will_it_hold());
        figures
    }

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

    fn will_it_hold(&self) -> Vec<Figure> {
        let mut figures = vec![];
        let name = |i: usize| self.design.segments.get(i).map_or("wire", |segment| segment.what);
        if let Some((bend, newtons)) = self.weakest(0.0) {
            let (arm, _) = self.bearing(bend).unwrap_or((1.0, None));
            let stress = newtons * arm / (self.design.strands * self.design.profile.plastic_modulus_mm3());
            let thin = self.design.segments.get(bend).and_then(|s| s.flattened_mm);
            let profile = self.design.profile;
            let modulus = profile.hammered_modulus_mm3(thin.unwrap_or(profile.thickness_mm()));
            let first = Holds::of(newtons, false).first_set_n;
            let grams = newtons / GRAVITY * 1000.0;
            let strands = if self.design.strands > 1.0 {
                format!("{} wires × ", self.design.strands)
            } else {
                String::new()
            };
            figures.push(
                figure("opens", Question::WillItHold, &format!("{} gives at about", name(bend)), format!("{newtons:.1}"), "N")
                    .more(format!("first set {first:.1} · {grams:.0} g"))
                    .says("Load at which the first bearing bend takes a set, pulled across. An estimate of plastic collapse for the piece as bent, not a rating.")
                    .formula("F = σ·Z / arm", format!("{strands}{stress:.0} MPa × {modulus:.4} mm³ / {arm:.3} mm = {newtons:.2} N"))
                    .assumes("Unsoldered; temper and bending have hardened it as the flow curve says.", "± 40 %: 15 from the metal, the rest from how it is pulled. A tenth of a millimetre stays open from 0.6 of it.", COLLAPSE),
            );
        }
        let bears = self.weakest(0.0).map(|(_, newtons)| Holds::of(newtons, false).first_set_n);
        figures.extend(bears.and_then(|first| ought_to_bear(self.request.kind.0.wears(), first)));
        if let Some((bend, newtons)) = self.weakest(tumbled_strain(self.design.profile.thickness_mm())) {
            figures.push(
                figure(
                    "opens-tumbled",
                    Question::WillItHold,
                    "after two hours in the barrel",
                    format!("{newtons:.1}"),
                    "N",
                )
                .more(format!("{:.0} g of pull", newtons / GRAVITY * 1000.0))
                .says(
                    "The same after tumbling in steel shot, which hardens about as much as a strain of 0.08.",
                )
                .formula("F = σ(ε + 0.08)·Z / arm", format!("{} gives at {newtons:.2} N", name(bend)))
                .assumes(
                    "The whole section hardens; in truth the surface does more.",
                    "An estimate your own tests may correct.",
                    COLLAPSE,
                ),
            );
        }
        let worst = (0..self.design.segments.len()).map(|i| (i, self.strain_used(i)));
        if let Some((i, used)) = worst.max_by(|a, b| a.1.total_cmp(&b.1)) {
            let mut tightest = figure(
                "strain-used",
                Question::WillItHold,
                "tightest place uses",
                format!("{:.0}", 100.0 * used),
                "%",
            )
            .more(name(i).to_owned())
            .says("Share of the stretch the metal has left that the tightest bend or the hammering uses up.")
            .formula(
                "[ln(1 + h/2R) + ln(h/t)] / max(εf − temper, 0.06)",
                format!("{used:.3} at the {}", name(i)),
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
            figures.push(tightest);
        }
        figures.push(self.hardest());
        let effort = strength::hand_effort(&self.request.wire);
        figures.push(
            figure("hand-effort", Question::WillItHold, "effort by hand", format!("{effort:.1}"), "×")
                .says("Effort of one bend, as a multiple of 20 AWG soft copper.")
                .formula("Mp / Mp(20 AWG soft copper)", format!("{effort:.3}"))
                .assumes("The same tool and grip.", "± 15 % from the metal.", COLLAPSE),
        );
        figures
    }

    /// What the hardest-worked place has become, as the temper it compares to.
    fn hardest(&self) -> Figure {
        let start = self.request.wire.temper.strain();
        let tapped = self.design.steps.iter().any(|step| step.kind == Operation::Hammer);
        let extra = if tapped { MALLETED } else { 0.0 };
        let bears = self.design.bears.first().copied().unwrap_or(0);
        let total = start + self.worked(bears) + extra;
        let like = temper_like(total);
        let name = self.design.segments.get(bears).map_or("wire", |segment| segment.what);
        figure("hardened", Question::WillItHold, &format!("the {name} becomes"), like.shown().to_owned(), "")
            .more(format!("from {}", self.request.wire.temper))
            .says("How hard forming leaves it: bending, hammering and tapping move a piece along the same line as the supplier's tempers.")
            .formula("temper + mean |y|/R + ln(h/t) + 0.08 for the mallet", format!("{start:.3} + {:.3} + {extra:.2} = {total:.3}", self.worked(bears)))
            .assumes("Nothing is annealed on the way.", "An estimate your own tests may correct.", COLLAPSE)
    }
}

/// The temper whose strain is nearest to a strain since annealing.
pub(super) fn temper_like(strain: f64) -> Temper {
    let off = |temper: &&Temper| (temper.strain() - strain).abs();
    Temper::ALL.iter().min_by(|a, b| off(a).total_cmp(&off(b))).copied().unwrap_or(Temper::Soft)
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
