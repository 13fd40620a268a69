//! Measure and cut to length.

use super::MarkOut;
use crate::making::run::From;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::cutting::CAUTION;
use crate::tool::method::FlatTo;
use crate::words::length::{LengthUnit, caliper, on_ruler, ruler_step_mm, shown, thickness};
use lorimant_text::{fixed, text};

/// A piece is measured off from the spool's flush end and cut.
#[derive(Debug, Clone)]
pub struct Cut {
    /// From flush face to the cut, mm.
    pub length_mm: f64,
    /// How much more the ruler's next mark gives, mm; 0 where it is cut to the length itself.
    pub surplus_mm: f64,
    /// Where that shows: `tip`, `tail`.
    pub surplus_at: Option<&'static str>,
    /// What of it trials have shown to be needed, mm.
    pub allowance_mm: f64,
    /// Which face is flush.
    pub flat_to: FlatTo,
    /// Of a piece whose end was formed on the spool: how far from the flush end that reaches, mm.
    pub formed_mm: Option<f64>,
    /// What is trimmed off its pinched end afterwards, mm.
    pub sliver_mm: f64,
    /// What is marked in the same move, where it is not marked by itself.
    pub mark: Option<MarkOut>,
    /// What one takes off the spool, mm.
    pub each_mm: f64,
}

/// A long length: `1.24 m`, `48 3/4 in`.
fn long_told(mm: f64, unit: LengthUnit) -> String {
    match unit {
        LengthUnit::Mm if mm >= 1000.0 => format!("{} m", shown(mm / 1000.0, 2)),
        _ => on_ruler(mm, unit),
    }
}

/// Shortest wire that fingers hold while its end is rolled, mm: two fingertips and the jaw.
const LEAST_HELD_MM: f64 = 20.0;

impl Perform for Cut {
    fn operation(&self) -> Operation {
        Operation::Cut
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        piece.take_off(piece.length_mm - self.length_mm - self.sliver_mm, true);
        let (flat, far) = match self.flat_to {
            FlatTo::Piece => (text!("operations-cut-flat-side-cutter-towards-piece"), End::Flush),
            FlatTo::Spool => (text!("operations-cut-flat-side-cutter-towards-spool"), End::Pinched),
        };
        piece.far = far;
        let n = bench.pieces_n;
        let template = match n {
            _ if self.formed_mm.is_some() => String::new(),
            1 => String::new(),
            2 => text!("operations-cut-cut-both-using-first-as").to_owned(),
            n => text!("operations-cut-cut-all-using-first-as", n),
        };
        let unit = bench.unit();
        let gear = &bench.workshop.gear;
        let saw = gear.sawn(bench.wire);
        let misfit = gear
            .too_thick(bench.wire)
            .map(|most| text!("operations-cut-thicker-than-your-cutter-can", most = thickness(most, unit)));
        let on_ruler_mm = self.length_mm - self.formed_mm.unwrap_or(0.0) + self.surplus_mm;
        let ruler = on_ruler(on_ruler_mm, unit);
        let from = match self.formed_mm {
            Some(_) => text!("operations-cut-from-end-bend-along-straight"),
            None => text!("operations-cut-from-flush-end"),
        };
        let at_the_bend = self.formed_mm.is_some() && on_ruler_mm < ruler_step_mm(unit) * 2.0;
        let measured = match (saw, self.flat_to) {
            // What is wound off the spool is clipped, not measured.
            (None, FlatTo::Piece) if at_the_bend => {
                text!("operations-cut-clip-wire-where-last-turn").to_owned()
            }
            (Some(saw), _) if at_the_bend => text!("operations-cut-where-last-turn-ends", saw),
            (Some(saw), _) => text!("operations-cut-mark-then-there", ruler, from, saw),
            (None, FlatTo::Piece) => text!("operations-cut-cut", ruler, from),
            // This end is pinched: it is trimmed to the mark.
            (None, FlatTo::Spool) => text!("operations-cut-mark-cut-just-past-mark", ruler, from),
        };
        let trials = (self.allowance_mm != 0.0).then(|| {
            text!(
                "operations-cut-your-trials-showed-needs-than",
                allowance_mm = caliper(self.allowance_mm.abs(), unit),
                more = self.allowance_mm > 0.0
            )
        });
        let longer = self
            .surplus_at
            .filter(|_| {
                self.surplus_mm > ruler_step_mm(unit) / 2.0 && self.allowance_mm == 0.0 && !at_the_bend
            })
            .map(|at| {
                text!(
                    "operations-cut-rounded-ruler-comes-out-longer",
                    at,
                    surplus_mm = tenths(self.surplus_mm, unit)
                )
            });
        let short = (self.formed_mm.is_none() && self.length_mm < LEAST_HELD_MM).then(|| {
            text!("operations-cut-shorter-than-too-short-hold", least_held_mm = caliper(LEAST_HELD_MM, unit))
        });
        let saved = self.formed_mm.filter(|_| self.length_mm < LEAST_HELD_MM).map(|_| {
            let (one, all) = (caliper(LEAST_HELD_MM, unit), long_told(f64::from(n) * LEAST_HELD_MM, unit));
            text!("operations-cut-rolled-on-spool-no-extra", one, all)
        });
        let marked = self.mark.as_ref().map(|mark| mark.told(unit)).filter(|told| !told.is_empty());
        let marked = marked.map_or(String::new(), |told| format!(" {told}"));
        let all = f64::from(n) * self.each_mm;
        let template = if n > 1 {
            text!("operations-cut-together-they-use-wire", template, all = long_told(all, unit))
        } else {
            template
        };
        Ok(Done {
            what: text!("operations-cut-blank").to_owned(),
            numbers: Numbers {
                from: Some(From::Spool),
                length_mm: Some(self.length_mm),
                on_ruler_mm: Some(on_ruler_mm),
                left_mm: self.formed_mm.map(|formed_mm| self.length_mm - formed_mm),
                times_n: (n > 1).then_some(n),
                ..Numbers::default()
            },
            text: format!("{measured}{template}{marked}"),
            hints: [saw.is_none().then(|| flat.to_owned()), trials, longer, short, saved]
                .into_iter()
                .flatten()
                .collect(),
            misfit,
            caution: Some(CAUTION.as_str()),
            takes: Takes::minutes(1.0, 0.2),
            ..Done::default()
        })
    }
}

/// How much longer a piece comes out than drawn, as a caliper's tenths show it.
fn tenths(mm: f64, unit: LengthUnit) -> String {
    match unit {
        LengthUnit::Mm => text!("length-mm-2", mm = fixed(mm, 1)),
        LengthUnit::Inch => caliper(mm, unit),
    }
}
