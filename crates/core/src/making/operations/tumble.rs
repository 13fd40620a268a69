//! Tumble.

use crate::making::workpiece::End;
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::strength::{TUMBLED, tumbled_strain};
use crate::words::length::shown;
use lorimant_text::{fixed, text};

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
            return Err(text!("tumble-coil-would-tangle-fill-with").to_owned());
        }
        let plain = |end| matches!(end, End::Raw | End::Flush | End::Pinched);
        let formed = piece.inside_mm.is_some() || piece.stretches.iter().any(|s| s.bent);
        if !formed && plain(piece.near) && plain(piece.far) {
            return Err(text!("tumble-straight-wire-comes-out-bent").to_owned());
        }
        let long = (self.hours / USUAL_H).min(2.0);
        for stretch in &mut piece.stretches {
            stretch.strain += long * tumbled_strain(stretch.thickness_mm);
            stretch.outer_strain += long * TUMBLED;
        }
        let loads = bench.workshop.gear.loads(f64::from(bench.pieces_n) * bench.wire.mass_g(piece.length_mm));
        let in_loads =
            if loads > 1.0 { text!("tumble-in-loads", loads = fixed(loads, 0)) } else { String::new() };
        Ok(Done {
            what: text!("tumble-pieces").to_owned(),
            text: text!("tumble-tumble-h-in-steel-shot", hours = shown(self.hours, 2), in_loads),
            hints: vec![text!("tumble-tumbling-hardens-surface-shines-rounds").to_owned()],
            caution: Some(text!("tumble-tumbler-loud-keep-water-away")),
            takes: Takes { unattended_min: self.hours * 60.0 * loads, ..Takes::minutes(6.0 * loads, 0.05) },
            ..Done::default()
        })
    }
}
