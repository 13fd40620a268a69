//! Tumble.

use crate::making::workpiece::End;
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::strength::{TUMBLED, tumbled_strain};
use crate::words::length::shown;

/// In the barrel with steel shot, soap and water.
#[derive(Debug, Clone, Copy)]
pub struct Tumble {
    /// How long, hours.
    pub hours: f64,
}

/// The time that the handbook's strain is for, hours; the surface takes no more than that in twice the time.
const USUAL_H: f64 = 2.0;

impl Perform for Tumble {
    fn operation(&self) -> Operation {
        Operation::Tumble
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        if piece.coil.is_some() {
            return Err("a coil would tangle and fill with shot. Cut it into rings first.".to_owned());
        }
        let plain = |end| matches!(end, End::Raw | End::Flush | End::Pinched);
        let formed = piece.inside_mm.is_some() || piece.stretches.iter().any(|s| s.bent);
        if !formed && plain(piece.near) && plain(piece.far) {
            return Err("straight wire comes out bent. Tumble it once it is formed.".to_owned());
        }
        let long = (self.hours / USUAL_H).min(2.0);
        for stretch in &mut piece.stretches {
            stretch.strain += long * tumbled_strain(stretch.thickness_mm);
            stretch.outer_strain += long * TUMBLED;
        }
        let loads = bench.workshop.gear.loads(f64::from(bench.pieces_n) * bench.wire.mass_g(piece.length_mm));
        let in_loads = if loads > 1.0 { format!(" in {loads:.0} loads") } else { String::new() };
        Ok(Done {
            what: "pieces".to_owned(),
            text: format!(
                "Tumble {} h{in_loads} in steel shot, water to cover and a drop of soap. Rinse, sort and dry.",
                shown(self.hours, 2)
            ),
            hints: vec![
                "Tumbling hardens the surface, shines and rounds tips in one go. It runs on its own."
                    .to_owned(),
            ],
            caution: Some(
                "The tumbler is loud. Keep water away from the motor, and follow the maker's \
                           instructions.",
            ),
            takes: Takes { unattended_min: self.hours * 60.0 * loads, ..Takes::minutes(6.0 * loads, 0.05) },
            ..Done::default()
        })
    }
}
